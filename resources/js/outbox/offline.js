// What this device keeps of the pages of open visits, so that they open without reception.

import * as page from './page.js';
import { PAGES } from './pages.js';

/** Quiet for so long, the other stations are laid in as they stand now. */
const QUIET = 4000;

const STATIONS = ['complaint', 'box', 'unit', 'gauges', 'verdict', 'put_right', 'prove', 'leave'];

let timer = null;

/**
 * @param stations addresses of pages
 * @param isMissingOnly whether those that are here already are let be
 */
async function layIn(stations, isMissingOnly) {
  const cache = await caches.open(PAGES);
  for (const station of stations) {
    if (isMissingOnly && (await cache.match(station)) !== undefined) continue;
    const answer = await fetch(station, { headers: page.headers(), cache: 'no-store' });
    if (!answer.ok || answer.redirected) return;
    await cache.put(station, answer);
  }
}

const pathOf = (link) => new URL(link.href).pathname;

/** The stations of the walk; of a rack its board, which is not on the walk where one stands on it, and its circuits. */
const ofThisVisit = () => [
  ...(document.querySelector('[data-station=board]') === null ? [] : [window.location.pathname]),
  ...[...document.querySelectorAll('#walk a, #board-rows a[data-circuit]')].map(pathOf),
];

const isOpenVisit = () => document.querySelector('[data-visit][data-open]') !== null;

/** Lays the stations of this visit in once nothing has been entered for a while. */
export function layInSoon() {
  if (!('caches' in window) || !isOpenVisit()) return;
  clearTimeout(timer);
  timer = setTimeout(() => layIn(ofThisVisit(), false).catch(() => {}), QUIET);
}

/** Lays in at once what is not here at all: of this visit, and of the open ones that a page lists. */
async function layInMissing() {
  if (!('caches' in window)) return;
  if (isOpenVisit()) await layIn(ofThisVisit(), true);
  for (const link of document.querySelectorAll('a[data-open-visit]')) {
    const visit = pathOf(link).split('/').slice(0, 3).join('/');
    const circuit = link.dataset.circuit === undefined ? [] : [link.dataset.circuit];
    await layIn([pathOf(link), ...circuit, ...STATIONS.map((station) => `${visit}/${station}`)], true);
  }
}

/** Pages on the device are of the person who saw them. */
async function forgetOthers() {
  const user = page.user();
  if (user === null || !('caches' in window)) return;
  if (localStorage.getItem('metrum.pages-of') === user) return;
  await caches.delete(PAGES);
  localStorage.setItem('metrum.pages-of', user);
}

/** The page for no reception lists the visits that open all the same. */
async function listVisits() {
  const list = document.getElementById('on-device');
  if (list === null || !('caches' in window)) return;
  const cache = await caches.open(PAGES);
  for (const { url } of await cache.keys()) {
    const { pathname } = new URL(url);
    if (!/\/(gauges|board)$/.test(pathname)) continue;
    const kept = new DOMParser().parseFromString(await (await cache.match(url)).text(), 'text/html');
    const link = document.createElement('a');
    link.className = 'row-link';
    link.href = pathname;
    link.textContent = kept.title.replace(' · Metrum', '');
    list.append(link);
  }
  list.hidden = list.childElementCount === 0;
}

export function startOffline() {
  navigator.serviceWorker?.register('/worker.js').catch(() => {});
  forgetOthers().catch(() => {}).then(layInMissing).catch(() => {}).then(layInSoon);
  listVisits().catch(() => {});
  document.addEventListener('metrum:merged', layInSoon);
  // Who signs out leaves no pages behind; what waits stays for them.
  document.addEventListener('submit', (event) => {
    if (event.target.matches?.('form.out') && 'caches' in window) caches.delete(PAGES);
  });
}
