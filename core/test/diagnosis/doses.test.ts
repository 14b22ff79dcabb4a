import { CAUTIONS } from '@candid-leaf/core/records';
import { contextOf, type Diagnosis } from '@candid-leaf/core/diagnosis';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import { planWeek, startOf } from '@candid-leaf/core/water';
import { type Dose, DOSES, dueOn } from '../../src/diagnosis/remedies/doses.js';
import { offeredRemedies } from '../../src/diagnosis/remedies/offer.js';
import { scheduleRemedies } from '../../src/diagnosis/remedies/schedule.js';
import { doseInWords } from '../../src/diagnosis/remedies/wording.js';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';

/** Each amount by hand, each day, each word; and what a finding must have before anything is ordered for it. */
const pot: Partial<PlantCase['place']> = { kind: 'container', texture: 'potting-mix', volumeL: 14 };
const at = (change: Parameters<typeof aCase>[0] = {}) => contextOf(aCase(change));
const week = (left: number, volumeL = 60, rainMm = 0) =>
  planWeek(
    aCase({ place: { ...pot, volumeL } }),
    { state: startOf({ fraction: left, sd: 0.1 }), since: 2 },
    Array.from({ length: 14 }, (_, i) => ({ date: addDays(ASOF, i), tMinC: 17, tMaxC: 30, rainMm })),
    { method: 'by-need', how: 'base', flowLPerH: null },
  );

describe('amounts', () => {
  test('mulch covers the plant’s own ground; if that is unknown, only the depth is shown', () => {
    expect(DOSES.mulch(at({ place: { areaM2: 0.4 } }), null)).toEqual({ depthMm: 60, areaM2: 0.4, litres: 24 });
    const nothing = at({ place: { ...pot, areaM2: null }, records: { weather: [] } });
    expect(DOSES.mulch(nothing, null)).toEqual({ depthMm: 60 });
    expect(doseInWords({ depthMm: 60 }, METRIC_FORMAT).replaceAll('\u00a0', ' ')).toBe('6 cm deep');
    // a bed grown over the season: today's ground, not that of the first day
    const days = at({ place: pot }).balance.days;
    expect(DOSES.mulch(at({ place: pot }), null)!.areaM2).toBeCloseTo(Math.max(0.05, days.at(-1)!.groundM2), 2);
  });
  test('shade of 40 % covers twice the leaf area, never less than 0.3 m²', () => {
    expect(DOSES.shade(at({ plant: { heightM: 0.1 } }), null)).toEqual({ blockPct: 40, areaM2: 0.3 });
    const tall = DOSES.shade(at({ plant: { heightM: 1.8 } }), null)!.areaM2!;
    expect(tall).toBeGreaterThan(0.3);
    expect(tall).toBeGreaterThan(DOSES.shade(at({ plant: { heightM: 0.9 } }), null)!.areaM2!);
    expect(DOSES.shade(at({ plant: { heightM: null } }), null)!.areaM2).toBeGreaterThanOrEqual(0.3);
  });
  test('sick leaves: a quarter in two weeks at most, and hardly any where every leaf is needed for shade', () => {
    const share = (change: Parameters<typeof aCase>[0]) => DOSES['third-of-leaf'](at(change), null)!.leafSharePct;
    const cut = (leafSharePct: number) => ({ records: { pruning: [{ date: ASOF, leafSharePct }] } });
    const warm = (tMaxC: number) => [{ date: ASOF, tMinC: 15, tMaxC, rainMm: 0 }];
    expect(share({})).toBe(25);
    expect(share(cut(10))).toBe(15);
    expect(share(cut(30))).toBe(10);
    expect(share({ records: { weather: warm(33) } })).toBe(10);
    expect(share({ observations: [seen('fruit-pale-papery-patch'), seen('fruit-patch-sun-side')] })).toBe(10);
  });
  test('only fruit that was counted and seen counts', () => {
    const counted = (...observations: never[]) => DOSES.affected(at({ observations }), null);
    expect(counted(seen('fruit-blossom-end-dark', { affected: 3 }), seen('fruit-burst', { affected: 5 }))).toEqual({
      count: 5,
    });
    expect(counted(seen('fruit-blossom-end-dark', { affected: 2 }), seen('pest-aphids', { affected: 40 }))).toEqual({
      count: 2,
    });
    expect(counted(seen('fruit-blossom-end-dark'))).toBeNull();
    expect(counted(seen('fruit-blossom-end-dark', { affected: 0 }))).toBeNull();
  });
  test('a pot for a tomato is 20 L, for a pepper 12; four cuts a week; four weeks without feed', () => {
    expect(DOSES['bigger-pot'](at(), null)).toEqual({ potLitres: 20 });
    expect(DOSES['bigger-pot'](at({ plant: { crop: 'pepper' } }), null)).toEqual({ potLitres: 12 });
    expect(DOSES['leaf-budget'](at(), null)).toEqual({ cutsPerWeek: 4 });
    expect(DOSES['pause-feed'](at(), null)).toEqual({ waitDays: 28 });
    // 15 cm of water on a bed's ground
    expect(DOSES.flush(at(), null)).toEqual({ litres: 38 });
  });
  test('water is held back until a finger says that it is dry, not for a number of days', () => {
    for (const plan of [week(0.9), week(0.1, 14), null])
      expect(doseInWords(DOSES['hold-water'](at(), plan), METRIC_FORMAT)).toBe('none until a finger says it is dry');
  });
});

describe('days', () => {
  test('today, tomorrow, within the week, with the next watering, or at the season’s end', () => {
    const plan = week(0.9);
    expect(dueOn(at(), 'today', plan)).toBe(ASOF);
    expect(dueOn(at(), 'tomorrow', plan)).toBe(addDays(ASOF, 1));
    expect(dueOn(at(), 'this-week', plan)).toBe(addDays(ASOF, 3));
    expect(dueOn(at(), 'next-watering', plan)).toBe(plan.next!.date);
    expect(dueOn(at(), 'next-watering', null)).toBe(addDays(ASOF, 1));
    expect(dueOn(at(), 'next-watering', { ...plan, next: null })).toBe(addDays(ASOF, 1));
    expect(dueOn(at({ garden: { firstFrost: '07-18' } }), 'season-end', plan)).toBe(addDays(ASOF, 14));
    expect(dueOn(at({ garden: { firstFrost: '07-19' } }), 'season-end', plan)).toBe(addDays(ASOF, 1));
    // by the garden's own hemisphere, also where it never freezes
    expect(dueOn(at({ garden: { latitude: -34 } }), 'season-end', plan)).toBe('2027-05-01');
    expect(dueOn(at({ garden: { latitude: -34, firstFrost: '06-05' } }), 'season-end', plan)).toBe(addDays(ASOF, 14));
    expect(dueOn(at({ garden: { latitude: 8 } }), 'season-end', plan)).toBe(addDays(ASOF, 180));
  });
});

describe('what is ordered', () => {
  const finding = (more: Partial<Diagnosis>): Diagnosis => ({
    disorder: 'blossom-end-rot',
    probability: 0.99,
    explains: ['fruit-blossom-end-dark'],
    evidence: [],
    drivers: [],
    lookAlikes: [],
    ...more,
  });
  const ctx = at({ place: pot, records: { watering: everyNDays(3, 8) } });
  const offered = (more: Partial<Diagnosis>) =>
    offeredRemedies(ctx, { list: [finding(more)], all: [], marginals: [], unexplained: [] }).offers;

  test('from a probability of one half on, and only for what explains something seen', () => {
    expect(offered({ probability: 0.5 }).length).toBeGreaterThan(0);
    expect(offered({ probability: 0.499 })).toEqual([]);
    expect(offered({ explains: [] })).toEqual([]);
  });
  test('within a rung, the remedy for the heavier driver comes first', () => {
    const first = (hot: number, small: number) =>
      offered({
        drivers: [
          { driver: 'hot-days', weight: hot, strength: hot, because: [], summary: '' },
          { driver: 'small-container', weight: small, strength: small, because: [], summary: '' },
        ],
      })
        .map((o) => o.remedy.code)
        .find((code) => code === 'shade-cloth' || code === 'repot-larger');
    expect([first(0.9, 0.4), first(0.4, 0.9)]).toEqual(['shade-cloth', 'repot-larger']);
  });
  test('each remedy carries its own cautions', () => {
    const { remedies } = scheduleRemedies(
      ctx,
      offeredRemedies(ctx, { list: [finding({ disorder: 'early-blight' })], all: [], marginals: [], unexplained: [] })
        .offers,
      null,
    );
    const cut = remedies.find((r) => r.remedy === 'remove-infected-leaves')!;
    expect(cut.cautions).toEqual([CAUTIONS.bag, CAUTIONS.blades, CAUTIONS['wash-hands']]);
  });
});

test('every amount is put into words, and only what is known is said', () => {
  const said: [Dose, string][] = [
    [{ blockPct: 40, areaM2: 0.8 }, '40 %, 0.8 m²'],
    [{ count: 5 }, '5 fruit'],
    [{ cutsPerWeek: 4 }, 'up to 4 cuts a week'],
    [{ cutsPerWeek: 4, sharedBudget: true }, 'up to 4 cuts a week, other cuts included'],
    [{ leafSharePct: 33 }, 'up to 33 % of the leaves'],
    [{ potLitres: 20 }, '20 L or more'],
    [{ waitDays: 28 }, 'for 28 days'],
    [{ depthMm: 60, litres: 15 }, '6 cm deep'],
    [{ depthMm: 60, areaM2: 0.25 }, '6 cm deep'],
    [{ everyDays: 1, litres: 2 }, '2 L every day'],
    [{}, ''],
  ];
  for (const [dose, words] of said) expect(doseInWords(dose, METRIC_FORMAT).replaceAll('\u00a0', ' ')).toBe(words);
});
