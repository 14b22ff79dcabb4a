import type { TrialDto } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

/** So many plants in each group of a trial that began two weeks ago and is judged today. */
async function trialOf(each: number) {
  const g = await gardenOf(app);
  const bed = await g.place({ lengthM: 4 });
  const plants: string[] = [];
  for (let i = 0; i < 2 * each; i++) plants.push(await g.plant(bed, { name: `P${i}` }));
  const trial = {
    id: uuid(),
    name: 'Mulch',
    measure: 'fruit-blossom-end-dark',
    changed: plants.slice(0, each),
    untouched: plants.slice(each),
    startedOn: addDays(TODAY, -14),
    judgeOn: TODAY,
  };
  await g.agent.put(g.url('/trials')).send(trial).expect(200);
  const look = (plant: string, back: number, present: boolean) =>
    g.record(
      'inspection',
      { plantId: plant },
      { date: addDays(TODAY, -back), allClear: false, signs: [{ sign: 'fruit-blossom-end-dark', present }] },
    );
  const [read] = [async () => ((await g.agent.get(g.url('/trials')).expect(200)).body as TrialDto[])[0]!];
  return { ...g, trial, plants, look, read };
}

test('five against five, all and none: the trial decides from the records; judged with one tap, and undone', async () => {
  const g = await trialOf(5);
  for (const [i, plant] of g.plants.entries()) await g.look(plant, 3, i >= 5);
  expect(await g.read()).toMatchObject({
    verdict: 'fewer',
    text: expect.stringMatching(/0 of 5 with the change, 5 of 5 without\. Fewer with the change/),
  });
  const due = async () => (await g.view()).today.find((t) => t.source === 'trial');
  const task = (await due())!;
  expect(task).toMatchObject({
    title: 'Judge the trial: Mulch',
    why: expect.stringMatching(/Fewer with the change/),
  });
  await g.tick(task.key);
  expect(await due()).toBeUndefined();
  expect((await g.read()).judgedOn).toBe(TODAY);
  // what is seen after it was judged no longer counts
  await g.goTo(addDays(TODAY, 3));
  await g.look(g.plants[0]!, -2, true);
  expect((await g.read()).text).toMatch(/0 of 5 with the change/);
  await g.untick(task.key).expect(204);
  expect((await g.read()).judgedOn).toBeNull();
});

test('three against three are too few; plants nobody looked at, or only before it began, are not counted', async () => {
  const g = await trialOf(3);
  for (const [i, plant] of g.plants.entries()) await g.look(plant, i === 5 ? 20 : 3, i >= 3);
  expect(await g.read()).toMatchObject({
    verdict: 'too-few',
    text: expect.stringMatching(/0 of 3 with the change, 2 of 2 without\. Too few plants to say/),
  });
});

test('overlapping and empty groups, or a day before the beginning, are refused at their fields', async () => {
  const g = await trialOf(2);
  const fault = async (facts: object) => {
    const answer = await g.agent.put(g.url('/trials')).send({ ...g.trial, id: uuid(), ...facts });
    return [answer.status, answer.body.faults?.[0]?.path];
  };
  expect(await fault({ untouched: g.trial.changed })).toEqual([400, 'untouched']);
  expect(await fault({ changed: [] })).toEqual([400, 'changed']);
  expect(await fault({ judgeOn: g.trial.startedOn })).toEqual([400, 'judgeOn']);
  expect(await fault({ measure: 'looks-nice' })).toEqual([400, 'measure']);
});

test('what helped here stands beside each remedy with its count, step by step', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({ kind: 'container', texture: 'potting-mix', volumeL: 14, potMaterial: 'plastic' });
  for (const worked of [true, false]) {
    const plant = await g.plant(bed, { crop: 'pepper', type: 'sweet', heightM: 0.6 });
    const seen = ['pest-aphids', 'leaf-sticky', 'leaf-curl-tight-new'].map((sign) => ({ sign, present: true }));
    await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: false, signs: seen });
    const id = uuid();
    await g.agent
      .post(g.url(`/plants/${plant}/treatments`))
      .send({ id, disorder: 'aphids' })
      .expect(200);
    await g.goTo(addDays(TODAY, 5));
    await g.agent
      .post(g.url(`/treatments/${id}/outcome`))
      .send({ outcome: worked ? 'worked' : 'no-change' })
      .expect(200);
    await g.goTo(TODAY);
  }
  const plant = await g.plant(bed, { crop: 'pepper', type: 'sweet' });
  const { helped } = await g.plantView(plant);
  expect(helped['aphids:water-jet']).toMatchObject({ worked: 1, tried: 2, enough: false });
});

test('aphids are rinsed off again each day until fewer are counted; an undo takes the next day back', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({ kind: 'container', texture: 'potting-mix', volumeL: 14, potMaterial: 'plastic' });
  const plant = await g.plant(bed, { crop: 'pepper', type: 'sweet', heightM: 0.6 });
  const look = (date: string, affected: number) =>
    g.record(
      'inspection',
      { plantId: plant },
      {
        date,
        allClear: false,
        signs: [
          { sign: 'pest-aphids', present: true, affected },
          { sign: 'leaf-sticky', present: true },
        ],
      },
    );
  await look(TODAY, 60);
  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id: uuid(), disorder: 'aphids' })
    .expect(200);
  const rinse = async () => (await g.view()).today.filter((t) => t.remedy === 'water-jet').map((t) => [t.key, t.dueOn]);
  const [[first] = []] = await rinse();
  // sent twice, it is done once
  await g.tick(first!);
  await g.tick(first!);
  expect(await rinse()).toEqual([]);
  await g.untick(first!).expect(204);
  expect(await rinse()).toEqual([[first, TODAY]]);
  await g.goTo(addDays(TODAY, 1));
  expect(await rinse()).toEqual([[first, TODAY]]);
  await g.goTo(TODAY);
  await g.tick(first!);
  await g.goTo(addDays(TODAY, 1));
  expect(await rinse()).toEqual([[expect.not.stringContaining(first!), addDays(TODAY, 1)]]);
  await look(addDays(TODAY, 1), 50);
  expect(await rinse()).toHaveLength(1);
  await look(addDays(TODAY, 1), 8);
  expect(await rinse()).toEqual([]);
});
