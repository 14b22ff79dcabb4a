import type { Dose, RemedyCode } from '@candid-leaf/core/diagnosis';
import type { Day } from '@candid-leaf/core/units';
import { FINITE, type Part } from '@candid-leaf/core/records';
import type { OrderReckoned } from '@candid-leaf/core/water';
import { IsISO8601, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsId } from './id.js';

/** Where tasks come from, in the order in which Today tells them on one day. */
export const TASK_SOURCES = [
  'protect',
  'look-again',
  'water',
  'remedy',
  'feed',
  'cut',
  'tie',
  'tap',
  'spray',
  'soil',
  'raise',
  'settle',
  'pick',
  'late',
  'trial',
  'round',
] as const;
export type TaskSourceCode = (typeof TASK_SOURCES)[number];

/** Ticking a task; a watering writes its own record under `recordId`. */
export class TaskDone {
  @IsOptional()
  @IsId()
  recordId?: string;

  /** when it was done, where it is sent later than that: it counts for the garden's day of then */
  @IsOptional()
  @IsISO8601({ strict: true })
  at?: string;

  /** minutes that it was reckoned to take, so that it is learned how long it took */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1440)
  reckoned?: number;
}

export interface TaskDto {
  /** its source and its name there: `water:…` */
  key: string;
  source: TaskSourceCode;
  plantId: string | null;
  placeId: string | null;
  /** of a whole place: which of its plants it is for, where not for all */
  plantIds?: string[];
  title: string;
  where: string;
  why: string;
  dueOn: Day;
  /** about how long it takes */
  minutes: number;
  /** the same before this gardener's own pace was learned */
  reckoned: number;
  /** water that is carried or run, in all; null where it is none */
  litres: number | null;
  remedy: RemedyCode | null;
  /** for each plant */
  dose: Dose | null;
  /** of water by the plan: what the dose was made of, and how many plants get it */
  made?: { of: OrderReckoned; plants: number };
  /** it is answered by what a finger says of the place's soil, and not ticked */
  feel?: true;
  /** a walk along the place: why, and where it begins to look */
  round?: { why: string[]; undersides: boolean; parts: Part[] };
  /** a dated list, where there is more than one thing to it */
  acts?: { on: Day; text: string }[];
  /** it waits: until when, and why; it is told, and not to be done */
  held?: { until: Day; because: string };
  /** it is answered by a look at the plant, at this part first */
  see?: Part;
  /** a sucker that roots: how far it is; planted, it becomes a plant of its own */
  rooting?: 'look' | 'plant';
  /** it is answered by what was picked, plant by plant */
  picks?: true;
  /** what is done one after the other, with the hands */
  sequence?: string[];
  /** plant by plant, where it is for several */
  parts?: string[];
  /** the amount in words, where it is more than a dose for each plant */
  amount?: string;
  cautions: string[];
}
