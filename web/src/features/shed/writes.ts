import type { ProductDto, ProductInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveProduct = defineWrite('product.save', ({ gardenId, product }: OfGarden & { product: ProductInput }) =>
  api<ProductDto>('PUT', apiOf(gardenId, 'products'), product),
);
export const deleteProduct = defineWrite('product.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'products', id)),
);
export const restoreProduct = defineWrite('product.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'products', id, 'restore')),
);
