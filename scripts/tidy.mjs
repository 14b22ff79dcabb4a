// npm run tidy: removes files of photos that belong to nothing, and what crashes left behind; names photos without a file.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib/build.mjs';
import { databaseInUse } from './lib/database-in-use.mjs';
import { photosFolder } from './lib/machine.mjs';
import { endWith, Plain, say } from './lib/say.mjs';

let end = async () => {};
try {
  const program = join(ROOT, 'server/dist/tidy.js');
  if (!existsSync(program)) throw new Plain('It has not been built yet: run npm start first.');
  const db = await databaseInUse();
  ({ end } = db);
  const done = spawnSync(process.execPath, [program], {
    env: { ...process.env, DATABASE_URL: db.url, PHOTOS: photosFolder(), SESSION_SECRET: 'x'.repeat(40) },
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  if (done.status !== 0) throw new Plain('The cleanup did not finish; nothing that belongs to a garden was removed.');
  const { files, rows, folders } = JSON.parse(done.stdout.trim().split('\n').at(-1));
  say(`Removed: ${files} files of photos that belong to nothing, ${folders} folders of interrupted uploads.`);
  if (rows > 0) say(`${rows} photos are named in the database and not on the disk. A backup may have them.`);
} catch (error) {
  endWith(error);
} finally {
  await end();
}
