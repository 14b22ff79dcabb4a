import { byDate, type SoilTest } from '@candid-leaf/core/records';
import type { Day } from '@candid-leaf/core/units';
import { withLevels } from '@candid-leaf/core/soil';
import { Between, In, type EntityManager } from 'typeorm';
import { GardenEntity } from '../gardens/garden.entity.js';
import { noteGrown } from '../places/grown.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { revisionOf } from '../shared/garden-revision.js';
import { nextPosition } from '../shared/ordering.js';
import { updateRows } from '../shared/rows.js';
import { WeatherEntity } from '../weather/weather.entity.js';
import type { MadeRow } from './row-maker.js';

type Of<K extends MadeRow['into']> = Extract<MadeRow, { into: K }>;
const of = <K extends MadeRow['into']>(rows: readonly MadeRow[], into: K): Of<K>[] =>
  rows.filter((r): r is Of<K> => r.into === into);

/** What undo needs besides the lines. */
export interface Before {
  lastLine: number;
  /** new days of weather */
  days: string[];
  /** soil tests as they were */
  soil: { placeId: string; soilTests: SoilTest[] | null }[];
  /** soil tests that were imported */
  tests?: { placeId: string; test: SoilTest }[];
}

/** Writes built rows in batches within one transaction. */
export class RowWriter {
  readonly before: Before = { lastLine: 0, days: [], soil: [], tests: [] };
  private readonly seenDays = new Set<string>();

  constructor(
    private readonly m: EntityManager,
    private readonly gardenId: string,
    private readonly accountId: string,
    private readonly today: Day,
  ) {}

  /** @returns how many were added; days of weather already known are not */
  async write(rows: readonly MadeRow[]): Promise<number> {
    await this.records(of(rows, 'record'));
    const days = await this.weather(of(rows, 'weather'));
    await this.plants(of(rows, 'plant'));
    await this.soil(of(rows, 'soil'));
    return rows.length - (of(rows, 'weather').length - days);
  }

  private get row() {
    return { gardenId: this.gardenId, version: 1, revision: revisionOf(this.m), deletedAt: null };
  }

  private async records(rows: Of<'record'>[]): Promise<void> {
    if (rows.length === 0) return;
    const values = rows.map(({ into: _i, ...r }) => ({ ...r, ...this.row, createdBy: this.accountId }));
    await this.m.createQueryBuilder().insert().into(RecordEntity).values(values).updateEntity(false).execute();
  }

  /** Weather already known stays. */
  private async weather(rows: Of<'weather'>[]): Promise<number> {
    const days = rows.map((r) => r.day);
    if (days.length === 0) return 0;
    const known = await this.m.find(WeatherEntity, {
      select: { day: true },
      where: {
        gardenId: this.gardenId,
        kind: 'observed',
        day: Between(
          days.reduce((a, b) => (b < a ? b : a)),
          days.reduce((a, b) => (b > a ? b : a)),
        ),
      },
    });
    for (const { day } of known) this.seenDays.add(day);
    const fresh = rows.filter(({ day }) => !this.seenDays.has(day) && this.seenDays.add(day));
    if (fresh.length === 0) return 0;
    const values = fresh.map(({ day, data }) => ({
      gardenId: this.gardenId,
      day,
      kind: 'observed' as const,
      tMinC: data.tMinC,
      tMaxC: data.tMaxC,
      rainMm: data.rainMm,
      rainChancePct: null,
      rhMeanPct: data.rhMeanPct ?? null,
      windMs: data.windMs ?? null,
      solarMj: data.solarMj ?? null,
    }));
    await this.m.createQueryBuilder().insert().into(WeatherEntity).values(values).updateEntity(false).execute();
    this.before.days.push(...fresh.map((r) => r.day));
    await this.weatherChanged();
    return fresh.length;
  }

  private async weatherChanged(): Promise<void> {
    await this.m.update(GardenEntity, { id: this.gardenId }, { weatherRevision: revisionOf(this.m) });
  }

  private async plants(rows: Of<'plant'>[]): Promise<void> {
    for (const { input } of rows) {
      const { version: _v, ...rest } = input;
      const position = await nextPosition(this.m, PlantEntity, { gardenId: this.gardenId, placeId: input.placeId });
      const blank = {
        habit: null,
        type: null,
        stage: null,
        transplantedOn: null,
        heightM: null,
        plantedAbout: null,
        start: null,
        spacingM: null,
        training: null,
        worth: null,
        varietyId: null,
        varietyUnsure: null,
        endedBecause: null,
        retiredOn: null,
        resistantTo: [],
      };
      await this.m.insert(PlantEntity, {
        ...blank,
        ...rest,
        ...this.row,
        seenOn: input.stage || input.heightM != null ? this.today : null,
        enteredOn: this.today,
        position,
      });
      if (input.transplantedOn) await noteGrown(this.m, input.placeId, input.transplantedOn);
    }
  }

  private async soil(rows: Of<'soil'>[]): Promise<void> {
    for (const { placeId, test } of rows) {
      const place = await this.m.findOneByOrFail(PlaceEntity, { id: placeId });
      if (!this.before.soil.some((b) => b.placeId === placeId))
        this.before.soil.push({ placeId, soilTests: place.soilTests });
      this.before.tests!.push({ placeId, test });
      const tests = [...(place.soilTests ?? []).filter((t) => t.date !== test.date), test].sort(byDate);
      await updateRows(
        this.m,
        PlaceEntity,
        { id: placeId },
        { soilTests: tests, soilTest: withLevels(tests.at(-1)!), version: place.version + 1 },
      );
    }
  }

  /** Takes rows and days of weather away again. */
  async undo(days: readonly string[], ids: readonly string[]): Promise<void> {
    const gone = { deletedAt: new Date(), revision: revisionOf(this.m) };
    for (let i = 0; i < ids.length; i += MOST_IDS) {
      const some = { id: In(ids.slice(i, i + MOST_IDS)), gardenId: this.gardenId };
      await this.m.update(RecordEntity, some, gone);
      await this.m.update(PlantEntity, some, gone);
    }
    for (let i = 0; i < days.length; i += MOST_IDS)
      await this.m.delete(WeatherEntity, {
        gardenId: this.gardenId,
        kind: 'observed',
        day: In(days.slice(i, i + MOST_IDS)),
      });
    if (days.length > 0) await this.weatherChanged();
  }
}
/** Ids of one query. */
export const MOST_IDS = 1000;
