import { BadRequestException, ConflictException, NotFoundException, ValidationPipe } from '@nestjs/common';
import { faultsOf, RefusedInput, STRICT, type Fault } from '@candid-leaf/core';

/** 400 with every fault's path and reason. */
export const refuse = (faults: readonly Fault[]): BadRequestException =>
  new BadRequestException({ message: 'Some of this cannot be right.', faults });

/** Throws a 400 when there are faults. */
export function insist(faults: readonly Fault[]): void {
  if (faults.length > 0) throw refuse(faults);
}

/** Runs a core check; what it refuses becomes a 400. */
export function orRefuse<T>(check: () => T): T {
  try {
    return check();
  } catch (error) {
    if (error instanceof RefusedInput) throw refuse(error.faults);
    throw error;
  }
}

export const gone = (what: string): NotFoundException => new NotFoundException(`There is no such ${what} here.`);
export const stale = (): ConflictException =>
  new ConflictException('Somebody changed this meanwhile. Look at the newer version, then change it again.');

/** Every body is checked against its class; unknown fields are faults. */
export const edge = (): ValidationPipe =>
  new ValidationPipe({ ...STRICT, transform: true, exceptionFactory: (errors) => refuse(faultsOf(errors)) });
