import type { Failure } from './failure.js';

/** What is said between the thread that answers and those that reckon. */
export interface Job {
  id: number;
  name: string;
  args: readonly unknown[];
}

export type Said = { ready: true } | { beat: true } | { id: number; json: string } | { id: number; failure: Failure };
