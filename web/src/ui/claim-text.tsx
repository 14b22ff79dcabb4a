import { VERDICT_WORDS, type Claim } from '@candid-leaf/core/claims';

/** The verdict on a claim (unless a heading above says it), why, and what works instead. */
export function ClaimText({ claim, underVerdict = false }: { claim: Claim; underVerdict?: boolean }) {
  return (
    <>
      <p className="font-semibold">“{claim.claim}”</p>
      <p className="mt-1">
        {!underVerdict && (
          <strong className={claim.verdict === 'harmful' ? 'text-ripe' : 'text-leaf'}>
            {VERDICT_WORDS[claim.verdict]}.{' '}
          </strong>
        )}
        {claim.reason}
      </p>
      <p className="mt-1">
        <strong>Better:</strong> {claim.instead}
      </p>
      <p className="mt-1 text-sm text-soft">Source: {claim.source}.</p>
    </>
  );
}
