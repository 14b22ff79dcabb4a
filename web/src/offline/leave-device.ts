import type { Me } from '@candid-leaf/contract';
import { api, ApiError } from '../lib/api';
import { ROUTES } from '../lib/paths';
import { accountHere, setAccountHere } from './account';
import { keptViews } from './kept-views';
import { letGo } from './outbox';
import { device } from './store';

/** Set while a session is to be ended that could not be reached when its owner left. */
const LEAVING = 'candid-leaf:leaving';
/** How long a start waits to hear whether the session still holds, ms; after that the kept garden is shown. */
const ASK_MS = 400;

/** Returns whether the server says that nobody is signed in. */
export const isSignedOut = (error: unknown): boolean => error instanceof ApiError && error.status === 401;

/** Removes what the device keeps of its account. Unsent changes stay, for that account alone. */
export async function clearDevice(): Promise<void> {
  await letGo().catch(() => undefined);
  // asked for by few, so it is not part of the first load
  await import('../lib/this-device').then(({ endMessages }) => endMessages()).catch(() => undefined);
  await Promise.resolve(keptViews.removeClient()).catch(() => undefined);
  setAccountHere(null);
}

/** Signs out: the device is cleared at once, the session ends now or as soon as there is a connection. */
export async function leaveDevice(): Promise<void> {
  localStorage.setItem(LEAVING, 'yes');
  await clearDevice();
  await finishLeaving();
}

/**
 * Ends a session that was left without a connection.
 * @returns whether none is left to end
 */
export async function finishLeaving(): Promise<boolean> {
  if (localStorage.getItem(LEAVING) === null) return true;
  try {
    await api('DELETE', '/session');
  } catch (error) {
    if (!isSignedOut(error)) return false;
  }
  localStorage.removeItem(LEAVING);
  return true;
}

/** Makes the device an account's; what it kept of others goes. */
export async function enterDevice(account: string): Promise<void> {
  localStorage.removeItem(LEAVING);
  setAccountHere(account);
  try {
    const db = await device();
    for (const other of await db.getAllKeys('views')) if (other !== account) await db.delete('views', other);
  } catch {
    // a device that stores nothing
  }
}

/**
 * Finds out whose device it is before anything is shown: a session that was ended elsewhere clears it, and without a known
 * account the server is asked. Offline nobody waits for it.
 */
export async function findAccount(): Promise<void> {
  if (!(await finishLeaving())) return;
  const known = accountHere();
  let shown = false;
  const asked = api<Me>('GET', '/session').then(
    (me) => (known === null ? enterDevice(me.id) : undefined),
    async (error: unknown) => {
      if (!isSignedOut(error) || known === null) return;
      await clearDevice();
      // heard late: what is shown goes too
      if (shown) location.assign(ROUTES.signIn);
    },
  );
  await (known === null
    ? asked
    : Promise.race([asked, new Promise((done) => void setTimeout(done, navigator.onLine ? ASK_MS : 0))]));
  shown = true;
}
