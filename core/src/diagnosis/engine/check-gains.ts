import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import { type SignCode, signRow } from '../../records/vocabulary/signs.js';
import { roundTo } from '../../units/rounding.js';
import type { CaseContext } from '../context.js';
import { FACTS } from '../facts.js';
import { type CheckCode, type CheckRow, CHECKS, shownBy } from '../tables/checks.js';
import { remedyRow } from '../tables/remedies.js';
import { USUALLY } from '../tables/strengths.js';
import { CLEAR_FROM, type DiagnosisResult } from './diagnose.js';
import { type Candidate, causesOf, LEAKS, observedOf, signIndex } from './network.js';
import { entropyBits, type LikelySet, likelySets } from './noisy-or.js';
import { provingChecks } from './proofs.js';
import { chancesUnder, type CheckOutcome, combinations, type Likelihood, noneOf, openOutcomes } from './outcomes.js';
import { at, must } from '../../units/lists.js';

/** A check worth doing, what it would settle and how much. */
export interface NextCheck {
  check: CheckCode;
  /** expected fall in entropy, bits */
  gain: number;
  /** chance that it changes what to do */
  changes: number;
  splits: DisorderCode[];
  /** what it may show here, most likely first, and what to record then */
  mayShow: CheckOutcome[];
}

const LEAST_GAIN = 0.01;
/** With a leader this certain and its causes known, a check must add more than the last hundredths. */
const SETTLED_FROM = 0.9;
const SETTLED_GAIN = 0.05;
/** Once something is clear, a check must change what to do at least this often (judgement). */
const LEAST_CHANGE = 0.1;
/** From here on not even the mark of its own is looked for (judgement: "almost certain"). */
const CERTAIN = 0.97;
/** Most outcomes named beside a check, plus "none of these". */
const MOST_NAMED = 6;
/** Number of a check's signs computed jointly; the work doubles with each. */
const JOINTLY = 4;

/** Returns whether this check makes sense on this plant and can still show something. */
export function isOpen(ctx: CaseContext, check: CheckRow): boolean {
  if (check.needs && !check.needs.some((sign) => ctx.present.has(sign))) return false;
  if (!(check.onlyWhile ?? []).every((fact) => FACTS[fact](ctx))) return false;
  // one of several exclusive outcomes was already recorded
  if (check.oneOf && shownBy(check).some((sign) => ctx.present.has(sign))) return false;
  return true;
}

/**
 * Returns what each open check would tell about these problems. With one outcome out of several: the expected fall in
 * entropy. With several possible at once: the same over all combinations of the few most telling ones, a lower bound
 * for all of them. Checks that tell too little are left out and, once something is clear, those of which no likely
 * outcome would change the advice.
 */
export function checkGains(ctx: CaseContext, result: DiagnosisResult, asked: readonly Candidate[]): NextCheck[] {
  const causes = causesOf(asked);
  const leaks = leaksWith(result, (c) => !asked.includes(c));
  const sets = likelySets(causes, leaks, observedOf(ctx.present, ctx.absent));
  const chances = chancesUnder(sets, causes, leaks);
  const before = marginalsOf(sets, asked.length, null).marginals;
  const bitsBefore = entropyBits(before);
  const advice = adviceOf(asked);
  const now = advice(before);
  const marks = ownMarks(ctx, result);
  const proving = provingChecks(ctx, result);
  const settled = isSettled(result);
  const certain = isCertain(result);

  const judge = (findings: readonly Pick<CheckOutcome, 'present' | 'absent'>[]): Judged => {
    const outcomes = findings.map((f) => marginalsOf(sets, asked.length, chances.likelihood(f)));
    const sum = outcomes.reduce((total, o) => total + o.chance, 0);
    const parts = outcomes.filter((o) => o.chance > 0).map((o) => ({ ...o, chance: o.chance / sum }));
    const gain = bitsBefore - parts.reduce((h, o) => h + o.chance * entropyBits(o.marginals), 0);
    return { parts, gain: Math.max(0, gain) };
  };
  const single = new Map<SignCode, number>();
  const singleGain = (sign: SignCode): number => {
    if (!single.has(sign)) single.set(sign, judge(combinations([sign])).gain);
    return must(single.get(sign));
  };

  const mostTelling = (signs: SignCode[]): SignCode[] =>
    signs.length <= JOINTLY ? signs : signs.sort((a, b) => singleGain(b) - singleGain(a)).slice(0, JOINTLY);

  return CHECKS.filter((c) => isOpen(ctx, c)).flatMap((c: CheckRow & { code: CheckCode }): NextCheck[] => {
    const open = openOutcomes(c, ctx);
    if (open.length === 0) return [];
    const { parts, gain } = judge(c.oneOf ? open : combinations(mostTelling(open.flatMap((f) => f.present))));
    const changes = parts.reduce((sum, o) => sum + (advice(o.marginals) === now ? 0 : o.chance), 0);
    const advises = now === '' || changes >= LEAST_CHANGE;
    const isMark = open.some((f) => f.present.some((sign) => marks.has(sign)));
    // look for the leader's own mark before any treatment, unless all is settled and it would add nothing
    const marked =
      proving.includes(c.code) ||
      (!certain && tellsOf(ctx, c)) ||
      (isMark && !certain && (!settled || gain >= LEAST_GAIN));
    if (!marked && !(advises && gain >= (settled ? SETTLED_GAIN : LEAST_GAIN))) return [];
    const moved = asked
      .map(({ row }, i) => ({
        code: row.code,
        spread: Math.sqrt(parts.reduce((sum, o) => sum + o.chance * (at(o.marginals, i) - at(before, i)) ** 2, 0)),
      }))
      .sort((a, b) => b.spread - a.spread)
      .filter((x, i) => i === 0 || x.spread > 0.02);
    const chance = new Map(open.map((f) => [f, marginalsOf(sets, 0, chances.likelihood(f)).chance]));
    const named = [...open].sort((a, b) => must(chance.get(b)) - must(chance.get(a))).slice(0, MOST_NAMED);
    return [
      {
        check: c.code,
        gain: roundTo(gain, 3),
        changes: roundTo(changes, 3),
        splits: moved.slice(0, 4).map((x) => x.code),
        mayShow: c.oneOf ? named : [...named, noneOf(c, open)],
      },
    ];
  });
}

interface Judged {
  /** the outcomes with their chances (sum 1), and the belief after each */
  parts: { chance: number; marginals: number[] }[];
  /** bits */
  gain: number;
}

/** Returns marginals over the likely sets once something more is found, and the chance of finding it. */
function marginalsOf(
  sets: readonly LikelySet[],
  of: number,
  likelihood: Likelihood | null,
): { chance: number; marginals: number[] } {
  const marginals = new Array<number>(of).fill(0);
  let chance = 0;
  for (let k = 0; k < sets.length; k++) {
    const { members, share } = at(sets, k);
    const w = likelihood ? share * at(likelihood, k) : share;
    chance += w;
    if (of > 0) for (const i of members) marginals[i]! += w;
  }
  return { chance, marginals: chance > 0 ? marginals.map((x) => x / chance) : marginals };
}

/** The advice depends on what is clear and, where a remedy needs more certainty, on that. */
function adviceOf(asked: readonly Candidate[]): (marginals: readonly number[]) => string {
  const steps = asked.map(({ row }) => [
    CLEAR_FROM,
    ...row.remedies.flatMap((r) => remedyRow(r.remedy).sureFrom ?? []),
  ]);
  return (m) =>
    m.flatMap((p, i) => (p >= CLEAR_FROM ? [`${i}:${at(steps, i).filter((step) => p >= step).length}`] : [])).join(' ');
}

/** Returns the leaks, with problems no one asked about folded in at their present chance (mean field). */
function leaksWith({ all, marginals }: DiagnosisResult, folded: (c: Candidate) => boolean): number[] {
  const silent = LEAKS.map((leak) => 1 - leak);
  all.forEach((c, i) => {
    if (folded(c)) for (const [sign, chance] of c.row.signs) silent[signIndex(sign)]! *= 1 - at(marginals, i) * chance;
  });
  return silent.map((q) => 1 - q);
}

/** Returns whether a check is the look that tells most about something seen. */
export const tellsOf = (ctx: CaseContext, { tells }: CheckRow): boolean =>
  tells?.some((sign) => ctx.present.has(sign)) ?? false;

/** True if the leader is almost certain. */
export const isCertain = ({ list }: DiagnosisResult): boolean => (list[0]?.probability ?? 0) >= CERTAIN;

/** True if the problem is clear and the records explain it: no check is needed then. */
export function isSettled({ list, all }: DiagnosisResult): boolean {
  const leader = list[0];
  if (!leader || leader.probability <= SETTLED_FROM) return false;
  const candidate = all.find((c) => c.row.code === leader.disorder);
  return candidate !== undefined && candidate.found.length > 0 && candidate.unknown.length === 0;
}

/**
 * Returns the leader's nearly constant signs that no one has looked for: no finding is treated before its own mark
 * was looked for, however well the rest fits.
 */
function ownMarks(ctx: CaseContext, { list, all }: DiagnosisResult): Set<SignCode> {
  const leader = all.find((c) => c.row.code === list[0]?.disorder);
  if (!leader) return new Set();
  const usual = leader.row.signs.filter(([, chance]) => chance >= USUALLY).map(([sign]) => sign);
  return new Set(
    usual.filter((sign) => signRow(sign).kind === 'sign' && !ctx.present.has(sign) && !ctx.absent.has(sign)),
  );
}
