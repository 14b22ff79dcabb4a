import { InlineWorkers } from '../src/shared/workers.js';

/** A reading that ends when it is let go; each tells how many had begun before it. */
function slowReading() {
  const workers = new InlineWorkers();
  const removeMember: ((fail?: Error) => void)[] = [];
  const read = workers.offerReading('read', (_garden: string, what: string) => {
    const n = removeMember.length + 1;
    return new Promise<string>((done, fail) =>
      removeMember.push((error) => (error ? fail(error) : done(`${what} ${n}`))),
    );
  });
  const turn = () => new Promise((soon) => setImmediate(soon));
  return { read, removeMember, turn };
}

test('many readers who ask during a reading share one reading that begins after they asked', async () => {
  const { read, removeMember, turn } = slowReading();
  const first = read('g', 'view');
  const others = [read('g', 'view'), read('g', 'view'), read('g', 'view')];
  await turn();
  expect(removeMember).toHaveLength(1);
  removeMember[0]!();
  expect(await first).toBe('"view 1"');
  await turn();
  expect(removeMember).toHaveLength(2);
  const late = read('g', 'view'); // the second has begun: it may not know what this one knows
  removeMember[1]!();
  expect(await Promise.all(others)).toEqual(['"view 2"', '"view 2"', '"view 2"']);
  await turn();
  removeMember[2]!();
  expect(await late).toBe('"view 3"');
  // and afterwards all begins anew
  const again = read('g', 'view');
  await turn();
  removeMember[3]!();
  expect(await again).toBe('"view 4"');
});

test('other questions and other gardens do not wait; a failure fails its askers, and the next reading runs', async () => {
  const { read, removeMember, turn } = slowReading();
  const [a, b] = [read('g', 'view'), read('h', 'view')];
  const after = read('g', 'view');
  await turn();
  expect(removeMember).toHaveLength(2);
  removeMember[0]!(new Error('lost'));
  await expect(a).rejects.toThrow('lost');
  await turn();
  removeMember[2]!();
  expect(await after).toBe('"view 3"');
  removeMember[1]!();
  expect(await b).toBe('"view 2"');
});
