import type { Happening } from '@candid-leaf/core/records';
import type { GardenSnapshot } from '../assessment/snapshots.service.js';

/** The last day of this season on which something happened to a plant; null where it is not written down. */
export const newestEvent = (s: GardenSnapshot, plantId: string, what: Happening['what']): string | null =>
  s.recordsOf(plantId).findLast((r) => r.type === 'event' && r.day <= s.today && (r.data as Happening).what === what)
    ?.day ?? null;
