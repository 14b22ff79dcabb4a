import type { PlantView } from '@candid-leaf/contract';
import { CLEAR_FROM, DRIVERS, type Remedy, remedyRow } from '@candid-leaf/core/diagnosis';
import type { DisorderCode } from '@candid-leaf/core/records';
import { cautionsOnce } from '../../../lib/cautions';

/** Returns remedies for a problem in the order to do them; next season's come last. */
export const stepsFor = ({ report }: PlantView, disorder: DisorderCode): Remedy[] =>
  report.remedies.filter((r) => r.forDisorder === disorder).sort((a, b) => (a.step || Infinity) - (b.step || Infinity));

/** Id of the steps on the page; the finding leads there. */
export const WHAT_TO_DO = 'what-to-do';

/**
 * Returns the step that stands in the finding: the gentlest one of what is clear now, or the one that is right whatever it
 * is; undefined if there is none.
 */
export function firstActOf(view: PlantView): Remedy | undefined {
  const leader = view.report.diagnosis.find((d) => d.explains.length > 0);
  if (view.ended || !leader) return undefined;
  if (leader.probability < CLEAR_FROM) return view.report.remedies.find((r) => r.either);
  const [first] = stepsFor(view, leader.disorder);
  return first?.step === 1 ? first : undefined;
}

/** Returns the precautions of each step; one that applies to several stands in full with the first. */
export const precautionsOf = (remedies: readonly Remedy[]) =>
  cautionsOnce(remedies.map((r) => ({ label: remedyRow(r.remedy).label, cautions: r.cautions })));

/** Returns how a step is done, and the cause it is for. */
export const howInWords = (r: Remedy): string =>
  `${remedyRow(r.remedy).how}${r.forDriver ? ` This is for ${DRIVERS[r.forDriver]}.` : ''}`;
