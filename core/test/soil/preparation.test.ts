import { preparationInWords, preparationOf } from '../../src/soil/index.js';
import { METRIC_FORMAT } from '../../src/units/index.js';
import { rootZones } from '../../src/water/root-zone.js';

const bed = { kind: 'ground', texture: 'loam', lengthM: 2.4, widthM: 0.6 } as const;

test('5 cm in the six weeks before planting; more on sand and clay, little on a soil rich in phosphorus', () => {
  const plan = preparationOf(bed, '2026-05-20', null)!;
  expect(plan).toMatchObject({ depthCm: 5, litres: 72, from: '2026-04-08', until: '2026-05-20' });
  expect(preparationInWords(plan, METRIC_FORMAT).amount).toMatch(/^5.cm deep, 72.L$/);
  expect(preparationOf({ ...bed, texture: 'clay' }, '2026-05-20', null)!.depthCm).toBe(8);
  expect(
    preparationOf({ ...bed, texture: 'clay', soilTest: { phosphorus: 'high' } }, '2026-05-20', null)!.depthCm,
  ).toBe(2.5);
  expect(preparationOf({ ...bed, lengthM: null }, '2026-05-20', null)!.litres).toBeNull();
});

test('not for a pot, and not twice within the year', () => {
  expect(preparationOf({ ...bed, kind: 'container' }, '2026-05-20', null)).toBeNull();
  expect(preparationOf(bed, '2026-05-20', '2025-11-01')).toBeNull();
  expect(preparationOf(bed, '2026-05-20', '2025-05-20')).not.toBeNull();
});

test('compost worked in holds a little more water, once roots are there', () => {
  const taw = (compostCm: number, day: number) =>
    rootZones({ kind: 'ground', texture: 'loam', mulch: [], shade: [], history: [], compostCm } as never, 'tomato')(day)
      .tawMm;
  expect(taw(5, 60) - taw(0, 60)).toBeCloseTo(2.75, 2);
  expect(taw(5, 0) - taw(0, 0)).toBeLessThanOrEqual(2.75);
});
