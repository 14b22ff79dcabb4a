import type { Spraying } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';

/** One spray, with all that is asked of a log. */
export interface SprayLogRow {
  id: string;
  day: Day;
  who: string | null;
  place: string | null;
  plants: string[];
  spray: Spraying;
  /** of that day, by the station */
  weather: { tMinC: number; tMaxC: number; windMs: number | null; rainMm: number } | null;
  /** the first day on which fruit may be picked; null where no label was at hand */
  pickFrom: Day | null;
  /** the first day on which it may be sprayed again */
  againFrom: Day | null;
}
