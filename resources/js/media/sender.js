// Sends what was taken in pieces, one after another; where the way breaks off, it goes on from there.

import * as page from '../outbox/page.js';
import * as store from './store.js';

const PIECE = 256 * 1024;
const AGAIN = 5000;
const PATIENCE = 60_000;

const heard = [];

/** @param listener is told whenever something changed, with the item that was taken whole, if one was */
export const onChange = (listener) => heard.push(listener);

const tell = (taken = null) => heard.forEach((listener) => listener(taken));

const oneSender = (work) => (navigator.locks ? navigator.locks.request('metrum-media', work) : work());

const passes = (status) => status === 408 || status === 425 || status === 429 || status >= 500;

const post = (url, body, more, user) =>
  fetch(url, {
    method: 'POST',
    body,
    headers: {
      'X-CSRF-TOKEN': page.token(),
      'X-Requested-With': 'XMLHttpRequest',
      'X-Made-By': user,
      Accept: 'application/json',
      ...more,
    },
    signal: AbortSignal.timeout(PATIENCE),
  });

const signedOut = (answer) => [401, 409, 419].includes(answer.status) || answer.redirected;

/** The answer of the server; null where nobody, or somebody else, is signed in. */
async function asked(send) {
  const answer = await send();
  if (!signedOut(answer)) return answer;
  if ((await page.again()) === null) return null;
  const again = await send();
  return signedOut(again) ? null : again;
}

function announcement(item) {
  const told = new FormData();
  const fields = {
    id: item.id,
    kind: item.kind,
    about: item.about,
    of: item.of,
    caption: item.caption,
    hash: item.hash,
    bytes: item.blob.size,
    at: item.made,
    sent: new Date().toISOString(),
  };
  Object.entries(fields).forEach(([name, value]) => told.set(name, value));
  return told;
}

/** @returns {Promise<'taken' | 'later' | 'stopped' | 'refused'>} */
async function send(item) {
  let answer = await asked(() => post(`/visits/${item.visit}/attachments`, announcement(item), {}, item.user));
  for (;;) {
    if (answer === null) return 'stopped';
    if (passes(answer.status)) return 'later';
    const said = await answer.json().catch(() => ({}));
    if (!answer.ok) {
      await store.change(item, { state: 'refused', why: said.message ?? `Server error (code ${answer.status}).` });
      return 'refused';
    }
    if (said.ready) {
      await store.remove(item);
      return 'taken';
    }
    await store.change(item, { come: said.come });
    tell();
    const from = said.come;
    const piece = item.blob.slice(from, from + PIECE);
    const headers = { 'Content-Type': 'application/octet-stream', 'X-From': String(from) };
    answer = await asked(() => post(`/attachments/${item.id.toLowerCase()}/piece`, piece, headers, item.user));
  }
}

let sending = null;
let wanted = false;

/** Sends what waits; asked while it sends, it looks once more. */
export function pump() {
  wanted = true;
  sending ??= oneSender(async () => {
    while (wanted) {
      wanted = false;
      const waiting = (await store.all()).filter((one) => one.state === 'waiting' && one.user === page.user());
      for (const item of waiting) {
        const came = await send(item).catch(() => 'stopped');
        tell(came === 'taken' ? item : null);
        if (came === 'stopped') break;
      }
    }
  }).finally(() => {
    sending = null;
  });
}

export function start() {
  window.addEventListener('online', pump);
  setInterval(pump, AGAIN);
  pump();
}
