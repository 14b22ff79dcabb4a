import type { Irrigation } from '../records/place.js';
import type { WaterMethod } from '../records/choices.js';
import type { SchoolCode } from './schools.js';
import { wayOf } from './watering.js';

/** How the gardener waters a place, and what local rules allow. */
export interface PlaceRules {
  school: SchoolCode;
  irrigation?: Irrigation | null;
  /** of the whole place, litres an hour */
  flowLPerH?: number | null;
  /** when in doubt rather damp or rather dry; by default as the crop likes it */
  lean?: 'damp' | 'dry' | null;
  drierFinish?: boolean | null;
  /** weekdays on which watering is allowed, 0 Sunday to 6 Saturday; empty or missing: all */
  allowedDays?: readonly number[] | null;
  /** most litres that the whole place may have in any seven days */
  weeklyCapL?: number | null;
  /** a timer on the tap waters it */
  byTimer?: boolean;
}

/** The same as it holds for one of its plants. */
export interface PlanRules {
  school: SchoolCode;
  how: WaterMethod;
  /** per plant; null where it is carried by hand */
  flowLPerH: number | null;
  lean?: 'damp' | 'dry' | null;
  drierFinish?: boolean;
  allowedDays?: readonly number[] | null;
  /** most litres a plant may have in any seven days */
  weeklyCapL?: number | null;
}

/** A can is emptied in a minute or two: its flow does not matter. */
const runsByClock = (irrigation: Irrigation | null | undefined): boolean => !!irrigation && irrigation !== 'can';

export function rulesPerPlant(rules: PlaceRules, plants: number): PlanRules {
  const shared = (whole: number | null | undefined): number | null =>
    whole != null ? whole / Math.max(1, plants) : null;
  return {
    school: rules.school,
    how: wayOf(rules.irrigation),
    flowLPerH: runsByClock(rules.irrigation) ? shared(rules.flowLPerH || null) : null,
    lean: rules.lean ?? null,
    drierFinish: rules.drierFinish ?? false,
    allowedDays: rules.allowedDays?.length ? rules.allowedDays : null,
    weeklyCapL: shared(rules.weeklyCapL),
  };
}
