import 'reflect-metadata';
import { IsIn, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { FINITE } from './dated.js';
import { IsPart } from './parts.js';

/** Units laboratories use. The first four are of the element; the last two of what the label calls it. */
export const SOIL_UNITS = ['ppm', 'mg/kg', 'kg/ha', 'lb/acre', 'meq/100g', 'mg/100g', 'mg/100g-oxide'] as const;
/** Unit of a soil test value. */
export type SoilUnit = (typeof SOIL_UNITS)[number];

/** Extraction method for phosphorus: the same soil gives different numbers by another method. */
export const P_METHODS = ['mehlich-3', 'olsen', 'bray'] as const;
/** Extraction method of a phosphorus test. */
export type PMethod = (typeof P_METHODS)[number];

/** One number as the laboratory wrote it. */
export class SoilValue {
  @IsNumber(FINITE)
  @Min(0)
  @Max(1_000_000)
  amount: number;

  @IsIn(SOIL_UNITS, { message: `must be a supported unit: ${SOIL_UNITS.join(', ')}` })
  unit: SoilUnit;
}

/** The numbers of a soil test, each in its own unit. */
export class SoilValues {
  @IsPart(() => SoilValue, { optional: true })
  nitrate?: SoilValue | null;

  @IsPart(() => SoilValue, { optional: true })
  phosphorus?: SoilValue | null;

  @IsOptional()
  @IsIn(P_METHODS)
  phosphorusBy?: PMethod | null;

  @IsPart(() => SoilValue, { optional: true })
  potassium?: SoilValue | null;

  @IsPart(() => SoilValue, { optional: true })
  calcium?: SoilValue | null;

  @IsPart(() => SoilValue, { optional: true })
  magnesium?: SoilValue | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(100)
  organicMatterPct?: number | null;

  /** in the dry soil */
  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(100_000)
  leadMgPerKg?: number | null;
}
