import { type Calibration, MOST_SEED, PRACTICE_THEMES, type PracticeTheme } from '@candid-leaf/core/practice';
import { DISORDER_CODES, type DisorderCode } from '@candid-leaf/core/records';
import { IsBoolean, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';

/**
 * An answer to a practice plant, and whether it was right. It is judged where it is drawn: the number identifies the
 * plant.
 */
export class PracticeAnswerInput {
  @IsIn(PRACTICE_THEMES)
  theme: PracticeTheme;

  @IsInt()
  @Min(0)
  @Max(MOST_SEED)
  seed: number;

  @IsIn(DISORDER_CODES, { message: 'is not a problem in the handbook' })
  trouble: DisorderCode;

  /** what the plant had; null from a page of before 0.20 */
  @IsOptional()
  @IsIn(DISORDER_CODES, { message: 'is not a problem in the handbook' })
  was?: DisorderCode | null;

  /** certainty, percent */
  @IsInt()
  @Min(0)
  @Max(100)
  surePct: number;

  @IsBoolean()
  right: boolean;

  @IsBoolean()
  causeRight: boolean;

  @IsBoolean()
  actRight: boolean;

  /** minutes the checks took */
  @IsInt()
  @Min(0)
  @Max(1000)
  minutes: number;
}

/** An answer given in practice. */
export interface PracticeAnswerDto extends PracticeAnswerInput {
  /** when it was given, as an instant */
  answeredAt: string;
}

/** Answers of an account, newest first, and how well-calibrated they are. */
export interface PracticeDto {
  answers: PracticeAnswerDto[];
  calibration: Calibration | null;
}
