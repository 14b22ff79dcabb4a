import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { BadRequestException, PayloadTooLargeException, ServiceUnavailableException } from '@nestjs/common';
import type { Request } from 'express';

/** Most files processed at once. */
const MOST_AT_ONCE = 2;
let atWork = 0;

/**
 * Receives a file completely before work starts: a slow sender blocks no one, and an interrupted upload changes
 * nothing. The file is removed afterwards.
 * @param most bytes
 * @throws 413 if larger; 400 if empty or interrupted; 503 if others are being processed
 */
export async function spooled<T>(request: Request, most: number, work: (file: string) => Promise<T>): Promise<T> {
  const tooLarge = (): PayloadTooLargeException =>
    new PayloadTooLargeException(`This file is larger than ${most / 1_000_000} MB.`);
  if (Number(request.get('content-length') ?? 0) > most) throw tooLarge();
  if (atWork >= MOST_AT_ONCE)
    throw new ServiceUnavailableException('Other files are being imported right now. Try again in a moment.');
  atWork += 1;
  const folder = await mkdtemp(join(tmpdir(), 'leaf-file-'));
  try {
    const file = join(folder, 'file');
    let bytes = 0;
    const counted = new Transform({
      transform(part: Buffer, _, done) {
        bytes += part.length;
        done(bytes > most ? tooLarge() : null, part);
      },
    });
    await pipeline(request, counted, createWriteStream(file, { mode: 0o600 })).catch((error: Error) => {
      if (error instanceof PayloadTooLargeException) throw error;
      throw new BadRequestException('The upload was interrupted. Nothing was changed.');
    });
    if (bytes === 0) throw new BadRequestException('This file is empty.');
    return await work(file);
  } finally {
    atWork -= 1;
    await rm(folder, { recursive: true, force: true });
  }
}
