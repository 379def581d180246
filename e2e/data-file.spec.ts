import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { alive, expect, PATIENT, test } from './kitchen';
import { storyPort } from './ports';
import { unzipSync, zipSync } from 'fflate';

let server: ChildProcess | null = null;
let log = '';

async function serve(port: number, env: Record<string, string>): Promise<void> {
  log = '';
  server = spawn('node', ['scripts/serve.mjs'], { env: { ...process.env, SOFT_PEAK_PORT: String(port), ...env } });
  server.stderr?.on('data', (d: Buffer) => (log += d.toString()));
  const host = env.SOFT_PEAK_HOST ?? '127.0.0.1';
  await expect
    .poll(
      () =>
        fetch(`http://${host}:${port}/api/due`).then(
          (r) => r.status,
          () => 0,
        ),
      { timeout: 15_000 },
    )
    .toBeGreaterThan(0);
}

test.afterEach(() => {
  server?.kill('SIGTERM');
  server = null;
});

test('a damaged data file gets a clear page and a log line, and is left as it was', async ({ page }) => {
  const path = join(mkdtempSync(join(tmpdir(), 'soft-peak-torn-')), 'kitchen.db');
  const before = 'not a database at all, but somebody’s notes about quinces\n'.repeat(200);
  writeFileSync(path, before);
  await serve(storyPort(1), { SOFT_PEAK_DATA: path });
  await page.goto(`http://127.0.0.1:${storyPort(1)}/`);
  await expect(page.getByRole('heading', { name: 'The kitchen’s data file is damaged' })).toBeVisible();
  await expect(page.getByText(path)).toBeVisible();
  await expect(page.getByText('Nothing in it has been changed')).toBeVisible();
  expect(log).toContain('data file not opened (damaged)');
  expect(readFileSync(path, 'utf8')).toBe(before);
  const api = await page.request.post(`http://127.0.0.1:${storyPort(1)}/api/batches`, { data: { sheetId: 'x' } });
  expect(api.status()).toBe(503);
});

test('an unwritable place gets a clear page', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-plate-'));
  writeFileSync(join(folder, 'plate'), '');
  await serve(storyPort(2), { SOFT_PEAK_DATA: join(folder, 'plate', 'kitchen.db') });
  await page.goto(`http://127.0.0.1:${storyPort(2)}/`);
  await expect(page.getByRole('heading', { name: 'The kitchen’s data file cannot be written' })).toBeVisible();
});

test('a second server on the same file is refused in words, and takes over when the first is gone', async ({ page }) => {
  const path = join(mkdtempSync(join(tmpdir(), 'soft-peak-two-')), 'kitchen.db');
  await serve(storyPort(1), { SOFT_PEAK_DATA: path });
  await page.goto(`http://127.0.0.1:${storyPort(1)}/`);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  const first = server!;
  await serve(storyPort(3), { SOFT_PEAK_DATA: path });
  await page.goto(`http://127.0.0.1:${storyPort(3)}/`);
  await expect(page.getByRole('heading', { name: 'Another server has this kitchen open' })).toBeVisible();
  first.kill('SIGTERM');
  await new Promise((gone) => first.on('exit', gone));
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
});

test('beyond this machine it asks for the passphrase, and does not start without one', async () => {
  const bare = spawnSync('node', ['scripts/serve.mjs'], {
    env: { ...process.env, SOFT_PEAK_HOST: '127.0.0.2', SOFT_PEAK_PORT: String(storyPort(3)) },
    encoding: 'utf8',
  });
  expect(bare.status).toBe(1);
  expect(bare.stderr).toContain('SOFT_PEAK_PASSPHRASE');
  const path = join(mkdtempSync(join(tmpdir(), 'soft-peak-pass-')), 'kitchen.db');
  await serve(storyPort(3), { SOFT_PEAK_DATA: path, SOFT_PEAK_HOST: '127.0.0.2', SOFT_PEAK_PASSPHRASE: 'gannets dive' });
  const base = `http://127.0.0.2:${storyPort(3)}`;
  const comeIn = (given: string) => fetch(`${base}/enter`, { method: 'POST', redirect: 'manual', body: new URLSearchParams({ given, name: 'a shell' }) });
  expect((await fetch(`${base}/api/due`)).status).toBe(401);
  expect((await comeIn('gannets sing')).status).toBe(401);
  const came = await comeIn('gannets dive');
  expect(came.status).toBe(303);
  expect((await fetch(`${base}/api/due`, { headers: { cookie: came.headers.get('set-cookie')!.split(';')[0]! } })).status).toBe(200);
});

test('a copy of the kitchen is made at a touch, opened and counted; the kitchen goes back to it and comes forward again', async ({ page }) => {
  await page.goto('/larder/kitchen');
  const copies = page.getByRole('region', { name: 'Copies' });
  await copies.getByRole('button', { name: 'Copy it now' }).click();
  await expect(copies.getByRole('status')).toContainText(/It opens, and holds \d+ sheets, \d+ batches and \d+ ingredients/);
  await expect(copies).toContainText('Last good copy');
  await expect(copies).toContainText(/The disk takes (?:only )?[\d.]+\u00a0[GM]B more/);
  const health = await page.request.get('/api/health');
  expect(health.status()).toBe(200);
  const how = (await health.json()) as { dataFile: string; lastCopyAt: number; diskFreeBytes: number; longestHeldMs: number };
  expect(how.longestHeldMs).toBeGreaterThanOrEqual(0);
  expect(how.dataFile).toBe('open');
  expect(how.lastCopyAt).toBeGreaterThan(0);
  expect(how.diskFreeBytes).toBeGreaterThan(0);
  // What has come since is said before it goes.
  const { doc } = (await (await page.request.get('/api/sheets/bay-leaf-chantilly')).json()) as { doc: Record<string, unknown> };
  const made = await page.request.post('/api/sheets', { data: { doc: { ...doc, name: 'Going-back fool' } } });
  const { id } = (await made.json()) as { id: string };
  const newest = copies.getByRole('list', { name: 'Copies, newest first' }).getByRole('listitem').first();
  await newest.getByRole('button', { name: 'what differs' }).click();
  await expect(newest.getByRole('group')).toContainText('1 sheet goes: Going-back fool.');
  // It has gone back when the page has read all anew.
  const goBack = async (): Promise<void> => {
    const anew = page.waitForEvent('load', PATIENT);
    await newest.getByRole('button', { name: 'Go back to this copy' }).click();
    await anew;
    await alive(page);
  };
  await goBack();
  expect((await page.request.get(`/api/sheets/${id}`)).status()).toBe(404);
  // What stood here is a copy: back to it.
  await newest.getByRole('button', { name: 'what differs' }).click();
  await expect(newest.getByRole('group')).toContainText('1 sheet comes back: Going-back fool.');
  await goBack();
  expect((await page.request.get(`/api/sheets/${id}`)).status()).toBe(200);
  // Taken out whole and brought in again, it is a copy that differs in nothing; what is no kitchen is refused in words.
  const zip = await page.request.get((await copies.getByRole('link', { name: 'Take the whole kitchen out' }).getAttribute('href'))!);
  expect(zip.headers()['content-type']).toBe('application/zip');
  const bring = copies.getByLabel('A kitchen’s zip');
  await bring.setInputFiles({ name: 'notes.zip', mimeType: 'application/zip', buffer: Buffer.from('quinces') });
  await expect(copies.getByRole('status').first()).toHaveText('That is no zip, or it is damaged.');
  // With its photos it is larger than one request may be.
  const photo = new Uint8Array(12_000_000).fill(7);
  const large = zipSync({ ...unzipSync(await zip.body()), 'photos/a-large-one.jpg': photo }, { level: 0 });
  await bring.setInputFiles({ name: 'other.zip', mimeType: 'application/zip', buffer: Buffer.from(large) });
  await expect(copies.getByRole('status').first()).toContainText('other.zip is the newest copy below');
  await newest.getByRole('button', { name: 'what differs' }).click();
  await expect(newest.getByRole('group')).toHaveText('Nothing: the kitchen is as it was then.');
});
