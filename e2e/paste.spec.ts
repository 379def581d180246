import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { expect, test, alive, PATIENT, readable, saved } from './kitchen';

const recipe = (name: string): string => readFileSync(`e2e/recipes/${name}.txt`, 'utf8');

/** Pastes a text and waits until what was understood stands there. */
async function review(page: Page, text: string): Promise<void> {
  await page.goto('/paste');
  await alive(page);
  await page.locator('textarea').fill(text);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('group', { name: 'Bowls' })).toBeVisible(PATIENT);
}

/** Grams of every line on Bench, as they are shown. */
const gramsOnBench = (page: Page): Promise<string[]> =>
  page
    .locator('[data-line] > span:first-child')
    .allInnerTexts()
    .then((all) => all.map(readable));
const openDoubts = (page: Page, n: number) => expect(page.locator('[data-open-doubts]')).toHaveAttribute('data-open-doubts', String(n));
const choose = async (page: Page, label: RegExp, option: string): Promise<void> => {
  await page.getByRole('button', { name: label }).click();
  await page.getByRole('dialog').getByRole('button', { name: option, exact: true }).click();
};

/** Drags the first step of a method behind the second, and waits until it stands there. */
async function dragFirstDown(page: Page, steps: Locator): Promise<void> {
  await steps.nth(0).hover();
  const grip = page.getByRole('button', { name: 'Move step 1' });
  await expect(grip).toHaveAttribute('data-drag', 'ready');
  const words = async (i: number): Promise<string> =>
    readable(
      await steps
        .nth(i)
        .getByRole('button', { name: new RegExp(`^Step ${i + 1}: `) })
        .innerText(),
    );
  const first = await words(0);
  const [from, to] = [(await grip.boundingBox())!, (await steps.nth(1).boundingBox())!];
  await page.mouse.move(from.x + 6, from.y + 6);
  await page.mouse.down();
  await page.mouse.move(from.x + 6, to.y + to.height - 4, { steps: 8 });
  await page.mouse.up();
  await expect.poll(() => words(1)).toBe(first);
}

async function toBench(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Make the sheet/ }).click();
  await page.waitForURL(/\/sheet\/.+\/bench/, PATIENT);
  await alive(page);
}

test('US cups and ounces become the grams of a hand calculation', async ({ page }) => {
  await review(page, recipe('us'));
  await openDoubts(page, 0);
  await expect(page.getByRole('button', { name: /^Cups and spoons: US/ })).toBeVisible();
  await expect(page.getByText('because of ‘40°F’')).toBeVisible();
  await toBench(page);
  // By hand: 2.5 × 236.588 mL × 1.009 g/mL; 24 × 15.5; 8 × 28.3495; half of 120; 59.147 × 1; 1.5 × 4.92892 × 0.975.
  const grams = await gramsOnBench(page);
  for (const g of ['597 g', '372 g', '227 g', '60 g', '59 g', '7.2 g']) expect(grams).toContain(g);
  await expect(page.getByRole('region', { name: 'Cream', exact: true })).toHaveAttribute('data-part', 'whipped-cream');
  await expect(page.getByRole('region', { name: 'Layers', exact: true })).toHaveAttribute('data-part', 'biscuit-layer');
  await expect(page.getByRole('region', { name: 'Method', exact: true })).toContainText('8\u2060–\u206012\u00a0h');
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue('8');
});

test('imperial pints and ounces, read in a kitchen with US cups', async ({ page }) => {
  await review(page, recipe('imperial'));
  await expect(page.getByRole('button', { name: /^Cups and spoons: imperial/i })).toBeVisible();
  await toBench(page);
  // By hand: 284.13 mL × 1.000; 3 × 28.3495; 4 × 28.413 mL × 0.991; 2 × 17.758 mL × 1.033.
  expect(await gramsOnBench(page)).toEqual(['284 g', '85 g', '113 g', '37 g']);
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('1/2 imperial pint double cream');
});

test('other cups by choice; a doubtful line is settled by what it is like, and kept in the larder', async ({ page }) => {
  await review(page, recipe('metric').replace('2 sheets gelatine', '2 sheets gelatine\n20 g zzyzx cordial'));
  // The cordial is not known; lemon juice, gelatine and yolks are in no step.
  await openDoubts(page, 4);
  await choose(page, /^Cups and spoons:/, 'Australian, 250 mL');
  const doubt = page.getByRole('group', { name: /^Choices for .*zzyzx/ });
  await doubt.getByRole('button', { name: 'add it to the larder' }).click();
  await doubt
    .getByRole('button', { name: /^like / })
    .first()
    .click();
  await openDoubts(page, 3);
  await toBench(page);
  // By hand: 250 mL × 1.01; 125 mL × 200/236.588; 2 × 20 mL × 1.033; 3 whites of 33, 3 yolks of 17; 2 × 2.
  const grams = await gramsOnBench(page);
  for (const g of ['253 g', '106 g', '41 g', '99 g', '51 g', '4 g', '20 g']) expect(grams).toContain(g);
  await expect(page.locator('[data-line]').filter({ hasText: 'not in the larder' })).toHaveCount(0);
});

test('a flat US recipe whose cream is divided: to the batch and the label', async ({ page }) => {
  const flat =
    'Blackberry icebox cake\nServes 10\n\n3 cups heavy cream, divided\n1/2 cup powdered sugar, divided\n8 oz cream cheese, softened\n1 tsp vanilla extract\n30 graham crackers\n2 cups blackberries\n\nBeat the cream cheese with 1/4 cup of the powdered sugar and the vanilla for 2 minutes. Whip 2 cups of the cream to medium peaks and fold into the cream cheese. Layer the graham crackers and the filling in a 9x13 inch pan. Refrigerate for 8 hours. Whip the remaining cream with the remaining sugar to soft peaks, spread over the cake and scatter with the blackberries.';
  await review(page, flat);
  await openDoubts(page, 0);
  await toBench(page);
  const grams = await gramsOnBench(page);
  // By hand: 2 and 1 × 236.588 mL × 1.009; 30 × 15.5; 8 × 28.3495; a quarter cup of 120, twice.
  for (const g of ['477 g', '239 g', '465 g', '227 g']) expect(grams).toContain(g);
  expect(grams.filter((g) => g === '30 g')).toHaveLength(2);
  const sheet = /\/sheet\/([^/]+)\//.exec(page.url())![1]!;
  await saved(page);
  await page.goto(`/pass?sheet=${sheet}`);
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/, PATIENT);
  await expect(page.getByRole('heading', { name: 'Mise en place' })).toBeVisible(PATIENT);
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { name: /^Beat the cream cheese/ })).toBeVisible(PATIENT);
  // The time that the recipe says has its clock.
  await page
    .getByRole('group', { name: 'Time' })
    .getByRole('button', { name: /^Timer/ })
    .click();
  await expect(page.getByRole('timer', { name: /^beat the cream cheese/ })).toHaveText(/^[12]:\d\d$/);
  const file = await page.request.get(`/api/sheets/${sheet}/files/recipe`);
  expect(await file.text()).toContain('Blackberry icebox cake');
  // To the end, and to the label on the tub.
  const cold = page.getByRole('button', { name: 'It is in the cold' });
  const next = page.getByRole('button', { name: /^Next/ });
  const heading = page.getByRole('heading', { level: 1 });
  await expect(async () => {
    if (await next.isVisible()) {
      const was = await heading.innerText();
      await next.click();
      await expect(heading).not.toHaveText(was);
    }
    await expect(cold).toBeVisible({ timeout: 500 });
  }).toPass(PATIENT);
  await cold.click();
  await page.waitForURL(/\/log\/.+/, PATIENT);
  const label = page.getByRole('region', { name: 'On its label' });
  await expect(label).toContainText('Contains milk, wheat');
  // Dairy cream: 72 h from when it went into the cold.
  await expect(label).toContainText(/made \w{3} .*, use by \w{3} .*/);
  const pdf = await page.request.get((await label.getByRole('link', { name: /A4, 21/ }).getAttribute('href'))!);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('what was only told, without a list: amounts in words become lines of the right bowls', async ({ page }) => {
  await review(
    page,
    'So for the tiramisu cream I take two egg yolks and eighty grams of sugar and whisk them over a pan of simmering water until they’re pale and thick, about five minutes. Then I beat in 250 grams of mascarpone. In another bowl whip 200 ml of double cream to soft peaks and fold that through. Dip 20 savoiardi in 200 ml strong coffee, lay them in a dish, spread the cream over and leave it in the fridge overnight. Feeds six.',
  );
  await openDoubts(page, 0);
  await expect(page.getByRole('region', { name: 'Ladyfingers' })).toHaveAttribute('data-part', 'biscuit-layer');
  await toBench(page);
  const grams = await gramsOnBench(page);
  for (const g of ['34 g', '80 g', '250 g', '200 g', '160 g']) expect(grams).toContain(g);
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue('6');
});

test('what was misread is put right: kind, part, order; taken back; kept through a reload', async ({ page }) => {
  await review(
    page,
    'Test fool\nServes 4\n\n300 ml double cream\n30 g icing sugar\n200 g raspberries\n\nWhip the cream with the sugar to soft peaks. Crush the raspberries. Fold together. Spoon into glasses. Chill for 1 hour.',
  );
  const bowl = page.getByRole('region', { name: 'Whipped cream', exact: true });
  await choose(page, /^Kind of Whipped cream:/, 'crown of cream');
  await expect(bowl).toHaveAttribute('data-part', 'crown');
  await page.keyboard.press('Control+z');
  await expect(bowl).toHaveAttribute('data-part', 'whipped-cream');
  await choose(page, /^Work of step 2:/, 'soak');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Work of step 2: soak' })).toBeVisible(PATIENT);
  const steps = page.getByRole('region', { name: 'Method, in this order' }).getByRole('listitem');
  const second = readable(await steps.nth(1).innerText());
  await steps.nth(1).hover();
  await page.getByRole('button', { name: 'Step 2 earlier' }).click();
  await expect
    .poll(async () =>
      readable(await steps.nth(0).innerText())
        .split(' ')
        .slice(2, 5)
        .join(' '),
    )
    .toBe(second.split(' ').slice(2, 5).join(' '));
  await dragFirstDown(page, steps);
  await page.keyboard.press('Control+z');
  await expect(steps.nth(0)).toContainText('Crush');
  // A time that was misread is put right here too.
  await page.getByRole('button', { name: /^Step 5: Chill for 1 hour/ }).click();
  await page.getByRole('dialog', { name: 'Step 5' }).getByLabel('Waits from').fill('3');
  await page.keyboard.press('Escape');
  await expect(steps.nth(4)).toContainText('3\u00a0h');
  await toBench(page);
  await expect(page.getByRole('region', { name: 'Method', exact: true })).toContainText('3\u00a0h');
  // On Bench the same can still be put right.
  await choose(page, /^Kind of Whipped cream:/, 'crown of cream');
  await expect(page.getByRole('region', { name: 'Whipped cream', exact: true })).toHaveAttribute('data-part', 'crown');
});

test('a written method beside the kitchen’s way: one step taken from it, one added, and taken back', async ({ page }) => {
  await review(
    page,
    'Custard pots\nServes 4\n\n300 ml milk\n4 egg yolks\n60 g caster sugar\n300 ml double cream\n\nStir the yolks with the sugar. Heat the milk, pour it on and cook the custard to 70 °C, stirring. Cool the custard. Whip the cream to soft peaks. Layer the custard and the cream in glasses. Chill for 2 hours.',
  );
  await toBench(page);
  const method = page.getByRole('region', { name: 'Method', exact: true });
  await expect(method).toContainText('the kitchen’s way: 82\u00a0°C');
  await method.getByRole('button', { name: /from the kitchen’s way|beside the kitchen’s way/ }).click();
  const beside = page.getByRole('dialog', { name: 'Beside the kitchen’s way' });
  await beside
    .getByRole('listitem')
    .filter({ hasText: '82\u00a0°C' })
    .getByRole('button', { name: /^Step \d+ the kitchen’s way/ })
    .click();
  await beside.getByRole('button', { name: 'Add: Chill the bowl and the whisk' }).click();
  await page.keyboard.press('Escape');
  await expect(method).not.toContainText('cook the custard to 70');
  await expect(method).toContainText('Cook to 82\u00a0°C, stirring');
  await expect(method).toContainText('Chill the bowl and the whisk');
  const steps = method.getByRole('listitem');
  const all = await steps.count();
  await page.keyboard.press('Control+z');
  await expect(steps).toHaveCount(all - 1);
  await page.keyboard.press('Control+z');
  await expect(method).toContainText('the kitchen’s way: 82\u00a0°C');
  // The order is dragged, too.
  const last = await steps.count();
  await dragFirstDown(page, steps);
  await expect(steps).toHaveCount(last);
});

test('nothing pasted is dropped: what is no line or step stays in sight', async ({ page }) => {
  const odd = 'Odd cream\nFor 4\n\n300 g cream 36 %\nsome quux powder\n\nMethod\nWhip the cream.\n\nNotes\nKeep away from cats.';
  await review(page, odd);
  const written = page.getByRole('region', { name: 'As it was written' });
  for (const row of odd.split('\n').filter((r) => r.trim() !== '')) await expect(written).toContainText(row);
  await openDoubts(page, 1);
  await toBench(page);
  await expect(page.locator('input[value="some quux powder"]')).toBeVisible();
  await expect(page.getByText('‘quux powder’ is not in the larder', { exact: false })).toBeVisible();
  await expect(page.getByLabel('Notes')).toHaveValue(/Keep away from cats/);
});

test('a page with a schema.org block, a sheet’s own file, and files that are neither', async ({ page }) => {
  const block = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Block cream',
    recipeYield: '6',
    recipeIngredient: ['1 cup heavy cream', '2 tbsp powdered sugar'],
    recipeInstructions: [{ '@type': 'HowToStep', text: 'Whip the cream with the sugar.' }],
  };
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
  await page.setInputFiles('input[type=file]', {
    name: 'newer.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"soft-peak-sheet","formatVersion":9}'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'form 9' })).toBeVisible();
  await page.setInputFiles('input[type=file]', { name: 'bomb.json', mimeType: 'application/json', buffer: Buffer.from('['.repeat(200_000)) });
  await expect(page.getByRole('alert').filter({ hasText: 'not JSON that can be read' })).toBeVisible();
});
