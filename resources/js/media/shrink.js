// A photo made small on the device: as it is taken it would wait long for its way.

import Shrinker from './shrinker.js?worker';

/** Longest side as it is sent, and as the page shows it while it waits. */
const SIDES = [2000, 160];
const QUALITY = 0.82;

let worker = null;
let asked = 0;

/** @returns {Promise<?[Blob, Blob]>} null where it cannot be read here */
function besideThePage(file) {
  worker ??= new Shrinker();
  asked += 1;
  const id = asked;
  return new Promise((resolve) => {
    const answered = ({ data }) => {
      if (data.id !== id) return;
      worker.removeEventListener('message', answered);
      resolve(data.blobs);
    };
    worker.addEventListener('message', answered);
    worker.addEventListener('error', () => resolve(null), { once: true });
    worker.postMessage({ id, file, sides: SIDES, quality: QUALITY });
  });
}

/**
 * Smaller where the device can make it so; else as it is: what cannot be read here, the server says.
 *
 * @returns {Promise<[Blob, ?Blob]>} as it is sent, and as the page shows it while it waits
 */
export async function shrink(file) {
  if (!('OffscreenCanvas' in window) || !('createImageBitmap' in window)) return [file, null];
  return (await besideThePage(file).catch(() => null)) ?? [file, null];
}

/** SHA-256 as hexadecimal digits; empty where the page is not served safely. */
export async function hashOf(blob) {
  if (!('subtle' in (window.crypto ?? {}))) return '';
  const digest = await window.crypto.subtle.digest('SHA-256', await blob.arrayBuffer());
  return [...new Uint8Array(digest)].map((one) => one.toString(16).padStart(2, '0')).join('');
}
