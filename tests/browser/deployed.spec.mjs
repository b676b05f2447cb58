import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test } from '@playwright/test';
import { chromiumFlags, demo, signIn, signInQuietly } from './support.mjs';

// As it is put up for real use (docs/deploy.md): nginx, PHP-FPM with several workers, HTTPS, the worker installed.

const port = Number(process.env.METRUM_TEST_PORT ?? 8699) + 1;
const baseURL = `https://127.0.0.1:${port}`;
const STATIONS = ['complaint', 'box', 'unit', 'gauges', 'verdict', 'put_right', 'prove', 'leave'];
const folder = mkdtempSync(join(tmpdir(), 'metrum-stack-'));
const stack = (...words) => execFileSync('bin/stack', words, { encoding: 'utf8' });

let browser;

const device = async (phone = true) => browser.newContext({
  baseURL,
  serviceWorkers: 'allow',
  // Of requests beside the browser; the browser itself knows the certificate.
  ignoreHTTPSErrors: true,
  ...(phone ? { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true } : {}),
});
const line = async (page, typed) => {
  await page.locator('#line').fill(typed);
  await page.locator('#line').press('Enter');
  await expect(page.locator('#line')).toHaveValue('');
};
const kept = (page, url) => page.evaluate(async (one) => (await (await caches.open('pages')).match(one))?.text() ?? '', url);
const fileOf = async (page, visit) => (await page.request.get(`${visit}/file.json`)).json();
const openVisit = async (page) => {
  const link = await page.locator('a[data-open-visit][href$="/gauges"]').first().getAttribute('href');
  return new URL(link, baseURL).pathname.replace(/\/gauges$/, '');
};

test.describe.configure({ mode: 'serial', timeout: 120_000 });

test.beforeAll(async () => {
  stack('start', folder, String(port));
  const spki = readFileSync(join(folder, 'spki'), 'utf8').trim();
  browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [...chromiumFlags, `--ignore-certificate-errors-spki-list=${spki}`],
  });
});

test.afterAll(async () => {
  await browser?.close();
  stack('stop', folder);
  execFileSync('rm', ['-rf', folder]);
});

test('stations that were never opened open without reception, over an update, and entries are sent once', async () => {
  const context = await device();
  const page = await context.newPage();
  await signIn(page);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  const visit = await openVisit(page);
  for (const station of STATIONS) {
    await expect.poll(() => kept(page, `${visit}/${station}`), { timeout: 20_000 }).toContain('</html>');
  }
  const before = await fileOf(page, visit);
  const rack = await page.locator('a[data-open-visit][href$="/board"]').first().getAttribute('href');
  await expect.poll(() => kept(page, new URL(rack, baseURL).pathname), { timeout: 20_000 }).toContain('</html>');

  stack('away', folder);
  await page.goto(rack);
  await expect(page.locator('#board-rows')).toBeVisible();
  await page.goto(`${visit}/unit`);
  await page.locator('#choice-sight-glass-clear').click();
  await page.goto(`${visit}/gauges`);
  await line(page, 'box 11.5');
  await line(page, 'told while nobody was there');
  await expect(page.locator('#line-state')).toContainText('3 entries kept on this device');

  stack('artisan', folder, 'down', '--retry=5');
  stack('back', folder);
  stack('update', folder);
  expect((await page.request.get('/sign-in')).status()).toBe(503);
  // Nothing of it is there any more under the names that the kept pages use.
  await page.goto(`${visit}/prove`);
  await expect(page.locator('#no-script')).toHaveCount(0);
  expect(await page.evaluate(() => getComputedStyle(document.body).fontFamily)).toContain('B612');
  await line(page, 'told while it was brought up to date');
  await expect(page.locator('#line-state')).toContainText('4 entries kept');
  await page.reload();
  await expect(page.locator('#line-state')).toContainText('4 entries kept');

  stack('artisan', folder, 'up');
  await expect(page.locator('#waiting')).toHaveText('', { timeout: 60_000 });
  await expect(page.locator('#line-state')).toBeHidden();
  const after = await fileOf(page, visit);
  expect(after.readings).toEqual({ ...before.readings, box_temperature_c: 11.5 });
  expect(after.observations).toEqual({ ...before.observations, sight_glass: 'clear' });
  await page.goto(`${visit}/report`);
  for (const note of ['told while nobody was there', 'told while it was brought up to date']) {
    await expect(page.getByText(note)).toHaveCount(1);
  }

  // Kept pages are of the new build now, and open again without reception.
  for (const station of STATIONS) {
    await expect.poll(() => kept(page, `${visit}/${station}`), { timeout: 30_000 }).toContain('/build/assets/new-');
  }
  stack('away', folder);
  await page.goto(`${visit}/complaint`);
  await expect(page.locator('#line')).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.body).fontFamily)).toContain('B612');
  stack('back', folder);
  await context.close();
});

test('a disk that can only be read lets every page be read, and entries wait', async () => {
  const context = await device(false);
  const page = await context.newPage();
  await signInQuietly(page);
  await page.goto('/');
  const visit = await openVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.goto('/refrigerant');
  stack('read-only', folder);
  try {
    for (const address of ['/', '/sites', '/refrigerant', ...STATIONS.map((one) => `${visit}/${one}`), `${visit}/report`]) {
      expect((await page.request.get(address)).status(), address).toBe(200);
    }
    await page.goto(`${visit}/gauges`);
    await line(page, 'box 12.5');
    await expect(page.locator('#waiting')).toContainText('Waiting to send: box 12.5');
  } finally {
    stack('writable', folder);
  }
  await expect(page.locator('#waiting')).toHaveText('', { timeout: 60_000 });
  expect((await fileOf(page, visit)).readings.box_temperature_c).toBe(12.5);
  await context.close();
});

test('a copy brought back while people work loses nothing that was confirmed', async () => {
  const copy = join(folder, 'copy.sqlite');
  stack('artisan', folder, 'metrum:backup', copy);
  const context = await device(false);
  const page = await context.newPage();
  await signInQuietly(page, demo.email);
  await page.goto('/');
  const visit = await openVisit(page);
  await page.goto(`${visit}/gauges`);
  const token = await page.locator('meta[name="csrf-token"]').getAttribute('content');
  const confirmed = [];
  const statuses = new Set();
  let working = true;
  const person = async (name) => {
    for (let i = 0; working; i++) {
      const value = `${name} says ${i}`;
      const answer = await page.request.post(`${visit}/entries`, {
        form: { _token: token, kind: 'note', key: 'note', value, stage: 'gauges' },
        headers: { 'X-Requested-With': 'XMLHttpRequest' },
      });
      statuses.add(answer.status());
      if (answer.status() === 200) confirmed.push(value);
    }
  };
  const people = ['Ylva', 'Odd', 'Siv', 'Tor'].map(person);
  await expect.poll(() => confirmed.length).toBeGreaterThan(8);
  await new Promise((done, failed) => {
    import('node:child_process').then(({ execFile }) => execFile(
      'bin/stack', ['artisan', folder, 'metrum:restore', copy, '--force'],
      (error) => (error ? failed(error) : done()),
    ));
  });
  const then = confirmed.length;
  await expect.poll(() => confirmed.length).toBeGreaterThan(then + 8);
  working = false;
  await Promise.all(people);
  expect([...statuses].filter((one) => ![200, 503].includes(one))).toEqual([]);

  const notes = (file) => execFileSync('php', ['-r', `
    foreach (glob($argv[1]) as $file) {
      foreach ((new PDO('sqlite:'.$file))->query("select data from facts where kind = 'note'") as $row) {
        echo json_decode($row['data'])->text, "\\n";
      }
    }`, file], { encoding: 'utf8' }).split('\n');
  const here = notes(join(folder, 'metrum/database/database.sqlite'));
  const beside = notes(join(folder, 'before-restore-*.sqlite'));
  const lost = confirmed.filter((one) => !here.includes(one) && !beside.includes(one));
  expect(lost).toEqual([]);
  // An answer to each of the four may have been on its way when it was brought back.
  expect(confirmed.slice(then + 4).filter((one) => !here.includes(one)), 'after it all is in the logbook').toEqual([]);
  await context.close();
});
