import { checked, RefusedInput } from '@candid-leaf/core/records';
import {
  set,
  type FieldErrors,
  type FieldValues,
  type Path,
  type Resolver,
  type UseFormSetError,
} from 'react-hook-form';
import { ApiError } from '../lib/api';
import { unheard } from './faults';

/**
 * Validates a form with the server's class, so both say the same. `tidy` first removes what the gardener left empty.
 */
export function resolverFor<T extends FieldValues & object>(
  cls: new () => T,
  tidy: (values: T) => T = (v) => v,
): Resolver<T> {
  return (values) => {
    try {
      return { values: checked(cls, tidy(values)), errors: {} };
    } catch (error) {
      if (!(error instanceof RefusedInput)) throw error;
      const errors: FieldErrors<T> = {};
      for (const f of error.faults) set(errors, f.path, { type: 'refused', message: f.reason });
      return { values: {}, errors };
    }
  };
}

/**
 * Puts each server fault at its field (`fieldOf`, if the form is only part of the input); the rest go above the
 * button.
 */
export function applyFaults<T extends FieldValues>(
  error: unknown,
  setError: UseFormSetError<T>,
  fieldOf: (path: string) => string = (path) => path,
): void {
  if (!(error instanceof ApiError)) {
    setError('root', { message: unheard(error) });
    return;
  }
  if (error.faults.length === 0) setError('root', { message: error.message });
  for (const fault of error.faults) setError(fieldOf(fault.path) as Path<T>, { message: fault.reason });
}

/** For `register`: an empty choice or text means "not known". */
export const emptyIsUnknown = { setValueAs: (v: unknown) => (v === '' ? null : v) };
