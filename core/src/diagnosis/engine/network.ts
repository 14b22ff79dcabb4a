import type { Crop } from '../../records/plant.js';
import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import { impliedAbsent, isSymptom, type SignCode, SIGNS } from '../../records/vocabulary/signs.js';
import type { CaseContext } from '../context.js';
import { DRIVER_RULES } from '../drivers/index.js';
import type { Verdict } from '../drivers/verdict.js';
import { FACTS } from '../facts.js';
import { type Reading, type ReadingCode, READINGS, SAME_TROUBLE_BEFORE } from '../readings.js';
import { ELSEWHERE_FACTOR, livesHere } from '../regions.js';
import { DISORDERS } from '../tables/disorders.js';
import { type DisorderRow, type DriverLink } from '../tables/row.js';
import { NEARLY_ALWAYS, RARELY } from '../tables/strengths.js';
import type { Cause, Observed } from './noisy-or.js';
import { seenBefore } from './seen-before.js';
import { must } from '../../units/lists.js';

// The tables as a network for one case, with priors shaped by setting and records.

const SIGN_INDEX = new Map<SignCode, number>(SIGNS.map((sign, i) => [sign.code, i]));
/** Returns the index of a sign in the network's arrays. */
export const signIndex = (code: SignCode): number => must(SIGN_INDEX.get(code));
/** Chance of each sign on a plant without any problem, by sign index. */
export const LEAKS: readonly number[] = SIGNS.map((s) => s.leak);

const CHANCES = new Map(
  DISORDERS.map((d) => {
    const chances = new Float64Array(SIGNS.length);
    for (const [sign, chance] of d.signs) chances[signIndex(sign)] = chance;
    return [d.code, chances] as const;
  }),
);

/** A creature that was seen is there: damage that was looked for in vain means few of them, and tells nothing more. */
function chancesOf(row: DisorderRow, ctx: CaseContext): Float64Array {
  const usual = must(CHANCES.get(row.code));
  if (!row.seenAs?.some((sign) => ctx.present.has(sign))) return usual;
  const chances = Float64Array.from(usual);
  for (const sign of ctx.absent) chances[signIndex(sign)] = 0;
  return chances;
}

/** Links that ask the same of the records are evaluated together. */
const ASKS = new Map<DriverLink, string>(
  DISORDERS.flatMap((d) =>
    d.drivers.map((l) => [l, `${l.driver} ${l.params ? JSON.stringify(l.params) : ''}`] as const),
  ),
);

/** A fact other than a sign that moved a problem's prior. */
interface PriorShift {
  code: string;
  oddsFactor: number;
  text: string;
}

interface DriverFound {
  link: DriverLink;
  verdict: Extract<Verdict, { state: 'found' }>;
}

/** A problem with its prior odds here and the drivers that moved them. */
export interface Candidate {
  row: DisorderRow;
  odds: number;
  /** the same without the cap for records alone */
  oddsByRecords: number;
  /** chance of each sign with it, by sign index */
  chances: Float64Array;
  shifts: PriorShift[];
  found: DriverFound[];
  unknown: { link: DriverLink; verdict: Extract<Verdict, { state: 'unknown' }> }[];
}

const rowsFor = (crop: Crop): readonly DisorderRow[] => DISORDERS.filter((d) => !d.crop || d.crop === crop);

/**
 * Cap for records alone: without a sign of its own a problem stays below about 0.3, however well the records fit
 * (judgement; the gardener would have seen more). With a sign the cap is lifted.
 */
const MOST_PRIOR_ODDS = 0.4;
/** How many problems show each sign more than rarely. */
const SHOWN_BY = new Map<SignCode, number>();
for (const row of DISORDERS)
  for (const [sign, chance] of row.signs) if (chance > RARELY) SHOWN_BY.set(sign, (SHOWN_BY.get(sign) ?? 0) + 1);
/** True if a sign was seen that nearly always comes with this problem, and with no other. */
const hasOwnMark = (row: DisorderRow, ctx: CaseContext): boolean =>
  row.signs.some(([sign, chance]) => chance >= NEARLY_ALWAYS && ctx.present.has(sign) && SHOWN_BY.get(sign) === 1);

/** A sign seen at least this often with the problem is one of its own. */
const OWN_SIGN_FROM = 0.2;
/** Records move the odds no further than this, either way: they may be wrong, or about another plant (judgement). */
const MOST_SHIFT = 200;
const LEAST_SHIFT = 0.003;

/** Resistance makes a problem much less likely, not impossible (judgement). */
const RESISTANT_FACTOR = 0.1;

/**
 * Returns the factor of a driver at a strength: full at 1, none at 0. Where its absence counts against the problem,
 * that fades in the same way and is gone at one half.
 */
export const driverFactor = (link: DriverLink, strength: number): number =>
  (link.oddsFactorIfAbsent ?? 1) ** Math.max(0, 1 - 2 * strength) * (1 + (link.oddsFactor - 1) * strength);

/**
 * Returns every problem of the crop with its prior odds for this case, and what moved them.
 * @param only these problems, where the rest is not needed
 */
export function candidates(ctx: CaseContext, only?: ReadonlySet<DisorderCode>): Candidate[] {
  const facts = remembered((code: keyof typeof FACTS): boolean => FACTS[code](ctx));
  const readings = remembered((code: ReadingCode): Reading => READINGS[code](ctx));
  const verdicts = new Map<string, Verdict>();
  const verdictOf = (link: DriverLink): Verdict => {
    const key = must(ASKS.get(link));
    let verdict = verdicts.get(key);
    if (!verdict) verdicts.set(key, (verdict = DRIVER_RULES[link.driver](ctx, link.params ?? {})));
    return verdict;
  };

  const rows = rowsFor(ctx.case.plant.crop).filter((row) => only?.has(row.code) ?? true);
  return rows.map((row) => {
    const shifts: PriorShift[] = row.setting
      .filter(([fact]) => facts(fact))
      .map(([fact, oddsFactor, text]) => ({ code: fact, oddsFactor, text }));
    for (const link of row.records ?? []) {
      const says = link.reading === 'same-trouble-before' ? SAME_TROUBLE_BEFORE(ctx, row.code) : readings(link.reading);
      const oddsFactor = says === 'unknown' ? undefined : link[says];
      if (oddsFactor !== undefined) shifts.push({ code: link.reading, oddsFactor, text: link.why });
    }
    shifts.push(...seenBefore(ctx, row));
    const elsewhere = row.livesIn && livesHere(row.livesIn, ctx.case.garden) === false;
    // what nothing else shows outweighs where it usually lives: ranges are coarse, and plants travel
    if (row.livesIn && elsewhere && !hasOwnMark(row, ctx))
      shifts.push({ code: 'region', oddsFactor: ELSEWHERE_FACTOR, text: row.livesIn.why });
    const found: DriverFound[] = [];
    const unknown: Candidate['unknown'] = [];
    for (const link of row.drivers) {
      const verdict = verdictOf(link);
      if (verdict.state === 'found') {
        found.push({ link, verdict });
        shifts.push({
          code: link.driver,
          oddsFactor: driverFactor(link, verdict.strength),
          text: verdict.summary ?? verdict.because[0]?.text ?? '',
        });
      } else if (verdict.state === 'unknown') unknown.push({ link, verdict });
      else if (link.oddsFactorIfAbsent != null)
        shifts.push({
          code: link.driver,
          oddsFactor: link.oddsFactorIfAbsent,
          text: 'nothing in the records points to it',
        });
    }
    if (ctx.case.plant.resistantTo?.includes(row.code))
      shifts.push({ code: 'resistant', oddsFactor: RESISTANT_FACTOR, text: 'this variety is resistant' });
    const shift = shifts.reduce((product, x) => product * x.oddsFactor, 1);
    const odds = (row.prior / (1 - row.prior)) * Math.min(MOST_SHIFT, Math.max(LEAST_SHIFT, shift));
    // where, how fast and after what say that something is wrong, not what
    const ownSign = row.signs.some(
      ([sign, chance]) => chance >= OWN_SIGN_FROM && isSymptom(sign) && ctx.present.has(sign),
    );
    return {
      row,
      oddsByRecords: odds,
      odds: ownSign ? odds : Math.min(MOST_PRIOR_ODDS, odds),
      chances: chancesOf(row, ctx),
      shifts,
      found,
      unknown,
    };
  });
}

/** Remembers each result for a case. */
function remembered<K, V>(work: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    if (!known.has(key)) known.set(key, work(key));
    return must(known.get(key));
  };
}

/** Returns the candidates as causes of the noisy-OR network. */
export const causesOf = (list: readonly Candidate[]): Cause[] => list.map(({ odds, chances }) => ({ odds, chances }));

/** Turns sign codes into the engine's findings, with what each present sign rules out. */
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

/**
 * Returns how much a found driver counts in the story of a problem, 0 to 1; one half of a driver's strength is its
 * limit.
 */
export const driverWeight = ({ link, verdict: { strength } }: DriverFound): number =>
  link.weight * (strength < 0.5 ? 1.4 * strength : 0.4 + 0.6 * strength);
