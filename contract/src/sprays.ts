import type { Spraying } from '@candid-leaf/core/records';
import type { CopperTotal } from '@candid-leaf/core/spray';
import type { Day } from '@candid-leaf/core/units';

/** One spray, with everything a log must show. */
export interface SprayLogRow {
  id: string;
  day: Day;
  who: string | null;
  place: string | null;
  plants: string[];
  spray: Spraying;
  /** of that day, from the station */
  weather: { tMinC: number; tMaxC: number; windMs: number | null; rainMm: number } | null;
  /** first day fruit may be picked; null without a label */
  pickFrom: Day | null;
  /** first day it may be sprayed again */
  againFrom: Day | null;
  /** of a copper spray: metal in this one, g, and in the twelve months up to it, of its bed or pot */
  copper: (CopperTotal & { here: number | null }) | null;
}
