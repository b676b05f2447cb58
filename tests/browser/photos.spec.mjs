import { expect, test } from '@playwright/test';
import { chromiumFlags, ownVisit, signInQuietly } from './support.mjs';

// A microphone that hums stands in for a real one.
const microphone = ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'];

test.use({
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  serviceWorkers: 'allow',
  launchOptions: { executablePath: '/usr/bin/chromium', args: [...chromiumFlags, ...microphone] },
});

/** A photo as a phone takes it, drawn in the page: so many pixels, and no two alike. */
const drawn = (page, width, height, colour) =>
  page.evaluate(
    async ([w, h, fill]) => {
      const canvas = new OffscreenCanvas(w, h);
      const on = canvas.getContext('2d');
      on.fillStyle = fill;
      on.fillRect(0, 0, w, h);
      for (let i = 0; i < 60_000; i += 1) {
        on.fillStyle = `hsl(${(i * 37) % 360} 50% 50%)`;
        on.fillRect((i * 131) % w, (i * 71) % h, 9, 6);
      }
      const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })).arrayBuffer());
      let text = '';
      for (const one of bytes) text += String.fromCharCode(one);
      return btoa(text);
    },
    [width, height, colour],
  );

const file = async (page, name, ...how) => ({
  name,
  mimeType: 'image/jpeg',
  buffer: Buffer.from(await drawn(page, ...how), 'base64'),
});

test('photos are taken without reception, wait over a reload, and are sent once', async ({ page, context }) => {
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  await page.waitForTimeout(1500);
  const photos = [await file(page, 'a.jpg', 4000, 3000, '#886655'), await file(page, 'b.jpg', 1200, 900, '#557788')];

  // Whatever is named as what the photo is of, the page above must not move under a finger.
  const height = () => page.locator('#media').evaluate((one) => one.offsetHeight);
  const bare = await height();
  for (const key of ['discharge_pressure_kpa', 'suction_temperature_evaporator_c']) {
    await page.locator(`#in-${key}`).focus();
    await expect(page.locator('#media-of')).not.toHaveText('Visit');
    expect(await height()).toBe(bare);
  }

  await context.setOffline(true);
  await page.locator('#in-discharge_pressure_kpa').fill('17 bar');
  await page.locator('#in-discharge_pressure_kpa').press('Enter');
  await page.locator('#in-discharge_pressure_kpa').focus();
  await expect(page.locator('#media-of')).toHaveText('Head pressure');
  await page.locator('#media-caption').fill('lint all over');
  await page.locator('[data-photos]').first().setInputFiles(photos);
  await expect(page.locator('.media-waiting p')).toHaveCount(2, { timeout: 20_000 });
  await expect(page.locator('.media-waiting')).toContainText('photo of Head pressure');

  await page.reload();
  await expect(page.locator('.media-waiting p')).toHaveCount(2);
  await context.setOffline(false);
  await expect(page.locator('#attachments .thumb')).toHaveCount(2, { timeout: 30_000 });
  await expect(page.locator('.media-waiting p')).toHaveCount(0);
  await expect(page.locator('#attachments')).toContainText('lint all over');
  await page.reload();
  await expect(page.locator('#attachments .thumb')).toHaveCount(2);

  await page.locator('#attachments .thumb').first().tap();
  const image = page.locator('.marked img');
  await expect(image).toBeVisible();
  expect(await image.evaluate((one) => [one.naturalWidth, one.naturalHeight])).toEqual([2000, 1500]);
  const box = await page.locator('#marks').boundingBox();
  await page.mouse.move(box.x + 100, box.y + 80);
  await page.mouse.down();
  await page.mouse.move(box.x + 150, box.y + 80, { steps: 4 });
  await page.mouse.up();
  await page.getByText('Word', { exact: true }).tap();
  await page.locator('#mark-word').fill('lint');
  await page.mouse.click(box.x + 60, box.y + 120);
  await expect(page.locator('#marks circle')).toHaveCount(1);
  await page.getByRole('button', { name: 'Save marks' }).tap();
  await expect(page.locator('#marks circle')).toHaveCount(1);
  await expect(page.locator('#marks text')).toHaveText('lint');
});

test('a file that is no photo is refused in words and can be let go; a broken way is gone on from', async ({ page }) => {
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.locator('[data-photos]').first().setInputFiles({
    name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('nothing of a photo'),
  });
  await expect(page.locator('.refused-line')).toContainText('Possible: JPEG, PNG or WebP', { timeout: 15_000 });
  await page.locator('.media-waiting').getByRole('button', { name: 'Discard' }).click();
  await expect(page.locator('.media-waiting p')).toHaveCount(0);

  let pieces = 0;
  await page.route('**/piece', async (route) => {
    pieces += 1;
    if (pieces === 2) return route.abort();
    return route.continue();
  });
  await page.locator('[data-photos]').first().setInputFiles(await file(page, 'c.jpg', 2400, 1800, '#335533'));
  await expect(page.locator('#attachments .thumb')).toHaveCount(1, { timeout: 30_000 });
  expect(pieces).toBeGreaterThan(2);
});

for (const own of [true, false]) {
  test(`a voice note is recorded, sent and played, ${own ? 'by the browser' : 'where it has no recorder'}`, async ({ page }) => {
    await signInQuietly(page);
    const visit = await ownVisit(page);
    if (!own) await page.addInitScript(() => delete window.MediaRecorder);
    await page.goto(`${visit}/gauges`);
    await page.getByRole('button', { name: 'Voice note' }).click();
    await expect(page.getByRole('button', { name: /Stop \([12] s\)/ })).toBeVisible({ timeout: 10_000 });
    await page.getByRole('button', { name: /Stop/ }).click();
    const played = page.locator('#attachments audio');
    await expect(played).toHaveCount(1, { timeout: 20_000 });
    await played.evaluate((one) => one.play());
    await expect.poll(() => played.evaluate((one) => one.currentTime)).toBeGreaterThan(0);
  });
}
