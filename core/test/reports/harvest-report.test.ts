import fc from 'fast-check';
import { harvestReport, type ReportPick, type ReportPlant } from '../../src/reports/index.js';
import { PICK_STATES, PICK_USES } from '../../src/records/index.js';

const plant = (id: string, more: Partial<ReportPlant> = {}): ReportPlant => ({
  id,
  name: id.toUpperCase(),
  variety: 'Red one',
  place: 'Bed',
  crop: 'tomato',
  type: 'slicer',
  litres: null,
  nitrogenG: null,
  ...more,
});
const pick = (plantId: string, date: string, grams: number | null, more: Partial<ReportPick> = {}): ReportPick => ({
  plantId,
  date,
  grams,
  state: 'sound',
  use: 'eaten',
  ...more,
});

test('a season by hand: by plant, variety and week; losses and causes; what salvage saved; water per kilogram', () => {
  const r = harvestReport(
    [plant('a', { litres: 90, nitrogenG: 12 }), plant('b', { variety: 'Plum' })],
    [
      pick('a', '2026-07-20', 2000),
      pick('a', '2026-08-04', 1000, { state: 'split', use: 'sauce' }),
      pick('a', '2026-08-04', 500, { state: 'soft', use: 'binned' }),
      pick('b', '2026-07-26', 1200),
      pick('b', '2026-07-27', 300, { state: 'dark-end', use: 'binned' }),
    ],
  );
  expect([r.kg, r.savedKg]).toEqual([4.2, 1]);
  expect(r.plants).toMatchObject([
    { name: 'A', kg: 3, lostKg: 0.5, litresPerKg: 30, nitrogenGPerKg: 4 },
    { name: 'B', kg: 1.2, lostKg: 0.3, litresPerKg: null },
  ]);
  // less than a kilogram tells nothing of it yet
  expect(harvestReport([plant('a', { litres: 90 })], [pick('a', '2026-07-20', 999)]).plants[0]!.litresPerKg).toBeNull();
  expect(r.varieties).toEqual([
    { variety: 'Red one', kg: 3, lostKg: 0.5 },
    { variety: 'Plum', kg: 1.2, lostKg: 0.3 },
  ]);
  // 20 July 2026 is a Monday; the 26th a Sunday
  expect(r.weeks).toEqual([
    { from: '2026-07-20', kg: 3.2, lostKg: 0, splitShare: 0, gapDays: null },
    { from: '2026-07-27', kg: 0, lostKg: 0.3, splitShare: 0, gapDays: null },
    { from: '2026-08-03', kg: 1, lostKg: 0.5, splitShare: 1 / 1.5, gapDays: null },
  ]);
  expect(r.losses).toEqual([
    { state: 'soft', kg: 0.5, share: 0.1 },
    { state: 'dark-end', kg: 0.3, share: 0.06 },
  ]);
  expect(harvestReport([plant('b')], [pick('b', '2026-07-26', 1200)], { weekStart: 0 }).weeks[0]!.from).toBe(
    '2026-07-26',
  );
});

test('a count alone is estimated by fruit weight, and says so; without either it is in no sum', () => {
  const r = harvestReport(
    [plant('a'), plant('b', { fruitG: 100 })],
    [
      pick('a', '2026-07-20', null, { count: 10 }),
      pick('b', '2026-07-20', null, { count: 6 }),
      pick('a', '2026-07-20', null),
    ],
  );
  // ten slicers of 140 g, six of 100 g
  expect([r.kg, r.estimatedShare, r.unweighed]).toEqual([2, 1, 1]);
  expect(harvestReport([], []).weeks).toEqual([]);
});

test('in any harvest: every gram is used or lost, once, and weeks, plants and varieties agree', () => {
  const picks = fc.array(
    fc.record({
      plantId: fc.constantFrom('a', 'b', 'gone'),
      date: fc.integer({ min: 1, max: 28 }).map((d) => `2026-08-${String(d).padStart(2, '0')}`),
      grams: fc.integer({ min: 1, max: 5000 }),
      state: fc.constantFrom(...PICK_STATES),
      use: fc.constantFrom(...PICK_USES),
    }),
  );
  fc.assert(
    fc.property(picks, (list) => {
      const r = harvestReport([plant('a'), plant('b', { variety: 'Plum' })], list);
      const known = list.filter((p) => p.plantId !== 'gone');
      const total = known.reduce((t, p) => t + p.grams, 0) / 1000;
      const lost = known.filter((p) => p.use === 'binned').reduce((t, p) => t + p.grams, 0) / 1000;
      const both = (rows: readonly { kg: number; lostKg: number }[]) => rows.reduce((t, x) => t + x.kg + x.lostKg, 0);
      expect(r.kg).toBeCloseTo(total - lost, 6);
      for (const rows of [r.plants, r.varieties, r.weeks]) expect(both(rows)).toBeCloseTo(total, 6);
      expect(r.losses.reduce((t, x) => t + x.kg, 0)).toBeCloseTo(lost, 6);
    }),
  );
});

test('split fruit by week beside the longest pause between waterings of one bed that ended shortly before', () => {
  const { weeks } = harvestReport(
    [plant('a')],
    [
      pick('a', '2026-07-20', 100),
      pick('a', '2026-07-28', 300),
      pick('a', '2026-07-29', 100, { state: 'split' }),
      pick('a', '2026-08-10', 100),
    ],
    // a pause of eight days that ended on 24 July; the other bed was watered in it
    {
      watered: [
        ['2026-07-24', '2026-07-14', '2026-07-16', '2026-07-16'],
        ['2026-07-20', '2026-07-22'],
      ],
    },
  );
  expect(weeks.map((w) => [w.from, w.splitShare, w.gapDays])).toEqual([
    ['2026-07-20', 0, 8],
    ['2026-07-27', 0.25, 8],
    ['2026-08-03', null, null],
    ['2026-08-10', 0, null],
  ]);
});

test('the late crop apart, without what was binned; how varieties tasted, best first', () => {
  const r = harvestReport(
    [plant('a'), plant('b', { variety: 'Plum' })],
    [
      pick('a', '2026-10-06', 500, { taste: 'fair', brix: 5 }),
      pick('a', '2026-10-07', 300, { taste: 'good', brix: 6 }),
      pick('a', '2026-10-08', 200, { use: 'binned' }),
      pick('b', '2026-09-01', 100, { taste: 'best' }),
    ],
    { lateFrom: '2026-10-07' },
  );
  expect(r.lateKg).toBe(0.3);
  expect(r.tastes).toEqual([
    { variety: 'Plum', tasted: 1, good: 1, brix: null },
    { variety: 'Red one', tasted: 2, good: 1, brix: 5.5 },
  ]);
  expect(harvestReport([plant('a')], []).lateKg).toBeNull();
});
