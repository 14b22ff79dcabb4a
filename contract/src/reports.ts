import type { Habit } from '@candid-leaf/core/prevented';
import type { RemedyCode } from '@candid-leaf/core/diagnosis';
import type { Crop, DisorderCode } from '@candid-leaf/core/records';
import type { HarvestReport, PlantingDates, TroubleOverYears } from '@candid-leaf/core/reports';
import type { GrowingYear } from '@candid-leaf/core/season';
import type { Day } from '@candid-leaf/core/units';
import type { Outcome } from './treatments.js';

/** What was done about a finding, and the result. */
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

/** One season compared with others, with the weather of its growing time. */
export interface ComparedSeason {
  label: string;
  year: number;
  plants: number;
  kg: number;
  firstPick: Day | null;
  /** from the first planting out to the last picking, or the end: null without stored weather */
  weather: { days: number; meanC: number; hotDays: number; rainMm: number } | null;
}

/** What several seasons show together. */
export interface YearsView {
  dates: PlantingDates[];
  troubles: TroubleOverYears[];
}

/** What gardens of a region have in common: counts of at least five gardens, without names or places. */
export interface AroundView {
  /** gardens that are counted; null if fewer than five */
  gardens: number | null;
  /** problems of the last month */
  troubles: { label: string; gardens: number }[];
  helped: { label: string; remedy: string; gardens: number }[];
  firstRipe: { crop: Crop; on: Day; gardens: number }[];
}

/** Fruit laid out to ripen. */
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

/** A season's report: harvest, losses, treatments, and how it compares. */
export interface SeasonReportView {
  season: GrowingYear;
  harvest: HarvestReport;
  /** archived plants, with the reason */
  ended: { name: string; place: string; on: Day; because: string | null }[];
  troubles: { place: string; label: string }[];
  remedies: RemedyRow[];
  /** the one habit that would have saved most fruit; null if no finding says so */
  habit: Habit | null;
  /** fruit ripening indoors now, ripest first; of the current season only */
  shelf: ShelfRow[];
  /** fruit picked to cook, kg, and about how many litres of thick sauce that makes */
  cooked: { kg: number; litres: number };
  /** newest first */
  compared: ComparedSeason[];
  years: YearsView;
  /** null if this garden has not agreed to be counted */
  around: AroundView | null;
}
