import type { BalanceDay } from './run.js';
import { isShortOfWater } from './stress.js';
import { at } from '../units/lists.js';

/** Days in which fruit with a problem today was growing. */
export const FRUIT_WINDOW_DAYS = 21;

type EvennessDay = Pick<BalanceDay, 'fractionAvailable' | 'ks' | 'waterlogged'>;

/**
 * Returns how steady the water was, 0 (violent swings) to 1 (steady), over the given days (usually the last 21): 1 −
 * mean absolute day-to-day change ÷ 0.25, floored at 0, times the share of days neither short of water (Ks ≥ 0.8) nor
 * waterlogged. Judgement; a steadier series never scores lower. Null for fewer than 5 days.
 */
export function evenness(days: readonly EvennessDay[]): number | null {
  if (days.length < 5) return null;
  let change = 0;
  for (let i = 1; i < days.length; i++)
    change += Math.abs(at(days, i).fractionAvailable - at(days, i - 1).fractionAvailable);
  const steady = Math.max(0, 1 - change / (days.length - 1) / 0.25);
  return steady * (days.filter((d) => !isShortOfWater(d) && !d.waterlogged).length / days.length);
}

/** From this score on the water is steady, or varies only a little (judgement). */
const STEADY = 0.7;
const LITTLE = 0.45;

/**
 * Returns how even the water was in words; the screen shows the number behind them.
 * @example evennessInWords(0.9) // 'steady'
 */
export const evennessInWords = (evenness: number): string =>
  evenness >= STEADY ? 'steady' : evenness >= LITTLE ? 'varies a little' : 'varies a lot';
