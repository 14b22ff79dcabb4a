import fc from 'fast-check';
import {
  AIMS,
  aimAgainst,
  layOut,
  leftOf,
  mostIn,
  needsOf,
  plantingFaults,
  rotationInWords,
  rotationOf,
  secondCropIn,
  seedsFor,
  spacingOf,
  spotsOf,
  tooClose,
} from '../../src/planning/index.js';
import type { EarlierYear } from '../../src/records/facts.js';

const bed = (history: EarlierYear[]) => ({ kind: 'ground' as const, history });
const grew = (year: number, problems: EarlierYear['problems'] = []): EarlierYear => ({
  year,
  family: 'nightshade',
  problems,
});

describe('rotation (handbook: never the year after; better three years in between)', () => {
  const of = (history: EarlierYear[], shields: EarlierYear['problems'] = []) =>
    rotationOf({ place: bed(history), year: 2026, shields });

  test.each([
    [[grew(2025)], 'year-after', 2025],
    [[grew(2024)], 'short', 2024],
    [[grew(2023)], 'short', 2023],
    [[grew(2022)], 'free', 2022],
    [[{ year: 2025, family: 'other' as const }], 'free', null],
    [[], 'free', null],
    // the season itself is not its own past
    [[grew(2026)], 'free', null],
  ])('%j: %s', (history, verdict, lastYear) => {
    expect(of(history)).toMatchObject({ verdict, lastYear });
  });

  test('a wilt in the bed outweighs any gap, unless the variety is resistant or it is long ago', () => {
    const wilt = [grew(2023, ['vascular-wilt']), grew(2022)];
    expect(of(wilt)).toMatchObject({ verdict: 'soil-borne', open: ['vascular-wilt'] });
    expect(of(wilt, ['vascular-wilt'])).toMatchObject({ verdict: 'short', shielded: ['vascular-wilt'] });
    expect(of([grew(2021, ['vascular-wilt'])]).verdict).toBe('free');
    expect(rotationInWords(of(wilt), bed([]), 'tomato')).toMatch(
      /Wilt disease in the stem was found here.*another bed, a pot/,
    );
  });
  test('a pot with fresh mix starts clean, unless the old mix carried disease', () => {
    const pot = { kind: 'container' as const, history: [grew(2025)] };
    const r = rotationOf({ place: pot, year: 2026, shields: [] });
    expect(r.verdict).toBe('free');
    expect(rotationInWords(r, pot, 'pepper')).toContain('fresh mix');
    expect(
      rotationOf({ place: { ...pot, history: [grew(2025, ['root-knot-nematodes'])] }, year: 2026, shields: [] })
        .verdict,
    ).toBe('soil-borne');
  });
  test('leaf spots are described as returning with plant debris', () => {
    expect(rotationInWords(of([grew(2022, ['early-blight'])]), bed([]), 'tomato')).toMatch(
      /Found here before: early blight\. Clear/,
    );
  });
});

describe('plants in a bed', () => {
  const wall = { lengthM: 2.4, widthM: 0.6 };
  test('2.4 m by 60 cm: one row of five at 45 cm; ten are too many', () => {
    expect(mostIn(wall, 0.45)).toBe(5);
    expect(layOut(wall, 4, 0.5).map((s) => s.x)).toEqual([0.3, 0.9, 1.5, 2.1]);
    expect(new Set(layOut(wall, 4, 0.5).map((s) => s.y))).toEqual(new Set([0.3]));
    expect(spacingOf('tomato', 'one-stem')).toEqual([0.3, 0.45]);
  });
  test('in any bed: as many spots as asked, all inside, and none too close while they fit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.double({ min: 0.3, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (lengthM, widthM, spacing, share) => {
          const b = { lengthM, widthM };
          const count = Math.max(1, Math.floor(mostIn(b, spacing) * share));
          const spots = layOut(b, count, spacing);
          expect(spots).toHaveLength(count);
          for (const s of spots) {
            expect(s.x >= 0 && s.x <= lengthM && s.y >= 0 && s.y <= widthM).toBe(true);
          }
          if (spacing <= Math.min(lengthM, widthM)) expect(tooClose(spots, spacing)).toEqual([]);
        },
      ),
    );
  });
});

test('a planting’s days follow each other, and no more are lost than were sown', () => {
  const p = { year: 2027, crop: 'tomato' as const, count: 3 };
  expect(plantingFaults({ ...p, sownOn: '2027-03-10', pottedOn: '2027-03-10', plantedOn: '2027-05-06' })).toEqual([]);
  expect(plantingFaults({ ...p, sownOn: '2027-03-10', hardenFrom: '2027-03-09' })).toEqual([
    { path: 'hardenFrom', reason: 'cannot be hardened off on 2027-03-09, before it was sown on 2027-03-10' },
  ]);
  expect(plantingFaults({ ...p, cells: 4, lost: 5 })).toEqual([
    { path: 'lost', reason: 'more than the 4 that were sown' },
  ]);
  expect([leftOf({ ...p, cells: 4, lost: 1 }), leftOf({ ...p, lost: 1 })]).toEqual([3, null]);
});

test('plants a hand closer than their spacing are not yet too close', () => {
  const at = (x: number) => [
    { x: 0, y: 0 },
    { x, y: 0 },
  ];
  expect([tooClose(at(0.41), 0.45), tooClose(at(0.39), 0.45)]).toEqual([[], [[0, 1]]]);
});

test('seeds: two to a cell, and always a spare cell', () => {
  expect([1, 4, 10, 20].map((n) => seedsFor(n))).toEqual([
    { cells: 2, seeds: 4 },
    { cells: 5, seeds: 10 },
    { cells: 12, seeds: 24 },
    { cells: 24, seeds: 48 },
  ]);
  expect(seedsFor(0)).toEqual({ cells: 0, seeds: 0 });
  // where seedlings were eaten, more are sown
  expect(seedsFor(10, true).cells).toBe(16);
  expect(seedsFor(10).cells).toBeLessThan(16);
});

test('what must be at hand: a bed counts once, a pot needs no mulch by the square metre, the harvest is a range', () => {
  const wall = { kind: 'ground' as const, texture: 'loam' as const, lengthM: 2.4, widthM: 0.6 };
  const pots = { kind: 'container' as const, texture: 'potting-mix' as const, volumeL: 14 };
  const needs = needsOf(
    [
      { crop: 'tomato', habit: 'indeterminate', count: 3, place: wall, placeId: 'a' },
      { crop: 'tomato', habit: 'determinate', count: 1, place: wall, placeId: 'a' },
      { crop: 'pepper', habit: null, count: 2, place: pots, placeId: 'b' },
    ],
    '2026-02-01',
  );
  // 1.44 m²: 6 cm of mulch is 86 L, 5 cm of compost 72 L, as Today asks for
  expect([Math.round(needs.mulchL), Math.round(needs.compostL)]).toEqual([86, 72]);
  expect([needs.cages, needs.stakes]).toEqual([3, 0]);
  expect(needs.stringM).toBeGreaterThan(3 * 1.8);
  // three cordons of 2.5 to 5 kg, a bush of 2 to 4 kg, and two peppers of 0.8 to 2 kg
  expect(needs.fruitKg).toEqual([11, 23]);
  expect(needs.short).toEqual({});
});

test('a support is missing if it neither stands nor is counted in the shed', () => {
  const pots = { kind: 'container' as const, texture: 'potting-mix' as const, volumeL: 14 };
  const peppers = [{ crop: 'pepper' as const, habit: null, count: 6, place: pots, placeId: 'b' }];
  const short = (stock: { cages?: number }, standing: ('cage' | 'stake')[] = []) =>
    needsOf(
      peppers,
      '2026-02-01',
      stock,
      standing.map((what) => ({ crop: 'pepper', habit: null, standing: what })),
    ).short;
  expect(short({})).toEqual({});
  expect(short({ cages: 2 })).toEqual({ cages: 4 });
  expect(short({ cages: 2 }, ['cage', 'cage', 'cage'])).toEqual({ cages: 1 });
  // a cane is no cage
  expect(short({ cages: 2 }, ['stake'])).toEqual({ cages: 4 });
  expect(short({ cages: 6 })).toEqual({});
});

describe('habit by aim (handbook: determinate for one big harvest or a short autumn crop, indeterminate until frost)', () => {
  const kind = (habit: 'determinate' | 'indeterminate' | null, daysToMaturity: number | null = 62) =>
    ({ crop: 'tomato', habit, daysToMaturity }) as const;
  test.each([
    ['steady', 'indeterminate', null],
    ['steady', 'determinate', /cordon keeps flowering until frost; this variety is determinate/],
    ['at-once', 'determinate', null],
    ['at-once', 'indeterminate', /bush variety ripens most of its fruit within three weeks/],
    ['second-crop', 'indeterminate', /only a bush variety/],
    ['second-crop', 'determinate', null],
  ] as const)('%s with %s', (aim, habit, said) => {
    const against = aimAgainst(aim, kind(habit));
    if (said) expect(against).toMatch(said);
    else expect(against).toBeNull();
  });
  test('a short summer needs few days; nothing is said about unknowns', () => {
    expect(aimAgainst('short-season', kind('determinate', 80))).toMatch(/takes 80 days from planting out/);
    expect(aimAgainst('short-season', kind('determinate', 68))).toBeNull();
    expect(aimAgainst('short-season', kind(null, null))).toBeNull();
    expect(aimAgainst(null, kind('determinate', 120))).toBeNull();
    expect(aimAgainst('second-crop', { crop: 'pepper' })).toMatch(/do not ripen|does not ripen/);
    for (const aim of AIMS.filter((a) => a !== 'second-crop')) expect(aimAgainst(aim, { crop: 'pepper' })).toBeNull();
  });
});

describe('a second crop in the same year', () => {
  const q = (history: EarlierYear[], more: object = {}) =>
    secondCropIn({ place: bed(history), year: 2026, standing: 0, leaving: 0, shields: [], ...more });
  test('only if the bed is clean this year and last; a pot gets new mix; a variety may be resistant', () => {
    expect(q([grew(2026)])).toEqual({ fits: true, room: 'now' });
    expect(q([grew(2026, ['early-blight'])])).toEqual({
      fits: false,
      because: 'not-clean',
      disorders: ['early-blight'],
    });
    expect(q([grew(2025, ['vascular-wilt'])]).fits).toBe(false);
    expect(q([grew(2024, ['vascular-wilt'])]).fits).toBe(true);
    expect(q([grew(2026, ['blossom-end-rot'])]).fits).toBe(true);
    expect(q([grew(2026, ['vascular-wilt'])], { shields: ['vascular-wilt'] }).fits).toBe(true);
    expect(q([], { place: { kind: 'container', history: [grew(2026, ['vascular-wilt'])] } }).fits).toBe(true);
  });
  test('and if there is room, now or later', () => {
    expect(q([], { standing: 2, leaving: 1 })).toEqual({ fits: false, because: 'full' });
    expect(q([], { standing: 2, leaving: 2 })).toEqual({ fits: true, room: 'when-cleared' });
  });
});

test('saved positions stay, the others are spread; none lies outside its bed', () => {
  const ground = { lengthM: 2, widthM: 0.6 };
  const even = layOut(ground, 3, 0.45);
  expect(spotsOf(ground, 3, 0.45, null)).toEqual(even);
  expect(spotsOf(ground, 3, 0.45, [{ x: 0.1, y: 0.2 }])).toEqual([{ x: 0.1, y: 0.2 }, even[1], even[2]]);
  expect(
    spotsOf(ground, 1, 0.45, [
      { x: 5, y: -1 },
      { x: 1, y: 0.1 },
    ]),
  ).toEqual([{ x: 2, y: 0 }]);
});

test('steps of seedlings come after sowing, and there are no more spots than plants', () => {
  const p = { year: 2026, crop: 'tomato' as const, count: 2 };
  const paths = (more: object) => plantingFaults({ ...p, ...more }).map((f) => f.path);
  expect(paths({ thinnedOn: '2026-03-19' })).toEqual(['thinnedOn']);
  expect(paths({ sownOn: '2026-03-20', thinnedOn: '2026-03-19', litOn: '2026-03-26' })).toEqual(['thinnedOn']);
  expect(paths({ spots: [1, 2, 3].map((x) => ({ x, y: 0 })) })).toEqual(['spots']);
});
