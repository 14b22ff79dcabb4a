import { daysToMaturityOf } from '../varieties/variety.js';
import type { Crop, GrowthHabit, PlantType } from '../records/plant.js';
import type { Aim } from './planting.js';

/**
 * The aim of a planting and the habit that suits it (common practice: determinate for one big harvest or a short
 * autumn crop, indeterminate for picking until frost).
 */
interface AimRow {
  label: string;
  /** tomato habits that suit it, best first */
  habits: readonly GrowthHabit[];
  why: string;
}
/** What a planting is grown for, the habits that fit, and why. */
export const AIM_ROWS: Record<Aim, AimRow> = {
  steady: {
    label: 'Picking until frost',
    habits: ['indeterminate', 'semi-determinate'],
    why: 'a cordon keeps flowering until frost',
  },
  'at-once': {
    label: 'One big harvest, for sauce',
    habits: ['determinate', 'semi-determinate'],
    why: 'a bush variety ripens most of its fruit within three weeks',
  },
  'short-season': {
    label: 'A short summer',
    habits: ['determinate', 'semi-determinate'],
    why: 'a bush variety sets early and ripens what it set',
  },
  'second-crop': {
    label: 'A second crop in autumn',
    habits: ['determinate'],
    why: 'only a bush variety ripens its fruit before the days grow short',
  },
};
/** Most days to maturity for a short summer (judgement: early varieties take 50 to 65). */
const EARLY_DAYS = 68;

/** Returns what argues against this variety for this aim; null if nothing does or its habit is unknown. */
export function aimAgainst(
  aim: Aim | null | undefined,
  variety: { crop: Crop; type?: PlantType | null; habit?: GrowthHabit | null; daysToMaturity?: number | null },
): string | null {
  if (!aim) return null;
  const row = AIM_ROWS[aim];
  if (variety.crop === 'tomato' && variety.habit && !row.habits.includes(variety.habit))
    return `${row.label}: ${row.why}; this variety is ${variety.habit}.`;
  if (aim === 'second-crop' && variety.crop === 'pepper')
    return 'Peppers do not ripen as a second crop: they take too long.';
  const { days, sure } = daysToMaturityOf(variety);
  if ((aim === 'short-season' || aim === 'second-crop') && sure && days > EARLY_DAYS)
    return `${row.label}: it takes ${days} days from planting out; varieties of ${EARLY_DAYS} or fewer are early.`;
  return null;
}
