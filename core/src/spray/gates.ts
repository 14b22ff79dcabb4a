import type { WeatherDay } from '../climate/gaps.js';
import type { Spraying } from '../records/record-classes.js';
import { addDays, type Day, daysBetween } from '../units/day.js';
import type { Formatter } from '../units/formatter.js';
import { copperOnGround, MOST_COPPER_G_PER_M2 } from './copper.js';
import {
  beeRisk,
  burnsInHeat,
  conflictOf,
  EVENING_LIMIT_C,
  eveningC,
  LASTING_DAYS,
  LASTING_HEAT_C,
  lastsOnLeaves,
  MOST_IN_A_ROW,
  MOST_WIND_MS,
  rotationGroup,
  SPRAY_FROST_C,
  SPRAY_RAIN_CHANCE_PCT,
  type SprayCode,
  UNKNOWN_WAIT_DAYS,
  waitUnknown,
  WASHED_OFF_MM,
} from './limits.js';

/** Time of day: before the sun reaches the leaves, in the sun, or after it has left them. */
export type SprayHour = 'dawn' | 'midday' | 'evening';

interface SprayLabel {
  everyDays: number | null;
  mostUses: number | null;
  harvestDays: number | null;
  reentryHours: number | null;
  organic: boolean | null;
}

/** What a spray must wait for. */
export interface SprayQuestion {
  spray: SprayCode;
  label: SprayLabel;
  on: Day;
  hour: SprayHour;
  /** where it grows: that day and the two after it, as far as they are known */
  ahead: readonly (WeatherDay & { rainChancePct?: number | null })[];
  /** no rain or wind reaches it */
  enclosed: boolean;
  /** short of water; null if unknown */
  thirsty: boolean | null;
  flowersOpen: boolean;
  pondNear: boolean;
  /** of the same plant, this season */
  earlier: readonly Spraying[];
  /** a planned picking */
  pickOn: Day | null;
  organicOnly: boolean;
  /** copper metal its ground got in the last twelve months, g/m²; null if unknown */
  copperGPerM2?: number | null;
}

/** Something that forbids a spray now. */
export type SprayGate =
  | { gate: 'pond' | 'organic' }
  | { gate: 'sun' | 'bees' | 'bees-never' }
  | { gate: 'heat'; celsius: number }
  | { gate: 'hot-after' | 'frost-after'; celsius: number; day: Day }
  | { gate: 'thirst' }
  | { gate: 'wind'; ms: number }
  | { gate: 'rain'; mm: number; day: Day }
  | { gate: 'conflict'; other: SprayCode; on: Day; until: Day; because: string }
  | { gate: 'same-day'; other: SprayCode }
  | { gate: 'too-soon'; last: Day; until: Day }
  | { gate: 'most-uses'; uses: number }
  | { gate: 'copper'; gPerM2: number }
  | { gate: 'rotate'; group: string }
  | { gate: 'harvest'; pickOn: Day; free: Day };

/**
 * Returns the first day fruit may be picked again, by the label; by none that was entered, when any usual label is over.
 * Days are the garden's own: a spray after dusk counts on that evening's day.
 * @example pickFrom({ date: '2026-07-01', product: 'copper', harvestDays: 3 }) // '2026-07-04'
 */
export const pickFrom = (s: Pick<Spraying, 'date' | 'product' | 'harvestDays'>): Day =>
  addDays(s.date, s.harvestDays ?? (waitUnknown(s) ? UNKNOWN_WAIT_DAYS : 0));

/** The night the clocks go forward is an hour shorter than the clock says. */
const CLOCK_CHANGE_HOURS = 1;

/**
 * Returns the hour of re-entry on the garden's own clock, across midnight, with an hour to spare: a label means hours that
 * have passed, and the clocks may go forward in between.
 * @example enterFrom({ date: '2026-07-01', hour: 20 }, 12) // { day: '2026-07-02', hour: 9 }
 */
export function enterFrom(s: { date: Day; hour: number }, reentryHours: number): { day: Day; hour: number } {
  const hours = s.hour + (reentryHours > 0 ? reentryHours + CLOCK_CHANGE_HOURS : 0);
  return { day: addDays(s.date, Math.floor(hours / 24)), hour: hours % 24 };
}

type Ahead = SprayQuestion['ahead'][number];

/** Rain that would wash it off: enough of it, and likely enough; or little of it for sure, much of it perhaps. */
function washesOff(w: Ahead): boolean {
  const chance = w.rainChancePct ?? 100;
  return (w.rainMm >= WASHED_OFF_MM && chance >= SPRAY_RAIN_CHANCE_PCT) || (w.rainMm * chance) / 100 >= WASHED_OFF_MM;
}

/** What the weather of its day and the two after it says against it. */
function weatherGates(q: SprayQuestion): SprayGate[] {
  const gates: SprayGate[] = [];
  const [weather, next] = [dayOf(q, 0), dayOf(q, 1)];
  if (weather && burnsInHeat(q.spray)) {
    const celsius = { dawn: weather.tMinC, midday: weather.tMaxC, evening: eveningC(weather) }[q.hour];
    if (celsius >= EVENING_LIMIT_C) gates.push({ gate: 'heat', celsius });
  }
  if (lastsOnLeaves(q.spray)) {
    const after = Array.from({ length: LASTING_DAYS + 1 }, (_, i) => dayOf(q, i)).filter((w) => w !== null);
    const hottest = after.find((w) => w.tMaxC >= LASTING_HEAT_C);
    if (hottest) gates.push({ gate: 'hot-after', celsius: hottest.tMaxC, day: hottest.date });
    const coldest = after.slice(0, 2).find((w) => w.tMinC <= SPRAY_FROST_C);
    if (coldest) gates.push({ gate: 'frost-after', celsius: coldest.tMinC, day: coldest.date });
  }
  if (q.enclosed) return gates;
  if ((weather?.windMs ?? 0) > MOST_WIND_MS) gates.push({ gate: 'wind', ms: weather!.windMs! });
  const wet = [weather, next].find((w) => w && washesOff(w));
  if (wet) gates.push({ gate: 'rain', mm: wet.rainMm, day: wet.date });
  return gates;
}

const dayOf = (q: SprayQuestion, after: number): Ahead | null =>
  q.ahead.find((w) => w.date === addDays(q.on, after)) ?? null;

/** What is not known about the weather, so that the gardener looks before spraying. */
export type SprayUnknown = 'temperature' | 'wind' | 'rain';

/** Returns what must be looked at before spraying, because nothing measures or forecasts it here. */
export function sprayUnknowns(q: SprayQuestion): SprayUnknown[] {
  const [weather, next] = [dayOf(q, 0), dayOf(q, 1)];
  const needed = lastsOnLeaves(q.spray) ? LASTING_DAYS : 0;
  const warmthKnown = Array.from({ length: needed + 1 }, (_, i) => dayOf(q, i)).every((w) => w !== null);
  return [
    ...(burnsInHeat(q.spray) && !warmthKnown ? (['temperature'] as const) : []),
    ...(!q.enclosed && weather?.windMs == null ? (['wind'] as const) : []),
    ...(!q.enclosed && !next ? (['rain'] as const) : []),
  ];
}

const UNKNOWN_WORDS: Record<SprayUnknown, string> = {
  temperature: 'that it stays cool for two days',
  wind: 'that leaves hang still',
  rain: 'that no rain is on its way',
};
/**
 * Returns what to look at first, as a sentence; empty if all is known.
 * @example unknownsInWords(['wind']) // 'Make sure first that leaves hang still: we don’t know.'
 */
export const unknownsInWords = (unknowns: readonly SprayUnknown[]): string =>
  unknowns.length === 0
    ? ''
    : `Make sure first ${unknowns.map((u) => UNKNOWN_WORDS[u]).join(', and ')}: we don’t know.`;

/** Bees: what kills them long after is never put on open flowers, what kills while wet only after they are home. */
function beeGate(q: SprayQuestion): SprayGate[] {
  if (!q.flowersOpen) return [];
  const risk = beeRisk(q.spray);
  if (risk === 'lasting') return [{ gate: 'bees-never' }];
  return q.hour === 'midday' || (risk === 'fresh' && q.hour !== 'evening') ? [{ gate: 'bees' }] : [];
}

/** Returns everything against a spray at an hour of a day. Weedkiller that drifted in is not the gardener's spray. */
export function sprayGates(q: SprayQuestion): SprayGate[] {
  const gates: SprayGate[] = [];
  const earlier = q.earlier.filter((s) => s.product !== 'weedkiller-nearby' && s.date <= q.on);
  if (q.pondNear) gates.push({ gate: 'pond' });
  if (q.organicOnly && q.label.organic !== true) gates.push({ gate: 'organic' });
  if (q.hour === 'midday' && burnsInHeat(q.spray)) gates.push({ gate: 'sun' });
  gates.push(...beeGate(q));
  if (q.thirsty === true && burnsInHeat(q.spray)) gates.push({ gate: 'thirst' });
  gates.push(...weatherGates(q));
  for (const s of earlier) {
    const conflict = conflictOf(q.spray, s.product);
    if (conflict && daysBetween(s.date, q.on) < conflict.days)
      gates.push({
        gate: 'conflict',
        other: s.product,
        on: s.date,
        until: addDays(s.date, conflict.days),
        because: conflict.because,
      });
    else if (s.date === q.on && s.product !== q.spray) gates.push({ gate: 'same-day', other: s.product });
  }
  // a test on a leaf does not count as treating the plant
  const whole = earlier.filter((s) => !s.trial);
  const same = whole.filter((s) => s.product === q.spray);
  const last = same.at(-1);
  if (last && q.label.everyDays !== null && daysBetween(last.date, q.on) < q.label.everyDays)
    gates.push({ gate: 'too-soon', last: last.date, until: addDays(last.date, q.label.everyDays) });
  if (q.label.mostUses !== null && same.length >= q.label.mostUses)
    gates.push({ gate: 'most-uses', uses: same.length });
  if (q.spray === 'copper' && (q.copperGPerM2 ?? 0) >= MOST_COPPER_G_PER_M2)
    gates.push({ gate: 'copper', gPerM2: q.copperGPerM2! });
  const group = rotationGroup(q.spray);
  const inARow = whole.slice(-MOST_IN_A_ROW);
  if (group && inARow.length === MOST_IN_A_ROW && inARow.every((s) => rotationGroup(s.product) === group))
    gates.push({ gate: 'rotate', group });
  if (q.pickOn !== null) {
    const free = addDays(q.on, q.label.harvestDays ?? (waitUnknown({ product: q.spray }) ? UNKNOWN_WAIT_DAYS : 0));
    if (q.pickOn >= q.on && q.pickOn < free) gates.push({ gate: 'harvest', pickOn: q.pickOn, free });
  }
  return gates;
}

const NEVER_PASS: ReadonlySet<SprayGate['gate']> = new Set(['pond', 'organic', 'most-uses', 'rotate', 'copper']);
/** True for a pond, the organic rule, the label's most uses, too many of one group and the year's copper: these do not pass with time. */
export const neverPasses = (g: SprayGate): boolean => NEVER_PASS.has(g.gate);

/** Sprays as shown on screen. */
export const SPRAY_WORDS: Record<SprayCode, string> = {
  neem: 'neem oil',
  soap: 'soap',
  bt: 'BT',
  bicarbonate: 'bicarbonate',
  copper: 'copper',
  sulfur: 'sulfur',
  oil: 'horticultural oil',
  spinosad: 'spinosad',
  pyrethrin: 'pyrethrin',
  phosphonate: 'phosphonate',
  'iron-phosphate': 'iron phosphate bait',
  'broad-insecticide': 'a broad-spectrum insecticide',
  'weedkiller-nearby': 'weedkiller',
  other: 'another spray',
};

/** Returns why a spray is not allowed now, as a clause. */
export function gateInWords(g: SprayGate, f: Formatter): string {
  switch (g.gate) {
    case 'pond':
      return 'a pond is nearby: no sprays there at all';
    case 'organic':
      return 'your own rule: only what organic growing allows';
    case 'sun':
      return 'the sun is on the leaves: spray early or at dusk';
    case 'bees':
      return 'flowers are open and bees are flying: spray only in the evening';
    case 'bees-never':
      return 'flowers are open: it kills bees for hours or days after it has dried, so not at any hour';
    case 'hot-after':
      return `${f.temperature(g.celsius)} is forecast for ${f.day(g.day)}: it would burn the leaves even then`;
    case 'frost-after':
      return `${f.temperature(g.celsius)} is forecast for the night of ${f.day(g.day)}: it would damage the leaves`;
    case 'rotate':
      return `the last two sprays were of ${g.group} too: use another means, or the pest gets used to it`;
    case 'heat':
      return `${f.temperature(g.celsius)} at that hour would burn the leaves`;
    case 'thirst':
      return 'the plant is short of water, so a spray would burn it';
    case 'wind':
      return `wind of ${f.windSpeed(g.ms)} would carry it away`;
    case 'rain':
      return `${f.rain(g.mm)} of rain on ${f.day(g.day)} would wash it off`;
    case 'conflict':
      return `${SPRAY_WORDS[g.other]} was sprayed on ${f.day(g.on)}: ${g.because}, so not before ${f.day(g.until)}`;
    case 'same-day':
      return `${SPRAY_WORDS[g.other]} was sprayed that day: never spray twice in one day`;
    case 'too-soon':
      return `sprayed on ${f.day(g.last)}: the label says not again before ${f.day(g.until)}`;
    case 'most-uses':
      return `sprayed ${g.uses} times this season: the label allows no more`;
    case 'copper':
      return `its soil got ${copperOnGround(g.gPerM2, f)} of copper in twelve months; ${copperOnGround(MOST_COPPER_G_PER_M2, f)} is the most, as it stays there for good`;
    case 'harvest':
      return `fruit is due on ${f.day(g.pickOn)}, and the label says not before ${f.day(g.free)}`;
  }
}
