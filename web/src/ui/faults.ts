import type { Fault } from '@candid-leaf/core/records';
import { ApiError, NeedsSignal } from '../lib/api';

/** Why nothing was heard of the server. */
export const unheard = (error: unknown): string =>
  error instanceof NeedsSignal ? error.message : 'We can’t reach the server. Nothing you wrote is lost.';

/** The faults of a write that failed, or a line saying that nothing was heard. */
export const faultsIn = (error: Error | null): readonly Fault[] => {
  if (!error) return [];
  if (!(error instanceof ApiError)) return [{ path: '', reason: unheard(error) }];
  return error.faults.length > 0 ? error.faults : [{ path: '', reason: error.message }];
};
