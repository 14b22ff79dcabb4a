import { BadRequestException } from '@nestjs/common';
import { RENAMED_TABLES } from '@candid-leaf/core/records';
import type { Readable } from 'node:stream';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { GARDEN_TABLES } from './garden-tables.js';

const MOST_ENTRIES = 20_000;
/** Most bytes of one file, and of all. */
const MOST = { text: 400_000_000, photo: 8_000_000, all: 3_000_000_000 };
/** JSON compresses well, but not a thousandfold. */
const MOST_PACKED = { ratio: 100, from: 1_000_000 };

const TEXTS: ReadonlySet<string> = new Set([
  'candid-leaf.json',
  'garden.json',
  ...GARDEN_TABLES.map((t) => `${t.name}.json`),
  ...Object.keys(RENAMED_TABLES).map((name) => `${name}.json`),
]);
const PHOTO = /^photos\/photo-[1-9]\d{0,5}\.jpg$/;

const refuse = (why: string): never => {
  throw new BadRequestException(`This is not a garden file: ${why}.`);
};

/** Entries of a garden file: only expected names, each once, within size limits and no larger than stated. */
export class ZipEntries {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /** @throws 400 if it is not a zip, or contains unexpected files */
  static async open(path: string): Promise<ZipEntries> {
    const zip = await openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true }).catch(
      (): never => refuse('it is not a zip file, or it is damaged'),
    );
    try {
      const entries = new Map<string, Entry>();
      let all = 0;
      if (zip.entryCount > MOST_ENTRIES) refuse('it contains too many files');
      for await (const entry of zip.eachEntry() as AsyncIterable<Entry>) {
        const name = entry.fileName;
        const photo = PHOTO.test(name);
        if (!photo && !TEXTS.has(name)) refuse(`it contains "${name.slice(0, 60)}"`);
        if (entries.has(name)) refuse(`it contains ${name} twice`);
        const { uncompressedSize: size, compressedSize: packed } = entry;
        all += size;
        if (size > (photo ? MOST.photo : MOST.text) || all > MOST.all) refuse(`${name} is too large`);
        if (size > MOST_PACKED.from && size > packed * MOST_PACKED.ratio)
          refuse(`${name} is compressed in a suspicious way`);
        if (entry.isEncrypted()) refuse('it has a password');
        entries.set(name, entry);
      }
      return new ZipEntries(zip, entries);
    } catch (error) {
      zip.close();
      if (error instanceof BadRequestException) throw error;
      return refuse(`it is damaged (${(error as Error).message.slice(0, 80)})`);
    }
  }

  has(name: string): boolean {
    return this.entries.has(name);
  }

  /**
   * Streams an entry up to its stated size.
   * @throws 400 if missing
   */
  async read(name: string): Promise<Readable> {
    const entry = this.entries.get(name) ?? refuse(`${name} is missing`);
    return this.zip.openReadStreamPromise(entry).catch((): never => refuse(`${name} is damaged`));
  }

  async whole(name: string, most: number): Promise<Buffer> {
    const parts: Buffer[] = [];
    let bytes = 0;
    for await (const part of (await this.read(name)) as AsyncIterable<Buffer>) {
      bytes += part.length;
      if (bytes > most) refuse(`${name} is too large`);
      parts.push(part);
    }
    return Buffer.concat(parts);
  }

  close(): void {
    this.zip.close();
  }
}
