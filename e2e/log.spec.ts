import { choose, expect, newSheet, readable, startBatch, test, PATIENT } from './kitchen';

/** The log: what is seen later, what it learns, two batches, files; and the fold. */

test('seen later: liquid, slices, a photo without its maker; what is no picture is refused and nothing is kept', async ({ page }) => {
  await page.goto('/log/sample-9');
  const seen = page.getByRole('region', { name: 'Seen later' });
  await seen.getByLabel('How much, g').fill('lots');
  await expect(seen.getByRole('alert')).not.toBeEmpty();
  await seen.getByLabel('How much, g').fill('6');
  await seen.getByLabel('In words').fill('round the rim');
  await seen.getByRole('button', { name: 'Write it down' }).click();
  await expect(seen.getByRole('list')).toContainText('6\u00a0g of liquid: round the rim');
  await choose(seen.getByRole('combobox', { name: 'Seen' }), 'slice');
  await choose(seen.getByRole('combobox', { name: 'It', exact: true }), 'leans');
  await seen.getByRole('button', { name: 'Write it down' }).click();
  await expect(seen.getByRole('list')).toContainText('slice leans');
  // What was seen earlier stands at its own time; a moment before the batch is refused in words, and what was typed stays.
  await choose(seen.getByRole('combobox', { name: 'Seen' }), 'note');
  await seen.getByLabel('In words').fill('sunk by a finger');
  await choose(seen.getByRole('combobox', { name: 'When' }), 'before');
  await seen.getByRole('textbox', { name: 'Time it was seen' }).fill('00:00');
  await seen.getByRole('textbox', { name: 'Day it was seen' }).fill('1 Jan 2024');
  await seen.getByRole('button', { name: 'Write it down' }).click();
  await expect(seen.getByRole('alert')).toContainText('before this batch was begun');
  await expect(seen.getByLabel('In words')).toHaveValue('sunk by a finger');
  await seen.getByRole('textbox', { name: 'Day it was seen' }).fill('today');
  await seen.getByRole('textbox', { name: 'Day it was seen' }).press('Tab');
  await seen.getByRole('button', { name: 'Write it down' }).click();
  const rows = seen.getByRole('list').getByRole('listitem');
  // The rows stand in their order of time: it comes before what was written just now.
  await expect(rows.filter({ hasText: 'sunk by a finger' })).toBeVisible();
  const all = await rows.allInnerTexts();
  expect(all.findIndex((t) => t.includes('sunk by a finger'))).toBeLessThan(all.findIndex((t) => t.includes('round the rim')));
  await expect(seen.getByRole('combobox', { name: 'When' })).toHaveText('now');
  await seen.getByLabel('Photo').setInputFiles({ name: 'slice.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('%PDF-1.7 not a picture') });
  await expect(seen.getByRole('alert')).toContainText('no JPEG or PNG');
  // A real picture, made here, with a camera's words in it.
  const png = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 24;
    canvas.getContext('2d')!.fillRect(4, 4, 12, 12);
    const blob = await new Promise<Blob>((done) => canvas.toBlob((b) => done(b!), 'image/jpeg'));
    return Array.from(new Uint8Array(await blob.arrayBuffer()));
  });
  const maker = Buffer.from('Exif\0\0maker Gull, 55.9 N');
  const jpeg = Buffer.concat([Buffer.from(png.slice(0, 2)), Buffer.from([0xff, 0xe1, 0, maker.length + 2]), maker, Buffer.from(png.slice(2))]);
  await seen.getByLabel('Photo').setInputFiles({ name: 'slice.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  const picture = seen.getByRole('img');
  await expect(picture).toBeVisible();
  const kept = await (await page.request.get((await picture.getAttribute('src'))!)).body();
  expect(kept.includes('Gull')).toBe(false);
  expect(await picture.evaluate((i: HTMLImageElement) => i.complete && i.naturalWidth)).toBe(24);
  await seen.getByRole('button', { name: /Take away: photo/ }).click();
  await expect(picture).toHaveCount(0);
});

test('what it has learnt: the mishap is asked about and left out, forecasts follow, and can be switched off', async ({ page }) => {
  await page.goto('/log/learnt');
  const time = page.locator('[data-finding="whisk-time"]').first();
  await expect(time).toContainText('Planetary mixer');
  await expect(time.locator('[data-asked]')).toContainText('far off the others');
  await time.getByRole('button', { name: 'Leave it out' }).click();
  await expect(time.locator('[data-asked]')).toHaveCount(0);
  await expect(time).toContainText('left out');
  await page.goto('/sheet/bay-leaf-chantilly/whisk');
  const headline = page.getByText(/^Medium after/);
  const learnt = readable(await headline.innerText());
  await headline.getByRole('button').first().click();
  await expect(page.locator('[data-learnt]')).toContainText(/From \d+ batches/);
  await expect(page.locator('[data-learnt]')).toContainText('The plain formula says');
  await page.goto('/log/learnt');
  // The page is left at once, before the server has answered: the switch is kept all the same.
  await page.getByLabel('forecasts follow the log').uncheck();
  await page.goto('/sheet/bay-leaf-chantilly/whisk');
  await expect(async () => {
    await page.reload();
    expect(readable(await headline.innerText())).not.toBe(learnt);
  }).toPass(PATIENT);
  await page.goto('/log/learnt');
  await expect(page.getByLabel('forecasts follow the log')).not.toBeChecked();
  await page.getByLabel('forecasts follow the log').check();
  await time.getByRole('button', { name: 'Ask again' }).click();
  await expect(time.locator('[data-asked]')).toBeVisible();
});

test('by place and day, two beside each other, and out as CSV and JSON', async ({ page }) => {
  await page.goto('/log');
  const rows = page.getByRole('row');
  // The table comes with the page's second piece: it is counted once it is there.
  await expect(rows.nth(1)).toBeVisible();
  const all = await rows.count();
  await page.getByRole('navigation', { name: 'By place' }).getByRole('link', { name: 'Tall fridge' }).click();
  await expect(rows).toHaveCount(2);
  await page.getByRole('navigation', { name: 'By place' }).getByRole('link', { name: 'every place' }).click();
  await expect(rows).toHaveCount(all);
  await page.getByRole('link', { name: 'Two batches' }).click();
  await choose(page.getByRole('combobox', { name: 'This one' }), 'sample-4');
  await choose(page.getByRole('combobox', { name: 'beside' }), 'sample-5');
  await expect(page).toHaveURL(/a=sample-4.*b=sample-5/);
  await expect(page.locator('[data-changed]').filter({ hasText: 'Time to medium' })).toContainText('7:23');
  await expect(page.locator('[data-changed]').filter({ hasText: 'off the plan' })).toContainText('60 g more');
  const csv = await (await page.request.get('/api/log?format=csv')).text();
  expect(csv.split('\r\n')[0]).toContain('whisk_time_over_formula');
  expect(csv.trim().split('\r\n').length).toBeGreaterThanOrEqual(11);
  const json = (await (await page.request.get('/api/log?format=json&sheet=bay-leaf-chantilly')).json()) as { batches: { sheet: string }[] };
  expect(json.batches.every((b) => b.sheet === 'Bay-leaf chantilly')).toBe(true);
  expect((await page.request.get('/api/log?format=xls')).status()).toBe(400);
});

test('the fold: order, first portion, strokes counted; an egg foam has its own forecast', async ({ page }) => {
  await page.goto('/sheet/prune-mousse/whisk/fold');
  await expect(page.getByRole('region', { name: 'Mousse' })).toContainText('is right');
  await expect(page.getByText('In the order whipped cream, whites', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'count them' }).first().click();
  await page.getByRole('button', { name: 'A stroke' }).click();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  await expect(page.locator('[data-strokes]')).toHaveAttribute('data-strokes', '4');
  await page.goto('/sheet/prune-mousse/whisk?part=whites');
  await expect(page.getByText(/^Firm after/)).toBeVisible();
  await page.getByRole('button', { name: /^dry/ }).click();
  await expect(page.getByText('Dull flakes and a wet foot: over-whisked.').first()).toBeVisible();
  await choose(page.getByLabel('Mixer and bowl'), 'balloon');
  await expect(page.getByText('This one runs at its own speed.')).toBeVisible();
});

test('what a foam waits for has its clock, and the fold ends it', async ({ page }) => {
  const id = await newSheet(page, 'Waits', '300 g cream 36 %');
  await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(page.getByRole('heading', { name: /^Whisk to/ })).toBeVisible();
  await page.getByRole('button', { name: /^Next/ }).click();
  const waits = page.getByRole('timer', { name: /^use:/ });
  await expect.poll(async () => readable(await waits.innerText()), PATIENT).toMatch(/^(20:00|19:5\d)$/);
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(waits).toHaveCount(0);
});
