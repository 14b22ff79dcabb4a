// npm start: sets up what is missing, starts everything, and stops all of it on Ctrl-C.
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll } from './lib/build.mjs';
import { checkDisk, checkNode, DATA, ensureModules, ensurePackages } from './lib/machine.mjs';
import { choosePort } from './lib/port.mjs';
import { endWith, say } from './lib/say.mjs';
import { clearLeftovers, loadDemo, startStack } from './lib/stack.mjs';
import { takeTurn } from './lib/turn.mjs';

async function emptyDatabase(databaseUrl) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection(databaseUrl);
  const [[{ n }]] = await db.query('SELECT COUNT(*) AS n FROM account');
  await db.end();
  return Number(n) === 0;
}

let stop = async () => {};
let leave = () => {};
let ending = false;
async function end() {
  if (ending) return;
  ending = true;
  say('\nStopping …');
  await stop();
  leave();
  say('Stopped.');
  process.exit();
}
process.on('SIGINT', end);
process.on('SIGTERM', end);

try {
  checkNode();
  checkDisk(existsSync(join(DATA, 'mariadb')) ? 200 : undefined);
  leave = takeTurn(DATA, 'start.mjs');
  await clearLeftovers(DATA);
  ensurePackages(
    process.env.DATABASE_URL ? {} : { mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' },
  );
  ensureModules();
  buildAll(say);
  const stack = await startStack({ home: DATA, port: await choosePort(process.env.PORT), tell: say });
  stop = stack.stop;
  if (ending) await stop();
  const half = join(DATA, 'demo-loading'); // stands while the demo is being loaded: found at a start, it was cut short
  if (existsSync(half) || (await emptyDatabase(stack.databaseUrl))) {
    say('Loading the demo garden …');
    writeFileSync(half, '');
    await loadDemo(stack.url, DATA);
    rmSync(half);
  }
  stack.server.once('exit', (code) => {
    if (ending) return;
    say(`The server ended by itself (code ${code}). Its last words are in .data/log/server.log.`);
    process.exitCode = 1;
    void end();
  });
  say(
    `\nCandid Leaf is at ${stack.url}\nThe demo garden: ann@halt.example, password "beside the old line"\nStop with Ctrl-C.`,
  );
} catch (error) {
  await stop();
  leave();
  endWith(error);
}
