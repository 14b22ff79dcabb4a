import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import { accountHere } from './account';
import { device } from './store';

declare const __BUILT__: string;

/** So long what was seen last is kept to be shown without signal. */
export const KEPT_MS = 30 * 24 * 3600 * 1000;
/** Another build may want another form of it. */
export const KEPT_FOR: string = typeof __BUILT__ === 'undefined' ? 'dev' : __BUILT__;

const WRITE_AFTER_MS = 500;
let newest: { account: string | null; views: PersistedClient } | null = null;
let due: ReturnType<typeof setTimeout> | undefined;

async function write(): Promise<void> {
  clearTimeout(due);
  due = undefined;
  const now = newest;
  newest = null;
  if (!now || now.account === null || now.account !== accountHere()) return;
  try {
    await (await device()).put('views', now.views, now.account);
  } catch {
    // a full device keeps what it kept before
  }
}
// a page that goes to the background may never come back
if (typeof document !== 'undefined')
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && void write());

/** What the server answered last, on the device, under the account that asked. */
export const keptViews: Persister = {
  persistClient(views: PersistedClient) {
    newest = { account: accountHere(), views };
    // answers come in flocks: the newest state is written once for all
    due ??= setTimeout(() => void write(), WRITE_AFTER_MS);
  },
  async restoreClient() {
    const account = accountHere();
    try {
      return account === null ? undefined : await (await device()).get('views', account);
    } catch {
      return undefined;
    }
  },
  async removeClient() {
    newest = null;
    const account = accountHere();
    if (account !== null) await (await device()).delete('views', account);
  },
};
