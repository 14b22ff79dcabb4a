import { checkGains } from '../diagnosis/engine/check-gains.js';
import { diagnose, type DiagnosisResult } from '../diagnosis/engine/diagnose.js';
import { entropyBits } from '../diagnosis/engine/noisy-or.js';
import type { CheckCode } from '../diagnosis/tables/checks.js';
import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { RemedyCode } from '../diagnosis/tables/remedies.js';
import type { DriverCode } from '../diagnosis/vocabulary/drivers.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import type { SignCode } from '../records/vocabulary/signs.js';
import type { Formatter } from '../units/formatter.js';
import { chanceOf, contextAfter, explainsFirst, type Practice, shows } from './draw.js';
import { CHECK_MINUTES } from './prices.js';
import { type Truth, truthOf } from './truth.js';
import { at, first, last } from '../units/lists.js';

/** An answer to a practice plant. */
export interface Guess {
  trouble: DisorderCode;
  /** certainty, percent */
  surePct: number;
  /** null: nothing in the records explains it */
  cause: DriverCode | null;
  /** null: nothing needs doing */
  act: RemedyCode | null;
}

/** A check made in practice, with its time and what it resolved. */
export interface CheckMade {
  check: CheckCode;
  minutes: number;
  present: SignCode[];
  /**
   * what it told: the fall in entropy over the possible causes of what is visible, bits; below 0 if it made things
   * less clear
   */
  bits: number;
}

/** The judgement of a practice answer. */
export interface Judged {
  /** the true problem */
  trouble: DisorderCode;
  right: boolean;
  causeRight: boolean;
  actRight: boolean;
  minutes: number;
  truth: Truth;
  /** chance of the true problem at first sight and after the checks made */
  chanceAtFirst: number;
  chanceAfter: number;
  checks: CheckMade[];
  /** the most informative check for its time among those not made; null if it was clear */
  missed: { check: CheckCode; minutes: number; bits: number } | null;
  /** the likeliest wrong answer at first sight, with what tells them apart */
  misled: { disorder: DisorderCode; chance: number; tell: string | null } | null;
}

/** Below this chance nothing misled. */
const MISLEADS_FROM = 0.05;

/** Returns how good a practice answer was: problem, cause, act and time. */
export function judge(practice: Practice, done: readonly CheckCode[], guess: Guess, format?: Formatter): Judged {
  const truth = truthOf(practice, format);
  const results = [...done.keys(), done.length].map((n) => diagnose(contextAfter(practice, done.slice(0, n))));
  const firstLook = first(results);
  const lastLook = last(results);
  // only over causes of what is visible: ruling out what no one considered is not its worth
  const asked = firstLook.all.flatMap((c, i) => (explainsFirst(practice, c.row) ? [i] : []));
  const open = results.map((r) => entropyBits(asked.map((i) => at(r.marginals, i))));
  const checks = done.map((check, i) => ({
    check,
    minutes: CHECK_MINUTES[check],
    present: shows(practice, check).present,
    bits: at(open, i) - at(open, i + 1),
  }));
  return {
    trouble: practice.trouble,
    right: guess.trouble === practice.trouble,
    causeRight:
      truth.causes.length === 0 ? guess.cause === null : guess.cause !== null && truth.causes.includes(guess.cause),
    actRight: truth.firstAct === null ? guess.act === null : guess.act !== null && truth.alsoFirst.includes(guess.act),
    minutes: checks.reduce((sum, c) => sum + c.minutes, 0),
    truth,
    chanceAtFirst: chanceOf(firstLook, practice.trouble),
    chanceAfter: chanceOf(lastLook, practice.trouble),
    checks,
    missed: missed(practice, done, lastLook),
    misled: misled(practice, firstLook),
  };
}

function missed(practice: Practice, done: readonly CheckCode[], last: DiagnosisResult): Judged['missed'] {
  const ctx = contextAfter(practice, done);
  const pointedAt = last.all.filter((c) => c.row.signs.some(([sign]) => ctx.present.has(sign)));
  const open = checkGains(ctx, last, pointedAt).filter((c) => !done.includes(c.check));
  const best = open.sort((a, b) => b.gain / CHECK_MINUTES[b.check] - a.gain / CHECK_MINUTES[a.check])[0];
  return best ? { check: best.check, minutes: CHECK_MINUTES[best.check], bits: best.gain } : null;
}

function misled(practice: Practice, first: DiagnosisResult): Judged['misled'] {
  const wrong = first.list.filter((d) => d.disorder !== practice.trouble && d.explains.length > 0);
  const likeliest = wrong.sort((a, b) => b.probability - a.probability)[0];
  if (!likeliest || likeliest.probability < MISLEADS_FROM) return null;
  const tell =
    disorderRow(practice.trouble).lookAlikes[likeliest.disorder] ??
    disorderRow(likeliest.disorder).lookAlikes[practice.trouble] ??
    null;
  return { disorder: likeliest.disorder, chance: likeliest.probability, tell };
}
