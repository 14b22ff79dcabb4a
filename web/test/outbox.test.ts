import 'fake-indexeddb/auto';
import { deserialize, serialize } from 'node:v8';
import { QueryClient } from '@tanstack/react-query';
import { waitFor } from '@testing-library/react';
import '../src/data/all-writes';
import { deleteRecord, saveRecord } from '../src/data/records';
import { registerWrites, sendWrite } from '../src/lib/writes';
import { setAccountHere } from '../src/offline/account';
import { clearDevice } from '../src/offline/leave-device';
import { deliver, sendWaiting, setAside, settle, startOutbox, TAB, waiting } from '../src/offline/outbox';
import { device, type Waiting } from '../src/offline/store';
import { fakeServer, type Sent } from './page';

globalThis.structuredClone ??= ((value: unknown) => deserialize(serialize(value)) as unknown) as never;

const client = new QueryClient();
const note = (id: string, gardenId = 'g') => ({
  key: 'record.save',
  input: { gardenId, record: { id, type: 'note', plantId: 'p', data: { date: '2026-07-18', text: id } } },
});
/** What waits on this device, in this order. */
async function wait(...rows: { key: string; input: object }[]): Promise<void> {
  const db = await device();
  await db.clear('outbox');
  for (const row of rows)
    await db.add('outbox', { ...row, account: 'me', label: 'x', at: 0, tab: 't', state: 'waiting' } as never);
}
const idsIn = (s: Sent): unknown =>
  (s.body as { records?: { id: string }[] } | null)?.records?.map((r) => r.id) ??
  (s.body as { id?: string } | null)?.id ??
  s.path.split('/').at(-1);
const left = async (): Promise<unknown[]> =>
  (await waiting()).map((w: Waiting) => [(w.input as { record?: { id: string } }).record?.id, w.state, w.reason]);
const taken = (sent: Sent) => ({
  status: 200,
  body: { answers: ((sent.body as { records?: object[] } | null)?.records ?? []).map(() => ({ record: {} })) },
});

beforeEach(() => setAccountHere('me'));

test('waiting records go together, fifty at a time, and nothing overtakes another', async () => {
  const many = Array.from({ length: 60 }, (_, i) => note(`n${i}`));
  await wait(...many, { key: 'record.delete', input: { gardenId: 'g', id: 'n3' } }, note('z'), note('other', 'h'));
  const { sent } = fakeServer(taken);
  await sendWaiting(client);
  expect(sent.map((s) => [s.method, s.path.split('/')[3], idsIn(s)])).toEqual([
    ['PUT', 'g', many.slice(0, 50).map((w) => w.input.record.id)],
    ['PUT', 'g', many.slice(50).map((w) => w.input.record.id)],
    ['DELETE', 'g', 'n3'],
    ['PUT', 'g', 'z'],
    ['PUT', 'h', 'other'],
  ]);
  expect(await waiting()).toEqual([]);
});

test('a write that is being sent does not wait; one left behind by a closed page does', async () => {
  const db = await device();
  await wait();
  const fresh = { account: 'me', label: 'x', tab: 'another', state: 'fresh' };
  await db.add('outbox', { ...note('now'), ...fresh, at: Date.now() } as never);
  await db.add('outbox', { ...note('long ago'), ...fresh, at: Date.now() - 61_000 } as never);
  expect(await left()).toEqual([['long ago', 'fresh', undefined]]);
});

test('of several sent together, a refused one stays with its reason, and a conflicting one is to be decided', async () => {
  await wait(note('a'), note('b'), note('c'));
  fakeServer(() => ({
    status: 200,
    body: {
      answers: [
        { refused: { status: 400, message: 'no', faults: [{ path: 'data.date', reason: 'is in the future' }] } },
        { record: {} },
        { refused: { status: 409, message: 'Somebody changed this meanwhile.' } },
      ],
    },
  }));
  await sendWaiting(client);
  expect(await left()).toEqual([
    ['a', 'refused', 'is in the future'],
    ['c', 'conflict', 'Somebody changed this meanwhile.'],
  ]);
});

test('refused as a whole, each goes by itself; what does not arrive stays, all of it and in order', async () => {
  await wait(note('a'), note('b'));
  const { sent } = fakeServer((s) =>
    s.path.endsWith('/several') ? { status: 413, body: { message: 'too long' } } : { status: 200, body: {} },
  );
  await sendWaiting(client);
  expect(sent.map(idsIn)).toEqual([['a', 'b'], 'a', 'b']);
  expect(await waiting()).toEqual([]);
  for (const [status, sentTo] of [
    // one garden's trouble may not be the other's
    [503, [['a', 'b'], 'c']],
    [401, [['a', 'b']]],
  ] as const) {
    await wait(note('a'), note('b'), note('c', 'h'));
    const none = fakeServer(() => ({ status, body: { message: 'not now' } }));
    await sendWaiting(client);
    expect([none.sent.map(idsIn), await left()]).toEqual([
      sentTo,
      ['a', 'b', 'c'].map((id) => [id, 'waiting', undefined]),
    ]);
  }
});

describe('a write that the server always fails at', () => {
  const poison = { key: 'record.save', input: note('poison').input };
  const failing = (s: Sent) =>
    JSON.stringify(s.body ?? s.path).includes('poison') ? { status: 500, body: { message: 'no' } } : taken(s);
  const tries = async (): Promise<unknown[]> => (await waiting()).map((w) => w.tries);

  test('holds up only what belongs to it; the others arrive, and it is sent again later and later', async () => {
    jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'setImmediate', 'nextTick'], now: 1_000_000 });
    try {
      await wait(poison, { key: 'record.delete', input: { gardenId: 'g', id: 'poison' } }, note('z', 'h'));
      const { sent } = fakeServer(failing);
      await sendWaiting(client);
      // its deletion must not arrive before it
      expect([sent.map(idsIn), await tries()]).toEqual([
        ['poison', 'z'],
        [1, undefined],
      ]);
      await sendWaiting(client);
      expect(sent.length).toBe(2);
      // pressed by hand it does not wait
      await sendWaiting(client, { asked: true });
      expect([sent.length, (await tries())[0]]).toEqual([3, 2]);
      for (const [after, expected] of [
        [29_000, 2],
        [1_000, 3],
        [60_000, 4],
      ] as const) {
        jest.setSystemTime(Date.now() + after);
        await sendWaiting(client);
        expect((await tries())[0]).toBe(expected);
      }
    } finally {
      jest.useRealTimers();
    }
  });

  test('set aside, nothing waits for it; sent again on request, it may arrive', async () => {
    await wait(poison);
    fakeServer(failing);
    await sendWaiting(client);
    await setAside(client, (await waiting())[0]!);
    const { sent } = fakeServer(taken);
    registerWrites(client);
    const { kept } = await deliver(client, deleteRecord, { gardenId: 'g', id: 'other' }, () => Promise.resolve());
    expect([kept, sent, (await left())[0]]).toEqual([false, [], ['poison', 'aside', undefined]]);
    await settle(client, (await waiting())[0]!, 'mine');
    expect([sent.map(idsIn), await waiting()]).toEqual([['poison'], []]);
  });

  test('three failures in a row are the server’s: the rest waits', async () => {
    await wait(...['a', 'b', 'c', 'd', 'e'].map((g) => note(`n ${g}`, g)));
    const { sent } = fakeServer(() => ({ status: 500, body: { message: 'no' } }));
    await sendWaiting(client);
    expect(sent.length).toBe(3);
    expect((await waiting()).length).toBe(5);
  });
});

test('another account on the device neither sees nor sends them', async () => {
  await wait(note('a'));
  setAccountHere('you');
  const { sent } = fakeServer();
  await sendWaiting(client);
  expect([await waiting(), sent]).toEqual([[], []]);
});

test('a write refused because its session ended waits for its owner, on a device that was left meanwhile', async () => {
  const db = await device();
  await wait();
  fakeServer(() => ({ status: 401, body: { message: 'Sign in first.' } }));
  const { key, input } = note('after the end');
  const sent = deliver(client, saveRecord, input as never, () => sendWrite(key, input) as never);
  expect((await sent).kept).toBe(true);
  expect(await left()).toEqual([['after the end', 'waiting', undefined]]);
  // the page ends while one is being sent
  await wait();
  await db.add('outbox', {
    ...note('under way'),
    account: 'me',
    label: 'x',
    tab: TAB,
    state: 'fresh',
    at: Date.now(),
  } as never);
  expect(await left()).toEqual([]);
  await clearDevice();
  expect(await left()).toEqual([]);
  setAccountHere('me');
  expect(await left()).toEqual([['under way', 'waiting', undefined]]);
});

test('after a reload a page sends at once what it was sending before', async () => {
  const db = await device();
  await wait();
  const fresh = { account: 'me', label: 'x', tab: TAB, state: 'fresh', at: Date.now() };
  await db.add('outbox', { ...note('under way'), ...fresh } as never);
  const { sent } = fakeServer(taken);
  await startOutbox(client);
  await waitFor(async () => expect(await db.count('outbox')).toBe(0));
  expect(sent.map(idsIn)).toEqual(['under way']);
});

test('a new write queues behind a waiting one, also of another key, and arrives after it', async () => {
  await wait(note('first'));
  const { sent } = fakeServer(taken);
  registerWrites(client);
  const now = jest.fn(() => Promise.resolve());
  const { kept } = await deliver(client, deleteRecord, { gardenId: 'g', id: 'first' }, now);
  expect(now).not.toHaveBeenCalled();
  expect(kept).toBe(true);
  await sendWaiting(client);
  expect(sent.map((s) => s.method)).toEqual(['PUT', 'DELETE']);
  expect(await waiting()).toEqual([]);
});
