import type { Crop } from '../../records/plant.js';
import { impliedAbsent, type SignCode, SIGNS } from '../../records/vocabulary/signs.js';
import type { CaseContext } from '../context.js';
import { DRIVER_RULES } from '../drivers/index.js';
import type { Verdict } from '../drivers/verdict.js';
import { FACTS } from '../facts.js';
import { DISORDERS } from '../tables/disorders.js';
import type { DisorderRow, DriverLink } from '../tables/row.js';
import type { Cause, Observed } from './noisy-or.js';

/** The tables as a network for one case: priors shaped by setting and records. */

const SIGN_INDEX = new Map<SignCode, number>(SIGNS.map((sign, i) => [sign.code, i]));
export const signIndex = (code: SignCode): number => SIGN_INDEX.get(code)!;
export const LEAKS: readonly number[] = SIGNS.map((s) => s.leak);

const CHANCES = new Map(
  DISORDERS.map((d) => {
    const chances = new Float64Array(SIGNS.length);
    for (const [sign, chance] of d.signs) chances[signIndex(sign)] = chance;
    return [d.code, chances] as const;
  }),
);

/** Something other than a sign that moved a disorder's prior. */
export interface PriorShift {
  code: string;
  oddsFactor: number;
  text: string;
}

export interface DriverFound {
  link: DriverLink;
  verdict: Extract<Verdict, { state: 'found' }>;
}

export interface Candidate {
  row: DisorderRow;
  odds: number;
  shifts: PriorShift[];
  found: DriverFound[];
  unknown: { link: DriverLink; verdict: Extract<Verdict, { state: 'unknown' }> }[];
}

const rowsFor = (crop: Crop): readonly DisorderRow[] => DISORDERS.filter((d) => !d.crop || d.crop === crop);

/**
 * Records alone never make a finding: without a sign of its own a disorder stays under about 0.3, however well the
 * records fit (judgement; a gardener who came to report one thing would have seen the other).
 */
const MOST_PRIOR_ODDS = 0.4;

/** Resistance makes a disorder much less likely, not impossible (judgement). */
const RESISTANT_FACTOR = 0.1;

/** Every disorder of the crop with its prior odds for this case, and what moved them. */
export function candidates(ctx: CaseContext): Candidate[] {
  const facts = new Map<string, boolean>();
  const holds = (code: keyof typeof FACTS): boolean => {
    const known = facts.get(code);
    if (known !== undefined) return known;
    const value = FACTS[code](ctx);
    facts.set(code, value);
    return value;
  };
  const verdicts = new Map<string, Verdict>();
  const verdictOf = (link: DriverLink): Verdict => {
    const key = `${link.driver} ${link.params ? JSON.stringify(link.params) : ''}`;
    let verdict = verdicts.get(key);
    if (!verdict) verdicts.set(key, (verdict = DRIVER_RULES[link.driver](ctx, link.params ?? {})));
    return verdict;
  };

  return rowsFor(ctx.case.plant.crop).map((row) => {
    const shifts: PriorShift[] = row.setting
      .filter(([fact]) => holds(fact))
      .map(([fact, oddsFactor, text]) => ({ code: fact, oddsFactor, text }));
    const found: DriverFound[] = [];
    const unknown: Candidate['unknown'] = [];
    for (const link of row.drivers) {
      const verdict = verdictOf(link);
      if (verdict.state === 'found') {
        found.push({ link, verdict });
        shifts.push({
          code: link.driver,
          oddsFactor: 1 + (link.oddsFactor - 1) * verdict.strength,
          text: verdict.summary ?? verdict.because[0]?.text ?? '',
        });
      } else if (verdict.state === 'unknown') unknown.push({ link, verdict });
      else if (link.oddsFactorIfAbsent != null)
        shifts.push({
          code: link.driver,
          oddsFactor: link.oddsFactorIfAbsent,
          text: 'the records show nothing of the kind',
        });
    }
    if (ctx.case.plant.resistantTo?.includes(row.code))
      shifts.push({ code: 'resistant', oddsFactor: RESISTANT_FACTOR, text: 'this kind is resistant' });
    const odds = Math.min(
      MOST_PRIOR_ODDS,
      shifts.reduce((odds, shift) => odds * shift.oddsFactor, row.prior / (1 - row.prior)),
    );
    return { row, odds, shifts, found, unknown };
  });
}

export const causesOf = (list: readonly Candidate[]): Cause[] =>
  list.map((c) => ({ odds: c.odds, chances: CHANCES.get(c.row.code)! }));

/** Sign codes as the engine's findings, with what each present sign rules out. */
export function observedOf(present: Iterable<SignCode>, absent: Iterable<SignCode>): Observed {
  const yes = new Set(present);
  const no = new Set(absent);
  for (const sign of yes) for (const out of impliedAbsent(sign)) no.add(out);
  return {
    present: [...yes].map(signIndex).sort((a, b) => a - b),
    absent: [...no]
      .filter((sign) => !yes.has(sign))
      .map(signIndex)
      .sort((a, b) => a - b),
  };
}

/** How strongly a found driver speaks in the story of a disorder, 0 to 1. */
export const driverWeight = (d: DriverFound): number => d.link.weight * (0.4 + 0.6 * d.verdict.strength);
