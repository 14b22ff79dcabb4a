import { OneLine, FINITE, IsListOf, TEXTURES, type Texture } from '@candid-leaf/core/records';
import { METHOD_CODES, type SetUp } from '@candid-leaf/core/water';
import { IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsId } from './id.js';

/** One watering method, or one change, to compare. */
class SetUpInput implements SetUp {
  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(60)
  name: string;

  @IsIn([...METHOD_CODES, 'timer', 'remembered', 'recorded'])
  strategy: SetUp['strategy'];

  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(30)
  everyDays?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0.1)
  @Max(100)
  litres?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(200)
  mulchMm?: number | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(1, { message: 'a pot under 1 litre is too small for a tomato or pepper: did you mean litres?' })
  @Max(500)
  volumeL?: number | null;

  @IsOptional()
  @IsIn(TEXTURES)
  texture?: Texture | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(90)
  shadePct?: number | null;
}

/** A comparison of watering methods to save. */
export class BenchInput {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsId()
  placeId: string;

  @IsString()
  @OneLine()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;

  @IsIn(['recorded', 'simulated'])
  weather: 'recorded' | 'simulated';

  @IsInt()
  @Min(1)
  @Max(200)
  years: number;

  @IsListOf(() => SetUpInput, {
    least: { count: 2, message: 'choose at least two to compare' },
    most: { count: 6, message: 'choose at most six to compare' },
  })
  setUps: SetUpInput[];
}

/** A saved comparison of watering methods. */
export interface BenchDto extends BenchInput {
  version: number;
}
