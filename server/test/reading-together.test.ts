import { ReckonHere } from '../src/shared/reckoner.js';

/** A reading that ends when it is let go; each tells how many had begun before it. */
function slowReading() {
  const reckoner = new ReckonHere();
  const letGo: ((fail?: Error) => void)[] = [];
  const read = reckoner.offerReading('read', (_garden: string, what: string) => {
    const n = letGo.length + 1;
    return new Promise<string>((done, fail) => letGo.push((error) => (error ? fail(error) : done(`${what} ${n}`))));
  });
  const turn = () => new Promise((soon) => setImmediate(soon));
  return { read, letGo, turn };
}

test('many who ask while it is being read are answered together, by one reading that begins after they asked', async () => {
  const { read, letGo, turn } = slowReading();
  const first = read('g', 'view');
  const others = [read('g', 'view'), read('g', 'view'), read('g', 'view')];
  await turn();
  expect(letGo).toHaveLength(1);
  letGo[0]!();
  expect(await first).toBe('"view 1"');
  await turn();
  expect(letGo).toHaveLength(2);
  const late = read('g', 'view'); // the second has begun: it may not know what this one knows
  letGo[1]!();
  expect(await Promise.all(others)).toEqual(['"view 2"', '"view 2"', '"view 2"']);
  await turn();
  letGo[2]!();
  expect(await late).toBe('"view 3"');
  // and afterwards all begins anew
  const again = read('g', 'view');
  await turn();
  letGo[3]!();
  expect(await again).toBe('"view 4"');
});

test('other questions and other gardens do not wait; what fails fails for who asked, and the next is read all the same', async () => {
  const { read, letGo, turn } = slowReading();
  const [a, b] = [read('g', 'view'), read('h', 'view')];
  const after = read('g', 'view');
  await turn();
  expect(letGo).toHaveLength(2);
  letGo[0]!(new Error('lost'));
  await expect(a).rejects.toThrow('lost');
  await turn();
  letGo[2]!();
  expect(await after).toBe('"view 3"');
  letGo[1]!();
  expect(await b).toBe('"view 2"');
});
