import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { PersistedClient } from '@tanstack/react-query-persist-client';

export type WaitState =
  /** being sent by a page that is open */
  | 'fresh'
  | 'waiting'
  /** somebody else changed the same meanwhile */
  | 'conflict'
  /** the server will not take it */
  | 'refused';

/** One write that is not known to have arrived: its key and its input are all that is needed to send it. */
export interface Waiting {
  /** in the order in which they were made */
  n: number;
  account: string;
  key: string;
  input: { gardenId: string } & Record<string, unknown>;
  label: string;
  /** ms since 1970 */
  at: number;
  /** which page made it */
  tab: string;
  state: WaitState;
  /** why it was not taken */
  reason?: string;
}

interface OnDevice extends DBSchema {
  outbox: { key: number; value: Waiting; indexes: { account: string } };
  views: { key: string; value: PersistedClient };
}

let opened: Promise<IDBPDatabase<OnDevice>> | null = null;

/** What this device keeps. A browser that keeps nothing (a private window, an old one) rejects. */
export function device(): Promise<IDBPDatabase<OnDevice>> {
  if (typeof indexedDB === 'undefined') return Promise.reject(new Error('this browser stores nothing'));
  opened ??= openDB<OnDevice>('candid-leaf', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('account', 'account');
      db.createObjectStore('views');
    },
    // a newer page wants another form of it: let go
    blocking: () => void opened?.then((db) => db.close()).then(() => (opened = null)),
  });
  return opened;
}
