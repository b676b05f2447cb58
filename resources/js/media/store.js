// Photos and voice notes that this device holds until all of each has been sent.

import { openDB } from 'idb';

const STORE = 'items';

let database = null;
const opened = () => {
  database ??= openDB('metrum-media', 1, { upgrade: (db) => db.createObjectStore(STORE, { keyPath: 'id' }) });
  return database;
};

// What the device could not keep lives as long as the page.
let unkept = [];

export const hasUnkept = () => unkept.length > 0;

/** @param item {{id: string, user: string, visit: string, kind: string, about: string, of: string, caption: string,
 *   made: string, hash: string, blob: Blob, small: ?Blob, come: number, state: 'waiting' | 'refused', why: ?string}} */
export async function add(item) {
  try {
    await (await opened()).put(STORE, item);
  } catch {
    unkept = [...unkept.filter((one) => one.id !== item.id), item];
  }
}

/** In the order in which they were taken: ids count up with time. */
export async function all() {
  let kept = [];
  try {
    kept = await (await opened()).getAll(STORE);
  } catch {
    // A device that keeps nothing has nothing kept.
  }
  return [...kept, ...unkept].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** Notes how far one has been sent, or why it was refused; one that was let go meanwhile stays so. */
export async function change(item, changed) {
  if (unkept.some((one) => one.id === item.id)) {
    unkept = unkept.map((one) => (one.id === item.id ? { ...one, ...changed } : one));
    return;
  }
  const held = (await opened()).transaction(STORE, 'readwrite');
  const known = await held.store.get(item.id);
  if (known !== undefined) await held.store.put({ ...known, ...changed });
  await held.done;
}

export async function remove(item) {
  unkept = unkept.filter((one) => one.id !== item.id);
  await (await opened()).delete(STORE, item.id).catch(() => {});
}
