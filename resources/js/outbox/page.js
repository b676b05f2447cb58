// Who and where this page is, as the server drew it.

const meta = (name) => document.querySelector(`meta[name="${name}"]`)?.content ?? null;

export const user = () => meta('user');

/** Of a page that is asked for by the device, not by a hand: it says for whom, and opens no session. */
export const headers = () => ({ Accept: 'text/html', 'X-Made-By': user() ?? '' });

/** When the server drew it, hours and minutes. */
export const drawn = () => meta('drawn');

export const token = () => meta('csrf-token');

/** The visit that this page shows; null on other pages. */
export const visit = () => document.querySelector('[data-visit]')?.dataset.visit ?? null;

/** The card that is open, as the address has it: it stays open, whatever else of the page is used meanwhile. */
export function card() {
  const address = new URLSearchParams(window.location.search);
  const open = address.get('card');
  return open === null ? {} : { card: open, card_of: address.get('part') ?? '' };
}

export const station = () => document.querySelector('[data-visit]')?.dataset.station ?? null;

/**
 * Asks for this page anew, and takes over its token where the same person is still, or again, signed in.
 *
 * @returns {Promise<?Document>} null where nobody, or somebody else, is signed in
 */
export async function again() {
  const answer = await fetch(window.location.pathname + window.location.search, {
    headers: headers(),
    cache: 'no-store',
  });
  const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
  const read = (name) => page.querySelector(`meta[name="${name}"]`)?.content ?? null;
  if (!answer.ok || read('user') === null || read('user') !== user()) return null;
  document.querySelector('meta[name="csrf-token"]').content = read('csrf-token');
  return page;
}
