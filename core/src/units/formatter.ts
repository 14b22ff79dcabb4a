import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { addDays, type Day } from './day.js';
import { inSpoons, spoonSetOf } from './kitchen.js';
import { first, last } from './lists.js';
import { KG_PER_POUND, LITRES_PER, M2_PER, measureOf, type Quantity } from './measures.js';
import { type DateForm, METRIC, type Units, type VolumeUnit } from './units.js';

/**
 * Formats amounts and days for this gardener. The only way from a number or a day to words: screens use it, and every
 * function of the core that makes a sentence takes it.
 */
export interface Formatter {
  readonly units: Units;
  litres: (litres: number) => string;
  temperature: (celsius: number) => string;
  /** a temperature range: the unit appears once */
  temperatures: (lowC: number, highC: number) => string;
  /** a temperature difference: "2.5 °C", "4.5 °F" */
  warmthBy: (kelvin: number) => string;
  rain: (mm: number) => string;
  centimetres: (cm: number) => string;
  metres: (m: number) => string;
  elevation: (m: number) => string;
  grams: (grams: number) => string;
  kilograms: (kg: number) => string;
  /** a small amount to pour, with spoons beside it: "6.5 mL (1¼ tsp)" */
  millilitres: (ml: number) => string;
  /** a powder, with spoons beside its weight if its density is known: "5 g (1 tsp)" */
  powder: (grams: number, gPerMl?: number | null) => string;
  /** grams of a nutrient, to the tenth */
  nutrient: (grams: number) => string;
  area: (m2: number) => string;
  windSpeed: (ms: number) => string;
  /** the measure for a dose or a yield ("a litre"), in words and in metric */
  per: Record<'water' | 'ground' | 'fruit', Told>;
  /** "9 July" in the garden's own form */
  day: (day: Day) => string;
  /** "9 July 2025", of another year */
  dayAndYear: (day: Day) => string;
  /** "3, 9 and 12 July": several days, each month once */
  days: (days: readonly Day[]) => string;
  /** "Thursday 9 July" */
  weekdayAndDay: (day: Day) => string;
  /** "Thu 9", for a column of days */
  weekdayShort: (day: Day) => string;
  /** "9 Jul", for an axis */
  dayShort: (day: Day) => string;
}

/** A measure in words: "a litre", 1. */
export interface Told {
  words: string;
  metric: number;
}

const NBSP = '\u00a0';
const A_VOLUME: Record<VolumeUnit, string> = { L: 'a litre', 'gal-us': 'a US gallon', 'gal-imp': 'a gallon' };
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));
/** Rounds as a gardener would: 0.35, 2.2, 14. */
const sensible = (value: number): string => trimmed(value, Math.abs(value) < 1 ? 2 : Math.abs(value) < 10 ? 1 : 0);

const WEEKDAY_AND_DAY: Record<DateForm, string> = {
  'd MMMM': 'EEEE d MMMM',
  'MMMM d': 'EEEE, MMMM d',
  'yyyy-MM-dd': 'EEEE yyyy-MM-dd',
};
const DAY_AND_YEAR: Record<DateForm, string> = {
  'd MMMM': 'd MMMM yyyy',
  'MMMM d': 'MMMM d, yyyy',
  'yyyy-MM-dd': 'yyyy-MM-dd',
};
const DAY_SHORT: Record<DateForm, string> = { 'd MMMM': 'd MMM', 'MMMM d': 'MMM d', 'yyyy-MM-dd': 'MM-dd' };

/** Cache of formatted days: the same ones are shown again and again. */
const WRITTEN = new Map<string, string>();
const MOST_REMEMBERED = 5000;
const inForm =
  (form: string) =>
  (day: Day): string => {
    const key = `${form} ${day}`;
    let text = WRITTEN.get(key);
    if (text === undefined) {
      text = format(parseISO(day), form);
      if (WRITTEN.size >= MOST_REMEMBERED) WRITTEN.clear();
      WRITTEN.set(key, text);
    }
    return text;
  };

/** Returns words as a list: "a, b and c".
 * @example joined(['a', 'b', 'c']) // 'a, b and c'
 */
export const joined = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Days in a row from which "8 to 14 July" is shorter to read than each of them. */
const RUN = 3;

/** Returns sorted days in groups: a run of neighbours within a month is one group, any other day is its own. */
function inRuns(sorted: readonly Day[]): Day[][] {
  const runs: Day[][] = [];
  for (const day of sorted) {
    const before = runs.at(-1);
    const follows = before && addDays(last(before), 1) === day && before[0]?.slice(0, 7) === day.slice(0, 7);
    if (follows) before.push(day);
    else runs.push([day]);
  }
  return runs.flatMap((run) => (run.length < RUN ? run.map((d) => [d]) : [run]));
}

/** Formats several days together: a month they share appears once, if the form allows it, and a run has two ends. */
function daysTogether(days: readonly Day[], form: DateForm): string {
  const runs = inRuns([...new Set(days)].sort());
  const shares = (a: Day[] | undefined, [b]: Day[]): boolean => a?.[0]?.slice(0, 7) === b?.slice(0, 7);
  return joined(
    runs.map((run, i) => {
      const [from, to] = [first(run), last(run)];
      const alone = (d: Day): string => String(Number(d.slice(8)));
      const monthAfter = form === 'd MMMM' && shares(runs[i + 1], run);
      const monthBefore = form === 'MMMM d' && shares(runs[i - 1], run);
      const end = (d: Day, isBare: boolean): string => (isBare ? alone(d) : inForm(form)(d));
      if (from === to) return end(from, monthAfter || monthBefore);
      return `${end(from, form === 'd MMMM' || monthBefore)} to ${end(to, form === 'MMMM d' || monthAfter)}`;
    }),
  );
}

/** Returns a formatter for these units and this form of dates. All amounts go in as metric. */
export function formatterFor(units: Units = METRIC, dateForm: DateForm = 'd MMMM'): Formatter {
  const shown =
    (quantity: Quantity, write: (value: number) => string = sensible) =>
    (metric: number): string => {
      const m = measureOf(quantity, units);
      return `${write(m.fromMetric(metric))}${NBSP}${m.symbol}`;
    };
  const whole = (x: number): string => String(Math.round(x) + 0);
  const celsius = measureOf('celsius', units);
  const spoons = (ml: number): string => {
    const spooned = inSpoons(ml, spoonSetOf(units));
    return spooned ? ` (${spooned.text})` : '';
  };
  const grams = shown('grams');
  return {
    units,
    litres: shown('litres'),
    temperature: shown('celsius', whole),
    temperatures: (low, high) =>
      `${whole(celsius.fromMetric(low))} to ${whole(celsius.fromMetric(high))}${NBSP}${celsius.symbol}`,
    warmthBy: (k) => `${trimmed(celsius.fromMetric(k) - celsius.fromMetric(0), 1)}${NBSP}${celsius.symbol}`,
    rain: shown('rainMillimetres', units.length === 'cm' ? sensible : (x) => trimmed(x, 2)),
    centimetres: shown('centimetres'),
    metres: shown('metres'),
    elevation: shown('elevationMetres', whole),
    grams,
    kilograms: shown('kilograms'),
    millilitres: (ml) => `${sensible(ml)}${NBSP}mL${spoons(ml)}`,
    powder: (g, gPerMl) => `${grams(g)}${gPerMl ? spoons(g / gPerMl) : ''}`,
    nutrient: (g) => `${trimmed(g, 1)}${NBSP}g`,
    area: shown('squareMetres'),
    windSpeed: shown('windSpeed', whole),
    per: {
      water: { words: A_VOLUME[units.volume], metric: LITRES_PER[units.volume] },
      ground: { words: units.area === 'm2' ? 'a square metre' : 'a square foot', metric: M2_PER[units.area] },
      fruit: units.mass === 'g' ? { words: '1 kg', metric: 1 } : { words: '1 lb', metric: KG_PER_POUND },
    },
    day: inForm(dateForm),
    dayAndYear: inForm(DAY_AND_YEAR[dateForm]),
    days: (days) => daysTogether(days, dateForm),
    weekdayAndDay: inForm(WEEKDAY_AND_DAY[dateForm]),
    weekdayShort: inForm('EEE d'),
    dayShort: inForm(DAY_SHORT[dateForm]),
  };
}

/** Metric, "9 July". */
export const METRIC_FORMAT: Formatter = formatterFor();
