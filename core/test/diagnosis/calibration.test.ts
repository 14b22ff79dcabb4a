import { SAMPLE_CASES } from './cases/all.js';
import { SIGNS } from '@candid-leaf/core/records';
import { seeded } from '../../src/climate/random.js';
import { candidates, causesOf, LEAKS } from '../../src/diagnosis/engine/network.js';
import { posterior } from '../../src/diagnosis/engine/noisy-or.js';
import { contextOf } from '../../src/diagnosis/context.js';
import { caseOf } from './cases/sample-case.js';

interface Said {
  p: number;
  true: boolean;
}

/** Expected calibration error over ten equal bins: mean distance of what was said from what was so, weighted by bin. */
function calibrationError(said: readonly Said[]): number {
  const bins = Array.from({ length: 10 }, (_, b) => said.filter((s) => Math.min(9, Math.floor(s.p * 10)) === b));
  return bins.reduce((sum, bin) => {
    if (bin.length === 0) return sum;
    const mean = bin.reduce((t, s) => t + s.p, 0) / bin.length;
    const share = bin.filter((s) => s.true).length / bin.length;
    return sum + (bin.length / said.length) * Math.abs(mean - share);
  }, 0);
}

test('over 2,000 cases drawn from the network the stated probabilities are honest', () => {
  const random = seeded(20);
  const settings = SAMPLE_CASES.filter((_, i) => i % 14 === 0).map((t) => candidates(contextOf(caseOf(t))));
  const said: Said[] = [];
  for (let n = 0; n < 2000; n++) {
    const all = settings[n % settings.length]!;
    const causes = causesOf(all);
    let present: number[];
    do present = all.flatMap((c, i) => (random() < c.odds / (1 + c.odds) ? [i] : []));
    while (present.length === 0 || present.length > 3);
    // somebody who looks at every third thing
    const looked = SIGNS.flatMap((s, i) => (random() < 0.33 ? [{ code: s.code, i }] : []));
    const shows = (i: number): boolean =>
      random() < 1 - present.reduce((q, d) => q * (1 - causes[d]!.chances[i]!), 1 - LEAKS[i]!);
    const found = looked.map((l) => ({ ...l, present: shows(l.i) }));
    const findings = {
      present: found.filter((f) => f.present).map((f) => f.i),
      absent: found.filter((f) => !f.present).map((f) => f.i),
    };
    const { marginals } = posterior(causes, LEAKS, findings);
    marginals.forEach((p, i) => {
      if (p > 0.02) said.push({ p, true: present.includes(i) });
    });
  }
  expect(said.length).toBeGreaterThan(5000);
  const error = calibrationError(said);
  if (process.env.SHOW_CASES)
    process.stdout.write(`over 2,000 drawn plants the expected calibration error is ${error.toFixed(3)}\n`);
  expect(error).toBeLessThan(0.04);
  // and it does not get there by never saying anything
  expect(said.filter((s) => s.p > 0.9).length).toBeGreaterThan(300);
  // the measure itself sees an overstatement
  expect(calibrationError(said.map((s) => ({ ...s, p: Math.sqrt(s.p) })))).toBeGreaterThan(0.05);
});
