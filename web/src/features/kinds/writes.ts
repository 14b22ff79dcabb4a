import type { CultivarDto, CultivarInput } from '@candid-leaf/contract';
import { api } from '../../lib/api';
import { apiOf } from '../../lib/paths';
import { defineWrite, type OfGarden } from '../../lib/writes';

export const saveKind = defineWrite('kind.save', ({ gardenId, kind }: OfGarden & { kind: CultivarInput }) =>
  api<CultivarDto>('PUT', apiOf(gardenId, 'kinds'), kind),
);
export const deleteKind = defineWrite('kind.delete', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('DELETE', apiOf(gardenId, 'kinds', id)),
);
export const restoreKind = defineWrite('kind.restore', ({ gardenId, id }: OfGarden & { id: string }) =>
  api('POST', apiOf(gardenId, 'kinds', id, 'restore')),
);
