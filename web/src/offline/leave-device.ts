import { ROUTES } from '../lib/paths';
import { accountHere, setAccountHere } from './account';
import { keptViews } from './kept-views';
import { letGo } from './outbox';
import { device } from './store';

/** Set while a session is to be ended that could not be reached when its owner left. */
const LEAVING = 'candid-leaf:leaving';
/** How long a start waits to hear whether the session still holds, ms; after that the kept garden is shown. */
const ASK_MS = 400;
const UNAUTHORIZED = 401;

/** Removes what the device keeps of its account. Unsent changes stay, for that account alone. */
export async function clearDevice(): Promise<void> {
  await letGo().catch(() => undefined);
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
    const { ok, status } = await fetch('/api/session', { method: 'DELETE' });
    if (!ok && status !== UNAUTHORIZED) return false;
    localStorage.removeItem(LEAVING);
    return true;
  } catch {
    return false;
  }
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
 * account the server is asked. Offline nothing is asked.
 */
export async function findAccount(): Promise<void> {
  if (!(await finishLeaving())) return;
  const known = accountHere();
  let shown = false;
  const asked = fetch('/api/session').then(
    async (answer) => {
      if (answer.status === UNAUTHORIZED && known !== null) {
        await clearDevice();
        // heard late: what is shown goes too
        if (shown) location.assign(ROUTES.signIn);
      }
      if (answer.ok && known === null) await enterDevice(((await answer.json()) as { id: string }).id);
    },
    () => undefined,
  );
  await (known === null
    ? asked
    : Promise.race([asked, new Promise((done) => void setTimeout(done, navigator.onLine ? ASK_MS : 0))]));
  shown = true;
}
