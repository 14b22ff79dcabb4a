import type { ValidationError } from 'class-validator';
import { inWords } from './refusals.js';

/** One fault in an input: where, and why. */
export interface Fault {
  path: string;
  reason: string;
}

/** Flattens class-validator's tree into paths such as `records.watering[2].litres`. */
export function faultsOf(errors: readonly ValidationError[], under = ''): Fault[] {
  return errors.flatMap((error) => {
    const index = /^\d+$/.test(error.property);
    const path = index ? `${under}[${error.property}]` : under ? `${under}.${error.property}` : error.property;
    const broken = Object.entries(error.constraints ?? {});
    // if it is not a number, do not also report its range
    const kind = broken.filter(([rule]) => rule.startsWith('is'));
    const own = (kind.length > 0 ? kind : broken).map(([rule, text]) => ({
      path,
      reason:
        rule === 'whitelistValidation' ? 'is not a known field' : inWords(rule, text, error.property, error.value),
    }));
    return [...own, ...faultsOf(error.children ?? [], path)];
  });
}

/** Input that was refused, with every fault found. */
export class RefusedInput extends Error {
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((f) => `${f.path}: ${f.reason}`).join('\n'));
    this.name = 'RefusedInput';
  }
}
