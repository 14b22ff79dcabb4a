import { Readable } from 'node:stream';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { ExportName } from '@candid-leaf/contract';
import { cellsOf, headingsOf } from '@candid-leaf/core/tables';
import { stringify } from 'csv-stringify';
import { IsNull, type DataSource } from 'typeorm';
import { PlaceEntity } from '../places/place.entity.js';
import { PlantEntity } from '../plants/plant.entity.js';
import { GARDEN_TABLES, NOT_OF_GARDEN, type GardenTable, type Row } from './garden-tables.js';
import { linesOf, recordTable, type RecordTable } from './record-tables.js';
import { rowsInOrder } from './rows-in-order.js';

/** What the rows of an export are named by: beds and plants. */
interface Names {
  places: Map<string, string>;
  plants: Map<string, string>;
  /** the bed of each plant */
  placeOf: Map<string, string>;
}

/** One table of a garden as CSV in metric units. */
@Injectable()
export class TableExportService {
  constructor(@InjectDataSource() private readonly db: DataSource) {}

  /** Streamed: the garden's size does not matter. Cells that look like formulas are made harmless. */
  async stream(gardenId: string, name: ExportName): Promise<Readable> {
    const names = await this.names(gardenId);
    const own = recordTable(name);
    const lines = own ? this.recordLines(gardenId, own, names) : this.tableLines(gardenId, name, names);
    const writer = stringify({ escape_formulas: true, record_delimiter: 'windows', cast: { boolean: String } });
    Readable.from(lines)
      .on('error', (error) => writer.destroy(error))
      .pipe(writer);
    return writer;
  }

  /** With the columns of the import. */
  private async *recordLines(
    gardenId: string,
    { table, from, holds }: RecordTable,
    names: Names,
  ): AsyncGenerator<unknown[]> {
    yield headingsOf(table);
    for await (const row of rowsInOrder(this.db.manager, tableNamed(from), gardenId))
      if (holds(row)) {
        const placeId = row.placeId ?? names.placeOf.get(String(row.plantId)) ?? null;
        for (const line of linesOf({ ...row, placeId }, names)) yield cellsOf(table, line);
      }
  }

  /** As it is stored; lists within a row as JSON. */
  private async *tableLines(gardenId: string, name: ExportName, { places, plants }: Names): AsyncGenerator<unknown[]> {
    const table = tableNamed(name);
    const columns = this.db
      .getMetadata(table.entity)
      .columns.map((c) => c.propertyName)
      .filter((c) => !NOT_OF_GARDEN.has(c));
    // names beside the ids, for human readers
    yield [
      ...columns,
      ...(columns.includes('placeId') ? ['place'] : []),
      ...(columns.includes('plantId') ? ['plant'] : []),
    ];
    for await (const row of rowsInOrder(this.db.manager, table, gardenId))
      yield [
        ...columns.map((c) => cell(row[c])),
        ...(columns.includes('placeId') ? [places.get(String(row.placeId)) ?? ''] : []),
        ...(columns.includes('plantId') ? [plants.get(String(row.plantId)) ?? ''] : []),
      ];
  }

  private async names(gardenId: string): Promise<Names> {
    const m = this.db.manager;
    const places = await m.findBy(PlaceEntity, { gardenId, deletedAt: IsNull() });
    const plants = await m.findBy(PlantEntity, { gardenId, deletedAt: IsNull() });
    return {
      places: new Map(places.map((p) => [p.id, p.name])),
      plants: new Map(plants.map((p) => [p.id, p.name])),
      placeOf: new Map(plants.map((p) => [p.id, p.placeId])),
    };
  }
}

const tableNamed = (name: string): GardenTable => GARDEN_TABLES.find((t) => t.name === name)!;
const cell = (value: Row[string]): unknown => {
  if (value instanceof Date) return value.toISOString();
  return typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
};
