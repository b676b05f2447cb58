// The outbox of this device: every entry goes through it, in order, one at a time, until it is confirmed or refused.
// All tabs share it; the one that holds the lock sends for all.

import { LINE } from './control.js';
import * as journal from './journal.js';
import * as page from './page.js';
import { send } from './sender.js';
import * as store from './store.js';

const AGAIN = 4000;

const LAST_TAKEN = 'metrum.last-taken';

const channel = 'BroadcastChannel' in window ? new BroadcastChannel('metrum-outbox') : null;
const heard = { changed: [], taken: [], stopped: [], clock: [] };

/** @param {'changed' | 'taken' | 'stopped' | 'clock'} what */
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

/**
 * Sends the first that waits of a visit that is not held up. Answers whether another may follow.
 *
 * @param {Set<string>} held visits of which one could not be taken now: what was made after it waits, others do not
 */
async function sendFirst(held) {
  const entry = (await store.all()).find((one) => isNext(one) && !held.has(one.visit));
  if (entry === undefined) {
    tell('stopped', held.size > 0 ? 'later' : null);
    return false;
  }
  const result = await send(entry);
  if (result.kind === 'later') {
    held.add(entry.visit);
    return true;
  }
  if (result.kind === 'taken') {
    tell('clock', result.clockOff);
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
      const held = new Set();
      while (await sendFirst(held));
    }
  }).finally(() => {
    sending = null;
    if (asked) pump();
  });
}

/**
 * Takes a new entry. A refused one goes where this is what it was mended to: in its own control, or in the line where
 * it was brought back there.
 *
 * @param entry {{id: string, made: string, user: string, visit: string, url: string, page: string, control: string,
 *   said: string, fields: [string, string][], mends: ?number}}
 */
export async function make(entry) {
  await store.add({ ...entry, state: 'waiting', why: null });
  journal.strike(entry);
  const isOwn = (one) => (entry.control === LINE ? one.order === entry.mends : one.control === entry.control);
  const answered = (one) => one.state === 'refused' && one.visit === entry.visit && isOwn(one);
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

/** Takes what was made on pages that were left before the device had kept it. */
export async function recover() {
  for (const entry of journal.noted()) {
    await make(entry);
  }
}

export function start() {
  channel?.addEventListener('message', ({ data }) => tell(data.what, data));
  window.addEventListener('online', pump);
  setInterval(pump, AGAIN);
  pump();
}
