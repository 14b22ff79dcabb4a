import fc from 'fast-check';
import type { WeatherDay } from '../../src/climate/index.js';
import type { PlantCase } from '../../src/records/index.js';
import { addDays } from '../../src/units/index.js';
import {
  type OrderPart,
  type PlanRules,
  type PlanStart,
  planWeek,
  METHOD_CODES,
  startOf,
} from '../../src/water/index.js';
import { aCase, ASOF } from '../helpers.js';

const bed = { kind: 'ground', texture: 'loam', areaM2: 0.25 } as const;
const pot = { kind: 'container', texture: 'potting-mix', volumeL: 14 } as const;
const week = (rainMm = 0, tMaxC = 28): WeatherDay[] =>
  Array.from({ length: 7 }, (_, i) => ({ date: addDays(ASOF, i + 1), tMinC: 16, tMaxC, rainMm }));

interface Given {
  place?: PlantCase['place'];
  rules?: Partial<PlanRules>;
  weather?: WeatherDay[];
  fraction?: number;
  givenL?: number;
  sd?: number;
  more?: Partial<PlanStart>;
}
const days = ({ place = bed, rules = {}, weather = week(), fraction = 0.5, givenL = 0, sd = 0.1, more = {} }: Given) =>
  planWeek(aCase({ place }), { state: startOf({ fraction, sd }), since: 4, givenL, ...more }, weather, {
    method: 'by-need',
    how: 'drip',
    flowLPerH: 4,
    ...rules,
  }).days;
const first = (g: Given) => days(g).find((d) => d.litres > 0)!;
const part = (g: Given, what: OrderPart): number => first(g).of!.parts.find((p) => p.what === what)?.litres ?? 0;

describe('what the day’s litres consist of', () => {
  it('adds up to the amount, whatever the method, place, cap, weather and earlier waterings', () => {
    fc.assert(
      fc.property(
        fc.record({
          place: fc.constantFrom<PlantCase['place'][]>(bed, pot, { ...pot, volumeL: 5 }),
          rules: fc.record({
            method: fc.constantFrom(...METHOD_CODES),
            weeklyCapL: fc.option(fc.integer({ min: 1, max: 9 })),
            allowedDays: fc.option(fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 6 })),
          }),
          weather: fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 18, max: 38 })).map((w) => week(...w)),
          fraction: fc.double({ min: 0.1, max: 1, noNaN: true }),
          givenL: fc.constantFrom(0, 0.4, 2),
        }),
        (g) => {
          for (const d of days(g)) {
            if (d.litres === 0) expect(d.of).toBeNull();
            else {
              expect(d.of!.parts.reduce((sum, p) => sum + p.litres, 0)).toBeCloseTo(d.litres, 1);
              expect(d.of!.litres).toBe(d.litres);
              // to an amount one can pour, and no more than that
              const rounded = d.of!.parts.find((p) => p.what === 'rounding')?.litres ?? 0;
              expect(Math.abs(rounded)).toBeLessThanOrEqual(0.1 * Math.max(1, d.litres));
            }
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('a bed by need: what is missing to full, and nothing else worth mentioning', () => {
    const { of } = first({ fraction: 0.5 });
    expect(of!.parts.map((p) => p.what).filter((w) => w !== 'rounding')).toEqual(['missing']);
    expect(part({ fraction: 0.5 }, 'missing')).toBeCloseTo((1 - of!.left) * of!.inReachL, 6);
    // found above its limit, it is watered for what the day will use
    const due = days({ fraction: 0.95, weather: week(0, 36) }).find((d) => d.litres > 0)!.of!;
    expect(due.left).toBeGreaterThan(due.limitLeft!);
    expect(due.left * due.inReachL - due.useL).toBeLessThanOrEqual(due.limitLeft! * due.inReachL + 1e-9);
    // where another rule decides, that limit explains nothing, and is not told
    for (const method of ['daily', 'evenly-moist', 'finger'] as const)
      expect(first({ rules: { method }, fraction: 0.2 }).of!.limitLeft).toBeNull();
  });

  it('a pot gets a tenth more, so that salts leave, or as much as it may lack; a small one in heat a second time after midday', () => {
    expect(part({ place: pot, sd: 0 }, 'salts')).toBeCloseTo(part({ place: pot, sd: 0 }, 'missing') / 10, 6);
    // the less is known of its store, the more
    expect(part({ place: pot, sd: 0.15 }, 'salts')).toBeCloseTo(0.15 * first({ place: pot }).of!.inReachL, 6);
    expect(part({ place: { ...pot, volumeL: 5 }, weather: week(0, 37) }, 'midday')).toBeGreaterThan(0);
    expect(part({ place: bed }, 'salts')).toBe(0);
  });

  it('a pot that is not well known is watered sooner, a bed is not', () => {
    const firstDay = (g: Given): number => days({ fraction: 0.85, ...g }).findIndex((d) => d.litres > 0);
    const tub = { ...pot, volumeL: 60 };
    expect(firstDay({ place: tub, sd: 0.2 })).toBeLessThan(firstDay({ place: tub, sd: 0 }));
    expect(firstDay({ place: bed, sd: 0.2 })).toBe(firstDay({ place: bed, sd: 0 }));
  });

  it('names what the method subtracts, what was given, and what the cap holds back', () => {
    const half: Given = { rules: { method: 'half-often' } };
    expect(part(half, 'rule')).toBeCloseTo(-part(half, 'missing') / 2, 6);
    expect(part({ givenL: 1, fraction: 0.2 }, 'given')).toBeCloseTo(-1, 9);
    expect(part({ rules: { weeklyCapL: 2 }, fraction: 0.2 }, 'cap')).toBeLessThan(-1);
  });

  it('names the expected rain in a bed, and none in a pot', () => {
    const rules = { method: 'daily' as const };
    expect(first({ rules, weather: week(5) }).of!.rainL).toBeCloseTo(3 * 0.25, 9);
    expect(first({ rules, weather: week(5), place: pot }).of!.rainL).toBe(0);
  });

  it('follows the finger where that is the method, and says why where it is not', () => {
    const today = (method: PlanRules['method'], fraction: number, felt: PlanStart['felt']) =>
      days({ rules: { method }, fraction, more: { felt: felt ?? null } })[0]!;
    expect(today('finger', 0.8, 'dry').litres).toBeGreaterThan(0);
    expect(today('finger', 0.3, 'damp').litres).toBe(0);
    expect(today('finger', 0.3, null).litres).toBeGreaterThan(0);
    expect(today('by-need', 0.95, 'dry')).toMatchObject({ litres: 0, why: expect.stringContaining('roots below') });
  });

  it('a deep soak is never given to a bed with most of its water left', () => {
    const soak = (fraction: number, since: number) =>
      days({ rules: { method: 'deep' }, fraction, more: { since }, weather: week(0, 20) })[0]!.litres;
    expect(soak(0.9, 99)).toBe(0);
    expect(soak(0.5, 6)).toBeGreaterThan(0);
  });

  it('orders nothing on top of a watering of unknown amount', () => {
    const [today, ...later] = days({ fraction: 0.2, more: { givenUnknown: true } });
    expect(today).toMatchObject({ litres: 0, why: expect.stringContaining('amount unknown') });
    expect(later.some((d) => d.litres > 0)).toBe(true);
  });
});
