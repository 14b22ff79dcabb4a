import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { QueryClient } from '@tanstack/react-query';
import '../src/data/all-writes';
import { useDeleteWithUndo } from '../src/frame/acts/use-delete-with-undo';
import { saveRecord } from '../src/data/records';
import { queryKeys } from '../src/lib/query-keys';
import { defineWrite, registerWrites, writeKeys } from '../src/lib/writes';
import { useWrite } from '../src/ui/use-write';
import { fakeServer, show } from './page';

/** A door that opens when it is told to. */
function gate() {
  let open: () => void = () => undefined;
  const passed = new Promise<void>((done) => (open = done));
  return { passed, open: () => act(async () => open()) };
}
const record = { id: 'r1', type: 'note', plantId: 'p', data: { date: '2026-07-18', text: 'x' } } as const;

function Saver({ onSuccess }: { onSuccess?: () => void }) {
  const save = useWrite(saveRecord, 'garden');
  const then = { said: 'Kept.', ...(onSuccess ? { onSuccess } : {}) };
  return <button onClick={() => save.mutate({ record }, then)}>{save.isPending ? 'Saving' : 'Save'}</button>;
}
function Deleter() {
  const remove = useDeleteWithUndo('garden');
  return <button onClick={() => remove('r1')}>Delete</button>;
}

test('“Deleted” appears after the deletion, and it can be undone', async () => {
  const door = gate();
  const { sent } = fakeServer(async (s) => {
    if (s.method === 'DELETE') await door.passed;
    return { status: 200, body: {} };
  });
  show(<Deleter />);
  fireEvent.click(screen.getByText('Delete'));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(screen.queryByText('Deleted.')).toBeNull();
  await door.open();
  await screen.findByText('Deleted.');
  fireEvent.click(screen.getByText('Undo'));
  await waitFor(() =>
    expect(sent.map((s) => `${s.method} ${s.path}`)).toEqual([
      'DELETE /api/gardens/garden/records/r1',
      'POST /api/gardens/garden/records/r1/restore',
    ]),
  );
});

test('a failure is shown, and nothing is claimed to be done', async () => {
  let succeeded = false;
  fakeServer(() => ({ status: 409, body: { message: 'This was changed meanwhile.' } }));
  show(<Saver onSuccess={() => (succeeded = true)} />);
  fireEvent.click(screen.getByText('Save'));
  await screen.findByText('This was changed meanwhile.');
  expect([screen.queryByText('Kept.'), succeeded]).toEqual([null, false]);
});

test('an unreachable server is reported too', async () => {
  globalThis.fetch = () => Promise.reject(new TypeError('fetch failed'));
  show(<Saver />);
  fireEvent.click(screen.getByText('Save'));
  expect(await screen.findByText(/fetch failed|cannot be reached/)).toBeTruthy();
});

test('the message appears even if the element is gone by then', async () => {
  const door = gate();
  fakeServer(async () => {
    await door.passed;
    return { status: 200, body: {} };
  });
  const page = show(<Saver />);
  fireEvent.click(screen.getByText('Save'));
  page.again(<p>elsewhere</p>);
  await door.open();
  await screen.findByText('Kept.');
});

test('writes of a garden go one after another, in their order', async () => {
  const door = gate();
  const { sent } = fakeServer(async () => {
    await door.passed;
    return { status: 200, body: {} };
  });
  show(
    <>
      <Saver />
      <Deleter />
    </>,
  );
  fireEvent.click(screen.getByText('Save'));
  fireEvent.click(screen.getByText('Delete'));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]!.method).toBe('PUT');
  await door.open();
  await waitFor(() => expect(sent.map((s) => s.method)).toEqual(['PUT', 'DELETE']));
});

test('every write is known by its key, so that a stored one can be sent later', async () => {
  const { sent } = fakeServer();
  const client = new QueryClient();
  registerWrites(client);
  expect(writeKeys()).toEqual(expect.arrayContaining(['record.save', 'record.delete']));
  for (const key of writeKeys()) expect(client.getMutationDefaults([key]).mutationFn).toBeDefined();
  // only the key and plain data, as it would come out of a store
  const stored = JSON.parse(JSON.stringify({ key: 'record.delete', input: { gardenId: 'g', id: 'r9' } })) as {
    key: string;
    input: object;
  };
  const garden = queryKeys.garden('g');
  client.setQueryData([...garden, 'view'], {});
  client.setQueryData([...queryKeys.plan('g')], {});
  client.setQueryData([...queryKeys.garden('other'), 'view'], {});
  await client
    .getMutationCache()
    .build(client, { mutationKey: [stored.key] })
    .execute(stored.input);
  expect(sent).toMatchObject([{ method: 'DELETE', path: '/api/gardens/g/records/r9' }]);
  const stale = (key: readonly unknown[]) => client.getQueryState(key)!.isInvalidated;
  expect([
    stale([...garden, 'view']),
    stale(queryKeys.plan('g')),
    stale([...queryKeys.garden('other'), 'view']),
  ]).toEqual([true, true, false]);
  expect(() => defineWrite('record.save', () => Promise.resolve())).toThrow('two writes are named record.save');
});
