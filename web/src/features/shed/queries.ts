import type { ProductDto, SprayLogRow } from '@candid-leaf/contract';
import { STARTERS, type Product } from '@candid-leaf/core/products';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { queryKeys } from '../../lib/query-keys';

export const productsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'products'] as const,
    queryFn: () => api<ProductDto[]>('GET', apiOf(gardenId, 'products')),
  });

export const sprayLogQuery = (gardenId: string) =>
  queryOptions({
    queryKey: [...queryKeys.garden(gardenId), 'sprays'] as const,
    queryFn: () => api<SprayLogRow[]>('GET', apiOf(gardenId, 'sprays')),
  });

/** The gardener's own products, then the starters. */
export function useProducts(gardenId: string): readonly Product[] {
  const own = useQuery(productsQuery(gardenId)).data ?? [];
  return [...own, ...STARTERS];
}
