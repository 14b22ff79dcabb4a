import type { Fault } from '@candid-leaf/core/records';
import { ApiError, NeedsSignal } from '../lib/api';

/** Returns why no answer came from the server. */
export const unheard = (error: unknown): string =>
  error instanceof NeedsSignal ? error.message : 'We can’t reach the server. Nothing you wrote is lost.';

/** Returns the faults of a failed write, or a line saying no answer came. */
export const faultsIn = (error: Error | null): readonly Fault[] => {
  if (!error) return [];
  if (!(error instanceof ApiError)) return [{ path: '', reason: unheard(error) }];
  return error.faults.length > 0 ? error.faults : [{ path: '', reason: error.message }];
};
