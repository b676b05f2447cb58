import { expect, test } from '@playwright/test';
import { complaints, ownVisit, signInQuietly } from './support.mjs';

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, serviceWorkers: 'block' };

async function reach(page, locator) {
  for (let tries = 0; tries < 90; tries++) {
    if (await locator.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('not reached by Tab');
}

// A bulb, cold and warm, by keyboard: from the test to its card, step by step, with its clock, to the evidence.
test('a test is worked step by step by keyboard, and tells the verdict', async ({ page }) => {
  const heard = complaints(page);
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.clock.install();
  await page.goto(`${visit}/verdict`);
  const press = async (name, key = 'Enter') => {
    const button = page.locator('#card').getByRole('button', { name }).first();
    await reach(page, button);
    await page.keyboard.press(key);
  };
  const type = async (label, value) => {
    await reach(page, page.getByLabel(label, { exact: true }).first());
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
  };
  await page.locator('#choice-valve-bulb-warmed').getByRole('link', { name: 'Procedure' }).press('Enter');
  await expect(page).toHaveURL(/card=bulb_test/);
  await expect(page.locator('#card')).toContainText('Liquid may return');
  await press('Start');
  await expect(page.locator('#card .next-step')).toContainText('Suction');
  await type('Suction pressure', '2.9');
  await press(/Remove the bulb from the line/);
  await expect(page.locator('#touched')).toContainText('Expansion valve bulb');
  await press('Yes');
  // What is said in the quick line meanwhile leaves the card open.
  await page.locator('#line').fill('ambient 27');
  await page.locator('#line').press('Enter');
  await expect(page.locator('#log')).toContainText('Ambient 27');
  await expect(page.locator('#card .next-step')).toContainText('Lowest suction');
  await type('Lowest suction with the bulb cold', '2.2');
  await expect(page.locator('#card')).toContainText('2.20 bar gauge');
  await press(/^◷ Start timer, 2/);
  await expect(page.locator('#clocks')).toContainText('left');
  await page.clock.fastForward('02:10');
  await expect(page.locator('#clocks')).toContainText('read again now');
  await type('Highest suction with the bulb warm', '3.5');
  await expect(page.locator('.came-to')).toHaveCount(0);
  await press(/^☐ Refit the bulb/);
  await expect(page.locator('.came-to h3')).toHaveText('Works');
  await expect(page.locator('#touched')).not.toContainText('Expansion valve bulb');
  await press('Save result');
  await expect(page.locator('.came-to')).toContainText('Saved in the log');
  await page.goto(`${visit}/verdict`);
  await expect(page.locator('#choice-valve-bulb-warmed-suction-rises')).toHaveAttribute('aria-pressed', 'true');
  expect(heard).toEqual([]);
});

// A pull-down by thumb: one value is noted without reception, and the card is taken up again on another device.
test('a card is left, waits without reception, and is taken up on another device', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, ...phone });
  const page = await context.newPage();
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/prove?card=pull_down`);
  await page.getByRole('button', { name: 'Start', exact: true }).tap();
  const note = async (on, value) => {
    await on.getByLabel(/Box air, repeated/).fill(value);
    await on.getByRole('button', { name: 'Add reading' }).tap();
  };
  await note(page, '12');
  await expect(page.locator('.points li')).toHaveCount(1);
  await context.setOffline(true);
  await page.waitForTimeout(1200);
  await note(page, '8');
  await expect(page.locator('#waiting')).toContainText('8');
  await context.setOffline(false);
  await expect(page.locator('.points li')).toHaveCount(2);
  await context.close();

  const other = await browser.newContext({ baseURL, ...phone });
  const later = await other.newPage();
  await signInQuietly(later);
  await later.goto(`${visit}/leave`);
  await later.waitForTimeout(1200);
  await expect(later.getByText('“Timed pull-down” is unfinished')).toBeVisible();
  await later.goto(`${visit}/prove?card=pull_down`);
  await expect(later.locator('.points li')).toHaveCount(2);
  await note(later, '12.1');
  await expect(later.locator('.came-to')).toContainText('Not cooling');
  await later.getByRole('button', { name: 'Save result' }).tap();
  await expect(later.locator('.came-to')).toContainText('Saved in the log');
  await other.close();
});

test('a gate that does not hold wants a word, and nonsense is said where it stands', async ({ page }) => {
  await signInQuietly(page);
  const visit = await ownVisit(page);
  await page.goto(`${visit}/box`);
  await page.locator('#choice-evaporator-fans-some-stopped').click();
  await expect(page.locator('#choice-evaporator-fans-some-stopped')).toHaveAttribute('aria-pressed', 'true');
  await page.goto(`${visit}/put_right?card=superheat_trace`);
  await expect(page.locator('#card')).toContainText('repair first');
  await page.getByLabel('Reason to start anyway').fill('one was never fitted');
  await page.keyboard.press('Enter');
  await expect(page.locator('#card')).toContainText('Started despite open conditions: one was never fitted');
  const pipe = page.getByLabel(/Line at the bulb, repeated readings/);
  await pipe.fill('warm');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('warm');
  await expect(pipe).toHaveValue('warm');
  await expect(page.locator('.points li')).toHaveCount(0);
});
