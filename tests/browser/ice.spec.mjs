import { expect, test } from '@playwright/test';
import { complaints, ownVisit, signInQuietly } from './support.mjs';

const machine = { kind: 'ice_machine', ice: 'batch', refrigerant: 'R-404A', metering: 'txv', condenser: 'air_indoor' };
const plate = { ice_per_day_kg: 400, ice_per_day_hot_kg: 335, ice_per_cycle_kg: 4, bridge_thickness_mm: 4 };

// From "low production" to a third cycle that proves it: sheet, pattern, verdict, descaling, three cycles, help sheet.
test('an ice machine is walked from low production to a proved third cycle', async ({ page }) => {
  const heard = complaints(page);
  await signInQuietly(page);
  const visit = await ownVisit(page, machine, plate);
  const say = async (line) => {
    await page.locator('#line').fill(line);
    await page.locator('#line').press('Enter');
    await expect(page.locator('#line')).toHaveValue('');
    await expect(page.locator('#waiting .waiting-line')).toHaveCount(0);
  };
  await page.goto(`${visit}/complaint`);
  await page.getByRole('button', { name: 'Low ice production' }).click();
  await page.getByRole('link', { name: /Next: ice & water/ }).click();
  // Nothing is asked of a box.
  await expect(page.locator('#in-box_temperature_c, #choice-evaporator-fans, #choice-doors')).toHaveCount(0);
  await expect(page.locator('#ice-sheet')).toContainText('expected');
  await say('ambient 24, water in 14, freeze 19, harvest 2.4, ice 4.0 kg');
  await expect(page.locator('#ice-sheet')).toContainText('the freeze is slow');
  await expect(page.locator('.ice-harvest')).toBeVisible();
  await page.locator('#choice-ice-pattern-even').click();
  await page.locator('#choice-harvest-in-pieces').click();
  await page.locator('#choice-scale-heavy').click();
  await expect(page.locator('#verdict h2').first()).toContainText('Scaled ice machine');
  await expect(page.locator('#verdict')).toContainText('never mixed');

  // The right cleaner comes before the first drop of it.
  await page.goto(`${visit}/put_right?card=descale`);
  const card = page.locator('#card');
  await card.getByRole('button', { name: 'Start', exact: true }).click();
  await card.getByRole('button', { name: 'not known or another chemical' }).click();
  await expect(card).toContainText('strips the plate');
  await card.getByRole('button', { name: /as the manufacturer says/ }).click();
  for (const step of [/Bin emptied/, /Set to clean/]) await card.getByRole('button', { name: step }).click();
  await expect(page.locator('#touched')).toContainText(/set to clean/i);
  for (const step of [/Cleaner circulated/, /soft brush/, /Rinsed/, /Sanitiser/]) await card.getByRole('button', { name: step }).click();
  await card.getByRole('button', { name: /Set back to ice/ }).click();
  await expect(page.locator('#touched')).not.toContainText(/set to clean/i);
  await card.getByRole('button', { name: /descaled/i }).first().click();
  await card.getByRole('button', { name: 'None', exact: true }).click();
  await card.getByRole('button', { name: 'Save result' }).click();
  // What was timed before the cleaning is before it.
  await page.goto(`${visit}/box`);
  await expect(page.locator('#ice-sheet')).not.toContainText('the freeze is slow');

  // The first two cycles do not count.
  await page.goto(`${visit}/prove?card=three_cycles`);
  await card.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(card.locator('.next-step')).toContainText('First cycle');
  for (const step of [/First cycle over/, /Second cycle over/]) await card.getByRole('button', { name: step }).click();
  for (const [label, typed] of [['Ambient', '24'], ['Water inlet', '14'], ['Freeze time', '14'], ['Harvest time', '1.7'], ['Ice per cycle', '4.0']]) {
    await card.getByLabel(label, { exact: true }).first().fill(typed);
    await page.keyboard.press('Enter');
    await expect(page.locator('#waiting .waiting-line')).toHaveCount(0);
  }
  await card.getByRole('button', { name: 'Even', exact: true }).click();
  await card.getByRole('button', { name: 'All at once', exact: true }).click();
  await expect(page.locator('.came-to h3')).toHaveText('As expected');
  await card.getByRole('button', { name: 'Save result' }).click();

  await page.goto(`${visit}/help-sheet`);
  await expect(page.getByRole('heading', { name: /Help sheet/ })).toBeVisible();
  await expect(page.getByText('Not measured or checked:')).toBeVisible();
  expect(heard).toEqual([]);
});
