// The outbox of this device: every entry goes through it, in order, one at a time, until it is confirmed or refused.
// All tabs share it; the one that holds the lock sends for all.

import * as page from './page.js';
import { send } from './sender.js';
import * as store from './store.js';

const AGAIN = 4000;

const LAST_TAKEN = 'metrum.last-taken';

const channel = 'BroadcastChannel' in window ? new BroadcastChannel('metrum-outbox') : null;
const heard = { changed: [], taken: [], stopped: [] };

/** @param {'changed' | 'taken' | 'stopped'} what */
export const on = (what, listener) => heard[what].push(listener);

const tell = (what, detail) => heard[what].forEach((listener) => listener(detail));

function changed() {
  tell('changed');
  channel?.postMessage({ what: 'changed' });
}

const oneSender = (work) => (navigator.locks ? navigator.locks.request('metrum-outbox', work) : work());

/** The length that a visit's log had when an entry of it was last taken on this device; 0 where none was. */
export function lengthTaken(visit) {
  try {
    return JSON.parse(localStorage.getItem(LAST_TAKEN))?.[visit] ?? 0;
  } catch {
    return 0;
  }
}

function keepLength(visit, log) {
  try {
    localStorage.setItem(LAST_TAKEN, JSON.stringify({ [visit]: log }));
  } catch {
    // Only a page that was asked for meanwhile would miss it.
  }
}

const isNext = (entry) => entry.state === 'waiting' && entry.user === page.user();

/** Sends the first that waits. Answers whether another may follow. */
async function sendFirst() {
  const entry = (await store.all()).find(isNext);
  if (entry === undefined) {
    tell('stopped', null);
    return false;
  }
  const result = await send(entry);
  if (result.kind === 'taken') {
    keepLength(entry.visit, result.log);
    await store.remove(entry);
    changed();
    tell('taken', { entry, html: result.html, log: result.log });
    channel?.postMessage({ what: 'taken', visit: entry.visit });
    return true;
  }
  if (result.kind === 'refused') {
    await store.put({ ...entry, state: 'refused', why: result.why });
    changed();
    return true;
  }
  tell('stopped', result.kind);
  return false;
}

let sending = null;
let asked = false;

/** Sends what waits; asked while it sends, it looks once more. */
export function pump() {
  asked = true;
  sending ??= oneSender(async () => {
    while (asked) {
      asked = false;
      while (await sendFirst());
    }
  }).finally(() => {
    sending = null;
    if (asked) pump();
  });
}

/**
 * Takes a new entry. A refused one about the same thing is answered by it and goes.
 *
 * @param entry {{id: string, made: string, user: string, visit: string, url: string, page: string, control: string,
 *   said: string, fields: [string, string][]}}
 */
export async function make(entry) {
  await store.add({ ...entry, state: 'waiting', why: null });
  const answered = (one) => one.state === 'refused' && one.visit === entry.visit && one.control === entry.control;
  for (const one of (await store.all()).filter(answered)) {
    await store.remove(one);
  }
  changed();
  pump();
}

export async function discard(entry) {
  await store.remove(entry);
  changed();
}

/** Sends a refused one again, as after its visit was opened again. */
export async function resend(entry) {
  await store.put({ ...entry, state: 'waiting', why: null });
  changed();
  pump();
}

export function start() {
  channel?.addEventListener('message', ({ data }) => tell(data.what, data));
  window.addEventListener('online', pump);
  setInterval(pump, AGAIN);
  pump();
}
