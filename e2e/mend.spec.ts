import type { Page } from '@playwright/test';
import { alive, expect, newSheet, readable, saved, settled, startBatch, test, typeLine } from './kitchen';

/** Something went wrong: from what is seen to the rescue with amounts, into the batch and onto its label. */

const rescue = (page: Page) => page.getByRole('complementary', { name: 'Rescue' });
const title = async (page: Page): Promise<string> => readable(await rescue(page).getByRole('heading', { level: 2 }).innerText());

test('over-whipped on Pass: one touch, causes for this batch, cold cream in grams, into the batch, log and larder', async ({ page }) => {
  const id = await newSheet(page, 'Gone grainy');
  await typeLine(page, '60 g icing sugar');
  await saved(page);
  const batchId = await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: 'Weigh into the bowl' }).waitFor();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: /^Whisk to/ }).waitFor();
  await page.getByRole('link', { name: 'something is wrong' }).click();
  await page.waitForURL(/\/mend\?batch=/);
  await expect(page.getByRole('heading', { name: /Gone grainy, on the pass since/ })).toBeVisible();
  await page.getByRole('button', { name: 'grains, sheen gone' }).click();
  // Nothing is known yet; then the clock and the thermometer speak.
  const first = page.getByRole('region', { name: 'Likely' }).getByRole('button').first();
  await page.getByLabel('Under the whisk').fill('9:30');
  await expect(first).toContainText('Whisked past firm');
  await expect(first).toContainText(/the window of \w+ closed at/);
  const grams = /Stir in (\d+) g cold cream/.exec(await title(page))!;
  await expect(
    rescue(page)
      .getByRole('definition')
      .filter({ hasText: `${660 + Number(grams[1])} g` }),
  ).toHaveCount(1);
  // The amount opens its working.
  await rescue(page)
    .getByRole('button', { name: /open its working/ })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: /Working of cold cream/ })).toContainText('fat network');
  await page.keyboard.press('Escape');
  await rescue(page).getByRole('button', { name: 'Write it into the batch' }).click();
  await expect(rescue(page).getByRole('group', { name: 'Did it help?' })).toBeVisible();
  // The mend stands in the bowl: looked at again, the next one is of what is there now; whether the first helped is still asked.
  await page.reload();
  await alive(page);
  await expect(rescue(page).getByRole('group', { name: 'Did it help?' })).toContainText('stands in the batch');
  await expect(
    rescue(page)
      .getByRole('definition')
      .filter({ hasText: `${660 + Number(grams[1])} g →` }),
  ).toHaveCount(1);
  await rescue(page).getByRole('button', { name: 'yes' }).click();
  await expect(rescue(page).getByRole('button', { name: 'yes' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('link', { name: 'Back to Pass' }).click();
  await page.waitForURL(`**/pass/${batchId}`);
  await page.getByRole('button', { name: /off the plan \(1\)/ }).click();
  await expect(page.getByRole('list', { name: 'Written down so far' })).toContainText(`Mended: Stir in ${grams[1]} g cold cream`.replace(/ g/, '\u00a0g'));
  while (!(await page.getByRole('button', { name: 'It is in the cold' }).count())) {
    const before = await page.getByRole('heading', { level: 1 }).innerText();
    await page.getByRole('button', { name: /^Next/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(before);
  }
  await page.getByRole('button', { name: 'It is in the cold' }).click();
  await page.waitForURL(/\/log\//);
  await expect(page.getByRole('region', { name: 'Made from' })).toContainText('Mended: Stir in');
  // The next time this kitchen's own log speaks.
  await page.goto(`/mend?sheet=${id}&sign=grains`);
  await expect(page.getByRole('region', { name: 'Likely' }).getByRole('button').first()).toContainText(/\d of \d times in this kitchen/);
  await expect(rescue(page)).toContainText(/In this kitchen it helped \d of \d times/);
});

test('at butter a fresh bowl is written into the batch: its steps are open again on Pass, and nothing of them is weighed', async ({ page }) => {
  const id = await newSheet(page, 'Gone to butter');
  await saved(page);
  const batchId = await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: 'Weigh into the bowl' }).waitFor();
  const first = page.getByRole('checkbox').first();
  // Its box is drawn over it: as with a finger, the row is what is touched.
  await page.locator('label').filter({ has: first }).first().click();
  await expect(first).toBeChecked();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: /^Whisk to/ }).waitFor();
  await page.goto(`/mend?batch=${batchId}&sign=butter`);
  await alive(page);
  await rescue(page).getByRole('button', { name: 'Write it into the batch' }).click();
  await expect(rescue(page).getByRole('group', { name: 'Did it help?' })).toContainText(/its \d steps are open again on Pass/);
  await page.getByRole('link', { name: 'Back to Pass' }).click();
  await page.waitForURL(`**/pass/${batchId}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/Chill the bowl/);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: 'Weigh into the bowl' }).waitFor();
  await expect(page.getByRole('checkbox').first()).not.toBeChecked();
});

test('the finder knows a cook’s words: grainy, weepy, seized, ran out; on a sheet it opens for that sheet', async ({ page }) => {
  const id = await newSheet(page, 'By its words');
  for (const [said, name] of [
    ['grainy', 'grains, sheen gone'],
    ['weepy', 'weeps at the bottom'],
    ['seized', 'chocolate seized'],
    ['ran out', 'not enough of it'],
    ['hard as stone', 'too hard to cut'],
  ] as const) {
    await page.keyboard.press('Control+k');
    await page.getByPlaceholder('A sheet, an ingredient').fill(said);
    await expect(page.getByRole('option', { name }).first()).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: 'Find' })).toBeHidden();
  }
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A sheet, an ingredient').fill('grainy');
  await page.getByRole('option', { name: 'grains, sheen gone' }).first().click();
  await page.waitForURL(`**/mend?sheet=${id}&sign=grains`);
  await expect(rescue(page).getByRole('heading', { level: 2 })).toContainText('cold cream');
});

test('strings, seized chocolate and too few glasses: each with its grams, and an impossible reading is said', async ({ page }) => {
  // The sample mousse holds chocolate; its glasses are counted.
  await page.goto('/mend?sheet=prune-mousse&sign=seized');
  await settled(page);
  expect(await title(page)).toMatch(/^Stir in [\d.]+ g hot /);
  await page.getByLabel('How much of it').fill('100');
  await expect(rescue(page).getByRole('heading', { level: 2 })).toContainText(/Stir in/);
  await page.goto('/mend?sheet=prune-mousse&sign=glasses');
  await page.getByLabel('Glasses there are').fill('2.5');
  await expect(page.getByRole('alert').filter({ hasText: 'whole number' })).toBeVisible();
  await page.getByLabel('Glasses there are').fill('6');
  await expect(rescue(page).getByRole('heading', { level: 2 })).toContainText('6 ×');
  const id = await newSheet(page, 'With threads');
  await typeLine(page, '4 leaves gelatin');
  await saved(page);
  await page.goto(`/mend?sheet=${id}`);
  await alive(page);
  await page.getByLabel('Say it').fill('stringy');
  await page.getByLabel('Say it').press('Enter');
  expect(await title(page)).toMatch(/^Sieve it/);
  await expect(page.getByRole('region', { name: 'Likely' }).getByRole('button').first()).toContainText(/meet at \d+/);
  // What the thermometer says at a step: how far it is, and no temperature is said to be none; it is still there after a reload.
  const reads = rescue(page).getByLabel('It reads').first();
  await reads.fill('tepid');
  await expect(rescue(page).getByText('‘tepid’ is no temperature')).toBeVisible();
  await reads.fill('24.5');
  await expect(
    rescue(page)
      .getByText(/^[\d.]+\u00a0°C to go\.$/)
      .first(),
  ).toBeVisible();
  await page.reload();
  await alive(page);
  await expect(rescue(page).getByLabel('It reads').first()).toHaveValue('24.5');
  await page.getByLabel('It is at').fill('999');
  await expect(page.getByRole('alert').filter({ hasText: 'From -40 to 150' })).toBeVisible();
  // What is not in it cannot be: no dead end.
  await page.getByRole('button', { name: 'all other signs' }).click();
  await page.getByLabel('Say it').fill('seized');
  await expect(page.getByText('That cannot be in this dessert')).toBeVisible();
});

test('asked in general, a sign is answered for a dessert of a usual size, and from there for one of one’s own', async ({ page }) => {
  await page.goto('/mend');
  const general = page.getByRole('region', { name: 'In general' });
  await general.getByRole('textbox').fill('zzz');
  await expect(general).toContainText('No sign by that name');
  await general.getByRole('textbox').fill('split');
  await general.getByRole('link', { name: /ganache split/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A usual chocolate mousse for 8');
  await expect(page.getByText(/^Beat in \d+\u00a0g warm milk/)).toBeVisible();
  await expect(page.getByText('The amounts are of a usual size')).toBeVisible();
  await page.getByRole('link', { name: 'for a dessert of mine' }).click();
  await expect(page.getByText('Which dessert is it: ganache split?')).toBeVisible();
  await expect(page.getByRole('link', { name: 'In general, for none of them' })).toBeVisible();
});

test('what must go, goes; and a change that prevents it stands in the next version', async ({ page }) => {
  const id = await newSheet(page, 'Warm and rich', '600 g cream 48 %');
  await page.goto(`/mend?sheet=${id}&sign=left-out`);
  await alive(page);
  await page.getByLabel('Out of the cold').fill('5');
  await expect(rescue(page).getByRole('heading', { level: 2 })).toHaveText('It goes');
  await page.goto(`/mend?sheet=${id}&sign=grains`);
  await alive(page);
  await page
    .getByRole('region', { name: 'Likely' })
    .getByRole('button', { name: /Rich cream/ })
    .click();
  const again = page.getByRole('region', { name: 'So that it does not come again' });
  await again.getByRole('button', { name: /g milk in it/ }).click();
  await expect(again.getByRole('status')).toContainText(/It stands in version 2/);
  await page.goto(`/sheet/${id}/bench`);
  await expect(page.locator('input[value*="milk"]').first()).toBeAttached();
});

test('train the eye: a sign is named, the first thing to do chosen, and what was missed is kept', async ({ page }) => {
  await page.goto('/mend/eye');
  await alive(page);
  await page.getByRole('button', { name: 'Show me one' }).click();
  const batch = page.getByRole('region', { name: 'The batch' });
  await batch.getByRole('heading', { name: 'What is it?' }).waitFor();
  await batch.getByRole('listitem').first().getByRole('button').click();
  await batch.getByRole('heading', { name: 'What do you do first?' }).waitFor();
  await batch.getByRole('list').nth(1).getByRole('button').first().click();
  await expect(batch.getByRole('button', { name: 'Another', exact: true })).toBeVisible();
  const kept = await page.evaluate(() => localStorage.getItem('soft-peak:eye'));
  expect(JSON.stringify(kept)).toMatch(/\[[01],1\]/);
});

test('a second sign turns the causes, and what stood too long goes whatever could be done', async ({ page }) => {
  await page.goto('/mend?sheet=bay-leaf-chantilly&sign=weeps');
  const too = page.getByRole('group', { name: 'Seen too' });
  const first = page.getByRole('region', { name: 'Likely' }).getByRole('button').first();
  await expect(first).not.toContainText('Stood longer than it holds');
  await too.getByRole('button', { name: 'soft again in the cold' }).click();
  await expect(first).toContainText('Stood longer than it holds');
  await expect(first).toContainText('It makes the other too: soft again in the cold.');
  await too.getByRole('button', { name: 'stood out of the cold' }).click();
  await expect(first).not.toContainText('the other');
  await page.getByLabel('Out of the cold').fill('9');
  await page.getByLabel('It is at').fill('24');
  await expect(rescue(page).getByRole('heading', { name: 'It goes' })).toBeVisible();
  // Not so: then the first sign has its own rescue again.
  await too.getByRole('button', { name: 'stood out of the cold' }).click();
  await expect(rescue(page).getByRole('heading', { name: 'It goes' })).toBeHidden();
});
