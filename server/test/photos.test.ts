import { existsSync, readdirSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_ACCOUNT } from '@candid-leaf/demo';
import exifr from 'exifr';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import { LeavingService } from '../src/people/leaving.service.js';
import { PhotosService } from '../src/photos/photos.service.js';
import { Clock } from '../src/shared/clock.js';
import { gardener, helper, potted, startApp, useApp, useFolder } from './app.js';

const folder = useFolder();
const app = useApp({ photos: folder, photoMb: 1 });
afterEach(() => jest.restoreAllMocks());

const DAY_MS = 24 * 3600 * 1000;
const later = (days: number): void => {
  const then = new Date(Date.now() + days * DAY_MS);
  jest.spyOn(app.service(Clock), 'now').mockImplementation(() => then);
};

/** A photo as a phone writes it: lying on its side, with the place where it was taken, red at what is its top once it is turned. */
async function fromPhone(): Promise<Buffer> {
  const red = await sharp({ create: { width: 100, height: 600, channels: 3, background: '#c00' } })
    .png()
    .toBuffer();
  return sharp({ create: { width: 800, height: 600, channels: 3, background: '#0a0' } })
    .composite([{ input: red, left: 0, top: 0 }])
    .withExif({
      IFD0: { Make: 'A maker', Orientation: '6' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '45/1 36/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '8/1 54/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
}
const noise = (width: number, height: number): Promise<Buffer> =>
  sharp({
    create: { width, height, channels: 3, background: '#fff', noise: { type: 'gaussian', mean: 128, sigma: 60 } },
  })
    .png({ compressionLevel: 1 })
    .toBuffer();

async function started() {
  const g = await gardener(app);
  const { plant, place } = await potted(g);
  const put = (data: Buffer, id = uuid(), of = `plantId=${plant}&day=2026-07-18`) =>
    g.agent
      .put(g.url(`/photos/${id}?${of}`))
      .set('content-type', 'image/jpeg')
      .send(data);
  return { g, plant, place, put };
}

test('it is turned upright, made smaller, and loses where and with what it was taken', async () => {
  const { g, plant, put } = await started();
  const raw = await fromPhone();
  expect(await exifr.gps(raw)).toMatchObject({ latitude: 45.6, longitude: 8.9 });
  const id = uuid();
  const { body } = await put(raw, id, `plantId=${plant}&day=2026-07-18&sign=fruit-blossom-end-dark`).expect((r) => {
    if (r.status !== 200) throw new Error(r.text);
  });
  expect(body).toMatchObject({ id, plantId: plant, placeId: null, width: 600, height: 800 });
  const whole = (
    await g.agent
      .get(g.url(`/photos/${id}/whole`))
      .buffer()
      .expect(200)
  ).body as Buffer;
  expect(await exifr.parse(whole, true)).toBeUndefined();
  expect(await exifr.gps(whole).catch(() => undefined)).toBeUndefined();
  const [r, , b] = await sharp(whole).extract({ left: 300, top: 20, width: 1, height: 1 }).raw().toBuffer();
  expect(r).toBeGreaterThan(150);
  expect(b).toBeLessThan(60);
  const small = (
    await g.agent
      .get(g.url(`/photos/${id}/small`))
      .buffer()
      .expect(200)
  ).body as Buffer;
  expect(await sharp(small).metadata()).toMatchObject({ width: 240, height: 320 });
  const large = await put(await noise(2000, 1000)).expect(200);
  expect(large.body).toMatchObject({ width: 1600, height: 800 });
});

test('a browser may cache it, and asks each time whether it may still show it', async () => {
  const { g, put } = await started();
  const id = uuid();
  await put(await fromPhone(), id).expect(200);
  const first = await g.agent.get(g.url(`/photos/${id}/small`)).expect(200);
  expect(first.headers['cache-control']).toBe('private, no-cache');
  const tag = first.headers.etag!;
  await g.agent
    .get(g.url(`/photos/${id}/small`))
    .set('if-none-match', tag)
    .expect(304);
  await app
    .http()
    .get(g.url(`/photos/${id}/small`))
    .set('if-none-match', tag)
    .expect(401);
});

test('sent twice, saved once; deleted, it can be restored for a month, and then leaves the disk', async () => {
  const { g, plant, put } = await started();
  const id = uuid();
  const raw = await fromPhone();
  const [a, b] = await Promise.all([put(raw, id), put(raw, id)]);
  expect([a.status, b.status]).toEqual([200, 200]);
  await put(await noise(20, 20), id).expect(200);
  const list = async () => (await g.agent.get(g.url(`/photos?plantId=${plant}`)).expect(200)).body as unknown[];
  expect(await list()).toMatchObject([{ id, width: 600 }]);
  await g.agent.delete(g.url(`/photos/${id}`)).expect(204);
  expect(await list()).toEqual([]);
  await g.agent.get(g.url(`/photos/${id}/whole`)).expect(404);
  await put(raw, id).expect(409);
  await g.agent.post(g.url(`/photos/${id}/restore`)).expect(204);
  expect(await list()).toHaveLength(1);
  await g.agent.delete(g.url(`/photos/${id}`)).expect(204);
  later(29);
  await app.service(PhotosService).sweep();
  expect(readdirSync(join(folder, g.garden))).toHaveLength(2);
  later(31);
  await app.service(PhotosService).sweep();
  expect(readdirSync(join(folder, g.garden))).toEqual([]);
});

test('a file that is not a photo is refused by its content, whatever its name, and leaves nothing behind', async () => {
  const { g, put } = await started();
  const whole = await fromPhone();
  const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><image href="file:///etc/passwd"/></svg>');
  const wall = await sharp({ create: { width: 12_000, height: 12_000, channels: 3, background: '#fff' } })
    .png()
    .toBuffer();
  const gif = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#fff' } })
    .gif()
    .toBuffer();
  for (const bad of [
    svg,
    wall,
    gif,
    Buffer.from('hello'),
    whole.subarray(0, 400),
    Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(500, 7)]),
  ])
    await put(bad).expect(415);
  await put(Buffer.alloc(8_000_001)).expect(413);
  await g.agent
    .put(g.url(`/photos/${uuid()}?day=2026-07-18`))
    .send(whole)
    .expect(400);
  expect(existsSync(join(folder, g.garden))).toBe(false);
});

test('it belongs to one plant or place of this garden, on a past day, within the limits', async () => {
  const { g, plant, place, put } = await started();
  const theirs = await started();
  const dot = await noise(20, 20);
  await put(dot, uuid(), `plantId=${theirs.plant}&day=2026-07-18`).expect(404);
  await put(dot, uuid(), `placeId=${theirs.place}&day=2026-07-18`).expect(404);
  await put(dot, uuid(), `plantId=${plant}&placeId=${place}&day=2026-07-18`).expect(400);
  await put(dot, uuid(), `plantId=${plant}&day=2026-07-19`).expect(400);
  await put(dot, uuid(), `plantId=${plant}&day=2026-07-18&sign=nothing`).expect(400);
  const id = uuid();
  await put(dot, id, `placeId=${place}&day=2026-07-01`).expect(200);
  await theirs.put(dot, id).expect(404);
  const grain = await noise(1200, 1200);
  let status = 200;
  for (let i = 0; status === 200 && i < 20; i++) ({ status } = await put(grain));
  expect(status).toBe(413);
  await theirs.put(dot).expect(200);
  // one that was thrown away still fills its room, for a month; a little one may still fit beside the large ones
  await g.agent.delete(g.url(`/photos/${id}`)).expect(204);
  await put(grain).expect(413);
  await put(dot).expect(200);
});

test('a photo missing from the disk takes nothing else along; an account that goes takes its photos', async () => {
  const { g, put } = await started();
  const [a, b] = [uuid(), uuid()];
  await put(await noise(20, 20), a).expect(200);
  await put(await noise(20, 20), b).expect(200);
  rmSync(join(folder, g.garden, `${a}.jpg`));
  await g.agent.get(g.url(`/photos/${a}/whole`)).expect(404);
  await g.agent.get(g.url(`/photos/${b}/whole`)).expect(200);
  writeFileSync(join(folder, 'other'), 'of somebody else');
  await g.agent.post('/api/account/leaving').send({ password: DEMO_ACCOUNT.password }).expect(200);
  later(15);
  await app.service(LeavingService).sweep();
  expect(existsSync(join(folder, g.garden))).toBe(false);
  expect(existsSync(join(folder, 'other'))).toBe(true);
});

test('a server that stores no photos says so', async () => {
  const bare = await startApp({ photos: null });
  try {
    const g = await gardener(bare);
    const { plant } = await potted(g);
    const answer = await g.agent
      .put(g.url(`/photos/${uuid()}?plantId=${plant}&day=2026-07-18`))
      .send(await noise(20, 20))
      .expect(503);
    expect((answer.body as { message: string }).message).toContain('does not store photos');
  } finally {
    await bare.stop();
  }
});

test('a list holds only the photos of its own garden and subject, whatever ids are asked for', async () => {
  const [a, b] = [await started(), await started()];
  await a.put(await fromPhone()).expect(200);
  await b.put(await fromPhone()).expect(200);
  const ids = async (g: typeof a, query = '') =>
    ((await g.g.agent.get(g.g.url(`/photos${query}`))).body as { id: string }[]).map?.((p) => p.id);
  const own = await ids(a, `?plantId=${a.plant}`);
  expect(own).toHaveLength(1);
  expect(await ids(b, `?plantId=${b.plant}`)).toHaveLength(1);
  expect(await ids(b)).not.toContain(own[0]);
  expect((await ids(b, `?plantId=${a.plant}`)) ?? []).toEqual([]);
});

test('a picture of more than 24 megapixels is refused before it is unpacked', async () => {
  const { put } = await started();
  const flat = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#4a7' } })
      .png({ compressionLevel: 9 })
      .toBuffer();
  await put(await flat(6000, 4000)).expect(200);
  await put(await flat(6001, 4000)).expect(415);
});

test('a photo refused by the quota leaves no file; what belongs to nothing is tidied away, after an hour', async () => {
  const { g, put } = await started();
  const onDisk = (): string[] => {
    const own = join(folder, g.garden);
    return existsSync(own) ? readdirSync(own).sort() : [];
  };
  // each is about 0.4 MB as kept; the third would be over one
  const large = await noise(900, 900);
  const answers = [];
  for (let i = 0; i < 6; i++) answers.push((await put(large)).status);
  expect(answers).toContain(413);
  expect(answers[0]).toBe(200);
  const kept = answers.filter((s) => s === 200).length;
  expect(onDisk()).toHaveLength(2 * kept);

  writeFileSync(join(folder, g.garden, `${uuid()}.jpg`), 'left over');
  writeFileSync(join(folder, g.garden, `${uuid()}.jpg.1.partial`), 'half');
  const photos = app.service(PhotosService);
  // a file of this minute may belong to a row that is on its way
  expect((await photos.tidy()).files).toBe(0);
  later(1);
  const found = await photos.tidy();
  expect(found.files).toBeGreaterThanOrEqual(2);
  expect(onDisk()).toHaveLength(2 * kept);
  rmSync(
    join(
      folder,
      g.garden,
      onDisk().find((f) => !f.includes('small'))!,
    ),
  );
  expect((await photos.tidy()).rows).toBe(found.rows + 1);
});

test('a photo sent in parts continues where the line broke, belongs to its sender, and is stored once', async () => {
  const { g, plant } = await started();
  const raw = await fromPhone();
  const id = uuid();
  const at = (photo = id) => g.url(`/photos/${photo}/parts`);
  const begin = (photo = id, length = raw.length) =>
    g.agent.post(at(photo)).set('tus-resumable', '1.0.0').set('upload-length', String(length));
  const add = (from: number, to: number) =>
    g.agent
      .patch(at())
      .set('tus-resumable', '1.0.0')
      .set('upload-offset', String(from))
      .set('content-type', 'application/offset+octet-stream')
      .send(raw.subarray(from, to));
  const arrived = (agent = g.agent, photo = id) => agent.head(at(photo)).set('tus-resumable', '1.0.0');
  const store = () => g.agent.put(`${at()}?plantId=${plant}&day=2026-07-18`);

  await begin(id, 8_000_001).expect(413);
  const begun = await begin().expect(201);
  expect(begun.headers.location).toBe(at());
  await add(0, 1000).expect(204);
  expect(statSync(join(folder, 'arriving')).mode & 0o777).toBe(0o700);
  // not whole yet: it is asked for again, and nothing is stored
  await store().expect(503);
  expect((await arrived().expect(200)).headers['upload-offset']).toBe('1000');
  // a part that was sent twice does not double
  await add(0, 1000).expect(409);
  // another helper of the same garden has parts of their own
  const { agent: other } = await helper(app, g, 'record');
  await arrived(other).expect(404);
  await other.put(`${at()}?plantId=${plant}&day=2026-07-18`).expect(503);
  await add(1000, raw.length).expect(204);
  const { body } = await store().expect(200);
  expect(body).toMatchObject({ id, plantId: plant, width: 600, height: 800 });
  await arrived().expect(404);
  expect((await store().expect(200)).body).toEqual(body);

  // of what an account leaves unfinished the latest eight stay, for a day
  const unfinished: string[] = [];
  for (let i = 0; i < 9; i++) {
    unfinished.push(uuid());
    await begin(unfinished.at(-1)).expect(201);
    utimesSync(
      join(
        folder,
        'arriving',
        readdirSync(join(folder, 'arriving')).find((f) => f.endsWith(unfinished.at(-1)!))!,
      ),
      0,
      i + Date.now() / 1000 - 60,
    );
  }
  await arrived(g.agent, unfinished[0]).expect(404);
  await arrived(g.agent, unfinished[1]).expect(200);
  later(2);
  expect((await app.service(PhotosService).tidy()).files).toBeGreaterThanOrEqual(8);
  expect(readdirSync(join(folder, 'arriving'))).toEqual([]);
});

test('one account’s many pictures wait behind each other, not before another’s', async () => {
  const [many, one] = [await started(), await started()];
  const large = await sharp({ create: { width: 5000, height: 4000, channels: 3, background: '#4a7' } })
    .png()
    .toBuffer();
  let stored = 0;
  const all = Array.from({ length: 12 }, async () => {
    const { status } = await many.put(large);
    stored += status === 200 ? 1 : 0;
  });
  // the first is being redrawn: its folder is made when it is done
  while (stored === 0) await one.g.agent.get(one.g.url('/photos'));
  await one.put(await noise(20, 20)).expect(200);
  expect(stored).toBeLessThan(10);
  await Promise.all(all);
  expect(stored).toBe(12);
});
