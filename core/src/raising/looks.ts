import type { Crop } from '../records/plant.js';
import { CAUTIONS } from '../records/vocabulary/cautions.js';
import { addDays, type Day } from '../units/day.js';
import { must } from '../units/lists.js';

/** What young plants look like before planting out, and what to do. Source: common practice, from memory. */
export const SEEDLING_LOOKS = ['sound', 'leggy', 'scorched', 'fallen', 'gnawed'] as const;
/** How seedlings look. */
export type SeedlingLookCode = (typeof SEEDLING_LOOKS)[number];

interface SeedlingLookRow {
  code: SeedlingLookCode;
  /** on a button */
  label: string;
  /** what it is */
  is: string;
  /** what to do, gentlest first */
  acts: readonly string[];
  /** what to do besides, for tomatoes only */
  tomatoActs?: readonly string[];
  /** days until the next check */
  againDays: number;
  /** plants are lost: ask how many */
  losses: boolean;
}

/** How seedlings may look, and what to do about it. */
export const SEEDLING_ROWS: readonly SeedlingLookRow[] = [
  { code: 'sound', label: 'Sound', is: 'Short, thick and green.', acts: [], againDays: 4, losses: false },
  {
    code: 'leggy',
    label: 'Long and thin',
    is: 'Too little light for the temperature, so they stretch.',
    acts: [
      'Lower the light to 5 to 10 cm (2 to 4 in), 14 to 16 hours a day. Keep a fan on low.',
      'Keep them three degrees cooler, and brush your hand over them twice a day.',
    ],
    // a tomato roots along a buried stem, a pepper does not (common practice)
    tomatoActs: ['Pot on deeper, up to the seed leaves.'],
    againDays: 4,
    losses: false,
  },
  {
    code: 'scorched',
    label: 'Bleached or crisp on top',
    is: 'Too much light at once: the lamp is too near, or the sun came too soon.',
    acts: [
      'Raise the lamp by a hand’s width, and lower it again by a finger’s width a day.',
      'Burnt leaves stay burnt; new ones come green.',
    ],
    againDays: 3,
    losses: false,
  },
  {
    code: 'fallen',
    label: 'Collapsed at the soil line',
    is: 'Damping off: a rot at the soil line, in wet mix and still air.',
    acts: [
      'Remove the collapsed seedlings and the mix around them; they won’t recover.',
      'Take off the cover and run the fan. Do not water until the top is dry, then only from below, and empty the tray.',
      'Sow again in fresh mix and clean cells, if there is time.',
    ],
    againDays: 1,
    losses: true,
  },
  {
    code: 'gnawed',
    label: 'Eaten',
    is: 'Slugs, woodlice, mice, rats or possums.',
    acts: [
      'Lift the tray off the ground, and check under it in the evening with a torch.',
      'Put a cut bottle over each until it is 30 cm (1 ft) tall.',
      'Against mice and rats, lay wire mesh over the tray.',
      CAUTIONS['cut-bottle'],
    ],
    againDays: 1,
    losses: true,
  },
];
/** Returns the row of a seedling's look. */
export const seedlingRow = (code: SeedlingLookCode): SeedlingLookRow =>
  must(SEEDLING_ROWS.find((r) => r.code === code));

/** First day to check: nothing is up in the first days. */
const FIRST_LOOK_DAYS = 6;

/** Returns when to check the seedlings next. */
export const nextLookOn = (sownOn: Day, looks: readonly { on: Day; what: SeedlingLookCode }[]): Day => {
  const last = looks.reduce<{ on: Day; what: SeedlingLookCode } | null>((a, b) => (a && a.on > b.on ? a : b), null);
  return last ? addDays(last.on, seedlingRow(last.what).againDays) : addDays(sownOn, FIRST_LOOK_DAYS);
};

/** Returns what the newest check asks for, for this crop; empty if all is sound or nothing was checked. */
export function actsAfter(crop: Crop, looks: readonly { on: Day; what: SeedlingLookCode }[]): readonly string[] {
  const last = [...looks].sort((a, b) => (a.on < b.on ? -1 : 1)).at(-1);
  if (!last) return [];
  const row = seedlingRow(last.what);
  return [...row.acts, ...((crop === 'tomato' && row.tomatoActs) || [])];
}
