import { OneLine } from '@candid-leaf/core/records';
import { Type } from 'class-transformer';
import { IsNumber, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';

/** A town by the start of its name. */
export class TownsCalled {
  @IsString()
  @OneLine()
  @MinLength(2)
  @MaxLength(80)
  name: string;
}

/** The town nearest to a point. */
export class TownAt {
  @Type(() => Number)
  @IsNumber()
  @Min(-90)
  @Max(90)
  latitude: number;

  @Type(() => Number)
  @IsNumber()
  @Min(-180)
  @Max(180)
  longitude: number;
}

/** A town to choose as the garden's location. */
export interface TownDto {
  name: string;
  /** state, province or county, in English; null if unknown */
  region: string | null;
  /** two letters, ISO 3166 */
  country: string;
  latitude: number;
  longitude: number;
  timeZone: string;
}
