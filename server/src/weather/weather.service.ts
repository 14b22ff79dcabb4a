import { Injectable, Logger } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Cron, CronExpression } from '@nestjs/schedule';
import type { GardenDto, WeatherState } from '@candid-leaf/contract';
import { checked, weatherFaults, WeatherRecord } from '@candid-leaf/core/records';
import { growingYear, growingYearOf } from '@candid-leaf/core/season';
import { addDays, type Day } from '@candid-leaf/core/units';
import { Between, IsNull, LessThanOrEqual, Not, type DataSource } from 'typeorm';
import { Clock } from '../shared/clock.js';
import { inBackground } from '../shared/background.js';
import { revisionOf } from '../shared/garden-revision.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { WeatherStation, type StationDay } from './station.js';
import { WeatherEntity } from './weather.entity.js';

/** Days back of a garden's first update, and of any. */
const HISTORY_DAYS = 120;
const MOST_DAYS = 400;
/** Earlier seasons to fetch, and the days from which one counts as known. */
const MOST_EARLIER = 10;
const WELL_KNOWN_DAYS = 300;

/** Returns when the station last answered and what it gave, from stored data. */
export const stateOf = (
  garden: GardenEntity,
  weather: readonly Pick<WeatherEntity, 'kind' | 'day'>[],
): WeatherState => ({
  pulledAt: garden.weatherPulledAt?.toISOString() ?? null,
  newest: weather.findLast((w) => w.kind === 'observed')?.day ?? null,
  trouble: garden.weatherTrouble,
});

/** Fetches weather and answers for it when the station is down. */
@Injectable()
export class WeatherService {
  /** earlier seasons already requested by this process: a station without them is not asked every hour */
  private readonly tried = new Set<string>();
  private readonly log = new Logger(WeatherService.name);

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly station: WeatherStation,
    private readonly clock: Clock,
  ) {}

  @Cron(CronExpression.EVERY_HOUR)
  async pullAll(): Promise<void> {
    await inBackground('the weather update', async () => {
      const gardens = await this.db.manager.find(GardenEntity, { select: { id: true } });
      for (const { id } of gardens)
        await inBackground(`weather of garden ${id}`, async () => {
          await this.pull(id);
          await this.pullEarlier(id);
        });
    });
  }

  /**
   * Fetches what is new up to the garden's day, and the forecast after it. If the station does not answer, nothing
   * changes and the reason is stored for the page. Measurements are never deleted or overwritten by a forecast.
   * @param anew also fetches known days: the garden was moved on the map
   */
  async pull(gardenId: string, anew = false): Promise<WeatherState> {
    const garden = await this.gardens.get(gardenId);
    const today = this.gardens.today(garden);
    const newest = anew ? null : await this.newestObserved(gardenId, today);
    const answer = await this.ask(garden, today, newest);
    await this.gardens.change(gardenId, async (m) => {
      if ('trouble' in answer) {
        await m.update(GardenEntity, { id: gardenId }, { weatherTrouble: answer.trouble });
        return;
      }
      await m.delete(WeatherEntity, { gardenId, kind: 'forecast' });
      await m.upsert(WeatherEntity, answer.rows, ['gardenId', 'day', 'kind']);
      await m.update(
        GardenEntity,
        { id: gardenId },
        { weatherPulledAt: this.clock.now(), weatherTrouble: null, weatherRevision: revisionOf(m) },
      );
    });
    const now = await this.gardens.get(gardenId);
    return { ...stateOf(now, []), newest: await this.newestObserved(gardenId, today) };
  }

  private async ask(
    garden: GardenEntity,
    today: Day,
    newest: Day | null,
  ): Promise<{ rows: WeatherEntity[] } | { trouble: string }> {
    const next = newest === null ? addDays(today, -HISTORY_DAYS) : newest < today ? addDays(newest, 1) : today;
    const earliest = addDays(today, -MOST_DAYS);
    try {
      const observed = await this.station.observed(garden, next < earliest ? earliest : next, today);
      const forecast = await this.station.forecast(garden, today);
      if (observed.length + forecast.length > 2 * MOST_DAYS)
        throw new Error('the station sent more days than requested');
      const ofGarden = { gardenId: garden.id };
      return {
        rows: [
          ...observed.map((d) => ({
            ...columns(plausible(d)),
            ...ofGarden,
            kind: 'observed' as const,
            rainChancePct: null,
          })),
          ...forecast.map((d) => ({
            ...columns(plausible(d)),
            ...ofGarden,
            kind: 'forecast' as const,
            rainChancePct: d.rainChancePct,
          })),
        ],
      };
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      this.log.warn(`weather of garden ${garden.id}: ${reason}`);
      return { trouble: reason.slice(0, 300) };
    }
  }

  /** Updates the weather of a created or changed garden for its new day or location, if needed. */
  async follow(garden: GardenDto, moved: boolean): Promise<void> {
    const { id: gardenId, today } = garden;
    const measured = (await this.newestObserved(gardenId, today)) === today;
    const hasForecast = await this.db.manager.existsBy(WeatherEntity, {
      gardenId,
      kind: 'forecast',
      day: addDays(today, 1),
    });
    if (moved || !measured || !hasForecast) await this.pull(gardenId, moved);
    await this.pullEarlier(gardenId, moved);
  }

  /**
   * Fetches the weather of earlier seasons with plants, once, so years can be compared. What the station no longer
   * has stays unknown.
   * @param anew also fetches known days: the garden was moved on the map
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
      const tried = [gardenId, year, garden.latitude, garden.longitude].join(' ');
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
        const days = await this.station.observed(garden, from, to);
        if (days.length > MOST_DAYS) throw new Error('the station sent more days than requested');
        const rows = days.map((d) => ({
          ...columns(plausible(d)),
          gardenId,
          kind: 'observed' as const,
          rainChancePct: null,
        }));
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

const columns = ({ date, ...rest }: StationDay) => ({
  day: date,
  tMinC: rest.tMinC,
  tMaxC: rest.tMaxC,
  rainMm: rest.rainMm,
  rhMeanPct: rest.rhMeanPct ?? null,
  windMs: rest.windMs ?? null,
  solarMj: rest.solarMj ?? null,
});

/** A station is outside: its days are validated like any input. */
function plausible<D extends StationDay>(day: D): D {
  const { date, tMinC, tMaxC, rainMm, rhMeanPct, windMs, solarMj } = day;
  checked(WeatherRecord, { date, tMinC, tMaxC, rainMm, rhMeanPct, windMs, solarMj });
  const [fault] = weatherFaults(day, date);
  if (fault) throw new Error(`${fault.path}: ${fault.reason}`);
  return day;
}
