import { describe, expect, it } from 'vitest';
import { degreesWanted, READABLE_C, readDegrees } from './read-degrees';

describe('degrees as they are typed', () => {
  it.each([
    ['71', 71],
    [' 71.5 ', 71.5],
    ['71,5 °C', 71.5],
    ['−18', -18],
    ['-18 c', -18],
    ['0', 0],
    ['160 °F', 71.11],
    ['32f', 0],
    ['0 F', -17.78],
    [`${READABLE_C.high}`, READABLE_C.high],
    [`${READABLE_C.low}`, READABLE_C.low],
  ])('%s', (text, tC) => expect(readDegrees(text)).toBeCloseTo(tC, 2));
  it.each(['', '  ', 'warm', '7 1', '1e9', `${READABLE_C.high + 1}`, `${READABLE_C.low - 1}`, 'NaN', 'Infinity', '--4'])('no temperature: %s', (text) =>
    expect(readDegrees(text)).toBeNull(),
  );

  it('are in Fahrenheit where the kitchen’s are, unless they say otherwise', () => {
    const f = { temperature: '°F' } as const;
    expect(readDegrees('160', f)).toBeCloseTo(71.11, 2);
    expect(readDegrees('71 C', f)).toBe(71);
    expect(readDegrees('700', f)).toBeNull();
    expect(degreesWanted(f, 71)).toBe('write degrees Fahrenheit, like 160');
    expect(degreesWanted({ temperature: '°C' }, 4, -19)).toBe('write degrees Celsius, like 4 or −19');
  });
});
