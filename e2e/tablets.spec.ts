import type { Browser, Page } from '@playwright/test';
import { seededNumbers } from '../src/core/random';
import { expect, newSheet, PATIENT, saved, startBatch, test, typeLine } from './kitchen';

/** A page of another tablet: its own memory, its own name. */
const tablet = async (browser: Browser, baseURL: string | undefined): Promise<Page> =>
  (await browser.newContext({ baseURL: baseURL!, serviceWorkers: 'block' })).newPage();

/** What is told to the kitchen takes up to 200 ms each way; a part of it, or of the answers, is lost. */
async function rough(page: Page, seed: number): Promise<void> {
  const random = seededNumbers(seed);
  const lag = (): Promise<void> => new Promise((go) => setTimeout(go, 200 * random()));
  await page.route('**/api/batches/*/events', async (route) => {
    await lag();
    if (random() < 0.2) return route.abort();
    const answer = await route.fetch();
    await lag();
    return random() < 0.2 ? route.abort() : route.fulfill({ response: answer });
  });
}

test('three tablets make one batch over bad lines: each hears of the others, and everything is there once', async ({ page, browser, baseURL }) => {
  const id = await newSheet(page, 'Three tablets');
  for (const line of ['60 g icing sugar', '30 g caster sugar']) await typeLine(page, line);
  await saved(page);
  const batchId = await startBatch(page, id);
  await page.getByRole('button', { name: 'Next: weigh into the bowl' }).click();
  await expect(page.getByRole('heading', { name: 'Weigh into the bowl' })).toBeVisible();
  const others = [await tablet(browser, baseURL), await tablet(browser, baseURL)];
  const all = [page, ...others];
  for (const p of others) await p.goto(`/pass/${batchId}`);
  const names = [/cream/, /icing sugar/, /caster sugar/];
  const box = (p: Page, name: RegExp) => p.getByRole('checkbox', { name });
  for (const p of all) await expect(box(p, names[2]!)).toBeVisible();
  // Each is told who else is here as soon as it asks anew.
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await expect(page.getByRole('status', { name: 'Who else is here' })).toHaveText('2 other screens are in this batch');
  for (const [i, p] of all.entries()) await rough(p, 31 + i);
  // All at once, each another line.
  await Promise.all(all.map((p, i) => box(p, names[i]!).press('Space')));
  for (const p of all) for (const name of names) await expect(box(p, name)).toBeChecked(PATIENT);
  for (const p of all) await p.unrouteAll({ behavior: 'wait' });
  await others[0]!.reload();
  for (const name of names) await expect(box(others[0]!, name)).toBeChecked();
  for (const p of others) await p.context().close();
});

test('who else has a sheet open is said there, and no more when they have gone', async ({ page, browser, baseURL }) => {
  const id = await newSheet(page, 'Two in a sheet');
  const here = page.getByRole('status', { name: 'Who else is here' });
  await expect(here).toHaveCount(0);
  const other = await tablet(browser, baseURL);
  await other.goto(`/sheet/${id}/bench`);
  // The one that comes second knows at once; the first when it asks again.
  await expect(other.getByRole('status', { name: 'Who else is here' })).toHaveText('Another screen is in this sheet');
  const ask = (): Promise<void> => page.evaluate(() => void document.dispatchEvent(new Event('visibilitychange')));
  await ask();
  await expect(here).toHaveText('Another screen is in this sheet');
  await other.goto('/larder');
  await expect(other.getByRole('heading', { name: 'Larder' })).toBeVisible();
  await ask();
  await expect(here).toHaveCount(0);
  await other.context().close();
});
