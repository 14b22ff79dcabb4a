import { DRIVER_CODES, type DriverCode } from '@candid-leaf/core/diagnosis';
import { contextOf } from '@candid-leaf/core/diagnosis';
import type { PlantCase, SignCode } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { DRIVER_RULES } from '../../src/diagnosis/drivers/index.js';
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

/** For each driver: what finds it, just not what would, and where known, what leaves it open. Limits: handbook. */
const RULES: Partial<Record<DriverCode, { found: Change[]; absent: Change[]; unknown?: Change[] }>> = {
  'dry-spell': {
    found: [
      { place: pot, records: { watering: [{ date: back(6), litres: 3 }] } },
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
      { records: { weather: [] }, observations: signs('soil-wet-deep') },
    ],
    absent: [{ place: bed, records: { watering: everyNDays(6, 10) } }],
    unknown: [{ records: { weather: [] } }],
  },
  'poor-drainage': {
    found: [{ place: { ...bed, drainageMmPerH: 24 } }, { observations: signs('soil-pooling') }],
    absent: [{ place: { ...bed, drainageMmPerH: 25 } }, { place: bed }],
    unknown: [{ place: { ...bed, texture: 'clay' } }],
  },
  'small-container': {
    found: [{ place: { ...pot, volumeL: 14.9 } }, { place: { ...pot, volumeL: 9.9 }, plant: { crop: 'pepper' } }],
    absent: [
      { place: { ...pot, volumeL: 15 } },
      { place: { ...pot, volumeL: 10 }, plant: { crop: 'pepper' } },
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
    absent: [
      { records: { weather: weather(2, { tMaxC: 38 }) } },
      { records: { weather: weather(10, { tMaxC: 31.9 }) } },
    ],
    unknown: [{ records: { weather: [] } }],
  },
  'warm-nights': {
    found: [
      { records: { weather: weather(3, { tMinC: 21.1 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 24.1 }) } },
    ],
    absent: [
      { records: { weather: weather(3, { tMinC: 21 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 24 }) } },
    ],
  },
  'cold-nights': {
    found: [
      { records: { weather: weather(3, { tMinC: 12.9 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 14.9 }, { tMinC: 18 }) } },
    ],
    absent: [
      { records: { weather: weather(3, { tMinC: 13 }) } },
      { plant: { crop: 'pepper' }, records: { weather: weather(3, { tMinC: 15 }, { tMinC: 18 }) } },
    ],
  },
  'low-light': {
    found: [
      { records: { weather: weather(5, { solarMj: 9.9 }) } },
      { place: { ...bed, shade: [{ from: back(20), blockPct: 50 }] } },
    ],
    absent: [
      { records: { weather: weather(4, { solarMj: 5 }) } },
      { place: { ...bed, shade: [{ from: back(20), blockPct: 40 }] } },
    ],
    unknown: [{ place: { kind: 'indoors', texture: 'potting-mix' } }],
  },
  'wind-or-hail': {
    found: [
      { records: { weather: weather(1, { windMs: 8 }) } },
      { records: { events: [{ date: back(3), what: 'hail' }] } },
      { records: { events: [{ date: back(13), what: 'strong-wind' }] } },
    ],
    absent: [
      { records: { weather: weather(14, { windMs: 7.9 }) } },
      { records: { events: [{ date: back(14), what: 'hail' }] } },
      { records: { events: [{ date: back(3), what: 'staked' }] } },
    ],
  },
  'wet-foliage': {
    found: [
      { records: { watering: [{ date: back(2), litres: 3, how: 'overhead' }] } },
      { records: { weather: weather(5, { rainMm: 1 }) } },
      { records: { weather: weather(3, { wetHours: 8.1 }) } },
    ],
    absent: [
      { records: { watering: [{ date: back(2), litres: 3, how: 'base' }] } },
      { records: { weather: weather(4, { rainMm: 20 }) } },
      { records: { weather: weather(2, { wetHours: 20 }) } },
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
      { place: { kind: 'tunnel-bed', texture: 'loam' }, records: { weather: weather(14, { rhMeanPct: 85 }) } },
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
    absent: [test_({ date: back(90), pH: 5.8, calcium: 'ok' })],
    unknown: [{ place: bed }],
  },
  'soil-too-acid': {
    found: [test_({ date: back(9), pH: 5.7 })],
    absent: [test_({ date: back(9), pH: 5.8 })],
    unknown: [{ place: bed }],
  },
  'soil-too-alkaline': {
    found: [test_({ date: back(9), pH: 7.3 })],
    absent: [test_({ date: back(9), pH: 7.2 })],
    unknown: [{ place: bed }],
  },
  'excess-nitrogen': {
    found: [
      { records: feed(29, 20, 15.1, 30, 30) }, // 3.02 g in a month
      { place: pot, records: feed(13, 20, 15.1, 30, 30) },
      { records: feed(5, 10, 3) }, // led by nitrogen while it bears
      test_({ date: back(60), nitrogen: 'high' }),
    ],
    absent: [
      { records: feed(29, 20, 15, 30, 30) }, // 3 g are plenty, not too much
      { records: feed(30, 20, 40, 30, 30) },
      { place: pot, records: feed(14, 20, 15.1, 30, 30) },
      { plant: { stage: 'vegetative' }, records: feed(5, 10, 3) },
    ],
    unknown: [{ place: bed }],
  },
  underfeeding: {
    found: [{ place: pot, records: feed(28, 5, 10) }, { records: feed(56, 5, 10) }],
    absent: [{ place: pot, records: feed(27, 5, 10) }, { records: feed(55, 5, 10) }],
    unknown: [{ plant: { transplantedOn: null } }],
  },
  'salt-buildup': {
    found: [
      test_({ date: back(9), saltsDsPerM: 2.6 }),
      { observations: signs('soil-white-crust') },
      { place: pot, records: feed(3, 20, 16) },
    ],
    absent: [test_({ date: back(9), saltsDsPerM: 2.5 }), { place: pot, records: feed(3, 20, 15) }],
  },
  'leaf-loss-by-pruning': {
    found: [
      { records: { pruning: [{ date: back(13), leafSharePct: 25 }] } },
      // 15 % and then 12 % of what was left: 25.2 %
      {
        records: {
          pruning: [
            { date: back(5), leafSharePct: 15 },
            { date: back(2), leafSharePct: 12 },
          ],
        },
      },
      { observations: signs('after-pruning') },
    ],
    absent: [
      { records: { pruning: [{ date: back(14), leafSharePct: 60 }] } },
      {
        records: {
          pruning: [
            { date: back(5), leafSharePct: 14 },
            { date: back(2), leafSharePct: 12 },
          ],
        },
      },
    ],
    unknown: [{ place: bed }],
  },
  'over-pruning': {
    found: [
      { records: { pruning: [{ date: back(3), cuts: 9 }] } },
      { records: { pruning: [{ date: back(3), leafSharePct: 30 }] } },
    ],
    absent: [{ records: { pruning: [{ date: back(3), cuts: 8, leafSharePct: 29 }] } }],
    unknown: [{ place: bed }],
  },
  'wrong-spray-mix': {
    found: [
      { records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 30 }] } },
      // where nobody noted the warmth, the weather knows it
      { records: { weather: weather(3, { tMaxC: 31 }), sprays: [{ date: back(2), product: 'neem' }] } },
    ],
    absent: [
      { records: { sprays: [{ date: back(2), product: 'soap', tMaxC: 29 }] } },
      { records: { sprays: [{ date: back(2), product: 'bt', tMaxC: 38 }] } }, // does not burn
      { records: { sprays: [{ date: back(10), product: 'soap', tMaxC: 38 }] } },
    ],
    unknown: [{ observations: signs('after-spraying') }],
  },
  'spray-drift': {
    found: [{ records: { sprays: [{ date: back(20), product: 'weedkiller-nearby' }] } }],
    absent: [{ records: { sprays: [{ date: back(21), product: 'weedkiller-nearby' }] } }],
    unknown: [{ place: bed }],
  },
  'sudden-exposure': {
    found: [{ records: { events: [{ date: back(13), what: 'moved' }] } }, { observations: signs('stem-broken') }],
    absent: [{ records: { events: [{ date: back(14), what: 'moved' }] } }],
  },
  'no-hardening': {
    found: [{ plant: { transplantedOn: back(21) } }],
    absent: [
      { plant: { transplantedOn: back(22) } },
      { plant: { transplantedOn: back(10) }, records: { events: [{ date: back(12), what: 'hardened-off' }] } },
    ],
  },
  crowding: {
    found: [
      { plant: { spacingM: 0.33 } },
      { plant: { crop: 'pepper', spacingM: 0.29 } },
      { observations: signs('plant-dense') },
    ],
    absent: [
      { plant: { spacingM: 0.34 } },
      { plant: { crop: 'pepper', spacingM: 0.31 } },
      { place: pot, plant: { spacingM: 0.2 } },
    ],
  },
  'leaves-near-soil': {
    found: [{ observations: signs('plant-leaves-touch-soil') }, { plant: { heightM: 0.61 } }],
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
    absent: [{ plant: { heightM: 0.5 } }, { plant: { crop: 'pepper', heightM: 0.3 } }],
  },
  'pests-present': {
    found: [{ observations: signs('pest-aphids') }],
    absent: [{ observations: signs('pest-none-found') }],
    unknown: [{ place: bed }],
  },
  'overripe-on-plant': {
    found: [{ plant: { stage: 'ripening' } }],
    absent: [
      { plant: { stage: 'fruiting' } },
      { plant: { stage: 'late' }, records: { events: [{ date: back(9), what: 'harvest' }] } },
    ],
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
    found: [{ place: bed }, { place: { ...bed, mulch: [{ from: back(60), to: back(20), depthMm: 60 }] } }],
    absent: [{ place: { ...bed, mulch: [{ from: back(60), depthMm: 60 }] } }],
  },
};

describe.each(Object.entries(RULES) as [DriverCode, NonNullable<(typeof RULES)[DriverCode]>][])(
  '%s',
  (driver, rule) => {
    test.each(rule.found.map((change) => [change] as const))('is found by %j', (change) => {
      const verdict = verdictOn(driver, change);
      expect(verdict.state).toBe('found');
      if (verdict.state !== 'found') return;
      expect(verdict.strength).toBeGreaterThan(0);
      expect(verdict.strength).toBeLessThanOrEqual(1);
      expect(verdict.because.length).toBeGreaterThan(0);
      for (const b of verdict.because) {
        expect(b.text).not.toMatch(/NaN|undefined|null/);
        expect(b.date <= ASOF).toBe(true);
      }
    });
    test.each(rule.absent.map((change) => [change] as const))('is not found by %j', (change) => {
      expect(state(driver, change)).toBe('absent');
    });
    if (rule.unknown)
      test.each(rule.unknown.map((change) => [change] as const))('is left open by %j', (change) => {
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

test('a disorder may set limits of its own for a rule', () => {
  const hot = { records: { weather: weather(1, { tMaxC: 30 }) } };
  expect(state('hot-days', hot)).toBe('absent');
  expect(state('hot-days', hot, { atC: 30, days: 1, within: 4 })).toBe('found');
  expect(state('soil-too-alkaline', test_({ date: back(9), pH: 6.9 }), { pH: 6.8 })).toBe('found');
});
