import type { PlaceDto, PlacePlan, PlaceWatering } from '@candid-leaf/contract';
import { type PlanDay, SCHOOLS } from '@candid-leaf/core/water';
import clsx from 'clsx';
import { format, parseISO } from 'date-fns';
import { Check, CloudRain, Droplets, Scale } from 'lucide-react';
import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { asInput } from '../../data/as-input';
import { useDayWords, useGarden } from '../../data/garden-context';
import { useDeleteRecord, usePlacePlan, useSavePlace, useSaveRecord } from '../../data/queries';
import { Button, buttonLook } from '../../parts/button';
import { GardenPage } from '../../parts/garden-page';
import { RecordSheet } from '../../parts/record-sheet';
import { Failed, Waiting } from '../../parts/states';
import { useSay } from '../../parts/toast';
import { percent } from '../../parts/water-left';
import { Rules } from './rules';
import { TeachWeight } from './teach-weight';
import { Timer } from './timer';

/** One place's coming week: which mornings, how much, how long; what rain saves, and what if it does not come. */
export function PlanScreen() {
  const { gardenId, placeId } = useParams() as { gardenId: string; placeId: string };
  return (
    <GardenPage title={(v) => v.places.find((p) => p.place.id === placeId)?.place.name ?? 'Water'}>
      {(v) => {
        const place = v.places.find((p) => p.place.id === placeId)?.place;
        return place ? <Plan key={placeId} place={place} /> : <Navigate to={`/gardens/${gardenId}`} replace />;
      }}
    </GardenPage>
  );
}

function Plan({ place }: { place: PlaceDto }) {
  const garden = useGarden();
  const plan = usePlacePlan(garden.id, place.id);
  const save = useSavePlace(garden.id);
  const say = useSay();
  if (plan.isPending) return <Waiting what="Reckoning the week" />;
  if (plan.error) return <Failed error={plan.error} again={() => void plan.refetch()} />;
  const p = plan.data;
  const setWatering = (change: Partial<PlaceWatering>, flowLPerH?: number) => {
    save.mutate(
      { ...asInput(place), watering: { ...p.watering, ...change }, ...(flowLPerH ? { flowLPerH } : {}) },
      { onError: (e) => say(e.message, { bad: true }) },
    );
  };
  return (
    <div className="grid gap-5 lg:grid-cols-[1fr_23.5rem]">
      <div className="flex flex-col gap-4">
        <Week place={place} p={p} />
        <Correct place={place} p={p} />
        {place.kind === 'container' && <TeachWeight place={place} />}
        {p.watering.timerZone && <Timer place={place} p={p} />}
        <Facts p={p} />
      </div>
      <Rules place={place} p={p} busy={save.isPending} onChange={setWatering} />
    </div>
  );
}

function Week({ place, p }: { place: PlaceDto; p: PlacePlan }) {
  const garden = useGarden();
  const dayWords = useDayWords();
  if (!p.plan)
    return (
      <p className="rounded-2xl border border-line bg-card p-5 text-soft">
        Without weather and a plant nothing can be reckoned. Add a plant, or pull the weather in the settings.
      </p>
    );
  const total = p.plan.litres * p.plants;
  const { plan } = p;
  return (
    <section aria-label="The coming week" className="rounded-2xl border border-line bg-card p-4 sm:p-5">
      <p className="max-w-prose text-lg">
        <strong className="tabular-nums">{showLitres(total, garden.units)}</strong> this week
        {p.plants > 1 && <span className="text-soft"> ({showLitres(plan.litres, garden.units)} a plant)</span>},{' '}
        {SCHOOLS[p.school].label.toLowerCase()}.
        {plan.rainSavesL > 0 && (
          <>
            {' '}
            The rain expected saves{' '}
            <strong className="tabular-nums">{showLitres(plan.rainSavesL * p.plants, garden.units)}</strong>.
          </>
        )}
        {plan.withoutRain && (
          <>
            {' '}
            If it does not come, give {showLitres(plan.withoutRain.litres * p.plants, garden.units)} on{' '}
            {dayWords(plan.withoutRain.date)}.
          </>
        )}
        {plan.capped && ' The weekly limit keeps some of it back.'}
      </p>
      <ol className="mt-3 divide-y divide-line">
        {plan.days.map((d) => (
          <Day key={d.date} d={d} p={p} place={place} />
        ))}
      </ol>
    </section>
  );
}

function Day({ d, p, place }: { d: PlanDay; p: PlacePlan; place: PlaceDto }) {
  const garden = useGarden();
  const isToday = d.date === garden.today;
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const say = useSay();
  const [other, setOther] = useState(false);
  const litres = d.litres * p.plants;
  const done = () => {
    const id = uuid();
    save.mutate(
      { id, type: 'watering', placeId: place.id, data: { date: d.date, litres: d.litres } },
      {
        onSuccess: () =>
          say(`${place.name}: ${showLitres(litres, garden.units)} written down.`, { undo: () => remove.mutate(id) }),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  return (
    <li
      className={clsx(
        'grid grid-cols-[4.5rem_1fr] items-start gap-x-3 gap-y-1 py-3 sm:grid-cols-[5rem_1fr_9rem]',
        !d.allowed && 'text-soft',
      )}
    >
      <span className="font-semibold">{isToday ? 'Today' : format(parseISO(d.date), 'EEE d')}</span>
      <div>
        {d.litres > 0 ? (
          <p className="flex flex-wrap items-center gap-x-2">
            <Droplets aria-hidden size={18} className="text-rain" />
            <strong className="tabular-nums">{showLitres(litres, garden.units)}</strong>
            <span className="tabular-nums">{steps(d)}</span>
          </p>
        ) : (
          <p className="text-soft">no water{d.why && `: ${d.why}`}</p>
        )}
        {d.litres > 0 && (
          <p className="text-sm text-soft tabular-nums">
            {p.plants > 1 && `${showLitres(d.litres, garden.units)} a plant, `}
            {showRain(d.mm, garden.units)} over its soil; {d.why}
          </p>
        )}
        {d.rainMm >= 1 && (
          <p className="flex items-center gap-1.5 text-sm text-soft">
            <CloudRain aria-hidden size={16} /> {showRain(d.rainMm, garden.units)} of rain expected
          </p>
        )}
        {isToday && d.litres > 0 && (
          <div className="mt-2 flex flex-wrap gap-1">
            <Button look="main" disabled={save.isPending} onClick={done}>
              <Check aria-hidden size={18} /> Done
            </Button>
            <Button look="quiet" onClick={() => setOther(true)}>
              Other amount
            </Button>
          </div>
        )}
      </div>
      <div className="col-start-2 sm:col-start-3">
        <div aria-hidden className="h-3 overflow-hidden rounded-full border border-soft/50 bg-dry">
          <div className="h-full bg-moist" style={{ width: `${d.left * 100}%` }} />
        </div>
        <p className="text-sm text-soft tabular-nums">
          {percent(d.left)} left at night
          {d.leftWithoutRain < d.left - 0.02 && <>, {percent(d.leftWithoutRain)} without the rain</>}
        </p>
      </div>
      {other && (
        <RecordSheet
          open
          onClose={() => setOther(false)}
          subject={{ plantId: null, placeId: place.id, name: place.name }}
          day={d.date}
          kinds={['watering']}
        />
      )}
    </li>
  );
}

/** "18 minutes", or in steps where the soil takes it slowly. */
function steps(d: PlanDay): string {
  const s = d.steps;
  if (!s) return '';
  const minutes = s.minutes === null ? null : Math.max(1, Math.round(s.minutes));
  const one = minutes === null ? '' : `${minutes} min`;
  if (s.times === 1) return one;
  return minutes === null
    ? `in ${s.times} goes, ${s.waitMinutes} min between`
    : `${s.times} × ${one}, ${s.waitMinutes} min between`;
}

/** A finger in the soil moves the plan at once. */
function Correct({ place, p }: { place: PlaceDto; p: PlacePlan }) {
  const garden = useGarden();
  const save = useSaveRecord(garden.id);
  const remove = useDeleteRecord(garden.id);
  const say = useSay();
  const feel = (felt: 'dry' | 'damp' | 'wet') => {
    const id = uuid();
    save.mutate(
      { id, type: 'soil-check', placeId: place.id, data: { date: garden.today, feel: felt, depthCm: 5 } },
      {
        onSuccess: () => say(`Soil felt ${felt}: the plan follows.`, { undo: () => remove.mutate(id) }),
        onError: (e) => say(e.message, { bad: true }),
      },
    );
  };
  return (
    <section aria-label="Correct it with a finger" className="rounded-2xl border border-line bg-card p-4">
      <p>
        By the balance <strong className="tabular-nums">{percent(p.fractionAvailable)}</strong> is left
        {p.plantName && p.plants > 1 ? ` at the driest, ${p.plantName}` : ''}
        {p.uncertainty !== null && `, give or take ${percent(p.uncertainty)}`}. What does a finger say, two knuckles
        deep?
      </p>
      <div role="group" aria-label="Soil at a finger’s depth" className="mt-2 flex flex-wrap gap-2">
        {(['dry', 'damp', 'wet'] as const).map((f) => (
          <Button key={f} disabled={save.isPending} onClick={() => feel(f)}>
            {f.charAt(0).toUpperCase() + f.slice(1)}
          </Button>
        ))}
        <Link className={buttonLook('quiet')} to={`/gardens/${garden.id}/bench?place=${place.id}`}>
          <Scale aria-hidden size={18} /> Try other habits here
        </Link>
      </div>
    </section>
  );
}

/** How old the facts are that the plan stands on. */
function Facts({ p }: { p: PlacePlan }) {
  const dayWords = useDayWords();
  return (
    <p className="text-sm text-soft">
      {p.weatherUntil ? `Weather measured up to ${dayWords(p.weatherUntil)}` : 'No weather measured'}
      {p.forecastUntil
        ? `, foreseen to ${dayWords(p.forecastUntil)}`
        : ', no forecast: the days are taken to be like the last week'}
      . Rain counts from a chance of 60 %. Morning is the time: leaves dry, and least is lost.
    </p>
  );
}
