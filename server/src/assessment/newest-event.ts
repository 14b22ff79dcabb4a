import type { Happening } from '@candid-leaf/core/records';
import type { GardenSnapshot } from './snapshots.service.js';

/** Returns the last day of this season with an event for a plant; null if none is recorded. */
export const newestEvent = (s: GardenSnapshot, plantId: string, what: Happening['what']): string | null =>
  s.recordsOf(plantId).findLast((r) => r.type === 'event' && r.day <= s.today && (r.data as Happening).what === what)
    ?.day ?? null;

/** Returns when compost was last worked into a bed, this season or the autumn before; null if that is not recorded. */
export const compostDugOn = (s: GardenSnapshot, placeId: string): string | null =>
  newestEvent(s, placeId, 'compost-dug-in') ?? s.kept.compostDugBefore(placeId);
