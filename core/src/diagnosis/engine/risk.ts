import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import type { CaseContext } from '../context.js';
import { type Candidate, candidates } from './network.js';

/**
 * Returns each problem's candidate with the odds that the records alone give it, whatever was seen.
 * @param problems those to judge; problems of the other crop are left out
 */
export const byRecords = (ctx: CaseContext, problems: readonly DisorderCode[]): Candidate[] =>
  candidates(ctx, new Set(problems));

/**
 * Returns the chance that goes with odds, 0 to 1.
 * @example chanceOf(3) // 0.75
 */
export const chanceOf = (odds: number): number => odds / (1 + odds);
/**
 * Returns the odds that go with a chance.
 * @example oddsOf(0.75) // 3
 */
export const oddsOf = (chance: number): number => chance / (1 - chance);
