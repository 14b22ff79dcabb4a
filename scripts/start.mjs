// npm start: installs what is missing, starts everything, restarts what ends, and stops it all on Ctrl-C.
import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll } from './lib/build.mjs';
import { stopTools } from './lib/exec.mjs';
import { checkDisk, checkNode, DATA, ensureAll } from './lib/machine.mjs';
import { choosePort } from './lib/port.mjs';
import { endWith, say } from './lib/say.mjs';
import { clearLeftovers, loadDemo, makeStack } from './lib/stack.mjs';
import { takeTurn } from './lib/turn.mjs';

async function emptyDatabase(databaseUrl) {
  const { createConnection } = await import('mysql2/promise');
  const db = await createConnection(databaseUrl);
  const [[{ n }]] = await db.query('SELECT COUNT(*) AS n FROM account');
  await db.end();
  return Number(n) === 0;
}

let stack = null;
let leave = () => {};
let ending = false;
async function end() {
  if (ending) return;
  ending = true;
  say('\nStopping …');
  stopTools();
  await stack?.stop();
  leave();
  say('Stopped.');
  process.exit();
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, end);
// a closed terminal or a full disk takes no output; that is no reason to end
for (const out of [process.stdout, process.stderr]) out.on('error', () => {});

try {
  checkNode();
  checkDisk(existsSync(join(DATA, 'mariadb')) ? 200 : undefined);
  leave = takeTurn(DATA, 'start.mjs');
  await clearLeftovers(DATA);
  await ensureAll(
    process.env.DATABASE_URL ? {} : { mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' },
  );
  await buildAll(say);
  stack = makeStack({
    home: DATA,
    port: await choosePort(process.env.PORT),
    tell: say,
  });
  const running = await stack.start();
  const half = join(DATA, 'demo-loading'); // stands while the demo is being loaded: found at a start, it was cut short
  if (existsSync(half) || (await emptyDatabase(running.databaseUrl))) {
    say('Loading the demo garden …');
    writeFileSync(half, '');
    await loadDemo(running, DATA);
    rmSync(half);
  }
  say(
    `\nCandid Leaf is at ${running.url}\nThe demo garden: ann@halt.example, password "beside the old line"\nMail that it sends is shown at ${running.mailUrl}\nStop with Ctrl-C.`,
  );
} catch (error) {
  if (!ending) {
    stopTools();
    await stack?.stop();
    leave();
    endWith(error);
  }
}
