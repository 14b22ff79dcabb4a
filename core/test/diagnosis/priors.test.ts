import { contextOf, DISORDERS } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import { candidates } from '../../src/diagnosis/engine/network.js';
import { livesHere, regionOf, type Region } from '../../src/diagnosis/regions.js';
import { aCase as bareCase, ASOF, everyNDays, seen } from '../helpers.js';

type Change = NonNullable<Parameters<typeof bareCase>[0]>;
const of = (disorder: DisorderCode, change: Change) => {
  const c = bareCase({ ...change, records: { watering: everyNDays(3, 8), ...change.records } });
  return candidates(contextOf(c)).find((x) => x.row.code === disorder)!;
};
const oddsAtFirst = (disorder: DisorderCode): number => {
  const { prior } = DISORDERS.find((d) => d.code === disorder)!;
  return prior / (1 - prior);
};

describe('how far records move the odds', () => {
  const soaked: Change = {
    place: { kind: 'ground', texture: 'clay', areaM2: 0.22, drainageMmPerH: 5 },
    records: {
      watering: everyNDays(1, 8),
      soilChecks: [0, 1, 2].map((n) => ({ date: addDays(ASOF, -n), feel: 'wet' as const })),
    },
  };
  test('without one of its own signs no problem exceeds odds of 0.4; with one the cap is lifted', () => {
    expect(of('waterlogging', soaked).odds).toBe(0.4);
    expect(of('waterlogging', { ...soaked, observations: [seen('leaf-wilt')] }).odds).toBeGreaterThan(0.4);
    // where, how fast and after what are not signs of its own
    expect(of('waterlogging', { ...soaked, observations: [seen('where-whole-plant')] }).odds).toBe(0.4);
  });
  test('odds are not lowered without end either: the records may be about another plant', () => {
    // no wet hour for three weeks, no cool day, and a kind that resists it
    const blight = of('late-blight', {
      plant: { resistantTo: ['late-blight'] },
      records: { sprays: [], events: [{ date: ASOF, what: 'frost' }] },
      observations: [seen('leaf-greasy-blotches')],
    });
    expect(blight.shifts.reduce((x, s) => x * s.oddsFactor, 1)).toBeLessThan(0.003);
    expect(blight.odds / oddsAtFirst('late-blight')).toBeCloseTo(0.003, 9);
  });
});

describe('where a problem lives', () => {
  const places: [latitude: number, longitude: number, Region][] = [
    [44.9, -93.2, 'americas'],
    [-33.4, -70.6, 'americas'],
    [45.6, 9, 'europe'],
    [60.2, 25, 'europe'],
    [-34.2, 18.6, 'africa'],
    [6.5, 3.4, 'africa'],
    [28.6, 77.2, 'asia'],
    [35.7, 139.7, 'asia'],
    [-37.8, 145, 'oceania'],
    [-36.8, 174.8, 'oceania'],
  ];
  test.each(places)('%d, %d lies in %s', (latitude, longitude, region) => {
    expect(regionOf({ latitude, longitude })).toBe(region);
  });
  test('hornworms live in the Americas; if the continent is unknown nothing is said', () => {
    const row = DISORDERS.find((d) => d.code === 'hornworm')!;
    const here = { latitude: 44.9, longitude: -93.2 };
    expect(livesHere(row.livesIn!, here)).toBe(true);
    expect(livesHere(row.livesIn!, { latitude: 45.6, longitude: 9 })).toBe(false);
    expect(livesHere(row.livesIn!, { latitude: 45.6 })).toBeNull();
    const ratio = of('hornworm', { garden: here }).odds / of('hornworm', {}).odds;
    expect(ratio).toBeCloseTo(1 / 0.06, 3);
  });
});

describe('what records say in both directions', () => {
  const factor = (disorder: DisorderCode, reading: string, change: Change): number | undefined =>
    of(disorder, change).shifts.find((s) => s.code === reading)?.oddsFactor;
  const spray = (back: number, tMaxC: number): Change => ({
    records: { sprays: [{ date: addDays(ASOF, -back), product: 'soap', tMaxC }] },
  });
  test('a spray in heat makes a burn likely, a log with none recently argues against it, no log says nothing', () => {
    expect(factor('spray-injury', 'burning-spray-recently', spray(3, 34))).toBe(12);
    expect(factor('spray-injury', 'burning-spray-recently', spray(3, 24))).toBeUndefined();
    expect(factor('spray-injury', 'burning-spray-recently', spray(30, 24))).toBe(0.05);
    expect(factor('spray-injury', 'burning-spray-recently', {})).toBeUndefined();
  });
  test('the same disease in this bed before supports it, another known history argues a little against it, a pot says nothing', () => {
    const past = (problems: DisorderCode[], place: Change['place'] = {}): Change => ({
      place: { ...place, history: [{ year: 2025, family: 'nightshade', problems }] },
    });
    const said = (change: Change) => factor('vascular-wilt', 'same-trouble-before', change);
    expect(said(past(['vascular-wilt']))).toBe(15);
    expect(said(past(['aphids']))).toBe(0.6);
    expect(said(past(['vascular-wilt'], { kind: 'container', volumeL: 20 }))).toBeUndefined();
    expect(said({})).toBeUndefined();
  });
  test('problems of warm soil are unlikely in a cool fortnight; no weather says nothing', () => {
    const at = (tMinC: number, tMaxC: number): Change => ({
      records: { weather: bareCase().records.weather.map((w) => ({ ...w, tMinC, tMaxC })) },
    });
    expect(factor('southern-blight', 'cool-fortnight', at(9, 22))).toBe(0.1);
    expect(factor('southern-blight', 'cool-fortnight', at(10, 22))).toBeUndefined();
    expect(factor('southern-blight', 'cool-fortnight', { records: { weather: [] } })).toBeUndefined();
  });
  test('dry air counts if it was measured on most of the days', () => {
    const air = (rhMeanPct?: number): Change => ({
      records: { weather: bareCase().records.weather.map((w) => ({ ...w, ...(rhMeanPct ? { rhMeanPct } : {}) })) },
    });
    expect(factor('spider-mites', 'dry-air', air(49))).toBe(2.5);
    expect(factor('spider-mites', 'dry-air', air(50))).toBe(0.6);
    expect(factor('spider-mites', 'dry-air', air())).toBeUndefined();
  });
});

describe('what the seed packet says about a variety', () => {
  const hot = bareCase().records.weather.map((w) => ({ ...w, tMaxC: 34 }));
  const odds = (
    d: DisorderCode,
    tendencies: object | null,
    records: object = {},
    observations: Change['observations'] = [],
  ) => of(d, { plant: { tendencies }, records, observations }).odds;
  test.each([
    ['blossom-end-rot', 'darkEnds'],
    ['ring-cracking', 'splits'],
    ['radial-cracking', 'splits'],
  ] as const)(
    '%s is likelier in varieties prone to it, and less likely in those that seldom get it; usual says nothing',
    (d, lean) => {
      const [none, usual, more, less] = [null, 'usual', 'more', 'less'].map((v) =>
        odds(d, v === null ? null : { [lean]: v }),
      );
      expect(usual).toBe(none);
      expect(more!).toBeGreaterThan(none!);
      expect(less!).toBeLessThan(none!);
    },
  );
  test('how it sets in heat counts only in heat, and in cold nights only on cold nights', () => {
    const drop = (tendencies: object | null, records: object = {}) =>
      odds('blossom-drop', tendencies, records, [seen('flower-drop')]);
    expect(drop({ heatSet: 'less' })).toBe(drop(null));
    expect(drop({ heatSet: 'less' }, { weather: hot })).toBeGreaterThan(drop(null, { weather: hot }));
    expect(drop({ heatSet: 'more' }, { weather: hot })).toBeLessThan(drop(null, { weather: hot }));
    expect(drop({ coldSet: 'less' }, { weather: hot })).toBe(drop(null, { weather: hot }));
    const cold = { weather: bareCase().records.weather.map((w) => ({ ...w, tMinC: 9 })) };
    expect(drop({ coldSet: 'more' }, cold)).toBeLessThan(drop(null, cold));
  });
});
