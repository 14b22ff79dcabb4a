import type { TrialInput } from '@candid-leaf/contract';
import type { Fault } from '@candid-leaf/core/records';

/** Returns the faults of a trial: its groups overlap or are empty, or it ends before it starts. */
export function trialFaults(t: Omit<TrialInput, 'id' | 'version'>): Fault[] {
  return [
    ...(t.changed.length === 0 ? [{ path: 'changed', reason: 'needs at least one plant' }] : []),
    ...(t.untouched.length === 0 ? [{ path: 'untouched', reason: 'needs at least one plant to compare with' }] : []),
    ...(t.changed.some((id) => t.untouched.includes(id)) ||
    new Set([...t.changed, ...t.untouched]).size !== t.changed.length + t.untouched.length
      ? [{ path: 'untouched', reason: 'a plant can be in one group only' }]
      : []),
    ...(t.judgeOn <= t.startedOn ? [{ path: 'judgeOn', reason: 'must be after the start date' }] : []),
  ];
}
