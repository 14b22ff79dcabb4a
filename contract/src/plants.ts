import { PlantFacts } from '@candid-leaf/core/records';
import { IsInt, IsOptional, IsString, IsUUID, MaxLength, Min, MinLength } from 'class-validator';

export class PlantInput extends PlantFacts {
  @IsUUID()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;

  @IsUUID()
  placeId: string;

  @IsString()
  @MinLength(1, { message: 'must not be empty' })
  @MaxLength(80)
  override name: string;
}

export interface PlantDto extends PlantInput {
  version: number;
  position: number;
  retiredOn: string | null;
}
