import { contextOf, seriousnessOf } from '../../src/diagnosis/index.js';
import { fillTime, usefulness } from '../../src/budget/index.js';
import type { DisorderCode, Observation, PlantFacts } from '../../src/records/index.js';
import { aCase, ASOF } from '../helpers.js';

const seen = (sign: Observation['sign'], more: Partial<Observation> = {}): Observation => ({
  date: ASOF,
  sign,
  present: true,
  ...more,
});
const level = (disorder: DisorderCode, observations: Observation[], plant: Partial<PlantFacts> = {}) =>
  seriousnessOf(contextOf(aCase({ observations, plant: { stage: 'fruiting', ...plant } })), disorder)?.level ?? null;

const spots = 'leaf-target-spots';

test('a leaf disease is urgent on a young plant and on a third of the leaves, and let be late', () => {
  expect(level('early-blight', [seen(spots)], { stage: 'vegetative' })).toBe('urgent');
  expect(level('early-blight', [seen(spots, { affected: 3, of: 10 })])).toBe('urgent');
  expect(level('early-blight', [seen(spots, { severity: 'severe' })])).toBe('urgent');
  expect(level('early-blight', [seen(spots, { affected: 2, of: 10 })])).toBeNull();
  expect(level('early-blight', [seen(spots, { affected: 9, of: 10 })], { stage: 'late' })).toBe('let-be');
});

test('a disease within the plant is urgent young and not let be late; late blight never waits for either', () => {
  expect(level('mosaic-virus', [seen('leaf-mottle')], { stage: 'establishing' })).toBe('urgent');
  expect(level('mosaic-virus', [seen('leaf-mottle')], { stage: 'late' })).toBeNull();
  expect(level('late-blight', [seen('leaf-target-spots')], { stage: 'late' })).toBeNull();
});

test('many mites are urgent, a few are not', () => {
  expect(level('spider-mites', [seen('pest-mites', { severity: 'severe' })])).toBe('urgent');
  expect(level('spider-mites', [seen('pest-mites', { severity: 'slight' })])).toBeNull();
});

test('with little time, an urgent finding comes before water and one that costs little after feed', () => {
  const task = (key: string, source: string, more = {}) => ({
    key,
    source,
    dueOn: ASOF,
    minutes: 10,
    order: null,
    ...more,
  });
  const blight = task('blight', 'remedy', { level: 'urgent' as const });
  const late = task('late', 'remedy', { level: 'let-be' as const });
  const chosen = (...list: ReturnType<typeof task>[]) => fillTime(list, 10, ASOF).map((t) => t.key);
  expect(chosen(task('water', 'water'), blight)).toEqual(['blight']);
  expect(chosen(task('feed', 'feed'), late)).toEqual(['feed']);
  expect(usefulness(task('usual', 'remedy'), ASOF)).toBe(7);
});
