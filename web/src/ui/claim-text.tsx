import { VERDICT_WORDS, type Claim } from '@candid-leaf/core/claims';
import type { ReactNode } from 'react';

/** A claim with the verdict on it, why, and what works instead. */
export function ClaimText({ claim }: { claim: Claim }) {
  return (
    <>
      <p className="font-semibold">“{claim.claim}”</p>
      <ClaimReason claim={claim}>
        <strong className={claim.verdict === 'harmful' ? 'text-ripe' : 'text-leaf'}>
          {VERDICT_WORDS[claim.verdict]}.{' '}
        </strong>
      </ClaimReason>
    </>
  );
}

/** What stands under a claim; `children` come before the reason. */
export function ClaimReason({ claim, children }: { claim: Claim; children?: ReactNode }) {
  return (
    <>
      <p className="mt-1">
        {children}
        {claim.reason}
      </p>
      <p className="mt-1">
        <strong>Better:</strong> {claim.instead}
      </p>
      <p className="mt-1 text-sm text-soft">Source: {claim.source}.</p>
    </>
  );
}
