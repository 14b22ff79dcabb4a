import { OneLine, IsCalendarDay, SIGN_CODES, type SignCode } from '@candid-leaf/core/records';
import type { TrialVerdict } from '@candid-leaf/core/helped';
import type { Day } from '@candid-leaf/core/units';
import { ArrayMaxSize, IsArray, IsIn, IsInt, IsOptional, IsString, MaxLength, Min, MinLength } from 'class-validator';
import { IsId } from './id.js';

/** Two groups of plants, one change, one thing to look for, and a day to judge. */
export class TrialInput {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  /** what is changed for one group */
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  /** the sign to count */
  @IsIn(SIGN_CODES)
  measure: SignCode;

  @IsArray()
  @ArrayMaxSize(200)
  @IsId({ each: true })
  changed: string[];

  @IsArray()
  @ArrayMaxSize(200)
  @IsId({ each: true })
  untouched: string[];

  @IsCalendarDay()
  startedOn: Day;

  @IsCalendarDay()
  judgeOn: Day;
}

/** A trial as stored, with what its records say. */
export interface TrialDto extends TrialInput {
  version: number;
  judgedOn: Day | null;
  /** what the records say so far */
  verdict: TrialVerdict;
  text: string;
}
