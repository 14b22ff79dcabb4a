import {
  BenchInput,
  GardenInput,
  HoseTimerInput,
  MessageChoice,
  NewOrder,
  PlaceInput,
  PlaceRetired,
  PlantInput,
  PracticeAnswerInput,
  ProductInput,
  PushDeviceGone,
  PushDeviceInput,
  RecordInput,
  SeveralPlants,
  SeveralRecords,
  SignIn,
  SignUp,
  SoilProbeInput,
  SoilProbePoint,
  StationReadingInput,
  StartTreatment,
  TaskDone,
  TreatmentOutcome,
  TrialInput,
  VarietyInput,
  PlantEnded,
  SeasonNotesInput,
  PlantingInput,
  AccessKeyInput,
  InvitationInput,
  PasswordChange,
  PasswordForgotten,
  PasswordOnly,
  PasswordReset,
  RoleChange,
  WateringListInput,
  WateringTick,
  type Role,
} from '@candid-leaf/contract';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_ACCOUNT, GARDEN } from '@candid-leaf/demo';
import { v7 as uuid } from 'uuid';
import { gardener, helper, potted, type App } from './app.js';

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
  varietyId: string;
  plantingId: string;
  /** a second plant */
  otherId: string;
  /** somebody who helps in the garden */
  memberId: string;
  invitationId: string;
  listId: string;
  keyId: string;
  photoId: string;
  importId: string;
  name: string;
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
  /** what stands behind `?` in its address */
  query?: (w: World) => string;
  /** bodies that name things of another's garden: each is refused with 404 or 400 */
  foreign?: (mine: World, theirs: World) => object[];
  /** the role that it needs; where nothing stands: `look` to read, `keep` for all else */
  needs?: Role;
  /** not for keys, whatever their role */
  peopleOnly?: true;
  /** the walk comes to it at the end, in this order: it ends the session, or lets somebody go */
  last?: number;
}

/** A device at no push service that this server knows: it is refused. */
const DEVICE = { endpoint: 'https://push.example/x', p256dh: 'B'.repeat(87), auth: 'a'.repeat(22) };
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
  watering: { method: 'daily', timerZone: 1 },
});
const plant = (w: World): object => ({ id: uuid(), placeId: w.placeId, name: 'Copy', crop: 'tomato' });
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
  varietyId: w.varietyId || null,
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
const RECORDS = (member: number): Row => ({ member, needs: 'record' });
const PASSWORD = DEMO_ACCOUNT.password;
const invitation = (id = uuid()): object => ({ id, name: 'Mia', role: 'record' });
const list = (id = uuid()): object => ({ id, name: 'Mia', from: '2026-07-18', to: '2026-07-25' });
const accessKey = (id = uuid()): object => ({ id, name: 'Rain gauge', role: 'record', days: 30 });
const WATER_PLAN = {
  table: 'watering',
  delimiter: ',',
  dateOrder: 'ymd',
  decimal: '.',
  name: 'a.csv',
  columns: [
    { field: 'date', at: 0 },
    { field: 'plant', at: 1 },
    { field: 'litres', at: 2, unit: 'L' },
  ],
};
const SECRET = 'x'.repeat(43);
/** The file of a garden with nothing in it. */
export const EMPTY_GARDEN = readFileSync(join(__dirname, 'fixtures/empty.garden.zip'));
/** The smallest picture: one dot. */
const DOT = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

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
  'DELETE /api/session': { member: 204, last: 8 },
  'GET /api/entry': { open: true, member: 200 },
  // all keys go with the old password, so it comes after them
  'PUT /api/account/password': {
    member: 204,
    last: 1,
    cls: PasswordChange,
    body: () => ({ old: PASSWORD, password: PASSWORD }),
  },
  'POST /api/password/forgotten': {
    open: true,
    member: 202,
    cls: PasswordForgotten,
    body: () => ({ email: 'nobody@halt.example' }),
  },
  'POST /api/password/new': {
    open: true,
    member: 400,
    cls: PasswordReset,
    body: () => ({ secret: SECRET, password: 'beside the new line' }),
  },
  'DELETE /api/sessions': { member: 204, last: 9 },
  'POST /api/account/leaving': { member: 409, cls: PasswordOnly, body: () => ({ password: PASSWORD }) },
  'DELETE /api/account/leaving': { member: 200 },
  'GET /api/gardens/:gardenId/people': READ,
  'POST /api/gardens/:gardenId/invitations': {
    member: 200,
    cls: InvitationInput,
    peopleOnly: true,
    body: () => invitation(),
    foreign: (_m, t) => [invitation(t.invitationId)],
  },
  'DELETE /api/gardens/:gardenId/invitations/:invitationId': { member: 204, peopleOnly: true },
  'PUT /api/gardens/:gardenId/people/:memberId': {
    member: 204,
    cls: RoleChange,
    peopleOnly: true,
    body: () => ({ role: 'keep' }),
  },
  'POST /api/gardens/:gardenId/leave': { member: 409, needs: 'look', peopleOnly: true, last: 7 },
  'DELETE /api/gardens/:gardenId/people/:memberId': { member: 204, peopleOnly: true, last: 6 },
  'GET /api/invitations/:secret': { open: true, member: 404 },
  'POST /api/invitations/:secret/accept': { member: 404 },
  'GET /api/gardens/:gardenId/keys': { member: 200, peopleOnly: true },
  'POST /api/gardens/:gardenId/keys': {
    member: 200,
    cls: AccessKeyInput,
    needs: 'look',
    peopleOnly: true,
    body: () => accessKey(),
    foreign: (_m, t) => [accessKey(t.keyId)],
  },
  'DELETE /api/gardens/:gardenId/keys/:keyId': { member: 204, needs: 'look', peopleOnly: true },
  'GET /api/gardens/:gardenId/watering-lists': READ,
  'POST /api/gardens/:gardenId/watering-lists': {
    member: 200,
    cls: WateringListInput,
    peopleOnly: true,
    body: () => list(),
    foreign: (_m, t) => [list(t.listId)],
  },
  'DELETE /api/gardens/:gardenId/watering-lists/:listId': { member: 204, peopleOnly: true },
  'GET /api/gardens/:gardenId/photos': READ,
  'PUT /api/gardens/:gardenId/photos/:photoId': {
    member: 200,
    needs: 'record',
    body: () => DOT,
    query: (w) => `?plantId=${w.plantId}&day=2026-07-18`,
  },
  // a step of the tus protocol says which version it speaks; these do not
  'POST /api/gardens/:gardenId/photos/:photoId/parts': RECORDS(412),
  'HEAD /api/gardens/:gardenId/photos/:photoId/parts': RECORDS(412),
  'PATCH /api/gardens/:gardenId/photos/:photoId/parts': RECORDS(412),
  // its photo is already stored
  'PUT /api/gardens/:gardenId/photos/:photoId/parts': {
    member: 200,
    needs: 'record',
    query: (w) => `?plantId=${w.plantId}&day=2026-07-18`,
  },
  'GET /api/gardens/:gardenId/photos/:photoId/whole': READ,
  'GET /api/gardens/:gardenId/photos/:photoId/small': READ,
  'DELETE /api/gardens/:gardenId/photos/:photoId': RECORDS(204),
  'POST /api/gardens/:gardenId/photos/:photoId/restore': RECORDS(204),
  'GET /api/gardens/:gardenId/imports': READ,
  'POST /api/gardens/:gardenId/imports/preview': { member: 200, body: () => Buffer.from('date,plant,litres\n') },
  'PUT /api/gardens/:gardenId/imports/:importId': {
    member: 200,
    body: () => Buffer.from('date,plant,litres\n2026-07-18,Paste,1\n'),
    query: () => `?plan=${encodeURIComponent(JSON.stringify(WATER_PLAN))}`,
  },
  'GET /api/gardens/:gardenId/imports/:importId/job': READ,
  // it has ended, so nothing happens
  'POST /api/gardens/:gardenId/imports/:importId/cancel': ACT(204),
  'GET /api/gardens/:gardenId/imports/:importId/undo': READ,
  'DELETE /api/gardens/:gardenId/imports/:importId': ACT(200),
  'GET /api/gardens/:gardenId/exports/:name': READ,
  'GET /api/gardens/:gardenId/file': READ,
  // this garden is not empty
  'PUT /api/gardens/:gardenId/file': { member: 409, body: () => EMPTY_GARDEN },
  'GET /api/gardens/:gardenId/messages': { ...READ, peopleOnly: true },
  'PUT /api/gardens/:gardenId/messages': {
    member: 200,
    cls: MessageChoice,
    needs: 'look',
    peopleOnly: true,
    body: () => ({
      morning: true,
      warnings: true,
      byMail: false,
      byPush: false,
      quietFrom: 21,
      quietUntil: 7,
    }),
  },
  'POST /api/devices': { member: 400, cls: PushDeviceInput, body: () => DEVICE },
  'POST /api/devices/remove': { member: 204, cls: PushDeviceGone, body: () => ({ endpoint: DEVICE.endpoint }) },
  // what the token says, and nothing without one
  'GET /api/messages/link/:token': { open: true, member: 404 },
  'POST /api/messages/off/:token': { open: true, member: 404 },
  'POST /api/messages/done/:token': { open: true, member: 404 },
  'GET /api/watering/:secret': { open: true, member: 404 },
  'POST /api/watering/:secret/ticks': {
    open: true,
    member: 404,
    cls: WateringTick,
    body: (w) => ({ recordId: uuid(), key: `water:${w.placeId}` }),
  },
  'POST /api/watering/:secret/undo': {
    open: true,
    member: 404,
    cls: WateringTick,
    body: (w) => ({ recordId: w.recordId, key: `water:${w.placeId}` }),
  },
  'GET /api/towns': { member: 200, query: () => '?name=Alba' },
  // an empty form, and a key that is none
  'POST /api/stations/:key/report': { open: true, member: 400 },
  'GET /weatherstation/updateweatherstation.php': { open: true, member: 401 },
  'GET /api/weather/services': { member: 200 },
  'GET /api/weather/frosts': {
    member: 200,
    query: () => '?latitude=45&longitude=9&elevationM=100&timeZone=Europe/Rome&service=simulated',
  },
  'GET /api/towns/near': { member: 200, query: () => '?latitude=45&longitude=9' },
  'GET /api/practice': READ,
  'PUT /api/practice': {
    member: 200,
    cls: PracticeAnswerInput,
    body: () => ({
      theme: 'spots',
      seed: 1,
      trouble: 'early-blight',
      surePct: 60,
      right: true,
      causeRight: false,
      actRight: true,
      minutes: 4,
    }),
  },
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
  'GET /api/gardens/:gardenId/season/report': READ,
  'PUT /api/gardens/:gardenId/season/notes': {
    member: 200,
    cls: SeasonNotesInput,
    body: () => ({ id: uuid(), year: 2026, worked: 'mulch' }),
  },
  'GET /api/gardens/:gardenId/calendar': READ,
  'POST /api/gardens/:gardenId/calendar': { member: 200, peopleOnly: true },
  'DELETE /api/gardens/:gardenId/calendar': { member: 204, peopleOnly: true },
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
  'POST /api/gardens/:gardenId/places/:placeId/retire': {
    member: 200,
    cls: PlaceRetired,
    body: () => ({ plants: 'end' }),
    foreign: (_m, t) => [{ plants: 'move', toPlaceId: t.placeId }],
  },
  'POST /api/gardens/:gardenId/places/:placeId/restore': ACT(204),
  'POST /api/gardens/:gardenId/places/:placeId/plants/order': {
    member: 204,
    cls: NewOrder,
    body: (w) => ({ ids: [w.plantId] }),
    foreign: (_m, t) => [{ ids: [t.plantId] }],
  },
  'POST /api/gardens/:gardenId/places/:placeId/timer/send': ACT(200),
  'POST /api/gardens/:gardenId/places/:placeId/timer/read': RECORDS(200),
  'PUT /api/gardens/:gardenId/plants': {
    member: 200,
    cls: PlantInput,
    body: plant,
    foreign: (m, t) => [plant(t), { ...plant(m), id: t.plantId }, { ...plant(m), id: t.plantId, version: 1 }],
  },
  'PUT /api/gardens/:gardenId/plants/several': {
    member: 200,
    cls: SeveralPlants,
    body: (w) => ({ plants: [plant(w)] }),
    foreign: (m, t) => [
      { plants: [plant(m), plant(t)] },
      { plants: [{ ...plant(m), id: t.plantId }] },
      { place: { ...place(m), id: t.placeId }, plants: [plant(m)] },
    ],
  },
  'PUT /api/gardens/:gardenId/plants/:plantId/sucker': {
    member: 200,
    cls: PlantInput,
    body: plant,
    foreign: (m, t) => [plant(t), { ...plant(m), id: t.plantId }],
  },
  'POST /api/gardens/:gardenId/plants/:plantId/retire': {
    member: 204,
    cls: PlantEnded,
    body: () => ({ because: 'season-over' }),
  },
  'POST /api/gardens/:gardenId/plants/:plantId/restore': ACT(204),
  'POST /api/gardens/:gardenId/plants/:plantId/treatments': {
    needs: 'record',
    member: 200,
    cls: StartTreatment,
    body: treatment,
    foreign: (_m, t) => [{ ...treatment(), id: t.treatmentId }],
  },
  'PUT /api/gardens/:gardenId/records': {
    needs: 'record',
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
  'PUT /api/gardens/:gardenId/records/several': {
    needs: 'record',
    member: 200,
    cls: SeveralRecords,
    body: (w) => ({ records: [record(w)] }),
  },
  'DELETE /api/gardens/:gardenId/records/:recordId': RECORDS(204),
  'POST /api/gardens/:gardenId/records/:recordId/restore': RECORDS(204),
  'POST /api/gardens/:gardenId/weather/pull': RECORDS(200),
  'GET /api/gardens/:gardenId/weather/station': { member: 200, needs: 'record' },
  'POST /api/gardens/:gardenId/weather/station': { member: 200, peopleOnly: true },
  'POST /api/gardens/:gardenId/weather/station/reading': {
    member: 204,
    cls: StationReadingInput,
    body: () => ({ reading: 'as-sent' }),
  },
  'GET /api/gardens/:gardenId/weather/station/probes': { member: 200, needs: 'record' },
  // no probe was heard yet
  'PUT /api/gardens/:gardenId/weather/station/probes/:channel': {
    member: 404,
    cls: SoilProbeInput,
    body: (w) => ({ placeId: w.placeId, depthCm: 10 }),
  },
  'POST /api/gardens/:gardenId/weather/station/probes/:channel/point': {
    member: 404,
    cls: SoilProbePoint,
    body: () => ({ as: 'dry' }),
  },
  'DELETE /api/gardens/:gardenId/weather/station': { member: 204, peopleOnly: true },
  'POST /api/gardens/:gardenId/tasks/:key/done': {
    needs: 'record',
    member: 200,
    cls: TaskDone,
    body: () => ({ recordId: uuid() }),
    foreign: (_m, t) => [{ recordId: t.recordId }],
  },
  'POST /api/gardens/:gardenId/tasks/:key/undo': {
    needs: 'record',
    member: 204,
    cls: TaskDone,
    body: () => ({}),
    foreign: (_m, t) => [{ recordId: t.recordId }],
  },
  'POST /api/gardens/:gardenId/tasks/:key/not-today': RECORDS(204),
  'POST /api/gardens/:gardenId/treatments/:treatmentId/outcome': {
    needs: 'record',
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
  'GET /api/gardens/:gardenId/varieties': READ,
  'PUT /api/gardens/:gardenId/varieties': {
    member: 200,
    cls: VarietyInput,
    body: kind,
    foreign: (_m, t) => [
      { ...kind(), id: t.varietyId },
      { ...kind(), id: t.varietyId, version: 1 },
    ],
  },
  'DELETE /api/gardens/:gardenId/varieties/:varietyId': ACT(204),
  'POST /api/gardens/:gardenId/varieties/:varietyId/restore': ACT(204),
  'PUT /api/gardens/:gardenId/plantings': {
    member: 200,
    cls: PlantingInput,
    body: planting,
    foreign: (m, t) => [
      planting({ ...m, placeId: t.placeId }),
      planting({ ...m, varietyId: t.varietyId }),
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
    .replace(/^\/api\/gardens\/undefined/, '') + (ROUTES[route]?.query?.(w) ?? '');

/** A gardener with one of everything, and a finding that was taken on. */
export async function worldOf(
  app: App,
  timer: string,
): Promise<{ agent: Awaited<ReturnType<typeof gardener>>['agent']; w: World; signIn: () => Promise<unknown> }> {
  const email = `${uuid()}@halt.example`;
  const g = await gardener(app, email);
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
    varietyId: '',
    plantingId: '',
    otherId: '',
    memberId: '',
    invitationId: '',
    listId: '',
    keyId: '',
    photoId: uuid(),
    importId: uuid(),
    name: 'waterings',
    key: '',
    timer,
  };
  const { id: benchId } = await ok('put', '/benches', bench(w));
  const { id: productId } = await ok('put', '/products', product());
  const { id: otherId } = await ok('put', '/plants', plant(w));
  const { id: trialId } = await ok('put', '/trials', trial({ ...w, trialId: otherId }));
  const { id: varietyId } = await ok('put', '/varieties', kind());
  const { id: plantingId } = await ok('put', '/plantings', planting({ ...w, varietyId }));
  await g.agent
    .put(g.url(`/imports/${w.importId}?plan=${encodeURIComponent(JSON.stringify(WATER_PLAN))}`))
    .send(Buffer.from('date,plant,litres\n2026-07-18,Paste,1\n'))
    .expect(200);
  const { id: invitationId } = await ok('post', '/invitations', invitation());
  const { id: listId } = await ok('post', '/watering-lists', list());
  const { id: keyId } = await ok('post', '/keys', accessKey());
  const { id: memberId } = await helper(app, g, 'look');
  await g.agent
    .put(g.url(`/photos/${w.photoId}?plantId=${plantId}&day=2026-07-18`))
    .send(DOT)
    .expect(200);
  const ids = { benchId, productId, trialId, otherId, varietyId, plantingId, invitationId, listId, keyId, memberId };
  const signIn = () => g.agent.post('/api/session').send({ email, password: PASSWORD }).expect(201);
  return { agent: g.agent, w: { ...w, ...ids, key: `look-again:${treatmentId}` }, signIn };
}
