import mysql from 'mysql2/promise';
import { DataSource, type DataSourceOptions } from 'typeorm';

/** How long a second process waits for the first, s. */
const PATIENCE_S = 120;

/**
 * Migrates the database. One process at a time: the lock is held by its own connection, so it is released if the
 * process is killed.
 * @returns the open data source
 */
export async function openMigrated(options: DataSourceOptions & { url: string }): Promise<DataSource> {
  const lock = await mysql.createConnection({ uri: options.url, connectTimeout: 10_000 });
  const source = new DataSource(options);
  try {
    const [rows] = await lock.query<mysql.RowDataPacket[]>(
      `SELECT GET_LOCK(CONCAT(DATABASE(), '.migration'), ?) AS mine`,
      [PATIENCE_S],
    );
    if (Number(rows[0]?.mine) !== 1)
      throw new Error(
        `Another process has been changing the tables for ${PATIENCE_S} seconds. Start again once it has finished.`,
      );
    await source.initialize();
    await source.runMigrations({ transaction: 'none' });
    return source;
  } catch (error) {
    if (source.isInitialized) await source.destroy();
    throw error;
  } finally {
    lock.destroy();
  }
}
