import { isCircumstance, isSymptom, type SignCode, signRow } from '../../records/vocabulary/signs.js';
import { roundTo } from '../../units/rounding.js';
import type { CaseContext } from '../context.js';
import { type CheckCode, checkRow, CHECKS, shownBy } from '../tables/checks.js';
import { checkGains, isCertain, isOpen, type NextCheck, tellsOf } from './check-gains.js';
import { CLEAR_FROM, type DiagnosisResult } from './diagnose.js';
import { type Candidate, driverWeight } from './network.js';
import { entropyBits } from './noisy-or.js';
import { provingChecks } from './proofs.js';
import { at, first, must } from '../../units/lists.js';

const MOST_CHECKS = 5;
/** Chance that a cause not yet looked for is there, while its check is open (judgement). */
const UNSEEN_DRIVER = 0.25;
/** A problem no one reported is looked for when the records alone make it this likely (judgement). */
const SUSPECTED_FROM = 0.1;
/** Beside a clear finding, only a problem this likely from the records is worth another look. */
const SUSPECTED_BESIDE = 0.25;

/**
 * Returns the most informative checks over the problems that could explain the signs and, once one is settled, over
 * its causes. With those settled too, over what the records alone make likely.
 */
export function nextChecks(ctx: CaseContext, result: DiagnosisResult): NextCheck[] {
  const { all, list, marginals } = result;
  // the soil alone asks for nothing; a place on the plant asks what is there
  if (list.length === 0 && ![...ctx.present].some((sign) => isSymptom(sign) || isCircumstance(sign))) return [];
  const pointedAt = all.filter((c) => c.row.signs.some(([sign]) => ctx.present.has(sign)));
  const isClear = (list[0]?.probability ?? 0) >= CLEAR_FROM;
  const suspect = isClear ? SUSPECTED_BESIDE : SUSPECTED_FROM;
  const suspected = all.filter((_, i) => at(marginals, i) >= suspect);
  // a circumstance may point to a problem through a driver alone: still air at the flowers, to flower drop
  const through = all.filter((c) => c.found.some((f) => f.verdict.because.some((b) => b.record === 'sign')));
  const listed = all.filter((c) => list.some((d) => d.disorder === c.row.code));
  // problems that no present sign points to are not screened first
  const asked = [pointedAt, through, listed].find((l) => l.length > 0);
  if (!asked) return [];
  const narrow = checkGains(ctx, result, asked);
  const proving = provingChecks(ctx, result);
  const told = isVague(list, narrow) ? checkGains(ctx, result, broadened(result, asked)) : narrow;
  const byDisorder = isCertain(result) ? told.filter((c) => isStillOpen(result, proving, c)) : told;
  const byDriver = forDrivers(ctx, result, new Set(byDisorder.map((c) => c.check)));
  const found = [...byDisorder, ...byDriver];
  const ordered = gentlestFirst(found.length > 0 || isCertain(result) ? found : checkGains(ctx, result, suspected));
  // what is clear already needs its own mark, not the look that would have told it from others
  const telling = (list[0]?.probability ?? 0) < SURE ? ordered.filter((c) => tellsOf(ctx, checkRow(c.check))) : [];
  const first = [...proving, ...telling.map((c) => c.check)];
  return proofsFirst(ordered, first).slice(0, MOST_CHECKS);
}

/** From here on the telling look is not put first any more (judgement: "very likely"). */
const SURE = 0.8;
/** A rival that explains what was seen is open between these chances (judgement). */
const OPEN = [0.2, 0.9] as const;

/** Beside an almost certain finding only what a remedy waits for, or what tells of an open rival, is asked. */
const isStillOpen = ({ list }: DiagnosisResult, proving: readonly CheckCode[], c: NextCheck): boolean =>
  proving.includes(c.check) ||
  list.some(
    (d) =>
      d.explains.length > 0 && d.probability >= OPEN[0] && d.probability < OPEN[1] && c.splits.includes(d.disorder),
  );

/** Below this gain nothing seen points to a problem that a look would tell apart. */
const VAGUE_GAIN = 0.3;
const isVague = (list: DiagnosisResult['list'], gains: readonly NextCheck[]): boolean =>
  (list[0]?.probability ?? 0) < CLEAR_FROM && gains.every((c) => c.gain < VAGUE_GAIN);

/** Number of likely problems a wide look covers. */
const MOST_BROADENED = 14;
function broadened({ all, marginals }: DiagnosisResult, asked: readonly Candidate[]): Candidate[] {
  const likeliest = all
    .map((c, i) => ({ c, p: at(marginals, i) }))
    .sort((a, b) => b.p - a.p)
    .slice(0, MOST_BROADENED)
    .map((x) => x.c);
  return [...new Set([...asked, ...likeliest])];
}

/** Values closer than this are a tie: the chances behind them are no finer. */
const TIE = 0.05;
const ORDER = new Map(CHECKS.map((c, i) => [c.code, i]));

/**
 * Value of a check for its effort: what it tells, more so the likelier it changes what to do. Digging at the roots of a
 * drooping plant comes after a finger in its soil. What it tells still counts a little where it changes nothing yet: two
 * looks may together (judgement; chosen by the told cases).
 */
const WORTH = [1, 0.95, 0.75] as const;
const TELLS = 0.2;
const worth = (c: NextCheck): number => c.gain * (TELLS + c.changes) * WORTH[effort(c)];

/**
 * Sorts by gain per effort. In a tie with the best: least effort, then the narrower look, then gain, then table
 * order.
 */
function gentlestFirst(list: readonly NextCheck[]): NextCheck[] {
  const left = [...list].sort((a, b) => worth(b) - worth(a));
  const out: NextCheck[] = [];
  while (left.length > 0) {
    const tied = left.filter((c) => worth(first(left)) - worth(c) < TIE);
    const next = tied.reduce((a, b) =>
      (effort(b) - effort(a) ||
        narrower(a, b) ||
        a.gain - b.gain ||
        must(ORDER.get(b.check)) - must(ORDER.get(a.check))) < 0
        ? b
        : a,
    );
    out.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return out;
}

/** Puts the checks a remedy waits for first. */
const proofsFirst = (list: readonly NextCheck[], proving: readonly CheckCode[]): NextCheck[] => [
  ...proving.flatMap((code) => list.find((c) => c.check === code) ?? []),
  ...list.filter((c) => !proving.includes(c.check)),
];

/** Gains this close are equal, bits: the look at fewer things is quicker. */
const SAME = 0.02;
const breadth = (c: NextCheck): number => shownBy(checkRow(c.check)).length;
const narrower = (a: NextCheck, b: NextCheck): number =>
  Math.abs(a.gain - b.gain) < SAME ? breadth(b) - breadth(a) : 0;
const effort = (c: NextCheck): 0 | 1 | 2 => checkRow(c.check).effort;

/** Once the problem is clear: checks for unrecorded causes that would outweigh those found. */
function forDrivers(ctx: CaseContext, { list, all }: DiagnosisResult, taken: ReadonlySet<CheckCode>): NextCheck[] {
  const leader = list[0];
  if (!leader || leader.probability < CLEAR_FROM) return [];
  const candidate = must(all.find((c) => c.row.code === leader.disorder));
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
  return [...gains].map(([check, gain]) => ({
    check,
    gain: roundTo(gain, 3),
    changes: UNSEEN_DRIVER,
    splits: [leader.disorder],
    mayShow: [],
  }));
}
