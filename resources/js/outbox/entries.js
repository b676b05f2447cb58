// Every entry of a visit: from its control into the outbox, shown at once, and its answer put into the page.

import { clockLine, heardClock } from './clock.js';
import { about, entryOf, formAbout, inputOf, isDeed, paint, press, restore } from './control.js';
import { entered, isTyped, letGoOfDraft, startDrafts } from './drafts.js';
import * as journal from './journal.js';
import { lengthOf, merge, startMerging } from './merge.js';
import * as outbox from './outbox.js';
import * as page from './page.js';
import * as store from './store.js';
import { list, stateLine, takeMended } from './waiting.js';

/** The same said twice within this, or a second tap on the same button, is said once. */
const DOUBLE = 450;

/** So long a button of a move stays shut where no answer comes: then it may have been done again. */
const SHUT = 8000;

let last = { what: null, at: 0 };
let stopped = null;
let ofThisVisit = [];

function isDouble(form, button, entry) {
  const what = button?.dataset.on === undefined ? JSON.stringify(entry.fields) : `${about(form)} ${button.dataset.on}`;
  const again = last.what === what && performance.now() - last.at < DOUBLE;
  last = { what, at: performance.now() };
  return again;
}

const isBusy = (form) => isTyped(form) || ofThisVisit.some((one) => one.control === about(form));

function say(text) {
  const line = document.getElementById('line-state');
  line.textContent = text;
  line.hidden = text === '';
}

async function show() {
  const entries = await store.all();
  ofThisVisit = entries.filter((one) => one.visit !== null && one.visit === page.visit() && one.user === page.user());
  say([stateLine(entries, stopped), clockLine()].filter((one) => one !== '').join(' '));
  list(ofThisVisit, letGo);
  paint(ofThisVisit, isTyped);
}

async function letGo(entry) {
  await outbox.discard(entry);
  const form = formAbout(entry.control);
  if (form !== null && !isTyped(form)) restore(form);
  await show();
  refresh();
}

function enter(form, button) {
  const input = inputOf(form);
  const isLine = input?.id === 'line';
  if (isLine && input.value.trim() === '') return;
  const entry = entryOf(form, button);
  // A line is empty once it was entered: the same in it again was typed again.
  if (!isLine && isDouble(form, button, entry)) return;
  if (isDeed(form) && isShut(form)) return;
  const mended = isLine ? takeMended() : null;
  entry.mends = mended?.order ?? null;
  entered(form);
  press(button);
  form.classList.add('waits');
  if (isLine) {
    input.value = mended?.before ?? '';
    document.getElementById('line-meaning')?.replaceChildren();
  }
  form.closest('details.menu')?.removeAttribute('open');
  // Where it cannot be noted, the draft stays until the device has kept the entry.
  if (journal.note(entry)) letGoOfDraft(form);
  outbox.make(entry).then(() => letGoOfDraft(form));
}

/** Whether a move or step is on its way: its button opens again with the answer, or when none comes. */
function isShut(form) {
  const since = Number(form.dataset.sentAt ?? 0);
  const onItsWay = ofThisVisit.some((one) => one.control === about(form) && one.state === 'waiting');
  if (onItsWay && performance.now() - since < SHUT) return true;
  form.dataset.sentAt = String(performance.now());
  return false;
}

/** Draws this page anew around what is typed and waits: its visit went on in another tab. */
export async function refresh() {
  const now = await page.again().catch(() => null);
  if (now !== null) merge(now, lengthOf(now), isBusy);
}

async function taken({ entry, html, log }) {
  if (entry.visit !== page.visit()) return;
  await show();
  merge(new DOMParser().parseFromString(html, 'text/html'), log, isBusy);
}

function keepOpenWhileWaiting(event) {
  if (!event.target.matches?.('form[data-close]') || ofThisVisit.length === 0) return;
  event.preventDefault();
  say('Some entries of this visit are not sent yet. Send, fix or discard them, then close the visit.');
}

export function startEntries() {
  startMerging();
  outbox.on('changed', show);
  outbox.on('clock', (off) => {
    if (heardClock(off)) show();
  });
  outbox.on('stopped', (why) => {
    const before = stopped;
    stopped = why;
    if (before !== why || why !== null) show();
  });
  outbox.on('taken', (one) => {
    if (one.html !== undefined) return taken(one);
    return one.visit === page.visit() ? refresh() : undefined;
  });
  document.addEventListener('submit', (event) => {
    keepOpenWhileWaiting(event);
    const form = event.target;
    if (!form.matches?.('form[data-entry]')) return;
    event.preventDefault();
    enter(form, event.submitter?.name ? event.submitter : null);
  });
  document.addEventListener('change', (event) => {
    const form = event.target.closest?.('form.cell[data-entry]');
    if (form) enter(form, null);
  });
  document.addEventListener('metrum:merged', show);
  window.addEventListener('online', show);
  window.addEventListener('offline', show);
  // A restored cell is entered when it is left, as it would have been.
  document.addEventListener('focusout', (event) => {
    const form = event.target.closest?.('form.cell[data-entry]');
    if (form && isTyped(form)) enter(form, null);
  });
  startDrafts();
  // The page can take entries now: without this script it says that it cannot.
  document.querySelectorAll('[data-needs-script]').forEach((one) => one.removeAttribute('inert'));
  document.getElementById('no-script')?.remove();
  const half = [...document.querySelectorAll('form.cell[data-entry]')].find(isTyped);
  if (half) inputOf(half).focus();
  outbox.recover().then(show);
  // Asked for while the page before it still sent, this one was drawn without what was taken since.
  if (lengthOf(document) < outbox.lengthTaken(page.visit())) refresh();
  outbox.start();
}

