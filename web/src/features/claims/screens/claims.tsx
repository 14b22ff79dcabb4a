import { CLAIMS, VERDICT_WORDS, VERDICTS } from '@candid-leaf/core/claims';
import { useState } from 'react';
import { TextField } from '../../../ui/field';
import { Panel } from '../../../ui/panel';
import { Unfold } from '../../../ui/unfold';
import { HandbookPage } from '../../../frame/handbook-page';
import { ClaimReason } from '../../../ui/claim-text';

/** So few are found that they stand open. */
const FEW = 3;

/** Garden claims to look up, each with the evidence behind it. */
export function ClaimsScreen() {
  return <HandbookPage>{() => <Claims />}</HandbookPage>;
}

function Claims() {
  const [asked, setAsked] = useState('');
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean);
  const found = CLAIMS.filter((c) => {
    const text = `${c.claim} ${c.reason} ${c.instead}`.toLowerCase();
    return words.every((w) => text.includes(w));
  });
  return (
    <>
      <TextField
        label="Search claims"
        placeholder="eggshells, Epsom salt, marigolds"
        className="mb-4 max-w-md"
        value={asked}
        onChange={(e) => setAsked(e.target.value)}
      />
      {found.length === 0 && <p className="text-soft">We have nothing on that. Try another word.</p>}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        {VERDICTS.filter((v) => found.some((c) => c.verdict === v)).map((v) => (
          <Panel key={v} title={VERDICT_WORDS[v]}>
            <ul className="mt-1 grid items-start gap-x-8 ">
              {found
                .filter((c) => c.verdict === v)
                .map((c) => (
                  <li key={c.code}>
                    <Unfold look="task" title={`“${c.claim}”`} open={found.length <= FEW}>
                      {() => (
                        <div className="pb-3">
                          <ClaimReason claim={c} />
                        </div>
                      )}
                    </Unfold>
                  </li>
                ))}
            </ul>
          </Panel>
        ))}
      </div>
    </>
  );
}
