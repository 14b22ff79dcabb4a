import type { PlantView } from '@candid-leaf/contract';
import type { Remedy } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';

/** What to do about a trouble, in the order in which it is done; what waits for next season comes last. */
export const stepsFor = ({ report }: PlantView, disorder: DisorderCode): Remedy[] =>
  report.remedies.filter((r) => r.forDisorder === disorder).sort((a, b) => (a.step || Infinity) - (b.step || Infinity));
