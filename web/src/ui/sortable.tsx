import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useState } from 'react';

interface Item {
  id: string;
  label: string;
}

/** A list to sort by dragging or keyboard. */
export function Sortable({ items, onOrder }: { items: readonly Item[]; onOrder: (ids: string[]) => void }) {
  const [list, setList] = useState([...items]);
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const at = (id: unknown) => list.findIndex((i) => i.id === id);
    const next = arrayMove(list, at(active.id), at(over.id));
    setList(next);
    onOrder(next.map((i) => i.id));
  };
  const name = (id: unknown) => list.find((i) => i.id === id)?.label ?? '';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Lifted ${name(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over && over.id !== active.id ? `${name(active.id)} is over ${name(over.id)}.` : undefined,
    onDragEnd: ({ active }) => `Dropped ${name(active.id)}.`,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
  return (
    <DndContext accessibility={{ announcements }} sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
      <SortableContext items={list} strategy={verticalListSortingStrategy}>
        <ol className="flex flex-col gap-2">
          {list.map((i) => (
            <SortableRow key={i.id} item={i} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** A draggable item. */
export const sortableLook =
  'flex min-h-12 items-center gap-2 rounded-lg border border-line bg-paper px-3 font-semibold';

export function SortableRow({ item }: { item: Item }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={isDragging ? 'relative z-10' : ''}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${item.label}`}
        className={`${sortableLook} w-full touch-none text-left`}
      >
        <GripVertical aria-hidden size={18} className="text-soft" /> {item.label}
      </button>
    </li>
  );
}
