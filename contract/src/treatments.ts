import type { RemedyCode } from '@candid-leaf/core/diagnosis';
import { DISORDER_CODES, type DisorderCode } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { IsIn } from 'class-validator';
import { IsId } from './id.js';

/** How a treatment turned out. */
export const OUTCOMES = ['worked', 'no-change', 'worse'] as const;
/** How a treatment turned out. */
export type Outcome = (typeof OUTCOMES)[number];

/** Starting what is proposed for a finding. */
export class StartTreatment {
  @IsId()
  id: string;

  @IsIn(DISORDER_CODES, { message: 'is not a problem in the handbook' })
  disorder: DisorderCode;
}

/** The answer to "did it help?". */
export class TreatmentOutcome {
  @IsIn(OUTCOMES)
  outcome: Outcome;
}

/** A treated finding, and its result. */
export interface TreatmentDto {
  id: string;
  plantId: string;
  disorder: DisorderCode;
  openedOn: Day;
  followUpOn: Day;
  successIs: string;
  /** remedies started so far */
  remedies: RemedyCode[];
  /** the current step, and how many remain */
  step: number;
  stepsLeft: number;
  closedOn: Day | null;
  outcome: Outcome | null;
}
