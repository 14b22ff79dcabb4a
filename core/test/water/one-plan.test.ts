import fc from 'fast-check';
import type { PlaceFacts, PlantCase } from '@candid-leaf/core/records';
import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  HELD_WHY,
  litresOf,
  planPlace,
  planWeek,
  pourOf,
  METHOD_CODES,
  startOf,
  waterBalance,
  weekday,
  WEEK_DAYS,
  whyWatered,
  type PlaceRules,
  type PlannedPlant,
  type PlanRules,
} from '@candid-leaf/core/water';
import type { WeatherDay } from '@candid-leaf/core/climate';
import { aCase, ASOF, everyNDays } from '../helpers.js';

const bed: Partial<PlaceFacts> = { kind: 'ground', texture: 'loam', areaM2: 0.25 };
const pot: Partial<PlaceFacts> = { kind: 'container', texture: 'potting-mix', volumeL: 14 };
const rules = (more: Partial<PlanRules> = {}): PlanRules => ({
  method: 'by-need',
  how: 'base',
  flowLPerH: null,
  ...more,
});
const days = (n = WEEK_DAYS, rainMm = 0, tMaxC = 30): WeatherDay[] =>
  Array.from({ length: n }, (_, i) => ({ date: addDays(ASOF, i), tMinC: 17, tMaxC, rainMm }));
const start = (fraction: number, more: object = {}) => ({ state: startOf({ fraction, sd: 0.1 }), since: 2, ...more });
const planned = (id: string, c: PlantCase, held = false): PlannedPlant => {
  const whole = waterBalance(c);
  return { id, case: c, balance: { ...whole, days: whole.days.filter((d) => d.date <= c.asOf) }, held };
};
/** Every so many days, up to yesterday. */
const given = (every: number, litres: number): Partial<PlantCase['records']> => ({
  watering: everyNDays(every, litres).filter((w) => w.date < ASOF),
});

describe('day by day', () => {
  test('the week begins today and has seven days, whatever was given today', () => {
    for (const givenL of [0, 3]) {
      const plan = planWeek(aCase({ place: pot }), start(0.3, { givenL }), days(14), rules());
      expect(plan.days).toHaveLength(WEEK_DAYS);
      expect(plan.days[0]).toMatchObject({ date: ASOF, givenL });
    }
  });

  test('water given today is subtracted; a small remainder is not worth a second walk', () => {
    const first = (givenL: number) =>
      planWeek(aCase({ place: pot }), start(0.2, { givenL }), days(14), rules()).days[0]!;
    const whole = first(0).litres;
    expect(whole).toBeGreaterThan(2);
    expect(first(1).litres).toBeCloseTo(whole - 1, 1);
    expect(first(whole * 0.9)).toMatchObject({ litres: 0, why: 'watered today' });
    expect(first(whole + 2)).toMatchObject({ litres: 0, why: 'watered today' });
  });

  test('a cap holds for any seven days, counting the days before today', () => {
    const cap = 4;
    const recentL = [0, 1.5, 0, 0, 2, 0];
    const plan = planWeek(aCase({ place: pot }), start(0.3, { recentL }), days(14), rules({ weeklyCapL: cap }));
    const litres = [...recentL, ...plan.days.map((d) => d.litres)];
    for (let i = 0; i + WEEK_DAYS <= litres.length; i++)
      expect(litres.slice(i, i + WEEK_DAYS).reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(cap + 1e-9);
    expect(plan.capped).toBe(true);
    expect(plan.days.some((d) => d.why.startsWith('the weekly limit'))).toBe(true);
  });

  test('no method waters on a forbidden day, and each looks ahead to the next allowed one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHOD_CODES),
        fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1, maxLength: 6 }),
        fc.constantFrom(pot, bed),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (method, allowedDays, place, left) => {
          const plan = planWeek(aCase({ place }), start(left), days(14), rules({ method, allowedDays }));
          for (const d of plan.days) {
            expect(d.allowed).toBe(allowedDays.includes(weekday(d.date)));
            if (!d.allowed) expect(d.litres).toBe(0);
          }
        },
      ),
      { numRuns: 80 },
    );
    const [first] = planWeek(aCase({ place: pot }), start(0.8), days(14), rules({ allowedDays: [weekday(ASOF)] })).days;
    expect(first).toMatchObject({ why: 'would run short before the next watering day' });
  });

  test('held back: none with any method, however dry the model thinks it is: a finger ends it', () => {
    for (const method of METHOD_CODES)
      for (const left of [0.9, 0.5, 0.05]) {
        const plan = planWeek(aCase({ place: pot }), start(left, { held: true }), days(14), rules({ method }));
        expect([method, left, plan.litres, plan.next, plan.held]).toEqual([method, left, 0, null, true]);
        // neither does it promise what rain would change
        const wet = planWeek(aCase({ place: bed }), start(left, { held: true }), days(14, 8), rules({ method }));
        expect([wet.withoutRain, wet.rainSavesL]).toEqual([null, 0]);
      }
  });

  test('near wilting it is watered whatever the rhythm says, but never on a forbidden day', () => {
    const asked = (left: number, more: Partial<PlanRules> = {}) =>
      planWeek(aCase({ place: bed }), start(left), days(14), rules({ method: 'deep', ...more })).days[0]!;
    expect(asked(0.5).litres).toBe(0);
    expect(asked(0.1)).toMatchObject({ why: 'close to wilting: earlier than the usual interval' });
    expect(asked(0.1).litres).toBeGreaterThan(5);
    expect(asked(0.1, { allowedDays: [(weekday(ASOF) + 3) % 7] }).litres).toBe(0);
  });

  test('expected rain saves water: more rain never asks for more', () => {
    fc.assert(
      fc.property(
        // a rhythm that waters in steps of days may be shifted into the week by rain; the sum of need may not
        fc.constantFrom<PlanRules['method']>('by-need', 'daily', 'evenly-moist'),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 1, max: 30 }),
        (method, rain, more) => {
          const week = (mm: number) =>
            planWeek(aCase({ place: bed }), start(0.6), days(7, mm), rules({ method })).litres;
          // a wet surface may lose a little more on the next day; a decilitre is the grain of the plan
          expect(week(rain + more)).toBeLessThanOrEqual(week(rain) + 0.2);
        },
      ),
      { numRuns: 60 },
    );
    const dry = planWeek(aCase({ place: bed }), start(0.85), days(7), rules());
    const wet = planWeek(aCase({ place: bed }), start(0.85), days(7, 12), rules());
    expect(dry.litres).toBeGreaterThan(3);
    expect(wet.litres).toBe(0);
    expect(wet.rainSavesL).toBeGreaterThan(3);
  });

  test('a drier plant never gets less in the week', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<PlanRules['method']>('by-need', 'daily', 'evenly-moist', 'twice-a-week'),
        fc.constantFrom(pot, bed),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (method, place, left) => {
          const week = (fraction: number) => {
            const plan = planWeek(aCase({ place }), start(fraction), days(7), rules({ method }));
            return plan.litres + (1 - plan.days.at(-1)!.left) * 4;
          };
          expect(week(left)).toBeGreaterThan(week(Math.min(1, left + 0.1)) - 0.5);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('the rhythm describes the waterings ahead: how often, and how much each time', () => {
    const hot = planWeek(aCase({ place: pot }), start(0.3), days(14, 0, 34), rules());
    const mild = planWeek(aCase({ place: { ...pot, volumeL: 60 } }), start(0.8), days(14, 0, 22), rules());
    expect(hot.rhythm!.everyDays).toBeLessThan(mild.rhythm!.everyDays);
    const deep = planWeek(aCase({ place: bed }), start(0.5), days(14), rules({ method: 'deep' })).rhythm!;
    expect(deep.everyDays).toBeGreaterThanOrEqual(5);
    expect(planWeek(aCase({ place: bed }), start(1), days(14, 15), rules()).rhythm).toBeNull();
  });
});

describe('the plan of a place', () => {
  const dry = aCase({ place: pot, records: given(6, 2) });
  const wet = aCase({ place: pot, records: given(1, 3) });
  const by: PlaceRules = { method: 'by-need' };

  test('pots are watered one by one, each by its own water; on a line or a timer all alike, by the driest', () => {
    const plants = [planned('dry', dry), planned('wet', wet)];
    const single = planPlace('place', by, plants, []);
    expect(single.together).toBe(false);
    expect(single.pours.map((p) => p.id)).toEqual(['dry', 'wet']);
    expect(litresOf(single.pours[0]!, ASOF)).toBeGreaterThan(litresOf(single.pours[1]!, ASOF));
    for (const more of [{ irrigation: 'drip' as const }, { irrigation: 'soaker' as const }, { byTimer: true }]) {
      const { together, pours } = planPlace('place', { ...by, ...more }, plants, []);
      expect([together, pours.length, pours[0]!.id, pours[0]!.speakerId]).toEqual([true, 1, 'place', 'dry']);
      expect(litresOf(pours[0]!, ASOF)).toBeCloseTo(2 * pours[0]!.plan!.days[0]!.litres, 1);
    }
  });

  test('a bed is watered as one; a plant held back is left out and does not count', () => {
    const inBed = (every: number, litres: number) => aCase({ place: bed, records: given(every, litres) });
    const plants = [planned('a', inBed(9, 4)), planned('b', inBed(8, 5)), planned('soaked', inBed(1, 20), true)];
    const [pour] = planPlace('bed', by, plants, []).pours;
    expect(pour).toMatchObject({ id: 'bed', plantIds: ['a', 'b'], leftOutIds: ['soaked'], speakerId: 'a' });
    const all = plants.map((p) => ({ ...p, held: true }));
    const [held] = planPlace('bed', by, all, []).pours;
    expect(held).toMatchObject({ plantIds: ['a', 'b', 'soaked'], leftOutIds: [] });
    expect(held!.plan!.days[0]).toMatchObject({ litres: 0, why: HELD_WHY });
    expect(pourOf(planPlace('bed', by, plants, []), 'soaked')!.id).toBe('bed');
  });

  test('a weekly cap and a flow belong to the whole place: each plant has its share', () => {
    const four = ['a', 'b', 'c', 'd'].map((id) => planned(id, dry));
    const { pours } = planPlace('place', { ...by, weeklyCapL: 8 }, four, []);
    const week = pours.reduce((sum, p) => sum + p.plan!.days.reduce((s, d) => s + d.litres, 0), 0);
    expect(week).toBeLessThanOrEqual(8 + 1e-9);
    // what was given in the days before counts in the same seven days
    const lately = aCase({ place: pot, records: { watering: [{ date: addDays(ASOF, -5), litres: 1.9 }] } });
    const { pours: after } = planPlace('place', { ...by, weeklyCapL: 2 }, [planned('a', lately)], []);
    expect(after[0]!.plan!.days[0]!.litres).toBeLessThanOrEqual(0.1);
    const [line] = planPlace('place', { ...by, irrigation: 'drip', flowLPerH: 40 }, four, []).pours;
    const run = line!.plan!.days.find((d) => d.litres > 0)!;
    // four plants share 40 L/h: ten each
    expect(run.steps!.minutes! * run.steps!.times).toBeCloseTo((run.litres / 10) * 60, 4);
  });

  test('forecast rain counts from a chance of 60 %', () => {
    const c = aCase({ place: bed, records: { watering: [{ date: addDays(ASOF, -2), litres: 30 }] } });
    const rain = (rainChancePct: number) =>
      Array.from({ length: 7 }, (_, i) => ({
        date: addDays(ASOF, i + 1),
        tMinC: 15,
        tMaxC: 27,
        rainMm: 20,
        rainChancePct,
      }));
    const litres = (chance: number) =>
      planPlace('bed', by, [planned('a', c)], rain(chance))
        .pours[0]!.plan!.days.slice(1)
        .reduce((s, d) => s + d.litres, 0);
    expect(litres(60)).toBe(0);
    expect(litres(59)).toBeGreaterThan(0);
    expect(litres(59)).toBe(litres(30));
  });

  test('without weather nothing is planned, and no litres are shown', () => {
    const nothing = aCase({ place: pot, records: { weather: [] } });
    expect(planPlace('place', by, [planned('a', nothing)], []).pours[0]!.plan).toBeNull();
    expect(planPlace('place', by, [], []).pours).toEqual([]);
  });

  test('today’s soil check counts from the morning on: wet asks for less than no check and than dry', () => {
    const records = given(3, 1.5);
    const litres = (more: object) =>
      litresOf(
        planPlace('place', by, [planned('a', aCase({ place: pot, records: { ...records, ...more } }))], []).pours[0]!,
        ASOF,
      );
    const felt = (feel: 'dry' | 'wet') => litres({ soilChecks: [{ date: ASOF, feel }] });
    expect(felt('wet')).toBeLessThan(Math.min(felt('dry'), litres({})) - 0.5);
  });
});

test('today’s watering shows the morning’s level and tonight’s, as in the charts; one of another day does not', () => {
  const told = (litres: number) => {
    const c = aCase({ place: pot, records: given(1, litres) });
    const one = planned('p', c);
    const plan = planPlace('here', { method: 'by-need', irrigation: null, flowLPerH: null }, [one], days());
    const next = plan.pours[0]!.plan!.next!;
    return { next, left: one.balance.days.at(-1)!.fractionAvailable, why: whyWatered(next, ASOF, true, METRIC_FORMAT) };
  };
  const today = told(0.6);
  expect(today.next.date).toBe(ASOF);
  expect(today.next.tonight).toBe(today.left);
  const percent = (share: number): number => Math.round(share * 100);
  expect(today.why).toBe(
    `this morning about ${percent(today.next.left)} % of its water was left, ${percent(today.left)} % by tonight: ${today.next.why}`,
  );
  const later = told(9);
  expect(later.next.date > ASOF).toBe(true);
  expect([later.next.tonight, later.why.includes('tonight')]).toEqual([null, false]);
});
