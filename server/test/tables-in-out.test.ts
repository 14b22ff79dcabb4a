import {
  EXPORTS,
  tableOfExport,
  type FilePreview,
  type ImportJobDto,
  type ImportPlan,
  type ImportReport,
  type PlaceDto,
} from '@candid-leaf/contract';
import { RECORD_TYPE_CODES, type RecordType } from '@candid-leaf/core/records';
import { parse } from 'csv-parse/sync';
import { addDays } from '@candid-leaf/core/units';
import { v7 as uuid } from 'uuid';
import { csvRows, guessDelimiter } from '../src/transfer/csv-rows.js';
import { ImportJobs } from '../src/transfer/import-jobs.service.js';
import { gardener, helper, potted, useApp } from './app.js';

const app = useApp();

async function* pieces(text: string | Buffer, size = 7): AsyncGenerator<Buffer> {
  const all = Buffer.from(text as string);
  for (let i = 0; i < all.length; i += size) yield all.subarray(i, i + size);
}
async function cellsOf(text: string | Buffer, delimiter: ',' | ';' = ','): Promise<string[][]> {
  const rows: string[][] = [];
  for await (const { cells } of csvRows(pieces(text), delimiter)) rows.push(cells);
  return rows;
}

describe('RFC 4180, the examples of its section 2, in pieces cut anywhere', () => {
  test.each([
    [
      '1: lines that end in CRLF',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '2: the last without an end',
      'aaa,bbb,ccc\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['4: blanks are part of a cell', ' a , b\r\n', [[' a ', ' b']]],
    [
      '5: cells in quotation marks',
      '"aaa","bbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '6: an end of line within them',
      '"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'b\r\nbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['7: a quotation mark is written twice', '"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
  ] as [string, string, string[][]][])('%s', async (_, text, rows) => expect(await cellsOf(text)).toEqual(rows));
});

describe('files as they come', () => {
  const rows = [
    ['Grüße', '1,5'],
    ['x', '2'],
  ];
  test('UTF-8 with its mark, UTF-16 in both orders, semicolons', async () => {
    const text = 'Grüße;1,5\nx;2\n';
    const le = Buffer.from(`\ufeff${text}`, 'utf16le');
    expect(await cellsOf(`\ufeff${text}`, ';')).toEqual(rows);
    expect(await cellsOf(le, ';')).toEqual(rows);
    expect(await cellsOf(Buffer.from(le).swap16(), ';')).toEqual(rows);
    expect(guessDelimiter('"a;b;c;d",1\n')).toBe(',');
    expect(guessDelimiter('a;b,5;c')).toBe(';');
  });

  test('a broken file is refused with a sentence that says where', async () => {
    await expect(cellsOf('a,b\n1,"2\n3,4\n')).rejects.toThrow(
      /near line \d+ a quotation mark is opened but never closed/,
    );
    await expect(cellsOf('a,b\n1,2"3\n')).rejects.toThrow(/quotation mark is in the middle/);
    await expect(cellsOf(Buffer.from('Gr\xfc\xdfe,1\n', 'latin1'))).rejects.toThrow(/Save it as CSV in UTF-8/);
    await expect(cellsOf(Buffer.from('a,1\n', 'utf16le'))).rejects.toThrow(/Save it as CSV in UTF-8/);
    await expect(cellsOf(`${'x,'.repeat(300)}\n`)).rejects.toThrow(/more than 200 cells/);
  });
});

async function started() {
  const g = await gardener(app);
  const { plant } = await potted(g);
  const preview = async (text: string | Buffer, table = '') =>
    (
      await g.agent
        .post(g.url(`/imports/preview${table && `?table=${table}`}`))
        .set('content-type', 'text/csv')
        .send(text)
        .expect(200)
    ).body as FilePreview;
  const plan = async (text: string | Buffer, more: Partial<ImportPlan> = {}): Promise<ImportPlan> => {
    const { heads: _h, rows: _r, unclearDay: _u, ...guess } = await preview(text, more.table);
    return { ...guess, name: 'a.csv', ...more };
  };
  const send = async (text: string | Buffer, more: Partial<ImportPlan> = {}, id = uuid()) =>
    g.agent
      .put(g.url(`/imports/${id}`))
      .query({ plan: JSON.stringify(await plan(text, more)) })
      .set('content-type', 'text/csv')
      .send(text);
  const records = async (type: string) =>
    (await g.agent.get(g.url(`/records?type=${type}`)).expect(200)).body as {
      day: string;
      plantId: string | null;
      placeId: string | null;
      data: Record<string, unknown>;
    }[];
  return { g, plant, preview, plan, send, records };
}

describe('importing a table', () => {
  const WATER = 'Date;Plant;Water (gal)\n7/16/2026;Paste;0,5\n7/17/2026;paste;1\n';

  test('previewed, tried, imported once, and undone as a whole', async () => {
    const { g, send, preview, records, plant } = await started();
    expect(await preview(WATER)).toMatchObject({
      table: 'watering',
      delimiter: ';',
      decimal: ',',
      dateOrder: 'mdy',
      heads: ['Date', 'Plant', 'Water (gal)'],
      columns: [
        { field: 'date', at: 0 },
        { field: 'plant', at: 1 },
        { field: 'litres', at: 2, unit: 'gal-us' },
      ],
    });
    const tried = await send(WATER, { dry: true });
    expect([tried.status, tried.body]).toEqual([200, { rows: 2, good: 2, known: 0, faulty: 0, faults: [] }]);
    expect(await records('watering')).toEqual([]);
    const id = uuid();
    const first = await send(WATER, {}, id);
    expect(first.status).toBe(200);
    expect((await send(WATER, {}, id)).body).toEqual(first.body);
    expect(await records('watering')).toMatchObject([
      { day: '2026-07-17', plantId: plant, data: { litres: 3.785411784 } },
      { day: '2026-07-16', plantId: plant, data: { litres: 1.892705892 } },
    ]);
    expect((await g.agent.get(g.url('/imports')).expect(200)).body).toMatchObject([{ id, made: 2, undone: false }]);
    // the plan of the water knows of it
    await g.agent.get(g.url('/plan')).expect(200);
    await g.agent.delete(g.url(`/imports/${id}`)).expect(200, { kept: 0 });
    await g.agent.delete(g.url(`/imports/${id}`)).expect(200, { kept: 0 });
    expect(await records('watering')).toEqual([]);
    expect((await g.agent.get(g.url('/imports'))).body).toMatchObject([{ undone: true }]);
    // what was undone does not come back by itself, and says so
    const again = await send(WATER, {}, id);
    expect([again.status, (again.body as { message: string }).message]).toEqual([409, expect.stringMatching(/undone/)]);
    expect(await records('watering')).toEqual([]);
  });

  test('the same import sent three times at once counts once', async () => {
    const { send, records } = await started();
    const id = uuid();
    // an account that sends more than its share at once is asked to send again
    const once = async (): ReturnType<typeof send> => {
      const answer = await send(WATER, {}, id);
      return answer.status === 503 ? once() : answer;
    };
    const answers = await Promise.all([once(), once(), once()]);
    expect(answers.map((a) => [a.status, (a.body as ImportReport).good])).toEqual([
      [200, 2],
      [200, 2],
      [200, 2],
    ]);
    expect(await records('watering')).toHaveLength(2);
  });

  test('an undo shows the rows edited since and keeps them, or removes them if asked', async () => {
    for (const edited of ['keep', 'remove'] as const) {
      const { g, send, records, plant } = await started();
      const id = uuid();
      expect((await send(WATER, {}, id)).status).toBe(200);
      const [first] = (await records('watering')) as unknown as { id: string; version: number; data: object }[];
      await g.agent
        .put(g.url('/records'))
        .send({
          id: first!.id,
          version: first!.version,
          type: 'watering',
          plantId: plant,
          data: { ...first!.data, litres: 3 },
        })
        .expect(200);
      expect((await g.agent.get(g.url(`/imports/${id}/undo`)).expect(200)).body).toEqual({
        rows: 2,
        changed: [{ name: null, day: '2026-07-17', why: 'edited' }],
        more: 0,
      });
      await g.agent
        .delete(g.url(`/imports/${id}`))
        .query({ edited: 'perhaps' })
        .expect(400);
      const kept = edited === 'keep' ? 1 : 0;
      await g.agent
        .delete(g.url(`/imports/${id}`))
        .query({ edited })
        .expect(200, { kept });
      expect(await records('watering')).toHaveLength(kept);
    }
  });

  test('a long import tells how far it is, lets others in between, and changes nothing when it is cancelled', async () => {
    const { g, plan } = await started();
    const days = Array.from({ length: 4000 }, (_, i) => addDays('2010-01-01', i));
    const text = `date,tmin,tmax,prcp\n${days.map((day) => `${day},10,20,0`).join('\n')}\n`;
    const reading = JSON.stringify(await plan(text.slice(0, 500)));
    const put = (id: string) =>
      g.agent
        .put(g.url(`/imports/${id}`))
        .query({ plan: reading })
        .set('content-type', 'text/csv')
        .send(text);
    const id = uuid();
    const job = async (of = id): Promise<Partial<ImportJobDto>> =>
      (await g.agent.get(g.url(`/imports/${of}/job`))).body as Partial<ImportJobDto>;
    let done = false;
    const imported = Promise.resolve(put(id).expect(200)).finally(() => (done = true));
    const seen: number[] = [];
    while (!done) seen.push((await job()).rows ?? 0);
    expect((await imported).body).toMatchObject({ rows: 4000, good: 4000 });
    // answered in between, each time a little further
    const under = seen.filter((rows) => rows > 0 && rows < 4000);
    expect(new Set(under).size).toBeGreaterThan(3);
    expect(under).toEqual([...under].sort((a, b) => a - b));
    expect(await job()).toMatchObject({ state: 'done', rows: 4000, report: { good: 4000 } });
    await g.agent.delete(g.url(`/imports/${id}`)).expect(200);
    const cancelled = uuid();
    await put(cancelled).set('prefer', 'respond-async').expect(202);
    while (((await job(cancelled)).rows ?? 0) < 200);
    await g.agent.post(g.url(`/imports/${cancelled}/cancel`)).expect(204);
    while ((await job(cancelled)).state === 'running');
    expect(await job(cancelled)).toMatchObject({ state: 'cancelled', message: 'Cancelled. Nothing was changed.' });
    expect(await g.agent.get(g.url('/imports')).expect(200)).toMatchObject({ body: [{ id, undone: true }] });
    const db = await app.connect();
    const [[row]] = (await db.query('SELECT COUNT(*) AS n FROM weather WHERE gardenId = ? AND day < "2022-01-01"', [
      g.garden,
    ])) as unknown as [[{ n: number }]];
    await db.end();
    expect(row.n).toBe(0);
  });

  test('an import goes on when its caller leaves; a file with errors says so later; one that ended with its server too', async () => {
    const { g, plan } = await started();
    const days = Array.from({ length: 1500 }, (_, i) => addDays('2010-01-01', i));
    const text = (last: string): string =>
      `date,tmin,tmax,prcp\n${days.map((day) => `${day},10,20,0`).join('\n')}\n${last}\n`;
    const reading = JSON.stringify(await plan(text('').slice(0, 500)));
    const put = (id: string, last: string, of = g) =>
      of.agent
        .put(of.url(`/imports/${id}`))
        .query({ plan: reading })
        .set('content-type', 'text/csv')
        .send(text(last));
    const ended = async (id: string): Promise<ImportJobDto> => {
      for (let i = 0; i < 2000; i++) {
        const { body } = (await g.agent.get(g.url(`/imports/${id}/job`))) as { body: ImportJobDto };
        if (body.state && body.state !== 'running') return body;
      }
      throw new Error('it still runs');
    };
    const [left, wrong] = [uuid(), uuid()];
    const request = put(left, '2020-01-01,10,20,0');
    request.end(() => undefined);
    while ((await g.agent.get(g.url(`/imports/${left}/job`))).status === 404);
    request.abort();
    expect(await ended(left)).toMatchObject({ state: 'done', rows: 1501 });
    expect(await g.agent.get(g.url('/imports')).expect(200)).toMatchObject({ body: [{ id: left, made: 1501 }] });
    await put(wrong, '2020-01-02,10,hot,0').set('prefer', 'respond-async').expect(202);
    const refused = await ended(wrong);
    expect(refused).toMatchObject({ state: 'refused', report: { faulty: 1, faults: [{ line: 1502 }] } });
    // another garden neither sees nor cancels it, and cannot take its id
    const theirs = await started();
    await theirs.g.agent.get(theirs.g.url(`/imports/${wrong}/job`)).expect(404);
    await theirs.g.agent.post(theirs.g.url(`/imports/${wrong}/cancel`)).expect(404);
    await put(wrong, '', theirs.g).set('prefer', 'respond-async').expect(404);
    await put(wrong, '', theirs.g).expect(404);
    expect(await ended(wrong)).toEqual(refused);
    // its process was killed
    const db = await app.connect();
    await db.query(`UPDATE import_job SET state = 'running', beatAt = NOW() - INTERVAL 40 SECOND WHERE id = ?`, [
      wrong,
    ]);
    expect(await ended(wrong)).toMatchObject({
      state: 'stopped',
      message: expect.stringContaining('Nothing was changed'),
    });
    // an outcome is kept for a week
    await db.query('UPDATE import_job SET beatAt = NOW() - INTERVAL 8 DAY WHERE id = ?', [wrong]);
    await db.end();
    await app.service(ImportJobs).tidy();
    await g.agent.get(g.url(`/imports/${wrong}/job`)).expect(404);
    await g.agent.get(g.url(`/imports/${left}/job`)).expect(200);
  });

  test('one wrong row stops the import, and each fault has its line; or the others are imported without it', async () => {
    const { send, records } = await started();
    const text =
      'date,plant,litres\n2026-07-16,Paste,1\n2026-07-17,Nobody,1\n2026-07-30,Paste,1\n2026-07-18,Paste,-2\n2026-05-01,Paste,1\nx,Paste,\n';
    const refused = await send(text);
    expect(refused.status).toBe(422);
    const { report } = refused.body as { report: ImportReport };
    expect(report).toMatchObject({ rows: 6, faulty: 5 });
    expect(report.faults).toMatchObject([
      { line: 3, field: 'plant', reason: 'there is no plant called "Nobody" here' },
      { line: 4, field: 'date' },
      { line: 5, field: 'litres' },
      { line: 6, field: 'date' },
      { line: 7, field: 'date' },
      { line: 7, field: 'litres', reason: 'is missing' },
    ]);
    expect(await records('watering')).toEqual([]);
    expect((await send(text, { skipFaulty: true })).body).toMatchObject({ good: 1, faulty: 5 });
    expect(await records('watering')).toHaveLength(1);
  });

  test('feeds and pickings, by the name of the plant and the place', async () => {
    const { send, records, plant } = await started();
    expect((await send('date,plant,product,N,P,K,grams\n2026-07-01,Paste,"Feed, red",4,3,8,10\n')).body).toMatchObject({
      good: 1,
    });
    expect(await records('feeding')).toMatchObject([
      { plantId: plant, data: { product: 'Feed, red', n: 4, p2o5: 3, k2o: 8, grams: 10 } },
    ]);
    expect((await send('date,plant,bed,count,weight (lb),use\n2026-07-10,Paste,Pots,3,1,Sauce\n')).body).toMatchObject({
      good: 1,
    });
    expect(await records('picking')).toMatchObject([
      { data: { count: 3, grams: 453.59237, state: 'sound', use: 'sauce' } },
    ]);
  });

  test('weather fills unknown days; undone, they are unknown again', async () => {
    const { g, send } = await started();
    const text =
      'date,tavg,tmin,tmax,prcp,wspd\n2024-07-01,20,14,27,0.0,10.8\n2024-07-02,21,15,28,3.5,7.2\n2026-07-17,21,15,28,3.5,7.2\n';
    const id = uuid();
    expect((await send(text, {}, id)).body).toMatchObject({ rows: 3, good: 2, known: 1, faulty: 0 });
    const db = await app.connect();
    const days = async () => {
      const [rows] = await db.query(
        'SELECT rainMm, windMs FROM weather WHERE gardenId = ? AND day < "2025-01-01" ORDER BY day',
        [g.garden],
      );
      return rows;
    };
    expect(await days()).toEqual([
      { rainMm: 0, windMs: 3 },
      { rainMm: 3.5, windMs: 2 },
    ]);
    expect((await send(text)).status).toBe(422); // nothing new
    const ahead = await send('date,tmin,tmax,prcp\n2026-07-19,14,27,0\n');
    expect([ahead.status, (ahead.body as { report: ImportReport }).report.faults]).toMatchObject([
      422,
      [{ line: 2, field: 'date', reason: '2026-07-19 is in the future' }],
    ]);
    await g.agent.delete(g.url(`/imports/${id}`)).expect(200);
    expect(await days()).toEqual([]);
    await db.end();
  });

  test('plants and soil tests; plants with later records and tests typed later outlast an undo', async () => {
    const { g, send } = await started();
    const id = uuid();
    const text =
      'Name,Bed,Crop,Type,Planted out,Height (cm)\nBell,Pots,pepper,sweet,2026-05-20,60\nBell,Pots,pepper,sweet,2026-05-20,60\nBad,Pots,tomato,sweet,,\n';
    expect((await send(text, { skipFaulty: true }, id)).body).toMatchObject({ good: 1, faulty: 2 });
    expect((await send('date,plant,litres\n2026-07-16,Bell,1\n')).body).toMatchObject({ good: 1 });
    expect((await g.agent.get(g.url(`/imports/${id}/undo`))).body).toMatchObject({
      changed: [{ name: 'Bell', why: 'records' }],
    });
    await g.agent
      .delete(g.url(`/imports/${id}`))
      .query({ edited: 'remove' })
      .expect(200, { kept: 1 });
    const soil = uuid();
    const tests =
      'date,bed,pH,P (ppm),K (ppm),pmethod\n2026-03-01,Pots,6.4,32,180,olsen\n2025-03-01,Pots,6.1,20,150,olsen\n';
    expect((await send(tests, {}, soil)).body).toMatchObject({ good: 2 });
    const place = async () =>
      (
        (await g.agent.get(g.url('/view'))).body as {
          places: { place: { soilTest: { pH: number } | null; soilTests: unknown[] } }[];
        }
      ).places[0]!.place;
    expect(await place()).toMatchObject({
      soilTest: { date: '2026-03-01', pH: 6.4 },
      soilTests: [{ pH: 6.1 }, { pH: 6.4 }],
    });
    // one test is typed later, and one of the imported ones is corrected
    const { place: now } = ((await g.agent.get(g.url('/view'))).body as { places: { place: PlaceDto }[] }).places[0]!;
    const typed = [{ date: '2025-03-01', pH: 6.3 }, now.soilTests![1]!, { date: '2026-06-01', pH: 6.6 }];
    const { position: _p, retiredOn: _r, soilTest: _s, ...input } = now;
    await g.agent
      .put(g.url('/places'))
      .send({ ...input, soilTests: typed })
      .expect(200);
    expect((await g.agent.get(g.url(`/imports/${soil}/undo`))).body).toMatchObject({
      changed: [{ name: 'Pots', day: '2025-03-01', why: 'edited' }],
    });
    await g.agent.delete(g.url(`/imports/${soil}`)).expect(200, { kept: 1 });
    expect((await place()).soilTests).toMatchObject([{ pH: 6.3 }, { pH: 6.6 }]);
  });

  test('a file that is no table, too large, or mapped wrongly is refused; a helper may not import', async () => {
    const { g, send, plan } = await started();
    const good = 'date,plant,litres\n2026-07-16,Paste,1\n';
    expect((await send(good, { columns: [] })).status).toBe(400);
    const bare = (plan?: string) =>
      g.agent
        .put(g.url(`/imports/${uuid()}`))
        .query({ plan })
        .set('content-type', 'text/csv');
    await bare('{').send(good).expect(400);
    await bare(JSON.stringify({ ...(await plan(good)), strange: 1 }))
      .send(good)
      .expect(400);
    await bare(JSON.stringify(await plan(good)))
      .send('')
      .expect(400);
    await bare(JSON.stringify(await plan(good)))
      .send(Buffer.alloc(64_000_001, 'a'))
      .expect(413);
    const mia = await helper(app, g, 'record');
    await mia.agent
      .put(g.url(`/imports/${uuid()}`))
      .query({ plan: '{}' })
      .send(good)
      .expect(403);
    const other = await gardener(app);
    const id = uuid();
    expect((await send(good, {}, id)).status).toBe(200);
    await other.agent.delete(other.url(`/imports/${id}`)).expect(404);
  });
});

describe('exporting a table', () => {
  test('with names beside the ids; a cell that looks like a formula is made harmless, and comes back unchanged', async () => {
    const { g, plant } = await started();
    const put = (data: object, type: string) =>
      g.agent.put(g.url('/records')).send({ id: uuid(), type, plantId: plant, data }).expect(200);
    await put({ date: '2026-07-18', text: '=HYPERLINK("http://x")' }, 'note');
    const answer = await g.agent.get(g.url('/exports/notes')).expect(200);
    expect(answer.headers['content-type']).toMatch(/^text\/csv/);
    expect(answer.headers['content-disposition']).toBe('attachment; filename=notes.csv');
    const rows = parse<Record<string, string>>(answer.text, { columns: true });
    expect(rows).toMatchObject([{ day: '2026-07-18', plant: 'Paste', note: `'=HYPERLINK("http://x")` }]);
    const name = '@SUM(1)';
    const place = await g.agent.get(g.url('/view'));
    const { place: p } = (place.body as { places: { place: { id: string } }[] }).places[0]!;
    await g.agent.put(g.url('/plants')).send({ id: uuid(), placeId: p.id, name, crop: 'tomato' }).expect(200);
    const plants = (await g.agent.get(g.url('/exports/plants')).expect(200)).text;
    expect(plants).toContain(`,'${name},`);
    const back = await gardener(app);
    await potted(back);
    const id = uuid();
    const text = `date,plant,litres\n2026-07-18,'${name},1\n`;
    await back.agent
      .put(back.url('/plants'))
      .send({
        id: uuid(),
        placeId: (await back.agent.get(back.url('/view'))).body.places[0].place.id,
        name,
        crop: 'tomato',
      })
      .expect(200);
    const {
      heads: _h,
      unclearDay: _u,
      rows: _r,
      ...guess
    } = (await back.agent.post(back.url('/imports/preview')).set('content-type', 'text/csv').send(text).expect(200))
      .body as FilePreview;
    await back.agent
      .put(back.url(`/imports/${id}`))
      .query({ plan: JSON.stringify({ ...guess, name: 'a' }) })
      .set('content-type', 'text/csv')
      .send(text)
      .expect(200);
    expect((await back.agent.get(back.url('/records?type=watering')).expect(200)).body).toHaveLength(1);
    await g.agent.get(g.url('/exports/session')).expect(404);
  });

  test('each type of record: real columns with units, read back into another garden as they are', async () => {
    const { g, plant, records } = await started();
    const { place: bed } = ((await g.agent.get(g.url('/view'))).body as { places: { place: PlaceDto }[] }).places[0]!;
    const inBed = { placeId: bed.id };
    const date = '2026-07-16';
    const sign = { sign: 'leaf-target-spots', present: true, affected: 3, of: 20, severity: 'slight' };
    type Sample = readonly [data: object, of?: object];
    const samples: Record<RecordType, readonly Sample[]> = {
      watering: [
        [{ date, litres: 2.12 }],
        [{ date: '2026-07-17' }],
        [{ date: '2026-07-18', litres: 3, how: 'base' }, inBed],
      ],
      timer: [
        [{ date, everyDays: 2, minutes: 15, skipsRain: true }, inBed],
        [{ date: '2026-07-18', off: true }, inBed],
      ],
      'soil-check': [[{ date, feel: 'dry', depthCm: 5, by: 'finger', after: true }]],
      'soil-warmth': [[{ date, celsius: 17.5 }, inBed]],
      'pot-weight': [[{ date, kg: 8.25, state: 'drained' }]],
      'rain-gauge': [[{ date, rainMm: 12.5 }, {}]],
      feeding: [[{ date, n: 5, p2o5: 3, k2o: 8, grams: 12, product: '=Feed' }]],
      pruning: [[{ date, cuts: 3, leafSharePct: 10, what: ['suckers', 'lower-leaves'] }]],
      spray: [[{ date, product: 'soap', name: 'Own mix', target: 'Aphids', perLitre: 12.5, batchL: 1.5, trial: true }]],
      picking: [[{ date, count: 3, grams: 410, state: 'sound', use: 'eaten' }]],
      inspection: [
        [{ date, allClear: true, signs: [] }],
        [
          {
            date: '2026-07-17',
            allClear: false,
            partOfDay: 'morning',
            signs: [sign, { sign: 'leaf-curl-down', present: false }],
          },
        ],
      ],
      'truss-count': [[{ date, truss: 2, flowers: 5, fruit: 3 }]],
      growth: [[{ date, stage: 'flowering', heightM: 0.9, rough: true, soon: true }]],
      event: [[{ date, what: 'hail' }, inBed]],
      companion: [[{ date, what: 'basil', did: 'planted' }, inBed]],
      covering: [
        [{ date, what: 'mulch', did: 'on', material: 'straw', depthCm: 6 }, inBed],
        [{ date: '2026-07-18', what: 'shade', did: 'on', blockPct: 30 }, inBed],
      ],
      support: [[{ date, what: 'stake' }]],
      note: [[{ date, text: '=SUM(1)\nand "more"' }]],
    };
    for (const type of RECORD_TYPE_CODES)
      for (const [data, of = { plantId: plant }] of samples[type]) {
        const put = await g.agent.put(g.url('/records')).send({ id: uuid(), type, ...of, data });
        expect([type, put.status, put.body.faults ?? []]).toEqual([type, 200, []]);
      }
    const file = async (name: string): Promise<string> =>
      (await g.agent.get(g.url(`/exports/${name}`)).expect(200)).text;
    expect((await file('waterings')).split('\r\n').slice(0, 4)).toEqual([
      'day,plant,bed,litres (L),minutes,method,until',
      expect.stringMatching(new RegExp(`^2026-07-16,Paste,${bed.name},2.12,`)) as string,
      expect.stringMatching(new RegExp(`^2026-07-17,Paste,${bed.name},unknown,`)) as string,
      `2026-07-18,,${bed.name},3,,base,`,
    ]);
    expect((await file('looks')).split('\r\n').slice(1, 4)).toEqual([
      `2026-07-16,Paste,${bed.name},,yes,,,,,`,
      `2026-07-17,Paste,${bed.name},morning,,leaf-target-spots,yes,3,20,slight`,
      `2026-07-17,Paste,${bed.name},morning,,leaf-curl-down,no,,,`,
    ]);
    expect(await file('weather')).not.toMatch(/\d\.\d\d/);
    const other = await started();
    for (const name of EXPORTS) {
      const table = tableOfExport(name);
      if (table === undefined || table === 'weather') continue;
      const text = await file(name);
      expect((await other.preview(text)).table).toBe(table);
      const answer = await other.send(text);
      expect([name, answer.status, (answer.body as ImportReport).faults ?? []]).toEqual([name, 200, []]);
    }
    for (const type of RECORD_TYPE_CODES) {
      const plain = (list: Awaited<ReturnType<typeof records>>): unknown[] =>
        list
          .map((r) => [r.day, r.plantId ? 'plant' : r.placeId ? 'place' : 'garden', signsOf(r.data) ?? r.data])
          .flatMap((r) => (Array.isArray(r[2]) ? r[2].map((s: unknown) => [r[0], r[1], s]) : [r]))
          .sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1));
      expect([type, plain(await other.records(type))]).toEqual([type, plain(await records(type))]);
    }
  });

  test('what a single record may not say, no table may: a sign that is none, a count of nothing, a truss of a whole bed', async () => {
    const { send, records } = await started();
    const faults = async (text: string) =>
      ((await send(text, { dry: true })).body as ImportReport).faults.map((f) => f.reason);
    const look = 'day,plant,sign,seen\n2026-07-16,Paste,';
    expect(await faults(`${look}fruit-pecked,yes\n`)).toEqual([]);
    expect(await faults(`${look}leaf-pale-odd,yes\n`)).toEqual([expect.stringContaining('is not supported')]);
    expect(await faults(`${look},yes\n`)).toEqual(['is missing: name a sign, or write yes under all clear']);
    expect(await faults(`day,plant,sign,seen,how many\n2026-07-16,Paste,fruit-pecked,no,3\n`)).toEqual([
      'a sign that was not found cannot have a count',
    ]);
    expect(await faults('day,plant,bed,truss,flowers,fruit set\n2026-07-16,,Pots,1,2,3\n')).toEqual([
      expect.stringContaining('missing'),
    ]);
    expect(await records('truss-count')).toEqual([]);
  });
});

/** The lines of a look: what it says, however many looks say it. */
const signsOf = ({ signs, allClear, partOfDay }: Record<string, unknown>): unknown[] | undefined =>
  Array.isArray(signs)
    ? [...(allClear ? ['all clear'] : []), ...signs.map((s: object) => ({ ...s, partOfDay }))]
    : undefined;
