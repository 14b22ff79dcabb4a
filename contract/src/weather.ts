import { FINITE } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { Type } from 'class-transformer';
import { IsIn, IsNumber, IsOptional, IsTimeZone, Max, Min } from 'class-validator';
import { IsId } from './id.js';

/** A day of weather: measured or forecast. */
export interface WeatherDto {
  day: Day;
  kind: 'observed' | 'forecast';
  tMinC: number;
  tMaxC: number;
  /** the gauge if there is one, else the station */
  rainMm: number;
  /** the gardener's own reading for the day, with its record */
  gauge: { recordId: string; version: number; rainMm: number } | null;
  rainChancePct: number | null;
  rhMeanPct: number | null;
  windMs: number | null;
  solarMj: number | null;
  /** hours in which a leaf was wet */
  wetHours: number | null;
  /** mean of the night before, °C */
  nightC: number | null;
  /** which service or station gave it; null: from before this was kept, or imported */
  source: WeatherSourceCode | null;
}

/** Services that give weather; `none`: only the garden's own station. */
export const WEATHER_SERVICES = ['simulated', 'open-meteo', 'met-norway', 'none'] as const;
/** Code of a weather service. */
export type WeatherServiceCode = (typeof WEATHER_SERVICES)[number];
/** Where a day's weather comes from. */
export type WeatherSourceCode = Exclude<WeatherServiceCode, 'none'> | 'own';

/** A weather service to choose. */
export interface WeatherServiceDto {
  code: WeatherServiceCode;
  name: string;
  /** what it gives and what it learns, in a sentence */
  says: string;
  /** credit that its licence asks for, shown where its weather is */
  credit: { text: string; url: string } | null;
  /** chosen for a new garden unless its gardener chooses another */
  proposed: boolean;
}

/** When weather last came in, and what went wrong. */
export interface WeatherState {
  /** when the service last answered; null if never */
  pulledAt: string | null;
  /** newest measured day */
  newest: Day | null;
  /** the error of the last try, in a sentence; null if it went well */
  trouble: string | null;
  /** where it comes from; null in a state read from a device */
  service: WeatherServiceDto | null;
}

/** How the temperatures of a station are meant: as sent, or by mistake in the other unit. */
export const STATION_READINGS = ['as-sent', 'fahrenheit', 'celsius-as-fahrenheit'] as const;
/** How the temperatures of a station are meant. */
export type StationReading = (typeof STATION_READINGS)[number];

/** A garden's own weather station, as last heard. */
export interface OwnStationDto {
  connectedAt: string;
  /** when it last sent something that could be used */
  heardAt: string | null;
  /** what it sends, in words; empty if nothing came yet */
  sends: string[];
  /** what is wrong, in a sentence */
  trouble: string | null;
  /** its temperatures are far from the service's: how are they meant? null if there is nothing to ask */
  asks: { stationC: number; serviceC: number; reading: StationReading } | null;
}

/** The key of a new station: shown only once. */
export interface NewStation extends OwnStationDto {
  key: string;
}

/** The answer to the question about a station's temperatures. */
export class StationReadingInput {
  @IsIn(STATION_READINGS)
  reading: StationReading;
}

/** A place whose usual frosts are asked for, before it is a garden. */
export class ClimateAt {
  @Type(() => Number)
  @IsNumber(FINITE)
  @Min(-66)
  @Max(66)
  latitude: number;

  @Type(() => Number)
  @IsNumber(FINITE)
  @Min(-180)
  @Max(180)
  longitude: number;

  @Type(() => Number)
  @IsNumber(FINITE)
  @Min(-430)
  @Max(5500)
  elevationM: number;

  @IsTimeZone({ message: 'must be a time zone such as Europe/Rome' })
  timeZone: string;

  @IsIn(WEATHER_SERVICES)
  service: WeatherServiceCode;
}

/** Usual frost days from measured years. */
export interface FrostsDto {
  /** MM-DD; null: frost in fewer than half of the years */
  lastFrost: string | null;
  firstFrost: string | null;
  years: number;
}

/** A channel of soil probes of the garden's own station. */
export interface SoilProbeDto {
  /** `moisture-1`, `warmth-2` */
  channel: string;
  heardAt: string;
  /** as sent: a raw number, or °C */
  raw: number;
  placeId: string | null;
  depthCm: number | null;
  /** its two points; null until they were noted */
  dryRaw: number | null;
  drainedRaw: number | null;
  calibratedOn: Day | null;
  /** share of the available water, 0 to 1.3; null without both points */
  share: number | null;
  /** what fingers say against it, in a sentence */
  against: string | null;
}

/** Where a probe stands. */
export class SoilProbeInput {
  @IsOptional()
  @IsId()
  placeId?: string | null;

  @IsOptional()
  @IsNumber(FINITE)
  @Min(0)
  @Max(60)
  depthCm?: number | null;
}

/** How the soil is now, for one of a probe's two points. */
export class SoilProbePoint {
  @IsIn(['dry', 'drained'])
  as: 'dry' | 'drained';
}
