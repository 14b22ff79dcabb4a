import { addDays } from '@candid-leaf/core/units';
import {
  DRY_SPELL_DAYS,
  DRY_THEN_WET,
  evenness,
  isDryThenWet,
  isShortOfWater,
  heldUntilDry,
  measuredByDay,
  SHORT_OF_WATER_KS,
  SWING_SIZE,
  swings,
  verdict,
  type BenchRow,
  type SeasonResult,
} from '@candid-leaf/core/water';
import { aCase, ASOF, notSeen, seen } from '../helpers.js';

const line = (...left: number[]) => left.map((fractionAvailable) => ({ fractionAvailable }));

test('short of water means Ks under 0.8; 0.8 itself does not', () => {
  expect([0.79, 0.8, 1].map((ks) => isShortOfWater({ ks }))).toEqual([true, false, false]);
  expect([SHORT_OF_WATER_KS, DRY_SPELL_DAYS, SWING_SIZE]).toEqual([0.8, 3, 0.5]); // handbook
});

test('a swing is a rise of half the water or more, from a low to the next high', () => {
  expect(swings(line(0.9, 0.4, 0.9)).length).toBe(1);
  expect(swings(line(0.9, 0.41, 0.9)).length).toBe(0);
  expect(swings(line(0.3, 0.5, 0.9, 0.2, 0.8)).map((s) => [s.low.fractionAvailable, s.high.fractionAvailable])).toEqual(
    [
      [0.3, 0.9],
      [0.2, 0.8],
    ],
  );
  expect(swings([])).toEqual([]);
});

test('fruit splits after three days under half and a rise of 0.35 or more in a day, and not before', () => {
  expect(isDryThenWet(line(0.49, 0.45, 0.4, 0.75), 3)).toBe(true);
  expect(isDryThenWet(line(0.49, 0.45, 0.4, 0.74), 3)).toBe(false);
  expect(isDryThenWet(line(0.5, 0.45, 0.4, 0.9), 3)).toBe(false);
  expect(isDryThenWet(line(0.4, 0.4, 0.9), 2)).toBe(false);
  expect(DRY_THEN_WET).toEqual({ dryDays: 3, left: 0.5, jump: 0.35 });
});

test('evenness falls with days short of water and over-full days, however steady the level', () => {
  const days = (short: number, wet: number) =>
    Array.from({ length: 20 }, (_, i) => ({
      fractionAvailable: 0.5,
      ks: i < short ? 0.5 : 1,
      waterlogged: i >= 20 - wet,
    }));
  expect(evenness(days(0, 0))).toBe(1);
  expect(evenness(days(10, 0))).toBeCloseTo(0.5, 9);
  expect(evenness(days(0, 5))).toBeCloseTo(0.75, 9);
  expect(evenness(days(4, 4))).toBeCloseTo(0.6, 9);
  expect(evenness(days(0, 0).slice(0, 4))).toBeNull();
  // a level that moves a quarter of the store every day is not even at all
  expect(
    evenness(
      Array.from({ length: 9 }, (_, i) => ({ fractionAvailable: i % 2 ? 0.9 : 0.6, ks: 1, waterlogged: false })),
    ),
  ).toBe(0);
});

describe('measurements of one day', () => {
  const on = (records: object, observations: never[] = []) => measuredByDay(aCase({ records, observations })).get(ASOF);
  test('water that stands has filled the soil, also after a watering; it never lowers the estimate', () => {
    const watered = { watering: [{ date: ASOF, litres: 3 }] };
    expect(on(watered, [seen('soil-pooling')])).toMatchObject({ fraction: 1, only: 'raises', by: 'drained' });
    expect(on(watered, [seen('soil-pooling')])!.beforeWater).toBeUndefined();
    expect(on({}, [notSeen('soil-pooling')])).toBeUndefined();
  });
  test('of two checks on a day the newer one counts', () => {
    const checks = (...feels: string[]) => on({ soilChecks: feels.map((feel) => ({ date: ASOF, feel })) });
    expect(checks('wet', 'dry')!.fraction).toBe(checks('dry')!.fraction);
    expect(checks('dry', 'wet')!.fraction).toBe(checks('wet')!.fraction);
    expect(checks('dry')!.fraction).toBeLessThan(checks('wet')!.fraction);
  });
  test('soon after a watering the top of a pot is damp whatever is below: it says little, and teaches nothing', () => {
    const felt = (back: number, feel: 'dry' | 'damp', place: object = { kind: 'container', volumeL: 20 }) =>
      measuredByDay(
        aCase({
          place,
          records: { watering: [{ date: addDays(ASOF, -back), litres: 2 }], soilChecks: [{ date: ASOF, feel }] },
        }),
      ).get(ASOF)!;
    expect(felt(1, 'damp').sd).toBeGreaterThan(1.5 * felt(5, 'damp').sd);
    expect([felt(1, 'damp'), felt(2, 'damp'), felt(5, 'damp')].map((m) => m.teaches)).toEqual([
      false,
      false,
      undefined,
    ]);
    expect(felt(1, 'damp', { kind: 'ground' })).toEqual(felt(5, 'damp', { kind: 'ground' }));
    expect(felt(1, 'dry').teaches).toBeUndefined();
  });
  test('of two weights on a day the newer one counts', () => {
    const dry = { date: addDays(ASOF, -9), kg: 9, state: 'dry' };
    const drained = { date: addDays(ASOF, -8), kg: 15, state: 'drained' };
    const weighed = (...kgs: number[]) =>
      on({ potWeights: [dry, drained, ...kgs.map((kg) => ({ date: ASOF, kg, state: 'unknown' }))] })!.fraction;
    expect(weighed(10, 14)).toBe(weighed(14));
    expect(weighed(14, 10)).toBe(weighed(10));
    expect(weighed(10)).toBeLessThan(weighed(14));
  });
  test('only a finger turns drooping into a measure of dry soil: a probe alone does not', () => {
    const probe = { soilChecks: [{ date: ASOF, feel: 'dry', by: 'probe' }] };
    expect(on(probe, [seen('leaf-wilt')])!.by).toBe('probe');
  });
  test('a weight beats water running out, that beats drooping, drooping a finger, a finger a probe', () => {
    const finger = { soilChecks: [{ date: ASOF, feel: 'dry', by: 'finger' }] };
    const probe = { soilChecks: [{ date: ASOF, feel: 'wet', by: 'probe' }] };
    const through = { watering: [{ date: ASOF, litres: 5, end: 'ran-through' }] };
    const weight = { potWeights: [{ date: ASOF, kg: 12, state: 'drained' }] };
    const droop = [seen('leaf-wilt')];
    expect(on({ ...finger, ...through, ...weight }, droop)!.by).toBe('weight');
    expect(on({ ...finger, ...through }, droop)!.by).toBe('drained');
    expect(on(finger, droop)!.by).toBe('droop');
    expect(on(finger)!.by).toBe('finger');
    expect(on({ soilChecks: [...probe.soilChecks, ...finger.soilChecks] })!.by).toBe('finger');
    expect(on(probe)).toMatchObject({ by: 'probe', sd: 0.35 });
    expect(on({ soilChecks: [{ date: addDays(ASOF, -1), feel: 'dry' }] })).toBeUndefined();
  });
});

test('the best method keeps the plant best: never the less even of two equal ones', () => {
  const season = (more: Partial<SeasonResult>): SeasonResult => ({
    litres: 100,
    drainedL: 5,
    visits: 40,
    daysShort: 4,
    daysWet: 2,
    evenness: 0.6,
    nitrogenWashedG: 1,
    blossomEndRotShare: 0.1,
    splits: 1,
    ...more,
  });
  const row = (name: string, more: Partial<SeasonResult>): BenchRow => ({
    setUp: { name, strategy: 'by-need' },
    seasons: [season(more)],
  });
  const best = (a: Partial<SeasonResult>, b: Partial<SeasonResult>) => verdict([row('a', a), row('b', b)])!.best;
  expect(best({ evenness: 0.4 }, { evenness: 0.9 })).toBe(1);
  expect(best({ daysShort: 20 }, { daysShort: 3 })).toBe(1);
  expect(best({ blossomEndRotShare: 0.5 }, { blossomEndRotShare: 0 })).toBe(1);
  expect(best({ splits: 5 }, { splits: 0 })).toBe(1);
  expect(best({ daysWet: 20 }, { daysWet: 0 })).toBe(1);
  // among equals the one that takes less water and work
  expect(best({ litres: 300 }, { litres: 100 })).toBe(1);
  expect(best({ visits: 90 }, { visits: 30 })).toBe(1);
  // a thirsty plant is not outweighed by saved water
  expect(best({ daysShort: 20, litres: 20 }, { daysShort: 2, litres: 160 })).toBe(1);
  expect(verdict([])).toBeNull();
});

describe('water that is held back', () => {
  const held = (records: object, observations: never[] = []) =>
    heldUntilDry(
      aCase({ records: { events: [{ date: addDays(ASOF, -9), what: 'water-held' }], ...records }, observations }),
    );
  test('stays so however many days pass, until dry soil is felt or seen, or water is given', () => {
    expect(held({})).toBe(true);
    expect(held({ events: [] })).toBe(false);
    const felt = (feel: string, by?: string, back = 2) =>
      held({ soilChecks: [{ date: addDays(ASOF, -back), feel, by }] });
    expect([felt('damp'), felt('wet'), felt('dry', 'probe'), felt('dry', undefined, 10)]).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect(felt('dry')).toBe(false);
    expect(held({}, [seen('soil-dry-deep')])).toBe(false);
    expect(held({ watering: [{ date: addDays(ASOF, -9), litres: 4 }] })).toBe(true);
    expect(held({ watering: [{ date: addDays(ASOF, -8), litres: 4 }] })).toBe(false);
  });
});
