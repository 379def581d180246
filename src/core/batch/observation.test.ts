import { describe, expect, it } from 'vitest';
import { readObservation } from './observation';

describe('what is seen later, as it is typed', () => {
  it.each([
    ['weep', '170', 170],
    ['weep', '170 g', 170],
    ['weep', '12,5g', 12.5],
    ['temperature', '4 °C', 4],
    ['temperature', '−18c', -18],
    ['temperature', '-18', -18],
  ] as const)('%s: %s', (kind, text, value) => expect(readObservation(kind, text)).toEqual({ ok: true, value }));
  it('what is no number is said as it was typed, and what is out of range with its range', () => {
    for (const [kind, text] of [
      ['weep', 'abc'],
      ['temperature', 'logging'],
    ] as const) {
      const r = readObservation(kind, text);
      expect(r.ok ? '' : r.fault.says).toContain(`‘${text}’`);
    }
    for (const [kind, text] of [
      ['weep', '20001'],
      ['weep', '-1'],
      ['temperature', '101'],
      ['temperature', '-41'],
    ] as const)
      expect(readObservation(kind, text)).toMatchObject({ ok: false, fault: { code: 'out-of-range' } });
  });
});
