import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import { accountHere } from './account';
import { device } from './store';

declare const __BUILT__: string;

/** How long the last views are kept for offline use. */
export const KEPT_MS = 30 * 24 * 3600 * 1000;
/** Another build may use another format. */
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
    // a full device keeps its earlier data
  }
}
// a page in the background may never return
if (typeof document !== 'undefined')
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && void write());

/** The server's last answers, stored on the device under the account. */
export const keptViews: Persister = {
  persistClient(views: PersistedClient) {
    newest = { account: accountHere(), views };
    // answers arrive in groups: write the newest state once
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
