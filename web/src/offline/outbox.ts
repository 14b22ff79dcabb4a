import { onlineManager, type QueryClient } from '@tanstack/react-query';
import { ApiError } from '../lib/api';
import { mostTogether, sendTogether, sendWrite, showWrite, type OfGarden, type Write } from '../lib/writes';
import { accountHere } from './account';
import { device, type Waiting } from './store';

/**
 * Writes on their way. Each is stored on the device before it is sent and removed once the server has it, so a page
 * that is closed, reloaded or killed loses nothing. Failed ones are sent again later in the order they were made;
 * each has its own id, so arriving twice counts once.
 */

/** The same after a reload, so that a page knows what it was sending before. */
export const TAB = tabId();
/** Retry interval if the server does not answer while online, ms. */
const AGAIN_MS = 15_000;
/** Longest wait before a write that the server fails at is sent again, ms. */
const MOST_AGAIN_MS = 3_600_000;
/** So many failures in a row are the server's trouble, not one write's. */
const SERVER_TROUBLE = 3;
/** From so many failures on, the gardener is offered to put a write aside. */
const STUCK_FROM = 3;
/** Returns whether the server failed at a write so often that it can be put aside. */
export const isStuck = (w: Waiting): boolean => w.state === 'waiting' && (w.tries ?? 0) >= STUCK_FROM;
/** How often progress is updated during a long sync, ms. */
const TELL_MS = 250;
/** A page killed while sending leaves its write "fresh"; another page sends it after this time, ms. */
const FRESH_MS = 60_000;

function tabId(): string {
  const made = Math.random().toString(36).slice(2);
  if (typeof sessionStorage === 'undefined') return made;
  const there = sessionStorage.getItem('candid-leaf:tab');
  if (!there) sessionStorage.setItem('candid-leaf:tab', made);
  return there ?? made;
}

const listeners = new Set<() => void>();
const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('candid-leaf outbox');
channel?.addEventListener('message', () => listeners.forEach((tell) => tell()));

const changed = (): void => {
  listeners.forEach((tell) => tell());
  channel?.postMessage('changed');
};

/** Calls back whenever waiting writes change, in this page or another. */
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

/** Returns waiting writes, oldest first, without those just being sent. */
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

/** True if offline or unreachable, not an answer of the server. */
const isLost = (error: unknown): boolean => !(error instanceof ApiError) || error.status >= 500;

/**
 * Sends a write, or stores it for later.
 * @param now sends it
 * @returns the server's answer, or the optimistic one
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
  // Keep order: a later edit of the same row would otherwise arrive first and be refused as a version conflict.
  // one that the server keeps failing at holds up only what belongs to it
  const before = (await mine()).some((w) => w.n < row.n && w.state === 'waiting' && (!w.tries || dependsOn(row, [w])));
  if (onlineManager.isOnline() && !before)
    try {
      const answer = await now();
      await takeOff(row.n);
      return { answer, kept: false };
    } catch (error) {
      if (!didNotArrive(error)) {
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

/** Ids of the things that a write makes or changes. */
const ownIds = (input: Waiting['input']): string[] =>
  Object.entries(input).flatMap(([key, value]) => {
    if (key === 'id' && typeof value === 'string') return [value];
    const id: unknown = typeof value === 'object' && value !== null ? (value as { id?: unknown }).id : undefined;
    return typeof id === 'string' ? [id] : [];
  });
/** Returns whether a write names something that one of these makes or changes: it must not arrive before it. */
function dependsOn(w: Waiting, held: readonly Waiting[]): boolean {
  if (held.length === 0) return false;
  const text = JSON.stringify(w.input);
  return held.some((h) => ownIds(h.input).some((id) => text.includes(`"${id}"`)));
}

/** Groups consecutive writes of one key and garden for one request; what failed before goes by itself. */
function runsOf(rows: readonly Waiting[]): Waiting[][] {
  const runs: Waiting[][] = [];
  for (const w of rows) {
    const run = runs.at(-1);
    const fits =
      run && !w.tries && !run[0]!.tries && run[0]!.key === w.key && run[0]!.input.gardenId === w.input.gardenId;
    if (fits && run.length < mostTogether(w.key)) run.push(w);
    else runs.push([w]);
  }
  return runs;
}

/**
 * Sends writes together and notes the server's answer to each.
 * @throws if it did not arrive
 */
async function sendRun(run: readonly Waiting[]): Promise<void> {
  const { key } = run[0]!;
  const inputs = run.map((w) => w.input);
  let answers: (ApiError | null)[];
  try {
    answers = inputs.length > 1 ? await sendTogether(key, inputs) : [await sendWrite(key, inputs[0]!).then(() => null)];
  } catch (error) {
    if (didNotArrive(error)) throw error;
    // rejected as a whole (too long, say): send each by itself
    if (run.length > 1) {
      for (const w of run) await sendRun([w]);
      return;
    }
    answers = [error as ApiError];
  }
  for (const [i, w] of run.entries()) await (answers[i] ? keepRefused(w, answers[i]) : takeOff(w.n));
}

/** Notes that the server failed at a write: it is sent again later and later. */
async function noteFailure(w: Waiting): Promise<Waiting> {
  const tries = (w.tries ?? 0) + 1;
  const noted = { ...w, tries, againAt: Date.now() + Math.min(MOST_AGAIN_MS, AGAIN_MS * 2 ** (tries - 1)) };
  await put(noted);
  return noted;
}

const didNotArrive = (error: unknown): boolean => isLost(error) || (error as ApiError).status === 401;

const keepRefused = (w: Waiting, { status, message, faults }: ApiError): Promise<void> =>
  put({ ...w, state: status === 409 ? 'conflict' : 'refused', reason: faults[0]?.reason ?? message });

/** Sends waiting writes in order, from one page at a time; on request also those that are to be sent again later. */
export async function sendWaiting(client: QueryClient, { asked = false } = {}): Promise<void> {
  if (!onlineManager.isOnline()) return;
  const work = async (): Promise<void> => {
    const gardens = new Set<string>();
    let againMs = Infinity;
    let failed = 0;
    let saidAt = Date.now();
    // what is not sent now, and what belongs to it
    const held: Waiting[] = [];
    for (const planned of runsOf((await waiting()).filter((w) => w.state === 'waiting' || w.state === 'fresh'))) {
      const now = Date.now();
      const run = planned.filter((w) => (asked || (w.againAt ?? 0) <= now) && !dependsOn(w, held));
      for (const w of planned.filter((x) => !run.includes(x))) {
        held.push(w);
        if (w.againAt) againMs = Math.min(againMs, Math.max(0, w.againAt - now));
      }
      if (run.length === 0) continue;
      try {
        await sendRun(run);
        gardens.add(run[0]!.input.gardenId);
        failed = 0;
      } catch (error) {
        againMs = Math.min(againMs, AGAIN_MS);
        if (!(error instanceof ApiError) || error.status === 401) break;
        // the server failed at this: the others go on, unless it fails at everything
        for (const w of run) held.push(await noteFailure(w));
        failed += 1;
        if (failed >= SERVER_TROUBLE) break;
      }
      // each update reads all waiting writes: with hundreds, update now and then
      if (Date.now() - saidAt > TELL_MS) {
        saidAt = Date.now();
        changed();
      }
    }
    changed();
    for (const id of gardens) await client.invalidateQueries({ predicate: (q) => q.queryKey.includes(id) });
    if (againMs < Infinity) sendSoon(client, againMs);
  };
  try {
    if (typeof navigator !== 'undefined' && navigator.locks) await navigator.locks.request('candid-leaf outbox', work);
    else await work();
  } catch {
    sendSoon(client);
  }
}

/** Resolves a conflict: mine again on top of theirs, or theirs as it is. */
export async function settle(
  client: QueryClient,
  w: Waiting,
  keep: 'mine' | 'theirs',
  input?: Waiting['input'],
): Promise<void> {
  if (keep === 'theirs') await takeOff(w.n);
  else {
    const { reason: _r, tries: _t, againAt: _a, ...rest } = w;
    await put({ ...rest, input: input ?? w.input, state: 'waiting' });
  }
  changed();
  await sendWaiting(client);
  if (keep === 'theirs') await client.invalidateQueries({ predicate: (q) => q.queryKey.includes(w.input.gardenId) });
}

/** Puts a write aside that the server cannot take: it stays on the device, and nothing waits for it. */
export async function setAside(client: QueryClient, w: Waiting): Promise<void> {
  await put({ ...w, state: 'aside' });
  changed();
  await sendWaiting(client);
}

/** Marks what this page is sending as waiting: the page ends, and another one need not wait to see whether it arrives. */
export async function letGo(): Promise<void> {
  for (const w of await mine()) if (w.state === 'fresh' && w.tab === TAB) await put({ ...w, state: 'waiting' });
}

/** Starts syncing: now, when back online, and at intervals. */
export async function startOutbox(client: QueryClient): Promise<void> {
  // nothing is being sent yet: what this page was sending before a reload waits
  await letGo().catch(() => undefined);
  for (const w of await waiting()) showWrite(client, w.key, w.input);
  onlineManager.subscribe((online) => online && void sendWaiting(client));
  void sendWaiting(client);
}
