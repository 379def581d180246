import { describe, expect, it } from 'vitest';
import { READABLE_C, readDegrees } from './read-degrees';

describe('degrees as they are typed', () => {
  it.each([
    ['71', 71],
    [' 71.5 ', 71.5],
    ['71,5 °C', 71.5],
    ['−18', -18],
    ['-18 c', -18],
    ['0', 0],
    [`${READABLE_C.high}`, READABLE_C.high],
    [`${READABLE_C.low}`, READABLE_C.low],
  ])('%s', (text, tC) => expect(readDegrees(text)).toBe(tC));
  it.each(['', '  ', 'warm', '71 F', '7 1', '1e9', `${READABLE_C.high + 1}`, `${READABLE_C.low - 1}`, 'NaN', 'Infinity', '--4'])('no temperature: %s', (text) =>
    expect(readDegrees(text)).toBeNull(),
  );
});
