import type { Page } from '@playwright/test';
import { choose, expect, test, alive, newSheet, readable, saved, typeLine } from './kitchen';

const FAMILY_SHEETS = [
  'bay-leaf-chantilly',
  'malted-cheese-frosting',
  'barley-tiramisu',
  'pear-icebox',
  'quince-syllabub',
  'honey-semifreddo',
  'prune-mousse',
  'plum-cheesecake',
  'hazelnut-nest',
  'sesame-fig-pudding',
];

async function scaleTo(page: Page, way: string, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Scale the sheet' }).click();
  const panel = page.getByRole('dialog', { name: 'Scale the sheet' });
  await choose(panel.getByLabel('Scale to'), way);
  await panel.getByRole('textbox').fill(text);
  await panel.getByRole('button', { name: 'Scale the sheet' }).click();
  await expect(panel).toHaveCount(0);
}

test('each of the ten families opens, scales four ways and prints', async ({ page }) => {
  test.setTimeout(240_000);
  for (const id of FAMILY_SHEETS) {
    await page.goto(`/sheet/${id}/bench`);
    await alive(page);
    const first = page.getByLabel('Line 1', { exact: true });
    const before = await first.inputValue();
    const portions = Number(await page.getByLabel('Portions', { exact: true }).inputValue());
    await scaleTo(page, 'portions', String(portions * 2));
    await expect(page.getByLabel('Portions', { exact: true })).toHaveValue(String(portions * 2));
    await scaleTo(page, 'factor', '1/2');
    await expect(page.getByLabel('Portions', { exact: true })).toHaveValue(String(portions));
    await scaleTo(page, 'total', '2 kg');
    await expect(first).not.toHaveValue(before);
    await scaleTo(page, 'vessel', '70');
    for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
    await expect(first).toHaveValue(before);
    await saved(page);
    await page.goto(`/print/${id}`);
    await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible();
    const pdf = await page.pdf({ format: 'A4' });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    if (id === 'barley-tiramisu') expect((await page.pdf({ format: 'Letter' })).length).toBeGreaterThan(5000);
  }
});

test('parts, what they take from each other, and steps', async ({ page }) => {
  await newSheet(page, 'Built from parts', '500 g cream 36 %');
  await page.getByRole('button', { name: 'Add a part' }).click();
  await page.getByRole('button', { name: 'folded filling' }).click();
  await page.getByLabel('Next line', { exact: true }).fill('250 g mascarpone');
  await page.getByLabel('Next line', { exact: true }).press('Enter');
  await page.getByLabel('Next line', { exact: true }).fill('half of the whipped cream');
  await page.getByLabel('Next line', { exact: true }).press('Enter');
  const filling = page.getByRole('region', { name: 'Folded filling', exact: true });
  await expect(filling.locator('[data-line="3"]')).toContainText('250\u00a0g');
  await expect(filling.locator('[data-line="3"]')).toContainText('Whipped cream');
  await expect(page.getByRole('region', { name: 'Whipped cream', exact: true })).toContainText('250\u00a0g left');
  // Renaming the source: the line follows.
  await page.getByLabel('Name of the part Whipped cream').fill('Chantilly');
  await expect(page.getByLabel('Line 3', { exact: true })).toHaveValue('half of the Chantilly');
  // More than there is: a sentence at the field.
  await page.getByLabel('Line 3', { exact: true }).fill('900 g Chantilly');
  await expect(page.getByRole('alert').filter({ hasText: 'has only 500' })).toBeVisible();
  await page.keyboard.press('Control+z');
  // A loss is a line of its own.
  await typeLineOf(page, 'less 20 g left in the bowl');
  await expect(filling.locator('[data-line="4"]')).toContainText('20\u00a0g');
  // The folding step is there, and the method is edited.
  const method = page.getByRole('region', { name: 'Method', exact: true });
  await method.getByRole('button', { name: /^Step \d+: Fold in the foam/ }).click();
  await page.getByLabel('Your own note; it stays whatever the way').fill('Ask Ida for the wide spatula');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Ways of Folded filling' }).click();
  await page.getByText('a quarter', { exact: true }).click();
  const panel = page.getByRole('dialog', { name: 'Ways of Folded filling' });
  await expect(panel.getByRole('region', { name: 'What it changes' })).toContainText('A quarter of the foam first');
  await panel.getByRole('button', { name: 'Take this way' }).click();
  await method.getByRole('button', { name: /^Step \d+: Fold in the foam/ }).click();
  await expect(page.getByLabel('Your own note; it stays whatever the way')).toHaveValue('Ask Ida for the wide spatula');
  await page.keyboard.press('Escape');
  await saved(page);
  // Undo also after a reload.
  await page.reload();
  await alive(page);
  await page.getByRole('button', { name: 'Undo (Ctrl Z)' }).click();
  await page.getByRole('button', { name: 'Ways of Folded filling' }).click();
  await expect(page.getByRole('dialog', { name: 'Ways of Folded filling' })).toContainText('The usual way here');
});

const typeLineOf = async (page: Page, text: string): Promise<void> => {
  await page.getByLabel('Next line', { exact: true }).fill(text);
  await page.getByLabel('Next line', { exact: true }).press('Enter');
};

test('an ingredient is swapped by what it brings', async ({ page }) => {
  await newSheet(page, 'Swapped', '480 g cream 36 %');
  await typeLine(page, '4 leaves gelatin');
  await page.locator('[data-line="2"]').hover();
  await page.getByRole('button', { name: 'Swap line 2' }).click();
  const panel = page.getByRole('dialog', { name: 'Swap gelatin' });
  await panel.getByRole('textbox').fill('powdered gelatine');
  await panel.getByRole('button', { name: /Gelatin powder/ }).click();
  // 8 g of 200 bloom set like 8·√(200/225) = 7.54 g of 225.
  await expect(panel.getByLabel('as strong a set')).toBeChecked();
  await expect(panel.getByRole('table')).toContainText('Everything');
  await panel.getByRole('button', { name: /^Swap it: 7\.5 g/ }).click();
  await expect(page.getByLabel('Line 2', { exact: true })).toHaveValue(/^7\.5 g gelatin powder/);
});

test('rounding is shown before it is taken', async ({ page }) => {
  await newSheet(page, 'Rounded', '333.3 g cream 36 %');
  await typeLine(page, '1.4 yolks');
  await page.getByRole('button', { name: 'Scale the sheet' }).click();
  const panel = page.getByRole('dialog', { name: 'Scale the sheet' });
  await panel.getByText('then round to the scale').click();
  await expect(panel.getByRole('region', { name: 'What rounding does' })).toContainText('whole pieces');
  await panel.getByRole('button', { name: 'Round the sheet' }).click();
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('333 g cream 36 %');
  await expect(page.getByLabel('Line 2', { exact: true })).toHaveValue('1 yolks');
});

test('versions are named, compared and gone back to, and none is lost', async ({ page }) => {
  const id = await newSheet(page, 'Versioned', '600 g cream 36 %');
  await page.goto(`/sheet/${id}/versions`);
  await alive(page);
  await page.getByLabel('Name of version 1').fill('as served');
  await page.getByLabel('Name of version 1').press('Enter');
  await page.goto(`/sheet/${id}/bench`);
  await alive(page);
  await page.getByLabel('Line 1', { exact: true }).fill('450 g cream 36 %');
  await saved(page);
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('version 2');
  await page.goto(`/sheet/${id}/versions`);
  const side = page.getByRole('region', { name: 'Side by side' });
  await expect(side.locator('[data-difference="changed"]').first()).toContainText('450 g cream 36 %');
  await expect(side.getByRole('row', { name: /Everything 600.g 450.g/ })).toBeVisible();
  await page.getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('version 3, saved');
  await expect(page.getByText('Version 2', { exact: true })).toBeVisible();
  await page.goto(`/sheet/${id}/bench`);
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('600 g cream 36 %');
});

test('the larder: found in spite of spelling, entered from a carton, used, sent out and read in', async ({ page }) => {
  await page.goto('/larder');
  await alive(page);
  await page.getByLabel('Find; spelling and other names are forgiven').fill('confectioners suger');
  await expect(page.getByRole('row').nth(1)).toContainText('Icing sugar');
  await page.getByRole('link', { name: 'New ingredient' }).click();
  await page.waitForURL(/larder\/new/);
  await alive(page);
  await page.getByLabel('Name', { exact: true }).fill('Harbour whipping cream');
  await choose(page.getByLabel('In the whisk bowl it counts as'), 'cream');
  for (const [label, value] of [
    ['fat, g', '35'],
    ['carbohydrate, g', '3.2'],
    ['of which sugars, g', '4'],
    ['protein, g', '2.1'],
  ])
    await page.getByLabel(label!, { exact: true }).fill(value!);
  await page.getByRole('button', { name: 'Work out the composition' }).click();
  await expect(page.getByText('Sugars 4\u00a0g are part of the carbohydrate', { exact: false })).toBeVisible();
  await page.getByLabel('of which sugars, g').fill('3,2');
  await page.getByRole('button', { name: 'Work out the composition' }).click();
  await expect(page.getByText('worked out').first()).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await page.waitForURL(/larder\/harbour-whipping-cream/);
  await expect(page.getByText('No sheet uses it now.')).toBeVisible();
  const id = await newSheet(page, 'With harbour cream', '400 g harbour whipping cream');
  await expect(page.locator('[data-line="1"]')).toContainText('400\u00a0g');
  await page.goto('/larder/harbour-whipping-cream');
  await expect(page.getByRole('complementary', { name: 'Where used' })).toContainText('With harbour cream');
  expect(id).not.toBe('');

  const csv = (await (await page.request.get('/api/larder/file')).text()).split('\n');
  const row = csv.find((r) => r.startsWith('harbour-whipping-cream'))!;
  await page.goto('/larder');
  await alive(page);
  await page.setInputFiles('input[type=file]', {
    name: 'larder.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`\uFEFF${csv[0]}\r\n${row}\r\nbroken,Broken,cream,999\r\n`),
  });
  // What stands in the larder as it is in the file is left; what cannot be read is named.
  await expect(page.getByRole('status').filter({ hasText: 'row read' })).toContainText('1 row read: 0 new, 0 replaced.');
  await expect(page.getByRole('status').filter({ hasText: 'row read' })).toContainText('row 3 (broken)');
});

test('what was changed in the kitchen is there when the page is left at once', async ({ page }) => {
  await page.goto('/larder/kitchen');
  await alive(page);
  await page.getByLabel('Whose food rules it follows').fill('the harbour authority');
  await page.goto('/log/book');
  // It is sent while the page goes, beside what the next one asks for.
  await expect(async () => {
    await page.reload();
    await expect(page.getByText('follow the harbour authority')).toBeVisible({ timeout: 2000 });
  }).toPass();
});

test('the kitchen’s cups change every sheet; two tabs of the kitchen do not overwrite each other', async ({ page, context }) => {
  const id = await newSheet(page, 'In cups', '1 cup cream 36 %');
  await expect(page.locator('[data-line="1"]')).toContainText('239\u00a0g');
  await page.goto('/larder/kitchen');
  await alive(page);
  const other = await context.newPage();
  await other.goto('/larder/kitchen');
  await alive(other);
  await choose(page.getByLabel('Cups and spoons'), 'metric');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  await other.getByLabel('Room', { exact: true }).first().fill('25');
  await expect(other.getByRole('status', { name: 'Saving' })).toContainText('another screen has changed it');
  // It asks which of the two counts; here the other one.
  await other.getByRole('button', { name: 'Take the other screen’s' }).click();
  await expect(other.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  await expect(other.getByLabel('Room', { exact: true }).first()).toHaveValue('20');
  await page.goto(`/sheet/${id}/bench`);
  await expect(page.locator('[data-line="1"]')).toContainText('252\u00a0g');
  await page.goto('/larder/kitchen');
  await alive(page);
  await choose(page.getByLabel('Cups and spoons'), 'us');
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
});

test('shopping: divided ingredients apart, eggs balanced, what is left over named', async ({ page }) => {
  await page.goto('/sheet/prune-mousse/shopping');
  const list = page.getByRole('table', { name: 'What to buy, summed over all parts' });
  await expect(list.getByRole('row', { name: /390.g Heavy whipping cream/ })).toContainText(/150.g chocolate base, 240.g whipped cream/);
  await expect(list.getByRole('row', { name: /eggs to crack/ })).toContainText('4');
  await page.goto('/sheet/hazelnut-nest/shopping');
  await expect(page.getByRole('region', { name: 'Left over' })).toContainText('4 yolks spare');
  expect(readable(await page.getByRole('region', { name: 'To declare' }).innerText())).toContain('tree-nut');
});

for (const format of ['sheet', 'recipe', 'lines', 'markdown']) {
  test(`the ${format} file comes down with its name`, async ({ request }) => {
    const answer = await request.get(`/api/sheets/barley-tiramisu/files/${format}`);
    expect(answer.status()).toBe(200);
    expect(answer.headers()['content-disposition']).toMatch(/filename="toasted-barley-tiramisu-tray\./);
    expect((await answer.text()).length).toBeGreaterThan(400);
  });
}
