// The service worker: without reception, the pages of open visits open from this device.

import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import { matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { PAGES } from './outbox/pages.js';

const OFFLINE = '/offline';
const A_WEEK = 7 * 24 * 3600;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// SHELL is set where this is built.
precacheAndRoute(SHELL);

/** The address of a visit without station is that of its first. */
const isKept = (url) => url.pathname === '/' || /^\/visits\/[^/]+(\/(complaint|box|unit|gauges|verdict|put_right|prove|leave))?$/.test(url.pathname);

const signedOut = { cacheWillUpdate: async ({ response }) => (response.redirected ? null : response) };

const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: 8,
  plugins: [
    signedOut,
    new CacheableResponsePlugin({ statuses: [200] }),
    new ExpirationPlugin({ maxEntries: 80, maxAgeSeconds: A_WEEK }),
  ],
});

registerRoute(({ request, url }) => request.mode === 'navigate' && isKept(url), pages);
registerRoute(
  ({ request }) => request.mode === 'navigate',
  // Other pages come from the network alone; without it, what is on the device is offered.
  ({ request }) => fetch(request),
);
setCatchHandler(async ({ request }) => {
  const offline = request.mode === 'navigate' ? await matchPrecache(OFFLINE) : undefined;
  return offline ?? Response.error();
});
