// One request for one entry, and what became of it.

import * as page from './page.js';
import * as store from './store.js';

const PATIENCE = 30_000;

/** Answers after which the same entry may be sent again and can then be taken. */
const passes = (status) => status === 408 || status === 425 || status === 429 || status >= 500;

async function post(entry) {
  const body = new URLSearchParams(entry.fields);
  body.set('id', entry.id);
  body.set('at', entry.made);
  body.set('sent', new Date().toISOString());
  const device = await store.device();
  if (device !== null && Number.isInteger(entry.order)) {
    body.set('device', device);
    body.set('count', entry.order);
  }
  // The answer is drawn for the page that waits for it.
  if (entry.visit === page.visit()) {
    body.set('stage', page.station());
    body.delete('card');
    Object.entries(page.card()).forEach(([name, value]) => body.set(name, value));
  }
  return fetch(entry.url, {
    method: 'POST',
    body,
    headers: {
      'X-CSRF-TOKEN': page.token(),
      'X-Requested-With': 'XMLHttpRequest',
      'X-Made-By': entry.user,
    },
    signal: AbortSignal.timeout(PATIENCE),
  });
}

/** 409: somebody else is signed in by now. */
const signedOut = (answer) => [401, 409, 419].includes(answer.status) || answer.redirected;

async function reason(answer) {
  const said = await answer.json().then((one) => one.message, () => null);
  return said ?? `Server error (code ${answer.status}). Try again.`;
}

/**
 * @returns {Promise<{kind: 'taken', html: string, log: number, clockOff: number} | {kind: 'refused', why: string}
 *   | {kind: 'later' | 'offline' | 'signed-out'}>}
 */
export async function send(entry) {
  try {
    let answer = await post(entry);
    if (signedOut(answer)) {
      if ((await page.again()) === null) return { kind: 'signed-out' };
      answer = await post(entry);
      if (signedOut(answer)) return { kind: 'signed-out' };
    }
    if (answer.ok) {
      return {
        kind: 'taken',
        html: await answer.text(),
        log: Number(answer.headers.get('X-Log-Length')),
        clockOff: Number(answer.headers.get('X-Clock-Off') ?? 0),
      };
    }
    return passes(answer.status) ? { kind: 'later' } : { kind: 'refused', why: await reason(answer) };
  } catch {
    return { kind: 'offline' };
  }
}
