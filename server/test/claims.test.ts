import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();

test('a home remedy’s claim is shown with the first record that names it, once, and the record is saved', async () => {
  const g = await gardenOf(app);
  const place = await g.place({});
  const put = async (type: string, data: object, id = uuid()) =>
    (
      await g.agent
        .put(g.url('/records'))
        .send({ id, type, placeId: place, data: { date: '2026-07-18', ...data } })
        .expect(200)
    ).body as { id: string; claim?: string };
  const first = await put('note', { text: 'Egg shells round the stems' });
  expect(first.claim).toBe('eggshells');
  // sent twice it is the same answer; a second record says nothing more
  expect((await put('note', { text: 'Egg shells round the stems' }, first.id)).claim).toBe('eggshells');
  expect((await put('feeding', { product: 'eggshells', n: 0, p2o5: 0, k2o: 0, grams: 100 })).claim).toBeUndefined();
  expect((await put('feeding', { product: 'Epsom salt', n: 0, p2o5: 0, k2o: 0, grams: 5 })).claim).toBe('epsom-sweet');
  expect((await put('spray', { product: 'broad-insecticide' })).claim).toBe('broad-insecticide');
  expect((await put('note', { text: 'Rain at last' })).claim).toBeUndefined();
  const list = (await g.agent.get(g.url('/records')).expect(200)).body as object[];
  expect(list).toHaveLength(5);
  // another garden is told anew
  const other = await gardenOf(app);
  const bed = await other.place({});
  const told = await other.agent
    .put(other.url('/records'))
    .send({ id: uuid(), type: 'note', placeId: bed, data: { date: '2026-07-18', text: 'eggshells' } });
  expect(told.body.claim).toBe('eggshells');
});
