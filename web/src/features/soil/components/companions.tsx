import { isRecordOf, type PlaceDto } from '@candid-leaf/contract';
import { COMPANION_ROWS, companionRow, SURE_WORDS } from '@candid-leaf/core/companions';
import { describeRecord } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Sprout } from 'lucide-react';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { companionsQuery } from '../../../data/soil';
import { Unfold } from '../../../ui/unfold';

/** Companion plants: planted, seen and cleared, with the evidence. */
export function Companions({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const f = useFormat();
  const [open, setOpen] = useState(false);
  const records = (useQuery(companionsQuery(garden.id, place.id)).data ?? []).filter((r) => isRecordOf(r, 'companion'));
  return (
    <Panel title="Companion plants and weeds">
      {records.length > 0 && (
        <ul className="mt-1 divide-y divide-line">
          {records.map((r) => {
            const row = companionRow(r.data.what);
            return (
              <li key={r.id}>
                <Unfold look="task" title={`${describeRecord('companion', r.data, f)}, ${f.day(r.day)}`}>
                  {() => (
                    <p className="pb-2 text-sm text-soft">
                      {row.known} ({SURE_WORDS[row.sure]}; {row.source})
                    </p>
                  )}
                </Unfold>
              </li>
            );
          })}
        </ul>
      )}
      <Button className="mt-2" onClick={() => setOpen(true)}>
        <Sprout aria-hidden size={17} /> Add a record
      </Button>
      <Unfold className="mt-2" look="act" title="About each plant">
        {() => (
          <ul className="divide-y divide-line">
            {COMPANION_ROWS.map((r) => (
              <li key={r.code} className="py-1.5">
                <strong>{r.label}</strong> <span className="text-sm text-soft">({SURE_WORDS[r.sure]})</span>: {r.known}
              </li>
            ))}
          </ul>
        )}
      </Unfold>
      <RecordSheet
        open={open}
        onClose={() => setOpen(false)}
        target={{ plantId: null, placeId: place.id, name: place.name }}
        day={garden.today}
        kinds={['companion']}
      />
    </Panel>
  );
}
