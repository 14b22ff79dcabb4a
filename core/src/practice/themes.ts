import type { SignCode } from '../records/vocabulary/signs.js';
import { DROOPING, isOf, LEAF_SPOTS_AND_COLOURS } from '../records/vocabulary/sign-groups.js';
import { type Day, dayNumber } from '../units/day.js';

/** What to practise: a short one, and harder series by what is visible. */
export const PRACTICE_THEMES = ['daily', 'wilting', 'spots', 'fruit'] as const;
/** A theme of practice plants. */
export type PracticeTheme = (typeof PRACTICE_THEMES)[number];

interface ThemeRow {
  title: string;
  line: string;
  /** what the plant of a theme must show */
  about: ((sign: SignCode) => boolean) | null;
  /** number of signs visible before any check */
  openSigns: number;
  /** the first look alone must not say more than this */
  mostAtOnce: number;
}

/**
 * Judgement: a short one may be half clear at first sight; a series starts in the dark, except drooping leaves, whose
 * records often say half of it.
 */
export const THEMES: Record<PracticeTheme, ThemeRow> = {
  daily: {
    title: 'Today’s plant',
    line: 'One plant a day, the same for everyone.',
    about: null,
    openSigns: 2,
    mostAtOnce: 0.85,
  },
  wilting: {
    title: 'Drooping leaves',
    line: 'Too dry, too wet, too hot, or something in the stem.',
    about: (sign) => DROOPING.has(sign) || sign === 'leaf-scorch-one-side',
    openSigns: 1,
    mostAtOnce: 0.75,
  },
  spots: {
    title: 'Spots and colours',
    line: 'Spots, rings, powder and fading: which of them spreads?',
    about: (sign) => LEAF_SPOTS_AND_COLOURS.has(sign),
    openSigns: 1,
    mostAtOnce: 0.6,
  },
  fruit: {
    title: 'Damaged fruit',
    line: 'Sun, water, cold, teeth or rot.',
    about: (sign) => isOf(sign, 'fruit'),
    openSigns: 1,
    mostAtOnce: 0.6,
  },
};

/** Returns whether a sign belongs to a theme. */
export const fitsTheme = (theme: PracticeTheme, sign: SignCode): boolean => THEMES[theme].about?.(sign) ?? true;

/** Returns the number of a day's plant. */
export const dailySeed = (day: Day): number => dayNumber(day);

/** Seeds are whole numbers a person can read out. */
export const MOST_SEED = 999_999;
/** Returns whether a number can be the seed of a practice plant. */
export const isSeed = (n: number): boolean => Number.isInteger(n) && n >= 0 && n <= MOST_SEED;
