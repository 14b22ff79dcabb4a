import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { PersistedClient } from '@tanstack/react-query-persist-client';

type WaitState =
  /** being sent by an open page */
  | 'fresh'
  | 'waiting'
  /** someone else edited the same row */
  | 'conflict'
  /** rejected by the server */
  | 'refused'
  /** the gardener put it aside: not sent until they say so */
  | 'aside';

/** A write not known to have arrived: its key and input are enough to send it. */
export interface Waiting {
  /** order in which they were made */
  n: number;
  account: string;
  key: string;
  input: { gardenId: string } & Record<string, unknown>;
  label: string;
  /** ms since 1970 */
  at: number;
  /** the page that made it */
  tab: string;
  state: WaitState;
  /** why it was rejected */
  reason?: string;
  /** how often the server failed at it, and when it is sent again, ms since 1970 */
  tries?: number;
  againAt?: number;
}

interface OnDevice extends DBSchema {
  outbox: { key: number; value: Waiting; indexes: { account: string } };
  views: { key: string; value: PersistedClient };
}

let opened: Promise<IDBPDatabase<OnDevice>> | null = null;

/** What this device stores. A browser without storage (a private window, an old one) rejects. */
export function device(): Promise<IDBPDatabase<OnDevice>> {
  if (typeof indexedDB === 'undefined') return Promise.reject(new Error('this browser stores nothing'));
  opened ??= openDB<OnDevice>('candid-leaf', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('account', 'account');
      db.createObjectStore('views');
    },
    // a newer page needs another format: close this connection
    blocking: () => void opened?.then((db) => db.close()).then(() => (opened = null)),
  });
  return opened;
}
