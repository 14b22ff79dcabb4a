/// <reference lib="webworker" />
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope & { __FILES: PrecacheEntry[] };

/** Keeps the built page on the device, so that it opens without signal. What the server answers is kept by the page itself, under its account. */
cleanupOutdatedCaches();
precacheAndRoute(self.__FILES);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api(\/|$)/] }));

/** What the server sends to a device. */
interface Pushed {
  title: string;
  text: string;
  path: string;
  tag: string;
  off: string;
}

self.addEventListener('push', (event) => {
  if (!event.data) return;
  const { title, text, tag, ...data } = event.data.json() as Pushed;
  // the same message again replaces the one before
  const shown = { body: text, tag, data, icon: '/leaf-192.png', actions: [{ action: 'off', title: 'Turn off' }] };
  event.waitUntil(self.registration.showNotification(title, shown));
});

self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path, off } = event.notification.data as Pick<Pushed, 'path' | 'off'>;
  event.waitUntil(
    event.action === 'off' ? fetch(`/api/messages/off/${encodeURIComponent(off)}`, { method: 'POST' }) : open(path),
  );
});

/** Shows a page in the window that is open, or in a new one. */
async function open(path: string): Promise<unknown> {
  const [window] = await self.clients.matchAll({ type: 'window' });
  if (!window) return self.clients.openWindow(path);
  await window.focus();
  return window.navigate(path);
}

self.addEventListener('install', () => void self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
