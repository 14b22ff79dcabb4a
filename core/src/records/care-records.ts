import 'reflect-metadata';
import { OneLine } from './text.js';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { FEED_FORMS, CUT_KINDS, SPRAYS } from './choices.js';
import { Dated, FINITE } from './dated.js';
import { MOST_LITRES, MOST_REASON } from './record-limits.js';

// Records of feeding, cuts and sprays.

/** Grams of product per plant as applied, with N, P₂O₅ and K₂O in percent by weight. */
export class Feeding extends Dated {
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(120)
  product?: string;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  n: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  p2o5: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  k2o: number;

  @IsNumber(FINITE)
  @Min(0)
  @Max(20_000)
  grams: number;

  /** grams per plant, by the label at that time */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(20_000)
  labelGrams?: number;

  /** the amount is not known: `grams` is the usual one */
  @IsOptional()
  @IsBoolean()
  unknown?: boolean;

  @IsOptional()
  @IsIn(FEED_FORMS)
  form?: (typeof FEED_FORMS)[number];

  /** why it was more than the safe amount */
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** A cut: what, how much, and its share of the leaves, %. */
export class Pruning extends Dated {
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(500)
  cuts?: number;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  leafSharePct?: number;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(CUT_KINDS.length)
  @IsIn(CUT_KINDS, { each: true })
  what?: (typeof CUT_KINDS)[number][];

  /** why it was so much */
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(MOST_REASON)
  because?: string;
}

/** A spray: product, amount and reason. */
export class Spraying extends Dated {
  @IsIn(SPRAYS)
  product: (typeof SPRAYS)[number];

  @IsOptional()
  @IsNumber(FINITE)
  @Min(-60)
  @Max(60)
  tMaxC?: number;

  /** its name on the label */
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(80)
  name?: string;

  /** the problem it was against */
  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(80)
  target?: string;

  /** grams or millilitres of product per litre of water, as really mixed */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1000)
  perLitre?: number;

  /** the same, by the label at that time */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(1000)
  labelPerLitre?: number;

  /** total litres mixed */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(MOST_LITRES)
  batchL?: number;

  /** copper metal, g in 100 g or mL of the product, by the label at that time */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(300)
  copperPct?: number;

  /** on one leaf only, to test for burns */
  @IsOptional()
  @IsBoolean()
  trial?: boolean;

  /** days until harvest, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(365)
  harvestDays?: number;

  /** hours until re-entry, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(720)
  reentryHours?: number;

  /** days until the next spray, by the label at that time */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(365)
  everyDays?: number;

  @IsOptional()
  @IsString()
  @OneLine()
  @MaxLength(MOST_REASON)
  because?: string;
}
