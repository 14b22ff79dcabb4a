import { randomUUID } from 'node:crypto';
import { access, mkdir, open, readdir, readFile, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PARTS_FOLDER } from './photo-parts.js';

/** Which of a photo's two files. */
export type Size = 'whole' | 'small';

/** Makes sure that a folder's names are on the disk. */
async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder);
  await handle.sync().finally(() => handle.close());
}

/**
 * Picture files, outside the database: a folder per garden, two files per photo. Names are checked ids, never user
 * text.
 */
export class PhotoFiles {
  constructor(private readonly root: string) {}

  private folder(gardenId: string): string {
    return join(this.root, gardenId);
  }
  path(gardenId: string, id: string, size: Size): string {
    return join(this.folder(gardenId), `${id}${size === 'small' ? '-small' : ''}.jpg`);
  }

  /** Writes completely or not at all: to a temporary file, then renamed. When it returns, a power cut loses nothing. */
  async write(gardenId: string, id: string, size: Size, data: Buffer): Promise<void> {
    const made = await mkdir(this.folder(gardenId), { recursive: true, mode: 0o700 });
    if (made !== undefined) await syncFolder(this.root);
    const path = this.path(gardenId, id, size);
    const beside = `${path}.${randomUUID()}.partial`;
    try {
      await writeFile(beside, data, { mode: 0o600, flush: true });
      await rename(beside, path);
      await syncFolder(this.folder(gardenId));
    } catch (error) {
      await rm(beside, { force: true });
      throw error;
    }
  }

  read(gardenId: string, id: string, size: Size): Promise<Buffer> {
    return readFile(this.path(gardenId, id, size));
  }

  async remove(gardenId: string, id: string): Promise<void> {
    for (const size of ['whole', 'small'] as const) await rm(this.path(gardenId, id, size), { force: true });
  }

  /** Returns the gardens that have a folder. */
  async gardens(): Promise<string[]> {
    const found = await readdir(this.root, { withFileTypes: true }).catch(() => []);
    return found.filter((f) => f.isDirectory() && f.name !== PARTS_FOLDER).map((f) => f.name);
  }

  /** Returns the files of a garden; a half-written one belongs to no photo. */
  async list(gardenId: string): Promise<{ name: string; id: string; writtenAt: number }[]> {
    const names = await readdir(this.folder(gardenId));
    return Promise.all(
      names.map(async (name) => ({
        name,
        id: name.includes('.partial') ? '' : name.replace(/(-small)?\.jpg$/, ''),
        writtenAt: (await stat(join(this.folder(gardenId), name))).mtimeMs,
      })),
    );
  }
  drop(gardenId: string, name: string): Promise<void> {
    return rm(join(this.folder(gardenId), name), { force: true });
  }
  has(gardenId: string, id: string): Promise<boolean> {
    return access(this.path(gardenId, id, 'whole')).then(
      () => true,
      () => false,
    );
  }

  removeGarden(gardenId: string): Promise<void> {
    return rm(this.folder(gardenId), { recursive: true, force: true });
  }
}
