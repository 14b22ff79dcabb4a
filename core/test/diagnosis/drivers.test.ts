import { DRIVER_CODES, type DriverCode } from '@candid-leaf/core/diagnosis';
import { contextOf } from '@candid-leaf/core/diagnosis';
import type { PlantCase, SignCode } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import fc from 'fast-check';
import { graded, nearness } from '../../src/diagnosis/drivers/curves.js';
import { DRIVER_RULES } from '../../src/diagnosis/drivers/index.js';
import { driverFactor } from '../../src/diagnosis/engine/network.js';
import type { RuleParams, Verdict } from '../../src/diagnosis/drivers/verdict.js';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

type Change = Parameters<typeof aCase>[0];
const back = (n: number) => addDays(ASOF, -n);
const verdictOn = (driver: DriverCode, change: Change, params: RuleParams = {}): Verdict =>
  DRIVER_RULES[driver](contextOf(aCase(change)), params);
const state = (driver: DriverCode, change: Change, params?: RuleParams) => verdictOn(driver, change, params).state;

/** Weather of so many days with the last `n` of them changed. */
const weather = (n: number, last: object, others: object = {}) =>
  aCase().records.weather.map((w, i, all) => ({ ...w, ...(i >= all.length - n ? last : others) }));
const signs = (...codes: SignCode[]) => codes.map((code) => seen(code));
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 20 } as const;
const bed = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;
const test_ = (soilTest: PlantCase['place']['soilTest']) => ({ place: { ...bed, soilTest } });
const feed = (daysAgo: number, n: number, grams: number, p2o5 = 5, k2o = 5) => ({
  feeding: [{ date: back(daysAgo), n, p2o5, k2o, grams }],
});

interface Limits {
  /** at the limit of the handbook or over it: one half and more */
  found: Change[];
  /** there, but less than that */
  weak?: Change[];
  /** under the limit: less than one half, or nothing at all */
  absent: Change[];
  unknown?: Change[];
}

/** For each driver: what finds it, just not what would, and where known, what leaves it open. Limits: handbook. */
const RULES: Partial<Record<DriverCode, Limits>> = {
  'dry-spell': {
    found: [
      {
        place: pot,
        records: {
          watering: [
            { date: back(15), litres: 3 },
            { date: back(6), litres: 3 },
          ],
        },
      },
      { records: { weather: [] }, observations: signs('soil-dry-deep') },
    ],
    absent: [{ place: pot, records: { watering: everyNDays(1, 3) } }],
    unknown: [{ records: { weather: [] } }, { place: pot }],
  },
  'uneven-watering': {
    found: [{ place: { ...pot, volumeL: 12 }, records: { watering: everyNDays(5, 8) } }],
    absent: [{ place: pot, records: { watering: everyNDays(1, 2) } }],
    unknown: [{ place: pot }, { records: { weather: [] } }],
  },
  'dry-then-wet': {
    found: [
      {
        place: pot,
        records: {
          watering: [
            { date: back(9), litres: 8 },
            { date: back(1), litres: 12 },
          ],
        },
      },
    ],
    absent: [{ place: pot, records: { watering: everyNDays(1, 3) } }],
    unknown: [{ records: { weather: [] } }],
  },
  overwatering: {
    found: [
      { place: pot, records: { watering: everyNDays(1, 12) } },
      {
        records: {
          weather: [],
          soilChecks: [
            { date: back(4), feel: 'wet' },
            { date: back(1), feel: 'wet' },
          ],
        },
      },
    ],
    weak: [{ records: { weather: [] }, observations: signs('soil-wet-deep') }],
    absent: [{ place: bed, records: { watering: everyNDays(6, 10) } }],
    unknown: [{ records: { weather: [] } }],
  },
  'poor-drainage': {
    found: [
      { place: { ...bed, drainageMmPerH: 24 } },
      { observations: signs('soil-pooling') },
      { place: { ...bed, lowEnd: true } },
    ],
    weak: [{ place: { ...bed, drainageMmPerH: 30 } }],
    absent: [{ place: { ...bed, drainageMmPerH: 60 } }, { place: bed }],
    unknown: [{ place: { ...bed, texture: 'clay' } }],
  },
  'small-container': {
    found: [{ place: { ...pot, volumeL: 14.9 } }, { place: { ...pot, volumeL: 9.9 }, plant: { crop: 'pepper' } }],
    absent: [
      { place: { ...pot, volumeL: 15.1 } },
      { place: { ...pot, volumeL: 10.1 }, plant: { crop: 'pepper' } },
      { place: { ...pot, volumeL: 0.1 }, plant: { stage: 'seedling', heightM: 0.08 } }, // it belongs in a small cell
      { place: bed },
    ],
  },
  leaching: {
    found: [{ place: pot, records: { watering: everyNDays(1, 10) } }],
    absent: [{ place: pot, records: { watering: everyNDays(3, 2) } }],
    unknown: [{ records: { weather: [] } }],
  },
  'hot-days': {
    found: [{ records: { weather: weather(3, { tMaxC: 32 }) } }],
    weak: [{ records: { weather: weather(2, { tMaxC: 38 }) } }, { records: { weather: weather(3, { tMaxC: 31.5 }) } }],
    absent: [{ records: { weather: weather(10, { tMaxC: 30 }) } }],
    unknown: [{ records: { weather: [] } }],
  },
  'warm-nights': {
    found: [
      { records: { weather: weather(3, { tMinC: 21.1 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 24.1 }) } },
    ],
    absent: [
      { records: { weather: weather(3, { tMinC: 20.8 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 23.8 }) } },
    ],
  },
  'cold-nights': {
    found: [
      { records: { weather: weather(3, { tMinC: 12.9 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 14.9 }, { tMinC: 18 }) } },
    ],
    absent: [
      { records: { weather: weather(3, { tMinC: 13.2 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 15.2 }, { tMinC: 18 }) } },
    ],
  },
  'low-light': {
    found: [
      { records: { weather: weather(5, { solarMj: 9.9 }) } },
      { place: { ...bed, shade: [{ from: back(20), blockPct: 50 }] } },
      { place: { kind: 'indoors', texture: 'potting-mix' } },
      { place: { ...bed, sunHours: 6 } },
    ],
    absent: [
      { place: { ...bed, sunHours: 8 } },
      { records: { weather: weather(3, { solarMj: 5 }) } },
      { place: { ...bed, shade: [{ from: back(20), blockPct: 40 }] } },
    ],
  },
  'wind-or-hail': {
    found: [
      { records: { weather: weather(1, { windMs: 8 }) } },
      { records: { events: [{ date: back(3), what: 'hail' }] } },
    ],
    absent: [
      { records: { weather: weather(14, { windMs: 6 }) } },
      { records: { events: [{ date: back(14), what: 'hail' }] } },
      { records: { events: [{ date: back(3), what: 'staked' }] } },
    ],
  },
  'wet-foliage': {
    found: [
      {
        records: {
          watering: [
            { date: back(4), litres: 3, how: 'overhead' },
            { date: back(2), litres: 3, how: 'overhead' },
          ],
        },
      },
      { records: { weather: weather(5, { rainMm: 1 }) } },
      { records: { weather: weather(3, { wetHours: 8.1 }) } },
    ],
    weak: [
      { records: { weather: weather(4, { rainMm: 20 }) } },
      { records: { weather: weather(2, { wetHours: 20 }) } },
    ],
    absent: [
      { records: { watering: [{ date: back(2), litres: 3, how: 'base' }] } },
      { place: { kind: 'tunnel-bed', texture: 'loam' }, records: { weather: weather(10, { rainMm: 9 }) } },
    ],
    unknown: [{ records: { weather: [] } }],
  },
  'humid-still-air': {
    found: [
      { place: { kind: 'tunnel-bed', texture: 'loam' }, records: { weather: weather(3, { rhMeanPct: 86 }) } },
      { observations: signs('plant-dense') },
    ],
    absent: [
      { place: { kind: 'tunnel-bed', texture: 'loam' }, records: { weather: weather(14, { rhMeanPct: 79 }) } },
      { records: { weather: weather(9, { rhMeanPct: 95 }) } },
    ],
    unknown: [{ place: { kind: 'tunnel-bed', texture: 'loam' } }],
  },
  'planted-too-early': {
    found: [{ plant: { transplantedOn: '2026-04-20' }, garden: { lastFrost: '05-01' } }],
    absent: [{ plant: { transplantedOn: '2026-05-02' }, garden: { lastFrost: '05-01' } }],
    unknown: [{ plant: { transplantedOn: null } }],
  },
  'low-calcium': {
    found: [test_({ date: back(90), calcium: 'low' }), test_({ date: back(90), pH: 5.79 })],
    absent: [test_({ date: back(90), pH: 6.2, calcium: 'ok' })],
    unknown: [{ place: bed }],
  },
  'soil-too-acid': {
    found: [test_({ date: back(9), pH: 5.7 })],
    weak: [test_({ date: back(9), pH: 5.9 })],
    absent: [test_({ date: back(9), pH: 6.3 })],
    unknown: [{ place: bed }],
  },
  'soil-too-alkaline': {
    found: [test_({ date: back(9), pH: 7.3 })],
    weak: [test_({ date: back(9), pH: 7.1 })],
    absent: [test_({ date: back(9), pH: 6.7 })],
    unknown: [{ place: bed }],
  },
  'excess-nitrogen': {
    found: [
      { records: feed(29, 20, 15.1, 30, 30) }, // 3.02 g in a month
      { place: pot, records: feed(13, 20, 15.1, 30, 30) },
      test_({ date: back(60), nitrogen: 'high' }),
    ],
    weak: [
      { records: feed(5, 10, 3) }, // led by nitrogen while it bears
      { records: feed(29, 20, 14, 30, 30) }, // 2.8 g are plenty, not yet too much
    ],
    absent: [
      { records: feed(30, 20, 40, 30, 30) },
      { place: pot, records: feed(14, 20, 15.1, 30, 30) },
      { plant: { stage: 'vegetative' }, records: feed(5, 10, 3) },
    ],
    unknown: [{ place: bed }],
  },
  underfeeding: {
    found: [{ place: pot, records: feed(28, 5, 10) }, { records: feed(56, 5, 10) }],
    weak: [{ place: pot, records: feed(22, 5, 10) }],
    absent: [{ place: pot, records: feed(9, 5, 10) }, { records: feed(20, 5, 10) }],
    // none recorded is not none given
    unknown: [{ plant: { transplantedOn: null } }, { place: pot, plant: { transplantedOn: back(90) } }],
  },
  'salt-buildup': {
    found: [
      test_({ date: back(9), saltsDsPerM: 2.6 }),
      { ...test_({ date: back(9), saltsDsPerM: 1.6 }), plant: { crop: 'pepper' } }, // FAO-29: peppers bear less
      { observations: signs('soil-white-crust') },
      { place: pot, records: feed(3, 20, 16) },
    ],
    weak: [test_({ date: back(9), saltsDsPerM: 2 })],
    absent: [test_({ date: back(9), saltsDsPerM: 1 }), { place: pot, records: feed(3, 20, 3) }],
    unknown: [{ place: pot }],
  },
  'heavy-potassium': {
    found: [{ records: feed(20, 4, 31, 4, 20) }, test_({ date: back(30), potassium: 'high' })],
    weak: [{ records: feed(20, 4, 24, 4, 20) }],
    absent: [{ records: feed(20, 10, 60, 10, 10) }, { records: feed(43, 4, 90, 4, 20) }],
    unknown: [{ place: bed }],
  },
  'leaf-loss-by-pruning': {
    found: [
      { records: { pruning: [{ date: back(13), leafSharePct: 25.1 }] } },
      // 15 % and then 12 % of what was left: 25.2 %
      {
        records: {
          pruning: [
            { date: back(5), leafSharePct: 15 },
            { date: back(2), leafSharePct: 12 },
          ],
        },
      },
    ],
    weak: [
      { observations: signs('after-pruning') },
      {
        records: {
          pruning: [
            { date: back(5), leafSharePct: 14 },
            { date: back(2), leafSharePct: 12 },
          ],
        },
      },
    ],
    absent: [{ records: { pruning: [{ date: back(14), leafSharePct: 60 }] } }],
    unknown: [{ place: bed }],
  },
  'over-pruning': {
    found: [
      { records: { pruning: [{ date: back(3), cuts: 9 }] } },
      { records: { pruning: [{ date: back(3), leafSharePct: 30 }] } },
    ],
    weak: [{ records: { pruning: [{ date: back(3), cuts: 8, leafSharePct: 29 }] } }],
    absent: [{ records: { pruning: [{ date: back(3), cuts: 3, leafSharePct: 8 }] } }],
    unknown: [{ place: bed }],
  },
  'wrong-spray-mix': {
    found: [
      { records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 30 }] } },
      // where nobody noted the warmth, the weather knows it
      { records: { weather: weather(3, { tMaxC: 31 }), sprays: [{ date: back(2), product: 'neem' }] } },
      { records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 20, perLitre: 40, labelPerLitre: 20 }] } },
    ],
    absent: [
      { records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 26, perLitre: 22, labelPerLitre: 20 }] } },
      { records: { sprays: [{ date: back(2), product: 'bt', tMaxC: 38 }] } }, // does not burn
      { records: { sprays: [{ date: back(10), product: 'soap', tMaxC: 38 }] } },
    ],
    unknown: [{ observations: signs('after-spraying') }, { place: bed }],
  },
  'spray-drift': {
    found: [{ records: { sprays: [{ date: back(20), product: 'weedkiller-nearby' }] } }],
    absent: [{ records: { sprays: [{ date: back(21), product: 'weedkiller-nearby' }] } }],
    unknown: [{ place: bed }],
  },
  'sudden-exposure': {
    found: [
      { records: { events: [{ date: back(13), what: 'moved' }] } },
      { observations: signs('stem-broken') },
      // the last day under the cloth, and a cloth that was changed for a thin one
      { place: { ...bed, shade: [{ from: back(40), to: back(14), blockPct: 30 }] } },
      {
        place: {
          ...bed,
          shade: [
            { from: back(40), to: back(5), blockPct: 50 },
            { from: back(4), blockPct: 30 },
          ],
        },
      },
    ],
    absent: [
      { records: { events: [{ date: back(14), what: 'moved' }] } },
      { place: { ...bed, shade: [{ from: back(40), to: back(15), blockPct: 30 }] } },
      { place: { ...bed, shade: [{ from: back(40), to: back(5), blockPct: 15 }] } },
      { place: { ...bed, shade: [{ from: back(5), blockPct: 50 }] } },
    ],
  },
  'no-hardening': {
    found: [{ plant: { transplantedOn: back(21) }, records: { events: [{ date: back(30), what: 'staked' }] } }],
    absent: [
      { plant: { transplantedOn: back(22) } },
      // recorded before it went out
      { plant: { transplantedOn: back(10) }, records: { events: [{ date: back(12), what: 'hardened-off' }] } },
    ],
    unknown: [{ plant: { transplantedOn: back(10) } }],
  },
  crowding: {
    found: [
      { plant: { spacingM: 0.33 } },
      { plant: { crop: 'pepper', spacingM: 0.29 } },
      { observations: signs('plant-dense') },
    ],
    absent: [
      { plant: { spacingM: 0.45 } },
      { plant: { crop: 'pepper', spacingM: 0.4 } },
      { place: pot, plant: { spacingM: 0.2 } },
    ],
  },
  'leaves-near-soil': {
    found: [
      { observations: signs('plant-leaves-touch-soil') },
      // on old mulch, and on wet mulch, they do
      {
        place: { ...bed, mulch: [{ from: back(61), depthMm: 50, kind: 'straw' }] },
        observations: signs('plant-leaves-touch-soil'),
      },
      {
        place: { ...bed, mulch: [{ from: back(20), depthMm: 50, kind: 'straw' }] },
        records: { weather: weather(1, { rainMm: 4 }) },
        observations: signs('plant-leaves-touch-soil'),
      },
      // nobody knows whether it rained
      {
        place: { ...bed, mulch: [{ from: back(20), depthMm: 50, kind: 'straw' }] },
        records: { weather: [] },
        observations: signs('plant-leaves-touch-soil'),
      },
      { plant: { heightM: 0.61 }, records: { pruning: [{ date: back(30), what: ['suckers'] }] } },
    ],
    weak: [
      { plant: { heightM: 0.61 }, records: { watering: everyNDays(3, 6) } },
      // on dry, fresh mulch they do not touch the soil
      {
        place: { ...bed, mulch: [{ from: back(20), depthMm: 50, kind: 'straw' }] },
        observations: signs('plant-leaves-touch-soil'),
      },
    ],
    unknown: [{ plant: { heightM: 0.61 } }],
    absent: [
      { plant: { heightM: 0.6 } },
      { plant: { heightM: 1.5 }, records: { pruning: [{ date: back(30), what: ['lower-leaves'] }] } },
    ],
  },
  'poor-pollination': {
    found: [{ place: { kind: 'tunnel-bed', texture: 'loam' } }, { observations: signs('flower-still-air') }],
    absent: [
      { place: bed },
      {
        place: { kind: 'tunnel-bed', texture: 'loam' },
        records: { events: [{ date: back(9), what: 'pollination-assist' }] },
      },
    ],
  },
  'small-plant': {
    found: [
      { plant: { heightM: 0.49 } },
      { plant: { crop: 'pepper', heightM: 0.29 } },
      { plant: { heightM: null }, observations: signs('plant-stunted') },
    ],
    weak: [{ plant: { heightM: 0.55 } }],
    absent: [{ plant: { heightM: 1.2 } }, { plant: { crop: 'pepper', heightM: 0.7 } }],
  },
  'pests-present': {
    found: [{ observations: signs('pest-aphids') }],
    absent: [{ observations: signs('pest-none-found') }],
    unknown: [{ place: bed }],
  },
  'overripe-on-plant': {
    found: [{ plant: { stage: 'ripening' }, records: { events: [{ date: back(13), what: 'harvest' }] } }],
    weak: [{ plant: { stage: 'late' }, records: { events: [{ date: back(9), what: 'harvest' }] } }],
    absent: [
      { plant: { stage: 'fruiting' } },
      { plant: { stage: 'late' }, records: { events: [{ date: back(2), what: 'harvest' }] } },
    ],
    unknown: [{ plant: { stage: 'ripening' } }],
  },
  'same-family-before': {
    found: [{ place: { ...bed, history: [{ year: 2023, family: 'nightshade' }] } }],
    absent: [
      { place: { ...bed, history: [{ year: 2022, family: 'nightshade' }] } },
      { place: { ...bed, history: [{ year: 2025, family: 'other' }] } },
      { place: { ...pot, history: [{ year: 2025, family: 'nightshade' }] } },
    ],
    unknown: [{ place: bed }],
  },
  'no-mulch': {
    found: [{ observations: signs('soil-bare') }],
    weak: [
      { place: { ...bed, mulch: [] } },
      // recorded as bare
      { place: { ...bed, mulch: [{ from: back(5), depthMm: 0 }] } },
      { place: { ...bed, mulch: [{ from: back(60), to: back(20), depthMm: 60 }] } },
    ],
    // clippings of four months ago may be gone, and nobody said so
    unknown: [{ place: bed }, { place: { ...bed, mulch: [{ from: back(120), depthMm: 60, kind: 'clippings' }] } }],
    absent: [
      { place: { ...bed, mulch: [{ from: back(60), depthMm: 60 }] } },
      { place: { ...bed, mulch: [{ from: back(120), depthMm: 60, kind: 'straw' }] } },
      { place: { ...bed, mulch: [{ from: back(400), depthMm: 2, kind: 'paper' }] } },
    ],
  },
};

describe.each(Object.entries(RULES) as [DriverCode, NonNullable<(typeof RULES)[DriverCode]>][])(
  '%s',
  (driver, rule) => {
    test.each(rule.found.map((change) => [change] as const))('is found by %j', (change) => {
      const verdict = verdictOn(driver, change);
      expect(verdict.state).toBe('found');
      if (verdict.state !== 'found') return;
      expect(verdict.strength).toBeGreaterThanOrEqual(0.5);
      expect(verdict.strength).toBeLessThanOrEqual(1);
      expect(verdict.because.length).toBeGreaterThan(0);
      for (const b of verdict.because) {
        expect(b.text).not.toMatch(/NaN|undefined|null/);
        expect(b.date <= ASOF).toBe(true);
      }
    });
    test.each(rule.absent.map((change) => [change] as const))('is not found by %j', (change) => {
      const verdict = verdictOn(driver, change);
      expect([verdict.state === 'unknown', verdict.state === 'found' ? verdict.strength < 0.5 : true]).toEqual([
        false,
        true,
      ]);
    });
    if (rule.weak)
      test.each(rule.weak.map((change) => [change] as const))('is partly found by %j', (change) => {
        const verdict = verdictOn(driver, change);
        expect(verdict.state).toBe('found');
        if (verdict.state === 'found') expect(verdict.strength).toBeLessThan(0.5);
      });
    if (rule.unknown)
      test.each(rule.unknown.map((change) => [change] as const))('stays unknown with %j', (change) => {
        const verdict = verdictOn(driver, change);
        expect(verdict.state).toBe('unknown');
        if (verdict.state === 'unknown') expect(verdict.ask.length).toBeGreaterThan(10);
      });
  },
);

test('every driver has a row of its limits here, or follows from a sign alone', () => {
  const bySign: Partial<Record<DriverCode, SignCode>> = {
    'heavy-flower-load': 'flower-many-open',
    'disease-present': 'leaf-mottle',
    'leaf-loss-by-disease': 'leaf-target-spots',
  };
  for (const [driver, sign] of Object.entries(bySign) as [DriverCode, SignCode][]) {
    expect(state(driver, { observations: signs(sign) })).toBe('found');
    expect(state(driver, {})).toBe('absent');
  }
  expect(DRIVER_CODES.filter((d) => !(d in RULES) && !(d in bySign))).toEqual([]);
});

test('a problem may set its own limits for a rule', () => {
  const hot = { records: { weather: weather(1, { tMaxC: 30 }) } };
  expect(state('hot-days', hot)).toBe('absent');
  expect(state('hot-days', hot, { atC: 30, days: 1, within: 4 })).toBe('found');
  expect(state('soil-too-alkaline', test_({ date: back(9), pH: 6.9 }), { pH: 6.8 })).toBe('found');
});

describe('curves', () => {
  test('rise steadily from 0 to 1, and are one half at the limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 1.05, max: 5, noNaN: true }),
        (half, times) => {
          const at = (x: number) => graded(x, half, half * times);
          expect(at(0)).toBe(0);
          expect(at(half)).toBeCloseTo(0.5, 9);
          expect(at(half * times)).toBeCloseTo(1, 9);
          let before = 0;
          for (let x = 0; x <= half * times * 1.5; x += half / 20) {
            expect(at(x)).toBeGreaterThanOrEqual(before);
            before = at(x);
          }
          expect(before).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 100 },
    );
  });
  test('a day counts fully inside its window and fades beyond it', () => {
    const span = { from: 28, to: 56 };
    expect([28, 40, 56].map((b) => nearness(b, span))).toEqual([1, 1, 1]);
    expect(nearness(10, span)).toBe(0);
    expect(nearness(24, span)).toBeGreaterThan(0);
    expect(nearness(24, span)).toBeLessThan(1);
    expect(nearness(63, span)).toBe(0);
  });
  test('a driver’s factor rises with its strength, and its absence counts until the limit', () => {
    const link = { driver: 'hot-days', oddsFactor: 4, weight: 1, oddsFactorIfAbsent: 0.2 } as const;
    expect(driverFactor(link, 0)).toBeCloseTo(0.2, 9);
    expect(driverFactor(link, 0.5)).toBeCloseTo(2.5, 9);
    expect(driverFactor(link, 1)).toBeCloseTo(4, 9);
    for (let s = 0; s < 1; s += 0.05) expect(driverFactor(link, s + 0.05)).toBeGreaterThan(driverFactor(link, s));
  });
});

describe('more never means less evidence', () => {
  const strength = (driver: DriverCode, change: Change): number => {
    const v = verdictOn(driver, change);
    return v.state === 'found' ? v.strength : 0;
  };
  const rises = (driver: DriverCode, steps: Change[]) => {
    const list = steps.map((change) => strength(driver, change));
    expect(list).toEqual([...list].sort((a, b) => a - b));
    expect(list.at(-1)).toBeGreaterThan(list[0]!);
  };
  test.each([
    ['hot-days', [0, 1, 2, 3, 5, 8, 10].map((n) => ({ records: { weather: weather(n, { tMaxC: 34 }) } }))],
    ['hot-days', [28, 30, 31, 32, 34, 38].map((tMaxC) => ({ records: { weather: weather(4, { tMaxC }) } }))],
    ['cold-nights', [16, 14, 13, 12, 10, 6].map((tMinC) => ({ records: { weather: weather(4, { tMinC }) } }))],
    ['warm-nights', [18, 20, 21, 22, 24].map((tMinC) => ({ records: { weather: weather(4, { tMinC }) } }))],
    ['wet-foliage', [0, 2, 4, 6, 9, 14].map((n) => ({ records: { weather: weather(n, { rainMm: 4 }) } }))],
    ['excess-nitrogen', [1, 5, 10, 15, 20, 40].map((g) => ({ records: feed(9, 20, g, 30, 30) }))],
    ['underfeeding', [5, 20, 40, 56, 80, 120].map((d) => ({ records: feed(d, 5, 10) }))],
    ['small-container', [60, 30, 20, 15, 10, 6].map((volumeL) => ({ place: { ...pot, volumeL } }))],
    ['soil-too-acid', [7, 6.2, 5.9, 5.7, 5.2].map((pH) => test_({ date: back(9), pH }))],
    ['salt-buildup', [0.5, 1.5, 2.5, 4, 7].map((saltsDsPerM) => test_({ date: back(9), saltsDsPerM }))],
    [
      'leaf-loss-by-pruning',
      [5, 15, 25, 40, 60].map((leafSharePct) => ({ records: { pruning: [{ date: back(4), leafSharePct }] } })),
    ],
    ['poor-drainage', [100, 40, 25, 15, 5].map((drainageMmPerH) => ({ place: { ...bed, drainageMmPerH } }))],
    [
      'uneven-watering',
      [1, 2, 3, 5].map((n) => ({ place: { ...pot, volumeL: 14 }, records: { watering: everyNDays(n, 2.2 * n) } })),
    ],
    [
      'wrong-spray-mix',
      [20, 27, 30, 33, 38].map((tMaxC) => ({ records: { sprays: [{ date: back(2), product: 'soap', tMaxC }] } })),
    ],
    [
      'wrong-spray-mix',
      [10, 20, 26, 30, 40].map((perLitre) => ({
        records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 20, perLitre, labelPerLitre: 20 }] },
      })),
    ],
  ] as [DriverCode, Change[]][])('%s %#', (driver, steps) => rises(driver, steps));
});

test('catfacing depends on the nights six weeks ago, not on last night', () => {
  const nights = (from: number, to: number) => ({
    records: {
      weather: weather(0, {}).map((w, i, all) =>
        all.length - 1 - i >= from && all.length - 1 - i <= to ? { ...w, tMinC: 8 } : { ...w, tMinC: 16 },
      ),
    },
  });
  const params = { atC: 13, days: 3, within: 64, from: 28 };
  const then = verdictOn('cold-nights', nights(30, 36), params);
  const now = verdictOn('cold-nights', nights(0, 6), params);
  expect(then.state).toBe('found');
  expect(now.state).toBe('absent');
});

test('a feed without phosphorus or potassium does not count against their shortage', () => {
  const fed = (p2o5: number, k2o: number) => ({
    records: feed(5, 8, 20, p2o5, k2o),
    plant: { transplantedOn: back(90) },
  });
  const state_ = (p2o5: number, k2o: number, nutrient?: 'p2o5' | 'k2o') =>
    state('underfeeding', fed(p2o5, k2o), nutrient ? { nutrient } : {});
  expect([state_(0, 0), state_(0, 0, 'p2o5'), state_(0, 0, 'k2o')]).toEqual(['absent', 'found', 'found']);
  expect([state_(5, 0, 'p2o5'), state_(0, 5, 'k2o')]).toEqual(['absent', 'absent']);
  // it was fed, only not with that
  expect(JSON.stringify(verdictOn('underfeeding', fed(0, 0), { nutrient: 'k2o' }))).toContain('no feed with potassium');
});

test('soil that felt dry and a soak after it count, however short the model thinks it was dry', () => {
  // half dry by the model on the day of the check, then filled; never three days below one half
  const soaked = (feel: 'dry' | 'damp', litres = 12) => ({
    place: pot,
    records: {
      watering: [...everyNDays(1, 2).filter((w) => w.date < back(4)), { date: back(3), litres }],
      soilChecks: [{ date: back(4), feel }],
    },
  });
  const dry = verdictOn('dry-then-wet', soaked('dry'));
  expect(dry).toMatchObject({ state: 'found', strength: 0.6 });
  expect(JSON.stringify(dry)).toContain('the soil felt dry on');
  expect(JSON.stringify(verdictOn('dry-then-wet', soaked('damp')))).not.toContain('felt dry');
  // a little water is no soak
  expect(JSON.stringify(verdictOn('dry-then-wet', soaked('dry', 0.5)))).not.toContain('felt dry');
});
