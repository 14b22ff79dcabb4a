import { v5 as nameUuid } from 'uuid';
import type { PlantingEntity } from './planting.entity.js';

const OWN_NAMES = 'b9a7c0de-51a5-4c0a-9b0e-6f1f2d3c4b5a';
/** Returns the same plants however often it is called. */
export const plantIds = (p: PlantingEntity): string[] =>
  Array.from({ length: p.count }, (_, i) => nameUuid(`${p.id} ${i}`, OWN_NAMES));
