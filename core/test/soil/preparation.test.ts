import { holeCompost, preparationInWords, preparationOf } from '../../src/soil/index.js';
import { METRIC_FORMAT } from '../../src/units/index.js';
import { rootZones } from '../../src/water/root-zone.js';
import { availableShare } from '../../src/water/soils.js';

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

test('two spades of compost in the hole hold a little water in sand, the same litres whatever the roots, none in loam', () => {
  const litres = (texture: 'sand' | 'clay-loam', holeCompostL: number, day: number) => {
    const zone = rootZones({ kind: 'ground', texture, holeCompostL } as never, 'tomato')(day);
    return zone.tawMm * zone.soilM2;
  };
  const gain = (texture: 'sand' | 'clay-loam', day: number) => litres(texture, 4, day) - litres(texture, 0, day);
  const share = availableShare('potting-mix') - availableShare('sand');
  expect(share).toBeGreaterThan(0);
  for (const day of [0, 30, 90]) expect(gain('sand', day)).toBeCloseTo(4 * share, 9);
  expect(gain('clay-loam', 60)).toBeCloseTo(
    4 * Math.max(0, availableShare('potting-mix') - availableShare('clay-loam')),
    9,
  );
  expect([
    holeCompost('2026-05-10', '2027-05-09'),
    holeCompost('2026-05-10', '2027-05-10'),
    holeCompost(null, '2026-07-18'),
  ]).toEqual([{ holeCompostL: 4 }, {}, {}]);
});
