import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, alive, copyOf, expect, newSheet, readable, saved, tell, test } from './kitchen';

/** The text of a file that a link gives. */
async function downloaded(page: Page, link: string): Promise<Buffer> {
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: link, exact: true }).click()]);
  return readFileSync(await file.path());
}

const topMm = async (page: Page): Promise<number> => Number(await page.locator('[data-top-mm]').getAttribute('data-top-mm'));

test('an icebox cake in a springform, from the biscuits to the printed template and the shopping count', async ({ page }) => {
  const id = await newSheet(page, 'Icebox from nothing', '900 g cream 36 %');
  await choose(page.getByLabel('Family'), 'icebox');
  await choose(page.getByLabel('It is'), 'slice');
  await choose(page.getByLabel('Vessel'), 'Springform 24 cm');
  await page.getByRole('button', { name: 'Add a part' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^biscuit layer/i })
    .click();
  await page.getByLabel('Next line', { exact: true }).fill('12 chocolate wafers');
  await page.getByLabel('Next line', { exact: true }).press('Enter');
  await saved(page);

  await page.keyboard.press('Escape');
  await page.goto(`/sheet/${id}/tin`);
  await alive(page);
  const before = await topMm(page);
  // The depth allows so many; it takes them, with a thin bed below and cream on top.
  await page.getByRole('button', { name: /^Fill the depth/ }).click();
  const layers = page.getByRole('list', { name: 'Layers from the top down' }).getByRole('listitem');
  await expect(layers).toHaveCount(7);
  await expect(layers.first()).toContainText('Whipped cream');
  await expect(layers.last()).toContainText('4.0');
  expect(await topMm(page)).toBeGreaterThan(before - 1);

  await page.getByRole('link', { name: 'From above' }).click();
  const count = page.locator('[data-count]');
  await expect(count).toHaveAttribute('data-needed', /\d\d/);
  const toBuy = Number(await count.getAttribute('data-to-buy'));
  expect(toBuy).toBeGreaterThan(40);
  expect(readable(await count.innerText())).toContain('The sheet has 12.');
  await page.getByRole('button', { name: `Write ${toBuy} into the sheet` }).click();
  await expect(page.getByRole('button', { name: /^Write/ })).toHaveCount(0);
  await saved(page);

  // The drawing is the count.
  const whole = Number(await page.locator('[data-plan-whole]').getAttribute('data-plan-whole'));
  const svg = (await downloaded(page, 'SVG')).toString();
  expect(svg).toContain('width="252mm"');
  expect(svg.match(/<circle cx/g)).toHaveLength(whole);
  const pdf = await downloaded(page, 'PDF, A4');
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  // A 24 cm tin takes four sheets of A4.
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g) ?? []).toHaveLength(0);
  expect(pdf.length).toBeGreaterThan(2000);

  await page.goto(`/sheet/${id}/shopping`);
  const wafers = page.getByRole('row', { name: /Chocolate wafers/ });
  await expect(wafers).toContainText(`${7 * toBuy}\u00a0g`);
});

test('a boundary is dragged, moved by keys, undone; the numbers follow', async ({ page }) => {
  const id = await copyOf(page, 'pear-icebox', 'Dragged');
  await page.goto(`/sheet/${id}/tin`);
  await alive(page);
  const bed = page.getByRole('slider', { name: 'Top of Tea cream, layer 1' });
  await expect(bed).toHaveAttribute('aria-valuenow', '4');
  await bed.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(bed).toHaveAttribute('aria-valuenow', '6');
  await expect(page.getByRole('list', { name: 'Layers from the top down' }).getByRole('listitem').last()).toContainText('6.0');
  await page.waitForTimeout(1300);
  const cream = page.getByRole('slider', { name: 'Top of Tea cream, layer 3' });
  const now = Number(await cream.getAttribute('aria-valuenow'));
  const box = (await cream.locator('rect').last().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 40, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Number(await cream.getAttribute('aria-valuenow'))).toBeGreaterThan(now + 3);
  // The one layer that still shares gives way: nothing is missing.
  await expect(page.getByRole('region', { name: 'Left over' })).not.toContainText('missing');
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await expect(cream).toHaveAttribute('aria-valuenow', String(now));
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await expect(bed).toHaveAttribute('aria-valuenow', '4');
});

test('a tray of soaked fingers: too long a dip pools, the kitchen’s own test replaces the table, the soak is made to fit', async ({ page }) => {
  const id = await copyOf(page, 'barley-tiramisu', 'Tray of fingers');
  await page.goto(`/sheet/${id}/tin/soak`);
  await alive(page);
  const fingers = page.locator('[data-soak="fingers"]');
  await expect(fingers).toHaveAttribute('data-reading', 'right');
  await page.getByLabel('Seconds').first().fill('8');
  await expect(fingers).toHaveAttribute('data-reading', 'pools');
  await expect(fingers).toContainText('would be right');
  await page.getByLabel('Seconds').first().fill('2');
  await expect(fingers).toHaveAttribute('data-reading', 'right');

  const dip = page.getByRole('region', { name: /^Dip test of/ });
  await dip.getByLabel('Dry').fill('40');
  await dip.getByLabel('Dipped').fill('36');
  await expect(dip.getByRole('alert').last()).toContainText('Dipped biscuits weigh more than dry ones');
  await expect(dip.getByRole('button', { name: 'Use these figures' })).toBeDisabled();
  await dip.getByLabel('Dipped').fill('88');
  await dip.getByRole('button', { name: 'Use these figures' }).click();
  await expect(dip).toContainText('120\u00a0%');
  await expect(fingers).toHaveAttribute('data-reading', 'soggy');

  const needed = page.getByRole('region', { name: 'Soak needed' });
  const grams = Number(await needed.getAttribute('data-needed'));
  expect(grams).toBeCloseTo(384 * 1.2 * 1.1, 0);
  await needed.getByRole('button', { name: /^Make/ }).click();
  await expect(needed.getByRole('button', { name: /^Make/ })).toHaveCount(0);
  // A number opens its working.
  await needed.getByRole('button', { name: /^Soak needed/ }).click();
  await expect(page.getByRole('dialog', { name: 'Working of soak needed' })).toContainText('S = m · u · 1.10');
  await page.keyboard.press('Escape');
  await saved(page);
  await page.goto(`/sheet/${id}/bench`);
  await page.getByRole('button', { name: /^Show \d+ more/ }).click();
  expect(await tell(page, 'soak:fingers')).toContain('of their weight: soggy');
});

test('glasses of two kinds filled from one batch', async ({ page }) => {
  const id = await copyOf(page, 'rhubarb-trifle', 'Two kinds of glass');
  await page.goto(`/sheet/${id}/tin`);
  await alive(page);
  // Thirty portions are more than there are of the large ones.
  await page.getByLabel('Portions', { exact: true }).fill('30');
  await page.getByLabel('Portions', { exact: true }).press('Enter');
  await page.getByRole('button', { name: /^What on the shelf fits/ }).click();
  const fitting = page.getByRole('list', { name: 'Vessels that fit' }).getByRole('listitem');
  const both = fitting.filter({ hasText: 'footed glass' }).filter({ hasText: 'small glass' });
  await both.first().getByRole('button', { name: 'Take' }).click();
  const which = page.getByRole('group', { name: 'Which vessel is shown' }).getByRole('button');
  await expect(which).toHaveCount(2);
  const counts = (await which.allInnerTexts()).map((t) => Number(/^\d+/.exec(t)![0]));
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue(String(counts[0]! + counts[1]!));
  const first = await topMm(page);
  await which.nth(1).click();
  await expect.poll(() => topMm(page)).not.toBe(first);
  // Every vessel is filled equally full.
  await expect(page.getByText(/of 1[0-9]0|of 2[0-9]0/).first()).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(which).toHaveCount(2);
});

test('a terrine: sliced, turned out, and a word where it cannot be', async ({ page }) => {
  const id = await copyOf(page, 'honey-semifreddo', 'Terrine');
  await page.goto(`/sheet/${id}/tin`);
  await alive(page);
  await expect(page.locator('[data-stand="lining"]')).toContainText('film with long ends');
  await page.getByRole('link', { name: 'Slices and piping' }).click();
  await expect(page.locator('[data-slices="12"]')).toContainText('12 pieces of');
  await page.getByLabel('Along the length').fill('60');
  await page.getByLabel('The knife takes').fill('10');
  await expect(page.getByText('So many cuts leave nothing between them: cut fewer.')).toBeVisible();
  await page.getByLabel('Along the length').fill('8');
  await expect(page.locator('[data-slices="8"]')).toBeVisible();
  // No biscuits in it: a sentence and the way to them.
  await page.getByRole('link', { name: 'From above' }).click();
  await expect(page.getByText('No part of this sheet is laid in biscuits', { exact: false })).toBeVisible();
});

test('a glass is measured by water on the shelf, and a wall that closes is refused with one that works', async ({ page }) => {
  await page.goto('/larder/kitchen');
  await alive(page);
  await page.getByRole('button', { name: 'A vessel' }).click();
  const row = page.getByRole('listitem').filter({ has: page.locator('input[value="New tub"]') });
  await choose(row.getByLabel('Shape', { exact: true }), 'glass');
  await row.getByText('Shape of the glass, or measured by water').click();
  await choose(row.getByLabel('Start from a shape'), 'bellied');
  const holds = async (): Promise<number> => Number(/holds ([\d ]+) mL/.exec(readable(await row.innerText()))![1]!.replaceAll(' ', ''));
  await row.getByLabel(/^Water/).fill('40 100');
  await row.getByRole('button', { name: 'It holds so much' }).click();
  await expect.poll(holds).toBeLessThan(340);
  await row.getByLabel(/^Profile/).fill('0 40, 50 60, 30 70');
  await row.getByLabel(/^Profile/).press('Enter');
  await expect(row.getByRole('alert').last()).toContainText('The profile crosses itself');
  await row.getByRole('button', { name: /^Take the nearest that works/ }).click();
  await expect(row.getByText('The profile crosses itself')).toHaveCount(0);
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  await page.getByRole('button', { name: 'Take out New tub' }).click();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
});
