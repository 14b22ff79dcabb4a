import { createConnection, type Connection } from 'mysql2/promise';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { dataSourceOptions } from '../src/database/data-source.js';
import { databaseRoot } from './app.js';

/** What was kept by the first versions is there after the house was put in order. */
let db: Connection;
let source: DataSource;
const name = `candid_leaf_${uuid().replaceAll('-', '')}`;
const [account, garden, drip, can, plant, second, trouble, variety, companion] = Array.from({ length: 9 }, () =>
  uuid(),
);
const [minutes, lost, litres, task, watering, bench] = Array.from({ length: 6 }, () => uuid());

beforeAll(async () => {
  const root = databaseRoot();
  db = await createConnection(root);
  await db.query(`CREATE DATABASE ${name}`);
  const url = new URL(root);
  url.pathname = `/${name}`;
  const options = dataSourceOptions(url.toString());
  const [first, then, ...newer] = options.migrations as (new () => never)[];
  const old = new DataSource({ ...options, migrations: [first!, then!] });
  await old.initialize();
  await old.runMigrations({ transaction: 'none' });
  const insert = (table: string, row: object) =>
    old.query(
      `INSERT INTO ${table} (${Object.keys(row).join()}) VALUES (${Object.keys(row)
        .map(() => '?')
        .join()})`,
      Object.values(row),
    );
  await insert('account', { id: account, email: 'old@halt.example', passwordHash: 'x', name: 'Old' });
  await insert('garden', {
    id: garden,
    name: 'Halt',
    latitude: 45,
    longitude: 9,
    elevationM: 100,
    timeZone: 'Europe/Rome',
    units: '{}',
    weekStart: 'monday',
    dateForm: 'd MMMM',
  });
  const place = {
    gardenId: garden,
    name: 'Bed',
    kind: 'ground',
    texture: 'loam',
    mulch: '[]',
    shade: '[]',
    history: '[]',
  };
  await insert('place', { ...place, id: drip, irrigation: 'drip', flowLPerH: 12 });
  await insert('place', { ...place, id: can });
  for (const id of [plant, second])
    await insert('plant', { id, gardenId: garden, placeId: drip, name: 'P', crop: 'tomato', resistantTo: '[]' });
  const record = (id: string | undefined, placeId: string | undefined, data: object) =>
    insert('record', {
      id,
      gardenId: garden,
      type: 'watering',
      placeId,
      day: '2026-07-01',
      data: JSON.stringify({ date: '2026-07-01', how: 'base', ...data }),
      createdBy: account,
    });
  await record(minutes, drip, { minutes: 30 });
  await record(lost, can, { minutes: 30 });
  await record(litres, can, { litres: 5 });
  await insert('trouble', {
    id: trouble,
    gardenId: garden,
    plantId: plant,
    disorder: 'blossom-end-rot',
    openedOn: '2026-07-01',
    followUpOn: '2026-07-15',
    successIs: 'new fruit is clean',
    report: '{}',
  });
  const asked = {
    gardenId: garden,
    plantId: plant,
    troubleId: trouble,
    dueOn: '2026-07-02',
    lastOn: '2026-07-02',
    cautions: '[]',
    why: 'why',
  };
  await insert('task', { ...asked, id: task, remedy: 'pick-off-affected-fruit', laterUntil: '2026-07-20' });
  await insert('task', { ...asked, id: watering, remedy: 'even-watering', everyDays: 2 });
  for (const [taskKey, day] of [
    [`look:${trouble}`, '2026-07-15'],
    [`water:${drip}`, '2026-07-15'],
    ['heat:2026-07-20:x', '9999-12-31'],
  ] as const)
    await insert('dismissal', { gardenId: garden, taskKey, day });
  await insert('bench', {
    id: bench,
    gardenId: garden,
    placeId: drip,
    name: 'B',
    weather: 'simulated',
    years: 20,
    setUps: JSON.stringify([{ name: 'a', habit: 'deep' }]),
  });
  await old.destroy();
  const before = new DataSource({
    ...options,
    migrations: [
      first!,
      then!,
      ...newer.slice(
        0,
        newer.findIndex((m) => m.name.startsWith('PlainNames')),
      ),
    ],
  });
  await before.initialize();
  await before.runMigrations({ transaction: 'none' });
  const put = (sql: string, ...values: unknown[]) => before.query(sql, values);
  await put(`INSERT INTO cultivar (id, gardenId, name, crop) VALUES (?, ?, 'Packet', 'tomato')`, variety, garden);
  await put('UPDATE plant SET cultivarId = ?, kindUnsure = 1 WHERE id = ?', variety, plant);
  await put('UPDATE place SET watering = ? WHERE id = ?', '{"school":"deep","lean":"dry","drierFinish":true}', drip);
  await put(`INSERT INTO task_pace VALUES (?, 'water', 2, 9, 12, '2026-07-01')`, garden);
  await put(`INSERT INTO task_pace VALUES (?, 'round', 3, 9, 12, '2026-07-01')`, garden);
  await put(`INSERT INTO postponement VALUES (?, ?, '2026-07-16')`, garden, `round:2026-07-15:${drip}`);
  await put(
    `INSERT INTO record (id, gardenId, type, placeId, day, data, createdBy) VALUES (?, ?, 'neighbour', ?, '2026-07-01', '{}', ?)`,
    companion,
    garden,
    drip,
    account,
  );
  await before.destroy();
  source = new DataSource({ ...options, migrations: [first!, then!, ...newer] });
  await source.initialize();
  await source.runMigrations({ transaction: 'none' });
});
afterAll(async () => {
  await source.destroy();
  await db.query(`DROP DATABASE ${name}`);
  await db.end();
});
const all = (sql: string) => source.query<Record<string, unknown>[]>(sql);

test('minutes become litres per plant by the flow of the place; without a flow they stay as a note', async () => {
  const rows = await all('SELECT id, type, data FROM record');
  const of = (id: string | undefined) => {
    const row = rows.find((r) => r.id === id)!;
    return { type: row.type, ...(JSON.parse(row.data as string) as object) };
  };
  // 12 L/h for half an hour, two plants: 3 each
  expect(of(minutes)).toMatchObject({ type: 'watering', minutes: 30, litres: 3 });
  expect(of(lost)).toEqual({
    type: 'note',
    date: '2026-07-01',
    text: 'Watered for 30 minutes; the flow was not known.',
  });
  expect(of(litres)).toMatchObject({ type: 'watering', litres: 5 });
});

test('a started treatment keeps its remedies; waterings are left to the plan', async () => {
  const [treatment] = await all('SELECT id, disorder, remedies FROM treatment');
  expect(treatment).toMatchObject({ id: trouble, disorder: 'blossom-end-rot' });
  expect((JSON.parse(treatment!.remedies as string) as string[]).sort()).toEqual([
    'even-watering',
    'pick-off-affected-fruit',
  ]);
  expect(await all('SELECT id, treatmentId, remedy FROM treatment_task')).toEqual([
    { id: task, treatmentId: trouble, remedy: 'pick-off-affected-fruit' },
  ]);
});

test('postponed tasks stay postponed until their day', async () => {
  const rows = await all('SELECT taskKey, until FROM postponement ORDER BY taskKey');
  expect(rows).toEqual([
    { taskKey: `look-again:${trouble}`, until: '2026-07-16' },
    { taskKey: 'protect:heat:2026-07-20:x', until: '9999-12-31' },
    { taskKey: `remedy:${task}`, until: '2026-07-20' },
    { taskKey: `walk:2026-07-15:${drip}`, until: '2026-07-16' },
    { taskKey: `water:${drip}`, until: '2026-07-16' },
  ]);
});

test('varieties, watering methods and estimated minutes keep their values under their new names', async () => {
  expect(await all('SELECT id, name FROM variety')).toEqual([{ id: variety, name: 'Packet' }]);
  const [own] = await all(`SELECT varietyId, varietyUnsure FROM plant WHERE id = '${plant}'`);
  expect(own).toEqual({ varietyId: variety, varietyUnsure: 1 });
  const [bed] = await all(`SELECT watering FROM place WHERE id = '${drip}'`);
  expect(JSON.parse(bed!.watering as string)).toEqual({ method: 'deep', moisture: 'dry', drierRipening: true });
  expect(await all('SELECT source, ticks, took, estimatedMinutes FROM task_pace ORDER BY source')).toEqual([
    { source: 'walk', ticks: 3, took: 9, estimatedMinutes: 12 },
    { source: 'water', ticks: 2, took: 9, estimatedMinutes: 12 },
  ]);
});

test('companion plants keep their records under their new type', async () => {
  expect(await all(`SELECT type FROM record WHERE id = '${companion}'`)).toEqual([{ type: 'companion' }]);
});

test('set-ups of compared watering methods name their strategy', async () => {
  const [row] = await all('SELECT setUps FROM bench');
  expect(JSON.parse(row!.setUps as string)).toEqual([{ name: 'a', strategy: 'deep' }]);
});
