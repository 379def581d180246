import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PATIENT, startBatch, test } from './kitchen';
import { storyPort } from './ports';

test.use({ serviceWorkers: 'allow', baseURL: `http://127.0.0.1:${storyPort(5)}` });

const env: NodeJS.ProcessEnv = { ...process.env, SOFT_PEAK_PORT: String(storyPort(5)), SOFT_PEAK_DATA: '' };
let server: ChildProcess | null = null;

async function up(): Promise<void> {
  server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  await expect
    .poll(
      () =>
        fetch(`http://127.0.0.1:${storyPort(5)}/api/due`).then(
          (r) => r.status,
          () => 0,
        ),
      PATIENT,
    )
    .toBeGreaterThan(0);
}

async function down(): Promise<void> {
  const gone = new Promise((done) => server!.on('exit', done));
  server!.kill('SIGTERM');
  await gone;
  server = null;
}

test.beforeEach(async () => {
  env.SOFT_PEAK_DATA = join(mkdtempSync(join(tmpdir(), 'soft-peak-alone-')), 'kitchen.db');
  spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
});
test.afterEach(async () => {
  if (server) await down();
  delete env.SOFT_PEAK_PASSPHRASE;
});

test('a batch goes on without the server, through a reload, and comes together with it again', async ({ page }) => {
  await up();
  const batchId = await startBatch(page, 'bay-leaf-chantilly');
  const kept = (address: string) => page.evaluate((a) => caches.match(a).then((r) => r !== undefined), address);
  // The page is kept as it was when it was asked for; what is done afterwards the tablet knows itself.
  await page.reload();
  for (const address of [`/pass/${batchId}`, `/mend?batch=${batchId}`, '/alone', '/']) await expect.poll(() => kept(address), PATIENT).toBe(true);
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null), PATIENT).toBe(true);
  const heading = page.getByRole('main').getByRole('heading').first();
  const first = await heading.innerText();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(heading).not.toHaveText(first);
  const second = await heading.innerText();
  await expect.poll(() => page.evaluate((id) => localStorage.getItem(`soft-peak:events:${id}`), batchId)).toBeNull();

  await down();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(heading).not.toHaveText(second);
  const third = await heading.innerText();
  const strip = page.getByRole('status', { name: 'Working alone' });
  await expect(strip).toContainText('Working alone since', PATIENT);
  await expect(strip).toContainText('1 thing waits on this tablet');

  // Also after a reload, also at the step that the server was told before it went.
  await page.reload();
  await expect(heading).toHaveText(third);
  await page.getByRole('button', { name: /^Back/ }).first().click();
  await expect(heading).toHaveText(second);
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(heading).toHaveText(third);
  await expect(strip).toContainText('3 things wait on this tablet');

  await page.goto(`/mend?batch=${batchId}&sign=grains`);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Not kept on this tablet' })).toHaveCount(0);
  await page.goto('/larder/rules');
  await expect(page.getByRole('heading', { name: 'Not kept on this tablet' })).toBeVisible();
  await page.getByRole('link', { name: 'Pass: Bay-leaf chantilly' }).click();
  await expect(heading).toHaveText(third);

  await up();
  await expect(strip).toBeHidden(PATIENT);
  await expect.poll(() => page.evaluate((id) => localStorage.getItem(`soft-peak:events:${id}`), batchId), PATIENT).toBeNull();
  await page.reload();
  await expect(heading).toHaveText(third);
});

test('who is not in any more takes no page of the kitchen along', async ({ page }) => {
  env.SOFT_PEAK_PASSPHRASE = 'gannets dive';
  await up();
  await page.goto('/');
  await page.getByLabel('The kitchen’s passphrase').fill('gannets dive');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  const pagesKept = () =>
    page.evaluate(async () =>
      (
        await Promise.all((await caches.keys()).filter((k) => k.startsWith('soft-peak-pages-')).map(async (k) => (await (await caches.open(k)).keys()).length))
      ).reduce((a, b) => a + b, 0),
    );
  await expect.poll(pagesKept, PATIENT).toBeGreaterThan(3);
  await page.context().clearCookies();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
  await expect.poll(pagesKept, PATIENT).toBe(0);
});

test('what a worker reckons is reckoned on a tablet that keeps the program, with and without the server', async ({ page }) => {
  await up();
  await page.goto('/sheet/honey-semifreddo/cold');
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null), PATIENT).toBe(true);
  const ready = page.locator('[data-ready]');
  // From here on each file of the program comes from the tablet.
  await page.reload();
  await expect(ready).toHaveAttribute('data-ready', /^\d/, PATIENT);
  await down();
  await page.reload();
  await expect(ready).toHaveAttribute('data-ready', /^\d/, PATIENT);
});
