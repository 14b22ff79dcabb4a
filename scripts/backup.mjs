// npm run backup: a copy of the database, checked, in .data/backups (or the folder that is named).
import { join, resolve } from 'node:path';
import { makeBackup } from './lib/backups.mjs';
import { databaseInUse } from './lib/database-in-use.mjs';
import { DATA } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';

let end = async () => {};
try {
  const db = await databaseInUse();
  ({ end } = db);
  const { file, tables, bytes } = await makeBackup(db.url, resolve(process.argv[2] ?? join(DATA, 'backups')));
  for (const [table, sum] of Object.entries(tables)) say(`  ${table.padEnd(18)} ${sum.split(',')[0]}`);
  say(`Copied, loaded into a second database and compared: the same.\n${file} (${Math.ceil(bytes / 1024)} KB)`);
  say('Keep it, with its .json, on another disk. To put it back: npm run restore -- FILE');
} catch (error) {
  endWith(error);
} finally {
  await end();
}
