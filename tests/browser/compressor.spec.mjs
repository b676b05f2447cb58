import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { complaints, ownVisit, signInQuietly } from './support.mjs';

// A compressor is tried by its sliders, held against its manufacturer's corners, and asked how its line was clamped.
test('sliders move the point at once, corner points are kept, a reading says how it was taken', async ({ page }) => {
  const heard = complaints(page);
  await signInQuietly(page);
  const visit = await ownVisit(page, { condenser: 'air_outdoor', metering: 'txv', box_control: 'thermostat_pump_down' });
  await page.goto(`${visit}/gauges`);
  const say = async (line) => {
    await page.locator('#line').fill(line);
    await page.locator('#line').press('Enter');
    await expect(page.locator('#line')).toHaveValue('');
    await expect(page.locator('#waiting .waiting-line')).toHaveCount(0);
  };
  await say('suction 3.4 bar, head 14 bar, ambient 24, box 3, suction line 8');
  // With what it was taken stands where it is shown how to take it.
  const cell = page.locator('#cell-discharge-temperature-c');
  await page.locator('#in-discharge_temperature_c').fill('84');
  await page.keyboard.press('Enter');
  await expect(page.locator('#log')).toContainText('Discharge line 84.0 °C');
  await cell.locator('summary').click();
  await cell.getByLabel('Taken with').selectOption('infrared, bare metal');
  await expect(page.locator('#log')).toContainText('(infrared, bare metal)');
  await expect(page.locator('#verdict')).toContainText('put matt tape on it');

  await page.goto(`${visit}/compressor`);
  await expect(page.locator('main')).toContainText('infrared on bare metal says nothing of the inside');
  const dirt = page.getByLabel('Dirt on the condenser');
  await dirt.focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
  await expect(page.locator('#said-dirt')).toHaveText('30 %');
  await expect(page.locator('.envelope-name', { hasText: 'As tried' })).toBeVisible();
  await expect(page.locator('.tried')).toContainText(/Condensing.*\+\d/);
  await expect(dirt).toBeFocused();

  await page.getByText('Class and corner points').click();
  await page.getByLabel(/corner points/).fill('−40 20\n−10 55\n−10 20\n−40 55');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('in order round the field');
  await expect(page.getByLabel(/corner points/)).toHaveValue(/−10 55/);
  await page.getByLabel(/corner points/).fill('−40 20\n−30 20\n−30 40');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.locator('main')).toContainText('Envelope by the manufacturer’s corner points');
  await expect(page.getByRole('row', { name: /^Now/ })).toContainText('outside');

  for (const [width, theme] of [[1280, 'light'], [390, 'dark']]) {
    await page.setViewportSize({ width, height: 800 });
    await page.emulateMedia({ colorScheme: theme });
    const found = await new AxeBuilder({ page }).setLegacyMode().analyze();
    expect(found.violations.map((one) => one.id)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  }
  expect(heard).toEqual([]);
});
