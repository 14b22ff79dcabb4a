import { execFile } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { OpenAPIObject } from '@nestjs/swagger';
import { v7 as uuid } from 'uuid';
import { installApiDocs } from '../src/api-docs/install.js';
import { AnswerShapes, furtherAnswers } from './answer-shapes.js';
import { gardener, potted, useApp, useHoseTimer } from './app.js';
import { callIn, runTyped } from './typed-client.js';
import { pathOf, ROUTES, worldOf } from './route-table.js';

const timer = useHoseTimer();
const app = useApp(
  () => ({ timerHosts: [timer.url] }),
  undefined,
  (nest) => installApiDocs(nest, '9.9.9'),
);
let document: OpenAPIObject;
beforeAll(async () => {
  document = (await app.http().get('/api/openapi.json').expect(200)).body as OpenAPIObject;
});

test('the document is valid by an independent validator, and its page loads only from here', async () => {
  expect(await new Validator().validate(structuredClone(document) as never)).toMatchObject({ valid: true });
  const page = await app.http().get('/api/docs').expect(200);
  const { text } = page;
  expect(text).toContain('Candid Leaf');
  expect(text).toContain('/api/gardens/{gardenId}/records');
  expect(text).not.toMatch(/<script|(?:src|href)="(https?:)?\/\//);
});

test('it has every route that answers, with who may use it', () => {
  const told = Object.entries(document.paths).flatMap(([path, operations]) =>
    Object.keys(operations).map((m) => `${m.toUpperCase()} ${path.replace(/\{(\w+)\}/g, ':$1')}`),
  );
  expect(told.sort()).toEqual(Object.keys(ROUTES).sort());
  for (const [route, row] of Object.entries(ROUTES)) {
    const [method, path] = route.split(' ') as [string, string];
    const operation = document.paths[path.replace(/:(\w+)/g, '{$1}')]![method.toLowerCase() as 'get']!;
    const needed = row.needs ?? (method === 'GET' ? 'look' : 'keep');
    const params = (operation.parameters ?? []).flatMap((p) => ('name' in p && p.in === 'path' ? [p.name] : []));
    expect([...params].sort()).toEqual([...path.matchAll(/:(\w+)/g)].map((m) => m[1]).sort());
    if (row.open) expect(operation.security).toEqual([]);
    else if (path.includes(':gardenId')) expect(operation.summary).toContain(`may ${needed}`);
    expect(JSON.stringify(operation.security).includes('key')).toBe(
      !row.open && path.includes(':gardenId') && !row.peopleOnly,
    );
  }
});

test('its schemas accept what the server accepts, by an independent validator; neither accepts an unknown field', async () => {
  const { w } = await worldOf(app, timer.url);
  const ajv = new Ajv2020({ strict: false });
  addFormats.default(ajv);
  ajv.addSchema({ $id: 'doc', ...document });
  const checked: string[] = [];
  for (const [route, row] of Object.entries(ROUTES)) {
    if (!row.cls || !row.body) continue;
    const validate = ajv.getSchema(`doc#/components/schemas/${row.cls.name}`)!;
    const body = JSON.parse(JSON.stringify(row.body(w))) as object;
    if (!validate(body)) throw new Error(`${route}: ${JSON.stringify(validate.errors)} of ${JSON.stringify(body)}`);
    expect(validate({ ...body, strange: 1 })).toBe(false);
    checked.push(route);
  }
  expect(checked.length).toBeGreaterThan(20);
});

test('every route answers in the shape that the document gives, with an example of that shape', async () => {
  const mine = await worldOf(app, timer.url);
  const shapes = new AnswerShapes(document);
  const inOrder = Object.entries(ROUTES).sort(([, a], [, b]) => Number(a.last ?? 0) - Number(b.last ?? 0));
  for (const [route, row] of inOrder) {
    const caller = row.open ? (app.http() as unknown as typeof mine.agent) : mine.agent;
    const request = caller[route.split(' ')[0]!.toLowerCase() as 'get'](pathOf(route, mine.w));
    shapes.check(route, await (row.body ? request.send(row.body(mine.w)) : request));
    if (route === 'DELETE /api/session') await mine.signIn();
  }
  for (const [route, answer] of await furtherAnswers(app)) {
    if (answer.status >= 300) shapes.wrong.push(`${route} is refused: ${answer.text}`);
    shapes.check(route, answer);
  }
  if (process.env.WRITE_EXAMPLES)
    writeFileSync(join(__dirname, '../api-examples.json'), `${JSON.stringify(shapes.examples, null, 1)}\n`);
  else for (const route of Object.keys(ROUTES)) shapes.example(route);
  expect(shapes.wrong).toEqual([]);
});

test('the examples of the docs run as written, and by a client typed from the document', async () => {
  const g = await gardener(app);
  const { plant, place } = await potted(g);
  const made = await g.agent.post(g.url('/keys')).send({ id: uuid(), name: 'k', role: 'record', days: 1 }).expect(200);
  const url = await app.listen();
  const text = readFileSync(join(__dirname, '../../docs/api.md'), 'utf8');
  const examples = [...text.matchAll(/```sh\n([\s\S]*?)```\n\n```json\n([\s\S]*?)```/g)];
  expect(examples.length).toBeGreaterThanOrEqual(5);
  const env = {
    ...process.env,
    LEAF: url,
    KEY: (made.body as { key: string }).key,
    GARDEN: g.garden,
    PLANT: plant,
    PLACE: place,
  };
  for (const [, script, answer] of examples) {
    const { stdout } = await promisify(execFile)('bash', ['-euc', script!], { env });
    const got = JSON.parse(stdout) as unknown;
    // the docs show the part that matters
    expect(got).toMatchObject(JSON.parse(answer!) as object);
  }
  const calls = examples.map(([, script, answer]) => callIn(script!, answer!));
  const got = await runTyped(document, calls, env);
  expect(got).toHaveLength(calls.length);
  calls.forEach(({ answer }, i) => expect(got[i]).toMatchObject(JSON.parse(answer) as object));
  // the compiler tells who asks for what is not there, reads what is not answered, or sends what is not taken
  const wrong = [
    { ...calls[0]!, path: '/api/gardens/$GARDEN/garden' },
    { ...calls[0]!, answer: '{ "name": 3 }' },
    { ...calls[1]!, body: calls[1]!.body!.replace('rain-gauge', 'rain') },
  ];
  const said = await runTyped(document, wrong, env).catch((error: Error) => error.message);
  expect(said).toMatch(/'"\/api\/gardens\/\{gardenId\}\/garden"' is not assignable/);
  expect(said).toMatch(/Type 'number' is not assignable to type 'string'/);
  expect(said).toMatch(/Type '"rain"' is not assignable/);
});
