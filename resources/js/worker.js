// The service worker: without reception, the pages of open visits open from this device, with the assets they name.

import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { PAGES } from './outbox/pages.js';

const OFFLINE = '/offline';
const ASSETS = 'assets';
const A_WEEK = 7 * 24 * 3600;

// SHELL is set where this is built: what every page needs, and the page for no reception.
self.addEventListener('install', (event) => event.waitUntil(layIn().then(() => self.skipWaiting())));
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim().then(renew)));

async function layIn() {
  const assets = await caches.open(ASSETS);
  const isNew = async (url) => !url.startsWith('/build/') || (await assets.match(url)) === undefined;
  for (const url of SHELL) {
    if (await isNew(url)) await assets.add(new Request(url, { cache: 'reload' }));
  }
}

/** After an update the kept pages are drawn anew where there is reception; those that cannot be stay as they are. */
async function renew() {
  const pages = await caches.open(PAGES);
  for (const { url } of await pages.keys()) {
    const page = await fetch(url, { headers: { Accept: 'text/html' }, cache: 'no-store' }).catch(() => null);
    if (page?.ok && !page.redirected) await pages.put(url, page);
  }
  await letGo();
}

/** Assets stay as long as this build or a kept page names them. */
async function letGo() {
  const pages = await caches.open(PAGES);
  const texts = await Promise.all((await pages.keys()).map(async ({ url }) => (await pages.match(url)).text()));
  const assets = await caches.open(ASSETS);
  // Scripts and styles name further files: a page of an earlier build holds all of that build.
  const namesAnother = (text) => [...text.matchAll(/\/build\/[^"']+/g)].some(([url]) => !SHELL.includes(url));
  const isOfAnEarlierBuild = texts.some(namesAnother);
  if (isOfAnEarlierBuild) return;
  for (const request of await assets.keys()) {
    if (!SHELL.includes(new URL(request.url).pathname)) await assets.delete(request);
  }
}

/** The address of a visit without station is that of its first; the board is a rack's. */
const STATION = 'board|complaint|box|unit|gauges|verdict|put_right|prove|leave';
const VISIT = new RegExp(`^/visits/[^/]+(/(${STATION}))?$`);
/** A circuit's tag leads to its page. */
const CIRCUIT = /^\/circuits\/[0-9a-z]{26}$/;

const isKept = (url) => url.pathname === '/' || VISIT.test(url.pathname) || CIRCUIT.test(url.pathname);

const signedOut = { cacheWillUpdate: async ({ response }) => (response.redirected ? null : response) };

/** A server that is being brought up to date, or is not there behind its gate, is no reception either. */
const away = {
  fetchDidSucceed: async ({ response }) => {
    if ([502, 503, 504].includes(response.status)) throw new Error(`The server answered ${response.status}.`);
    return response;
  },
};

const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: 8,
  plugins: [
    away,
    signedOut,
    new CacheableResponsePlugin({ statuses: [200] }),
    new ExpirationPlugin({ maxEntries: 160, maxAgeSeconds: A_WEEK }),
  ],
});

// Their names change with what they hold.
registerRoute(
  ({ url }) =>
    url.origin === self.location.origin && (url.pathname.startsWith('/build/') || url.pathname === '/mark.svg'),
  new CacheFirst({ cacheName: ASSETS, plugins: [new CacheableResponsePlugin({ statuses: [200] })] }),
);
registerRoute(({ request, url }) => request.mode === 'navigate' && isKept(url), pages);
registerRoute(
  ({ request }) => request.mode === 'navigate',
  // Other pages come from the network alone; without it, what is on the device is offered.
  ({ request }) => fetch(request),
);
setCatchHandler(async ({ request }) => {
  const offline = request.mode === 'navigate' ? await caches.match(OFFLINE) : undefined;
  return offline ?? Response.error();
});
