import type { QueryClient } from '@tanstack/react-query';
import type { ApiError } from './api';
import { queryKeys } from './query-keys';

/** What every write has: its garden. Everything is plain data, so it can be stored and sent later. */
export interface OfGarden {
  gardenId: string;
}

/** How a write works offline. */
export interface Later<Input, Answer> {
  /** its description while waiting */
  label: (input: Input) => string;
  /** Optimistic update: applied to cached queries and returned to the caller while offline. */
  apply: (client: QueryClient, input: Input) => Answer;
  /** sends many waiting ones of a garden in one request: for each, in order, why it was refused, or null */
  together?: { most: number; send: (inputs: Input[]) => Promise<(ApiError | null)[]> };
}

/** A write, known by its key: only key and input are stored, and the function is found by the key. */
export interface Write<Input extends OfGarden, Answer> {
  key: string;
  send: (input: Input) => Promise<Answer>;
  /** can be made offline and sent later; without it the write needs a connection */
  later?: Later<Input, Answer> | undefined;
}

const known = new Map<string, Write<never, unknown>>();

/** Defines a write. Each feature's writes are in its `writes.ts`; all are registered before the page is drawn. */
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

/** Returns how many writes of this key may be sent together. */
export const mostTogether = (key: string): number => known.get(key)?.later?.together?.most ?? 1;

/** Sends stored writes of one key and garden together, in order. */
export function sendTogether(key: string, inputs: OfGarden[]): Promise<(ApiError | null)[]> {
  const together = known.get(key)?.later?.together;
  if (!together) throw new Error(`${key} is sent one at a time`);
  return together.send(inputs as never);
}

/** Sends a stored write by its key. */
export function sendWrite(key: string, input: OfGarden): Promise<unknown> {
  const write = known.get(key);
  if (!write) throw new Error(`no sender is registered for ${key}`);
  return write.send(input as never);
}

/** Shows waiting writes again after a reload. */
export function showWrite(client: QueryClient, key: string, input: OfGarden): void {
  known.get(key)?.later?.apply(client, input as never);
}

/** Registers every write with the client by its key, and what each makes stale. */
export function registerWrites(client: QueryClient): void {
  for (const { key, send, later } of known.values())
    client.setMutationDefaults([key], {
      mutationFn: send as (input: unknown) => Promise<unknown>,
      onSuccess: (_answer: unknown, input: unknown) => refresh(client, (input as OfGarden).gardenId),
      // writes that can wait are not retried while the user watches: they are stored and sent later
      ...(later ? { retry: false, networkMode: 'always' as const } : {}),
    });
}

export const writeKeys = (): string[] => [...known.keys()];

/** Marks everything of a garden as stale. The plan follows by itself; no one needs to wait for it. */
async function refresh(client: QueryClient, gardenId: string): Promise<void> {
  void client.invalidateQueries({ queryKey: queryKeys.plan(gardenId) });
  await Promise.all([
    client.invalidateQueries({ queryKey: queryKeys.garden(gardenId) }),
    client.invalidateQueries({ queryKey: queryKeys.gardens }),
  ]);
}
