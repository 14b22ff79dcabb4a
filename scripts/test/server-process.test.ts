import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, openSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { createConnection } from 'mysql2/promise';

/** The server as a process of its own: how it starts, what it survives, how it ends. */
const ROOT = join(__dirname, '../..');
const MAIN = join(ROOT, 'server/dist/main.js');
const name = `candid_leaf_${process.pid}_process`;
let url: string;
const children: ChildProcess[] = [];
beforeAll(async () => {
  const root = process.env.TEST_DATABASE_URL;
  if (!root) throw new Error('TEST_DATABASE_URL is not set: run the tests with npm test');
  url = Object.assign(new URL(root), { pathname: `/${name}` }).toString();
  const db = await createConnection(root);
  await db.query(`CREATE DATABASE ${name}`);
  await db.end();
});
afterAll(async () => {
  for (const child of children) child.kill('SIGKILL');
  const db = await createConnection(process.env.TEST_DATABASE_URL!);
  await db.query(`DROP DATABASE ${name}`);
  await db.end();
});

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });
const env = (more: NodeJS.ProcessEnv): NodeJS.ProcessEnv => ({
  ...process.env,
  DATABASE_URL: url,
  SESSION_SECRET: 'x'.repeat(40),
  ...more,
});
async function until(what: () => Promise<boolean>): Promise<void> {
  for (let i = 0; !(await what().catch(() => false)); i++) {
    if (i > 600) throw new Error('it did not come about within thirty seconds');
    await wait(50);
  }
}
async function server(log: number): Promise<{ at: string; child: ChildProcess }> {
  const port = await freePort();
  const child = spawn(process.execPath, [MAIN], {
    env: env({ PORT: String(port), LOG_LEVEL: 'info' }),
    stdio: ['ignore', log, log],
  });
  children.push(child);
  const at = `http://127.0.0.1:${port}/api`;
  await until(async () => (await fetch(`${at}/ready`)).ok);
  return { at, child };
}
const exit = (child: ChildProcess): Promise<number | string | null> =>
  new Promise((done) => child.once('exit', (code, signal) => done(code ?? signal)));

test('a full log disk does not end it; asked to end, it answers what was under way first', async () => {
  const { at, child } = await server(openSync('/dev/full', 'w'));
  // a line that was left open may be shut in the moment in which it is used again; a server that was archived answers no second time either
  const ask = (path: string): Promise<Response> => fetch(`${at}${path}`).catch(() => fetch(`${at}${path}`));
  for (let i = 0; i < 40; i++) expect((await ask('/gardens')).status).toBe(401);
  const healthy = await ask('/health');
  expect(healthy.status).toBe(200);
  // so long a connection stays open that is asked nothing: longer than whoever asks keeps it
  expect(healthy.headers.get('keep-alive')).toBe('timeout=75');
  const ended = exit(child);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
});

test('its log holds methods, paths and answers, and no bodies, cookies or queries', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'log-'));
  const file = join(folder, 'server.log');
  writeFileSync(file, '', { mode: 0o600 });
  const { at, child } = await server(openSync(file, 'a'));
  const who = { email: 'quiet@halt.example', password: 'never-in-a-log', name: 'Quiet' };
  const send = (path: string, body: object) =>
    fetch(`${at}${path}?word=asked-for`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: 'candid-leaf=s%3Aa-cookie.x' },
      body: JSON.stringify(body),
    });
  expect((await send('/accounts', who)).status).toBe(201);
  expect((await send('/accounts', { ...who, password: 'another-never-in-a-log' })).status).toBe(409);
  expect((await send('/session', { ...who, name: undefined })).status).toBe(201);
  await until(() => Promise.resolve(readFileSync(file, 'utf8').includes('/api/session')));
  const text = readFileSync(file, 'utf8');
  expect(text).toMatch(/"method":"POST","path":"\/api\/accounts"/);
  expect(text).not.toMatch(/quiet@halt|never-in-a-log|argon2|a-cookie|asked-for|candid-leaf=/);
  const ended = exit(child);
  child.kill('SIGINT');
  expect(await ended).toBe(0);
  rmSync(folder, { recursive: true });
});

test('settings it cannot start with are explained, without a stack and without a password', async () => {
  const start = async (more: NodeJS.ProcessEnv): Promise<{ status: unknown; stderr: string }> => {
    const child = spawn(process.execPath, [MAIN], { env: env(more), stdio: ['ignore', 'ignore', 'pipe'] });
    children.push(child);
    let stderr = '';
    child.stderr.on('data', (part) => (stderr += String(part)));
    return { status: await exit(child), stderr };
  };
  const wrongPassword = Object.assign(new URL(url), { password: 'not-the-word' }).toString();
  const tries = [
    [{ PORT: 'eighty' }, /PORT is "eighty", which is not a port number/],
    [{ SESSION_SECRET: '' }, /SESSION_SECRET is not set/],
    [{ DATABASE_URL: 'nonsense' }, /DATABASE_URL is not a database address/],
    [{ DATABASE_URL: wrongPassword, PORT: '0' }, /The database refused the sign-in \(ER_ACCESS_DENIED_ERROR\)/],
    [{ DATABASE_URL: 'mysql://a:b@127.0.0.1:9/c', PORT: '0' }, /does not answer \(ECONNREFUSED\)/],
  ] as const;
  const done = await Promise.all(tries.map(([more]) => start(more)));
  for (const [i, [more, said]] of tries.entries()) {
    expect([more, done[i]!.status]).not.toEqual([more, 0]);
    expect(done[i]!.stderr).toMatch(said);
    expect(done[i]!.stderr).not.toMatch(/\n\s+at |not-the-word/);
  }
});

test('the logs and secrets of a start are readable by its owner only', () => {
  const home = process.env.TEST_HOME;
  if (!home) throw new Error('TEST_HOME is not set: run the tests with npm test');
  for (const file of ['log', 'log/server.log', 'log/station.log', 'mariadb/db.log', 'mariadb/secrets.json'])
    expect([file, statSync(join(home, file)).mode & 0o077]).toEqual([file, 0]);
});
