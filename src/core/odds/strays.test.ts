import { describe, expect, it } from 'vitest';
import type { KitchenCorrection, Learnt } from '../learning/correction';
import type { ColdPlace } from '../kitchen/schema';
import { RESOURCE } from '../timetable/service-project';
import { STRAYS } from './house';
import { straysIn, straysOf } from './strays';

const whisk = (mixer: string, done = false) => ({ kind: 'hands' as const, lanes: [`${RESOURCE.COOK}c`, `${RESOURCE.MIXER}${mixer}`], done });
const log = (more: Partial<Learnt> = {}): readonly KitchenCorrection[] => [
  { figure: 'whisk-time', context: 'big', learnt: { factor: 1.2, low: 1, high: 1.44, truth: [1.1, 1.3], n: 6, borrowed: 0, asked: [], ...more } },
];

const knows = (corrections: readonly KitchenCorrection[], places: readonly ColdPlace[] = []) => ({ corrections, places });

describe('how a task strays', () => {
  it('by the house: each by its kind, a whisk by its own; what is behind not at all', () => {
    expect(straysOf(whisk('big'))).toEqual(STRAYS.whisk);
    expect(straysOf({ kind: 'hands', lanes: [`${RESOURCE.COOK}c`], done: false })).toEqual(STRAYS.hands);
    expect(straysOf({ kind: 'cold', lanes: [`${RESOURCE.MIXER}big`], done: false })).toEqual(STRAYS.cold);
    expect(straysOf(whisk('big', true))).toEqual({ median: 1, sd: 0 });
  });
  it('by the log: four in five of the next whips lie in its band, and the plan stands at its longer end', () => {
    const s = straysIn(knows(log()))(whisk('big'));
    // Planned at 1.44, the middle is 1.2; e^(±1.2816·sd) is 1.2 either way.
    expect(s.median).toBeCloseTo(1.2 / 1.44, 12);
    expect(Math.exp(1.2815515655 * s.sd)).toBeCloseTo(1.2, 8);
    expect(s.median * Math.exp(1.2815515655 * s.sd)).toBeCloseTo(1, 8);
  });
  it('a surer log strays less; another mixer, another kind, or no batch is the house’s', () => {
    const sd = (more: Partial<Learnt>) => straysIn(knows(log(more)))(whisk('big')).sd;
    expect(sd({ low: 1.15, high: 1.25 })).toBeLessThan(sd({}));
    for (const t of [whisk('small'), { ...whisk('big'), kind: 'wait' as const }, whisk('big', true)]) expect(straysIn(knows(log()))(t)).toEqual(straysOf(t));
    expect(straysIn(knows(log({ n: 0 })))(whisk('big'))).toEqual(STRAYS.whisk);
    expect(straysIn(knows([]))(whisk('big'))).toEqual(STRAYS.whisk);
  });
  it('the cold of a place that was fitted strays half as much; of another, and of what is behind, by the house', () => {
    const cold = (place: string, done = false) => ({ kind: 'cold' as const, lanes: [`${RESOURCE.PLACE}${place}`], done });
    const fridge: ColdPlace = { id: 'a', name: 'Fridge', kind: 'still-fridge', airC: 4, litres: 200, hWPerM2K: 8 };
    const { hWPerM2K: _, ...usual } = fridge;
    const strays = straysIn(knows([], [fridge, { ...usual, id: 'b' }]));
    expect(strays(cold('a'))).toEqual({ median: 1, sd: 0.1 });
    expect(strays(cold('a')).sd).toBeCloseTo(STRAYS.cold.sd / 2, 12);
    expect(strays(cold('b'))).toEqual(STRAYS.cold);
    expect(strays(cold('a', true))).toEqual(straysOf(cold('a', true)));
    expect(strays({ ...cold('a'), kind: 'hands' })).toEqual(STRAYS.hands);
  });
});
