import { expect, test } from '@playwright/test';
import { ownVisit, signInQuietly } from './support.mjs';

// What was found by attack on the box of entries stays mended.

const line = async (page, typed) => {
  await page.locator('#line').fill(typed);
  await page.locator('#line').press('Enter');
  await expect(page.locator('#line')).toHaveValue('');
};
const waiting = (page) => page.locator('#waiting');
const fileOf = async (page, visit) => (await page.request.get(`${visit}/file.json`)).json();
const isEntry = (url) => /\/entries$/.test(url.pathname);

test.beforeEach(async ({ page }) => {
  await signInQuietly(page);
});

test('lines that were not taken stay until each is mended or let go, and mending brings its own words back', async ({ page }) => {
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await line(page, 'suction 5°');
  await expect(waiting(page)).toContainText('suction 5°');
  await line(page, 'box 2,1.5');
  await expect(waiting(page)).toContainText('box 2,1.5');
  await line(page, 'bulb 4');
  await expect(page.locator('#log')).toContainText('Line at bulb 4.0');
  await expect(waiting(page)).toContainText('suction 5°');
  await expect(waiting(page)).toContainText('box 2,1.5');

  const first = waiting(page).locator('li, p').filter({ hasText: 'suction 5°' }).first();
  await first.getByRole('button', { name: 'Fix' }).click();
  await expect(page.locator('#line')).toHaveValue('suction 5°');
  await line(page, 'suction 2.1 bar');
  await expect(waiting(page)).not.toContainText('suction 5°');
  await expect(waiting(page)).toContainText('box 2,1.5');
  await expect(page.locator('#log')).toContainText('Suction pressure 2.10');
  await waiting(page).getByRole('button', { name: 'Discard' }).click();
  await expect(waiting(page)).toHaveText('');
  expect((await fileOf(page, visit)).readings).toEqual({ suction_pressure_kpa: 210, suction_temperature_evaporator_c: 4 });
});

test('an entry that always fails holds up its own visit only', async ({ page }) => {
  const [one, other] = [await ownVisit(page), await ownVisit(page)];
  await page.context().route((url) => url.pathname === `${one}/entries`, (route) => route.fulfill({ status: 500, body: 'no' }));
  await page.goto(`${one}/gauges`);
  await line(page, 'box 4');
  await expect(waiting(page)).toContainText('box 4');
  await page.goto(`${other}/gauges`);
  await line(page, 'bulb 3');
  await expect.poll(async () => (await fileOf(page, other)).readings ?? {}).toEqual({ suction_temperature_evaporator_c: 3 });
  expect((await fileOf(page, one)).readings ?? {}).toEqual({});
});

test('a clock that is set back hides no later reading, and is told', async ({ page }) => {
  const visit = await ownVisit(page);
  await page.goto(`${visit}/gauges`);
  await line(page, 'box 9');
  await expect.poll(async () => (await fileOf(page, visit)).readings ?? {}).toEqual({ box_temperature_c: 9 });
  // The device's clock is set back by an hour.
  await page.addInitScript(() => {
    const now = Date.now.bind(Date);
    const Real = Date;
    class Earlier extends Real {
      constructor(...of) { super(...(of.length === 0 ? [now() - 3600e3] : of)); }
      static now() { return now() - 3600e3; }
    }
    window.Date = Earlier;
  });
  await page.reload();
  await line(page, 'box 5');
  await expect.poll(async () => (await fileOf(page, visit)).readings ?? {}).toEqual({ box_temperature_c: 5 });
  await expect(page.locator('#in-box_temperature_c')).toHaveValue('5.0');
  await expect(page.locator('body')).toContainText(/clock/i);
});

test('a page that cannot run its script takes no entries and says so', async ({ page }) => {
  const visit = await ownVisit(page);
  await page.route(/\/build\/assets\/.*\.js$/, (route) => route.fulfill({ status: 404, body: '' }));
  await page.goto(`${visit}/gauges`);
  await expect(page.locator('#no-script')).toBeVisible({ timeout: 8000 });
  await expect(page.locator('#main')).toHaveAttribute('inert', '');
});

test('a double tap on a move records it once', async ({ page }) => {
  const visit = await ownVisit(page);
  await page.goto(`${visit}/put_right?card=condenser_washed`);
  await page.context().route(isEntry, async (route) => {
    await new Promise((done) => { setTimeout(done, 600); });
    await route.continue();
  });
  const button = page.locator('#card form.move button.btn').last();
  await button.dblclick();
  await expect(page.locator('#log')).toContainText(/washed/i);
  await page.waitForTimeout(1500);
  const log = (await fileOf(page, visit)).log ?? [];
  expect(log.filter((one) => one.kind === 'move')).toHaveLength(1);
});
