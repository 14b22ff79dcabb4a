import { disorderRow } from '../diagnosis/tables/disorders.js';
import type { Stage } from '../records/plant.js';
import type { DisorderCode } from '../records/vocabulary/disorders.js';
import { PARTS, type Part, signRow } from '../records/vocabulary/signs.js';
import type { WalkDue, WalkReason } from './walk-due.js';

/** Where to start looking, by reason (common practice: wet shows low and underneath, heat above, cold at the tip). */
const BY_REASON: Record<WalkReason['kind'], readonly Part[]> = {
  home: ['posture', 'soil', 'fruit'],
  storm: ['posture', 'stem', 'fruit'],
  frost: ['tip', 'leaves', 'flowers'],
  wet: ['low-leaves', 'leaves', 'fruit'],
  heat: ['flowers', 'fruit', 'tip'],
  new: ['posture', 'stem', 'leaves'],
  finding: [],
  rhythm: [],
};

/**
 * Where the season's pests and diseases start, by the plant's age: cutworms and damping off at the stem, mites and
 * spots in the leaves, then fruit.
 */
const BY_STAGE: Record<Stage, readonly Part[]> = {
  seedling: ['stem', 'soil'],
  establishing: ['stem', 'low-leaves'],
  vegetative: ['low-leaves', 'leaves'],
  flowering: ['leaves', 'flowers'],
  fruiting: ['leaves', 'fruit'],
  ripening: ['low-leaves', 'fruit'],
  late: ['leaves', 'fruit'],
};

const MOST_PARTS = 4;
/** A sign seen at least this often with a problem shows where to look for it. */
const SHOWS_FROM = 0.5;

/** Returns the parts to start with, most pressing first: open problems, then the reason, then the season. */
export function partsFor(due: WalkDue, stage: Stage | null | undefined, open: readonly DisorderCode[]): Part[] {
  const ofTrouble = (code: DisorderCode): readonly Part[] =>
    disorderRow(code)
      .signs.filter(([sign, chance]) => chance >= SHOWS_FROM && signRow(sign).kind === 'sign')
      .flatMap(([sign]) => signRow(sign).parts.slice(0, 1))
      .slice(0, 2);
  const troubles = [...open, ...due.reasons.flatMap((r) => (r.kind === 'finding' ? [r.disorder] : []))];
  const parts = [
    ...troubles.flatMap(ofTrouble),
    ...due.reasons.flatMap((r) => BY_REASON[r.kind]),
    ...(stage ? BY_STAGE[stage] : (['low-leaves', 'leaves'] as const)),
  ];
  const first = [...new Set(parts)].slice(0, MOST_PARTS);
  // in the order from the soil up
  return PARTS.filter((p) => first.includes(p));
}
