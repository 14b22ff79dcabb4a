import { ProductMake } from '@candid-leaf/core/products';
import { IsInt, IsOptional, Min } from 'class-validator';
import { IsId } from './id.js';

/** A product of the gardener's own, or their label copied over a starter's. */
export class ProductInput extends ProductMake {
  @IsId()
  id: string;

  @IsOptional()
  @IsInt()
  @Min(1)
  version?: number;
}

/** A product as stored. */
export interface ProductDto extends ProductInput {
  version: number;
}
