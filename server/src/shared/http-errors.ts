import {
  type ArgumentMetadata,
  BadRequestException,
  ConflictException,
  NotFoundException,
  ServiceUnavailableException,
  ValidationPipe,
} from '@nestjs/common';
import { faultsOf, STRICT, withCurrentNames, type Fault } from '@candid-leaf/core/records';

/** Most faults reported at once. */
const MOST_FAULTS = 20;

/** Builds a 400 with the path and reason of every fault, up to twenty. */
export function badRequest(faults: readonly Fault[]): BadRequestException {
  const more = faults.length - MOST_FAULTS;
  return new BadRequestException({
    message: `Some of this is not right.${more > 0 ? ` ${more} more errors are not listed.` : ''}`,
    faults: faults.slice(0, MOST_FAULTS),
  });
}

/** Throws a 400 if there are faults. */
export function throwIfFaults(faults: readonly Fault[]): void {
  if (faults.length > 0) throw badRequest(faults);
}

/** Runs part of a larger write: the faults of that part get its path before their own. */
export async function under<T>(path: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof BadRequestException)) throw error;
    const { faults = [] } = error.getResponse() as { faults?: Fault[] };
    throw badRequest(faults.map((f) => ({ ...f, path: path + f.path })));
  }
}

/** Returns a 404 naming what is missing. */
export const notFound = (what: string): NotFoundException => new NotFoundException(`This ${what} does not exist here.`);
/** Returns a 409: the row changed since it was read. */
export const versionConflict = (): ConflictException =>
  new ConflictException('Someone else changed this in the meantime. Look at the newer version, then change it again.');
/** Returns a 503 with a message. */
export const unavailable = (message: string): ServiceUnavailableException => new ServiceUnavailableException(message);

/** Validates every body against its class; unknown fields are faults. Field names of the version before are read. */
class InputPipe extends ValidationPipe {
  override transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    return super.transform(withCurrentNames(value), metadata) as Promise<unknown>;
  }
}

/** Returns the pipe that validates every body. */
export const validationPipe = (): ValidationPipe =>
  new InputPipe({ ...STRICT, transform: true, exceptionFactory: (errors) => badRequest(faultsOf(errors)) });
