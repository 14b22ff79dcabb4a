import { isSymptom, signRow } from '../records/vocabulary/signs.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import type { CaseContext } from './context.js';
import { numbersOf } from './remedies/numbers.js';
import { disorderRow } from './tables/disorders.js';

/** How much a finding matters now, and why. */
export interface Seriousness {
  level: 'let-be' | 'urgent';
  why: string;
}

// Common practice, from memory: young plants lose most to a disease, old ones least; a plant can spare leaves until about a
// third of them is gone; mites in number kill, as they double within days in heat.
const MITES: readonly DisorderCode[] = ['spider-mites', 'russet-mites', 'broad-mites'];
/** Diseases that stay in the plant: infected young, it bears little or nothing. */
const IN_THE_PLANT: readonly DisorderCode[] = [
  'mosaic-virus',
  'spotted-wilt-virus',
  'leaf-curl-virus',
  'curly-top-virus',
  'vascular-wilt',
  'bacterial-wilt',
  'bacterial-canker',
];
/** Diseases and creatures that take leaves slowly, from below. */
const SLOW_ON_LEAVES: readonly DisorderCode[] = [
  'early-blight',
  'septoria-leaf-spot',
  'bacterial-leaf-spot',
  'leaf-mould',
  'powdery-mildew',
  'cercospora-leaf-spot',
  'leafminers',
  'flea-beetles',
];
/** Share of leaves from which a plant is set back (judgement). */
const MUCH_LEAF = 0.3;

/**
 * Returns what makes a finding urgent, or lets it be, on this plant now; null if nothing known does either.
 * @param disorder the leading clear finding
 */
export function seriousnessOf(ctx: CaseContext, disorder: DisorderCode): Seriousness | null {
  const row = disorderRow(disorder);
  const { stage } = ctx.case.plant;
  if (row.harmless) return null;
  if (MITES.includes(disorder) && numbersOf(ctx, row) === 'many')
    return { level: 'urgent', why: 'So many mites can kill a plant: in heat they double within days.' };
  const slow = SLOW_ON_LEAVES.includes(disorder);
  const young = stage === 'seedling' || stage === 'establishing' || stage === 'vegetative';
  if (young && (slow || IN_THE_PLANT.includes(disorder)))
    return { level: 'urgent', why: 'It is young: a plant infected this early loses most.' };
  if (slow && stage === 'late')
    return { level: 'let-be', why: 'It is late in its season: this costs little fruit now.' };
  if (slow && leafShareOf(ctx, disorder) >= MUCH_LEAF)
    return { level: 'urgent', why: 'Many of its leaves show it: fruit will lack sugar and shade.' };
  return null;
}

/** The largest share of leaves with a sign of the problem, as counted or said. */
function leafShareOf(ctx: CaseContext, disorder: DisorderCode): number {
  const shares = disorderRow(disorder).signs.flatMap(([sign]) => {
    const seen = ctx.present.has(sign) ? ctx.seen.get(sign) : undefined;
    if (!seen || !signRow(sign).parts.some((part) => part === 'leaves' || part === 'low-leaves') || !isSymptom(sign))
      return [];
    return [seen.affected != null && seen.of ? seen.affected / seen.of : seen.severity === 'severe' ? 1 : 0];
  });
  return Math.max(0, ...shares);
}
