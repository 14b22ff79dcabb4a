import { assessPlace } from '@candid-leaf/core/assessment';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import { DEFAULT_METHOD } from '@candid-leaf/core/water';
import { feedingOf, feedingStory } from '../../src/care/index.js';
import { aCase, ASOF, everyNDays, seen } from '../helpers.js';
import { NO_RULES, fedBefore } from '../questions.js';

const RULES = { method: DEFAULT_METHOD, ...NO_RULES };
const feed = (back: number, more: object = {}) => fedBefore(ASOF, back, more);
const assessed = (change: Parameters<typeof aCase>[0], forecast: { tMinC: number; tMaxC: number }[] = []) =>
  assessPlace(
    'p',
    RULES,
    [{ id: 'a', case: aCase(change) }],
    forecast.map((w, i) => ({ ...w, date: addDays(ASOF, i + 1), rainMm: 0, rainChancePct: 0 })),
    METRIC_FORMAT,
  ).plants.get('a')!;
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 20, areaM2: undefined } as const;

test('feeding knows what findings and water know: pale leaves, heat ahead, a dry pot, burnt roots', () => {
  const watered = { watering: everyNDays(1, 4), feeding: [feed(30)] };
  const of = (change: object, ahead?: { tMinC: number; tMaxC: number }[]) =>
    feedingOf(assessed({ place: pot, records: watered, ...change }, ahead), 'compost-balanced');
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
