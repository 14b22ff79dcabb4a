import { seeded } from '../climate/random.js';
import { diagnose } from '../diagnosis/engine/diagnose.js';
import { nextChecks } from '../diagnosis/engine/next-checks.js';
import { isOpen } from '../diagnosis/engine/check-gains.js';
import { type CheckCode, CHECKS } from '../diagnosis/tables/checks.js';
import { disorderRow } from '../diagnosis/tables/disorders.js';
import { fits } from '../diagnosis/remedies/offer.js';
import { type RemedyCode, remedyRow } from '../diagnosis/tables/remedies.js';
import { type DriverCode } from '../diagnosis/vocabulary/drivers.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { contextAfter, explainsFirst, type Practice } from './draw.js';
import { truthOf } from './truth.js';
import { at } from '../units/lists.js';

/** What can be answered, and what can still be checked. */
export interface Choices {
  troubles: DisorderCode[];
  /** causes; "nothing in the records" is always one more */
  causes: DriverCode[];
  acts: RemedyCode[];
  checks: CheckCode[];
}

const MOST_TROUBLES = 6;
const MOST_CAUSES = 5;
const MOST_ACTS = 5;

/** Returns the same choices for everyone with this plant, whatever they checked: in an order that reveals nothing. */
export function choicesOf(practice: Practice, done: readonly CheckCode[]): Choices {
  const first = diagnose(contextAfter(practice, []));
  const ctx = contextAfter(practice, done);
  const truth = truthOf(practice);
  const likely = first.all
    .map((c, i) => ({ code: c.row.code, p: at(first.marginals, i), explains: explainsFirst(practice, c.row) }))
    .sort((a, b) => Number(b.explains) - Number(a.explains) || b.p - a.p)
    .map((x) => x.code);
  const lookAlikes = Object.keys(disorderRow(practice.trouble).lookAlikes) as DisorderCode[];
  const others = unique([...likely.slice(0, MOST_TROUBLES - 2), ...lookAlikes, ...likely]).filter(
    (code) => code !== practice.trouble,
  );
  const troubles = [practice.trouble, ...others.slice(0, MOST_TROUBLES - 1)];
  const linked = troubles.flatMap((code) => disorderRow(code).drivers.map((d) => d.driver));
  const causes = unique([...truth.causes.slice(0, 1), ...linked]).slice(0, MOST_CAUSES);
  const remedies = troubles
    .slice(1)
    .flatMap((code) => disorderRow(code).remedies.map((r) => r.remedy))
    .filter((r) => fits(ctx, remedyRow(r)));
  const acts = unique([...(truth.firstAct ? [truth.firstAct] : []), ...everyOther(remedies)]).slice(0, MOST_ACTS);
  const shuffled = inNoOrder(practice.seed);
  const asked = nextChecks(ctx, diagnose(ctx)).map((c) => c.check);
  const open = CHECKS.filter((c) => !done.includes(c.code) && c.answers.length > 0 && isOpen(ctx, c)).map(
    (c) => c.code,
  );
  return {
    troubles: shuffled(troubles),
    causes: shuffled(causes),
    acts: shuffled(acts),
    // in handbook order: which check is worth it is the question
    checks: open.length > 0 ? open : asked,
  };
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)];
/** Spreads problems: every second of the list first. */
const everyOther = <T>(list: readonly T[]): T[] => [
  ...list.filter((_, i) => i % 2 === 0),
  ...list.filter((_, i) => i % 2 === 1),
];

/** Shuffles by the plant's own seed (Fisher and Yates). */
function inNoOrder(seed: number): <T>(list: readonly T[]) => T[] {
  const random = seeded(seed + 101);
  return (list) => {
    const out = [...list];
    for (let i = out.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [out[i], out[j]] = [at(out, j), at(out, i)];
    }
    return out;
  };
}
