#!/usr/bin/env node
// How long a page is held up while a photo of 12 megapixels is made small, kept and sent; the longest of some, in times
// of what the same page is held up by when nothing is done.
// Usage: bench/photos.mjs [photos]
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { chromiumFlags, ownVisit, signIn } from '../tests/browser/support.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const count = Number(process.argv[2] ?? 5);
const port = 8890;
const base = `http://127.0.0.1:${port}`;
// As files on a disk: what a test hands over in memory would itself hold the page up.
const folder = mkdtempSync(join(tmpdir(), 'photos-'));
const server = spawn(join(root, 'tests/browser/serve'), [String(port)], { stdio: 'ignore' });

const watch = (page) =>
  page.evaluate(() => {
    window.longest = 0;
    window.last = performance.now();
    window.tick ??= () => {
      window.longest = Math.max(window.longest, performance.now() - window.last);
      window.last = performance.now();
      setTimeout(window.tick, 0);
    };
    window.tick();
  });
const longest = (page) => page.evaluate(() => window.longest);

const photo = (page, seed) =>
  page.evaluate(async (by) => {
    const canvas = new OffscreenCanvas(4032, 3024);
    const on = canvas.getContext('2d');
    for (let i = 0; i < 40_000; i += 1) {
      on.fillStyle = `hsl(${(i * by) % 360} 50% 50%)`;
      on.fillRect((i * 131) % 4032, (i * 71) % 3024, 40, 30);
    }
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    let text = '';
    for (const one of bytes) text += String.fromCharCode(one);
    return btoa(text);
  }, seed);

try {
  for (let tries = 0; tries < 300; tries += 1) {
    if (await fetch(`${base}/sign-in`).then((r) => r.ok).catch(() => false)) break;
    await new Promise((done) => setTimeout(done, 200));
  }
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumFlags });
  const context = await browser.newContext({ baseURL: base, viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await signIn(page);
  await page.goto(`${await ownVisit(page)}/gauges`);
  const photos = [];
  for (let i = 0; i < count; i += 1) {
    photos.push(join(folder, `${i}.jpg`));
    writeFileSync(photos[i], Buffer.from(await photo(page, 37 + i), 'base64'));
  }
  await page.waitForTimeout(2000);
  await watch(page);
  await page.waitForTimeout(3000);
  const idle = await longest(page);
  for (const [place, path] of photos.entries()) {
    await page.evaluate(() => { window.longest = 0; window.last = performance.now(); });
    const before = Date.now();
    await page.locator('[data-photos]').first().setInputFiles(path);
    await page.locator('#attachments .thumb').nth(place).waitFor({ timeout: 60_000 });
    const held = await longest(page);
    console.log(
      `photo ${place + 1}, ${(statSync(path).size / 1e6).toFixed(1)} MB: kept and sent in ${Date.now() - before} ms; ` +
      `page held up ${held.toFixed(0)} ms at most, ${(held / idle).toFixed(1)} × idle (${idle.toFixed(0)} ms)`,
    );
  }
  await browser.close();
} finally {
  server.kill();
  rmSync(folder, { recursive: true });
}
