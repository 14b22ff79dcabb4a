import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { faultsOf, RefusedInput } from './faults.js';
import { withCurrentNames } from './old-names.js';

/** Options for validating every class, here and at the server's edge. */
export const STRICT = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;

/**
 * Validates a value against one of our classes and returns an instance.
 * @throws RefusedInput with a path and a reason for every fault; unknown fields are faults too
 */
export function checked<T extends object>(cls: new () => T, value: unknown): T {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new RefusedInput([{ path: '(whole)', reason: 'must be a JSON object' }]);
  const instance = plainToInstance(cls, withCurrentNames(value));
  const faults = faultsOf(validateSync(instance, STRICT));
  if (faults.length > 0) throw new RefusedInput(faults);
  return instance;
}
