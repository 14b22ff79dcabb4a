import type { PlaceOnView, PlantDto } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { varietiesQuery } from '../../../data/varieties';
import { savePlants } from '../../../data/plants';
import { asInput } from '../../../lib/as-input';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { DayField } from '../../../ui/day-field';
import { Panel } from '../../../ui/panel';
import { SelectField } from '../../../ui/select-field';
import { useWrite } from '../../../ui/use-write';

/** The value all plants share; undefined where they differ. */
function shared<T>(plants: readonly PlantDto[], of: (p: PlantDto) => T): T | undefined {
  const [first, ...rest] = plants.map(of);
  return rest.every((v) => v === first) ? first : undefined;
}

/** Planting day and variety of all plants of a bed at once. */
export function AllPlants({ plants: here }: Pick<PlaceOnView, 'plants'>) {
  const garden = useGarden();
  const save = useWrite(savePlants, garden.id);
  const plants = here.map((p) => p.plant);
  const crop = shared(plants, (p) => p.crop);
  const varieties = (useQuery(varietiesQuery(garden.id)).data ?? []).filter((v) => v.crop === crop);
  const [day, setDay] = useState<Day | null>(() => shared(plants, (p) => p.transplantedOn ?? null) ?? null);
  const [varietyId, setVarietyId] = useState(() => shared(plants, (p) => p.varietyId ?? '') ?? '');
  const submit = () =>
    save.mutate(
      {
        plants: plants.map((p) => ({
          ...asInput(p),
          ...(day && day !== p.transplantedOn ? { transplantedOn: day, plantedAbout: null } : {}),
          ...(varietyId && varietyId !== p.varietyId ? { varietyId, varietyUnsure: null } : {}),
        })),
      },
      {
        said: `${plants.length} plants: saved.`,
        undo: (now) =>
          save.mutate({ plants: plants.map((p, i) => ({ ...asInput(p), version: now[i]?.version ?? p.version })) }),
      },
    );
  return (
    <Panel label={`All ${plants.length} plants at once`} className="mt-2">
      <div className="mt-2 grid gap-4">
        <DayField
          label="Planted out"
          value={day}
          onChange={setDay}
          max={garden.today}
          none={shared(plants, (p) => p.transplantedOn ?? null) === undefined ? 'different days' : 'not known'}
        />
        {varieties.length > 0 && (
          <SelectField
            label="Variety"
            value={varietyId}
            options={[['', 'as they are'], ...varieties.map((v): [string, string] => [v.id, v.name])]}
            onChange={setVarietyId}
          />
        )}
        <div>
          <Button disabled={save.isPending || (!day && !varietyId)} onClick={submit}>
            Save for all {plants.length}
          </Button>
        </div>
      </div>
    </Panel>
  );
}
