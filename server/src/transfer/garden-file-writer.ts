import { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource, EntityManager } from 'typeorm';
import { isUUID } from 'class-validator';
import { ZipFile } from 'yazl';
import { GardenEntity } from '../gardens/garden.entity.js';
import { PhotosService } from '../photos/photos.service.js';
import { FORM, FORMAT, GARDEN_FIELDS } from './garden-file.schema.js';
import { GARDEN_TABLES, NOT_OF_GARDEN, type GardenTable, type Row } from './garden-tables.js';
import { LocalIds } from './local-ids.js';
import { rowsInOrder } from './rows-in-order.js';

/** All entries carry the same time, so the same garden is the same file. */
const MOMENT = new Date('2020-01-01T00:00:00Z');

/** Sorts keys, so the same content is the same text. */
function inOrder(value: unknown): unknown {
  if (value instanceof Date) return value.toISOString();
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).filter(([, v]) => v !== undefined);
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([k, v]) => [k, inOrder(v)]));
}
const textOf = (value: unknown): string => JSON.stringify(inOrder(value));

/** Writes a garden as one file: rows as JSON files, photos beside them, streamed. */
@Injectable()
export class GardenFileWriter {
  constructor(
    @InjectDataSource() private readonly db: DataSource,
    private readonly photos: PhotosService,
  ) {}

  /** Streams the garden as of one moment, however long it takes. */
  stream(gardenId: string): Readable {
    const zip = new ZipFile();
    const out = zip.outputStream as Readable;
    void this.db
      .transaction('REPEATABLE READ', (m) => this.fill(m, zip, gardenId, out))
      .catch((error: Error) => out.destroy(error));
    return out;
  }

  private async fill(m: EntityManager, zip: ZipFile, gardenId: string, out: Readable): Promise<void> {
    const ids = new LocalIds();
    const rows: Record<string, number> = {};
    for (const table of GARDEN_TABLES) {
      rows[table.name] = 0;
      for await (const row of rowsInOrder(m, table, gardenId)) {
        rows[table.name]! += 1;
        if (table.named) ids.next(table.one, String(row.id));
      }
    }
    const garden = (await m.findOneByOrFail(GardenEntity, { id: gardenId })) as unknown as Row;
    const options = { mtime: MOMENT, mode: 0o100644 };
    const add = (name: string, text: string): void => zip.addBuffer(Buffer.from(text), name, options);
    add('candid-leaf.json', `${textOf({ format: FORMAT, form: FORM, rows })}\n`);
    add('garden.json', `${textOf(Object.fromEntries(GARDEN_FIELDS.map((f) => [f, garden[f] ?? null])))}\n`);
    for (const table of GARDEN_TABLES)
      await this.entry(zip, `${table.name}.json`, out, Readable.from(this.lines(m, table, gardenId, ids)), true);
    const photos = GARDEN_TABLES.find((t) => t.name === 'photos')!;
    for await (const row of rowsInOrder(m, photos, gardenId)) {
      const id = String(row.id);
      const picture = await this.photos.picture(gardenId, id, 'whole').catch(() => null);
      if (picture) await this.entry(zip, `photos/${ids.get(id)!.slice(1)}.jpg`, out, Readable.from([picture]), false);
    }
    zip.end();
    await new Promise<void>((done) => out.once('close', done).once('end', done));
  }

  /** Writes one entry at a time: the next is read when this one is done. */
  private entry(zip: ZipFile, name: string, out: Readable, from: Readable, compress: boolean): Promise<void> {
    return new Promise((done, fail) => {
      // stop reading if the download was cancelled
      const stop = (): void => void from.destroy();
      out.once('close', stop);
      from.once('error', fail).once('close', () => {
        out.off('close', stop);
        done();
      });
      zip.addReadStream(from, name, { mtime: MOMENT, mode: 0o100644, compress });
    });
  }

  private async *lines(m: EntityManager, table: GardenTable, gardenId: string, ids: LocalIds): AsyncGenerator<string> {
    let first = true;
    yield '[';
    for await (const row of rowsInOrder(m, table, gardenId)) {
      const { id, ...rest } = row;
      const own = Object.fromEntries(Object.entries(rest).filter(([k]) => !NOT_OF_GARDEN.has(k)));
      const local = ids.change(own, isUUID);
      yield `${first ? '' : ','}\n${textOf(table.named ? { id: ids.get(String(id)), ...local } : local)}`;
      first = false;
    }
    yield '\n]\n';
  }
}
