import { dayWords, type Day } from '../day.js';
import { diagnose, CLEAR_FROM, type Diagnosis } from '../diagnosis/engine/diagnose.js';
import type { NextCheck } from '../diagnosis/engine/check-gains.js';
import { nextChecks } from '../diagnosis/engine/next-checks.js';
import { chooseRemedies, type Remedy, type Withheld } from '../diagnosis/remedies/choose.js';
import { storyOf, type Story } from '../diagnosis/story.js';
import { disorderRow } from '../diagnosis/tables/index.js';
import { headline } from '../diagnosis/telling.js';
import type { SignCode } from '../diagnosis/vocabulary/signs.js';
import type { BalanceDay } from '../water/run.js';
import { probeFault } from '../water/measured.js';
import { evenness, FRUIT_WINDOW_DAYS } from '../water/evenness.js';
import type { ForecastWeather, NextWatering } from '../water/next-watering.js';
import type { EtoMethod } from '../climate/reference-evapotranspiration.js';
import { METRIC, type Units } from '../units/units.js';
import type { CaseFile } from './case-file.js';

export interface WaterReport {
  tawMm: number | null;
  rawMm: number | null;
  /** containers only */
  tawL?: number;
  rawL?: number;
  etoMethod: EtoMethod | null;
  daily: BalanceDay[];
  /** the coming days as they would go with no watering; from the forecast, or like the last week */
  ahead: { date: Day; fractionAvailable: number }[];
  evenness: number | null;
  nextWatering: NextWatering | null;
}

/** The answer to a case file: format `candid-leaf-report`, version 1. */
export interface Report {
  format: 'candid-leaf-report';
  version: 1;
  asOf: Day;
  headline: string;
  water: WaterReport;
  diagnosis: Diagnosis[];
  nextChecks: NextCheck[];
  remedies: Remedy[];
  withheld: Withheld[];
  unexplained: SignCode[];
  harmless: boolean;
  notKnown: string[];
}

const round = (x: number, digits: number): number => Math.round(x * 10 ** digits) / 10 ** digits;

function rounded(day: BalanceDay): BalanceDay {
  const out = { ...day };
  for (const key of Object.keys(out) as (keyof BalanceDay)[]) {
    const value = out[key];
    if (typeof value === 'number') (out[key] as number) = round(value, key === 'soilM2' ? 4 : 3);
  }
  return out;
}

function waterReport(s: Story): WaterReport {
  const { c } = s;
  const daily = s.balance.days;
  const last = daily.at(-1);
  const { next, ahead } = s.upcoming;
  const even = evenness(daily.slice(-FRUIT_WINDOW_DAYS));
  const report: WaterReport = {
    tawMm: last ? round(last.tawMm, 1) : null,
    rawMm: last ? round(last.rawMm, 1) : null,
    etoMethod: s.balance.etoMethod,
    daily: daily.map(rounded),
    evenness: even === null ? null : round(even, 2),
    ahead: ahead.map((d) => ({ date: d.date, fractionAvailable: round(d.fractionAvailable, 3) })),
    nextWatering: next,
  };
  if (last && c.place.kind === 'container') {
    report.tawL = round(last.tawMm * last.soilM2, 2);
    report.rawL = round(last.rawMm * last.soilM2, 2);
  }
  return report;
}

/** What the records could not say, most useful first. */
function notKnown(s: Story, list: readonly Diagnosis[], asks: readonly string[]): string[] {
  const first = s.c.records.weather[0]?.date;
  const planted = s.c.plant.transplantedOn;
  const filled = s.balance.days.filter((d) => d.filled).length;
  return [
    ...(first === undefined ? ['no weather is on record: water and warmth cannot be reckoned'] : []),
    ...(first && planted && planted < first ? [`no weather records before ${first}`] : []),
    ...(filled > 0 ? [`${filled} days without weather were filled in between their neighbours`] : []),
    ...(s.balance.days.length > 0 && s.c.records.watering.length === 0
      ? ['no watering is on record: record it, or say that none was given']
      : []),
    ...(list[0] &&
    list[0].probability >= CLEAR_FROM &&
    list[0].drivers.length === 0 &&
    disorderRow(list[0].disorder).drivers.length > 0
      ? [`no cause of it was found in the records up to ${dayWords(s.c.asOf)}`]
      : []),
    ...(probeFault(s.c) ? [probeFault(s.c)!] : []),
    ...new Set(asks),
  ];
}

/**
 * The full report on one plant's case. Pure: the same case (and forecast) always gives the same report.
 * Amounts are metric; `units` only words what is told.
 * @param forecast days after `asOf`, if any are known; without them the coming week is taken to be like the last
 */
export const reportOn = (c: CaseFile, forecast: readonly ForecastWeather[] = [], units: Units = METRIC): Report =>
  reportFrom(storyOf(c, forecast, units));

/** The same from a story that is already worked out. */
export function reportFrom(s: Story): Report {
  const { c } = s;
  const result = diagnose(s);
  const { remedies, withheld } = chooseRemedies(s, result);
  const likely = result.list.filter((d) => d.probability >= CLEAR_FROM);
  const asks = likely.flatMap((d) =>
    result.all.find((x) => x.row.code === d.disorder)!.unknown.map((u) => u.verdict.ask),
  );
  return {
    format: 'candid-leaf-report',
    version: 1,
    asOf: c.asOf,
    headline: headline(result.list),
    water: waterReport(s),
    diagnosis: result.list,
    nextChecks: nextChecks(s, result),
    remedies,
    withheld,
    unexplained: result.unexplained,
    harmless: likely.length > 0 && likely.every((d) => disorderRow(d.disorder).harmless === true),
    notKnown: notKnown(s, result.list, asks),
  };
}
