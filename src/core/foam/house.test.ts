import { describe, expect, it } from 'vitest';
import { readTable } from '../interpolate';
import { EGG_WHISK, KEEPING_H, LEAN, LOAD_BY_NETWORK, OVERRUN_BY_FAT, STAGE_X, type EggFoam } from './house';

/*
 * The tables of this room once more, as a cook's card and the science of the trade have them: none of them is changed by a slip of the pen.
 */
describe('what a cream can reach', () => {
  it.each([
    [25, 40],
    [28, 80],
    [30, 110],
    [33, 120],
    [36, 110],
    [40, 95],
    [45, 75],
    [48, 62],
    [55, 30],
    [60, 10],
  ])('%i %% of fat takes %i %% of air', (fat, overrun) => {
    expect(readTable(OVERRUN_BY_FAT, fat)).toBeCloseTo(overrun, 9);
    // With a knot at this very fat: a table whose knots are moved may still read the same at one of them.
    expect(OVERRUN_BY_FAT.map(([f]) => f)).toContain(fat);
  });
  it('rises to a third of fat and falls from there', () => {
    const overruns = OVERRUN_BY_FAT.map(([, o]) => o);
    const top = overruns.indexOf(Math.max(...overruns));
    expect(OVERRUN_BY_FAT[top]![0]).toBe(33);
    expect(overruns.slice(0, top + 1)).toEqual([...overruns.slice(0, top + 1)].sort((a, b) => a - b));
    expect(overruns.slice(top)).toEqual([...overruns.slice(top)].sort((a, b) => b - a));
  });
  it('under 31 % firm may not come, under 28 % it will not stand', () => expect(LEAN).toEqual({ mayNotComePct: 31, willNotStandPct: 28 }));
});

/** Minutes and shares of the air, as a card by the mixer says them. */
const CARD: Readonly<Record<EggFoam, string>> = {
  whites: 'foamy 0:40 45 %, soft 1:30 100 %, firm 2:20 100 %, dry 3:10 75 %',
  'french-1-1': 'foamy 1:00 35 %, soft 2:30 80 %, firm 5:00 100 %, dry 9:00 80 %',
  'french-2-1': 'foamy 1:15 35 %, soft 3:30 80 %, firm 7:00 100 %, dry 14:00 85 %',
  swiss: 'foamy 1:00 35 %, soft 3:00 80 %, firm 6:30 100 %',
  italian: 'foamy 0:45 45 %, soft 1:40 85 %, firm 7:00 100 %',
  'yolks-ribbon': 'pale 1:30 35 %, thick 3:20 75 %, ribbon 5:30 100 %',
  'yolks-hot-syrup': 'pale 1:30 35 %, thick 3:40 75 %, ribbon 7:00 100 %',
  'whole-eggs': 'pale 2:00 35 %, thick 5:00 75 %, ribbon 8:00 100 %, coarse 15:00 85 %',
};

describe('egg foams under the whisk', () => {
  it.each(Object.keys(CARD) as EggFoam[])('%s', (foam) => {
    const said = EGG_WHISK[foam].stages.map(
      ([name, seconds, air]) => `${name} ${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')} ${Math.round(100 * air)} %`,
    );
    expect(said.join(', ')).toBe(CARD[foam]);
    // The stage that is right has all the air, and no later one has more.
    const right = EGG_WHISK[foam].stages.find(([name]) => name === EGG_WHISK[foam].right)!;
    expect(right[2]).toBe(1);
  });
  it('more sugar takes longer to every stage, and keeps more past it', () => {
    const at = (foam: EggFoam, stage: string) => EGG_WHISK[foam].stages.find(([name]) => name === stage)!;
    for (const stage of ['foamy', 'soft', 'firm', 'dry']) {
      expect(at('french-1-1', stage)[1]).toBeGreaterThan(at('whites', stage)[1]);
      expect(at('french-2-1', stage)[1]).toBeGreaterThan(at('french-1-1', stage)[1]);
    }
    expect(at('french-2-1', 'dry')[2]).toBeGreaterThan(at('french-1-1', 'dry')[2]);
  });
});

describe('what the motor feels', () => {
  const load = (x: number): number => readTable(LOAD_BY_NETWORK, x)!;
  it('by the stages: a third of its load at soft, six tenths at medium, all at firm, most where it grains', () => {
    expect([STAGE_X.soft, STAGE_X.medium, STAGE_X.firm, STAGE_X.grainy].map(load)).toEqual([0.3, 0.62, 1, 1.22].map((v) => expect.closeTo(v, 9)));
    expect([0.02, 0.1, 0.8, STAGE_X.butter, 1].map(load)).toEqual([0, 0.07, 1.12, 0.6, 0.45].map((v) => expect.closeTo(v, 9)));
  });
});

describe('how long dairy keeps by where it stands', () => {
  it.each([
    [-18, 72],
    [5, 72],
    [8, 24],
    [12, 2],
    [30, 2],
  ])('at %i °C: %i h', (placeC, hours) => expect(readTable(KEEPING_H.byPlace, placeC)).toBeCloseTo(hours, 9));
  it('raw egg a day, out of the fridge two hours, frozen three months', () =>
    expect([KEEPING_H.dairy, KEEPING_H.rawEgg, KEEPING_H.outOfFridge, KEEPING_H.frozen / 24 / 30]).toEqual([72, 24, 2, 3]));
});
