// The running application: database, stand-ins, server. Used by start, test, bench and pictures alike.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ROOT } from './build.mjs';
import { Crew } from './crew.mjs';
import { markOfDatabase, openMariadb } from './mariadb.mjs';
import { freePort, ownPort } from './port.mjs';
import { endMarked, LONGEST_START_MS, markOf, PATIENCE_MS } from './processes.mjs';
import { Plain } from './say.mjs';

/** The programs that are run. */
const PROGRAMS = { station: 'standins/dist/main.js', server: 'server/dist/main.js' };

/** After a start that was killed together with its keeper, its programs may still hold their ports. */
export async function clearLeftovers(home) {
  for (const name of Object.keys(PROGRAMS)) await endMarked(markOf(name, home), PATIENCE_MS[name]);
}

/** Starts a Node program of ours, in a group of its own. It writes to its log by itself: a starter that ends takes nothing from it. */
function startNode(file, env, log, args = []) {
  const out = openSync(log, 'a', 0o600);
  chmodSync(log, 0o600);
  const child = spawn(
    process.execPath,
    ['--max-semi-space-size=4', '--max-old-space-size=220', join(ROOT, file), ...args],
    {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', out, out],
      detached: true,
    },
  );
  closeSync(out);
  return child;
}

const tail = (file) => (existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n').slice(-5).join('\n') : '');
const hasEnded = (child) => child.exitCode !== null || child.signalCode !== null;

async function answers(url, child, log, what, crew) {
  for (const until = Date.now() + LONGEST_START_MS; Date.now() < until;) {
    if (crew.stopping) throw new Plain('Stopped while starting.');
    if (hasEnded(child)) throw new Plain(`${what} stopped while starting:\n${tail(log)}`);
    const ok = await fetch(url).then(
      (r) => r.ok || (r.status >= 400 && r.status < 500),
      () => false,
    );
    if (ok) return;
    await wait(50);
  }
  throw new Plain(`${what} did not answer within three minutes:\n${tail(log)}`);
}

/** A secret that is kept beside an outside database, for the sessions. */
function ownSecret(home) {
  const file = join(home, 'session-secret');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  const secret = readFileSync(file, 'utf8').trim();
  if (!/^[0-9a-f]{64}$/.test(secret))
    throw new Plain(
      `The secret in ${file} cannot be read. Remove the file: everybody has to sign in again, nothing else is lost.`,
    );
  return secret;
}

/**
 * Everything that runs under `home`. `DATABASE_URL` in the environment points at an existing database instead of our own.
 * @param port 0 takes any free one
 * @param env more for the server
 * @param weatherStandIns services of the weather are the stand-ins, not the real ones
 * @returns `start` and `stop`; `stop` may be called at any time, also before `start` is through
 */
export function makeStack({
  home,
  port = 0,
  tell = () => {},
  env = {},
  databaseSettings = [],
  weatherStandIns = false,
}) {
  const crew = new Crew(tell);
  const logs = join(home, 'log');

  async function database() {
    if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, sessionSecret: ownSecret(home) };
    tell('Starting the database …');
    const folder = join(home, 'mariadb');
    const mark = markOfDatabase(folder);
    await crew.expect({ name: 'database', what: 'The database', mark, patienceMs: PATIENCE_MS.database });
    const db = await openMariadb(folder, databaseSettings);
    await crew.begin('database', db.begin);
    return db;
  }

  async function program(name, what, programEnv, log, urls) {
    const mark = markOf(name, home);
    await crew.expect({ name, what, mark, patienceMs: PATIENCE_MS[name] });
    await crew.begin(name, async () => {
      const child = startNode(PROGRAMS[name], programEnv, log, [mark]);
      for (const url of urls) await answers(url, child, log, what, crew);
      return child;
    });
  }

  async function start() {
    // there once the demo is built, which it is before anything starts
    const { GARDEN } = await import('@candid-leaf/demo');
    mkdirSync(home, { recursive: true });
    mkdirSync(logs, { recursive: true });
    chmodSync(logs, 0o700);
    const db = await database();
    const stationPort = await ownPort(home, 'station');
    const timerPort = await ownPort(home, 'timer');
    const stationUrl = `http://127.0.0.1:${stationPort}`;
    const timerUrl = `http://127.0.0.1:${timerPort}`;
    const [smtpPort, mailPort] = [await ownPort(home, 'smtp'), await ownPort(home, 'mail')];
    const mailUrl = `http://127.0.0.1:${mailPort}`;
    const [openMeteoPort, metNorwayPort] = [await ownPort(home, 'open-meteo'), await ownPort(home, 'met-norway')];
    const openMeteoUrl = `http://127.0.0.1:${openMeteoPort}`;
    const metNorwayUrl = `http://127.0.0.1:${metNorwayPort}`;
    await program(
      'station',
      'The stand-in for weather station, hose timer and mail',
      {
        STATION_PORT: String(stationPort),
        TIMER_PORT: String(timerPort),
        SMTP_PORT: String(smtpPort),
        MAIL_PORT: String(mailPort),
        OPEN_METEO_PORT: String(openMeteoPort),
        MET_NORWAY_PORT: String(metNorwayPort),
      },
      join(logs, 'station.log'),
      [stationUrl, timerUrl, mailUrl, openMeteoUrl, metNorwayUrl],
    );
    const appPort = port || (await freePort());
    const serverLog = join(logs, 'server.log');
    if (existsSync(serverLog)) renameSync(serverLog, join(logs, 'server.before.log'));
    const url = `http://127.0.0.1:${appPort}`;
    tell('Starting the server …');
    await program(
      'server',
      'The server',
      {
        DATABASE_URL: db.url,
        SESSION_SECRET: db.sessionSecret,
        STATION_URL: stationUrl,
        TIMER_HOSTS: [timerUrl, process.env.TIMER_HOSTS].filter(Boolean).join(),
        WEB_ROOT: join(ROOT, 'web', 'dist'),
        SMTP_URL: process.env.SMTP_URL ?? `smtp://127.0.0.1:${smtpPort}`,
        PUBLIC_URL: process.env.PUBLIC_URL ?? url,
        DEMO_GARDEN: GARDEN.id,
        PHOTOS: process.env.PHOTOS ?? join(home, 'photos'),
        BACKUPS: join(home, 'backups'),
        PORT: String(appPort),
        // memory that one thread has let go of is given to the others
        MALLOC_ARENA_MAX: '2',
        ...(weatherStandIns
          ? {
              WEATHER: 'simulated,open-meteo,met-norway',
              WEATHER_CONTACT: 'leaf@halt.example',
              OPEN_METEO_URL: `${openMeteoUrl}/v1/forecast`,
              OPEN_METEO_ARCHIVE_URL: `${openMeteoUrl}/v1/archive`,
              MET_NORWAY_URL: metNorwayUrl,
            }
          : {}),
        ...env,
      },
      serverLog,
      [`${url}/api/ready`],
    );
    return {
      url,
      stationUrl,
      timerUrl,
      mailUrl,
      openMeteoUrl,
      metNorwayUrl,
      databaseUrl: db.url,
      pidOf: (name) => crew.pidOf(name),
    };
  }

  return {
    stop: () => crew.stop(),
    /** What fails on the way is taken down again. */
    start: () =>
      start().catch(async (error) => {
        await crew.stop();
        throw error;
      }),
  };
}

/** `makeStack`, started. */
export async function startStack(options) {
  const stack = makeStack(options);
  return { ...(await stack.start()), stop: stack.stop };
}

/** Runs the demo loader to its end. It can be run again after being killed: it goes on where it was. */
export async function loadDemo({ url, timerUrl }, home) {
  const log = join(home, 'log', 'demo.log');
  const loader = startNode('demo/dist/main.js', { APP_URL: url, TIMER_URL: timerUrl }, log);
  const code = await new Promise((done) => loader.once('exit', done));
  if (code !== 0) throw new Plain(`The demo garden could not be loaded:\n${tail(log)}`);
}
