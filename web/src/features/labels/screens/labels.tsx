import type { GardenView } from '@candid-leaf/contract';
import { useQuery } from '@tanstack/react-query';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { varietiesQuery } from '../../../data/varieties';
import { GardenPage } from '../../../frame/garden-page';
import { useFormat } from '../../../lib/garden-context';
import { codeOf } from '../../../lib/label-code';
import { Button } from '../../../ui/button';
import { CheckField } from '../../../ui/check-field';
import { TextField } from '../../../ui/field';
import { Panel } from '../../../ui/panel';
import { SelectField } from '../../../ui/select-field';
import { type LabelWords, Paper } from '../components/paper';
import { SHEETS, sheetOf } from '../sheets';

/** Labels to print for beds, pots and plants: name, variety, planting day, and a code that opens it. */
export function LabelsScreen() {
  return (
    <GardenPage title={() => 'Labels'} waiting="Preparing the labels">
      {(view) => <Labels view={view} />}
    </GardenPage>
  );
}

function Labels({ view }: { view: GardenView }) {
  const [params] = useSearchParams();
  const groups = useLabels(view);
  const asked = params.get('place');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(groups.filter((g) => asked === null || g.id === asked).flatMap((g) => g.plants.map((l) => l.key))),
  );
  const [code, setCode] = useState(SHEETS[1]!.code);
  const [used, setUsed] = useState('0');
  const sheet = sheetOf(code);
  const each = sheet.columns * sheet.rows;
  const all = groups.flatMap((g) => [g.own, ...g.plants]);
  const labels = all.filter((l) => chosen.has(l.key));
  const put = (keys: readonly string[], on: boolean): void => {
    const next = new Set(chosen);
    for (const key of keys)
      if (on) next.add(key);
      else next.delete(key);
    setChosen(next);
  };
  const usedNow = Math.min(each - 1, Math.max(0, Math.floor(Number(used)) || 0));
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[22rem_1fr] print:block">
      <div className="flex flex-col gap-4 print:hidden">
        <Panel title="Paper">
          <div className="mt-2 flex flex-col gap-3">
            <SelectField
              label="Sheet or tape"
              value={code}
              options={SHEETS.map((s) => [s.code, s.title])}
              onChange={setCode}
            />
            {each > 1 && (
              <TextField
                label="Labels already used"
                inputMode="numeric"
                hint="From a sheet that is begun"
                value={used}
                onChange={(e) => setUsed(e.target.value)}
              />
            )}
            <Button look="main" disabled={labels.length === 0} onClick={() => window.print()}>
              <Printer aria-hidden size={18} />{' '}
              {labels.length === 1 ? 'Print one label' : `Print ${labels.length} labels`}
            </Button>
            <p className="text-sm text-soft">
              Print in real size, without margins. A phone’s camera opens the plant from its code, and a reprint keeps
              it.
            </p>
          </div>
        </Panel>
        <Panel title="Which ones">
          {groups.map((g) => (
            <fieldset key={g.id} className="mt-2">
              <legend className="font-semibold">{g.own.name}</legend>
              <CheckField checked={chosen.has(g.own.key)} onChange={(on) => put([g.own.key], on)}>
                The bed or pot itself
              </CheckField>
              {g.plants.length > 1 && (
                <CheckField
                  checked={g.plants.every((l) => chosen.has(l.key))}
                  onChange={(on) =>
                    put(
                      g.plants.map((l) => l.key),
                      on,
                    )
                  }
                >
                  All {g.plants.length} plants
                </CheckField>
              )}
              {g.plants.map((l) => (
                <CheckField key={l.key} checked={chosen.has(l.key)} onChange={(on) => put([l.key], on)}>
                  {l.name}
                </CheckField>
              ))}
            </fieldset>
          ))}
        </Panel>
      </div>
      <div className="min-w-0 overflow-x-auto print:overflow-visible" role="region" aria-label="Preview" tabIndex={0}>
        {labels.length > 0 ? (
          <Paper sheet={sheet} labels={labels} used={usedNow} />
        ) : (
          <p className="text-soft">Choose plants, and their labels appear here.</p>
        )}
      </div>
    </div>
  );
}

/** A plant is often called like its variety: once is enough. */
const otherThan = (name: string, variety: string | undefined): string | null =>
  variety === undefined || variety === name ? null : variety;

interface Group {
  id: string;
  own: LabelWords;
  plants: LabelWords[];
}

/** The words of every label of a garden, by bed or pot. */
function useLabels({ garden, places }: GardenView): Group[] {
  const format = useFormat();
  const varieties = useQuery(varietiesQuery(garden.id)).data ?? [];
  const address = (of: 'plant' | 'place', id: string): string =>
    `${location.origin}/l/${codeOf({ of, gardenId: garden.id, id })}`;
  return places.map(({ place, plants }) => ({
    id: place.id,
    own: {
      key: place.id,
      name: place.name,
      second: plants.length > 0 ? `${plants.length} ${plants.length === 1 ? 'plant' : 'plants'}` : null,
      third: null,
      address: address('place', place.id),
    },
    plants: plants.map(({ plant }) => ({
      key: plant.id,
      name: plant.name,
      second: otherThan(plant.name, varieties.find((v) => v.id === plant.varietyId)?.name),
      third: plant.transplantedOn ? `planted ${format.day(plant.transplantedOn)}` : null,
      address: address('plant', plant.id),
    })),
  }));
}
