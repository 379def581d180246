import { existsSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Entry, FORGOTTEN_AFTER_MS, LINK_LASTS_MS } from './entry';
import { fingerprint, newCode, tidyCode } from './secrets';

const DAY = 24 * 3_600_000;
const NOW = Date.UTC(2026, 10, 29, 10);
let path = '';
beforeEach(() => {
  path = join(mkdtempSync(join(tmpdir(), 'soft-peak-entry-')), 'kitchen.entry.json');
});
const locked = (): Entry => new Entry(path, 'gannets dive');
const shown = async (e: Entry, name = 'bench tablet', now = NOW, given = 'gannets dive'): Promise<string> => {
  const came = await e.comeIn(given, name, 'a', now);
  if (!came.ok) throw new Error(came.fault.says);
  return came.value;
};

describe('who comes in', () => {
  it('without a passphrase nothing is asked, and no file is made', () => {
    expect(new Entry(path, '').isLocked()).toBe(false);
    expect(existsSync(path)).toBe(false);
  });
  it('the passphrase lets a screen in, and nothing else does', async () => {
    const e = locked();
    expect(e.isLocked()).toBe(true);
    for (const wrong of ['', 'gannets dive ', 'GANNETS DIVE', 'x'.repeat(5000)])
      expect((await e.comeIn(wrong, 't', wrong.slice(0, 3), NOW)).ok, wrong).toBe(false);
    const cookie = await shown(e);
    expect(e.screenOf(cookie, NOW)).toMatchObject({ show: null });
    for (const stranger of [
      undefined,
      '',
      '.',
      cookie.slice(0, -1),
      `${cookie.split('.')[0]}.`,
      `${cookie.split('.')[0]}.${'A'.repeat(43)}`,
      cookie.replace(/^./, (c) => (c === 'a' ? 'b' : 'a')),
    ])
      expect(e.screenOf(stranger, NOW)).toBeNull();
    expect(e.screens()).toMatchObject([{ name: 'bench tablet', since: NOW, seen: NOW }]);
  });
  it('neither the passphrase nor what a screen shows can be read from the file, which is its owner’s', async () => {
    const cookie = await shown(locked());
    const text = readFileSync(path, 'utf8');
    expect(text).not.toContain('gannets');
    expect(text).not.toContain(cookie.split('.')[1]);
    expect(text).toContain(fingerprint(cookie.split('.')[1]!));
    expect(statSync(path).mode & 0o077).toBe(0);
  });
  it('it is kept through a new start; another passphrase at the start puts every screen out', async () => {
    const cookie = await shown(locked());
    expect(locked().screenOf(cookie, NOW + 1)).not.toBeNull();
    expect(new Entry(path, 'another phrase').screenOf(cookie, NOW + 1)).toBeNull();
    // Started without one, the file’s still counts.
    expect(new Entry(path, '').isLocked()).toBe(true);
  });
  it('after a day a screen is given something new; the old is good until the new is shown, and not after', async () => {
    const e = locked();
    const first = await shown(e);
    const told = e.screenOf(first, NOW + DAY + 1)!.show!;
    expect(told).not.toBe(first);
    // The answer was lost: it shows the old one again, as often as it likes.
    expect(e.screenOf(first, NOW + DAY + 2)).toMatchObject({ show: null });
    expect(e.screenOf(told, NOW + DAY + 3)).toMatchObject({ show: null });
    expect(e.screenOf(first, NOW + DAY + 4)).toBeNull();
    // What was lost once is told again a day later.
    const again = e.screenOf(told, NOW + 2 * DAY + 5)!.show!;
    const anew = e.screenOf(told, NOW + 3 * DAY + 6)!.show!;
    expect(anew).not.toBe(again);
    expect(e.screenOf(again, NOW + 3 * DAY + 7)).toBeNull();
    expect(e.screenOf(anew, NOW + 3 * DAY + 8)).not.toBeNull();
  });
  it('one not seen for ninety days comes in anew', async () => {
    const e = locked();
    const cookie = await shown(e);
    expect(e.screenOf(cookie, NOW + FORGOTTEN_AFTER_MS + 1)).toBeNull();
    expect(e.screenOf(cookie, NOW + FORGOTTEN_AFTER_MS - 1)).not.toBeNull();
    expect(FORGOTTEN_AFTER_MS).toBe(90 * DAY);
  });
  it('put out, one comes in no more; all others put out, this one stays', async () => {
    const e = locked();
    const [a, b, c] = [await shown(e, 'a'), await shown(e, 'b'), await shown(e, 'c')];
    e.remove(a.split('.')[0]!);
    expect(e.screenOf(a, NOW)).toBeNull();
    e.removeOthers(c.split('.')[0]!);
    expect(e.screenOf(b, NOW)).toBeNull();
    expect(e.screenOf(c, NOW)).not.toBeNull();
  });
  it('a code lets one screen in, for ten minutes, however it is typed', async () => {
    const e = locked();
    const { code, until } = e.makeCode(NOW);
    expect(until - NOW).toBe(10 * 60_000);
    const typed = `${code.slice(0, 4).toLowerCase()} ${code.slice(4)}`;
    expect((await e.comeIn(typed, 'late', 'a', until)).ok).toBe(false);
    expect((await e.comeIn(typed, 'tablet', 'a', until - 1)).ok).toBe(true);
    expect((await e.comeIn(typed, 'tablet', 'a', until - 1)).ok).toBe(false);
    const old = e.makeCode(NOW).code;
    e.makeCode(NOW);
    expect((await e.comeIn(old, 'tablet', 'b', NOW)).ok).toBe(false);
  });
  it('one set in the program puts the others out and is changed by who knows it; one set at the start is changed there', async () => {
    const e = new Entry(path, '');
    expect(await e.setPassphrase('', 'short', null, 'a', NOW)).toMatchObject({ ok: false, fault: { field: 'passphrase' } });
    const mine = await e.setPassphrase('', 'first phrase', null, 'a', NOW);
    if (!mine.ok) throw new Error(mine.fault.says);
    expect(e.screenOf(mine.value, NOW)).not.toBeNull();
    const other = await shown(e, 'other', NOW, 'first phrase');
    expect(await e.setPassphrase('wrong', 'second phrase', mine.value.split('.')[0]!, 'a', NOW)).toMatchObject({ ok: false, fault: { field: 'before' } });
    const changed = await e.setPassphrase('first phrase', 'second phrase', other.split('.')[0]!, 'a', NOW);
    if (!changed.ok) throw new Error(changed.fault.says);
    expect(e.screenOf(mine.value, NOW)).toBeNull();
    expect(e.screens()).toMatchObject([{ name: 'other' }]);
    expect((await e.comeIn('first phrase', 't', 'a', NOW)).ok).toBe(false);
    expect(await new Entry(path, 'at the start').setPassphrase('at the start', 'another one', null, 'a', NOW)).toMatchObject({
      ok: false,
      fault: { code: 'fixed' },
    });
  });
  it('a file that cannot be read lets nobody in, is said, and is left as it is', async () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    for (const torn of ['', '{', '[]', '{"format":"soft-peak-entry","passphrase":null}', '{"format":"other","passphrase":null,"screens":[]}']) {
      writeFileSync(path, torn);
      const e = locked();
      expect(e.isLocked(), torn).toBe(true);
      expect((await e.comeIn('gannets dive', 't', 'a', NOW)).ok, torn).toBe(false);
      expect(e.screenOf('a.b', NOW)).toBeNull();
      expect(readFileSync(path, 'utf8')).toBe(torn);
    }
    expect(said).toHaveBeenCalled();
    said.mockRestore();
  });
  it('no cookie whatever breaks it or comes in', async () => {
    const e = locked();
    await shown(e);
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((s) => `${e.screens()[0]!.id}.${s}`),
        ),
        (cookie) => e.screenOf(cookie, NOW) === null,
      ),
    );
  });
});

describe('a link to look at a day sheet', () => {
  const made = (e: Entry, serviceId = 'dinner', now = NOW): string => {
    const link = e.makeLink(serviceId, now);
    if (!link.ok) throw new Error(link.fault.says);
    return link.value.secret;
  };
  it('shows one service for a week, also after a new start, and is no way in', () => {
    const e = locked();
    const link = made(e);
    expect(LINK_LASTS_MS).toBe(7 * DAY);
    expect(e.serviceShown(link, NOW + 7 * DAY - 1)).toBe('dinner');
    expect(e.serviceShown(link, NOW + 7 * DAY)).toBeNull();
    expect(e.linkUntil('dinner', NOW)).toBe(NOW + 7 * DAY);
    expect([e.linkUntil('dinner', NOW + 7 * DAY), e.linkUntil('lunch', NOW)]).toEqual([null, null]);
    expect(locked().serviceShown(link, NOW)).toBe('dinner');
    expect(e.screenOf(link, NOW)).toBeNull();
    expect(e.screenOf(`${link}.${link}`, NOW)).toBeNull();
    // As a passphrase it is none, and the file does not tell it.
    expect(readFileSync(path, 'utf8')).not.toContain(link);
  });
  it('a new one takes the place of the one before; of another service it takes none; taken back it shows nothing', () => {
    const e = locked();
    const [old, lunch] = [made(e), made(e, 'lunch')];
    const now = made(e);
    expect([old, now, lunch].map((l) => e.serviceShown(l, NOW))).toEqual([null, 'dinner', 'lunch']);
    e.removeLink('dinner');
    expect([now, lunch].map((l) => e.serviceShown(l, NOW))).toEqual([null, 'lunch']);
  });
  it('another passphrase voids it, and without one there is none', async () => {
    const e = new Entry(path, '');
    expect(e.makeLink('dinner', NOW)).toMatchObject({ ok: false, fault: { code: 'unlocked' } });
    expect((await e.setPassphrase('', 'first phrase', null, 'a', NOW)).ok).toBe(true);
    const link = made(e);
    expect((await e.setPassphrase('first phrase', 'second phrase', null, 'a', NOW)).ok).toBe(true);
    expect(e.serviceShown(link, NOW)).toBeNull();
    const again = made(e);
    expect(new Entry(path, 'set at the start').serviceShown(again, NOW)).toBeNull();
  });
  it('no guess shows anything; a file of before there were links is read', () => {
    const e = locked();
    made(e);
    fc.assert(fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[\w-]{43}$/)), (guess) => e.serviceShown(guess, NOW) === null));
    const before = JSON.parse(readFileSync(path, 'utf8')) as { links?: unknown };
    delete before.links;
    writeFileSync(path, JSON.stringify(before));
    expect(locked().isLocked()).toBe(true);
    expect(locked().linkUntil('dinner', NOW)).toBeNull();
    expect(e.serviceShown(made(locked()), NOW)).toBe('dinner');
  });
});

describe('codes', () => {
  it('are read aloud without mistake, and none is like another', () => {
    const many = Array.from({ length: 500 }, newCode);
    expect(many.every((c) => /^[A-HJ-KM-NP-TV-Z2-9]{8}$/.test(c))).toBe(true);
    expect(new Set(many).size).toBe(500);
    expect(tidyCode(' ab-c 9\n')).toBe('ABC9');
  });
});
