import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NextRequest } from 'next/server';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { cookieOf, isSecure, kitchenEntry, NONCE_HEADER, SCREEN_HEADER, SHOWN } from './entry/kitchen-entry';
import { proxy } from './proxy';

const ask = (headers: Record<string, string>, method = 'GET'): number => proxy(new NextRequest('http://127.0.0.1:4310/api/due', { method, headers })).status;

afterEach(() => vi.unstubAllEnvs());

describe('without a passphrase', () => {
  it.each(['127.0.0.1:4310', 'localhost:9', 'localhost', '[::1]:4310'])('answers to %s', (host) => expect(ask({ host })).toBe(200));
  it.each(['kitchen.example', '127.0.0.1.example', 'localhost.example:4310', ''])('does not answer to ‘%s’', (host) => expect(ask({ host })).toBe(403));
});

describe('with a passphrase', () => {
  const host = 'kitchen.example';
  const request = (path: string, headers: Record<string, string> = {}, method = 'GET') =>
    proxy(new NextRequest(`http://${host}${path}`, { method, headers: { host, ...headers } }));
  beforeEach(() => {
    vi.stubEnv('SOFT_PEAK_PASSPHRASE', 'gannets: dive');
    vi.stubEnv('SOFT_PEAK_DATA', join(mkdtempSync(join(tmpdir(), 'soft-peak-guard-')), 'kitchen.db'));
  });
  it('a stranger sees the door and nothing else', () => {
    expect(request('/enter').status).toBe(200);
    for (const path of ['/', '/log', '/enter/x', '/enterx', '/icon.svg', '/larder/entry']) {
      const answer = request(path);
      expect(answer.status, path).toBe(303);
      expect(answer.headers.get('location'), path).toBe(`http://${host}/enter${path === '/' ? '' : `?to=${encodeURIComponent(path)}`}`);
    }
    for (const path of ['/api/due', '/api/entry/screens', '/_next/static/x.js', '/_next/data/x.json']) expect(request(path).status, path).toBe(401);
    expect(request('/', {}, 'POST').status).toBe(401);
  });
  it('a link to look opens its own page and nothing else, for reading only, as long as it is good', () => {
    const made = kitchenEntry().makeLink('dinner', Date.now());
    if (!made.ok) throw new Error(made.fault.says);
    const path = `/seen/${made.value.secret}`;
    expect(request(path).status).toBe(200);
    expect(request(path, { [SCREEN_HEADER]: 'forged' }).headers.get(`x-middleware-request-${SCREEN_HEADER}`)).toBe('');
    for (const other of ['/seen/', '/seen', `/seen/${'A'.repeat(43)}`, `${path}/x`, `/SEEN/${made.value.secret}`, '/'])
      expect(request(other).status, other).toBe(303);
    expect(request(`/api/services/dinner/link?link=${made.value.secret}`).status).toBe(401);
    for (const method of ['POST', 'PUT', 'DELETE']) expect(request(path, {}, method).status, method).toBe(401);
    kitchenEntry().removeLink('dinner');
    expect(request(path).status).toBe(303);
  });
  it('a screen that has come in passes, and the kitchen is told which it is; nobody else can say so', async () => {
    const came = await kitchenEntry().comeIn('gannets: dive', 'bench', 'a', Date.now());
    if (!came.ok) throw new Error(came.fault.says);
    const cookie = `${SHOWN}=${came.value}`;
    const mine = request('/api/due', { cookie, [SCREEN_HEADER]: 'forged' });
    expect(mine.status).toBe(200);
    expect(mine.headers.get(`x-middleware-request-${SCREEN_HEADER}`)).toBe(came.value.split('.')[0]);
    expect(request('/enter', { [SCREEN_HEADER]: 'forged' }).headers.get(`x-middleware-request-${SCREEN_HEADER}`)).toBe('');
    // A page of another site may not write with it.
    expect(request('/api/entry/screens', { cookie, origin: 'http://elsewhere.example' }, 'DELETE').status).toBe(403);
    kitchenEntry().remove(came.value.split('.')[0]!);
    expect(request('/api/due', { cookie }).status).toBe(401);
  });
  it('what it shows is out of reach of scripts and other sites, and of plain connections where there are better', () => {
    expect(cookieOf('a.b', false)).toBe('soft-peak=a.b; Path=/; HttpOnly; SameSite=Strict; Max-Age=7776000');
    expect(cookieOf('a.b', true)).toMatch(/; Secure$/);
    expect(cookieOf('', false)).toContain('Max-Age=0');
    expect(isSecure(new Request('http://x/', { headers: { 'x-forwarded-proto': 'https' } }))).toBe(true);
    expect(isSecure(new Request('http://x/'))).toBe(false);
  });
});

describe('writes', () => {
  const host = '127.0.0.1:4310';
  it.each([
    ['same-origin', 200],
    ['none', 200],
    ['cross-site', 403],
    ['same-site', 403],
  ])('from %s get %s', (site, status) => expect(ask({ host, 'sec-fetch-site': site }, 'POST')).toBe(status));
  it.each([
    ['http://127.0.0.1:4310', 200],
    ['http://127.0.0.1:9999', 403],
    ['http://kitchen.example', 403],
    ['http://127.0.0.1:4310.example', 403],
    ['null', 403],
  ])('of a page of %s get %s where the browser says no more', (origin, status) => expect(ask({ host, origin }, 'POST')).toBe(status));
  it('from the command line pass, and reading is free', () => {
    expect(ask({ host }, 'PUT')).toBe(200);
    expect(ask({ host, 'sec-fetch-site': 'cross-site' })).toBe(200);
  });
});

describe('headers', () => {
  const headers = (path: string): Headers => proxy(new NextRequest(`http://127.0.0.1:4310${path}`, { headers: { host: '127.0.0.1:4310' } })).headers;
  it('nobody may frame a page, and it loads its own things only', () => {
    const policy = headers('/').get('content-security-policy') ?? '';
    for (const part of ["default-src 'self'", "frame-ancestors 'none'", "object-src 'none'", "form-action 'self'"]) expect(policy).toContain(part);
    expect(policy).not.toContain('unsafe-eval');
    expect(headers('/').get('x-frame-options')).toBe('DENY');
  });
  it('a script in the page’s text runs only with the mark of this one page, which nobody can bring along', () => {
    const marks = [1, 2].map(() => {
      const answer = proxy(
        new NextRequest('http://127.0.0.1:4310/', {
          headers: { host: '127.0.0.1:4310', [NONCE_HEADER]: 'forged', 'content-security-policy': "script-src 'nonce-forged'" },
        }),
      ).headers;
      const scripts = /script-src ([^;]*)/.exec(answer.get('content-security-policy')!)![1]!;
      const mark = /^'self' 'nonce-([A-Za-z0-9+/]{22}==)'$/.exec(scripts)?.[1];
      expect(mark, scripts).toBeDefined();
      // The page is told the same mark, in the guard’s own words.
      expect(answer.get(`x-middleware-request-${NONCE_HEADER}`)).toBe(mark);
      expect(answer.get('x-middleware-request-content-security-policy')).toBe(answer.get('content-security-policy'));
      return mark;
    });
    expect(marks[0]).not.toBe(marks[1]);
  });
  it('every answer is taken for what it says it is', () => {
    for (const path of ['/', '/api/due', '/api/services/x/files/plan']) expect(headers(path).get('x-content-type-options')).toBe('nosniff');
    expect(headers('/api/due').get('content-security-policy')).toBeNull();
  });
});
