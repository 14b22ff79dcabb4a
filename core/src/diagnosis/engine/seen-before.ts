import { isPotted } from '../../records/place.js';
import { seasonYear } from '../../season/growing-year.js';
import type { CaseContext } from '../context.js';
import type { DisorderRow } from '../tables/row.js';

/**
 * What this garden's own findings teach. A share of seasons or of plants is shrunk towards the usual one by the weight of
 * eight more, and its factor on the odds is bounded. It never lowers them: not found may mean not looked for. Weight,
 * usual shares and bound: judgement.
 */
const WEIGHT = 8;
const USUAL = { seasons: 0.1, plants: 0.15 } as const;
const MOST_FACTOR = 2.5;

/** Earlier years that count. */
const YEARS_BACK = 5;

/**
 * Returns the factor on the odds for `found` of `of`: 1 for nothing found, at most 2.5.
 * @param usual the share at which it says nothing, 0 to 1
 * @example factorOf(1, 1, 0.1) // 2
 */
export function factorOf(found: number, of: number, usual: number): number {
  if (found === 0) return 1;
  const shrunk = (found + usual * WEIGHT) / (of + WEIGHT);
  return Math.min(MOST_FACTOR, Math.max(1, shrunk / usual));
}

/** A problem's own earlier findings as factors on its odds, each with its reason. */
interface SeenBefore {
  code: string;
  oddsFactor: number;
  text: string;
}

/**
 * Returns what earlier seasons of the bed and other plants of the variety say about a problem. What survives in the soil
 * has its own link and is left out, and pots get new soil.
 */
export function seenBefore({ case: c }: CaseContext, row: DisorderRow): SeenBefore[] {
  const out: SeenBefore[] = [];
  const year = seasonYear(c.garden, c.asOf);
  const years = (c.place.history ?? []).filter((h) => h.problems && h.year < year && h.year >= year - YEARS_BACK);
  const before = years.filter((h) => h.problems?.includes(row.code)).length;
  const inSoil = row.records?.some((r) => r.reading === 'same-trouble-before') ?? false;
  if (before > 0 && !inSoil && !isPotted(c.place))
    out.push({
      code: 'seen-in-this-bed',
      oddsFactor: factorOf(before, years.length, USUAL.seasons),
      text: `found in this bed in ${before} of ${years.length} earlier ${years.length === 1 ? 'season' : 'seasons'}`,
    });
  const { alike } = c.plant;
  const others = alike?.found.find((f) => f.disorder === row.code)?.plants ?? 0;
  if (alike && others > 0)
    out.push({
      code: 'seen-on-this-variety',
      oddsFactor: factorOf(others, alike.of, USUAL.plants),
      text: `found on ${others} of ${alike.of} other ${alike.of === 1 ? 'plant' : 'plants'} of this variety here`,
    });
  return out;
}
