import { AsyncLocalStorage } from 'node:async_hooks';

/** On whose behalf this runs; null before the guard has looked, and where nobody is signed in. */
interface Caller {
  accountId: string | null;
}

/** The caller of a request, for what runs far below its handler: the threads take turns by account. */
export const callers = new AsyncLocalStorage<Caller>();

/** Returns the account that asks; null if nobody is signed in. */
export const callingAccount = (): string | null => callers.getStore()?.accountId ?? null;
/** Notes the account that asks, once the guard knows it. */
export function noteCaller(accountId: string): void {
  const caller = callers.getStore();
  if (caller) caller.accountId = accountId;
}
