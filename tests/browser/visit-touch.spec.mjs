import { expect, test } from '@playwright/test';
import { complaints, ownCircuit, signIn } from './support.mjs';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

// The same at 390 px, by thumb.
test('a visit by thumb on a phone', async ({ page }) => {
  const heard = complaints(page);
  await signIn(page);
  const circuit = await ownCircuit(page, 'Thumb harbour');
  await page.goto(circuit);
  await page.getByRole('button', { name: 'Start visit' }).tap();
  await page.waitForURL(/complaint/);

  // Nothing is wider than the screen, and what is tapped is large enough for a thumb.
  const fits = () => page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth);
  expect(await fits()).toBe(true);
  await page.getByRole('button', { name: 'Too warm', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Too warm', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('#verdict')).toContainText('Next:');

  const walk = page.getByRole('navigation', { name: 'Visit stations' });
  for (const link of await walk.getByRole('link').all()) {
    const box = await link.boundingBox();
    expect(box.height).toBeGreaterThanOrEqual(44);
    expect(box.y + box.height).toBeLessThanOrEqual(845);
  }
  await walk.getByRole('link', { name: 'Box' }).tap();
  await expect(page).toHaveURL(/\/box$/);
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  // Sizes are those of the styled page.
  await page.waitForLoadState();
  expect(await fits()).toBe(true);
  for (const tap of await page.locator('.choice .tap').all()) {
    expect((await tap.boundingBox()).height).toBeGreaterThanOrEqual(44);
  }
  await page.locator('#choice-frost-coil-inlet-only').tap();
  await expect(page.locator('#choice-frost-coil-inlet-only')).toHaveAttribute('aria-pressed', 'true');

  await walk.getByRole('link', { name: 'Gauges' }).tap();
  await expect(page).toHaveURL(/\/gauges$/);
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  for (const [key, typed] of [['suction_pressure_kpa', '2.1'], ['suction_temperature_evaporator_c', '2'], ['discharge_pressure_kpa', '14.2'], ['receiver_outlet_temperature_c', '33.5']]) {
    const input = page.locator(`#in-${key}`);
    await input.tap();
    await input.fill(typed);
    await Promise.all([page.waitForResponse((answer) => answer.url().includes('/entries')), input.press('Enter')]);
  }
  expect(await fits()).toBe(true);
  // The course has turned: places downward, each beside its cell.
  const course = page.locator('.course-slim svg.course');
  await expect(course).toBeVisible();
  await expect(page.locator('.course-wide svg.course')).toBeHidden();
  const bulb = await page.locator('#cell-suction-temperature-evaporator-c').boundingBox();
  const run = await course.boundingBox();
  expect(run.x).toBeGreaterThan(bulb.x + bulb.width - 4);
  expect(bulb.y).toBeGreaterThan(run.y);

  // The verdict is a drawer.
  const more = page.locator('#verdict-more');
  await expect(more).toBeHidden();
  await page.getByRole('button', { name: 'Show full diagnosis' }).tap();
  await expect(more).toBeVisible();
  await expect(page.getByRole('button', { name: 'Show full diagnosis' })).toHaveAttribute('aria-expanded', 'true');
  await page.getByRole('button', { name: 'Show full diagnosis' }).tap();
  await expect(more).toBeHidden();

  await walk.getByRole('link', { name: 'Close' }).tap();
  await page.getByRole('link', { name: 'Report', exact: true }).tap();
  await expect(page.getByRole('heading', { name: /Thumb harbour/ })).toBeVisible();
  expect(await fits()).toBe(true);
  expect(heard).toEqual([]);
});
