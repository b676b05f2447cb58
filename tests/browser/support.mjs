// What every browser test needs: how Chromium is started, who signs in, where the demo town's things are.
export const chromiumFlags = [
  '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
  '--disable-background-networking', '--disable-component-update', '--disable-sync',
];

export const demo = {
  email: 'technician@tarnevik.example',
  second: 'second@tarnevik.example',
  password: 'cold-room-2',
  cooler: 'Walk-in cooler 1',
  freezer: 'Freezer',
  openVisit: 'Cold room 2',
};

export async function signIn(page) {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail').fill(demo.email);
  await page.getByLabel('Password').fill(demo.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL((url) => url.pathname === '/');
}

const tokenIn = (html) => /name="_token" value="([^"]+)"/.exec(html)[1];

/** The same without the form: for tests that are about something else. */
export async function signInQuietly(page, email = demo.email) {
  const form = await (await page.request.get('/sign-in')).text();
  await page.request.post('/sign-in', { form: { _token: tokenIn(form), email, password: demo.password } });
}

/** An empty open visit of a walk-in cooler, or what is given, of its own, so that tests do not meet; answers with its address. */
export async function ownVisit(page, system = {}, design = undefined) {
  // Two imports of one person at once give way to each other: then it is said again.
  for (let tries = 0; tries < 5; tries++) {
    const visit = await imported(page, system, design);
    if (visit.startsWith('/visits/')) return visit;
  }
  throw new Error('no visit came of it');
}

const COOLER = { box_set_point_c: 2, evaporator_td_k: 8.5, condenser_split_k: 12, superheat_k: 5.5, subcooling_k: 3 };

async function imported(page, more, design = COOLER) {
  const form = await (await page.request.get('/import')).text();
  const file = {
    format: 'metrum-visit',
    version: 1,
    // The same file twice would be the same visit.
    id: `test ${Date.now()} ${Math.random()}`,
    system: { kind: 'walk_in_cooler', refrigerant: 'R-448A', receiver: true, ...more },
    design,
  };
  const answer = await page.request.post('/import', {
    multipart: { _token: tokenIn(form), circuit_id: '', file: { name: 'visit.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) } },
  });
  return new URL(answer.url()).pathname.replace(/\/verdict$/, '');
}

export async function openCircuit(page, name) {
  await page.goto('/sites');
  await page.getByRole('link', { name, exact: true }).first().click();
}

/** Goes on with the visit left open on a circuit, at a station of the walk. */
export async function openVisit(page, circuit, stage) {
  await page.goto('/');
  await page.getByRole('searchbox').fill(circuit);
  await page.locator('#found').getByRole('button').first().click();
  await page.waitForURL(/\/visits\//);
  await page.goto(page.url().replace(/\/visits\/(\w+).*$/, `/visits/$1/${stage}`));
}

/** A site with one walk-in cooler of its own, so that tests do not meet; answers with the circuit's address. */
export async function ownCircuit(page, name, more = {}) {
  await page.goto('/sites/create');
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/\/sites\/\w+$/);
  await page.getByRole('link', { name: /new circuit/i }).first().click();
  await page.getByLabel('Name, as labelled on site').fill(`${name} cooler`);
  const system = { Refrigerant: 'R-448A', Receiver: 'yes', 'Evaporator pressure regulator': 'no', ...more };
  for (const [label, value] of Object.entries(system)) {
    await page.getByLabel(label, { exact: true }).selectOption(value);
  }
  const design = { 'Box set point': '2', 'Coil TD': '8.5', 'Condenser split': '12', 'Superheat at the bulb': '5.5', Subcooling: '3', 'Rated current': '9.8' };
  for (const [label, value] of Object.entries(design)) {
    await page.getByLabel(label, { exact: true }).fill(value);
  }
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/\/circuits\/\w+$/);
  return page.url();
}

/** Collects what a page complains about, so that a test can ask for silence. */
export function complaints(page) {
  const known = [
    /Failed to load resource.*(422|ERR_INTERNET_DISCONNECTED)/,
    /Service Worker registration blocked/,
    // What a line means is asked anew as it changes, and the question before is broken off.
    /^htmx:(sendAbort|afterRequest), \[object HTMLSpanElement\]$/,
  ];
  const heard = [];
  page.on('pageerror', (error) => heard.push(`error: ${error.message}`));
  page.on('console', (message) => {
    const text = message.text();
    if (message.type() === 'error' && !known.some((one) => one.test(text))) heard.push(text);
  });
  return heard;
}
