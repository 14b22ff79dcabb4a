// npm start: sets up what is missing, starts everything, and stops all of it on Ctrl-C.
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll } from './lib/build.mjs';
import { checkDisk, checkNode, DATA, ensureModules, ensurePackages } from './lib/machine.mjs';
import { freePort, portIsFree } from './lib/mariadb.mjs';
import { endWith, Plain, say } from './lib/say.mjs';
import { clearLeftovers, loadDemo, startStack } from './lib/stack.mjs';

const USUAL_PORT = 3210;

async function choosePort() {
  const asked = process.env.PORT;
  if (asked) {
    const port = Number(asked);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Plain(`PORT is "${asked}", which is no port number.`);
    if (!(await portIsFree(port)))
      throw new Plain(`Port ${port} is taken by another program. Choose another: PORT=${port + 1} npm start`);
    return port;
  }
  if (await portIsFree(USUAL_PORT)) return USUAL_PORT;
  const port = await freePort();
  say(`Port ${USUAL_PORT} is taken; using ${port}.`);
  return port;
}

/** Only one start in a folder at a time. */
function takeTurn() {
  const file = join(DATA, 'running');
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'));
    const command = existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
    if (pid !== process.pid && command.includes('start.mjs'))
      throw new Plain(`Candid Leaf is already running from this folder (process ${pid}). Stop that one first.`);
  }
  writeFileSync(file, String(process.pid));
  return () => rmSync(file, { force: true });
}

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
  leave = takeTurn();
  await clearLeftovers(DATA);
  ensurePackages(
    process.env.DATABASE_URL ? {} : { mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server' },
  );
  ensureModules();
  buildAll(say);
  const stack = await startStack({ home: DATA, port: await choosePort(), tell: say });
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
