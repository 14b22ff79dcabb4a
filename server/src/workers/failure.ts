import { HttpException } from '@nestjs/common';
import { codeOf, databaseTrouble } from '../shared/database-faults.js';

/** A failure in a form that can cross between threads. */
export type Failure =
  | { kind: 'refused'; status: number; body: string | object }
  | { kind: 'database'; code: string }
  | { kind: 'fault'; name: string; message: string; stack: string };

/** Returns an error in a form that can cross between threads; messages of the database are left out. */
export function failureOf(error: unknown): Failure {
  if (error instanceof HttpException) return { kind: 'refused', status: error.getStatus(), body: error.getResponse() };
  const trouble = databaseTrouble(error);
  // database messages contain what people wrote: pass only the code
  if (trouble) return { kind: 'database', code: codeOf(error as object) || 'PROTOCOL_CONNECTION_LOST' };
  const { name = 'Error', message = '', stack = '' } = (error ?? {}) as Error;
  const ofStatement = typeof error === 'object' && error !== null && ('sql' in error || 'driverError' in error);
  return ofStatement
    ? { kind: 'fault', name, message: codeOf(error as object), stack: '' }
    : { kind: 'fault', name, message, stack };
}

/** Returns the error a failure stands for. */
export function errorOf(failure: Failure): Error {
  if (failure.kind === 'refused') return new HttpException(failure.body, failure.status);
  if (failure.kind === 'database') return Object.assign(new Error('the database'), { code: failure.code });
  return Object.assign(new Error(failure.message), { name: failure.name, stack: failure.stack });
}
