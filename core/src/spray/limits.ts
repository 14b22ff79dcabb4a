import { TOO_HOT_FOR_CARE_C } from '../climate/limits.js';
import type { Spraying } from '../records/record-classes.js';

/** Code of a spray. */
export type SprayCode = Spraying['product'];

/** Products that burn leaves in heat, and from which temperature on (judgement). */
const BURNING: ReadonlySet<SprayCode> = new Set([
  'neem',
  'oil',
  'soap',
  'bicarbonate',
  'copper',
  'sulfur',
  'phosphonate',
  'other',
]);
/** Temperature from which sprays burn leaves, °C. */
export const BURNS_FROM_C = TOO_HOT_FOR_CARE_C;
/**
 * Returns whether a spray burns leaves in heat.
 * @example burnsInHeat('sulfur') // true
 */
export const burnsInHeat = (product: SprayCode): boolean => BURNING.has(product);

/** Sprays go on when the sun has left the leaves: nearly halfway from the day's warmest to its coldest (judgement). */
const EVENING_SHARE = 0.45;
/** From here on oils, soaps and the like burn even in the evening, °C (judgement; labels say about 27 to 32 °C). */
export const EVENING_LIMIT_C = 27;
/**
 * Returns the temperature in the evening, °C, from the day's extremes.
 * @example eveningC({ tMinC: 15, tMaxC: 30 }) // 23.25
 */
export const eveningC = (day: { tMinC: number; tMaxC: number }): number =>
  day.tMaxC - EVENING_SHARE * (day.tMaxC - day.tMinC);

/**
 * Oils and sulfur still burn on the days after: they are refused when the spray's day or one of the next two reaches this,
 * °C (UC IPM pest notes on powdery mildew: no oil or sulfur from 32 °C on, nor in drought; labels 29 to 32 °C; from
 * memory).
 */
export const LASTING_HEAT_C = 30;
/** Days after a spray that such heat counts. */
export const LASTING_DAYS = 2;
/** A night this cold after it damages wet leaves, °C at the screen (labels of oils: not within a day of frost). */
export const SPRAY_FROST_C = 2;
const LASTS_ON_LEAVES: ReadonlySet<SprayCode> = new Set(['neem', 'oil', 'sulfur']);
/**
 * Returns whether a spray goes on burning in the heat, and suffers in the frost, of the days after.
 * @example lastsOnLeaves('soap') // false
 */
export const lastsOnLeaves = (product: SprayCode): boolean => LASTS_ON_LEAVES.has(product);

/**
 * What it does to bees: `lasting` kills them long after it has dried, `fresh` only while it is wet (PNW 591, How to Reduce
 * Bee Poisoning, from memory: spinosad up to a day and more, pyrethrins 2 to 8 hours). An unknown one counts as lasting.
 */
const BEE_RISK: Partial<Record<SprayCode, 'lasting' | 'fresh'>> = {
  'broad-insecticide': 'lasting',
  spinosad: 'lasting',
  other: 'lasting',
  pyrethrin: 'fresh',
};
/**
 * Returns what a spray does to bees on open flowers; null if it hardly harms them once nobody flies.
 * @example beeRisk('spinosad') // 'lasting'
 */
export const beeRisk = (product: SprayCode): 'lasting' | 'fresh' | null => BEE_RISK[product] ?? null;

/**
 * Groups by mode of action of sprays that pests and moulds soon get used to (IRAC 5 and 3A, FRAC P07). Soap, oil, BT,
 * sulfur, copper and bicarbonate act at many points.
 */
const ONE_POINT: Partial<Record<SprayCode, string>> = {
  spinosad: 'IRAC group 5',
  pyrethrin: 'IRAC group 3A',
  phosphonate: 'FRAC group P07',
};
/**
 * Returns the group of a spray that needs rotation; null if it needs none.
 * @example rotationGroup('spinosad') // 'IRAC group 5'
 */
export const rotationGroup = (product: SprayCode): string | null => ONE_POINT[product] ?? null;
/** Uses in a row of one such group (IRAC and FRAC guidance: two, then another). */
export const MOST_IN_A_ROW = 2;

/** Chance of rain that counts before a spray, % (a lost spray costs more than a day's wait). */
export const SPRAY_RAIN_CHANCE_PCT = 30;

/**
 * Days without picking after a spray whose label nobody entered; then any usual garden label is over (judgement: 21 of
 * the longest on tomatoes).
 */
export const UNKNOWN_WAIT_DAYS = 21;
/** Sprays free of a waiting time on every usual label: soap, and bacteria that live on food anyway. */
const NEVER_WAIT: ReadonlySet<SprayCode> = new Set(['soap', 'bt', 'iron-phosphate', 'weedkiller-nearby']);
/**
 * Returns whether fruit must wait until someone has read the label.
 * @example waitUnknown({ product: 'copper' }) // true
 */
export const waitUnknown = (s: Pick<Spraying, 'product' | 'harvestDays'>): boolean =>
  s.harvestDays == null && !NEVER_WAIT.has(s.product);

/** Wind that carries a spray away, m/s (common practice). A daily mean; mornings and evenings are calmer still. */
export const MOST_WIND_MS = 4;
/** Rain within a day that washes a spray off, mm (judgement). */
export const WASHED_OFF_MM = 2;
/** Days until a leaf test is checked: 24 hours (common practice). */
export const TRIAL_DAYS = 1;
/** Days a leaf test of this season stays valid; new leaves are softer (judgement). */
export const TRIAL_LASTS_DAYS = 30;

/**
 * Pairs that burn together, in either order, and the days between them (common practice: oil within 14 to 30 days of
 * sulfur; the longer).
 */
const SPRAY_CONFLICTS: readonly { pair: readonly [SprayCode, SprayCode]; days: number; because: string }[] = [
  { pair: ['neem', 'sulfur'], days: 30, because: 'oil and sulfur together burn leaves' },
  { pair: ['oil', 'sulfur'], days: 30, because: 'oil and sulfur together burn leaves' },
  { pair: ['oil', 'soap'], days: 3, because: 'oil and soap together burn leaves' },
  { pair: ['phosphonate', 'copper'], days: 20, because: 'phosphonate frees too much copper' },
  { pair: ['neem', 'soap'], days: 3, because: 'oil and soap together burn leaves' },
  { pair: ['copper', 'bicarbonate'], days: 7, because: 'copper and bicarbonate do not mix' },
];

/**
 * Returns the conflict of two sprays, or undefined if they may follow each other.
 * @example conflictOf('neem', 'sulfur')?.days // 30
 */
export const conflictOf = (a: SprayCode, b: SprayCode): (typeof SPRAY_CONFLICTS)[number] | undefined =>
  SPRAY_CONFLICTS.find(({ pair }) => pair.includes(a) && pair.includes(b) && a !== b);
