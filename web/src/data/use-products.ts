import { type Product, STARTERS } from '@candid-leaf/core/products';
import { useQuery } from '@tanstack/react-query';
import { productsQuery } from './products';

/**
 * Returns the gardener's own products, then the starters. It has a file of its own because every write is loaded with
 * the first page, and the table of starters is not needed there.
 */
export function useProducts(gardenId: string): readonly Product[] {
  const own = useQuery(productsQuery(gardenId)).data ?? [];
  return [...own, ...STARTERS];
}
