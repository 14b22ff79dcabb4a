import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream';
import { BadRequestException } from '@nestjs/common';
import StreamArray from 'stream-json/streamers/StreamArray.js';
import type { Row } from './garden-tables.js';

/** Bytes of the longest row. */
const MOST_ROW = 2_000_000;

/**
 * Reads the rows of a JSON list one at a time, never all at once.
 * @throws 400 if it is not such a list, with its name
 */
export async function* jsonRows(from: Readable, name: string): AsyncGenerator<Row> {
  let since = 0;
  const watched = new Transform({
    transform(part: Buffer, _, done) {
      since += part.length;
      done(since > MOST_ROW ? new Error('one of its rows is too long') : null, part);
    },
  });
  const rows = StreamArray.withParser();
  // errors on the way reach the reader of the rows
  pipeline(from, watched, rows, () => undefined);
  try {
    for await (const { value } of rows as AsyncIterable<{ value: unknown }>) {
      since = 0;
      if (typeof value !== 'object' || value === null || Array.isArray(value))
        throw new Error('it contains something that is not a row');
      yield value as Row;
    }
  } catch (error) {
    if (error instanceof BadRequestException) throw error;
    throw new BadRequestException(`${name} can’t be read: ${(error as Error).message.slice(0, 120)}.`);
  }
}
