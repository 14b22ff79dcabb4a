import { BadRequestException, PayloadTooLargeException } from '@nestjs/common';
import type { Request } from 'express';

/**
 * Reads a non-JSON body up to a limit.
 * @throws 413 if larger; 400 if empty
 */
export async function readWhole(request: Request, most: number, what: string): Promise<Buffer> {
  const tooLarge = (): PayloadTooLargeException =>
    new PayloadTooLargeException(`${what} is larger than ${most / 1_000_000} MB.`);
  if (Number(request.get('content-length') ?? 0) > most) throw tooLarge();
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of request as AsyncIterable<Buffer>) {
    bytes += part.length;
    if (bytes > most) throw tooLarge();
    parts.push(part);
  }
  if (bytes === 0) throw new BadRequestException(`${what} is empty.`);
  return Buffer.concat(parts);
}
