import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type Announcements,
} from '@dnd-kit/core';
import type { PlaceDto } from '@candid-leaf/contract';
import { inBed, mostIn, spacingOf, spotsOf, tooClose, type PlantSpot, type Spot } from '@candid-leaf/core/planning';
import { isPotted, type Crop } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { useRef } from 'react';
import { useFormat } from '../../../lib/garden-context';
import { Scroller } from '../../../ui/scroller';

interface Props {
  place: PlaceDto;
  count: number;
  crop: Crop;
  /** other plants in it */
  standing?: number;
  spots?: readonly PlantSpot[] | null | undefined;
  /** plants can be moved, by drag or keyboard */
  onMove?: (spots: Spot[]) => void;
}

/** Keyboard step, m. */
const STEP_M = 0.05;
/** Least size of a plant on screen, px; a long bed scrolls sideways. */
const FINGER_PX = 44;

/** A bed from above, to scale: plants, the room each needs, and which are too close. */
export function BedFromAbove({ place, count, crop, standing = 0, spots: laid, onMove }: Props) {
  const f = useFormat();
  const ground = useRef<HTMLDivElement>(null);
  const { lengthM, widthM } = place;
  if (isPotted(place) || !lengthM || !widthM) return null;
  const bed = { lengthM, widthM };
  const [least, most] = spacingOf(crop);
  const spots = spotsOf(bed, count, least, laid);
  const room = mostIn(bed, least);
  const near = tooClose(spots, least);
  const crowded = new Set(near.flat());
  const pxPerM = (): number => (ground.current?.clientWidth ?? 0) / lengthM;
  const shifted = (i: number, dx: number, dy: number): Spot => {
    const scale = pxPerM() || Infinity;
    const { x, y } = spots[i]!;
    return inBed(bed, { x: x + dx / scale, y: y + dy / scale });
  };
  const move = (i: number, dx: number, dy: number): void => {
    if (dx !== 0 || dy !== 0) onMove?.(spots.map((s, k) => (k === i ? shifted(i, dx, dy) : s)));
  };
  const where = ({ x, y }: Spot): string => `${f.centimetres(x * 100)} along, ${f.centimetres(y * 100)} across`;
  const step = (): number => Math.max(1, STEP_M * pxPerM());
  const drawn = (
    <div
      ref={ground}
      {...(onMove
        ? { role: 'group', 'aria-label': `${place.name} from above: move the plants` }
        : { role: 'img', 'aria-label': `${place.name} from above: ${count + standing} of at most ${room} plants` })}
      className="relative rounded-md bg-moist"
      style={{
        aspectRatio: `${lengthM} / ${widthM}`,
        width: '100%',
        maxWidth: `${Math.min(40, lengthM * 11)}rem`,
        minWidth: onMove ? `${(lengthM / least) * FINGER_PX}px` : undefined,
      }}
    >
      {spots.map((spot, i) => {
        const look = { spot, bed, roomM: least, close: crowded.has(i) };
        return onMove ? (
          <MovablePlant
            key={i}
            index={i}
            {...look}
            said={`Plant ${i + 1}, ${where(spot)}${look.close ? ', too close' : ''}`}
          />
        ) : (
          <span key={i} className={plantLook(look.close)} style={plantPlace(look)}>
            <Stem close={look.close} />
          </span>
        );
      })}
    </div>
  );
  return (
    <figure className="mt-2">
      <Scroller label={`${place.name}, drawn from above`}>
        {onMove ? (
          <Mover onMove={move} step={step} whereTo={(i, dx, dy) => where(shifted(i, dx, dy))}>
            {drawn}
          </Mover>
        ) : (
          drawn
        )}
      </Scroller>
      <figcaption className="text-sm text-soft">
        {f.metres(lengthM)} by {f.metres(widthM)}: {count}
        {standing > 0 && ` and ${standing} that stand there,`} of at most {room} plants; each needs{' '}
        {f.centimetres(least * 100)} to {f.centimetres(most * 100)}.{' '}
        {near.length > 0 && (
          <strong className="text-ripe">
            {near.length === 1 ? 'Two are' : `${crowded.size} are`} too close: less light, and leaves stay wet.
          </strong>
        )}{' '}
        {onMove && ' Drag them; with the keyboard: space to lift, arrows to move, space to drop.'}
      </figcaption>
    </figure>
  );
}

const HOW = 'Space lifts the plant, arrows move it, space drops it, escape puts it back.';
const name = (id: string | number): string => `Plant ${Number(id) + 1}`;
const announcements = (whereTo: MoverProps['whereTo']): Announcements => ({
  onDragStart: ({ active }) => `${name(active.id)} lifted.`,
  onDragMove: ({ active: { id, rect } }) => {
    const { initial, translated } = rect.current;
    if (!initial || !translated) return undefined;
    return `${name(id)}: ${whereTo(Number(id), translated.left - initial.left, translated.top - initial.top)}.`;
  },
  onDragOver: () => undefined,
  onDragEnd: ({ active }) => `${name(active.id)} dropped.`,
  onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
});

interface MoverProps {
  onMove: (index: number, dx: number, dy: number) => void;
  step: () => number;
  /** the position a plant would have after a move, in words */
  whereTo: (index: number, dx: number, dy: number) => string;
  children: React.ReactNode;
}

function Mover({ onMove, step, whereTo, children }: MoverProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 3 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: (event, { currentCoordinates: { x, y } }) => {
        const by = step();
        const to = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[event.code];
        if (!to) return undefined;
        event.preventDefault();
        return { x: x + to[0]!, y: y + to[1]! };
      },
    }),
  );
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ announcements: announcements(whereTo), screenReaderInstructions: { draggable: HOW } }}
      onDragEnd={({ active, delta }) => onMove(Number(active.id), delta.x, delta.y)}
    >
      {children}
    </DndContext>
  );
}

interface PlantProps {
  spot: Spot;
  bed: { lengthM: number; widthM: number };
  /** diameter of the room it needs */
  roomM: number;
  close: boolean;
}

const plantLook = (close: boolean): string =>
  clsx(
    'absolute grid aspect-square place-items-center rounded-full',
    close ? 'bg-ripe/35 outline-2 outline-ripe' : 'bg-green/40',
  );
const plantPlace = ({ spot, bed, roomM }: PlantProps, moved: { x: number; y: number } | null = null) => ({
  left: `${(spot.x / bed.lengthM) * 100}%`,
  top: `${(spot.y / bed.widthM) * 100}%`,
  width: `${(roomM / bed.lengthM) * 100}%`,
  transform: `translate(-50%, -50%) translate(${moved?.x ?? 0}px, ${moved?.y ?? 0}px)`,
});
const Stem = ({ close }: { close: boolean }) => (
  <span className={clsx('block size-2.5 rounded-full', close ? 'bg-ripe' : 'bg-greendark')} />
);

function MovablePlant({ index, said, ...look }: PlantProps & { index: number; said: string }) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: String(index) });
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-label={said}
      className={clsx(plantLook(look.close), 'cursor-grab touch-none')}
      style={plantPlace(look, transform)}
    >
      <Stem close={look.close} />
    </button>
  );
}
