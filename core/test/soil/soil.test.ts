import { checked, PlaceMake, RefusedInput, SOIL_UNITS, SoilTest } from '@candid-leaf/core/records';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  acidityDose,
  DRENCHES,
  inPpm,
  layer,
  mulchInWords,
  mulchPlan,
  percolationOf,
  percolationRate,
  readSoilTest,
  soilTestFaults,
  unitsOf,
  withLevels,
  type MulchQuestion,
} from '../../src/soil/index.js';
import { ASOF } from '../helpers.js';

describe('units of laboratories', () => {
  /** Conversion tables of soil laboratories (common practice): 1 meq/100 g is 391 ppm K, 200 ppm Ca, 121.5 ppm Mg; ppm × 2 is lb/acre. To a half per cent. */
  test.each([
    ['potassium', 1, 'meq/100g', 391],
    ['calcium', 1, 'meq/100g', 200],
    ['magnesium', 1, 'meq/100g', 121.5],
    ['potassium', 300, 'lb/acre', 150],
    ['phosphorus', 60, 'kg/ha', 30],
    ['phosphorus', 20, 'mg/100g-oxide', 87.3],
    ['potassium', 20, 'mg/100g-oxide', 166],
    ['phosphorus', 5, 'mg/100g', 50],
    ['nitrate', 12, 'mg/kg', 12],
    ['nitrate', 12, 'ppm', 12],
  ] as const)('%s: %d %s is %d mg/kg', (element, amount, unit, ppm) => {
    const got = inPpm(element, { amount, unit })!;
    expect(Math.abs(got - ppm) / ppm).toBeLessThan(0.005);
  });

  test('a unit that does not fit its element, or is unknown, is refused at its field', () => {
    expect(inPpm('phosphorus', { amount: 1, unit: 'meq/100g' })).toBeNull();
    expect(soilTestFaults({ date: ASOF, values: { phosphorus: { amount: 1, unit: 'meq/100g' } } }, 'soilTest')).toEqual(
      [
        {
          path: 'soilTest.values.phosphorus.unit',
          reason: expect.stringMatching(/^meq\/100g of phosphorus is not a valid unit/),
        },
      ],
    );
    expect(unitsOf('nitrate', SOIL_UNITS)).not.toContain('meq/100g');
    const refused = (values: object): string => {
      try {
        checked(SoilTest, { date: ASOF, ...values });
        return 'taken';
      } catch (error) {
        return (error as RefusedInput).faults.map((f) => `${f.path}: ${f.reason}`).join();
      }
    };
    expect(refused({ values: { potassium: { amount: 1, unit: 'grains' } } })).toMatch(
      /values\.potassium\.unit: must be a supported unit/,
    );
    expect(refused({ pH: 12 })).toMatch(/pH: must be a soil pH between 2 and 11/);
    expect(refused({ values: { organicMatterPct: 120 } })).toMatch(/organicMatterPct/);
    expect(
      checked(PlaceMake, {
        kind: 'ground',
        texture: 'loam',
        soilTest: { date: ASOF, values: { potassium: { amount: 1, unit: 'meq/100g' } } },
      }),
    ).toBeDefined();
  });
});

test('a test is judged for its crop: short, enough or plenty; phosphorus only by its method of extraction', () => {
  const sheet: SoilTest = {
    date: ASOF,
    pH: 6.9,
    saltsDsPerM: 2,
    values: {
      potassium: { amount: 0.2, unit: 'meq/100g' },
      phosphorus: { amount: 25, unit: 'ppm' },
      magnesium: { amount: 400, unit: 'ppm' },
      organicMatterPct: 4,
    },
  };
  const level = (crop: 'tomato' | 'pepper', t = sheet) =>
    Object.fromEntries(readSoilTest(t, crop).map((r) => [r.what, r.level]));
  expect(level('tomato')).toEqual({
    pH: 'high',
    Potassium: 'low',
    Magnesium: 'high',
    'Organic matter': 'ok',
    Salts: 'ok',
  });
  expect(level('pepper')).toMatchObject({ pH: 'ok', Salts: 'high' });
  const by = (phosphorusBy: 'mehlich-3' | 'olsen' | 'bray') =>
    level('tomato', { ...sheet, values: { ...sheet.values, phosphorusBy } }).Phosphorus;
  expect([by('mehlich-3'), by('olsen'), by('bray')]).toEqual(['low', 'ok', 'ok']);
  // findings go by the levels read from the numbers; a word that was told stays where there is no number
  expect(withLevels({ ...sheet, potassium: 'high', calcium: 'low' })).toMatchObject({
    potassium: 'low',
    calcium: 'low',
    magnesium: 'high',
  });
});

describe('lime and sulfur', () => {
  const q = { pH: 5.5, target: 6.5, texture: 'loam' as const, areaM2: 4, from: ASOF };
  const dose = (more: object) => {
    const a = acidityDose({ ...q, ...more });
    if (a.kind !== 'dose') throw new Error(a.kind);
    return a.dose;
  };
  /** Handbook ranges (from memory) for one pH in the top 15 cm. */
  test.each([
    ['sand', 120, 170],
    ['loam', 240, 390],
    ['clay', 390, 540],
  ] as const)('+1.0 in %s: %d to %d g/m² of limestone, the weaker end first', (texture, low, high) => {
    const d = dose({ texture });
    expect(d).toMatchObject({ with: 'lime', range: [low, high] });
    expect(d.parts).toEqual([{ on: ASOF, gPerM2: low, grams: low * 4 }]);
  });

  test('over 500 g/m² of lime and over 100 g/m² of sulfur are split, months apart, with a test in between', () => {
    const lime = dose({ pH: 5, texture: 'clay' });
    expect(lime.parts.map((p) => p.gPerM2)).toEqual([293, 293]);
    expect(lime.parts[1]!.on).toBe(addDays(ASOF, 180));
    expect(lime.testAgainOn > lime.parts[1]!.on).toBe(true);
    const sulfur = dose({ pH: 8, target: 6.5, texture: 'clay', fizzes: false });
    expect(sulfur).toMatchObject({ with: 'sulfur', range: [150, 225] });
    expect(sulfur.parts.map((p) => p.gPerM2)).toEqual([75, 75]);
    for (const texture of ['sand', 'loamy-sand', 'sandy-loam', 'loam', 'silt-loam', 'clay-loam', 'clay'] as const)
      for (let pH = 4; pH < 9; pH += 0.3) {
        const a = acidityDose({ ...q, texture, pH, fizzes: false });
        if (a.kind === 'dose')
          for (const part of a.dose.parts) expect(part.gPerM2).toBeLessThanOrEqual(a.dose.with === 'lime' ? 500 : 100);
      }
  });

  test('no change if right already, never over 6.8 with lime, no pot by the table for ground, no unreasonable target', () => {
    expect(acidityDose({ ...q, pH: 6.4 })).toEqual({ kind: 'right' });
    expect(acidityDose({ ...q, target: 7 })).toEqual({ kind: 'refused', because: 'over' });
    expect(acidityDose({ ...q, texture: 'potting-mix' })).toEqual({ kind: 'refused', because: 'pot' });
    expect(acidityDose({ ...q, target: 4 })).toEqual({ kind: 'refused', because: 'no-target' });
  });
});

test('a layer in litres, bags and barrows: 5 cm on 2 m² are 100 L', () => {
  expect(layer(2, 5, 40)).toEqual({ litres: 100, bags: 3, barrows: 1.5 });
  expect(layer(1, 4, 40)).toEqual({ litres: 40, bags: 1, barrows: 0.5 });
});

test('percolation: an inch an hour is good; standing water is reported', () => {
  expect(percolationRate(2.5, 60)).toBe(25);
  expect([2, 10, 25, 60, 200].map(percolationOf)).toEqual(['stands', 'slow', 'good', 'good', 'fast']);
});

test('recipes that differ are shown with their range, the weaker first', () => {
  for (const d of DRENCHES) {
    expect(d.weaker).toBeLessThan(d.stronger);
    expect(d.stronger / d.weaker).toBeGreaterThanOrEqual(2);
  }
});

describe('mulch', () => {
  const days = (tMaxC: number) =>
    Array.from({ length: 10 }, (_, i) => ({ date: addDays(ASOF, i - 10), tMinC: 10, tMaxC, rainMm: 0 }));
  const q = (more: Partial<MulchQuestion> = {}): MulchQuestion => ({
    today: ASOF,
    heatAhead: false,
    weather: days(23),
    heightM: 0.5,
    plantedOn: addDays(ASOF, -40),
    liesMm: 0,
    areaM2: 2,
    leafSpot: false,
    isPot: false,
    ...more,
  });
  test('once the soil is warm and the plant 30 cm tall; in heat at once; not twice', () => {
    expect(mulchPlan(q())).toEqual({ kind: 'lay', because: 'warm', paper: false, depthCm: 6, litres: 120 });
    expect(mulchPlan(q({ weather: days(17) }))).toEqual({ kind: 'wait', because: 'cold' });
    expect(mulchInWords(mulchPlan(q({ weather: days(17) })), METRIC_FORMAT)).toMatch(/Dark fabric is the exception/);
    expect(mulchPlan(q({ heightM: 0.2 }))).toEqual({ kind: 'wait', because: 'small' });
    expect(mulchPlan(q({ heightM: 0.2, weather: days(17), heatAhead: true }))).toMatchObject({
      kind: 'lay',
      because: 'heat',
    });
    expect(mulchPlan(q({ liesMm: 40 }))).toEqual({ kind: 'lies' });
    expect(mulchPlan(q({ liesMm: null, heatAhead: true }))).toEqual({ kind: 'ask' });
    expect(mulchPlan(q({ liesMm: 20 }))).toMatchObject({ depthCm: 4, litres: 80 });
  });
  test('what was spread deep enough and has settled since is looked at first, then topped up', () => {
    const settled = mulchPlan(q({ liesMm: 24, spreadOn: '2026-05-03' }));
    expect(settled).toMatchObject({ because: 'settled', depthCm: 4, litres: 80, settled: { liesCm: 2 } });
    expect(mulchInWords(settled, METRIC_FORMAT)).toMatch(/3 May has likely settled to about 2.cm\. Look first/);
    // heat asks for mulch on bare soil only
    expect(mulchPlan(q({ liesMm: 24, spreadOn: '2026-05-03', heatAhead: true }))).toMatchObject({ because: 'settled' });
  });
  test('paper under it after leaf spots, and never in a pot', () => {
    expect(mulchPlan(q({ leafSpot: true }))).toMatchObject({ paper: true });
    expect(mulchInWords(mulchPlan(q({ leafSpot: true })), METRIC_FORMAT)).toMatch(/four sheets of wet plain paper/);
    expect(mulchPlan(q({ leafSpot: true, isPot: true }))).toMatchObject({ paper: false });
  });
});
