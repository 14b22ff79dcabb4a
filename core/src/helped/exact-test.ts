import { at } from '../units/lists.js';
/** ln n!, exact sums: the tables here are small. */
const lnFactorials: number[] = [0, 0];
const lnFactorial = (n: number): number => {
  for (let i = lnFactorials.length; i <= n; i++) lnFactorials[i] = at(lnFactorials, i - 1) + Math.log(i);
  return at(lnFactorials, n);
};
const lnChoose = (n: number, k: number): number => lnFactorial(n) - lnFactorial(k) - lnFactorial(n - k);

/** How many of a group showed it. */
export interface Group {
  hit: number;
  of: number;
}

/**
 * Returns Fisher's exact test of two groups, two-sided: the chance, without a difference, of a table at least as
 * unlikely as this one (the sum over all tables no more probable than the observed one, as statistical packages do
 * it).
 * @example fisherExact({ hit: 3, of: 4 }, { hit: 1, of: 4 }) // 0.4857
 */
export function fisherExact(a: Group, b: Group): number {
  const hits = a.hit + b.hit;
  const all = a.of + b.of;
  const p = (k: number): number => Math.exp(lnChoose(a.of, k) + lnChoose(b.of, hits - k) - lnChoose(all, hits));
  const low = Math.max(0, hits - b.of);
  const high = Math.min(a.of, hits);
  const observed = p(a.hit);
  let sum = 0;
  for (let k = low; k <= high; k++) if (p(k) <= observed * (1 + 1e-7)) sum += p(k);
  return Math.min(1, sum);
}

/** Returns the least p these plants could give with the largest difference: if that is not small, there are too few. */
export const leastP = (a: Group, b: Group): number => fisherExact({ hit: a.of, of: a.of }, { hit: 0, of: b.of });

/** Below this a difference is more than chance (the usual one in twenty). */
const TELLING_P = 0.05;

/** What a trial of two groups showed. */
export type TrialVerdict = 'too-few' | 'no-difference-shown' | 'fewer' | 'more';

/** Returns whether the changed group showed it more or less often than the other, or no difference. */
export function trialVerdict(changed: Group, left: Group): TrialVerdict {
  if (changed.of === 0 || left.of === 0 || leastP(changed, left) >= TELLING_P) return 'too-few';
  if (fisherExact(changed, left) >= TELLING_P) return 'no-difference-shown';
  return changed.hit / changed.of < left.hit / left.of ? 'fewer' : 'more';
}

/** Returns it in words, with chance as one time in n. */
export function trialInWords(changed: Group, left: Group, what: string): string {
  const count = `${what}: ${changed.hit} of ${changed.of} with the change, ${left.hit} of ${left.of} without`;
  const verdict = trialVerdict(changed, left);
  const p = fisherExact(changed, left);
  const odds = p >= 0.5 ? 'half of the time' : `about one time in ${Math.max(2, Math.round(1 / p))}`;
  switch (verdict) {
    case 'too-few':
      return `${count}. Too few plants to say. Even if every plant of one group and none of the other showed it, that could be chance.`;
    case 'no-difference-shown':
      return `${count}. No difference found: chance alone would give this ${odds}.`;
    case 'fewer':
      return `${count}. Fewer with the change; chance alone would give this ${odds}.`;
    case 'more':
      return `${count}. More with the change; chance alone would give this ${odds}.`;
  }
}
