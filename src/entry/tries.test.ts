import { describe, expect, it } from 'vitest';
import { Tries, TRIES } from './tries';

const wrong = (t: Tries, n: number, address = 'a', at = 0): void => {
  for (let i = 0; i < n; i++) t.wrong(address, at);
};

describe('wrong tries', () => {
  it('the first few cost nothing, then each doubles the wait, up to ten minutes', () => {
    const t = new Tries();
    wrong(t, TRIES.free);
    expect(t.waitS('a', 0)).toBe(0);
    const waits = Array.from({ length: 12 }, () => {
      t.wrong('a', 0);
      // Long enough ago that the limit of all together says nothing.
      return new Tries().waitS('a', 0) + t.waitS('a', 0);
    });
    expect(waits.slice(0, 6)).toEqual([2, 4, 8, 16, 32, 64]);
    expect(Math.max(...waits)).toBeLessThanOrEqual(600);
    expect(t.waitS('a', 600_000)).toBe(0);
  });
  it('a right one begins anew, and an address is forgotten after an hour', () => {
    const t = new Tries();
    wrong(t, 8);
    t.right('a');
    expect(t.waitS('a', 0)).toBe(0);
    wrong(t, 8);
    t.wrong('b', 61 * 60_000);
    wrong(t, 1, 'a', 61 * 60_000);
    expect(t.waitS('a', 61 * 60_000)).toBe(0);
  });
  it('many addresses together are slowed: thirty in a minute, whoever asks', () => {
    const t = new Tries();
    for (let i = 0; i < TRIES.inAllPerMinute; i++) t.wrong(`10.0.0.${i}`, i * 1000);
    expect(t.waitS('elsewhere', 30_000)).toBe(30);
    expect(t.waitS('elsewhere', 60_001)).toBe(0);
    // Two thousand a second were possible; an hour of trying is now at most so many.
    let tried = 0;
    const slow = new Tries();
    for (let at = 0; at < 3_600_000; at += 500)
      if (slow.waitS(`host-${at}`, at) === 0) {
        slow.wrong(`host-${at}`, at);
        tried++;
      }
    expect(tried).toBeLessThanOrEqual(30 * 61);
  });
  it('remembers no more addresses than it may', () => {
    const t = new Tries();
    for (let i = 0; i < TRIES.mostAddresses + 500; i++) t.wrong(`h${i}`, 100_000 + i);
    expect((t as unknown as { by: Map<string, unknown> }).by.size).toBe(TRIES.mostAddresses);
  });
  it('a clock that is set back holds nobody up for longer than the most', () => {
    const t = new Tries();
    wrong(t, 20, 'a', 10 * 3_600_000);
    expect(t.waitS('b', 0)).toBe(0);
  });
});
