import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import type { Day } from '../units/day.js';
import { IsCalendarDay } from './dated.js';
import { SIGN_CODES, type SignCode } from './vocabulary/signs.js';

/** How bad a sign is. */
export const SEVERITIES = ['slight', 'moderate', 'severe'] as const;
type Severity = (typeof SEVERITIES)[number];

/** One sign looked for, without its day: the content of a look. */
export class SignSeen {
  @IsIn(SIGN_CODES, { message: 'is not a known sign' })
  sign: SignCode;

  @IsBoolean()
  present: boolean;

  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(100_000)
  affected?: number | null;

  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(100_000)
  of?: number | null;

  @IsOptional()
  @IsIn(SEVERITIES)
  severity?: Severity | null;
}

/** A sign that was seen, or looked for, on a day. */
export class Observation extends SignSeen {
  @IsCalendarDay()
  date: Day;
}
