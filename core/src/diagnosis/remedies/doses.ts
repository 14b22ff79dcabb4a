import { addDays } from '../../day.js';
import { coveredM2, usualHeightM } from '../../water/crops.js';
import { refillLitres, steadyRhythm } from '../../water/next-watering.js';
import type { Story } from '../story.js';
import type { DoseKind } from '../tables/remedies.js';

/** Amounts, per plant. Only what applies is there. */
export interface Dose {
  litres?: number;
  everyDays?: number;
  /** nothing until this many days have passed */
  waitDays?: number;
  depthMm?: number;
  areaM2?: number;
  blockPct?: number;
  grams?: number;
  millilitres?: number;
  /** how many pieces: fruit, leaves */
  count?: number;
  cutsPerWeek?: number;
  potLitres?: number;
}

const one = (x: number): number => Math.round(x * 10) / 10;
const today = (s: Story) => s.balance.days.at(-1);
const affected = (s: Story): number | undefined => {
  const counts = [...s.seen.values()]
    .filter((o) => o.present && o.sign.startsWith('fruit-'))
    .map((o) => o.affected ?? 0);
  const most = Math.max(0, ...counts);
  return most > 0 ? most : undefined;
};
const cover = (s: Story): number => coveredM2(s.c.plant.crop, s.c.plant.heightM ?? usualHeightM(s.c.plant.crop, 60));

/**
 * How much, for each kind of dose; null where the records do not allow a number (then the remedy says what to
 * record). Litres come from the balance, never from a habit.
 */
export const DOSES: Record<DoseKind, (s: Story) => Dose | null> = {
  refill: (s) => {
    const day = today(s);
    return day ? { litres: Math.max(0.2, one(refillLitres(s.c, day.depletionMm, day.soilM2))) } : null;
  },
  rhythm: (s) => steadyRhythm(s.c, s.balance.days),
  'hold-water': (s) => {
    const { next, ahead } = s.upcoming;
    const days = next ? Math.max(1, ahead.findIndex((d) => d.date === next.date) + 1) : 7;
    return { waitDays: days };
  },
  mulch: (s) => {
    const area = s.balance.days.at(-1)?.soilM2 ?? s.c.place.areaM2 ?? 0.25;
    return { depthMm: 60, areaM2: Math.max(0.05, Math.round(area * 100) / 100), litres: one(area * 60) };
  },
  // the cloth overhangs the leaves by about half on each side that the sun comes from (judgement)
  shade: (s) => ({ blockPct: 40, areaM2: one(Math.max(0.3, cover(s) * 2)) }),
  flush: (s) => (s.c.place.volumeL ? { litres: one(3 * s.c.place.volumeL) } : null),
  'pause-feed': () => ({ waitDays: 28 }),
  'light-feed': () => null, // the label decides; the text says half strength
  'lime-drench': (s) =>
    s.c.place.volumeL ? { millilitres: 15, litres: one(Math.min(4, s.c.place.volumeL / 10)) } : { millilitres: 15 },
  affected: (s) => {
    const count = affected(s);
    return count ? { count } : null;
  },
  'leaf-budget': () => ({ cutsPerWeek: 4 }),
  'bigger-pot': (s) => ({ potLitres: s.c.plant.crop === 'tomato' ? 25 : 12 }),
};

/** The day a remedy of this timing falls on. */
export const dueOn = (s: Story, when: 'today' | 'tomorrow' | 'this-week' | 'season-end'): string => {
  switch (when) {
    case 'today':
      return s.c.asOf;
    case 'tomorrow':
      return addDays(s.c.asOf, 1);
    case 'this-week':
      return addDays(s.c.asOf, 3);
    case 'season-end': {
      const year = s.c.asOf.slice(0, 4);
      const frost = s.c.garden.firstFrost ? `${year}-${s.c.garden.firstFrost}` : `${year}-11-01`;
      return frost > s.c.asOf ? frost : addDays(s.c.asOf, 14);
    }
  }
};
