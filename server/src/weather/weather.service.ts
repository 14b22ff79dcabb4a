import { setTimeout as wait } from 'node:timers/promises';
import { Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Cron, CronExpression } from '@nestjs/schedule';
import type { GardenDto, WeatherState } from '@candid-leaf/contract';
import { growingYear, growingYearOf } from '@candid-leaf/core/season';
import { addDays, type Day } from '@candid-leaf/core/units';
import { Between, In, IsNull, LessThanOrEqual, MoreThan, Not, type DataSource } from 'typeorm';
import { Clock } from '../shared/clock.js';
import { inBackground } from '../shared/background.js';
import { revisionOf } from '../shared/garden-revision.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { OutsideWeather } from './outside-weather.service.js';
import { CsvFolder } from './stations/csv-folder.service.js';
import { WeatherEntity } from './weather.entity.js';

/** Longest wait for the weather of a garden that is being saved, ms: after it the fetching goes on by itself. */
const PATIENCE_MS = 8000;
/** Earlier seasons to fetch, and the days from which one counts as known. */
const MOST_EARLIER = 10;
const WELL_KNOWN_DAYS = 300;

/** Fetches weather and answers for it when the station is down. */
@Injectable()
export class WeatherService {
  /** earlier seasons already requested by this process: a service without them is not asked every hour */
  private readonly tried = new Set<string>();
  private readonly log = new Logger(WeatherService.name);

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly outside: OutsideWeather,
    private readonly files: CsvFolder,
    private readonly clock: Clock,
  ) {}

  @Cron(CronExpression.EVERY_HOUR)
  async pullAll(): Promise<void> {
    await inBackground('the weather update', async () => {
      await inBackground('old weather', () => this.outside.tidy());
      await inBackground('readings in files', () => this.files.look());
      const gardens = await this.db.manager.find(GardenEntity);
      // one request for all that are near to each other, before they are taken one by one
      await inBackground('the weather of all places', () => this.prepare(gardens));
      for (const { id } of gardens)
        await inBackground(`weather of garden ${id}`, async () => {
          await this.pull(id);
          await this.pullEarlier(id);
        });
    });
  }

  /**
   * Fetches what is new up to the garden's day, and the forecast after it. If the service does not answer, the days of the
   * garden's own station are still taken, and the reason is stored for the page. Measurements are never deleted or
   * overwritten by a forecast; the last forecast of a day stays until it is measured.
   * @param anew also fetches known days: the garden was moved on the map, or has another service
   */
  async pull(gardenId: string, anew = false): Promise<WeatherState> {
    const garden = await this.gardens.get(gardenId);
    const today = this.gardens.today(garden);
    const newest = anew ? null : await this.newestObserved(gardenId, today);
    const { observed, forecast, trouble } = await this.outside.news(garden, today, newest);
    await this.gardens.change(gardenId, async (m) => {
      if (anew && this.outside.state(garden).service?.code !== 'simulated')
        await m.delete(WeatherEntity, { gardenId, source: 'simulated' });
      if (trouble === null) await m.delete(WeatherEntity, { gardenId, kind: 'forecast', day: MoreThan(today) });
      const measured = observed.map((d) => d.day);
      if (measured.length > 0) await m.delete(WeatherEntity, { gardenId, kind: 'forecast', day: In(measured) });
      const rows = [...observed, ...forecast];
      if (rows.length > 0) await m.upsert(WeatherEntity, rows, ['gardenId', 'day', 'kind']);
      await m.update(
        GardenEntity,
        { id: gardenId },
        {
          weatherTrouble: trouble,
          ...(trouble === null ? { weatherPulledAt: this.clock.now() } : {}),
          ...(trouble === null || rows.length > 0 ? { weatherRevision: revisionOf(m) } : {}),
        },
      );
    });
    const now = await this.gardens.get(gardenId);
    return { ...this.outside.state(now), newest: await this.newestObserved(gardenId, today) };
  }

  private async prepare(gardens: readonly GardenEntity[]): Promise<void> {
    const newest = await this.db.query<{ gardenId: string; day: Day }[]>(
      `SELECT gardenId, MAX(day) AS day FROM weather WHERE kind = 'observed' GROUP BY gardenId`,
    );
    const newestOf = new Map(newest.map((n) => [n.gardenId, n.day]));
    await this.outside.prepare(
      gardens.map((garden) => ({ garden, today: this.gardens.today(garden), newest: newestOf.get(garden.id) ?? null })),
    );
  }

  /**
   * Updates the weather of a created or changed garden for its new day, location or service, if needed. A slow service is not
   * waited for: the fetching goes on by itself.
   */
  async follow(garden: GardenDto, moved: boolean): Promise<void> {
    const work = inBackground(`weather of garden ${garden.id}`, () => this.bringUp(garden, moved));
    const late = new AbortController();
    await Promise.race([work, wait(PATIENCE_MS, undefined, { signal: late.signal }).catch(() => undefined)]);
    late.abort();
  }

  private async bringUp(garden: GardenDto, moved: boolean): Promise<void> {
    const { id: gardenId, today } = garden;
    const measured = (await this.newestObserved(gardenId, today)) === today;
    const hasForecast = await this.db.manager.existsBy(WeatherEntity, {
      gardenId,
      kind: 'forecast',
      day: addDays(today, 1),
    });
    if (moved || !measured || !hasForecast) await this.pull(gardenId, moved);
    await this.pullEarlier(gardenId, moved);
    await this.pullClimate(gardenId, moved);
  }

  /** Notes the usual climate of the place, from ten years of days, once. Without them the estimate stays. */
  async pullClimate(gardenId: string, anew = false): Promise<void> {
    const garden = await this.gardens.get(gardenId);
    if (garden.climate !== null && !anew) return;
    const climate = await this.outside.climate(garden);
    if (!climate && garden.climate === null) return;
    await this.gardens.change(gardenId, (m) =>
      m.update(GardenEntity, { id: gardenId }, { climate: climate && [...climate.months] }),
    );
  }

  /**
   * Fetches the weather of earlier seasons with plants, once, so years can be compared. What the service no longer
   * has stays unknown.
   * @param anew also fetches known days: the garden was moved on the map, or has another service
   */
  async pullEarlier(gardenId: string, anew = false): Promise<void> {
    const garden = await this.gardens.get(gardenId);
    const mode = garden.seasonMode ?? 'warm';
    const now = growingYearOf(this.gardens.today(garden), garden.latitude, mode).year;
    const planted = await this.db.manager.find(PlantEntity, {
      select: { transplantedOn: true },
      where: { gardenId, deletedAt: IsNull(), transplantedOn: Not(IsNull()) },
    });
    const years = new Set(planted.map((p) => growingYearOf(p.transplantedOn!, garden.latitude, mode).year));
    const earlier = [...years].filter((y) => y < now).sort((a, b) => b - a);
    for (const year of earlier.slice(0, MOST_EARLIER)) {
      const { from, to } = growingYear(year, garden.latitude, mode);
      const tried = [gardenId, year, garden.latitude, garden.longitude, garden.elevationM, garden.weatherService].join(
        ' ',
      );
      if (this.tried.has(tried)) continue;
      this.tried.add(tried);
      const known = await this.db.manager.countBy(WeatherEntity, {
        gardenId,
        kind: 'observed',
        day: Between(from, to),
      });
      // the newest earlier season may be partly known from this one's first update
      if (known > WELL_KNOWN_DAYS && !anew) continue;
      try {
        const rows = await this.outside.earlier(garden, from, to);
        if (rows.length === 0) continue;
        await this.gardens.change(gardenId, async (m) => {
          await m.upsert(WeatherEntity, rows, ['gardenId', 'day', 'kind']);
          await m.update(GardenEntity, { id: gardenId }, { weatherRevision: revisionOf(m) });
        });
      } catch (error) {
        this.log.warn(
          `weather of ${year} of garden ${gardenId}: ${error instanceof Error ? error.message : String(error)}`,
        );
      }
    }
  }

  /** Returns the newest measured day up to the garden's own: a garden once on a later day has newer ones. */
  private async newestObserved(gardenId: string, today: Day): Promise<Day | null> {
    const [newest] = await this.db.manager.find(WeatherEntity, {
      where: { gardenId, kind: 'observed', day: LessThanOrEqual(today) },
      order: { day: 'DESC' },
      take: 1,
    });
    return newest?.day ?? null;
  }
}
