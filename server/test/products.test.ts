import type { ProductDto } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { gardener, useApp } from './app.js';

const app = useApp();

const feed = (facts: object = {}) => ({
  id: uuid(),
  name: 'Green bottle',
  kind: 'feed',
  form: 'liquid',
  n: 4,
  p2o5: 3,
  k2o: 8,
  gPerMl: 1.15,
  dose: { per: 'litre', amount: 5 },
  everyDays: 14,
  ...facts,
});

test('an own product is saved, edited, deleted and restored; sent twice it exists once', async () => {
  const { agent, url } = await gardener(app);
  const own = feed();
  const list = async () => (await agent.get(url('/products')).expect(200)).body as ProductDto[];
  await agent.put(url('/products')).send(own).expect(200);
  await agent.put(url('/products')).send(own).expect(200);
  expect(await list()).toMatchObject([{ ...own, version: 1 }]);
  await agent
    .put(url('/products'))
    .send({ ...own, version: 1, n: 5 })
    .expect(200);
  await agent
    .put(url('/products'))
    .send({ ...own, version: 1, n: 6 })
    .expect(409);
  expect(await list()).toMatchObject([{ n: 5, version: 2, dose: { per: 'litre', amount: 5 } }]);
  await agent.delete(url(`/products/${own.id}`)).expect(204);
  await agent.delete(url(`/products/${own.id}`)).expect(204);
  expect(await list()).toEqual([]);
  await agent.post(url(`/products/${own.id}/restore`)).expect(204);
  expect(await list()).toHaveLength(1);
});

test('an impossible label is refused at its field, and nothing is saved', async () => {
  const { agent, url } = await gardener(app);
  const faults = async (facts: object) => (await agent.put(url('/products')).send(feed(facts)).expect(400)).body.faults;
  expect(await faults({ n: 120 })).toEqual([{ path: 'n', reason: 'must be a percentage of its weight: 0 to 100 %' }]);
  expect(await faults({ n: 60, k2o: 60 })).toEqual([{ path: 'n', reason: expect.stringMatching(/123 %/) }]);
  expect(await faults({ dose: { per: 'cup', amount: 1 } })).toEqual([{ path: 'dose.per', reason: expect.any(String) }]);
  expect(await faults({ kind: 'spray' })).toEqual([{ path: 'spray', reason: expect.any(String) }]);
  expect((await agent.get(url('/products')).expect(200)).body).toEqual([]);
});

test('products of another garden stay private', async () => {
  const [ann, bo] = [await gardener(app), await gardener(app)];
  const own = feed();
  await ann.agent.put(ann.url('/products')).send(own).expect(200);
  await bo.agent.get(ann.url('/products')).expect(404);
  await bo.agent
    .put(bo.url('/products'))
    .send({ ...own, version: 1, n: 1 })
    .expect(404);
  await bo.agent.delete(bo.url(`/products/${own.id}`)).expect(404);
  expect((await bo.agent.get(bo.url('/products')).expect(200)).body).toEqual([]);
});
