import type { ChildProcess } from 'node:child_process';
import type { Page } from '@playwright/test';
import { alive, choose, expect, PATIENT, readable, saved, settled, startBatch, test } from './kitchen';
import { places } from './places';
import { ownKitchen } from './own-kitchen';
import { storyPort } from './ports';

const PORT = storyPort(7);
const BASE = `http://127.0.0.1:${PORT}`;
test.use({ baseURL: BASE });

let server: ChildProcess;
test.beforeAll(async () => {
  server = await ownKitchen(PORT, true);
});
test.afterAll(() => void server.kill());

/** Chooses one of the kitchen's units; the page is drawn anew in it. */
async function readIn(page: Page, label: string, unit: string): Promise<void> {
  const anew = page.waitForEvent('load', PATIENT);
  await choose(page.getByLabel(label), unit);
  await anew;
  await alive(page);
  await expect(page.getByLabel(label)).toHaveAttribute('data-value', unit);
}

/** Times of day by 24 hours, figures in °C, and in grams, millilitres and millimetres where a kitchen of ounces and inches has none: texts of the page that have one. */
const metricOn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const found: string[] = [];
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let n = walk.nextNode(); n; n = walk.nextNode()) {
      if (n.parentElement!.closest('script, style, code, pre, textarea')) continue;
      const text = n.textContent!.replace(/\u00a0/g, ' ').replace(/(?:per|in) 100 g/g, '');
      if (
        /(?<![\p{L}\d:.,+])(?:[01]\d|2[0-3]):[0-5]\d(?![\d:]| [ap]m)|\d ?°C|(?<![\d.,])(?:1[5-9]|[2-9]\d|\d{3,})(?:\.\d+)? (?:g|kg|mL|mm|cm)(?![\w/·²³])/u.test(
          text,
        )
      )
        found.push(text.trim().slice(0, 120));
    }
    return found;
  });

test('a kitchen of ounces, inches and degrees Fahrenheit: every figure, nothing kept otherwise', async ({ page }) => {
  test.setTimeout(420_000);
  await page.goto('/larder/kitchen');
  await expect(page.getByLabel('Fridge', { exact: true })).toHaveValue('4');
  await readIn(page, 'Temperatures in', '°F');
  await readIn(page, 'Weights in', 'oz');
  await readIn(page, 'Volumes in', 'fl oz');
  await readIn(page, 'Lengths in', 'in');
  await readIn(page, 'Times of day by', '12 h');
  await expect(page.getByLabel('Fridge', { exact: true })).toHaveValue('39.2');
  await page.getByLabel('Fridge', { exact: true }).fill('41');
  await saved(page);

  // On Pass: what is typed means what stands beside it, also later on.
  const batchId = await startBatch(page, 'bay-leaf-chantilly');
  const reading = page.getByLabel('Cream in the bowl');
  for (let i = 0; i < 12 && !(await reading.isVisible()); i++) await page.getByRole('button', { name: /^Next/ }).click();
  await reading.fill('68');
  await expect(page.getByText('°F').first()).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'ice water' })).toContainText('At 68');
  await page.reload();
  await expect(reading).toHaveValue('68', PATIENT);

  const complaints: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') complaints.push(m.text());
  });
  page.on('pageerror', (e) => complaints.push(e.message));
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of await places(page)) {
    await page.goto(path);
    await settled(page);
    const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect({ path, complaints, wider, metric: await metricOn(page) }).toEqual({ path, complaints: [], wider: 0, metric: [] });
  }

  // Read in °C again nothing has changed, and what was typed says what it was.
  await page.goto('/larder/kitchen');
  await readIn(page, 'Temperatures in', '°C');
  await expect(page.getByLabel('Fridge', { exact: true })).toHaveValue('5');
  await page.goto(`/pass/${batchId}`);
  for (let i = 0; i < 12 && !(await reading.isVisible()); i++) await page.getByRole('button', { name: /^Next/ }).click();
  await expect(reading).toHaveValue('68 °F');
  expect(readable(await page.getByRole('main').innerText())).toContain('At 20 °C');
});
