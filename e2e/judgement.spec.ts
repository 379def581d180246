import { choose, expect, newSheet, readable, saved, tell, test, typeLine } from './kitchen';
import type { Page } from '@playwright/test';

const figures = async (page: Page, id: string): Promise<void> => {
  await page.goto(`/sheet/${id}/figures`);
};
const solve = async (page: Page, id: string): Promise<void> => {
  await page.goto(`/sheet/${id}/solve`);
};
const section = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
/** Text of a section as a reader sees it. */
const read = async (page: Page, name: string): Promise<string> => readable(await section(page, name).innerText());

test('fat: two sources on hand are blended by the square and become the cream', async ({ page }) => {
  const id = await newSheet(page, 'Blended', '500 g cream 30 %');
  await solve(page, id);
  await page.getByLabel('Wished fat, %').fill('36');
  await page.getByLabel('In all, g').fill('1000');
  await expect(section(page, 'Blend to a fat')).toContainText('730');
  await expect(page.getByRole('img', { name: /32\.4 parts of double cream, 12\.0 parts of milk/ })).toBeVisible();
  await page.getByLabel('Wished fat, %').fill('60');
  await expect(section(page, 'Blend to a fat')).toContainText('the wish must lie between');
  await page.getByLabel('Wished fat, %').fill('36');
  await page.getByRole('button', { name: /Use these as the cream/ }).click();
  await saved(page);
  await page.goto(`/sheet/${id}/bench`);
  expect(await tell(page, 'fat')).toContain('Fat in the bowl 36 %');
});

test('setters: the first spoonful, the three schools, and raw fruit as a hard stop', async ({ page }) => {
  const id = await newSheet(page, 'Set', '600 g cream 36 %');
  await typeLine(page, '6 leaves gelatin');
  await typeLine(page, '80 g caster sugar');
  await figures(page, id);
  await expect.poll(() => read(page, 'Setting')).toMatch(/strings\. First beat \d+ g of the cold part into it/);
  await page.getByText('in another gelatin, by three schools').click();
  await expect(section(page, 'Setting').getByRole('row', { name: /platinum/i })).toBeVisible();
  await page.getByRole('button', { name: /First spoonful .*open its working/ }).click();
  await expect(page.getByRole('dialog', { name: /Working of first spoonful/ })).toContainText('would come to');
  await page.keyboard.press('Escape');
  await page.goto(`/sheet/${id}/bench`);
  await typeLine(page, '100 g kiwi');
  expect(await tell(page, 'gelatin')).toContain('will not set at all. Heat the fruit through to 85 °C');
});

test('meetings: a base that is too cold is said, and one touch brings it into its window', async ({ page }) => {
  await figures(page, 'prune-mousse');
  const field = page.getByLabel('Chocolate base, at the fold');
  await field.fill('24');
  await expect(section(page, 'When parts meet')).toContainText('too cold, it sets in lumps or specks');
  await section(page, 'When parts meet')
    .getByRole('button', { name: /^Chocolate base at/ })
    .click();
  await expect(section(page, 'When parts meet')).toContainText('inside its window');
  await field.fill('900');
  await expect(page.getByRole('alert').filter({ hasText: 'goes from -30 to 120' })).toBeVisible();
  await expect(field).toHaveValue('900');
});

test('eggs and syrup: the mix is judged, readings come first, and carton egg is one step away', async ({ page }) => {
  await figures(page, 'barley-tiramisu');
  await expect(section(page, 'Eggs, heat and syrup')).toContainText('reaches the usual figure');
  await page.getByLabel('Bowl, empty').fill('3000');
  await expect(section(page, 'Eggs, heat and syrup')).toContainText('does not reach the usual 71');
  const readings = page.getByLabel('Yolk foam, measured', { exact: false });
  await readings.fill('0 50, 3');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be read' })).toBeVisible();
  await expect(readings).toHaveValue('0 50, 3');
  await readings.fill('0 50, 3 65, 6 72');
  await expect(section(page, 'Eggs, heat and syrup')).toContainText('egg reached 72');
  await page.getByLabel('Syrup boiled to').fill('116');
  await section(page, 'Eggs, heat and syrup')
    .getByRole('button', { name: /^Less \d+/ })
    .click();
  await expect(section(page, 'Eggs, heat and syrup')).toContainText('85 % sugar');
  await readings.fill('0 50, 3 60');
  await section(page, 'Eggs, heat and syrup').getByRole('button', { name: 'Use carton egg' }).click();
  await expect(section(page, 'Eggs, heat and syrup')).toContainText('no kill step is needed');
  expect(await page.locator('main').innerText()).not.toMatch(/\bsafe\b/i);
});

test('sugar and folding: each part and a mouthful, and what the folds keep, open their workings', async ({ page }) => {
  await figures(page, 'honey-semifreddo');
  const table = section(page, 'Part by part');
  await expect(table.getByRole('row', { name: /A mouthful of it all/ })).toBeVisible();
  await table.getByRole('button', { name: /^Sweetness of a mouthful/ }).click();
  await expect(page.getByRole('dialog')).toContainText('fructose × 1.6');
  await page.keyboard.press('Escape');
  await expect.poll(() => read(page, 'Air and folding')).toContain('of their air stays');
  await section(page, 'Air and folding')
    .getByRole('button', { name: /^Air kept in Semifreddo/ })
    .click();
  await expect(page.getByRole('dialog')).toContainText('Whipped cream brings');
});

test('alcohol and caffeine: in a portion, and the version without keeps the sweetness', async ({ page }) => {
  const id = await newSheet(page, 'With rum', '500 g cream 36 %');
  await typeLine(page, '40 g caster sugar');
  await typeLine(page, '60 g orange liqueur');
  await typeLine(page, '50 g espresso');
  await figures(page, id);
  const drink = section(page, 'Alcohol and caffeine');
  await expect(drink).toContainText('Not for children');
  await expect(drink).toContainText('Caffeine');
  await drink.getByText('The version without alcohol').click();
  await drink.getByRole('button', { name: 'Swap them' }).click();
  await expect(drink).not.toContainText('Not for children');
  await page.keyboard.press('Control+z');
  await expect(drink).toContainText('Not for children');
});

test('syllabub: the hours part it, the wine for either is one touch, and the cut shows the drink', async ({ page }) => {
  await figures(page, 'quince-syllabub');
  const or = section(page, 'Whole or parted');
  await expect(or).toContainText('parted as it should be');
  await page.getByLabel('Served so long after it is finished').fill('1');
  await expect(or).toContainText('10–20 % is the wish');
  await page.getByLabel('Served so long after it is finished').fill('14');
  await page.goto('/sheet/quince-syllabub/bench');
  await expect(page.getByText('Clear drink', { exact: true }).first()).toBeVisible();
  await figures(page, 'quince-syllabub');
  await or.getByRole('listitem').filter({ hasText: 'Whole, firm through' }).getByRole('button', { name: 'Use it' }).click();
  await expect(or).toContainText(/Stays whole/);
  await page.goto('/sheet/quince-syllabub/bench');
  await expect(page.getByText('Clear drink', { exact: true })).toHaveCount(0);
});

test('semifreddo and hold: the knife window, what moves it to a wish, and hours by place', async ({ page }) => {
  await figures(page, 'honey-semifreddo');
  const frozen = section(page, 'Frozen');
  await expect(frozen.getByRole('img', { name: /Share of the water that is ice/ })).toBeVisible();
  await frozen.getByLabel('Slice it at').fill('-14');
  await expect(frozen).toContainText(/caster sugar more/);
  await frozen.getByLabel('Slice it at').fill('-8');
  await expect(frozen).toContainText(/caster sugar less/);
  const hold = section(page, 'Hold');
  await expect(hold.getByRole('columnheader', { name: /cool box/ })).toBeVisible();
  await hold.getByRole('button', { name: /^Hold, firm, fridge/ }).click();
  await expect(page.getByRole('dialog')).toContainText('four in five of the next');
});

test('solve for: wishes land in their bands, a lock holds, and a fight shows its trade-off', async ({ page }) => {
  const id = await newSheet(page, 'Solved', '500 g double cream 48 %');
  await typeLine(page, '120 g sweet wine');
  await typeLine(page, '20 g caster sugar');
  await saved(page);
  await solve(page, id);
  await page.getByRole('checkbox', { name: /^sweetness/ }).check();
  await expect(page.locator('[data-goal="sweetness"]')).toHaveAttribute('data-met', 'true');
  await page.getByRole('button', { name: 'Lock caster sugar' }).click();
  await expect(page.getByRole('list', { name: 'Changes' })).not.toContainText('caster sugar');
  await page.getByRole('button', { name: 'Lock caster sugar' }).click();
  await page.getByRole('list', { name: 'Changes' }).getByRole('button').first().click();
  await page.getByRole('checkbox', { name: /^fat in the bowl/ }).check();
  await page.getByRole('checkbox', { name: /^alcohol/ }).check();
  await page.getByLabel('fat in the bowl, from').fill('43');
  await page.getByLabel('fat in the bowl, to').fill('45');
  await page.getByLabel('alcohol, from').fill('6');
  await page.getByLabel('alcohol, to').fill('7');
  await expect(page.getByRole('list', { name: 'What fights' })).toContainText('cannot both be had');
  const trade = section(page, 'Trade-off');
  await expect(trade.getByRole('img')).toBeVisible();
  await trade.getByRole('slider').press('ArrowRight');
  await trade.getByRole('button', { name: 'Take this one' }).click();
  await page.getByLabel('alcohol, from').fill('9');
  await expect(page.getByRole('alert').filter({ hasText: 'its band must go from less to more' })).toBeVisible();
  await page.getByLabel('sweet wine, at least, g').fill('900');
  await page.getByLabel('sweet wine, at most, g').fill('100');
  await page.getByLabel('alcohol, from').fill('5');
  await expect(page.getByRole('alert').filter({ hasText: /the least, 900.g, is more than the most/ })).toBeVisible();
});

test('what if: a slider moves a line, the chart and the figure answer, and it can be used', async ({ page }) => {
  const id = await newSheet(page, 'Moved', '600 g cream 36 %');
  await typeLine(page, '60 g caster sugar');
  await saved(page);
  await solve(page, id);
  const what = section(page, 'What if');
  await choose(what.getByLabel('Move'), { label: 'caster sugar' });
  await expect(what.getByRole('img', { name: /Sweetness as caster sugar goes from 0 to 120 g/ })).toBeVisible();
  const before = readable(await what.getByRole('status').innerText());
  await what.getByRole('slider').focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight');
  await expect(what.getByRole('status')).not.toHaveText(before);
  await what.getByRole('button', { name: 'Use it' }).click();
  await saved(page);
  await page.goto(`/sheet/${id}/bench`);
  await expect(page.getByLabel('Line 2', { exact: true })).toHaveValue('72 g caster sugar');
});

test('an empty sheet says where to begin, on both pages', async ({ page }) => {
  const id = await newSheet(page, 'Bare', '');
  await figures(page, id);
  await expect(page.getByText('There is nothing to judge yet')).toBeVisible();
  await solve(page, id);
  await expect(page.getByText('There is nothing to solve yet')).toBeVisible();
});
