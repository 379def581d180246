import { choose, expect, test, newSheet, readable, saved, tell, typeLine } from './kitchen';

test('from a carton of cream to a logged batch', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Gannet Quay, today' })).toBeVisible();
  // The forty touched last stand here; which these are depends on the stories told before.
  await expect(page.getByRole('heading', { name: 'Sheets', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Start one' }).click();
  await newSheet(page, 'Story cream');

  // Bench: edit.
  await typeLine(page, '1/2 cup icing sugar');
  await typeLine(page, '2 leaves gelatin');
  await expect(page.getByLabel('Line 3', { exact: true })).toHaveValue('2 leaves gelatin');
  await expect(page.locator('[data-line="2"]')).toContainText('60\u00a0g');
  await expect(page.locator('[data-line="3"]')).toContainText('+ 20\u00a0g soak water');
  expect(await tell(page, 'fat')).toMatch(/^Fat in the bowl 34\.\d %: stands well/);

  // Scale by portions, then by the cream that there is, then undo both.
  await page.getByRole('button', { name: 'One portion more' }).click();
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('675 g cream 36 %');
  await page.getByRole('button', { name: 'Scale the sheet' }).click();
  const scale = page.getByRole('dialog', { name: 'Scale the sheet' });
  await choose(scale.getByLabel('Scale to'), 'on-hand');
  await scale.getByRole('textbox', { name: 'On hand' }).fill('300 g');
  await expect(scale.getByText('4 portions', { exact: false })).toBeVisible();
  await scale.getByRole('button', { name: 'Scale the sheet' }).click();
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('300 g cream 36 %');
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue('4');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('600 g cream 36 %');
  await expect(page.getByLabel('Portions', { exact: true })).toHaveValue('8');

  // A number opens its working by Enter.
  const fat = page.getByRole('button', { name: /^Fat in the bowl/ });
  await fat.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('F = 100 · fat / (m − s)')).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);

  // Whisk, by its key; the other mixers come from the worker.
  await page.locator('body').click({ position: { x: 640, y: 790 } });
  await page.keyboard.press('3');
  await page.waitForURL(/whisk/);
  await expect(page.getByRole('img', { name: /Stages over the clock: medium after about/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Hand mixer.*min/ })).toBeVisible();
  await page.getByText('firm', { exact: true }).last().click();
  await expect(page.getByText('Firm after')).toBeVisible();
  const before = readable(await page.getByRole('button', { name: /^Time to firm/ }).innerText());
  await page.getByLabel('Cream with its bowl').fill('10');
  await expect(page.getByRole('button', { name: /^Time to firm/ })).not.toHaveText(before);
  await expect(page.locator('[data-warning="warm"]')).toBeVisible();
  await page.getByLabel('Cream with its bowl').fill('5');
  await page.getByLabel('Time under the whisk').fill('60');
  await expect(page.getByText('At 1:00 min', { exact: false })).toBeVisible();
  await saved(page);

  // Pass.
  await page.getByRole('link', { name: 'Pass' }).click();
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await expect(page.getByRole('heading', { name: 'Mise en place' })).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { name: 'Chill the bowl and the whisk' })).toBeVisible();
  await page.getByLabel('Cream in the bowl').fill('5');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByText('cream 36\u00a0% fat').click();
  await expect(page.getByRole('checkbox', { name: /cream/ })).toBeChecked();
  await page.getByLabel('Cup of liquid, net').fill('124');
  await page.reload();
  await expect(page.getByLabel('Cup of liquid, net')).toHaveValue('124');
  await expect(page.getByRole('checkbox', { name: /cream/ })).toBeChecked();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'Whisk on' }).click();
  const whisk = page.getByRole('region', { name: 'Whisk timer' }).getByRole('timer');
  await expect(whisk).not.toHaveText('0:00');
  await page.reload();
  await expect(whisk).not.toHaveText('0:00');
  await page.getByRole('button', { name: 'Whisk off' }).click();
  await page.getByLabel('Time to the stage').fill('4:30');
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByLabel('Same cup of foam, net').fill('130');
  await expect(page.getByText('probably not tared', { exact: false })).toBeVisible();
  await page.getByLabel('Same cup of foam, net').fill('64');
  await expect(page.locator('[data-outcome="overrun"]')).toHaveText('94\u00a0%');
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { name: 'Spoon or pipe' })).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'It is in the cold' }).click();

  // Log: (124 − 64)/64 = 93.75 %.
  await page.waitForURL(/\/log\/.+/);
  const batch = new URL(page.url()).pathname;
  await expect(page.locator('[data-comparison="overrun"]')).toContainText('94\u00a0%');
  await expect(page.locator('[data-comparison="time"]')).toContainText('4:30');
  await expect(page.getByText('Made from version 1')).toBeVisible();
  await page.getByLabel('Stayed clean for').fill('26');
  await expect(page.locator('[data-comparison="hold"]')).toContainText('26\u00a0h');
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'version 1' }).first()).toContainText('94\u00a0%');

  // The next edit opens version 2: what was made stays what it was.
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByLabel('Line 1', { exact: true }).fill('500 g cream 36 %');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('version 2, saved');
  // And Today shows it in the cold.
  await page.keyboard.press('Escape');
  await page.goto('/');
  await expect(page.locator(`a[href="${batch}"]`).filter({ hasText: /Story cream/ })).toContainText(/portions.*(stands until|use by)/);
});
