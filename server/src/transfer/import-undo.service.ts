import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ChangedRow, ChangedWhy, ImportUndone, ImportUndoPreview } from '@candid-leaf/contract';
import { byDate, type SoilTest } from '@candid-leaf/core/records';
import { withLevels } from '@candid-leaf/core/soil';
import { In, IsNull, MoreThan, type DataSource, type EntityManager, type EntityTarget } from 'typeorm';
import { GardensService } from '../gardens/gardens.service.js';
import { PhotoEntity } from '../photos/photo.entity.js';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { Clock } from '../shared/clock.js';
import { notFound } from '../shared/http-errors.js';
import { updateRows } from '../shared/rows.js';
import { TreatmentEntity } from '../treatments/treatment.entity.js';
import { ImportEntity } from './import.entity.js';
import { Names } from './names.js';
import { RowMaker } from './row-maker.js';
import { MOST_IDS, RowWriter, type Before } from './row-writer.js';

/** A row changed since its import, and where it is stored. */
interface Changed extends ChangedRow {
  id: string;
}
/** Changed rows that are named; the others are counted. */
const MOST_NAMED = 20;

/** Undoes an import: removes what it brought, and nothing that was typed, edited or photographed since. */
@Injectable()
export class ImportUndoService {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly clock: Clock,
  ) {}

  /** Returns what an undo would remove, and which rows have changed since. */
  async preview(gardenId: string, importId: string): Promise<ImportUndoPreview> {
    const found = await this.db.manager.findOneBy(ImportEntity, { id: importId, gardenId });
    if (!found) throw notFound('import');
    const changed = found.undoneAt ? [] : await changedOf(this.db.manager, found);
    return {
      rows: found.undoneAt ? 0 : found.made,
      changed: changed.slice(0, MOST_NAMED).map(({ id: _id, ...c }) => c),
      more: Math.max(0, changed.length - MOST_NAMED),
    };
  }

  /**
   * Undoes an import; sent twice it is undone once. Rows changed since stay.
   * @param edited remove also rows that were only edited since; rows with records, photos or treatments stay anyway
   */
  async undo(gardenId: string, importId: string, edited: boolean): Promise<ImportUndone> {
    return this.gardens.change(gardenId, async (m) => {
      const found = await m.findOne(ImportEntity, {
        where: { id: importId, gardenId },
        lock: { mode: 'pessimistic_write' },
      });
      if (!found) throw notFound('import');
      if (found.undoneAt) return { kept: 0 };
      const changed = await changedOf(m, found);
      const kept = changed.filter((c) => !edited || c.why !== 'edited');
      const stays = new Set(kept.map((c) => c.id));
      const before = found.before as Before;
      await new RowWriter(m, gardenId, found.madeBy, '').undo(
        before.days,
        idsOf(found).filter((id) => !stays.has(id)),
      );
      for (const { placeId } of before.soil) await soilBack(m, placeId, before, stays);
      await m.update(ImportEntity, { id: importId }, { undoneAt: this.clock.now() });
      return { kept: kept.length };
    });
  }
}

/** Ids of the rows of an import, made from their lines; weather and soil tests have none. */
function idsOf({ id, table, before }: ImportEntity): string[] {
  if (table === 'weather' || table === 'soil') return [];
  const maker = new RowMaker(table, id, '', new Names([], []));
  return Array.from({ length: (before as Before).lastLine }, (_, i) => maker.idOf(i + 1));
}

async function changedOf(m: EntityManager, found: ImportEntity): Promise<Changed[]> {
  if (found.table === 'soil') return changedTests(m, found.before as Before);
  const out: Changed[] = [];
  const ids = idsOf(found);
  for (let i = 0; i < ids.length; i += MOST_IDS) {
    const some = ids.slice(i, i + MOST_IDS);
    out.push(...(found.table === 'plants' ? await changedPlants(m, some) : await changedRecords(m, some)));
  }
  return out;
}

async function changedRecords(m: EntityManager, ids: string[]): Promise<Changed[]> {
  const rows = await m.find(RecordEntity, {
    select: { id: true, day: true },
    where: { id: In(ids), version: MoreThan(1), deletedAt: IsNull() },
  });
  return rows.map(({ id, day }) => ({ id, name: null, day, why: 'edited' }));
}

async function changedPlants(m: EntityManager, ids: string[]): Promise<Changed[]> {
  const plants = await m.find(PlantEntity, { select: { id: true, name: true, version: true }, where: { id: In(ids) } });
  const used: [ChangedWhy, Set<string>][] = [
    ['records', await plantsIn(m, RecordEntity, ids)],
    ['photos', await plantsIn(m, PhotoEntity, ids)],
    ['treated', await plantsIn(m, TreatmentEntity, ids)],
  ];
  return plants.flatMap(({ id, name, version }): Changed[] => {
    const why = used.find(([, there]) => there.has(id))?.[0] ?? (version > 1 ? 'edited' : null);
    return why ? [{ id, name, day: null, why }] : [];
  });
}

/** Returns which of these plants have rows in a table; a plant may have thousands. */
async function plantsIn(
  m: EntityManager,
  table: EntityTarget<{ plantId: string | null }>,
  ids: string[],
): Promise<Set<string>> {
  const rows = await m
    .createQueryBuilder(table, 't')
    .select('DISTINCT t.plantId', 'plantId')
    .where({ plantId: In(ids) })
    .getRawMany<{ plantId: string }>();
  return new Set(rows.map((r) => r.plantId));
}

const testId = (placeId: string, date: string): string => `${placeId} ${date}`;
const same = (a: SoilTest, b: SoilTest): boolean => JSON.stringify(withLevels(a)) === JSON.stringify(withLevels(b));

/** The tests of a bed that an import brought; of an old import nobody noted them: all that were not there before. */
const importedTests = (before: Before, place: PlaceEntity): SoilTest[] =>
  before.tests
    ? before.tests.filter((t) => t.placeId === place.id).map((t) => t.test)
    : (place.soilTests ?? []).filter((t) => !earlierTests(before, place.id).some((e) => e.date === t.date));
const earlierTests = (before: Before, placeId: string): SoilTest[] =>
  before.soil.find((s) => s.placeId === placeId)?.soilTests ?? [];

/** Tests that were typed again since, or may have been. */
async function changedTests(m: EntityManager, before: Before): Promise<Changed[]> {
  const places = await m.findBy(PlaceEntity, { id: In(before.soil.map((s) => s.placeId)) });
  return places.flatMap((place) =>
    importedTests(before, place).flatMap((test): Changed[] => {
      const now = (place.soilTests ?? []).find((t) => t.date === test.date);
      return now && (!before.tests || !same(now, test))
        ? [{ id: testId(place.id, test.date), name: place.name, day: test.date, why: 'edited' }]
        : [];
    }),
  );
}

/** Takes the imported tests of a bed out again; a test they replaced comes back, one typed later stays. */
async function soilBack(m: EntityManager, placeId: string, before: Before, stays: ReadonlySet<string>): Promise<void> {
  const place = await m.findOneByOrFail(PlaceEntity, { id: placeId });
  const goes = new Set(
    importedTests(before, place)
      .filter((t) => !stays.has(testId(placeId, t.date)))
      .map((t) => t.date),
  );
  const left = (place.soilTests ?? []).filter((t) => !goes.has(t.date));
  const back = earlierTests(before, placeId).filter((t) => goes.has(t.date));
  const soilTests = [...left, ...back].sort(byDate);
  const newest = soilTests.at(-1);
  await updateRows(
    m,
    PlaceEntity,
    { id: placeId },
    { soilTests, soilTest: newest ? withLevels(newest) : null, version: place.version + 1 },
  );
}
