import { CLAIMS, VERDICT_WORDS, VERDICTS } from '@candid-leaf/core/claims';
import { useState } from 'react';
import { TextField } from '../../../ui/field';
import { Panel } from '../../../ui/panel';
import { GardenPage } from '../../../frame/garden-page';
import { ClaimText } from '../../../ui/claim-text';

/** Garden claims to look up, with the evidence. */
export function ClaimsScreen() {
  return <GardenPage title={() => 'Garden claims, checked'}>{() => <Claims />}</GardenPage>;
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
      <div className="flex flex-col gap-4">
        {VERDICTS.filter((v) => found.some((c) => c.verdict === v)).map((v) => (
          <Panel key={v} title={VERDICT_WORDS[v]}>
            <ul className="mt-1 grid gap-x-8 divide-y divide-line sm:grid-cols-2 sm:divide-y-0">
              {found
                .filter((c) => c.verdict === v)
                .map((c) => (
                  <li key={c.code} className="py-3">
                    <ClaimText claim={c} underVerdict />
                  </li>
                ))}
            </ul>
          </Panel>
        ))}
      </div>
    </>
  );
}
