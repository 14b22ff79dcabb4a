import { TextDecoder } from 'node:util';
import { BadRequestException, PayloadTooLargeException } from '@nestjs/common';
import { DELIMITERS, IMPORT_BYTES, MOST_COLUMNS, MOST_ROWS, type Delimiter } from '@candid-leaf/contract';
import { CsvError, parse } from 'csv-parse';

/** One line of a file, with its number and cells. */
export interface CsvRow {
  line: number;
  cells: string[];
}

const MOST_CELL = 20_000;
const UNREAD = 'This file’s text encoding is not supported. Save it as CSV in UTF-8 and choose it again.';

/** Returns the encoding of a file by its byte-order mark; none: UTF-8. */
function lettersOf(first: Uint8Array): string {
  const [a, b] = first;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  return 'utf-8';
}

/**
 * Decodes bytes as they arrive.
 * @throws 400 if not text; 413 if too large
 */
async function* textOf(bytes: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  let decoder: TextDecoder | null = null;
  let read = 0;
  try {
    for await (const part of bytes) {
      read += part.length;
      if (read > IMPORT_BYTES.table)
        throw new PayloadTooLargeException(`This file is larger than ${IMPORT_BYTES.table / 1_000_000} MB.`);
      // the decoder removes the mark itself
      decoder ??= new TextDecoder(lettersOf(part), { fatal: true });
      const text = decoder.decode(part, { stream: true });
      if (text.includes('\0')) throw new BadRequestException(UNREAD);
      yield text;
    }
    if (decoder) yield decoder.decode();
  } catch (error) {
    if ((error as { code?: string }).code === 'ERR_ENCODING_INVALID_ENCODED_DATA')
      throw new BadRequestException(UNREAD);
    throw error;
  }
}

const WHY: Record<string, string> = {
  CSV_QUOTE_NOT_CLOSED: 'a quotation mark is opened but never closed',
  INVALID_OPENING_QUOTE: 'a quotation mark is in the middle of a cell; inside a quoted cell write it twice',
  CSV_INVALID_CLOSING_QUOTE: 'there is text after a closing quotation mark',
  CSV_NON_TRIMABLE_CHAR_AFTER_CLOSING_QUOTE: 'there is text after a closing quotation mark',
  CSV_MAX_RECORD_SIZE: 'this line is too long',
};

/**
 * Reads the rows of a CSV file (RFC 4180) one at a time, never all at once. Lines may end in CR, LF or both and
 * differ in length; blank ones are skipped.
 * @throws 400 with the number of a broken line
 */
export async function* csvRows(bytes: AsyncIterable<Uint8Array>, delimiter: Delimiter): AsyncGenerator<CsvRow> {
  const parser = parse({
    delimiter,
    info: true,
    relax_column_count: true,
    skip_empty_lines: true,
    max_record_size: MOST_CELL * MOST_COLUMNS,
  });
  const feeding = feed(parser, textOf(bytes));
  feeding.catch((error: Error) => parser.destroy(error));
  let rows = 0;
  try {
    for await (const { record, info } of parser as AsyncIterable<{ record: string[]; info: { lines: number } }>) {
      if (record.length > MOST_COLUMNS)
        throw new BadRequestException(`Line ${info.lines} has more than ${MOST_COLUMNS} cells.`);
      if (++rows > MOST_ROWS + 1)
        throw new PayloadTooLargeException(`This file has more than ${MOST_ROWS} rows. Import it in parts.`);
      yield { line: info.lines, cells: record };
    }
    await feeding;
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    const line = Number((error as unknown as { lines?: number }).lines ?? rows + 1);
    throw new BadRequestException(
      `This is not a valid CSV file: near line ${line} ${WHY[error.code] ?? 'something is broken'}.`,
    );
  }
}

async function feed(parser: ReturnType<typeof parse>, text: AsyncIterable<string>): Promise<void> {
  for await (const part of text) {
    // the reader has seen enough
    if (parser.destroyed) return;
    if (!parser.write(part))
      await new Promise<void>((drained, failed) => {
        const done = (): void => {
          parser.off('drain', done);
          parser.off('close', done);
          parser.off('error', failed);
          drained();
        };
        parser.once('drain', done);
        parser.once('close', done);
        parser.once('error', failed);
      });
  }
  parser.end();
}

/** Guesses the delimiter: the most frequent one in the first line, outside quotes. */
export function guessDelimiter(text: string): Delimiter {
  const [line = ''] = text.replaceAll(/"(?:[^"]|"")*"/g, '').split(/\r\n|\n|\r/, 1);
  const count = (d: string): number => line.split(d).length;
  return DELIMITERS.reduce((best, d) => (count(d) > count(best) ? d : best));
}
