import { alive, expect, test } from './kitchen';

/** The book as a cook writes it: in few touches, corrected and not changed, signed, and traced. */

test('a reading is one touch on the page, a wrong one is corrected and both are seen, on paper and as a table too', async ({ page }) => {
  await page.goto('/log');
  await page.getByRole('link', { name: 'The book', exact: true }).click();
  const row = page.locator('[data-row="place chest evening"]');
  await row.getByRole('button', { name: '−19 °C' }).click();
  await expect(row).toHaveAttribute('data-state', 'in');
  await expect(row).toContainText('Early cook');
  // It was −9 °C after all.
  await row.getByRole('button', { name: 'correct' }).click();
  await row.getByLabel('Another reading, °C').fill('cold');
  await expect(row.getByRole('alert')).toContainText('‘cold’ is no reading');
  await row.getByLabel('Another reading, °C').fill('−9');
  await row.getByRole('button', { name: /write/ }).click();
  await expect(row).toHaveAttribute('data-state', 'out');
  await expect(row.locator('s')).toContainText('−19');
  await expect(page.locator('[data-book-says]')).toContainText('1 outside of the rule');
  const csv = await (await page.request.get(`/api/book?from=${await page.getByRole('textbox', { name: 'Day of the book' }).getAttribute('data-day')}`)).text();
  expect(csv).toMatch(/"Chest freezer, evening",−9.°C,.*,out,Early cook,.*−19.°C/);
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('row', { name: /Chest freezer, evening/ })).toContainText('OUTSIDE');
  await expect(page.getByText('Not signed')).toBeVisible();
});

test('what is written while the server does not answer waits on the tablet, also over a new page', async ({ page }) => {
  await page.goto('/log/book');
  const row = page.locator('[data-row="place under-counter evening"]');
  await page.route('**/api/book', (route) => route.abort());
  await row.getByRole('button', { name: '4 °C', exact: true }).click();
  await expect(row).toContainText('writing…');
  await expect(page.getByRole('status', { name: 'Writing' })).toContainText('1 on the way');
  await page.reload();
  await expect(page.getByRole('status', { name: 'Writing' })).toContainText('1 on the way');
  await page.unroute('**/api/book');
  await expect(row).toHaveAttribute('data-state', 'in', { timeout: 30_000 });
  await expect(page.getByRole('status', { name: 'Writing' })).toBeEmpty();
});

test('jobs in the kitchen’s words are asked for, done, and taken back where they were not; the day is signed', async ({ page }) => {
  await page.goto('/larder/kitchen#book');
  await alive(page);
  const jobs = page.getByLabel('Cleaned and checked each day, a row each');
  const put = page.waitForResponse((r) => r.request().method() === 'PUT' && r.ok());
  await jobs.fill(`${await jobs.inputValue()}\nDrains flushed`);
  await put;
  await page.goto('/log/book');
  const row = page.locator('[data-row="cleaned Drains flushed"]');
  await row.getByRole('button', { name: 'done' }).click();
  await expect(row).toContainText('Early cook');
  await row.getByRole('button', { name: 'correct' }).click();
  await row.getByRole('button', { name: 'take it back' }).click();
  await expect(row).toHaveAttribute('data-state', 'open');
  await expect(page.getByRole('region', { name: 'Taken back' })).toContainText('done');
  await page.getByRole('button', { name: /Sign this day/ }).click();
  await expect(page.getByText(/Signed by/)).toContainText('Early cook');
  await row.getByRole('button', { name: 'done' }).click();
  await expect(row).toContainText('after signing');
  await expect(page.getByRole('button', { name: /Sign it again/ })).toBeVisible();
});

test('a carton leads to its desserts, and a dessert to its cartons', async ({ page }) => {
  await page.goto('/log/book/lots');
  await page.getByLabel('Lot on the carton, or part of it').fill('l3284');
  await page.getByRole('button', { name: 'Which desserts had it' }).click();
  await page.getByRole('main').getByRole('link', { name: 'Brown-butter piping cream' }).click();
  await expect(page.getByRole('region', { name: 'In the book' })).toContainText('L 3284');
});
