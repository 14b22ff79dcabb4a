import { onlineManager, type QueryClient } from '@tanstack/react-query';
import { ApiError } from '../lib/api';
import { mostTogether, sendTogether, sendWrite, showWrite, type OfGarden, type Write } from '../lib/writes';
import { accountHere } from './account';
import { device, type Waiting } from './store';

/**
 * Writes on their way. Each is written down on the device before it is sent, and taken off when the server has it; so a page that is closed, reloaded
 * or killed loses nothing. What did not arrive is sent again later, in the order in which it was made; each carries an id of its own, so that
 * arriving twice is arriving once.
 */

const TAB = Math.random().toString(36).slice(2);
/** Sent again after so long, where the server did not answer though there is signal. */
const AGAIN_MS = 15_000;
/** While much is sent, it is shown so often how much is left. */
const TELL_MS = 250;
/** A page that was killed while it sent leaves its write fresh; another page sends it after so long. */
const FRESH_MS = 60_000;

const listeners = new Set<() => void>();
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('candid-leaf outbox');
channel?.addEventListener('message', () => listeners.forEach((tell) => tell()));

const changed = (): void => {
  listeners.forEach((tell) => tell());
  channel?.postMessage('changed');
};

/** Calls whenever what waits has changed, in this page or another. */
export function onOutbox(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

const mine = async (): Promise<Waiting[]> => {
  const account = accountHere();
  return account === null ? [] : (await device()).getAllFromIndex('outbox', 'account', account);
};

const isFresh = (w: Waiting): boolean =>
  w.state === 'fresh' && (w.tab === TAB || Date.now() - w.at < FRESH_MS) && Date.now() - w.at < FRESH_MS;

/** What waits, the oldest first; what is just being sent is not spoken of. */
export async function waiting(): Promise<Waiting[]> {
  try {
    return (await mine()).filter((w) => !isFresh(w));
  } catch {
    return [];
  }
}

async function put(w: Waiting): Promise<void> {
  await (await device()).put('outbox', w);
}
async function takeOff(n: number): Promise<void> {
  await (await device()).delete('outbox', n);
}

/** No signal, or nobody there: not an answer of the server. */
const isLost = (error: unknown): boolean => !(error instanceof ApiError) || error.status >= 500;

/**
 * Sends a write, or keeps it for later.
 * @param now sends it
 * @returns the server's answer, or what it comes to meanwhile
 */
export async function deliver<Input extends OfGarden, Answer>(
  client: QueryClient,
  write: Write<Input, Answer>,
  input: Input,
  now: () => Promise<Answer>,
): Promise<{ answer: Answer; kept: boolean }> {
  const account = accountHere();
  const { later } = write;
  if (!later || account === null) return { answer: await now(), kept: false };
  let row: Waiting;
  try {
    const fresh = {
      account,
      key: write.key,
      input,
      label: later.label(input),
      at: Date.now(),
      tab: TAB,
      state: 'fresh',
    };
    const n = await (await device()).add('outbox', fresh as unknown as Waiting);
    row = { ...(fresh as unknown as Waiting), n };
  } catch {
    return { answer: await now(), kept: false };
  }
  // nothing overtakes what was made before it
  const before = (await mine()).some((w) => w.n < row.n && w.state === 'waiting');
  if (onlineManager.isOnline() && !before)
    try {
      const answer = await now();
      await takeOff(row.n);
      return { answer, kept: false };
    } catch (error) {
      if (!isLost(error)) {
        await takeOff(row.n);
        throw error;
      }
    }
  await put({ ...row, state: 'waiting' });
  changed();
  sendSoon(client);
  return { answer: later.apply(client, input), kept: true };
}

let timer: ReturnType<typeof setTimeout> | undefined;
function sendSoon(client: QueryClient, ms = AGAIN_MS): void {
  clearTimeout(timer);
  timer = setTimeout(() => void sendWaiting(client), ms);
}

/** What may be sent in one request: neighbours of one kind and garden. */
function runsOf(rows: readonly Waiting[]): Waiting[][] {
  const runs: Waiting[][] = [];
  for (const w of rows) {
    const run = runs.at(-1);
    const fits = run && run[0]!.key === w.key && run[0]!.input.gardenId === w.input.gardenId;
    if (fits && run.length < mostTogether(w.key)) run.push(w);
    else runs.push([w]);
  }
  return runs;
}

/**
 * Sends what may be sent together, and notes what the server said of each.
 * @throws when it did not arrive
 */
async function sendRun(run: readonly Waiting[]): Promise<void> {
  const { key } = run[0]!;
  const inputs = run.map((w) => w.input);
  let answers: (ApiError | null)[];
  try {
    answers = inputs.length > 1 ? await sendTogether(key, inputs) : [await sendWrite(key, inputs[0]!).then(() => null)];
  } catch (error) {
    if (didNotArrive(error)) throw error;
    // refused as a whole (too long, say): each for itself, then
    if (run.length > 1) {
      for (const w of run) await sendRun([w]);
      return;
    }
    answers = [error as ApiError];
  }
  for (const [i, w] of run.entries()) await (answers[i] ? keepRefused(w, answers[i]) : takeOff(w.n));
}

const didNotArrive = (error: unknown): boolean => isLost(error) || (error as ApiError).status === 401;

const keepRefused = (w: Waiting, { status, message, faults }: ApiError): Promise<void> =>
  put({ ...w, state: status === 409 ? 'conflict' : 'refused', reason: faults[0]?.reason ?? message });

/** Sends what waits, in order, by one page at a time. */
export async function sendWaiting(client: QueryClient): Promise<void> {
  if (!onlineManager.isOnline()) return;
  const work = async (): Promise<void> => {
    const gardens = new Set<string>();
    let lost = false;
    let told = Date.now();
    for (const run of runsOf((await waiting()).filter((w) => w.state === 'waiting' || w.state === 'fresh'))) {
      try {
        await sendRun(run);
        gardens.add(run[0]!.input.gardenId);
      } catch {
        lost = true;
        break;
      }
      // each telling reads all that waits: with hundreds it is told now and then
      if (Date.now() - told > TELL_MS) {
        told = Date.now();
        changed();
      }
    }
    changed();
    for (const id of gardens) await client.invalidateQueries({ predicate: (q) => q.queryKey.includes(id) });
    if (lost) sendSoon(client);
  };
  try {
    if (typeof navigator !== 'undefined' && navigator.locks) await navigator.locks.request('candid-leaf outbox', work);
    else await work();
  } catch {
    sendSoon(client);
  }
}

/** Settles what somebody else changed meanwhile: mine once more, on top of theirs, or theirs as it stands. */
export async function settle(
  client: QueryClient,
  w: Waiting,
  keep: 'mine' | 'theirs',
  input?: Waiting['input'],
): Promise<void> {
  if (keep === 'theirs') await takeOff(w.n);
  else {
    const { reason: _r, ...rest } = w;
    await put({ ...rest, input: input ?? w.input, state: 'waiting' });
  }
  changed();
  await sendWaiting(client);
  if (keep === 'theirs') await client.invalidateQueries({ predicate: (q) => q.queryKey.includes(w.input.gardenId) });
}

/** From the page's start on: what waits is sent now, when the signal is back, and now and then. */
export async function startOutbox(client: QueryClient): Promise<void> {
  for (const w of await waiting()) showWrite(client, w.key, w.input);
  onlineManager.subscribe((online) => online && void sendWaiting(client));
  void sendWaiting(client);
}
