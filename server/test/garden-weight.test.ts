import { v7 as uuid } from 'uuid';
import { GardenWeight } from '../src/workers/garden-weight.service.js';
import { gardener, useApp } from './app.js';

const app = useApp();

test('a garden is heavy from 60 plants or 8,000 records on, counted no further', async () => {
  const weight = app.service(GardenWeight);
  const g = await gardener(app);
  const place = { id: uuid(), name: 'Row', kind: 'container', texture: 'potting-mix', volumeL: 12 };
  const plants = Array.from({ length: 60 }, (_, i) => ({
    id: uuid(),
    placeId: place.id,
    name: `P${i}`,
    crop: 'tomato',
  }));
  const put = (body: object) => g.agent.put(g.url('/plants/several')).send(body).expect(200);
  expect(await weight.isHeavy(g.garden)).toBe(false);
  await put({ place, plants: plants.slice(0, 59) });
  expect(await weight.isHeavy(g.garden)).toBe(false);
  await put({ plants: plants.slice(59) });
  expect(await weight.isHeavy(g.garden)).toBe(true);
  const other = await gardener(app);
  const db = await app.connect();
  const rows = Array.from({ length: 8000 }, () => [uuid(), other.garden, 'note', '2026-07-18', '{}', uuid()]);
  const add = (some: unknown[]) =>
    db.query('INSERT INTO record (id, gardenId, type, day, data, createdBy) VALUES ?', [some]);
  await add(rows.slice(0, 7999));
  expect(await weight.isHeavy(other.garden)).toBe(false);
  await add(rows.slice(7999));
  expect(await weight.isHeavy(other.garden)).toBe(true);
  await db.end();
});
