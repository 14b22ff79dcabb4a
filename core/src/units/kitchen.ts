import type { SpoonSet, Units, VolumeUnit } from './units.js';
import { at } from './lists.js';

/**
 * Spoons and cups. US: NIST Handbook 44, appendix C (1 tsp = 1/6 US fluid ounce = 4.92892 mL). Elsewhere the spoons of kitchen
 * scales hold 5 and 15 mL (metric spoons, common practice).
 */
const US_FLUID_OUNCE_ML = 29.5735295625;
/** US spoons and cup, mL. */
export const US_SPOONS = {
  tsp: US_FLUID_OUNCE_ML / 6,
  tbsp: US_FLUID_OUNCE_ML / 2,
  cup: US_FLUID_OUNCE_ML * 8,
} as const;
const METRIC_SPOONS = { tsp: 5, tbsp: 15, cup: 250 } as const;
export { US_FLUID_OUNCE_ML };

/**
 * Returns what a teaspoon, a tablespoon and a cup of a set hold, mL.
 * @example spoonsOf('metric').tsp // 5
 */
export const spoonsOf = (set: SpoonSet): Record<'tsp' | 'tbsp' | 'cup', number> =>
  set === 'us' ? US_SPOONS : METRIC_SPOONS;

/**
 * Returns the spoons at hand: the chosen ones, else those of the country.
 * @example spoonSetOf({ volume: 'gal-us' }) // 'us'
 */
export const spoonSetOf = ({ spoons, volume }: Pick<Units, 'spoons' | 'volume'>): SpoonSet =>
  spoons ?? usualSpoons(volume);
const usualSpoons = (volume: VolumeUnit): SpoonSet => (volume === 'gal-us' ? 'us' : 'metric');

/** What a person can measure with spoons and a cup. */
interface Spooned {
  /** millilitres really taken */
  ml: number;
  /** "1¼ tsp", "2 tbsp and ½ tsp", "1½ cups" */
  text: string;
}

/** How far a level spoon holds more than it should (judgement). */
const SPOON_SHARE = 1.01;
const QUARTERS = ['', '¼', '½', '¾'] as const;
/** From this many teaspoons use tablespoons, from this many tablespoons cups. */
const TBSP_FROM_TSP = 3;
const CUP_FROM_TBSP = 8;

/**
 * Returns an amount in spoons, rounded down so a dose never exceeds its label by more than a spoon errs: to a quarter teaspoon, above a tablespoon
 * to half a one, above half a cup to a tablespoon; null below a quarter of a teaspoon, which needs a syringe.
 * @param ml millilitres
 * @example inSpoons(10, 'us') // { ml: 9.858, text: '2 tsp' }
 */
export function inSpoons(ml: number, set: SpoonSet): Spooned | null {
  const spoon = spoonsOf(set);
  const quarters = down((ml / spoon.tsp) * 4);
  if (quarters < 1) return null;
  if (quarters < 4 * TBSP_FROM_TSP) return { ml: (quarters / 4) * spoon.tsp, text: `${counted(quarters)} tsp` };
  const halfTsp = down((ml / spoon.tsp) * 2);
  const perTbsp = Math.round((spoon.tbsp / spoon.tsp) * 2);
  const tbsp = Math.floor(halfTsp / perTbsp);
  const rest = halfTsp % perTbsp;
  if (tbsp < CUP_FROM_TBSP)
    return {
      ml: (halfTsp / 2) * spoon.tsp,
      text: `${tbsp} tbsp${rest > 0 ? ` and ${counted(rest * 2)} tsp` : ''}`,
    };
  const cups = down((ml / spoon.cup) * 4);
  // the rest below a quarter cup in tablespoons
  const more = Math.max(0, down((ml - (cups / 4) * spoon.cup) / spoon.tbsp));
  const inCups = cups > 0 ? `${counted(cups)} ${cups > 4 ? 'cups' : 'cup'}` : '';
  return {
    ml: (cups / 4) * spoon.cup + more * spoon.tbsp,
    text: [inCups, more > 0 ? `${more} tbsp` : ''].filter(Boolean).join(' and '),
  };
}

/** Whole steps that fit. A spoon is no finer than a hundredth: what is nearly full counts as full. */
const down = (steps: number): number => Math.floor(steps * SPOON_SHARE + 1e-6);

const counted = (quarters: number): string =>
  `${quarters >= 4 ? Math.floor(quarters / 4) : ''}${at(QUARTERS, quarters % 4)}`;
