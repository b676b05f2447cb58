// Entries that could not be sent wait on the device and are sent, once, when the connection is back.
// Each carries the id it was made with, so that a resend is the same entry.

const KEY = 'metrum.pending';

const read = () => {
  try {
    return JSON.parse(localStorage.getItem(KEY)) ?? [];
  } catch {
    return [];
  }
};
const write = (all) => localStorage.setItem(KEY, JSON.stringify(all));

function say(text) {
  const line = document.getElementById('line-state');
  line.textContent = text;
  line.hidden = text === '';
}

function keep(form, submitter) {
  const body = new FormData(form);
  if (submitter?.name) body.set(submitter.name, submitter.value);
  const entry = { url: form.action, body: [...body.entries()].filter(([name]) => name !== '_token') };
  const id = body.get('id');
  write([...read().filter((one) => !one.body.some(([name, value]) => name === 'id' && value === id)), entry]);
  const count = read().length;
  say(`No connection. ${count} ${count === 1 ? 'entry waits' : 'entries wait'} on this device and will be sent.`);
}

let sending = false;

async function send() {
  if (sending || read().length === 0) return;
  sending = true;
  let sent = 0;
  try {
    while (read().length > 0) {
      const [entry] = read();
      const body = new URLSearchParams(entry.body);
      const answer = await fetch(entry.url, {
        method: 'POST',
        body,
        headers: { 'X-CSRF-TOKEN': document.querySelector('meta[name="csrf-token"]').content, 'HX-Request': 'true' },
      });
      if (answer.status === 419 || answer.status === 401 || answer.redirected) {
        say('Signed out meanwhile. Sign in again: the waiting entries are kept on this device.');
        return;
      }
      if (answer.status >= 500 || answer.status === 429) return;
      write(read().slice(1));
      sent += 1;
    }
    if (sent > 0) window.location.reload();
  } catch {
    // Still no connection: they keep waiting.
  } finally {
    sending = false;
  }
}

export function startPending() {
  let submitter = null;
  document.addEventListener('click', (event) => {
    submitter = event.target.closest?.('button[name]') ?? null;
  }, true);
  document.addEventListener('htmx:sendError', (event) => {
    const form = event.target.closest?.('form[data-entry]');
    if (form) keep(form, form.contains(submitter) ? submitter : null);
  });
  document.addEventListener('htmx:responseError', (event) => {
    const status = event.detail.xhr.status;
    const reasons = { 403: 'This visit is closed; open it again to enter more.', 419: 'Signed out meanwhile. Sign in again, then enter it once more.', 401: 'Signed out meanwhile. Sign in again, then enter it once more.', 429: 'Too many at once; wait a minute.' };
    say(`Not saved. ${reasons[status] ?? 'Try it again; what you typed is still in its field.'}`);
  });
  document.addEventListener('htmx:afterRequest', (event) => {
    if (event.detail.successful && read().length === 0) say('');
  });
  window.addEventListener('online', send);
  setInterval(send, 5000);
  send();
}
