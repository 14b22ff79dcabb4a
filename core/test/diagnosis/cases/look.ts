import { contextOf, type Diagnosis, type NextCheck } from '@candid-leaf/core/diagnosis';
import { diagnose } from '../../../src/diagnosis/engine/diagnose.js';
import { nextChecks } from '../../../src/diagnosis/engine/next-checks.js';
import { caseOf, type SampleCase } from './sample-case.js';

/** What it is and what to check, without the water and the remedies of a full report. */
export function look(
  t: SampleCase,
  signs: readonly string[],
): { diagnosis: Diagnosis[]; nextChecks: () => NextCheck[] } {
  const ctx = contextOf(caseOf(t, signs));
  const result = diagnose(ctx);
  return { diagnosis: result.list, nextChecks: () => nextChecks(ctx, result) };
}
