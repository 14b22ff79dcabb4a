import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { FINITE, IsCalendarDay } from '../records/dated.js';
import type { Fault } from '../records/faults.js';
import { type Crop, CROPS } from '../records/plant.js';
import type { Day } from '../units/day.js';

/** So many of one kind for one place in one season: from the plan over tray and hardening to the day they are set out. */
export class PlantingMake {
  /** of the season's first day */
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

  /** of them lost so far */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(2000)
  lost?: number | null;

  @IsOptional()
  @IsCalendarDay()
  pottedOn?: Day | null;

  /** the first day outside */
  @IsOptional()
  @IsCalendarDay()
  hardenFrom?: Day | null;

  /** the days on which it was outside */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(60)
  @IsCalendarDay({ each: true })
  outDays?: Day[] | null;

  @IsOptional()
  @IsCalendarDay()
  plantedOn?: Day | null;
}

/** Days that contradict each other: each step after the one before. */
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
  if ((p.lost ?? 0) > (p.cells ?? Infinity))
    faults.push({ path: 'lost', reason: `more than the ${p.cells} that were sown` });
  return faults;
}

/** How many are left to set out; what was not sown is not known. */
export const leftOf = (p: PlantingMake): number | null => (p.cells == null ? null : p.cells - (p.lost ?? 0));
