import { GARDEN } from '@candid-leaf/demo';
import type { GardenDto } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { DEMO_ACCOUNT } from '@candid-leaf/demo';
import { gardener, useApp } from './app.js';

/** A garden that the setting names as the made-up one. */
const app = useApp({ demoGarden: GARDEN.id });

test('anyone may look at the demo garden, and nobody may change it or see another one', async () => {
  const at = `/api/gardens/${GARDEN.id}`;
  const visitor = await gardener(app);
  await visitor.agent.get(`${at}/view`).expect(404); // not made yet
  const ann = app.agent();
  await ann
    .post('/api/accounts')
    .send({ ...DEMO_ACCOUNT, email: `${uuid()}@halt.example` })
    .expect(201);
  await ann.put('/api/gardens').send(GARDEN).expect(200);
  expect((await visitor.agent.get('/api/entry').expect(200)).body).toMatchObject({ demo: GARDEN.id });
  await visitor.agent.get(`${at}/view`).expect(200);
  await visitor.agent.get(`/api/gardens/${GARDEN.id.toUpperCase()}/view`).expect(200);
  const note = { id: uuid(), type: 'rain-gauge', data: { date: '2026-07-18', rainMm: 1 } };
  await visitor.agent.put(`${at}/records`).send(note).expect(403);
  await visitor.agent.put(`${at}/places`).send({ id: uuid(), name: 'P', kind: 'ground', texture: 'loam' }).expect(403);
  await visitor.agent
    .put('/api/gardens')
    .send({ ...GARDEN, version: 1, name: 'Taken' })
    .expect(404);
  // it is not among the visitor's own
  const own = (await visitor.agent.get('/api/gardens').expect(200)).body as GardenDto[];
  expect(own.map((g) => g.id)).toEqual([visitor.garden]);
  // no other garden is open by it
  const other = await gardener(app);
  await visitor.agent.get(other.url('/view')).expect(404);
  // someone without an account looks at it too: at its pages, not at its people, keys or files
  const anyone = app.http();
  for (const open of ['/view', '/plan', '/season', '/season/report?year=2026', '/varieties', '/products', '/photos'])
    await anyone.get(at + open).expect(200);
  for (const closed of ['/people', '/keys', '/file', '/exports/plants', '/calendar', '/timer', '/records', ''])
    await anyone.get(at + closed).expect(401);
  await anyone.get(other.url('/view')).expect(401);
  await anyone.get('/api/gardens').expect(401);
  await anyone.put(`${at}/records`).send(note).expect(401);
  await anyone.get(`${at}/view`).set('authorization', 'Bearer no-such-key').expect(401);
});
