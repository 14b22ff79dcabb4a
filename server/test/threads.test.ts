import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { pathToFileURL } from 'node:url';
import { HttpException, Logger } from '@nestjs/common';
import { Threads } from '../src/workers/threads.js';
import { databaseTrouble } from '../src/shared/database-faults.js';

/** Threads that reckon, and what becomes of those that do not let go. */
Logger.overrideLogger(false);
let threads: Threads;
const file = pathToFileURL(join(__dirname, 'fixtures', 'thread.mjs'));
const begin = (limits: { jobMs: number; silenceMs: number }): Threads =>
  new Threads(file, null, 2, { ...limits, heapMb: 40, othersAfterMs: 0 });
beforeEach(() => {
  threads = begin({ jobMs: 1500, silenceMs: 1200 });
});
afterEach(() => threads.end());

/** A garden of an account of its own. */
const of = (gardenId: string, owner = gardenId) => ({ owner, gardenId });
const statusOf = (work: Promise<unknown>): Promise<number> =>
  work.then(
    () => 200,
    (error: unknown) => (error instanceof HttpException ? error.getStatus() : 500),
  );
/** Asked again until it is answered: a thread that was replaced needs a moment. */
async function answered(garden: string): Promise<string> {
  for (let i = 0; ; i++) {
    try {
      return await threads.run(of(garden), 'answer', [garden]);
    } catch (error) {
      if (i > 200) throw error;
      await wait(20);
    }
  }
}

test('an answer, a refusal and a database failure pass through unchanged', async () => {
  expect(await threads.run(of('a'), 'answer', ['a', { b: [1, null] }])).toBe('["a",{"b":[1,null]}]');
  await expect(threads.run(of('a'), 'refuse', [])).rejects.toMatchObject({
    status: 404,
    response: { message: 'not here' },
  });
  expect(databaseTrouble(await threads.run(of('a'), 'away', []).catch((e: unknown) => e))).toBe('away');
});

test('a garden that never finishes holds up nobody: it is asked to retry, its thread is replaced, the others go on', async () => {
  const gardens = ['garden a', 'garden b', 'garden c', 'garden d'];
  await Promise.all(gardens.map(answered));
  const stuck = threads.run(of('garden a'), 'spin', []);
  const late = statusOf(stuck);
  // those of the other thread do not notice, and this one answers meanwhile
  const others = await Promise.all(gardens.map((g) => statusOf(threads.run(of(g), 'answer', [g]))));
  expect(others.filter((s) => s === 200).length).toBeGreaterThan(0);
  expect(await late).toBe(503);
  for (const g of gardens.slice(1)) expect(await answered(g)).toBe(`["${g}"]`);
});

test('a pause of the main thread is not taken for silence of the others', async () => {
  await threads.end();
  threads = begin({ jobMs: 20_000, silenceMs: 1200 });
  await answered('a');
  const pending = statusOf(threads.run(of('a'), 'later', [2500]));
  // from here on timers come before what was said
  await new Promise((done) => setImmediate(done));
  for (const until = Date.now() + 2000; Date.now() < until;);
  expect(await pending).toBe(200);
});

test('slow work is asked to retry, and its thread goes on', async () => {
  await answered('a');
  const [slow, other] = await Promise.all([statusOf(threads.run(of('a'), 'sleep', [])), answered('a')]);
  expect([slow, other]).toEqual([503, '["a"]']);
});

test('a thread that dies or runs out of memory is replaced', async () => {
  for (const end of ['die', 'eat']) {
    await answered('a');
    expect([end, await statusOf(threads.run(of('a'), end, []))]).toEqual([end, 503]);
    expect(await answered('b')).toBe('["b"]');
  }
});

test('what waits while a thread ends is not given to the ended one', async () => {
  await Promise.all(['a', 'b'].map(answered));
  // the second of an account waits behind the first, and is next when that one ends
  const held = statusOf(threads.run(of('a'), 'die', []));
  const waiting = Array.from({ length: 6 }, () => statusOf(threads.run(of('a'), 'answer', ['a'])));
  expect(await held).toBe(503);
  expect((await Promise.all(waiting)).filter((s) => s === 200).length).toBeGreaterThanOrEqual(5);
});

test('a garden that crashed a thread twice is left alone for a while; the others are not', async () => {
  for (let i = 0; i < 2; i++) {
    expect(await answered('bad')).toBe('["bad"]');
    await statusOf(threads.run(of('bad'), 'die', []));
  }
  await expect(threads.run(of('bad'), 'answer', ['bad'])).rejects.toMatchObject({
    response: expect.objectContaining({
      message: expect.stringMatching(/could not be calculated twice/) as string,
    }) as object,
  });
  expect(await answered('other')).toBe('["other"]');
});

test('two heavy accounts with a dozen gardens each hold up nobody else; their own requests wait behind each other', async () => {
  await Promise.all(['a', 'b', 'c', 'd'].map(answered));
  const heavy = ['first', 'second'].flatMap((owner) =>
    Array.from({ length: 12 }, (_, i) => statusOf(threads.run(of(`${owner} ${i}`, owner), 'compute', [60]))),
  );
  const ended: string[] = [];
  heavy.forEach((work, i) => void work.then(() => ended.push(i < 12 ? 'first' : 'second')));
  const normal = await Promise.all(['a', 'b', 'c', 'd'].map((g) => statusOf(threads.run(of(g), 'answer', [g]))));
  expect(normal).toEqual([200, 200, 200, 200]);
  // the others were answered while both still had most of theirs before them
  expect(ended.length).toBeLessThan(10);
  expect(await Promise.all(heavy)).toEqual(Array.from({ length: 24 }, () => 200));
  // and neither of the two went first with all of its own
  expect(new Set(ended.slice(0, 12)).size).toBe(2);
});

test('one account never gets the last thread: another’s garden is answered before any of its jobs ends', async () => {
  await Promise.all(['a', 'b'].map(answered));
  let ended = 0;
  const heavy = Array.from({ length: 6 }, async (_, i) => {
    await statusOf(threads.run(of(`heavy ${i}`, 'heavy'), 'compute', [300]));
    ended += 1;
  });
  const normal = await Promise.all(['a', 'b'].map((g) => statusOf(threads.run(of(g), 'answer', [g]))));
  expect([normal, ended]).toEqual([[200, 200], 0]);
  await Promise.all(heavy);
});

test('gardens known to be slow leave one thread to all other gardens', async () => {
  await Promise.all(['a', 'b'].map(answered));
  const slow = ['x', 'y', 'z'];
  for (const g of slow) await threads.run(of(g), 'compute', [450]);
  const again = slow.map((g) => statusOf(threads.run(of(g), 'compute', [450])));
  const ended: string[] = [];
  for (const work of again) void work.then(() => ended.push('slow'));
  const normal = await Promise.all(['a', 'b'].map((g) => statusOf(threads.run(of(g), 'answer', [g]))));
  expect([normal, ended]).toEqual([[200, 200], []]);
  await Promise.all(again);
});

test('gardens heavy by their size leave one thread from the first time on, also to small new gardens', async () => {
  threads.weighBy(async (garden) => garden.startsWith('big'));
  await Promise.all(['a', 'b'].map(answered));
  const ended: string[] = [];
  const heavy = ['big x', 'big y', 'big z'].map(async (g) => {
    await statusOf(threads.run(of(g), 'compute', [450]));
    ended.push(g);
  });
  const normal = await Promise.all(['c', 'd', 'e'].map((g) => statusOf(threads.run(of(g), 'answer', [g]))));
  expect([normal, ended]).toEqual([[200, 200, 200], []]);
  await Promise.all(heavy);
});

test('a small garden that took long on a busy machine still gets the last thread', async () => {
  threads.weighBy(async (garden) => garden.startsWith('big'));
  await threads.run(of('a'), 'compute', [450]);
  await answered('b');
  const ended: string[] = [];
  const heavy = ['big x', 'big y'].map(async (g) => {
    await statusOf(threads.run(of(g), 'compute', [450]));
    ended.push(g);
  });
  // by now the heavy one has its thread
  await answered('b');
  expect([await statusOf(threads.run(of('a'), 'answer', ['a'])), ended]).toEqual([200, []]);
  await Promise.all(heavy);
});

test('a thread that still computes what nobody waits for any more takes nothing else', async () => {
  await Promise.all(['a', 'b'].map(answered));
  expect(await statusOf(threads.run(of('a'), 'hold', []))).toBe(503);
  // the same garden is answered by the other thread
  expect(await answered('a')).toBe('["a"]');
});

test('an account with hundreds of waiting requests is asked to retry; another’s still runs', async () => {
  await answered('a');
  const ended: number[] = [];
  const many = Array.from({ length: 260 }, async () =>
    ended.push(await statusOf(threads.run(of('a'), 'compute', [20]))),
  );
  expect(await statusOf(threads.run(of('b'), 'answer', ['b']))).toBe(200);
  // refused at once, not after a wait
  expect(ended.filter((s) => s === 503).length).toBeGreaterThan(50);
  await Promise.all(many);
  expect(ended.filter((s) => s === 200).length).toBeGreaterThan(20);
});
