import type { SignCode } from '../records/vocabulary/signs.js';
import { DROOPING, isOf, LEAF_SPOTS_AND_COLOURS } from '../records/vocabulary/sign-groups.js';
import { DISORDER_CODES, type DisorderCode } from '../records/vocabulary/disorders.js';

/** What to practise: anything, and harder series by what is visible. */
export const PRACTICE_THEMES = ['mixed', 'wilting', 'spots', 'fruit'] as const;
/** A theme of practice plants. */
export type PracticeTheme = (typeof PRACTICE_THEMES)[number];

interface ThemeRow {
  title: string;
  /** what the plant of a theme must show */
  about: ((sign: SignCode) => boolean) | null;
  /** number of signs visible before any check */
  openSigns: number;
  /** the first look alone must not say more than this */
  mostAtOnce: number;
}

/**
 * Judgement: a mixed one may be half clear at first sight; a series starts in the dark, except drooping leaves, whose
 * records often say half of it.
 */
export const THEMES: Record<PracticeTheme, ThemeRow> = {
  mixed: {
    title: 'Practice',
    about: null,
    openSigns: 2,
    mostAtOnce: 0.85,
  },
  wilting: {
    title: 'Drooping leaves',
    about: (sign) => DROOPING.has(sign) || sign === 'leaf-scorch-one-side',
    openSigns: 1,
    mostAtOnce: 0.75,
  },
  spots: {
    title: 'Spots and colours',
    about: (sign) => LEAF_SPOTS_AND_COLOURS.has(sign),
    openSigns: 1,
    mostAtOnce: 0.6,
  },
  fruit: {
    title: 'Damaged fruit',
    about: (sign) => isOf(sign, 'fruit'),
    openSigns: 1,
    mostAtOnce: 0.6,
  },
};

/** Returns whether a sign belongs to a theme. */
export const fitsTheme = (theme: PracticeTheme, sign: SignCode): boolean => THEMES[theme].about?.(sign) ?? true;

/** Seeds are whole numbers a person can read out. */
export const MOST_SEED = 999_999;
/** Returns whether a number can be the seed of a practice plant. */
export const isSeed = (n: number): boolean => Number.isInteger(n) && n >= 0 && n <= MOST_SEED;

/** What the number of a mixed plant asks for. */
export interface Wanted {
  /** the problem it must have; null for any */
  problem: DisorderCode | null;
  /** month of the question, 1 to 12, as in the northern half of the world; null for any */
  month: number | null;
  /** which of them, 0 to 99 */
  n: number;
}

/** Mixed plants of one problem and month. */
export const MOST_ALIKE = 100;

/**
 * Returns the number of a mixed plant: two digits each for problem, month and which of them.
 * @example numberOf({ problem: null, month: 7, n: 3 }) // 703
 */
export const numberOf = ({ problem, month, n }: Wanted): number =>
  ((problem === null ? 0 : DISORDER_CODES.indexOf(problem) + 1) * 100 + (month ?? 0)) * MOST_ALIKE + n;

/**
 * Reads the number of a mixed plant.
 * @throws RangeError for a month or problem that does not exist
 * @example wantedBy(703) // { problem: null, month: 7, n: 3 }
 */
export function wantedBy(seed: number): Wanted {
  const month = Math.floor(seed / MOST_ALIKE) % 100;
  const problem = Math.floor(seed / MOST_ALIKE / 100);
  if (month > 12 || problem > DISORDER_CODES.length)
    throw new RangeError(`${seed} is not a number of a practice plant`);
  return {
    problem: problem === 0 ? null : DISORDER_CODES[problem - 1]!,
    month: month === 0 ? null : month,
    n: seed % MOST_ALIKE,
  };
}
