import { type Random, seeded } from '../climate/random.js';
import { type CaseContext, contextOf } from '../diagnosis/context.js';
import { diagnose, type DiagnosisResult } from '../diagnosis/engine/diagnose.js';
import { type Candidate, candidates } from '../diagnosis/engine/network.js';
import { type CheckCode, CHECKS, checkRow, shownBy } from '../diagnosis/tables/checks.js';
import type { DisorderRow } from '../diagnosis/tables/row.js';
import { OFTEN } from '../diagnosis/tables/strengths.js';
import type { Observation } from '../records/observation.js';
import { HIDDEN } from '../records/vocabulary/sign-groups.js';
import type { PlantCase } from '../records/plant-case.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { isCircumstance, type SignCode, signRow } from '../records/vocabulary/signs.js';
import { type Formatter, METRIC_FORMAT } from '../units/formatter.js';
import { madeUpPlant } from './made-up.js';
import { fitsTheme, isSeed, PRACTICE_THEMES, type PracticeTheme, THEMES, wantedBy } from './themes.js';
import { drawSigns, drawTrouble } from './world.js';

/** A made-up plant to diagnose: the same theme and seed give everyone the same one. */
export interface Practice {
  theme: PracticeTheme;
  seed: number;
  /** with its weather and records, and the signs visible at first sight */
  plant: PlantCase;
  /** its problem */
  trouble: DisorderCode;
  /** all signs on it that a careful look finds */
  there: ReadonlySet<SignCode>;
}

/** Someone who checks everything must be able to know it this well. */
const KNOWABLE_FROM = 0.6;
/** Least chance at first sight. */
const LEAST_AT_ONCE = 0.005;
/** Most plants to draw until one can be known but is not obvious; a few are enough for most seeds. */
const MOST_TRIES = 400;

/**
 * Draws a plant: weather and records, then a problem by its odds, then signs.
 * @throws RangeError if the seed is not a whole number of at most six digits
 */
export function drawPractice(theme: PracticeTheme, seed: number): Practice {
  if (!isSeed(seed)) throw new RangeError(`${seed} is not a number of a practice plant`);
  const { problem, month } = theme === 'mixed' ? wantedBy(seed) : { problem: null, month: null };
  const random = seeded(seed * 31 + PRACTICE_THEMES.indexOf(theme) * 7_000_003 + 17);
  // a problem that hardly ever shows enough is followed by any other: nobody waits before an empty page
  for (const wanted of problem === null ? [null] : [problem, null])
    for (let i = 0; i < MOST_TRIES; i++) {
      const drawn = tryOnce(random, theme, wanted, month);
      if (drawn) return { theme, seed, ...drawn };
    }
  throw new RangeError(`no plant was found for ${theme} ${seed}`);
}

function tryOnce(
  random: Random,
  theme: PracticeTheme,
  problem: DisorderCode | null,
  month: number | null,
): Omit<Practice, 'theme' | 'seed'> | null {
  const plant = madeUpPlant(random, month);
  const ctx = contextOf(plant);
  const among = candidates(ctx).filter((c) =>
    c.row.signs.some(([sign, chance]) => chance >= OFTEN && signRow(sign).kind === 'sign' && fitsTheme(theme, sign)),
  );
  const trouble = problem === null ? drawTrouble(random, among) : among.find((c) => c.row.code === problem);
  if (!trouble) return null;
  const there = drawSigns(random, ctx, trouble);
  const open = openAtFirst(theme, trouble, there);
  if (open.length === 0) return null;
  const practice = { plant: withSeen(plant, open, []), trouble: trouble.row.code, there };
  const atOnce = chanceOf(diagnose(contextOf(practice.plant)), practice.trouble);
  if (atOnce > THEMES[theme].mostAtOnce || atOnce < LEAST_AT_ONCE) return null;
  const whole = diagnose(contextOf(lookedOver(practice)));
  return whole.list[0]?.disorder === practice.trouble && whole.list[0].probability >= KNOWABLE_FROM ? practice : null;
}

/** Returns the chance of a problem in a result, 0 to 1. */
export const chanceOf = ({ all, marginals }: DiagnosisResult, code: DisorderCode): number =>
  marginals[all.findIndex((c) => c.row.code === code)] ?? 0;

/** Returns whether this problem could have caused one of the visible signs. */
export const explainsFirst = ({ plant }: Pick<Practice, 'plant'>, row: DisorderRow): boolean =>
  row.signs.some(([sign]) => signRow(sign).kind === 'sign' && plant.observations.some((o) => o.sign === sign));

/**
 * Picks the signs visible at first: of the problem's own signs those that say least by themselves, with where they
 * are.
 */
function openAtFirst(theme: PracticeTheme, { row }: Candidate, there: ReadonlySet<SignCode>): SignCode[] {
  const own = row.signs
    .filter(([sign]) => there.has(sign) && signRow(sign).kind === 'sign' && isPlain(sign) && fitsTheme(theme, sign))
    .sort(([a, p], [b, q]) => p * signRow(b).leak - q * signRow(a).leak || (a < b ? -1 : 1))
    .map(([sign]) => sign);
  const where = row.signs.map(([sign]) => sign).filter((sign) => there.has(sign) && isCircumstance(sign));
  return own.length === 0 ? [] : [...own.slice(0, THEMES[theme].openSigns), ...where.slice(0, 1)];
}

/** Visible from the path, without digging, cutting, lifting or waiting. */
const isPlain = (sign: SignCode): boolean => !HIDDEN.has(sign);

/** Returns the plant with these signs seen, and these looked for and not found, on the day of the question. */
function withSeen(plant: PlantCase, present: Iterable<SignCode>, absent: Iterable<SignCode>): PlantCase {
  const seen = new Map<SignCode, Observation>(plant.observations.map((o) => [o.sign, o]));
  for (const sign of absent) if (!seen.has(sign)) seen.set(sign, { sign, present: false, date: plant.asOf });
  for (const sign of present) seen.set(sign, { sign, present: true, date: plant.asOf });
  return { ...plant, observations: [...seen.values()] };
}

/** Returns what a check shows: which of its visible signs are there and which are not. */
export function shows(
  { plant, there }: Pick<Practice, 'plant' | 'there'>,
  check: CheckCode,
): { present: SignCode[]; absent: SignCode[] } {
  const looked = shownBy(checkRow(check)).filter((sign) => {
    const only = signRow(sign).crop;
    return !only || only === plant.plant.crop;
  });
  return {
    present: looked.filter((sign) => there.has(sign)),
    absent: looked.filter((sign) => !there.has(sign)),
  };
}

/** Returns the plant after these checks, in this order. */
export const afterChecks = (practice: Practice, done: readonly CheckCode[]): PlantCase =>
  done.reduce((plant, check) => {
    const { present, absent } = shows(practice, check);
    return withSeen(plant, present, absent);
  }, practice.plant);

/** Returns the plant after every possible check. */
export const lookedOver = (practice: Omit<Practice, 'theme' | 'seed'>): PlantCase =>
  CHECKS.reduce((plant, { code }) => {
    const { present, absent } = shows(practice, code);
    return withSeen(plant, present, absent);
  }, practice.plant);

/** Returns the context of a practice plant after these checks. */
export const contextAfter = (
  practice: Practice,
  done: readonly CheckCode[],
  format: Formatter = METRIC_FORMAT,
): CaseContext => contextOf(afterChecks(practice, done), [], format);
