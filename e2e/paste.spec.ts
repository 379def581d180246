import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test, alive, readable, saved } from './kitchen';

const recipe = (name: string): string => readFileSync(`e2e/recipes/${name}.txt`, 'utf8');

async function review(page: Page, text: string): Promise<void> {
  await page.goto('/paste');
  await alive(page);
  await page.locator('textarea').fill(text);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('list', { name: 'Rows of the recipe' })).toBeVisible();
}

/** Grams of every line on Bench, as they are shown. */
const gramsOnBench = (page: Page): Promise<string[]> => page.locator('[data-line] > span:first-child').allInnerTexts().then((all) => all.map(readable));

async function toBench(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Make the sheet/ }).click();
  await page.waitForURL(/\/sheet\/.+\/bench/);
  await alive(page);
}

test('US cups and ounces become the grams of a hand calculation', async ({ page }) => {
  await review(page, recipe('us'));
  await expect(page.getByRole('heading', { name: 'Every line is settled' })).toBeVisible();
  await expect(page.getByLabel('Its cups and spoons are')).toHaveValue('us');
  await toBench(page);
  // By hand: 2.5 × 236.588 mL × 1.009 g/mL; 8 × 28.3495; half of 120; 1.5 × 4.92892 × 0.975; 24 × 14.5; 59.147 × 1.
  expect(await gramsOnBench(page)).toEqual(['597 g', '227 g', '60 g', '7.2 g', '348 g', '59 g']);
  await expect(page.getByRole('region', { name: 'Cream', exact: true })).toHaveAttribute('data-part', 'cheese-cream');
  await expect(page.getByRole('region', { name: 'Layers', exact: true })).toHaveAttribute('data-part', 'biscuit-layer');
  await expect(page.getByRole('region', { name: 'Method', exact: true }).getByRole('button', { name: /^Step 4: Chill for 8 to 12 hours/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Method', exact: true })).toContainText('8\u2060–\u206012\u00a0h');
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue('8');
});

test('imperial pints and ounces, read in a kitchen with US cups', async ({ page }) => {
  await review(page, recipe('imperial'));
  await expect(page.getByLabel('Its cups and spoons are')).toHaveValue('imperial');
  await toBench(page);
  // By hand: 284.13 mL × 1.000; 3 × 28.3495; 4 × 28.413 mL × 0.991; 2 × 17.758 mL × 1.033.
  expect(await gramsOnBench(page)).toEqual(['284 g', '85 g', '113 g', '37 g']);
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('1/2 imperial pint double cream');
});

test('metric cups, Australian spoons by choice; a doubtful line is settled with a key', async ({ page }) => {
  await review(page, `${recipe('metric')}\n`.replace('2 sheets gelatine', '2 sheets gelatine\n1 tbsp zzyzx cordial'));
  await expect(page.getByRole('heading', { name: '1 line to settle' })).toBeVisible();
  await page.getByLabel('Its cups and spoons are').selectOption('australian');
  const doubtful = page.locator('[data-sureness="unknown"]');
  await expect(doubtful).toHaveCount(1);
  await page.getByLabel(/^Row \d+: 1 tbsp zzyzx cordial$/).click();
  await page.getByLabel(/^Text of row/).fill('1 tbsp elderflower cordal');
  await page.getByLabel(/^Row \d+: 1 tbsp zzyzx cordial$/).focus();
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Every line is settled' })).toBeVisible();
  await toBench(page);
  // By hand: 250 mL × 1.01 (the 250 mL in brackets is no weight); 125 mL × 200/236.588; 2 × 20 mL × 1.033; 3 × 50; 2 × 2; 20 mL × 1.23.
  expect(await gramsOnBench(page)).toEqual(['253 g', '106 g', '41 g', '150 g', '4 g', '25 g']);
});

test('nothing pasted is dropped: what is no line or step stays in sight', async ({ page }) => {
  const odd = 'Odd cream\nFor 4\n\n300 g cream 36 %\nsome quux powder\n\nMethod\nWhip the cream.\n\nNotes\nKeep away from cats.';
  await review(page, odd);
  for (const row of odd.split('\n').filter((r) => r.trim() !== '')) await expect(page.getByLabel(new RegExp(`^Row \\d+: ${row.replace(/[.*+?^$%]/g, '\\$&')}$`))).toBeVisible();
  await toBench(page);
  await expect(page.getByLabel('Line 2', { exact: true })).toHaveValue('some quux powder');
  await expect(page.getByText('‘some quux powder’ is not in the larder', { exact: false })).toBeVisible();
  await expect(page.getByLabel('Notes')).toHaveValue(/Keep away from cats/);
});

test('a page with a schema.org block, a sheet’s own file, and files that are neither', async ({ page }) => {
  const block = { '@context': 'https://schema.org', '@type': 'Recipe', name: 'Block cream', recipeYield: '6', recipeIngredient: ['1 cup heavy cream', '2 tbsp powdered sugar'], recipeInstructions: [{ '@type': 'HowToStep', text: 'Whip the cream with the sugar.' }] };
  await review(page, `<html><script type="application/ld+json">${JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, block] })}</script></html>`);
  await toBench(page);
  expect(await gramsOnBench(page)).toEqual(['239 g', '15 g']);

  const file = await page.request.get('/api/sheets/prune-mousse/files/sheet');
  await page.goto('/paste');
  await alive(page);
  await page.setInputFiles('input[type=file]', { name: 'mousse.sheet.json', mimeType: 'application/json', buffer: await file.body() });
  await expect(page.getByText('5 parts, 13 lines', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await page.waitForURL(/\/sheet\/.+\/bench/);
  await expect(page.getByLabel('Name of the sheet')).toHaveValue('Bitter chocolate and prune mousse');
  await saved(page);

  await page.goto('/paste');
  await alive(page);
  await page.setInputFiles('input[type=file]', { name: 'huge.txt', mimeType: 'text/plain', buffer: Buffer.alloc(5_100_000, 'x') });
  await expect(page.getByRole('alert').filter({ hasText: 'larger than 5 MB' })).toBeVisible();
  await page.setInputFiles('input[type=file]', { name: 'newer.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"soft-peak-sheet","formatVersion":9}') });
  await expect(page.getByRole('alert').filter({ hasText: 'form 9' })).toBeVisible();
  await page.setInputFiles('input[type=file]', { name: 'bomb.json', mimeType: 'application/json', buffer: Buffer.from('['.repeat(200_000)) });
  await expect(page.getByRole('alert').filter({ hasText: 'not JSON that can be read' })).toBeVisible();
});
