import type { PlaceDto, PlacePlanDto } from '@candid-leaf/contract';
import { HELD_WHY, WATERING_METHODS } from '@candid-leaf/core/water';
import { useState } from 'react';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';
import { overAll, unknownOf, weekOf, withoutRain, type PlaceDay } from '../week-of';
import { DayOfWeek } from './day-of-week';
import { GiveToday } from './give-today';
import { WeekChart } from './week-chart';

/** The week of a bed: the next watering, one chart, and the chosen day. */
export function Week({ place, p }: { place: PlaceDto; p: PlacePlanDto }) {
  const days = weekOf(p);
  const next = days.find((d) => d.litres > 0);
  const [chosen, setChosen] = useState<string | null>(null);
  if (days.length === 0)
    return (
      <Panel main as="div" className="text-soft">
        {p.pours.some((pour) => !pour.known && pour.plants.length > 0) && p.weatherUntil
          ? 'We don’t know how much water these plants had, so we can’t suggest an amount. Check the soil below, and record waterings from now on.'
          : 'Without weather and a plant we can’t estimate anything. Add a plant, or update the weather in the settings.'}
      </Panel>
    );
  const shown = days.find((d) => d.date === chosen) ?? next ?? days[0]!;
  return (
    <Panel label="The next seven days" className="sm:p-5">
      <Headline p={p} next={next} place={place} />
      <WeekChart days={days} together={p.together} chosen={shown.date} onChoose={setChosen} />
      <DayOfWeek d={shown} together={p.together} />
      <Summary p={p} />
    </Panel>
  );
}

/** The next watering in a sentence; today's with its buttons. */
function Headline({ p, next, place }: { p: PlacePlanDto; next: PlaceDay | undefined; place: PlaceDto }) {
  const format = useFormat();
  const garden = useGarden();
  const unknown = unknownOf(p);
  const ask = unknown.length > 0 && (
    <p className="mt-1">{unknown.join(', ')}: how much water they had is not recorded. Check the soil below first.</p>
  );
  if (!next)
    return (
      <>
        <h2 className="text-xl">
          {p.pours.some((pour) => pour.plan?.held)
            ? 'Water is held back'
            : unknown.length > 0
              ? 'Check the soil first'
              : 'No water this week'}
        </h2>
        {ask}
      </>
    );
  const today = next.date === garden.today;
  return (
    <>
      <h2 className="text-xl tabular-nums">
        Water {today ? 'today' : format.weekdayAndDay(next.date)}: {format.litres(next.litres)}
      </h2>
      {ask}
      {today && <GiveToday d={next} place={place} />}
    </>
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
    <p className="mt-2 max-w-prose text-soft">
      {weekOf(p).filter((d) => d.litres > 0).length > 1 && (
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
