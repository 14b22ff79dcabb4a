import fc from 'fast-check';
import {
  afterChecks,
  calibrationOf,
  CHECK_MINUTES,
  choicesOf,
  drawPractice,
  judge,
  nextPractice,
  type PracticeAnswered,
  MOST_SEED,
  type Practice,
  PRACTICE_THEMES,
  type PracticeTheme,
  shows,
  THEMES,
} from '../../src/practice/index.js';
import { HIDDEN } from '../../src/records/vocabulary/sign-groups.js';
import { impliedAbsent, signRow } from '../../src/records/vocabulary/signs.js';
import { parseCase } from '../../src/casefile/index.js';
import { contextOf } from '../../src/diagnosis/context.js';
import { CHECKS, disorderRow } from '../../src/diagnosis/index.js';
import { chanceOf } from '../../src/practice/draw.js';
import { diagnose } from '../../src/diagnosis/engine/diagnose.js';
import { truthOf } from '../../src/practice/truth.js';

const drawn = fc
  .tuple(fc.constantFrom<PracticeTheme>(...PRACTICE_THEMES), fc.integer({ min: 0, max: MOST_SEED }))
  // the number of a mixed plant may ask for a month and a problem: these ask for a month
  .map(([theme, seed]) => drawPractice(theme, theme === 'mixed' ? seed % 1300 : seed));
const some = { numRuns: 8 };
const ALL = CHECKS.filter((c) => c.answers.length > 0).map((c) => c.code);

/** As anybody’s case file would hold it. */
const asFile = (practice: Practice) => {
  const whole = afterChecks(practice, ALL);
  return JSON.parse(JSON.stringify({ format: 'candid-leaf-case', version: 1, ...whole })) as unknown;
};

describe('a practice plant', () => {
  it('is the same for everybody with the same number, and another with another', () => {
    const one = drawPractice('spots', 4711);
    expect(drawPractice('spots', 4711)).toEqual(one);
    expect(drawPractice('spots', 4712).plant.records.weather).not.toEqual(one.plant.records.weather);
    expect(drawPractice('fruit', 4711).plant.records.weather).not.toEqual(one.plant.records.weather);
  });

  it('refuses a seed that is not a plant’s number', () => {
    for (const seed of [-1, 0.5, MOST_SEED + 1, NaN]) expect(() => drawPractice('mixed', seed)).toThrow(RangeError);
  });

  it('is a case like any other: its signs fit each other, its crop and its records', () => {
    fc.assert(
      fc.property(drawn, (practice) => {
        const read = parseCase(asFile(practice));
        const left = contextOf(practice.plant).balance.days.at(-1)!.fractionAvailable;
        expect(read.observations.filter((o) => o.present).map((o) => o.sign)).toContain(
          left < 0.25 ? 'soil-dry-deep' : left > 0.9 ? 'soil-wet-deep' : 'soil-damp-deep',
        );
        expect(read.records.watering.length).toBeGreaterThan(0);
        for (const sign of practice.there) {
          expect([undefined, read.plant.crop]).toContain(signRow(sign).crop);
          expect(impliedAbsent(sign).filter((not) => practice.there.has(not))).toEqual([]);
        }
      }),
      some,
    );
  });

  it('can be diagnosed by someone who checks everything, and is not obvious at first', () => {
    fc.assert(
      fc.property(drawn, (practice) => {
        const { theme, trouble, plant, there } = practice;
        const first = plant.observations.map((o) => o.sign);
        expect(first.length).toBeGreaterThan(0);
        expect(first.every((sign) => there.has(sign))).toBe(true);
        expect(first.filter((sign) => HIDDEN.has(sign))).toEqual([]);
        expect(disorderRow(trouble).signs.some(([sign]) => first.includes(sign))).toBe(true);
        if (THEMES[theme].about) expect(first.some((sign) => THEMES[theme].about!(sign))).toBe(true);
        expect(chanceOf(diagnose(contextOf(plant)), trouble)).toBeLessThanOrEqual(THEMES[theme].mostAtOnce);
        const whole = truthOf(practice).report.diagnosis[0]!;
        expect(whole.disorder).toBe(trouble);
        expect(whole.probability).toBeGreaterThanOrEqual(0.6);
      }),
      some,
    );
  });

  it('offers the right answer among others, in an order that reveals nothing', () => {
    const places = new Set<number>();
    fc.assert(
      fc.property(drawn, (practice) => {
        const { troubles, causes, acts } = choicesOf(practice, []);
        const truth = truthOf(practice);
        expect(troubles).toContain(practice.trouble);
        expect(new Set(troubles).size).toBe(troubles.length);
        expect(troubles.length).toBeGreaterThanOrEqual(3);
        if (truth.causes.length > 0) expect(truth.causes.some((c) => causes.includes(c))).toBe(true);
        if (truth.firstAct) expect(acts).toContain(truth.firstAct);
        places.add(troubles.indexOf(practice.trouble));
      }),
      some,
    );
    expect(places.size).toBeGreaterThan(2);
  });

  it('a check shows what is there of all it can show, and is not offered twice', () => {
    const practice = drawPractice('spots', 31);
    const [check] = choicesOf(practice, []).checks;
    const { present, absent } = shows(practice, check!);
    expect(present.every((s) => practice.there.has(s))).toBe(true);
    expect(absent.some((s) => practice.there.has(s))).toBe(false);
    expect(choicesOf(practice, [check!]).checks).not.toContain(check);
  });
});

describe('judging an answer', () => {
  const practice = drawPractice('wilting', 1);
  const truth = truthOf(practice);
  const best = { trouble: practice.trouble, surePct: 80, cause: truth.causes[0] ?? null, act: truth.firstAct };

  it('compares each of the three with what the complete look would have shown', () => {
    expect(judge(practice, [], best)).toMatchObject({
      right: true,
      causeRight: true,
      actRight: true,
      minutes: 0,
      checks: [],
    });
    const other = choicesOf(practice, []).troubles.find((t) => t !== practice.trouble)!;
    expect(judge(practice, [], { ...best, trouble: other }).right).toBe(false);
    expect(truth.causes.length).toBeGreaterThan(0);
    expect(judge(practice, [], { ...best, cause: null }).causeRight).toBe(false);
    expect(judge(practice, [], { ...best, act: null }).actRight).toBe(false);
  });

  it('if the records hold no cause, "none" is right and any other answer is wrong', () => {
    let seed = 0;
    let none = drawPractice('spots', seed);
    while (truthOf(none).causes.length > 0) none = drawPractice('spots', ++seed);
    const guess = { trouble: none.trouble, surePct: 50, act: null };
    expect(judge(none, [], { ...guess, cause: null }).causeRight).toBe(true);
    expect(judge(none, [], { ...guess, cause: 'hot-days' }).causeRight).toBe(false);
  });

  it('if nothing is to be done now, "nothing" is right and any other answer is wrong', () => {
    let seed = 0;
    let none = drawPractice('mixed', seed);
    while (truthOf(none).firstAct !== null) none = drawPractice('mixed', ++seed);
    const guess = { trouble: none.trouble, surePct: 50, cause: null };
    expect(judge(none, [], { ...guess, act: null }).actRight).toBe(true);
    expect(judge(none, [], { ...guess, act: 'mulch' }).actRight).toBe(false);
  });

  it('prices each check and shows how much it clarified: the parts add up to the whole', () => {
    fc.assert(
      fc.property(drawn, (p) => {
        const done = choicesOf(p, []).checks.slice(0, 4);
        const judged = judge(p, done, best);
        expect(judged.minutes).toBe(done.reduce((sum, c) => sum + CHECK_MINUTES[c], 0));
        expect(judged.checks.map((c) => c.check)).toEqual(done);
        expect(judged.chanceAfter).toBeCloseTo(chanceOf(diagnose(contextOf(afterChecks(p, done))), p.trouble), 10);
        if (judged.missed) expect(done).not.toContain(judged.missed.check);
        expect(judged.misled?.disorder).not.toBe(p.trouble);
      }),
      { numRuns: 5 },
    );
  });
});

describe('calibration', () => {
  const many = (of: number, surePct: number, right: number) =>
    Array.from({ length: of }, (_, i) => ({ surePct, right: i < right }));

  it('is the Brier score and the shares by stated confidence, by hand', () => {
    const kept = calibrationOf([
      { surePct: 90, right: true },
      { surePct: 90, right: false },
      { surePct: 50, right: true },
    ])!;
    // ((0.1)² + (0.9)² + (0.5)²) / 3
    expect(kept.brier).toBeCloseTo((0.01 + 0.81 + 0.25) / 3, 12);
    expect(kept).toMatchObject({ of: 3, right: 2 });
    expect(kept.steps).toEqual([
      { from: 40, to: 60, of: 1, saidPct: 50, rightPct: 100 },
      { from: 80, to: 100, of: 2, saidPct: 90, rightPct: 50 },
    ]);
    expect(calibrationOf([])).toBeNull();
  });

  it('says too sure, too careful or fitting, and nothing before there are enough', () => {
    const words = (list: ReturnType<typeof many>) => calibrationOf(list)!.words;
    expect(words(many(20, 90, 10))).toMatch(/more certain than you are right/);
    expect(words(many(20, 50, 15))).toMatch(/more often than you think/);
    expect(words(many(20, 80, 16))).toMatch(/can rely on/);
    expect(words(many(9, 90, 0))).toMatch(/After 10 answers/);
  });
});

describe('the next plant', () => {
  const TODAY = '2026-07-14';
  const one = (was: PracticeAnswered['was'], right: boolean, on: string, seed = 1): PracticeAnswered => ({
    theme: 'spots',
    seed,
    was,
    right,
    on,
  });
  const again = (answers: PracticeAnswered[], day: string) => nextPractice(answers, day, 45).again;

  it('is one of this garden’s month, half a year apart south of the equator', () => {
    const { seed } = nextPractice([], TODAY, 45);
    expect(drawPractice('mixed', seed).plant.asOf.slice(5, 7)).toBe('07');
    expect(nextPractice([], '2026-01-14', -33).seed).toBe(seed);
  });

  it('asks a problem that was missed again: next day, then after growing gaps, until it is learned', () => {
    const missed = [one('sunscald', false, '2026-07-01')];
    expect([again(missed, '2026-07-01'), again(missed, '2026-07-02')]).toEqual([null, 'sunscald']);
    const once = [...missed, one('sunscald', true, '2026-07-02')];
    expect([again(once, '2026-07-05'), again(once, '2026-07-06')]).toEqual([null, 'sunscald']);
    const thrice = [...once, ...['07-06', '07-18'].map((d) => one('sunscald', true, `2026-${d}`))];
    expect([again(thrice, '2026-08-16'), again(thrice, '2026-08-17')]).toEqual([null, 'sunscald']);
    const learned = [...once, ...['07-06', '07-18', '08-17'].map((d) => one('sunscald', true, `2026-${d}`))];
    expect(again(learned, '2027-07-01')).toBeNull();
    expect(again([...learned, one('sunscald', false, '2027-07-01')], '2027-07-02')).toBe('sunscald');
    // never missed, or from before it was kept what it was
    expect(again([one('sunscald', true, '2026-07-01'), one(null, false, '2026-07-01')], TODAY)).toBeNull();
  });

  it('asks the one that waits longest first, each time on another plant that has it', () => {
    const missed = [one('sunscald', false, '2026-07-02'), one('early-blight', false, '2026-07-01', 2)];
    const first = nextPractice(missed, TODAY, 45);
    expect(first.again).toBe('early-blight');
    const drawn = drawPractice('mixed', first.seed);
    expect(drawn.trouble).toBe('early-blight');
    const after = nextPractice(
      [...missed, { theme: 'mixed', seed: first.seed, was: 'early-blight', right: false, on: '2026-07-12' }],
      '2026-07-20',
      45,
    );
    expect(after.again).toBe('sunscald');
    const later = nextPractice(
      [...missed.slice(1), { theme: 'mixed', seed: first.seed, was: 'early-blight', right: false, on: TODAY }],
      '2026-07-16',
      45,
    );
    expect(later.again).toBe('early-blight');
    expect(drawPractice('mixed', later.seed).plant.records).not.toEqual(drawn.plant.records);
  });

  it('goes on when all plants of a month are answered, and refuses a number that is none', () => {
    const all = Array.from({ length: 100 }, (_, n) => ({
      ...one(null, true, TODAY, 700 + n),
      theme: 'mixed' as const,
    }));
    expect(nextPractice(all, TODAY, 45).seed).toBe(799);
    for (const seed of [1300, 990_000]) expect(() => drawPractice('mixed', seed)).toThrow(RangeError);
  });
});
