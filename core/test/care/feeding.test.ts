import { assessPlace } from '@candid-leaf/core/assessment';
import { addDays, daysBetween, METRIC_FORMAT } from '@candid-leaf/core/units';
import { DEFAULT_METHOD } from '@candid-leaf/core/water';
import { likelyDrainedMm, washedShare } from '../../src/water/leaching.js';
import { feedingOf, feedingStory, nextFeed, seasonFeed, washedOn } from '../../src/care/index.js';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';
import { NO_RULES, fedBefore } from '../questions.js';

const RULES = { method: DEFAULT_METHOD, ...NO_RULES };
const feed = (back: number, more: object = {}) => fedBefore(ASOF, back, more);
const assessed = (
  change: Parameters<typeof aCase>[0],
  forecast: { tMinC: number; tMaxC: number; rainMm?: number; rainChancePct?: number }[] = [],
) =>
  assessPlace(
    'p',
    RULES,
    [{ id: 'a', case: aCase(change) }],
    forecast.map((w, i) => ({ rainMm: 0, rainChancePct: 0, ...w, date: addDays(ASOF, i + 1) })),
    METRIC_FORMAT,
  ).plants.get('a')!;
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 20, areaM2: undefined } as const;

test('likely rain that would wash a feed away lets it wait; little or unlikely rain, and a roof, do not', () => {
  const records = { watering: everyNDays(1, 4), feeding: [feed(30)] };
  const of = (rainMm: number, place: object = {}, more: object = {}, rainChancePct = 90) =>
    feedingOf(
      assessed({ place: { ...pot, ...place }, records: { ...records, ...more } }, [
        { tMinC: 15, tMaxC: 24, rainMm, rainChancePct },
      ]),
      { method: 'compost-balanced' },
    );
  expect(of(120)).toMatchObject({ on: addDays(ASOF, 2), hold: { kind: 'rain', rainMm: 120 } });
  expect(of(5)).toMatchObject({ on: ASOF, hold: null });
  // as in the plan for water, rain counts from a chance of 60 %
  expect(of(120, {}, {}, 50)).toMatchObject({ on: ASOF, hold: null });
  expect(of(120, { cover: 'roof' })).toMatchObject({ on: ASOF, hold: null });
  // nobody knows how much water is there: nothing is held
  expect(of(400, {}, { watering: [] })).toMatchObject({ hold: null });
  // in a wet spell it does not wait for one rain after the other
  const { weather } = aCase({}).records;
  const wet = (back: number) => ({
    weather: weather.map((w) => (w.date === addDays(ASOF, -back) ? { ...w, rainMm: 120 } : w)),
  });
  expect(of(120, {}, wet(2))).toMatchObject({ on: ASOF, hold: null });
  expect(of(120, {}, wet(9))).toMatchObject({ hold: { kind: 'rain' } });
});

test('feeding knows what findings and water know: pale leaves, heat ahead, a dry pot, burnt roots', () => {
  const watered = { watering: everyNDays(1, 4), feeding: [feed(30)] };
  const of = (change: object, ahead?: { tMinC: number; tMaxC: number }[]) =>
    feedingOf(assessed({ place: pot, records: watered, ...change }, ahead), { method: 'compost-balanced' });
  expect(of({})).toMatchObject({ kind: 'feed', on: ASOF, hold: null });
  expect(of({}, [{ tMinC: 20, tMaxC: 35 }])).toMatchObject({ hold: null, strength: 0.5, warmC: 35 });
  expect(of({}, [{ tMinC: 22, tMaxC: 40 }])).toMatchObject({ hold: { kind: 'heat', until: addDays(ASOF, 2) } });
  // dry, and watered today: it is fed after that
  expect(of({ records: { ...watered, watering: everyNDays(1, 4).slice(0, -6) } })).toMatchObject({ hold: null });
  expect(of({ observations: [seen('leaf-yellow-whole-old')] })).toMatchObject({ reason: 'pale', strength: 0.5 });
  const burnt = of({
    records: { ...watered, feeding: [feed(3, { n: 20, grams: 40 })] },
    observations: [seen('leaf-tip-burn'), seen('soil-white-crust')],
  });
  expect(burnt).toMatchObject({ strength: 0.5, hold: { kind: 'paused', until: addDays(ASOF, 12) } });
});

test('its history: given, released and washed out of a flooded pot, with flowers and fruit marked; none for a plant of unknown age', () => {
  const flooded = feedingStory(
    assessed({ place: pot, records: { watering: everyNDays(1, 12), feeding: [feed(30, { grams: 25 })] } }),
  )!;
  const even = feedingStory(
    assessed({ place: pot, records: { watering: everyNDays(2, 2), feeding: [feed(30, { grams: 25 })] } }),
  )!;
  expect(flooded.days.at(-1)!.washed).toBeGreaterThan(
    0.8 * flooded.days.at(-1)!.freed - flooded.days.at(-1)!.takenHigh,
  );
  expect(flooded.days.at(-1)!.washed).toBeGreaterThan(even.days.at(-1)!.washed + 0.1);
  expect(flooded.washingKnown).toBe(true);
  expect(flooded.flowering! < flooded.fruiting!).toBe(true);
  expect(feedingStory(assessed({ place: pot, records: { feeding: [feed(30)] } }))!.washingKnown).toBe(false);
  expect(feedingStory(assessed({ plant: { transplantedOn: undefined } }))).toBeNull();
});

test('need follows the season: more sun and warmth take up more nitrogen, shade and a crowded bed less', () => {
  const taken = (place: object, weather: { tMinC: number; tMaxC: number; solarMj: number }) =>
    feedingStory(
      assessed({
        plant: { heightM: 0.9 },
        place,
        records: {
          weather: Array.from({ length: 90 }, (_, i) => ({ date: addDays(ASOF, i - 89), rainMm: 0, ...weather })),
        },
      }),
    )!.days.at(-1)!.takenHigh;
  const warm = { tMinC: 18, tMaxC: 28, solarMj: 20 };
  const usual = taken(pot, warm);
  expect(taken(pot, { ...warm, solarMj: 24 }) / usual).toBeCloseTo(1.2, 6);
  expect(taken(pot, { ...warm, tMinC: 9, tMaxC: 20 }) / usual).toBeCloseTo(8.5 / 17, 6);
  expect(taken({ ...pot, shade: [{ from: addDays(ASOF, -200), blockPct: 50 }] }, warm) / usual).toBeCloseTo(0.5, 6);
  const bed = { kind: 'ground', texture: 'loam' } as const;
  expect(taken({ ...bed, areaM2: 0.1 }, warm)).toBeLessThan(taken({ ...bed, areaM2: 0.5 }, warm));
});

test('a pot that is always filled to the brim runs over by what nobody knows; a bed takes it up', () => {
  // two litres a day are about what it drinks: by the balance alone nothing would run out
  const shares = (place: object): [likely: number, byBalance: number] => {
    const own = assessed({ place, records: { watering: everyNDays(1, 2) } });
    const sum = (numbers: Iterable<number>): number => [...numbers].reduce((a, b) => a + b, 0);
    return [sum(washedOn(own).values()), sum(own.context.balance.days.map(washedShare))];
  };
  const [likely, byBalance] = shares(pot);
  expect(likely).toBeGreaterThan(1.2 * byBalance + 0.1);
  const inBed = shares({});
  expect(inBed[0]).toBeCloseTo(inBed[1], 9);
  const day = { drainedMm: 0, depletionMm: 5, usedMm: 5, irrigationMm: 12, effectiveRainMm: 0, tawMm: 60 };
  // the mean overflow of a normal error is 0.4 of it
  expect(likelyDrainedMm({ ...day, uncertainty: 0.1 })).toBeCloseTo(0.4 * 6, 0);
  expect(likelyDrainedMm({ ...day, uncertainty: 0 })).toBe(0);
  expect(likelyDrainedMm({ ...day, uncertainty: 0.1, depletionMm: 40 })).toBeLessThan(0.01);
  expect(likelyDrainedMm({ ...day, uncertainty: 0.1, irrigationMm: 0 })).toBe(0);
  // what did run out counts whole, and no more than came in
  expect(likelyDrainedMm({ ...day, uncertainty: 0.01, drainedMm: 9, depletionMm: -2 })).toBeCloseTo(9, 1);
  expect(likelyDrainedMm({ ...day, uncertainty: 0.9, irrigationMm: 3 })).toBe(3);
});

test('the season’s feeds beside the need: they go on as planned, add up, and end four weeks before the season does', () => {
  const own = assessed({ place: pot, records: { watering: everyNDays(1, 2), feeding: [feed(30), feed(10)] } });
  const plan = feedingOf(own, { method: 'compost-balanced' });
  const next = nextFeed(plan, null, ASOF)!;
  const record = feed(0, { date: next.on, n: 4, grams: 45 });
  const season = seasonFeed(own, next, record)!;
  const [first, last] = [season.days[0]!, season.days.at(-1)!];
  expect(first.day).toBe(ASOF);
  expect(last.day).toBe(season.end);
  const story = feedingStory(own)!.days.at(-1)!;
  expect(first.supply).toBeCloseTo(story.soil + story.freed - story.washed + (next.on === ASOF ? 1.8 : 0), 1);
  expect(last.supply).toBeLessThanOrEqual(first.supply + 1.8 * season.feeds + 0.01);
  // between two weeks and one, until four weeks before the end
  const weeks = daysBetween(next.on, addDays(season.end, -28)) / 7;
  expect(season.feeds).toBeGreaterThanOrEqual(Math.floor(weeks / 2));
  expect(season.feeds).toBeLessThanOrEqual(Math.ceil(weeks) + 1);
  // a hungrier crop is fed as often as allowed, and no more often
  const weak = seasonFeed(own, next, { ...record, grams: 1 })!;
  expect(weak.feeds).toBeGreaterThan(season.feeds);
  expect(weak.feeds).toBeLessThanOrEqual(Math.ceil(weeks) + 1);
  // need grows with the season, and slows as its light goes
  const need = season.days.map((d) => d.high);
  expect(need).toEqual([...need].sort((a, b) => a - b));
  const perWeek = need.slice(1, -1).map((n, i) => n - need[i]!);
  expect(perWeek.at(-1)!).toBeLessThan(0.7 * perWeek[1]!);
});

test('a rest names its next feed: after settling in, or at first fruit; none late in the season, or where nobody knows', () => {
  const on = addDays(ASOF, 12);
  expect(nextFeed({ kind: 'rest', because: 'young', until: on }, null, ASOF)).toMatchObject({ on, strength: 1 });
  expect(nextFeed({ kind: 'rest', because: 'enough-at-start', until: null }, on, ASOF)).toMatchObject({ on });
  expect(nextFeed({ kind: 'rest', because: 'bloom', until: null }, addDays(ASOF, -3), ASOF)).toMatchObject({
    on: ASOF,
  });
  expect(nextFeed({ kind: 'rest', because: 'late', until: null }, on, ASOF)).toBeNull();
  expect(nextFeed({ kind: 'ask' }, on, ASOF)).toBeNull();
});
