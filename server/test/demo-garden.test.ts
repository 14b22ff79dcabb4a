import { GARDEN } from '@candid-leaf/demo';
import type { GardenDto } from '@candid-leaf/contract';
import { v7 as uuid } from 'uuid';
import { DEMO_ACCOUNT } from '@candid-leaf/demo';
import { gardener, useApp } from './app.js';

/** A garden that the setting names as the made-up one. */
const app = useApp({ demoGarden: GARDEN.id });

test('the demo garden is open to all who have an account, read-only', async () => {
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
  // it is not among the visitor's own, nor does an account-less caller see it
  const own = (await visitor.agent.get('/api/gardens').expect(200)).body as GardenDto[];
  expect(own.map((g) => g.id)).toEqual([visitor.garden]);
  await app.http().get(`${at}/view`).expect(401);
  // no other garden is open by it
  const other = await gardener(app);
  await visitor.agent.get(other.url('/view')).expect(404);
});
