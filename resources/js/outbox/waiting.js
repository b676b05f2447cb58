// Says what waits on this device, and lets what was refused be mended, sent again or let go.

import { LINE, formAbout, inputOf } from './control.js';
import * as outbox from './outbox.js';
import * as page from './page.js';
import * as store from './store.js';

const count = (n, one, many) => `${n} ${n === 1 ? one : many}`;

const REASONS = {
  offline: ['No connection.', 'and sent when connected'],
  later: ['Server not responding.', 'and sent when connected'],
  'signed-out': ['You were signed out.', 'until you sign in again'],
};

/** The one line in the head: why entries wait, and how many. */
export function stateLine(entries, stopped) {
  const mine = entries.filter((one) => one.user === page.user());
  const waiting = mine.filter((one) => one.state === 'waiting').length;
  const elsewhere = mine.filter((one) => one.state === 'refused' && one.visit !== page.visit()).length;
  // Where nobody is signed in, what waits may be one's own.
  const others = page.user() === null ? 0 : entries.length - mine.length;
  const unclaimed = page.user() === null ? entries.length : 0;
  const said = [];
  if (!navigator.onLine && waiting === 0) said.push(`No connection. Page as of ${page.drawn()}.`);
  if (stopped !== null && waiting > 0) {
    const [why, until] = REASONS[stopped];
    said.push(`${why} ${count(waiting, 'entry', 'entries')} kept on this device ${until}.`);
  }
  if (store.hasUnkept()) {
    said.push('This device is out of storage. Keep this page open until entries are sent.');
  }
  if (elsewhere > 0) {
    const were = elsewhere === 1 ? 'was' : 'were';
    said.push(`${count(elsewhere, 'entry', 'entries')} of another visit ${were} refused.`);
  }
  if (unclaimed > 0) said.push(`${count(unclaimed, 'entry', 'entries')} kept on this device until you sign in.`);
  if (others > 0) {
    const are = others === 1 ? 'is' : 'are';
    said.push(`${count(others, 'entry', 'entries')} of another person ${are} held until they sign in.`);
  }
  return said.join(' ');
}

/** A plain button under the line. */
export function button(words, act) {
  const made = document.createElement('button');
  made.type = 'button';
  made.className = 'plain';
  made.textContent = words;
  made.addEventListener('click', act);
  return made;
}

function mend(entry) {
  const form = formAbout(entry.control);
  const input = form && inputOf(form);
  if (!input) {
    window.location.assign(entry.page);
    return;
  }
  if (entry.control === LINE) bringBack(entry, input);
  else if (input.value === '') input.value = valueOf(entry);
  input.focus();
  input.select();
}

const valueOf = (entry) => new Map(entry.fields).get('value') ?? '';

/** The line that is being mended, and what stood in the line before: that comes back once it is entered. */
let mending = null;

function bringBack(entry, input) {
  const before = mending === null ? input.value : mending.before;
  mending = { order: entry.order, before };
  input.value = valueOf(entry);
  input.dispatchEvent(new Event('input', { bubbles: true }));
}

/** The refused line that a line mends, if it does. Asked once for each line that is entered. */
export function takeMended() {
  const mended = mending;
  mending = null;
  return mended;
}

function row(entry, letGo) {
  const line = document.createElement('p');
  const refused = entry.state === 'refused';
  line.className = refused ? 'waiting-line refused-line' : 'waiting-line';
  const words = document.createElement('span');
  words.textContent = refused ? `● Not saved: ${entry.said}. ${entry.why}` : `◌ Waiting to send: ${entry.said}`;
  line.append(words);
  if (refused) {
    line.append(
      button('Fix', () => mend(entry)),
      button('Send again', () => outbox.resend(entry)),
    );
  }
  line.append(button('Discard', () => letGo(entry)));
  return line;
}

/** The list under the line: of this visit, all that waits or was refused. */
export function list(entries, letGo) {
  document.getElementById('waiting')?.replaceChildren(...entries.map((entry) => row(entry, letGo)));
}
