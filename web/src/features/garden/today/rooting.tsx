import type { PlantDto, TaskDto } from '@candid-leaf/contract';
import type { Happening } from '@candid-leaf/core/records';
import { useQuery } from '@tanstack/react-query';
import { Sprout } from 'lucide-react';
import { useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { gardenViewQuery } from '../../../data/gardens';
import { plantSucker } from '../../../data/plants';
import { saveRecord } from '../../../data/records';
import { useDeleteWithUndo } from '../../../frame/acts/use-delete-with-undo';
import { useGarden } from '../../../lib/garden-context';
import { freeName, plantNames } from '../../../lib/plant-names';
import { Button } from '../../../ui/button';
import { Select } from '../../../ui/select';
import { useWrite } from '../../../ui/use-write';

const FOUND = [
  ['roots-seen', 'Roots', 'Roots seen: plant it now.'],
  ['roots-looked-for', 'None yet', 'No roots yet: Today will ask again.'],
  ['sucker-lost', 'It rotted', 'Recorded: the sucker is lost.'],
] as const satisfies [Happening['what'], string, string][];

/** A sucker in water: what was found, and once it has roots, where it was planted. */
export function Rooting({ task }: { task: TaskDto }) {
  const garden = useGarden();
  const save = useWrite(saveRecord, garden.id);
  const remove = useDeleteWithUndo(garden.id);
  const answer = (what: Happening['what'], said: string) => {
    const id = uuid();
    save.mutate(
      { record: { id, type: 'event', plantId: task.plantId, placeId: null, data: { date: garden.today, what } } },
      { said, undo: () => remove(id) },
    );
  };
  if (task.rooting === 'plant') return <Planted task={task} motherId={task.plantId!} />;
  return (
    <span className="ml-2 flex flex-wrap gap-1">
      {FOUND.map(([what, label, said]) => (
        <Button
          key={what}
          className="px-3"
          disabled={save.isPending}
          aria-label={`${label}: ${task.title}`}
          onClick={() => answer(what, said)}
        >
          {label}
        </Button>
      ))}
    </span>
  );
}

/** What a rooted sucker inherits from its mother. */
const suckerOf = (m: PlantDto) => ({
  crop: m.crop,
  habit: m.habit ?? null,
  type: m.type ?? null,
  resistantTo: m.resistantTo ?? [],
  varietyId: m.varietyId ?? null,
  varietyUnsure: m.varietyUnsure ?? null,
  start: 'cutting' as const,
});

/** Where it was planted; it becomes a plant of its mother's variety there, planted today. */
function Planted({ task, motherId }: { task: TaskDto; motherId: string }) {
  const garden = useGarden();
  const view = useQuery(gardenViewQuery(garden.id)).data;
  const save = useWrite(plantSucker, garden.id);
  const id = useRef(uuid());
  const home = view?.places.find((p) => p.plants.some(({ plant }) => plant.id === motherId));
  const mother = home?.plants.find(({ plant }) => plant.id === motherId)?.plant;
  const [chosen, setChosen] = useState<string | null>(null);
  if (!view || !home || !mother) return null;
  const placeId = chosen ?? home.place.id;
  const planted = () => {
    const name = freeName(`${mother.name}, from a sucker`, plantNames(view));
    const plant = { ...suckerOf(mother), id: id.current, name, placeId, transplantedOn: garden.today };
    save.mutate({ motherId, plant }, { said: `${name}: saved. Keep it moist for a week.` });
  };
  return (
    <span className="ml-2 flex flex-wrap items-center gap-1">
      <span>In</span>
      <Select
        aria-label="Planted in"
        narrow
        value={placeId}
        options={view.places.map((p): [string, string] => [p.place.id, p.place.name])}
        onChange={setChosen}
      />
      <Button disabled={save.isPending} onClick={planted} aria-label={`Planted: ${task.title}`}>
        <Sprout aria-hidden size={17} /> Planted
      </Button>
    </span>
  );
}
