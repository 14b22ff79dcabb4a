import { PotWeight, RainGauge, SoilCheck, SoilWarmth, TimerSet, Watering, WateringEntry } from './water-records.js';
import { Feeding, Pruning, Spraying } from './care-records.js';
import {
  Companion,
  Covering,
  SupportPut,
  GrowthSeen,
  Happening,
  Inspection,
  Note,
  Picking,
  TrussCount,
} from './seen-records.js';

export * from './water-records.js';
export * from './care-records.js';
export * from './seen-records.js';

// What can be recorded, one class per record type. Case file, API and forms all use these classes, so each limit is
// defined once. `record-types.ts` says which types there are and what they are for.

/** The stored class of each record type. */
export const RECORD_CLASSES = {
  watering: Watering,
  'soil-check': SoilCheck,
  'soil-warmth': SoilWarmth,
  feeding: Feeding,
  pruning: Pruning,
  note: Note,
  spray: Spraying,
  event: Happening,
  picking: Picking,
  'pot-weight': PotWeight,
  'rain-gauge': RainGauge,
  'truss-count': TrussCount,
  growth: GrowthSeen,
  companion: Companion,
  covering: Covering,
  support: SupportPut,
  timer: TimerSet,
  inspection: Inspection,
};

/** The entry class of each, where it differs from the stored one. */
export const ENTRY_CLASSES = { ...RECORD_CLASSES, watering: WateringEntry };
