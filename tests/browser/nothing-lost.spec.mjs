import { expect, test } from '@playwright/test';
import { demo, ownVisit, signInQuietly } from './support.mjs';

// What a technician enters is kept, in order and once, whatever the network does.

const cell = (page, key) => page.locator(`#in-${key}`);
const enter = async (page, key, typed) => {
  await cell(page, key).fill(typed);
  await cell(page, key).press('Enter');
};
const line = async (page, typed) => {
  await page.locator('#line').fill(typed);
  await page.locator('#line').press('Enter');
};
const fileOf = async (page, visit) => (await page.request.get(`${visit}/file.json`)).json();
const readings = (page, visit) => expect.poll(async () => (await fileOf(page, visit)).readings ?? {}, { timeout: 20_000 });
const sentAll = (page) => expect(page.locator('#waiting')).toHaveText("", { timeout: 30_000 });
const isEntry = (url) => /\/(entries|undo|follow-ups)$/.test(url.pathname);

/** Each request for an entry goes through a hand of the test's own. */
const onEntries = (page, hand) => page.context().route(isEntry, hand);
const slowly = (page, ms) => onEntries(page, async (route) => {
  await new Promise((done) => { setTimeout(done, ms); });
  await route.continue();
});

test.describe('on a network', () => {
  let visit;

  test.beforeEach(async ({ page }) => {
    await signInQuietly(page);
    visit = await ownVisit(page);
    await page.goto(`${visit}/gauges`);
  });

  test('that takes 1.5 s, a second Enter and a corrected cell are all kept', async ({ page }) => {
    await slowly(page, 1500);
    await line(page, 'bulb 4');
    await expect(page.locator('#waiting')).toContainText('Waiting to send: bulb 4');
    await line(page, 'box 3, key at the kiosk');
    await enter(page, 'discharge_pressure_kpa', '14');
    await enter(page, 'discharge_pressure_kpa', '14.5');
    await page.locator('#line').fill('half a sen');
    await sentAll(page);
    await expect(page.locator('#line')).toHaveValue('half a sen');
    await expect(cell(page, 'discharge_pressure_kpa')).toHaveValue('14.50');
    await expect(cell(page, 'suction_temperature_evaporator_c')).toHaveValue('4.0');
    await expect(page.locator('#log')).toContainText('key at the kiosk');
    const file = await fileOf(page, visit);
    expect(file.readings).toEqual({ suction_temperature_evaporator_c: 4, box_temperature_c: 3, discharge_pressure_kpa: 1450 });
  });

  test('that takes 1.5 s, all that is filled in of a card stays while an answer is drawn', async ({ page }) => {
    await page.goto(`${visit}/put_right?card=charge`);
    await slowly(page, 1500);
    await line(page, 'bulb 4');
    const card = page.locator('#card');
    await card.getByLabel('or amount').fill('300 g');
    await card.getByLabel('Purpose').selectOption('commissioning');
    await card.getByLabel('Reason for adding anyway').fill('No time for a leak search today');
    await sentAll(page);
    await expect(page.locator('#log')).toContainText('4.0 °C');
    await page.reload();
    await expect(card.getByLabel('or amount')).toHaveValue('300 g');
    await expect(card.getByLabel('Purpose')).toHaveValue('commissioning');
    await expect(card.getByLabel('Reason for adding anyway')).toHaveValue('No time for a leak search today');
  });

  test('the same line typed again at once is said twice', async ({ page }) => {
    const said = async () => Number(await page.locator('#log').getAttribute('data-log'));
    const before = await said();
    await line(page, 'bulb 4');
    await line(page, 'bulb 4');
    await expect(page.locator('#line')).toHaveValue('');
    await sentAll(page);
    await expect.poll(said).toBe(before + 2);
  });

  test('that fails four times in ten, nothing is lost or doubled', async ({ page }) => {
    let seed = 7;
    let failed = 0;
    await onEntries(page, async (route) => {
      seed = (seed * 16807) % 2147483647;
      const dice = seed % 10;
      if (dice >= 4) return route.continue();
      failed += 1;
      if (dice === 0) return route.abort();
      if (dice === 1) return route.fulfill({ status: 503, body: 'away' });
      // Taken, and the answer lost on the way.
      await route.fetch();
      return route.abort();
    });
    const typed = { box_temperature_c: '3', ambient_temperature_c: '24', suction_pressure_kpa: '2.1', discharge_pressure_kpa: '14', discharge_temperature_c: '80', suction_temperature_evaporator_c: '4' };
    for (const [key, value] of Object.entries(typed)) await enter(page, key, value);
    for (const note of ['one', 'two', 'three']) await line(page, `label ${note} on the door`);
    await sentAll(page);
    expect(failed).toBeGreaterThan(1);
    await page.goto(`${visit}/report`);
    for (const note of ['one', 'two', 'three']) await expect(page.getByText(`label ${note} on the door`)).toHaveCount(1);
    expect(Object.keys((await fileOf(page, visit)).readings).sort()).toEqual(Object.keys(typed).sort());
  });

  test('whose answers come in another order, the page shows the last', async ({ page }) => {
    const other = await page.context().newPage();
    await other.goto(`${visit}/gauges`);
    let first = true;
    await page.route(isEntry, async (route) => {
      const answer = await route.fetch();
      if (first) await new Promise((done) => { setTimeout(done, 1200); });
      first = false;
      await route.fulfill({ response: answer });
    });
    await enter(page, 'box_temperature_c', '4');
    await enter(other, 'box_temperature_c', '5');
    await sentAll(page);
    await sentAll(other);
    await expect(cell(page, 'box_temperature_c')).toHaveValue('5.0');
    await expect(cell(other, 'box_temperature_c')).toHaveValue('5.0');
    await readings(page, visit).toEqual({ box_temperature_c: 5 });
  });

  test('a refused entry stays, says why, and is mended or let go', async ({ page }) => {
    await enter(page, 'box_temperature_c', 'warm');
    await expect(page.locator('#cell-box-temperature-c .error')).toContainText('“warm” is not a temperature');
    await page.reload();
    await expect(cell(page, 'box_temperature_c')).toHaveValue('warm');
    await expect(page.locator('#waiting')).toContainText('Not saved: Box warm');
    await enter(page, 'ambient_temperature_c', '24');
    await readings(page, visit).toEqual({ ambient_temperature_c: 24 });
    await enter(page, 'box_temperature_c', '4.2');
    await readings(page, visit).toEqual({ ambient_temperature_c: 24, box_temperature_c: 4.2 });
    await sentAll(page);
    await enter(page, 'box_temperature_c', 'cold');
    await page.locator('#waiting').getByRole('button', { name: 'Discard' }).click();
    await sentAll(page);
    await expect(cell(page, 'box_temperature_c')).toHaveValue('4.2');
    await expect(page.locator('.has-error')).toHaveCount(0);
  });

  for (const status of [403, 413, 422]) {
    test(`an entry answered with ${status} stays, and is sent again by hand`, async ({ page }) => {
      await onEntries(page, (route) => route.fulfill({ status, contentType: 'application/json', body: '{"message":"Not so."}' }));
      await enter(page, 'box_temperature_c', '4.2');
      await expect(page.locator('#waiting')).toContainText('Not saved: Box 4.2 °C. Not so.');
      await page.reload();
      await expect(page.locator('#waiting')).toContainText('Not so.');
      await page.context().unroute(isEntry);
      await page.locator('#waiting').getByRole('button', { name: 'Send again' }).click();
      await readings(page, visit).toEqual({ box_temperature_c: 4.2 });
      await sentAll(page);
    });
  }

  test('a colleague closed the visit: the entry waits until it is opened again', async ({ page }) => {
    const token = await page.locator('meta[name="csrf-token"]').getAttribute('content');
    await page.request.post(`${visit}/close`, { form: { _token: token } });
    await enter(page, 'box_temperature_c', '4.2');
    await expect(page.locator('#waiting')).toContainText('This visit was closed at');
    await page.request.post(`${visit}/reopen`, { form: { _token: token } });
    await page.locator('#waiting').getByRole('button', { name: 'Send again' }).click();
    await readings(page, visit).toEqual({ box_temperature_c: 4.2 });
  });

  test('the session ended, and another person signs in: entries stay with the one who made them', async ({ page }) => {
    // What answers after the session's end would bring its cookie back.
    await page.waitForLoadState('networkidle');
    await page.context().clearCookies();
    await enter(page, 'box_temperature_c', '4.2');
    await expect(page.locator('#line-state')).toContainText('You were signed out. 1 entry kept on this device');
    const colleague = await page.context().newPage();
    await signInQuietly(colleague, demo.second);
    await colleague.goto('/');
    await expect(colleague.locator('#line-state')).toContainText('1 entry of another person is held');
    await colleague.waitForTimeout(4500);
    expect((await fileOf(colleague, visit)).readings).toBeUndefined();
    await expect(page.locator('#line-state')).toContainText('1 entry kept on this device');
    await colleague.waitForLoadState('networkidle');
    await colleague.close();
    await page.context().clearCookies();
    await signInQuietly(page);
    await readings(page, visit).toEqual({ box_temperature_c: 4.2 });
    await sentAll(page);
    await expect(page.locator('#line-state')).toBeHidden();
  });

  test('a page asked for while an entry is still on its way shows it all the same', async ({ page }) => {
    // The page keeps the other stations for itself; the hand below shall only meet the one that is asked for.
    await expect.poll(() => page.evaluate(async (last) => (await caches.match(last)) !== undefined, `${visit}/leave`)).toBe(true);
    let drawn;
    const wasDrawn = new Promise((done) => { drawn = done; });
    await onEntries(page, async (route) => {
      await wasDrawn;
      await route.continue();
    });
    await page.route(`**${visit}/unit`, async (route) => {
      const answer = await route.fetch();
      const taken = page.waitForResponse((one) => isEntry(new URL(one.url())));
      drawn();
      await (await taken).finished();
      // Time for the page that is left to take its entry out of the box.
      await new Promise((done) => { setTimeout(done, 500); });
      await route.fulfill({ response: answer });
    }, { times: 1 });
    await enter(page, 'suction_temperature_evaporator_c', '4');
    await page.goto(`${visit}/unit`);
    await expect(page.locator('#log')).toContainText('4.0 °C');
  });

  test('a double tap is one entry, and a second tap later takes it back', async ({ page }) => {
    await page.goto(`${visit}/box`);
    const leaking = page.locator('#choice-doors-leaking');
    await slowly(page, 700);
    await leaking.dblclick();
    await expect(leaking).toHaveAttribute('aria-pressed', 'true');
    await expect.poll(async () => (await fileOf(page, visit)).observations).toEqual({ doors: 'leaking' });
    await sentAll(page);
    await leaking.click();
    await expect.poll(async () => (await fileOf(page, visit)).observations ?? {}).toEqual({});
    await sentAll(page);
    await expect(leaking).toHaveAttribute('aria-pressed', 'false');
  });

  test('a reload, back and forward wipe nothing that is typed or entered', async ({ page }) => {
    await page.locator('#line').pressSequentially('frost on the');
    await page.reload();
    await expect(page.locator('#line')).toHaveValue('frost on the');
    await cell(page, 'box_temperature_c').pressSequentially('4.2');
    await page.reload();
    await expect(cell(page, 'box_temperature_c')).toHaveValue('4.2');
    await page.goto(`${visit}/box`);
    await page.goBack();
    await expect(page.locator('#line')).toHaveValue('frost on the');
    await cell(page, 'box_temperature_c').press('Enter');
    await readings(page, visit).toEqual({ box_temperature_c: 4.2 });
    expect((await fileOf(page, visit)).readings).toEqual({ box_temperature_c: 4.2 });
  });

  test('a device that cannot keep entries says so and sends them all the same', async ({ page }) => {
    await page.addInitScript(() => {
      IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError'); };
    });
    await page.reload();
    await slowly(page, 1500);
    await enter(page, 'box_temperature_c', '4.2');
    await expect(page.locator('#line-state')).toContainText('out of storage');
    await readings(page, visit).toEqual({ box_temperature_c: 4.2 });
    await expect(page.locator('#line-state')).toBeHidden();
  });

  test('a page that is left before the device has kept its entries loses none, and sends each once', async ({ page }) => {
    await page.evaluate(() => {
      // A device so slow that it keeps nothing before the page is gone.
      IDBObjectStore.prototype.add = IDBObjectStore.prototype.get;
      IDBRequest.prototype.addEventListener = () => {};
    });
    await line(page, 'frost on the coil');
    await enter(page, 'box_temperature_c', '4.5');
    await expect(page.locator('#line')).toHaveValue('');
    await page.reload();
    await expect(page.locator('#line')).toHaveValue('');
    await readings(page, visit).toEqual({ box_temperature_c: 4.5 });
    await sentAll(page);
    await page.goto(`${visit}/report`);
    await expect(page.getByText('frost on the coil')).toHaveCount(1);
  });

  test('a tap is not lost in a reload that follows it at once', async ({ page }) => {
    await page.goto(`${visit}/box`);
    await page.evaluate(() => {
      document.getElementById('choice-doors-leaking').click();
      window.location.reload();
    });
    await expect(page.locator('#choice-doors-leaking')).toHaveAttribute('aria-pressed', 'true');
    await expect.poll(async () => (await fileOf(page, visit)).observations ?? {}).toEqual({ doors: 'leaking' });
  });

  test('two devices write into one visit', async ({ page, browser, baseURL }) => {
    const device = await browser.newContext({ baseURL });
    const other = await device.newPage();
    await signInQuietly(other);
    await other.goto(`${visit}/gauges`);
    await enter(page, 'box_temperature_c', '4');
    await enter(other, 'ambient_temperature_c', '24');
    await sentAll(page);
    await sentAll(other);
    await enter(page, 'suction_pressure_kpa', '3.4');
    await readings(page, visit).toEqual({ box_temperature_c: 4, ambient_temperature_c: 24, suction_pressure_kpa: 340 });
    await device.close();
  });
});

test.describe('without reception', () => {
  test.use({ serviceWorkers: 'allow' });

  test('a visit is walked over three stations, reloaded, and sent once', async ({ page, context }) => {
    await signInQuietly(page);
    const visit = await ownVisit(page);
    await page.goto(`${visit}/gauges`);
    const laidIn = (station) => page.evaluate((url) => caches.open('pages').then((cache) => cache.match(url)).then((kept) => kept !== undefined), `${visit}/${station}`);
    await expect.poll(() => laidIn('leave'), { timeout: 20_000 }).toBe(true);
    await context.setOffline(true);

    await enter(page, 'suction_pressure_kpa', '2.1');
    await line(page, 'ice on the drain');
    await line(page, 'door heater cold');
    await expect(page.locator('#line-state')).toContainText('No connection. 3 entries kept on this device and sent when connected.');
    await page.goto(`${visit}/box`);
    await enter(page, 'box_temperature_c', '6.3');
    await enter(page, 'box_temperature_c', '7.1');
    await page.locator('#choice-doors-leaking').click();
    await page.reload();
    await expect(cell(page, 'box_temperature_c')).toHaveValue('7.1');
    await expect(page.locator('#choice-doors-leaking')).toHaveAttribute('aria-pressed', 'true');
    await page.goto(`${visit}/unit`);
    await page.locator('#choice-sight-glass-bubbles').click();
    await page.goto('/settings');
    await expect(page.getByRole('heading', { name: 'No connection' })).toBeVisible();
    await expect(page.locator('#on-device').getByRole('link').first()).toBeVisible();
    await page.goto(`${visit}/gauges`);
    await expect(cell(page, 'suction_pressure_kpa')).toHaveValue('2.1');
    await expect(page.locator('#waiting')).toContainText('Waiting to send: ice on the drain');

    await context.setOffline(false);
    await sentAll(page);
    await expect(page.locator('#line-state')).toBeHidden();
    const file = await fileOf(page, visit);
    expect(file.readings).toEqual({ suction_pressure_kpa: 210, box_temperature_c: 7.1 });
    expect(file.observations).toEqual({ doors: 'leaking', sight_glass: 'bubbles' });
    await page.goto(`${visit}/report`);
    for (const note of ['ice on the drain', 'door heater cold']) await expect(page.getByText(note)).toHaveCount(1);
  });
});

test('a file that is refused says where and why', async ({ page }) => {
  await signInQuietly(page);
  await page.goto('/import');
  await page.getByLabel(/Visit file/).setInputFiles({ name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a"},"readings":{"box_temperature_c":"warm","mood":3}}') });
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing imported.');
  await expect(page.getByRole('alert')).toContainText('readings.box_temperature_c: got "warm", expected a number');
  await expect(page.getByRole('alert')).toContainText('readings.mood: unknown key');
});
