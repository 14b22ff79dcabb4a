import type { Random } from '../climate/random.js';
import type { CaseContext } from '../diagnosis/context.js';
import type { Candidate } from '../diagnosis/engine/network.js';
import { impliedAbsent, type Part, type SignCode, signRow, SIGNS } from '../records/vocabulary/signs.js';
import { isOf, SOIL_MOISTURE } from '../records/vocabulary/sign-groups.js';
import { AMPLE_LEFT, DRY_LEFT } from '../water/stress.js';
import { at, last } from '../units/lists.js';

/**
 * The signs of a made-up plant, drawn from the network in reverse: a problem by its odds, then each sign by its
 * chance with that problem, or by its leak. Signs the records decide (how dry the soil is, whether it rained) are
 * taken from them, so what can be looked up never contradicts what can be seen.
 */

/** Draws a problem by its odds, flattened so rare ones are practised too (square root; judgement). */
export function drawTrouble(random: Random, among: readonly Candidate[]): Candidate {
  const weights = among.map((c) => Math.sqrt(c.odds));
  let left = random() * weights.reduce((a, b) => a + b, 0);
  return among.find((_, i) => (left -= at(weights, i)) < 0) ?? last(among);
}

const SOIL_IS = { dry: 'soil-dry-deep', damp: 'soil-damp-deep', wet: 'soil-wet-deep' } as const;
/** Signs that the records decide: soil moisture, mulch, and what happened before. */
const isRecorded = (sign: SignCode): boolean =>
  SOIL_MOISTURE.has(sign) || isOf(sign, 'after') || sign === 'soil-bare' || sign === 'plant-walnut-near';

/** Returns whether the records decide this sign; null if they do not. */
function seenInRecords(ctx: CaseContext, sign: SignCode): boolean | null {
  if (!isRecorded(sign)) return null;
  const { case: c } = ctx;
  const left = ctx.balance.days.at(-1)?.fractionAvailable ?? AMPLE_LEFT;
  const feel = left < DRY_LEFT ? 'dry' : left > WET_LEFT ? 'wet' : 'damp';
  const lately = ctx.weather(LATELY_DAYS);
  switch (sign) {
    case 'soil-dry-deep':
    case 'soil-damp-deep':
    case 'soil-wet-deep':
      return sign === SOIL_IS[feel];
    case 'pot-light':
      return feel === 'dry' && c.place.kind === 'container';
    case 'pot-heavy':
      return feel === 'wet' && c.place.kind === 'container';
    case 'soil-bare':
      return !c.place.mulch?.length;
    case 'after-rain':
      return lately.reduce((mm, w) => mm + w.rainMm, 0) > 15;
    case 'after-heat':
      return lately.some((w) => w.tMaxC >= 32);
    case 'after-cold-night':
      return lately.some((w) => w.tMinC < 10);
    case 'after-pruning':
      return ctx.recent(c.records.pruning, 2 * LATELY_DAYS).some((p) => (p.leafSharePct ?? 0) >= 20);
    case 'after-transplanting':
      return c.records.weather.length <= 2 * LATELY_DAYS;
    default:
      return false;
  }
}

/** From this fraction on soil feels wet a finger deep (judgement). */
const WET_LEFT = 0.9;
const LATELY_DAYS = 7;

/** Returns whether the plant has this part yet. */
function bears({ case: { plant } }: CaseContext, part: Part): boolean {
  if (part === 'fruit') return plant.stage === 'fruiting' || plant.stage === 'ripening';
  return part !== 'flowers' || (plant.stage !== 'establishing' && plant.stage !== 'vegetative');
}

/** Draws the signs with the problem: near-certain ones first, so of two exclusive signs the likelier stays. */
export function drawSigns(random: Random, ctx: CaseContext, trouble: Candidate): Set<SignCode> {
  const own = new Map(trouble.row.signs.map(([sign, chance]) => [sign, chance]));
  const crop = ctx.case.plant.crop;
  const there = new Set<SignCode>();
  const out = new Set<SignCode>();
  const chanceOf = (sign: SignCode, leak: number): number => 1 - (1 - leak) * (1 - (own.get(sign) ?? 0));
  const order = SIGNS.filter((s) => (!s.crop || s.crop === crop) && s.parts.some((part) => bears(ctx, part)))
    .map((s) => ({ code: s.code, chance: chanceOf(s.code, s.leak), dice: random() }))
    .sort((a, b) => b.chance - a.chance);
  for (const { code, chance, dice } of order) {
    const recorded = seenInRecords(ctx, code);
    // of settings, only what this problem brings
    const may = recorded ?? (dice < chance && (own.has(code) || signRow(code).kind === 'sign'));
    if (!may || out.has(code)) continue;
    there.add(code);
    for (const not of impliedAbsent(code)) out.add(not);
  }
  there.delete('pest-none-found');
  return there;
}
