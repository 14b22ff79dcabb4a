import { DISORDER_CODES, type Day, type DisorderCode, type Dose, type RemedyCode } from '@candid-leaf/core';
import { IsIn, IsOptional, IsUUID } from 'class-validator';

export const OUTCOMES = ['worked', 'no-change', 'worse'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** Taking on what is proposed for a finding. */
export class AcceptFinding {
  @IsUUID()
  id: string;

  @IsIn(DISORDER_CODES, { message: 'names a disorder that is not in the vocabulary' })
  disorder: DisorderCode;
}

export class TroubleOutcome {
  @IsIn(OUTCOMES)
  outcome: Outcome;
}

export interface TroubleDto {
  id: string;
  plantId: string;
  disorder: DisorderCode;
  openedOn: Day;
  followUpOn: Day;
  successIs: string;
  closedOn: Day | null;
  outcome: Outcome | null;
}

/** Ticking a task; a watering writes its own record under `recordId`. */
export class TaskDone {
  @IsOptional()
  @IsUUID()
  recordId?: string;
}

export interface TaskDto {
  /** a stored task's id, or the key of one that follows from the balance or a follow-up */
  key: string;
  kind: 'water' | 'remedy' | 'look-again' | 'protect';
  plantId: string | null;
  placeId: string | null;
  title: string;
  where: string;
  why: string;
  dueOn: Day;
  remedy: RemedyCode | null;
  dose: Dose | null;
  /** a dated list, where there is more than one thing to it */
  acts?: { on: Day; text: string }[];
  cautions: string[];
}
