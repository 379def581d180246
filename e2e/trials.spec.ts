import type { Page } from '@playwright/test';
import { expect, PATIENT, readable, test } from './kitchen';

/** Trials that teach: begun on a sheet, tasted blind, a next one asked for, made on Pass, the best put on Bench. */

const TRIALS = '/sheet/prune-mousse/trials';

/** One taster gives points by where each trial stands; the cook knows, the taster does not. */
async function taste(page: Page, who: string, points: readonly (readonly [code: string, of: number])[]): Promise<void> {
  await page.getByRole('button', { name: 'Taste blind' }).click();
  const blind = page.getByRole('region', { name: 'Taste blind' });
  await blind.getByLabel('Who tastes').fill(who);
  for (const [code, of] of points) await blind.getByRole('slider', { name: `Points for ${code}` }).fill(String(of));
  await blind.getByRole('button', { name: `Write down for ${who}` }).click();
  await blind.getByRole('button', { name: 'Back to the trials' }).click();
  await expect(page.getByRole('region', { name: 'What was said' })).toContainText(who);
}

const codesOf = async (page: Page): Promise<string[]> =>
  (await page.getByRole('region', { name: 'The trials' }).getByRole('listitem').locator('span:first-child').allInnerTexts()).filter((t) =>
    /^[A-Z][2-9]$/.test(t),
  );

test('a series is begun, tasted blind by two, and the fourth trial goes where they point; the best goes to Bench', async ({ page }) => {
  await page.goto(TRIALS);
  const varied = page.getByRole('region', { name: 'What is varied' });
  const begin = page.getByRole('button', { name: 'Begin with three trials' });
  await expect(begin).toBeDisabled();
  const sugar = varied.getByRole('checkbox', { name: /sugar/i }).first();
  await sugar.check();
  // Bounds that are no range are said, and nothing begins.
  await varied.getByLabel(/ to$/).first().fill('1');
  await page.getByRole('button', { name: 'light', exact: true }).click();
  await expect(page.getByRole('region', { name: 'What is wished' }).getByRole('alert')).toContainText('the upper bound must be more');
  await expect(begin).toBeDisabled();
  await varied.getByLabel(/ to$/).first().fill('120');
  // What was chosen and typed is there after the page was left.
  await page.reload();
  await expect(sugar).toBeChecked();
  await expect(varied.getByLabel(/ to$/).first()).toHaveValue('120');
  await begin.click();
  await expect(page.locator('[data-trials-says]')).toContainText('Make 3 and taste them: light', PATIENT);
  const codes = await codesOf(page);
  expect(new Set(codes).size).toBe(3);
  // On the blind page stands nothing of what is in them.
  await page.getByRole('button', { name: 'Taste blind' }).click();
  const blind = page.getByRole('region', { name: 'Taste blind' });
  await expect(blind).not.toContainText(/\d+ g/);
  await expect(blind).toContainText('light');
  await blind.getByRole('button', { name: 'Back to the trials' }).click();
  await taste(
    page,
    'Early cook',
    codes.map((c, i) => [c, [6, 3, 8][i]!] as const),
  );
  await expect(page.locator('[data-trials-says]')).toContainText('Best so far', PATIENT);
  await taste(
    page,
    'Late cook',
    codes.map((c, i) => [c, [7, 2, 9][i]!] as const),
  );
  const before = readable(await page.locator('[data-trials-says]').innerText());
  expect(before).toMatch(/Best so far: .*\d+(\.\d)? g/);
  await page.getByRole('button', { name: 'Ask for the next trial' }).click();
  await expect.poll(async () => (await codesOf(page)).length, PATIENT).toBe(4);
  // Two at a time, and one that was not meant is taken back.
  await page.getByRole('button', { name: 'Taste blind' }).click();
  await blind.getByRole('button', { name: 'Two at a time' }).click();
  await blind.getByRole('button', { name: 'The same' }).click();
  await blind.getByRole('button', { name: 'Back to the trials' }).click();
  const said = page.getByRole('region', { name: 'What was said' });
  await expect(said).toContainText('alike');
  await said
    .getByRole('listitem')
    .filter({ hasText: 'alike' })
    .getByRole('button', { name: /Take back/ })
    .click();
  await expect(said).not.toContainText('alike', PATIENT);
  // Labels say the codes alone.
  await page.getByRole('link', { name: 'Labels with codes' }).click();
  await expect(page.getByText(codes[0]!, { exact: true })).toHaveCount(4);
  await page.goto(TRIALS);
  await page.getByRole('button', { name: 'Put the best on Bench' }).click();
  await page.getByRole('link', { name: 'Formula' }).click();
  const grams = /: .*?(\d+(?:\.\d)?) g/.exec(before)![1]!;
  await expect(
    page
      .getByRole('textbox')
      .filter({ hasText: '' })
      .and(page.locator(`input[value*="${grams} g"]`))
      .first(),
  ).toBeVisible(PATIENT);
});

test('a trial is made on Pass as what it is, and its series may end', async ({ page }) => {
  await page.goto('/sheet/honey-semifreddo/trials');
  await page.getByRole('region', { name: 'What is varied' }).getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'light', exact: true }).click();
  await page.getByRole('button', { name: 'Begin with three trials' }).click();
  const row = page.getByRole('region', { name: 'The trials' }).getByRole('listitem').nth(1);
  const code = (await row.locator('span').first().innerText()).trim();
  await row.getByRole('button', { name: 'Make it on Pass' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await expect(page.getByText(`, trial ${code}`).first()).toBeVisible();
  await page.goto('/sheet/honey-semifreddo/trials');
  await expect(row.getByRole('link', { name: 'Open on Pass' })).toBeVisible();
  await page.getByRole('button', { name: 'End the series' }).click();
  await page.getByRole('button', { name: 'Begin another series' }).click();
  await expect(page.getByRole('heading', { name: 'What shall be tried?' })).toBeVisible();
});
