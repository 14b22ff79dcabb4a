import fc from 'fast-check';
import { addDays, type Day } from '../../src/units/index.js';
import { dryingOrder, dryingOrderInWords, type FeltPlant } from '../../src/water/index.js';

const FROM = '2026-07-01';
const days = (...n: number[]): ReadonlySet<Day> => new Set(n.map((i) => addDays(FROM, i)));
const plant = (id: string, more: Partial<FeltPlant> = {}): FeltPlant => ({
  id,
  name: id.toUpperCase(),
  dryOn: days(),
  dampOn: days(),
  volumeL: null,
  sunHours: null,
  heightM: null,
  lowEnd: false,
  ...more,
});
const told = (plants: FeltPlant[], of = plants) =>
  dryingOrder(plants, new Set(of.map((p) => p.id))).map(dryingOrderInWords);

test('what was dry on three of four days that differed dries first, with what sets it apart', () => {
  const a = plant('a', { dryOn: days(1, 2, 3), dampOn: days(4, 5), volumeL: 10, sunHours: 9, heightM: 1.8 });
  const b = plant('b', { dryOn: days(4), dampOn: days(1, 2, 3, 5), volumeL: 30, sunHours: 6, heightM: 1.2 });
  expect(told([a, b])).toEqual([
    'Dries first: A, on 3 of 4 days compared (less soil, more sun, taller). Feel it before the others.',
  ]);
  // those like it are named together; only those asked about are
  const c = plant('c', { ...a, id: 'c', name: 'C' });
  expect(told([a, b, c])[0]).toMatch(/^Dries first: A, C, .* Feel them/);
  expect(told([a, b], [b])).toEqual([]);
});

test('nothing is said of two days, of half the days, or where all felt alike', () => {
  const others = (dampOn: ReadonlySet<Day>, dryOn = days()) => plant('b', { dampOn, dryOn });
  expect(told([plant('a', { dryOn: days(1, 2) }), others(days(1, 2))])).toEqual([]);
  expect(told([plant('a', { dryOn: days(1, 2, 3), dampOn: days(4, 5) }), others(days(1, 2, 3), days(4, 5))])).toEqual(
    [],
  );
  expect(told([plant('a', { dryOn: days(1, 2, 3, 4) }), plant('b', { dryOn: days(1, 2, 3, 4) })])).toEqual([]);
  expect(told([plant('a', { dryOn: days(1, 2, 3, 4) }), plant('b')])).toEqual([]);
});

test('at a low end soil stays damp longest; elsewhere damp soil is nothing to remark on', () => {
  const dry = plant('a', { dryOn: days(1, 2, 3) });
  const low = (lowEnd: boolean) => plant('b', { dampOn: days(1, 2, 3), lowEnd });
  expect(told([dry, low(true)], [low(true)])).toEqual([
    'Stays damp longest: B, on 3 of 3 days compared (at the low end). Feel it before you water.',
  ]);
  expect(told([dry, low(false)], [low(false)])).toEqual([]);
});

test('property: nobody is first and last at once, and no more days agree than were compared', () => {
  const some = fc.uniqueArray(fc.integer({ min: 0, max: 12 }), { maxLength: 10 });
  const any = fc
    .tuple(some, some, fc.boolean())
    .map(([dry, damp, lowEnd]) =>
      plant('p', { dryOn: days(...dry), dampOn: days(...damp.filter((d) => !dry.includes(d))), lowEnd }),
    );
  fc.assert(
    fc.property(fc.array(any, { maxLength: 5 }), (list) => {
      const plants = list.map((p, i) => ({ ...p, id: `${i}`, name: `${i}` }));
      const order = dryingOrder(plants, new Set(plants.map((p) => p.id)));
      const names = order.flatMap((o) => o.names);
      expect(new Set(names).size).toBe(names.length);
      for (const o of order) expect(o.days / o.of).toBeGreaterThanOrEqual(0.75);
    }),
  );
});
