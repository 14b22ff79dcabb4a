// The database of a script that is not the starter: the one that is running, else our own, begun for as long as it is needed.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { DATA } from './machine.mjs';
import { startMariadb, whereItRuns } from './mariadb.mjs';
import { Plain } from './say.mjs';
import { takeTurn } from './turn.mjs';

/**
 * @param alone nobody else may use it meanwhile
 * @returns its address, and what ends it again
 */
export async function databaseInUse({ alone = false } = {}) {
  const outside = process.env.DATABASE_URL;
  if (outside) return { url: outside, end: async () => {} };
  const home = join(DATA, 'mariadb');
  if (!existsSync(home)) throw new Plain('There is no database here yet: run npm start first.');
  let leave;
  try {
    leave = takeTurn(DATA, 'start.mjs');
  } catch (error) {
    if (alone) throw error;
    return { url: whereItRuns(home), end: async () => {} };
  }
  const db = await startMariadb(home);
  return {
    url: db.url,
    end: async () => {
      await db.stop();
      leave();
    },
  };
}
