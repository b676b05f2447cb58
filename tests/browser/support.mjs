// What every browser test needs: how Chromium is started, who signs in, where the demo town's things are.
export const chromiumFlags = [
  '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
  '--disable-background-networking', '--disable-component-update', '--disable-sync',
];

export const demo = {
  email: 'technician@tarnevik.example',
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

export async function openCircuit(page, name) {
  await page.goto('/sites');
  await page.getByRole('link', { name, exact: true }).first().click();
}

/** Goes on with the visit left open on a circuit, at a station of the walk. */
export async function openVisit(page, circuit, stage) {
  await page.goto('/');
  await page.getByRole('link', { name: new RegExp(circuit) }).first().click();
  await page.waitForURL(/\/visits\//);
  await page.goto(page.url().replace(/\/visits\/(\w+).*$/, `/visits/$1/${stage}`));
}
