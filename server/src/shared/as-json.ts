import { StreamableFile } from '@nestjs/common';
import type { Rendered } from './workers.js';

/** Sends JSON rendered elsewhere unchanged. */
export const asJson = (json: Rendered<unknown>): StreamableFile =>
  new StreamableFile(Buffer.from(json), { type: 'application/json; charset=utf-8' });
