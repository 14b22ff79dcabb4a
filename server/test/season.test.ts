import type { GardenView, PlantingDto, SeasonReportView, SeasonView, TaskDto } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { CAUTIONS } from '@candid-leaf/core/records';
import { gardenOf } from './gardening.js';

const app = useApp();
const TODAY = '2026-07-18';

async function garden() {
  const g = await gardenOf(app);
  const bed = await g.place({ name: 'Bed', lengthM: 2.4, widthM: 0.6 });
  const season = async (year?: number) =>
    (await g.agent.get(g.url(`/season${year ? `?year=${year}` : ''}`)).expect(200)).body as SeasonView;
  const put = (path: string, body: object) => g.agent.put(g.url(path)).send(body);
  const variety = async (facts: object = {}): Promise<string> => {
    const id = uuid();
    await put('/varieties', {
      id,
      name: 'Red one',
      crop: 'tomato',
      habit: 'indeterminate',
      daysToMaturity: 75,
      ...facts,
    }).expect(200);
    return id;
  };
  const planting = async (facts: object = {}): Promise<PlantingDto> =>
    (await put('/plantings', { id: uuid(), year: 2027, placeId: bed, crop: 'tomato', count: 3, ...facts }).expect(200))
      .body as PlantingDto;
  const raising = async (): Promise<TaskDto[]> => (await g.view()).today.filter((t) => t.source === 'raise');
  const settings = async (): Promise<object> => {
    const { today: _t, ...rest } = (await g.agent.get(g.url('')).expect(200)).body as Record<string, unknown>;
    return rest;
  };
  return { ...g, bed, settings, season, put, variety, planting, raising };
}

test('a year before it is planned: a line for each crop, this season and the next', async () => {
  const g = await garden();
  const now = await g.season();
  expect(now.season).toMatchObject({ year: 2026, label: '2026', from: '2026-01-01' });
  expect(now.seasons.map((s) => s.label)).toEqual(['2027', '2026']);
  expect(now.lines.map((l) => l.label)).toEqual(['Tomato', 'Pepper']);
  // the garden’s last frost is 18 April
  expect(now.lines[0]!.bands.find((b) => b.what === 'plant-out')).toMatchObject({ text: '25 April to 16 May' });
  await g.agent.get(g.url('/season?year=soon')).expect(400);
});

test('planned where it stood last year or where a wilt was: warned; with the letters only of the gap', async () => {
  const g = await garden();
  await g.plant(g.bed);
  await g.planting();
  const [p] = (await g.season(2027)).plantings;
  expect(p).toMatchObject({
    variety: 'Tomato',
    place: 'Bed',
    seeds: { cells: 4, seeds: 8 },
    rotation: { verdict: 'year-after', lastYear: 2026 },
    rotationText: expect.stringContaining('grew here in 2026, the year before'),
  });
  await g.changePlace(g.bed, { history: [{ year: 2025, family: 'nightshade', problems: ['vascular-wilt'] }] });
  expect((await g.season(2027)).plantings[0]!.rotation).toMatchObject({
    verdict: 'soil-borne',
    open: ['vascular-wilt'],
  });
  const shielded = await g.variety({ letters: 'VF' });
  await g.planting({ varietyId: shielded });
  expect((await g.season(2027)).plantings.find((x) => x.variety === 'Red one')!.rotation).toMatchObject({
    verdict: 'year-after',
    shielded: ['vascular-wilt'],
  });
});

test('what stands in a bed counts for what is planned there this year', async () => {
  const g = await garden();
  for (const name of ['A', 'B']) await g.plant(g.bed, { name });
  await g.planting({ year: 2026, count: 6 });
  expect((await g.season(2026)).plantings[0]).toMatchObject({
    standing: 2,
    rotationText: '2 plants stand here this year; none before is recorded.',
    warnings: [expect.stringMatching(/^8 plants are too many here/)],
  });
});

test('a step of raising waits for the one before, is overtaken in time, and too late to sow is said with what helps', async () => {
  const g = await garden();
  const variety = await g.variety({ daysToMaturity: 75 });
  const steps = async () => (await g.raising()).map((t) => t.key.split(':')[2]).sort();
  const { id } = await g.planting({ year: 2026, varietyId: variety, sownOn: '2026-02-20' });
  await g.goTo('2026-03-10');
  expect(await steps()).toEqual(['light', 'look', 'thin', 'tray']);
  // hardening waits for the larger pot, planting out for hardening
  await g.goTo('2026-04-20');
  expect(await steps()).toEqual(['look', 'pot', 'tray']);
  await g.tick(`raise:${id}:pot`).expect(200);
  expect(await steps()).toEqual(['harden', 'look']);
  // nothing was ticked, and May is over: what is left is to plant out
  await g.goTo('2026-06-10');
  expect(await steps()).toEqual(['look', 'out', 'tray']);
  await g.agent.delete(g.url(`/plantings/${id}`)).expect(204);
  await g.planting({ year: 2026, varietyId: variety });
  await g.goTo('2026-07-10');
  expect(await g.raising()).toMatchObject([
    { title: 'Too late to sow Red one', held: { because: expect.stringMatching(/buy plants by 31 July/) } },
  ]);
  await g.goTo('2026-08-10');
  expect(await g.raising()).toEqual([]);
});

test('too many for the bed, too slow for the summer, planted before its sowing: warned or refused, with what would fit', async () => {
  const g = await garden();
  const late = await g.variety({ name: 'Late one', daysToMaturity: 180 });
  await g.planting({ count: 10, varietyId: late });
  expect((await g.season(2027)).plantings[0]!.warnings).toEqual([
    expect.stringMatching(/^10 plants are too many here: at 45\u00a0cm spacing there is room for 5/),
    expect.stringMatching(/^It takes 180 days, and there are 172 until two weeks before the first frost/),
  ]);
  const refused = await g
    .put('/plantings', {
      id: uuid(),
      year: 2027,
      placeId: g.bed,
      crop: 'tomato',
      count: 2,
      sownOn: '2027-03-10',
      plantedOn: '2027-03-01',
    })
    .expect(400);
  expect(refused.body.faults).toEqual([
    { path: 'plantedOn', reason: 'cannot be planted out on 2027-03-01, before it was sown on 2027-03-10' },
  ]);
  const pepper = await g.variety({ crop: 'pepper', type: 'sweet', habit: null });
  const wrong = await g
    .put('/plantings', { id: uuid(), year: 2027, placeId: g.bed, crop: 'tomato', count: 2, varietyId: pepper })
    .expect(400);
  expect(wrong.body.faults).toEqual([{ path: 'varietyId', reason: 'Red one is a pepper, and not a tomato' }]);
});

test('a variety is corrected later without losing a record; its letters count for the plant, and stop with it', async () => {
  const g = await garden();
  const plant = await g.plant(g.bed);
  await g.record(
    'inspection',
    { plantId: plant },
    {
      date: TODAY,
      allClear: false,
      signs: [
        { sign: 'leaf-yellow-one-side', present: true },
        { sign: 'stem-brown-inside', present: true },
      ],
    },
  );
  const wilt = async () =>
    (await g.plantView(plant)).report.diagnosis.find((d) => d.disorder === 'vascular-wilt')?.probability ?? 0;
  const before = await wilt();
  expect(before).toBeGreaterThan(0.1);
  const variety = await g.variety({ letters: 'VFF' });
  const own = (await g.plantView(plant)).plant;
  const { position: _p, retiredOn: _r, endedBecause: _e, ...facts } = own;
  await g.put('/plants', { ...facts, varietyId: variety, varietyUnsure: true }).expect(200);
  const shielded = await wilt();
  expect(shielded).toBeLessThan(before);
  const view = await g.plantView(plant);
  expect([view.plant.varietyId, view.plant.varietyUnsure, view.records.length]).toEqual([variety, true, 1]);
  // the packet is read again: no V, no F
  // a device that was offline since before 0.14 sends the old names
  const { varietyId: _v, varietyUnsure: _u, ...older } = facts;
  await g.put('/plants', { ...older, version: 2, cultivarId: variety, kindUnsure: false }).expect(200);
  expect((await g.plantView(plant)).plant).toMatchObject({ varietyId: variety, varietyUnsure: false });
  await g.put('/kinds', { id: variety, version: 1, name: 'Red one', crop: 'tomato', letters: 'N' }).expect(200);
  expect(await wilt()).toBe(before);
  await g.put('/plants', { ...facts, version: 3, varietyId: uuid() }).expect(404);
});

describe('from seed to bed', () => {
  test('sown, potted on, hardened day by day, planted out: each due in its time, ticked twice done once, undone', async () => {
    const g = await garden();
    await g.goTo('2026-03-05');
    const variety = await g.variety();
    const { id } = await g.planting({ year: 2026, varietyId: variety });
    const find = async () => (await g.season(2026)).plantings[0]!.planting;
    const keys = async () => (await g.raising()).map((t) => t.key.replace(id, 'it'));
    expect(await keys()).toEqual(['raise:it:sow']);
    expect((await g.raising())[0]).toMatchObject({ title: 'Sow Red one', amount: '4 cells, 8 seeds' });
    await g.tick(`raise:${id}:sow`).expect(200);
    await g.tick(`raise:${id}:sow`).expect(200);
    expect(await find()).toMatchObject({ sownOn: '2026-03-05', cells: 4, version: 1 });
    await g.untick(`raise:${id}:sow`).expect(204);
    expect((await find()).sownOn).toBeNull();
    await g.tick(`raise:${id}:sow`).expect(200);
    expect(await keys()).toEqual([]);
    // a week on they come up: light, a look, water from below; thinned, then a larger pot
    await g.goTo('2026-03-11');
    expect(await keys()).toEqual(['raise:it:tray', 'raise:it:light', 'raise:it:look']);
    const look = `raise:${id}:look`;
    for (const step of ['light', 'tray', 'look']) await g.tick(`raise:${id}:${step}`).expect(200);
    await g.tick(look).expect(200);
    expect(await find()).toMatchObject({
      litOn: '2026-03-11',
      trayDays: ['2026-03-11'],
      looks: [{ on: '2026-03-11', what: 'sound' }],
    });
    expect(await keys()).toEqual([]);
    await g.untick(look).expect(204);
    expect(await find()).toMatchObject({ looks: [], trayDays: ['2026-03-11'] });
    expect(await keys()).toEqual(['raise:it:look']);
    await g.tick(look).expect(200);
    await g.goTo('2026-03-19');
    await g.tick(`raise:${id}:thin`).expect(200);
    await g.goTo('2026-03-27');
    expect(await keys()).toEqual(['raise:it:tray', 'raise:it:look', 'raise:it:pot']);
    await g.tick(`raise:${id}:pot`).expect(200);
    await g.goTo('2026-04-12');
    expect(await keys()).toContain('raise:it:harden');
    await g.tick(`raise:${id}:harden`).expect(200);
    expect(await find()).toMatchObject({ hardenFrom: '2026-04-12', outDays: ['2026-04-12'] });
    await g.goTo('2026-04-13');
    const day = (await g.raising()).find((t) => t.key.includes(':day:'));
    // no forecast is told here: nothing pauses
    expect(day).toMatchObject({ key: `raise:${id}:day:2026-04-13`, amount: '2 hours in the shade, out of the wind' });
    await g.tick(day!.key).expect(200);
    await g.tick(day!.key).expect(200);
    expect((await find()).outDays).toEqual(['2026-04-12', '2026-04-13']);
  });

  test('planted out: plants exist in the bed, their days begin; sent twice they exist once, and it can be undone', async () => {
    const g = await garden();
    await g.goTo('2026-05-20');
    const variety = await g.variety();
    const { id } = await g.planting({ year: 2026, varietyId: variety, sownOn: '2026-03-10', cells: 4 });
    const standing = async () =>
      (await g.view()).places
        .find((p) => p.place.id === g.bed)!
        .plants.map(({ plant }) => [plant.name, plant.transplantedOn, plant.varietyId]);
    await g.tick(`raise:${id}:out`).expect(200);
    await g.tick(`raise:${id}:out`).expect(200);
    expect(await standing()).toEqual([1, 2, 3].map((n) => [`Red one ${n}`, '2026-05-20', variety]));
    expect((await g.season(2026)).plantings[0]!.planting.plantedOn).toBe('2026-05-20');
    await g.untick(`raise:${id}:out`).expect(204);
    expect(await standing()).toEqual([]);
    await g.tick(`raise:${id}:out`).expect(200);
    expect(await standing()).toHaveLength(3);
  });

  test('measured cold soil holds planting out, and a tick does nothing then', async () => {
    const g = await garden();
    await g.goTo('2026-05-06');
    await g.planting({ year: 2026, sownOn: '2026-03-10' });
    await g.record('soil-warmth', { placeId: g.bed }, { date: '2026-05-06', celsius: 12 });
    const task = (await g.raising()).find((t) => t.key.endsWith(':out'))!;
    expect(task.held!.because).toMatch(/^Wait until 11 May: soil\. Dark fabric .* A week later costs about 7 days/);
    expect(task.parts!.map((a) => a.replaceAll('\u00a0', ' '))).toContain('Soil: 12 °C, needs 16 °C');
    // a bed that lies under dark fabric already needs none
    const put = { what: 'mulch', material: 'dark-fabric', depthCm: 0.1 };
    await g.record('covering', { placeId: g.bed }, { date: '2026-05-06', did: 'on', ...put });
    const because = async () => (await g.raising()).find((t) => t.key.endsWith(':out'))!.held!.because;
    expect(await because()).not.toMatch(/Dark fabric/);
    await g.tick(task.key).expect(200);
    expect((await g.season(2026)).plantings[0]!.planting.plantedOn).toBeNull();
    await g.record('soil-warmth', { placeId: g.bed }, { date: '2026-05-06', celsius: 18 });
    const now = (await g.raising()).find((t) => t.key.endsWith(':out'))!;
    expect(now).toMatchObject({ why: 'Plant out today.' });
    expect(now.sequence!.join(' ')).toMatch(/up to its first leaves.*Water it in/);
    expect(now.sequence!.join(' ')).not.toMatch(/Bone dry/);
    await g.record('soil-check', { placeId: g.bed }, { date: '2026-05-06', feel: 'dry' });
    expect((await g.raising()).find((t) => t.key.endsWith(':out'))!.sequence!.join(' ')).toMatch(/Bone dry/);
    expect(now.held).toBeUndefined();
  });
});

describe('picking', () => {
  test('hot peppers are marked, so that children know them', async () => {
    const g = await garden();
    await g.plant(g.bed, { name: 'Hot one', crop: 'pepper', type: 'hot', stage: 'ripening' });
    expect((await g.view()).today.find((t) => t.source === 'pick')!.cautions).toEqual([CAUTIONS['mark-hot']]);
  });

  test('is due from blush on, every three days, place by place; and not during a wait', async () => {
    const g = await garden();
    const [a, b] = [
      await g.plant(g.bed, { name: 'A', stage: 'ripening' }),
      await g.plant(g.bed, { name: 'B', stage: 'ripening' }),
    ];
    const picks = async (view?: GardenView) => (view ?? (await g.view())).today.filter((t) => t.source === 'pick');
    expect(await picks()).toMatchObject([
      { title: 'Check for ripe fruit: Bed', plantIds: [a, b], picks: true, cautions: [] },
    ]);
    await g.record('picking', { plantId: a }, { date: TODAY, count: 6, grams: 700, state: 'sound', use: 'eaten' });
    expect(await picks()).toMatchObject([{ plantIds: [b] }]);
    await g.record('spray', { plantId: b }, { date: TODAY, product: 'copper', harvestDays: 7 });
    expect(await picks()).toEqual([]);
    await g.goTo(addDays(TODAY, 3));
    expect(await picks()).toMatchObject([{ plantIds: [a] }]);
  });

  test('soft fruit to eat, blossom end rot for canning, and 60 kg are refused at their field', async () => {
    const g = await garden();
    const plant = await g.plant(g.bed);
    const faults = async (data: object) =>
      (
        await g
          .put('/records', {
            id: uuid(),
            type: 'picking',
            plantId: plant,
            data: { date: TODAY, state: 'sound', use: 'eaten', ...data },
          })
          .expect(400)
      ).body.faults.map((f: { path: string }) => f.path);
    expect(await faults({ state: 'soft' })).toEqual(['data.use']);
    expect(await faults({ state: 'dark-end', use: 'kept' })).toEqual(['data.use']);
    expect(await faults({ grams: 60_000 })).toEqual(['data.grams']);
    await g.record('picking', { plantId: plant }, { date: TODAY, state: 'sound', use: 'eaten', grams: 19_000 });
    expect(await faults({ grams: 2000 })).toEqual(['data.grams']);
    expect((await g.plantView(plant)).records).toHaveLength(1);
  });
});

test('frost days the wrong way round are refused in the garden’s settings', async () => {
  const g = await garden();
  const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body;
  const refused = await g.agent
    .put('/api/gardens')
    .send({ ...settings, lastFrost: '10-28', firstFrost: '04-18' })
    .expect(400);
  expect(refused.body.faults).toEqual([{ path: 'firstFrost', reason: expect.stringMatching(/Are the two swapped/) }]);
});

test('seedlings that collapsed: the task says what to do and the next look is tomorrow; a look before sowing is refused', async () => {
  const g = await garden();
  await g.goTo('2026-03-15');
  const make = { year: 2026, sownOn: '2026-03-05', cells: 12 };
  const { id } = await g.planting({ ...make, looks: [{ on: '2026-03-14', what: 'fallen' }], trayWetG: 900 });
  const tasks = await g.raising();
  const of = (step: string) => tasks.find((t) => t.key === `raise:${id}:${step}`)!;
  expect(of('look')).toMatchObject({ dueOn: '2026-03-15', why: expect.stringMatching(/won’t recover/) });
  expect(of('tray').why.replaceAll('\u00a0', ' ')).toMatch(/^At 825 g or less/);
  const refused = await g
    .put('/plantings', { id: uuid(), placeId: g.bed, crop: 'tomato', count: 2, ...make, thinnedOn: '2026-03-01' })
    .expect(400);
  expect(refused.body.faults).toMatchObject([{ path: 'thinnedOn' }]);
  await g
    .put('/plantings', {
      id: uuid(),
      placeId: g.bed,
      crop: 'tomato',
      count: 2,
      ...make,
      looks: [{ on: 'soon', what: 'sad' }],
    })
    .expect(400);
});

test('new plants: slugs are checked every third day until they are 30 cm tall', async () => {
  const g = await garden();
  const plant = await g.plant(g.bed, {
    name: 'Young',
    transplantedOn: '2026-07-10',
    heightM: 0.2,
    stage: 'establishing',
  });
  const settle = async () => (await g.view()).today.filter((t) => t.source === 'settle');
  const [task] = await settle();
  expect(task).toMatchObject({ title: 'Check for slugs: Bed', plantIds: [plant] });
  await g.tick(task!.key).expect(200);
  await g.tick(task!.key).expect(200);
  expect(await settle()).toEqual([]);
  const events = (await g.plantView(plant)).records.filter((r) => r.type === 'event');
  expect(events.map((r) => r.data)).toEqual([{ date: TODAY, what: 'slugs-looked-for' }]);
  await g.goTo(addDays(TODAY, 3));
  expect(await settle()).toHaveLength(1);
});

test('before planting out compost goes into the planned bed, once a year; a tick is a record that holds water', async () => {
  const g = await garden();
  await g.goTo('2026-03-01');
  const variety = await g.variety();
  await g.planting({ varietyId: variety, year: 2026 });
  const tasks = async () => (await g.view()).today.filter((t) => t.source === 'prepare');
  const [out] = (await g.season(2026)).plantings;
  expect(out).toBeDefined();
  await g.goTo('2026-04-10');
  // who feeds by a soil test adds nothing without one
  await g.agent
    .put('/api/gardens')
    .send({ ...(await g.settings()), starter: 'by-test' })
    .expect(200);
  expect(await tasks()).toEqual([]);
  await g.agent
    .put('/api/gardens')
    .send({ ...(await g.settings()), starter: null })
    .expect(200);
  const [task] = await tasks();
  expect(task!.why).toMatch(/none is recorded within the year; if it is in already, tick this/);
  // the season's supplies name the same amount
  expect((await g.season(2026)).needs!.compostL).toBeCloseTo(72, 6);
  // 2.4 m by 60 cm, 5 cm deep
  expect(task).toMatchObject({ title: 'Work in compost: Bed', amount: expect.stringMatching(/^5.cm deep, 72.L$/) });
  await g.tick(task!.key).expect(200);
  await g.tick(task!.key).expect(200);
  expect(await tasks()).toEqual([]);
  const plant = await g.plant(g.bed, { name: 'Out', transplantedOn: '2026-04-10' });
  const { place } = (await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200)).body;
  expect(place.compostCm).toBe(5);
  // what was dug in last autumn still counts in spring, though that was another season
  const other = await g.place({ name: 'Other', lengthM: 1, widthM: 1 });
  const autumn = await g.record('event', { placeId: other }, { date: '2025-11-01', what: 'compost-dug-in' });
  await g.planting({ varietyId: variety, year: 2026, placeId: other });
  expect(await tasks()).toEqual([]);
  // and holds water for what grows there, until the record is gone
  const there = await g.plant(other, { name: 'There', transplantedOn: '2026-04-10' });
  const compost = async () => (await g.agent.get(g.url(`/plants/${there}/case`)).expect(200)).body.place.compostCm;
  expect(await compost()).toBe(5);
  await g.agent.delete(g.url(`/records/${autumn}`)).expect(204);
  expect(await compost()).toBeUndefined();
  // two spades in the hole are recorded with the plant
  await g.record('event', { plantId: there }, { date: '2026-04-10', what: 'compost-in-hole' });
  expect((await g.agent.get(g.url(`/plants/${there}/case`)).expect(200)).body.place.holeCompostL).toBe(4);
});

test('weeds that a look noted are cleared from young plants, those of the family from all; a tick records it once', async () => {
  const g = await garden();
  const plant = await g.plant(g.bed, {
    name: 'Young',
    transplantedOn: '2026-07-10',
    heightM: 0.2,
    stage: 'establishing',
  });
  const weeding = async () => (await g.view()).today.filter((t) => t.source === 'weed');
  const note = (what: string, did = 'seen') => g.record('companion', { placeId: g.bed }, { date: TODAY, what, did });
  expect(await weeding()).toEqual([]);
  await note('weeds');
  const [task] = await weeding();
  expect(task).toMatchObject({ key: `weed:${g.bed}:weeds`, title: 'Weed: Bed', dueOn: TODAY });
  await g.tick(task!.key).expect(200);
  await g.tick(task!.key).expect(200);
  expect(await weeding()).toEqual([]);
  const records = async () =>
    (await g.plantView(plant)).records.flatMap((r) => (r.type === 'companion' ? r.data : [])) as { did: string }[];
  expect((await records()).map((r) => r.did).sort()).toEqual(['cleared', 'seen']);
  // a tall plant shades its weeds; nightshade weeds share its diseases, and count when pests are judged
  await note('weeds');
  await g.record('growth', { plantId: plant }, { date: TODAY, heightM: 0.9 });
  expect(await weeding()).toEqual([]);
  const hosts = async () => (await g.agent.get(g.url(`/plants/${plant}/case`)).expect(200)).body.place.hostsNear;
  expect(await hosts()).toBeUndefined();
  await note('nightshade-weeds');
  expect((await weeding()).map((t) => t.key)).toEqual([`weed:${g.bed}:nightshade-weeds`]);
  expect(await hosts()).toBe(true);
});

test('an offline tick counts for its own day, if that is recent', async () => {
  const g = await garden();
  await g.agent
    .put('/api/gardens')
    .send({ ...(await g.settings()), pinnedDate: null })
    .expect(200);
  const today = (await g.view()).garden.today;
  const at = (back: number): string => `${addDays(today, -back)}T11:00:00.000Z`;
  const ticked = async (body: object): Promise<string | undefined> => {
    const plant = await g.plant(g.bed, {
      name: 'Young',
      transplantedOn: addDays(today, -25),
      stage: null,
      heightM: null,
    });
    await g.record('growth', { plantId: plant }, { date: addDays(today, -3), heightM: 0.15 });
    await g.tick(`settle:${g.bed}`, body).expect(200);
    const [event] = (await g.plantView(plant)).records.filter((r) => r.type === 'event');
    await g.agent
      .post(g.url(`/plants/${plant}/retire`))
      .send({ on: today })
      .expect(204);
    return event?.day;
  };
  expect(await ticked({ at: at(3) })).toBe(addDays(today, -3));
  expect(await ticked({})).toBe(today);
  // what was due three weeks ago is not known any more, and it is not today's work
  const old = await g.tick(`settle:${g.bed}`, { at: at(20) }).expect(400);
  expect(old.body.faults).toEqual([
    { path: 'at', reason: expect.stringMatching(/more than two weeks ago: save it as a record/) },
  ]);
  // a clock that runs ahead writes nothing into the future
  expect(await ticked({ at: at(-2) })).toBe(today);
  await g.tick(`settle:${g.bed}`, { at: 'yesterday' }).expect(400);
});

test('before frost: the last flowers off, green fruit in; a bush variety keeps its flowers; a tick saves a record of each', async () => {
  const g = await garden();
  const [cordon, bush] = [
    await g.plant(g.bed, { name: 'Cordon', habit: 'indeterminate' }),
    await g.plant(g.bed, { name: 'Bush', habit: 'determinate' }),
  ];
  const late = async () => (await g.view()).today.filter((t) => t.source === 'late');
  await g.goTo('2026-08-20');
  expect(await late()).toEqual([]);
  await g.goTo('2026-09-24');
  const [flowers] = await late();
  expect(flowers).toMatchObject({ title: 'Remove the last flowers: Bed', plantIds: [cordon] });
  const ticked = await g.tick(flowers!.key).expect(200);
  expect(await late()).toEqual([]);
  await g.untick(flowers!.key, { recordId: ticked.body.recordId }).expect(204);
  expect(await late()).toHaveLength(1);
  await g.tick(flowers!.key).expect(200);
  await g.goTo('2026-10-21');
  expect(await late()).toMatchObject([{ title: 'Bring in the green fruit: Bed', plantIds: [cordon, bush] }]);
  await g.agent
    .put('/api/gardens')
    .send({ ...(await g.settings()), lastFrost: null, firstFrost: null })
    .expect(200);
  expect(await late()).toEqual([]);
});

test('heavy rain ahead: blushing fruit is picked today, even if checked yesterday', async () => {
  const g = await garden();
  const variety = await g.variety({ splits: 'more' });
  const plant = await g.plant(g.bed, { name: 'A', stage: 'ripening', varietyId: variety });
  await g.record('picking', { plantId: plant }, { date: addDays(TODAY, -1), count: 2, state: 'sound', use: 'eaten' });
  const picks = async () => (await g.view()).today.filter((t) => t.source === 'pick');
  expect(await picks()).toEqual([]);
  app.station.ahead = { rainMm: 8 };
  try {
    await g.agent.post(g.url('/weather/pull')).expect(200);
    // 10 % is no rain to count on
    expect(await picks()).toEqual([]);
    app.station.ahead = { rainMm: 8, rainChancePct: 80 };
    await g.agent.post(g.url('/weather/pull')).expect(200);
    expect(await picks()).toMatchObject([
      { title: 'Pick at first blush: Bed', why: expect.stringMatching(/would split it/) },
    ]);
    // picked today, it is done
    await g.record('picking', { plantId: plant }, { date: TODAY, count: 3, state: 'sound', use: 'eaten' });
    expect(await picks()).toEqual([]);
  } finally {
    app.station.ahead = {};
  }
});

test('a second crop: suggested in its time, if the bed is clean; planned, it is sown in July', async () => {
  const g = await garden();
  await g.goTo('2026-07-16');
  const view = (await g.season(2026)).second!;
  expect(view).toMatchObject({ by: '2026-07-24', places: [{ place: 'Bed', fits: true, text: 'free and clean' }] });
  const variety = await g.variety({ habit: 'determinate', daysToMaturity: 65 });
  await g.planting({ year: 2026, aim: 'second-crop', varietyId: variety });
  expect((await g.raising()).map((t) => t.title)).toEqual(['Sow Red one']);
  // one date for a second crop, wherever it is told
  await g.plant(g.bed, { name: 'Stands' });
  const line = (await g.season(2026)).lines.find((l) => l.label === 'After a loss, or a second crop')!;
  expect(line.bands.find((b) => b.what === 'second-sowing')!.to).toBe(view.by);
  // two weeks old it is not spoken of planting out, however warm it is
  await g.planting({ year: 2026, aim: 'second-crop', varietyId: variety, sownOn: '2026-07-02' });
  const young = (await g.season(2026)).plantings.find((p) => p.planting.sownOn)!;
  expect([young.gate, young.gateText]).toEqual([null, null]);
  await g.changePlace(g.bed, { history: [{ year: 2026, family: 'nightshade', problems: ['early-blight'] }] });
  expect((await g.season(2026)).second!.places[0]).toMatchObject({
    fits: false,
    text: expect.stringMatching(/^not clean/),
  });
  await g.goTo('2026-07-25');
  expect((await g.season(2026)).second).toBeNull();
});

describe('an earlier season', () => {
  test('opens beside this one: what grew where, and a plant on its last day, with only that season’s weather', async () => {
    const g = await garden();
    const old = await g.plant(g.bed, { name: 'Old', transplantedOn: '2025-05-12' });
    const rec = (date: string) => g.record('watering', { plantId: old }, { date, litres: 2 });
    await rec('2025-08-01');
    await g.agent
      .post(g.url(`/plants/${old}/retire`))
      .send({ on: '2025-09-30', because: 'disease' })
      .expect(204);
    const now = await g.plant(g.bed, { name: 'Now' });
    expect((await g.season(2025)).stood).toMatchObject([
      { place: 'Bed', plants: [{ id: old, plantedOn: '2025-05-12', endedOn: '2025-09-30', because: 'disease' }] },
    ]);
    expect((await g.season(2026)).before).toMatchObject({
      label: '2025',
      notes: null,
      stood: [{ plants: [{ id: old }] }],
    });
    await g.agent
      .put('/api/gardens')
      .send(await g.settings())
      .expect(200);
    const view = await g.plantView(old);
    expect(view).toMatchObject({ ended: { on: '2025-09-30', because: 'disease' }, next: [] });
    expect(view.garden.today).toBe('2025-09-30');
    expect(view.records.map((r) => r.day)).toEqual(['2025-08-01']);
    const days = view.weather.map((w) => w.day);
    expect([days[0], days.at(-1)]).toEqual(['2025-01-01', '2025-09-30']);
    expect((await g.plantView(now)).ended).toBeNull();
    // nothing is written after its end, and what was forgotten before it still may be
    await g
      .put('/records', { id: uuid(), type: 'watering', plantId: old, data: { date: '2025-10-01', litres: 1 } })
      .expect(400);
    await rec('2025-09-30');
    const report = (await g.agent.get(g.url('/season/report?year=2025')).expect(200)).body as SeasonReportView;
    expect(report.compared.find((c) => c.year === 2025)!.weather).toMatchObject({ meanC: 23, hotDays: 0 });
  });

  test('a station without data for it is asked once; the rest is shown', async () => {
    const g = await garden();
    await g.plant(g.bed, { name: 'Old', transplantedOn: '2022-05-12' });
    app.station.down = true;
    try {
      await g.agent
        .put('/api/gardens')
        .send(await g.settings())
        .expect(200);
    } finally {
      app.station.down = false;
    }
    const before = app.station.asked.length;
    await g.agent
      .put('/api/gardens')
      .send(await g.settings())
      .expect(200);
    expect(app.station.asked.slice(before).filter((a) => a.from.startsWith('2022'))).toEqual([]);
    expect((await g.season(2022)).past).toBe(true);
  });
});

describe('the year’s end', () => {
  const report = async (g: Awaited<ReturnType<typeof garden>>, year = 2026) =>
    (await g.agent.get(g.url(`/season/report?year=${year}`)).expect(200)).body as SeasonReportView;

  test('harvest, losses and savings, water per kilogram; a place’s water counts from its planting day', async () => {
    const g = await garden();
    const a = await g.plant(g.bed, { name: 'A', type: 'slicer' });
    const b = await g.plant(g.bed, { name: 'B', transplantedOn: '2026-06-10', type: 'paste' });
    await g.record('watering', { placeId: g.bed }, { date: '2026-06-01', litres: 20 });
    await g.record('watering', { placeId: g.bed }, { date: '2026-07-01', litres: 10 });
    await g.record('feeding', { plantId: a }, { date: '2026-07-01', n: 5, p2o5: 5, k2o: 5, grams: 40 });
    const pick = (plantId: string, data: object) =>
      g.record('picking', { plantId }, { date: TODAY, state: 'sound', use: 'eaten', ...data });
    await pick(a, { grams: 2000 });
    await pick(b, { count: 15, state: 'dark-end', use: 'sauce' });
    await pick(b, { grams: 200, state: 'soft', use: 'binned' });
    const { harvest, compared } = await report(g);
    // fifteen paste tomatoes of 80 g
    expect([harvest.kg, harvest.savedKg]).toEqual([3.2, 1.2]);
    expect(harvest.losses).toMatchObject([{ state: 'soft', kg: 0.2 }]);
    // forty grams with 5 % of nitrogen for two kilograms; of the other nothing is written down
    expect(harvest.plants.map((p) => [p.name, p.kg, p.litresPerKg, p.nitrogenGPerKg])).toEqual([
      ['A', 2, 15, 1],
      ['B', 1.2, 8.3, null],
    ]);
    expect(compared).toMatchObject([{ label: '2026', plants: 2, kg: 3.2, firstPick: TODAY }]);
    // an earlier season is read beside it, and this one does not reach into it
    await g.plant(g.bed, { name: 'Old', transplantedOn: '2025-05-12' });
    expect((await report(g, 2025)).harvest.plants.map((p) => p.name)).toEqual(['Old']);
    expect((await g.season(2025)).past).toBe(true);
    expect((await report(g)).compared.map((c) => c.label)).toEqual(['2026', '2025']);
    await g.agent.get(g.url('/season/report?year=2026.5')).expect(400);
  });

  test('over the years: the best date, and the problems of a season that was looked over', async () => {
    const g = await garden();
    await g.goTo('2027-02-01');
    const out = async (on: string, grams: number) => {
      const plant = await g.plant(g.bed, { name: `Out ${on}`, transplantedOn: on });
      await g.record(
        'picking',
        { plantId: plant },
        { date: `${on.slice(0, 4)}-07-10`, state: 'sound', use: 'eaten', grams },
      );
      return plant;
    };
    const early = [await out('2026-05-04', 900), await out('2026-05-06', 900)];
    await out('2026-05-20', 500);
    await out('2026-05-21', 500);
    await out('2025-05-20', 700);
    await g.record(
      'picking',
      { plantId: early[0]! },
      { date: '2026-07-01', state: 'soft', use: 'binned', grams: 5000 },
    );
    await g.record('inspection', { plantId: early[0]! }, { date: TODAY, allClear: true, signs: [] });
    await g.record('watering', { placeId: g.bed }, { date: '2026-06-01', litres: 2 });
    const { years } = await report(g);
    // what was binned was not used; the first ripe fruit counts all the same
    expect(years.dates).toMatchObject([
      {
        windows: [
          { from: '05-01', plants: 2, seasons: [2026], kgEach: 0.9, daysToRipe: 62 },
          { from: '05-16', plants: 3, seasons: [2025, 2026], kgEach: 0.5 },
        ],
        best: { from: '05-01', timesUsual: 1.29 },
      },
    ]);
    expect(years.troubles).toEqual([]);
    const db = await app.connect();
    await db.query(
      `INSERT INTO treatment (id, gardenId, plantId, disorder, openedOn, followUpOn, successIs, report, remedies, step)
       VALUES (?, ?, ?, 'blossom-end-rot', '2026-07-02', '2026-07-16', 'x', '{}', '[]', 1)`,
      [uuid(), g.garden, early[0]],
    );
    await db.end();
    // nobody looked in 2025, so it says nothing about problems
    expect((await report(g)).years.troubles).toEqual([
      { disorder: 'blossom-end-rot', years: [{ label: '2026', plants: 1, of: 4 }], between: null },
    ]);
  });

  test('mulch of an earlier season is its own: without a record of it nothing is said of mulch', async () => {
    const g = await garden();
    const other = await g.place({ name: 'Other', lengthM: 1, widthM: 1 });
    const db = await app.connect();
    for (const year of [2025, 2026])
      for (const i of [1, 2, 3]) {
        const plant = await g.plant(g.bed, { name: `${year} ${i}`, transplantedOn: `${year}-05-1${i}` });
        await g.record('inspection', { plantId: plant }, { date: `${year}-07-01`, allClear: true, signs: [] });
        if (year === 2025)
          await db.query(
            `INSERT INTO treatment (id, gardenId, plantId, disorder, openedOn, followUpOn, successIs, report, remedies, step)
             VALUES (?, ?, ?, 'blossom-end-rot', '2025-07-02', '2025-07-16', 'x', '{}', '[]', 1)`,
            [uuid(), g.garden, plant],
          );
      }
    await db.end();
    const differs = async () => (await report(g)).years.troubles[0]!.between!.differs;
    const mulch = (placeId: string, date: string, did: 'on' | 'off') =>
      g.record('covering', { placeId }, { date, what: 'mulch', did, material: 'straw', depthCm: 5 });
    await mulch(g.bed, '2026-05-20', 'on');
    expect(await differs()).not.toContain('mulch');
    // another bed had some in 2025: so this one had none
    await mulch(other, '2025-05-20', 'on');
    await mulch(other, '2025-10-20', 'off');
    expect(await differs()).toContain('mulch');
  });

  test('gardens nearby are counted only if they agreed, from five on, and only what five share', async () => {
    const near = { latitude: 47.3, longitude: 11.2 };
    const gardens = [];
    for (let i = 0; i < 6; i++) {
      const g = await garden();
      // the sixth is in another region
      const place = i === 5 ? { latitude: 48.3, longitude: 11.2 } : near;
      const share = (shareCounts: boolean | null) =>
        g.settings().then((x) =>
          g.agent
            .put('/api/gardens')
            .send({ ...x, ...place, shareCounts })
            .expect(200),
        );
      await share(i === 0 ? null : true);
      const plant = await g.plant(g.bed, { name: 'A', transplantedOn: '2026-05-08' });
      await g.record(
        'picking',
        { plantId: plant },
        { date: `2026-07-1${i}`, state: 'sound', use: 'eaten', grams: 100 },
      );
      const db = await app.connect();
      const treated = (disorder: string) =>
        db.query(
          `INSERT INTO treatment (id, gardenId, plantId, disorder, openedOn, followUpOn, successIs, report, remedies, step, outcome)
           VALUES (?, ?, ?, ?, '2026-07-02', '2026-07-16', 'x', '{}', '["water-jet"]', 1, 'worked')`,
          [uuid(), g.garden, plant, disorder],
        );
      await treated('aphids');
      if (i < 4) await treated('early-blight');
      await db.end();
      gardens.push({ ...g, share });
    }
    const [first] = gardens;
    // it has not agreed: it neither sees nor is seen
    expect((await report(first!)).around).toBeNull();
    expect((await report(gardens[1]!)).around).toMatchObject({ gardens: null, troubles: [] });
    expect((await report(gardens[5]!)).around).toMatchObject({ gardens: null });
    // a second garden of the same person is not a fifth
    const second = { ...(await gardens[1]!.settings()), ...near, id: uuid(), shareCounts: true };
    await gardens[1]!.agent
      .put('/api/gardens')
      .send({ ...second, version: undefined })
      .expect(200);
    expect((await report(gardens[1]!)).around).toMatchObject({ gardens: null });
    await first!.share(true);
    expect((await report(gardens[1]!)).around).toEqual({
      gardens: 5,
      troubles: [{ label: 'Aphids', gardens: 5 }],
      helped: [{ label: 'Aphids', remedy: expect.stringMatching(/Rinse/), gardens: 5 }],
      firstRipe: [{ crop: 'tomato', on: '2026-07-12', gardens: 5 }],
    });
    await first!.share(null);
    expect((await report(gardens[1]!)).around).toMatchObject({ gardens: null, helped: [] });
  });

  test('the ripening shelf shows what and until when; eaten or spoilt, it is gone; sauce in litres', async () => {
    const g = await garden();
    const plant = await g.plant(g.bed, { name: 'Plum', type: 'paste' });
    const pick = (date: string, data: object) =>
      g.record('picking', { plantId: plant }, { date, state: 'sound', use: 'shelf', count: 4, ...data });
    await pick('2026-07-16', { ripeness: 'blush' });
    await pick('2026-07-10', { ripeness: 'green' });
    await pick('2026-07-01', { ripeness: 'blush' });
    await pick('2026-07-17', { use: 'sauce', count: null, grams: 2000 });
    const { shelf, cooked } = await report(g);
    expect(shelf).toMatchObject([
      { plant: 'Plum', pickedOn: '2026-07-16', ripeOn: '2026-07-23', ripeIn: 5, eatBy: '2026-07-28' },
      { pickedOn: '2026-07-10', ripeOn: '2026-07-28' },
    ]);
    expect(cooked).toEqual({ kg: 2, litres: 0.9 });
    expect((await report(g, 2025)).shelf).toEqual([]);
  });

  test('a plant ends with its reason, is in the report, and can be restored', async () => {
    const g = await garden();
    const plant = await g.plant(g.bed, { name: 'Sick one' });
    const end = (body: object) => g.agent.post(g.url(`/plants/${plant}/retire`)).send(body);
    await end({ because: 'boredom' }).expect(400);
    await end({ because: 'disease' }).expect(204);
    expect((await report(g)).ended).toEqual([{ name: 'Sick one', place: 'Bed', on: TODAY, because: 'disease' }]);
    await g.agent.post(g.url(`/plants/${plant}/restore`)).expect(204);
    expect((await report(g)).ended).toEqual([]);
    await end({ on: '2026-07-19' }).expect(400);
    await end({ on: '2026-05-01' }).expect(400);
    await end({}).expect(204);
    expect((await report(g)).ended).toMatchObject([{ because: null }]);
  });

  test('the review is saved once a season, and the next year’s plan begins with it', async () => {
    const g = await garden();
    const notes = { id: uuid(), year: 2026, worked: 'Mulch', change: 'Plant later' };
    await g.put('/season/notes', notes).expect(200);
    await g.put('/season/notes', notes).expect(200);
    expect((await g.season(2026)).notes).toMatchObject({ worked: 'Mulch', version: 1 });
    expect((await g.season(2027)).before).toMatchObject({ label: '2026', notes: { change: 'Plant later' } });
    expect((await g.season(2026)).before).toBeNull();
    const second = await g.put('/season/notes', { ...notes, id: uuid() }).expect(400);
    expect(second.body.faults).toEqual([{ path: 'year', reason: expect.stringMatching(/already has a review/) }]);
    // the kit is ticked beside it, and the year closed; not on a day to come
    const closed = { ...notes, version: 1, kit: ['string', 'cages'], closedOn: TODAY };
    await g.put('/season/notes', { ...closed, closedOn: '2026-12-31' }).expect(400);
    await g.put('/season/notes', { ...closed, kit: ['string', 'string'] }).expect(400);
    await g.put('/season/notes', { ...closed, kit: ['rake'] }).expect(400);
    await g.put('/season/notes', closed).expect(200);
    expect((await g.season(2026)).notes).toMatchObject({ worked: 'Mulch', kit: ['string', 'cages'], closedOn: TODAY });
    await g.put('/season/notes', { ...notes, version: 1, change: 'x'.repeat(4001) }).expect(400);
    const stranger = await garden();
    await stranger.put('/season/notes', { ...notes, year: 2025 }).expect(404);
  });
});

test('south of the equator a wilt found in January counts when August is planned', async () => {
  const g = await gardenOf(app);
  const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body as Record<string, unknown>;
  await g.agent
    .put('/api/gardens')
    .send({
      ...settings,
      latitude: -37,
      longitude: 145,
      timeZone: 'Australia/Melbourne',
      lastFrost: '10-01',
      firstFrost: '05-01',
      pinnedDate: '2026-01-20',
    })
    .expect(200);
  const bed = await g.place({ name: 'Bed' });
  const plant = await g.plant(bed, { transplantedOn: '2025-11-10' });
  await g.record(
    'inspection',
    { plantId: plant },
    {
      date: '2026-01-20',
      allClear: false,
      signs: ['stem-brown-inside', 'leaf-wilt-one-side', 'leaf-yellow-one-side'].map((sign) => ({
        sign,
        present: true,
      })),
    },
  );
  const [finding] = (await g.plantView(plant)).report.diagnosis;
  await g.agent
    .post(g.url(`/plants/${plant}/treatments`))
    .send({ id: uuid(), disorder: finding!.disorder })
    .expect(200);
  const { grown } = (await g.agent.get(g.url(`/places/${bed}/soil`)).expect(200)).body as { grown: object[] };
  expect(finding!.disorder).toBe('vascular-wilt');
  expect(grown).toEqual([{ year: 2025, family: 'nightshade', problems: ['vascular-wilt'] }]);
  await g.goTo('2026-08-05');
  const id = uuid();
  await g.agent.put(g.url('/plantings')).send({ id, year: 2026, placeId: bed, crop: 'tomato', count: 2 }).expect(200);
  const season = (await g.agent.get(g.url('/season')).expect(200)).body as { plantings: { rotation: object }[] };
  expect(season.plantings[0]!.rotation).toMatchObject({ verdict: 'soil-borne', open: ['vascular-wilt'] });
});
