import { expect, test } from '@playwright/test';
import { complaints, ownVisit, signInQuietly } from './support.mjs';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('goods that are too warm are counted and moved, and what does not fit today is promised in one tap', async ({ page }) => {
  const heard = complaints(page);
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/box`);
  await page.locator('#in-box_temperature_c').fill('9');
  await page.locator('#in-box_temperature_c').press('Enter');
  const goods = page.locator('#goods-fold');
  await expect(goods.locator('summary')).toContainText('Which goods are stored here?');
  await goods.locator('summary').tap();
  await page.locator('#goods-fish').tap();
  await expect(page.locator('#goods-fish')).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('textbox', { name: 'Last known good' }).fill('6 h');
  await page.getByRole('textbox', { name: 'Last known good' }).press('Enter');
  await expect(goods.locator('summary')).toContainText(/Fresh fish: 0 to 6 h above 2\.0 °C\. Moved\?/);
  await expect(goods).toContainText('Check before use or sale.');
  // It stays open while an answer is drawn, and what is half typed in it stays.
  await page.getByLabel('What, or where to').fill('cold room 3');
  await page.getByLabel('By whom').fill('the cook');
  await page.getByLabel('By whom').press('Enter');
  await expect(goods).toContainText('moved to: cold room 3, by the cook');
  await expect(goods.locator('summary')).not.toContainText('Moved?');
  await goods.getByRole('link', { name: 'Goods sheet' }).tap();
  await expect(page.getByRole('heading', { name: /^Goods:/ })).toBeVisible();

  // Time: the unit cannot be reached.
  await page.goto(`${visit}/verdict`);
  const site = page.locator('#site-fold');
  await site.locator('summary').tap();
  await page.locator('button#site-no_unit').tap();
  await expect(site).toContainText('Does not fit');
  await page.getByRole('textbox', { name: 'Leave by' }).fill('whenever');
  await page.getByRole('textbox', { name: 'Leave by' }).press('Enter');
  await expect(page.getByText('Enter a time as 22:30').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'Leave by' }).fill('90 min');
  await page.getByRole('textbox', { name: 'Leave by' }).press('Enter');
  await expect(site.locator('summary')).toContainText(/(89|90) min left/);
  const later = site.locator('form.row-link').first();
  const name = (await later.locator('.grow').innerText()).split('\n')[0];
  await later.getByRole('button', { name: 'Follow up' }).tap();
  await expect(site.locator('form.row-link').filter({ hasText: name })).toHaveCount(0);
  await page.goto('/');
  await expect(page.getByText('Customer prepares: access to the unit').first()).toBeVisible();
  expect(heard).toEqual([]);
});
