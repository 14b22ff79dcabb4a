import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { spellsWith, type Companion, type Covering } from '@candid-leaf/core/records';
import { seasonYear } from '@candid-leaf/core/season';
import { formatterFor, type Day, type Formatter } from '@candid-leaf/core/units';
import type { DataSource, EntityManager } from 'typeorm';
import type { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import type { VarietyEntity } from '../varieties/variety.entity.js';
import type { PlaceEntity } from '../places/place.entity.js';
import type { PlantEntity } from '../plants/plant.entity.js';
import type { RecordEntity } from '../records/record.entity.js';
import { weatherDays, type WeatherOfDay } from '../weather/weather-days.js';
import { KeptGarden, seasonFrom } from './kept-garden.js';

/** The records of one garden in the season of its day, at one moment. */
export interface GardenSnapshot {
  garden: GardenEntity;
  today: Day;
  /** read inside a transaction that may be undone: nothing derived from it is cached */
  tentative: boolean;
  /** formats amounts and days for this gardener */
  format: Formatter;
  /** in walking order; archived ones too */
  places: readonly PlaceEntity[];
  plants: readonly PlantEntity[];
  /** the variety of a plant; undefined if unknown */
  varietyOf: (plant: Pick<PlantEntity, 'varietyId'>) => VarietyEntity | undefined;
  /** one per day: the weather that counts on the garden's day */
  weather: readonly WeatherOfDay[];
  /** oldest first */
  recordsOf: (id: string) => readonly RecordEntity[];
  recordsOn: (day: Day) => readonly RecordEntity[];
  /** the plants in a bed or pot, in walking order */
  plantsIn: (placeId: string) => readonly PlantEntity[];
  kept: KeptGarden;
}

/** Returns the beds and pots that are not archived. */
export const livePlaces = (s: GardenSnapshot): PlaceEntity[] => s.places.filter((p) => !p.retiredOn);
/** Returns the plants in a bed that are not removed. */
export const livePlantsIn = (s: GardenSnapshot, placeId: string): PlantEntity[] =>
  s.plantsIn(placeId).filter((p) => !p.retiredOn);

/** Most records held for all gardens together; the least recently used garden goes first. */
const MOST_HELD = 100_000;
/** Size of a plant's assessment, in records. */
const PLANT_WEIGHS = 60;
const weightOf = (kept: KeptGarden): number => kept.size + PLANT_WEIGHS * kept.plants.length;

/**
 * Reads gardens. Nothing is read twice: a cached garden is brought up to its newest revision from what was written
 * since. The cache can always be rebuilt; another process simply does so.
 */
@Injectable()
export class Snapshots {
  private readonly shelf = new Map<string, KeptGarden>();
  private readonly underWay = new Map<string, Promise<KeptGarden>>();

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
  ) {}

  /** @param transaction to read in, including its own writes; none by default */
  async load(gardenId: string, transaction?: EntityManager): Promise<GardenSnapshot> {
    const garden = await this.gardens.get(gardenId, transaction);
    const today = this.gardens.today(garden);
    const from = seasonFrom(garden, today);
    if (!transaction) return snapshot(garden, today, await this.newest(garden, from), false);
    const held = this.shelf.get(gardenId);
    const kept =
      held?.from === from ? await held.at(transaction, garden) : await KeptGarden.read(transaction, garden, from);
    return snapshot(garden, today, kept, true);
  }

  /**
   * Returns the garden on an earlier day, with that day's season: read fresh, and nothing derived from it is cached.
   * Plants archived on that day or later are included.
   */
  async asOf(gardenId: string, day: Day): Promise<GardenSnapshot> {
    return this.db.transaction('REPEATABLE READ', async (m) => {
      const garden = await this.gardens.get(gardenId, m);
      const kept = await KeptGarden.read(m, garden, seasonFrom(garden, day), day);
      return snapshot(garden, day, kept, true, {
        places: kept.places.map((p) => placeThen(garden, p, day)),
        plants: kept.plants.filter((p) => !p.transplantedOn || p.transplantedOn <= day).map((p) => then(p, day)),
      });
    });
  }

  private async newest(garden: GardenEntity, from: Day): Promise<KeptGarden> {
    const held = this.shelf.get(garden.id);
    if (held?.from === from && held.revision === garden.revision) return this.hold(garden.id, held);
    // concurrent callers share one read
    const key = `${garden.id} ${garden.revision} ${from}`;
    const under = this.underWay.get(key);
    if (under) return under;
    const reading = this.db.transaction('REPEATABLE READ', async (m) => {
      const now = await this.gardens.get(garden.id, m);
      return held?.from === from ? held.at(m, now) : KeptGarden.read(m, now, from);
    });
    this.underWay.set(key, reading);
    try {
      return this.hold(garden.id, await reading);
    } finally {
      this.underWay.delete(key);
    }
  }

  private hold(gardenId: string, kept: KeptGarden): KeptGarden {
    const held = this.shelf.get(gardenId);
    this.shelf.delete(gardenId);
    // two reads may finish in a different order than they started
    const newer = held?.from === kept.from && BigInt(held.revision) > BigInt(kept.revision) ? held : kept;
    this.shelf.set(gardenId, newer);
    let total = [...this.shelf.values()].reduce((sum, k) => sum + weightOf(k), 0);
    for (const [id, k] of this.shelf) {
      if (id === gardenId || total <= MOST_HELD) break;
      this.shelf.delete(id);
      total -= weightOf(k);
    }
    return kept;
  }
}

/** Keeps what was not archived yet then. */
const then = <E extends PlaceEntity | PlantEntity>(e: E, day: Day): E =>
  e.retiredOn && e.retiredOn >= day ? { ...e, retiredOn: null } : e;

/** Hides problems found there later. */
function placeThen(garden: GardenEntity, place: PlaceEntity, day: Day): PlaceEntity {
  const year = seasonYear(garden, day);
  return then(
    {
      ...place,
      history: place.history.filter((h) => h.year <= year),
      grown: place.grown?.filter((h) => h.year <= year) ?? null,
    },
    day,
  );
}

/** Returns a bed or pot with the mulch, shade and cover recorded since it was entered. */
function placeAsRecorded(place: PlaceEntity, records: readonly RecordEntity[], today: Day): PlaceEntity {
  const until = records.filter((r) => r.day <= today);
  const coverings = until.filter((r) => r.type === 'covering').map((r) => r.data as Covering);
  const weeds = until.filter((r) => r.type === 'companion').map((r) => r.data as Companion);
  return coverings.length + weeds.length === 0 ? place : { ...place, ...spellsWith(place, coverings, weeds) };
}

function snapshot(
  garden: GardenEntity,
  today: Day,
  kept: KeptGarden,
  tentative: boolean,
  { places, plants }: { places: readonly PlaceEntity[]; plants: readonly PlantEntity[] } = kept,
): GardenSnapshot {
  const plantsIn = new Map<string, PlantEntity[]>();
  for (const plant of plants) {
    const list = plantsIn.get(plant.placeId);
    if (list) list.push(plant);
    else plantsIn.set(plant.placeId, [plant]);
  }
  return {
    garden,
    today,
    tentative,
    format: formatterFor(garden.units, garden.dateForm),
    places: places.map((p) =>
      kept.remember(`covers ${p.id}`, `${today} ${p.revision} ${kept.stampOf(p.id)}`, tentative, () =>
        placeAsRecorded(p, kept.recordsOf(p.id), today),
      ),
    ),
    plants,
    varietyOf: (plant) => (plant.varietyId ? kept.varieties.get(plant.varietyId) : undefined),
    weather: kept.remember('weather', `${today} ${kept.weatherRevision} ${kept.stampOf()}`, tentative, () =>
      weatherDays(
        kept.weather,
        kept.own.filter((r) => r.type === 'rain-gauge'),
        today,
      ),
    ),
    recordsOf: (id) => kept.recordsOf(id),
    recordsOn: (day) => kept.recordsOn(day),
    plantsIn: (placeId) => plantsIn.get(placeId) ?? [],
    kept,
  };
}
