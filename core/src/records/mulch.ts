import { type Day, daysBetween } from '../units/day.js';
import { isSheet } from './choices.js';
import type { MulchSpell } from './facts.js';
import { spellOn } from './spells.js';

// How deep loose mulch still lies some days after it was spread.

/**
 * Days in which loose mulch settles and rots to half its depth: clippings and pulled weeds go within weeks, straw and
 * leaves within a season, bark within years (common practice; the days are judgement).
 */
const HALF_LIFE_DAYS: Readonly<Record<string, number>> = {
  clippings: 40,
  weeds: 40,
  straw: 150,
  leaves: 150,
  compost: 240,
  bark: 700,
  // "mulched", without saying with what
  mulch: 150,
};

/**
 * Returns how deep mulch still lies, mm. Sheets and sand stay; a depth without a material counts as measured.
 * @param mulch as it was spread
 * @param days since then
 * @example lyingMm({ kind: 'clippings', depthMm: 60 }, 40) // 30
 */
export function lyingMm(mulch: { kind?: string | null; depthMm: number }, days: number): number {
  const half = isSheet(mulch.kind) ? undefined : HALF_LIFE_DAYS[mulch.kind ?? ''];
  return half === undefined ? mulch.depthMm : mulch.depthMm * 0.5 ** (Math.max(0, days) / half);
}

/**
 * Returns the mulch on a day, as deep as it then still lies, if any.
 * @example mulchOn([{ from: '2026-05-01', kind: 'clippings', depthMm: 60 }], '2026-06-10')?.depthMm // 30
 */
export function mulchOn(spells: readonly MulchSpell[] | undefined, day: Day): MulchSpell | undefined {
  const spell = spellOn(spells, day);
  return spell && { ...spell, depthMm: lyingMm(spell, daysBetween(spell.from, day)) };
}

/**
 * Returns whether mulch is recorded on a day, however much of it has settled since. A depth of 0 means bare soil.
 * @example isMulched([{ from: '2026-05-01', depthMm: 0 }], '2026-06-10') // false
 */
export function isMulched(spells: readonly MulchSpell[] | undefined, day: Day): boolean {
  const spell = spellOn(spells, day);
  return spell !== undefined && (spell.depthMm > 0 || isSheet(spell.kind));
}
