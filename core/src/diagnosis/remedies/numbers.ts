import type { CaseContext } from '../context.js';
import type { DisorderRow, Numbers } from '../tables/row.js';
import { isSymptom } from '../../records/vocabulary/signs.js';
import { USUALLY } from '../tables/strengths.js';

/**
 * Returns how many creatures of a problem there are, from what was counted or said of them. Their damage, looked for in
 * vain, means few. Without any of it: unknown.
 * 400 counted aphids, for one, are `many`.
 */
export function numbersOf(ctx: CaseContext, { seenAs = [], numbers, signs }: DisorderRow): Numbers {
  const seen = seenAs.flatMap((sign) => (ctx.present.has(sign) ? (ctx.seen.get(sign) ?? []) : []));
  if (seen.length === 0) return 'unknown';
  // "3 of 8" counts plants or leaves, not creatures
  const count = Math.max(0, ...seen.map((o) => (o.of == null ? (o.affected ?? 0) : 0)));
  if (numbers && count > 0) return count <= numbers.few ? 'few' : count >= numbers.many ? 'many' : 'some';
  const words = seen.map((o) => o.severity);
  if (words.includes('severe')) return 'many';
  if (words.includes('moderate')) return 'some';
  if (words.includes('slight')) return 'few';
  const damage = signs.filter(([sign, chance]) => chance >= USUALLY && isSymptom(sign) && !seenAs.includes(sign));
  const lookedFor = damage.filter(([sign]) => ctx.seen.has(sign));
  return lookedFor.length > 0 && lookedFor.every(([sign]) => ctx.absent.has(sign)) ? 'few' : 'unknown';
}
