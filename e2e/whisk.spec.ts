import { choose, expect, test, newSheet, readable, saved, typeLine, settled, startBatch } from './kitchen';

test.describe('warnings before the whisk is switched on', () => {
  test('too full: it climbs out, and splitting it mends that', async ({ page }) => {
    const id = await newSheet(page, 'Too full', '3 kg cream 36 %');
    await page.goto(`/sheet/${id}/whisk`);
    await expect(page.locator('[data-warning="climbs-out"]')).toContainText('will climb out');
    await page.getByRole('button', { name: 'Whisk in 3 bowlfuls' }).click();
    await expect(page.locator('[data-warning]')).toHaveCount(0);
    await expect(page.getByLabel('Bowlfuls')).toHaveValue('3');
    await expect(page.getByText('for each of 3 bowlfuls')).toBeVisible();
    // Pass weighs what belongs in each bowl.
    await saved(page);
    await startBatch(page, id);
    await page.getByRole('button', { name: /^Next/ }).click();
    await expect(page.getByText('Whisk it in 3 bowlfuls', { exact: false })).toBeVisible();
    // One bowl after the other, each with its own grams and its own clock.
    for (const n of [1, 2, 3]) {
      await expect(page.getByRole('heading', { name: `Weigh into the bowl, bowlful ${n} of 3` })).toBeVisible();
      await expect(page.getByRole('checkbox', { name: /1.000.g cream/ })).toBeVisible();
      await page.getByRole('button', { name: /^Next/ }).click();
      await expect(page.getByRole('heading', { name: `Whisk to medium, bowlful ${n} of 3` })).toBeVisible();
      await expect(page.getByRole('timer', { name: 'Time under the whisk 0:00' })).toBeVisible();
      await page.getByRole('button', { name: /^Next/ }).click();
    }
  });
  test('too little: the wires do not reach it, said instead of a time; a smaller bowl does', async ({ page }) => {
    const id = await newSheet(page, 'Too little', '100 g cream 36 %');
    await page.goto(`/sheet/${id}/whisk`);
    await expect(page.getByText('the wires do not reach it', { exact: false })).toBeVisible();
    await choose(page.getByLabel('Mixer and bowl'), 'hand-mixer');
    await expect(page.getByText('Medium after', { exact: false })).toBeVisible();
    await expect(page.getByRole('list', { name: 'Warnings' })).toContainText('shallow');
    await expect(page.getByText('This one runs at its own speed.')).toBeVisible();
  });
  test('too lean and too warm: what may not come and what never does, said instead of a time', async ({ page }) => {
    const id = await newSheet(page, 'Too lean', '600 g cream 28 %');
    await page.goto(`/sheet/${id}/whisk`);
    await page.getByText('firm', { exact: true }).last().click();
    await expect(page.locator('[data-warning="lean"]')).toContainText('firm may not come');
    await page.goto(`/sheet/${id}/bench`);
    await page.getByLabel('Line 1', { exact: true }).fill('600 g cream 36 %');
    await saved(page);
    await page.goto(`/sheet/${id}/whisk`);
    await page.getByLabel('Cream with its bowl').fill('14');
    await expect(page.locator('[data-warning="never"]')).toContainText('Too warm for firm');
    await expect(page.getByRole('list', { name: 'When each stage comes' })).toContainText('never');
    await page.getByLabel('Cream with its bowl').fill('22');
    await expect(page.getByText('No forecast:', { exact: false })).toBeVisible();
    await page.getByLabel('Cream with its bowl').fill('5');
    await expect(page.getByText('Firm after', { exact: false })).toBeVisible();
  });
});

test('the curve is read by pointer and by keys, and the peak follows', async ({ page }) => {
  await page.goto('/sheet/bay-leaf-chantilly/whisk');
  const slider = page.getByRole('slider', { name: 'Time under the whisk' });
  await expect(page.getByText('The body stands, the tip bends.')).toBeVisible();
  const medium = await slider.getAttribute('aria-valuetext');
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect(slider).not.toHaveAttribute('aria-valuetext', medium!);
  await page.keyboard.press('Home');
  await expect(page.getByRole('img', { name: /Runs off the whisk/ })).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.getByRole('img', { name: /Yellow clumps/ })).toBeVisible();
  const chart = page.getByRole('img', { name: /Stages over the clock/ });
  const box = (await chart.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.3, box.y + box.height / 2);
  await expect(page.getByRole('img', { name: /Yellow clumps/ })).toHaveCount(0);
  await page.getByRole('button', { name: /^firm/ }).click();
  await expect(page.getByRole('img', { name: /The tip stands/ })).toBeVisible();
});

test('two tablets on one batch: ticks join, a field that both wrote is asked about', async ({ page, context }) => {
  const id = await newSheet(page, 'Two tablets');
  // This tablet's line to the server is down, so that it does not hear of what the other writes.
  await page.route('**/stream', (route) => route.abort());
  await startBatch(page, id);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByLabel('Cream in the bowl').fill('6');
  await expect(other.getByLabel('Cream in the bowl')).toHaveValue('6');
  await settled(other);
  await page.getByLabel('Cream in the bowl').fill('4');
  await expect(page.getByRole('alert').filter({ hasText: /Another screen wrote ‘6.°C’/ })).toBeVisible();
  await page.getByRole('button', { name: /^Use ‘4.°C’$/ }).click();
  await settled(page);
  await page.reload();
  await expect(page.getByLabel('Cream in the bowl')).toHaveValue('4');
});

test('taking the other tab’s sheet can be undone', async ({ page, context }) => {
  const id = await newSheet(page, 'Taken');
  const other = await context.newPage();
  await other.goto(`/sheet/${id}/bench`);
  await other.getByLabel('Line 1', { exact: true }).fill('700 g cream 36 %');
  await saved(other);
  await page.getByLabel('Line 1', { exact: true }).fill('500 g cream 36 %');
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('700 g cream 36 %');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Line 1', { exact: true })).toHaveValue('500 g cream 36 %');
  await saved(page);
});

test('on a phone: from Today to the next amount in two touches', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await newSheet(page, 'On a phone');
  await typeLine(page, '3 tbsp icing sugar');
  await saved(page).catch(() => undefined);
  await page.goto('/');
  await page.getByRole('listitem').filter({ hasText: 'On a phone' }).getByRole('link', { name: 'Make it' }).click();
  await page.waitForURL(/\/pass/);
  await expect(page.getByText(/cream 36.% fat 600.g/)).toBeVisible();
  expect(readable(await page.getByRole('list').filter({ hasText: 'Weigh into the bowl' }).innerText())).toContain('icing sugar 23 g');
  await page.goto(`/sheet/${id}/bench`);
  const lines = await page.getByRole('region', { name: 'Formula' }).boundingBox();
  const tells = await page.getByRole('complementary', { name: 'What it will be like' }).boundingBox();
  const settings = await page.getByRole('region', { name: 'Method and wishes' }).boundingBox();
  expect(lines!.y).toBeLessThan(tells!.y);
  expect(tells!.y).toBeLessThan(settings!.y);
});

test('practise: stopped by the space bar without a clock, scored, kept, and played again from its seed', async ({ page }) => {
  await page.goto('/practise?run=7');
  const whisk = page.getByRole('region', { name: 'The whisk' });
  await expect(whisk).toContainText(/Stop it at (soft|medium|firm)/);
  await expect(whisk).not.toContainText(/\d+ s\b/);
  await page.getByText('10 times', { exact: true }).click();
  await page.keyboard.press('Space');
  await expect(whisk).toHaveAttribute('data-phase', 'whisking');
  await page.waitForTimeout(600);
  await page.keyboard.press('Space');
  await expect(whisk.getByRole('status')).toContainText(/early/);
  await expect(page.getByRole('complementary', { name: 'How it went' })).toContainText(/of \d+ inside/);
  await page.reload();
  await expect(page.getByRole('complementary', { name: 'How it went' })).toContainText(/of \d+ inside/);
  const asked = readable(await whisk.getByText(/Stop it at/).innerText());
  await page.getByRole('button', { name: 'Play the last cream again' }).click();
  expect(readable(await whisk.getByText(/Stop it at/).innerText())).toBe(asked);
  await page.route('**/api/practice', (r) => r.abort());
  await page.getByRole('button', { name: 'Whisk on' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(whisk).toContainText('this stop is not kept');
});
