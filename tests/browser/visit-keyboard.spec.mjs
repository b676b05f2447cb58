import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { complaints, demo, ownCircuit } from './support.mjs';

// A whole visit without a mouse, as a technician at a small laptop walks it.
test('a visit by keyboard, from signing in to the file that gives the same visit', async ({ page, context }) => {
  const heard = complaints(page);
  const press = (...keys) => keys.reduce((before, key) => before.then(() => page.keyboard.press(key)), Promise.resolve());
  const focusOn = async (locator) => {
    for (let tries = 0; tries < 80; tries++) {
      if (await locator.evaluate((element) => element === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error('not reached by Tab');
  };
  const lead = page.locator('#verdict .lead');

  // Sign in.
  await page.goto('/sign-in');
  await page.keyboard.type(demo.email);
  await press('Tab');
  await page.keyboard.type(demo.password);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'Open visits' })).toBeVisible();

  // A circuit of this test's own, found by typing, a visit in two keys.
  const circuit = await ownCircuit(page, 'Keyboard quay');
  await page.goto('/');
  await press('/');
  await page.keyboard.type('keyboard cooler');
  const start = page.locator('#found').getByRole('button', { name: /start/i });
  await expect(start).toBeVisible();
  await focusOn(start);
  await press('Enter');
  await expect(page.getByRole('heading', { name: 'What does the customer report?' })).toBeVisible();
  await expect(lead).toContainText('Nothing entered yet');

  // Complaint.
  const tooWarm = page.getByRole('button', { name: 'Too warm', exact: true });
  await focusOn(tooWarm);
  await press('Enter');
  await expect(tooWarm).toHaveAttribute('aria-pressed', 'true');
  await expect(tooWarm).toBeFocused();
  await expect(page.locator('#verdict')).toContainText('Low refrigerant charge');
  await expect(page.locator('#verdict')).toContainText('Next:');

  // At the box.
  await focusOn(page.getByRole('link', { name: 'Next: at the box' }));
  await press('Enter');
  await expect(page).toHaveURL(/\/box$/);
  // A page takes nothing before its script runs, which no hand is quick enough to meet.
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  await page.locator('#in-box_temperature_c').focus();
  await page.keyboard.type('3.4');
  await press('Enter');
  await expect(page.locator('#in-supply_air_temperature_c')).toBeFocused();
  const inlet = page.locator('#choice-frost-coil-inlet-only');
  await focusOn(inlet);
  await press(' ');
  await expect(inlet).toHaveAttribute('aria-pressed', 'true');
  await expect(inlet).toBeFocused();
  for (const [choice, word] of [['evaporator-fans', 'all-running'], ['evaporator-face', 'clean']]) {
    const tap = page.locator(`#choice-${choice}-${word}`);
    await tap.focus();
    await press('Enter');
    await expect(tap).toHaveAttribute('aria-pressed', 'true');
  }

  // At the unit, by the quick line.
  await page.goto(page.url().replace('/box', '/unit'));
  await page.locator('body').click({ position: { x: 2, y: 400 } });
  await press('/');
  await page.keyboard.type('ambient 25, glass bubbles, condenser clean, condenser fans all running, liquid line no change');
  await expect(page.locator('#line-meaning')).toContainText('Sight glass: bubbles');
  await press('Enter');
  await expect(page.locator('#choice-sight-glass-bubbles')).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('#in-ambient_temperature_c')).toHaveValue('25.0');
  await expect(page.locator('#line')).toHaveValue('');

  // Gauges: the course takes shape and the verdict changes as evidence arrives.
  await page.goto(page.url().replace('/unit', '/gauges'));
  const points = () => page.locator('.course-wide svg.course').getAttribute('data-points').then(Number);
  expect(await points()).toBe(0);
  const cell = async (key, typed) => {
    const input = page.locator(`#in-${key}`);
    await input.focus();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(typed);
    await Promise.all([page.waitForResponse((answer) => answer.url().includes('/entries') && answer.request().method() === 'POST'), press('Enter')]);
  };
  await cell('suction_pressure_kpa', '31.2 psi');
  await expect(page.locator('#in-suction_pressure_kpa')).toHaveValue('2.15');
  await expect.poll(points).toBe(2);
  const before = await lead.textContent();
  await cell('suction_temperature_evaporator_c', '2');
  await expect(page.locator('#hint-suction_temperature_evaporator_c')).toContainText('superheat');
  await cell('discharge_pressure_kpa', '14,2 bar');
  await cell('receiver_outlet_temperature_c', '32.6');
  await cell('condenser_outlet_temperature_c', '32.9');
  await cell('receiver_level_percent', '3');
  await expect(lead).toContainText('Low refrigerant charge');
  await expect(lead).toContainText('%');
  expect(await lead.textContent()).not.toBe(before);
  expect(await points()).toBeGreaterThan(5);

  // Settled or not, asked and shown.
  await expect(page.locator('#verdict')).toContainText('Provisional');
  await page.locator('#state summary').focus();
  await press('Enter');
  await focusOn(page.locator('#state-running-settled'));
  await press('Enter');
  await expect(page.locator('#state')).toContainText('Running, settled');
  await expect(page.locator('#verdict')).not.toContainText('Provisional');

  // A wrong entry is answered and kept, then undone by being corrected.
  await cell('discharge_temperature_c', '84 bar');
  await expect(page.getByRole('alert')).toContainText('bar is not a temperature unit');
  await expect(page.locator('#in-discharge_temperature_c')).toHaveValue('84 bar');
  await cell('discharge_temperature_c', '84');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.locator('#log')).toContainText('Discharge line 84.0');
  const undo = page.locator('#log').getByRole('button', { name: /Undo Discharge/ });
  await undo.focus();
  await press('Enter');
  await expect(page.locator('#in-discharge_temperature_c')).toHaveValue('');

  // Verdict: the gate in front of charging is open now; confirm it.
  await page.goto(page.url().replace('/gauges', '/verdict'));
  const confirm = page.locator('main').getByRole('button', { name: 'Confirm', exact: true }).first();
  await confirm.focus();
  await press('Enter');
  await expect(page.locator('main')).toContainText('Confirmed: Low refrigerant charge');

  // Leave it: follow-up, report, PDF, file.
  await page.goto(page.url().replace('/verdict', '/leave'));
  await expect(page.getByRole('textbox', { name: 'Summary' })).toHaveValue(/Confirmed: The system has lost part of its refrigerant/);
  await page.getByLabel('What to do').focus();
  await page.keyboard.type('Search the leak on the roof');
  await focusOn(page.getByRole('button', { name: 'Add follow-up' }));
  await press('Enter');
  await expect(page.getByText('Search the leak on the roof')).toBeVisible();
  const visit = page.url().replace(/\/leave.*/, '');
  const pdf = await context.request.get(`${visit}/report.pdf`);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Visit file', exact: true }).click()]);
  const text = readFileSync(await download.path(), 'utf8');
  const file = JSON.parse(text);
  expect(file.format).toBe('metrum-visit');
  expect(file.readings.suction_pressure_kpa).toBeCloseTo(215.1, 0);
  expect(file.confirmed).toEqual(['undercharge']);
  await page.getByRole('button', { name: 'Close visit' }).focus();
  await press('Enter');
  await expect(page.getByRole('heading', { name: /Keyboard quay: Keyboard quay cooler/ })).toBeVisible();

  // The same file, taken in as another program would send it, gives the same visit.
  const other = { ...file };
  delete other.id;
  await page.goto('/import');
  await page.getByLabel(/Visit file/).setInputFiles({ name: 'visit.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(other)) });
  await page.getByLabel('Circuit').selectOption({ label: 'Keyboard quay: Keyboard quay cooler' });
  await page.getByRole('button', { name: 'Import' }).focus();
  await press('Enter');
  await expect(page).toHaveURL(/\/verdict$/);
  await expect(page.locator('#main')).not.toHaveAttribute('inert');
  const again = await (await context.request.get(page.url().replace('/verdict', '/file.json'))).json();
  delete again.id;
  // What is here already under its id is here a second time under another.
  const told = (one) => one.log.map(({ id, of, ...rest }) => rest);
  expect(told(again)).toEqual(told(other));
  expect(again).toEqual({ ...other, taken_at: again.taken_at, log: again.log });
  expect(circuit).toContain('/circuits/');
  expect(heard).toEqual([]);
});
