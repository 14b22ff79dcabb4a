import { checkRow, type Diagnosis, shownBy } from '@candid-leaf/core/diagnosis';
import { impliedAbsent, isCircumstance, type SignCode, signRow } from '@candid-leaf/core/records';
import { look } from './look.js';
import type { SampleCase } from './sample-case.js';

export interface Played {
  sample: SampleCase;
  asked: string[];
  /** checks until the truth led as likely; null if it did not */
  needed: number | null;
  leader: Diagnosis | undefined;
  first: boolean;
  wronglySure: boolean;
}

const ROUNDS = 3;

/**
 * Somebody reports one sign and nothing else, does the check that is proposed first, says what it shows, and asks again, three times.
 * What the teller did not see is not there when it is looked for; which of several exclusive things it is, only the teller knows.
 */
export function play(t: SampleCase): Played | null {
  const truth = new Set(t.signs.filter((s): s is SignCode => !s.startsWith('-')));
  const begin = [...truth].find((s) => signRow(s).kind === 'sign') ?? [...truth].find(isCircumstance);
  if (!begin) return null;
  const told = new Map<SignCode, boolean>([[begin, true]]);
  const asked: string[] = [];
  const say = () =>
    look(
      t,
      [...told].map(([s, present]) => (present ? s : `-${s}`)),
    );
  let seen = say();
  const isClear = (): boolean => {
    const [leader] = seen.diagnosis;
    return leader !== undefined && leader.probability >= 0.5 && t.truth.includes(leader.disorder);
  };
  let needed = isClear() ? 0 : null;
  for (let round = 0; round < ROUNDS; round++) {
    const check = seen.nextChecks().find((c) => !asked.includes(c.check));
    if (!check) break;
    asked.push(check.check);
    const row = checkRow(check.check);
    const shown = shownBy(row).filter(
      (s) => (signRow(s).crop ?? t.plant?.crop ?? 'tomato') === (t.plant?.crop ?? 'tomato'),
    );
    const there = shown.filter((s) => truth.has(s));
    // of exclusive answers one is true; where the teller named none, nobody can say which
    const answers = row.oneOf && there.length === 0 ? [] : shown.map((s) => [s, truth.has(s)] as const);
    for (const [s, present] of answers) if (present) told.set(s, true);
    for (const [s, present] of answers)
      if (!present && !told.has(s) && ![...told].some(([x, is]) => is && impliedAbsent(x).includes(s)))
        told.set(s, false);
    seen = say();
    if (needed === null && isClear()) needed = asked.length;
  }
  const leader = seen.diagnosis[0];
  return {
    sample: t,
    asked,
    needed,
    leader,
    first: leader !== undefined && t.truth.includes(leader.disorder),
    wronglySure: leader !== undefined && leader.probability >= 0.8 && !t.truth.includes(leader.disorder),
  };
}
