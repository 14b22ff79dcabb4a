import type { PushDeviceInput } from '@candid-leaf/contract';

/** Returns whether this browser can show messages of a page that is closed. */
export const canShowMessages = (): boolean =>
  'serviceWorker' in navigator && 'PushManager' in window && 'Notification' in window;

const manager = async (): Promise<PushManager | undefined> =>
  (await navigator.serviceWorker.getRegistration())?.pushManager;

/** Returns whether this device shows messages. */
export async function showsMessages(): Promise<boolean> {
  if (!canShowMessages() || Notification.permission !== 'granted') return false;
  return (await (await manager())?.getSubscription()) != null;
}

/**
 * Asks the person, then the browser's push service, and returns what a server needs to send messages here; null if they
 * are not allowed.
 */
export async function allowMessages(pushKey: string): Promise<PushDeviceInput | null> {
  if ((await Notification.requestPermission()) !== 'granted') return null;
  const own = await manager();
  if (!own) return null;
  const { endpoint, keys } = (
    await own.subscribe({ userVisibleOnly: true, applicationServerKey: bytesOf(pushKey) })
  ).toJSON();
  return endpoint && keys?.p256dh && keys.auth ? { endpoint, p256dh: keys.p256dh, auth: keys.auth } : null;
}

/** Shows no more messages here. The push service then tells the server that the device is gone. */
export async function endMessages(): Promise<void> {
  if (!canShowMessages()) return;
  await (await (await manager())?.getSubscription())?.unsubscribe();
}

const bytesOf = (key: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(key.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));
