import fc from 'fast-check';
import { reportOn } from '@candid-leaf/core/assessment';
import { contextOf } from '@candid-leaf/core/diagnosis';
import type { PlantCase } from '@candid-leaf/core/records';
import { addDays } from '@candid-leaf/core/units';
import {
  coveredM2,
  leafCoefficient,
  planWeek,
  rootZones,
  SOILS,
  startOf,
  waterBalance,
  wateringLimit,
  WATER_CROPS,
} from '@candid-leaf/core/water';
import { depletionFraction } from '../../src/water/root-zone.js';
import { aCase, ASOF, everyNDays, notSeen, seen } from '../helpers.js';

const pot = (volumeL: number) => ({ kind: 'container', texture: 'potting-mix', volumeL }) as const;
const heavy = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;

describe('a plant in a pot is an island', () => {
  // published pot-tomato use, from memory: 0.3 to 0.6 L a day young, 1 to 1.5 in flower, 2 to 4 in full fruit on warm days
  const litres = (heightM: number, etoMm: number, seasonDay: number) =>
    etoMm * leafCoefficient('tomato', seasonDay, heightM) * coveredM2('tomato', heightM);
  test.each([
    ['60 cm at ETo 6, about per litre', 0.6, 6, 35, 0.8, 1.2],
    ['young', 0.4, 5, 20, 0.3, 0.6],
    ['in flower', 0.75, 5, 50, 1, 1.5],
    ['in full fruit on a warm day', 1.6, 6.5, 85, 2, 4],
  ])('%s', (_, height, eto, day, low, high) => {
    expect(litres(height, eto, day)).toBeGreaterThanOrEqual(low);
    expect(litres(height, eto, day)).toBeLessThanOrEqual(high);
  });
  test('the leaf’s own coefficient is 1.0 to 1.15 at every stage; cover counts once', () => {
    for (const crop of ['tomato', 'pepper'] as const)
      for (let day = 0; day <= 160; day += 5)
        for (const h of [0.1, 0.6, 1.2, 1.9]) {
          expect(leafCoefficient(crop, day, h)).toBeGreaterThanOrEqual(1);
          expect(leafCoefficient(crop, day, h)).toBeLessThanOrEqual(1.15);
          expect(coveredM2(crop, h)).toBeLessThanOrEqual(WATER_CROPS[crop].fullCoverM2);
        }
  });
  test('the balance agrees: 1 L for a 60 cm plant at ETo near 6', () => {
    const weather = aCase().records.weather.map((w) => ({ ...w, tMinC: 16, tMaxC: 31 }));
    const c = aCase({
      place: pot(20),
      plant: { heightM: 0.6, stage: 'vegetative', transplantedOn: addDays(ASOF, -35) },
      records: { weather, watering: everyNDays(1, 2) },
    });
    const today = waterBalance(c).days.at(-1)!;
    expect(today.etoMm).toBeGreaterThan(5.5);
    expect(today.demandL).toBeGreaterThan(0.75);
    expect(today.demandL).toBeLessThan(1.35);
  });
  test('a 10 cm seedling in a cell of 0.05 L is shown millilitres, not litres', () => {
    const c = aCase({
      place: { ...pot(0.05), cover: 'indoors' },
      plant: { stage: 'seedling', heightM: 0.1, transplantedOn: addDays(ASOF, -12) },
      records: { watering: everyNDays(1, 0.01, 12) },
    });
    const next = reportOn(c).water.nextWatering!;
    expect(next.litres).toBeGreaterThan(0);
    expect(next.litres).toBeLessThan(0.03);
  });
});

describe('missing records', () => {
  const limp = [seen('leaf-wilt')];
  test('no watering at all in dry weather: the balance is unknown, thirst is not found, a finger check is asked, no litres are shown', () => {
    const r = reportOn(aCase({ place: pot(14), records: { watering: [] }, observations: limp }));
    expect(r.water).toMatchObject({ known: false, nextWatering: null, evenness: null });
    expect(r.diagnosis[0]!.probability).toBeLessThan(0.5);
    expect(r.nextChecks[0]!.check).toBe('finger-test');
    expect(r.remedies.filter((x) => x.dose?.litres)).toEqual([]);
  });
  test('silence in a log expires: ten days in a pot, three weeks in a bed', () => {
    const known = (place: Partial<PlantCase['place']>, back: number) =>
      reportOn(aCase({ place, records: { watering: [{ date: addDays(ASOF, -back), litres: 5 }] } })).water.known;
    expect([known(pot(14), 10), known(pot(14), 11)]).toEqual([true, false]);
    expect([known(heavy, 21), known(heavy, 22)]).toEqual([true, false]);
  });
  test('soil filled by a storm is known until it dries, and not a month later', () => {
    const stormOn = (back: number) =>
      aCase().records.weather.map((w) => ({
        ...w,
        rainMm: w.date <= addDays(ASOF, -back) && w.date > addDays(ASOF, -back - 4) ? 120 : 0,
      }));
    const known = (back: number) => reportOn(aCase({ place: heavy, records: { weather: stormOn(back) } })).water.known;
    expect([known(2), known(35)]).toEqual([true, false]);
  });
  test('a pot of unknown size is not computed, however well it is watered', () => {
    const inRoom = (volumeL: number | null) =>
      reportOn(
        aCase({
          place: { kind: 'indoors', texture: 'potting-mix', areaM2: null, volumeL },
          records: { watering: everyNDays(1, 0.4) },
        }),
      );
    expect(inRoom(8).water.known).toBe(true);
    const unsized = inRoom(null);
    expect(unsized.water.known).toBe(false);
    expect(unsized.water.nextWatering).toBeNull();
  });
  test('"none was given" is a record, and so is a finger check or a weight', () => {
    const none = aCase({ place: pot(14), records: { watering: [{ date: addDays(ASOF, -3), litres: 0 }] } });
    const felt = aCase({ place: pot(14), records: { soilChecks: [{ date: addDays(ASOF, -2), feel: 'dry' }] } });
    for (const c of [none, felt]) expect(reportOn(c).water.known).toBe(true);
  });
  test('soil kept moist by rain alone is known: more water would have changed nothing', () => {
    const wet = aCase().records.weather.map((w, i) => ({ ...w, rainMm: i % 2 ? 25 : 0 }));
    expect(reportOn(aCase({ place: heavy, records: { weather: wet } })).water.known).toBe(true);
    // under a roof the same rain keeps nothing moist
    const roof = aCase({ place: { ...heavy, cover: 'roof' }, records: { weather: wet } });
    expect(reportOn(roof).water.known).toBe(false);
  });
  test('property: without any watering record no report orders litres', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(pot(6), pot(30), { ...heavy, cover: 'tunnel' as const }),
        fc.subarray(['leaf-wilt', 'fruit-blossom-end-dark', 'leaf-yellow-fast', 'flower-drop'] as const, {
          minLength: 1,
        }),
        fc.integer({ min: 24, max: 38 }),
        (place, signs, tMaxC) => {
          const weather = aCase().records.weather.map((w) => ({ ...w, tMaxC }));
          const r = reportOn(aCase({ place, records: { weather }, observations: signs.map((s) => seen(s)) }));
          expect(r.water.nextWatering).toBeNull();
          for (const x of r.remedies)
            if (['water-now', 'even-watering', 'deep-soak'].includes(x.remedy)) expect(x.dose).toBeNull();
          expect(
            r.diagnosis.flatMap((d) =>
              d.drivers.filter((x) => ['dry-spell', 'uneven-watering', 'dry-then-wet'].includes(x.driver)),
            ),
          ).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a finger check', () => {
  const dryAt = (depthCm: number) => ({ date: ASOF, feel: 'dry' as const, depthCm });
  const left = (c: PlantCase) => waterBalance(c).days.at(-1)!.fractionAvailable;
  const grown = { transplantedOn: '2026-04-20', heightM: 1.6, stage: 'ripening' as const };
  const bed = (soilChecks: PlantCase['records']['soilChecks']) =>
    aCase({ place: heavy, plant: grown, records: { watering: everyNDays(2, 3), soilChecks } });
  test('dry at 5 cm moves a deep root zone little, deeper moves it more, and a pot follows it', () => {
    const [none, shallow, deep] = [left(bed([])), left(bed([dryAt(5)])), left(bed([dryAt(30)]))];
    expect(none - shallow).toBeLessThan(0.15);
    expect(shallow).toBeGreaterThan(0.3); // not pulled down to the feel of the top
    expect(none - deep).toBeGreaterThan(none - shallow);
    const inPot = (soilChecks: PlantCase['records']['soilChecks']) =>
      left(aCase({ place: pot(14), records: { watering: everyNDays(1, 3), soilChecks } }));
    expect(inPot([]) - inPot([{ ...dryAt(5), after: true }])).toBeGreaterThan(0.1);
  });
  test('today’s check overrides all earlier ones, in any direction', () => {
    const felt = (change: Parameters<typeof aCase>[0]) => contextOf(aCase(change)).felt;
    const wetBefore = { date: addDays(ASOF, -1), feel: 'wet' as const };
    expect(felt({ place: heavy, records: { soilChecks: [wetBefore, { date: ASOF, feel: 'dry' }] } })).toMatchObject({
      feel: 'dry',
      on: ASOF,
    });
    expect(
      felt({ place: heavy, records: { soilChecks: [wetBefore] }, observations: [seen('soil-dry-deep')] }),
    ).toMatchObject({ feel: 'dry', by: 'sign' });
    expect(felt({ place: heavy, records: { soilChecks: [{ date: addDays(ASOF, -4), feel: 'wet' }] } })).toBeNull();
    expect(felt({ place: heavy, observations: [notSeen('soil-dry-deep')] })).toBeNull();
  });
  test('felt wet today, no water today, whatever the model says', () => {
    const c = aCase({
      place: heavy,
      records: { watering: [{ date: addDays(ASOF, -20), litres: 2 }], soilChecks: [{ date: ASOF, feel: 'wet' }] },
    });
    expect(reportOn(c).water.nextWatering?.date).not.toBe(ASOF);
  });
});

test('a low end drains like a slow soil, and holds a wet week’s rain longer; a pot has no low end', () => {
  const drains = (more: object) =>
    rootZones({ kind: 'ground', texture: 'sandy-loam', ...more }, 'tomato')(60).drainsPerDay;
  expect(drains({ lowEnd: true })).toBe(drains({ drainageMmPerH: 10 }));
  expect(drains({ lowEnd: true })).toBeLessThan(drains({}));
  expect(rootZones({ ...pot(20), lowEnd: true }, 'tomato')(60)).toEqual(rootZones(pot(20), 'tomato')(60));
  const wet = (lowEnd: boolean) => {
    const c = aCase({ place: { ...heavy, texture: 'sandy-loam', lowEnd } });
    const rained = {
      ...c,
      records: {
        ...c.records,
        weather: c.records.weather.map((w, i, all) => ({ ...w, rainMm: i > all.length - 6 ? 30 : 0 })),
      },
    };
    return waterBalance(rained).days.at(-1)!.fractionAvailable;
  };
  expect(wet(true)).toBeGreaterThanOrEqual(wet(false));
});

test('a raised bed’s roots go no deeper than its filling and a little of the soil below', () => {
  const depth = (more: object) =>
    rootZones({ kind: 'raised-bed', texture: 'sandy-loam', ...more }, 'tomato')(120).depthM;
  expect(depth({ fillingCm: 20 })).toBeCloseTo(0.5, 9);
  expect(depth({ fillingCm: 20, drainageMmPerH: 10 })).toBeCloseTo(0.3, 9);
  expect(depth({ fillingCm: 90 })).toBeCloseTo(WATER_CROPS.tomato.rootDepthFullM, 9);
  expect(depth({})).toBeCloseTo(0.6, 9);
  expect(rootZones({ kind: 'ground', texture: 'sandy-loam' }, 'tomato')(120).depthM).toBeCloseTo(0.85, 9);
});

test('readily evaporable water of sand lies in its range of FAO-56 Table 19 (2 to 7 mm)', () => {
  expect(SOILS.sand.rewMm).toBeGreaterThanOrEqual(2);
  expect(SOILS.sand.rewMm).toBeLessThan(7);
});

test('a pepper may dry further than a tomato at every stage and demand, and is never short of water', () => {
  for (const stage of ['vegetative', 'flowering', 'fruiting', 'ripening', 'late'] as const)
    for (let etc = 1; etc <= 10; etc += 0.5) {
      const limit = (crop: 'tomato' | 'pepper') =>
        wateringLimit({ crop, stage }, depletionFraction(crop, etc) * 100, 100);
      expect([stage, etc, limit('pepper') > limit('tomato') - 1e-9]).toEqual([stage, etc, true]);
      const p = depletionFraction('pepper', etc);
      // Ks by FAO-56 eq. 84 at the limit
      expect((100 - limit('pepper')) / ((1 - p) * 100)).toBeGreaterThanOrEqual(0.8);
    }
});

test('a small pot on a scorching day gets a second, small watering after midday; a large one does not', () => {
  const week = (volumeL: number, tMaxC: number) =>
    planWeek(
      aCase({ place: pot(volumeL), plant: { heightM: 1.2, stage: 'fruiting' } }),
      { state: startOf({ fraction: 0.6, sd: 0.1 }), since: 1 },
      Array.from({ length: 14 }, (_, i) => ({ date: addDays(ASOF, i), tMinC: 22, tMaxC, rainMm: 0 })),
      { method: 'by-need', how: 'base', flowLPerH: null },
    ).days[0]!;
  const small = week(8, 38);
  expect(small.laterL).toBeGreaterThan(0);
  expect(small.laterL).toBeLessThan(small.litres);
  expect(week(60, 38).laterL).toBe(0);
});

test('heat under cover is found at 28 °C and sun outside, and doors and vents come first', () => {
  const weather = aCase().records.weather.map((w) => ({ ...w, tMaxC: 28, tMinC: 16, solarMj: 28 }));
  const r = reportOn(
    aCase({
      place: { ...pot(20), cover: 'glasshouse' },
      records: { weather, watering: everyNDays(1, 2) },
      observations: [seen('leaf-wilt'), seen('leaf-wilt-midday-only'), seen('soil-damp-deep')],
    }),
  );
  expect(r.diagnosis[0]).toMatchObject({ disorder: 'heat-wilt' });
  expect(r.diagnosis[0]!.drivers[0]).toMatchObject({ driver: 'hot-days' });
  expect(r.remedies[0]!.remedy).toBe('open-vents');
});

test('outdoor frost does not count in a room', () => {
  const weather = aCase().records.weather.map((w) => ({ ...w, tMinC: -5, tMaxC: 2 }));
  const chance = (cover: 'indoors' | 'none') =>
    reportOn(
      aCase({
        place: { ...pot(5), cover },
        records: { weather, watering: everyNDays(2, 1) },
        observations: [seen('leaf-blackened-soft')],
      }),
    ).diagnosis.find((d) => d.disorder === 'frost-injury')?.probability ?? 0;
  expect(chance('none')).toBeGreaterThan(0.9);
  expect(chance('indoors')).toBeLessThan(0.3);
});

test('roots reach little ground at first, all of it within weeks; a pot is its rim from the first day', () => {
  const ground = (day: number, place: PlantCase['place']) => rootZones(place, 'tomato', 0.6)(day);
  const bed = { kind: 'ground', texture: 'loam' } as const;
  expect(ground(0, bed).soilM2).toBeCloseTo(Math.PI * 0.14 ** 2, 9);
  expect(ground(0, bed).groundM2).toBeCloseTo(0.36, 9);
  for (let day = 1; day < 60; day++)
    expect(ground(day, bed).soilM2).toBeGreaterThanOrEqual(ground(day - 1, bed).soilM2);
  expect(ground(30, bed).soilM2).toBeCloseTo(0.36, 9);
  expect(ground(0, pot(20)).soilM2).toBe(ground(60, pot(20)).soilM2);
});
