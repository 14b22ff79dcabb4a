import type { QueryClient } from '@tanstack/react-query';
import { queryKeys } from './query-keys';

/** What every write says: of which garden it is. The rest is plain data too, so that it can be stored and sent later. */
export interface OfGarden {
  gardenId: string;
}

/** A write, known by its key: what is stored of it is the key and the input, and the function is found again by the key. */
export interface Write<Input extends OfGarden, Answer> {
  key: string;
  send: (input: Input) => Promise<Answer>;
}

const known = new Map<string, (input: never) => Promise<unknown>>();

/** Defines a write. Each feature's writes stand in its `writes.ts`; all of them are known before the page is drawn. */
export function defineWrite<Input extends OfGarden, Answer = unknown>(
  key: string,
  send: (input: Input) => Promise<Answer>,
): Write<Input, Answer> {
  if (known.has(key)) throw new Error(`two writes are called ${key}`);
  known.set(key, send);
  return { key, send };
}

/** Tells the client every write by its key, and what each makes stale. */
export function registerWrites(client: QueryClient): void {
  for (const [key, send] of known)
    client.setMutationDefaults([key], {
      mutationFn: send as (input: unknown) => Promise<unknown>,
      onSuccess: (_answer: unknown, input: unknown) => refresh(client, (input as OfGarden).gardenId),
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
