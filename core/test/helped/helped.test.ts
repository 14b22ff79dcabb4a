import {
  ENOUGH,
  fisherExact,
  helpedHere,
  leastP,
  orderByRate,
  rateInWords,
  rateOf,
  trialInWords,
  trialVerdict,
} from '../../src/helped/index.js';

describe('Fisher’s exact test', () => {
  /**
   * Published tables. The lady tasting tea (Fisher 1935): 3 of 4 against 1 of 4, two-sided 0.4857; all right, 2/70 = 0.0286. A table of
   * Agresti (Categorical Data Analysis), 8 of 8 against 0 of 8: 2/12870. R's fisher.test, from memory: 1 of 10 against 9 of 10 gives 0.001093. To four figures.
   */
  test.each([
    [3, 4, 1, 4, 0.4857],
    [4, 4, 0, 4, 0.0286],
    [8, 8, 0, 8, 2 / 12870],
    [1, 10, 9, 10, 0.001093],
    [5, 10, 5, 10, 1],
    [0, 5, 0, 5, 1],
  ])('%d of %d against %d of %d: p %d', (a, na, b, nb, p) => {
    expect(fisherExact({ hit: a, of: na }, { hit: b, of: nb })).toBeCloseTo(p, 4);
  });

  test('swapping the groups changes nothing, nor does counting those without it', () => {
    for (let na = 1; na < 8; na++)
      for (let nb = 1; nb < 8; nb++)
        for (let a = 0; a <= na; a++)
          for (let b = 0; b <= nb; b++) {
            const p = fisherExact({ hit: a, of: na }, { hit: b, of: nb });
            expect(p).toBeGreaterThan(0);
            expect(p).toBeLessThanOrEqual(1);
            expect(fisherExact({ hit: b, of: nb }, { hit: a, of: na })).toBeCloseTo(p, 10);
            expect(fisherExact({ hit: na - a, of: na }, { hit: nb - b, of: nb })).toBeCloseTo(p, 10);
          }
  });
});

test('three against three never suffice; four against four show only the extreme', () => {
  expect(leastP({ hit: 0, of: 3 }, { hit: 0, of: 3 })).toBeCloseTo(0.1, 6);
  expect(trialVerdict({ hit: 0, of: 3 }, { hit: 3, of: 3 })).toBe('too-few');
  expect(trialVerdict({ hit: 0, of: 4 }, { hit: 4, of: 4 })).toBe('fewer');
  expect(trialVerdict({ hit: 1, of: 4 }, { hit: 4, of: 4 })).toBe('no-difference-shown');
  expect(trialVerdict({ hit: 5, of: 5 }, { hit: 0, of: 5 })).toBe('more');
  expect(trialVerdict({ hit: 0, of: 0 }, { hit: 3, of: 3 })).toBe('too-few');
});

test('said in words, with the count', () => {
  expect(trialInWords({ hit: 0, of: 3 }, { hit: 3, of: 3 }, 'dark ends')).toMatch(
    /^dark ends: 0 of 3 with the change, 3 of 3 without\. Too few plants to say/,
  );
  expect(trialInWords({ hit: 0, of: 4 }, { hit: 4, of: 4 }, 'dark ends')).toMatch(
    /Fewer with the change; chance alone would give this about one time in 35/,
  );
  expect(trialInWords({ hit: 2, of: 5 }, { hit: 3, of: 5 }, 'dark ends')).toMatch(
    /No difference found: chance alone would give this half of the time/,
  );
});

/** Beta-binomial posterior means: Beta(2.4, 1.6) and k of n (worked by hand). */
test.each([
  [0, 0, 0.6],
  [4, 5, 6.4 / 9],
  [0, 5, 2.4 / 9],
  [30, 40, 32.4 / 44],
])('%d of %d is shrunk to %d', (worked, tried, mean) => {
  expect(rateOf(worked, tried).shrunk).toBeCloseTo(mean, 12);
});

test('a rate lies between its prior and the count, and moves towards the count with more cases', () => {
  for (let n = 1; n < 60; n++) {
    const all = rateOf(n, n).shrunk;
    expect(all).toBeGreaterThan(0.6);
    expect(all).toBeLessThan(1);
    expect(rateOf(n + 1, n + 1).shrunk).toBeGreaterThan(all);
  }
  expect(rateInWords(rateOf(4, 5))).toBe('better after 4 of 5 tries; plants left alone may do so too');
  expect(rateInWords(rateOf(1, 1))).toBe('tried once, too few to judge');
  expect(rateInWords(rateOf(4, 4))).toBe('tried 4 times, too few to judge');
});

test('the order shifts only with enough cases and a clear difference, and never across a step', () => {
  const list = [
    { code: 'a', step: 1, worked: 0, tried: 6 },
    { code: 'b', step: 1, worked: 3, tried: 3 },
    { code: 'c', step: 1, worked: 6, tried: 6 },
    { code: 'd', step: 2, worked: 9, tried: 9 },
  ];
  const order = (l = list) =>
    orderByRate(
      l,
      (x) => String(x.step),
      (x) => rateOf(x.worked, x.tried),
    ).map((x) => x.code);
  expect(order()).toEqual(['c', 'b', 'a', 'd']);
  const few = list.map((x) => ({ ...x, tried: Math.min(x.tried, ENOUGH - 1), worked: Math.min(x.worked, ENOUGH - 1) }));
  expect(order(few)).toEqual(['a', 'b', 'c', 'd']);
});

test('the garden’s own record: a step followed by another was not enough, an open one does not count yet', () => {
  const t = (steps: string[][], closed: boolean, worked: boolean) => ({ disorder: 'x', steps, closed, worked });
  const here = helpedHere([
    t([['mulch', 'water']], true, true),
    t([['mulch'], ['soap']], true, true),
    t([['mulch'], ['soap']], false, false),
    t([['mulch']], false, false),
  ]);
  expect(here.get('x:mulch')).toMatchObject({ worked: 1, tried: 3 });
  expect(here.get('x:soap')).toMatchObject({ worked: 1, tried: 1 });
  expect(here.get('x:water')).toMatchObject({ worked: 1, tried: 1 });
});
