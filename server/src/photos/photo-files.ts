import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Which of a photo's two files. */
export type Size = 'whole' | 'small';

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

  /** Writes completely or not at all: to a temporary file, then renamed. */
  async write(gardenId: string, id: string, size: Size, data: Buffer): Promise<void> {
    await mkdir(this.folder(gardenId), { recursive: true, mode: 0o700 });
    const path = this.path(gardenId, id, size);
    const beside = `${path}.${randomUUID()}.partial`;
    try {
      await writeFile(beside, data, { mode: 0o600 });
      await rename(beside, path);
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

  removeGarden(gardenId: string): Promise<void> {
    return rm(this.folder(gardenId), { recursive: true, force: true });
  }
}
