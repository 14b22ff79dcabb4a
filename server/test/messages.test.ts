import type { MessageChoice, MessagesDto } from '@candid-leaf/contract';
import { startMail, startPushService, type KeptMail } from '@candid-leaf/standins';
import { MessageRounds } from '../src/messages/rounds.service.js';
import { SendMessages } from '../src/messages/send-messages.service.js';
import { Push } from '../src/messages/push.service.js';
import { Clock } from '../src/shared/clock.js';
import { gardener, helper, startApp, useApp, useStarted, type Agent } from './app.js';
import { gardenOf } from './gardening.js';

/** Morning lists and warnings, through the real mail and push protocols. The garden's day is 18 July, in Rome. */
const mail = useStarted(
  () => startMail(),
  (m) => m.close(),
);
const pushes = useStarted(
  () => startPushService(),
  (p) => p.close(),
);
const app = useApp(() => ({
  smtpUrl: mail.smtpUrl,
  publicUrl: 'http://leaf.example',
  pushHosts: [pushes.url],
}));

let now = new Date();
beforeEach(() => {
  app.station.ahead = {};
  jest.spyOn(app.service(Clock), 'now').mockImplementation(() => now);
});
afterEach(() => jest.restoreAllMocks());

/** A round at an hour of the garden's day. */
async function at(hour: number, minute = 0, day = '2026-07-18'): Promise<void> {
  now = new Date(`${day}T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}:00+02:00`);
  await app.service(MessageRounds).go();
}
const ALL: MessageChoice = {
  morning: true,
  warnings: true,
  byMail: true,
  byPush: true,
  quietFrom: 21,
  quietUntil: 7,
};
type G = { agent: Agent; url: (path: string) => string };
const choose = async (g: G, choice: Partial<MessageChoice> = {}): Promise<MessagesDto> =>
  (
    await g.agent
      .put(g.url('/messages'))
      .send({ ...ALL, ...choice })
      .expect(200)
  ).body as MessagesDto;
const addressOf = async (g: G): Promise<string> =>
  ((await g.agent.get(g.url('/messages')).expect(200)).body as MessagesDto).mailTo!;
const mailsTo = async (to: string): Promise<KeptMail[]> =>
  (await (await fetch(`${mail.url}/mails?to=${encodeURIComponent(to)}`)).json()) as KeptMail[];
/** The links in a mail, by what stands before them. */
const linkIn = (text: string, before: string): string => new RegExp(`${before}: \\S+#(\\S+)`).exec(text)![1]!;

/** A bed whose plants want a look, so that Today is not empty. */
async function growing() {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Wall bed' });
  await g.plant(bed, { stage: 'ripening' });
  return { ...g, bed, to: await addressOf(g) };
}

/** A bed that felt dry, so that it is to be watered. */
async function dryBed() {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Wall bed' });
  const plant = await g.plant(bed, { stage: 'ripening' });
  await g.record('soil-check', { placeId: bed }, { date: '2026-07-18', feel: 'dry', depthCm: 5 });
  return { ...g, plant, to: await addressOf(g) };
}

test('the morning list comes once, when the quiet time ends, with the tasks of Today and a link for each', async () => {
  const g = await growing();
  await choose(g);
  await at(6, 59);
  expect(await mailsTo(g.to)).toEqual([]);
  await at(7);
  await at(7, 1);
  const mails = await mailsTo(g.to);
  expect(mails).toHaveLength(1);
  const due = (await g.view()).today;
  expect(due.length).toBeGreaterThan(0);
  expect(mails[0]!.subject).toMatch(new RegExp(`: (one task|${due.length} tasks) today$`));
  for (const task of due) expect(mails[0]!.text).toContain(task.title);
  expect(mails[0]!.text).toContain('Turn these messages off: http://leaf.example/messages/off#');
});

test('nothing is sent on a day without tasks, to people who did not choose it, or once it is turned off', async () => {
  const empty = await gardenOf(app);
  await choose(empty);
  const silent = await growing();
  const off = await growing();
  await choose(off);
  await off.agent
    .put(off.url('/messages'))
    .send({ ...ALL, morning: false })
    .expect(200);
  await at(7);
  for (const g of [empty, silent, off]) expect(await mailsTo(await addressOf(g))).toEqual([]);
});

test('a link ticks its task without signing in: once, for three days, and nothing else', async () => {
  const { to, plant, ...g } = await dryBed();
  await choose(g, { byPush: false });
  await at(7);
  const [{ text }] = (await mailsTo(to)) as [KeptMail];
  const water = linkIn(text, 'Water[^\\n]*\\n  Done');
  const shown = (await app.http().get(`/api/messages/link/${water}`).expect(200)).body as { task: string };
  expect(shown.task).toMatch(/^Water .*: [\d.]+\sL$/);
  const before = (await g.plantView(plant)).records.length;
  await app.http().post(`/api/messages/done/${water}`).expect(204);
  await app.http().post(`/api/messages/done/${water}`).expect(204);
  expect((await g.plantView(plant)).records.length).toBe(before + 1);
  // it is no key to anything else
  await app.http().post(`/api/messages/off/${water}`).expect(404);
  await app
    .http()
    .post(`/api/messages/done/${water.slice(0, -3)}AAA`)
    .expect(404);
  const [packed = '', signature = ''] = water.split('.');
  const other = JSON.parse(Buffer.from(packed, 'base64url').toString()) as unknown[];
  other[1] = '00000000-0000-4000-8000-000000000000';
  const forged = `${Buffer.from(JSON.stringify(other)).toString('base64url')}.${signature}`;
  await app.http().get(`/api/messages/link/${forged}`).expect(404);
  now = new Date(now.getTime() + 73 * 3600 * 1000);
  await app.http().post(`/api/messages/done/${water}`).expect(404);
});

test('a link goes no further than its person may now', async () => {
  const g = await dryBed();
  const mia = await helper(app, g, 'record');
  await choose({ agent: mia.agent, url: g.url }, { byPush: false });
  await at(7);
  const [{ text }] = (await mailsTo(mia.email)) as [KeptMail];
  const done = linkIn(text, 'Done');
  await g.agent.put(g.url(`/people/${mia.id}`)).send({ role: 'look' });
  await app.http().post(`/api/messages/done/${done}`).expect(403);
  await g.agent.delete(g.url(`/people/${mia.id}`)).expect(204);
  await app.http().post(`/api/messages/done/${done}`).expect(404);
});

test('the evening before frost: one warning for all beds, with two acts, by mail and on the device', async () => {
  const g = await growing();
  await g.plant(await g.place({ name: 'Low bed' }), { stage: 'ripening' });
  app.station.ahead = { tMinC: 1, tMaxC: 12 };
  await g.weather();
  const device = pushes.subscribe();
  await g.agent.post('/api/devices').send(device).expect(204);
  await g.agent.post('/api/devices').send(device).expect(204);
  expect((await choose(g, { morning: false })).devices).toBe(1);
  await at(16, 59);
  expect(await mailsTo(g.to)).toEqual([]);
  // two processes at once, and once more
  await Promise.all([app.service(MessageRounds).note(), at(17)]);
  await at(18);
  const mails = await mailsTo(g.to);
  expect(mails.map((m) => m.subject)).toEqual(['Frost tonight: Wall bed and Low bed']);
  expect(mails[0]!.text.match(/^- /gm)).toHaveLength(2);
  expect(mails[0]!.text).toMatch(/- .*Pick full-sized fruit/);
  const own = pushes.messages.filter((m) => m.endpoint === device.endpoint);
  expect(own).toHaveLength(1);
  expect(own[0]).toMatchObject({
    topic: expect.stringMatching(/^frost-2026-07-19-/) as string,
    body: { title: 'Frost tonight: Wall bed and Low bed', path: g.url('').replace('/api', '') },
  });
  const { off } = own[0]!.body as { off: string };
  // one tap
  await app.http().post(`/api/messages/off/${off}`).type('form').send('List-Unsubscribe=One-Click').expect(204);
  expect(((await g.agent.get(g.url('/messages')).expect(200)).body as MessagesDto).warnings).toBe(false);
});

test.each([
  ['heat', { tMaxC: 36 }, /^Heat from tomorrow/],
  ['storm', { windMs: 9 }, /^Strong wind tomorrow/],
])('%s ahead is said on the evening before; fair weather is not', async (_, ahead, title) => {
  const fair = await growing();
  await choose(fair, { morning: false });
  const g = await growing();
  app.station.ahead = ahead;
  await g.weather();
  await choose(g, { morning: false, byPush: false });
  await at(17);
  await at(17, 1);
  expect((await mailsTo(g.to)).map((m) => m.subject)).toEqual([expect.stringMatching(title) as string]);
  expect(await mailsTo(fair.to)).toEqual([]);
});

test('a forecast that turns later in the evening still warns; in the quiet time nobody is disturbed', async () => {
  const g = await growing();
  await choose(g, { morning: false, byPush: false, quietFrom: 20 });
  await at(17);
  app.station.ahead = { tMinC: 1, tMaxC: 12 };
  await at(19);
  await g.weather();
  await at(20);
  expect(await mailsTo(g.to)).toEqual([]);
  await at(19, 59);
  expect(await mailsTo(g.to)).toHaveLength(1);
});

test('a push service that fails is asked again; a device that is gone is forgotten', async () => {
  const g = await growing();
  const [one, gone] = [pushes.subscribe(), { ...pushes.subscribe(), endpoint: `${pushes.url}/device/unknown` }];
  await g.agent.post('/api/devices').send(one).expect(204);
  await choose(g, { byMail: false });
  pushes.fail(503, 3);
  await at(7);
  const came = (): number => pushes.messages.filter((m) => m.endpoint === one.endpoint).length;
  expect(came()).toBe(0);
  await at(7, 2);
  await at(7, 3);
  expect(came()).toBe(1);
  await g.agent.post('/api/devices').send(gone).expect(204);
  await at(7, 0, '2026-07-18');
  const { accountId } = await idOf(g);
  expect(await app.service(Push).send(accountId, { title: '', text: '', path: '/', tag: 't', off: '' })).toBe(1);
  expect(await choose(g)).toMatchObject({ devices: 1 });
  await g.agent.post('/api/devices/remove').send({ endpoint: one.endpoint }).expect(204);
  expect(await choose(g)).toMatchObject({ devices: 0 });
});

const idOf = async (g: G): Promise<{ accountId: string }> => ({
  accountId: ((await g.agent.get('/api/session').expect(200)).body as { id: string }).id,
});

test('the server sends to known push services only, and a device belongs to who used it last', async () => {
  const g = await gardener(app);
  for (const endpoint of ['http://127.0.0.1:1/x', 'https://intranet.example/x', `${pushes.url}0/x`, 'http://x@y/z'])
    await g.agent
      .post('/api/devices')
      .send({ ...pushes.subscribe(), endpoint })
      .expect(400);
  const device = pushes.subscribe();
  const other = await gardener(app);
  await g.agent.post('/api/devices').send(device).expect(204);
  await other.agent.post('/api/devices').send(device).expect(204);
  expect([(await choose(g)).devices, (await choose(other)).devices]).toEqual([0, 1]);
  // who signs out everywhere leaves nothing behind
  const { accountId } = await idOf(other);
  await other.agent.delete('/api/sessions').expect(204);
  expect(await app.service(Push).send(accountId, { title: '', text: '', path: '/', tag: 't', off: '' })).toBe(0);
});

test('push services are known by their whole name, or by what stands above it', () => {
  const push = new Push(null as never, { pushHosts: ['push.example', '.many.example'] } as never);
  const known = (endpoint: string): boolean => push.knows(endpoint);
  expect(['https://push.example/a', 'https://one.many.example/a'].map(known)).toEqual([true, true]);
  expect(
    [
      'http://push.example/a',
      'https://evilpush.example/a',
      'https://a.push.example/a',
      'https://push.example:8443/a',
      'https://evilmany.example/a',
      'https://user@push.example/a',
      'push.example',
    ].map(known),
  ).toEqual(Array.from({ length: 7 }, () => false));
});

test('two processes that send at once send each message once; a task that wants an answer has no link', async () => {
  const g = await growing();
  await choose(g, { byPush: false });
  now = new Date('2026-07-18T07:00:00+02:00');
  await app.service(MessageRounds).note();
  const sending = app.service(SendMessages);
  await Promise.all([sending.all(), sending.all(), sending.all()]);
  const mails = await mailsTo(g.to);
  expect(mails).toHaveLength(1);
  const asked = (await g.view()).today.filter((t) => t.feel || t.picks);
  expect(asked.length).toBeGreaterThan(0);
  for (const { title } of asked) expect(mails[0]!.text).not.toContain(`${title}\n  Done`);
});

test('a mail that no server takes waits, and is not sent once its morning is over', async () => {
  const other = await startApp({ smtpUrl: 'smtp://127.0.0.1:9', publicUrl: 'http://leaf.example' });
  try {
    jest.spyOn(other.service(Clock), 'now').mockImplementation(() => now);
    const g = await gardenOf(other);
    await g.plant(await g.place({}), { stage: 'ripening' });
    await choose(g, { byPush: false });
    const states = async (): Promise<string[]> => {
      const db = await other.connect();
      const [rows] = await db.query('SELECT state FROM message ORDER BY day, at');
      await db.end();
      return (rows as { state: string }[]).map((r) => r.state);
    };
    const round = async (hour: string): Promise<void> => {
      now = new Date(`2026-07-18T${hour}:00+02:00`);
      await other.service(MessageRounds).go();
    };
    await round('07:00');
    expect(await states()).toEqual(['due']);
    await round('12:00');
    expect(await states()).toEqual(['dropped']);
    // a warning that could not be sent does not disturb the night
    other.station.ahead = { tMinC: 1, tMaxC: 12 };
    await g.weather();
    await round('20:58');
    expect(await states()).toEqual(['dropped', 'due']);
    await round('21:01');
    expect(await states()).toEqual(['dropped', 'dropped']);
  } finally {
    await other.stop();
  }
});

test('a garden that stands on a day long ago gets its list once, too', async () => {
  const g = await growing();
  await choose(g, { byPush: false });
  // an hour earlier there in winter
  await at(8, 0, '2026-12-02');
  await at(8, 1, '2026-12-02');
  expect(await mailsTo(g.to)).toHaveLength(1);
});

test('what a process left half sent is sent by the next one, under the same name', async () => {
  const g = await growing();
  await choose(g, { byPush: false });
  await at(7);
  const [first] = (await mailsTo(g.to)) as [KeptMail];
  const db = await app.connect();
  await db.query(
    `UPDATE message SET state = 'sending', words = '{"title":"Again","text":"x","path":"/","lines":null}' WHERE state = 'sent' AND channel = 'mail' AND accountId = ?`,
    [(await idOf(g)).accountId],
  );
  await db.end();
  await at(7, 1);
  expect(await mailsTo(g.to)).toHaveLength(1);
  await at(7, 3);
  const mails = await mailsTo(g.to);
  expect(mails.map((m) => m.id)).toEqual([first.id, first.id]);
});
