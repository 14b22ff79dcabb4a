import { washedShare as shareOf } from '../../src/water/leaching.js';
import { addDays } from '@candid-leaf/core/units';
import {
  expectedFruitKg,
  grownOn,
  ledgerDays,
  overDoseFaults,
  SEASON_GROWTH,
  UPTAKE_G_PER_KG,
} from '../../src/nutrition/index.js';
import { ASOF } from '../helpers.js';

const FROM = addDays(ASOF, -60);
const fed = (back: number, more: object = {}) => ({
  date: addDays(ASOF, -back),
  product: 'Soluble',
  n: 20,
  p2o5: 20,
  k2o: 20,
  grams: 5,
  form: 'liquid' as const,
  ...more,
});
const ledger = (more: Partial<Parameters<typeof ledgerDays>[0]> = {}) =>
  ledgerDays({
    from: FROM,
    to: ASOF,
    fed: [fed(50), fed(20)],
    washedShare: new Map(),
    soilG: () => 0,
    season: [6, 12],
    grown: (day) => day / 120,
    ...more,
  });

test('a ton of tomatoes takes up 2.2 to 3.0 kg of nitrogen and more potassium (IFA manual, from memory); a bed’s crop fits', () => {
  expect(UPTAKE_G_PER_KG.tomato.n).toEqual([2.2, 3]);
  for (const crop of ['tomato', 'pepper'] as const) {
    const { n, p, k } = UPTAKE_G_PER_KG[crop];
    expect(k[0]).toBeGreaterThanOrEqual(n[0]);
    expect(p[1]).toBeLessThan(n[0] / 3);
  }
  expect(expectedFruitKg({ crop: 'tomato' }, { kind: 'ground' })).toEqual([2.5, 5]);
  expect(expectedFruitKg({ crop: 'tomato', habit: 'determinate' }, { kind: 'ground' })).toEqual([2, 4]);
  expect(expectedFruitKg({ crop: 'tomato' }, { kind: 'container', volumeL: 10 })).toEqual([0.75, 1.5]);
});

test('growth follows light, leaves and warmth; a temperate summer of 120 days comes to one season', () => {
  const warm = { coverShare: 1, solarMj: 20, degreeDays: 17 };
  expect(grownOn(warm)).toBe(1);
  // one per cent more light, one per cent more fruit (Marcelis et al. 2006, from memory)
  expect(grownOn({ ...warm, solarMj: 20.2 })).toBeCloseTo(1.01, 9);
  expect(grownOn({ ...warm, coverShare: 0.5 })).toBe(0.5);
  expect(grownOn({ ...warm, degreeDays: 8.5 })).toBe(0.5);
  // heat beyond a warm day adds nothing
  expect(grownOn({ ...warm, degreeDays: 24 })).toBe(1);
  let sum = 0;
  for (let d = 0; d < 120; d++) sum += grownOn({ coverShare: Math.min(1, (d / 45) ** 2), solarMj: 20, degreeDays: 14 });
  expect(sum / SEASON_GROWTH).toBeGreaterThan(0.95);
  expect(sum / SEASON_GROWTH).toBeLessThan(1.05);
});

test('given, released: a soluble feed at once, compost slowly', () => {
  const days = ledger({ fed: [fed(50), fed(50, { product: 'Compost', form: 'amendment', n: 1, grams: 1000 })] });
  const on = (back: number) => days.find((d) => d.day === addDays(ASOF, -back))!;
  expect(on(51)).toMatchObject({ given: 0, freed: 0 });
  expect(on(50).given).toBeCloseTo(11, 6);
  expect(on(50).freed).toBeCloseTo(1, 1);
  expect(on(0).freed).toBeCloseTo(1 + 10 * 0.12 * (50 / 120), 6);
});

test('drainage carries off its share of what is dissolved, and nothing that is not released yet', () => {
  const washedShare = new Map([[addDays(ASOF, -49), 0.25]]);
  const [wet, dry] = [
    ledger({ washedShare, season: [0, 0], fed: [fed(50)] }),
    ledger({ season: [0, 0], fed: [fed(50)] }),
  ];
  expect(dry.at(-1)!.washed).toBe(0);
  expect(wet.at(-1)!.washed).toBeCloseTo(0.25, 9);
  expect(ledger({ washedShare, season: [0, 0], fed: [fed(48)] }).at(-1)!.washed).toBe(0);
});

test('a pot that drains twice its available water loses half of what is dissolved', () => {
  expect(shareOf({ drainedMm: 80, tawMm: 40 })).toBe(0.5);
  expect(shareOf({ drainedMm: 0, tawMm: 0 })).toBe(0);
});

test('never more leaves or is taken up than was released, and nothing returns', () => {
  const washedShare = new Map(Array.from({ length: 60 }, (_, i) => [addDays(FROM, i), ((i * 7) % 11) / 11]));
  const days = ledger({
    washedShare,
    fed: [fed(50), fed(20), fed(40, { product: 'Blood meal', form: 'granular', n: 12, grams: 30 })],
  });
  days.forEach((d, i) => {
    expect(d.washed).toBeLessThanOrEqual(d.freed + 1e-9);
    expect(d.freed).toBeLessThanOrEqual(d.given + 1e-9);
    expect(d.takenLow).toBeLessThanOrEqual(d.takenHigh);
    for (const key of ['given', 'freed', 'washed', 'takenHigh'] as const)
      if (i > 0) expect(d[key]).toBeGreaterThanOrEqual(days[i - 1]![key] - 1e-9);
  });
});

test('over the label, ten times over it, and over 3 g of nitrogen: refused with the reason, saved if explained', () => {
  const here = { isPot: true, potLitres: null, earlier: [], labelGrams: null };
  const paths = (f: object, more: object = {}) =>
    overDoseFaults({ ...fed(0), ...f }, { ...here, ...more }, 'data.').map((x) => x.reason);
  expect(paths({ grams: 10 })).toEqual([]);
  expect(paths({ grams: 16 })).toEqual([expect.stringMatching(/nitrogen to 3\.2 g in 14 days/)]);
  expect(paths({ grams: 10 }, { earlier: [fed(10, { grams: 6 })] })).toEqual([expect.stringMatching(/3\.2 g/)]);
  expect(paths({ grams: 10 }, { earlier: [fed(15, { grams: 6 })] })).toEqual([]);
  expect(paths({ grams: 6 }, { labelGrams: 5 })).toEqual([expect.stringMatching(/more than the label’s 5 g/)]);
  expect(paths({ grams: 50 }, { labelGrams: 5 })).toEqual([
    expect.stringMatching(/10 times the label’s 5 g: did you mean grams/),
  ]);
  expect(paths({ grams: 50, because: 'the bag tipped over' }, { labelGrams: 5 })).toEqual([]);
  // in a bed the window is a month, and slow kinds count by what they free
  expect(paths({ grams: 10 }, { isPot: false, earlier: [fed(25, { grams: 6 })] })).toEqual([
    expect.stringMatching(/30 days/),
  ]);
  expect(paths({ product: 'Compost', form: 'amendment', n: 1, grams: 1000 })).toEqual([]);
  // a small pot bears little: 14 g of 20-20-20 are stopped, and what it bears is offered and passes
  expect(paths({ grams: 14 }, { potLitres: 3 })).toEqual([
    expect.stringMatching(/nitrogen to 2\.8 g in 14 days; a pot of 3 L bears 0\.45 g.*Give 2\.2 g of it at most/),
  ]);
  expect(paths({ grams: 2.2 }, { potLitres: 3 })).toEqual([]);
  // potash and the salts as a whole count too
  expect(paths({ n: 0, p2o5: 0, k2o: 50, grams: 4 }, { potLitres: 5 })).toEqual([
    expect.stringMatching(/potash to 2 g/),
  ]);
  expect(paths({ n: 5, p2o5: 30, k2o: 5, grams: 8 }, { potLitres: 5 })).toEqual([
    expect.stringMatching(/dissolved nutrients to 3\.2 g/),
  ]);
});
