import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { FINITE, IsCalendarDay } from '../records/dated.js';
import { SEEDLING_LOOKS, type SeedlingLookCode } from '../raising/looks.js';
import { IsListOf } from '../records/parts.js';
import type { Fault } from '../records/faults.js';
import { type Crop, CROPS } from '../records/plant.js';
import type { Day } from '../units/day.js';

/** The aim of a planting. */
export const AIMS = ['steady', 'at-once', 'short-season', 'second-crop'] as const;
/** What a planting is grown for. */
export type Aim = (typeof AIMS)[number];

/** Position of a plant in its bed, m from the corner. */
export class PlantSpot {
  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  x: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  y: number;
}

/** One check of the seedlings. */
export class SeedlingLook {
  @IsCalendarDay()
  on: Day;

  @IsIn(SEEDLING_LOOKS)
  what: SeedlingLookCode;
}

/**
 * A number of plants of one variety for one bed or pot and season: from plan through tray and hardening off to
 * planting out.
 */
export class PlantingMake {
  /** year of the season's first day */
  @IsInt()
  @Min(1990)
  @Max(2200)
  year: number;

  @IsIn(CROPS)
  crop: Crop;

  @IsInt()
  @Min(1)
  @Max(200)
  count: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.15)
  @Max(2)
  spacingM?: number | null;

  @IsOptional()
  @IsCalendarDay()
  sownOn?: Day | null;

  /** cells or pots that were sown */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(2000)
  cells?: number | null;

  /** how many of them were lost */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(2000)
  lost?: number | null;

  /** light close above, fan on */
  @IsOptional()
  @IsCalendarDay()
  litOn?: Day | null;

  /** thinned to one per cell */
  @IsOptional()
  @IsCalendarDay()
  thinnedOn?: Day | null;

  /** days the trays were watered from below, newest last */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @IsCalendarDay({ each: true })
  trayDays?: Day[] | null;

  /** weight of the trays, watered and drained, g */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(50)
  @Max(200_000)
  trayWetG?: number | null;

  /** what one cell holds, mL */
  @IsOptional()
  @IsInt()
  @Min(5)
  @Max(1000, { message: 'must be 5 to 1000 mL' })
  cellMl?: number | null;

  /** what one pot holds that they are potted on to, mL */
  @IsOptional()
  @IsInt()
  @Min(50)
  @Max(10_000, { message: 'must be 50 to 10,000 mL' })
  potMl?: number | null;

  @IsListOf(() => SeedlingLook, { most: 60, optional: true })
  looks?: SeedlingLook[] | null;

  @IsOptional()
  @IsIn(AIMS)
  aim?: Aim | null;

  /** positions of the plants; if left out, spread evenly */
  @IsListOf(() => PlantSpot, { most: 200, optional: true })
  spots?: PlantSpot[] | null;

  @IsOptional()
  @IsCalendarDay()
  pottedOn?: Day | null;

  /** first day outside */
  @IsOptional()
  @IsCalendarDay()
  hardenFrom?: Day | null;

  /** days it was outside */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @IsCalendarDay({ each: true })
  outDays?: Day[] | null;

  @IsOptional()
  @IsCalendarDay()
  plantedOn?: Day | null;
}

/** Refuses contradicting dates: each step must follow the one before. */
export function plantingFaults(p: PlantingMake): Fault[] {
  const steps = [
    ['sownOn', p.sownOn, 'sown'],
    ['pottedOn', p.pottedOn, 'potted on'],
    ['hardenFrom', p.hardenFrom, 'hardened off'],
    ['plantedOn', p.plantedOn, 'planted out'],
  ] as const;
  const faults: Fault[] = [];
  let last: (typeof steps)[number] | null = null;
  for (const step of steps) {
    if (!step[1]) continue;
    if (last?.[1] && step[1] < last[1])
      faults.push({
        path: step[0],
        reason: `cannot be ${step[2]} on ${step[1]}, before it was ${last[2]} on ${last[1]}`,
      });
    else last = step;
  }
  for (const [path, day, what] of [
    ['litOn', p.litOn, 'lit'],
    ['thinnedOn', p.thinnedOn, 'thinned'],
  ] as const)
    if (day && (!p.sownOn || day < p.sownOn))
      faults.push({
        path,
        reason: p.sownOn
          ? `cannot be ${what} on ${day}, before it was sown on ${p.sownOn}`
          : `cannot be ${what} before it is sown`,
      });
  if ((p.spots?.length ?? 0) > p.count)
    faults.push({ path: 'spots', reason: `more positions than the ${p.count} plants` });
  if ((p.lost ?? 0) > (p.cells ?? Infinity))
    faults.push({ path: 'lost', reason: `more than the ${p.cells} that were sown` });
  return faults;
}

/** Returns how many are left to plant out; unknown if not sown. */
export const leftOf = (p: PlantingMake): number | null => (p.cells == null ? null : p.cells - (p.lost ?? 0));
