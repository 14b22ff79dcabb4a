import { FACTS } from '../facts.js';
import type { Story } from '../story.js';
import { CHECKS, type CheckCode, type CheckRow } from '../tables/checks.js';
import type { DisorderCode } from '../vocabulary/disorders.js';
import { signRow, type SignCode } from '../vocabulary/signs.js';
import { CLEAR_FROM, three, type DiagnosisResult } from './diagnose.js';
import { causesOf, driverWeight, findingsOf, LEAKS } from './network.js';
import { entropyBits, posterior } from './noisy-or.js';

export interface NextCheck {
  check: CheckCode;
  /** expected fall in entropy, bits */
  gain: number;
  splits: DisorderCode[];
}

const MOST_CHECKS = 5;
const LEAST_GAIN = 0.01;
/** Chance that a cause nobody has looked for is there, where its check is still open (judgement). */
const UNSEEN_DRIVER = 0.25;
/** An answer less likely than this is not worth planning for. */
const POSSIBLE = 0.02;

/** Does this check make sense on this plant, and is it still open? */
function open(s: Story, check: CheckRow): boolean {
  const signs = check.answers.flatMap((a) => [...(a.present ?? []), ...(a.absent ?? [])]) as SignCode[];
  if (signs.length > 0 && signs.every((sign) => s.seen.has(sign) || s.absent.has(sign))) return false;
  // one of several exclusive answers was already given
  if (check.answers.some((a) => (a.present ?? []).length > 0 && a.present!.every((sign) => s.present.has(sign))))
    return false;
  if (signs.some((sign) => (signRow(sign).crop ?? s.c.plant.crop) !== s.c.plant.crop)) return false;
  if (check.needs && !check.needs.some((sign) => s.present.has(sign))) return false;
  return (check.onlyWhile ?? []).every((fact) => FACTS[fact](s));
}

/**
 * The checks that would tell most, by expected information over the disorders (and, once one is settled, over what
 * drove it). A check is left out when no likely answer would change what to do first.
 */
export function nextChecks(s: Story, result: DiagnosisResult): NextCheck[] {
  const { all, marginals, list } = result;
  if (list.length === 0) return [];
  const causes = causesOf(all);
  const codes = all.map((c) => c.row.code);
  const before = entropyBits(marginals);
  const leaderOf = (m: readonly number[]): number => m.reduce((best, p, i) => (p > m[best]! ? i : best), 0);
  const verdictOf = (m: readonly number[]): string => `${leaderOf(m)} ${m[leaderOf(m)]! >= CLEAR_FROM}`;
  const now = verdictOf(marginals);

  const byDisorder = CHECKS.filter((c) => c.answers.length > 0 && open(s, c)).flatMap((c): NextCheck[] => {
    const outcomes = c.answers.map((a) =>
      posterior(causes, LEAKS, findingsOf([...s.present, ...(a.present ?? [])], [...s.absent, ...(a.absent ?? [])])),
    );
    const top = Math.max(...outcomes.map((o) => o.logEvidence));
    const masses = outcomes.map((o) => Math.exp(o.logEvidence - top));
    const sum = masses.reduce((a, b) => a + b, 0);
    const chance = masses.map((m) => m / sum);
    const after = outcomes.reduce((h, o, i) => h + chance[i]! * entropyBits(o.marginals), 0);
    const gain = before - after;
    const changes = outcomes.some((o, i) => chance[i]! >= POSSIBLE && verdictOf(o.marginals) !== now);
    if (gain < LEAST_GAIN || !changes) return [];
    const moved = codes
      .map((code, i) => ({
        code,
        spread: spread(
          outcomes.map((o) => o.marginals[i]!),
          chance,
        ),
      }))
      .filter((x) => x.spread > 0.02)
      .sort((a, b) => b.spread - a.spread);
    return [{ check: c.code, gain: three(gain), splits: moved.slice(0, 4).map((x) => x.code) }];
  });

  return [...byDisorder, ...forDrivers(s, result, new Set(byDisorder.map((c) => c.check)))]
    .sort((a, b) => Math.round(b.gain * 20) - Math.round(a.gain * 20) || effort(a) - effort(b) || b.gain - a.gain)
    .slice(0, MOST_CHECKS);
}

const effort = (c: NextCheck): number => CHECKS.find((row) => row.code === c.check)!.effort;

const spread = (values: readonly number[], chance: readonly number[]): number => {
  const mean = values.reduce((sum, v, i) => sum + v * chance[i]!, 0);
  return Math.sqrt(values.reduce((sum, v, i) => sum + chance[i]! * (v - mean) ** 2, 0));
};

/** Once it is clear what it is: checks for causes that no record speaks of and that would weigh more than those found. */
function forDrivers(s: Story, { list, all }: DiagnosisResult, taken: ReadonlySet<CheckCode>): NextCheck[] {
  const leader = list[0];
  if (!leader || leader.probability < CLEAR_FROM) return [];
  const candidate = all.find((c) => c.row.code === leader.disorder)!;
  const heaviest = Math.max(0, ...candidate.found.map(driverWeight));
  const gains = new Map<CheckCode, number>();
  for (const { link, verdict } of candidate.unknown) {
    if (!verdict.check || taken.has(verdict.check) || link.weight <= heaviest) continue;
    const row = CHECKS.find((c) => c.code === verdict.check)!;
    if (row.answers.length > 0 && !open(s, row)) continue;
    gains.set(verdict.check, (gains.get(verdict.check) ?? 0) + link.weight * entropyBits([UNSEEN_DRIVER]));
  }
  return [...gains].map(([check, gain]) => ({ check, gain: three(gain), splits: [leader.disorder] }));
}
