import { v7 as uuid } from 'uuid';
import { gardener, useAppEach } from './app.js';

/** Guessing passwords, making accounts by the dozen, and names that look alike. */
const app = useAppEach({ signUpsPerHour: 12 });

const PASSWORD = 'beside the old line';
const tryWith = (email: string, password: string) => app.http().post('/api/session').send({ email, password });
const counts = (answers: { status: number }[]) =>
  answers.reduce<Record<number, number>>((sum, { status }) => ({ ...sum, [status]: (sum[status] ?? 0) + 1 }), {});

test('sixty guesses at once are no more than eight; the answer says how long to wait', async () => {
  const email = `${uuid()}@halt.example`;
  await gardener(app, email);
  const answers = await Promise.all(Array.from({ length: 40 }, (_, i) => tryWith(email, `guess ${i}`)));
  expect(counts(answers)).toEqual({ 401: 8, 429: 32 });
  const late = answers.find((a) => a.status === 429)!;
  expect(Number(late.headers['retry-after'])).toBeGreaterThan(600);
  expect(late.body.message).toMatch(/Too many attempts\. Wait 15 minutes\./);
  // the right password does not help a stranger any more
  expect((await tryWith(email, PASSWORD)).status).toBe(429);
});

test('the owner still gets in with a browser that the account knows; another account’s browser does not', async () => {
  const email = `${uuid()}@halt.example`;
  const owner = await gardener(app, email);
  const other = await gardener(app);
  await owner.agent.delete('/api/session').expect(204);
  await Promise.all(Array.from({ length: 12 }, (_, i) => tryWith(email, `guess ${i}`)));
  await other.agent.post('/api/session').send({ email, password: PASSWORD }).expect(429);
  await owner.agent.post('/api/session').send({ email, password: PASSWORD }).expect(201);
  // a known browser has eight tries of its own
  const answers = [];
  for (let i = 0; i < 10; i++)
    answers.push(await owner.agent.post('/api/session').send({ email, password: `guess ${i}` }));
  expect(counts(answers)).toEqual({ 401: 8, 429: 2 });
});

test('a right password gives its try back; one address may fail sixty times, whatever the account', async () => {
  const email = `${uuid()}@halt.example`;
  await gardener(app, email);
  for (let i = 0; i < 20; i++) await tryWith(email, PASSWORD).expect(201);
  const answers = [];
  for (let i = 0; i < 64; i++) answers.push(await tryWith(`${i}@halt.example`, 'anything'));
  expect(counts(answers)).toEqual({ 401: 60, 429: 4 });
});

test('signing up with an e-mail in use is a guess like any other', async () => {
  const email = `${uuid()}@halt.example`;
  await gardener(app, email);
  const answers = [];
  for (let i = 0; i < 10; i++)
    answers.push(
      await app
        .http()
        .post('/api/accounts')
        .send({ email, password: `a long guess ${i}`, name: 'B' }),
    );
  expect(counts(answers)).toEqual({ 409: 8, 429: 2 });
});

test('an address may create a limited number of accounts an hour', async () => {
  const make = () =>
    app
      .http()
      .post('/api/accounts')
      .send({ email: `${uuid()}@halt.example`, password: PASSWORD, name: 'B' });
  const answers = await Promise.all(Array.from({ length: 15 }, make));
  expect(counts(answers)).toEqual({ 201: 12, 429: 3 });
});

test('an e-mail is compared exactly, except for capitals; ten blanks are not a password', async () => {
  const sign = (email: string, password = PASSWORD) =>
    app.http().post('/api/accounts').send({ email, password, name: 'B' });
  await sign('ann@halt.example').expect(201);
  await sign('ANN@halt.example', 'another password').expect(409);
  await sign('ànn@halt.example').expect(201);
  const composed = await tryWith('a\u0300nn@halt.example', PASSWORD);
  expect([composed.status, composed.body.email]).toEqual([201, 'ànn@halt.example']);
  const blank = await sign('bo@halt.example', ' '.repeat(12)).expect(400);
  expect(blank.body.faults).toEqual([{ path: 'password', reason: 'must not be only spaces' }]);
});
