import type { Irrigation } from '../records/place.js';
import type { WaterMethod } from '../records/choices.js';
import type { Day } from '../units/day.js';
import type { MethodCode } from './methods.js';
import { wayOf } from './watering.js';

/** How the gardener waters a bed or pot, and what local rules allow. */
export interface PlaceRules {
  method: MethodCode;
  irrigation?: Irrigation | null;
  /** for the whole bed or pot, litres an hour */
  flowLPerH?: number | null;
  /** if in doubt damp or dry; by default what the crop prefers */
  moisture?: 'damp' | 'dry' | null;
  drierRipening?: boolean | null;
  /** weekdays on which watering is allowed, 0 Sunday to 6 Saturday; empty or missing: all */
  allowedDays?: readonly number[] | null;
  /** most litres for the whole bed or pot in any seven days */
  weeklyCapL?: number | null;
  /** a timer on the tap waters it */
  byTimer?: boolean;
  /** what a timer will give on the coming days, litres per plant */
  timed?: readonly { date: Day; litres: number }[];
}

/** The same rules for one of its plants. */
export interface PlanRules {
  method: MethodCode;
  how: WaterMethod;
  /** per plant; null if carried by hand */
  flowLPerH: number | null;
  moisture?: 'damp' | 'dry' | null;
  drierRipening?: boolean;
  allowedDays?: readonly number[] | null;
  /** most litres per plant in any seven days */
  weeklyCapL?: number | null;
  /** what a timer will give on the coming days, litres */
  timed?: readonly { date: Day; litres: number }[];
}

/** A can is emptied in a minute or two: its flow does not matter. */
const runsByClock = (irrigation: Irrigation | null | undefined): boolean => !!irrigation && irrigation !== 'can';

/** Returns a bed's rules for one of its plants: shared flows and amounts are divided. */
export function rulesPerPlant(rules: PlaceRules, plants: number): PlanRules {
  const shared = (whole: number | null | undefined): number | null =>
    whole != null ? whole / Math.max(1, plants) : null;
  return {
    method: rules.method,
    how: wayOf(rules.irrigation),
    flowLPerH: runsByClock(rules.irrigation) ? shared(rules.flowLPerH || null) : null,
    moisture: rules.moisture ?? null,
    drierRipening: rules.drierRipening ?? false,
    allowedDays: rules.allowedDays?.length ? rules.allowedDays : null,
    weeklyCapL: shared(rules.weeklyCapL),
    ...(rules.timed?.length ? { timed: rules.timed } : {}),
  };
}
