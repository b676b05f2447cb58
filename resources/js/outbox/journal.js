// An entry is noted here in the same moment in which it is made, so that a page left at once loses none: the device's
// store answers later, and what it has not answered when a page goes away is gone.

const PLACE = 'metrum.entry ';

/** @returns {boolean} whether it was noted; a device whose storage is full or switched off notes nothing */
export function note(entry) {
  try {
    localStorage.setItem(PLACE + entry.id, JSON.stringify(entry));
    return true;
  } catch {
    return false;
  }
}

/** The store has it. */
export function strike(entry) {
  try {
    localStorage.removeItem(PLACE + entry.id);
  } catch {
    // What cannot be noted was not.
  }
}

/** Entries of pages that were left before the store had them, in the order in which they were made. */
export function noted() {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(PLACE))
      .sort()
      .map((key) => JSON.parse(localStorage.getItem(key)));
  } catch {
    return [];
  }
}
