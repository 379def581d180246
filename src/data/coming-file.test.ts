import { existsSync, mkdtempSync, readFileSync, statSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { seededNumbers } from '../core/random';
import { cameOf, comingPath, dropComing, takePiece } from './coming-file';

const folder = (): string => join(mkdtempSync(join(tmpdir(), 'soft-peak-coming-')), 'copies');
const NOW = Date.now();
const bytes = (n: number, seed = 3): Uint8Array => {
  const random = seededNumbers(seed);
  return Uint8Array.from({ length: n }, () => Math.floor(256 * random()));
};

describe('a large file on its way in', () => {
  it('comes in pieces, whatever their size, some of them twice', () => {
    const random = seededNumbers(11);
    for (let round = 0; round < 20; round++) {
      const into = folder();
      const whole = bytes(1 + Math.floor(5000 * random()), round + 1);
      for (let at = 0; at < whole.length;) {
        const piece = whole.slice(at, at + 1 + Math.floor(900 * random()));
        for (let times = random() < 0.3 ? 2 : 1; times > 0; times--)
          expect(takePiece(into, 'upload-1', at, piece, 1e6, NOW)).toEqual({ ok: true, value: at + piece.length });
        at += piece.length;
      }
      expect(new Uint8Array(readFileSync(comingPath(into, 'upload-1')))).toEqual(whole);
    }
  });

  it('begins anew from its first byte, and is for the owner only', () => {
    const into = folder();
    takePiece(into, 'upload-1', 0, bytes(100), 1e6, NOW);
    expect(takePiece(into, 'upload-1', 0, bytes(40, 9), 1e6, NOW)).toEqual({ ok: true, value: 40 });
    expect(new Uint8Array(readFileSync(comingPath(into, 'upload-1')))).toEqual(bytes(40, 9));
    expect(statSync(comingPath(into, 'upload-1')).mode & 0o777).toBe(0o600);
  });

  it('says which piece is missing, and keeps what is there', () => {
    const into = folder();
    expect(takePiece(into, 'upload-1', 10, bytes(5), 1e6, NOW)).toMatchObject({ ok: false, fault: { field: 'from', code: 'missing' } });
    takePiece(into, 'upload-1', 0, bytes(100), 1e6, NOW);
    expect(takePiece(into, 'upload-1', 101, bytes(5), 1e6, NOW)).toMatchObject({ ok: false, fault: { says: 'A piece of it is missing: 100 bytes are here.' } });
    expect(cameOf(into, 'upload-1')).toBe(100);
    expect(cameOf(into, 'upload-2')).toBe(0);
  });

  it('refuses what becomes too large, and leaves nothing of it', () => {
    const into = folder();
    expect(takePiece(into, 'upload-1', 0, bytes(600), 1000, NOW).ok).toBe(true);
    expect(takePiece(into, 'upload-1', 600, bytes(400), 1000, NOW)).toEqual({ ok: true, value: 1000 });
    expect(takePiece(into, 'upload-1', 1000, bytes(1), 1000, NOW)).toMatchObject({ ok: false, fault: { code: 'too-large' } });
    expect(existsSync(comingPath(into, 'upload-1'))).toBe(false);
  });

  it('forgets what was begun and left a day ago', () => {
    const into = folder();
    takePiece(into, 'upload-1', 0, bytes(10), 1e6, NOW);
    takePiece(into, 'upload-2', 0, bytes(10), 1e6, NOW);
    const days = (n: number): number => NOW / 1000 - n * 86_400;
    utimesSync(comingPath(into, 'upload-1'), days(1.1), days(1.1));
    utimesSync(comingPath(into, 'upload-2'), days(0.9), days(0.9));
    takePiece(into, 'upload-3', 0, bytes(10), 1e6, NOW);
    expect(['upload-1', 'upload-2', 'upload-3'].map((u) => cameOf(into, u))).toEqual([0, 10, 10]);
    dropComing(into, 'upload-2');
    expect(cameOf(into, 'upload-2')).toBe(0);
  });
});
