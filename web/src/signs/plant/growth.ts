import type { Training } from '@candid-leaf/core/pruning';
import type { Crop, GrowthHabit, PlantType, Stage } from '@candid-leaf/core/records';
import { roundTo } from '@candid-leaf/core/units';

/**
 * A plant's form from its records: crop, habit and training give its stems, the stage its size, counts its fruit, and
 * its posture. Numbers only, in a box 200 wide and 300 high; the soil begins at SOIL_Y.
 */

export const SOIL_Y = 264;

export interface Standing {
  crop: Crop;
  habit?: GrowthHabit | null | undefined;
  type?: PlantType | null | undefined;
  stage?: Stage | null | undefined;
  training?: Training | null | undefined;
  /** as counted; by stage if not */
  load?: { flowers: number; fruit: number } | null | undefined;
  /** drooping: seen so, or so dry that it must */
  limp?: boolean | undefined;
}

/** Growth form: one tall stem, two, several from the base, or forks. */
export type Form = 'one-stem' | 'two-stems' | 'bush' | 'forked';

export function formOf({ crop, habit, training }: Pick<Standing, 'crop' | 'habit' | 'training'>): Form {
  if (crop === 'pepper') return 'forked';
  if (training === 'two-stems') return 'two-stems';
  if (training === 'one-stem') return 'one-stem';
  return habit === 'determinate' || training === 'leave-alone' || training === 'keep-suckers' ? 'bush' : 'one-stem';
}

/** Top of the full-grown plant of a form. */
const GROWN_TOP: Record<Form, number> = { 'one-stem': 34, 'two-stems': 60, bush: 104, forked: 100 };

/** Share of full height and load by stage; full-grown if unknown. */
const BY_STAGE: Record<Stage, { grown: number; flowers: number; fruit: number; ripe: number }> = {
  seedling: { grown: 0.24, flowers: 0, fruit: 0, ripe: 0 },
  establishing: { grown: 0.4, flowers: 0, fruit: 0, ripe: 0 },
  vegetative: { grown: 0.68, flowers: 0, fruit: 0, ripe: 0 },
  flowering: { grown: 0.85, flowers: 6, fruit: 0, ripe: 0 },
  fruiting: { grown: 1, flowers: 3, fruit: 6, ripe: 0 },
  ripening: { grown: 1, flowers: 3, fruit: 6, ripe: 3 },
  late: { grown: 1, flowers: 0, fruit: 4, ripe: 4 },
};
const UNTOLD = BY_STAGE.ripening;
/** Most fruit drawn: more would be a blot. */
const MOST_FRUIT = 12;
const MOST_FLOWERS = 9;

export interface Leaf {
  x: number;
  y: number;
  /** degrees from pointing right, counter-clockwise */
  turn: number;
  size: number;
  part: 'low-leaves' | 'leaves' | 'tip';
}

export interface Growth {
  form: Form;
  stems: string[];
  leaves: Leaf[];
  fruit: { x: number; y: number; ripe: boolean }[];
  flowers: { x: number; y: number }[];
  /** top of its highest leaf */
  topY: number;
}

type Point = readonly [x: number, y: number];
/** A stem as a quadratic curve. */
type Stem = readonly [from: Point, bend: Point, to: Point];

const at = ([a, b, c]: Stem, t: number): Point => [
  (1 - t) ** 2 * a[0] + 2 * t * (1 - t) * b[0] + t ** 2 * c[0],
  (1 - t) ** 2 * a[1] + 2 * t * (1 - t) * b[1] + t ** 2 * c[1],
];
const round = (n: number): number => roundTo(n, 1);
const path = ([a, b, c]: Stem): string =>
  `M${round(a[0])} ${round(a[1])}Q${round(b[0])} ${round(b[1])} ${round(c[0])} ${round(c[1])}`;

/** Returns the stems of a form, scaled to its growth. */
function stemsOf(form: Form, grown: number): Stem[] {
  const y = (full: number): number => SOIL_Y - (SOIL_Y - full) * grown;
  const x = (full: number): number => 100 + (full - 100) * Math.max(0.35, grown);
  const p = (px: number, py: number): Point => [x(px), y(py)];
  switch (form) {
    case 'one-stem':
      return [[p(100, 264), p(97, 150), p(101, 40)]];
    case 'two-stems':
      return [
        [p(100, 264), p(98, 236), p(100, 214)],
        [p(100, 214), p(76, 186), p(74, 66)],
        [p(100, 214), p(124, 186), p(126, 66)],
      ];
    case 'bush':
      return [
        [p(100, 264), p(100, 200), p(100, 116)],
        [p(100, 240), p(74, 210), p(56, 156)],
        [p(100, 240), p(126, 210), p(144, 156)],
        [p(100, 206), p(86, 176), p(76, 128)],
        [p(100, 206), p(114, 176), p(124, 128)],
      ];
    case 'forked':
      return [
        [p(100, 264), p(99, 232), p(100, 200)],
        [p(100, 200), p(80, 172), p(66, 116)],
        [p(100, 200), p(120, 172), p(134, 116)],
        [p(85, 170), p(94, 146), p(96, 106)],
        [p(115, 170), p(106, 150), p(108, 122)],
      ];
  }
}

/** Leaves on a stem: pairs on the grown one, and the share of it where they start. */
const LEAVES: Record<Form, readonly { count: number; from: number }[]> = {
  'one-stem': [{ count: 10, from: 0.1 }],
  'two-stems': [
    { count: 3, from: 0.3 },
    { count: 7, from: 0.16 },
    { count: 7, from: 0.16 },
  ],
  bush: [
    { count: 4, from: 0.16 },
    { count: 4, from: 0.3 },
    { count: 4, from: 0.3 },
    { count: 3, from: 0.4 },
    { count: 3, from: 0.4 },
  ],
  forked: [
    { count: 2, from: 0.45 },
    { count: 3, from: 0.45 },
    { count: 3, from: 0.45 },
    { count: 2, from: 0.55 },
    { count: 2, from: 0.55 },
  ],
};

/** A limp leaf hangs along its stem, a turgid one stands out. */
const hanging = (right: boolean): number => (right ? -62 : 242);
const standing = (right: boolean, t: number): number => (right ? 14 + 34 * t : 166 - 34 * t);

function leavesOf(form: Form, stems: readonly Stem[], grown: number, limp: boolean): Leaf[] {
  const low = SOIL_Y - 0.24 * (SOIL_Y - GROWN_TOP[form]) * grown;
  const out: Leaf[] = [];
  stems.forEach((stem, s) => {
    const { count, from } = LEAVES[form][s]!;
    const n = Math.max(2, Math.round(count * (0.45 + 0.55 * grown)));
    for (let i = 0; i < n; i++) {
      const t = from + (0.97 - from) * (n === 1 ? 1 : i / (n - 1));
      const [x, y] = at(stem, t);
      const right = (i + s) % 2 === 0;
      const last = i >= n - 2 && (s > 0 || stems.length === 1);
      out.push({
        x,
        y,
        turn: limp ? hanging(right) : last ? (right ? 58 : 122) : standing(right, t),
        // young leaves at the tip are small, and so are those of a small plant
        size: (last ? 0.58 : 1.08 - 0.28 * t) * (0.5 + 0.5 * grown),
        part: last ? 'tip' : y > low ? 'low-leaves' : 'leaves',
      });
    }
  });
  return out;
}

/** Returns where trusses, or fruit at forks, hang; from below. */
function hangersOf(form: Form, stems: readonly Stem[]): Point[] {
  const bearing = stems.length === 1 ? stems : stems.slice(1);
  const shares = form === 'one-stem' ? [0.3, 0.48, 0.66] : form === 'two-stems' ? [0.26, 0.5, 0.72] : [0.32, 0.66];
  return bearing
    .flatMap((stem, s) =>
      shares.map((t, i): Point => {
        const [x, y] = at(stem, t);
        return [x + ((i + s) % 2 === 0 ? 13 : -13), y + 4];
      }),
    )
    .sort((a, b) => b[1] - a[1]);
}

/** Fruit of a truss hangs in two rows. */
const IN_TRUSS: readonly Point[] = [
  [0, 0],
  [8, 7],
  [-5, 10],
  [4, 17],
];

/** Returns the plant's form. */
export function growthOf(standing: Standing): Growth {
  const form = formOf(standing);
  const stage = standing.stage ? BY_STAGE[standing.stage] : UNTOLD;
  const stems = stemsOf(form, stage.grown);
  const leaves = leavesOf(form, stems, stage.grown, standing.limp === true);
  const hangers = hangersOf(form, stems);
  const { load } = standing;
  const fruits = Math.min(MOST_FRUIT, load?.fruit ?? stage.fruit);
  const flowers = Math.min(MOST_FLOWERS, load?.flowers ?? stage.flowers);
  const ripe = stage.fruit > 0 ? Math.round((fruits * stage.ripe) / stage.fruit) : 0;
  // fruit below, flowers above; one per fork on a pepper, trusses on a tomato
  const inOne = form === 'forked' ? 1 : IN_TRUSS.length;
  const fruit = Array.from({ length: fruits }, (_, i) => {
    const [x, y] = hangers[Math.floor(i / inOne) % hangers.length]!;
    const round = Math.floor(i / (inOne * hangers.length));
    const [dx, dy] = form === 'forked' ? [9 * round, 10] : IN_TRUSS[i % inOne]!;
    // nothing hangs into the soil, however small the plant
    return { x: x + dx, y: Math.min(SOIL_Y - 4, y + dy + 6 * round), ripe: i < ripe };
  });
  const above = [...hangers].reverse();
  const open = Array.from({ length: flowers }, (_, i) => {
    const [x, y] = above[Math.floor(i / 3) % above.length]!;
    return { x: x + [0, 7, -4][i % 3]!, y: y + [-6, 1, 4][i % 3]! };
  });
  const tips = leaves.map((l) => l.y - Math.max(0, Math.sin((l.turn * Math.PI) / 180)) * 50 * l.size);
  return {
    form,
    stems: stems.map(path),
    leaves,
    fruit,
    flowers: open,
    topY: Math.min(...tips, ...stems.map((s) => s[2][1])),
  };
}
