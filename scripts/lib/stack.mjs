// The running application: database, weather station stand-in, server. Used by start, test and pictures alike.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { startMariadb } from './mariadb.mjs';
import { freePort } from './port.mjs';
import { Plain } from './say.mjs';

/** Ends a program of ours that an earlier start, killed in the middle, left running: ours by its pid file and its command. */
async function clearLeftover(pidFile, file) {
  if (!existsSync(pidFile)) return;
  const pid = Number(readFileSync(pidFile, 'utf8'));
  const command = () => (existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '');
  if (command().includes(join(ROOT, file))) {
    process.kill(pid, 'SIGTERM');
    for (let i = 0; i < 100 && command(); i++) await wait(100);
  }
  rmSync(pidFile, { force: true });
}

/** The programs that `startStack` runs, by the name of their pid file. */
const PROGRAMS = { station: 'standins/dist/main.js', server: 'server/dist/main.js' };

/** After a start that was killed, its programs may still hold their ports. */
export async function clearLeftovers(home) {
  for (const [name, file] of Object.entries(PROGRAMS)) await clearLeftover(join(home, `${name}.pid`), file);
}

/** Starts a Node program of ours; what it prints goes to `log`. */
function startNode(file, env, log) {
  const child = spawn(process.execPath, [join(ROOT, file)], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const out = createWriteStream(log, { flags: 'a' });
  child.stdout.pipe(out, { end: false });
  child.stderr.pipe(out, { end: false });
  const stop = () =>
    new Promise((done) => {
      if (child.exitCode !== null || child.signalCode !== null) return done();
      child.once('exit', () => done());
      child.kill('SIGTERM');
    });
  return { child, stop };
}

const tail = (file) => (existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n').slice(-5).join('\n') : '');

async function answers(url, child, log, what) {
  for (let i = 0; i < 600; i++) {
    if (child.exitCode !== null || child.signalCode !== null)
      throw new Plain(`${what} stopped while starting:\n${tail(log)}`);
    const ok = await fetch(url).then(
      (r) => r.status < 500,
      () => false,
    );
    if (ok) return;
    await wait(50);
  }
  throw new Plain(`${what} did not answer within half a minute:\n${tail(log)}`);
}

/**
 * Starts everything under `home`. `DATABASE_URL` in the environment points at an existing database instead of our own.
 * @param port 0 takes any free one
 */
export async function startStack({ home, port, tell = () => {} }) {
  const logs = join(home, 'log');
  mkdirSync(logs, { recursive: true });
  const stops = [];
  const stop = async () => {
    while (stops.length > 0) await stops.pop()();
  };
  try {
    let databaseUrl = process.env.DATABASE_URL;
    let sessionSecret;
    if (databaseUrl) {
      const file = join(home, 'session-secret');
      if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
      sessionSecret = readFileSync(file, 'utf8');
    } else {
      tell('Starting the database …');
      const db = await startMariadb(join(home, 'mariadb'));
      stops.push(db.stop);
      ({ url: databaseUrl, sessionSecret } = db);
    }
    const stationPort = await freePort();
    const timerPort = await freePort();
    const stationLog = join(logs, 'station.log');
    const station = startNode(
      PROGRAMS.station,
      { STATION_PORT: String(stationPort), TIMER_PORT: String(timerPort) },
      stationLog,
    );
    writeFileSync(join(home, 'station.pid'), String(station.child.pid));
    stops.push(station.stop);
    const stationUrl = `http://127.0.0.1:${stationPort}`;
    const timerUrl = `http://127.0.0.1:${timerPort}`;
    await answers(stationUrl, station.child, stationLog, 'The weather station stand-in');
    await answers(timerUrl, station.child, stationLog, 'The hose timer stand-in');

    const appPort = port || (await freePort());
    const serverLog = join(logs, 'server.log');
    rmSync(serverLog, { force: true });
    tell('Starting the server …');
    const server = startNode(
      PROGRAMS.server,
      {
        DATABASE_URL: databaseUrl,
        SESSION_SECRET: sessionSecret,
        STATION_URL: stationUrl,
        TIMER_URL: timerUrl,
        WEB_ROOT: join(ROOT, 'web', 'dist'),
        PORT: String(appPort),
      },
      serverLog,
    );
    writeFileSync(join(home, 'server.pid'), String(server.child.pid));
    stops.push(server.stop);
    const url = `http://127.0.0.1:${appPort}`;
    await answers(`${url}/api/health`, server.child, serverLog, 'The server');
    return { url, stationUrl, timerUrl, databaseUrl, server: server.child, stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/** Runs the demo loader to its end. It can be run again after being killed: it goes on where it was. */
export async function loadDemo(url, home) {
  const loader = startNode('demo/dist/main.js', { APP_URL: url }, join(home, 'log', 'demo.log'));
  const code = await new Promise((done) => loader.child.once('exit', done));
  if (code !== 0) throw new Plain(`The demo garden could not be loaded:\n${tail(join(home, 'log', 'demo.log'))}`);
}
