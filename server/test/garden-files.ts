import type { Readable } from 'node:stream';
import { fromBuffer, type Entry, type ZipFile as Unzipped } from 'yauzl';
import { ZipFile } from 'yazl';

/** The files of a garden file by their names. */
export type Files = Record<string, Buffer>;
/** Returns the files in a zip. */
export const unzipped = (zip: Buffer): Promise<Files> =>
  new Promise((done, fail) => {
    fromBuffer(zip, { lazyEntries: true }, (error, file: Unzipped) => {
      if (error) return fail(error);
      const files: Files = {};
      file.on('entry', (entry: Entry) =>
        file.openReadStream(entry, (_, stream) => {
          const parts: Buffer[] = [];
          stream.on('data', (p: Buffer) => parts.push(p));
          stream.on('end', () => {
            files[entry.fileName] = Buffer.concat(parts);
            file.readEntry();
          });
        }),
      );
      file.on('end', () => done(files));
      file.readEntry();
    });
  });
/** Packs files into a zip. */
export async function zipped(files: Files): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, data] of Object.entries(files)) zip.addBuffer(data, name);
  zip.end();
  const parts: Buffer[] = [];
  for await (const p of zip.outputStream as Readable) parts.push(p as Buffer);
  return Buffer.concat(parts);
}

/** Reads an answer as bytes. */
export const binary = (res: unknown, done: (e: Error | null, b: Buffer) => void): void => {
  const parts: Buffer[] = [];
  const stream = res as NodeJS.ReadableStream;
  stream.on('data', (p: Buffer) => parts.push(p));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};
