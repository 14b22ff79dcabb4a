import { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ExportName } from '@candid-leaf/contract';
import { stringify } from 'csv-stringify';
import { IsNull, type DataSource } from 'typeorm';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { GARDEN_TABLES, NOT_OF_GARDEN, type Row } from './garden-tables.js';
import { rowsInOrder } from './rows-in-order.js';

/** One table of a garden as CSV in metric units; lists within a row as JSON. */
@Injectable()
export class TableExportService {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Streamed: the garden's size does not matter. Cells that look like formulas are made harmless. */
  async stream(gardenId: string, name: ExportName): Promise<Readable> {
    const m = this.db.manager;
    const table = GARDEN_TABLES.find((t) => t.name === name)!;
    const columns = this.db
      .getMetadata(table.entity)
      .columns.map((c) => c.propertyName)
      .filter((c) => !NOT_OF_GARDEN.has(c));
    const named = async (entity: typeof PlaceEntity | typeof PlantEntity): Promise<Map<string, string>> =>
      new Map((await m.findBy(entity, { gardenId, deletedAt: IsNull() })).map((r) => [r.id, r.name]));
    const [places, plants] = [await named(PlaceEntity), await named(PlantEntity)];
    const lines = async function* (): AsyncGenerator<unknown[]> {
      // names beside the ids, for human readers
      yield [
        ...columns,
        ...(columns.includes('placeId') ? ['place'] : []),
        ...(columns.includes('plantId') ? ['plant'] : []),
      ];
      for await (const row of rowsInOrder(m, table, gardenId))
        yield [
          ...columns.map((c) => cell(row[c])),
          ...(columns.includes('placeId') ? [places.get(String(row.placeId)) ?? ''] : []),
          ...(columns.includes('plantId') ? [plants.get(String(row.plantId)) ?? ''] : []),
        ];
    };
    const writer = stringify({ escape_formulas: true, record_delimiter: 'windows', cast: { boolean: String } });
    Readable.from(lines())
      .on('error', (error) => writer.destroy(error))
      .pipe(writer);
    return writer;
  }
}

const cell = (value: Row[string]): unknown => {
  if (value instanceof Date) return value.toISOString();
  return typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
};
