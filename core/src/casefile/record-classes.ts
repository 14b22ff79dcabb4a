import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  registerDecorator,
  type ValidationOptions,
} from 'class-validator';
import { isDay, type Day } from '../day.js';

/**
 * What can be recorded of a plant or a place, one class a kind. The case file, the API and the forms all read
 * these same classes, so a limit stands in one place.
 */

/** A calendar day, YYYY-MM-DD, that exists. */
export function IsCalendarDay(options?: ValidationOptions) {
  return (target: object, propertyName: string): void =>
    registerDecorator({
      name: 'isCalendarDay',
      target: target.constructor,
      propertyName,
      ...(options ? { options } : {}),
      validator: { validate: isDay, defaultMessage: () => 'must be a real calendar day, YYYY-MM-DD' },
    });
}

export const WATERING_WAYS = ['base', 'overhead', 'drip', 'soaker', 'bottom', 'buried-bottle'] as const;
export const WATERING_ENDS = ['plain', 'ran-through'] as const;
export const CHECKED_BY = ['finger', 'probe'] as const;
export type WaterMethod = (typeof WATERING_WAYS)[number];
export const SOIL_FEELS = ['dry', 'damp', 'wet'] as const;
export const FEED_FORMS = ['granular', 'liquid', 'foliar', 'amendment'] as const;
export const CUT_KINDS = ['lower-leaves', 'suckers', 'top', 'thinning'] as const;
export const SPRAYS = [
  'neem',
  'soap',
  'bt',
  'bicarbonate',
  'copper',
  'broad-insecticide',
  'weedkiller-nearby',
  'other',
] as const;
export const EVENTS = [
  'hail',
  'strong-wind',
  'frost',
  'hardened-off',
  'pollination-assist',
  'staked',
  'moved',
  'harvest',
] as const;

const number = { allowNaN: false, allowInfinity: false };

export class Dated {
  @IsCalendarDay()
  date: Day;
}

/** A watering, litres per plant. */
export class Watering extends Dated {
  @IsNumber(number)
  @Min(0)
  @Max(200, { message: 'must not be more than 200 litres for one plant' })
  litres: number;

  @IsOptional()
  @IsIn(WATERING_WAYS)
  how?: (typeof WATERING_WAYS)[number];

  /** until it ran out below: then the store was full */
  @IsOptional()
  @IsIn(WATERING_ENDS)
  end?: (typeof WATERING_ENDS)[number];
}

export class SoilCheck extends Dated {
  @IsIn(SOIL_FEELS)
  feel: (typeof SOIL_FEELS)[number];

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(60)
  depthCm?: number;

  @IsOptional()
  @IsIn(CHECKED_BY)
  by?: (typeof CHECKED_BY)[number];
}

export class PotWeight extends Dated {
  @IsNumber(number)
  @Min(0.1)
  @Max(300)
  kg: number;

  @IsIn(['dry', 'drained', 'unknown'])
  state: 'dry' | 'drained' | 'unknown';
}

/** Grams of product per plant as applied, with N, P₂O₅ and K₂O in percent by weight. */
export class Feeding extends Dated {
  @IsOptional()
  @IsString()
  @MaxLength(120)
  product?: string;

  @IsNumber(number)
  @Min(0)
  @Max(100)
  n: number;

  @IsNumber(number)
  @Min(0)
  @Max(100)
  p2o5: number;

  @IsNumber(number)
  @Min(0)
  @Max(100)
  k2o: number;

  @IsNumber(number)
  @Min(0)
  @Max(20_000)
  grams: number;

  @IsOptional()
  @IsIn(FEED_FORMS)
  form?: (typeof FEED_FORMS)[number];
}

export class Pruning extends Dated {
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(500)
  cuts?: number;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(100)
  leafSharePct?: number;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(CUT_KINDS.length)
  @IsIn(CUT_KINDS, { each: true })
  what?: (typeof CUT_KINDS)[number][];
}

export class Spraying extends Dated {
  @IsIn(SPRAYS)
  product: (typeof SPRAYS)[number];

  @IsOptional()
  @IsNumber(number)
  @Min(-60)
  @Max(60)
  tMaxC?: number;
}

export class Happening extends Dated {
  @IsIn(EVENTS)
  what: (typeof EVENTS)[number];
}

/** One day's weather: °C, mm, %, m/s, MJ/m², hours of wet leaves. */
export class WeatherRecord extends Dated {
  @IsNumber(number)
  @Min(-60)
  @Max(60)
  tMinC: number;

  @IsNumber(number)
  @Min(-60)
  @Max(60)
  tMaxC: number;

  @IsNumber(number)
  @Min(0)
  @Max(800)
  rainMm: number;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(100)
  rhMeanPct?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(60)
  windMs?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(50)
  solarMj?: number | null;

  @IsOptional()
  @IsNumber(number)
  @Min(0)
  @Max(24)
  wetHours?: number | null;
}
