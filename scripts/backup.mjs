// npm run backup: a copy of the database, checked, in .data/backups (or the folder that is named).
import { join, resolve } from 'node:path';
import { makeBackup } from './lib/backups.mjs';
import { databaseInUse } from './lib/database-in-use.mjs';
import { DATA, photosFolder } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';

let end = async () => {};
try {
  const db = await databaseInUse();
  ({ end } = db);
  const { file, tables, bytes, photos, missing } = await makeBackup(
    db.url,
    resolve(process.argv[2] ?? join(DATA, 'backups')),
    photosFolder(),
  );
  for (const [table, sum] of Object.entries(tables)) say(`  ${table.padEnd(18)} ${sum.split(',')[0]}`);
  say(`Copied, loaded into a second database and compared: the same.\n${file} (${Math.ceil(bytes / 1024)} KB)`);
  if (photos > 0) say(`Beside it, in photos: ${photos} photos, each with its sum in the .json.`);
  if (missing > 0)
    say(`${missing} files of photos are named in the database and not on the disk: they are in no copy.`);
  say('Keep it, with its .json and the folder photos, on another disk. To put it back: npm run restore -- FILE');
} catch (error) {
  endWith(error);
} finally {
  await end();
}
