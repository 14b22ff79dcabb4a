// `npm run endure`: two server processes on one database; one is killed again and again while people write to both.
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { count, outcome, underWrites } from './endure.mjs';
import { startServer } from './server.mjs';

/** @param databaseUrl a database with our tables */
export async function twoServers(home, databaseUrl, rounds) {
  const row = outcome('one of two servers killed');
  const photos = join(home, 'photos');
  const options = { databaseUrl, secret: randomBytes(32).toString('hex'), env: { PHOTOS: photos, LOG_LEVEL: 'error' } };
  const start = (name) => startServer({ ...options, log: join(home, `${name}.log`) });
  const stays = await start('stays');
  let killed = await start('killed');
  try {
    const writers = await underWrites([stays.url, killed.url], row, async (failed) => {
      for (let i = 0; i < rounds && !failed(); i++) {
        await wait(300 + Math.random() * 700);
        const { port } = killed;
        await killed.kill();
        row.tried += 1;
        killed = await startServer({ ...options, port, log: join(home, 'killed.log') });
      }
    });
    await count(databaseUrl, writers, row, photos);
  } finally {
    await killed.stop();
    await stays.stop();
  }
  return row;
}
