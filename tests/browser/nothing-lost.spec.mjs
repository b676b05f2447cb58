import { expect, test } from '@playwright/test';
import { ownCircuit, signIn } from './support.mjs';

const entry = (page, key, typed) => page.locator(`#in-${key}`).fill(typed).then(() => page.locator(`#in-${key}`).press('Enter'));
const saved = (page) => page.waitForResponse((answer) => answer.url().endsWith('/entries') && answer.status() === 200);
const fileOf = async (page) => (await page.request.get(page.url().replace(/\/(gauges|box|verdict)$/, '/file.json'))).json();

async function atGauges(page, name) {
  await signIn(page);
  await page.goto(await ownCircuit(page, name));
  await page.getByRole('button', { name: 'Start visit' }).click();
  await page.goto(page.url().replace(/\/complaint$/, '/gauges'));
}

test('reload, back and forward show what was entered', async ({ page }) => {
  await atGauges(page, 'Reload pier');
  await Promise.all([saved(page), entry(page, 'box_temperature_c', '4.2')]);
  await page.reload();
  await expect(page.locator('#in-box_temperature_c')).toHaveValue('4.2');
  await page.goto(page.url().replace('/gauges', '/box'));
  await page.locator('#in-box_temperature_c').fill('5.1');
  await Promise.all([saved(page), page.locator('#in-box_temperature_c').press('Enter')]);
  await page.goBack();
  await expect(page.locator('#in-box_temperature_c')).toHaveValue('5.1');
  await page.goForward();
  await expect(page.locator('#in-box_temperature_c')).toHaveValue('5.1');
});

test('two tabs write into one visit', async ({ page, context }) => {
  await atGauges(page, 'Two tabs');
  const other = await context.newPage();
  await other.goto(page.url());
  await Promise.all([saved(page), entry(page, 'box_temperature_c', '4')]);
  await Promise.all([saved(other), entry(other, 'ambient_temperature_c', '24')]);
  await Promise.all([saved(page), entry(page, 'suction_pressure_kpa', '3.4')]);
  const file = await fileOf(page);
  expect(file.readings).toEqual({ box_temperature_c: 4, ambient_temperature_c: 24, suction_pressure_kpa: 340 });
});

test('a double tap is one entry', async ({ page }) => {
  await atGauges(page, 'Double tap');
  await page.goto(page.url().replace('/gauges', '/box'));
  await page.locator('#choice-doors-leaking').dblclick();
  await page.waitForTimeout(600);
  await page.reload();
  // Twice the same tap: once chosen, once taken back, or the second was dropped; never twice chosen.
  const lines = await page.locator('#log .log-line').allTextContents();
  expect(lines.filter((line) => line.includes('Doors')).length).toBeLessThanOrEqual(1);
});

test('entries made without a connection are kept and sent once', async ({ page, context }) => {
  await atGauges(page, 'Roof without reception');
  await context.setOffline(true);
  await entry(page, 'box_temperature_c', '6.3');
  await expect(page.locator('#line-state')).toContainText('1 entry waits on this device');
  await entry(page, 'ambient_temperature_c', '19');
  await expect(page.locator('#line-state')).toContainText('2 entries wait on this device');
  await context.setOffline(false);
  await expect.poll(async () => (await fileOf(page)).readings, { timeout: 15_000 }).toEqual({ box_temperature_c: 6.3, ambient_temperature_c: 19 });
  await page.waitForLoadState();
  await expect(page.locator('#in-box_temperature_c')).toHaveValue('6.3');
  await expect(page.locator('#line-state')).toBeHidden();
  await expect(page.locator('#log .log-line')).toHaveCount(2);
});

test('a correction made offline is sent as the last word', async ({ page, context }) => {
  await atGauges(page, 'Corrected offline');
  await context.setOffline(true);
  await entry(page, 'box_temperature_c', '6.3');
  await expect(page.locator('#line-state')).toContainText('1 entry waits');
  await entry(page, 'box_temperature_c', '7.1');
  await context.setOffline(false);
  await expect.poll(async () => (await fileOf(page)).readings?.box_temperature_c, { timeout: 15_000 }).toBe(7.1);
});

test('a file that is refused says where and why', async ({ page }) => {
  await signIn(page);
  await page.goto('/import');
  await page.getByLabel(/Visit file/).setInputFiles({ name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"metrum-visit","version":1,"system":{"refrigerant":"R-134a"},"readings":{"box_temperature_c":"warm","mood":3}}') });
  await page.getByRole('button', { name: 'Take in' }).click();
  await expect(page.getByRole('alert')).toContainText('Nothing was taken in.');
  await expect(page.getByRole('alert')).toContainText('readings.box_temperature_c: "warm" was given; a number is wanted');
  await expect(page.getByRole('alert')).toContainText('readings.mood: unknown key');
});
