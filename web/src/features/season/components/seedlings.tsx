import type { PlantingDto } from '@candid-leaf/contract';
import { actsAfter, SEEDLING_ROWS, seedlingRow, type SeedlingLookCode } from '@candid-leaf/core/raising';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { MeasuredInput } from '../../../ui/measured-input';
import { useWrite } from '../../../ui/use-write';
import { savePlanting } from '../../../data/season';

/** Records how the seedlings look and how many were lost, with advice. */
export function Seedlings({ planting, variety }: { planting: PlantingDto; variety: string }) {
  const garden = useGarden();
  const f = useFormat();
  const save = useWrite(savePlanting, garden.id);
  const last = planting.looks?.at(-1);
  const row = last ? seedlingRow(last.what) : null;
  const acts = actsAfter(planting.crop, planting.looks ?? []);
  const [lost, setLost] = useState<number | null>(null);
  const saw = (what: SeedlingLookCode) => {
    const looks = [...(planting.looks ?? []).filter((l) => l.on !== garden.today), { on: garden.today, what }];
    save.mutate({ planting: { ...planting, looks } }, { said: `${variety}: saved.` });
  };
  return (
    <div className="mt-2" role="group" aria-label={`Seedlings of ${variety}`}>
      <p className="text-sm font-semibold">How do the seedlings look?</p>
      <div className="mt-1 flex flex-wrap gap-2">
        {SEEDLING_ROWS.map((r) => (
          <Button
            key={r.code}
            aria-pressed={last?.what === r.code && last.on === garden.today}
            disabled={save.isPending}
            onClick={() => saw(r.code)}
          >
            {r.label}
          </Button>
        ))}
      </div>
      {row && last && (
        <div className="mt-2">
          <p>
            <strong>{row.label}</strong>, seen on {f.day(last.on)}. {row.is}
          </p>
          {acts.length > 0 && (
            <ol className="list-decimal pl-6">
              {acts.map((a) => (
                <li key={a}>{a}</li>
              ))}
            </ol>
          )}
          {row.losses && planting.cells != null && (
            <div className="mt-2 flex flex-wrap items-end gap-2">
              <MeasuredInput
                label="How many were lost"
                quantity="count"
                value={lost}
                onChange={setLost}
                min={1}
                max={planting.cells - (planting.lost ?? 0)}
                className="w-44"
              />
              <Button
                disabled={!lost || save.isPending}
                onClick={() =>
                  save.mutate(
                    { planting: { ...planting, lost: (planting.lost ?? 0) + (lost ?? 0) } },
                    { said: `${lost} lost, saved.`, onSuccess: () => setLost(null) },
                  )
                }
              >
                Save count
              </Button>
            </div>
          )}
        </div>
      )}
    </div>
  );
}
