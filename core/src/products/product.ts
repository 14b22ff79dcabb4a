import 'reflect-metadata';
import { OneLine } from '../records/text.js';
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
  MinLength,
} from 'class-validator';
import { FINITE } from '../records/dated.js';
import { type Fault } from '../records/faults.js';
import { IsPart } from '../records/parts.js';
import { SPRAYS } from '../records/choices.js';
import { type Spraying } from '../records/record-classes.js';

/** Products applied to soil or plants: bought, home-made or brought in. */
export const PRODUCT_KINDS = ['feed', 'amendment', 'spray'] as const;
/** Kind of product: feed, soil amendment or spray. */
export type ProductKind = (typeof PRODUCT_KINDS)[number];
/** Weighed or poured. */
const PRODUCT_FORMS = ['dry', 'liquid'] as const;
/** What the label's dose is counted by. */
export const DOSE_PER = ['litre', 'plant', 'm2', 'pot-litre'] as const;
/** What a label's dose refers to. */
export type DosePer = (typeof DOSE_PER)[number];

/** How a label counts its dose, where it is not grams or millilitres; an ounce of a liquid is a fluid ounce. */
export const DOSE_UNITS = ['tsp', 'tbsp', 'oz'] as const;
/** How a label counts its dose. */
export type DoseUnit = (typeof DOSE_UNITS)[number];

/** Grams (dry) or millilitres (liquid) per litre of water, plant, square metre or litre of pot. */
export class LabelDose {
  @IsIn(DOSE_PER)
  per: DosePer;

  @IsNumber(FINITE)
  @Min(0.01)
  @Max(5000)
  amount: number;

  /** as the label prints it; `amount` is grams or millilitres all the same */
  @IsOptional()
  @IsIn(DOSE_UNITS)
  unit?: DoseUnit | null;
}

const percent = { message: 'must be a percentage of its weight: 0 to 100 %' };

/** A product as on its label. Nutrients in percent by weight, as N, P₂O₅ and K₂O. */
export class ProductMake {
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(PRODUCT_KINDS)
  kind: ProductKind;

  @IsIn(PRODUCT_FORMS)
  form: (typeof PRODUCT_FORMS)[number];

  @IsNumber(FINITE)
  @Min(0, percent)
  @Max(100, percent)
  n: number;

  @IsNumber(FINITE)
  @Min(0, percent)
  @Max(100, percent)
  p2o5: number;

  @IsNumber(FINITE)
  @Min(0, percent)
  @Max(100, percent)
  k2o: number;

  /** weight of a millilitre, of a liquid or loose powder; without it no spoons are shown */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(3)
  gPerMl?: number | null;

  /** nitrogen is released over weeks or months */
  @IsOptional()
  @IsBoolean()
  slow?: boolean | null;

  @IsPart(() => LabelDose, { optional: true })
  dose?: LabelDose | null;

  /** days between uses, by the label */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(365)
  everyDays?: number | null;

  /** most uses in one season */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(50)
  mostUses?: number | null;

  /** days from spraying to harvest */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(365)
  harvestDays?: number | null;

  /** hours until anyone may go among the plants */
  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(720)
  reentryHours?: number | null;

  /** copper metal in a copper spray, percent of its weight: "metallic copper equivalent" on the label */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1, percent)
  @Max(100, percent)
  copperPct?: number | null;

  @IsOptional()
  @IsBoolean()
  organic?: boolean | null;

  /** type of spray */
  @IsOptional()
  @IsIn(SPRAYS)
  spray?: Spraying['product'] | null;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(10)
  @IsString({ each: true })
  @MaxLength(300, { each: true })
  cautions?: string[] | null;
}

/** A product ready to use: a starter, or the gardener's own. */
export interface Product extends ProductMake {
  /** a starter's code, or the id of the gardener's own */
  id: string;
}

/** Checks fields together. N, P₂O₅ and K₂O are shares of one weight. */
export function productFaults(p: ProductMake): Fault[] {
  const sum = p.n + p.p2o5 + p.k2o;
  const { unit } = p.dose ?? {};
  return [
    ...(p.form === 'dry' && p.gPerMl == null && (unit === 'tsp' || unit === 'tbsp')
      ? [{ path: 'gPerMl', reason: 'is needed to turn spoons into grams: weigh a level cupful once' }]
      : []),
    ...(sum > 100
      ? [
          {
            path: 'n',
            reason: `N, P₂O₅ and K₂O are shares of one weight; these add up to ${sum} %. Check the label again`,
          },
        ]
      : []),
    ...(p.kind === 'spray' && !p.spray
      ? [{ path: 'spray', reason: 'is needed for a spray: it decides what it mixes with and when it burns' }]
      : []),
  ];
}
