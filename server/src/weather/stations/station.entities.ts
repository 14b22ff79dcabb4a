import type { OwnStationDto, StationReading } from '@candid-leaf/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A garden's own weather station: only the hash of its key is stored. */
@Entity('weather_station')
export class WeatherStationEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  @Column('char', { length: 64 })
  keyHash: string;

  @Column('datetime', { precision: 3 })
  madeAt: Date;

  @Column('datetime', { precision: 3, nullable: true })
  heardAt: Date | null;

  /** the time of the last upload as the station stated it: the same again is a repeat */
  @Column('varchar', { length: 30, nullable: true })
  lastStamp: string | null;

  /** rain counter of the last upload, mm */
  @Column('double', { nullable: true })
  rainCounterMm: number | null;

  @Column('varchar', { length: 300, nullable: true })
  trouble: string | null;

  @Column('datetime', { precision: 3, nullable: true })
  troubleAt: Date | null;

  /** how its temperatures are meant; null: not asked, or not answered */
  @Column('varchar', { length: 30, nullable: true })
  reading: StationReading | null;

  /** its days are not used until this is answered */
  @Column('simple-json', { nullable: true })
  asks: OwnStationDto['asks'];
}

/** A channel of a station's soil probes, and where it stands. */
@Entity('soil_channel')
export class SoilChannelEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  /** `moisture-1`, `warmth-2` */
  @PrimaryColumn('varchar', { length: 12 })
  channel: string;

  @Column('double')
  lastRaw: number;

  @Column('datetime', { precision: 3 })
  heardAt: Date;

  @Column('uuid', { nullable: true })
  placeId: string | null;

  @Column('double', { nullable: true })
  depthCm: number | null;

  /** readings of dry and of drained soil */
  @Column('double', { nullable: true })
  dryRaw: number | null;

  @Column('double', { nullable: true })
  drainedRaw: number | null;

  @Column('date', { nullable: true })
  calibratedOn: string | null;

  /** who put it there: its readings are recorded in their name */
  @Column('uuid', { nullable: true })
  madeBy: string | null;

  /** last day whose reading was recorded */
  @Column('date', { nullable: true })
  notedOn: string | null;
}

/** One hour of a station, as sums and extremes of what it sent. */
@Entity('station_hour')
export class StationHourEntity {
  @PrimaryColumn('uuid')
  gardenId: string;

  /** begin of the hour */
  @PrimaryColumn('datetime')
  at: Date;

  @Column('int')
  temps: number;

  @Column('double')
  tSum: number;

  @Column('double', { nullable: true })
  tMinC: number | null;

  @Column('double', { nullable: true })
  tMaxC: number | null;

  @Column('int')
  humids: number;

  @Column('double')
  rhSum: number;

  @Column('int')
  winds: number;

  @Column('double')
  windSum: number;

  @Column('int')
  suns: number;

  @Column('double')
  sunSum: number;

  /** mm; null: it sends no rain */
  @Column('double', { nullable: true })
  rainMm: number | null;
}
