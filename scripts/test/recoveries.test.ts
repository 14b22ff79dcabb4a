import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** What a start finds after one that was killed, and what it makes of it. Each runs as a start does: in a Node process. */
const ROOT = join(__dirname, '../..');
let folder: string;
const children: ChildProcess[] = [];
beforeEach(() => {
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  folder = mkdtempSync(join(ROOT, '.data', 'try-'));
  chmodSync(folder, 0o755); // the database's own user must be able to enter
});
afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

const script = (code: string): string[] => ['--input-type=module', '-e', code];
function node(code: string) {
  const done = spawnSync(process.execPath, script(code), { cwd: ROOT, encoding: 'utf8' });
  return { code: done.status, out: done.stdout, err: done.stderr };
}
/** Runs until it says a word. */
function background(code: string, word: string, more: readonly string[] = []): Promise<ChildProcess> {
  const child = spawn(process.execPath, [...script(code), ...more], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  return new Promise((done, fail) => {
    let text = '';
    child.stdout!.on('data', (part: Buffer) => {
      text += part.toString();
      if (text.includes(word)) done(child);
    });
    child.once('exit', () => fail(new Error(`ended before it said ${word}: ${text}`)));
  });
}
const ended = (child: ChildProcess): Promise<void> =>
  new Promise((done) =>
    child.exitCode !== null || child.signalCode !== null ? done() : child.once('exit', () => done()),
  );

describe('one start at a time', () => {
  const take = (then: string) =>
    `import { takeTurn } from './scripts/lib/turn.mjs';
     import { endWith } from './scripts/lib/say.mjs';
     try { const leave = takeTurn(${JSON.stringify(folder)}, 'a-start'); ${then} } catch (e) { endWith(e); }`;
  test('a second start says who runs; a mark whose process is gone, or is another program, does not count', async () => {
    const first = await background(take("console.log('mine'); setInterval(() => {}, 1000);"), 'mine', ['a-start']);
    const second = node(take("console.log('mine too')"));
    expect([second.code, second.out]).toEqual([1, '']);
    expect(second.err).toContain(`already running from this folder (process ${first.pid})`);
    expect(second.err).not.toMatch(/\n\s+at /); // a sentence, no stack
    first.kill('SIGKILL');
    await ended(first);
    expect(existsSync(join(folder, 'running'))).toBe(true);
    expect(node(take("console.log('mine now')")).out).toContain('mine now');
    writeFileSync(join(folder, 'running'), String(process.pid)); // alive, but no start of ours
    expect(node(take("leave(); console.log('left')")).out).toContain('left');
    expect(existsSync(join(folder, 'running'))).toBe(false);
  });
});

describe('the port', () => {
  const choose = (asked: string) =>
    node(`import { choosePort } from './scripts/lib/port.mjs';
      import { endWith } from './scripts/lib/say.mjs';
      try { console.log(await choosePort(${JSON.stringify(asked)})); } catch (e) { endWith(e); }`);
  test('an invalid port, or one in use, ends in a sentence with the way out', async () => {
    for (const asked of ['abc', '0', '65536', '80.5'])
      expect(choose(asked)).toMatchObject({ code: 1, err: `\nPORT is "${asked}", which is not a port number.\n` });
    const holder = createServer();
    const port = await new Promise<number>((done) =>
      holder.listen(0, '127.0.0.1', () => done((holder.address() as { port: number }).port)),
    );
    expect(choose(String(port))).toMatchObject({
      code: 1,
      err: `\nPort ${port} is taken by another program. Choose another: PORT=${port + 1} npm start\n`,
    });
    await new Promise((done) => holder.close(done));
    expect(choose(String(port))).toMatchObject({ code: 0, out: `${port}\n` });
  });
});

test('a full disk and our own faults are told apart', () => {
  const end = (error: string) => node(`import { endWith, Plain } from './scripts/lib/say.mjs'; endWith(${error});`);
  expect(end("Object.assign(new Error('write'), { code: 'ENOSPC' })").err).toMatch(/The disk is full.*nothing is lost/);
  expect(end("new Plain('Do this.')").err).toBe('\nDo this.\n');
  expect(end("new Error('odd')").err).toMatch(/odd\nThis was not expected/);
});

describe('programs left running by a killed start', () => {
  const clear = () =>
    node(`import { clearLeftovers } from './scripts/lib/stack.mjs'; await clearLeftovers(${JSON.stringify(folder)});`);
  test('ours are ended; those of another folder, and foreign ones, stay', async () => {
    const idle = "console.log('up'); setInterval(() => {}, 1000);";
    const ours = await background(idle, 'up', ['on', `--candid-leaf-server=${folder}`]);
    const neighbour = await background(idle, 'up', ['on', `--candid-leaf-server=${folder}-else`]);
    const stranger = await background(idle, 'up', [folder]);
    expect(clear().code).toBe(0);
    await ended(ours);
    expect(ours.signalCode).toBe('SIGTERM');
    for (const other of [neighbour, stranger]) {
      other.kill('SIGKILL');
      await ended(other);
      expect(other.signalCode).toBe('SIGKILL'); // not ended by what came before
    }
    expect(clear().code).toBe(0); // nothing left: nothing to do
  });
});

describe('the database', () => {
  /** Starts it, runs a statement, and stops it, or leaves it running without a starter. */
  const start = (sql: string, after: 'stop' | 'die' = 'stop') =>
    node(`import { startMariadb } from './scripts/lib/mariadb.mjs';
      import { endWith } from './scripts/lib/say.mjs';
      import { createConnection } from 'mysql2/promise';
      try {
        const db = await startMariadb(${JSON.stringify(join(folder, 'home'))});
        const c = await createConnection(db.url);
        const [rows] = await c.query(${JSON.stringify(sql)});
        console.log('rows ' + JSON.stringify(rows));
        await c.end();
        if ('${after}' === 'die') process.kill(process.pid, 'SIGKILL');
        await db.stop();
      } catch (e) { endWith(e); }`);
  const home = (...path: string[]) => join(folder, 'home', ...path);
  const COUNT = 'SELECT COUNT(*) AS n FROM kept';

  test('is made once and survives its starter; a half-made one is begun again; what is found is used or named', () => {
    // a start that was killed while it made the data directory
    mkdirSync(home('db'), { recursive: true });
    writeFileSync(home('db', 'half'), '');
    writeFileSync(home('db-making'), '');
    expect(start('CREATE TABLE kept AS SELECT 1 AS n').out).toContain('Creating the database');
    expect(existsSync(home('db', 'half'))).toBe(false);
    // a starter that is killed leaves its database running: the next one stops it and goes on with the data
    start('INSERT INTO kept VALUES (2)', 'die');
    const next = start(COUNT);
    expect(next.out).toContain('A database from an earlier start is still running');
    expect(next.out).toContain('rows [{"n":2}]');
    expect(next.out).not.toContain('Creating');
    // the mark is lost: what is there is used
    rmSync(home('db-ready'));
    const found = start(COUNT);
    expect(found.out).toContain('The database was found, and is used.');
    expect(found.out).toContain('rows [{"n":2}]');
    expect(start(COUNT).out).not.toContain('was found');
    // a mark that stayed from the making deletes nothing
    writeFileSync(home('db-making'), '');
    expect(start(COUNT).out).toContain('rows [{"n":2}]');
    expect(existsSync(home('db-making'))).toBe(false);
    // half of it is lost: it is said what to put back, and no other database takes its place
    for (const lost of ['secrets.json', 'db']) {
      renameSync(home(lost), home(`${lost}-elsewhere`));
      const refused = start(COUNT);
      expect(refused.err).toMatch(/ is missing\. Put it back from a copy; or .* Nothing was deleted\.\n$/);
      expect(existsSync(home(lost))).toBe(false);
      renameSync(home(`${lost}-elsewhere`), home(lost));
    }
    expect(start(COUNT).out).toContain('rows [{"n":2}]');
    // secrets that were damaged: it is said what can be done, and nothing is touched; put back, it goes on
    const secrets = readFileSync(home('secrets.json'), 'utf8');
    for (const damaged of ['{"database":"x"', '[]', secrets.slice(0, 60), '{"database":1,"root":2,"session":3}']) {
      writeFileSync(home('secrets.json'), damaged);
      const refused = start('SELECT 1');
      expect(refused.err).toMatch(/The secrets in .* cannot be read\. Put the file back .* Nothing was deleted/);
      expect(refused.err).not.toMatch(/\n\s+at /);
    }
    writeFileSync(home('secrets.json'), secrets);
    expect(start(COUNT).out).toContain('rows [{"n":2}]');
  });
});
