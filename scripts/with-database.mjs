// Runs one of the project's tools with a temporary database: node scripts/with-database.mjs jest …
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib/build.mjs';
import { ensureAll, throwAwayFolder } from './lib/machine.mjs';
import { startMariadb } from './lib/mariadb.mjs';
import { endWith } from './lib/say.mjs';

let stop = async () => {};
let home;
try {
  await ensureAll({ mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' });
  home = throwAwayFolder('with', 'memory');
  const db = await startMariadb(join(home, 'mariadb'));
  ({ stop } = db);
  const [name, ...args] = process.argv.slice(2);
  const done = spawnSync(join(ROOT, 'node_modules', '.bin', name), args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, TEST_DATABASE_URL: db.url },
  });
  process.exitCode = done.status ?? 1;
} catch (error) {
  endWith(error);
} finally {
  await stop();
  if (home) rmSync(home, { recursive: true, force: true });
}
