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
  const weight = causes.map((c) => findings.absent.reduce((w, sign) => w * (1 - c.chances[sign]!), c.odds));
  const isLinked = causes.map((c) => findings.present.some((sign) => c.chances[sign]! > 0));
  const linked = causes.flatMap((_, i) => (isLinked[i] ? [i] : []));
  const free = causes.flatMap((_, i) => (isLinked[i] ? [] : [i]));
  const signs = findings.present;
  const n = signs.length;
  const miss = linked.map((i) => Float64Array.from(signs, (sign) => 1 - causes[i]!.chances[sign]!));
  const noLeak = signs.map((sign) => 1 - leaks[sign]!);
  const e = symmetricSums(free.map((i) => weight[i]!));
  const room = [e[0]!, e[0]! + e[1]!, e[0]! + e[1]! + e[2]!, e[0]! + e[1]! + e[2]! + e[3]!];

  const bySize = [1, 0, 0, 0]; // weights of linked sets of each size, without the free causes
  for (let f = 0; f < n; f++) bySize[0]! *= 1 - noLeak[f]!;
  const mass = new Float64Array(linked.length);
  const qi = new Float64Array(n);
  const qj = new Float64Array(n);
  for (let i = 0; i < linked.length; i++) {
    const wi = weight[linked[i]!]!;
    let w1 = wi;
    for (let f = 0; f < n; f++) {
      qi[f] = noLeak[f]! * miss[i]![f]!;
      w1 *= 1 - qi[f]!;
    }
    bySize[1]! += w1;
    mass[i]! += w1 * room[2]!;
    for (let j = i + 1; j < linked.length; j++) {
      const wj = wi * weight[linked[j]!]!;
      let w2 = wj;
      for (let f = 0; f < n; f++) {
        qj[f] = qi[f]! * miss[j]![f]!;
        w2 *= 1 - qj[f]!;
      }
      bySize[2]! += w2;
      mass[i]! += w2 * room[1]!;
      mass[j]! += w2 * room[1]!;
      for (let k = j + 1; k < linked.length; k++) {
        let w3 = wj * weight[linked[k]!]!;
        const missK = miss[k]!;
        for (let f = 0; f < n; f++) w3 *= 1 - qj[f]! * missK[f]!;
        bySize[3]! += w3;
        mass[i]! += w3;
        mass[j]! += w3;
        mass[k]! += w3;
      }
    }
  }
  const total = bySize[0]! * room[3]! + bySize[1]! * room[2]! + bySize[2]! * room[1]! + bySize[3]!;
  const marginals = causes.map(() => 0);
  linked.forEach((cause, i) => (marginals[cause] = mass[i]! / total));
  for (const i of free) {
    const w = weight[i]!;
    const e1 = e[1]! - w; // sums over the other free causes
    const e2 = e[2]! - w * e1;
    marginals[i] = (w * (bySize[0]! * (1 + e1 + e2) + bySize[1]! * (1 + e1) + bySize[2]!)) / total;
  }
  return { marginals, logEvidence: Math.log(total) };
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
  const weight = causes.map((c) => findings.absent.reduce((w, sign) => w * (1 - c.chances[sign]!), c.odds));
  const miss = causes.map((c) => Float64Array.from(signs, (sign) => 1 - c.chances[sign]!));
  const n = signs.length;
  const found: LikelySet[] = [];
  let most = 0;
  const keep = (members: readonly number[], prior: number, silent: Float64Array): void => {
    let share = prior;
    for (let f = 0; f < n; f++) share *= 1 - silent[f]!;
    if (share > most) most = share;
    if (share >= most * NEGLIGIBLE) found.push({ members, share });
  };
  // each further member multiplies a set's weight by at most this, and findings only lower it: prune sets that can't
  // reach the limit
  const growth = Math.max(1, ...weight);
  // what each level of the walk leaves silent, in place
  const level = Array.from({ length: MOST_TOGETHER + 1 }, () => new Float64Array(n));
  signs.forEach((sign, f) => (level[0]![f] = 1 - leaks[sign]!));
  const walk = (members: readonly number[], prior: number, from: number): void => {
    const silent = level[members.length]!;
    keep(members, prior, silent);
    const next = level[members.length + 1];
    if (!next) return;
    const canGrow = growth ** (MOST_TOGETHER - members.length - 1);
    for (let i = from; i < causes.length; i++) {
      if (prior * weight[i]! * canGrow < most * NEGLIGIBLE) continue;
      const missed = miss[i]!;
      for (let f = 0; f < n; f++) next[f] = silent[f]! * missed[f]!;
      walk([...members, i], prior * weight[i]!, i + 1);
    }
  };
  // the likeliest set is often a single one: knowing it first saves most of the work
  for (let i = 0; i < causes.length; i++) {
    let share = weight[i]!;
    for (let f = 0; f < n; f++) share *= 1 - level[0]![f]! * miss[i]![f]!;
    if (share > most) most = share;
  }
  walk([], 1, 0);
  const kept = found.filter((s) => s.share >= most * NEGLIGIBLE);
  const total = kept.reduce((sum, s) => sum + s.share, 0);
  return kept.map((s) => ({ members: s.members, share: s.share / total }));
}

/** Returns e₀…e₃ of the numbers. */
function symmetricSums(numbers: readonly number[]): number[] {
  const e = [1, 0, 0, 0];
  for (const x of numbers) for (let k = MOST_TOGETHER; k >= 1; k--) e[k]! += x * e[k - 1]!;
  return e;
}

/** Returns the entropy in bits of independent yes-or-no questions. */
export function entropyBits(probabilities: readonly number[]): number {
  let nats = 0;
  // most are certain and add nothing
  for (const p of probabilities) if (p > 0 && p < 1) nats -= p * Math.log(p) + (1 - p) * Math.log1p(-p);
  return nats / Math.LN2;
}

/**
 * Returns the natural log of the odds of a probability; limited so that 0 and 1 stay finite.
 * @example logOdds(0.5) // 0
 */
export const logOdds = (p: number): number => Math.log(Math.max(p, 1e-12) / Math.max(1 - p, 1e-12));
