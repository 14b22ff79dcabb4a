import { PARTS, type SignCode, SIGNS, signRow } from '../../records/vocabulary/signs.js';
import { at } from '../../units/lists.js';
import type { DiagnosisResult } from './diagnose.js';

/** Signs kept for each part: what a first screen shows, and some more. */
const MOST_A_PART = 12;

/**
 * Returns the signs most likely to be seen on each part, likeliest first: by the problems that the records, the
 * weather and what was seen already make likely. A sign's chance is that at least one of them, or nothing in
 * particular, causes it (noisy or). Problems of the other crop are not among them, so its signs come last.
 * @returns codes of all parts, at most twelve a part
 */
export function likelySigns({ all, marginals }: DiagnosisResult): SignCode[] {
  const missed = new Map<SignCode, number>(SIGNS.map((s) => [s.code, 1 - s.leak]));
  const nothingSeen = marginals.every((m) => m === 0);
  all.forEach(({ row, odds }, i) => {
    const chance = nothingSeen ? odds / (1 + odds) : at(marginals, i);
    for (const [sign, often] of row.signs) missed.set(sign, (missed.get(sign) ?? 1) * (1 - chance * often));
  });
  const ranked = SIGNS.filter((s) => s.kind === 'sign')
    .map((s) => s.code)
    .sort((a, b) => missed.get(a)! - missed.get(b)! || (a < b ? -1 : 1));
  const kept = new Set(
    PARTS.flatMap((part) => ranked.filter((s) => signRow(s).parts.includes(part)).slice(0, MOST_A_PART)),
  );
  return ranked.filter((s) => kept.has(s));
}
