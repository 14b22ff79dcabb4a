import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { OpenAPIObject } from '@nestjs/swagger';
import type { WateringListView } from '@candid-leaf/contract';
import { DEMO_ACCOUNT } from '@candid-leaf/demo';
import { v7 as uuid } from 'uuid';
import { CONFIG, type Config } from '../src/config.js';
import { tokenFor } from '../src/messages/links.js';
import { gardener, potted, type App } from './app.js';
import { EMPTY_GARDEN } from './route-table.js';

/** One real answer. */
export interface Answer {
  status: number;
  body: unknown;
  type: string;
  text: string | undefined;
}
type Described = Record<string, { content?: Record<string, { schema: object; example?: unknown }> }>;

/** Compares real answers with what the document says of their routes. */
export class AnswerShapes {
  readonly wrong: string[] = [];
  /** real answers, shortened, by the id of their operation */
  readonly examples: Record<string, unknown> = {};
  private readonly ajv = new Ajv2020({ strict: false, allErrors: true });

  constructor(private readonly document: OpenAPIObject) {
    addFormats.default(this.ajv);
    this.ajv.addSchema({ $id: 'doc', ...document });
  }

  /** Checks an answer: its status, what it is, and each field. A refusal has no shape of its own. */
  check(route: string, { status, body, type, text }: Answer): void {
    if (status >= 300) return;
    const { operation, good, content, validate } = this.described(route);
    const kinds = Object.keys(content);
    if (String(status) !== good) this.wrong.push(`${route} answers ${status}, not ${good}`);
    const is = text || body instanceof Buffer ? type || 'a file' : 'nothing';
    if (is !== (kinds.join() || 'nothing') && !(is === 'a file' && kinds.length > 0))
      this.wrong.push(`${route} answers ${is}, not ${kinds.join() || 'nothing'}`);
    if (!content['application/json']) return;
    this.fits(`${route}, answer`, validate, body);
    this.examples[operation] ??= shortened(body);
  }

  /** Checks that a route with JSON has an example, which fits. */
  example(route: string): void {
    const { content, validate } = this.described(route);
    const json = content['application/json'];
    if (!json) return;
    if (json.example === undefined) this.wrong.push(`${route} has no example: run npm run api-answers`);
    else this.fits(`${route}, example`, validate, json.example);
  }

  private fits(what: string, validate: ReturnType<Ajv2020['getSchema']>, value: unknown): void {
    if (!validate!(value)) this.wrong.push(`${what}: ${this.ajv.errorsText(validate!.errors?.slice(0, 3))}`);
  }

  private described(route: string) {
    const [method, path] = route.split(' ') as [string, string];
    const at = path.replace(/:(\w+)/g, '{$1}');
    const operation = this.document.paths[at]![method.toLowerCase() as 'get']!;
    const [good, answer] = Object.entries(operation.responses as Described).find(([code]) => code.startsWith('2'))!;
    const point = ['paths', at, method.toLowerCase(), 'responses', good, 'content', 'application/json', 'schema'];
    return {
      operation: operation.operationId!,
      good,
      content: answer.content ?? {},
      validate: this.ajv.getSchema(`doc#/${point.map((p) => p.replaceAll('/', '~1')).join('/')}`),
    };
  }
}

const MOST_VALUES = 3;
/** An answer with one of each list of objects. */
const shortened = (value: unknown): unknown => {
  if (Array.isArray(value))
    return value.slice(0, value.some((v) => typeof v === 'object' && v !== null) ? 1 : MOST_VALUES).map(shortened);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, shortened(v)]));
};

/** Calls what the walk over all routes does not succeed with: links to people without an account, and last steps. */
export async function furtherAnswers(app: App): Promise<[route: string, answer: Answer][]> {
  const email = `${uuid()}@halt.example`;
  const g = await gardener(app, email);
  await potted(g);
  const secretIn = async (path: string, input: object): Promise<string> =>
    ((await g.agent.post(g.url(path)).send(input).expect(200)).body as { path: string }).path.split('#')[1]!;
  const invited = await secretIn('/invitations', { id: uuid(), name: 'Mia', role: 'look' });
  const list = await secretIn('/watering-lists', { id: uuid(), name: 'Mia', from: '2026-07-18', to: '2026-07-25' });
  const guest = app.agent();
  await guest
    .post('/api/accounts')
    .send({ ...DEMO_ACCOUNT, email: `${uuid()}@halt.example` })
    .expect(201);
  const view = (await app.http().get(`/api/watering/${list}`)) as Answer;
  const { id: accountId } = (await g.agent.get('/api/session')).body as { id: string };
  const token = tokenFor(app.service(CONFIG as never as abstract new () => Config).sessionSecret, {
    accountId,
    gardenId: g.garden,
    task: null,
    expires: new Date('2099-01-01').getTime(),
  });
  const bare = await gardener(app);
  return [
    ['GET /api/watering/:secret', view],
    [
      'POST /api/watering/:secret/ticks',
      await app
        .http()
        .post(`/api/watering/${list}/ticks`)
        .send({ key: (view.body as WateringListView).tasks[0]!.key, recordId: uuid() }),
    ],
    ['GET /api/invitations/:secret', await app.http().get(`/api/invitations/${invited}`)],
    ['POST /api/invitations/:secret/accept', await guest.post(`/api/invitations/${invited}/accept`)],
    ['GET /api/messages/link/:token', await app.http().get(`/api/messages/link/${token}`)],
    ['PUT /api/gardens/:gardenId/file', await bare.agent.put(bare.url('/file')).send(EMPTY_GARDEN)],
    ['POST /api/session', await app.agent().post('/api/session').send({ email, password: DEMO_ACCOUNT.password })],
    ['POST /api/account/leaving', await guest.post('/api/account/leaving').send({ password: DEMO_ACCOUNT.password })],
  ];
}
