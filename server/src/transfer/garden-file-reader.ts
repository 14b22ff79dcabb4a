import { BadRequestException, ConflictException, HttpException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { GardenInput, PHOTO_BYTES } from '@candid-leaf/contract';
import { checked, RefusedInput, RENAMED_TABLES, withCurrentNames } from '@candid-leaf/core/records';
import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { Not, type DataSource, type EntityManager } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { gardenFaults } from '../gardens/garden-faults.js';
import { GardenEntity } from '../gardens/garden.entity.js';
import { GardensService } from '../gardens/gardens.service.js';
import { PhotosService } from '../photos/photos.service.js';
import { PlaceEntity } from '../places/place.entity.js';
import { RecordEntity } from '../records/record.entity.js';
import { revisionOf } from '../shared/garden-revision.js';
import { WeatherEntity } from '../weather/weather.entity.js';
import { FORM, FORMAT, gardenFileSchema, OLD_FORM } from './garden-file.schema.js';
import { GARDEN_TABLES, REFERS, type GardenTable, type Row } from './garden-tables.js';
import { jsonRows } from './json-rows.js';
import { isLocal, LocalIds } from './local-ids.js';
import { ZipEntries } from './zip-entries.js';

const TOGETHER = 250;
const MOST_GARDEN = 100_000;

/** Today's table names, with those of the version before. */
const OLD_FILES = new Map(Object.entries(RENAMED_TABLES).map(([old, now]) => [now, old]));
const rowsNow = ([name, n]: [string, number]): [string, number] => [RENAMED_TABLES[name] ?? name, n];
/** Converts a row of the version before: field names, and ids such as `#kind-1`. */
const rowNow = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(withCurrentNames(row)).map(([field, v]) => [
      field,
      field.endsWith('Id') || field === 'id' ? (typeof v === 'string' ? v.replace(/^#kind-/, '#variety-') : v) : v,
    ]),
  );

const inWords = (error: RefusedInput): string => error.faults.map((f) => `${f.path} ${f.reason}`).join('; ');
const wrong = (where: string, why: string): BadRequestException =>
  new BadRequestException(`${where}: ${why}. Nothing was imported.`);

interface ReadJob {
  zip: ZipEntries;
  /** written by the version before */
  old: boolean;
  gardenId: string;
  accountId: string;
  brokenOff: () => boolean;
}

/** Imports a garden file into an empty garden: completely or not at all. */
@Injectable()
export class GardenFileReader {
  private validators: Map<string, ValidateFunction> | null = null;

  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly gardens: GardensService,
    private readonly photos: PhotosService,
  ) {}

  /** Built with the first file: most processes never see one. */
  private validatorOf(definition: string): ValidateFunction {
    this.validators ??= this.makeValidators();
    return this.validators.get(definition)!;
  }

  private makeValidators(): Map<string, ValidateFunction> {
    const ajv = new Ajv2020({ allowUnionTypes: true, strictTypes: false });
    addFormats.default(ajv);
    const schema = gardenFileSchema(this.db);
    ajv.addSchema(schema);
    return new Map(
      Object.keys(schema.$defs).map((name) => [name, ajv.getSchema(`${String(schema.$id)}#/$defs/${name}`)!]),
    );
  }

  async run(
    gardenId: string,
    accountId: string,
    file: string,
    brokenOff: () => boolean,
  ): Promise<{ rows: Record<string, number>; photos: number }> {
    const zip = await ZipEntries.open(file);
    const photos = new Map<string, string>();
    try {
      let old = false;
      const manifest = await this.one(zip, 'candid-leaf.json', 'manifest', (m) => {
        old = m.form === OLD_FORM;
        return old ? { ...m, form: FORM } : m;
      });
      if (manifest.format !== FORMAT || manifest.form !== FORM)
        throw wrong('candid-leaf.json', 'the file version is not supported');
      const settings = await this.one(zip, 'garden.json', 'garden');
      const job: ReadJob = { zip, old, gardenId, accountId, brokenOff };
      const rows = await this.gardens.change(gardenId, async (m, garden) => {
        await this.mustBeEmpty(m, gardenId);
        await this.settings(m, garden, settings);
        const filled = await this.fill(m, job, photos);
        for (const [name, n] of Object.entries(manifest.rows as Record<string, number>).map(rowsNow))
          if ((filled[name] ?? 0) !== n)
            throw wrong(`${name}.json`, `it should contain ${n} rows but contains ${filled[name] ?? 0}`);
        await m.update(GardenEntity, { id: gardenId }, { weatherRevision: revisionOf(m) });
        // pictures are stored before the rows that name them become visible
        for (const [local, id] of photos) await this.picture(m, job, id, `photos/${local.slice(1)}.jpg`);
        return filled;
      });
      return { rows, photos: photos.size };
    } catch (error) {
      // pictures of rows that were rolled back
      await this.photos.forget(gardenId, [...photos.values()]);
      throw error;
    } finally {
      zip.close();
    }
  }

  private async mustBeEmpty(m: EntityManager, gardenId: string): Promise<void> {
    const there = await Promise.all([
      m.existsBy(PlaceEntity, { gardenId }),
      m.existsBy(RecordEntity, { gardenId, type: Not('rain-gauge' as never) }),
    ]);
    if (there.includes(true))
      throw new ConflictException(
        'A garden’s file can only be imported into an empty garden: create a new one and import it there.',
      );
    await m.delete(WeatherEntity, { gardenId });
  }

  private async one(
    zip: ZipEntries,
    name: string,
    definition: string,
    current: (value: Row) => Row = withCurrentNames,
  ): Promise<Row> {
    let value: unknown;
    try {
      value = current(JSON.parse((await zip.whole(name, MOST_GARDEN)).toString('utf8')) as Row);
    } catch (error) {
      if (error instanceof HttpException) throw error;
      throw wrong(name, 'it is not valid JSON');
    }
    this.validate(definition, value, name);
    return value as Row;
  }

  private validate(definition: string, value: unknown, where: string): void {
    const validate = this.validatorOf(definition);
    if (validate(value)) return;
    const [first] = validate.errors ?? [];
    throw wrong(
      where,
      `${first?.instancePath.slice(1).replaceAll('/', '.') || 'a row'} ${first?.message ?? 'is wrong'}`,
    );
  }

  private async settings(m: EntityManager, garden: GardenEntity, settings: Row): Promise<void> {
    try {
      const faults = gardenFaults(checked(GardenInput, { ...settings, id: garden.id }));
      if (faults.length > 0) throw new RefusedInput(faults);
    } catch (error) {
      throw error instanceof RefusedInput ? wrong('garden.json', inWords(error)) : error;
    }
    await m.update(GardenEntity, { id: garden.id }, { ...settings, version: garden.version + 1 });
  }

  private async fill(
    m: EntityManager,
    { zip, old, gardenId, accountId, brokenOff }: ReadJob,
    photos: Map<string, string>,
  ): Promise<Record<string, number>> {
    const ids = new LocalIds();
    const filled: Record<string, number> = {};
    for (const table of GARDEN_TABLES) {
      const columns = new Set(m.connection.getMetadata(table.entity).columns.map((c) => c.propertyName));
      const own = (row: Row): Row =>
        Object.fromEntries(
          Object.entries({
            ...row,
            gardenId,
            version: 1,
            revision: revisionOf(m),
            deletedAt: null,
            createdBy: accountId,
          }).filter(([k]) => columns.has(k)),
        );
      let batch: Row[] = [];
      let n = 0;
      const flush = async (): Promise<void> => {
        if (brokenOff()) throw new HttpException({ message: 'Cancelled. Nothing was changed.' }, 499);
        if (batch.length > 0)
          await m.createQueryBuilder().insert().into(table.entity).values(batch).updateEntity(false).execute();
        batch = [];
      };
      const file = `${(old && OLD_FILES.get(table.name)) || table.name}.json`;
      for await (const row of jsonRows(await zip.read(file), file)) {
        n += 1;
        batch.push(own(this.row(table, old ? rowNow(row) : withCurrentNames(row), ids, photos, `${file}, row ${n}`)));
        if (batch.length >= TOGETHER) await flush();
      }
      await flush();
      filled[table.name] = n;
    }
    return filled;
  }

  /** Builds one row with ids of this server; what it refers to must come before it. */
  private row(table: GardenTable, row: Row, ids: LocalIds, photos: Map<string, string>, where: string): Row {
    this.validate(table.name, row, where);
    const { id: local, ...rest } = row;
    const strange = namesOf(rest).find((name) => ids.get(name) === undefined);
    if (strange !== undefined) throw wrong(where, `it refers to ${strange}, which does not come before it`);
    for (const [field, one] of Object.entries(REFERS))
      for (const name of [rest[field] ?? []].flat())
        if (!isLocal(name) || !name.startsWith(`#${one}-`))
          throw wrong(where, `${field} must name a ${one} of this file`);
    const named = ids.change(rest, isLocal);
    try {
      table.check(named);
    } catch (error) {
      throw error instanceof RefusedInput ? wrong(where, inWords(error)) : error;
    }
    const dated = Object.fromEntries(
      Object.entries(named).map(([k, v]) => [k, k.endsWith('At') && typeof v === 'string' ? new Date(v) : v]),
    );
    const metadata = this.db.getMetadata(table.entity);
    if (!metadata.columns.some((c) => c.propertyName === 'id')) return dated;
    const id = uuid();
    if (table.named) {
      const name = String(local);
      if (!name.startsWith(`#${table.one}-`) || ids.get(name) !== undefined) throw wrong(where, `its name is ${name}`);
      ids.set(name, id);
      if (table.name === 'photos') photos.set(name, id);
    }
    return { ...dated, id, ...(table.name === 'photos' ? { bytes: 0 } : {}) };
  }

  private async picture(
    m: EntityManager,
    { zip, gardenId, brokenOff }: ReadJob,
    id: string,
    name: string,
  ): Promise<void> {
    if (brokenOff()) throw new HttpException({ message: 'Cancelled. Nothing was changed.' }, 499);
    // a garden whose picture was lost on disk is exported without it
    if (!zip.has(name)) return;
    await this.photos.putBack(m, gardenId, id, await zip.whole(name, PHOTO_BYTES)).catch((error: unknown) => {
      throw error instanceof HttpException ? wrong(name, error.message) : error;
    });
  }
}

/** Returns every local id a row refers to. */
function namesOf(value: unknown): string[] {
  if (isLocal(value)) return [value];
  if (Array.isArray(value)) return value.flatMap(namesOf);
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(namesOf) : [];
}
