import htmx from 'htmx.org';
import { startClocks } from './clocks.js';
import { startDrawer } from './drawer.js';
import { startKeyboard } from './keyboard.js';
import { startLabels } from './labels.js';
import { startMarks } from './media/marks.js';
import { startMedia } from './media/media.js';
import { refresh, startEntries } from './outbox/entries.js';
import { startOffline } from './outbox/offline.js';
import { startTags } from './tag.js';

window.htmx = htmx;

document.addEventListener('htmx:configRequest', (event) => {
  event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name="csrf-token"]').content;
});

// A page brought back from the browser's memory may be older than the visit's log.
window.addEventListener('pageshow', (event) => {
  if (event.persisted) window.location.reload();
});

document.addEventListener('click', (event) => {
  if (event.target.closest('[data-print]')) window.print();
});

startKeyboard();
startClocks();
startDrawer();
startEntries();
startMedia(refresh);
startMarks();
startLabels();
startOffline();
startTags();
