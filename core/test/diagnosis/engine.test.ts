import fc from 'fast-check';
import { entropyBits, posterior, type Cause, type Observed } from '../../src/diagnosis/engine/noisy-or.js';

/** The plain sum over every set of at most three, straight from the definition. */
function bruteForce(
  causes: readonly Cause[],
  leaks: readonly number[],
  f: Observed,
): { marginals: number[]; total: number } {
  let total = 0;
  const mass = causes.map(() => 0);
  for (let mask = 0; mask < 2 ** causes.length; mask++) {
    const set = causes.flatMap((_, i) => (mask & (1 << i) ? [i] : []));
    if (set.length > 3) continue;
    const silent = (sign: number) => set.reduce((q, i) => q * (1 - causes[i]!.chances[sign]!), 1);
    let w = set.reduce((x, i) => x * causes[i]!.odds, 1);
    for (const sign of f.present) w *= 1 - (1 - leaks[sign]!) * silent(sign);
    for (const sign of f.absent) w *= silent(sign);
    total += w;
    for (const i of set) mass[i]! += w;
  }
  return { marginals: mass.map((m) => m / total), total };
}

const SIGNS = 6;
/** One sign more than the findings name, for a sign of a cause's own. */
const chancesOf = (list: readonly (readonly [number, number])[]): Float64Array => {
  const chances = new Float64Array(SIGNS + 1);
  for (const [sign, chance] of list) chances[sign] = chance;
  return chances;
};
const cause = fc.record({
  odds: fc.double({ min: 0.001, max: 2, noNaN: true }),
  chances: fc
    .uniqueArray(fc.tuple(fc.integer({ min: 0, max: SIGNS - 1 }), fc.constantFrom(0.05, 0.25, 0.5, 0.8, 0.95)), {
      selector: ([s]) => s,
      maxLength: 4,
    })
    .map((list) => chancesOf(list)),
});
const network = fc.array(cause, { minLength: 1, maxLength: 8 });
const leaks = Array.from({ length: SIGNS }, (_, i) => [0.001, 0.005, 0.02, 0.05, 0.02, 0.005][i]!);
const findings = fc
  .array(fc.constantFrom('present', 'absent', 'unseen'), { minLength: SIGNS, maxLength: SIGNS })
  .map((states): Observed => ({
    present: states.flatMap((s, i) => (s === 'present' ? [i] : [])),
    absent: states.flatMap((s, i) => (s === 'absent' ? [i] : [])),
  }));

test('marginals equal the plain enumeration of all sets of at most three', () => {
  fc.assert(
    fc.property(network, findings, (causes, f) => {
      const fast = posterior(causes, leaks, f);
      const plain = bruteForce(causes, leaks, f);
      fast.marginals.forEach((p, i) => expect(p).toBeCloseTo(plain.marginals[i]!, 9));
      expect(fast.logEvidence).toBeCloseTo(Math.log(plain.total), 9);
    }),
    { numRuns: 300 },
  );
});

test('a sign that only one problem can cause never lowers it, and its absence never raises it', () => {
  fc.assert(
    fc.property(network, findings, fc.nat(7), fc.constantFrom(0.05, 0.5, 0.95), (causes, f, which, chance) => {
      const i = which % causes.length;
      const own = SIGNS; // one more sign, known to cause i alone
      const withOwn = causes.map((c, k) =>
        k === i ? { ...c, chances: Float64Array.from(c.chances, (x, sign) => (sign === own ? chance : x)) } : c,
      );
      const p = (g: Observed) => posterior(withOwn, [...leaks, 0.01], g).marginals[i]!;
      expect(p({ ...f, present: [...f.present, own] })).toBeGreaterThanOrEqual(p(f) - 1e-12);
      expect(p({ ...f, absent: [...f.absent, own] })).toBeLessThanOrEqual(p(f) + 1e-12);
    }),
    { numRuns: 200 },
  );
});

test('entropy: a coin is one bit, certainty is none', () => {
  expect(entropyBits([0.5])).toBe(1);
  expect(entropyBits([0, 1])).toBe(0);
});
