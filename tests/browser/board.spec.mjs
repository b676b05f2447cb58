import { expect, test } from '@playwright/test';
import { complaints, signIn } from './support.mjs';

/** Types into a cell of the board and waits until the board has answered. */
async function enter(page, within, label, typed) {
  const input = within.getByLabel(label, { exact: true });
  await input.fill(typed);
  await Promise.all([page.waitForResponse((answer) => answer.url().includes('/entries')), input.press('Enter')]);
}

async function tap(page, within, group, answer) {
  const button = within.getByRole('group', { name: group }).getByRole('button', { name: answer, exact: true });
  await Promise.all([page.waitForResponse((one) => one.url().includes('/entries')), button.click()]);
  await expect(button).toHaveAttribute('aria-pressed', 'true');
}

// From an alarm at three cases to a report that names plant and circuit.
test('a rack is walked from its board', async ({ page }) => {
  const heard = complaints(page);
  await signIn(page);
  await page.getByRole('searchbox').fill('Dairy cases');
  await page.locator('#found').getByRole('button').first().click();
  await page.waitForURL(/\/board$/);
  const board = page.url();
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  const row = (name) => page.getByRole('article').filter({ has: page.getByRole('heading', { name, exact: true }) });

  // Three cases on one regulator call; one of them keeps it open.
  await enter(page, row('Dairy cases'), 'Dairy 1', '4.9');
  await enter(page, row('Dairy cases'), 'Dairy 2', '5.1');
  await enter(page, row('Dairy cases'), 'Dairy 3', '9.4');
  await expect(page.getByRole('heading', { name: 'Dairy cases is out of range' })).toBeVisible();
  await expect(page.locator('#board-head')).toContainText('Dairy 3 keeps the EPR of Dairy cases open');

  // The level, and what it should be here and now.
  const side = page.locator('#board-side');
  await expect(side).toContainText('Expected');
  await enter(page, page.getByRole('region', { name: 'Rack readings' }), 'Receiver level', '16');
  await expect(side).toContainText('16 %');
  await expect(side).toContainText('Low refrigerant charge');

  // One circuit after another is closed; the caution stands before it is done.
  const produce = row('Produce');
  await produce.getByText('State, closing off').click();
  await expect(produce).toContainText('Never trap liquid between two closed valves');
  await tap(page, produce, 'Circuit closed off', 'By us');
  await expect(page.locator('#board-isolation')).toContainText('Wait until the level stays');
  await enter(page, page.getByRole('region', { name: 'Rack readings' }), 'Receiver level', '42');
  await expect(page.locator('#board-isolation')).toContainText('Produce was holding refrigerant');
  await expect(page.locator('#board-facts')).toContainText('Produce (by us)');

  // The circuit that is warm, in the same visit.
  await row('Dairy cases').getByRole('link', { name: /Open/ }).click();
  await page.waitForURL(/\/box$/);
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  const fans = page.locator('#choice-evaporator-fans-some-stopped');
  await fans.click();
  await expect(fans).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('link', { name: 'Rack board' }).first().click();
  await page.waitForURL(board);
  await expect(row('Dairy cases')).toContainText(/fan|airflow/i);

  // What was closed is opened again before leaving, and the report names plant and circuit.
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  await row('Produce').getByText('State, closing off').click();
  await tap(page, row('Produce'), 'Circuit closed off', 'No');
  await expect(page.locator('#board-facts')).not.toContainText('Produce (by us)');
  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.locator('body')).toContainText('Medium rack');
  await expect(page.locator('body')).toContainText('Dairy cases');
  expect(heard).toEqual([]);
});

test('the board on a phone: the worst circuit first, nothing wider than the screen', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block' });
  const page = await context.newPage();
  await signIn(page);
  await page.getByRole('searchbox').fill('Dairy cases');
  await page.locator('#found').getByRole('button').first().tap();
  await page.waitForURL(/\/board$/);
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  await expect(page.getByRole('article').first()).toContainText('Dairy cases');
  for (const link of await page.getByRole('article').getByRole('link').all()) {
    expect((await link.boundingBox()).height).toBeGreaterThanOrEqual(44);
  }
  await context.close();
});
