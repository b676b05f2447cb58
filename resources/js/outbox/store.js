// The entries that this device holds, in the order in which they were made, shared by all tabs. The place of an entry
// is how many this device had made by then: order counts before clocks.

import { openDB } from 'idb';
import { ulid } from 'ulid';

const STORE = 'entries';
const NAMES = 'names';
const DEVICE = 'device';

let database = null;
let named = null;
const opened = () => {
  database ??= openDB('metrum', 1, {
    upgrade: (db) => db.createObjectStore(STORE, { keyPath: 'order', autoIncrement: true }),
  });
  return database;
};

// What the device could not keep (storage full or switched off) lives as long as the page.
let unkept = [];
let count = 0;

export const hasUnkept = () => unkept.length > 0;

/** The name under which this device counts; null where it keeps nothing. */
export async function device() {
  try {
    // Beside the entries: a device that loses its count loses its name too.
    named ??= openDB('metrum-device', 1, { upgrade: (db) => db.createObjectStore(NAMES) });
    const names = (await named).transaction(NAMES, 'readwrite');
    const known = await names.store.get(DEVICE);
    if (known === undefined) await names.store.put(ulid(), DEVICE);
    await names.done;
    return known ?? (await (await named).get(NAMES, DEVICE));
  } catch {
    return null;
  }
}

/** Keeps a new entry, once; where the device cannot, the page does. */
export async function add(entry) {
  try {
    const held = (await opened()).transaction(STORE, 'readwrite');
    const isKnown = (await held.store.getAll()).some((one) => one.id === entry.id);
    if (!isKnown) await held.store.add(entry);
    await held.done;
  } catch {
    count += 1;
    unkept.push({ ...entry, order: `page ${count}` });
  }
}

export async function all() {
  let kept = [];
  try {
    kept = await (await opened()).getAll(STORE);
  } catch {
    // A device that keeps nothing has nothing kept.
  }
  return [...kept, ...unkept];
}

/** Replaces an entry; one that was discarded meanwhile stays so. */
export async function put(entry) {
  if (unkept.some((one) => one.order === entry.order)) {
    unkept = unkept.map((one) => (one.order === entry.order ? entry : one));
  } else {
    const held = (await opened()).transaction(STORE, 'readwrite');
    if ((await held.store.getKey(entry.order)) !== undefined) await held.store.put(entry);
    await held.done;
  }
}

export async function remove(entry) {
  if (unkept.some((one) => one.order === entry.order)) {
    unkept = unkept.filter((one) => one.order !== entry.order);
  } else {
    await (await opened()).delete(STORE, entry.order);
  }
}

// Opened before it is wanted: an entry made just before the page is left must not wait for it.
opened().catch(() => {});
