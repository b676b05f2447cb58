// Lets go of assets that no page can name any more: not of this build, and older than any page that a device keeps.

import { readdirSync, readFileSync, rmSync, statSync } from 'node:fs';

const FOLDER = 'public/build/assets';
const DAYS = 14;

const manifest = JSON.parse(readFileSync('public/build/manifest.json', 'utf8'));
const named = new Set(Object.values(manifest).flatMap((one) => [one.file, ...(one.css ?? []), ...(one.assets ?? [])]));
const oldest = Date.now() - DAYS * 24 * 3600 * 1000;

for (const file of readdirSync(FOLDER)) {
  const path = `${FOLDER}/${file}`;
  if (!named.has(`assets/${file}`) && statSync(path).mtimeMs < oldest) rmSync(path);
}
