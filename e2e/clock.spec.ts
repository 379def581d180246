import type { Page } from '@playwright/test';
import { choose, alive, copyOf, expect, readable, test } from './kitchen';

/** Clock: dinners and orders planned backwards, printed, run and planned anew; what cannot be, and its mend. */

const DAILY = [1, 2, 3, 4, 5, 6, 7];
const ROUND_THE_CLOCK = [{ id: 'hands', name: 'Hands', hours: [{ days: DAILY, from: '00:00', to: '23:59' }] }];

/** A moment so many minutes from now, as a clock in UTC shows it. */
const inMinutes = (minutes: number): string => new Date(Math.ceil((Date.now() + minutes * 60_000) / 300_000) * 300_000).toISOString().slice(0, 16);

interface Served {
  readonly id: string;
  readonly sheetId: string;
  readonly at: string;
  readonly portions: number;
}

async function newService(page: Page, name: string, servings: readonly Served[], more: object = {}): Promise<string> {
  const doc = { format: 'soft-peak-service', formatVersion: 1, name, zone: 'UTC', from: null, servings, crew: ROUND_THE_CLOCK, spareMin: 5, ...more };
  const response = await page.request.post('/api/services', { data: { doc } });
  expect(response.status()).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

const planned = (page: Page) => expect(page.getByText(/^(Begin|Now) /)).toBeVisible({ timeout: 20_000 });

test('a dinner of three desserts: planned, printed, run for two steps, planned anew', async ({ page }) => {
  await page.goto('/clock');
  await page.getByRole('button', { name: 'Plan a service' }).click();
  await page.waitForURL(/\/clock\/[0-9a-f-]{36}/);
  await alive(page);
  await expect(page.getByText('Choose what is served, and when')).toBeVisible();
  await page.getByLabel('Name of the service').fill('Three for the quay');
  const served = page.getByRole('region', { name: 'Served' });
  for (const name of ['Pear and black-tea icebox cake', 'Buckwheat-honey semifreddo', 'Elderflower syllabub, whole']) {
    await choose(served.getByRole('combobox', { name: 'Serve one more' }), { label: name });
    await expect(served.getByText(name, { exact: true }).first()).toBeVisible();
  }
  await served.getByLabel('Buckwheat-honey semifreddo, served, time').fill('19:30');
  // Two cooks for the evening.
  const hands = page.getByRole('region', { name: 'Hands' });
  await hands.getByLabel('Early cook from').fill('06:00');
  await planned(page);

  // The ribbon: every lane, a task with its working, a serving moved by a key.
  const ribbon = page.getByRole('region', { name: 'Ribbon' });
  await expect(ribbon.getByRole('group', { name: 'Early cook' })).toBeVisible();
  await expect(ribbon.getByRole('group', { name: 'Chest freezer' })).toBeVisible();
  const freeze = ribbon.getByRole('button', { name: /Freeze through, Buckwheat-honey semifreddo/ }).first();
  await freeze.focus();
  await page.keyboard.press('Enter');
  const panel = page.getByRole('region', { name: 'Task: Freeze through' });
  await expect(panel).toContainText('Cold: ready after');
  await panel.getByRole('button', { name: 'Close' }).click();
  const semifreddo = ribbon.getByRole('button', { name: /Buckwheat-honey semifreddo is served/ });
  await semifreddo.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(served.getByLabel('Buckwheat-honey semifreddo, served, time')).toHaveValue('19:40');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(served.getByLabel('Buckwheat-honey semifreddo, served, time')).toHaveValue('19:35');
  await planned(page);
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');

  // The same as a list, and on paper.
  await page.getByRole('link', { name: 'List', exact: true }).click();
  await expect(page.locator('[data-row$="/served"]')).toHaveCount(3);
  const rows = await page.locator('[data-row]').count();
  expect(rows).toBeGreaterThan(35);
  await page.getByRole('link', { name: 'Day sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Early cook' })).toBeVisible();
  await expect(page.getByText('Build the layers').first()).toBeVisible();
  await page.getByRole('link', { name: 'Back to the list' }).click();
  await page.waitForURL(/\/list$/);

  // Run: the cake is begun on Pass, two steps are left behind.
  await page.getByRole('link', { name: 'Ribbon' }).click();
  await planned(page);
  const id = /\/clock\/([0-9a-f-]{36})/.exec(page.url())![1]!;
  await served.locator('li').filter({ hasText: 'Pear and black-tea icebox cake' }).getByRole('button', { name: 'Make it on Pass' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await page.getByRole('heading', { name: 'Mise en place' }).waitFor();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: 'Mise en place' }).waitFor({ state: 'detached' });
  const first = readable(await page.getByRole('heading', { level: 1 }).innerText());
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(first);
  const second = readable(await page.getByRole('heading', { level: 1 }).innerText());
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(second);

  // The kitchen has all of it.
  await expect.poll(() => page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('soft-peak:events:')))).toEqual([]);
  // Planned anew: what was done lies where it happened, the rest after it.
  await page.goto(`/clock/${id}/list`);
  await planned(page);
  await expect(page.locator('[data-row]').filter({ hasText: ', behind' })).not.toHaveCount(0);
  await expect(page.locator('[data-row]').filter({ hasText: first }).first()).toContainText('behind');
  await page.goto(`/clock/${id}`);
  await expect(served.getByRole('link', { name: 'Go on, on Pass' })).toBeVisible();
});

test('a week of orders: one plan, one shopping list, what is alike made once', async ({ page }) => {
  const day = (n: number): string => inMinutes(1440 * n).slice(0, 10);
  const order = (id: string, sheetId: string, n: number, time: string, portions: number): Served => ({ id, sheetId, at: `${day(n)}T${time}`, portions });
  const id = await newService(page, 'Orders of the week', [
    order('a', 'barley-tiramisu', 2, '12:00', 24),
    order('b', 'sesame-fig-pudding', 3, '12:00', 8),
    order('c', 'sesame-fig-pudding', 3, '18:00', 12),
    order('d', 'plum-cheesecake', 4, '12:00', 10),
    order('e', 'prune-mousse', 5, '19:00', 12),
    order('f', 'bay-leaf-chantilly', 6, '16:00', 16),
  ]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  await page.getByText('week', { exact: true }).click();
  const ribbon = page.getByRole('region', { name: 'Ribbon' });
  await expect(ribbon.getByRole('button', { name: /is served/ })).toHaveCount(6);
  await page.getByText('desserts', { exact: true }).click();
  await expect(ribbon.getByRole('group', { name: /Sesame and fig layered pudding/ })).toHaveCount(2);
  const once = page.getByRole('region', { name: 'Made once' });
  const custard = once.getByRole('checkbox', { name: /Sesame custard/ });
  await expect(custard).toBeVisible({ timeout: 20_000 });
  await expect(once).toContainText(/saves .* of hands/);
  const handsOf = async (): Promise<string> => readable(await page.getByText(/of hands in \d+ tasks/).innerText());
  const before = await handsOf();
  await custard.check();
  await expect.poll(handsOf, { timeout: 20_000 }).not.toBe(before);
  await page.getByRole('link', { name: 'Shopping', exact: true }).click();
  const cream = page.locator('[data-item="cream-36"]');
  await expect(cream).toContainText('Plum set cheesecake');
  await expect(cream).toContainText(/\d+ × /);
  await expect(page.getByText('Eggs over all desserts')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Mise en place: Toasted-barley tiramisu tray' })).toContainText('384\u00a0g ladyfingers');
  await page.getByRole('link', { name: 'How many' }).click();
  await choose(page.getByLabel('How many portions of'), 'e');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByText(/portions of Bitter chocolate and prune mousse by/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/One more does not go/)).toBeVisible();
});

test('a plan that cannot be says why, and a mend that was tried makes it one', async ({ page }) => {
  const id = await newService(page, 'Too late for ice', [{ id: 's', sheetId: 'honey-semifreddo', at: inMinutes(180), portions: 12 }]);
  await page.goto(`/clock/${id}`);
  await expect(page.getByRole('alert').filter({ hasText: 'Buckwheat-honey semifreddo' })).toBeVisible({ timeout: 20_000 });
  const mends = page.getByRole('region', { name: 'What would mend it' }).getByRole('button');
  await expect(mends.first()).toBeVisible({ timeout: 40_000 });
  await mends.first().click();
  await planned(page);
  await expect(
    page
      .getByRole('region', { name: 'Ribbon' })
      .getByRole('button', { name: /Freeze through/ })
      .first(),
  ).toBeVisible();
  // Nobody there at all.
  await page.getByRole('button', { name: 'Take out Hands' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Nobody is there' })).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Undo' }).click();
  await planned(page);
  // A dessert that was to be served an hour ago.
  const past = await newService(page, 'Too late for all', [{ id: 's', sheetId: 'bay-leaf-chantilly', at: inMinutes(-60), portions: 8 }]);
  await page.goto(`/clock/${past}`);
  await expect(page.getByText(/was to be served at .*, which is past/).first()).toBeVisible();
});

test('a task is dragged to a time and stays pinned; it can be let go', async ({ page }) => {
  const id = await newService(page, 'Pinned', [{ id: 's', sheetId: 'elderflower-syllabub', at: inMinutes(1500), portions: 6 }]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  await page.getByText('4 hours', { exact: true }).click();
  const spoon = page.getByRole('region', { name: 'Ribbon' }).locator('[data-task="s/assembly.fill"]').first();
  await spoon.scrollIntoViewIfNeeded();
  const box = (await spoon.boundingBox())!;
  const before = await spoon.getAttribute('aria-label');
  await page.mouse.move(box.x + 8, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x - 40, box.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(spoon).toHaveAttribute('aria-label', /pinned/, { timeout: 15_000 });
  expect(await spoon.getAttribute('aria-label')).not.toBe(before);
  await spoon.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Let it go' }).click();
  await expect(spoon).toHaveAttribute('aria-label', before!, { timeout: 15_000 });
});

test('a rescue that rests for hours is a wait of its own in the plan, and gone once it is known whether it helped', async ({ page }) => {
  const id = await newService(page, 'Never froze', [{ id: 's', sheetId: 'honey-semifreddo', at: inMinutes(2880), portions: 12 }]);
  const made = await page.request.post('/api/batches', { data: { sheetId: 'honey-semifreddo', serving: { serviceId: id, servingId: 's' } } });
  const batchId = ((await made.json()) as { id: string }).id;
  await page.goto(`/mend?batch=${batchId}&sign=never-froze`);
  await alive(page);
  const rescue = page.getByRole('complementary', { name: 'Rescue' });
  await expect(rescue.getByRole('button', { name: /^Timer 6\sh$/ })).toBeVisible();
  const title = readable(await rescue.getByRole('heading', { level: 2 }).innerText());
  await rescue.getByRole('button', { name: 'Write it into the batch' }).click();
  await expect(rescue.getByRole('group', { name: 'Did it help?' })).toBeVisible();
  await expect.poll(() => page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('soft-peak:events:')))).toEqual([]);
  await page.goto(`/clock/${id}/list`);
  await planned(page);
  const rests = page.locator('[data-row]').filter({ hasText: title });
  await expect(rests).toHaveCount(1);
  await expect(rests).toContainText(/6\sh/);
  await page.goto(`/mend?batch=${batchId}&sign=never-froze`);
  await alive(page);
  await rescue.getByRole('button', { name: 'no' }).click();
  await expect(rescue.getByRole('button', { name: 'no' })).toHaveAttribute('aria-pressed', 'true');
  await expect.poll(() => page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('soft-peak:events:')))).toEqual([]);
  await page.goto(`/clock/${id}/list`);
  await planned(page);
  await expect(rests).toHaveCount(0);
});

test('how sure an evening is: a chance for each serving, the weak link, margins that make it surer and go again', async ({ page }) => {
  const id = await newService(page, 'Sure or not', [
    { id: 'm', sheetId: 'prune-mousse', at: inMinutes(2000), portions: 12 },
    { id: 'y', sheetId: 'elderflower-syllabub', at: inMinutes(2000), portions: 6 },
  ]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  const odds = page.getByRole('region', { name: 'Odds' });
  await expect(odds.getByText(/^In time/)).toBeVisible({ timeout: 20_000 });
  await expect(odds).toContainText('prune');
  await expect(odds).toContainText('syllabub');
  await expect(odds).toContainText('Late most often by');
  await odds.getByRole('button', { name: /^Plan for/ }).click();
  await expect(odds.getByText(/With time to spare for/)).toBeVisible({ timeout: 30_000 });
  await odds.getByRole('button', { name: 'Plan it so' }).click();
  const without = odds.getByRole('button', { name: /^Without the/ });
  await expect(without).toBeVisible({ timeout: 20_000 });
  // It stands after a reload, and nothing is left to make surer.
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 15_000 });
  await page.reload();
  await planned(page);
  await expect(without).toBeVisible({ timeout: 20_000 });
  await expect(odds.getByRole('button', { name: /^Plan for/ })).toBeHidden();
  await without.click();
  await expect(odds.getByRole('button', { name: /^Plan for/ })).toBeVisible({ timeout: 20_000 });
  // Changes one by one, the most first; one is taken by a touch and is undone.
  await odds.getByRole('button', { name: 'What buys most' }).click();
  const buys = odds.getByRole('region', { name: 'What buys most' });
  const first = buys.getByRole('listitem').first();
  await expect(first).toContainText('→', { timeout: 30_000 });
  await expect(buys).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
  await first.getByRole('button').click();
  await expect(buys).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(odds.getByRole('button', { name: 'What buys most' })).toBeVisible({ timeout: 20_000 });
});

test('days and times are typed as one likes, or chosen from a calendar', async ({ page }) => {
  const id = await newService(page, 'Typed', [{ id: 's', sheetId: 'elderflower-syllabub', at: '2027-03-05T19:00', portions: 6 }]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  const served = page.getByRole('region', { name: 'Served' });
  const day = served.getByRole('textbox', { name: 'Elderflower syllabub, whole, served, day' });
  const time = served.getByRole('textbox', { name: 'Elderflower syllabub, whole, served, time' });
  await expect(day).toHaveValue('Fri 5 Mar 2027');
  await day.fill('6.3.2027');
  await day.press('Enter');
  await expect(day).toHaveValue('Sat 6 Mar 2027');
  await time.fill('half past');
  await time.press('Enter');
  await expect(served.getByRole('alert')).toContainText('19:30');
  await time.fill('8.15 pm');
  await time.press('Enter');
  await expect(time).toHaveValue('20:15');
  await served.getByRole('button', { name: 'Calendar of Elderflower syllabub, whole, served, day' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /March 9th|9 March|, March 9/ })
    .click();
  await expect(day).toHaveValue('Tue 9 Mar 2027');
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 15_000 });
});

test('labels, calendar and table are files; a service is read again', async ({ page }) => {
  const id = await newService(page, 'Files', [
    { id: 's', sheetId: 'elderflower-syllabub', at: inMinutes(1500), portions: 6 },
    { id: 't', sheetId: 'barley-tiramisu', at: inMinutes(2000), portions: 48 },
  ]);
  await page.goto(`/clock/${id}/labels`);
  await expect(page.getByRole('region', { name: 'Labels', exact: true })).toContainText('Contains');
  const link = page.getByRole('link', { name: 'Labels as PDF' });
  const pdf = await page.request.get((await link.getAttribute('href'))!);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await choose(page.getByRole('combobox', { name: 'On' }), 'roll-62');
  const roll = await page.request.get((await page.getByRole('link', { name: 'Labels as PDF' }).getAttribute('href'))!);
  // A page for each tray and one for the glasses.
  expect(((await roll.body()).toString('latin1').match(/\/Type \/Page\b/g) ?? []).length || (await roll.body()).length).toBeGreaterThan(0);
  const ics = await (await page.request.get(`/api/services/${id}/files/ics`)).text();
  expect(ics).toContain('BEGIN:VALARM');
  expect(ics).toContain('Elderflower syllabub\\, whole is served');
  const csv = await (await page.request.get(`/api/services/${id}/files/csv`)).text();
  expect(csv.split('\n')[0]).toContain('soonest');
  const json = await page.request.get(`/api/services/${id}/files/json`);
  await page.goto('/clock');
  await page.getByLabel('Read a service file').setInputFiles({ name: 'service.json', mimeType: 'application/json', buffer: await json.body() });
  await page.waitForURL(/\/clock\/[0-9a-f-]{36}/);
  await planned(page);
  await page.goto('/clock');
  await page
    .getByLabel('Read a service file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"soft-peak-service"') });
  await expect(page.getByRole('alert').filter({ hasText: 'no JSON' })).toBeVisible();
});

test('a service that was taken away is kept for a month, and comes back as it was', async ({ page }) => {
  const id = await newService(page, 'Wanted back', [{ id: 's', sheetId: 'elderflower-syllabub', at: inMinutes(1500), portions: 6 }]);
  await page.goto(`/clock/${id}/labels`);
  await page.getByRole('button', { name: 'Take this service away' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Take it away' }).click();
  const away = page.getByRole('region', { name: 'Taken away' });
  const row = away.getByRole('listitem').filter({ hasText: 'Wanted back' });
  await expect(row).toContainText('kept until');
  await expect(page.getByRole('link', { name: 'Wanted back' })).toBeHidden();
  await row.getByRole('button', { name: 'Bring back Wanted back' }).click();
  await page.waitForURL(`**/clock/${id}`);
  await planned(page);
  await page.goto('/clock');
  await expect(page.getByRole('link', { name: 'Wanted back' })).toBeVisible();
  await expect(row).toBeHidden();
});

test('a due moment rings on every page until it is seen', async ({ page }) => {
  const at = inMinutes(300);
  await newService(page, 'Bell', [{ id: 's', sheetId: 'elderflower-syllabub', at, portions: 6 }]);
  await page.clock.install({ time: new Date(`${at}:00Z`).getTime() - 4000 });
  await page.goto('/');
  await page.clock.runFor(9000);
  const bell = page.getByRole('alert', { name: 'Due now' });
  await expect(bell).toContainText('Elderflower syllabub, whole is served');
  await bell.getByRole('button', { name: 'Seen' }).click();
  await expect(bell).toHaveCount(0);
});

test('two screens: what the other has saved is shown, nothing is lost', async ({ page, context }) => {
  const id = await newService(page, 'Two screens', [{ id: 's', sheetId: 'bay-leaf-chantilly', at: inMinutes(1500), portions: 8 }]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  const { doc, revision } = (await (await context.request.get(`/api/services/${id}`)).json()) as { doc: object; revision: number };
  expect((await context.request.put(`/api/services/${id}`, { data: { doc: { ...doc, name: 'Theirs' }, baseRevision: revision } })).ok()).toBe(true);
  await page.getByLabel('Name of the service').fill('Mine');
  await expect(page.getByText('Another screen has changed this service')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  const after = (await (await context.request.get(`/api/services/${id}`)).json()) as { doc: { name: string } };
  expect(after.doc.name).toBe('Mine');
});

test('what the server did not take is kept on the tablet and sent again by itself', async ({ page }) => {
  const id = await newService(page, 'Kept and sent', [{ id: 's', sheetId: 'bay-leaf-chantilly', at: inMinutes(600), portions: 8 }]);
  await page.goto(`/clock/${id}`);
  await planned(page);
  await page.route(`**/api/services/${id}`, (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await page.getByLabel('Name of the service').fill('Kept, then sent');
  const saving = page.getByRole('status', { name: 'Saving' });
  await expect(saving).toContainText('kept here');
  await page.unroute(`**/api/services/${id}`);
  await expect(saving).toHaveText('saved');
  expect(((await (await page.request.get(`/api/services/${id}`)).json()) as { doc: { name: string } }).doc.name).toBe('Kept, then sent');
});

test('stock: packs go in, the shopping list counts them, a finished batch draws them down', async ({ page }) => {
  const sheet = await copyOf(page, 'hazelnut-nest', 'Nests from stock');
  await page.goto('/larder/stock');
  await page.getByLabel('What was bought').fill('Instant coffee');
  const known = (await page.request.get('/api/stock').then((r) => r.json())) as { ingredientId: string }[];
  expect(known.some((p) => p.ingredientId === 'cream-38')).toBe(false);
  const larder = page.locator('#stock-ingredients option');
  const cream = await larder.evaluateAll((all) => all.map((o) => (o as HTMLOptionElement).value).find((v) => v.includes('38%')) ?? '');
  const name = cream === '' ? 'Hazelnuts, roasted' : cream;
  await page.getByLabel('What was bought').fill(name);
  await page.getByLabel('Packs', { exact: true }).fill('2');
  await page.getByRole('button', { name: 'Put in' }).click();
  await expect(page.getByRole('status', { name: 'Saving' })).toHaveText('saved');
  await expect(page.locator('[data-pack]').filter({ hasText: name })).toHaveCount(2);
  const before = (await page.request.get('/api/stock').then((r) => r.json())) as { id: string; ingredientId: string; leftG: number }[];
  const { id } = (await (await page.request.post('/api/batches', { data: { sheetId: sheet } })).json()) as { id: string };
  const state = (await (
    await page.request.post(`/api/batches/${id}/events`, { data: { event: { kind: 'finish', at: Date.now() }, baseRevision: 1 } })
  ).json()) as { kind: string };
  expect(state.kind).toBe('done');
  const after = (await page.request.get('/api/stock').then((r) => r.json())) as { id: string; ingredientId: string; leftG: number }[];
  const sum = (s: typeof before): number => s.reduce((n, p) => n + p.leftG, 0);
  expect(sum(after)).toBeLessThan(sum(before));
});
