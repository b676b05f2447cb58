import htmx from 'htmx.org';
import { startPending } from './pending.js';
import { startKeyboard } from './keyboard.js';
import { startDrawer } from './drawer.js';

window.htmx = htmx;

document.addEventListener('htmx:configRequest', (event) => {
  event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name="csrf-token"]').content;
});

// A page brought back from the browser's memory may be older than the visit's log.
window.addEventListener('pageshow', (event) => {
  if (event.persisted) window.location.reload();
});

startPending();
startKeyboard();
startDrawer();
