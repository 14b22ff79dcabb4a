import type { PlantView } from '@candid-leaf/contract';
import type { Remedy } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';

/** Returns remedies for a problem in the order to do them; next season's come last. */
export const stepsFor = ({ report }: PlantView, disorder: DisorderCode): Remedy[] =>
  report.remedies.filter((r) => r.forDisorder === disorder).sort((a, b) => (a.step || Infinity) - (b.step || Infinity));

/** Id of the steps on the page; the finding leads there. */
export const WHAT_TO_DO = 'what-to-do';
