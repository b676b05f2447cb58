import { expect, test } from '@playwright/test';
import { signInQuietly } from './support.mjs';

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
  const cold = page.locator('.label', { hasText: 'Cold room 2' });
  const address = await cold.locator('.code').getAttribute('data-code');
  const other = await page.locator('.label', { hasText: 'Blast freezer' }).locator('.code').getAttribute('data-code');
  expect(address).not.toBe(other);

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
