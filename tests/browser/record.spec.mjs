import { expect, test } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { demo, ownVisit, signInQuietly } from './support.mjs';

test.use({ serviceWorkers: 'allow' });

const photo = (page, colour) =>
  page.evaluate(async (fill) => {
    const canvas = new OffscreenCanvas(1600, 1200);
    const on = canvas.getContext('2d');
    on.fillStyle = fill;
    on.fillRect(0, 0, 1600, 1200);
    const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/jpeg' })).arrayBuffer());
    return btoa(String.fromCharCode(...bytes));
  }, colour);

const file = async (page, colour) => ({
  name: 'photo.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(await photo(page, colour), 'base64'),
});

test('a visit with photos, an owner who refuses, and a colleague who finds all of it', async ({ page, context, browser }) => {
  test.setTimeout(150_000);
  // Act one: on a roof without reception.
  await page.setViewportSize({ width: 390, height: 844 });
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  await page.waitForTimeout(1200);
  const dirty = await file(page, '#665544');
  await context.setOffline(true);
  const read = async (key, typed) => {
    await page.locator(`#in-${key}`).fill(typed);
    await page.locator(`#in-${key}`).press('Enter');
  };
  await read('ambient_temperature_c', '25');
  await read('box_temperature_c', '4.2');
  await read('discharge_pressure_kpa', '21 bar');
  await read('suction_pressure_kpa', '3.2 bar');
  await page.locator('#in-discharge_pressure_kpa').focus();
  await page.locator('#media-caption').fill('fins full of lint');
  await page.locator('[data-photos]').first().setInputFiles(dirty);
  await expect(page.locator('.media-waiting p')).toHaveCount(1, { timeout: 15_000 });
  await context.setOffline(false);
  await expect(page.locator('#attachments .thumb')).toHaveCount(1, { timeout: 30_000 });
  await page.goto(`${visit}/leave`);
  await page.getByLabel('What to do').fill('Bring the ladder and wash the condenser');
  await page.getByRole('button', { name: 'Add follow-up' }).click();
  await expect(page.getByText('Bring the ladder and wash the condenser').first()).toBeVisible();
  await page.getByRole('link', { name: 'Offer and send' }).click();
  const offer = async (title, lines, risk) => {
    await page.getByText('Add a choice').click();
    const form = page.locator('details.sheet');
    await form.getByLabel('Title').fill(title);
    await form.getByLabel(/risk/).fill(risk);
    await form.getByLabel(/Amounts/).fill(lines);
    await form.getByRole('button', { name: 'Add choice' }).click();
    await expect(page.locator('.choice').getByText(title)).toBeVisible();
  };
  await offer('Wash now', 'Labour; 1.5; h; 78', '');
  await offer('New condenser fan', 'Fan motor; 1; pc; 140', 'The old one is loud and may stop.');
  const axe = await new AxeBuilder({ page }).analyze();
  expect(axe.violations).toEqual([]);
  const link = await page.locator('.owner-link').getAttribute('href');

  // Act two: the owner, on their own device, with the link alone.
  const owner = await (await browser.newContext()).newPage();
  await owner.goto(link);
  await expect(owner.getByRole('heading', { name: 'Your choices' })).toBeVisible();
  await expect(owner.locator('figure img')).toHaveCount(1);
  await owner.locator('figure img').scrollIntoViewIfNeeded();
  await expect.poll(() => owner.locator('figure img').evaluate((one) => one.naturalWidth)).toBeGreaterThan(100);
  expect((await new AxeBuilder({ page: owner }).analyze()).violations).toEqual([]);
  const fan = owner.locator('.choice', { hasText: 'New condenser fan' });
  await fan.getByLabel('Your name').fill('M. Ek');
  await fan.getByRole('button', { name: 'Refuse' }).click();
  await expect(owner.getByText('Refused by M. Ek by link')).toBeVisible();
  const wash = owner.locator('.choice', { hasText: 'Wash now' });
  await wash.getByLabel('Your name').fill('M. Ek');
  await wash.getByRole('button', { name: 'Accept' }).click();
  await expect(owner.getByText('Accepted by M. Ek by link')).toBeVisible();
  const pdf = await owner.request.get(await owner.getByRole('link', { name: 'PDF' }).getAttribute('href'));
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await owner.request.get(`${visit}/report`, { maxRedirects: 0 })).status()).toBe(302);

  // Act three: a colleague, who was never there.
  const other = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const colleague = await other.newPage();
  await signInQuietly(colleague, demo.second);
  await colleague.goto(`${visit}/gauges`);
  await colleague.locator('header a', { has: colleague.locator('b') }).click();
  const open = colleague.locator('.open-items');
  await expect(open).toContainText('Bring the ladder and wash the condenser');
  await expect(open).toContainText('Wash now');
  await expect(open).toContainText('accepted');
  await expect(open).toContainText('New condenser fan');
  await expect(open).toContainText('refused');
  await expect(colleague.locator('.record-side img')).toHaveCount(1);
  await expect(colleague.locator('.record-side')).toContainText('1 photo');
  expect((await new AxeBuilder({ page: colleague }).analyze()).violations).toEqual([]);
});
