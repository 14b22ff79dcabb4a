import { contextOf, type Diagnosis, type NextCheck } from '@candid-leaf/core/diagnosis';
import { diagnose } from '../../../src/diagnosis/engine/diagnose.js';
import { nextChecks } from '../../../src/diagnosis/engine/next-checks.js';
import type { PlantCase } from '@candid-leaf/core/records';
import { caseOf, observationOf, type SampleCase } from './sample-case.js';

/** The records of a case are read and checked once; only what is seen changes from look to look. */
const bases = new WeakMap<SampleCase, PlantCase>();
const baseOf = (t: SampleCase): PlantCase => {
  const base = bases.get(t) ?? caseOf(t, []);
  bases.set(t, base);
  return base;
};

/** What it is and what to check, without the water and the remedies of a full report. */
export function look(
  t: SampleCase,
  signs: readonly string[],
): { diagnosis: Diagnosis[]; nextChecks: () => NextCheck[] } {
  const ctx = contextOf({ ...baseOf(t), observations: signs.map(observationOf) });
  const result = diagnose(ctx);
  return { diagnosis: result.list, nextChecks: () => nextChecks(ctx, result) };
}
