import { expect, test as base, type Locator, type Page } from '@playwright/test';

/** A page that waits, after going somewhere or loading again, until it answers to keys: what is typed before is nobody's. */
export const test = base.extend({
  page: async ({ page }, runStory) => {
    const keys = async (): Promise<void> => {
      if ((await page.getByRole('navigation', { name: 'Stations' }).count()) > 0) await page.locator('html[data-keys="on"]').waitFor({ state: 'attached' });
    };
    const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
    page.goto = async (...args) => {
      const answer = await goto(...args);
      await keys();
      return answer;
    };
    page.reload = async (...args) => {
      const answer = await reload(...args);
      await keys();
      return answer;
    };
    await runStory(page);
  },
});
export { expect };

/** For what the machine computes for as long as it takes: the page says when it is done, and only a broken one lets this run out. */
export const PATIENT = { timeout: 90_000 };

/** Text as a reader sees it: plain spaces, no joiners. */
export const readable = (text: string | null): string =>
  (text ?? '')
    .replace(/[\u00a0\u202f]/g, ' ')
    .replaceAll('\u2060', '')
    .replace(/\s+/g, ' ')
    .trim();

/** Waits until a page has all that it asked for and answers to keys. */
export async function alive(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.locator('html[data-keys="on"]').waitFor({ state: 'attached' });
}

/** Waits until a page has asked for what it shows; one that listens to a stream never falls quite silent. */
export async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('load');
  await Promise.race([page.waitForLoadState('networkidle').catch(() => undefined), new Promise((go) => setTimeout(go, 1800))]);
}

/** Starts a batch of a sheet and goes past its mise en place; ends on the first step. */
export async function startBatch(page: Page, sheetId: string): Promise<string> {
  await page.goto(`/pass?sheet=${sheetId}`);
  await page.getByRole('button', { name: 'Start this batch' }).click();
  await page.waitForURL(/\/pass\/[0-9a-f-]{36}/);
  await page.getByRole('heading', { name: 'Mise en place' }).waitFor();
  await page.getByRole('button', { name: /^Next/ }).click();
  await page.getByRole('heading', { name: 'Mise en place' }).waitFor({ state: 'detached' });
  return /\/pass\/([0-9a-f-]{36})/.exec(page.url())![1]!;
}

/** Starts a sheet of one's own, so that stories do not disturb each other; ends on Bench. */
export async function newSheet(page: Page, name: string, cream = '600 g cream 36 %'): Promise<string> {
  await page.goto('/new');
  await page.getByLabel('What is it called?').fill(name);
  await page.getByLabel('Which cream is there').fill(cream);
  await page.getByRole('button', { name: 'To the bench' }).click();
  await page.waitForURL(/\/sheet\/.+\/bench/);
  await alive(page);
  return /\/sheet\/([^/]+)\//.exec(page.url())![1]!;
}

/** Types a line into the field for the next one. */
export async function typeLine(page: Page, text: string): Promise<void> {
  await page.getByLabel('Next line').fill(text);
  await page.getByLabel('Next line').press('Enter');
}

/** The sentence of a tell. */
export const tell = async (page: Page, key: string): Promise<string> => readable(await page.locator(`[data-tell="${key}"] p`).first().innerText());

/** Waits until the server has what is on screen. */
export const saved = (page: Page): Promise<void> => expect(page.getByRole('status', { name: 'Saving' })).toContainText('saved');

/** A sheet of one's own with a sample's document. */
export async function copyOf(page: Page, sample: string, name: string): Promise<string> {
  const { doc } = (await (await page.request.get(`/api/sheets/${sample}`)).json()) as { doc: Record<string, unknown> };
  const { id } = (await (await page.request.post('/api/sheets', { data: { doc: { ...doc, name } } })).json()) as { id: string };
  return id;
}

/** Opens a list and takes one of it. @param option its value, or its name. */
export async function choose(field: Locator, option: string | { readonly label: string }): Promise<void> {
  await field.click();
  const list = field.page().getByRole('listbox');
  await (typeof option === 'string' ? list.locator(`[data-value="${option}"]`) : list.getByRole('option', { name: option.label, exact: true })).click();
  await expect(list).toHaveCount(0);
}
