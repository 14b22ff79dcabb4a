import { ConflictException } from '@nestjs/common';
import type { DataSource, EntityManager } from 'typeorm';
import { inTransaction } from '../src/shared/transactions.js';
import { startApp } from './app.js';

/** Two that get in each other's way are told apart by doing one again; what is nobody's collision is not tried again. */
const failing = (...codes: (string | null)[]) => {
  let turn = 0;
  const db = {
    transaction: (_level: string, work: (m: EntityManager) => Promise<unknown>) => {
      const code = codes[Math.min(turn++, codes.length - 1)];
      return code ? Promise.reject(Object.assign(new Error('x'), { code })) : work({} as EntityManager);
    },
  } as unknown as DataSource;
  return { db, turns: () => turn };
};

test('a deadlock and a doubled row are retried up to five times, and then become a conflict in words', async () => {
  for (const code of ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_DUP_ENTRY']) {
    const twice = failing(code, code, null);
    expect(await inTransaction(twice.db, () => Promise.resolve('done'))).toBe('done');
    expect(twice.turns()).toBe(3);
    const always = failing(code);
    await expect(inTransaction(always.db, () => Promise.resolve('done'))).rejects.toThrow(ConflictException);
    expect(always.turns()).toBe(5);
  }
});

test('any other fault passes through at once', async () => {
  for (const code of ['ECONNREFUSED', 'ER_DATA_TOO_LONG', 'ER_PARSE_ERROR']) {
    const { db, turns } = failing(code);
    await expect(inTransaction(db, () => Promise.resolve('done'))).rejects.toMatchObject({ code });
    expect(turns()).toBe(1);
  }
});

test('a real deadlock ends well for both', async () => {
  const app = await startApp();
  const { DataSource: Source } = await import('typeorm');
  const db = app.service(Source);
  await db.query('CREATE TABLE two (id int PRIMARY KEY, n int)');
  await db.query('INSERT INTO two VALUES (1, 0), (2, 0)');
  // each takes one row and waits until the other has taken the other
  const gate = () => {
    let resolve = (): void => undefined;
    const promise = new Promise<void>((done) => (resolve = done));
    return { promise, resolve };
  };
  const taken = [gate(), gate()];
  const work = (mine: number, theirs: number) =>
    inTransaction(db, async (m) => {
      await m.query('UPDATE two SET n = n + 1 WHERE id = ?', [mine]);
      taken[mine - 1]!.resolve();
      await taken[theirs - 1]!.promise;
      await m.query('UPDATE two SET n = n + 1 WHERE id = ?', [theirs]);
    });
  await Promise.all([work(1, 2), work(2, 1)]);
  expect(await db.query('SELECT n FROM two')).toEqual([{ n: 2 }, { n: 2 }]);
  await app.stop();
});
