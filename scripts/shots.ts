/** Retakes the pictures of docs/screenshots from the sample kitchen, on a server and data file of their own. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';

const PORT = '4396';
const BASE = `http://127.0.0.1:${PORT}`;

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly width?: number;
  readonly height?: number;
  readonly before?: (page: Page) => Promise<unknown>;
}

const toStep = (n: number) => async (page: Page) => {
  for (let i = 0; i < n; i++) {
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.waitForTimeout(250);
  }
};

/** Pastes a written recipe and stops at its review. */
const review = async (page: Page) => {
  await page.locator('textarea').fill(`${readFileSync('e2e/recipes/us.txt', 'utf8').replace('1 1/2 tsp vanilla', '1 1/2 tsp vanilla\n2 tbsp bramble jelly')}`);
  await page.getByRole('button', { name: 'Read it' }).click();
};

/** An edit after a named version, so that there is something to compare. */
const twoVersions = async (page: Page) => {
  await page.getByLabel('Name of version 1').fill('as served in October');
  await page.getByLabel('Name of version 1').press('Enter');
  await page.waitForTimeout(400);
  await page.goto(`${BASE}/sheet/plum-cheesecake/bench`);
  await page.waitForLoadState('networkidle');
  await page.getByLabel('Line 5', { exact: true }).fill('420 g cream cheese');
  await page.getByLabel('Line 8', { exact: true }).fill('6 leaves gelatin');
  await page.waitForTimeout(1200);
  await page.goto(`${BASE}/sheet/plum-cheesecake/versions`);
  await page.waitForLoadState('networkidle');
};

const SHOTS: readonly Shot[] = [
  { name: 'today', path: '/' },
  { name: 'bench', path: '/sheet/barley-tiramisu/bench' },
  { name: 'bench-working', path: '/sheet/bay-leaf-chantilly/bench', before: async (p) => {
      await p.getByRole('button', { name: /^Air at/ }).click();
      await p.getByRole('dialog', { name: /^Working of/ }).getByRole('table').waitFor();
    } },
  {
    name: 'bench-ways',
    path: '/sheet/prune-mousse/bench',
    before: async (p) => {
      await p.getByRole('button', { name: 'Ways of Whites' }).click();
      await p.getByText('Italian, with syrup').click();
    },
  },
  { name: 'figures', path: '/sheet/honey-semifreddo/figures' },
  {
    name: 'solve',
    path: '/sheet/elderflower-syllabub/solve',
    before: async (p) => {
      await p.getByRole('checkbox', { name: /^fat in the bowl/ }).check();
      await p.getByRole('checkbox', { name: /^alcohol/ }).check();
      await p.getByLabel('alcohol, from').fill('5');
      await p.getByLabel('alcohol, to').fill('6');
      await p.getByRole('region', { name: 'Trade-off' }).getByRole('img').waitFor();
    },
  },
  {
    name: 'what-if',
    path: '/sheet/brown-butter-piping-cream/solve',
    before: async (p) => {
      const what = p.getByRole('region', { name: 'What if' });
      await what.getByLabel('Move').selectOption({ label: 'gelatin' });
      await what.getByLabel('and watch').selectOption({ label: 'Gelatin dose' });
      await what.getByRole('slider').press('ArrowLeft');
      await p.waitForTimeout(900);
      await what.evaluate((e) => e.scrollIntoView());
    },
  },
  { name: 'bench-390', path: '/sheet/pear-icebox/bench', width: 390, height: 844 },
  { name: 'paste-review', path: '/paste', before: review },
  { name: 'versions', path: '/sheet/plum-cheesecake/versions', before: twoVersions },
  { name: 'shopping', path: '/sheet/prune-mousse/shopping' },
  { name: 'print', path: '/print/barley-tiramisu' },
  { name: 'larder', path: '/larder', before: (p) => p.getByRole('searchbox').fill('hevy cream') },
  { name: 'ingredient', path: '/larder/elderflower-cordial' },
  { name: 'kitchen', path: '/larder/kitchen' },
  { name: 'whisk', path: '/sheet/bay-leaf-chantilly/whisk' },
  {
    name: 'pass',
    path: '/pass?sheet=brown-butter-piping-cream',
    before: async (p) => {
      await p.getByRole('button', { name: 'Start this batch' }).click();
      await p.waitForURL(/\/pass\/.+/);
      await toStep(4)(p);
      await p.getByRole('button', { name: 'Whisk on' }).click();
      await p.waitForTimeout(1500);
    },
  },
  { name: 'log', path: '/log' },
  { name: 'log-batch', path: '/log/sample-4' },
];

const env = { ...process.env, SOFT_PEAK_PORT: PORT, SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-shots-')), 'kitchen.db') };
spawnSync('node', ['-e', "import('./scripts/prepare.mjs').then((p) => { p.ensureChromium(); p.ensureBuild(); })"], { stdio: 'inherit' });
spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
try {
  for (let tries = 0; tries < 100; tries++) {
    if (await fetch(`${BASE}/api/due`).then((r) => r.ok, () => false)) break;
    await new Promise((done) => setTimeout(done, 100));
  }
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
  });
  for (const shot of SHOTS.filter((s) => process.argv.length < 3 || process.argv.includes(s.name))) {
    const page = await browser.newPage({ viewport: { width: shot.width ?? 1280, height: shot.height ?? 800 } });
    await page.goto(BASE + shot.path);
    await page.waitForLoadState('networkidle');
    await shot.before?.(page);
    await page.waitForTimeout(500);
    await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
    await page.close();
    console.log(`docs/screenshots/${shot.name}.png`);
  }
  await browser.close();
} finally {
  server.kill('SIGTERM');
}
