import type { PlaceDto } from '@candid-leaf/contract';
import type { PotWeight } from '@candid-leaf/core/records';
import { roundTo } from '@candid-leaf/core/units';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { SelectField } from '../../../ui/select-field';
import { MeasuredInput } from '../../../ui/measured-input';
import { gardenViewQuery } from '../../../data/gardens';
import { useRecordOnce } from '../../../frame/acts/use-record-once';
import { Unfold } from '../../../ui/unfold';

/** Calibrates a pot by two weights: soaked and drained, and starting to droop. */
export function TeachWeight({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const view = useQuery(gardenViewQuery(garden.id));
  const plants = view.data?.places.find((p) => p.place.id === place.id)?.plants ?? [];
  const [plantId, setPlantId] = useState('');
  const chosen = plantId || plants[0]?.plant.id;
  if (!chosen) return null;
  return (
    <Unfold className="rounded-2xl border border-line bg-card p-4" look="head" title="Calibrate the pot’s weight">
      {() => (
        <>
          <p className="mt-1 max-w-prose text-soft">
            Weigh it twice, once each way. After that, weighing shows the water left more exactly than a finger.
          </p>
          {plants.length > 1 && (
            <SelectField
              label="Pot"
              className="mt-2 max-w-64"
              value={chosen}
              options={plants.map((p) => [p.plant.id, p.plant.name])}
              onChange={setPlantId}
            />
          )}
          <ol className="mt-2 grid gap-4 sm:grid-cols-2">
            <Weighing
              key={`${chosen} drained`}
              step="1. Soak it, let it drain for an hour, weigh it"
              state="drained"
              plantId={chosen}
            />
            <Weighing
              key={`${chosen} dry`}
              step="2. Weigh it when it just starts to droop"
              state="dry"
              plantId={chosen}
            />
          </ol>
        </>
      )}
    </Unfold>
  );
}

const LEAST_KG = 0.1;

function Weighing({ step, state, plantId }: { step: string; state: PotWeight['state']; plantId: string }) {
  const garden = useGarden();
  const record = useRecordOnce(garden.id);
  const [kg, setKg] = useState<number | null>(null);
  const keep = () => {
    if (kg === null || !(kg > LEAST_KG)) return;
    record.write(
      { type: 'pot-weight', plantId, data: { date: garden.today, kg: roundTo(kg, 2), state } },
      'Weight saved.',
      () => setKg(null),
    );
  };
  return (
    <li className="flex items-end gap-2">
      <MeasuredInput label={step} quantity="kilograms" min={LEAST_KG} value={kg} onChange={setKg} onEnter={keep} />
      <Button disabled={kg === null || !(kg > LEAST_KG) || record.isPending} onClick={keep}>
        Save
      </Button>
    </li>
  );
}
