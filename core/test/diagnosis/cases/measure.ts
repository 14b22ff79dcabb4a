import { type Report, reportOn } from '@candid-leaf/core/assessment';
import { checkRow, shownBy } from '@candid-leaf/core/diagnosis';
import { isCircumstance, isSymptom, type SignCode } from '@candid-leaf/core/records';
import { look } from './look.js';
import { caseOf, type SampleCase } from './sample-case.js';

export interface Outcome {
  sample: SampleCase;
  report: Report;
  first: boolean;
  within: boolean;
  driver: boolean;
  harm: string[];
  /** the same case without its most telling sign */
  hidden: { sign: string; within: boolean | null; wronglySure: boolean; uncovers: boolean | null } | null;
}

type Listed = Pick<Report, 'diagnosis'>;
const rank = (r: Listed, disorder: string): number => r.diagnosis.findIndex((d) => d.disorder === disorder);

/** With two truths both must lead, in either order; within: both among the first three. */
function placed(r: Listed, t: SampleCase): { first: boolean; within: boolean } {
  const ranks = t.truth.map((d) => rank(r, d));
  return { first: ranks.every((x) => x >= 0 && x < t.truth.length), within: ranks.every((x) => x >= 0 && x < 3) };
}

/**
 * What cannot be told from what is there must stay open, and ask for what would tell; where two or more could be it, one of
 * them leads.
 */
const leftOpen = (r: Report, t: SampleCase): boolean =>
  (r.diagnosis[0]?.probability ?? 0) < 0.8 && (t.ask ?? []).some((c) => c === r.nextChecks[0]?.check);

/** Right: the truth leads and is stated; or, where nobody could tell, nothing is, and the right check is asked for first. */
export const isRight = ({ sample: t, report: r, first }: Outcome): boolean =>
  t.ask ? leftOpen(r, t) : (first || t.truth.includes(r.diagnosis[0]!.disorder)) && r.diagnosis[0]!.probability >= 0.5;

function driverAmongTwo(r: Report, t: SampleCase): boolean {
  if (!t.driver) return true;
  return r.diagnosis
    .filter((d) => t.truth.includes(d.disorder))
    .some((d) => d.drivers.slice(0, 2).some((x) => x.driver === t.driver));
}

const ALMOST_CERTAIN = 0.97;
function isCertain({ diagnosis: [leader] }: Listed, t: SampleCase): boolean {
  return leader !== undefined && leader.probability >= ALMOST_CERTAIN && t.truth.includes(leader.disorder);
}

const chanceOf = (list: Report['diagnosis'], t: SampleCase): number =>
  list.reduce((sum, d) => sum + (t.truth.includes(d.disorder) ? d.probability : 0), 0);

/** The present sign whose absence costs the truth (both truths together) most. */
function withoutTheMostTelling(t: SampleCase): Outcome['hidden'] {
  const present = t.signs.filter((s) => !s.startsWith('-'));
  if (present.length < 2 || t.ask) return null;
  const rest = (sign: string) => t.signs.filter((s) => s !== sign);
  const left = new Map(present.map((s) => [s, chanceOf(look(t, rest(s)).diagnosis, t)]));
  const sign = present.reduce((a, b) => (left.get(b)! < left.get(a)! ? b : a));
  // where it was the only thing reported, nothing is asked any more
  const reported = rest(sign).filter((x): x is SignCode => !x.startsWith('-'));
  if (!reported.some((x) => isSymptom(x) || isCircumstance(x))) return null;
  const r = look(t, rest(sign));
  const leader = r.diagnosis[0];
  const proposed = r.nextChecks().slice(0, 2);
  return {
    sign,
    // without a symptom there is no finding, only a question
    within: reported.some(isSymptom) ? placed(r, t).within : null,
    wronglySure: leader !== undefined && leader.probability >= 0.8 && !t.truth.includes(leader.disorder),
    // what is almost certain all the same needs no more looks
    uncovers: isCertain(r, t) ? null : proposed.some((c) => shownBy(checkRow(c.check)).includes(sign as SignCode)),
  };
}

export function measure(t: SampleCase): Outcome {
  const report = reportOn(caseOf(t));
  return {
    sample: t,
    report,
    ...placed(report, t),
    driver: driverAmongTwo(report, t),
    harm: report.remedies.map((r) => r.remedy as string).filter((r) => t.never?.includes(r)),
    hidden: withoutTheMostTelling(t),
  };
}

const share = (part: number, of: number): string =>
  of === 0 ? '  –  ' : `${((100 * part) / of).toFixed(0).padStart(3)} %`;

/** Right: the first act is for what it is; where nothing ails it, nothing more than to watch or to eat is asked. */
export function remedyIsRight({ sample: t, report: r }: Outcome): boolean {
  if (t.ask) return true;
  const [first] = r.remedies;
  if (t.act) return first !== undefined && t.act.includes(first.remedy);
  // what is held back says so, and why
  if (!first) return r.withheld.some((w) => t.truth.includes(w.forDisorder));
  return t.truth.includes(first.forDisorder) && !t.never?.includes(first.remedy);
}

/**
 * Expected calibration error over ten bins (Naeini, Cooper & Hauskrecht 2015): how far the chance that is stated lies from
 * the share that is right, weighted by the cases of each bin.
 */
export function calibrationError(list: readonly Outcome[]): number {
  const bins = Array.from({ length: 10 }, () => ({ n: 0, stated: 0, right: 0 }));
  const told = list.filter((o) => !o.sample.ask && o.report.diagnosis[0]);
  for (const { sample, report } of told) {
    const leader = report.diagnosis[0]!;
    const bin = bins[Math.min(9, Math.floor(leader.probability * 10))]!;
    bin.n += 1;
    bin.stated += leader.probability;
    bin.right += sample.truth.includes(leader.disorder) ? 1 : 0;
  }
  return bins.reduce((sum, b) => sum + Math.abs(b.stated - b.right), 0) / told.length;
}

/** What is asked: reports that are almost certain and ask all the same, and the check that is asked for most. */
export function asking(list: readonly Outcome[]): { certain: number; stillAsk: number; most: string; of: number } {
  const certain = list.filter((o) => (o.report.diagnosis[0]?.probability ?? 0) >= 0.97);
  const counts = new Map<string, number>();
  for (const o of list) for (const c of o.report.nextChecks) counts.set(c.check, (counts.get(c.check) ?? 0) + 1);
  const [most, of] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['none', 0];
  return { certain: certain.length, stillAsk: certain.filter((o) => o.report.nextChecks.length > 0).length, most, of };
}

/** Pairs of which every member is right. */
export function pairsRight(list: readonly Outcome[]): { right: number; all: number; wrong: string[] } {
  const names = [...new Set(list.flatMap((o) => o.sample.pair ?? []))];
  const wrong = names.filter((name) => !list.filter((o) => o.sample.pair === name).every(isRight));
  return { right: names.length - wrong.length, all: names.length, wrong };
}

/** Shares per group as a table. */
export function table(list: readonly Outcome[]): string {
  const groups = [...new Set(list.map((o) => o.sample.group)), 'all'];
  const line = (name: string) => {
    const own = list.filter((o) => name === 'all' || o.sample.group === name);
    const told = own.filter((o) => !o.sample.ask);
    const hidden = own.flatMap((o) => (o.hidden ? [o.hidden] : []));
    return [
      name.padEnd(24),
      String(own.length).padStart(5),
      share(told.filter((o) => o.first).length, told.length),
      share(told.filter((o) => o.within).length, told.length),
      share(own.filter((o) => o.driver).length, own.length),
      String(own.filter((o) => o.harm.length > 0).length).padStart(4),
      share(hidden.filter((h) => h.within).length, hidden.filter((h) => h.within !== null).length),
      share(hidden.filter((h) => h.wronglySure).length, hidden.length),
      share(hidden.filter((h) => h.uncovers).length, hidden.filter((h) => h.uncovers !== null).length),
    ].join('  ');
  };
  const pairs = pairsRight(list);
  const asks = asking(list);
  return [
    'group                    cases  first  in 3   driver  harm  | one telling sign hidden: in 3, wrongly sure, uncovered by one of two checks',
    ...groups.map(line),
    `pairs of the same signs, told apart by records: every member right in ${pairs.right} of ${pairs.all}`,
    `the first remedy is for what it is in ${share(list.filter(remedyIsRight).length, list.length)}; the chance stated lies ${calibrationError(list).toFixed(3)} below the share that is right, as each told case is decided`,
    `of ${asks.certain} almost certain findings ${asks.stillAsk} still ask; ${asks.most} is asked for in ${asks.of} of ${list.length} reports`,
  ].join('\n');
}
