import { copyOf, expect, test, settled } from './kitchen';

/** Today: the next thing, the day, the cold, the shelf of sheets. */

test('the one thing to do next: nothing, then what is on the pass', async ({ page }) => {
  await page.goto('/');
  const next = page.getByRole('region', { name: 'Next', exact: true });
  await expect(next).toBeVisible();
  const { id } = (await (await page.request.post('/api/batches', { data: { sheetId: 'malted-cheese-frosting' } })).json()) as { id: string };
  await page.goto('/');
  await expect(next).toContainText('Now:');
  await expect(next).toContainText('step 1 of');
  await next.getByRole('link', { name: 'Go on with it' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await page.request.post(`/api/batches/${id}/events`, { data: { event: { kind: 'abandon', at: Date.now() }, baseRevision: 1 } });
});

test('the shelf: found by a part of the name, in a folder of its own, put away and taken back, copied', async ({ page }) => {
  await copyOf(page, 'prune-mousse', 'Shelf story mousse');
  await page.goto('/');
  await settled(page);
  const sheets = page.getByRole('region', { name: 'Sheets' });
  const tile = sheets.getByRole('listitem').filter({ hasText: 'Shelf story mousse' });
  await page.getByRole('searchbox', { name: 'Find among the sheets' }).fill('shelf STORY');
  await page.waitForURL(/find=shelf/);
  await expect(sheets.getByRole('link', { name: 'Make it' })).toHaveCount(1);
  // Into a folder.
  await tile.getByRole('button', { name: 'More for Shelf story mousse' }).click();
  await page.getByRole('menuitem', { name: 'Into a folder…' }).click();
  await page.getByLabel('A new folder, by a name of your own').fill('Regatta');
  await page.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByText('Shelf story mousse is in Regatta.').first()).toBeVisible();
  await sheets.getByRole('link', { name: /^Regatta/ }).click();
  await page.waitForURL(/folder=Regatta/);
  await expect(tile).toBeVisible();
  // Away, and back by the note; away for good, and back from where it lies.
  const away = async () => {
    await tile.getByRole('button', { name: 'More for Shelf story mousse' }).click();
    await page.getByRole('menuitem', { name: 'Put away' }).click();
    await expect(tile).toHaveCount(0);
  };
  await away();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tile).toBeVisible();
  await away();
  await page.goto('/?away=1');
  await settled(page);
  await tile.getByRole('button', { name: 'More for Shelf story mousse' }).click();
  await page.getByRole('menuitem', { name: 'Take it back' }).click();
  await expect(tile).toHaveCount(0);
  await page.goto('/?folder=Regatta');
  await settled(page);
  await tile.getByRole('button', { name: 'More for Shelf story mousse' }).click();
  await page.getByRole('menuitem', { name: 'Make a copy' }).click();
  await page.waitForURL(/\/sheet\/.+\/bench/);
  await expect(page.getByLabel('Name of the sheet')).toHaveValue('Shelf story mousse, copy');
});

test('with the server away nothing is copied or put away, and that is said', async ({ page }) => {
  await page.goto('/?find=malted');
  await settled(page);
  await page.route('**/api/sheets/**', (route) => route.abort());
  const more = page.getByRole('button', { name: 'More for Malted cheese frosting' });
  for (const [item, says] of [
    ['Make a copy', 'nothing was copied'],
    ['Put away', 'nothing was changed'],
  ] as const) {
    await more.click();
    await page.getByRole('menuitem', { name: item }).click();
    await expect(page.getByText(says, { exact: false }).first()).toBeVisible();
  }
  await expect(more).toBeVisible();
});

test('Today is light: its cuts are not sent bubble by bubble', async ({ page }) => {
  const today = (await (await page.request.get('/')).body()).toString();
  const cuts = today.match(/cut across/g)!.length;
  expect(cuts).toBeGreaterThan(9);
  // Bubble by bubble a cut was 90 kB, and every tablet and every other screen waited for it; as paths it is a fifth of that.
  expect(today.length / cuts).toBeLessThan(30_000);
});
