import { at, first } from '../../units/lists.js';

/**
 * A two-layer noisy-OR network over small sets of problems (QMR-DT: Shwe et al. 1991; Heckerman 1989), exact over all
 * sets of at most three. It knows nothing of gardens: problems and signs are indices.
 */
export interface Cause {
  /** prior odds that the problem is present */
  odds: number;
  /** chance of each sign with this problem, by sign index; 0 if it never causes it */
  chances: Float64Array;
}

/** Signs by index that were seen, and that were looked for and not seen. */
export interface Observed {
  present: readonly number[];
  absent: readonly number[];
}

interface Posterior {
  /** marginal probability of each cause */
  marginals: number[];
  /** log probability of the findings, up to the constant of the priors */
  logEvidence: number;
}

/** Most problems that may be present together. */
const MOST_TOGETHER = 3;

/**
 * Returns the marginals of all causes given the findings. Causes that explain none of the present signs only multiply
 * the weight of a set, so they are summed in closed form (elementary symmetric sums) and the rest enumerated: the
 * result is the full sum over all sets of at most three.
 * @param leaks chance of each sign for no listed reason
 */
export function posterior(causes: readonly Cause[], leaks: readonly number[], findings: Observed): Posterior {
  const signs = findings.present;
  const linked: Linked[] = [];
  const free: { index: number; weight: number }[] = [];
  causes.forEach((c, index) => {
    const weight = weightOf(c, findings);
    if (signs.some((sign) => c.chances[sign]! > 0)) linked.push({ index, weight, missed: missedBy(c, signs), mass: 0 });
    else free.push({ index, weight });
  });
  const noLeak = Float64Array.from(signs, (sign) => 1 - at(leaks, sign));
  const [e1, e2, e3] = symmetricSums(free.map((c) => c.weight));
  // weight of the free causes beside a linked set of two, of one, and of none
  const [beside2, beside1, beside0] = [1 + e1, 1 + e1 + e2, 1 + e1 + e2 + e3];

  // weights of linked sets by size, without the free causes
  const none = noLeak.reduce((w, silent) => w * (1 - silent), 1);
  let [one, two, three] = [0, 0, 0];
  const [silentA, silentB, silentC] = [0, 1, 2].map(() => new Float64Array(signs.length)) as Three<Float64Array>;
  linked.forEach((a, i) => {
    const wa = a.weight * silence(silentA, noLeak, a.missed);
    one += wa;
    a.mass += wa * beside1;
    for (let j = i + 1; j < linked.length; j++) {
      const b = linked[j]!;
      const ab = a.weight * b.weight;
      const wb = ab * silence(silentB, silentA, b.missed);
      two += wb;
      a.mass += wb * beside2;
      b.mass += wb * beside2;
      for (let k = j + 1; k < linked.length; k++) {
        const c = linked[k]!;
        const wc = ab * c.weight * silence(silentC, silentB, c.missed);
        three += wc;
        a.mass += wc;
        b.mass += wc;
        c.mass += wc;
      }
    }
  });
  const total = none * beside0 + one * beside1 + two * beside2 + three;
  const marginals = causes.map(() => 0);
  for (const { index, mass } of linked) marginals[index] = mass / total;
  for (const { index, weight } of free) {
    const others1 = e1 - weight; // sums over the other free causes
    const others2 = e2 - weight * others1;
    marginals[index] = (weight * (none * (1 + others1 + others2) + one * (1 + others1) + two)) / total;
  }
  return { marginals, logEvidence: Math.log(total) };
}

type Three<T> = [T, T, T];

/** A cause of some sign that is present; `mass` adds up the weight of all sets it is in. */
interface Linked {
  index: number;
  weight: number;
  missed: Float64Array;
  mass: number;
}

/** Returns the odds of a cause, lowered by the signs that were looked for and not seen. */
const weightOf = (c: Cause, { absent }: Observed): number =>
  absent.reduce((w, sign) => w * (1 - c.chances[sign]!), c.odds);

/** Returns the chance of each sign to be missing with this cause. */
const missedBy = (c: Cause, signs: readonly number[]): Float64Array =>
  Float64Array.from(signs, (sign) => 1 - c.chances[sign]!);

/** Fills `next` with the chance of each sign to stay silent with one more cause; returns the chance of all signs. */
function silence(next: Float64Array, before: Float64Array, missed: Float64Array): number {
  let all = 1;
  for (let f = 0; f < before.length; f++) {
    // the innermost loop: a checked read here costs a third of a diagnosis
    const silent = before[f]! * missed[f]!;
    next[f] = silent;
    all *= 1 - silent;
  }
  return all;
}

/** A set of problems that may be present together, with its share of the posterior. */
export interface LikelySet {
  members: readonly number[];
  share: number;
}

/** Sets below this share of the likeliest are left out of `likelySets`. */
const NEGLIGIBLE = 1e-3;

/**
 * Writes the posterior out set by set, so that the effect of one further sign is a sum over this list instead of
 * another run. Negligible sets are left out.
 */
export function likelySets(causes: readonly Cause[], leaks: readonly number[], findings: Observed): LikelySet[] {
  const signs = findings.present;
  const each = causes.map((c) => ({ weight: weightOf(c, findings), missed: missedBy(c, signs) }));
  const found: LikelySet[] = [];
  let most = 0;
  const keep = (members: readonly number[], share: number): void => {
    if (share > most) most = share;
    if (share >= most * NEGLIGIBLE) found.push({ members, share });
  };
  // each further member multiplies a set's weight by at most this, and findings only lower it: prune sets that can't
  // reach the limit
  const growth = Math.max(1, ...each.map((c) => c.weight));
  // what each level of the walk leaves silent, in place
  const level = Array.from({ length: MOST_TOGETHER + 1 }, () => new Float64Array(signs.length));
  const nobody = first(level);
  signs.forEach((sign, f) => (nobody[f] = 1 - at(leaks, sign)));
  const walk = (members: readonly number[], prior: number, from: number): void => {
    const next = level[members.length + 1];
    if (!next) return;
    const silent = at(level, members.length);
    const canGrow = growth ** (MOST_TOGETHER - members.length - 1);
    for (let i = from; i < each.length; i++) {
      const { weight, missed } = each[i]!;
      if (prior * weight * canGrow < most * NEGLIGIBLE) continue;
      const set = [...members, i];
      keep(set, prior * weight * silence(next, silent, missed));
      walk(set, prior * weight, i + 1);
    }
  };
  // the likeliest set is often a single one: knowing it first saves most of the work
  const scratch = new Float64Array(signs.length);
  for (const { weight, missed } of each) most = Math.max(most, weight * silence(scratch, nobody, missed));
  keep(
    [],
    nobody.reduce((w, silent) => w * (1 - silent), 1),
  );
  walk([], 1, 0);
  const kept = found.filter((s) => s.share >= most * NEGLIGIBLE);
  const total = kept.reduce((sum, s) => sum + s.share, 0);
  return kept.map((s) => ({ members: s.members, share: s.share / total }));
}

/** Returns the elementary symmetric sums e₁, e₂ and e₃ of the numbers. */
function symmetricSums(numbers: readonly number[]): Three<number> {
  let [e1, e2, e3] = [0, 0, 0];
  for (const x of numbers) {
    e3 += x * e2;
    e2 += x * e1;
    e1 += x;
  }
  return [e1, e2, e3];
}

/** Returns the entropy in bits of independent yes-or-no questions. */
export function entropyBits(probabilities: readonly number[]): number {
  let nats = 0;
  // most are certain and add nothing; near 0 and 1 what rounding takes from 1 - p is less than is shown
  for (const p of probabilities) if (p > 0 && p < 1) nats -= p * Math.log(p) + (1 - p) * Math.log(1 - p);
  return nats / Math.LN2;
}

/**
 * Returns the natural log of the odds of a probability; limited so that 0 and 1 stay finite.
 * @example logOdds(0.5) // 0
 */
export const logOdds = (p: number): number => Math.log(Math.max(p, 1e-12) / Math.max(1 - p, 1e-12));
