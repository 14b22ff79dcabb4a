import type { Day } from '../units/day.js';
import { at, grouped } from '../units/lists.js';

// Which plants dry out before the others, by what fingers found on the same day, and what sets them apart.

/** A plant with what fingers found at it, and what may explain it. */
export interface FeltPlant {
  id: string;
  name: string;
  /** days on which its soil was felt, before any watering; a day is in one of both */
  dryOn: ReadonlySet<Day>;
  dampOn: ReadonlySet<Day>;
  /** of its pot, L; null in a bed */
  volumeL: number | null;
  sunHours: number | null;
  heightM: number | null;
  lowEnd: boolean;
}

/** What sets a plant apart from those it was compared with. */
export type Apart = 'smaller-pot' | 'more-sun' | 'taller' | 'low-end';

/** Plants that are dry before others, or damp after them, alike in all of this. */
export interface DryingOrder {
  names: string[];
  when: 'first' | 'last';
  /** days on which it was so, of those on which its soil and another’s differed */
  days: number;
  of: number;
  apart: Apart[];
}

/** Days of difference from which there is a pattern, and the share of them that must agree (judgement). */
const LEAST_DAYS = 3;
const LEAST_SHARE = 0.75;
/** Differences that can explain it (judgement). */
const SMALLER = 0.7;
const SUNNIER_H = 2;
const TALLER = 1.2;

const mean = (list: readonly number[]): number | null =>
  list.length === 0 ? null : list.reduce((sum, x) => sum + x, 0) / list.length;

/** Returns what sets a plant apart from others that were damp when it was dry, or the other way round. */
function apart(plant: FeltPlant, others: readonly FeltPlant[], when: DryingOrder['when']): Apart[] {
  if (when === 'last') return ['low-end'];
  const over = (mine: number | null, of: (o: FeltPlant) => number | null, test: (a: number, b: number) => boolean) => {
    const theirs = mean(others.flatMap((o) => of(o) ?? []));
    return mine !== null && theirs !== null && test(mine, theirs);
  };
  const inPots = others.every((o) => o.volumeL !== null);
  return [
    ...(plant.volumeL !== null &&
    (!inPots ||
      over(
        plant.volumeL,
        (o) => o.volumeL,
        (a, b) => a <= SMALLER * b,
      ))
      ? ['smaller-pot' as const]
      : []),
    ...(over(
      plant.sunHours,
      (o) => o.sunHours,
      (a, b) => a >= b + SUNNIER_H,
    )
      ? ['more-sun' as const]
      : []),
    ...(over(
      plant.heightM,
      (o) => o.heightM,
      (a, b) => a >= TALLER * b,
    )
      ? ['taller' as const]
      : []),
  ];
}

/**
 * Returns which plants are dry before others, and which stay damp after them. Only days count on which several were felt and
 * differed: nothing is concluded from what nobody felt.
 * Damp soil is remarked on only at a low end, where it explains itself.
 * @param plants of the whole garden
 * @param of asked about
 */
export function dryingOrder(plants: readonly FeltPlant[], of: ReadonlySet<string>): DryingOrder[] {
  const on = (days: (p: FeltPlant) => ReadonlySet<Day>): Map<Day, FeltPlant[]> => {
    const pairs = plants.flatMap((plant) => [...days(plant)].map((day) => ({ day, plant })));
    return new Map([...grouped(pairs, (x) => x.day)].map(([day, list]) => [day, list.map((x) => x.plant)]));
  };
  const [dry, damp] = [on((p) => p.dryOn), on((p) => p.dampOn)];
  const each = plants
    .filter((p) => of.has(p.id))
    .flatMap((plant): (DryingOrder & { name: string })[] => {
      const first = [...plant.dryOn].filter((day) => damp.has(day));
      const last = [...plant.dampOn].filter((day) => dry.has(day));
      const all = first.length + last.length;
      const when = first.length >= last.length ? 'first' : 'last';
      const days = when === 'first' ? first : last;
      if (when === 'last' && !plant.lowEnd) return [];
      if (days.length < LEAST_DAYS || days.length < LEAST_SHARE * all) return [];
      const others = new Set(days.flatMap((day) => (when === 'first' ? damp : dry).get(day) ?? []));
      const why = apart(plant, [...others], when);
      return [{ name: plant.name, names: [], when, days: days.length, of: all, apart: why }];
    });
  return [...grouped(each, ({ when, days, of: all, apart: why }) => [when, days, all, ...why].join()).values()].map(
    (alike) => {
      const { name: _, ...row } = at(alike, 0);
      return { ...row, names: alike.map((a) => a.name) };
    },
  );
}

const WORDS: Record<Apart, string> = {
  'smaller-pot': 'less soil',
  'more-sun': 'more sun',
  taller: 'taller',
  'low-end': 'at the low end',
};

/**
 * Returns it in two sentences.
 * @example dryingOrderInWords({ names: ['A'], when: 'first', days: 4, of: 5, apart: ['taller'] }) // 'Dries first: A, on 4 of 5 days compared (taller). Feel it before the others.'
 */
export function dryingOrderInWords(o: DryingOrder): string {
  const because = o.apart.length > 0 ? ` (${o.apart.map((a) => WORDS[a]).join(', ')})` : '';
  const it = o.names.length === 1 ? 'it' : 'them';
  const what = `${o.names.join(', ')}, on ${o.days} of ${o.of} days compared${because}.`;
  return o.when === 'first'
    ? `Dries first: ${what} Feel ${it} before the others.`
    : `Stays damp longest: ${what} Feel ${it} before you water.`;
}
