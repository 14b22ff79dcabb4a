import { caseFileOf, parseCase } from '@candid-leaf/core/casefile';
import {
  CASE_LISTS,
  checked,
  describeRecord,
  typesOfferedOn,
  noRecords,
  RECORD_TYPE_CODES,
  ENTRY_CLASSES,
  RECORD_CLASSES,
  RECORD_TYPES,
  RefusedInput,
  tidyRecords,
  TRACKS,
  type RecordData,
  type RecordType,
} from '@candid-leaf/core/records';
import { formatterFor, METRIC_FORMAT } from '@candid-leaf/core/units';
import { aCase, ASOF } from '../helpers.js';

/** One of each, and how it reads. */
const EXAMPLES: { [K in RecordType]: [RecordData<K>, words: string] } = {
  watering: [
    { date: ASOF, litres: 3, minutes: 20, how: 'overhead', end: 'ran-through' },
    'Watered, 3 L per plant, in 20 minutes, over the leaves, until it ran out below',
  ],
  'soil-check': [{ date: ASOF, feel: 'dry', depthCm: 5 }, 'Soil felt dry at 5 cm'],
  feeding: [
    { date: ASOF, product: 'tomato feed', n: 4, p2o5: 3, k2o: 8, grams: 20 },
    'Fed 20 g of tomato feed (4-3-8)',
  ],
  pruning: [
    { date: ASOF, cuts: 3, leafSharePct: 5, what: ['lower-leaves', 'suckers'] },
    '3 cuts, 5 % of the leaves, lower leaves, suckers',
  ],
  note: [{ date: ASOF, text: 'Found it hanging.' }, 'Found it hanging.'],
  spray: [{ date: ASOF, product: 'broad-insecticide' }, 'Sprayed: broad insecticide'],
  picking: [
    { date: ASOF, count: 6, grams: 700, state: 'split', use: 'sauce', ripeness: 'blush' },
    'Picked 6, 700 g, split, at first blush, for sauce',
  ],
  'soil-warmth': [{ date: ASOF, celsius: 15.5 }, 'Soil 16 °C'],
  event: [{ date: ASOF, what: 'strong-wind' }, 'Strong wind'],
  'pot-weight': [{ date: ASOF, kg: 9.8, state: 'drained' }, 'Pot weighs 9.8 kg, drained'],
  'rain-gauge': [{ date: ASOF, rainMm: 12 }, 'Rain gauge: 12 mm'],
  'truss-count': [{ date: ASOF, truss: 2, flowers: 3, fruit: 5 }, 'Truss 2: 3 flowers, 5 fruit set (63 %)'],
  growth: [{ date: ASOF, stage: 'flowering', heightM: 1.2, rough: true }, 'Stage: flowering, about 120 cm tall'],
  companion: [{ date: ASOF, what: 'weeds', did: 'laid-as-mulch' }, 'Weeds laid as mulch'],
  support: [{ date: ASOF, what: 'cage' }, 'Cage set up'],
  timer: [
    { date: ASOF, everyDays: 2, minutes: 20, skipsRain: true },
    'Timer: every 2 days, 20 minutes, off when it rains',
  ],
  covering: [{ date: ASOF, what: 'mulch', did: 'on', material: 'straw', depthCm: 6 }, 'Mulched: 6 cm of straw'],
  inspection: [
    {
      date: ASOF,
      allClear: false,
      signs: [
        { sign: 'fruit-blossom-end-dark', present: true, affected: 4, of: 11 },
        { sign: 'leaf-wilt', present: false },
      ],
    },
    'Seen: dark patch at the bottom (4 of 11); not seen: drooping leaves',
  ],
};
const kinds = RECORD_TYPE_CODES.map((kind) => [kind] as const);

describe('the registry of record types', () => {
  test.each(kinds)('%s is valid, has a one-line description, and belongs somewhere', (kind) => {
    const [data, words] = EXAMPLES[kind];
    const row = RECORD_TYPES[kind];
    expect(checked(RECORD_CLASSES[kind] as new () => object, data)).toEqual(data);
    expect(describeRecord(kind, data, METRIC_FORMAT).replaceAll('\u00a0', ' ')).toBe(words);
    expect(TRACKS).toContain(row.track);
    expect(row.label.length).toBeGreaterThan(0);
    expect(row.done.length).toBeGreaterThan(0);
  });

  test.each(kinds)('%s needs a real date and refuses an unknown field', (kind) => {
    const [data] = EXAMPLES[kind];
    const faults = (value: object): string[] => {
      try {
        checked(ENTRY_CLASSES[kind] as new () => object, value);
        return [];
      } catch (error) {
        return (error as RefusedInput).faults.map((f) => f.path).sort();
      }
    };
    expect(faults(data)).toEqual([]);
    expect(faults({ ...data, date: '2026-02-30' })).toEqual(['date']);
    expect(faults({ ...data, colour: 'red' })).toEqual(['colour']);
  });

  test('a case file keeps every type with a list there: exported, imported, and equal', () => {
    const records = noRecords();
    for (const { kind, list } of CASE_LISTS) (records[list] as object[]) = [EXAMPLES[kind][0]];
    const c = aCase({ records });
    for (const { kind, list } of CASE_LISTS) expect([list, c.records[list]]).toEqual([list, [EXAMPLES[kind][0]]]);
    const again = parseCase(JSON.parse(JSON.stringify(caseFileOf(c))));
    expect(again).toEqual(c);
    // the documented lists of the format, and no other
    expect(CASE_LISTS.map((l) => l.list).sort()).toEqual(
      ['events', 'feeding', 'potWeights', 'pruning', 'soilChecks', 'sprays', 'watering'].sort(),
    );
  });

  test('each list of a case file is checked with its own class', () => {
    const bad = { ...caseFileOf(aCase()), records: { sprays: [{ date: ASOF, product: 'moonlight' }] } };
    expect(() => parseCase(bad)).toThrow(/records\.sprays\[0\]\.product/);
    const many = { ...bad, records: { watering: Array.from({ length: 4001 }, () => ({ date: ASOF, litres: 1 })) } };
    expect(() => parseCase(many)).toThrow(/records\.watering: must have 4000 at most/);
  });

  test('sorts each list by day, drops later records, and makes missing lists empty', () => {
    const watering = ['2026-07-05', '2026-07-01', '2026-07-20'].map((date) => ({ date, litres: 1 }));
    const tidy = tidyRecords({ watering }, ASOF);
    expect(tidy.watering.map((w) => w.date)).toEqual(['2026-07-01', '2026-07-05']);
    expect(Object.keys(tidy).sort()).toEqual(['weather', ...CASE_LISTS.map((l) => l.list)].sort());
    expect(tidy.sprays).toEqual([]);
  });

  test('only a potted plant is weighed; a look has its own page; the rest is offered in both places', () => {
    const ofBoth = typesOfferedOn('place').filter(
      (k) => !['companion', 'covering', 'soil-warmth', 'timer'].includes(k),
    );
    expect(typesOfferedOn('plant')).toEqual([
      ...ofBoth.slice(0, -2),
      'picking',
      'pot-weight',
      'truss-count',
      'growth',
      'support',
    ]);
    expect(typesOfferedOn('place')).not.toContain('inspection');
    expect(RECORD_TYPE_CODES.filter((k) => RECORD_TYPES[k].of === 'plant').sort()).toEqual([
      'inspection',
      'picking',
      'pot-weight',
      'truss-count',
    ]);
  });

  test('a line uses the gardener’s own units', () => {
    const us = formatterFor({ temperature: 'F', volume: 'gal-us', length: 'in', mass: 'oz', area: 'ft2' });
    const plain = (kind: RecordType) => describeRecord(kind, EXAMPLES[kind][0], us).replaceAll('\u00a0', ' ');
    expect(plain('watering')).toMatch(/^Watered, 0\.79 US gal per plant/);
    expect(plain('soil-check')).toBe('Soil felt dry at 2 in');
    expect(plain('feeding')).toMatch(/^Fed 0\.71 oz/);
    expect(plain('pot-weight')).toMatch(/22 lb/);
  });
});

test('only waterings appear on the water track', () => {
  expect(RECORD_TYPE_CODES.filter((kind) => RECORD_TYPES[kind].track === 'water')).toEqual(['watering']);
});
