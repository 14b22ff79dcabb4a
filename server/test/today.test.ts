import { TASK_SOURCES } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { Clock } from '../src/shared/clock.js';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

/** A dry pot whose fruit has black ends, with the finding taken on: tasks of three sources. */
async function busy() {
  const g = await gardenOf(app);
  const place = await g.place({ kind: 'container', texture: 'potting-mix', volumeL: 14 });
  const plant = await g.plant(place);
  await g.weather();
  for (const back of [25, 20, 15, 10, 5])
    await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 6 });
  await g.record(
    'inspection',
    { plantId: plant },
    {
      date: TODAY,
      allClear: false,
      signs: [{ sign: 'fruit-blossom-end-dark', present: true, affected: 3, of: 9 }],
    },
  );
  const treatment = uuid();
  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id: treatment, disorder: 'blossom-end-rot' })
    .expect(200);
  const today = async () => (await g.view()).today;
  const waterings = async () =>
    (await g.plantView(plant)).records.filter((r) => r.type === 'watering' && r.day === TODAY);
  return { ...g, place, plant, treatment, today, waterings };
}

test('every task shows its source, its reason, and about how many minutes it takes', async () => {
  const g = await busy();
  const tasks = await g.today();
  expect([...new Set(tasks.map((t) => t.source))]).toEqual(expect.arrayContaining(['water', 'remedy']));
  for (const t of tasks) {
    expect(t.key).toMatch(new RegExp(`^${t.source}:`));
    expect(t.why.length).toBeGreaterThan(5);
    expect(t.minutes).toBeGreaterThanOrEqual(1);
    expect(t.dueOn <= TODAY).toBe(true);
  }
  expect((await g.plantView(g.plant)).treatments[0]!.remedies).toContain('pick-off-affected-fruit');
});

test('this week: what comes on the six days after today, work before what to watch, and nothing that stands on Today', async () => {
  const g = await busy();
  const { today, week } = await g.view();
  expect(week.length).toBeGreaterThan(0);
  const onToday = new Set(today.map((t) => t.key));
  expect(week.filter((l) => onToday.has(l.key))).toEqual([]);
  expect(week.filter((l) => l.on <= TODAY || l.on > addDays(TODAY, 6))).toEqual([]);
  const ranks = week.map((l) => `${Number(l.watch)} ${l.on}`);
  expect(ranks).toEqual([...ranks].sort());
  // a milder remedy comes first, and the next one within the week
  expect(week.filter((l) => l.key.startsWith('remedy:')).map((l) => l.placeId ?? l.plantId)).not.toEqual([]);
  // watered today, its next watering is this week's, with its amount
  const water = today.find((t) => t.litres !== null)!;
  await g.tick(water.key, { recordId: uuid() }).expect(200);
  const next = (await g.view()).week.find((l) => l.key === water.key);
  expect(next?.title).toMatch(/: [\d.]+\sL$/);
});

test('two people ticking the same watering at once save it once', async () => {
  const g = await busy();
  const water = (await g.today()).find((t) => t.source === 'water' && !t.feel)!;
  const answers = await Promise.all([1, 2, 3].map(() => g.tick(water.key, { recordId: uuid() })));
  expect(answers.map((a) => a.status)).toEqual([200, 200, 200]);
  expect(await g.waterings()).toHaveLength(1);
  const wrote = answers.flatMap((a) => (a.body as { recordId: string | null }).recordId ?? []);
  expect(wrote).toEqual([(await g.waterings())[0]!.id]);
  expect((await g.today()).some((t) => t.source === 'water' && !t.feel)).toBe(false);
  // who comes late with a tick from yesterday's page writes nothing either
  await g.tick(water.key, { recordId: uuid() }).expect(200);
  expect(await g.waterings()).toHaveLength(1);
});

test('a tick undone and sent again stays undone once, done once', async () => {
  const g = await busy();
  const water = (await g.today()).find((t) => t.source === 'water' && !t.feel)!;
  const tick = { recordId: uuid() };
  await g.tick(water.key, tick).expect(200);
  await g.untick(water.key, tick).expect(204);
  await g.untick(water.key, tick).expect(204);
  expect(await g.waterings()).toEqual([]);
  expect((await g.today()).find((t) => t.key === water.key)!.litres).toBe(water.litres);
  await g.tick(water.key, { recordId: uuid() }).expect(200);
  expect(await g.waterings()).toHaveLength(1);
});

test('a remedy is done once, can be undone, and cannot be ticked before its day', async () => {
  const g = await busy();
  const pick = (await g.today()).find((t) => t.remedy === 'pick-off-affected-fruit')!;
  expect(pick.dose).toEqual({ count: 3 });
  const open = async () => (await g.today()).some((t) => t.key === pick.key);
  await g.tick(pick.key).expect(200);
  await g.tick(pick.key).expect(200);
  expect(await open()).toBe(false);
  await g.untick(pick.key).expect(204);
  expect(await open()).toBe(true);
  await g.goTo(addDays(TODAY, -1));
  await g.tick(pick.key).expect(200); // not due yet: nothing happens
  await g.goTo(TODAY);
  expect(await open()).toBe(true);
});

test('“not today” hides a task of any source until tomorrow', async () => {
  const g = await busy();
  for (const { key } of await g.today()) await g.notToday(key).expect(204);
  expect(await g.today()).toEqual([]);
  await g.goTo(addDays(TODAY, 1));
  const tomorrow = (await g.today()).map((t) => t.source);
  expect(tomorrow).toEqual(expect.arrayContaining(['water', 'remedy']));
});

test('the follow-up is due from its day until it is answered, and can be postponed', async () => {
  const g = await busy();
  const again = async () => (await g.today()).filter((t) => t.source === 'look-again');
  expect(await again()).toEqual([]);
  await g.goTo(addDays(TODAY, 14));
  const [task] = await again();
  expect(task).toMatchObject({ key: `look-again:${g.treatment}`, title: 'Look again: Plant' });
  await g.tick(task!.key).expect(200); // it is answered on the plant's page
  expect(await again()).toHaveLength(1);
  await g.notToday(task!.key).expect(204);
  expect(await again()).toEqual([]);
  await g.untick(task!.key).expect(204);
  expect(await again()).toHaveLength(1);
});

test('Today follows the order of its sources, and within one the longest due first', async () => {
  const g = await busy();
  await g.goTo(addDays(TODAY, 14));
  const tasks = await g.today();
  const order = tasks.map((t) => [TASK_SOURCES.indexOf(t.source), t.dueOn] as const);
  expect(tasks.map((t) => t.source)).toEqual(expect.arrayContaining(['look-again', 'water', 'remedy', 'walk']));
  expect(order).toEqual([...order].sort(([a, x], [b, y]) => a - b || (x < y ? -1 : x > y ? 1 : 0)));
  expect(new Set(tasks.filter((t) => t.source === 'remedy').map((t) => t.dueOn)).size).toBeGreaterThan(1);
});

test('meaningless and foreign keys do not exist', async () => {
  const [mine, other] = [await busy(), await busy()];
  const theirs = (await other.today()).map((t) => t.key);
  for (const key of ['nonsense', ':', 'water', 'moon:1', `remedy:${uuid()}`, `water:${uuid()}`, ...theirs])
    await mine.notToday(key).expect(404);
  for (const key of theirs) await mine.tick(key, { recordId: uuid() });
  expect((await other.today()).map((t) => t.key)).toEqual(theirs);
  expect(await other.waterings()).toEqual([]);
});

test('task times are learned from the time between two ticks; a long pause teaches nothing', async () => {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Bed' });
  await g.plant(bed);
  const db = await app.connect();
  const lastTick = (minutesAgo: number) =>
    db.query('UPDATE task_pace SET lastAt = UTC_TIMESTAMP(3) - INTERVAL ? SECOND WHERE gardenId = ?', [
      minutesAgo * 60,
      g.garden,
    ]);
  const walk = async () => (await g.view()).today.find((t) => t.source === 'walk');
  const first = (await walk())!;
  expect(first.minutes).toBe(first.estimatedMinutes);
  await g.tick(first.key, { recordId: uuid(), estimatedMinutes: first.estimatedMinutes }).expect(200);
  // nothing was ticked before: nothing is learned
  await g.untick(first.key).expect(204);
  await lastTick(3 * first.estimatedMinutes);
  await g.tick(first.key, { recordId: uuid(), estimatedMinutes: first.estimatedMinutes }).expect(200);
  await lastTick(300);
  await g.tick(first.key, { recordId: uuid(), estimatedMinutes: first.estimatedMinutes }).expect(200);
  const [rows] = await db.query('SELECT ticks, took, estimatedMinutes FROM task_pace WHERE gardenId = ?', [g.garden]);
  await db.end();
  expect(rows).toEqual([
    { ticks: 1, took: expect.closeTo(3 * first.estimatedMinutes, 0), estimatedMinutes: first.estimatedMinutes },
  ]);
  await g.goTo('2026-07-26');
  const later = (await walk())!;
  expect(later.estimatedMinutes).toBe(first.estimatedMinutes);
  // one tick of three times the length against four of the estimated
  expect(later.minutes).toBe(Math.round(first.estimatedMinutes * (7 / 5)));
  await g.tick(later.key, { recordId: uuid(), estimatedMinutes: -5 }).expect(400);
});

test('an offline tick counts for the garden’s own day, not Greenwich’s', async () => {
  const g = await gardenOf(app);
  const { today: _t, ...garden } = (await g.agent.get(g.url('')).expect(200)).body as { today: string };
  // 20 July, 23:30 in Auckland, half a day ahead of Greenwich
  jest.spyOn(app.service(Clock), 'now').mockImplementation(() => new Date('2026-07-20T11:30:00Z'));
  await g.agent
    .put('/api/gardens')
    .send({
      ...garden,
      timeZone: 'Pacific/Auckland',
      latitude: -36.8,
      longitude: 174.8,
      lastFrost: null,
      firstFrost: null,
      pinnedDate: null,
    })
    .expect(200);
  const plants = await Promise.all(
    ['A', 'B'].map(async (name) =>
      g.plant(await g.place({ name }), { name, habit: 'indeterminate', transplantedOn: '2026-05-01' }),
    ),
  );
  for (const plantId of plants) await g.record('event', { plantId }, { date: '2026-07-05', what: 'staked' });
  const ties = (await g.view()).today.filter((t) => t.source === 'tie');
  expect(ties).toHaveLength(2);
  // 19 July, 01:30 there; in Greenwich it was still the 18th. And 18 July, 23:00 there
  for (const [task, at] of [
    [ties[0]!, '2026-07-18T13:30:00Z'],
    [ties[1]!, '2026-07-18T11:00:00Z'],
  ] as const)
    await g.tick(task.key, { recordId: uuid(), at }).expect(200);
  const tied = await Promise.all(
    plants.map(
      async (p) =>
        (await g.plantView(p)).records.find((r) => r.type === 'event' && (r.data as { what: string }).what === 'tied')
          ?.day,
    ),
  );
  expect(tied.sort()).toEqual(['2026-07-18', '2026-07-19']);
  jest.restoreAllMocks();
});

test('a task that nobody answers fades after ten days, comes back when its words change, and is one garden’s own', async () => {
  const g = await gardenOf(app);
  const other = await gardenOf(app);
  for (const own of [g, other]) await own.plant(await own.place({ name: 'Bed' }), { habit: 'indeterminate' });
  const asked = async (own: typeof g) => (await own.view()).today.find((t) => t.source === 'so-far')!;
  const first = await asked(g);
  expect(first.unansweredSince).toBeUndefined();
  await g.goTo(addDays(TODAY, 10));
  expect((await asked(g)).unansweredSince).toBeUndefined();
  await g.goTo(addDays(TODAY, 11));
  expect(await asked(g)).toMatchObject({ key: first.key, unansweredSince: TODAY });
  // first asked there on that day
  await other.goTo(addDays(TODAY, 11));
  expect((await asked(other)).unansweredSince).toBeUndefined();
  // other words are another question
  const { position: _p, retiredOn: _r, ...bed } = (await g.view()).places[0]!.place;
  await g.agent
    .put(g.url('/places'))
    .send({ ...bed, name: 'Row' })
    .expect(200);
  expect(await asked(g)).toMatchObject({ key: first.key });
  expect((await asked(g)).unansweredSince).toBeUndefined();
  // an earlier day begins anew
  await g.goTo(addDays(TODAY, -1));
  expect((await asked(g)).unansweredSince).toBeUndefined();
  await g.goTo(addDays(TODAY, 10));
  expect((await asked(g)).unansweredSince).toBe(addDays(TODAY, -1));
});
