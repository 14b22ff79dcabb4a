import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { useApp } from './app.js';
import { gardenOf } from './gardening.js';

/** What is not known is asked, what is taken on is climbed step by step, and a place has a weather of its own. */
const app = useApp();
const TODAY = '2026-07-18';
const POT = { kind: 'container', texture: 'potting-mix', volumeL: 14 };

test('without watering records no litres are shown anywhere; a finger check is asked, and then the plan counts', async () => {
  const g = await gardenOf(app);
  const place = await g.place(POT);
  const plant = await g.plant(place);
  await g.weather();
  const limp = { date: TODAY, allClear: false, signs: [{ sign: 'leaf-wilt', present: true }] };
  await g.record('inspection', { plantId: plant }, limp);
  const { report } = await g.plantView(plant);
  expect(report.water).toMatchObject({ known: false, nextWatering: null, evenness: null });
  expect(report.diagnosis[0]!.probability).toBeLessThan(0.5);
  expect(report.nextChecks[0]!.check).toBe('finger-test');
  expect(report.remedies.flatMap((r) => r.dose?.litres ?? [])).toEqual([]);
  const before = await g.view();
  expect(before.places[0]!.plants[0]).toMatchObject({ fractionAvailable: null, feelFirst: true, next: null });
  expect(before.today.map((t) => [t.key, t.litres, t.feel])).toEqual([
    [`water:feel-${place}`, null, true],
    [`so-far:${place}`, null, undefined],
  ]);
  expect((await g.plan())[0]!.pours[0]).toMatchObject({ plan: null, known: false, fractionAvailable: null });
  // ticking it writes nothing: it is answered by a finger
  await g.tick(before.today[0]!.key, { recordId: uuid() }).expect(200);
  const watering = async () => (await g.view()).today.filter((t) => t.source === 'water');
  expect(await watering()).toHaveLength(1);
  await g.notToday(before.today[0]!.key).expect(204);
  expect(await watering()).toEqual([]);
  await g.record('soil-check', { placeId: place }, { date: TODAY, feel: 'dry', depthCm: 5 });
  const after = await g.view();
  expect((await watering()).map((t) => t.key)).toEqual([`water:${plant}`]);
  expect(after.places[0]!.plants[0]).toMatchObject({ feelFirst: false });
  const dry = (await g.plantView(plant)).report;
  expect(dry.remedies.find((r) => r.remedy === 'water-now')!.dose!.litres).toBe(after.today[0]!.dose!.litres);
});

test('a place keeps its cover and its own warmth; indoors is a pot, and without its size no litres are shown', async () => {
  const g = await gardenOf(app);
  const told = { cover: 'glasshouse', vents: 'open', hollow: true, fillingCm: null, roomTMinC: null, roomTMaxC: null };
  await g.place({ ...told, name: 'Glass' });
  const sill = await g.place({
    kind: 'indoors',
    texture: 'potting-mix',
    lengthM: null,
    widthM: null,
    roomTMinC: 17,
    roomTMaxC: 24,
  });
  const seedling = await g.plant(sill, { stage: 'seedling', heightM: 0.1, transplantedOn: addDays(TODAY, -10) });
  await g.weather();
  await g.record('watering', { plantId: seedling }, { date: addDays(TODAY, -1), litres: 0.05 });
  const view = await g.view();
  expect(view.places.map((p) => p.place)).toMatchObject([told, { kind: 'indoors', roomTMinC: 17, roomTMaxC: 24 }]);
  expect(view.places[1]!.plants[0]).toMatchObject({ next: null, feelFirst: true });
  expect((await g.plantView(seedling)).report.notKnown.join()).toMatch(/how much the pot holds/);
  await g.changePlace(sill, { volumeL: 0.25 });
  const [task] = (await g.view()).today.filter((t) => t.source === 'water');
  expect(task?.litres ?? 0).toBeLessThan(0.3);
  const wrong = await g.agent
    .put(g.url('/places'))
    .send({ id: uuid(), name: 'x', kind: 'indoors', texture: 'potting-mix', roomTMinC: 25, roomTMaxC: 20 });
  expect([wrong.status, (wrong.body as { faults: { path: string }[] }).faults[0]!.path]).toEqual([400, 'roomTMinC']);
});

describe('step by step', () => {
  async function taken() {
    const g = await gardenOf(app);
    const place = await g.place({ ...POT, potMaterial: 'plastic' });
    const plant = await g.plant(place, { crop: 'pepper', type: 'sweet', heightM: 0.6 });
    await g.weather();
    for (const back of [26, 22, 18, 13, 9, 5, 1])
      await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 4 });
    const seen = ['pest-aphids', 'leaf-sticky', 'leaf-curl-tight-new'].map((sign) => ({ sign, present: true }));
    await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: false, signs: seen });
    const id = uuid();
    const start = () =>
      g.agent
        .post(g.url(`/plants/${plant}/treatments`))
        .send({ id, disorder: 'aphids' })
        .expect(200);
    await start();
    const answer = async (outcome: string) =>
      (
        await g.agent
          .post(g.url(`/treatments/${id}/outcome`))
          .send({ outcome })
          .expect(200)
      ).body as {
        step: number;
        stepsLeft: number;
        closedOn: string | null;
        followUpOn: string;
        remedies: string[];
      };
    const remedies = async () => (await g.view()).today.flatMap((t) => t.remedy ?? []);
    return { ...g, plant, start, answer, remedies };
  }

  test('starting a treatment schedules what comes first; the next step only after its follow-up says "not enough"', async () => {
    const g = await taken();
    expect(await g.remedies()).toEqual(expect.arrayContaining(['water-jet']));
    expect(await g.remedies()).not.toContain('soap-spray');
    await g.start(); // sent twice: once
    await g.goTo(addDays(TODAY, 5));
    const next = await g.answer('no-change');
    expect(next).toMatchObject({ step: 2, closedOn: null });
    expect(next.followUpOn > addDays(TODAY, 5)).toBe(true);
    // what belonged to the step before is ended, what comes now stands there
    expect(await g.remedies()).not.toContain('water-jet');
    expect((await g.remedies()).length).toBeGreaterThan(0);
    // the same answer sent twice climbs once
    expect((await g.answer('no-change')).step).toBe(2);
    let last = next;
    for (let day = 10; last.closedOn === null && day < 60; day += 5) {
      await g.goTo(addDays(TODAY, day));
      last = await g.answer('no-change');
      // never two sprays in one step
      expect((await g.remedies()).filter((r) => r.endsWith('-spray')).length).toBeLessThanOrEqual(1);
    }
    expect(last.closedOn).not.toBeNull();
    expect(last.stepsLeft).toBe(0);
  });

  test('a follow-up closes its own tasks; next season’s tasks stay and come due by themselves', async () => {
    const g = await gardenOf(app);
    const place = await g.place({});
    const plant = await g.plant(place, { habit: 'indeterminate' });
    await g.weather();
    for (const back of [20, 16, 12, 8, 4, 1])
      await g.record('watering', { plantId: plant }, { date: addDays(TODAY, -back), litres: 6, how: 'overhead' });
    const seen = ['leaf-target-spots', 'where-lower-leaves', 'pace-spreading-upward'].map((sign) => ({
      sign,
      present: true,
    }));
    await g.record('inspection', { plantId: plant }, { date: TODAY, allClear: false, signs: seen });
    const id = uuid();
    await g.agent
      .post(g.url(`/plants/${plant}/treatments`))
      .send({ id, disorder: 'early-blight' })
      .expect(200);
    // nothing makes it urgent; next season's work never is
    expect((await g.view()).today.filter((t) => t.source === 'remedy').map((t) => t.level)).not.toContain('urgent');
    // spotted leaves are cut in one visit; a bare bed is covered at its end, a mulched one is not
    const visit = async () => (await g.view()).today.find((t) => t.remedy === 'remove-infected-leaves')?.sequence;
    expect(await visit()).toEqual([
      'Go when the leaves are dry.',
      expect.stringMatching(/^Take a bucket/),
      expect.stringMatching(/^Pinch out suckers/),
      expect.stringMatching(/^Cover the bare soil/),
      expect.stringMatching(/^Bin or burn/),
    ]);
    await g.record(
      'covering',
      { placeId: place },
      { date: TODAY, what: 'mulch', did: 'on', material: 'straw', depthCm: 5 },
    );
    await g.record('event', { placeId: place }, { date: TODAY, what: 'tied' });
    expect((await visit())?.map((s) => s.slice(0, 6))).toEqual(['Go whe', 'Tie up', 'Take a', 'Pinch ', 'Bin or']);
    const { report } = await g.plantView(plant);
    const season = report.remedies.filter((r) => r.step === 0).map((r) => r.remedy);
    expect(season).toContain('rotate');
    // copper only when the milder steps were judged
    expect(report.remedies.map((r) => r.remedy)).not.toContain('copper-spray');
    await g.goTo(addDays(TODAY, 7));
    await g.agent
      .post(g.url(`/treatments/${id}/outcome`))
      .send({ outcome: 'worked' })
      .expect(200);
    expect((await g.view()).today.filter((t) => t.source === 'remedy')).toEqual([]);
    await g.goTo('2026-11-02');
    expect((await g.view()).today.flatMap((t) => (t.source === 'remedy' ? (t.remedy ?? []) : []))).toEqual(
      expect.arrayContaining(['rotate']),
    );
  });
});

test('a young plant with a leaf disease is urgent: on Today, and asked about in half the time; next season’s work is not', async () => {
  const treated = async (plant: object) => {
    const g = await gardenOf(app);
    const place = await g.place({});
    const id = await g.plant(place, plant);
    await g.weather();
    for (const back of [16, 12, 8, 4, 1])
      await g.record('watering', { plantId: id }, { date: addDays(TODAY, -back), litres: 4, how: 'overhead' });
    const signs = ['leaf-target-spots', 'where-lower-leaves', 'pace-spreading-upward'];
    const data = { date: TODAY, allClear: false, signs: signs.map((sign) => ({ sign, present: true })) };
    await g.record('inspection', { plantId: id }, data);
    const { body } = await g.agent
      .post(g.url(`/plants/${id}/treatments`))
      .send({ id: uuid(), disorder: 'early-blight' })
      .expect(200);
    const levels = async () =>
      (await g.view()).today.flatMap((t) => (t.source === 'remedy' ? [[t.remedy, t.level]] : []));
    return { g, levels, asked: (body as { followUpOn: string }).followUpOn };
  };
  const grown = await treated({ stage: 'fruiting' });
  expect(grown.asked).toBe(addDays(TODAY, 7));
  // suckers are pinched on the visit only where the cuts train a plant to stems: its habit is not recorded here
  const visit = (await grown.g.view()).today.find((t) => t.remedy === 'remove-infected-leaves');
  expect(visit?.sequence?.join()).toMatch(/^Go when(?!.*Pinch out)/);
  const young = await treated({ stage: 'vegetative', heightM: 0.4, transplantedOn: '2026-06-20' });
  expect(young.asked).toBe(addDays(TODAY, 4));
  expect(await young.levels()).toContainEqual(['remove-infected-leaves', 'urgent']);
  await young.g.goTo('2026-11-02');
  expect(await young.levels()).toContainEqual(['rotate', undefined]);
});

test('a cold night ahead asks each place by its exposure, on the evening before', async () => {
  const g = await gardenOf(app);
  const old = { transplantedOn: '2026-05-10' };
  for (const [name, facts] of Object.entries({
    Flat: {},
    Hollow: { hollow: true },
    Tunnel: { kind: 'tunnel-bed', vents: 'open' },
    Sill: { ...POT, cover: 'indoors' },
  }))
    await g.plant(await g.place({ name, ...facts }), { name: `In ${name}`, ...old });
  await g.plant(await g.place({ name: 'Fresh' }), {
    name: 'In Fresh',
    transplantedOn: addDays(TODAY, -5),
    heightM: 0.3,
  });
  app.station.ahead = { tMinC: 4.5 };
  try {
    await g.weather();
    const cold = (await g.view()).today.filter((t) => t.source === 'protect');
    expect(cold.map((t) => t.title).sort()).toEqual(['Frost: Fresh', 'Frost: Hollow']);
    expect(cold[0]!.acts![0]!.on).toBe(TODAY);
    expect(cold[0]!.why).toMatch(/at dawn on 19 July/);
    app.station.ahead = { tMinC: 8 };
    await g.weather();
    expect((await g.view()).today.filter((t) => t.source === 'protect').map((t) => t.title)).toEqual([
      'Cold nights: Fresh',
    ]);
    app.station.ahead = { tMinC: -2 };
    await g.weather();
    expect(
      (await g.view()).today
        .filter((t) => t.source === 'protect')
        .map((t) => t.title)
        .sort(),
    ).toEqual(['Flat', 'Fresh', 'Hollow', 'Tunnel'].map((name) => `Frost: ${name}`));
  } finally {
    app.station.ahead = {};
  }
});
