import { addDays, METRIC_FORMAT } from '@candid-leaf/core/units';
import {
  cutFaults,
  cutHoldInWords,
  cutPlan,
  cutsInWords,
  cutsWhy,
  defaultTraining,
  rootingOn,
  WEEKLY_CUTS,
  type CutQuestion,
} from '../../src/pruning/index.js';
import { ASOF } from '../helpers.js';
import { cutQuestion } from '../questions.js';

const cut = (back: number, cuts: number, what: 'suckers' | 'lower-leaves' | 'top' | 'thinning') => ({
  date: addDays(ASOF, -back),
  cuts,
  what: [what],
});

const q = (more: Partial<CutQuestion> = {}): CutQuestion => cutQuestion(ASOF, more);

test('a backlog is spread over weeks, worst first, at most four a week (handbook: 3 to 4)', () => {
  const p = cutPlan(q({ touchesSoil: true }));
  // short suckers are always taken; leaves and large suckers share the budget
  expect(p.cuts.map((c) => [c.kind, c.count])).toEqual([
    ['touching', 2],
    ['small-suckers', 5],
    ['low-leaves', 1],
    ['suckers', 1],
  ]);
  expect(p.backlog).toBeGreaterThan(0);
  expect(p.weeks).toBe(Math.ceil(p.backlog / WEEKLY_CUTS));
  // what was cut this week counts
  expect(
    cutPlan(q({ touchesSoil: true, pruned: [cut(3, 3, 'lower-leaves')] })).cuts.map((c) => [c.kind, c.count]),
  ).toEqual([
    ['touching', 1],
    ['small-suckers', 5],
  ]);
  expect(cutPlan(q({ touchesSoil: true, pruned: [cut(3, 9, 'suckers')] })).left).toBe(WEEKLY_CUTS);
});

const COSTS_LEAF = new Set(['touching', 'low-leaves', 'suckers']);

test('never more than the budget, sick leaves apart; never above a third of the height, never higher than the plant', () => {
  for (const heightM of [0.2, 0.45, 0.9, 1.8])
    for (const training of ['one-stem', 'two-stems', 'keep-suckers', 'leave-alone'] as const)
      for (const crop of ['tomato', 'pepper'] as const)
        for (const diseased of [0, 3]) {
          const p = cutPlan(q({ heightM, training, crop, diseased, touchesSoil: true, topOn: addDays(ASOF, -10) }));
          expect(p.cuts.filter((c) => COSTS_LEAF.has(c.kind)).reduce((n, c) => n + c.count, 0)).toBeLessThanOrEqual(
            WEEKLY_CUTS,
          );
          expect(p.clearToM!).toBeLessThanOrEqual(Math.min(0.3, heightM / 3) + 1e-9);
          for (const c of p.cuts) expect(c.toM <= Math.max(heightM, 0.3) && c.fromM < c.toM).toBe(true);
        }
});

test('an uncut plant gets its cuts; one cut without counting only what grew since', () => {
  const uncut = cutPlan(q({ pruned: [], uncut: true }));
  expect(uncut.recorded).toBe(true);
  expect(uncut.cuts.length).toBeGreaterThan(0);
  const some = (ago: number) => ({ date: addDays(ASOF, -ago), what: ['suckers', 'lower-leaves'] as const });
  const caught = (ago: number) => cutPlan(q({ pruned: [some(ago) as never] })).cuts.reduce((n, c) => n + c.count, 0);
  expect(caught(0)).toBe(0);
  // two or three a week: the last two weeks' are short, the rest large
  expect(caught(21)).toBe(8);
});

test('none recorded does not mean none made: only what was seen is cut, and it says so', () => {
  const silent = cutPlan(q({ pruned: [], topOn: addDays(ASOF, -20) }));
  expect(silent).toMatchObject({ cuts: [], backlog: 0, recorded: false });
  expect(cutPlan(q({ pruned: [], touchesSoil: true, diseased: 1 })).cuts.map((c) => c.kind)).toEqual([
    'diseased',
    'touching',
  ]);
  expect(cutPlan(q({ pruned: [], crop: 'pepper', habit: null, stage: 'vegetative', heightM: 0.18 })).cuts).toEqual([]);
  expect(cutsWhy(silent, METRIC_FORMAT)).toMatch(/may only mean it was not saved/);
});

test('sick leaves come off first, outside the budget; the blades are cleaned', () => {
  const p = cutPlan(q({ diseased: 3, training: 'leave-alone', pruned: [cut(2, 4, 'lower-leaves')] }));
  expect(p.cuts).toMatchObject([{ kind: 'diseased', count: 3 }]);
  expect(p).toMatchObject({ cleanBlades: true, hold: null });
});

test('a determinate keeps its suckers; so does a plant whose suckers are left on; neither is topped', () => {
  const kinds = (more: object) => cutPlan(q({ topOn: addDays(ASOF, -20), ...more })).cuts.map((c) => c.kind);
  expect(kinds({ habit: 'determinate', training: 'keep-suckers' })).toEqual(['low-leaves']);
  expect(kinds({ habit: 'determinate', training: 'one-stem' })).toEqual(['low-leaves']);
  expect(kinds({ training: 'keep-suckers' })).not.toContain('small-suckers');
  expect(kinds({ training: 'leave-alone', touchesSoil: true })).not.toContain('low-leaves');
});

test('topping comes first, from the last useful flower on, indeterminates only, once', () => {
  const tidy = [cut(10, 90, 'suckers'), cut(20, 9, 'lower-leaves')];
  const due = addDays(ASOF, -2);
  const kinds = (more: object) => cutPlan(q({ topOn: due, pruned: tidy, ...more })).cuts.map((c) => c.kind);
  expect(kinds({})).toEqual(['top']);
  expect(kinds({ pruned: [cut(20, 9, 'lower-leaves')] })[0]).toBe('top');
  expect(kinds({ topOn: addDays(ASOF, 1) })).toEqual([]);
  // what is recorded without a number is done too
  expect(kinds({ pruned: [...tidy, cut(8, 1, 'top')] })).toEqual([]);
  expect(kinds({ pruned: [...tidy, { date: addDays(ASOF, -8), what: ['top'] }] })).toEqual([]);
  expect(cutPlan(q({ topOn: due, habit: 'determinate' })).topOn).toBeNull();
});

test('of two stems one sucker is kept, and it is said which', () => {
  const two = cutPlan(q({ training: 'two-stems', plantedOn: addDays(ASOF, -28) }));
  const one = cutPlan(q({ plantedOn: addDays(ASOF, -28) }));
  expect([one, two].map((p) => p.cuts[0]!.count)).toEqual([5, 4]);
  expect(cutsInWords(two.cuts)).toMatch(/4 suckers shorter than a finger \(keep the one just under the first truss\)/);
  expect(cutsInWords(one.cuts)).not.toMatch(/keep/);
});

test('young peppers are pinched once between 15 and 20 cm if the season is long; never later', () => {
  const pepper = {
    crop: 'pepper' as const,
    habit: null,
    training: 'leave-alone' as const,
    stage: 'vegetative' as const,
    heightM: 0.18,
  };
  expect(cutPlan(q(pepper)).cuts).toMatchObject([{ kind: 'pinch', count: 1 }]);
  expect(cutPlan(q({ ...pepper, stage: 'establishing' })).cuts).toEqual([]);
  expect(cutPlan(q({ ...pepper, seasonDays: 120 })).cuts).toEqual([]);
  expect(cutPlan(q({ ...pepper, heightM: 0.4 })).cuts).toEqual([]);
  expect(cutPlan(q({ ...pepper, pruned: [cut(5, 1, 'top')] })).cuts).toEqual([]);
  expect(
    cutPlan(q({ ...pepper, stage: 'flowering', heightM: 0.35, plantedOn: addDays(ASOF, -15) })).cuts,
  ).toMatchObject([{ kind: 'first-flowers' }]);
});

test('a small tomato in flower: its first truss is a choice, once, in the first two weeks', () => {
  const small = { stage: 'flowering' as const, heightM: 0.25, plantedOn: addDays(ASOF, -8) };
  const kinds = (more: Partial<CutQuestion>) => cutPlan(q({ ...small, ...more })).cuts.map((c) => c.kind);
  expect(kinds({})).toContain('first-truss');
  expect(cutsInWords(cutPlan(q(small)).cuts)).toMatch(/a choice: .* two weeks later/);
  expect(kinds({ heightM: 0.45 })).not.toContain('first-truss');
  expect(kinds({ plantedOn: addDays(ASOF, -30) })).not.toContain('first-truss');
  expect(kinds({ pruned: [cut(3, 1, 'thinning')] })).not.toContain('first-truss');
  // nothing recorded does not mean nothing done
  expect(kinds({ pruned: [] })).toEqual([]);
});

test.each([
  ['sunscald', { sunscald: true }],
  ['heat', { heatAhead: addDays(ASOF, 3) }],
  ['wet', { wetToday: true }],
  [
    'budget',
    {
      training: 'keep-suckers',
      touchesSoil: true,
      pruned: [cut(1, 3, 'lower-leaves'), cut(2, 1, 'lower-leaves')],
      heightM: 1.8,
    },
  ],
] as const)('not now: %s, until a day and with the reason', (kind, more) => {
  const { hold } = cutPlan(q(more));
  expect(hold!.kind).toBe(kind);
  expect(hold!.until > ASOF).toBe(true);
  expect(cutHoldInWords(hold!, METRIC_FORMAT)).toMatch(/wait until/);
});

test('when leaf is scarce long leaves are halved, not removed; without a height only what was seen is cut', () => {
  expect(cutsInWords(cutPlan(q({ touchesSoil: true, leafScarce: true })).cuts)).toMatch(
    /2 leaves that touch the soil, shortened by half instead of removed/,
  );
  expect(cutPlan(q({ heightM: null }))).toMatchObject({ cuts: [], clearToM: null });
  expect(cutPlan(q({ heightM: null, touchesSoil: true })).cuts).toMatchObject([{ kind: 'touching' }]);
});

test('training: by crop, habit, disease, heat and season, each with its reason', () => {
  const t = (more: object) => {
    const d = defaultTraining({
      crop: 'tomato',
      habit: 'indeterminate',
      seasonDays: 200,
      hotShare: 0,
      disease: false,
      ...more,
    });
    return [d.training, d.because];
  };
  expect(t({})).toEqual(['two-stems', 'long']);
  expect(t({ seasonDays: 120 })).toEqual(['one-stem', 'short']);
  expect(t({ seasonDays: 120, hotShare: 0.5 })).toEqual(['two-stems', 'hot']);
  expect(t({ hotShare: 0.5, disease: true })).toEqual(['one-stem', 'humid']);
  expect(t({ habit: 'determinate' })).toEqual(['keep-suckers', 'determinate']);
  expect(t({ habit: null })).toEqual(['keep-suckers', 'unknown-habit']);
  expect(t({ crop: 'pepper' })).toEqual(['leave-alone', 'pepper']);
});

test('forty cuts at once are refused with the way out; a dozen are not', () => {
  expect(cutFaults({ date: ASOF, cuts: 40 }, 'data.')).toEqual([
    { path: 'data.cuts', reason: expect.stringMatching(/40 cuts at once are too many/) },
  ]);
  expect(cutFaults({ date: ASOF, cuts: 12 }, 'data.')).toEqual([]);
  expect(cutFaults({ date: ASOF, cuts: 14, what: ['suckers'] }, 'data.')).toEqual([]);
  expect(cutFaults({ date: ASOF, cuts: 40, because: 'hail had shredded them' }, 'data.')).toEqual([]);
});

test('a sucker in water is looked at until roots show, and planted then', () => {
  const start = addDays(ASOF, -3);
  const sucker = (lookedOn: string | null, rootsOn: string | null = null) => ({ startedOn: start, lookedOn, rootsOn });
  expect(rootingOn(sucker(null), start)).toMatchObject({ step: 'look', on: addDays(start, 7), late: false });
  // no roots yet: again in four days, however long it takes
  expect(rootingOn(sucker(addDays(start, 8)), addDays(start, 8))).toMatchObject({
    step: 'look',
    on: addDays(start, 12),
  });
  expect(rootingOn(sucker(addDays(start, 27)), addDays(start, 28))).toMatchObject({ step: 'look', late: true });
  expect(rootingOn(sucker(null), addDays(start, 27)).late).toBe(false);
  // roots: planted at once
  expect(rootingOn(sucker(addDays(start, 8), addDays(start, 12)), addDays(start, 12))).toMatchObject({
    step: 'plant',
    on: addDays(start, 12),
  });
  // what was found on an earlier sucker does not count for this one
  expect(rootingOn(sucker(addDays(start, -2), addDays(start, -1)), start)).toMatchObject({ step: 'look' });
});
