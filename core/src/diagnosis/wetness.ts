import type { SignCode } from '../records/vocabulary/signs.js';
import type { Day } from '../units/day.js';
import type { Felt } from '../water/felt.js';
import { AMPLE_LEFT, DRY_LEFT } from '../water/stress.js';
import type { CaseContext } from './context.js';

/**
 * The one reading of how wet the soil is, for drivers, facts, readings, remedies and feeding: first what a hand, a sign
 * or a weight said and still holds, then the balance with its error. A model alone never stops a watering.
 */
export interface Wetness {
  feel: Felt['feel'];
  by: 'hand' | 'balance';
  on: Day;
}

type Told = Pick<CaseContext, 'felt' | 'present' | 'case'>;

/** Signs that say it: a look of a day on which it was watered may have come after the water. */
const SHOWN: Readonly<Partial<Record<SignCode, Felt['feel']>>> = {
  'soil-wet-deep': 'wet',
  'soil-dry-deep': 'dry',
  'soil-damp-deep': 'damp',
  'soil-pooling': 'wet',
  'pot-heavy': 'wet',
  'pot-light': 'dry',
  'soil-pulls-from-pot': 'dry',
};

/** Returns what a finger, a sign or a weight says that still holds; null if none does. */
export function wetnessByHand({ felt, present, case: { asOf } }: Told): Wetness | null {
  if (felt) return { feel: felt.feel, by: 'hand', on: felt.on };
  for (const [sign, feel] of Object.entries(SHOWN))
    if (present.has(sign as SignCode)) return { feel, by: 'hand', on: asOf };
  return null;
}

/** From this share on soil feels wet, if the balance is right (judgement, as the weight of a pot). */
const WET_LEFT = 0.85;

/** Returns how wet the soil is; null if nobody felt it and its watering is not known. */
export function wetnessOf(ctx: CaseContext): Wetness | null {
  const byHand = wetnessByHand(ctx);
  if (byHand) return byHand;
  const last = ctx.balance.days.at(-1);
  if (!ctx.waterKnown || !last) return null;
  const { fractionAvailable: left, uncertainty: sd, date: on } = last;
  const feel = left < DRY_LEFT && left + sd < AMPLE_LEFT ? 'dry' : left - sd > WET_LEFT ? 'wet' : 'damp';
  return { feel, by: 'balance', on };
}

/** Signs at the roots that only long wet soil brings. */
const WET_ROOTS = ['root-brown-slimy', 'root-sour-smell', 'pest-fungus-gnats'] as const;

/** Returns whether the soil was felt or seen to be wet, or its roots show it: only then is water held back. */
export const isWetByHand = (ctx: Told): boolean =>
  wetnessByHand(ctx)?.feel === 'wet' || WET_ROOTS.some((sign) => ctx.present.has(sign));
