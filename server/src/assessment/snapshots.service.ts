import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { formatterFor, type Day, type Formatter } from '@candid-leaf/core/units';
import { seasonStart } from '@candid-leaf/core/season';
import { IsNull, MoreThanOrEqual, type DataSource, type EntityManager } from 'typeorm';
import type { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { WeatherEntity } from '../weather/weather.entity.js';

/** What is written down of one garden in the season of its day, read at once. */
export interface GardenSnapshot {
  garden: GardenEntity;
  today: Day;
  /** read inside a transaction that may yet be undone: nothing that follows from it is kept */
  tentative: boolean;
  /** records and weather are read from this day on */
  from: Day;
  /** writes amounts and days as this gardener reads them */
  format: Formatter;
  /** in walking order; retired ones too */
  places: PlaceEntity[];
  plants: PlantEntity[];
  /** by day; with an index by what they are of */
  records: RecordEntity[];
  recordsOf: (id: string) => readonly RecordEntity[];
  weather: WeatherEntity[];
}

export const livePlaces = (s: GardenSnapshot): PlaceEntity[] => s.places.filter((p) => !p.retiredOn);
export const livePlantsIn = (s: GardenSnapshot, placeId: string): PlantEntity[] =>
  s.plants.filter((p) => p.placeId === placeId && !p.retiredOn);

/** Reads gardens. Nothing is read twice for one answer: whoever needs more takes it from the snapshot. */
@Injectable()
export class Snapshots {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
  ) {}

  /** @param transaction to read in; by default none */
  async load(gardenId: string, transaction?: EntityManager): Promise<GardenSnapshot> {
    const m = transaction ?? this.db.manager;
    const tentative = transaction !== undefined;
    const garden = await this.gardens.get(gardenId, m);
    const today = this.gardens.today(garden);
    const from = seasonStart(today, garden.latitude);
    const since = MoreThanOrEqual(from);
    const [places, plants, records, weather] = await Promise.all([
      m.find(PlaceEntity, { where: { gardenId, deletedAt: IsNull() }, order: { position: 'ASC' } }),
      m.find(PlantEntity, { where: { gardenId, deletedAt: IsNull() }, order: { position: 'ASC' } }),
      m.find(RecordEntity, { where: { gardenId, deletedAt: IsNull(), day: since }, order: { day: 'ASC', id: 'ASC' } }),
      m.find(WeatherEntity, { where: { gardenId, day: since }, order: { day: 'ASC' } }),
    ]);
    const byTarget = new Map<string, RecordEntity[]>();
    for (const r of records) {
      const id = r.plantId ?? r.placeId ?? '';
      const list = byTarget.get(id);
      if (list) list.push(r);
      else byTarget.set(id, [r]);
    }
    const recordsOf = (id: string): readonly RecordEntity[] => byTarget.get(id) ?? [];
    const format = formatterFor(garden.units, garden.dateForm);
    return { garden, today, tentative, from, format, places, plants, records, recordsOf, weather };
  }
}
