import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PATIENT, test } from './kitchen';
import { storyPort } from './ports';

/** What a server answers to a request with just these headers, as no browser would let a page send them. */
function answer(port: number, method: string, path: string, headers: Record<string, string>, body = ''): Promise<{ status: number; text: string }> {
  return new Promise((done, broken) => {
    const req = request({ host: '127.0.0.1', port, method, path, headers: { 'content-length': String(Buffer.byteLength(body)), ...headers } }, (res) => {
      let text = '';
      res.setEncoding('utf8').on('data', (piece: string) => (text += piece)).on('end', () => done({ status: res.statusCode ?? 0, text }));
    });
    req.on('error', broken);
    req.end(body);
  });
}

const LOOKALIKES = ['/_next/staticx', '/_next/static', '/_next/static.rsc', '/_next/static-kitchen', '/_next/static?x=1', '/_next/static/../../api/due', '/_next/static/%2e%2e/%2e%2e/api/due', '/_next/static/none.js', '/api/due', '/', '/_next/data/x.json'];
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
  const env = { ...process.env, SOFT_PEAK_PORT: String(LOCKED_PORT), SOFT_PEAK_PASSPHRASE: 'gannets dive', SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-door-')), 'kitchen.db') };
  expect(spawnSync('node_modules/.bin/tsx', ['scripts/seed.ts'], { env }).status).toBe(0);
  const server: ChildProcess = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
  try {
    const key = { host: `127.0.0.1:${LOCKED_PORT}`, authorization: `Basic ${Buffer.from('cook:gannets dive').toString('base64')}` };
    await expect.poll(() => answer(LOCKED_PORT, 'GET', '/api/due', key).then((r) => r.status, () => 0), PATIENT).toBe(200);
    for (const path of LOOKALIKES) expect((await answer(LOCKED_PORT, 'GET', path, { host: key.host })).text, path).toBe('The kitchen’s passphrase is needed.');
    // Over plain HTTP a browser says only where the page came from.
    const cream = async (): Promise<string> => /^cream-36,.*$/m.exec((await answer(LOCKED_PORT, 'GET', '/api/larder/file', key)).text)?.[0] ?? '';
    const before = await cream();
    expect(before).toContain('milk');
    const table = `id,name,allergens\ncream-36,Cream,\n`;
    expect((await answer(LOCKED_PORT, 'POST', '/api/larder/file', { ...key, origin: 'http://elsewhere.example', 'content-type': 'text/plain' }, table)).status).toBe(403);
    expect(await cream()).toBe(before);
  } finally {
    server.kill('SIGTERM');
  }
});

test('told to go, a server with an open stream goes, and says that it ended well; one that is killed does not', async () => {
  const port = storyPort(2);
  const env = { ...process.env, SOFT_PEAK_PORT: String(port), SOFT_PEAK_DATA: join(mkdtempSync(join(tmpdir(), 'soft-peak-door-')), 'kitchen.db') };
  const start = async (): Promise<ChildProcess> => {
    const server = spawn('node', ['scripts/serve.mjs'], { env, stdio: 'ignore' });
    await expect.poll(() => answer(port, 'GET', '/api/due', { host: `127.0.0.1:${port}` }).then((r) => r.status, () => 0), PATIENT).toBe(200);
    return server;
  };
  const ended = (server: ChildProcess): Promise<number | null> => new Promise((done) => server.on('exit', (code) => done(code)));
  const server = await start();
  const stream = request({ host: '127.0.0.1', port, path: '/api/instruments/stream', headers: { host: `127.0.0.1:${port}` } });
  const open = new Promise<void>((go) => stream.on('response', (res) => res.once('data', () => go())));
  stream.on('error', () => undefined);
  stream.end();
  await open;
  const goes = ended(server);
  server.kill('SIGTERM');
  expect(await goes).toBe(0);
  expect(await answer(port, 'GET', '/api/due', { host: `127.0.0.1:${port}` }).then((r) => r.status, () => 0)).toBe(0);
  // Its server killed under it: the starter says so.
  const again = await start();
  const dies = ended(again);
  const child = spawnSync('pgrep', ['-P', String(again.pid)], { encoding: 'utf8' }).stdout.trim().split('\n')[0]!;
  process.kill(Number(child), 'SIGKILL');
  expect(await dies).not.toBe(0);
  spawnSync('pkill', ['-9', '-P', child]);
});
