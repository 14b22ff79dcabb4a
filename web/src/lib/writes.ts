import type { QueryClient } from '@tanstack/react-query';
import type { ApiError } from './api';
import { queryKeys } from './query-keys';

/** What every write says: of which garden it is. The rest is plain data too, so that it can be stored and sent later. */
export interface OfGarden {
  gardenId: string;
}

/** How a write is kept where there is no signal. */
export interface Later<Input, Answer> {
  /** what it is, in a line, while it waits */
  label: (input: Input) => string;
  /** what it comes to meanwhile: shown where it can be, and answered to whoever made it */
  apply: (client: QueryClient, input: Input) => Answer;
  /** many that waited, of one garden, in one request: for each in order why it was refused, or null */
  together?: { most: number; send: (inputs: Input[]) => Promise<(ApiError | null)[]> };
}

/** A write, known by its key: what is stored of it is the key and the input, and the function is found again by the key. */
export interface Write<Input extends OfGarden, Answer> {
  key: string;
  send: (input: Input) => Promise<Answer>;
  /** it may be made without signal, and is sent later; what has none needs signal */
  later?: Later<Input, Answer> | undefined;
}

const known = new Map<string, Write<never, unknown>>();

/** Defines a write. Each feature's writes stand in its `writes.ts`; all of them are known before the page is drawn. */
export function defineWrite<Input extends OfGarden, Answer = unknown>(
  key: string,
  send: (input: Input) => Promise<Answer>,
  later?: Later<Input, Answer>,
): Write<Input, Answer> {
  if (known.has(key)) throw new Error(`two writes are named ${key}`);
  const write = { key, send, later };
  known.set(key, write);
  return write;
}

/** How many writes of this key may be sent together. */
export const mostTogether = (key: string): number => known.get(key)?.later?.together?.most ?? 1;

/** Sends kept writes of one key and garden together, in order. */
export function sendTogether(key: string, inputs: OfGarden[]): Promise<(ApiError | null)[]> {
  const together = known.get(key)?.later?.together;
  if (!together) throw new Error(`${key} is sent one at a time`);
  return together.send(inputs as never);
}

/** Sends a write that was kept, by its key. */
export function sendWrite(key: string, input: OfGarden): Promise<unknown> {
  const write = known.get(key);
  if (!write) throw new Error(`no sender is registered for ${key}`);
  return write.send(input as never);
}

/** Shows again what waits, after the page was opened anew. */
export function showWrite(client: QueryClient, key: string, input: OfGarden): void {
  known.get(key)?.later?.apply(client, input as never);
}

/** Tells the client every write by its key, and what each makes stale. */
export function registerWrites(client: QueryClient): void {
  for (const { key, send, later } of known.values())
    client.setMutationDefaults([key], {
      mutationFn: send as (input: unknown) => Promise<unknown>,
      onSuccess: (_answer: unknown, input: unknown) => refresh(client, (input as OfGarden).gardenId),
      // what can wait is not tried again while somebody looks on: it is kept, and sent later
      ...(later ? { retry: false, networkMode: 'always' as const } : {}),
    });
}

export const writeKeys = (): string[] => [...known.keys()];

/** Everything asked of a garden before is stale. The plan follows by itself; nobody need wait for it. */
async function refresh(client: QueryClient, gardenId: string): Promise<void> {
  void client.invalidateQueries({ queryKey: queryKeys.plan(gardenId) });
  await Promise.all([
    client.invalidateQueries({ queryKey: queryKeys.garden(gardenId) }),
    client.invalidateQueries({ queryKey: queryKeys.gardens }),
  ]);
}
