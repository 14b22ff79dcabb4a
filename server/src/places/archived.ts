import type { Fault } from '@candid-leaf/core/records';
import type { PlaceEntity } from './place.entity.js';

/** Returns a fault if a bed or pot is archived: nothing is put there. */
export const archivedFaults = (place: Pick<PlaceEntity, 'name' | 'retiredOn'>, path: string): Fault[] =>
  place.retiredOn === null ? [] : [{ path, reason: `${place.name} is archived: restore it first, or choose another` }];
