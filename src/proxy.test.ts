import { NextRequest } from 'next/server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { proxy } from './proxy';

const ask = (headers: Record<string, string>, method = 'GET'): number => proxy(new NextRequest('http://127.0.0.1:4310/api/due', { method, headers })).status;
const basic = (pair: string): string => `Basic ${Buffer.from(pair).toString('base64')}`;

afterEach(() => vi.unstubAllEnvs());

describe('without a passphrase', () => {
  it.each(['127.0.0.1:4310', 'localhost:9', 'localhost', '[::1]:4310'])('answers to %s', (host) => expect(ask({ host })).toBe(200));
  it.each(['kitchen.example', '127.0.0.1.example', 'localhost.example:4310', ''])('does not answer to ‘%s’', (host) => expect(ask({ host })).toBe(403));
});

describe('with a passphrase', () => {
  it('asks for it, and takes any name with it', () => {
    vi.stubEnv('SOFT_PEAK_PASSPHRASE', 'gannets: dive');
    const host = 'kitchen.example';
    expect(ask({ host })).toBe(401);
    expect(ask({ host, authorization: 'Bearer gannets: dive' })).toBe(401);
    expect(ask({ host, authorization: basic('cook:gannets') })).toBe(401);
    expect(ask({ host, authorization: basic('cook:') })).toBe(401);
    expect(ask({ host, authorization: basic('cook:gannets: dive') })).toBe(200);
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
  it('every answer is taken for what it says it is', () => {
    for (const path of ['/', '/api/due', '/api/services/x/files/plan']) expect(headers(path).get('x-content-type-options')).toBe('nosniff');
    expect(headers('/api/due').get('content-security-policy')).toBeNull();
  });
});
