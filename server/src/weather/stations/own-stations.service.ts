import { randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { NewStation, OwnStationDto, StationReading } from '@candid-leaf/contract';
import { type DayOfHours, daysOfHours, HOUR_MS } from '@candid-leaf/core/climate';
import { addDays, type Day, roundTo } from '@candid-leaf/core/units';
import { Between, type DataSource, type EntityManager, LessThan, MoreThanOrEqual } from 'typeorm';
import { Clock } from '../../shared/clock.js';
import { notFound } from '../../shared/http-errors.js';
import { hashOf } from '../../shared/secrets.js';
import { inTransaction } from '../../shared/transactions.js';
import type { StationDay } from '../sources/source.js';
import { seemsMeant } from './far-off.js';
import { addTo, emptyHour, rainSince, weatherHour } from './hours.js';
import { SoilChannelEntity, StationHourEntity, WeatherStationEntity } from './station.entities.js';
import { POSSIBLE, type Reading, type Upload } from './upload.js';

/** A key that fits the fields of small consoles: 120 random bits. */
const KEY_BYTES = 15;
/** A station's clock may be off by this, ms; beyond it the time of arrival counts. */
const CLOCK_MS = 10 * 60_000;
/** A trouble is shown for a day. */
const TROUBLE_MS = 24 * HOUR_MS;
/** Hours older than this are in the garden's days, or never will be. */
const KEPT_DAYS = 90;
/** Days back in which a station and a service are compared. */
const COMPARED_DAYS = 7;
const LONGEST_TROUBLE = 300;

/** What a station says of the garden's days. */
export interface OwnDays {
  whole: DayOfHours[];
  soFar: DayOfHours | null;
}

/** The gardens' own stations: keys, what they send, and the days that come of it. */
@Injectable()
export class OwnStations {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly clock: Clock,
  ) {}

  /** Returns the station of a garden, as last heard. */
  async state(gardenId: string): Promise<OwnStationDto | null> {
    const station = await this.db.manager.findOneBy(WeatherStationEntity, { gardenId });
    return station && this.dto(station, await this.lately(gardenId));
  }

  /** Makes a new key and ends the one before; what was measured stays. */
  async connect(gardenId: string): Promise<NewStation> {
    const key = randomBytes(KEY_BYTES).toString('hex');
    const fresh = {
      gardenId,
      keyHash: hashOf(key),
      madeAt: this.clock.now(),
      heardAt: null,
      lastStamp: null,
      rainCounterMm: null,
      trouble: null,
      troubleAt: null,
      reading: null,
      asks: null,
    };
    await inTransaction(this.db, (m) => m.upsert(WeatherStationEntity, fresh, ['gardenId']));
    return { ...this.dto(fresh, []), key };
  }

  async remove(gardenId: string): Promise<void> {
    await this.db.manager.delete(WeatherStationEntity, { gardenId });
  }

  /** Notes how its temperatures are meant. */
  async settle(gardenId: string, reading: StationReading): Promise<void> {
    if (!(await this.db.manager.existsBy(WeatherStationEntity, { gardenId }))) throw notFound('station');
    await this.db.manager.update(WeatherStationEntity, { gardenId }, { reading });
  }

  /** Returns the garden behind a key; null if there is none. */
  async gardenBehind(key: string): Promise<string | null> {
    const station = await this.db.manager.findOne(WeatherStationEntity, {
      select: { gardenId: true },
      where: { keyHash: hashOf(key) },
    });
    return station?.gardenId ?? null;
  }

  /** Takes a reading: adds it to its hour. The same again changes nothing. */
  async receive(gardenId: string, { reading, soil, refused }: Upload): Promise<void> {
    await inTransaction(this.db, async (m) => {
      const station = await m.findOne(WeatherStationEntity, {
        where: { gardenId },
        lock: { mode: 'pessimistic_write' },
      });
      if (!station) return;
      if (reading.stamp !== null && reading.stamp === station.lastStamp) return;
      const now = this.clock.now().getTime();
      const { at, trouble } = this.momentOf(reading, now);
      const troubles = [...refused.map((what) => `It sent ${what}. We left that out.`), ...(trouble ? [trouble] : [])];
      const since = reading.rainMm ?? rainSince(station.rainCounterMm, reading.rainCounterMm);
      const tooMuch = since !== null && since > POSSIBLE.rainMm[1];
      if (tooMuch) troubles.unshift(`It sent ${Math.round(since)} mm of rain at once. We left that out.`);
      await this.add(m, gardenId, at, reading, tooMuch ? null : since);
      for (const { channel, raw } of soil)
        await m.upsert(SoilChannelEntity, { gardenId, channel, lastRaw: raw, heardAt: new Date(now) }, [
          'gardenId',
          'channel',
        ]);
      await m.update(
        WeatherStationEntity,
        { gardenId },
        {
          heardAt: new Date(now),
          lastStamp: reading.stamp,
          rainCounterMm: reading.rainCounterMm ?? station.rainCounterMm,
          ...this.troubleNow(station, troubles, now),
        },
      );
    });
  }

  /** Replaces whole hours by those of a file. */
  async replace(gardenId: string, hours: readonly StationHourEntity[], trouble: string | null): Promise<void> {
    await inTransaction(this.db, async (m) => {
      const now = this.clock.now();
      for (let i = 0; i < hours.length; i += 500)
        await m.upsert(StationHourEntity, hours.slice(i, i + 500), ['gardenId', 'at']);
      await m.update(
        WeatherStationEntity,
        { gardenId },
        {
          ...(hours.length > 0 ? { heardAt: now } : {}),
          trouble: trouble?.slice(0, LONGEST_TROUBLE) ?? null,
          troubleAt: trouble ? now : null,
        },
      );
    });
  }

  /**
   * Returns the station's days. None while its temperatures are far from the service's and nobody has said how they are meant.
   * @param service days of the same time
   */
  async days(
    garden: { id: string; timeZone: string },
    from: Day,
    today: Day,
    service: readonly StationDay[],
  ): Promise<OwnDays> {
    const { id: gardenId, timeZone } = garden;
    const nothing = { whole: [], soFar: null };
    const station = await this.db.manager.findOneBy(WeatherStationEntity, { gardenId });
    if (!station) return nothing;
    const rows = await this.db.manager.find(StationHourEntity, {
      where: { gardenId, at: MoreThanOrEqual(new Date(Date.parse(`${addDays(from, -1)}T00:00:00Z`))) },
    });
    const now = this.clock.now().getTime();
    const days = (reading: StationReading | null, least?: number): DayOfHours[] =>
      daysOfHours(
        rows.map((h) => weatherHour(h, reading)),
        timeZone,
        now,
        least,
      ).filter((d) => d.date >= from && d.date <= today);
    if (station.reading === null) {
      const asks = farOff(days(null), service, addDays(today, -COMPARED_DAYS));
      await this.noteAsked(station, asks);
      if (asks) return nothing;
    }
    return {
      whole: days(station.reading),
      soFar: days(station.reading, 1).find((d) => d.date === today) ?? null,
    };
  }

  /** Removes hours that are in the garden's days. */
  async tidy(): Promise<void> {
    const before = new Date(this.clock.now().getTime() - KEPT_DAYS * 24 * HOUR_MS);
    await this.db.manager.delete(StationHourEntity, { at: LessThan(before) });
  }

  private async add(
    m: EntityManager,
    gardenId: string,
    at: number,
    reading: Reading,
    rain: number | null,
  ): Promise<void> {
    const empty = emptyHour(gardenId, at);
    const before = await m.findOneBy(StationHourEntity, { gardenId, at: empty.at });
    await m.upsert(StationHourEntity, addTo(before ?? empty, reading, rain), ['gardenId', 'at']);
  }

  /** The station's time, or ours if its clock is wrong. */
  private momentOf({ at }: Reading, now: number): { at: number; trouble: string | null } {
    if (at === null) return { at: now, trouble: null };
    const off = at - now;
    if (Math.abs(off) <= CLOCK_MS) return { at, trouble: null };
    const hours = Math.abs(off) / HOUR_MS;
    const by = hours >= 48 ? `${Math.round(hours / 24)} days` : `${roundTo(hours, 1)} hours`;
    return {
      at: now,
      trouble: `Its clock is ${by} ${off > 0 ? 'ahead' : 'behind'}. We use the time of arrival; set the clock to UTC.`,
    };
  }

  private troubleNow(station: WeatherStationEntity, troubles: readonly string[], now: number) {
    if (troubles.length > 0) return { trouble: troubles.join(' ').slice(0, LONGEST_TROUBLE), troubleAt: new Date(now) };
    const over = station.troubleAt && now - station.troubleAt.getTime() > TROUBLE_MS;
    return over ? { trouble: null, troubleAt: null } : {};
  }

  private async noteAsked(station: WeatherStationEntity, asks: Asked | null): Promise<void> {
    const { gardenId, asks: before } = station;
    if (JSON.stringify(before) !== JSON.stringify(asks))
      await this.db.manager.update(WeatherStationEntity, { gardenId }, { asks });
  }

  private lately(gardenId: string): Promise<StationHourEntity[]> {
    const now = this.clock.now().getTime();
    return this.db.manager.find(StationHourEntity, {
      where: { gardenId, at: Between(new Date(now - 24 * HOUR_MS), new Date(now + HOUR_MS)) },
    });
  }

  private dto(s: WeatherStationEntity, hours: readonly StationHourEntity[]): OwnStationDto {
    const sends = (has: (h: StationHourEntity) => boolean, what: string): string[] => (hours.some(has) ? [what] : []);
    return {
      connectedAt: s.madeAt.toISOString(),
      heardAt: s.heardAt?.toISOString() ?? null,
      sends: [
        ...sends((h) => h.temps > 0, 'temperature'),
        ...sends((h) => h.humids > 0, 'humidity'),
        ...sends((h) => h.rainMm !== null, 'rain'),
        ...sends((h) => h.winds > 0, 'wind'),
        ...sends((h) => h.suns > 0, 'sun'),
      ],
      trouble: s.trouble,
      asks: s.reading === null ? s.asks : null,
    };
  }
}

type Asked = NonNullable<OwnStationDto['asks']>;

/** Compares the mean of the days that both know; null if they agree, or know none together. */
function farOff(own: readonly DayOfHours[], service: readonly StationDay[], since: Day): Asked | null {
  const of = new Map(service.map((d) => [d.date, d]));
  const both = own.filter((d) => d.date >= since && of.has(d.date));
  if (both.length === 0) return null;
  const mean = (days: readonly { tMinC: number; tMaxC: number }[]): number =>
    roundTo(days.reduce((sum, d) => sum + (d.tMinC + d.tMaxC) / 2, 0) / days.length, 1);
  const stationC = mean(both);
  const serviceC = mean(both.map((d) => of.get(d.date)!));
  const reading = seemsMeant(stationC, serviceC);
  return reading && { stationC, serviceC, reading };
}
