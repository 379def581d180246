import { expect, test, newSheet, startBatch } from './kitchen';

test('the whisk timer calls before the window, through a sleeping tablet and a reload', async ({ page }) => {
  const id = await newSheet(page, 'Timed');
  await page.clock.install({ time: Date.now() });
  await startBatch(page, id);
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('button', { name: 'Whisk on' }).click();
  const timer = page.getByRole('region', { name: 'Whisk timer' });
  await expect(timer).toHaveAttribute('data-phase', 'whisking');
  const words = (await timer.getByRole('status').innerText()).replaceAll('\u00a0', ' ');
  const [, min = '0', sec = '0'] = /Look in (\d+):(\d+) min/.exec(words) ?? [];
  const watchS = Number(min) * 60 + Number(sec);
  expect(watchS).toBeGreaterThan(60);
  // The tablet sleeps: no tick runs, the wall clock does.
  await page.clock.pauseAt(Date.now() + (watchS + 3) * 1000);
  await page.clock.resume();
  await expect(timer).toHaveAttribute('data-phase', 'watch');
  await expect(timer.getByRole('status')).toContainText('Look now');
  await page.clock.fastForward(90_000);
  await expect(timer).toHaveAttribute('data-phase', 'stop');
  await expect(timer.getByRole('status')).toContainText('Stop now');
  await page.clock.fastForward(3_600_000);
  await expect(timer).toHaveAttribute('data-phase', 'over');
  await expect(timer.getByRole('status')).toContainText('The window closed');
  await page.reload();
  await expect(timer).toHaveAttribute('data-phase', 'over');
  await page.getByRole('alertdialog').getByRole('button', { name: 'Whisk off' }).click();
  await expect(timer).toHaveAttribute('data-phase', 'stopped');
});

test('ticks reach the server, and readings keep what cannot be read', async ({ page }) => {
  const id = await newSheet(page, 'Ticked');
  await startBatch(page, id);
  await page.getByLabel('Cream in the bowl').fill('40');
  await expect(page.getByRole('alert').filter({ hasText: 'lies between' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Cream in the bowl')).toHaveValue('40');
  await page.getByRole('heading', { name: 'Chill' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Weigh into the bowl' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: 'Chill' })).toBeVisible();
  // Pass without a sheet named goes on with the batch that runs.
  await page.goto(`/pass?sheet=${id}`);
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
});

test('an empty sheet cannot be started, and says why', async ({ page }) => {
  const id = await newSheet(page, 'Empty', '');
  await expect(page.getByPlaceholder('Start with the cream: 600 g cream 36 %')).toBeVisible();
  await page.goto(`/pass?sheet=${id}`);
  await expect(page.getByText('There is nothing to weigh yet')).toBeVisible();
});

test('before a step stands what is not in its band there, its figure first; at the steps around it nothing', async ({ page }) => {
  const { doc } = (await (await page.request.get('/api/sheets/bay-leaf-chantilly')).json()) as { doc: { parts: { whisk: object }[] } };
  const warm = { ...doc, name: 'Warm-day cream', parts: doc.parts.map((p) => ({ ...p, whisk: { ...p.whisk, creamC: 14 } })) };
  const { id } = (await (await page.request.post('/api/sheets', { data: { doc: warm } })).json()) as { id: string };
  await startBatch(page, id);
  const minded = page.getByRole('list', { name: 'Before this step' });
  await expect(minded).toHaveCount(0);
  const heading = page.getByRole('heading', { level: 1 });
  while (!(await heading.innerText()).startsWith('Whisk')) {
    const was = await heading.innerText();
    await page.getByRole('button', { name: /^Next/ }).click();
    await expect(heading).not.toHaveText(was);
  }
  await expect(minded.getByRole('listitem')).toHaveCount(1);
  await expect(minded).toContainText(/^\d+\u2060?[–-]\u2060?\d+\u00a0%\s?air$/);
  await expect(page.getByRole('list', { name: 'Mind' })).toContainText('14\u00a0°C');
  await page.getByRole('button', { name: /^Next/ }).click();
  await expect(minded).toHaveCount(0);
});
