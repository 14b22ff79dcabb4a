import type { RemedyCode } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import type { HarvestReport } from '@candid-leaf/core/reports';
import type { GrowingYear } from '@candid-leaf/core/season';
import type { Day } from '@candid-leaf/core/units';
import type { Outcome } from './treatments.js';

/** What was done about a finding, and what came of it. */
export interface RemedyRow {
  plant: string;
  disorder: DisorderCode;
  label: string;
  remedies: RemedyCode[];
  remedyLabels: string[];
  openedOn: Day;
  closedOn: Day | null;
  outcome: Outcome | null;
}

/** One season beside others, with the weather of its growing time. */
export interface ComparedSeason {
  label: string;
  year: number;
  plants: number;
  kg: number;
  firstPick: Day | null;
  /** from the first planting out to the last picking, or the end: null where no weather is kept */
  weather: { days: number; meanC: number; hotDays: number; rainMm: number } | null;
}

/** Fruit that was laid out to ripen. */
export interface ShelfRow {
  plant: string;
  count: number | null;
  grams: number | null;
  pickedOn: Day;
  ripeOn: Day;
  eatBy: Day;
  /** days until it is ripe; 0: now */
  ripeIn: number;
}

/** A season's end: what it bore, what was lost, what was done about it, and how it stands beside others. */
export interface SeasonReportView {
  season: GrowingYear;
  harvest: HarvestReport;
  /** plants that ended, with why */
  ended: { name: string; place: string; on: Day; because: string | null }[];
  troubles: { place: string; label: string }[];
  remedies: RemedyRow[];
  /** what ripens indoors now, the ripest first; of the running season only */
  shelf: ShelfRow[];
  /** what was picked to cook, kg, and about how many litres of thick sauce that is */
  cooked: { kg: number; litres: number };
  /** the newest first */
  compared: ComparedSeason[];
}
