import type { DisorderCode } from '../../records/vocabulary/disorders.js';
import { isSymptom, type SignCode, signRow } from '../../records/vocabulary/signs.js';
import { roundTo } from '../../units/rounding.js';
import type { CaseContext } from '../context.js';
import type { Because } from '../drivers/verdict.js';
import type { DisorderRow } from '../tables/row.js';
import { type DriverCode, DRIVERS } from '../vocabulary/drivers.js';
import { type Candidate, candidates, causesOf, driverWeight, LEAKS, observedOf } from './network.js';
import { logOdds, posterior } from './noisy-or.js';
import { at, must } from '../../units/lists.js';

/** How strongly one piece of evidence moves the odds. */
export type Strength = 'decisive' | 'strong' | 'moderate' | 'weak';

/** A sign or record that speaks for or against a problem. */
export interface Evidence {
  kind: 'sign' | 'record';
  code: string;
  effect: 'for' | 'against';
  strength: Strength;
  text: string;
}

/** A driver found in the records, with its share in the problem. */
export interface FoundDriver {
  driver: DriverCode;
  weight: number;
  /** one half is the limit; below it counts a little */
  strength: number;
  because: Because[];
  /** all of it in one line */
  summary: string;
}

/** A likely problem with its evidence, drivers and look-alikes. */
export interface Diagnosis {
  disorder: DisorderCode;
  /** marginal chance that this problem is present */
  probability: number;
  explains: SignCode[];
  evidence: Evidence[];
  drivers: FoundDriver[];
  lookAlikes: DisorderCode[];
}

/** Problems above this chance are listed, up to a maximum. */
const LISTED_ABOVE = 0.02;
const MOST_LISTED = 10;
/** From this chance on it is a finding; below, a question. */
export const CLEAR_FROM = 0.5;
/** From this chance on problems are as good as certain, and a tie (judgement). */
const CERTAIN_FROM = 0.9;
/**
 * How grave a problem is: one that costs the plant, one that costs fruit or leaves, creatures, which a plant mostly
 * tolerates, and what is harmless (judgement).
 */
function gravityOf({ harmless, group, remedies }: DisorderRow): number {
  if (harmless) return 0;
  if (remedies.some((r) => r.remedy === 'remove-plant')) return 3;
  return group === 'creatures' ? 1 : 2;
}
/** A sign seen at least this often with a problem counts as explained. */
const EXPLAINS_FROM = 0.2;

const strengthOf = (change: number): Strength => {
  const size = Math.abs(change);
  return size >= 3 ? 'decisive' : size >= 1.5 ? 'strong' : size >= 0.5 ? 'moderate' : 'weak';
};

/** Changes smaller than this are not shown. */
const WORTH_TELLING = 0.15;

/** The ranked problems, and the network they were computed in. */
export interface DiagnosisResult {
  list: Diagnosis[];
  all: Candidate[];
  marginals: number[];
  unexplained: SignCode[];
}

/**
 * Returns which problems, how certain, and why here. Without a symptom the answer is empty: wet soil or a place on the
 * plant is no finding.
 */
export function diagnose(ctx: CaseContext): DiagnosisResult {
  const all = candidates(ctx);
  const spoken = [...ctx.seen.keys()].filter((c) => signRow(c).kind === 'sign' || ctx.present.has(c));
  if (![...ctx.present].some(isSymptom)) return { list: [], all, marginals: all.map(() => 0), unexplained: [] };

  const causes = causesOf(all);
  const { marginals } = posterior(causes, LEAKS, observedOf(ctx.present, ctx.absent));
  // problems that explain nothing seen rank behind those that do: the headline names the first of these
  const rank = (x: { p: number; i: number }): number => x.p + (explainedBy(at(all, x.i), ctx).length > 0 ? 1 : 0);
  // of several that are as good as certain the graver leads
  const gravity = (x: { p: number; i: number }): number => (x.p >= CERTAIN_FROM ? gravityOf(at(all, x.i).row) : -1);
  const listed = marginals
    .map((p, i) => ({ p, i }))
    .filter((x) => x.p > LISTED_ABOVE)
    .sort((a, b) => gravity(b) - gravity(a) || rank(b) - rank(a))
    .slice(0, MOST_LISTED);

  // Runs once without each observation, to get the evidence of all listed problems together.
  const observed = [...ctx.present, ...[...ctx.absent].filter((c) => ctx.seen.has(c))].filter((c) =>
    spoken.includes(c),
  );
  const without = new Map(
    observed.map((sign) => {
      const present = [...ctx.present].filter((c) => c !== sign);
      const absent = [...ctx.absent].filter((c) => c !== sign && ctx.seen.has(c));
      return [sign, posterior(causes, LEAKS, observedOf(present, absent)).marginals] as const;
    }),
  );

  const list = listed.map(({ p, i }): Diagnosis => {
    const c = at(all, i);
    const fromSigns = observed.map((sign): Evidence & { change: number } => {
      const change = logOdds(p) - logOdds(at(must(without.get(sign)), i));
      const row = signRow(sign);
      const why = c.row.signs.find(([code]) => code === sign)?.[2];
      const said = ctx.present.has(sign) ? row.label : `Not seen: ${row.label.toLowerCase()}`;
      return evidence('sign', sign, change, why && ctx.present.has(sign) ? `${said} (${why})` : said);
    });
    const fromRecords = c.shifts.map((shift) => evidence('record', shift.code, Math.log(shift.oddsFactor), shift.text));
    return {
      disorder: c.row.code,
      probability: roundTo(p, 3),
      explains: explainedBy(c, ctx),
      evidence: [...fromSigns, ...fromRecords]
        .filter((e) => Math.abs(e.change) >= WORTH_TELLING)
        .sort((a, b) => Math.abs(b.change) - Math.abs(a.change))
        .map(({ change: _change, ...e }) => e),
      drivers: c.found
        .map((d) => ({
          driver: d.link.driver,
          weight: roundTo(driverWeight(d), 2),
          strength: roundTo(d.verdict.strength, 2),
          because: d.verdict.because,
          summary: d.verdict.summary ?? d.verdict.because.map((b) => b.text).join('; '),
        }))
        .sort((a, b) => b.weight - a.weight),
      lookAlikes: Object.keys(c.row.lookAlikes) as DisorderCode[],
    };
  });

  const explained = new Set(list.flatMap((d) => d.explains));
  const unexplained = [...ctx.present].filter((c) => signRow(c).kind !== 'setting' && !explained.has(c));
  return { list, all, marginals, unexplained: unexplained.sort() };
}

/** Returns the present signs that a problem explains. */
const explainedBy = ({ row }: Candidate, ctx: CaseContext): SignCode[] =>
  row.signs.filter(([sign, chance]) => chance >= EXPLAINS_FROM && ctx.present.has(sign)).map(([sign]) => sign);

function evidence(kind: 'sign' | 'record', code: string, change: number, text: string): Evidence & { change: number } {
  const full = code in DRIVERS && kind === 'record' ? `${DRIVERS[code as DriverCode]}: ${text}` : text;
  return { kind, code, effect: change >= 0 ? 'for' : 'against', strength: strengthOf(change), text: full, change };
}
