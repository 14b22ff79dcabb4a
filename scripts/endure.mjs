// npm run endure [-- ROUNDS]: kills and freezes processes and fills the disk during writes, and counts what was lost. Everything is in
// temporary folders. ENDURE_REPORT names a file for the figures.
import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { buildAll, ROOT } from './lib/build.mjs';
import { answers, comesAbout, count, outcome, programsOf, startUntil, underWrites, writer } from './lib/endure.mjs';
import { besideHeavyOnes } from './lib/beside.mjs';
import { messagesOverKills } from './lib/endure-messages.mjs';
import { powerCuts } from './lib/power-cut.mjs';
import { twoServers } from './lib/two-servers.mjs';
import { ensureModules, throwAwayFolder } from './lib/machine.mjs';
import { endWith, say } from './lib/say.mjs';
import { makeStack } from './lib/stack.mjs';

const ROUNDS = Number(process.argv[2] ?? 30);
const SHORT = ROUNDS < 10;
/** Seconds a frozen database stays frozen; twenty in a full run. */
const FROZEN_MS = SHORT ? 3000 : 20_000;
/** How long a gardener works beside heavy ones, and the slow end of the answers that is allowed, ms. */
const BESIDE_MS = 30_000;
const MOST_P95_MS = 500;
const quiet = { SIGN_UPS_PER_HOUR: '100000', LOG_LEVEL: 'error' };

/** Everything a start has begun must end within this time, ms. */
const TOGETHER_MS = 10_000;
const hasEnded = (child) => child.exitCode !== null || child.signalCode !== null;

function tryToKill(pid) {
  try {
    return process.kill(pid, 'SIGKILL');
  } catch {
    return false;
  }
}

/** Kills one of the programs again and again during writes, without help. */
async function kills(stack, name, what) {
  const row = outcome(what);
  const writers = await underWrites(stack.url, row, async (failed) => {
    for (let i = 0; row.tried < ROUNDS && i < 3 * ROUNDS && !failed(); i++) {
      await wait(150 + Math.random() * 350);
      const pid = stack.pidOf(name);
      if (!tryToKill(pid)) continue; // it is just being started again
      row.tried += 1;
      await comesAbout(row, async () => stack.pidOf(name) !== pid && (await answers(stack.url)));
    }
  });
  await count(stack.databaseUrl, writers, row, join(home, 'a', 'photos'));
  return row;
}

/** Freezes the database and wakes it; /health must tell the truth at once. */
async function frozen(stack) {
  const row = outcome(`database frozen for ${FROZEN_MS / 1000} s`);
  const rounds = Math.max(1, Math.round(ROUNDS / 10));
  const writers = await underWrites(stack.url, row, async (failed) => {
    for (let i = 0; i < rounds && !failed(); i++) {
      await wait(400);
      const pid = stack.pidOf('database');
      process.kill(pid, 'SIGSTOP');
      row.tried += 1;
      if (FROZEN_MS > 5000) await comesAbout(row, async () => !(await answers(stack.url, '/api/health')), 10_000);
      await wait(FROZEN_MS);
      process.kill(pid, 'SIGCONT');
      await comesAbout(row, () => answers(stack.url));
    }
  });
  await count(stack.databaseUrl, writers, row, join(home, 'a', 'photos'));
  return row;
}

/** Limits the space of the database: writes that do not fit are refused with a message, and writing continues when there is space. */
async function fullDisk(home) {
  const row = outcome('disk that fills');
  const room = (mb) => `--innodb-data-file-path=ibdata1:12M:autoextend:max:${mb}M`;
  const settings = ['--innodb-file-per-table=0', room(96)];
  const stack = makeStack({ home, env: quiet, databaseSettings: settings, weatherStandIns: true });
  const running = await stack.start();
  const { createConnection } = await import('mysql2/promise');
  try {
    const probe = await writer(running.url);
    const tell = (text) =>
      probe.send('PUT', `${probe.at}/records`, {
        id: randomUUID(),
        type: 'note',
        plantId: probe.plant,
        data: { date: '2026-07-18', text },
      });
    for (let i = 1; i <= Math.max(1, Math.round(ROUNDS / 10)); i++) {
      const writers = await underWrites(running.url, row, async () => {
        row.tried += 1;
        const db = await createConnection(running.databaseUrl);
        await db.query(`CREATE TABLE filler${i} (text longblob) ENGINE=InnoDB`);
        for (let size = 4 * 2 ** 20; size > 8000;) {
          const insert = db.query(`INSERT INTO filler${i} VALUES (REPEAT("f", ?))`, [size]);
          if (
            await insert.then(
              () => false,
              () => true,
            )
          )
            size /= 2;
        }
        await db.end();
        // no space left: it is refused with 507 and a message, and the server keeps running
        const refused = async () => {
          const answer = await tell('n'.repeat(2000));
          return answer.status === 507 && /Could not save/.test(await answer.text());
        };
        await comesAbout(row, refused, 20_000);
        await comesAbout(row, () => answers(running.url));
        // space is freed
        settings[1] = room(96 + 64 * i);
        process.kill(running.pidOf('database'), 'SIGTERM');
        await comesAbout(row, async () => (await tell('fits again')).ok);
      });
      await count(running.databaseUrl, writers, row, join(home, 'photos'));
    }
  } finally {
    await stack.stop();
  }
  return row;
}

/** Ends starts at every stage, in every way: nothing is left behind, and the next start works. */
async function starts(home) {
  const row = outcome('starts ended at every stage');
  const [making, loading] = ['Creating the database', 'Loading the demo'];
  const stages = SHORT ? [making, loading] : [making, 'Starting the server', loading, 'Candid Leaf is at'];
  const ways = SHORT ? ['SIGKILL'] : ['SIGKILL', 'SIGINT', 'SIGHUP', 'SIGTERM'];
  for (const how of ways)
    for (const stage of stages) {
      // the database is created once, unless the start is to be killed during that
      if (stage === making) rmSync(home, { recursive: true, force: true });
      // the demo garden is loaded once
      if (stage === loading && how !== ways[0]) continue;
      const { child } = await startUntil(home, stage, how);
      row.tried += 1;
      await comesAbout(row, () => hasEnded(child) && programsOf(home).length === 0, TOGETHER_MS);
    }
  const { url, child } = await startUntil(home, 'Candid Leaf is at', null);
  const { DEMO_ACCOUNT, GARDEN, PLANTS } = await import('@candid-leaf/demo');
  const entry = await fetch(`${url}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password }),
  });
  const cookie = entry.headers.getSetCookie().find((c) => c.startsWith('candid-leaf=')) ?? '';
  const view = await (await fetch(`${url}/api/gardens/${GARDEN.id}/view`, { headers: { cookie } })).json();
  const plants = view.places.reduce((n, p) => n + p.plants.length, 0);
  row.lost += Math.max(0, PLANTS.length - plants);
  row.doubled += Math.max(0, plants - PLANTS.length);
  row.writes += plants;
  const gone = new Promise((done) => child.once('exit', done));
  child.kill('SIGTERM');
  await gone;
  return row;
}

/** Kills migrations before and after every statement; only a few in a short run, as the other tests do that too. */
function migrations(databaseUrl) {
  const row = outcome('migrations killed at every statement');
  const done = spawnSync(
    join(ROOT, 'node_modules', '.bin', 'jest'),
    ['--selectProjects', 'server', '--testPathPatterns', 'migration-killed'],
    { cwd: ROOT, encoding: 'utf8', env: { ...process.env, TEST_DATABASE_URL: databaseUrl, KILL_EVERY: '1' } },
  );
  row.tried = Number(/killed at (\d+) places/.exec(done.stdout)?.[1] ?? 0);
  row.help = done.status === 0 && row.tried > 0 ? 0 : 1;
  return row;
}

function show(rows) {
  const columns = ['what', 'tried', 'writes', 'lost', 'doubled', 'help'];
  const heads = ['attack', 'tried', 'writes acknowledged', 'lost', 'doubled', 'needed help'];
  say(`\n| ${heads.join(' | ')} |\n| ${heads.map(() => '---').join(' | ')} |`);
  for (const r of rows) say(`| ${columns.map((c) => r[c]).join(' | ')} |`);
}

// a short run is about our own programs, a full one about the disk too
const home = throwAwayFolder('endure', SHORT ? 'memory' : 'disk');
let stack = null;
const rows = [];
try {
  await ensureModules();
  await buildAll(say);
  stack = makeStack({ home: join(home, 'a'), env: quiet, weatherStandIns: true });
  const running = await stack.start();
  let from = performance.now();
  const done = (row) => {
    const took = ((performance.now() - from) / 1000).toFixed(0);
    from = performance.now();
    rows.push(row);
    say(
      `${row.what}: ${row.tried} tried, ${row.lost} lost, ${row.doubled} doubled, ${row.help} needed help${row.p95 === undefined ? '' : `, 95 % of answers within ${row.p95} ms`} (${took} s)`,
    );
  };
  done(await kills(running, 'server', 'kill -9 of the server'));
  done(await kills(running, 'database', 'kill -9 of the database'));
  done(await frozen(running));
  if (!SHORT) {
    done(await messagesOverKills(running));
    done(migrations(running.databaseUrl));
    done(await twoServers(home, running.databaseUrl, Math.round(ROUNDS / 3)));
    done(await besideHeavyOnes(running.url, running.databaseUrl, BESIDE_MS));
  }
  await stack.stop();
  done(await fullDisk(join(home, 'b')));
  done(await starts(join(home, 'c')));
  if (!SHORT) {
    const cut = await powerCuts(join(home, 'd'), Math.round(ROUNDS / 3), quiet);
    if (cut) done(cut);
    else say('A power cut was not tried: this machine has no loop devices.');
  }
  show(rows);
  if (process.env.ENDURE_REPORT) writeFileSync(process.env.ENDURE_REPORT, JSON.stringify(rows));
  const slow = rows.find((r) => r.p95 > MOST_P95_MS);
  if (slow) say(`Too slow: 95 % of answers within ${slow.p95} ms, more than ${MOST_P95_MS}.`);
  if (slow || rows.some((r) => r.tried === 0 || r.lost + r.doubled + r.help > 0)) process.exitCode = 1;
} catch (error) {
  endWith(error);
} finally {
  await stack?.stop();
  rmSync(home, { recursive: true, force: true });
}
