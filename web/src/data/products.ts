import type { ProductDto, ProductInput, SprayLogRow } from '@candid-leaf/contract';
import { queryOptions } from '@tanstack/react-query';
import { api } from '../lib/api';
import { apiOf } from '../lib/paths';
import { queryKeys } from '../lib/query-keys';
import { defineWrite, type OfGarden } from '../lib/writes';

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

export const saveProduct = defineWrite('product.save', ({ gardenId, product }: OfGarden & { product: ProductInput }) =>
  api<ProductDto>('PUT', apiOf(gardenId, 'products'), product),
);
export const deleteProduct = defineWrite('product.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'products', id)),
);
export const restoreProduct = defineWrite('product.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'products', id, 'restore')),
);
