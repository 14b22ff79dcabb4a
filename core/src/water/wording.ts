import type { Day } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import type { Drying } from './learning.js';
import type { PlannedWatering } from './plan.js';
import type { Steadiness, WhatIf, DrierCost } from './what-if.js';
import { at, first } from '../units/lists.js';

/**
 * Says why a planned watering is on its day, by what is left that morning: "by the morning of 20 July about 38 % of
 * its water will be left: it would have used a quarter".
 */
export function whyWatered(next: PlannedWatering, asOf: Day, hasForecast: boolean, f: Formatter): string {
  const left = `about ${Math.round(next.left * 100)} % of its water`;
  if (next.date === asOf) {
    if (next.waterIn) return next.why;
    const tonight = next.tonight === null ? '' : `, ${Math.round(next.tonight * 100)} % by tonight`;
    return `this morning ${left} was left${tonight}: ${next.why}`;
  }
  const unless = hasForecast ? '' : ', if the weather stays the same';
  return `by the morning of ${f.day(next.date)} ${left} will be left${unless}: ${next.why}`;
}

/**
 * Returns how fast a bed or pot really dries: "By 7 checks, it dries 18 % faster than the tables say."
 * @example dryingInWords({ faster: -0.2, checks: 5 }) // 'By 5 checks, it dries 20 % slower than the tables say.'
 */
export const dryingInWords = ({ faster, checks }: Drying): string =>
  `By ${checks} checks, it dries ${Math.round(Math.abs(faster) * 100)} % ${faster > 0 ? 'faster' : 'slower'} than the tables say.`;

/** More often than this is shown as times a week, days. */
const TIMES_A_WEEK_UNDER = 3.5;

/**
 * Returns a rhythm in words: "4 times a week", "every 9 days".
 * @example rhythmInWords(2) // '4 times a week'
 */
export function rhythmInWords(everyDays: number): string {
  if (everyDays >= TIMES_A_WEEK_UNDER) return `every ${Math.round(everyDays)} days`;
  const times = Math.round(7 / everyDays);
  return times === 7 ? 'every day' : times > 7 ? 'more than once a day' : `${times} times a week`;
}

/** A smaller difference in litres is not mentioned, as a share. */
const SAME_WATER = 0.07;

/**
 * Says what one change would do: "With 6 cm of mulch: watered every 9 days instead of every 6, 8 L a week instead of
 * 11 L."
 */
export function whatIfInWords(now: Steadiness, change: WhatIf, f: Formatter): string {
  const changed =
    change.what === 'mulch' ? `With ${f.centimetres(change.size / 10)} of mulch` : `In ${f.litres(change.size)}`;
  const [was, would] = [rhythmInWords(now.daysBetween), rhythmInWords(change.daysBetween)];
  const litres = [now.litresPerWeek, change.litresPerWeek];
  const less = Math.abs(at(litres, 1) - first(litres)) > SAME_WATER * Math.max(first(litres), at(litres, 1));
  const often = was === would ? `watered ${was}, as now` : `watered ${would} instead of ${was}`;
  const water = less
    ? `${f.litres(at(litres, 1))} a week instead of ${f.litres(first(litres))}`
    : 'as much water as now';
  return was === would && !less ? `${changed} watering would stay as it is.` : `${changed}: ${often}, ${water}.`;
}

/** Says what drier soil costs while fruit colours: "Over the last four weeks: about 6 % less fruit, 3 L a week saved." */
export const drierInWords = ({ lossPct, savedLPerWeek }: DrierCost, f: Formatter): string =>
  lossPct < 1
    ? 'Over the last four weeks it would have cost hardly any fruit.'
    : `Over the last four weeks: about ${Math.round(lossPct)} % less fruit${savedLPerWeek > 0 ? `, ${f.litres(savedLPerWeek)} a week saved` : ''}.`;
