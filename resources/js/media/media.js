// Photos and voice notes of a visit: each is of what was touched last, kept here at once, and sent when it can be.

import { ulid } from 'ulid';
import { about } from '../outbox/control.js';
import * as page from '../outbox/page.js';
import { button as plainButton } from '../outbox/waiting.js';
import { record } from './record.js';
import * as sender from './sender.js';
import { hashOf, shrink } from './shrink.js';
import * as store from './store.js';

const WHOLE = { about: 'visit', of: 'Visit' };

let subject = WHOLE;
let recording = null;

const bar = () => document.getElementById('media');

const nameOf = (form) =>
  (form.dataset.says ?? form.querySelector('legend, label')?.textContent ?? '').trim().slice(0, 120);

function show(said) {
  const line = document.getElementById('media-said');
  if (line !== null) line.textContent = said;
}

function showSubject() {
  const name = document.getElementById('media-of');
  if (name === null) return;
  name.textContent = subject.of;
  document.getElementById('media-whole').hidden = subject === WHOLE;
}

function chosen(event) {
  const form = event.target.closest?.('form[data-entry]');
  if (!form || bar() === null || form.id === 'line-form') return;
  const of = nameOf(form);
  // What is taken back, or has no name, is nothing to take a photo of.
  if (of === '' || /^undo /.test(of)) return;
  subject = { about: about(form).slice(0, 200), of };
  showSubject();
}

async function keep(kind, blob, small = null) {
  await store.add({
    id: ulid(),
    user: page.user(),
    visit: page.visit(),
    kind,
    ...subject,
    caption: document.getElementById('media-caption')?.value.trim().slice(0, 240) ?? '',
    made: new Date().toISOString(),
    hash: await hashOf(blob),
    blob,
    small,
    come: 0,
    state: 'waiting',
    why: null,
  });
  sender.pump();
  await list();
}

async function taken(files) {
  for (const [place, file] of files.entries()) {
    show(`Preparing ${place + 1} of ${files.length}`);
    await keep('photo', ...(await shrink(file)));
  }
  show('');
  const caption = document.getElementById('media-caption');
  if (caption !== null) caption.value = '';
}

async function voice(button) {
  if (recording !== null) {
    recording.stop();
    return;
  }
  try {
    recording = await record((seconds) => {
      button.textContent = `Stop (${seconds} s)`;
    });
    const blob = await recording.done;
    if (blob.size > 0) await keep('voice', blob);
    show('');
  } catch {
    show('No microphone may be used here. Allow it for this page in the browser, or type a note.');
  } finally {
    recording = null;
    button.textContent = 'Voice note';
  }
}

function row(item) {
  const line = document.createElement('p');
  line.className = item.state === 'refused' ? 'waiting-line refused-line' : 'waiting-line';
  const what = item.kind === 'photo' ? 'photo' : 'voice note';
  const share = Math.round((100 * item.come) / Math.max(1, item.blob.size));
  const words = document.createElement('span');
  words.textContent =
    item.state === 'refused'
      ? `● Not saved: ${what} of ${item.of}. ${item.why}`
      : `◌ Waiting to send: ${what} of ${item.of}${item.come > 0 ? `, ${share} % sent` : ''}`;
  if (item.small) {
    const image = document.createElement('img');
    image.src = URL.createObjectURL(item.small);
    image.alt = '';
    image.addEventListener('load', () => URL.revokeObjectURL(image.src), { once: true });
    line.append(image);
  }
  line.append(words);
  if (item.state === 'refused') {
    line.append(plainButton('Send again', () => store.change(item, { state: 'waiting', why: null }).then(sender.pump)));
  }
  line.append(plainButton('Discard', () => store.remove(item).then(list)));
  return line;
}

let listed = '';

/** What of this visit waits or was refused; drawn anew only where something changed. */
async function list() {
  const items = (await store.all()).filter((one) => one.visit === page.visit() && one.user === page.user());
  const now = JSON.stringify(items.map((one) => [one.id, one.state, one.come]));
  if (now === listed) return;
  listed = now;
  document.getElementById('media-waiting')?.replaceChildren(...items.map(row));
  if (store.hasUnkept()) show('This device is out of storage. Keep this page open until photos are sent.');
}

/** @param {() => void} refresh draws the page around what the server has taken */
export function startMedia(refresh) {
  if (page.user() === null) return;
  sender.onChange((item) => {
    list();
    if (item?.visit === page.visit()) refresh();
  });
  document.addEventListener('focusin', chosen);
  document.addEventListener('click', (event) => {
    chosen(event);
    const button = event.target.closest?.('[data-voice]');
    if (button) voice(button);
    if (event.target.closest?.('#media-whole')) {
      subject = WHOLE;
      showSubject();
    }
  });
  document.addEventListener('change', (event) => {
    if (!event.target.matches?.('[data-photos]')) return;
    const files = [...event.target.files];
    event.target.value = '';
    taken(files);
  });
  document.addEventListener('metrum:merged', showSubject);
  list();
  sender.start();
}
