import type { GardenView, PlantDto } from '@candid-leaf/contract';
import {
  closestCenter,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import clsx from 'clsx';
import { useState } from 'react';
import { asInput } from '../../../lib/as-input';
import { useGarden } from '../../../lib/garden-context';
import { sortableLook, SortableRow } from '../../../ui/sortable';
import { useSay } from '../../../ui/toast';
import { useWrite } from '../../../ui/use-write';
import { orderPlants, savePlant } from '../../../data/plants';

interface Props {
  places: GardenView['places'];
}

/** Moves plants between beds by dragging or keyboard. Their records move with them. */
export function PlantBoard({ places }: Props) {
  const garden = useGarden();
  const say = useSay();
  const save = useWrite(savePlant, garden.id);
  const order = useWrite(orderPlants, garden.id);
  const [lifted, setLifted] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 3 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const plants = places.flatMap((p) => p.plants.map((x) => x.plant));
  const placeOf = (id: string) =>
    places.find((p) => p.place.id === id || p.plants.some((x) => x.plant.id === id)) ?? null;
  const name = (id: string | number): string =>
    plants.find((p) => p.id === id)?.name ?? placeOf(String(id))?.place.name ?? '';

  const move = async (plant: PlantDto, over: string): Promise<void> => {
    const target = placeOf(over);
    if (!target) return;
    const others = target.plants.map((x) => x.plant.id).filter((id) => id !== plant.id);
    const from = target.plants.findIndex((x) => x.plant.id === plant.id);
    const at = target.plants.findIndex((x) => x.plant.id === over);
    // dropped on a plant: takes its position; on a bed: goes last
    const into = at < 0 ? others.length : at;
    if (from === into) return;
    try {
      if (plant.placeId !== target.place.id)
        await save.send({ plant: { ...asInput(plant), placeId: target.place.id } });
      await order.send({ placeId: target.place.id, ids: [...others.slice(0, into), plant.id, ...others.slice(into)] });
      if (plant.placeId !== target.place.id) say(`${plant.name} moved to ${target.place.name}.`);
    } catch (error) {
      say((error as Error).message, { bad: true });
    }
  };
  const end = ({ active, over }: DragEndEvent): void => {
    setLifted(null);
    const plant = plants.find((p) => p.id === active.id);
    if (plant && over && over.id !== active.id) void move(plant, String(over.id));
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Lifted ${name(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id
        ? `${name(active.id)} is over ${name(over.id)}, ${placeOf(String(over.id))?.place.name ?? ''}.`
        : undefined,
    onDragEnd: ({ active }) => `Dropped ${name(active.id)}.`,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
  return (
    <DndContext
      accessibility={{ announcements }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragStart={({ active }) => setLifted(String(active.id))}
      onDragCancel={() => setLifted(null)}
      onDragEnd={end}
    >
      <div className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {places.map((p) => (
          <Bed key={p.place.id} of={p} />
        ))}
      </div>
      <DragOverlay>{lifted && <p className={sortableLook}>{name(lifted)}</p>}</DragOverlay>
    </DndContext>
  );
}

function Bed({ of: { place, plants } }: { of: GardenView['places'][number] }) {
  const { setNodeRef, isOver } = useDroppable({ id: place.id });
  const items = plants.map((p) => ({ id: p.plant.id, label: p.plant.name }));
  return (
    <section
      ref={setNodeRef}
      aria-label={`Plants in ${place.name}`}
      className={clsx('rounded-xl border p-3', isOver ? 'border-leaf bg-leafwash' : 'border-line')}
    >
      <h3 className="mb-2 font-body font-semibold">{place.name}</h3>
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        <ol className="flex min-h-12 flex-col gap-2">
          {items.map((i) => (
            <SortableRow key={i.id} item={i} />
          ))}
        </ol>
      </SortableContext>
    </section>
  );
}
