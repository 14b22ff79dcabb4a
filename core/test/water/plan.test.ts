import fc from 'fast-check';
import { reportOn } from '@candid-leaf/core/assessment';
import { climateOfPlace, generateWeather, seeded, type WeatherDay } from '@candid-leaf/core/climate';
import type { PlantCase } from '@candid-leaf/core/records';

import { addDays } from '@candid-leaf/core/units';
import {
  type BenchPlant,
  flowFromBucket,
  placeWith,
  settlingOn,
  type PlanRules,
  planWeek,
  probeFault,
  runSeason,
  runYear,
  METHOD_CODES,
  seasonWeather,
  type SetUp,
  soakSteps,
  startOf,
  verdict,
  waterBalance,
  weekday,
  given,
  NEVER_WATERED,
} from '@candid-leaf/core/water';
import { aCase, ASOF, everyNDays } from '../helpers.js';

const week = (rainMm: (i: number) => number = () => 0, tMaxC = 28): WeatherDay[] =>
  Array.from({ length: 7 }, (_, i) => ({ date: addDays(ASOF, i + 1), tMinC: 16, tMaxC, rainMm: rainMm(i) }));
const bed = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 14 } as const;
const rules = (more: Partial<PlanRules> = {}): PlanRules => ({ method: 'by-need', how: 'drip', flowLPerH: 4, ...more });
const planOf = (place: PlantCase['place'], more: Partial<PlanRules> = {}, weather = week(), fraction = 0.6) =>
  planWeek(aCase({ place }), { state: startOf({ fraction, sd: 0.1 }), since: 2 }, weather, rules(more));

describe('the week’s plan', () => {
  test('watering by need keeps the plant from stress, in any weather, bed or pot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<PlantCase['place'][]>(bed, pot, { ...pot, volumeL: 40 }, { ...bed, texture: 'clay' }),
        fc.array(fc.integer({ min: 0, max: 12 }), { minLength: 7, maxLength: 7 }),
        fc.integer({ min: 18, max: 38 }),
        fc.double({ min: 0.55, max: 1, noNaN: true }),
        (place, rain, tMaxC, fraction) => {
          const plan = planOf(
            place,
            {},
            week((i) => rain[i]!, tMaxC),
            fraction,
          );
          for (const d of plan.days) expect(d.left).toBeGreaterThan(0.3);
          expect(plan.litres).toBeCloseTo(
            plan.days.reduce((s, d) => s + d.litres, 0),
            5,
          );
        },
      ),
      { numRuns: 60 },
    );
  });
  test('rain saves water, and what to do without it is said', () => {
    const wet = planOf(
      bed,
      {},
      week((i) => (i === 1 ? 25 : 0)),
      0.8,
    );
    const dry = planOf(bed, {}, week(), 0.8);
    expect(wet.litres).toBeLessThan(dry.litres);
    expect(wet.rainSavesL).toBeGreaterThan(0);
    expect(wet.withoutRain?.litres).toBeGreaterThan(0);
    expect(dry.withoutRain).toBeNull();
    wet.days.forEach((d) => expect(d.leftWithoutRain).toBeLessThanOrEqual(d.left + 1e-9));
  });
  test('only allowed days are used, and the cap holds', () => {
    const allowed = [1, 4];
    const plan = planOf(pot, { allowedDays: allowed });
    for (const d of plan.days) if (d.litres > 0) expect(allowed).toContain(weekday(d.date));
    expect(plan.days.some((d) => d.litres > 0)).toBe(true);
    const capped = planOf(pot, { weeklyCapL: 3 });
    expect(capped.litres).toBeLessThanOrEqual(3 + 1e-9);
    expect(capped.capped).toBe(true);
    expect(weekday('2026-11-23')).toBe(1); // a Monday
  });
  test('each method does what it says', () => {
    const visits = (method: PlanRules['method'], place: PlantCase['place'] = bed) =>
      planOf(
        place,
        { method },
        week(() => 0, 32),
        0.9,
      ).days.filter((d) => d.litres > 0);
    const tub = { ...pot, volumeL: 120 };
    expect(visits('daily').length).toBeGreaterThanOrEqual(6);
    expect(visits('deep').length).toBeLessThanOrEqual(2);
    expect(visits('half-often').length).toBeGreaterThan(visits('by-need').length);
    expect(visits('half-often', tub)[0]!.litres).toBeLessThan(visits('by-need', tub)[0]!.litres);
    for (const method of METHOD_CODES) expect(() => visits(method)).not.toThrow();
    // a drier finish waits longer, but only once fruit colours
    const first = (drierRipening: boolean, stage: 'fruiting' | 'ripening') =>
      planWeek(
        aCase({ place: bed, plant: { stage } }),
        { state: startOf({ fraction: 0.8, sd: 0.1 }), since: 2 },
        week(),
        rules({ drierRipening }),
      ).days.findIndex((d) => d.litres > 0);
    expect(first(true, 'ripening')).toBeGreaterThan(first(false, 'ripening'));
    expect(first(true, 'fruiting')).toBe(first(false, 'fruiting'));
  });
  test('the last watering is found in the records', () => {
    const { watering } = aCase({ records: { watering: everyNDays(3, 5) } }).records;
    expect(given(watering, addDays(ASOF, 1))).toEqual({
      since: 1,
      recentL: [0, 5, 0, 0, 5, 0, 0, 5].slice(-6),
      givenL: 0,
      givenUnknown: false,
    });
    expect(given(watering, ASOF)).toMatchObject({ since: 3, givenL: 5 });
    expect(given([], ASOF).since).toBe(NEVER_WATERED);
    // an unknown amount is a watering; zero litres are none
    expect(given([{ date: addDays(ASOF, -1) }], ASOF).since).toBe(1);
    expect(given([{ date: addDays(ASOF, -1), litres: 0 }], ASOF).since).toBe(NEVER_WATERED);
    expect(given([{ date: ASOF }], ASOF).givenUnknown).toBe(true);
  });
});

describe('how it is given', () => {
  test('a slow soil is watered in rounds, a fast one at once; all rounds add up to the amount', () => {
    const clay = soakSteps(10, 60, 0.12, { kind: 'ground', texture: 'clay' });
    const sand = soakSteps(10, 10, 0.3, { kind: 'ground', texture: 'sand' });
    expect(clay.times).toBeGreaterThan(1);
    expect(clay.waitMinutes).toBeGreaterThan(0);
    expect(sand).toMatchObject({ times: 1, waitMinutes: 0, minutes: 60 });
    expect(clay.times * clay.minutes!).toBeCloseTo(10, 6); // 10 L at 60 L/h
    expect(soakSteps(8, null, 0.12, { kind: 'ground', texture: 'loam' })).toMatchObject({ minutes: null });
  });
  test('a bucket test gives the flow', () => {
    expect(flowFromBucket(10, 36)).toBeCloseTo(1000, 6);
    expect(() => flowFromBucket(10, 0)).toThrow(RangeError);
  });
});

describe('measurements', () => {
  const end = (records: object, observations: never[] = []) =>
    waterBalance(aCase({ place: pot, records, observations })).days.at(-1)!;
  const dryRecords = { watering: [{ date: addDays(ASOF, -5), litres: 8 }] };
  test('drooping over dry soil means nearly empty, water running out below means full, a probe moves it little', () => {
    const wilt = ['leaf-wilt', 'soil-dry-deep'].map((sign) => ({ date: ASOF, sign, present: true })) as never[];
    const lately = { watering: everyNDays(1, 4).slice(0, -1) };
    expect(end(lately, wilt)).toMatchObject({ correctedBy: 'droop' });
    expect(end(lately, wilt).fractionAvailable).toBeLessThan(0.5);
    const through = { watering: [...everyNDays(6, 1).slice(0, -1), { date: ASOF, litres: 1, end: 'ran-through' }] };
    expect(end(through).fractionAvailable).toBeGreaterThan(0.85);
    const by = (who: 'finger' | 'probe') => end({ ...dryRecords, soilChecks: [{ date: ASOF, feel: 'wet', by: who }] });
    expect(by('finger').fractionAvailable).toBeGreaterThan(by('probe').fractionAvailable);
    expect(by('probe').correctedBy).toBe('probe');
  });
  test('a probe that repeats itself or jumps is flagged', () => {
    const said = (feels: string[]) =>
      aCase({
        records: {
          soilChecks: feels.map((feel, i) => ({
            date: addDays(ASOF, i - feels.length + 1),
            feel,
            by: 'probe',
          })) as never,
        },
      });
    expect(probeFault(said(['dry', 'dry', 'dry', 'dry', 'dry']))).toMatch(/5 times in a row/);
    expect(probeFault(said(['damp', 'dry', 'wet']))).toMatch(/jumped/);
    expect(probeFault(said(['damp', 'dry', 'damp']))).toBeNull();
  });
});

describe('comparing watering methods', () => {
  const garden = { latitude: 45.6, longitude: 9, elevationM: 180 };
  const weather = seasonWeather(
    { garden, place: { ...pot, mulch: [], shade: [] } },
    generateWeather(climateOfPlace(45.6, 180, []), garden, '2026-05-01', 150, seeded(4)),
  );
  const subject: BenchPlant = {
    garden,
    place: { ...pot, mulch: [], shade: [] },
    plant: { crop: 'tomato', heightM: 1.2 } as never,
  };
  const run = (s: Partial<SetUp>) => runSeason(subject, { name: 'x', strategy: 'by-need', ...s }, weather, seeded(1));
  test('one big weekly soak swings and drains; small frequent waterings do not', () => {
    const soak = run({ strategy: 'timer', everyDays: 7, litres: 12 });
    const often = run({ strategy: 'half-often' });
    expect(soak.daysShort).toBeGreaterThan(often.daysShort);
    expect(soak.evenness).toBeLessThan(often.evenness);
    expect(soak.blossomEndRotShare).toBeGreaterThan(often.blossomEndRotShare);
    expect(soak.drainedL).toBeGreaterThan(often.drainedL);
    expect(soak.nitrogenWashedG).toBeGreaterThan(often.nitrogenWashedG);
    expect(soak.visits).toBeLessThan(often.visits);
    const said = verdict([
      { setUp: { name: 'soak', strategy: 'timer' }, seasons: [soak] },
      { setUp: { name: 'often', strategy: 'half-often' }, seasons: [often] },
    ])!;
    expect(said.best).toBe(1);
    expect(said.each[0]).toMatch(/^\d+ days short of water.*, varies a lot, \d+ waterings$/);
    expect(said.each).toHaveLength(2);
  });
  test('a bigger pot needs fewer visits, shade less water, and a change leaves the place itself alone', () => {
    expect(run({ volumeL: 40 }).visits).toBeLessThan(run({}).visits);
    expect(run({ shadePct: 50 }).litres).toBeLessThan(run({}).litres);
    const before = JSON.stringify(subject);
    placeWith(subject.place, { name: 'x', strategy: 'daily', mulchMm: 60, volumeL: 99 }, '2026-05-01');
    expect(JSON.stringify(subject)).toBe(before);
  });
  test('dry days count against the fruit that grew then, for three weeks, and no longer', () => {
    // watered every day but for ten dry days soon after the first fruit
    const dry = (i: number): boolean => i >= 60 && i < 70;
    const watering = weather.days.flatMap((w, i) => (dry(i) ? [] : [{ date: w.date, litres: 6 }]));
    const { blossomEndRotShare, daysShort } = runSeason(
      { ...subject, watering },
      { name: 'x', strategy: 'recorded' },
      weather,
      seeded(1),
    );
    expect(daysShort).toBeGreaterThanOrEqual(3);
    // of 105 fruiting days those ten and the three weeks after them, at most
    expect(blossomEndRotShare).toBeGreaterThan(0.1);
    expect(blossomEndRotShare).toBeLessThanOrEqual(31 / 105);
  });
  test('set-ups computed together equal each computed alone', () => {
    const setUps: SetUp[] = [
      { name: 'a', strategy: 'by-need' },
      { name: 'b', strategy: 'by-need', mulchMm: 60 },
      { name: 'c', strategy: 'deep', volumeL: 40 },
      { name: 'd', strategy: 'deep', shadePct: 50 },
    ];
    const alone = setUps.map((s) => runSeason(subject, s, weather, seeded(7)));
    expect(runYear(subject, setUps, weather, 7)).toEqual(alone);
    expect(new Set(alone.map((s) => s.litres)).size).toBe(4);
  });
  test('the same seed gives the same season', () => {
    expect(run({ strategy: 'remembered' })).toEqual(run({ strategy: 'remembered' }));
  });
  test('simulated months match their climate: warmth within 0.5 °C, wet days within 3 %', () => {
    const table = climateOfPlace(45.6, 180, []);
    const days = generateWeather(table, garden, '1950-01-01', 365 * 60, seeded(9));
    for (const month of [1, 4, 7, 10]) {
      const own = days.filter((d) => Number(d.date.slice(5, 7)) === month);
      const mean = own.reduce((s, d) => s + (d.tMinC + d.tMaxC) / 2, 0) / own.length;
      expect(Math.abs(mean - (table[month - 1]!.tMinC + table[month - 1]!.tMaxC) / 2)).toBeLessThan(0.8);
      const { wetAfterDry: p01, wetAfterWet: p11 } = table[month - 1]!;
      expect(Math.abs(own.filter((d) => d.rainMm > 0).length / own.length - p01 / (1 + p01 - p11))).toBeLessThan(0.03);
    }
  });
});

describe('a plant that is settling in', () => {
  const out = (daysAgo: number, more: Partial<PlantCase['plant']> = {}) =>
    aCase({
      place: bed,
      plant: { transplantedOn: addDays(ASOF, -daysAgo), stage: 'establishing', heightM: 0.2, ...more },
    });
  const waterings = (c: PlantCase, weather = week(), more: Partial<PlanRules> = {}) =>
    planWeek(c, { state: startOf({ fraction: 1, sd: 0.1 }), since: 1 }, weather, rules(more)).days.map(
      (d) => d.litres > 0,
    );

  test('daily for ten days, every second day until the third week is over, then by its method', () => {
    // handbook: daily for one to two weeks, then wean. The plan’s first day is the day after the question
    expect(waterings(out(1)).slice(1)).toEqual(Array.from({ length: 6 }, () => true));
    const weaned = waterings(out(11));
    expect(weaned.filter(Boolean).length).toBeGreaterThanOrEqual(3);
    expect(weaned.some((w, i) => w && weaned[i + 1])).toBe(false);
    // day 20 is its last of settling, day 21 is not (judgement)
    const settling = (daysAgo: number) => settlingOn({ transplantedOn: addDays(ASOF, -daysAgo), stage: null }, ASOF);
    expect([0, 9, 10, 20, 21].map(settling)).toEqual(['water-in', 'daily', 'every-other', 'every-other', null]);
    const old = waterings(out(30));
    expect(old.filter(Boolean).length).toBeLessThan(weaned.filter(Boolean).length);
  });
  test('planted today it is watered in, though nobody knows the soil; a bed that lay under cover gets more', () => {
    const asked = (daysAgo: number, change: Parameters<typeof aCase>[0] = {}) => {
      const { place, records, ...rest } = change;
      const r = reportOn(
        aCase({
          ...rest,
          place: { ...bed, ...place },
          plant: { transplantedOn: addDays(ASOF, -daysAgo), stage: 'establishing', heightM: 0.2 },
          records: { weather: aCase().records.weather, ...records },
        }),
      );
      const next = r.water.nextWatering;
      return next?.date === ASOF ? next.litres : 0;
    };
    expect(asked(0)).toBeGreaterThan(1);
    expect(asked(0, { place: { cover: 'tunnel' } })).toBeGreaterThan(1.3 * asked(0));
    expect(asked(2)).toBeGreaterThan(1);
    // said, or too long ago for a plant that lives: nothing is made up
    for (const litres of [0.3, 4]) expect(asked(0, { records: { watering: [{ date: ASOF, litres }] } })).toBe(0);
    expect(asked(0, { records: { soilChecks: [{ date: ASOF, feel: 'wet', depthCm: 5 }] } })).toBe(0);
    const first = (daysAgo: number) =>
      waterBalance(aCase({ place: bed, plant: { transplantedOn: addDays(ASOF, -daysAgo) } })).days[0]!
        .fractionAvailable;
    expect(first(2)).toBeLessThan(0.4);
    expect(first(3)).toBeGreaterThan(0.45);
    const why = reportOn(aCase({ place: bed, plant: { transplantedOn: ASOF, stage: 'establishing', heightM: 0.2 } }))
      .water.nextWatering?.why;
    expect(why).toBe('planted today: water it in');
  });
  test('new leaves end it; so does a missing planting day', () => {
    expect(waterings(out(1, { stage: 'vegetative' })).filter(Boolean).length).toBeLessThan(4);
    expect(waterings(out(1, { transplantedOn: null })).filter(Boolean).length).toBeLessThan(4);
  });
  test('expected rain replaces a watering, and a forbidden day stays one', () => {
    expect(
      waterings(
        out(1),
        week(() => 12),
      ).filter(Boolean),
    ).toEqual([]);
    const missing = { state: startOf({ fraction: 0.85, sd: 0.1 }), since: 1 };
    const first = (rainMm: number) =>
      planWeek(
        out(2),
        missing,
        week((i) => (i === 0 ? rainMm : 0)),
        rules(),
      ).days[0]!.litres;
    expect([first(0) > 0, first(15)]).toEqual([true, 0]);
    const days = planWeek(
      out(1),
      { state: startOf({ fraction: 1, sd: 0.1 }), since: 1 },
      week(),
      rules({ allowedDays: [1] }),
    ).days;
    for (const d of days) if (weekday(d.date) !== 1) expect(d.litres).toBe(0);
  });
});

test('a slope holds less: water is given in more rounds, and more of a cloudburst runs off; a pot stands level', () => {
  const goes = (slope: 'flat' | 'steep', kind: 'ground' | 'container' = 'ground') =>
    soakSteps(10, 60, 0.2, { kind, texture: 'clay', slope }).times;
  expect(goes('steep')).toBeGreaterThan(goes('flat'));
  expect(goes('steep', 'container')).toBe(goes('flat', 'container'));
  const after = (slope: 'flat' | 'gentle' | 'steep') =>
    waterBalance(
      aCase({
        place: { ...bed, texture: 'clay-loam', slope },
        records: { weather: aCase().records.weather.map((w, i) => ({ ...w, rainMm: i === 37 ? 40 : 0 })) },
      }),
    ).days.at(-1)!.fractionAvailable;
  expect(after('steep')).toBeLessThan(after('gentle'));
  expect(after('gentle')).toBeLessThan(after('flat'));
});
