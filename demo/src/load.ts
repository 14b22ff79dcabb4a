import { readFile } from 'node:fs/promises';
import { MOST_RECORDS_AT_ONCE, type SeveralAnswers } from '@candid-leaf/contract';
import { v5 as nameUuid } from 'uuid';
import { DEMO_ACCOUNT, DEMO_DAY } from './account.js';
import { GARDEN, PLACES, PLANTS, PRODUCTS, TRIALS } from './garden.js';
import { PAST_NOTES, PAST_PLANTS } from './earlier-years.js';
import { VARIETIES, PLANTINGS } from './varieties.js';
import { PHOTOS } from './photos.js';
import { RECORDS } from './season.js';
import { PAST_TREATMENTS } from './treatments.js';

interface LoadOptions {
  who?: typeof DEMO_ACCOUNT;
  /** names a copy of the demo with its own ids, for another account */
  copy?: string;
  /** address of the simulated hose timer; each garden has its own box */
  timerUrl?: string;
}

/**
 * Loads the demo garden through the same API a browser uses. Every id is fixed, so an interrupted load can simply run
 * again.
 */
export async function loadDemo(
  url: string,
  { who = DEMO_ACCOUNT, copy = '', timerUrl }: LoadOptions = {},
): Promise<{ gardenId: string }> {
  const own = <T>(data: T): T => withOwnIds(data, copy);
  let cookie = '';
  const send = async (method: string, path: string, body?: unknown): Promise<Response> => {
    const answer = await fetch(`${url}/api${path}`, {
      method,
      // stands in for the proxy if cookies are for https only
      headers: {
        'content-type': body instanceof Uint8Array ? 'image/jpeg' : 'application/json',
        'x-forwarded-proto': 'https',
        ...(cookie ? { cookie } : {}),
      },
      ...(body === undefined ? {} : { body: body instanceof Uint8Array ? Buffer.from(body) : JSON.stringify(body) }),
    });
    const session = answer.headers.getSetCookie().find((set) => /^(__Host-)?candid-leaf=/.test(set));
    cookie = session?.split(';')[0] ?? cookie;
    return answer;
  };
  const must = async (method: string, path: string, body?: unknown): Promise<Response> => {
    const answer = await send(method, path, body);
    if (!answer.ok)
      throw new Error(`${method} ${path} ${JSON.stringify(body)}: ${answer.status} ${await answer.text()}`);
    return answer;
  };
  const signedUp = await send('POST', '/accounts', who);
  if (!signedUp.ok) await must('POST', '/session', { email: who.email, password: who.password });

  const { id: gardenId } = own(GARDEN);
  const garden = `/gardens/${gardenId}`;
  /** The garden paused on a day; an interrupted load may have left it on another. */
  const standOn = async (pinnedDate: string): Promise<void> => {
    const old = await send('GET', garden);
    const version = old.ok ? { version: ((await old.json()) as { version: number }).version } : {};
    await must('PUT', '/gardens', { ...own(GARDEN), pinnedDate, ...version });
  };
  await standOn(DEMO_DAY);
  if (timerUrl)
    await must('PUT', `${garden}/timer`, { address: `${timerUrl}/boxes/${gardenId}`, secret: `tap-of-${gardenId}` });
  for (const place of PLACES) await must('PUT', `${garden}/places`, own(place));
  for (const variety of VARIETIES) await must('PUT', `${garden}/varieties`, own(variety));
  for (const plant of PLANTS) await must('PUT', `${garden}/plants`, own(plant));
  for (const { plant } of PAST_PLANTS) await must('PUT', `${garden}/plants`, own(plant));
  for (const product of PRODUCTS) await must('PUT', `${garden}/products`, own(product));
  for (const trial of TRIALS) await must('PUT', `${garden}/trials`, own(trial));
  for (let i = 0; i < RECORDS.length; i += MOST_RECORDS_AT_ONCE) {
    const records = RECORDS.slice(i, i + MOST_RECORDS_AT_ONCE).map(own);
    const { answers } = (await (await must('PUT', `${garden}/records/several`, { records })).json()) as SeveralAnswers;
    const refused = answers.findIndex((a) => 'refused' in a);
    if (refused >= 0)
      throw new Error(`${JSON.stringify(records[refused])} was refused: ${JSON.stringify(answers[refused])}`);
  }
  for (const { plant, endedOn, because } of PAST_PLANTS)
    await must('POST', `${garden}/plants/${own(plant).id}/retire`, { on: endedOn, because });
  for (const notes of PAST_NOTES) await must('PUT', `${garden}/season/notes`, own(notes));
  for (const planting of PLANTINGS) await must('PUT', `${garden}/plantings`, own(planting));
  // earlier treatments start and close on their own days; then the garden returns to its day
  for (const t of PAST_TREATMENTS.map(own)) {
    await standOn(t.openedOn);
    await must('POST', `${garden}/plants/${t.plantId}/treatments`, { id: t.id, disorder: t.disorder });
    await standOn(t.closedOn);
    await must('POST', `${garden}/treatments/${t.id}/outcome`, { outcome: t.outcome });
  }
  await standOn(DEMO_DAY);
  for (const { file, id, plantId, day } of PHOTOS.map(own))
    await must('PUT', `${garden}/photos/${id}?plantId=${plantId}&day=${day}`, await readFile(photoFile(file)));
  return { gardenId };
}

/** The source and its build are both beside the pictures. */
const photoFile = (name: string): URL => new URL(`../photos/${name}`, import.meta.url);

/** Returns the data with every id changed in the same way. */
function withOwnIds<T>(data: T, copy: string): T {
  if (copy === '') return data;
  const isId = (key: string): boolean => key === 'id' || key.endsWith('Id');
  const areIds = (key: string): boolean => key === 'changed' || key === 'untouched';
  return JSON.parse(JSON.stringify(data), (key, value: unknown) => {
    if (isId(key) && typeof value === 'string') return nameUuid(copy, value);
    return areIds(key) && Array.isArray(value) ? value.map((id) => nameUuid(copy, String(id))) : value;
  }) as T;
}
