import type { RecordInput } from '@candid-leaf/contract';
import { DEMO_ACCOUNT } from './account.js';
import { GARDEN, PLACES, PLANTS } from './garden.js';
import { RECORDS } from './season.js';

/** How many records are sent at a time. */
const TOGETHER = 8;

/**
 * Loads the demo garden through the same API that any gardener's browser uses. Every id is fixed, so a load that
 * was cut short can simply be run again.
 */
export async function loadDemo(url: string): Promise<void> {
  let cookie = '';
  const send = async (method: string, path: string, body?: unknown): Promise<Response> => {
    const answer = await fetch(`${url}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const set = answer.headers.getSetCookie()[0];
    if (set) cookie = set.split(';')[0]!;
    return answer;
  };
  const must = async (method: string, path: string, body?: unknown): Promise<void> => {
    const answer = await send(method, path, body);
    if (!answer.ok)
      throw new Error(`${method} ${path} ${JSON.stringify(body)}: ${answer.status} ${await answer.text()}`);
  };
  const signedUp = await send('POST', '/accounts', DEMO_ACCOUNT);
  if (!signedUp.ok) await must('POST', '/session', { email: DEMO_ACCOUNT.email, password: DEMO_ACCOUNT.password });

  const garden = `/gardens/${GARDEN.id}`;
  await must('PUT', '/gardens', GARDEN);
  for (const place of PLACES) await must('PUT', `${garden}/places`, place);
  for (const plant of PLANTS) await must('PUT', `${garden}/plants`, plant);
  for (let i = 0; i < RECORDS.length; i += TOGETHER)
    await Promise.all(RECORDS.slice(i, i + TOGETHER).map((r: RecordInput) => must('PUT', `${garden}/records`, r)));
}
