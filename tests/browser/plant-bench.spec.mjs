import { expect, test } from '@playwright/test';
import { complaints, demo, openCircuit, openVisit, signIn } from './support.mjs';

test('a fault is tried on the twin by keyboard; reload and back keep what was set', async ({ page }) => {
  const heard = complaints(page);
  await signIn(page);
  await openCircuit(page, demo.cooler);
  await page.getByRole('main').getByRole('link', { name: 'Simulator' }).click();
  await expect(page.getByRole('heading', { name: 'Healthy, as designed' })).toBeVisible();
  const course = page.locator('.course-wide .course');
  const sound = await course.innerHTML();

  await page.getByLabel('Ambient').focus();
  await page.keyboard.type('35');
  await page.keyboard.press('Tab');
  await expect(page).toHaveURL(/ambient=35/);
  await page.getByLabel('Fault', { exact: true }).focus();
  await page.keyboard.type('Low condenser');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('heading', { name: 'Changes from healthy' })).toBeVisible();
  expect(await course.innerHTML()).not.toBe(sound);
  const title = await page.locator('.plant-says h2').textContent();

  await page.getByRole('button', { name: 'Simulate 1 hour' }).click();
  await expect(page.getByRole('heading', { name: /Last hour, compressor on \d+ %/ })).toBeVisible();

  await page.reload();
  await expect(page.locator('.plant-says h2')).toHaveText(title);
  await expect(page.getByLabel('Ambient')).toHaveValue('35');
  await page.getByRole('link', { name: 'Reset to design' }).click();
  await expect(page.getByRole('heading', { name: 'Healthy, as designed' })).toBeVisible();
  await page.goBack();
  await expect(page.locator('.plant-says h2')).toHaveText(title);
  expect(heard).toEqual([]);
});

test('at a visit the twin says what would change before it is done', async ({ page }) => {
  await signIn(page);
  await openVisit(page, demo.openVisit, 'verdict');
  await page.getByRole('button', { name: 'Fault repaired' }).click();
  const rows = page.locator('#what-if tbody tr');
  await expect(rows.filter({ hasText: 'Superheat at the bulb' })).toContainText('↓');
  await page.getByRole('button', { name: /more$/ }).click();
  await expect(page.locator('#what-if')).toContainText('Do not add refrigerant yet');
  await page.getByRole('link', { name: 'Open in simulator' }).click();
  await expect(page.getByLabel('Fault', { exact: true })).toHaveValue('undercharge');
});
