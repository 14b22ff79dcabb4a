import type { PracticeAnswerInput, PracticeDto } from '@candid-leaf/contract';
import { MOST_KEPT } from '../src/practice/practice.service.js';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();

const ANSWER: PracticeAnswerInput = {
  theme: 'wilting',
  seed: 5,
  trouble: 'waterlogging',
  surePct: 80,
  right: true,
  causeRight: true,
  actRight: false,
  minutes: 3,
};
type Agent = Awaited<ReturnType<typeof gardenOf>>['agent'];
const mine = async (agent: Agent) => (await agent.get('/api/practice').expect(200)).body as PracticeDto;
const put = (agent: Agent, answer: object) => agent.put('/api/practice').send(answer);

test('the first answer to a plant counts, even if sent twice or changed later; another plant is another answer', async () => {
  const { agent } = await gardenOf(app);
  expect(await mine(agent)).toEqual({ answers: [], calibration: null });
  await put(agent, ANSWER).expect(200);
  await put(agent, ANSWER).expect(200);
  await put(agent, { ...ANSWER, trouble: 'dry-wilt', surePct: 100, right: false }).expect(200);
  const [kept, ...more] = (await mine(agent)).answers;
  expect(more).toEqual([]);
  expect(kept).toMatchObject(ANSWER);
  await put(agent, { ...ANSWER, theme: 'spots', right: false, was: 'early-blight' }).expect(200);
  const both = await mine(agent);
  expect(both.answers.map((a) => a.was).sort()).toEqual(['early-blight', null]);
  // (0.2² + 0.8²) / 2
  expect(both.calibration).toMatchObject({ of: 2, right: 1, brier: expect.closeTo(0.34, 10) });
});

test('answers belong to one account: nobody else reads them, and they go with it', async () => {
  const [one, other] = [await gardenOf(app), await gardenOf(app)];
  await put(one.agent, ANSWER).expect(200);
  expect((await mine(other.agent)).answers).toEqual([]);
  await put(other.agent, { ...ANSWER, right: false }).expect(200);
  expect((await mine(one.agent)).answers).toEqual([expect.objectContaining({ right: true })]);
});

test('an invalid answer is refused at its field, and nothing is saved', async () => {
  const { agent } = await gardenOf(app);
  for (const [field, value] of [
    ['surePct', 101],
    ['seed', -1],
    ['seed', 1.5],
    ['theme', 'roots'],
    ['trouble', 'gremlins'],
    ['was', 'gremlins'],
    ['right', 'yes'],
  ] as const) {
    const { body } = await put(agent, { ...ANSWER, [field]: value }).expect(400);
    expect((body as { faults: { path: string }[] }).faults.map((f) => f.path)).toContain(field);
  }
  expect((await mine(agent)).answers).toEqual([]);
});

test('an account keeps its newest thousand; those of others stay', async () => {
  const [one, other] = [await gardenOf(app), await gardenOf(app)];
  await put(one.agent, { ...ANSWER, seed: 9001 }).expect(200);
  await put(other.agent, { ...ANSWER, seed: 9002 }).expect(200);
  const db = await app.connect();
  const rows = async (where: string): Promise<{ accountId: string; seed: number }[]> => {
    const [found] = await db.query(`SELECT accountId, seed FROM practice_answer WHERE ${where} ORDER BY answeredAt`);
    return found as { accountId: string; seed: number }[];
  };
  const { accountId } = (await rows('seed = 9001'))[0]!;
  const before = Array.from({ length: MOST_KEPT }, (_, i) => {
    const answeredAt = new Date(Date.UTC(2020, 0, 1, 0, i));
    return [accountId, 'wilting', i, 'waterlogging', 80, 1, 1, 1, 3, answeredAt, null];
  });
  await db.query('INSERT INTO practice_answer VALUES ?', [before]);
  await put(one.agent, { ...ANSWER, theme: 'spots', seed: 9003 }).expect(200);
  const kept = (await rows(`accountId = '${accountId}'`)).map(({ seed }) => seed);
  // the two of today, and of the thousand before all but the two oldest
  expect([kept.length, kept[0], kept.slice(-2)]).toEqual([MOST_KEPT, 2, [9001, 9003]]);
  expect(await rows('seed = 9002')).toHaveLength(1);
  await db.end();
});
