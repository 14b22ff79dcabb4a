import 'reflect-metadata';
import { RecordInput } from '@candid-leaf/contract';
import { ENTRY_CLASSES, RECORD_TYPE_CODES } from '@candid-leaf/core/records';
import { startHoseTimer, type HoseTimer } from '@candid-leaf/standins';
// @ts-expect-error: the package keeps the types of its own tables to itself
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { getMetadataStorage } from 'class-validator';
import fc from 'fast-check';
import { startApp, type Agent, type App } from './app.js';
import { MONSTERS } from './monsters.js';
import { pathOf, ROUTES, worldOf, type Row, type World } from './route-table.js';

/**
 * Bodies that nobody would send, on every route that takes one, made from the route's own class: a good body in which some fields are
 * given values that are almost right, of the wrong kind, or monstrous. A fixed seed; more with FUZZ_RUNS.
 */
const RUNS = Number(process.env.FUZZ_RUNS ?? 300);
const SEED = Number(process.env.FUZZ_SEED ?? 26);
const SLOWEST_MS = 2000;
const LOOK_EVERY = 20;

let app: App;
let timer: HoseTimer;
beforeAll(async () => {
  timer = await startHoseTimer();
  app = await startApp({ timerHosts: [timer.url], smtpUrl: 'smtp://127.0.0.1:9', publicUrl: 'http://leaf.example' });
});
afterAll(async () => {
  await app.stop();
  await timer.close();
});

interface Constraint {
  name?: string;
  propertyName: string;
  constraints?: unknown[];
}
const constraintsOf = (cls: new () => object): Constraint[] =>
  getMetadataStorage().getTargetValidationMetadatas(cls, '', false, false);

/** Values that a field's own rules speak of: its choices, and the numbers at its limits and just beyond. */
function nearlyRight(rules: readonly Constraint[]): unknown[] {
  return rules.flatMap(({ name, constraints = [] }): unknown[] => {
    const [first] = constraints;
    if (name === 'isCalendarDay') return ['2026-07-18', '2026-05-02', '2024-11-30', '2028-01-01', '2026-07-19'];
    if (name === 'isBoolean') return [true, false];
    if (name === 'isIn' && Array.isArray(first)) return first;
    if (typeof first !== 'number') return [];
    if (name === 'min' || name === 'max')
      return [first, first - 0.001, first + 0.001, first / 2, Math.round(first / 3) + 1];
    if (name === 'maxLength' || name === 'minLength') return ['y'.repeat(first), 'y'.repeat(first + 1)];
    return [];
  });
}

type Types = {
  findTypeMetadata: (cls: unknown, property: string) => { typeFunction: () => new () => object } | undefined;
};
const partOf = (cls: new () => object, property: string): (new () => object) | undefined =>
  (defaultMetadataStorage as Types).findTypeMetadata(cls, property)?.typeFunction();

/** A change to a body: of one of its class's own fields, of a field of a part of it, or a field that is not known. */
function changeOf(cls: new () => object, depth = 0): fc.Arbitrary<(body: Record<string, unknown>) => void> {
  const byField = new Map<string, Constraint[]>();
  for (const c of constraintsOf(cls)) byField.set(c.propertyName, [...(byField.get(c.propertyName) ?? []), c]);
  const changes = [...byField].flatMap(([field, rules]) => {
    const right = nearlyRight(rules);
    const values = fc.oneof(
      { arbitrary: fc.constantFrom(...MONSTERS), weight: 2 },
      { arbitrary: fc.jsonValue({ maxDepth: 3 }), weight: 1 },
      ...(right.length > 0 ? [{ arbitrary: fc.constantFrom(...right), weight: 6 }] : []),
    );
    const set = values.map((value) => (body: Record<string, unknown>) => void (body[field] = value));
    const part = depth < 2 ? partOf(cls, field) : undefined;
    if (!part) return [set];
    const isList = rules.some((r) => r.name === 'isArray');
    const within = fc
      .array(changeOf(part, depth + 1), { minLength: 1, maxLength: 4 })
      .map((inner) => (body: Record<string, unknown>) => {
        const old = (isList ? (body[field] as unknown[] | undefined)?.[0] : body[field]) ?? {};
        const next = typeof old === 'object' ? { ...old } : {};
        for (const change of inner) change(next);
        body[field] = isList ? [next] : next;
      });
    return [set, within];
  });
  const strange = fc.tuple(fc.string({ maxLength: 8 }), fc.jsonValue({ maxDepth: 2 })).map(
    ([name, value]) =>
      (body: Record<string, unknown>) =>
        void (body[name] = value),
  );
  return fc.oneof({ arbitrary: fc.oneof(...changes), weight: 12 }, { arbitrary: strange, weight: 1 });
}

/** A record of any kind, with its own fields changed. */
const ofAnyType: fc.Arbitrary<(body: Record<string, unknown>) => void> = fc
  .constantFrom(...RECORD_TYPE_CODES)
  .chain((kind) =>
    fc
      .array(changeOf(ENTRY_CLASSES[kind]), { minLength: 1, maxLength: 5 })
      .map((changes) => (body: Record<string, unknown>) => {
        const data: Record<string, unknown> = {
          date: '2026-07-17',
          allClear: false,
          signs: [],
          text: 'x',
          state: 'unknown',
          kg: 8,
        };
        for (const field of Object.keys(data))
          if (!constraintsOf(ENTRY_CLASSES[kind]).some((c) => c.propertyName === field)) delete data[field];
        for (const change of changes) change(data);
        Object.assign(body, { type: kind, data }, kind === 'rain-gauge' ? { plantId: null } : {});
      }),
  );

const writes = Object.entries(ROUTES).filter((e): e is [string, Row & { cls: new () => object }] => Boolean(e[1].cls));

/** How much is written in the garden: a refused write leaves it as it was. */
async function revisionOf(db: Awaited<ReturnType<App['connect']>>, w: World): Promise<string> {
  const [rows] = await db.query(
    `SELECT g.revision, g.version, (SELECT COUNT(*) FROM record WHERE gardenId = g.id) AS records,
      (SELECT COUNT(*) FROM plant WHERE gardenId = g.id) AS plants, (SELECT COUNT(*) FROM account) AS accounts FROM garden g WHERE g.id = ?`,
    [w.gardenId],
  );
  return JSON.stringify(rows);
}

async function looksWell(agent: Agent, w: World): Promise<void> {
  const at = `/api/gardens/${w.gardenId}`;
  for (const path of [
    '/view',
    '/plan',
    `/plants/${w.plantId}/view`,
    `/plants/${w.plantId}/case`,
    '/records',
    '/benches',
  ]) {
    const from = performance.now();
    const answer = await agent.get(`${at}${path}`);
    expect([path, answer.status]).toEqual([path, 200]);
    expect([path, performance.now() - from < SLOWEST_MS]).toEqual([path, true]);
  }
}

test('no body crashes the server, is half saved, or is refused without naming its field; everything can be viewed after', async () => {
  const { agent, w } = await worldOf(app, timer.url);
  const db = await app.connect();
  const seen: Record<string, number> = {};
  let run = 0;
  const body = ([, { cls, body: good }]: (typeof writes)[number]) =>
    fc
      .array(cls === RecordInput ? fc.oneof(ofAnyType, changeOf(cls)) : changeOf(cls), { minLength: 0, maxLength: 2 })
      .map((changes) => {
        const made = JSON.parse(JSON.stringify(good!(w))) as Record<string, unknown>;
        for (const change of changes) change(made);
        return made;
      });
  const sent = fc.constantFrom(...writes).chain((entry) => fc.tuple(fc.constant(entry[0]), body(entry)));
  await fc.assert(
    fc.asyncProperty(sent, async ([route, made]) => {
      const method = route.split(' ')[0]!.toLowerCase() as 'put' | 'post';
      // the garden and its pot are asked for at their newest version, or nothing would get through
      if (route === 'PUT /api/gardens' && made.version === 1) made.version = await versionOf(db, 'garden', w.gardenId);
      if (route.endsWith('/places') && made.version === 1) made.version = await versionOf(db, 'place', w.placeId);
      const before = await revisionOf(db, w);
      const from = performance.now();
      const open = ROUTES[route]!.open;
      const answer = await (open ? app.http() : agent)[method](pathOf(route, w)).send(made);
      const took = performance.now() - from;
      const { status } = answer;
      seen[status] = (seen[status] ?? 0) + 1;
      expect([status < 500, took < SLOWEST_MS]).toEqual([true, true]);
      if (status >= 400) expect(await revisionOf(db, w)).toBe(before);
      if (status === 400) {
        const { faults = [] } = answer.body as { faults?: { path: string; reason: string }[] };
        expect(faults.length).toBeGreaterThan(0);
        for (const f of faults) expect([f, f.path.length > 0, f.reason.length > 0]).toEqual([f, true, true]);
      }
      if (++run % LOOK_EVERY === 0) await looksWell(agent, w);
    }),
    { seed: SEED, numRuns: RUNS, endOnFailure: true },
  );
  await looksWell(agent, w);
  await db.end();
  if (process.env.FUZZ_RUNS) process.stdout.write(`\n${RUNS} bodies: ${JSON.stringify(seen)}\n`);
  // some get through and many do not: a fuzz that is refused whole shows nothing
  expect(seen[200]).toBeGreaterThan(RUNS / 8);
  expect(seen[400]).toBeGreaterThan(RUNS / 4);
}, 600_000);

async function versionOf(db: Awaited<ReturnType<App['connect']>>, table: string, id: string): Promise<number> {
  const [rows] = (await db.query(`SELECT version FROM ${table} WHERE id = ?`, [id])) as unknown as [
    { version: number }[],
  ];
  return rows[0]!.version;
}
