import type { Page } from '@playwright/test';
import { choose, alive, copyOf, expect, newSheet, readable, saved, test, PATIENT } from './kitchen';

/** Hours until it is ready, as the page says it. */
const readyH = async (page: Page): Promise<number> => Number(await page.locator('[data-ready]').getAttribute('data-ready'));
/** The same, of the answer to what is asked now. */
const settledH = async (page: Page, not: number | null = null): Promise<number> => {
  if (not !== null) await expect.poll(() => readyH(page), PATIENT).not.toBe(not);
  await expect(page.getByRole('region', { name: 'In the cold' })).toHaveAttribute('aria-busy', 'false', PATIENT);
  await expect(page.locator('[data-ready]')).toHaveAttribute('data-ready', /^\d/);
  return readyH(page);
};

test('a terrine frozen overnight and sliced', async ({ page }) => {
  const id = await copyOf(page, 'honey-semifreddo', 'Terrine in the cold');
  await page.goto(`/sheet/${id}/cold`);
  await alive(page);
  await expect(page.getByLabel('Where it stands')).toHaveAttribute('data-value', 'chest');
  const hours = await settledH(page);
  expect(hours).toBeGreaterThan(4);
  expect(hours).toBeLessThan(16);
  // Scrubbed through time, by temperature and by ice.
  const slider = page.getByRole('slider', { name: 'Hours since it went in' });
  await slider.fill('0.5');
  const core = async (): Promise<number> =>
    Number(/core (−?[\d.]+)/.exec(readable(await page.getByRole('img', { name: /^Section after/ }).getAttribute('aria-label')))![1]!.replace('−', '-'));
  const early = await core();
  await slider.fill(String(hours));
  expect(await core()).toBeLessThan(early - 10);
  await page.getByText('ice, %', { exact: true }).click();
  await page.getByRole('button', { name: 'Play' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  // Out of the freezer: the knife, the fridge, the counter.
  const out = page.getByRole('region', { name: 'Out of the freezer' });
  await expect(out).toContainText('ice by volume');
  await expect(out).toContainText('What has softened is not frozen again');
  await expect(out.getByRole('listitem').filter({ hasText: /^Counter/ })).toContainText(/too soft after|not come/);
  // Warmer than it must be: what never happens, and the nearest question that has an answer.
  await page.getByLabel('Air there').fill('-2');
  await expect(page.getByText(/never comes to/).first()).toBeVisible();
});

test('a glass of mousse set by supper: changes are tried and one is taken', async ({ page }) => {
  const id = await copyOf(page, 'prune-mousse', 'Glass by supper');
  await page.goto(`/sheet/${id}/cold`);
  await alive(page);
  const before = await settledH(page);
  await choose(page.getByLabel('Goes in at'), 'one');
  await page.getByLabel('All at').fill('28');
  const warm = await settledH(page, before);
  expect(warm).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Try changes' }).click();
  const tried = page.getByRole('list', { name: 'Changes tried' });
  await expect(page.getByRole('region', { name: 'Ready sooner' })).toHaveAttribute('aria-busy', 'false', PATIENT);
  await expect(tried.locator('[data-tried="ice"]')).toContainText('sooner');
  await tried.locator('[data-tried="ice"]').getByRole('button', { name: 'Take' }).click();
  await expect(page.getByLabel('Ice bath first')).toHaveValue('20');
  expect(await settledH(page, warm)).toBeLessThan(warm);
  // The number opens its working.
  await page.getByRole('button', { name: /^Ready to serve/ }).click();
  await expect(page.getByRole('dialog', { name: /^Working of ready/ })).toContainText('∇·(k∇T)');
  await page.keyboard.press('Escape');
  await saved(page);
});

test('a hot custard made to pass its cooling rule by pan and ice bath', async ({ page }) => {
  const id = await copyOf(page, 'sesame-fig-pudding', 'Hot custard');
  await page.goto(`/sheet/${id}/cold/base`);
  await alive(page);
  const way = (key: string) => page.locator(`[data-way="${key}"]`);
  await expect(way('bath')).toHaveAttribute('data-meets', 'true');
  await page.getByLabel('In a tray, deep').fill('90');
  await expect(way('tray')).toHaveAttribute('data-meets', 'false');
  await expect(way('tray')).toContainText('too slow');
  const depth = Number(await page.locator('[data-depth-mm]').getAttribute('data-depth-mm'));
  await page.getByLabel('In a tray, deep').fill(String(Math.floor(depth)));
  await expect(way('tray')).toHaveAttribute('data-meets', 'true');
  await page.getByLabel('Pan, inside').fill('110');
  await expect(way('pan')).toHaveAttribute('data-meets', 'false');
  await choose(page.getByLabel('Against'), 'one-stage');
  await expect(way('bath')).toHaveAttribute('data-meets', 'true');
  await expect(page.getByText(/follow your local food code/).first()).toBeVisible();
});

test('two set-ups side by side', async ({ page }) => {
  const id = await copyOf(page, 'plum-cheesecake', 'Two set-ups');
  await page.goto(`/sheet/${id}/cold/compare`);
  await alive(page);
  await page.getByRole('button', { name: 'Set another up beside it' }).click();
  const minutes = page.locator('[data-saved-min]');
  await expect(minutes).toHaveAttribute('data-saved-min', /^\d+$/);
  const first = Number(await minutes.getAttribute('data-saved-min'));
  expect(first).toBeGreaterThan(0);
  const second = page.getByRole('region', { name: 'Second set-up' });
  await choose(second.getByLabel('Vessel'), 'Springform 24 cm');
  await expect.poll(async () => Number(await minutes.getAttribute('data-saved-min'))).toBeGreaterThan(first);
  await saved(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Second set-up' }).getByLabel('Vessel')).toContainText('Springform 24 cm');
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByRole('button', { name: 'Set another up beside it' })).toBeVisible();
});

test('the probe corrects a place, and nothing laid says so', async ({ page }) => {
  const id = await copyOf(page, 'plum-cheesecake', 'By the probe');
  await page.goto(`/sheet/${id}/cold/probe`);
  await alive(page);
  await choose(page.getByLabel('Where it stands'), 'tall-fridge');
  await page.getByLabel(/^Or type them/).fill('0 22, 20 warm');
  await page.getByRole('button', { name: 'Fit these' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'cannot be read' })).toBeVisible();
  await page.getByLabel(/^Or type them/).fill('0 22, 60 19, 120 14.5, 180 11, 240 8.6, 360 5.9');
  await page.getByRole('button', { name: 'Fit these' }).click();
  await expect(page.locator('[data-fitted]')).toContainText('W/m²K');
  await page.getByRole('button', { name: 'Use it for Tall fridge' }).click();
  await expect(page.getByText(/Tall fridge is reckoned with/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Back to the usual' }).click();
  await expect(page.getByText('Tall fridge is reckoned as usual again.')).toBeVisible();

  const empty = await newSheet(page, 'Nothing in it');
  await page.getByLabel('Line 1', { exact: true }).press('Control+Backspace');
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveCount(0);
  await saved(page);
  await page.goto(`/sheet/${empty}/cold`);
  await expect(page.getByText(/There is nothing to lay|There is nothing in this sheet|no lines/i).first()).toBeVisible();
});
