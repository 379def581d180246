import { describe, expect, it } from 'vitest';
import { othersWords, thingOf } from './others-here';

describe('who else is here', () => {
  it.each([
    [[], null],
    [['bench tablet'], 'bench tablet is in this sheet'],
    [[null], 'Another screen is in this sheet'],
    [[null, null], '2 other screens are in this sheet'],
    [[null, 'bench tablet'], 'bench tablet and another screen are in this sheet'],
    [['office', 'bench tablet', null, null], 'office, bench tablet and 2 more screens are in this sheet'],
  ])('%j is said as %j', (others, words) => expect(othersWords(others, 'sheet/x')).toBe(words));
  it('of what is open, and of nothing where nothing is', () => {
    expect(othersWords([null], 'pass/x')).toBe('Another screen is in this batch');
    expect(othersWords([null], 'clock/x')).toBe('Another screen is in this service');
    expect(othersWords([null], '')).toBeNull();
  });
  it.each([
    ['/sheet/prune-mousse/bench', 'sheet/prune-mousse'],
    ['/pass/1234', 'pass/1234'],
    ['/clock/friday/list', 'clock/friday'],
    ['/clock', ''],
    ['/constructor/x', ''],
    ['/', ''],
    ['/log/1234', ''],
    ['/larder/cream-36', ''],
  ])('%s is %j', (path, thing) => expect(thingOf(path)).toBe(thing));
});
