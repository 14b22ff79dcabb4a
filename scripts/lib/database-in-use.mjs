// The database for a script other than the starter: the running one, else our own, started for as long as needed.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { DATA } from './machine.mjs';
import { startMariadb, whereItRuns } from './mariadb.mjs';
import { Plain } from './say.mjs';
import { takeTurn } from './turn.mjs';

/**
 * @param alone no one else may use it in the meantime
 * @returns its address, and how to stop it
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
