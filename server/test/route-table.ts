import {
  BenchInput,
  GardenInput,
  HoseTimerInput,
  NewOrder,
  PlaceInput,
  PlantInput,
  ProductInput,
  RecordInput,
  SignIn,
  SignUp,
  StartTreatment,
  TaskDone,
  TreatmentOutcome,
  TrialInput,
  CultivarInput,
  PlantEnded,
  SeasonNotesInput,
  PlantingInput,
} from '@candid-leaf/contract';
import { GARDEN } from '@candid-leaf/demo';
import { v7 as uuid } from 'uuid';
import { gardener, potted, type App } from './app.js';

/** Somebody's garden with one of everything in it. */
export interface World {
  gardenId: string;
  placeId: string;
  plantId: string;
  recordId: string;
  treatmentId: string;
  benchId: string;
  productId: string;
  trialId: string;
  kindId: string;
  plantingId: string;
  /** a second plant */
  otherId: string;
  key: string;
  timer: string;
}

/** One route: who may use it, what is sent, and which class of the contract that is. */
export interface Row {
  /** anybody may */
  open?: true;
  /** the status that a member gets */
  member: number;
  cls?: new () => object;
  /** a body that is taken */
  body?: (w: World) => object;
  /** bodies that name things of another's garden: each is refused with 404 or 400 */
  foreign?: (mine: World, theirs: World) => object[];
  /** it ends the session, so the walk comes to it last */
  last?: true;
}

const place = (w: World): object => ({
  id: w.placeId,
  version: 1,
  name: 'Pots',
  kind: 'container',
  texture: 'potting-mix',
  volumeL: 14,
  potMaterial: 'terracotta',
  irrigation: 'drip',
  flowLPerH: 20,
  watering: { school: 'daily', timerZone: 1 },
});
const plant = (w: World): object => ({ id: uuid(), placeId: w.placeId, name: 'Another', crop: 'tomato' });
const record = (w: World, data: object = { date: '2026-07-18', litres: 1 }): object => ({
  id: uuid(),
  type: 'watering',
  plantId: w.plantId,
  data,
});
const bench = (w: World): object => ({
  id: uuid(),
  placeId: w.placeId,
  name: 'Two ways',
  weather: 'simulated',
  years: 20,
  setUps: [
    { name: 'a', strategy: 'deep' },
    { name: 'b', strategy: 'daily' },
  ],
});
const product = (): object => ({ id: uuid(), name: 'Bottle', kind: 'feed', form: 'liquid', n: 4, p2o5: 3, k2o: 8 });
const kind = (): object => ({ id: uuid(), name: 'Red one', crop: 'tomato', letters: 'VFN' });
const planting = (w: World): object => ({
  id: uuid(),
  year: 2027,
  placeId: w.placeId,
  cultivarId: w.kindId || null,
  crop: 'tomato',
  count: 2,
});
/** A trial of its plant against another, whose id stands for the trial's until there is one. */
const trial = (w: World): object => ({
  id: uuid(),
  name: 'Mulch',
  measure: 'fruit-blossom-end-dark',
  changed: [w.plantId],
  untouched: [w.trialId],
  startedOn: '2026-07-01',
  judgeOn: '2026-08-01',
});
const garden = (w: World): object => ({ ...GARDEN, id: w.gardenId, version: 1 });
const treatment = (): object => ({ id: uuid(), disorder: 'blossom-end-rot' });
const READ: Row = { member: 200 };
const ACT = (member: number): Row => ({ member });

/** Every route. One that is not here, or is here and no longer there, fails the walk. */
export const ROUTES: Record<string, Row> = {
  'GET /api/health': { open: true, member: 200 },
  'GET /api/ready': { open: true, member: 200 },
  'POST /api/accounts': {
    open: true,
    member: 201,
    cls: SignUp,
    body: () => ({ email: `${uuid()}@halt.example`, password: 'beside the old line', name: 'B' }),
  },
  'POST /api/session': {
    open: true,
    member: 401,
    cls: SignIn,
    body: () => ({ email: 'x@halt.example', password: 'wrong' }),
  },
  'GET /api/session': READ,
  'DELETE /api/session': { member: 204, last: true },
  'GET /api/gardens': READ,
  'PUT /api/gardens': { member: 200, cls: GardenInput, body: garden, foreign: (_m, t) => [garden(t)] },
  'GET /api/gardens/:gardenId': READ,
  'GET /api/gardens/:gardenId/view': READ,
  'GET /api/gardens/:gardenId/plan': READ,
  'GET /api/gardens/:gardenId/records': READ,
  'GET /api/gardens/:gardenId/benches': READ,
  'GET /api/gardens/:gardenId/timer': READ,
  'GET /api/gardens/:gardenId/products': READ,
  'GET /api/gardens/:gardenId/trials': READ,
  'GET /api/gardens/:gardenId/kinds': READ,
  'GET /api/gardens/:gardenId/season/report': READ,
  'PUT /api/gardens/:gardenId/season/notes': {
    member: 200,
    cls: SeasonNotesInput,
    body: () => ({ id: uuid(), year: 2026, worked: 'mulch' }),
  },
  'GET /api/gardens/:gardenId/calendar': READ,
  'POST /api/gardens/:gardenId/calendar': ACT(200),
  'DELETE /api/gardens/:gardenId/calendar': ACT(204),
  // the secret in its address is the key; without one there is nothing
  'GET /api/calendars/:secret/garden.ics': { open: true, member: 404 },
  'GET /api/gardens/:gardenId/season': READ,
  'GET /api/gardens/:gardenId/sprays': READ,
  'GET /api/gardens/:gardenId/places/:placeId/plan': READ,
  'GET /api/gardens/:gardenId/places/:placeId/soil': READ,
  'GET /api/gardens/:gardenId/plants/:plantId/view': READ,
  'GET /api/gardens/:gardenId/plants/:plantId/case': READ,
  'PUT /api/gardens/:gardenId/places': {
    member: 200,
    cls: PlaceInput,
    body: place,
    foreign: (_m, t) => [place(t), { ...place(t), version: undefined }],
  },
  'POST /api/gardens/:gardenId/places/order': {
    member: 204,
    cls: NewOrder,
    body: (w) => ({ ids: [w.placeId] }),
    foreign: (_m, t) => [{ ids: [t.placeId] }],
  },
  'POST /api/gardens/:gardenId/places/:placeId/retire': ACT(204),
  'POST /api/gardens/:gardenId/places/:placeId/restore': ACT(204),
  'POST /api/gardens/:gardenId/places/:placeId/plants/order': {
    member: 204,
    cls: NewOrder,
    body: (w) => ({ ids: [w.plantId] }),
    foreign: (_m, t) => [{ ids: [t.plantId] }],
  },
  'POST /api/gardens/:gardenId/places/:placeId/timer/send': ACT(200),
  'POST /api/gardens/:gardenId/places/:placeId/timer/read': ACT(200),
  'PUT /api/gardens/:gardenId/plants': {
    member: 200,
    cls: PlantInput,
    body: plant,
    foreign: (m, t) => [plant(t), { ...plant(m), id: t.plantId }, { ...plant(m), id: t.plantId, version: 1 }],
  },
  'POST /api/gardens/:gardenId/plants/:plantId/retire': {
    member: 204,
    cls: PlantEnded,
    body: () => ({ because: 'season-over' }),
  },
  'POST /api/gardens/:gardenId/plants/:plantId/restore': ACT(204),
  'POST /api/gardens/:gardenId/plants/:plantId/treatments': {
    member: 200,
    cls: StartTreatment,
    body: treatment,
    foreign: (_m, t) => [{ ...treatment(), id: t.treatmentId }],
  },
  'PUT /api/gardens/:gardenId/records': {
    member: 200,
    cls: RecordInput,
    body: record,
    foreign: (m, t) => [
      record(t),
      { ...record(m), id: t.recordId },
      { ...record(m), plantId: null, placeId: t.placeId },
      { ...record(m), id: t.recordId, version: 1 },
    ],
  },
  'DELETE /api/gardens/:gardenId/records/:recordId': ACT(204),
  'POST /api/gardens/:gardenId/records/:recordId/restore': ACT(204),
  'POST /api/gardens/:gardenId/weather/pull': ACT(200),
  'POST /api/gardens/:gardenId/tasks/:key/done': {
    member: 200,
    cls: TaskDone,
    body: () => ({ recordId: uuid() }),
    foreign: (_m, t) => [{ recordId: t.recordId }],
  },
  'POST /api/gardens/:gardenId/tasks/:key/undo': {
    member: 204,
    cls: TaskDone,
    body: () => ({}),
    foreign: (_m, t) => [{ recordId: t.recordId }],
  },
  'POST /api/gardens/:gardenId/tasks/:key/not-today': ACT(204),
  'POST /api/gardens/:gardenId/treatments/:treatmentId/outcome': {
    member: 200,
    cls: TreatmentOutcome,
    body: () => ({ outcome: 'worked' }),
  },
  'PUT /api/gardens/:gardenId/benches': {
    member: 200,
    cls: BenchInput,
    body: bench,
    foreign: (m, t) => [bench(t), { ...bench(m), id: t.benchId }, { ...bench(m), id: t.benchId, version: 1 }],
  },
  'DELETE /api/gardens/:gardenId/benches/:benchId': ACT(204),
  'PUT /api/gardens/:gardenId/products': {
    member: 200,
    cls: ProductInput,
    body: product,
    foreign: (_m, t) => [
      { ...product(), id: t.productId },
      { ...product(), id: t.productId, version: 1 },
    ],
  },
  'DELETE /api/gardens/:gardenId/products/:productId': ACT(204),
  'POST /api/gardens/:gardenId/products/:productId/restore': ACT(204),
  'PUT /api/gardens/:gardenId/trials': {
    member: 200,
    cls: TrialInput,
    body: (w) => trial({ ...w, trialId: w.otherId }),
    foreign: (m, t) => [
      trial({ ...m, trialId: t.plantId }),
      trial({ ...t, trialId: m.otherId }),
      { ...trial({ ...m, trialId: m.otherId }), id: t.trialId },
    ],
  },
  'DELETE /api/gardens/:gardenId/trials/:trialId': ACT(204),
  'PUT /api/gardens/:gardenId/kinds': {
    member: 200,
    cls: CultivarInput,
    body: kind,
    foreign: (_m, t) => [
      { ...kind(), id: t.kindId },
      { ...kind(), id: t.kindId, version: 1 },
    ],
  },
  'DELETE /api/gardens/:gardenId/kinds/:kindId': ACT(204),
  'POST /api/gardens/:gardenId/kinds/:kindId/restore': ACT(204),
  'PUT /api/gardens/:gardenId/plantings': {
    member: 200,
    cls: PlantingInput,
    body: planting,
    foreign: (m, t) => [
      planting({ ...m, placeId: t.placeId }),
      planting({ ...m, kindId: t.kindId }),
      { ...planting(m), id: t.plantingId, version: 1 },
    ],
  },
  'DELETE /api/gardens/:gardenId/plantings/:plantingId': ACT(204),
  'POST /api/gardens/:gardenId/plantings/:plantingId/restore': ACT(204),
  'PUT /api/gardens/:gardenId/timer': {
    member: 200,
    cls: HoseTimerInput,
    body: (w) => ({ address: `${w.timer}/boxes/${w.gardenId}`, secret: `tap-of-${w.gardenId}` }),
  },
  'DELETE /api/gardens/:gardenId/timer': ACT(204),
};

/** The path of a route with a world's ids in it. */
export const pathOf = (route: string, w: World): string =>
  route
    .split(' ')[1]!
    .replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(w[name as keyof World]))
    .replace(/^\/api\/gardens\/undefined/, '');

/** A gardener with one of everything, and a finding that was taken on. */
export async function worldOf(
  app: App,
  timer: string,
): Promise<{ agent: Awaited<ReturnType<typeof gardener>>['agent']; w: World }> {
  const g = await gardener(app);
  const { place: placeId, plant: plantId } = await potted(g);
  const ok = async (method: 'put' | 'post', path: string, body: object) =>
    (await g.agent[method](g.url(path)).send(body).expect(200)).body as { id: string };
  await ok('put', '/timer', { address: `${timer}/boxes/${g.garden}`, secret: `tap-of-${g.garden}` });
  const { id: recordId } = await ok('put', '/records', {
    id: uuid(),
    type: 'inspection',
    plantId,
    data: {
      date: '2026-07-18',
      allClear: false,
      signs: [{ sign: 'fruit-blossom-end-dark', present: true, affected: 4 }],
    },
  });
  const { id: treatmentId } = await ok('post', `/plants/${plantId}/treatments`, treatment());
  const w = {
    gardenId: g.garden,
    placeId,
    plantId,
    recordId,
    treatmentId,
    benchId: '',
    productId: '',
    trialId: '',
    kindId: '',
    plantingId: '',
    otherId: '',
    key: '',
    timer,
  };
  const { id: benchId } = await ok('put', '/benches', bench(w));
  const { id: productId } = await ok('put', '/products', product());
  const { id: otherId } = await ok('put', '/plants', plant(w));
  const { id: trialId } = await ok('put', '/trials', trial({ ...w, trialId: otherId }));
  const { id: kindId } = await ok('put', '/kinds', kind());
  const { id: plantingId } = await ok('put', '/plantings', planting({ ...w, kindId }));
  const ids = { benchId, productId, trialId, otherId, kindId, plantingId };
  return { agent: g.agent, w: { ...w, ...ids, key: `look-again:${treatmentId}` } };
}
