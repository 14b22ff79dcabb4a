import { Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Cron, CronExpression } from '@nestjs/schedule';
import type { GardenDto, WeatherDto, WeatherState } from '@candid-leaf/contract';
import { checked, weatherFaults, WeatherRecord } from '@candid-leaf/core/records';
import { addDays, type Day } from '@candid-leaf/core/units';
import { Not, type DataSource } from 'typeorm';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { WeatherStation, type StationDay } from './station.js';
import { WeatherEntity } from './weather.entity.js';

/** How far back the first pull of a garden reaches. */
const HISTORY_DAYS = 120;

export const weatherDto = ({ gardenId: _g, rainMm, gaugeMm, ...w }: WeatherEntity): WeatherDto => ({
  ...w,
  gaugeMm,
  rainMm: gaugeMm ?? rainMm,
});

/** When the station last answered, and what it gave; from what is at hand. */
export const stateOf = (garden: GardenEntity, weather: readonly WeatherEntity[]): WeatherState => ({
  pulledAt: garden.weatherPulledAt?.toISOString() ?? null,
  newest: weather.findLast((w) => w.kind === 'observed')?.day ?? null,
  trouble: garden.weatherTrouble,
});

@Injectable()
export class WeatherService {
  private readonly log = new Logger(WeatherService.name);

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly station: WeatherStation,
    private readonly clock: Clock,
  ) {}

  @Cron(CronExpression.EVERY_HOUR)
  async pullAll(): Promise<void> {
    for (const garden of await this.db.manager.find(GardenEntity)) await this.pull(garden.id);
  }

  /**
   * Fetches what is new up to the garden's day, and the forecast after it. A station that does not answer leaves
   * everything as it was, with the reason kept for the page to show.
   * @param anew fetches the days that are known already too: the garden was moved on the map
   */
  async pull(gardenId: string, anew = false): Promise<WeatherState> {
    const garden = await this.gardens.get(gardenId);
    const today = this.gardens.today(garden);
    const newest = anew ? null : await this.newestObserved(gardenId);
    const from = newest && newest < today ? addDays(newest, 1) : (newest ?? addDays(today, -HISTORY_DAYS));
    try {
      const observed = (await this.station.observed(garden, from, today)).map(plausible);
      const forecast = await this.station.forecast(garden, today);
      const rows = [
        ...observed.map((d) => ({ ...columns(d), kind: 'observed' as const, rainChancePct: null })),
        ...forecast.map((d) => ({
          ...columns(plausible(d)),
          kind: 'forecast' as const,
          rainChancePct: d.rainChancePct,
        })),
      ].map((r) => ({ ...r, gardenId }));
      await this.gardens.change(gardenId, async (m) => {
        await m.delete(WeatherEntity, { gardenId, kind: 'forecast' });
        // the gauge column is not named, so a reading of the gardener's own stays
        await m.upsert(WeatherEntity, rows, ['gardenId', 'day']);
        await m.update(GardenEntity, { id: gardenId }, { weatherPulledAt: this.clock.now(), weatherTrouble: null });
      });
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      this.log.warn(`weather of garden ${gardenId}: ${reason}`);
      await this.gardens.change(gardenId, (m) =>
        m.update(GardenEntity, { id: gardenId }, { weatherTrouble: reason.slice(0, 300) }),
      );
    }
    const now = await this.gardens.get(gardenId);
    return { ...stateOf(now, []), newest: await this.newestObserved(gardenId) };
  }

  /** After a garden was made or changed: weather for its new day or its new place on earth, if it needs any. */
  async follow(garden: GardenDto, moved: boolean): Promise<void> {
    const newest = await this.newestObserved(garden.id);
    if (moved || newest === null || newest < garden.today) await this.pull(garden.id, moved);
  }

  /** A gauge reading for a day that has weather. */
  async gauge(gardenId: string, day: Day, gaugeMm: number | null): Promise<void> {
    await this.gardens.change(gardenId, async (m) => {
      const key = { gardenId, day, kind: Not('forecast' as const) };
      if (!(await m.existsBy(WeatherEntity, key))) throw notFound('day with weather');
      await m.update(WeatherEntity, key, { gaugeMm });
    });
  }

  private async newestObserved(gardenId: string): Promise<Day | null> {
    const [newest] = await this.db.manager.find(WeatherEntity, {
      where: { gardenId, kind: 'observed' },
      order: { day: 'DESC' },
      take: 1,
    });
    return newest?.day ?? null;
  }
}

const columns = ({ date, ...rest }: StationDay) => ({
  day: date,
  tMinC: rest.tMinC,
  tMaxC: rest.tMaxC,
  rainMm: rest.rainMm,
  rhMeanPct: rest.rhMeanPct ?? null,
  windMs: rest.windMs ?? null,
  solarMj: rest.solarMj ?? null,
});

/** A station is outside: its days are checked like anybody's input. */
function plausible<D extends StationDay>(day: D): D {
  const { date, tMinC, tMaxC, rainMm, rhMeanPct, windMs, solarMj } = day;
  checked(WeatherRecord, { date, tMinC, tMaxC, rainMm, rhMeanPct, windMs, solarMj });
  const [fault] = weatherFaults(day, date);
  if (fault) throw new Error(`${fault.path}: ${fault.reason}`);
  return day;
}
