import type { PlaceDto, PlacePlanDto } from '@candid-leaf/contract';
import { HELD_WHY, WATERING_METHODS } from '@candid-leaf/core/water';
import clsx from 'clsx';
import { Check, CloudRain, Droplets } from 'lucide-react';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Panel } from '../../../ui/panel';
import { useWrite } from '../../../ui/use-write';
import { percent } from '../../../ui/water-left';
import { RecordSheet } from '../../../frame/acts/record-sheet';
import { doTask, undoTask } from '../../../data/tasks';
import { LitresOpened } from '../../../ui/litres-opened';
import { overAll, weekOf, withoutRain, type PlaceDay, type PourOnDay } from '../week-of';

/** The week of a bed in sentences and days. */
export function Week({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const days = weekOf(p);
  if (days.length === 0)
    return (
      <Panel main as="div" className="text-soft">
        {p.pours.some((pour) => !pour.known && pour.plants.length > 0) && p.weatherUntil
          ? 'We don’t know how much water these plants had, so we can’t suggest an amount. Check the soil below, and record waterings from now on.'
          : 'Without weather and a plant we can’t estimate anything. Add a plant, or update the weather in the settings.'}
      </Panel>
    );
  return (
    <Panel label="The next seven days" className="sm:p-5">
      <Summary p={p} />
      <ol className="mt-3 divide-y divide-line">
        {days.map((d) => (
          <WeekDay key={d.date} d={d} place={place} together={p.together} />
        ))}
      </ol>
    </Panel>
  );
}

function Summary({ p }: { p: PlacePlanDto }) {
  const format = useFormat();
  const [first] = p.pours;
  const saves = overAll(p, (plan) => plan.rainSavesL);
  const dry = withoutRain(p);
  const leftOut = p.pours.flatMap((pour) => pour.leftOut);
  const held = p.pours.filter((pour) => pour.plan?.held);
  return (
    <p className="max-w-prose text-lg">
      {held.length < p.pours.length && (
        <>
          <strong className="tabular-nums">{format.litres(overAll(p, (plan) => plan.litres))}</strong> this week
          {p.together && first?.plan && first.plants.length > 1 && (
            <span className="text-soft"> ({format.litres(first.plan.litres)} per plant)</span>
          )}
          , {WATERING_METHODS[p.method].label.toLowerCase()}.
        </>
      )}
      {saves > 0 && (
        <>
          {' '}
          The forecast rain saves <strong className="tabular-nums">{format.litres(saves)}</strong>.
        </>
      )}
      {dry && ` If it does not rain, give ${format.litres(dry.litres)} on ${format.day(dry.date)}.`}
      {p.pours.some((pour) => pour.plan?.capped) && ' The weekly limit holds some of it back.'}
      {p.drying && ` ${p.drying}`}
      {held.length > 0 &&
        ` Water is held back${p.together || held.length === p.pours.length ? '' : ` for ${held.map((pour) => pour.speaker).join(' and ')}`}: ${HELD_WHY}.`}
      {leftOut.length > 0 && ` Not ${leftOut.join(', ')}: let the soil there dry first.`}
    </p>
  );
}

function WeekDay({ d, place, together }: { d: PlaceDay; place: PlaceDto; together: boolean }) {
  const garden = useGarden();
  const format = useFormat();
  const isToday = d.date === garden.today;
  return (
    <li
      className={clsx(
        'grid grid-cols-[4.5rem_1fr] items-start gap-x-3 gap-y-1 py-3 sm:grid-cols-[5rem_1fr]',
        !d.allowed && 'text-soft',
      )}
    >
      <span className="font-semibold">{isToday ? 'Today' : format.weekdayShort(d.date)}</span>
      <div>
        {!together && d.litres > 0 && (
          <p className="tabular-nums">
            <strong>{format.litres(d.litres)}</strong> in total
          </p>
        )}
        <ul>
          {d.pours.map((x) => (
            <PourLine key={x.pour.id} x={x} named={!together} />
          ))}
        </ul>
        {d.rainMm >= 1 && (
          <p className="flex items-center gap-1.5 text-sm text-soft">
            <CloudRain aria-hidden size={16} /> {format.rain(d.rainMm)} of rain {isToday ? 'so far' : 'forecast'}
          </p>
        )}
        {isToday && d.litres > 0 && <Answers d={d} place={place} />}
      </div>
    </li>
  );
}

/** What one group gets that day, how, and what is left at night. */
function PourLine({ x: { pour, day, litres }, named }: { x: PourOnDay; named: boolean }) {
  const format = useFormat();
  return (
    <li className="grid items-start gap-x-3 sm:grid-cols-[1fr_9rem]">
      <div>
        {day.litres > 0 ? (
          <p className="flex flex-wrap items-center gap-x-2">
            <Droplets aria-hidden size={18} className="text-rain" />
            {named && <span>{pour.speaker}</span>}
            <LitresOpened
              says={<strong className="tabular-nums">{format.litres(litres)}</strong>}
              of={day.of}
              plants={pour.plants.length}
            />
            <span className="tabular-nums">{stepsInWords(day)}</span>
          </p>
        ) : (
          <p className="text-soft">
            {named && `${pour.speaker}: `}no water{day.why && !pour.plan?.held && `: ${day.why}`}
          </p>
        )}
        {day.litres > 0 && (
          <p className="text-sm text-soft tabular-nums">
            {pour.plants.length > 1 && `${format.litres(day.litres)} per plant, `}
            {format.rain(day.mm)} over its soil; {day.why}
            {day.laterL > 0 && `; save ${format.litres(day.laterL)} for after midday`}
          </p>
        )}
      </div>
      <div>
        <div aria-hidden className="h-3 overflow-hidden rounded-full border border-soft/50 bg-dry">
          <div className="h-full bg-wet" style={{ width: `${day.left * 100}%` }} />
        </div>
        <p className="text-sm text-soft tabular-nums">
          {percent(day.left)} left at night
          {day.leftWithoutRain < day.left - 0.02 && <>, {percent(day.leftWithoutRain)} without the rain</>}
        </p>
      </div>
    </li>
  );
}

/** Returns "18 min", or rounds if the soil takes it slowly. */
function stepsInWords({ steps: s }: PourOnDay['day']): string {
  if (!s) return '';
  const each = s.minutes === null ? '' : `${Math.max(1, Math.round(s.minutes))} min`;
  if (s.times === 1) return each;
  return `${each ? `${s.times} rounds of ${each}` : `in ${s.times} rounds`}, ${s.waitMinutes} minutes apart`;
}

/** Ticks today's watering: the same task as in Today. */
function Answers({ d, place }: { d: PlaceDay; place: PlaceDto }) {
  const garden = useGarden();
  const format = useFormat();
  const done = useWrite(doTask, garden.id);
  const undo = useWrite(undoTask, garden.id);
  const [other, setOther] = useState(false);
  const tick = () => {
    for (const { pour, day, litres } of d.pours) {
      if (day.litres === 0) continue;
      const key = `water:${pour.id}`;
      const name = pour.id === place.id ? place.name : pour.speaker;
      done.mutate(
        { key, at: new Date().toISOString(), recordId: uuid() },
        {
          said: `${name}: ${format.litres(litres)} saved.`,
          undo: ({ recordId }) => undo.mutate({ key, recordId }),
        },
      );
    }
  };
  return (
    <div className="mt-2 flex flex-wrap gap-1">
      <Button look="main" disabled={done.isPending} onClick={tick}>
        <Check aria-hidden size={18} /> Done
      </Button>
      <Button look="quiet" onClick={() => setOther(true)}>
        Other amount
      </Button>
      {other && (
        <RecordSheet
          open
          onClose={() => setOther(false)}
          target={{ plantId: null, placeId: place.id, name: place.name }}
          day={d.date}
          kinds={['watering']}
        />
      )}
    </div>
  );
}
