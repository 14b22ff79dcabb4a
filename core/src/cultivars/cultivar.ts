import { IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { FINITE } from '../records/dated.js';
import type { Fault } from '../records/faults.js';
import { KindLeanings } from '../records/leanings.js';
import { type Crop, CROPS, GROWTH_HABITS, type GrowthHabit, PLANT_TYPES, type PlantType } from '../records/plant.js';
import { typeFaults } from '../records/rules.js';
import { readLetters } from './letters.js';

export const RIPE_COLOURS = ['red', 'pink', 'orange', 'yellow', 'green', 'purple', 'brown', 'white'] as const;
export type RipeColour = (typeof RIPE_COLOURS)[number];
/** One kind of tomato or pepper, as its packet and the gardener know it. What is left out nobody knows. */
export class Cultivar extends KindLeanings {
  @IsString()
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

  /** days from planting out to the first ripe fruit, as packets count */
  @IsOptional()
  @IsInt()
  @Min(35, { message: 'must be 35 or more: no tomato or pepper ripens sooner after planting out' })
  @Max(180, { message: 'must be 180 or less, counted from planting out' })
  daysToMaturity?: number | null;

  @IsOptional()
  @IsIn(RIPE_COLOURS)
  ripeColour?: RipeColour | null;

  /** one fruit, g */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.5)
  @Max(2500)
  fruitG?: number | null;

  /** resistances as the packet prints them: "VFNT" */
  @IsOptional()
  @IsString()
  @MaxLength(120)
  letters?: string | null;
}

/** What contradicts itself in it. Letters that nobody understands are kept, and said on the page; nothing is guessed. */
export const cultivarFaults = (c: Cultivar): Fault[] => [
  ...typeFaults(c.crop, c.type, 'type'),
  ...readLetters(c.letters ?? '')
    .known.filter(({ row }) => row.crop !== undefined && row.crop !== c.crop)
    .map(({ code, row }) => ({
      path: 'letters',
      reason: `${code} means ${row.means}, which does not affect a ${c.crop}`,
    })),
];

/** Days that each type of kind usually takes from planting out, where its packet is gone (common practice, from memory). */
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

/** Days from planting out to the first ripe fruit: of the packet, else as its type usually takes. */
export const daysToMaturityOf = (c: {
  crop: Crop;
  type?: PlantType | null;
  daysToMaturity?: number | null;
}): { days: number; sure: boolean } =>
  c.daysToMaturity
    ? { days: c.daysToMaturity, sure: true }
    : { days: USUAL_DAYS[c.type ?? c.crop] ?? USUAL_DAYS[c.crop], sure: false };

/** One ripe fruit of each type, g, where its packet does not tell (common practice, from memory). */
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

/** One fruit, g: of the packet, else as its type usually weighs. */
export const fruitGOf = (c: { crop: Crop; type?: PlantType | null; fruitG?: number | null }): number =>
  c.fruitG ?? USUAL_FRUIT_G[c.type ?? c.crop];
