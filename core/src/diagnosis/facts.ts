import { daysBetween } from '../day.js';
import { spellOn } from '../water/season.js';
import type { Story } from './story.js';

/**
 * Yes-or-no readings of a case that tables may name: they move priors and withhold remedies.
 * Each reads only the plant's facts, its records and the balance.
 */
const now = (s: Story) => s.balance.days.at(-1);
const bearing = new Set(['fruiting', 'ripening', 'late']);
const lastCheck = (s: Story) => s.recent(s.c.records.soilChecks, 5).at(-1);
const feltWet = (s: Story): boolean =>
  s.present.has('soil-wet-deep') || (lastCheck(s)?.feel === 'wet' && !s.present.has('soil-dry-deep'));
const feltDry = (s: Story): boolean =>
  s.present.has('soil-dry-deep') || (lastCheck(s)?.feel === 'dry' && !s.present.has('soil-wet-deep'));
const warmest = (s: Story, days: number): number => Math.max(-99, ...s.weather(days).map((w) => w.tMaxC));
const rainyDays = (s: Story, days: number): number => s.weather(days).filter((w) => w.rainMm >= 1).length;
const meanTemperature = (s: Story, days: number): number | null => {
  const list = s.weather(days);
  return list.length === 0 ? null : list.reduce((sum, w) => sum + (w.tMinC + w.tMaxC) / 2, 0) / list.length;
};
const between = (x: number | null, low: number, high: number): boolean => x !== null && x >= low && x <= high;

export const FACTS = {
  container: (s: Story) => s.c.place.kind === 'container',
  'in-ground': (s: Story) => s.c.place.kind !== 'container',
  'under-cover': (s: Story) => s.c.place.kind === 'tunnel-bed' || s.c.place.kind === 'indoors',
  'in-the-open': (s: Story) => s.c.place.kind !== 'tunnel-bed' && s.c.place.kind !== 'indoors',
  seedling: (s: Story) => s.c.plant.stage === 'seedling',
  young: (s: Story) => s.c.plant.stage === 'seedling' || s.c.plant.stage === 'establishing',
  bearing: (s: Story) => bearing.has(s.c.plant.stage ?? ''),
  'not-bearing': (s: Story) => s.c.plant.stage != null && !bearing.has(s.c.plant.stage),
  'may-bear': (s: Story) =>
    s.c.plant.stage == null || bearing.has(s.c.plant.stage) || [...s.present].some((x) => x.startsWith('fruit-')),
  ripening: (s: Story) => s.c.plant.stage === 'ripening' || s.c.plant.stage === 'late',
  'paste-type': (s: Story) => s.c.plant.type === 'paste',
  'sweet-pepper': (s: Story) => s.c.plant.type === 'sweet',
  'cherry-type': (s: Story) => s.c.plant.type === 'cherry',
  'large-fruited': (s: Story) => s.c.plant.type === 'beefsteak',
  'hot-type': (s: Story) => s.c.plant.type === 'hot',
  pepper: (s: Story) => s.c.plant.crop === 'pepper',
  'just-planted': (s: Story) =>
    s.c.plant.transplantedOn != null && daysBetween(s.c.plant.transplantedOn, s.c.asOf) <= 21,
  'long-in-pot': (s: Story) =>
    s.c.place.kind === 'container' &&
    s.c.plant.transplantedOn != null &&
    daysBetween(s.c.plant.transplantedOn, s.c.asOf) >= 45,
  'water-under-quarter': (s: Story) => (now(s)?.fractionAvailable ?? 1) < 0.25,
  'water-ample': (s: Story) => (now(s)?.fractionAvailable ?? 0) > 0.5,
  'soil-felt-wet': feltWet,
  'soil-felt-damp': (s: Story) => s.present.has('soil-damp-deep') || lastCheck(s)?.feel === 'damp',
  'soil-felt-dry': feltDry,
  // a limp plant is not watered before somebody has felt its soil or lifted its pot
  'felt-dry': (s: Story) => feltDry(s) || s.present.has('pot-light'),
  // a dry plant is watered, not shaded to see what happens
  'not-felt-dry': (s: Story) => !feltDry(s) && !s.present.has('pot-light'),
  'sunscald-open': (s: Story) => s.present.has('fruit-pale-papery-patch') || s.present.has('leaf-bleached-patches'),
  'hot-now': (s: Story) => warmest(s, 2) >= 30,
  'cool-wet-weather': (s: Story) => rainyDays(s, 14) >= 5 && between(meanTemperature(s, 14), 8, 20),
  'warm-wet-weather': (s: Story) => rainyDays(s, 14) >= 4 && between(meanTemperature(s, 14), 18, 29),
  'dry-warm-weather': (s: Story) => rainyDays(s, 14) <= 1 && between(meanTemperature(s, 14), 20, 40),
  'no-rain-lately': (s: Story) => s.weather(14).length > 0 && rainyDays(s, 14) === 0,
  'frost-night': (s: Story) => s.weather(5).some((w) => w.tMinC <= 1),
  'no-frost': (s: Story) => s.weather(5).length > 0 && s.weather(5).every((w) => w.tMinC > 4),
  'cold-nights-lately': (s: Story) => s.weather(10).filter((w) => w.tMinC < 10).length >= 2,
  'warm-lately': (s: Story) => s.weather(10).length > 0 && s.weather(10).every((w) => w.tMinC >= 13),
  'fed-lately': (s: Story) => s.recent(s.c.records.feeding, 14).length > 0,
  mulched: (s: Story) => spellOn(s.c.place.mulch, s.c.asOf) !== undefined,
  shaded: (s: Story) => (spellOn(s.c.place.shade, s.c.asOf)?.blockPct ?? 0) >= 25,
  'short-of-water': (s: Story) => (now(s)?.ks ?? 1) < 0.8,
  'test-low-nitrogen': (s: Story) => s.c.place.soilTest?.nitrogen === 'low',
  'test-low-phosphorus': (s: Story) => s.c.place.soilTest?.phosphorus === 'low',
  'test-low-potassium': (s: Story) => s.c.place.soilTest?.potassium === 'low',
  'test-low-magnesium': (s: Story) => s.c.place.soilTest?.magnesium === 'low',
  'test-sound-phosphorus': (s: Story) => ['ok', 'high'].includes(s.c.place.soilTest?.phosphorus ?? ''),
  'test-sound-potassium': (s: Story) => ['ok', 'high'].includes(s.c.place.soilTest?.potassium ?? ''),
  'test-sound-magnesium': (s: Story) => ['ok', 'high'].includes(s.c.place.soilTest?.magnesium ?? ''),
  'untested-unfed-pot': (s: Story) =>
    s.c.place.kind === 'container' &&
    s.c.place.soilTest == null &&
    s.c.plant.transplantedOn != null &&
    daysBetween(s.c.plant.transplantedOn, s.c.asOf) >= 60 &&
    s.recent(s.c.records.feeding, 42).length === 0,
} satisfies Record<string, (s: Story) => boolean>;

export type FactCode = keyof typeof FACTS;
