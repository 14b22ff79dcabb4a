import type { PlaceOnView, TaskDto } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import { coverOf, isMulched, isPotted, spellOn } from '@candid-leaf/core/records';
import { SOILS } from '@candid-leaf/core/water';
import clsx from 'clsx';
import { NotebookPen } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { useFormat, useGarden, useLink, useMay } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { COVER_WORDS, KIND_WORDS, percent } from '../../../ui/water-left';
import { FeelFirst } from './feel-first';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { WaterButton } from '../../../frame/acts/water-button';
import { marksOf } from '../marks';
import { leftOn, type Over, PlantCell } from './plant-cell';

// the beds come first, their menus a moment later
const PlaceMenu = lazy(async () => ({ default: (await import('./place-menu')).PlaceMenu }));

interface Props {
  view: PlaceOnView;
  day: Day;
  /** of the garden, for the marks of each plant */
  tasks: readonly TaskDto[];
}

/** Width of a plant and of a strip's margins, rem: strips stand side by side while they fit. */
const ROOM = { plant: 6, strip: 2 };
/** Plants that stand side by side on a phone. */
const FIT_A_PHONE = 4;

/** One bed or group of pots, drawn as you walk past it; many plants scroll sideways. */
export function PlaceStrip({ view, day, tasks }: Props) {
  const garden = useGarden();
  const link = useLink();
  const { place, plants } = view;
  const may = useMay();
  const pots = isPotted(place);
  const over = coverOver(place, day);
  const mulched = isMulched(place.mulch, day);
  const rem = Math.max(2, plants.length) * ROOM.plant + ROOM.strip;
  return (
    <Panel
      label={place.name}
      className="@container max-w-full min-w-0 px-4 pt-1 pb-2"
      style={{ flex: `${Math.max(2, plants.length)} 1 ${rem}rem` }}
    >
      <div className="flex flex-wrap items-center justify-between gap-x-1">
        <div className="min-w-0 flex-1 basis-20 pt-1">
          <h2 className="text-base leading-6">
            <Link
              to={link('placePlan', { placeId: place.id })}
              className="hover:underline max-sm:-my-2.5 max-sm:inline-flex max-sm:min-h-11 max-sm:items-center"
            >
              {place.name}
            </Link>
          </h2>
          <Facts view={view} left={leftOf(view, day)} />
        </div>
        <Acts view={view} day={day <= garden.today ? day : garden.today} />
      </div>
      {day === garden.today && may('record') && plants.some((p) => p.feelFirst) && <FeelFirst view={view} />}
      {plants.length === 0 ? (
        <p className="py-6 text-center text-soft">
          No plants here yet.{' '}
          {may('keep') && (
            <Link className="font-semibold text-leaf underline" to={link('newPlant', { placeId: place.id })}>
              Add a plant
            </Link>
          )}
        </p>
      ) : (
        <ul
          className={clsx(
            '-mx-1 mt-1 grid auto-cols-[minmax(4.8rem,1fr)] grid-flow-col grid-rows-[auto_auto_auto] overflow-x-auto px-1 pb-1 sm:auto-cols-[minmax(6rem,1fr)]',
            // more lie to the side: they fade there, and the last one keeps clear of it
            plants.length > FIT_A_PHONE && 'max-sm:mask-[linear-gradient(to_right,black_85%,transparent)] max-sm:pr-10',
          )}
          aria-label={`Plants in ${place.name}`}
        >
          {plants.map((p) => (
            <PlantCell
              key={p.plant.id}
              view={p}
              left={leftOn(p, day)}
              marks={day === garden.today ? marksOf(p, place.id, tasks, garden.today) : []}
              pot={pots ? (place.potMaterial ?? 'plastic') : null}
              over={over}
              mulched={mulched}
              isToday={day === garden.today && may('record')}
            />
          ))}
        </ul>
      )}
    </Panel>
  );
}

/** Returns what is drawn over its plants: shade cloth that day, or its roof or film. */
function coverOver(place: PlaceOnView['place'], day: Day): Over {
  if (spellOn(place.shade, day)) return 'cloth';
  const cover = coverOf(place);
  return cover === 'tunnel' || cover === 'glasshouse' || cover === 'roof' ? cover : null;
}

/** Returns the water left where its plan looks, so both pages give one number. */
function leftOf({ speakerId, plants }: PlaceOnView, day: Day): number | null {
  const speaker = plants.find((p) => p.plant.id === speakerId);
  return speaker ? leftOn(speaker, day) : null;
}

/** Its type, and the water left in it. */
function Facts({ view: { place, plants }, left }: { view: PlaceOnView; left: number | null }) {
  const format = useFormat();
  const cover = coverOf(place);
  const what = [
    isPotted(place)
      ? [
          place.volumeL != null ? format.litres(place.volumeL) : '',
          place.potMaterial,
          place.potMaterial === 'fabric' ? 'bags' : 'pots',
        ]
          .filter(Boolean)
          .join(' ')
      : `${KIND_WORDS[place.kind]}, ${SOILS[place.texture].label.toLowerCase()}`,
    cover === 'none' || place.kind === 'tunnel-bed' ? '' : COVER_WORDS[cover].toLowerCase(),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <p className="text-sm leading-5 text-soft">
      {!isPotted(place) && left !== null && (
        <>
          <strong className="text-ink tabular-nums">{percent(left)}</strong> left
        </>
      )}
      {plants.length > FIT_A_PHONE && (
        <span className="sm:hidden">
          {!isPotted(place) && left !== null && ' · '}
          {plants.length} plants
        </span>
      )}
      <span className="hidden @sm:inline">
        {!isPotted(place) && left !== null && ' · '}
        {what}
      </span>
    </p>
  );
}

/** Actions for the whole bed: water with one touch, the rest in a menu. */
function Acts({ view, day }: { view: PlaceOnView; day: Day }) {
  const may = useMay();
  const { place, plants } = view;
  const [recording, setRecording] = useState(false);
  return (
    <div className="-mr-2 flex shrink-0 items-center">
      {plants.length > 0 && may('record') && <WaterButton view={view} />}
      {may('record') && (
        <Button
          look="quiet"
          className="px-3"
          aria-label={`Add a record: ${place.name}`}
          onClick={() => setRecording(true)}
        >
          <NotebookPen aria-hidden size={18} />
        </Button>
      )}
      <Suspense fallback={<span className="size-11" />}>
        <PlaceMenu view={view} />
      </Suspense>
      <RecordSheet
        open={recording}
        onClose={() => setRecording(false)}
        target={{ plantId: null, placeId: place.id, name: place.name }}
        day={day}
      />
    </div>
  );
}
