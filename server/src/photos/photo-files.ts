import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Which of a photo's two files. */
export type Size = 'whole' | 'small';

/** The pictures, beside the database: a folder for each garden, two files for each photo. Their names are ids that we checked, never what somebody called them. */
export class PhotoFiles {
  constructor(private readonly root: string) {}

  private folder(gardenId: string): string {
    return join(this.root, gardenId);
  }
  path(gardenId: string, id: string, size: Size): string {
    return join(this.folder(gardenId), `${id}${size === 'small' ? '-small' : ''}.jpg`);
  }

  /** Whole or not at all: written beside its place, then moved there. */
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
