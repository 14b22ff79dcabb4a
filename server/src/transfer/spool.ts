import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { BadRequestException, PayloadTooLargeException, ServiceUnavailableException } from '@nestjs/common';
import type { Request } from 'express';
import { callingAccount } from '../shared/caller.js';
import { Turns } from '../shared/turns.js';

/** Begins the name of the folder in which an upload is received. */
export const SPOOL_PREFIX = 'leaf-file-';
/** Most files processed at once. */
const MOST_AT_ONCE = 2;
/** Files of one account that may arrive or wait at once. */
const MOST_EACH = 2;
/** Longest wait for a place once the file has arrived, ms. */
const MOST_WAIT_MS = 60_000;

const busy = (): ServiceUnavailableException =>
  new ServiceUnavailableException('Other files are being imported right now. Try again in a moment.');
const turns = new Turns(MOST_AT_ONCE, MOST_EACH, MOST_WAIT_MS, busy);
const underWay = new Map<string, number>();

/** A file that has arrived. It is used once, and removed afterwards. */
export interface Spooled {
  /**
   * Waits for a place, then works on the file.
   * @throws 503 if no place comes free; what the work throws
   */
  use<T>(work: (file: string) => Promise<T>): Promise<T>;
}

/**
 * Receives a file completely; only then is a place taken to work on it: a slow sender blocks no one, and an interrupted
 * upload changes nothing.
 * @param most bytes
 * @throws 413 if larger; 400 if empty or interrupted; 503 if this account sends too many at once
 */
export async function spooled(request: Request, most: number): Promise<Spooled> {
  const tooLarge = (): PayloadTooLargeException =>
    new PayloadTooLargeException(`This file is larger than ${most / 1_000_000} MB.`);
  if (Number(request.get('content-length') ?? 0) > most) throw tooLarge();
  const owner = callingAccount() ?? 'nobody';
  const own = underWay.get(owner) ?? 0;
  if (own >= MOST_EACH) throw busy();
  underWay.set(owner, own + 1);
  const folder = await mkdtemp(join(tmpdir(), SPOOL_PREFIX));
  const file = join(folder, 'file');
  const end = async (): Promise<void> => {
    const left = (underWay.get(owner) ?? 1) - 1;
    if (left > 0) underWay.set(owner, left);
    else underWay.delete(owner);
    await rm(folder, { recursive: true, force: true });
  };
  try {
    await receive(request, file, most, tooLarge);
  } catch (error) {
    await end();
    throw error;
  }
  return {
    use: (work) => turns.run(owner, () => work(file)).finally(end),
  };
}

async function receive(request: Request, file: string, most: number, tooLarge: () => Error): Promise<void> {
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
}
