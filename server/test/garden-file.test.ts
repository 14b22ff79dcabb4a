import { readFileSync, writeFileSync } from 'node:fs';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_ACCOUNT, GARDEN, loadDemo } from '@candid-leaf/demo';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import sharp from 'sharp';
import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { gardenFileSchema } from '../src/transfer/garden-file.schema.js';
import { gardener, helper, potted, useApp, useFolder, type Agent } from './app.js';
import { binary, unzipped, zipped, type Files } from './garden-files.js';

const photos = useFolder();
const app = useApp({ photos });

/** A name as no careful program writes it: of the same length, so that it can be put in another's stead. */
const renamed = (zip: Buffer, from: string, to: string): Buffer =>
  Buffer.from(zip.toString('latin1').replaceAll(from, to), 'latin1');

const out = async (agent: Agent, garden: string): Promise<Buffer> =>
  (await agent.get(`/api/gardens/${garden}/file`).buffer().parse(binary).expect(200)).body as Buffer;
const into = (agent: Agent, garden: string, zip: Buffer) =>
  agent.put(`/api/gardens/${garden}/file`).set('content-type', 'application/zip').send(zip);

async function empty(): Promise<{ agent: Agent; garden: string }> {
  const g = await gardener(app);
  return { agent: g.agent, garden: g.garden };
}

describe('the demo garden, with everything in it', () => {
  let file: Buffer;
  let files: Files;
  let agent: Agent;
  beforeAll(async () => {
    const url = await app.listen();
    const { gardenId } = await loadDemo(url);
    agent = app.agent();
    await agent.post('/api/session').send({ email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password }).expect(201);
    file = await out(agent, gardenId);
    files = await unzipped(file);
  }, 120_000);

  test('exported, imported into an empty garden, and exported again: the same bytes, three times', async () => {
    for (const { agent: other, garden } of [await empty(), await empty()]) {
      const { body } = await into(other, garden, file).expect((r) => {
        if (r.status !== 200) throw new Error(r.text);
      });
      expect(body).toMatchObject({ photos: 5 });
      const again = await out(other, garden);
      const there = await unzipped(again);
      for (const name of Object.keys(files)) expect([name, there[name]!.equals(files[name]!)]).toEqual([name, true]);
      expect(again.equals(file)).toBe(true);
      // and the garden is alive: a plant is seen with its records
      const view = (await other.get(`/api/gardens/${garden}/view`).expect(200)).body as {
        places: unknown[];
        garden: { name: string };
      };
      expect(view.garden.name).toBe(GARDEN.name);
      expect(view.places.length).toBeGreaterThan(3);
    }
  }, 120_000);

  test('a file of the version before, with its old names, gives the same garden', async () => {
    const old: Record<string, string> = {
      varietyId: 'cultivarId',
      varietyUnsure: 'kindUnsure',
      method: 'school',
      moisture: 'lean',
      drierRipening: 'drierFinish',
      estimatedMinutes: 'reckoned',
      varieties: 'kinds',
    };
    const asBefore = (text: string): string =>
      Object.entries(old)
        .reduce((t, [now, before]) => t.replaceAll(`"${now}":`, `"${before}":`), text)
        .replaceAll('"#variety-', '"#kind-')
        .replace('"form":2', '"form":1');
    const places = Buffer.from(
      files['places.json']!.toString().replace('"watering":null', '"watering":{"method":"deep","moisture":"dry"}'),
    );
    const now: Files = { ...files, 'places.json': places };
    const { 'varieties.json': kinds, ...others } = now;
    const before = Object.fromEntries(
      Object.entries({ ...others, 'kinds.json': kinds! }).map(([name, data]) => [
        name,
        name.endsWith('.json') ? Buffer.from(asBefore(data.toString())) : data,
      ]),
    );
    expect(before['plants.json']!.toString()).toContain('"cultivarId":"#kind-');
    expect(before['places.json']!.toString()).toContain('"school":');
    const { agent: other, garden } = await empty();
    await into(other, garden, await zipped(before)).expect(200);
    const again = await unzipped(await out(other, garden));
    for (const [name, data] of Object.entries(now))
      expect([name, again[name]!.toString()]).toEqual([name, data.toString()]);
  }, 120_000);

  test('every row fits the published schema, by an independent validator; it holds no id and no address of a person', async () => {
    const ajv = new Ajv2020({ allowUnionTypes: true, strictTypes: false });
    addFormats.default(ajv);
    const published = JSON.parse(readFileSync(join(__dirname, '../../docs/garden-file.schema.json'), 'utf8')) as object;
    ajv.addSchema(published);
    for (const [name, data] of Object.entries(files)) {
      if (!name.endsWith('.json')) continue;
      const content = JSON.parse(data.toString()) as unknown;
      const definition = name === 'candid-leaf.json' ? 'manifest' : name.replace('.json', '');
      const validate = ajv.getSchema(`candid-leaf-garden-file-2#/$defs/${definition}`)!;
      for (const row of Array.isArray(content) ? content : [content])
        if (!validate(row)) throw new Error(`${name}: ${JSON.stringify(validate.errors)} of ${JSON.stringify(row)}`);
      expect([name, /[0-9a-f]{8}-[0-9a-f]{4}-/.test(data.toString())]).toEqual([name, false]);
      expect(data.toString()).not.toContain('@halt.example');
    }
  });

  test('the published schema matches the code', () => {
    const path = join(__dirname, '../../docs/garden-file.schema.json');
    const now = `${JSON.stringify(gardenFileSchema(app.service(DataSource)), null, 2)}\n`;
    if (process.env.WRITE_SCHEMA) writeFileSync(path, now);
    expect(readFileSync(path, 'utf8')).toBe(now);
  });

  test('a row that is wrong, dangling or out of place stops the whole import', async () => {
    const change = (name: string, work: (rows: Record<string, unknown>[]) => void): Promise<Buffer> => {
      const rows = JSON.parse(files[name]!.toString()) as Record<string, unknown>[];
      work(rows);
      return zipped({ ...files, [name]: Buffer.from(JSON.stringify(rows)) });
    };
    const bad: [RegExp, Buffer][] = [
      [/places\.json, row 1/, await change('places.json', (r) => (r[0]!.volumeL = -5))],
      [
        /plants\.json, row 2: it refers to #place-99/,
        await change('plants.json', (r) => (r[1]!.placeId = '#place-99')),
      ],
      [/records\.json, row 3/, await change('records.json', (r) => ((r[2]!.data as { date: unknown }).date = 'soon'))],
      [
        /records\.json, row 3/,
        await change('records.json', (r) => ((r[2]!.data as { date: unknown }).date = '9999-12-31')),
      ],
      [/places\.json, row 1: grown/, await change('places.json', (r) => (r[0]!.grown = 5))],
      [/treatments\.json, row 1: disorder/, await change('treatments.json', (r) => (r[0]!.disorder = 'bad-luck'))],
      [/treatments\.json, row 1: remedies/, await change('treatments.json', (r) => (r[0]!.remedies = 5))],
      [
        /treatments\.json, row 1: report\.finding/,
        await change('treatments.json', (r) => ((r[0]!.report as { finding: unknown }).finding = null)),
      ],
      [/treatment-tasks\.json, row 1: remedy/, await change('treatment-tasks.json', (r) => (r[0]!.remedy = 'luck'))],
      [/records\.json, row 1: type __proto__/, await change('records.json', (r) => (r[0]!.type = '__proto__'))],
      [
        /records\.json, row 1: plantId/,
        await change('records.json', (r) => Object.assign(r[0]!, { plantId: null, placeId: null })),
      ],
      [/plants\.json, row 1/, await change('plants.json', (r) => (r[0]!.transplantedOn = '1000-01-01'))],
      [
        /garden\.json/,
        await zipped({
          ...files,
          'garden.json': Buffer.from(
            JSON.stringify({ ...(JSON.parse(files['garden.json']!.toString()) as object), pinnedDate: '9999-12-31' }),
          ),
        }),
      ],
      [/records\.json, row 1/, await change('records.json', (r) => (r[0]!.gardenId = uuid()))],
      // a reference names a row of the right table, and rules beyond one field hold as on the page
      [
        /plants\.json, row 1: placeId must name a place/,
        await change('plants.json', (r) => (r[0]!.placeId = '#variety-1')),
      ],
      [/trials\.json, row 1: changed must name a plant/, await change('trials.json', (r) => (r[0]!.changed = 1))],
      [
        /trials\.json, row 1: untouched a plant can be in one group/,
        await change('trials.json', (r) => (r[0]!.untouched = r[0]!.changed)),
      ],
      [
        /places\.json, row \d: volumeL a container needs/,
        await change('places.json', (r) => (r.find((p) => p.kind === 'container')!.volumeL = null)),
      ],
      [
        /plants\.json, row \d+: type/,
        await change('plants.json', (r) => (r.find((p) => p.crop === 'tomato')!.type = 'hot')),
      ],
      [
        /varieties\.json, row \d: type/,
        await change('varieties.json', (r) => (r.find((v) => v.crop === 'tomato')!.type = 'hot')),
      ],
      [
        /plantings\.json, row 1: plantedOn cannot be planted out/,
        await change('plantings.json', (r) => Object.assign(r[0]!, { sownOn: '2026-03-01', plantedOn: '2026-02-01' })),
      ],
      [
        /products\.json, row 1: /,
        await change('products.json', (r) => Object.assign(r[0]!, { kind: 'feed', n: 60, p2o5: 60, k2o: 60 })),
      ],
      [
        /garden\.json: away\[0\]\.to must not be before/,
        await zipped({
          ...files,
          'garden.json': Buffer.from(
            JSON.stringify({
              ...(JSON.parse(files['garden.json']!.toString()) as object),
              away: [{ from: '2026-08-10', to: '2026-08-01' }],
            }),
          ),
        }),
      ],
      [/season-notes\.json: it should contain/, await change('season-notes.json', (r) => r.pop())],
      [
        /another form|must be equal to constant/,
        await zipped({ ...files, 'candid-leaf.json': Buffer.from('{"format":"x","form":1,"rows":{}}') }),
      ],
      [/garden\.json/, await zipped({ ...files, 'garden.json': Buffer.from('{') })],
      [
        /photos\/photo-2\.jpg/,
        await zipped({ ...files, 'photos/photo-2.jpg': Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>') }),
      ],
    ];
    const { agent: other, garden } = await empty();
    for (const [why, zip] of bad) {
      const { body, status } = await into(other, garden, zip);
      expect([status, (body as { message: string }).message]).toEqual([400, expect.stringMatching(why)]);
    }
    const view = (await other.get(`/api/gardens/${garden}/view`).expect(200)).body as { places: unknown[] };
    expect(view.places).toEqual([]);
    expect(readdirSync(photos).includes(garden) ? readdirSync(join(photos, garden)) : []).toEqual([]);
    await into(other, garden, file).expect(200);
  }, 120_000);

  test('a photo with hidden data is redrawn on import', async () => {
    const withPlace = await sharp(files['photos/photo-1.jpg'])
      .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '45/1 36/1 0/1' } })
      .jpeg()
      .toBuffer();
    const { agent: other, garden } = await empty();
    await into(other, garden, await zipped({ ...files, 'photos/photo-1.jpg': withPlace })).expect(200);
    const again = await unzipped(await out(other, garden));
    expect((await sharp(again['photos/photo-1.jpg']).metadata()).exif).toBeUndefined();
    expect(again['photos/photo-2.jpg']!.equals(files['photos/photo-2.jpg']!)).toBe(true);
  });
});

describe('what is not a garden file', () => {
  test('no zip, odd names, paths out of its folder, bombs: each is refused with a sentence', async () => {
    const { agent, garden } = await empty();
    const inside = { 'candid-leaf.json': Buffer.from('{}'), 'garden.json': Buffer.from('{}') };
    const zip = await zipped(inside);
    const bomb = await zipped({ ...inside, 'records.json': Buffer.alloc(50_000_000, '[') });
    const deep = await zipped({
      'candid-leaf.json': Buffer.from('{"format":"candid-leaf-garden","form":2,"rows":{}}'),
      'garden.json': Buffer.from('{}'),
    });
    for (const [why, data] of [
      [/not a zip file, or it is damaged/, Buffer.from('PK but not really')],
      [/damaged|no zip/, zip.subarray(0, zip.length - 30)],
      [/it contains "passwd"/, await zipped({ ...inside, passwd: Buffer.from('x') })],
      [/damaged|holds/, renamed(zip, 'garden.json', '../gard.jso')],
      [/damaged|holds/, renamed(zip, 'garden.json', '/etc/passwd')],
      [/damaged|holds/, renamed(zip, 'garden.json', 'C:\\gard.jso')],
      [/compressed in a suspicious way/, bomb],
      [/garden\.json/, deep],
    ] as [RegExp, Buffer][]) {
      const { status, body } = await into(agent, garden, data);
      expect([status, (body as { message: string }).message]).toEqual([400, expect.stringMatching(why)]);
    }
  });

  test('text is never taken for an id, and deleted things are not exported', async () => {
    const g = await gardener(app);
    const { plant } = await potted(g);
    const note = async (text: string) => {
      const id = uuid();
      await g.agent
        .put(g.url('/records'))
        .send({ id, type: 'note', plantId: plant, data: { date: '2026-07-18', text } })
        .expect(200);
      return id;
    };
    await note('#plant-1');
    await note(plant);
    await g.agent.delete(g.url(`/records/${await note('a slip')}`)).expect(204);
    const { agent, garden } = await empty();
    const file = await out(g.agent, g.garden);
    await into(agent, garden, file).expect(200);
    const notes = (await agent.get(`/api/gardens/${garden}/records`).expect(200)).body as { data: { text: string } }[];
    expect(notes.map((r) => r.data.text).sort()).toEqual(['#plant-1', plant].sort());
    expect((await out(agent, garden)).equals(file)).toBe(true);
  });

  test('a garden that is not empty takes none, and only its managers may import one', async () => {
    const g = await gardener(app);
    const mia = await helper(app, g, 'record');
    const file = await out(g.agent, g.garden);
    await into(mia.agent, g.garden, file).expect(403);
    await into(g.agent, g.garden, file).expect(200);
    await potted(g);
    await into(g.agent, g.garden, file).expect(409);
  });
});
