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
  await page.getByRole('group', { name: 'Bowls' }).waitFor();
};

const hand = (page: Page, act: unknown) => page.request.post(`${BASE}/api/instruments`, { data: act });

/** A whisk that was switched on three minutes ago: the stand-in says again what it said since. */
const alreadyWhisking = async (page: Page) => {
  await page.getByRole('button', { name: 'Whisk on' }).click();
  await page.waitForTimeout(700);
  const startedAt = Date.now() - 190_000;
  await hand(page, { act: 'whisk-again', startedAt });
  await page.evaluate(
    (at) => sessionStorage.setItem('soft-peak:live:bay-leaf-chantilly:cream', JSON.stringify({ startedAt: at, slowAt: null, stoppedAt: null })),
    startedAt,
  );
  await page.reload();
  await page.waitForTimeout(3000);
};

/** A page that listens to a stream never falls quite silent. */
const settled = (page: Page) => Promise.race([page.waitForLoadState('networkidle').catch(() => undefined), page.waitForTimeout(2500)]);

const SHOTS: readonly Shot[] = [
  { name: 'today', path: '/' },
  { name: 'bench', path: '/sheet/barley-tiramisu/bench' },
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
  { name: 'bench-390', path: '/sheet/pear-icebox/bench', width: 390, height: 844 },
  { name: 'paste-review', path: '/paste', before: review },
  { name: 'larder', path: '/larder', before: (p) => p.getByRole('searchbox').fill('hevy cream') },
  { name: 'cold', path: '/sheet/plum-cheesecake/cold', before: (p) => p.waitForTimeout(2000) },
  { name: 'tin', path: '/sheet/pear-icebox/tin' },
  { name: 'tin-above', path: '/sheet/barley-tiramisu/tin/above' },
  { name: 'whisk', path: '/sheet/bay-leaf-chantilly/whisk' },
  {
    name: 'pass',
    path: '/pass?sheet=brown-butter-piping-cream',
    before: async (p) => {
      await p.getByRole('button', { name: 'Start this batch' }).click();
      await p.waitForURL(/\/pass\/.+/);
      await toStep(5)(p);
      await p.getByRole('button', { name: 'Whisk on' }).click();
      await p.waitForTimeout(1500);
    },
  },
  {
    name: 'pass-mise',
    path: '/pass?sheet=prune-mousse',
    before: async (p) => {
      await p.getByRole('button', { name: 'Start this batch' }).click();
      await p.waitForURL(/\/pass\/.+/);
      await p.getByText('Bowl and whisk into the cold').click();
      await p.getByText('dark chocolate').click();
      await p.getByRole('button', { name: 'weigh with the scale' }).click();
      await hand(p, { act: 'put-on', grams: 0 });
      await p.waitForTimeout(2500);
      await hand(p, { act: 'put-on', grams: 96 });
      await p.waitForTimeout(1500);
    },
  },
  { name: 'live', path: '/sheet/bay-leaf-chantilly/whisk/live', before: alreadyWhisking },
  { name: 'clock', path: '/clock/harbour-dinner', before: (p) => p.waitForTimeout(1500) },
  { name: 'clock-list', path: '/clock/harbour-dinner/list', before: (p) => p.waitForTimeout(1500) },
  { name: 'log', path: '/log' },
  { name: 'book', path: '/log/book' },
  {
    name: 'mend',
    path: '/mend?sheet=bay-leaf-chantilly&sign=grains',
    before: async (p) => {
      await p.getByLabel('Under the whisk').fill('8:52');
      await p.getByLabel('Cream before').fill('9');
      await p.getByLabel('Cream before').blur();
    },
  },
];

const env = { ...process.env, SOFT_PEAK_PORT: PORT, SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-shots-')), 'kitchen.db') };
spawnSync('node', ['-e', "import('./scripts/prepare.mjs').then((p) => { p.ensureChromium(); p.ensureBuild(); })"], { stdio: 'inherit' });
spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'inherit' });
const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
try {
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`${BASE}/api/due`).then(
        (r) => r.ok,
        () => false,
      )
    )
      break;
    await new Promise((done) => setTimeout(done, 100));
  }
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  for (const shot of SHOTS.filter((s) => process.argv.length < 3 || process.argv.includes(s.name))) {
    const page = await browser.newPage({ viewport: { width: shot.width ?? 1280, height: shot.height ?? 800 } });
    await page.goto(BASE + shot.path);
    await settled(page);
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
