import 'reflect-metadata';
import type { Day } from '../units/day.js';
import { byDate, type Dated, IsCalendarDay } from './dated.js';
import { GardenFacts, PlaceFacts, PlantFacts } from './facts.js';
import { CASE_LISTS, type RecordLists } from './record-types.js';
import { RECORD_CLASSES } from './record-classes.js';
import { Observation } from './observation.js';
import { IsListOf, IsPart } from './parts.js';
import { WeatherRecord } from './record-classes.js';

const MOST_RECORDS = 4000;

/** Records by type: the weather, and one list for each type of the registry that a case file holds. */
export type CaseRecords = { weather: WeatherRecord[] } & RecordLists;
class CheckedRecords {}
const listOf = (cls: new () => object, name: string): void =>
  IsListOf(() => cls, { most: MOST_RECORDS, optional: true })(CheckedRecords.prototype, name);
listOf(WeatherRecord, 'weather');
for (const { kind, list } of CASE_LISTS) listOf(RECORD_CLASSES[kind], list);
/** The records of a case, validated list by list. */
export const CaseRecords = CheckedRecords as new () => Partial<CaseRecords>;

/** Returns a case's records with every list empty. */
export const noRecords = (): CaseRecords =>
  ({ weather: [], ...Object.fromEntries(CASE_LISTS.map(({ list }) => [list, []])) }) as unknown as CaseRecords;

/** Sorts each list by day and drops records after `asOf`; a missing list is empty. */
export function tidyRecords(records: Partial<CaseRecords>, asOf: Day): CaseRecords {
  const kept = (list: readonly Dated[] | null | undefined): Dated[] =>
    (list ?? []).filter((r) => r.date <= asOf).sort(byDate);
  const out = noRecords();
  for (const name of Object.keys(out) as (keyof CaseRecords)[])
    (out as Record<keyof CaseRecords, Dated[]>)[name] = kept(records[name]);
  return out;
}

/** One plant (or one uniform group): its garden, bed or pot, records and observations, up to a day. */
export class PlantCase {
  /** the day of the question; later records are ignored */
  @IsCalendarDay()
  asOf: Day;

  @IsPart(() => GardenFacts)
  garden: GardenFacts;

  @IsPart(() => PlaceFacts)
  place: PlaceFacts;

  @IsPart(() => PlantFacts)
  plant: PlantFacts;

  @IsPart(() => CaseRecords)
  records: CaseRecords;

  @IsListOf(() => Observation, { most: MOST_RECORDS })
  observations: Observation[];
}
