import { type CaseContext, contextOf, onDay } from '../diagnosis/context.js';
import type { PlantCase } from '../records/plant-case.js';
import { addDays } from '../units/day.js';
import { waterBalance } from '../water/balance.js';
import type { ForecastWeather } from '../water/expected-weather.js';
import { WEEK_DAYS, type WeekPlan } from '../water/plan.js';

/**
 * Returns the coming days as if they were past: the forecast as weather and the plan's waterings as given. One context a
 * day, from tomorrow to the last day of the forecast, at most seven; the same rules then judge them as judge the past.
 * @param forecast with all its rain, as it brings splits whether or not the plan counts on it
 */
export function weekAhead(
  ctx: CaseContext,
  plan: WeekPlan | null,
  forecast: readonly ForecastWeather[],
): CaseContext[] {
  const { case: c, format } = ctx;
  const days = forecast.filter((f) => f.date > c.asOf && f.date <= addDays(c.asOf, WEEK_DAYS));
  const last = days.at(-1)?.date;
  if (!last) return [];
  const planned = (plan?.days ?? [])
    // what a timer gives comes on top; what was given today is recorded already
    .map((d) => ({ date: d.date, litres: d.litres + (d.date > c.asOf ? d.givenL : 0) }))
    .filter((d) => d.litres > 0 && d.date <= last);
  const then: PlantCase = {
    ...c,
    asOf: last,
    records: {
      ...c.records,
      weather: [...c.records.weather, ...days],
      watering: [...c.records.watering, ...planned],
    },
  };
  const whole = contextOf(then, [], format, waterBalance(then));
  return days.map((d) => onDay(whole, d.date, ctx));
}
