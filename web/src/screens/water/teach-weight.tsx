import type { PlaceDto } from '@candid-leaf/contract';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useGarden } from '../../data/garden-context';
import { useGardenView, useSaveRecord } from '../../data/queries';
import { Button } from '../../parts/button';
import { SelectField, TextField } from '../../parts/field';
import { useSay } from '../../parts/toast';

const POUND_KG = 0.45359237;

/** Two weights teach a pot: soaked and drained, and at the first droop. From then on a scale tells the water left. */
export function TeachWeight({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const view = useGardenView(garden.id);
  const plants = view.data?.places.find((p) => p.place.id === place.id)?.plants ?? [];
  const [plantId, setPlantId] = useState('');
  const chosen = plantId || plants[0]?.plant.id;
  if (!chosen) return null;
  return (
    <details className="rounded-2xl border border-line bg-card p-4">
      <summary className="min-h-8 cursor-pointer font-head text-lg font-semibold">Teach a pot its weight</summary>
      <p className="mt-1 max-w-prose text-soft">
        Two weighings, once: then a lift on the scale tells the water left more surely than a finger.
      </p>
      {plants.length > 1 && (
        <SelectField
          label="Pot"
          className="mt-2 max-w-64"
          value={chosen}
          options={plants.map((p) => [p.plant.id, p.plant.name])}
          onChange={(e) => setPlantId(e.target.value)}
        />
      )}
      <ol className="mt-2 grid gap-4 sm:grid-cols-2">
        <Weighing
          key={`${chosen} drained`}
          step="1. Soak it, let it drain for an hour, weigh it"
          state="drained"
          plantId={chosen}
        />
        <Weighing key={`${chosen} dry`} step="2. Weigh it at the first droop" state="dry" plantId={chosen} />
      </ol>
    </details>
  );
}

function Weighing({ step, state, plantId }: { step: string; state: 'drained' | 'dry'; plantId: string }) {
  const garden = useGarden();
  const save = useSaveRecord(garden.id);
  const say = useSay();
  const [text, setText] = useState('');
  const metric = garden.units.mass === 'g';
  const kg = Number(text.replace(',', '.')) * (metric ? 1 : POUND_KG);
  const keep = () =>
    save.mutate(
      { id: uuid(), type: 'pot-weight', plantId, data: { date: garden.today, kg: Math.round(kg * 100) / 100, state } },
      { onSuccess: () => say('Kept.'), onError: (e) => say(e.message, { bad: true }) },
    );
  return (
    <li className="flex items-end gap-2">
      <TextField
        label={`${step}, ${metric ? 'kg' : 'lb'}`}
        inputMode="decimal"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button disabled={!(kg > 0.1) || save.isPending} onClick={keep}>
        Keep
      </Button>
    </li>
  );
}
