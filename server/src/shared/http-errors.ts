import { BadRequestException, ConflictException, NotFoundException, ValidationPipe } from '@nestjs/common';
import { faultsOf, STRICT, type Fault } from '@candid-leaf/core/records';

/** 400 with every fault's path and reason. */
export const badRequest = (faults: readonly Fault[]): BadRequestException =>
  new BadRequestException({ message: 'Some of this cannot be right.', faults });

/** Throws a 400 when there are faults. */
export function throwIfFaults(faults: readonly Fault[]): void {
  if (faults.length > 0) throw badRequest(faults);
}

export const notFound = (what: string): NotFoundException => new NotFoundException(`There is no such ${what} here.`);
export const versionConflict = (): ConflictException =>
  new ConflictException('Somebody changed this meanwhile. Look at the newer version, then change it again.');

/** Every body is checked against its class; unknown fields are faults. */
export const validationPipe = (): ValidationPipe =>
  new ValidationPipe({ ...STRICT, transform: true, exceptionFactory: (errors) => badRequest(faultsOf(errors)) });
