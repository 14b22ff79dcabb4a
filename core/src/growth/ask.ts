import { type Day, daysBetween } from '../units/day.js';
import type { Growth } from './growth.js';

/**
 * Between these chances a milestone may well be reached, or not. Narrower (0.25 to 0.75) it was asked eight times a season
 * instead of nine, and the stage was wrong on more than one day in twenty where it is cool (simulated seasons).
 */
const EVEN_ODDS = { from: 0.15, to: 0.85 } as const;
/** Days after an answer before the next question (judgement: buds do not open overnight). */
const LEAST_DAYS = 2;

/**
 * True if one look at the plant now would change its estimated stage. The weekly walk asks about everything uncertain;
 * this asks in between, while the milestone is passed.
 * @example asksNow({ unsure: { stage: 'flowering', chance: 0.5 }, from: 'warmth', seenOn: null }, '2026-06-01') // true
 */
export const asksNow = ({ unsure, from, seenOn }: Pick<Growth, 'unsure' | 'from' | 'seenOn'>, today: Day): boolean =>
  unsure !== null &&
  from !== 'season' &&
  unsure.chance >= EVEN_ODDS.from &&
  unsure.chance <= EVEN_ODDS.to &&
  (seenOn === null || daysBetween(seenOn, today) >= LEAST_DAYS);
