import type { BenchDto, GardenView, PlacePlanDto, PlantView } from '@candid-leaf/contract';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { gardener, potted, useApp, useHoseTimer } from './app.js';
import { gardenOf } from './gardening.js';

const timer = useHoseTimer();
const app = useApp(() => ({ timerHosts: [timer.url] }));
const TODAY = '2026-07-18';

async function dripBed() {
  const g = await gardener(app);
  const place = uuid();
  const input = {
    id: place,
    name: 'Drip bed',
    kind: 'ground',
    texture: 'sandy-loam',
    lengthM: 2,
    widthM: 0.5,
    irrigation: 'drip',
    flowLPerH: 16,
    watering: { method: 'by-need', timerZone: 2 },
  };
  await g.agent
    .put(g.url('/timer'))
    .send({ address: `${timer.url}/boxes/${g.garden}`, secret: 'under-the-tap' })
    .expect(200);
  const put = async (change: object = {}) => {
    const view = (await g.agent.get(g.url('/view')).expect(200)).body as GardenView;
    const version = view.places.find((p) => p.place.id === place)?.place.version;
    return g.agent.put(g.url('/places')).send({ ...input, ...change, ...(version ? { version } : {}) });
  };
  expect((await put()).status).toBe(200);
  for (const name of ['One', 'Two'])
    await g.agent
      .put(g.url('/plants'))
      .send({
        id: uuid(),
        placeId: place,
        name,
        crop: 'tomato',
        stage: 'fruiting',
        transplantedOn: '2026-05-20',
        heightM: 1.2,
      })
      .expect(200);
  await g.agent.post(g.url('/weather/pull')).expect(200);
  // what it got is not known before somebody says so
  const felt = { id: uuid(), type: 'soil-check', placeId: place, data: { date: addDays(TODAY, -1), feel: 'damp' } };
  await g.agent.put(g.url('/records')).send(felt).expect(200);
  const plan = async () => (await g.agent.get(g.url(`/places/${place}/plan`)).expect(200)).body as PlacePlanDto;
  const timerAct = async (act: 'send' | 'read') =>
    (await g.agent.post(g.url(`/places/${place}/timer/${act}`)).expect(200)).body as PlacePlanDto;
  return { ...g, place, put, plan, timerAct };
}
const fault = (garden: string, query: string) => fetch(`${timer.url}/fault?box=${garden}&${query}`, { method: 'POST' });

test('a week is planned in days, litres and minutes; rules hold; faults are named', async () => {
  const bed = await dripBed();
  const p = await bed.plan();
  expect(p.pours[0]!.plan!.days).toHaveLength(7);
  expect(p.pours[0]!.plan!.days[0]!.date).toBe(TODAY);
  const run = p.pours[0]!.plan!.days.find((d) => d.litres > 0)!;
  // two plants share 16 L/h: 8 each
  expect(run.steps!.minutes! * run.steps!.times).toBeCloseTo((run.litres / 8) * 60, 4);
  expect(p.methods).not.toContain('half-often');
  expect((await bed.put({ watering: { method: 'by-need', allowedDays: [3], timerZone: 2 } })).status).toBe(200);
  for (const d of (await bed.plan()).pours[0]!.plan!.days)
    if (d.litres > 0) expect(new Date(d.date).getUTCDay()).toBe(3);
  for (const [watering, path] of [
    [{ method: 'moonlight' }, 'watering.method'],
    [{ allowedDays: [7] }, 'watering.allowedDays'],
    [{ timerZone: 9 }, 'watering.timerZone'],
  ] as const) {
    const refused = await bed.put({ watering });
    expect([refused.status, (refused.body as { faults: { path: string }[] }).faults[0]!.path]).toEqual([400, path]);
  }
  // an emitter of 500 L/h, a pot of 0.02 L, a hole that never drains: asked about
  for (const [change, reason] of [
    [{ flowLPerH: 500 }, /is it for the whole bed or pot/],
    [{ kind: 'container', volumeL: 0.02 }, /0.03 litres \(a seedling cell\) or more/],
    [{ drainageMmPerH: 0 }, /never drains is a pond/],
  ] as const) {
    const refused = await bed.put(change);
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([400, expect.stringMatching(reason)]);
  }
  // a finger corrects it
  const before = (await bed.plan()).pours[0]!.fractionAvailable!;
  await bed.agent
    .put(bed.url('/records'))
    .send({
      id: uuid(),
      type: 'soil-check',
      placeId: bed.place,
      data: { date: TODAY, feel: 'wet', depthCm: 5, by: 'finger' },
    })
    .expect(200);
  const { fractionAvailable: left } = (await bed.plan()).pours[0]!;
  expect(left!).toBeGreaterThan(before);
  // a small plant drinks less: the garden's page gives the water of the driest, as the plan does
  const small = {
    placeId: bed.place,
    name: 'Three',
    crop: 'tomato',
    transplantedOn: addDays(TODAY, -20),
    heightM: 0.3,
  };
  await bed.agent
    .put(bed.url('/plants'))
    .send({ id: uuid(), ...small, stage: 'vegetative' })
    .expect(200);
  const { body } = await bed.agent.get(bed.url('/view')).expect(200);
  const { speakerId, plants } = (body as GardenView).places[0]!;
  const [pour] = (await bed.plan()).pours;
  expect(plants.find((one) => one.plant.id === speakerId)).toMatchObject({
    plant: { name: pour!.speaker },
    fractionAvailable: pour!.fractionAvailable,
  });
  expect(Math.max(...plants.map((one) => one.fractionAvailable!))).toBeGreaterThan(pour!.fractionAvailable! + 0.01);
});

test('the plan goes to the timer and comes back as records, once; a clogged filter and a dead timer are noticed', async () => {
  const bed = await dripBed();
  const sent = await bed.timerAct('send');
  expect(sent.timer!.sentAt).not.toBeNull();
  const planned = sent.pours[0]!.plan!.days.filter((d) => d.litres > 0);
  expect(sent.timer!.runs.map((r) => r.day)).toEqual(planned.map((d) => d.date));
  expect(sent.timer!.runs[0]!.litres).toBeCloseTo(planned[0]!.litres * 2, 1);
  // the days go by; by then the first run has been made, with half the filter clogged
  const day = planned[0]!.date;
  const garden = ((await bed.agent.get(bed.url('/view'))).body as GardenView).garden;
  const { today: _t, ...input } = garden;
  await bed.agent
    .put('/api/gardens')
    .send({ ...input, pinnedDate: addDays(day, 1) })
    .expect(200);
  await fault(bed.garden, 'clogged=true');
  const read = await bed.timerAct('read');
  await fault(bed.garden, 'clogged=false');
  const run = read.timer!.runs.find((r) => r.day === day)!;
  expect(run.ranLitres).toBeCloseTo(run.litres * 0.4, 0);
  expect(run.differs).toMatch(/check the filter/);
  const records = async () =>
    (
      (await bed.agent.get(bed.url(`/records?placeId=${bed.place}`)).expect(200)).body as {
        type: string;
        day: string;
        data: { litres: number };
      }[]
    ).filter((r) => r.type === 'watering');
  expect(await records()).toHaveLength(1);
  expect((await records())[0]!.data.litres).toBeCloseTo(run.ranLitres! / 2, 1);
  await bed.timerAct('read'); // asked again: nothing new
  expect(await records()).toHaveLength(1);
  await fault(bed.garden, 'offline=true');
  const dead = await bed.timerAct('send');
  await fault(bed.garden, 'offline=false');
  expect(dead.timer!.trouble).toMatch(/503/);
  expect(dead.timer!.sentAt).toBe(read.timer!.sentAt);
  expect((await bed.timerAct('send')).timer!.trouble).toBeNull();
});

test('nobody else’s plan, timer or comparison can be reached', async () => {
  const mine = await gardener(app);
  const bed = await dripBed();
  await mine.agent.get(bed.url('/plan')).expect(404);
  await mine.agent.get(mine.url(`/places/${bed.place}/plan`)).expect(404);
  await mine.agent.post(bed.url(`/places/${bed.place}/timer/send`)).expect(404);
  await app.http().get(bed.url('/benches')).expect(401);
  const bench = {
    id: uuid(),
    placeId: bed.place,
    name: 'x',
    weather: 'simulated',
    years: 20,
    setUps: [
      { name: 'a', strategy: 'deep' },
      { name: 'b', strategy: 'daily' },
    ],
  };
  await mine.agent.put(mine.url('/benches')).send(bench).expect(404);
});

test('set-ups are saved once, changed with their version, refused with a reason, and deleted', async () => {
  const g = await gardener(app);
  const { place } = await potted(g);
  const bench = {
    id: uuid(),
    placeId: place,
    name: 'Soak or sip',
    weather: 'simulated',
    years: 50,
    setUps: [
      { name: 'Soak', strategy: 'timer', everyDays: 7 },
      { name: 'Sip', strategy: 'half-often' },
    ],
  };
  await g.agent.put(g.url('/benches')).send(bench).expect(200);
  await g.agent.put(g.url('/benches')).send(bench).expect(200);
  const list = async () => (await g.agent.get(g.url('/benches')).expect(200)).body as BenchDto[];
  expect(await list()).toEqual([{ ...bench, version: 1 }]);
  await g.agent
    .put(g.url('/benches'))
    .send({ ...bench, name: 'Other', version: 1 })
    .expect(200);
  await g.agent
    .put(g.url('/benches'))
    .send({ ...bench, name: 'Third', version: 1 })
    .expect(409);
  const one = await g.agent
    .put(g.url('/benches'))
    .send({ ...bench, id: uuid(), setUps: bench.setUps.slice(1) })
    .expect(400);
  expect(JSON.stringify(one.body)).toContain('choose at least two');
  const tiny = { ...bench, id: uuid(), setUps: [{ name: 'a', strategy: 'daily', volumeL: 0.2 }, bench.setUps[0]] };
  expect(JSON.stringify((await g.agent.put(g.url('/benches')).send(tiny).expect(400)).body)).toContain(
    'did you mean litres?',
  );
  await g.agent.delete(g.url(`/benches/${bench.id}`)).expect(204);
  await g.agent.delete(g.url(`/benches/${bench.id}`)).expect(204);
  expect(await list()).toEqual([]);
});

test('in heat a bed gets cloth, drawn with its plants; pots go into the shade, and over film it is laid from outside', async () => {
  const g = await gardener(app);
  await potted(g);
  const heat = async () =>
    ((await g.agent.get(g.url('/view')).expect(200)).body as GardenView).today.filter((t) => t.source === 'protect');
  app.station.ahead = { tMaxC: 36 };
  try {
    await g.agent.post(g.url('/weather/pull')).expect(200);
    for (const [name, kind] of [
      ['Open', 'ground'],
      ['Tunnel', 'tunnel-bed'],
    ]) {
      const id = uuid();
      await g.agent
        .put(g.url('/places'))
        .send({ id, name, kind, texture: 'loam', lengthM: 2, widthM: 0.6 })
        .expect(200);
      const grown = { crop: 'tomato', type: 'slicer', stage: 'fruiting', transplantedOn: '2026-05-08', heightM: 1.2 };
      await g.agent
        .put(g.url('/plants'))
        .send({ id: uuid(), placeId: id, name: `In ${name}`, ...grown })
        .expect(200);
    }
    const open = async () => (await heat()).find((t) => t.title === 'Heat: Open')!.hang?.on;
    expect(await open()).toBe('poles');
    // a cage that is recorded for the whole bed carries it
    const bed = ((await g.agent.get(g.url('/view')).expect(200)).body as GardenView).places.find(
      (p) => p.place.name === 'Open',
    )!;
    const data = { date: TODAY, what: 'cage' };
    await g.agent.put(g.url('/records')).send({ id: uuid(), type: 'support', placeId: bed.place.id, data }).expect(200);
    const shaded = await heat();
    expect(shaded.map((t) => [t.title, t.hang?.on, t.hang?.plants.map((p) => p.name)])).toEqual([
      ['Heat: Pots', undefined, undefined],
      ['Heat: Open', 'cages', ['In Open']],
      ['Heat: Tunnel', undefined, undefined],
    ]);
  } finally {
    app.station.ahead = {};
  }
});

test('a heat wave ahead is in Today with dates and amounts, changes with the forecast, and can be postponed or done', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const watered = { id: uuid(), type: 'watering', plantId: plant, data: { date: addDays(TODAY, -1), litres: 3 } };
  await g.agent.put(g.url('/records')).send(watered).expect(200);
  const view = async () => (await g.agent.get(g.url('/view')).expect(200)).body as GardenView;
  const heat = async () => (await view()).today.filter((t) => t.source === 'protect');
  await g.agent.post(g.url('/weather/pull')).expect(200);
  expect(await heat()).toEqual([]);
  app.station.ahead = { tMaxC: 36 };
  try {
    await g.agent.post(g.url('/weather/pull')).expect(200);
    const [task] = await heat();
    expect(task).toMatchObject({ title: 'Heat: Pots', dueOn: TODAY });
    expect(task!.acts!.map((a) => a.text).join(' ')).toMatch(/Lift the pots.*into shade.*feed at half strength only/s);
    expect(task!.acts!.some((a) => /Plants use about \d+ % more than recently/.test(a.text))).toBe(true);
    await g.agent.post(g.url(`/tasks/${encodeURIComponent(task!.key)}/not-today`)).expect(204);
    expect(await heat()).toEqual([]);
    await g.agent
      .post(g.url(`/tasks/${encodeURIComponent(task!.key)}/undo`))
      .send({})
      .expect(204);
    await g.agent
      .post(g.url(`/tasks/${encodeURIComponent(task!.key)}/done`))
      .send({ recordId: uuid() })
      .expect(200);
    expect(await heat()).toEqual([]);
    // one day's tick does not dismiss the spell: the next day of it asks again
    const { today: _t, ...settings } = (await g.agent.get(g.url('')).expect(200)).body as GardenView['garden'];
    await g.agent
      .put('/api/gardens')
      .send({ ...settings, pinnedDate: addDays(TODAY, 1) })
      .expect(200);
    const [tomorrow] = await heat();
    expect(tomorrow!.key).not.toBe(task!.key);
    await g.agent
      .put('/api/gardens')
      .send({ ...settings, version: settings.version + 1, pinnedDate: TODAY })
      .expect(200);
  } finally {
    app.station.ahead = {};
  }
  await g.agent.post(g.url('/weather/pull')).expect(200);
  expect(await heat()).toEqual([]); // the forecast has changed
});

test('where measurements moved the estimate is listed day by day', async () => {
  const g = await gardener(app);
  const { plant } = await potted(g);
  await g.agent.post(g.url('/weather/pull')).expect(200);
  await g.agent
    .put(g.url('/records'))
    .send({ id: uuid(), type: 'soil-check', plantId: plant, data: { date: TODAY, feel: 'wet', by: 'probe' } })
    .expect(200);
  const view = (await g.agent.get(g.url(`/plants/${plant}/view`)).expect(200)).body as PlantView;
  expect(view.report.water.daily.at(-1)).toMatchObject({ date: TODAY, correctedBy: 'probe' });
  const through = { date: TODAY, litres: 2, how: 'base', end: 'ran-through' };
  await g.agent
    .put(g.url('/records'))
    .send({ id: uuid(), type: 'watering', plantId: plant, data: through })
    .expect(200);
  const after = (await g.agent.get(g.url(`/plants/${plant}/view`)).expect(200)).body as PlantView;
  expect(after.report.water.daily.at(-1)!.correctedBy).toBe('drained');
});

test('minutes without a flow are saved as an unknown amount, and count once the flow is measured', async () => {
  const bed = await dripBed();
  expect((await bed.put({ flowLPerH: null })).status).toBe(200);
  const data = { date: TODAY, minutes: 30 };
  await bed.agent.put(bed.url('/records')).send({ id: uuid(), type: 'watering', placeId: bed.place, data }).expect(200);
  const today = async () => {
    const { places } = (await bed.agent.get(bed.url('/view')).expect(200)).body as GardenView;
    const plant = places.find((p) => p.place.id === bed.place)!.plants[0]!;
    const view = (await bed.agent.get(bed.url(`/plants/${plant.plant.id}/view`)).expect(200)).body as PlantView;
    return { saved: view.records.find((r) => r.type === 'watering')!.data, ...view.report.water.daily.at(-1)! };
  };
  const unknown = await today();
  expect(unknown.saved).toEqual({ date: TODAY, minutes: 30, how: 'drip' });
  expect(unknown.irrigationL).toBeGreaterThan(0);
  expect((await bed.plan()).pours[0]!.plan!.days[0]!.why).toContain('amount unknown');
  expect((await bed.put({ flowLPerH: 32 })).status).toBe(200);
  // half an hour of 32 L an hour, shared by two
  expect((await today()).irrigationL).toBeCloseTo(8, 6);
});

test('a timer fills the balance and the plan until it is changed, and Today asks once a week whether it is right', async () => {
  const bed = await dripBed();
  const put = (data: object) =>
    bed.agent.put(bed.url('/records')).send({ id: uuid(), type: 'timer', placeId: bed.place, data });
  await put({ date: addDays(TODAY, -20), everyDays: 2, minutes: 30 }).expect(200);
  const view = async () => (await bed.agent.get(bed.url('/view')).expect(200)).body as GardenView;
  const plant = (await view()).places.find((p) => p.place.id === bed.place)!.plants[0]!.plant.id;
  const given = async () => {
    const { report } = (await bed.agent.get(bed.url(`/plants/${plant}/view`)).expect(200)).body as PlantView;
    return report.water.daily.slice(-4).map((d) => Math.round(d.irrigationL * 10) / 10);
  };
  // 16 L an hour, shared by two plants: 4 L in half an hour, today again
  expect(await given()).toEqual([0, 4, 0, 4]);
  const [, , third] = (await bed.plan()).pours[0]!.plan!.days;
  expect(third).toMatchObject({ givenL: 4 });
  const asked = async () => (await view()).today.find((t) => t.asks?.includes('timer'));
  expect((await asked())?.timer).toMatchObject({ everyDays: 2, minutes: 30 });
  await put({ date: TODAY, since: addDays(TODAY, -20), everyDays: 2, minutes: 30 }).expect(200);
  expect(await asked()).toBeUndefined();
  expect(await given()).toEqual([0, 4, 0, 4]);
  // what it gives a day for each plant, beside what it gave before
  const gives = async () => (await bed.plan()).timerGives.map((t) => [t.litresPerDay, t.startHour]);
  expect(await gives()).toEqual([[2, null]]);
  await put({ date: TODAY, off: true, startHour: 12 }).expect(200);
  expect(await gives()).toEqual([
    [0, 12],
    [2, null],
  ]);
  expect(await given()).toEqual([0, 4, 0, 0]);
  await put({ date: TODAY, everyDays: 15, minutes: 30 }).expect(400);
  await put({ date: TODAY, minutes: 30 }).expect(400);
});

test('a pot that is watered but never measured is felt once; then Today asks again after a week', async () => {
  const g = await gardenOf(app);
  const pot = await g.place({ name: 'Tub', kind: 'container', texture: 'potting-mix', volumeL: 20 });
  await g.plant(pot);
  await g.weather();
  for (let back = 20; back >= 0; back--)
    await g.record('watering', { placeId: pot }, { date: addDays(TODAY, -back), litres: 2 });
  const asked = async () => (await g.view()).today.filter((t) => t.feel).map((t) => t.why);
  expect(await asked()).toEqual([expect.stringMatching(/^not measured this season, and small errors add up/)]);
  await g.record('soil-check', { placeId: pot }, { date: TODAY, feel: 'damp', depthCm: 5 });
  expect(await asked()).toEqual([]);
  await g.goTo(addDays(TODAY, 7));
  await g.weather();
  expect(await asked()).toEqual([expect.stringMatching(/^not measured since 18 July/)]);
});

test('a plant felt dry on days when others were damp is named on its bed’s plan; probes and checks after watering say nothing', async () => {
  const g = await gardenOf(app);
  const sunny = await g.place({ name: 'Sunny', sunHours: 9 });
  const shady = await g.place({ name: 'Shady', sunHours: 5 });
  const high = await g.plant(sunny, { name: 'High one' });
  await g.plant(shady, { name: 'Low one' });
  const order = async (place: string) =>
    ((await g.agent.get(g.url(`/places/${place}/plan`)).expect(200)).body as PlacePlanDto).order;
  for (const back of [2, 4, 6, 8]) {
    const date = addDays(TODAY, -back);
    const what = back === 8 ? { by: 'probe' } : back === 6 ? { after: true } : {};
    await g.record('soil-check', { plantId: high }, { date, feel: 'dry', ...what });
    await g.record('soil-check', { placeId: shady }, { date, feel: 'damp' });
  }
  expect(await order(sunny)).toEqual([]);
  await g.record('soil-check', { plantId: high }, { date: addDays(TODAY, -9), feel: 'dry' });
  await g.record('soil-check', { placeId: shady }, { date: addDays(TODAY, -9), feel: 'damp' });
  expect(await order(sunny)).toEqual([
    'Dries first: High one, on 3 of 3 days compared (more sun). Feel it before the others.',
  ]);
  expect(await order(shady)).toEqual([]);
});
