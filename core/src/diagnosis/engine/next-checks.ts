import { type SignCode, signRow } from '../../records/vocabulary/signs.js';
import { roundTo } from '../../units/rounding.js';
import type { CaseContext } from '../context.js';
import { type CheckCode, checkRow, CHECKS, shownBy } from '../tables/checks.js';
import { checkGains, isOpen, type NextCheck } from './check-gains.js';
import { CLEAR_FROM, type DiagnosisResult } from './diagnose.js';
import { driverWeight } from './network.js';
import { entropyBits } from './noisy-or.js';

const MOST_CHECKS = 5;
/** Chance that a cause nobody has looked for is there, where its check is still open (judgement). */
const UNSEEN_DRIVER = 0.25;
/** A trouble that nobody reported is looked for when the records alone make it this likely (judgement). */
const SUSPECTED_FROM = 0.15;

/**
 * The checks that would tell most, by expected information over the disorders that could have caused what was seen and,
 * once one is settled, over what drove it. With all of that settled, the look goes on to what the records alone make likely.
 */
export function nextChecks(ctx: CaseContext, result: DiagnosisResult): NextCheck[] {
  const { all, list, marginals } = result;
  if (list.length === 0) return [];
  const pointedAt = all.filter((c) => c.row.signs.some(([sign]) => ctx.present.has(sign)));
  const suspected = all.filter((_, i) => marginals[i]! >= SUSPECTED_FROM);
  // a circumstance may point through a driver alone: still air at the flowers, to flowers that fall
  const through = all.filter((c) => c.found.some((f) => f.verdict.because.some((b) => b.record === 'sign')));
  const listed = all.filter((c) => list.some((d) => d.disorder === c.row.code));
  // a trouble that none of the present signs points to is not screened for first
  const byDisorder = checkGains(
    ctx,
    result,
    [pointedAt, through, listed].find((l) => l.length > 0)!,
  );
  const byDriver = forDrivers(ctx, result, new Set(byDisorder.map((c) => c.check)));
  const found = [...byDisorder, ...byDriver];
  return gentlestFirst(found.length > 0 ? found : checkGains(ctx, result, suspected)).slice(0, MOST_CHECKS);
}

/** Gains closer than this are a tie, bits: the chances behind them are no finer. */
const TIE = 0.05;
const ORDER = new Map(CHECKS.map((c, i) => [c.code, i]));

/** By gain; among those that tie with the best that is left, the least effort, then the handbook's order, quickest first. */
function gentlestFirst(list: readonly NextCheck[]): NextCheck[] {
  const left = [...list].sort((a, b) => b.gain - a.gain);
  const out: NextCheck[] = [];
  while (left.length > 0) {
    const tied = left.filter((c) => left[0]!.gain - c.gain < TIE);
    const next = tied.reduce((a, b) =>
      (effort(b) - effort(a) || ORDER.get(b.check)! - ORDER.get(a.check)!) < 0 ? b : a,
    );
    out.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return out;
}

const effort = (c: NextCheck): number => checkRow(c.check).effort;

/** Once it is clear what it is: checks for causes that no record speaks of and that would weigh more than those found. */
function forDrivers(ctx: CaseContext, { list, all }: DiagnosisResult, taken: ReadonlySet<CheckCode>): NextCheck[] {
  const leader = list[0];
  if (!leader || leader.probability < CLEAR_FROM) return [];
  const candidate = all.find((c) => c.row.code === leader.disorder)!;
  const heaviest = Math.max(0, ...candidate.found.map(driverWeight));
  const gains = new Map<CheckCode, number>();
  for (const { link, verdict } of candidate.unknown) {
    if (!verdict.check || taken.has(verdict.check) || link.weight <= heaviest) continue;
    const row = checkRow(verdict.check);
    const known = (sign: SignCode): boolean =>
      ctx.present.has(sign) ||
      ctx.absent.has(sign) ||
      (!!signRow(sign).crop && signRow(sign).crop !== ctx.case.plant.crop);
    if (row.answers.length > 0 && (!isOpen(ctx, row) || shownBy(row).every(known))) continue;
    gains.set(verdict.check, (gains.get(verdict.check) ?? 0) + link.weight * entropyBits([UNSEEN_DRIVER]));
  }
  return [...gains].map(([check, gain]) => ({ check, gain: roundTo(gain, 3), splits: [leader.disorder], mayShow: [] }));
}
