// Whether this device's clock can be trusted. Entries are kept in the order in which they were made whatever it says,
// but whoever reads times off it should know.

const LAST = 'metrum.last-made';

/** Seconds off the server's that are told, and by which a clock must go back to have been set. */
const OFF = 120;
const BACK = 5;

let off = 0;
let setBack = 0;

function lastMade() {
  try {
    return Number(localStorage.getItem(LAST) ?? 0);
  } catch {
    return 0;
  }
}

/** Looks at the clock as an entry is made: a later one cannot be made earlier. */
export function looked(now) {
  const back = (lastMade() - now) / 1000;
  if (back > BACK) setBack = back;
  try {
    localStorage.setItem(LAST, String(now));
  } catch {
    // Then only the server's word is left.
  }
}

/** @param seconds that the clock is ahead of the server's. Answers whether there is something new to tell. */
export function heardClock(seconds) {
  const before = Math.abs(off) >= OFF;
  off = seconds;
  return before !== Math.abs(off) >= OFF;
}

const minutes = (seconds) => `${Math.round(Math.abs(seconds) / 60)} min`;

export function clockLine() {
  const said = [];
  if (setBack > 0) {
    const by = minutes(setBack);
    said.push(`This device's clock was set back by ${by}: entries keep the order in which they were made.`);
  }
  if (Math.abs(off) >= OFF) {
    const which = off > 0 ? 'ahead' : 'behind';
    said.push(`This device's clock is ${minutes(off)} ${which}: times are the server's.`);
  }
  return said.join(' ');
}
