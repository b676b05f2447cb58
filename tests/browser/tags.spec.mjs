import { expect, test } from '@playwright/test';
import { ownCircuit, ownVisit, signInQuietly } from './support.mjs';

test.use({ serviceWorkers: 'allow' });

test('a tag has a code, and what it leads to opens without reception', async ({ page, context }) => {
  await signInQuietly(page);
  await page.goto('/sites');
  await page.getByRole('link', { name: 'Brygga fish hall' }).click();
  await page.getByRole('link', { name: 'Tags', exact: true }).click();
  const codes = page.locator('.label .code');
  await expect(codes).toHaveCount(4);
  for (const one of await codes.all()) {
    // A code of so long an address has at least 29 modules a side.
    await expect(one.locator('svg')).toBeVisible();
    const box = await one.locator('svg').getAttribute('viewBox');
    expect(Number(box.split(' ')[2])).toBeGreaterThan(28);
  }
  const led = await codes.evaluateAll((all) => all.map((one) => one.dataset.code));
  expect(new Set(led).size).toBe(4);

  // An open visit of its own: Today lists it first, whatever others are open.
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.locator('header a', { has: page.locator('b') }).click();
  await page.getByRole('link', { name: 'Tag with code' }).click();
  const address = await page.locator('.label .code').getAttribute('data-code');
  await page.goto('/');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  const path = new URL(address).pathname;
  const isKept = (at) => page.evaluate(async (one) => (await caches.match(one)) !== undefined, at);
  await expect.poll(() => isKept(path), { timeout: 30_000 }).toBe(true);
  await context.setOffline(true);
  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'Still open' })).toBeVisible();
  await page.getByRole('link', { name: /^since/ }).click();
  await expect(page.locator('#in-box_temperature_c')).toBeVisible();
});

test('a code that was read says which circuit it is, also without reception', async ({ page, context }) => {
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await page.locator('header a', { has: page.locator('b') }).click();
  await page.getByRole('link', { name: 'Tag with code' }).click();
  const address = await page.locator('.label .code').getAttribute('data-code');
  expect(address).toMatch(/#tag$/);
  await page.goto('/');
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  const isKept = (at) => page.evaluate(async (one) => (await caches.match(one)) !== undefined, at);
  await expect.poll(() => isKept(new URL(address).pathname), { timeout: 30_000 }).toBe(true);
  await expect.poll(() => isKept(`${visit}/gauges`), { timeout: 30_000 }).toBe(true);
  await context.setOffline(true);
  await page.goto(address);
  await page.getByRole('link', { name: /^since/ }).click();
  await expect(page).toHaveURL(/\/visits\/\w+(\/\w+)?$/);
  await expect(page.locator('#line-state')).toContainText(/1 entr/);
  await context.setOffline(false);
  await page.reload();
  await expect(page.locator('#log')).toContainText('Tag opened: this circuit');

  // Another unit's page says so.
  const other = await ownVisit(page);
  await page.goto(`${other}/gauges`);
  await expect(page.locator('#which-one')).toContainText('Tag opened last:');
  await page.locator('#which-one').getByRole('link', { name: /^Go to/ }).click();
  await expect(page).toHaveURL(new RegExp(`${visit}/gauges$`));
  await expect(page.locator('#which-one')).not.toContainText('Tag opened last:');

  // Where no visit is open, the one that is started begins with it.
  const circuit = await ownCircuit(page, `Tag quay ${Date.now()}`);
  await page.goto('/');
  await page.goto(`${circuit}#tag`);
  await page.getByRole('button', { name: 'Start visit' }).click();
  await expect(page.locator('#log')).toContainText('Tag opened: this circuit');
});
