import { OneLine } from '../records/text.js';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { FINITE } from '../records/dated.js';
import type { Fault } from '../records/faults.js';
import { VarietyTendencies } from '../records/tendencies.js';
import { type Crop, CROPS, GROWTH_HABITS, type GrowthHabit, PLANT_TYPES, type PlantType } from '../records/plant.js';
import { typeFaults } from '../records/rules.js';
import { readLetters } from './letters.js';

/** Colours of ripe fruit. */
export const RIPE_COLOURS = ['red', 'pink', 'orange', 'yellow', 'green', 'purple', 'brown', 'white'] as const;
/** Colour of ripe fruit. */
export type RipeColour = (typeof RIPE_COLOURS)[number];
/** A variety of tomato or pepper, from its packet and the gardener's knowledge. Fields left out are unknown. */
export class Variety extends VarietyTendencies {
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(CROPS)
  crop: Crop;

  @IsOptional()
  @IsIn(PLANT_TYPES)
  type?: PlantType | null;

  @IsOptional()
  @IsIn(GROWTH_HABITS)
  habit?: GrowthHabit | null;

  /** days from planting out to the first ripe fruit, as on packets */
  @IsOptional()
  @IsInt()
  @Min(35, { message: 'must be 35 or more: no tomato or pepper ripens sooner after planting out' })
  @Max(180, { message: 'must be 180 or less, counted from planting out' })
  daysToMaturity?: number | null;

  @IsOptional()
  @IsIn(RIPE_COLOURS)
  ripeColour?: RipeColour | null;

  /** weight of one fruit, g */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.5)
  @Max(2500)
  fruitG?: number | null;

  /** resistance letters as printed: "VFNT" */
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(120)
  letters?: string | null;
}

/** Returns the contradictions in it. Unknown letters are kept and shown on the page; nothing is guessed. */
export const varietyFaults = (c: Variety): Fault[] => [
  ...typeFaults(c.crop, c.type, 'type'),
  ...readLetters(c.letters ?? '')
    .known.filter(({ row }) => row.crop !== undefined && row.crop !== c.crop)
    .map(({ code, row }) => ({
      path: 'letters',
      reason: `${code} means ${row.means}, which does not affect a ${c.crop}`,
    })),
];

/** Usual days from planting out by type, when the packet is gone (common practice, from memory). */
const USUAL_DAYS: Record<PlantType | Crop, number> = {
  tomato: 75,
  cherry: 62,
  slicer: 75,
  paste: 76,
  beefsteak: 85,
  pepper: 80,
  sweet: 80,
  hot: 85,
  superhot: 110,
};

/**
 * Returns days from planting out to the first ripe fruit: from the packet, else usual for its type.
 * @example daysToMaturityOf({ crop: 'tomato', type: 'cherry' }) // { days: 62, sure: false }
 */
export const daysToMaturityOf = (c: {
  crop: Crop;
  type?: PlantType | null;
  daysToMaturity?: number | null;
}): { days: number; sure: boolean } =>
  c.daysToMaturity
    ? { days: c.daysToMaturity, sure: true }
    : { days: USUAL_DAYS[c.type ?? c.crop] ?? USUAL_DAYS[c.crop], sure: false };

/** Weight of one ripe fruit by type, g, when the packet does not say (common practice, from memory). */
const USUAL_FRUIT_G: Record<PlantType | Crop, number> = {
  tomato: 120,
  cherry: 15,
  slicer: 140,
  paste: 80,
  beefsteak: 350,
  pepper: 120,
  sweet: 130,
  hot: 12,
  superhot: 8,
};

/**
 * Returns the weight of one fruit, g: from the packet, else usual for its type.
 * @example fruitGOf({ crop: 'tomato', type: 'cherry' }) // 15
 */
export const fruitGOf = (c: { crop: Crop; type?: PlantType | null; fruitG?: number | null }): number =>
  c.fruitG ?? USUAL_FRUIT_G[c.type ?? c.crop];
