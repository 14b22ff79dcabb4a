import { PlantMake } from '@candid-leaf/core/records';
import { IsInt, IsOptional, IsString, MaxLength, Min, MinLength } from 'class-validator';
import { IsId } from './id.js';

export class PlantInput extends PlantMake {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsId()
  placeId: string;

  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  name: string;
}

export interface PlantDto extends PlantInput {
  version: number;
  position: number;
  retiredOn: string | null;
}
