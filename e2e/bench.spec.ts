import { choose, expect, test, alive, newSheet, readable, saved, tell, typeLine, settled } from './kitchen';

test.describe('what is typed wrongly', () => {
  const CASES: [string, RegExp][] = [
    ['', /Type an amount and a name/],
    ['-5 g cream', /more than 0/],
    ['999999999 g cream', /more than 100/],
    ['1/0 g cream', /divides by nothing/],
    ['250 gx cream', /‘gx’ is not a measure I know/],
    ['250 g cream 83 %', /more than butter/],
    ['600 g flarb', /‘flarb’ is not in the larder/],
    ['cream', /no amount/],
  ];
  test('gets a sentence at the field, stays as typed, and the last figures stay', async ({ page }) => {
    await newSheet(page, 'Wrong things');
    const fat = await tell(page, 'fat');
    const line = page.getByLabel('Line 1', { exact: true });
    for (const [text, says] of CASES) {
      await line.fill(text);
      await expect(page.locator('[data-line="1"]').getByRole('alert')).toContainText(says);
      await expect(line).toHaveValue(text);
      expect(await tell(page, 'fat')).toBe(fat);
      expect(await page.locator('body').innerText()).not.toMatch(/NaN|Infinity|undefined/);
    }
    await saved(page);
    await page.reload();
    await expect(line).toHaveValue('cream');
  });
  test('a name that is not known is settled with one press', async ({ page }) => {
    await newSheet(page, 'Settled');
    await page.getByLabel('Line 1', { exact: true }).fill('600 g whiping creamm');
    await page.locator('[data-line="1"]').getByRole('button', { name: /cream/i }).first().click();
    await expect(page.locator('[data-line="1"]').getByRole('alert')).toHaveCount(0);
  });
  test('temperature and portions keep what was typed with the reason', async ({ page }) => {
    const id = await newSheet(page, 'Too warm');
    await page.getByLabel('Portions', { exact: true }).fill('0');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'whole number from 1' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.goto(`/sheet/${id}/whisk`);
    await page.getByLabel('Cream with its bowl').fill('26');
    await expect(page.getByText('26 is outside', { exact: false })).toBeVisible();
    await expect(page.getByLabel('Cream with its bowl')).toHaveValue('26');
  });
});

test('is worked by keyboard alone', async ({ page }) => {
  await newSheet(page, 'Keys only');
  await typeLine(page, '60 g icing sugar');
  await page.keyboard.type('1 tsp vanilla');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Line 3', { exact: true })).toHaveValue('1 tsp vanilla');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Line 3', { exact: true })).toBeFocused();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(page.getByLabel('Line 2', { exact: true })).toHaveValue('1 tsp vanilla');
  await expect(page.getByLabel('Line 2', { exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Line 3', { exact: true })).toBeFocused();
  await page.keyboard.type('100 g mascarpone');
  await expect(page.getByLabel('Line 3', { exact: true })).toHaveValue('100 g mascarpone');
  await page.keyboard.press('Control+Backspace');
  await expect(page.locator('[data-line]')).toHaveCount(3);
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-line]')).toHaveCount(4);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.locator('[data-line]')).toHaveCount(3);
});

test('a line is dragged to another place', async ({ page }) => {
  await newSheet(page, 'Dragged');
  await typeLine(page, '60 g icing sugar');
  await page.locator('[data-line="1"]').hover();
  const grip = page.getByRole('button', { name: 'Move line 1' });
  // The grips come to life when a pointer is near.
  await expect(grip).toHaveAttribute('data-drag', 'ready');
  const to = await page.locator('[data-line="2"]').boundingBox();
  const from = await grip.boundingBox();
  await page.mouse.move(from!.x + 8, from!.y + 8);
  await page.mouse.down();
  await page.mouse.move(from!.x + 8, to!.y + to!.height - 4, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('60 g icing sugar');
});

test('a tell is acted on, and lands in its band', async ({ page }) => {
  await newSheet(page, 'Acted on', '600 g cream 20 %');
  await expect(page.locator('[data-tell="fat"]')).toHaveAttribute('data-state', 'out');
  await page.getByRole('button', { name: /Add 800.g double cream/ }).click();
  await expect(page.locator('[data-tell="fat"]')).toHaveAttribute('data-state', 'in');
  expect(await tell(page, 'fat')).toContain('36 %');
  await choose(page.getByLabel('It is'), 'slice');
  await page.getByRole('button', { name: /leaves gelatin/ }).click();
  // Seven tells at once; one that is in its band folds away.
  await page.getByRole('button', { name: /Show \d more/ }).click();
  await expect(page.locator('[data-tell="gelatin"]')).toHaveAttribute('data-state', 'in');
});

test('tells are seen figure first: the sentence comes on touch, the figure opens its working', async ({ page }) => {
  await page.goto('/sheet/rhubarb-trifle/bench');
  await alive(page);
  const air = page.locator('[data-tell="air"]');
  const words = air.getByRole('button', { name: /^air/ });
  await expect(words).toHaveAttribute('aria-expanded', 'false');
  await words.click();
  await expect(words).toHaveAttribute('aria-expanded', 'true');
  await expect(air.getByText(/at medium: makes/)).toBeVisible();
  await air
    .getByRole('button', { name: /^Air .*open its working$/ })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: /^Working of air/i })).toBeVisible();
  await page.keyboard.press('Escape');
  // By keys alone: the next row's words, Enter, and its sentence.
  const sweet = page.locator('[data-tell="sweetness"]').getByRole('button', { name: /^sweet/ });
  await sweet.focus();
  await page.keyboard.press('Enter');
  await expect(sweet).toHaveAttribute('aria-expanded', 'true');
});

test('two tabs on one sheet get a choice, and neither is lost', async ({ page, context }) => {
  const id = await newSheet(page, 'Two tabs');
  const other = await context.newPage();
  await other.goto(`/sheet/${id}/bench`);
  await other.getByLabel('Line 1', { exact: true }).fill('700 g cream 36 %');
  await saved(other);
  await page.getByLabel('Line 1', { exact: true }).fill('500 g cream 36 %');
  const choice = page.getByRole('dialog', { name: 'Another screen changed this sheet' });
  await expect(choice).toContainText('500 g cream 36 %');
  await expect(choice).toContainText('700 g cream 36 %');
  await choice.getByRole('button', { name: 'Go on with mine' }).click();
  await expect(choice).toHaveCount(0);
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('version 2, saved');
  const stored = (await (await page.request.get(`/api/sheets/${id}`)).json()) as { doc: { parts: { lines: { text: string }[] }[] } };
  expect(stored.doc.parts[0]!.lines[0]!.text).toBe('500 g cream 36 %');
  // The other tab, when looked at again, takes what is so; and its own edit after that meets no conflict.
  await other.reload();
  await expect(other.getByLabel('Line 1', { exact: true })).toHaveValue('500 g cream 36 %');
});

test('a tab that the browser copied is another screen: it gets the choice, and nothing passes for saved that is not', async ({ page, context }) => {
  const id = await newSheet(page, 'Copied tab');
  await page.getByLabel('Line 1', { exact: true }).fill('610 g cream 36 %');
  await saved(page);
  const copy = await context.newPage();
  // What a browser does with 'copy this tab': the new one begins with the store of the old.
  await copy.addInitScript(
    (store) => {
      if (sessionStorage.length === 0) for (const [k, v] of store) sessionStorage.setItem(k, v);
    },
    await page.evaluate(() => Object.entries(sessionStorage) as [string, string][]),
  );
  await copy.goto(`/sheet/${id}/bench`);
  await expect(copy.getByLabel('Line 1', { exact: true })).toHaveValue('610 g cream 36 %');
  // It has asked what is so, and asks no more until it is looked at again.
  await settled(copy);
  await page.getByLabel('Line 1', { exact: true }).fill('700 g cream 36 %');
  await saved(page);
  await copy.getByLabel('Line 1', { exact: true }).fill('500 g cream 36 %');
  const choice = copy.getByRole('dialog', { name: 'Another screen changed this sheet' });
  await expect(choice).toContainText('700 g cream 36 %');
  const stored = (await (await page.request.get(`/api/sheets/${id}`)).json()) as { doc: { parts: { lines: { text: string }[] }[] } };
  expect(stored.doc.parts[0]!.lines[0]!.text).toBe('700 g cream 36 %');
});

test('what is typed while the server is away is kept through a closed tab', async ({ page, context }) => {
  const id = await newSheet(page, 'Away');
  await context.route('**/api/sheets/**', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await page.getByLabel('Line 1', { exact: true }).fill('480 g cream 36 %');
  await expect(page.getByRole('status', { name: 'Saving' })).toContainText('not saved');
  await page.close();
  await context.unroute('**/api/sheets/**');
  const back = await context.newPage();
  await back.goto(`/sheet/${id}/bench`);
  await expect(back.getByLabel('Line 1', { exact: true })).toHaveValue('480 g cream 36 %');
  await saved(back);
  const stored = (await (await back.request.get(`/api/sheets/${id}`)).json()) as { doc: { parts: { lines: { text: string }[] }[] } };
  expect(stored.doc.parts[0]!.lines[0]!.text).toBe('480 g cream 36 %');
});

test('keys, finder and key list', async ({ page }) => {
  await page.goto('/');
  await alive(page);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A sheet, an ingredient').fill('malted');
  await page.keyboard.press('Enter');
  await page.waitForURL(/malted-cheese-frosting\/bench/);
  await expect(page.getByLabel('Name of the sheet')).toHaveValue('Malted cheese frosting');
  await page.keyboard.press('7');
  await page.waitForURL(/\/log\?sheet=malted/);
  await page.keyboard.press('0');
  await page.waitForURL((url) => url.pathname === '/');
  await page.keyboard.press('1');
  await page.waitForURL(/\/sheet\/.+\/bench/);
  await expect(page.getByLabel('Next line')).toBeVisible();
  await page.keyboard.press('6');
  await page.waitForURL(/pass/);
});

test('what is typed and taken at once is looked for in the whole list, not in the half that is here', async ({ page }) => {
  let come = (): void => undefined;
  const coming = new Promise<void>((done) => (come = done));
  await page.route('**/api/sheets', async (route) => {
    await coming;
    await route.continue();
  });
  await page.goto('/');
  await alive(page);
  await page.keyboard.press('Control+k');
  const asks = page.getByPlaceholder('A sheet, an ingredient');
  await asks.fill('malted');
  await asks.press('Enter');
  // Until then it stays open: 'measures, cold, mixers' has those letters too.
  await expect(asks).toBeVisible();
  await expect(page).toHaveURL(/\/$/);
  come();
  await page.waitForURL(/malted-cheese-frosting\/bench/);
});

test('the finder adds an ingredient to the sheet in hand', async ({ page }) => {
  await newSheet(page, 'Found');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A sheet, an ingredient').fill('mascarpone');
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-line="2"]')).toContainText(/100.g/);
  expect(readable(await page.locator('[data-line="2"]').innerText())).toContain('Mascarpone');
});
