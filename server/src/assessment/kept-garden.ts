import { seasonStart } from '@candid-leaf/core/season';
import { COMPOST_LASTS_DAYS } from '@candid-leaf/core/soil';
import { addDays, type Day } from '@candid-leaf/core/units';
import { Between, IsNull, MoreThan, type EntityManager, type FindOptionsWhere } from 'typeorm';
import type { GardenEntity } from '../gardens/garden.entity.js';
import { VarietyEntity } from '../varieties/variety.entity.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import type { GardenRow } from '../shared/garden-row.entity.js';
import { WeatherEntity } from '../weather/weather.entity.js';

/** A date after every valid one. */
const LAST_DAY = '9999-12-31';
/** Key of records that belong to the garden itself. */
const GARDEN = '';

/**
 * The rows of one garden's season at one revision. It is immutable: later writes make a new one that shares
 * everything untouched, so a write costs what it touches, however many records the season has.
 */
export class KeptGarden {
  private constructor(
    readonly from: Day,
    readonly revision: string,
    readonly weatherRevision: string,
    readonly places: readonly PlaceEntity[],
    readonly plants: readonly PlantEntity[],
    /** varieties by id, including deleted ones, since plants may still refer to them */
    readonly varieties: ReadonlyMap<string, VarietyEntity>,
    readonly weather: readonly WeatherEntity[],
    private readonly byTarget: ReadonlyMap<string, readonly RecordEntity[]>,
    private readonly byDay: ReadonlyMap<Day, readonly RecordEntity[]>,
    private readonly touched: ReadonlyMap<string, string>,
    /** when compost last went into a bed before the season: it lasts longer than one */
    private readonly dugBefore: ReadonlyMap<string, Day>,
    /** number of records held */
    readonly size: number,
    private readonly worked: Map<string, { stamp: string; value: unknown }>,
  ) {}

  /** Reads everything, or up to a day long past. */
  static async read(m: EntityManager, garden: GardenEntity, from: Day, to: Day = LAST_DAY): Promise<KeptGarden> {
    const places = await rows(m, PlaceEntity, { gardenId: garden.id, deletedAt: IsNull() });
    const plants = await rows(m, PlantEntity, { gardenId: garden.id, deletedAt: IsNull() });
    const varieties = await rows(m, VarietyEntity, { gardenId: garden.id });
    const weather = await weatherOf(m, garden.id, from, to);
    const index = new RecordIndex();
    let size = 0;
    for await (const r of seasonsRecords(m, garden.id, from, to)) {
      index.add(r);
      size += 1;
    }
    index.sort();
    const dugBefore = await compostBefore(m, garden.id, from);
    return new KeptGarden(
      from,
      garden.revision,
      garden.weatherRevision,
      inOrder(places),
      inOrder(plants),
      new Map(varieties.map((c) => [c.id, c])),
      weather,
      index.byTarget,
      index.byDay,
      new Map(),
      dugBefore,
      size,
      new Map(),
    );
  }

  /** Returns the same garden at a later revision, reading only what was written since. */
  async at(m: EntityManager, garden: GardenEntity): Promise<KeptGarden> {
    const since = { gardenId: garden.id, revision: MoreThan(this.revision) };
    const places = await rows(m, PlaceEntity, since);
    const plants = await rows(m, PlantEntity, since);
    const varieties = await rows(m, VarietyEntity, since);
    const records = await rows(m, RecordEntity, since);
    const weather =
      garden.weatherRevision === this.weatherRevision ? this.weather : await weatherOf(m, garden.id, this.from);
    const index = new RecordIndex(this.byTarget, this.byDay);
    const touched = new Map(this.touched);
    let size = this.size;
    for (const r of records) {
      const old = this.find(r);
      if (old) {
        index.remove(old);
        touched.set(subjectOf(old), r.revision);
      }
      const kept = r.deletedAt === null && r.day >= this.from;
      if (kept) index.add(r);
      size += Number(kept) - Number(old !== undefined);
      touched.set(subjectOf(r), r.revision);
    }
    index.sort();
    const dugBefore = records.some((r) => r.type === 'event' && r.day < this.from)
      ? await compostBefore(m, garden.id, this.from)
      : this.dugBefore;
    return new KeptGarden(
      this.from,
      garden.revision,
      garden.weatherRevision,
      merged(this.places, places),
      merged(this.plants, plants),
      varieties.length === 0
        ? this.varieties
        : new Map([...this.varieties, ...varieties.map((c) => [c.id, c] as const)]),
      weather,
      index.byTarget,
      index.byDay,
      touched,
      dugBefore,
      size,
      this.worked,
    );
  }

  /** Finds the previous version of a record: its day and subject may have changed. */
  private find(r: RecordEntity): RecordEntity | undefined {
    const same = (o: RecordEntity): boolean => o.id === r.id;
    const near = this.recordsOf(subjectOf(r)).find(same);
    if (near || (r.version === 1 && r.deletedAt === null)) return near;
    for (const list of this.byTarget.values()) {
      const far = list.find(same);
      if (far) return far;
    }
    return undefined;
  }

  /** Records of a plant or bed, oldest first. */
  recordsOf(id: string): readonly RecordEntity[] {
    return this.byTarget.get(id) ?? [];
  }

  /** Records of the garden itself. */
  get own(): readonly RecordEntity[] {
    return this.recordsOf(GARDEN);
  }

  /** Day on which compost was last worked into a bed, in the year before the season; null if none is recorded. */
  compostDugBefore(placeId: string): Day | null {
    return this.dugBefore.get(placeId) ?? null;
  }

  recordsOn(day: Day): readonly RecordEntity[] {
    return this.byDay.get(day) ?? [];
  }

  /**
   * Returns the cached value for this stamp; otherwise computes and caches it while nothing it depends on changes.
   * @param stamp the versions of everything it depends on
   * @param tentative depends on a transaction that may be undone: not cached
   */
  remember<T>(key: string, stamp: string, tentative: boolean, work: () => T): T {
    const known = this.worked.get(key);
    if (known?.stamp === stamp) return known.value as T;
    const value = work();
    if (tentative) return value;
    this.worked.set(key, { stamp, value });
    // a failed computation is retried on the next request
    if (value instanceof Promise) value.catch(() => this.worked.delete(key));
    return value;
  }

  /**
   * Changes whenever a record of this subject (none: the garden itself) was written, changed or deleted since it was
   * first read.
   */
  stampOf(id: string = GARDEN): string {
    return this.touched.get(id) ?? '0';
  }
}

/** Returns the day from which a garden's season is read. */
export const seasonFrom = (garden: Pick<GardenEntity, 'latitude' | 'seasonMode'>, today: Day): Day =>
  seasonStart(today, garden.latitude, garden.seasonMode ?? 'warm');

const subjectOf = (r: RecordEntity): string => r.plantId ?? r.placeId ?? GARDEN;

const rows = <E extends GardenRow>(m: EntityManager, entity: new () => E, where: object): Promise<E[]> =>
  m.find(entity, { where: where as FindOptionsWhere<E> });

const AT_ONCE = 5000;

/**
 * Streams the records of a season, a few thousand at a time, as plain rows: even tens of thousands are never held
 * twice, and other requests run in between.
 */
async function* seasonsRecords(m: EntityManager, gardenId: string, from: Day, to: Day): AsyncGenerator<RecordEntity> {
  for (let last = { day: from, id: NO_ID }; ;) {
    const page = await m.query<(Omit<RecordEntity, 'data'> & { data: string })[]>(
      `SELECT id, gardenId, version, revision, deletedAt, type, plantId, placeId, day, data, createdBy, createdAt FROM record
       WHERE gardenId = ? AND deletedAt IS NULL AND day >= ? AND day <= ? AND NOT (day = ? AND id <= ?) ORDER BY day, id LIMIT ${AT_ONCE}`,
      [gardenId, last.day, to, last.day, last.id],
    );
    for (const row of page) yield { ...row, data: JSON.parse(row.data) as RecordEntity['data'] };
    const end = page.at(-1);
    if (!end || page.length < AT_ONCE) return;
    last = end;
  }
}
/** Returns when compost last went into each bed in the year before a season. */
async function compostBefore(m: EntityManager, gardenId: string, from: Day): Promise<Map<string, Day>> {
  const rows = await m.query<{ placeId: string; day: Day }[]>(
    `SELECT placeId, MAX(day) AS day FROM record
     WHERE gardenId = ? AND type = 'event' AND deletedAt IS NULL AND placeId IS NOT NULL AND day >= ? AND day < ?
       AND JSON_VALUE(data, '$.what') = 'compost-dug-in' GROUP BY placeId`,
    [gardenId, addDays(from, -COMPOST_LASTS_DAYS), from],
  );
  return new Map(rows.map((r) => [r.placeId, r.day]));
}

/** Before all ids. */
const NO_ID = '00000000-0000-0000-0000-000000000000';

const weatherOf = (m: EntityManager, gardenId: string, from: Day, to: Day = LAST_DAY): Promise<WeatherEntity[]> =>
  m.find(WeatherEntity, { where: { gardenId, day: Between(from, to) }, order: { day: 'ASC' } });

interface Positioned {
  id: string;
  position: number;
  deletedAt: Date | null;
}

/** Sorts by walking order. */
const inOrder = <E extends Positioned>(list: readonly E[]): E[] =>
  [...list].sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1));

function merged<E extends Positioned>(old: readonly E[], changed: readonly E[]): readonly E[] {
  if (changed.length === 0) return old;
  const now = new Map(old.map((e) => [e.id, e]));
  for (const e of changed)
    if (e.deletedAt) now.delete(e.id);
    else now.set(e.id, e);
  return inOrder([...now.values()]);
}

const older = (a: RecordEntity, b: RecordEntity): number =>
  a.day < b.day ? -1 : a.day > b.day ? 1 : a.id < b.id ? -1 : 1;

/** Two indexes of records that copy a list only when it changes. */
class RecordIndex {
  readonly byTarget: Map<string, readonly RecordEntity[]>;
  readonly byDay: Map<Day, readonly RecordEntity[]>;
  private readonly own = new Set<RecordEntity[]>();
  private readonly ids = new Map<string, string>();

  constructor(
    byTarget?: ReadonlyMap<string, readonly RecordEntity[]>,
    byDay?: ReadonlyMap<Day, readonly RecordEntity[]>,
  ) {
    this.byTarget = new Map(byTarget);
    this.byDay = new Map(byDay);
  }

  add(r: RecordEntity): void {
    this.share(r);
    this.listIn(this.byTarget, subjectOf(r)).push(r);
    this.listIn(this.byDay, r.day).push(r);
  }

  remove(r: RecordEntity): void {
    for (const list of [this.listIn(this.byTarget, subjectOf(r)), this.listIn(this.byDay, r.day)]) {
      const at = list.findIndex((o) => o.id === r.id);
      if (at >= 0) list.splice(at, 1);
    }
  }

  sort(): void {
    for (const list of this.own) list.sort(older);
  }

  /** Stores each id string once, not once per row. */
  private share(r: RecordEntity): void {
    const once = (text: string): string => this.ids.get(text) ?? (this.ids.set(text, text), text);
    r.gardenId = once(r.gardenId);
    r.createdBy = once(r.createdBy);
    r.day = once(r.day);
    r.type = once(r.type) as RecordEntity['type'];
    if (r.plantId) r.plantId = once(r.plantId);
    if (r.placeId) r.placeId = once(r.placeId);
  }

  private listIn<K>(index: Map<K, readonly RecordEntity[]>, key: K): RecordEntity[] {
    const found = index.get(key) as RecordEntity[] | undefined;
    if (found && this.own.has(found)) return found;
    const copy = [...(found ?? [])];
    index.set(key, copy);
    this.own.add(copy);
    return copy;
  }
}
