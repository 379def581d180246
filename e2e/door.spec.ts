import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PATIENT, test } from './kitchen';
import { storyPort } from './ports';

/** What a server answers to a request with just these headers, as no browser would let a page send them. */
function answer(
  port: number,
  method: string,
  path: string,
  headers: Record<string, string>,
  body = '',
): Promise<{ status: number; text: string; headers: IncomingHttpHeaders }> {
  return new Promise((done, broken) => {
    const req = request({ host: '127.0.0.1', port, method, path, headers: { 'content-length': String(Buffer.byteLength(body)), ...headers } }, (res) => {
      let text = '';
      res
        .setEncoding('utf8')
        .on('data', (piece: string) => (text += piece))
        .on('end', () => done({ status: res.statusCode ?? 0, text, headers: res.headers }));
    });
    req.on('error', broken);
    req.end(body);
  });
}

const LOOKALIKES = [
  '/_next/staticx',
  '/_next/static',
  '/_next/static.rsc',
  '/_next/static-kitchen',
  '/_next/static?x=1',
  '/_next/static/../../api/due',
  '/_next/static/%2e%2e/%2e%2e/api/due',
  '/_next/static/none.js',
  '/api/due',
  '/',
  '/_next/data/x.json',
  '/_next/data/x/enter.json',
  '/enterx',
  '/ENTER',
  '/enter/',
  '/enter/../api/due',
  '/larder/entry',
];
/** What a server of a kitchen of its own is started with. */
const kitchenAt = (port: number, more: Readonly<Record<string, string>> = {}): NodeJS.ProcessEnv => ({
  ...process.env,
  SOFT_PEAK_PORT: String(port),
  SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-door-')), 'kitchen.db'),
  ...more,
});
const seeded = (env: NodeJS.ProcessEnv): NodeJS.ProcessEnv => {
  expect(spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env }).status).toBe(0);
  return env;
};
/** Starts it, and waits until it answers as it should. */
async function served(env: NodeJS.ProcessEnv, status: number): Promise<ChildProcess> {
  const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  const asked = (): Promise<number> =>
    fetch(`http://127.0.0.1:${env.SOFT_PEAK_PORT}/api/due`).then(
      (r) => r.status,
      () => 0,
    );
  await expect.poll(asked, PATIENT).toBe(status);
  return server;
}

const PORT = storyPort(0);
const LOCKED_PORT = storyPort(1);

test('a foreign host name gets nothing of the kitchen, under no path', async () => {
  for (const path of LOOKALIKES) {
    const got = await answer(PORT, 'GET', path, { host: 'kitchen.example' });
    expect(got.status, path).toBe(403);
    expect(got.text, path).toBe('This kitchen answers only on its own machine.');
    const written = await answer(PORT, 'POST', path, { host: 'kitchen.example', 'next-action': '0'.repeat(42), 'content-type': 'text/plain' }, '[]');
    expect(written.status, path).toBe(403);
  }
});

test('with a passphrase nothing of the kitchen is shown without it, and a page of another site writes nothing', async () => {
  const server = await served(seeded(kitchenAt(LOCKED_PORT, { SOFT_PEAK_PASSPHRASE: 'gannets dive' })), 401);
  try {
    const host = `127.0.0.1:${LOCKED_PORT}`;
    const nothing = /^(?:The kitchen’s passphrase is needed\.|)$/;
    for (const path of LOOKALIKES) {
      const got = await answer(LOCKED_PORT, 'GET', path, { host });
      expect([303, 308, 401], path).toContain(got.status);
      expect(got.text.startsWith('/enter') ? '' : got.text, path).toMatch(nothing);
      expect((await answer(LOCKED_PORT, 'POST', path, { host, 'next-action': '0'.repeat(42), 'content-type': 'text/plain' }, '[]')).status, path).not.toBe(200);
    }
    // Every page and route that the build has, by the build's own list.
    const routes = Object.values(JSON.parse(readFileSync('.next/app-path-routes-manifest.json', 'utf8')) as Record<string, string>).map((r) =>
      r.replace(/\[[^\]]+\]/g, 'x'),
    );
    expect(routes.length).toBeGreaterThan(60);
    for (const path of routes.filter((r) => r !== '/enter')) {
      for (const method of ['GET', 'POST', 'PUT', 'DELETE']) {
        const got = await answer(LOCKED_PORT, method, path, { host });
        expect([303, 401], `${method} ${path}`).toContain(got.status);
        expect(got.text.startsWith('/enter') ? '' : got.text, `${method} ${path}`).toMatch(nothing);
      }
    }
    const form = { host, 'content-type': 'application/x-www-form-urlencoded' };
    expect((await answer(LOCKED_PORT, 'POST', '/enter', form, 'given=gannets&to=/')).status).toBe(401);
    const came = await answer(LOCKED_PORT, 'POST', '/enter', form, 'given=gannets+dive&name=command+line&to=//elsewhere.example');
    expect(came.status).toBe(303);
    expect(came.headers.location).toBe('/');
    const key = { host, cookie: came.headers['set-cookie']![0]!.split(';')[0]! };
    expect((await answer(LOCKED_PORT, 'GET', '/api/due', key)).status).toBe(200);
    // Over plain HTTP a browser says only where the page came from.
    const cream = async (): Promise<string> => /^cream-36,.*$/m.exec((await answer(LOCKED_PORT, 'GET', '/api/larder/file', key)).text)?.[0] ?? '';
    const before = await cream();
    expect(before).toContain('milk');
    const table = `id,name,allergens\ncream-36,Cream,\n`;
    expect(
      (await answer(LOCKED_PORT, 'POST', '/api/larder/file', { ...key, origin: 'http://elsewhere.example', 'content-type': 'text/plain' }, table)).status,
    ).toBe(403);
    expect(await cream()).toBe(before);
  } finally {
    server.kill('SIGTERM');
  }
});

test('a cook comes in by the passphrase, lets a tablet in by a code, and puts it out again', async ({ browser }) => {
  const server = await served(kitchenAt(LOCKED_PORT), 200);
  const base = `http://127.0.0.1:${LOCKED_PORT}`;
  try {
    const [bench, tablet] = [await (await browser.newContext({ baseURL: base })).newPage(), await (await browser.newContext({ baseURL: base })).newPage()];
    // Whoever sits at the machine sets the passphrase, and is in.
    await bench.goto('/larder/entry');
    await bench.getByLabel('Passphrase, at least 8 letters').fill('gannets');
    await bench.getByRole('button', { name: 'Set it' }).click();
    await expect(bench.getByRole('status').filter({ hasText: '8 to 200 letters' })).toBeVisible();
    await bench.getByLabel('Passphrase, at least 8 letters').fill('gannets dive');
    await bench.getByRole('button', { name: 'Set it' }).click();
    const screens = bench.getByRole('list', { name: 'Screens that come in' }).getByRole('listitem');
    await expect(screens).toHaveCount(1);
    await expect(screens).toContainText('this screen');
    // The tablet is shown the door, mistypes, and comes to where it wanted by a code.
    await tablet.goto('/log');
    await expect(tablet.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
    await tablet.getByLabel('The kitchen’s passphrase').fill('gannets dove');
    await tablet.getByRole('button', { name: 'Come in' }).click();
    await expect(tablet.getByRole('alert')).toHaveText('That is neither the kitchen’s passphrase nor a code that is good now.');
    await bench.getByRole('button', { name: 'Let a tablet in' }).click();
    const shown = bench.getByRole('region', { name: 'Code for a tablet' });
    // By this machine's own name no other reaches it: the code is typed there.
    await expect(shown).toContainText('open the server’s address');
    const code = /[A-Z0-9]{4} [A-Z0-9]{4}/.exec(await shown.innerText())![0];
    await tablet.getByLabel('The kitchen’s passphrase').fill(code.toLowerCase());
    await tablet.getByLabel('What this screen is called').fill('bench tablet');
    await tablet.getByRole('button', { name: 'Come in' }).click();
    await tablet.waitForURL(`${base}/log`);
    await expect(tablet.getByRole('navigation', { name: 'Stations' })).toBeVisible();
    // Its script cannot read what it shows.
    expect(await tablet.evaluate(() => document.cookie)).toBe('');
    await bench.reload();
    await expect(screens).toHaveCount(2);
    await bench.getByRole('button', { name: 'Put bench tablet out' }).click();
    await expect(screens).toHaveCount(1);
    await tablet.reload();
    await expect(tablet.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
    // Out here, too.
    await bench.getByRole('button', { name: 'Go out here' }).click();
    await expect(bench.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
    await bench.getByLabel('The kitchen’s passphrase').fill('gannets dive');
    await bench.getByRole('button', { name: 'Come in' }).click();
    await bench.waitForURL(`${base}/larder/entry`);
  } finally {
    server.kill('SIGTERM');
  }
});

test('a link to look shows a stranger the day sheet and nothing else, until it is taken back', async ({ browser }) => {
  const server = await served(seeded(kitchenAt(LOCKED_PORT, { SOFT_PEAK_PASSPHRASE: 'gannets dive' })), 401);
  const base = `http://127.0.0.1:${LOCKED_PORT}`;
  try {
    const [bench, stranger] = [await (await browser.newContext({ baseURL: base })).newPage(), await (await browser.newContext({ baseURL: base })).newPage()];
    await bench.goto('/clock/harbour-dinner/list');
    await bench.getByLabel('The kitchen’s passphrase').fill('gannets dive');
    await bench.getByRole('button', { name: 'Come in' }).click();
    await bench.waitForURL(`${base}/clock/harbour-dinner/list`);
    await bench.getByRole('button', { name: 'Link to look' }).click();
    const panel = bench.getByRole('dialog', { name: 'Link to look' });
    await panel.getByRole('button', { name: 'Make a link' }).click();
    const url = await panel.getByLabel('Address of the link').inputValue();
    expect(url).toMatch(new RegExp(`^${base}/seen/[\\w-]{43}$`));
    await stranger.goto(url);
    await expect(stranger.getByText('Pear and black-tea icebox cake').first()).toBeVisible();
    await expect(stranger.getByRole('heading', { name: 'Early cook' }).first()).toBeVisible();
    // No way further: neither a link nor the rest of the kitchen.
    await expect(stranger.getByRole('link')).toHaveCount(0);
    await stranger.goto('/clock/harbour-dinner/list');
    await expect(stranger.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
    // Its address is shown only once; that there is one, is said.
    await bench.reload();
    await bench.getByRole('button', { name: 'Link to look' }).click();
    await expect(panel).toContainText('There is a link, good until');
    await panel.getByRole('button', { name: 'Take it back' }).click();
    await expect(panel.getByRole('button', { name: 'Make a link' })).toBeVisible();
    await stranger.goto(url);
    await expect(stranger.getByRole('heading', { name: 'Come into the kitchen' })).toBeVisible();
  } finally {
    server.kill('SIGTERM');
  }
});

test('told to go, a server with an open stream goes, and says that it ended well; one that is killed does not', async () => {
  const port = storyPort(2);
  const env = kitchenAt(port);
  const ended = (server: ChildProcess): Promise<number | null> => new Promise((done) => server.on('exit', (code) => done(code)));
  const server = await served(env, 200);
  const stream = request({ host: '127.0.0.1', port, path: '/api/instruments/stream', headers: { host: `127.0.0.1:${port}` } });
  const open = new Promise<void>((go) => stream.on('response', (res) => res.once('data', () => go())));
  stream.on('error', () => undefined);
  stream.end();
  await open;
  const goes = ended(server);
  server.kill('SIGTERM');
  expect(await goes).toBe(0);
  expect(
    await answer(port, 'GET', '/api/due', { host: `127.0.0.1:${port}` }).then(
      (r) => r.status,
      () => 0,
    ),
  ).toBe(0);
  // Its server killed under it: the starter says so.
  const again = await served(env, 200);
  const dies = ended(again);
  const child = spawnSync('pgrep', ['-P', String(again.pid)], { encoding: 'utf8' })
    .stdout.trim()
    .split('\n')[0]!;
  process.kill(Number(child), 'SIGKILL');
  expect(await dies).not.toBe(0);
  spawnSync('pkill', ['-9', '-P', child]);
});
