import type { Dose, RemedyCode } from '@candid-leaf/core/diagnosis';
import type { HangPlan, WarnsOf } from '@candid-leaf/core/season';
import type { Day } from '@candid-leaf/core/units';
import { FINITE, type Part, type TimerSet } from '@candid-leaf/core/records';
import type { OrderParts } from '@candid-leaf/core/water';
import { IsISO8601, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { IsId } from './id.js';

/** Sources of tasks, in the order in which Today lists them on one day. */
export const TASK_SOURCES = [
  'protect',
  'ahead',
  'look-again',
  'water',
  'remedy',
  'feed',
  'so-far',
  'cut',
  'tie',
  'tap',
  'spray',
  'soil',
  'raise',
  'prepare',
  'settle',
  'weed',
  'pick',
  'late',
  'trial',
  'walk',
] as const;
/**
 * What Today asks about the time before the records began; once a week about a timer; and whether an unsure variety is
 * right, once its fruit shows; and whether a bush that grew too tall is one.
 */
export const SO_FAR_ASKS = ['tied', 'cut', 'fed', 'mulched', 'timer', 'variety', 'bush'] as const;
/** One of these questions. */
export type SoFarAsk = (typeof SO_FAR_ASKS)[number];

/** Code of a task source. */
export type TaskSourceCode = (typeof TASK_SOURCES)[number];

/** Ticking a task; a watering saves its own record under `recordId`. */
export class TaskDone {
  @IsOptional()
  @IsId()
  recordId?: string;

  /** when it was done, if sent later: it counts for the garden's day at that time */
  @IsOptional()
  @IsISO8601({ strict: true })
  at?: string;

  /** the estimated minutes, so the real time can be learned */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1440)
  estimatedMinutes?: number;
}

/** A task on Today. */
export interface TaskDto {
  /** its source and its name there: `water:…` */
  key: string;
  source: TaskSourceCode;
  plantId: string | null;
  placeId: string | null;
  /** for a whole bed: the plants it is for, if not all */
  plantIds?: string[];
  title: string;
  where: string;
  why: string;
  dueOn: Day;
  /** about how long it takes */
  minutes: number;
  /** the estimate before this gardener's own pace */
  estimatedMinutes: number;
  /** total water to carry or run; null if none */
  litres: number | null;
  remedy: RemedyCode | null;
  /** of a finding that can kill or spread, or that costs little now */
  level?: 'urgent' | 'let-be';
  /** per plant */
  dose: Dose | null;
  /** for water from the plan: how the dose was computed, and for how many plants */
  made?: { of: OrderParts; plants: number };
  /** answered by a finger check of the soil, not ticked */
  feel?: true;
  /** a walk: why, and where to start looking */
  walk?: { why: string[]; undersides: boolean; parts: Part[] };
  /** a dated list, if there is more than one act */
  acts?: { on: Day; text: string }[];
  /** how shade cloth is hung there */
  hang?: HangPlan;
  /** nobody answered it, and its words did not change, since then: it has stood for over ten days */
  unansweredSince?: Day;
  /** on hold: until when, and why; shown, but not to be done */
  held?: { until: Day; because: string };
  /** answered by a look at the plant, at this part first */
  see?: Part;
  /** a rooting sucker: look for roots and say what was found, or plant it, which makes it a plant of its own */
  rooting?: 'look' | 'plant';
  /** answered yes or not yet, each by a record */
  asks?: SoFarAsk[];
  /** the setting that is asked about */
  timer?: TimerSet;
  /** answered by what was picked, plant by plant */
  picks?: true;
  /** what it prepares for: members who want it get a message on the evening before */
  warns?: WarnsOf;
  /** steps to do one after the other */
  sequence?: string[];
  /** plant by plant, if it is for several */
  parts?: string[];
  /** the amount in words, if it is more than a dose per plant */
  amount?: string;
  cautions: string[];
}
