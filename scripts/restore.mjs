// npm run restore -- FILE: restores a backup. What the database holds now is set aside, not deleted.
import { resolve } from 'node:path';
import { restoreBackup } from './lib/backups.mjs';
import { databaseInUse } from './lib/database-in-use.mjs';
import { photosFolder } from './lib/machine.mjs';
import { endWith, Plain, say } from './lib/say.mjs';

let end = async () => {};
try {
  if (!process.argv[2]) throw new Plain('usage: npm run restore -- FILE');
  const db = await databaseInUse({ alone: true });
  ({ end } = db);
  const { aside, photos } = await restoreBackup(db.url, resolve(process.argv[2]), photosFolder());
  say(
    `The copy is back, compared and the same. What stood here before is in the database ${aside}; nothing of it was deleted.`,
  );
  if (photos > 0) say(`${photos} pictures came back beside it.`);
  say('Everybody has to sign in again.');
} catch (error) {
  endWith(error);
} finally {
  await end();
}
