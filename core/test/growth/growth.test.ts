import {
  asksNow,
  growthFaults,
  growthNote,
  growthOf,
  type GrowthNote,
  type GrowthQuestion,
} from '../../src/growth/index.js';
import { warmthFrom } from '../../src/growth/warmth.js';
import { STAGES } from '../../src/records/plant.js';
import { addDays } from '../../src/units/day.js';
import { degreeDays } from '../../src/climate/degree-days.js';
import fc from 'fast-check';

const PLANTED = '2026-05-01';
/** Usual days: 23 °C on average. */
const usual = (days: number, from = PLANTED) =>
  Array.from({ length: days }, (_, i) => ({ date: addDays(from, i), tMinC: 17, tMaxC: 29, rainMm: 0 }));
const on = (day: number, change: Partial<GrowthQuestion> = {}, plant: Partial<GrowthQuestion['plant']> = {}) =>
  growthOf({
    asOf: addDays(PLANTED, day),
    garden: { latitude: 45, lastFrost: '04-18', firstFrost: '10-28' },
    plant: { crop: 'tomato', habit: 'indeterminate', type: 'slicer', transplantedOn: PLANTED, ...plant },
    potL: null,
    weather: usual(day + 1),
    notes: [],
    ...change,
  });

describe('by warmth alone', () => {
  test('a tomato of 75 days settles in, flowers in the fourth week, sets fruit in the sixth and colours in the eleventh', () => {
    const stages = [3, 18, 30, 50, 74].map((day) => on(day).stage);
    expect(stages).toEqual(['establishing', 'vegetative', 'flowering', 'fruiting', 'ripening']);
    expect(on(75).progress).toBeCloseTo(1, 1);
  });

  test('twice as slow in cool weather; under a cover, in its weather', () => {
    const cool = usual(60).map((w) => ({ ...w, tMinC: 9.5, tMaxC: 19.5 }));
    expect(degreeDays(cool[0]!)).toBe(degreeDays(usual(1)[0]!) / 2);
    expect(on(40, { weather: cool }).stage).toBe('vegetative');
    expect(on(40).stage).toBe('fruiting');
  });

  test('property: stages only advance and the plant only grows while nobody notes anything', () => {
    const weather = fc.array(
      fc.record({
        tMinC: fc.double({ min: 2, max: 22, noNaN: true }),
        range: fc.double({ min: 4, max: 16, noNaN: true }),
      }),
      { minLength: 100, maxLength: 100 },
    );
    fc.assert(
      fc.property(weather, fc.constantFrom('tomato', 'pepper'), (days, crop) => {
        const all = days.map((d, i) => ({
          date: addDays(PLANTED, i),
          tMinC: d.tMinC,
          tMaxC: d.tMinC + d.range,
          rainMm: 0,
        }));
        let [rank, height] = [0, 0];
        for (let day = 0; day < 100; day += 9) {
          const g = on(day, { weather: all }, { crop, type: null });
          const now = g.stage === null ? rank : STAGES.indexOf(g.stage);
          expect(now).toBeGreaterThanOrEqual(rank);
          expect(g.heightM).toBeGreaterThanOrEqual(height);
          [rank, height] = [now, g.heightM];
        }
      }),
      { numRuns: 15 },
    );
  });

  test('a bought plant flowers sooner than a seedling; a cutting takes longer to settle in', () => {
    const chance = (start: 'seedling' | 'bought' | 'cutting', day: number) => on(day, {}, { start });
    expect(chance('bought', 22).stage).toBe('flowering');
    expect(chance('seedling', 22).stage).toBe('vegetative');
    expect(chance('cutting', 12).stage).toBe('establishing');
    expect(chance('seedling', 12).stage).toBe('vegetative');
  });

  test('heights by habit: a cordon over the head, a bush at the hip, a pepper at the knee, less in a small pot', () => {
    const grown = (plant: object, potL: number | null = null) => on(80, { potL }, plant).heightM;
    expect(grown({})).toBeGreaterThan(1.6);
    expect(grown({ habit: 'determinate' })).toBeCloseTo(0.9, 1);
    expect(grown({ crop: 'pepper', type: 'sweet' })).toBeCloseTo(0.65, 1);
    expect(grown({ habit: 'determinate' }, 5)).toBeLessThan(0.75 * grown({ habit: 'determinate' }));
  });
});

describe('by what was seen', () => {
  const note = (day: number, rest: Omit<GrowthNote, 'date'>): GrowthNote => ({ date: addDays(PLANTED, day), ...rest });

  test('a flower seen early brings fruit and colour forward; buds not seen put them off', () => {
    const early = on(38, { notes: [note(18, { stage: 'flowering' })] });
    const late = on(38, { notes: [note(30, { stage: 'vegetative', soon: false })] });
    expect(early.stage).toBe('fruiting');
    expect(late.stage).toBe('vegetative');
    expect(on(66, { notes: [note(18, { atLeast: 'flowering' })] }).progress).toBeGreaterThan(on(66).progress);
  });

  test('a stage that was entered is a note with its day: the plant grows on from there', () => {
    const notes = [note(20, { stage: 'vegetative' })];
    expect(on(20, { notes }).stage).toBe('vegetative');
    expect(on(50, { notes }).stage).toBe('fruiting');
    // what was seen later is not known earlier
    expect(on(10, { notes: [note(50, { stage: 'ripening' })] }).stage).toBe('establishing');
  });

  test('a later note wins over an earlier one: a plant can be cut back', () => {
    const notes = [note(40, { atLeast: 'fruiting' }), note(45, { stage: 'vegetative' })];
    expect(on(45, { notes }).stage).toBe('vegetative');
  });

  test('a height corrects the curve by how sure it is, and fades: a measure more than "hip high"', () => {
    const plain = on(40).heightM;
    const measured = on(40, { notes: [note(40, { heightM: 1.5 * plain })] });
    const rough = on(40, { notes: [note(40, { heightM: 1.5 * plain, rough: true })] });
    expect(measured.heightM).toBeGreaterThan(rough.heightM);
    expect(rough.heightM).toBeGreaterThan(plain);
    expect(measured.heightSdM / measured.heightM).toBeLessThan(0.08);
    expect(on(70, { notes: [note(40, { heightM: 1.5 * plain })] }).heightM).toBeGreaterThan(1.3 * on(70).heightM);
  });

  test('a height told in words is doubtful again after a month, not after a fortnight', () => {
    const doubt = (later: number): number => {
      const { heightM, heightSdM } = on(30 + later, { notes: [note(30, { heightM: 0.5, rough: true })] });
      return heightSdM / heightM;
    };
    expect(doubt(14)).toBeLessThan(0.2);
    expect(doubt(30)).toBeGreaterThan(0.2);
  });

  test('a topped cordon grows no taller; a pinched pepper or bush stands still for a while and branches', () => {
    const notes = [note(50, { topped: true })];
    expect(on(80, { notes }).heightM).toBeCloseTo(on(50, { notes }).heightM, 2);
    for (const plant of [
      { crop: 'pepper', type: 'sweet', habit: null },
      { crop: 'tomato', habit: 'determinate' },
    ] as const) {
      const tall = (day: number, pinched: boolean): number =>
        on(day, pinched ? { notes: [note(12, { topped: true })] } : {}, plant).heightM;
      expect(tall(16, true)).toBeCloseTo(tall(12, true), 2);
      expect(tall(70, true)).toBeLessThan(tall(70, false));
      expect(tall(70, true)).toBeGreaterThan(0.85 * tall(70, false));
    }
  });

  test('a stage is asked about only while it is unsure, at the milestone in question', () => {
    expect(on(26).unsure?.stage).toBe('flowering');
    expect(on(26, { notes: [note(26, { stage: 'flowering' })] }).unsure).toBeNull();
    expect(on(3).unsure).toBeNull();
    // between two walks only while it could as well be as not, and not the day after an answer
    const even = { unsure: { stage: 'flowering', chance: 0.5 }, from: 'seen', seenOn: '2026-06-01' } as const;
    expect(asksNow(even, '2026-06-02')).toBe(false);
    expect(asksNow(even, '2026-06-03')).toBe(true);
    expect(asksNow({ ...even, from: 'season' }, '2026-06-03')).toBe(false);
    expect(asksNow({ ...even, unsure: { stage: 'flowering', chance: 0.1 } }, '2026-06-03')).toBe(false);
  });

  test('without a planting day the season is a guess, and says so; what is seen settles it', () => {
    const unknown = { transplantedOn: null };
    expect(on(60, {}, unknown).from).toBe('season');
    // a height says nothing of its stage
    expect(on(60, { notes: [note(60, { heightM: 0.8 })] }, unknown)).toMatchObject({ from: 'seen', stage: null });
    expect(on(60, { notes: [note(60, { stage: 'flowering' })] }, unknown)).toMatchObject({
      from: 'seen',
      stage: 'flowering',
    });
  });
});

describe('what a record says of growth', () => {
  const date = '2026-07-01';
  test('counts, pickings, signs, cuts and words', () => {
    expect(growthNote({ type: 'truss-count', data: { date, truss: 1, flowers: 0, fruit: 3 } })).toEqual({
      date,
      atLeast: 'fruiting',
    });
    expect(growthNote({ type: 'truss-count', data: { date, truss: 1, flowers: 0, fruit: 0 } })).toBeNull();
    expect(growthNote({ type: 'picking', data: { date, state: 'sound', use: 'eaten', ripeness: 'ripe' } })).toEqual({
      date,
      atLeast: 'ripening',
    });
    expect(growthNote({ type: 'picking', data: { date, state: 'sound', use: 'shelf', ripeness: 'green' } })).toEqual({
      date,
      atLeast: 'fruiting',
    });
    const look = (sign: 'fruit-blossom-end-dark' | 'flower-drop' | 'leaf-wilt', present = true) =>
      growthNote({ type: 'inspection', data: { date, allClear: false, signs: [{ sign, present }] } });
    expect(look('fruit-blossom-end-dark')).toEqual({ date, atLeast: 'fruiting' });
    expect(look('fruit-blossom-end-dark', false)).toBeNull();
    expect(look('flower-drop')).toEqual({ date, atLeast: 'flowering' });
    expect(look('leaf-wilt')).toBeNull();
    expect(growthNote({ type: 'pruning', data: { date, what: ['top'] } })).toEqual({ date, topped: true });
    expect(growthNote({ type: 'growth', data: { date, stage: 'flowering', orLater: true } })).toEqual({
      date,
      atLeast: 'flowering',
    });
  });

  test('a note that says nothing is refused', () => {
    expect(growthFaults({}, 'data.')).toMatchObject([{ path: 'data.stage' }]);
    expect(growthFaults({ heightM: 0.4 }, '')).toEqual([]);
  });
});

test('warmth: gaps count as the days around them, days outside as the nearest, no weather at all as usual days', () => {
  const week = usual(7);
  const whole = warmthFrom(week)(PLANTED, addDays(PLANTED, 6));
  expect(whole).toBeCloseTo(7 * 17, 9);
  expect(warmthFrom(week.filter((_, i) => i !== 3))(PLANTED, addDays(PLANTED, 6))).toBeCloseTo(whole, 9);
  expect(warmthFrom(week)(addDays(PLANTED, -2), addDays(PLANTED, 8))).toBeCloseTo(11 * 17, 9);
  expect(warmthFrom([])(PLANTED, addDays(PLANTED, 9))).toBeCloseTo(170, 9);
  expect(warmthFrom(week)(addDays(PLANTED, 2), PLANTED)).toBe(0);
});
