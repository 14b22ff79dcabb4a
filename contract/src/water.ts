import { FINITE } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import {
  type DrierCost,
  type TimerGives,
  METHOD_CODES,
  type MethodCode,
  type Steadiness,
  type WeekPlan,
  type WhatIf,
} from '@candid-leaf/core/water';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUrl,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';

/** How a bed or pot is watered: the gardener's method and what local rules allow. */
export class PlaceWatering {
  @IsOptional()
  @IsIn(METHOD_CODES)
  method?: MethodCode | null;

  @IsOptional()
  @IsIn(['damp', 'dry'])
  moisture?: 'damp' | 'dry' | null;

  @IsOptional()
  @IsBoolean()
  drierRipening?: boolean | null;

  /** 0 Sunday to 6 Saturday; none or all seven: no restriction */
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(7)
  @ArrayUnique({ message: 'must not name the same twice' })
  @IsInt({ each: true })
  @Min(0, { each: true })
  @Max(6, { each: true })
  allowedDays?: number[] | null;

  /** for the whole bed or pot */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(1)
  @Max(100_000)
  weeklyCapL?: number | null;

  /** the outlet of the hose timer that waters it */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(8, { message: 'the timer has zones 1 to 8' })
  timerZone?: number | null;
}

/** Address of the garden's hose timer, and the secret that identifies its gardener. */
export class HoseTimerInput {
  @IsUrl(
    { protocols: ['http', 'https'], require_protocol: true, require_tld: false, disallow_auth: true },
    { message: 'must be an address such as http://192.168.1.20:8080' },
  )
  @MaxLength(200)
  address: string;

  /** if left out, the stored one stays */
  @IsOptional()
  @IsString()
  @MinLength(8, { message: 'must be 8 characters or more' })
  @MaxLength(200)
  @Matches(/^[\x21-\x7e]+$/, { message: 'must be plain letters, digits and symbols, without spaces' })
  secret?: string | null;
}

/** What is shown of it: never the secret. */
export interface HoseTimerDto {
  address: string | null;
  /** addresses this server may contact; the person who runs it sets them */
  allowed: string[];
}

/** One planned run and what the timer reports. */
interface TimerRun {
  day: Day;
  minutes: number;
  litres: number;
  ranMinutes: number | null;
  ranLitres: number | null;
  /** in words, if the run differs from the plan */
  differs: string | null;
}

/** An outlet of a hose timer, with what was sent and what it ran. */
export interface TimerView {
  zone: number;
  sentAt: string | null;
  readAt: string | null;
  trouble: string | null;
  runs: TimerRun[];
}

/** Plants that get the same amount at the same time: a whole bed, or one pot. */
export interface PourDto {
  id: string;
  /** who gets it, and who is left out because its soil should dry first; names in walking order */
  plants: string[];
  leftOut: string[];
  /** the driest of them, which decides for all */
  speaker: string;
  /** per plant; null if it can't be computed, or the watering history is unknown */
  plan: WeekPlan | null;
  /** true if the watering history is known. If not, a finger check comes first and no litres are shown */
  known: boolean;
  fractionAvailable: number | null;
  /** standard error of that fraction */
  uncertainty: number | null;
  evenness: number | null;
}

/** The next seven days of one bed or pot. */
export interface PlacePlanDto {
  placeId: string;
  method: MethodCode;
  methods: MethodCode[];
  watering: PlaceWatering;
  /** one amount for all its plants */
  together: boolean;
  /** in walking order */
  pours: PourDto[];
  /** the least even of them */
  evenness: number | null;
  /** days until the first planned watering; null for none in the week */
  dueInDays: number | null;
  /** how its driest plant does, and what would change it */
  now: Steadiness | null;
  /** how fast it really dries, in words, if its checks show it; null where its pots differ */
  drying: string | null;
  whatIf: WhatIf[];
  /** what drier soil while fruit colours costs; null without weather */
  drier: DrierCost | null;
  weatherUntil: Day | null;
  forecastUntil: Day | null;
  timer: TimerView | null;
  /** what each setting of the timer on its tap gives, newest first */
  timerGives: TimerGives[];
  /** what one plant uses on a hot day, L; null if not known */
  hotDayL: number | null;
  /** which of its plants dry before others of the garden, or stay damp after them, in words */
  order: string[];
}
