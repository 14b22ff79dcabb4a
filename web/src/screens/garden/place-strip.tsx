import type { PlaceOnView, PlantOnView } from '@candid-leaf/contract';
import type { Day } from '@candid-leaf/core/units';
import { SOILS } from '@candid-leaf/core/water';
import { CalendarDays, Check, CircleDot, Footprints, Pencil, Plus, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useDayWords, useGarden } from '../../data/garden-context';
import { useDeleteRecord, useSaveRecord } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { PlantDrawing } from '../../parts/plant-drawing';
import { RecordSheet } from '../../parts/record-sheet';
import { KIND_WORDS, percent, Pot, SoilSlice } from '../../parts/water-left';
import { useSay } from '../../parts/toast';
import { WaterButton } from './water-button';

const onDay = (p: PlantOnView, day: Day): number | null =>
  p.course.find((c) => c.day === day)?.fractionAvailable ?? null;
const mean = (list: readonly (number | null)[]): number | null => {
  const known = list.flatMap((x) => (x === null ? [] : [x]));
  return known.length === 0 ? null : known.reduce((a, b) => a + b, 0) / known.length;
};

/** One bed, or one group of pots, drawn as one walks past it. */
export function PlaceStrip({ view, day }: { view: PlaceOnView; day: Day }) {
  const garden = useGarden();
  const { place, plants } = view;
  const [recording, setRecording] = useState(false);
  const pots = place.kind === 'container';
  const fraction = mean(plants.map((p) => onDay(p, day)));
  return (
    <section
      aria-labelledby={`place-${place.id}`}
      className="rounded-2xl border border-line bg-card px-3 pt-2 pb-3 sm:px-4"
    >
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <h2 id={`place-${place.id}`} className="inline text-lg">
            {place.name}
          </h2>
          <span className="ml-2 text-sm text-soft">
            {!pots && (
              <>
                <strong className="text-base text-ink tabular-nums">{percent(fraction)}</strong> left ·{' '}
              </>
            )}
            {pots
              ? `${showLitres(place.volumeL ?? 0, garden.units)} ${place.potMaterial ?? ''} ${place.potMaterial === 'fabric' ? 'bags' : 'pots'}`
              : `${KIND_WORDS[place.kind]}, ${SOILS[place.texture].label.toLowerCase()}`}
          </span>
        </div>
        <div className="flex items-center">
          {plants.length > 0 && <WaterButton view={view} />}
          {plants.length > 0 && (
            <Link
              to={`/gardens/${garden.id}/places/${place.id}/plan`}
              aria-label={`Water plan of ${place.name}`}
              className={buttonLook('quiet')}
            >
              <CalendarDays aria-hidden size={18} /> <span className="max-sm:hidden">Week</span>
            </Link>
          )}
          {plants.length > 0 && (
            <Link
              to={`/gardens/${garden.id}/places/${place.id}/walk`}
              aria-label={`Walk along ${place.name}`}
              className={buttonLook('quiet')}
            >
              <Footprints aria-hidden size={18} /> <span className="max-sm:hidden">Walk</span>
            </Link>
          )}
          <Button
            look="quiet"
            onClick={() => setRecording(true)}
            className="px-3.5"
            aria-label={`Record something done at ${place.name}`}
          >
            <Plus aria-hidden size={18} />
          </Button>
          <Link
            to={`/gardens/${garden.id}/places/${place.id}`}
            aria-label={`Change ${place.name}`}
            className={`${buttonLook('quiet')} px-3`}
          >
            <Pencil aria-hidden size={17} />
          </Link>
        </div>
      </div>
      <ul className="mt-1 grid grid-cols-3 items-end gap-y-2 sm:grid-cols-[repeat(auto-fit,minmax(6.5rem,1fr))]">
        {plants.map((p) => (
          <PlantCell
            key={p.plant.id}
            view={p}
            fraction={onDay(p, day)}
            pot={pots ? (place.potMaterial ?? 'plastic') : null}
            isToday={day === garden.today}
          />
        ))}
        {plants.length === 0 && (
          <li className="col-span-full py-6 text-center text-soft">
            Nothing stands here yet.{' '}
            <Link
              className="font-semibold text-leaf underline"
              to={`/gardens/${garden.id}/places/${place.id}/plants/new`}
            >
              Add a plant
            </Link>
          </li>
        )}
      </ul>
      <RecordSheet
        open={recording}
        onClose={() => setRecording(false)}
        subject={{ plantId: null, placeId: place.id, name: place.name }}
        day={day <= garden.today ? day : garden.today}
      />
    </section>
  );
}

/** What is said under a plant: its trouble, its thirst, or nothing. */
function Mark({ view }: { view: PlantOnView }) {
  const dayWords = useDayWords();
  const { today } = useGarden();
  if (view.finding && !view.finding.harmless)
    return (
      <span className="flex items-start gap-1 font-semibold text-ripe">
        <CircleDot aria-hidden size={15} className="mt-1 shrink-0" /> {view.finding.label}
      </span>
    );
  if (view.unclear)
    return (
      <span className="flex items-start gap-1 font-semibold">
        <TriangleAlert aria-hidden size={15} className="mt-1 shrink-0" /> Not clear yet
      </span>
    );
  if ((view.fractionAvailable ?? 1) < 0.25)
    return (
      <span className="flex items-start gap-1 font-semibold text-ripe">
        <TriangleAlert aria-hidden size={15} className="mt-1 shrink-0" /> Dry
      </span>
    );
  if (view.finding) return <span className="text-soft">{view.finding.label}: harmless</span>;
  return (
    <span className="text-soft">
      {view.lastLook === today
        ? 'looked at today'
        : view.lastLook
          ? `seen ${dayWords(view.lastLook)}`
          : 'not looked at yet'}
    </span>
  );
}

function PlantCell({
  view,
  fraction,
  pot,
  isToday,
}: {
  view: PlantOnView;
  fraction: number | null;
  pot: 'plastic' | 'glazed' | 'terracotta' | 'fabric' | null;
  isToday: boolean;
}) {
  const garden = useGarden();
  const say = useSay();
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const { plant } = view;
  const allClear = () => {
    const id = uuid();
    save.mutate(
      { id, type: 'inspection', plantId: plant.id, data: { date: garden.today, allClear: true, signs: [] } },
      {
        onSuccess: () => say(`${plant.name}: all clear.`, { undo: () => remove.mutate(id) }),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  const scale = Math.min(1, Math.max(0.5, (plant.heightM ?? 1) / 1.7));
  return (
    <li className="relative flex flex-col items-center self-stretch text-center">
      <Link
        to={`/gardens/${garden.id}/plants/${plant.id}`}
        className="group flex w-full flex-1 flex-col items-center justify-end hover:bg-leafwash"
      >
        <span className="flex min-h-14 items-end pt-1" aria-hidden>
          <PlantDrawing plant={plant} bare style={{ height: `${scale * 8}rem` }} />
        </span>
        {pot ? <Pot fraction={fraction} material={pot} id={plant.id} /> : <SoilSlice fraction={fraction} />}
        <span className="mt-1 px-1 leading-5 font-semibold text-ink group-hover:underline">{plant.name}</span>
        {pot && <span className="text-sm tabular-nums">{percent(fraction)} left</span>}
        <span className="min-h-5 px-1 text-sm leading-5">
          <Mark view={view} />
        </span>
      </Link>
      {isToday && (
        <button
          type="button"
          title="All clear"
          className="absolute top-0 right-0 grid size-11 place-items-center rounded-full text-leaf hover:bg-leafwash disabled:opacity-50"
          onClick={allClear}
          disabled={save.isPending}
          aria-label={`${plant.name}: all clear`}
        >
          <span className="grid size-7 place-items-center rounded-full border border-leaf">
            <Check aria-hidden size={16} />
          </span>
        </button>
      )}
    </li>
  );
}
