import type { EntityManager, ObjectLiteral } from 'typeorm';
import type { GardenTable, Row } from './garden-tables.js';

const PAGE = 500;

/** Streams the rows of one table by key, a page at a time: memory does not depend on the garden's size. */
export async function* rowsInOrder(m: EntityManager, table: GardenTable, gardenId: string): AsyncGenerator<Row> {
  const { primaryColumns, tableName } = m.connection.getMetadata(table.entity);
  const keys = primaryColumns.map((c) => c.propertyName).filter((k) => k !== 'gardenId');
  let last: ObjectLiteral | null = null;
  for (;;) {
    const query = m
      .createQueryBuilder(table.entity, tableName)
      .where(`${tableName}.gardenId = :gardenId`, { gardenId })
      .take(PAGE);
    if (table.marked) query.andWhere(`${tableName}.deletedAt IS NULL`);
    for (const k of keys) query.addOrderBy(`${tableName}.${k}`, 'ASC');
    if (last !== null) {
      // after the last row of the page before, by all keys together
      const columns = keys.map((k) => `${tableName}.${k}`).join(', ');
      query.andWhere(`(${columns}) > (${keys.map((k) => `:last_${k}`).join(', ')})`);
      query.setParameters(Object.fromEntries(keys.map((k) => [`last_${k}`, last![k]])));
    }
    const rows: ObjectLiteral[] = await query.getMany();
    yield* rows as Row[];
    if (rows.length < PAGE) return;
    last = rows.at(-1)!;
  }
}
