import { mkdir, readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { FileStore } from '@tus/file-store';
import { Server } from '@tus/server';
import { PHOTO_BYTES } from '@candid-leaf/contract';
import type { Request, Response } from 'express';

/** Folder of what has not arrived whole, beside the folders of the gardens. */
export const PARTS_FOLDER = 'arriving';
/** Unfinished photos of one account; beyond, its oldest goes and is sent again from the start. */
const MOST_UNFINISHED = 8;
/** An unfinished photo can be continued for so long, ms. */
const CONTINUED_MS = 24 * 3600 * 1000;

/** One photo on its way: whose, into which garden. Names are checked ids, never user text. */
export interface Arriving {
  accountId: string;
  gardenId: string;
  photoId: string;
}
const nameOf = ({ accountId, gardenId, photoId }: Arriving): string => `${accountId}.${gardenId}.${photoId}`;

/**
 * Photos that arrive in parts, by the tus protocol for resumable uploads: a line that breaks continues where it was.
 * Each account has its own; nobody can add to another's.
 */
export class PhotoParts {
  private readonly folder: string;
  private opened: Promise<{ store: FileStore; tus: Server }> | null = null;
  /** which photo a request is about: its route has checked that */
  private readonly asked = new WeakMap<object, string>();

  constructor(root: string) {
    this.folder = join(root, PARTS_FOLDER);
  }

  /** Made with the first photo: a folder that cannot be made fails that request, not the server. */
  private open(): Promise<{ store: FileStore; tus: Server }> {
    this.opened ??= this.make().catch((error: unknown) => {
      this.opened = null;
      throw error;
    });
    return this.opened;
  }

  private async make(): Promise<{ store: FileStore; tus: Server }> {
    // nobody else on this machine looks into it
    await mkdir(this.folder, { recursive: true, mode: 0o700 });
    const store = new FileStore({ directory: this.folder, expirationPeriodInMilliseconds: CONTINUED_MS });
    const named = (request: { runtime?: { node?: { req: object } } }): string =>
      this.asked.get(request.runtime!.node!.req)!;
    const tus = new Server({
      path: '/',
      datastore: store,
      maxSize: PHOTO_BYTES,
      // our page only
      allowedOrigins: [],
      namingFunction: named,
      getFileIdFromRequest: named,
      // it is continued where it was begun
      generateUrl: (request) => new URL(request.url).pathname,
      onResponseError: (_request, error) => ({
        status_code: 'status_code' in error ? error.status_code : 500,
        body: JSON.stringify({ message: 'This part of a photo does not fit. Send the photo again.' }),
      }),
    });
    return { store, tus };
  }

  /** Answers one request of the protocol: begin, ask how far it has come, or add a part. */
  async take(arriving: Arriving, request: Request, response: Response): Promise<void> {
    this.asked.set(request, nameOf(arriving));
    if (request.method === 'POST') await this.makeRoom(arriving);
    const { tus } = await this.open();
    await tus.handle(request, response);
  }

  /** Returns the photo once all parts are there; null before. */
  async whole(arriving: Arriving): Promise<Buffer | null> {
    const name = nameOf(arriving);
    const { store } = await this.open();
    const found = await store.getUpload(name).catch(() => null);
    return found && found.size === found.offset ? readFile(join(this.folder, name)) : null;
  }

  async forget(arriving: Arriving): Promise<void> {
    await this.drop(nameOf(arriving));
  }

  /** Removes what nobody has continued for a day. Returns how many. */
  async tidy(now: number): Promise<number> {
    const old = (await this.list()).filter((f) => now - f.at > CONTINUED_MS);
    for (const f of old) await this.drop(f.name);
    return old.length;
  }

  private async makeRoom(arriving: Arriving): Promise<void> {
    const name = nameOf(arriving);
    const own = (await this.list()).filter((f) => f.name.startsWith(`${arriving.accountId}.`) && f.name !== name);
    own.sort((a, b) => b.at - a.at);
    for (const f of own.slice(MOST_UNFINISHED - 1)) await this.drop(f.name);
  }

  private async list(): Promise<{ name: string; at: number }[]> {
    const names = (await readdir(this.folder).catch(() => [])).filter((name) => !name.endsWith('.json'));
    return Promise.all(
      names.map(async (name) => ({ name, at: (await stat(join(this.folder, name)).catch(() => null))?.mtimeMs ?? 0 })),
    );
  }

  private async drop(name: string): Promise<void> {
    await rm(join(this.folder, name), { force: true });
    await rm(join(this.folder, `${name}.json`), { force: true });
  }
}
