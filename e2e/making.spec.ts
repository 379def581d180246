import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, newSheet, PATIENT, readable, saved, settled, startBatch, test, typeLine } from './kitchen';
import { storyPort } from './ports';

/** Making a batch: by keyboard, by scale and probe, on two tablets, through a server that dies. */

const hand = (page: Page, act: unknown) => page.request.post('/api/instruments', { data: act });

test('a batch made wholly by keyboard, from its sheet to the log', async ({ page }) => {
  const id = await newSheet(page, 'By keyboard');
  await typeLine(page, '60 g icing sugar');
  await saved(page);
  await page.keyboard.press('Escape');
  await page.goto(`/pass?sheet=${id}`);
  const start = page.getByRole('button', { name: 'Start this batch' });
  for (let i = 0; i < 40 && !(await start.evaluate((b) => b === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await expect(page.getByRole('heading', { name: 'Mise en place' })).toBeVisible();
  // The first thing to make ready is ticked, then on with the space bar.
  const first = page.getByRole('checkbox', { name: /Bowl and whisk into the cold/ });
  for (let i = 0; i < 40 && !(await first.evaluate((b) => b === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await expect(first).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Chill the bowl and the whisk' })).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Weigh into the bowl' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: 'Chill the bowl and the whisk' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: /^Whisk to/ })).toBeVisible();
  const on = page.getByRole('button', { name: 'Whisk on' });
  for (let i = 0; i < 40 && !(await on.evaluate((b) => b === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Whisk timer' })).toHaveAttribute('data-phase', 'whisking');
  const off = page.getByRole('region', { name: 'Whisk timer' }).getByRole('button', { name: 'Whisk off' });
  for (let i = 0; i < 40 && !(await off.evaluate((b) => b === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Whisk timer' })).toHaveAttribute('data-phase', 'stopped');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Cover, label, into the cold' })).toBeVisible();
  const done = page.getByRole('button', { name: 'It is in the cold' });
  for (let i = 0; i < 60 && !(await done.evaluate((b) => b === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/log\/[0-9a-f-]{36}/);
  await expect(page.locator('[data-comparison="time"]')).toContainText('s');
});

test('by the scale: lines tick themselves, a lifted bowl and a silent scale are said, too much scales the rest', async ({ page }) => {
  const id = await newSheet(page, 'By the scale', '300 g cream 36 %');
  await typeLine(page, '30 g icing sugar');
  await saved(page);
  await hand(page, { act: 'put-on', grams: 0 });
  await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'weigh with the scale' }).click();
  const scale = page.locator('[data-scale]');
  await expect(scale).toHaveAttribute('data-scale', 'under');
  await hand(page, { act: 'put-on', grams: -80 });
  await expect(scale).toHaveAttribute('data-scale', 'negative');
  await hand(page, { act: 'scale', silent: true });
  await expect(scale).toHaveAttribute('data-scale', 'silent', { timeout: 10_000 });
  await hand(page, { act: 'scale', silent: false });
  // 330 g of cream are poured: more than 300.
  await hand(page, { act: 'put-on', grams: 330 });
  await expect(scale).toHaveAttribute('data-scale', 'over');
  await page.getByRole('button', { name: 'Keep it, scale the rest' }).click();
  await expect(page.getByRole('checkbox', { name: /cream/ })).toBeChecked();
  const sugar = page.getByRole('checkbox', { name: /icing sugar/ });
  expect(readable(await page.getByRole('list').filter({ hasText: 'icing sugar' }).innerText())).toContain('33 g');
  // The next line tares by itself, and ticks itself at 33 g.
  await hand(page, { act: 'put-on', grams: 363 });
  await expect(sugar).toBeChecked({ timeout: 10_000 });
  await page.getByRole('button', { name: /off the plan/ }).click();
  await expect(page.getByRole('list', { name: 'Written down so far' })).toContainText('instead of 300');
  await hand(page, { act: 'put-on', grams: 0 });
});

test('by the probe: a temperature is taken over, a cooling custard is logged and held against the rule, two probes of one name are told apart', async ({
  page,
}) => {
  await hand(page, { act: 'stick', probe: 0, tC: 21 });
  await page.goto('/pass?sheet=sesame-fig-pudding');
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  const batchId = /\/pass\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  await page.getByRole('button', { name: /^Next/ }).click();
  for (let i = 0; i < 8 && !(await page.getByRole('heading', { name: /Cool in an ice bath|Spread in a tray/ }).isVisible()); i++) {
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.waitForTimeout(150);
  }
  const temperatures = page.getByRole('region', { name: 'Temperatures' });
  await expect(temperatures).toContainText('The usual rule');
  for (const t of ['82', '40', '20', '4']) {
    await temperatures.getByLabel('Temperature now').fill(t);
    await temperatures.getByRole('button', { name: 'Write it down' }).click();
    await page.waitForTimeout(60);
  }
  await expect(temperatures.locator('[data-verdict="met"]')).toContainText('follow your local food code');
  await temperatures.getByRole('button', { name: /take the last away: 4/ }).click();
  await expect(temperatures.locator('[data-verdict="running"]')).toBeVisible();
  await temperatures.getByLabel('Temperature now').fill('warm');
  await expect(temperatures.getByRole('alert')).toContainText('no temperature');
  await temperatures.getByLabel('Temperature now').fill('');
  await temperatures.getByRole('button', { name: 'log it here' }).first().click();
  await expect(temperatures.getByRole('button', { name: 'logging' })).toBeVisible();
  await expect
    .poll(
      async () =>
        ((await (await page.request.get(`/api/batches/${batchId}/temperatures`)).json()) as { series: string }[]).filter((s) => s.series.includes('probe 1'))
          .length,
      { timeout: 12_000 },
    )
    .toBeGreaterThan(1);
  await hand(page, { act: 'probe', probe: 1, name: 'probe 1' });
  await expect(temperatures).toContainText('Two probes bear one name');
  await hand(page, { act: 'probe', probe: 1, name: 'probe 2' });
  await expect(temperatures).not.toContainText('Two probes bear one name');
});

test('two tablets: ticks are seen within a second, one owns the timer and the other takes it over', async ({ page, browser, baseURL }) => {
  const id = await newSheet(page, 'Two tablets see');
  await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  const elsewhere = await browser.newContext({ baseURL: baseURL! });
  const other = await elsewhere.newPage();
  await other.goto(page.url());
  const theirs = other.getByRole('checkbox', { name: /cream/ });
  await expect(theirs).not.toBeChecked();
  await settled(other);
  await page.getByText('cream 36\u00a0% fat').click();
  await expect(theirs).toBeChecked({ timeout: 1000 });
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'Whisk on' }).click();
  const take = other.getByRole('region', { name: 'Whisk timer' }).getByRole('button', { name: /take it over/ });
  await expect(take).toBeVisible();
  await expect(other.getByRole('button', { name: 'Whisk off' })).toHaveCount(0);
  await take.click();
  await expect(other.getByRole('button', { name: 'Whisk off' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Whisk timer' }).getByRole('button', { name: /take it over/ })).toBeVisible();
  await elsewhere.close();
});

test('off the plan: a step skipped, a substitution, a pause, an own timer that rings, and left off in the end', async ({ page }) => {
  const id = await newSheet(page, 'Off the plan');
  // The hour that is slept through may bring what the sample dinner has due by the clock of the day.
  const due = page.getByRole('alert', { name: 'Due now' });
  await page.addLocatorHandler(due, async () => {
    await due.getByRole('button', { name: 'Seen' }).first().click();
  });
  await page.clock.install({ time: Date.now() });
  await startBatch(page, id);
  await page.getByRole('button', { name: 'off the plan' }).click();
  await page.getByRole('button', { name: 'Skip this step' }).click();
  await expect(page.getByRole('heading', { name: 'Weigh into the bowl' })).toBeVisible();
  await page.getByLabel('What was different').fill('honey instead of sugar');
  // What is half written outlives the page.
  await page.reload();
  await page.getByRole('button', { name: /off the plan/ }).click();
  await expect(page.getByLabel('What was different')).toHaveValue('honey instead of sugar');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await page.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused; the timers go on by the clock.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on' }).first().click();
  await page.getByRole('button', { name: 'timer', exact: true }).click();
  await page.getByLabel('Name of the timer').fill('oven');
  await page.getByLabel('Minutes').fill('2:00');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const oven = page.getByRole('timer', { name: /^oven/ });
  await expect(oven).toHaveText(/^[12]:\d\d$/);
  // The tablet sleeps for an hour; the wall clock does not.
  await page.clock.fastForward(3_600_000);
  await expect.poll(async () => readable(await oven.innerText()), PATIENT).toMatch(/^\+5[78]:\d\d$/);
  // The tablet's clock is set back: nothing runs backwards below nothing.
  await page.reload();
  await expect(page.getByRole('timer', { name: /^oven/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop oven' }).click();
  await expect(page.getByRole('timer', { name: /^oven/ })).toHaveCount(0);
  await page.getByRole('button', { name: /off the plan/ }).click();
  const written = page.getByRole('list', { name: 'Written down so far' });
  for (const words of ['Skipped: Chill', 'honey instead of sugar', 'Paused', 'Went on']) await expect(written).toContainText(words);
  await page.getByRole('button', { name: 'Leave this batch off' }).click();
  await page.getByRole('button', { name: 'Yes, leave it off' }).click();
  await page.waitForURL(/\/log\/[0-9a-f-]{36}/);
  await expect(page.getByText(/Left off$/).first()).toBeVisible();
});

test('at another scale: amounts times three, split into the bowlfuls that it needs; while one rests another part is offered', async ({ page }) => {
  await page.goto('/pass?sheet=bay-leaf-chantilly');
  await page.getByLabel('Portions').fill('0');
  await expect(page.getByText('is no number of portions', { exact: false })).toBeVisible();
  await page.getByLabel('Portions').fill('40');
  await expect(page.getByText('Every amount times 5', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await expect(page.getByText('times 5', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByText(/Whisk it in \d bowlfuls/)).toBeVisible();
  // Plum cheesecake: the same gelatin in two parts stands apart; while the base chills, the cream can be begun.
  await page.goto('/pass?sheet=plum-cheesecake');
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.getByRole('heading', { name: 'Mise en place' }).waitFor();
  await expect(page.getByText(/gelatin.*, first/).first()).toBeVisible();
  await expect(page.getByText(/gelatin.*, later/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  for (let i = 0; i < 6 && !(await page.getByRole('region', { name: 'While it rests' }).isVisible()); i++) {
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.waitForTimeout(150);
  }
  const meanwhile = page.getByRole('region', { name: 'While it rests' });
  await expect(meanwhile.getByRole('button')).not.toHaveCount(0);
  await page.getByRole('group', { name: 'Rest' }).getByRole('button').first().click();
  await expect(page.locator('[data-timer^="rest:"]')).toBeVisible();
  const title = await meanwhile.getByRole('button').first().innerText();
  await meanwhile.getByRole('button').first().click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Mise en place');
  expect(readable(title)).toContain(readable(await page.getByRole('heading', { level: 1 }).innerText()));
});

test.describe('a server that dies in the middle', () => {
  const PORT = storyPort(4);
  const at = `http://127.0.0.1:${PORT}`;
  let server: ChildProcess | null = null;
  const env = { ...process.env, SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-kill-')), 'kitchen.db') };
  const up = async (): Promise<void> => {
    server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
      env: { ...env, NEXT_TELEMETRY_DISABLED: '1' },
    });
    await expect
      .poll(
        () =>
          fetch(`${at}/api/due`).then(
            (r) => r.status,
            () => 0,
          ),
        { timeout: 20_000 },
      )
      .toBe(200);
  };
  test.beforeAll(async () => {
    const seeded = spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env, stdio: 'ignore' });
    expect(seeded.status).toBe(0);
    await up();
  });
  test.afterAll(() => void server?.kill('SIGKILL'));

  test('kill -9 loses nothing: ticks made meanwhile, the step, and the timers by the wall clock', async ({ page }) => {
    await page.goto(`${at}/pass?sheet=bay-leaf-chantilly`);
    await page.getByRole('button', { name: 'Start this batch' }).click();
    await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.getByText('cream 36\u00a0% fat').click();
    await page.getByLabel('Cup of liquid, net').fill('122');
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.getByRole('button', { name: 'Whisk on' }).click();
    const whisk = page.getByRole('region', { name: 'Whisk timer' }).getByRole('timer');
    await expect(whisk).toHaveText('0:02');
    const begun = Date.now();
    server!.kill('SIGKILL');
    await new Promise((gone) => server!.once('exit', gone));
    // The cook goes on: the tablet keeps it.
    await page.getByRole('button', { name: 'Back' }).click();
    await page.getByText('icing sugar').click();
    await page.getByLabel('Cup of liquid, net').fill('123.5');
    const alone = page.getByRole('status', { name: 'Working alone' });
    await expect(alone).toContainText('Working alone since', { timeout: 15_000 });
    await expect(alone).toContainText(/\d things wait on this tablet/);
    await up();
    await expect(alone).toHaveCount(0, { timeout: 30_000 });
    const id = /\/pass\/([0-9a-f-]{36})/.exec(page.url())![1]!;
    // Another tablet finds the same step, the same ticks, the same timer.
    const other = await page.context().newPage();
    await other.goto(`${at}/pass/${id}`);
    await expect(other.getByRole('heading', { name: 'Weigh into the bowl' })).toBeVisible();
    await expect(other.getByRole('checkbox', { name: /cream/ })).toBeChecked();
    await expect(other.getByRole('checkbox', { name: /icing sugar/ })).toBeChecked();
    await expect(other.getByLabel('Cup of liquid, net')).toHaveValue('123.5');
    // The page comes with the seconds at which the server wrote it; it counts on once it is alive.
    const off = async () => {
      const [min, sec] = (await other.locator('[data-timer="whisk"]').getByRole('timer').innerText()).split(':').map(Number) as [number, number];
      return Math.abs(60 * min + sec - (2 + (Date.now() - begun) / 1000));
    };
    await expect.poll(off).toBeLessThan(4);
    // The page is loaded again, and the batch is finished.
    await page.reload();
    await page.getByRole('button', { name: /^Next/ }).click();
    await page.getByRole('region', { name: 'Whisk timer' }).getByRole('button', { name: 'Whisk off' }).click();
    for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Next/ }).click();
    await page.getByRole('button', { name: 'It is in the cold' }).click();
    await page.waitForURL(/\/log\/[0-9a-f-]{36}/);
    await expect(page.getByLabel('Cup of liquid, net')).toHaveValue('123.5');
  });

  test('the whisk by its motor’s load: the page follows it, calls before the window, and says when the sensor falls silent', async ({ page }) => {
    const post = (act: unknown) => page.request.post(`${at}/api/instruments`, { data: act });
    await post({ act: 'pace', pace: 1.2 });
    await page.goto(`${at}/sheet/bay-leaf-chantilly/whisk/live`);
    await expect(page.locator('[data-live="ready"]')).toContainText('is forecast at');
    await page.getByRole('button', { name: 'Whisk on' }).click();
    const live = page.locator('[data-live="running"]');
    await expect(live).toHaveAttribute('data-from', 'load', { timeout: 10_000 });
    // As if it had been switched on earlier: the stand-in says again what it said since.
    const { load } = (await (await page.request.get(`${at}/api/instruments`)).json()) as { load: { bench: { whip: { ratePerS: number } } } };
    const soonS = 0.9 * ((Math.log(0.4 / 0.6) + Math.log(49)) / load.bench.whip.ratePerS / 1.2);
    const startedAt = Date.now() - Math.round(1000 * soonS);
    const input = await page.evaluate(() => JSON.parse(sessionStorage.getItem('soft-peak:live:bay-leaf-chantilly:cream') ?? '{}') as { startedAt: number });
    expect(input.startedAt).toBeGreaterThan(0);
    await page.evaluate(
      (s) => sessionStorage.setItem('soft-peak:live:bay-leaf-chantilly:cream', JSON.stringify({ startedAt: s, slowAt: null, stoppedAt: null })),
      startedAt,
    );
    await post({ act: 'whisk-again', startedAt });
    await page.reload();
    const call = page.getByRole('alertdialog');
    await expect(call).toBeVisible({ timeout: 40_000 });
    await expect(call).toContainText(/Look now|Stop/);
    await page.getByRole('button', { name: 'Back to the curve' }).click();
    const pace = readable(await page.getByText('pace against the forecast').locator('xpath=following-sibling::dd[1]').innerText());
    const [low, high] = pace.replace(' ×', '').split('–').map(Number) as [number, number];
    expect(low).toBeGreaterThan(1.02);
    expect(high).toBeLessThan(1.4);
    await post({ act: 'load', silent: true });
    await expect(page.getByText('The sensor is silent', { exact: false })).toBeVisible({ timeout: 10_000 });
    await page.getByRole('region', { name: 'Live' }).getByRole('button', { name: 'Whisk off' }).first().click();
    await expect(page.locator('[data-live="ready"]')).toContainText('Stopped after');
  });
});

test('what is sent twice because an answer was lost is done once: a start, a serving from three tablets, a change of scale', async ({ page }) => {
  await page.goto('/');
  const id = '7d1f3b52-94a6-4b1c-8c55-1a2b3c4d5e6f';
  const start = () => page.request.post('/api/batches', { data: { id, sheetId: 'bay-leaf-chantilly', portions: 8 } });
  for (const answer of [await start(), await start()]) expect(await answer.json()).toEqual({ id });
  const event = { id: 'told-twice-by-one-tablet', event: { kind: 'rescale', factor: 1.5, words: 'more', at: 1 }, baseRevision: 1 };
  const tell = async () =>
    (await (await page.request.post(`/api/batches/${id}/events`, { data: event })).json()) as { kind: string; batch: { progress: { scale: number } } };
  for (const answer of [await tell(), await tell()]) expect(answer).toMatchObject({ kind: 'done', batch: { progress: { scale: 1.5 } } });
  await page.request.post(`/api/batches/${id}/events`, { data: { event: { kind: 'abandon', at: 2 }, baseRevision: 2 } });

  const doc = {
    format: 'soft-peak-service',
    formatVersion: 1,
    name: 'Three tablets',
    zone: 'UTC',
    from: null,
    spareMin: 5,
    crew: [{ id: 'c', name: 'Cook', hours: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '07:00', to: '23:00' }] }],
    servings: [{ id: 'one', sheetId: 'bay-leaf-chantilly', portions: 8, at: '2026-12-24T19:00' }],
  };
  const service = (await (await page.request.post('/api/services', { data: { doc } })).json()) as { id: string };
  const tablets = await Promise.all(
    [1, 2, 3].map(() => page.request.post('/api/batches', { data: { sheetId: 'bay-leaf-chantilly', serving: { serviceId: service.id, servingId: 'one' } } })),
  );
  const ids = await Promise.all(tablets.map(async (t) => ((await t.json()) as { id: string }).id));
  expect(ids[0]).toMatch(/^[0-9a-f-]{36}$/);
  expect(new Set(ids).size).toBe(1);
});
