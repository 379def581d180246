import { describe, expect, it } from 'vitest';
import { partsSheet } from '../../testing/sample';
import { namesPart, partNamed, readFeedAmount, shareTaken, type FeedAmount } from './feed';

const amount = (text: string, cups?: Parameters<typeof readFeedAmount>[1]): FeedAmount | string => {
  const r = readFeedAmount(text, cups);
  return r.ok ? r.value : r.fault.code;
};

describe('how much a line takes of another part', () => {
  it.each([
    ['all of the custard', { kind: 'share', share: 1 }],
    ['The whole custard', { kind: 'share', share: 1 }],
    ['the custard', { kind: 'share', share: 1 }],
    ['half of the custard', { kind: 'share', share: 0.5 }],
    ['1/3 custard', { kind: 'share', share: 1 / 3 }],
    ['40 % custard', { kind: 'share', share: 0.4 }],
    ['12,5 % of the custard', { kind: 'share', share: 0.125 }],
    ['the rest of the custard', { kind: 'rest' }],
    ['remaining custard', { kind: 'rest' }],
    ['300 g custard', { kind: 'mass', massG: 300 }],
    ['1 lb of the custard', { kind: 'mass', massG: 453.59237 }],
    ['200 ml custard', { kind: 'volume', ml: 200 }],
  ])('‘%s’', (text, expected) => expect(amount(text)).toEqual(expected));
  it('cups are the kitchen’s, unless the line says whose', () => {
    expect(amount('1 cup custard', 'us')).toEqual({ kind: 'volume', ml: 236.5882365 });
    expect(amount('1 cup custard', 'metric')).toEqual({ kind: 'volume', ml: 250 });
    expect(amount('1 metric cup custard', 'us')).toEqual({ kind: 'volume', ml: 250 });
  });
  it.each([
    ['2 custard', 'out-of-range'],
    ['110 % custard', 'out-of-range'],
    ['0 g custard', 'unknown-unit'],
    ['3 leaves custard', 'unknown-unit'],
    ['1/0 of the custard', 'divides-by-nothing'],
  ])('‘%s’ is refused as %s', (text, says) => expect(amount(text)).toBe(says));
});

describe('which part a line names', () => {
  const { parts } = partsSheet([
    ['a', 'custard', 'The custard', ['500 ml milk']],
    ['b', 'whipped-cream', 'Cream 2', ['300 g cream 36 %']],
  ]);
  const named = (text: string, not = ''): string | null => partNamed(text, parts, not)?.id ?? null;
  it.each([
    ['half of the custard', 'a'],
    ['Custard', 'a'],
    ['the rest of the custard', 'a'],
    ['300 g custard', 'a'],
    ['all of the Cream 2', 'b'],
    ['1/2 cream 2', 'b'],
    ['300 g custard powder', null],
    ['300 g cream', null],
    ['', null],
  ])('‘%s’ names %s', (text, id) => {
    expect(named(text)).toBe(id);
    expect(
      namesPart(
        text,
        parts.map((p) => p.name),
      ),
    ).toBe(id !== null);
  });
  it('never the part that it stands in', () => expect(named('half of the custard', 'a')).toBeNull());
});

describe('the share that is taken', () => {
  it('of a mass is that over the whole; what the others leave is theirs to say', () => {
    expect(shareTaken({ kind: 'share', share: 0.3 }, 'custard', 500)).toBe(0.3);
    expect(shareTaken({ kind: 'mass', massG: 125 }, 'custard', 500)).toBe(0.25);
    expect(shareTaken({ kind: 'rest' }, 'custard', 500)).toBeNull();
  });
  it('of a cup counts its air: a cup of whipped cream is about half as heavy, of a custard it is as it stands', () => {
    expect(shareTaken({ kind: 'volume', ml: 250 }, 'whipped-cream', 500)).toBeCloseTo(0.25, 12);
    expect(shareTaken({ kind: 'volume', ml: 250 }, 'custard', 500)).toBeCloseTo(0.5, 12);
    // House figures, g/mL: each within what a kitchen weighs of a level cup.
    const perMl = (kind: Parameters<typeof shareTaken>[1]): number => shareTaken({ kind: 'volume', ml: 1000 }, kind, 1000)!;
    expect([perMl('egg-foam'), perMl('meringue'), perMl('cheese-cream'), perMl('set-filling'), perMl('buttercream'), perMl('crown')]).toEqual([
      0.25, 0.25, 0.62, 0.65, 0.8, 0.5,
    ]);
  });
  it('of nothing is nothing', () => {
    expect(shareTaken({ kind: 'mass', massG: 10 }, 'custard', 0)).toBe(0);
    expect(shareTaken({ kind: 'volume', ml: 10 }, 'custard', 0)).toBe(0);
  });
});
