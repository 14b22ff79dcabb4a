import { climateOfPlace, generateWeather, seeded } from '../../src/climate/index.js';
import type { PlaceFacts } from '../../src/records/facts.js';
import { addDays } from '../../src/units/day.js';
import { dayInPlace } from '../../src/water/day-in-place.js';
import { Learner } from '../../src/water/learner.js';
import {
  changeDays,
  dryingOf,
  learnedAnew,
  learnedFrom,
  mostUseOf,
  nothingLearned,
  withLearned,
} from '../../src/water/learning.js';
import { measuredByDay } from '../../src/water/measured.js';
import { type Given, NOTHING_GIVEN, type RunState, startOf, stepRun } from '../../src/water/run.js';
import { demands } from '../../src/water/season.js';
import { doubtMm } from '../../src/water/strategies.js';
import { feltPart, leftInPart } from '../../src/water/top-layer.js';

const SITE = { latitude: 45, longitude: 9, elevationM: 100 };
const FROM = '2026-05-01';
const DAYS = 110;
const DEPTH_CM = 7;
const POT: PlaceFacts = { kind: 'container', texture: 'potting-mix', volumeL: 20, potMaterial: 'plastic' };
const BED: PlaceFacts = { kind: 'ground', texture: 'loam' };

/** Mean error of the estimate after the tenth check, with and without learning, and what was learned. */
function liveWith(place: PlaceFacts, use: number, capacity: number, seed: number, everyDays: number) {
  const random = seeded(seed);
  const weather = generateWeather(climateOfPlace(SITE.latitude, SITE.elevationM, []), SITE, FROM, DAYS, random);
  const c = {
    place,
    garden: SITE,
    asOf: addDays(FROM, DAYS - 1),
    plant: { crop: 'tomato' as const, transplantedOn: FROM, stage: 'fruiting' as const, heightM: 1.5 },
  };
  const demandOn = demands(c);
  const made = { place, crop: 'tomato' as const };
  const [truth, plain, taught] = [1, 2, 3].map(() => startOf({ fraction: 1, sd: 0.05 })) as [
    RunState,
    RunState,
    RunState,
  ];
  const real = { ...nothingLearned(place), use: Math.log(use), capacity: Math.log(capacity) };
  const learner = new Learner(place);
  let [checks, days, withoutIt, withIt, leak] = [0, 0, 0, 0, 0];
  let before: number | null = null;
  for (const [i, w] of weather.entries()) {
    const { own, etoMm } = dayInPlace(c, w);
    const demand = demandOn(own, etoMm);
    const now = withLearned(demand, real);
    // watered by how it really is, with what the tables say is missing: the amounts are recorded
    const thirsty = i > 20 && truth.fraction < 0.45;
    const given: Given = thirsty
      ? { litres: (1 - truth.fraction) * now.zone.tawMm * now.zone.soilM2 * 0.9, wettedShare: 0.5 }
      : NOTHING_GIVEN;
    let seen = null;
    if (i > 20 && i % everyDays === 0) {
      const part = feltPart(now.zone, { depthCm: DEPTH_CM } as never, truth.topMm);
      const felt =
        part && truth.topMm !== null ? leftInPart(part, now.zone, truth.fraction, truth.topMm) : truth.fraction;
      const noisy = felt + 0.1 * (random() + random() - 1);
      const feel = noisy < 0.35 ? 'dry' : noisy > 0.9 ? 'wet' : 'damp';
      seen = measuredByDay({
        asOf: w.date,
        place,
        observations: [],
        records: {
          potWeights: [],
          watering: thirsty ? [{ date: w.date, litres: given.litres }] : [],
          soilChecks: [{ date: w.date, feel, depthCm: DEPTH_CM }],
        },
      } as never).get(w.date)!;
      checks++;
    }
    stepRun(truth, made, { w: own, etoMm, demand: now, given });
    stepRun(plain, made, { w: own, etoMm, demand, given, seen });
    const day = learner.day(taught, demand, w.date, seen, (d) =>
      stepRun(taught, made, { w: own, etoMm, demand: d, given, seen }),
    );
    const flows = -(day.effectiveRainMm + day.irrigationMm) + day.usedMm + day.drainedMm + day.correctionMm;
    if (before !== null) leak = Math.max(leak, Math.abs(day.depletionMm - before - flows));
    before = day.depletionMm;
    if (checks < 10) continue;
    days++;
    withoutIt += Math.abs(plain.fraction - truth.fraction);
    withIt += Math.abs(taught.fraction - truth.fraction);
  }
  return { withoutIt: withoutIt / days, withIt: withIt / days, learned: taught.learned!, checks, leak };
}

const mean = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0) / xs.length;
/** The mean over some seasons, felt every four days. */
function seasons(place: PlaceFacts, use: number, capacity: number) {
  const all = Array.from({ length: 8 }, (_, i) => liveWith(place, use, capacity, 7 + i, 4));
  return {
    withoutIt: mean(all.map((a) => a.withoutIt)),
    withIt: mean(all.map((a) => a.withIt)),
    faster: mean(all.map((a) => Math.exp(a.learned.use - a.learned.capacity) - 1)),
    all,
  };
}

const WRONG = [
  [1.4, 1],
  [0.7, 1],
  [1, 0.7],
  [1, 1.35],
  [1.3, 0.75],
  [0.75, 1.3],
] as const;

test('in pots unlike the tables the error after ten finger checks falls by half', () => {
  const found = WRONG.map(([use, capacity]) => seasons(POT, use, capacity));
  expect(mean(found.map((f) => f.withIt))).toBeLessThan(0.5 * mean(found.map((f) => f.withoutIt)));
  // what is learned moves water on paper only as a correction
  expect(Math.max(...found.flatMap((f) => f.all.map((a) => a.leak)))).toBeLessThan(1e-9);
  const [thirsty, frugal] = found as [(typeof found)[0], (typeof found)[0]];
  expect(thirsty.faster).toBeGreaterThan(0.2);
  expect(frugal.faster).toBeLessThan(-0.12);
});

test('a finger says less of a deep bed: the error falls a little, and learning costs little where the tables are right', () => {
  const found = WRONG.map(([use, capacity]) => seasons(BED, use, capacity));
  expect(mean(found.map((f) => f.withIt))).toBeLessThan(0.93 * mean(found.map((f) => f.withoutIt)));
  for (const place of [POT, BED]) {
    const right = seasons(place, 1, 1);
    // where the tables are right, a noisy finger costs about two hundredths of the store
    expect(right.withIt).toBeLessThan(right.withoutIt + 0.022);
    expect(Math.abs(right.faster)).toBeLessThan(0.05);
  }
});

test('mulch, shade or a cover that comes or goes starts the use anew, and keeps what it holds', () => {
  const mulched: PlaceFacts = { ...BED, mulch: [{ from: '2026-06-10', depthMm: 50, kind: 'straw' }] };
  expect([...changeDays(mulched)]).toEqual(['2026-06-10']);
  expect([...changeDays({ ...BED, shade: [{ from: '2026-07-01', to: '2026-07-20', blockPct: 40 }] })]).toEqual([
    '2026-07-01',
    '2026-07-21',
  ]);
  expect([...changeDays({ ...BED, roofed: [{ from: '2026-05-03' }] })]).toEqual(['2026-05-03']);
  const before = { ...nothingLearned(mulched), use: 0.2, uu: 0.01, capacity: 0.1, cc: 0.02 };
  expect(learnedAnew(before, mulched)).toMatchObject({ use: 0, capacity: 0.1, cc: 0.02, checks: 0 });
});

test('a bed says how much faster it dries once a few checks agree, and nothing before', () => {
  const l = { ...nothingLearned(BED), use: Math.log(1.18), uu: 0.005, cc: 0.005, checks: 7 };
  expect(dryingOf(l)?.faster).toBeCloseTo(0.18, 5);
  expect(dryingOf({ ...l, checks: 2 })).toBeNull();
  expect(dryingOf({ ...l, use: Math.log(1.05) })).toBeNull();
  expect(dryingOf({ ...l, uu: 0.2 })).toBeNull();
});

test('while nothing is measured, not knowing how fast a pot drinks adds to its error day by day', () => {
  const weather = generateWeather(climateOfPlace(45, 100, []), SITE, '2026-07-01', 4, seeded(3)).map((w) => ({
    ...w,
    rainMm: 0,
  }));
  const c = { place: POT, garden: SITE, asOf: '2026-07-04', plant: { crop: 'tomato' as const, heightM: 1.5 } };
  const [plain, taught] = [startOf({ fraction: 1, sd: 0.05 }), startOf({ fraction: 1, sd: 0.05 })];
  const learner = new Learner(POT);
  for (const w of weather) {
    const { own, etoMm } = dayInPlace(c, w);
    const demand = demands(c)(own, etoMm);
    const made = { place: POT, crop: 'tomato' as const };
    stepRun(plain, made, { w: own, etoMm, demand, given: NOTHING_GIVEN });
    learner.day(taught, demand, w.date, null, (d) =>
      stepRun(taught, made, { w: own, etoMm, demand: d, given: NOTHING_GIVEN }),
    );
  }
  expect(taught.fraction).toBeCloseTo(plain.fraction, 9);
  expect(taught.sd).toBeGreaterThan(plain.sd + 0.05);
});

test('no bed is taken to use over 1.8 times what the tables say, and no pot over 2.5 times', () => {
  const most = (place: PlaceFacts): number => {
    let learned = { ...nothingLearned(place), fu: -0.05 };
    const store = { left: 1, part: null, sd: 0.3, mostUse: mostUseOf(place) };
    for (let i = 0; i < 60; i++)
      learned = { ...learnedFrom(learned, { fraction: 0, sd: 0.05, by: 'weight' }, store, 0.3), uu: 0.09, fu: -0.05 };
    return Math.exp(learned.use);
  };
  expect([most(BED), most(POT)].map((x) => Math.round(x * 100) / 100)).toEqual([1.8, 2.5]);
});

test('what says nothing about the use teaches nothing: a probe, water that ran out, a top damp from yesterday', () => {
  const before = { ...nothingLearned(POT), fu: -0.05 };
  const store = { left: 0.2, part: null, sd: 0.3, mostUse: mostUseOf(POT) };
  const damp = { fraction: 0.6, sd: 0.2, by: 'finger' } as const;
  const use = (seen: Parameters<typeof learnedFrom>[1]) => learnedFrom(before, seen, store, 0.2).use;
  expect(use(damp)).toBeLessThan(0);
  expect([use({ ...damp, teaches: false }), use({ ...damp, by: 'probe' }), use({ ...damp, by: 'drained' })]).toEqual([
    0, 0, 0,
  ]);
});

test('a pot is watered by all the doubt about it, up to three tenths of its store; a bed by none', () => {
  const doubt = (sd: number, isPot: boolean) => doubtMm({ state: { sd }, zone: { isPot, tawMm: 100 } } as never);
  expect([doubt(0.1, true), doubt(0.3, true), doubt(0.5, true), doubt(0.3, false)]).toEqual([10, 30, 30, 0]);
});
