import type { Failure } from './failure.js';

/** Messages between the main thread and the workers. */
export interface Job {
  id: number;
  name: string;
  args: readonly unknown[];
}

/** Messages from a worker: ready, alive, an answer or a failure. */
export type Said = { ready: true } | { beat: true } | { id: number; json: string } | { id: number; failure: Failure };
