import type { ChildProcess } from 'node:child_process';
import { alive, expect, PATIENT, readable, test } from './kitchen';
import { ownKitchen } from './own-kitchen';
import { storyPort } from './ports';

const PORT = storyPort(6);
const BASE = `http://127.0.0.1:${PORT}`;
test.use({ baseURL: BASE });

let server: ChildProcess;
test.beforeAll(async () => {
  server = await ownKitchen(PORT, false);
});
test.afterAll(() => void server.kill());

test('a new kitchen is led from its measures to its first sheet, in inches and °F where it has them', async ({ page }) => {
  const saved = () => expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Next' })).toContainText('A new kitchen.');
  await page.getByRole('link', { name: 'Set up the kitchen' }).click();

  await page.getByRole('heading', { name: 'Where do you measure?' }).waitFor();
  await page.getByLabel('What the kitchen is called').fill('Gannet Quay');
  await page.getByRole('radio', { name: /^Canada/ }).check({ force: true });
  await saved();
  await page.getByRole('link', { name: 'Next: cold' }).click();

  await page.getByRole('heading', { name: 'What keeps things cold?' }).waitFor();
  const place = (name: string) => page.getByRole('list', { name: 'Cold places' }).getByRole('listitem').filter({ hasText: name });
  await page.getByRole('checkbox', { name: 'Tall fridge' }).uncheck();
  await page.getByRole('checkbox', { name: 'Upright freezer' }).check();
  await place('Upright freezer').getByLabel('Air').fill('-4 F');
  await expect(place('Upright freezer')).toContainText('= -20');
  // What measures something else is said so, and the last good figure stays.
  await place('Upright freezer').getByLabel('Room in it').fill('12 in');
  await expect(place('Upright freezer').getByRole('alert').filter({ hasText: 'no measure of this' })).toBeVisible();
  await place('Upright freezer').getByLabel('Room in it').fill('10 cu ft');
  await expect(place('Upright freezer')).toContainText('= 283.2');
  await saved();
  await page.getByRole('link', { name: 'Next: mixers' }).click();

  await page.getByRole('checkbox', { name: 'Planetary mixer 20 qt' }).check();
  await saved();
  await page.getByRole('link', { name: 'Next: tins and glasses' }).click();

  const another = page.getByRole('region', { name: 'Another by its size' });
  await another.getByLabel('Across').fill('9 1/2 in');
  await another.getByLabel('High').fill('2.5"');
  await another.getByRole('button', { name: 'Put it on the shelf' }).click();
  await another.getByText('glass, by water').click();
  await another.getByLabel('Water to the brim').fill('6 fl oz');
  await another.getByLabel('How many').fill('24');
  await another.getByRole('button', { name: 'Put it on the shelf' }).click();
  const vessels = page.getByRole('list', { name: 'Vessels' });
  await expect(vessels.getByLabel('How many: Tin 24.1 cm')).toHaveValue('1');
  await expect(vessels.getByLabel('How many: Glass 177 mL')).toHaveValue('24');
  await vessels.getByLabel('How many: Pan 9 × 13 in').fill('3');
  await saved();
  await page.getByRole('link', { name: 'Next: food rules' }).click();

  await page.getByRole('radio', { name: /^Canadian Food/ }).check({ force: true });
  await expect(page.getByLabel('In your own words')).toHaveValue(/Canada/);
  await saved();
  await page.getByRole('link', { name: 'Next: first sheet' }).click();
  await page.getByRole('link', { name: /^Tiramisu tray/ }).click();
  await page.waitForURL(/\/new\?start=/);
  await expect(page.locator('input[name="start"]:checked')).not.toHaveValue('');
  await page.getByLabel('What is it called?').fill('Supper trifle');
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/bench/, PATIENT);

  // It is the kitchen's own now, wherever it is looked at.
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Gannet Quay, today');
  await expect(page.getByRole('region', { name: 'Next' })).not.toContainText('A new kitchen');
  await page.goto('/larder/kitchen');
  await alive(page);
  const kitchen = readable(await page.locator('main, body').first().innerText());
  expect(kitchen).toContain('metric, 250 mL');
  expect(kitchen).toContain('our authority’s');
  await expect(page.getByLabel('First to')).toHaveValue('20');
  await expect(page.getByLabel('A standard drink')).toHaveValue('13.45');
  const named = async (section: string) =>
    page
      .getByRole('region', { name: section, exact: true })
      .getByLabel('Name')
      .evaluateAll((fields) => fields.map((f) => (f as HTMLInputElement).value));
  expect(await named('Fridges, freezers, counter')).toEqual(['Under-counter fridge', 'Chest freezer', 'Counter', 'Upright freezer']);
  expect(await named('Mixers')).toContain('Planetary mixer 20 qt');
  expect(await named('Vessels')).toEqual(expect.arrayContaining(['Tin 24.1 cm', 'Glass 177 mL', 'Pan 9 × 13 in']));
});

test('a field in another unit keeps what was typed; the keys go through the questions', async ({ page }) => {
  await page.goto('/larder/kitchen');
  const room = page.getByRole('region', { name: 'Rules' }).getByLabel('Room', { exact: true });
  await room.fill('72 F');
  await room.press('Tab');
  await expect(room).toHaveValue('72 F');
  await expect(page.getByText('= 22.2')).toBeVisible();
  await expect(page.getByRole('status', { name: 'Saving' }).first()).toHaveText('saved');
  await page.reload();
  await expect(room).toHaveValue('22.22');
  await page.goto('/begin');
  await page.getByRole('radio', { name: /^United States/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('radio', { name: /^United Kingdom/ })).toBeChecked();
  await page.getByRole('navigation', { name: 'Setting up' }).getByRole('link', { name: 'Mixers' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'What do you whip in?' })).toBeVisible();
  // One mixer stays: figures of whipping are of one.
  const boxes = page.getByRole('list', { name: 'Mixers' }).getByRole('checkbox');
  for (const box of await boxes.all()) if (await box.isChecked()) await box.click();
  expect(await boxes.evaluateAll((all) => all.filter((b) => (b as HTMLInputElement).checked).length)).toBe(1);
});
