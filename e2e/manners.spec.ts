import { expect, settled, test } from './kitchen';
import AxeBuilder from '@axe-core/playwright';
import { places } from './places';

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`no serious fault for those who see or move differently, nothing wider than the screen, nothing asked of another machine, no complaint at ${width}`, async ({
    page,
    baseURL,
  }) => {
    test.setTimeout(360_000);
    await page.setViewportSize({ width, height });
    const elsewhere: string[] = [];
    const complaints: string[] = [];
    page.on('request', (r) => {
      if (!r.url().startsWith(baseURL!) && !r.url().startsWith('data:') && !r.url().startsWith('blob:')) elsewhere.push(r.url());
    });
    page.on('console', (m) => {
      if (m.type() === 'error') complaints.push(m.text());
    });
    page.on('pageerror', (e) => complaints.push(e.message));
    for (const path of await places(page)) {
      await page.goto(path);
      await settled(page);
      expect({ path, elsewhere, complaints }).toEqual({ path, elsewhere: [], complaints: [] });
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter((v) => v.impact === 'serious' || v.impact === 'critical');
      expect(
        serious.map(
          (v) =>
            `${path}: ${v.id} ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(' | ')}`,
        ),
      ).toEqual([]);
      const overflow = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      expect(overflow, `${path} is wider than the screen`).toBeLessThanOrEqual(0);
    }
  });
}

test('a first tap and a first choice are never lost: what is touched before the page is alive is done when it is', async ({ context, baseURL }) => {
  // A page that does not wait until it answers, as the stories' own does.
  const page = await context.newPage();
  // The scripts of the page wait until the hand was quicker.
  let go = (): void => undefined;
  const quicker = new Promise<void>((done) => (go = done));
  await page.route(`${baseURL}/_next/static/chunks/**/*.js*`, async (route) => {
    await quicker;
    await route.continue();
  });
  await page.goto('/sheet/bay-leaf-chantilly/whisk', { waitUntil: 'commit' });
  await page.getByLabel('Mixer and bowl').click();
  go();
  await page.getByRole('listbox').locator('[data-value="hand-mixer"]').click();
  await expect(page.getByText('This one runs at its own speed.')).toBeVisible();
  await expect(page.getByLabel('Mixer and bowl')).toHaveText(/hand mixer/i);
});

test('the calculators answer over HTTP, faults in words', async ({ request }) => {
  const good = await request.post('/api/calc/overrun', { data: { liquidG: 120, foamG: 60 } });
  expect(await good.json()).toEqual({ overrunPct: 100, airVolumeShare: 0.5 });
  const bad = await request.post('/api/calc/overrun', { data: { liquidG: 60, foamG: 120 } });
  expect(bad.status()).toBe(422);
  expect(((await bad.json()) as { says: string }).says).toContain('tared');
  expect((await request.post('/api/calc/butter', { data: {} })).status()).toBe(404);
  const torn = await request.post('/api/calc/overrun', { headers: { 'content-type': 'application/json' }, data: Buffer.from('{"liquidG":') });
  expect(torn.status()).toBe(400);
  const schema = (await (await request.get('/api/calc/whisk')).json()) as { input: { properties: object } };
  expect(Object.keys(schema.input.properties)).toContain('creamC');
});

test('writes from another site and strange hosts are refused', async ({ request }) => {
  const cross = await request.post('/api/batches', { data: { sheetId: 'bay-leaf-chantilly' }, headers: { 'sec-fetch-site': 'cross-site' } });
  expect(cross.status()).toBe(403);
  const host = await request.get('/', { headers: { host: 'kitchen.example' } });
  expect(host.status()).toBe(403);
});

test('what is not there says so', async ({ page }) => {
  await page.goto('/sheet/nobody/bench');
  await expect(page.getByText('There is no sheet or batch at this address')).toBeVisible();
});
