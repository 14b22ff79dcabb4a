import type { CaseFile, Day, DisorderCode, Report, SignCode } from '@candid-leaf/core';
import type { GardenDto } from './gardens.js';
import type { PlaceDto } from './places.js';
import type { PlantDto } from './plants.js';
import type { RecordDto, RecordType } from './records.js';
import type { TaskDto, TroubleDto } from './troubles.js';
import type { WeatherDto, WeatherState } from './weather.js';

/** What the ribbon shows of one day. */
export interface RibbonDay {
  day: Day;
  weather: WeatherDto | null;
  /** kinds of record made that day, with how many */
  done: Partial<Record<RecordType, number>>;
  /** tasks due that day */
  due: number;
}

export interface PlantOnView {
  plant: PlantDto;
  /** 0 to 1; null where nothing can be reckoned */
  fractionAvailable: number | null;
  /** water left on the days of the ribbon, the coming ones as they would go with no watering */
  course: { day: Day; fractionAvailable: number }[];
  next: { date: Day; litres: number } | null;
  /** the leading clear finding, if any */
  finding: { disorder: DisorderCode; label: string; probability: number; harmless: boolean } | null;
  /** signs were given but nothing is clear yet */
  unclear: boolean;
  lastLook: Day | null;
  /** what was seen on it today */
  seenToday: SignCode[];
}

export interface PlaceOnView {
  place: PlaceDto;
  fractionAvailable: number | null;
  plants: PlantOnView[];
}

export interface GardenView {
  garden: GardenDto;
  ribbon: RibbonDay[];
  places: PlaceOnView[];
  today: TaskDto[];
  weather: WeatherState;
}

export interface PlantView {
  garden: GardenDto;
  place: PlaceDto;
  plant: PlantDto;
  caseFile: CaseFile;
  report: Report;
  forecast: WeatherDto[];
  records: RecordDto[];
  troubles: TroubleDto[];
}
