import type { ChildProcess } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, PATIENT, readable, test } from './kitchen';
import { ownKitchen } from './own-kitchen';
import { storyPort } from './ports';

/** A kitchen tuned in a morning, on a data file of its own: what a test sets, every sheet sees. */

const PORT = storyPort(8);
test.use({ baseURL: `http://127.0.0.1:${PORT}` });

let server: ChildProcess;
test.beforeAll(async () => {
  server = await ownKitchen(PORT, true);
});
test.afterAll(() => void server.kill());

const form = (page: Page, name: RegExp) => page.getByRole('region', { name });
const row = (page: Page, key: string) => page.locator(`[data-test="${key}"]`);

test('a cup of water is read over an afternoon, left and gone on with; kept, the place is known and nothing narrows more; taken back, it is as before', async ({
  page,
}) => {
  await page.goto('/log/tune');
  await page.getByRole('button', { name: /^Begin, / }).waitFor();
  const worth = page.getByRole('region', { name: 'Tests' });
  await expect(worth).toContainText(/Worth most in a minute/);
  await page.getByRole('button', { name: /A cup of water in the tall fridge/ }).click();
  const cup = form(page, /A cup of water in the tall fridge/);
  const read = async (minutes: string, c: string): Promise<void> => {
    const many = await cup.getByRole('list', { name: 'Readings' }).getByRole('listitem').count();
    await cup.getByLabel('The water now').fill(c);
    await cup.getByLabel('Minutes since the first').fill(minutes);
    await cup.getByRole('button', { name: 'Take this reading' }).click();
    await expect(cup.getByRole('list', { name: 'Readings' }).getByRole('listitem')).toHaveCount(many + 1);
  };
  await read('0', '20');
  await read('30', '15.9');
  // Too few is said, and cannot be kept.
  await expect(cup.getByRole('status')).toContainText('4 readings at least; there are 2.');
  await expect(cup.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  // The page is left at once: what was read is there when the test is opened again.
  await page.goto('/log');
  await page.goto('/log/tune');
  await page.getByRole('button', { name: /A cup of water in the tall fridge/ }).click();
  await expect(cup.getByRole('list', { name: 'Readings' }).getByRole('listitem')).toHaveCount(2);
  await read('70', '12.2');
  await read('140', '8.1');
  await read('240', '5.2');
  const status = cup.getByRole('status');
  await expect(status).toContainText(/Air of the place/);
  await expect(status).toContainText(/3\.\d\s°C/);
  // Every number opens its working.
  await status.getByRole('button', { name: /How well it takes heat/ }).click();
  await expect(page.getByRole('dialog')).toContainText('Newton');
  await page.keyboard.press('Escape');
  await cup.getByRole('button', { name: 'Keep it' }).click();
  await expect(worth.getByRole('status')).toContainText(/Kept: air of the place 3\.\d\s°C/, PATIENT);
  await expect(row(page, 'cold tall-fridge')).toContainText('done');
  await page.goto('/log/tune');
  await row(page, 'cold tall-fridge').getByRole('button', { name: 'Take back' }).click();
  await expect(worth.getByRole('status')).toContainText('Taken back', PATIENT);
  await expect(row(page, 'cold tall-fridge')).not.toContainText('done');
});

test('a timed cream: the watch goes on, a stage is taken or typed, the order is watched over; the log learns from it', async ({ page }) => {
  await page.goto('/log/tune');
  const hand = row(page, 'whisk hand-mixer');
  const before = readable(await hand.locator('.fig').first().textContent());
  await hand.getByRole('button', { name: /Begin/ }).click();
  const cream = form(page, /A plain cream in the hand mixer/);
  await expect(cream.getByRole('button', { name: 'Soft now' })).toBeDisabled();
  await cream.getByRole('button', { name: 'Start the watch' }).click();
  await expect(cream.getByRole('button', { name: 'Soft now' })).toBeEnabled();
  await expect(cream.getByLabel('The watch')).not.toHaveText('0:00', PATIENT);
  await cream.getByRole('button', { name: 'Stop the watch' }).click();
  await cream.getByLabel('Medium after').fill('150');
  await cream.getByLabel('Firm after').fill('140');
  await expect(cream.getByRole('status')).toContainText('Soft comes before medium');
  await cream.getByLabel('Firm after').fill('185');
  await expect(cream.getByRole('status')).toContainText('Time against the formula');
  await cream.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('region', { name: 'Tests' }).getByRole('status')).toContainText(/Kept: time against the formula/, PATIENT);
  await expect(hand).toContainText('done');
  await expect.poll(async () => readable(await hand.locator('.fig').first().textContent()), PATIENT).not.toBe(before);
  await page.goto('/log/learnt');
  // It stands there as what it is: of no batch, and nothing is asked about it.
  const finding = page.locator('[data-finding="whisk-time"]').filter({ hasText: /Hand mixer/i });
  await expect(finding).toContainText('A timed cream');
  await expect(finding.getByRole('link', { name: 'Tune' })).toHaveAttribute('href', '/log/tune');
  await expect(finding.getByRole('button', { name: 'Ask again' })).toHaveCount(0);
});

test('an oven that runs hot is turned to another dial before the batch begins', async ({ page }) => {
  await page.goto('/log/tune');
  await page
    .getByRole('button', { name: /A thermometer in the/ })
    .first()
    .click();
  const oven = form(page, /A thermometer in the/);
  await oven.getByLabel('The dial').fill('160');
  await oven.getByLabel('The thermometer').fill('174');
  await expect(oven.getByRole('status')).toContainText(/Hotter than its dial by/);
  await oven.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('region', { name: 'Tests' }).getByRole('status')).toContainText(/Kept: hotter than its dial by 14/, PATIENT);
  await page.goto('/pass?sheet=hazelnut-nest');
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await expect(page.getByRole('main')).toContainText('dial at 146', PATIENT);
});
