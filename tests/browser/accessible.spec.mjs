import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { complaints, demo, openVisit, ownVisit, signIn } from './support.mjs';

/** In the page itself: a page of its own for each look, as frames of other origins would need, takes twice the time. */
const axe = (page) => new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

const at = (stage) => (page, visit) => page.goto(`${visit}/${stage}`);

const screens = {
  today: (page) => page.goto('/'),
  'today, found': async (page) => { await page.getByRole('searchbox').fill('cooler'); await expect(page.locator('#found').getByRole('button').first()).toBeVisible(); },
  sites: (page) => page.goto('/sites'),
  circuit: (page) => page.getByRole('link', { name: demo.cooler, exact: true }).first().click(),
  'circuit form': (page) => page.getByRole('link', { name: 'Edit' }).click(),
  search: (page) => page.goto('/search?q=condenser'),
  'circuit again': async (page) => { await page.goto('/sites'); await page.getByRole('link', { name: demo.cooler, exact: true }).first().click(); },
  'a photo': (page) => page.locator('.record-side a.thumb').first().click(),
  compare: async (page) => { await page.goBack(); await page.getByRole('link', { name: 'Compare two visits' }).click(); },
  choices: async (page) => { await page.goBack(); await page.locator('.open-items a[href$="/choices"]').first().click(); },
  owner: async (page) => { await page.goto(await page.locator('.owner-link').getAttribute('href')); },
  'new site': (page) => page.goto('/sites/create'),
  settings: (page) => page.goto('/settings'),
  import: (page) => page.goto('/import'),
  complaint: at('complaint'),
  box: async (page, visit) => {
    await page.goto(`${visit}/box`);
    await page.locator('#goods-fold summary').click();
    const fish = page.locator('#goods-fish');
    if ((await fish.getAttribute('aria-pressed')) === 'false') await fish.click();
    await expect(page.getByRole('textbox', { name: 'Last known good' })).toBeVisible();
  },
  'goods sheet': at('goods'),
  handover: at('handover'),
  'help sheet of a room': at('help-sheet'),
  unit: at('unit'),
  gauges: async (page, visit) => { await page.goto(`${visit}/gauges`); await page.locator('details.fold').evaluateAll((all) => all.forEach((one) => { one.open = true; })); },
  'an entry refused': async (page) => { await page.locator('#in-discharge_temperature_c').fill('hot'); await page.keyboard.press('Enter'); await expect(page.getByRole('alert')).toBeVisible(); },
  verdict: async (page, visit) => {
    await page.goto(`${visit}/verdict`);
    await page.locator('#site-fold summary').click();
    await page.getByRole('textbox', { name: 'Leave by' }).fill('20 min');
    await page.keyboard.press('Enter');
    await expect(page.locator('#site-fold')).toContainText('Fits now');
  },
  'put right': at('put_right'),
  'a card': at('verdict?card=foreign_gas'),
  'a card begun': async (page) => { await page.getByRole('button', { name: /^Start( over)?$/ }).click(); await expect(page.getByRole('button', { name: 'Start over' })).toBeVisible(); },
  charging: at('put_right?card=charge'),
  'leak search': async (page, visit) => { await page.goto(`${visit}/put_right?card=leak_search`); await page.getByRole('button', { name: /^Start( over)?$/ }).click(); await expect(page.getByText('Chance a leak remains')).toBeVisible(); },
  refrigerant: (page) => page.goto('/refrigerant'),
  cylinder: (page) => page.locator('a.cylinder').first().click(),
  'new cylinder': (page) => page.goto('/cylinders/create'),
  'ledger in': (page) => page.goto('/refrigerant/import'),
  ledger: async (page) => { await page.goto('/sites'); await page.getByRole('link', { name: 'Ice store', exact: true }).click(); await page.getByRole('main').getByRole('link', { name: 'Refrigerant ledger' }).click(); },
  winter: (page) => page.getByRole('link', { name: 'Winter charge' }).click(),
  'repair or replace': async (page) => { await page.goto(page.url().replace(/\/winter$/, '/replacement')); await page.locator('details summary').click(); },
  tag: async (page) => { await page.goto(page.url().replace(/\/replacement$/, '/code')); await expect(page.locator('.code svg')).toBeVisible(); },
  verify: at('prove'),
  'a series': async (page, visit) => { await page.goto(`${visit}/prove?card=pull_down`); await page.getByRole('button', { name: /^Start( over)?$/ }).click(); await expect(page.locator('#in-step-box')).toBeVisible(); },
  leave: at('leave'),
  'bench, answered': (page) => page.goto('/bench/compression_ratio?discharge_pressure_kpa=14&suction_pressure_kpa=2'),
  saturation: (page) => page.goto('/bench/saturation?pressure=12'),
  'what if': async (page, visit) => { await page.goto(`${visit}/verdict`); await page.getByRole('button', { name: 'Fault repaired' }).click(); await expect(page.locator('#what-if tbody tr').first()).toBeVisible(); },
  report: at('report'),
  'rack board': async (page) => {
    await page.goto('/');
    await page.getByRole('searchbox').fill('Dairy cases');
    await page.locator('#found').getByRole('button').first().click();
    await page.waitForURL(/\/board$/);
    await page.locator('details.board-more').evaluateAll((all) => all.forEach((one) => { one.open = true; }));
  },
  'cases of a circuit': (page) => page.getByRole('link', { name: 'Cases of Dairy cases' }).click(),
  'trend of a rack': async (page) => {
    await page.goBack();
    await page.getByRole('link', { name: 'Trend', exact: true }).click();
    const rows = Array.from({ length: 40 }, (_, i) => `2026-11-30 08:${String(i).padStart(2, '0')},${(40 - 0.3 * i).toFixed(1)}`);
    const buffer = Buffer.from(['Time,Receiver level [%]', ...rows].join('\n'));
    await page.getByLabel(/Export of the controller/).setInputFiles({ name: 'trend.csv', mimeType: 'text/csv', buffer });
    await page.getByRole('button', { name: 'Send file' }).click();
    await page.getByRole('button', { name: 'Draw trend' }).click();
    await expect(page.getByRole('heading', { name: /Receiver level/ })).toBeVisible();
  },
  'defrost schedule': async (page) => {
    await page.goto('/');
    await page.getByRole('searchbox').fill('Dairy cases');
    await page.locator('#found').getByRole('button').first().click();
    await page.waitForURL(/\/board$/);
    await page.getByRole('link', { name: 'Defrost schedule' }).click();
  },
  'report of a rack': async (page) => { await page.goBack(); await page.getByRole('link', { name: 'Report' }).first().click(); },
  'a defrost that is watched': async (page) => {
    // Both widths look at once: at one visit the second tap would take the first back.
    const visit = await ownVisit(page, { kind: 'walk_in_freezer', defrost: 'electric' });
    await page.goto(`${visit}/verdict?card=defrost_run`);
    await page.locator('#card-begin').getByRole('button').click();
    await page.getByRole('button', { name: /tick when it begins/ }).click();
    await expect(page.locator('.defrost-picture')).toBeVisible();
  },
  'an ice machine': async (page) => {
    await openVisit(page, 'Ice machine 1', 'box');
    await expect(page.locator('.ice-cycle')).toBeVisible();
  },
  compressor: async (page) => { await page.goto(page.url().replace(/\/(box|verdict)$/, '/compressor')); await expect(page.locator('.envelope')).toBeVisible(); },
  'help sheet': (page) => page.goto(page.url().replace(/\/compressor$/, '/help-sheet')),
  'plant bench': async (page) => { await page.goto('/plants/walk_in_freezer?fault=undercharge'); await page.getByRole('button', { name: 'Simulate 1 day' }).click(); await expect(page.getByText('Last 24 h, compressor on')).toBeVisible(); },
  'plant bench, refused': async (page) => { await page.getByLabel('Ambient').fill('hot'); await page.keyboard.press('Enter'); await expect(page.getByRole('alert')).toBeVisible(); },
  why: at('why'),
  handbook: (page) => page.goto('/handbook'),
  'a fault in the handbook': (page) => page.goto('/handbook/undercharge?grade=severe'),
  'a fault without a course': (page) => page.goto('/handbook/defrost_clock_wrong'),
  'not found': (page) => page.goto('/nowhere'),
  'sign-in': async (page) => { await page.context().clearCookies(); await page.goto('/sign-in'); },
};

/** Buttons, tabs and labels of cells that take three lines or more; a step's instruction may. */
const tall = () => {
  const lines = (element) => {
    const range = document.createRange();
    range.selectNodeContents(element);
    const parts = [...range.getClientRects()].filter((one) => one.width > 1).sort((a, b) => a.top - b.top);
    let count = 0;
    let bottom = -Infinity;
    for (const one of parts) {
      if (one.top > bottom - 3) count++;
      bottom = Math.max(bottom, one.bottom);
    }
    return count;
  };
  const short = 'button:not(.tick):not(.plain), .btn, .tap:not(.tick), .cell > label, #walk .slim, .pages a, thead th';
  return [...document.querySelectorAll(short)]
    .filter((one) => one.checkVisibility() && !one.querySelector('svg') && lines(one) > 2)
    .map((one) => one.textContent.trim().replace(/\s+/g, ' '));
};

/** On the phone colours are looked at where it draws what the desk does not: the rest has them from there. */
const OWN_ON_PHONE = ['today', 'gauges', 'verdict', 'put right', 'charging', 'report', 'rack board'];

for (const [width, height] of [[1280, 800], [390, 844]]) {
  test(`nothing stands in anybody's way: ${width} px, light and dark`, async ({ browser, baseURL }) => {
    // Every screen of the product: a slow machine may take its time.
    test.setTimeout(600_000);
    const context = await browser.newContext({ baseURL, viewport: { width, height }, serviceWorkers: 'block' });
    const page = await context.newPage();
    const heard = complaints(page);
    await signIn(page);
    await openVisit(page, demo.openVisit, 'box');
    const visit = page.url().replace(/\/box$/, '');
    const found = [];
    const look = async (name, builder) => {
      let { violations } = await builder.analyze();
      // What is seen while a page still changes its colours is looked at again; what stands is told.
      if (violations.length > 0) {
        await page.waitForTimeout(500);
        ({ violations } = await builder.analyze());
      }
      found.push(...violations.map((one) => `${name}: ${one.id} ${one.nodes.slice(0, 2).map((node) => node.target.join(' ')).join('; ')}`));
    };
    for (const [name, go] of Object.entries(screens)) {
      await go(page, visit);
      await page.waitForLoadState();
      const inColour = width > 390 || OWN_ON_PHONE.includes(name);
      await look(name, inColour ? axe(page) : axe(page).disableRules(['color-contrast']));
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      if (wide > 0) found.push(`${name}: ${wide} px wider than the screen`);
      const wrapped = width > 390 ? [] : await page.evaluate(tall);
      if (wrapped.length > 0) found.push(`${name}: three lines: ${wrapped.join(' | ')}`);
      // The same page in the dark: only its colours are others.
      if (!inColour) continue;
      await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
      await page.evaluate(() => new Promise((drawn) => { requestAnimationFrame(() => requestAnimationFrame(drawn)); }));
      await look(`${name}, dark`, axe(page).withRules(['color-contrast']));
      await page.emulateMedia({ colorScheme: 'light' });
    }
    expect(found).toEqual([]);
    expect(heard.filter((line) => !/404|422|Service Worker/.test(line))).toEqual([]);
    await context.close();
  });
}
