import { describe, expect, it } from 'vitest';
import { SHEETS, GANNET_QUAY } from '../../testing/gannet-quay';
import { writtenSheet } from '../../testing/written';
import { analyseSheet } from '../analysis/analyse';
import { shownSteps } from '../batch/method';
import { readyHours } from '../cold/hours';
import { dishOf, newDishCache } from '../timetable/dish';
import { asksCold, coldWaits } from './cold-waits';
import type { Sheet } from './schema';

const sheet = (id: string): Sheet => SHEETS.get(id)!;
const waitOf = (of: Sheet, key: string, coldH: number | null) => coldWaits(of, coldH).get(of.steps.find((s) => s.key === key)!.id);

describe('hours in the cold', () => {
  it('of what sets or freezes are Cold’s, longer or shorter than the rule of thumb', () => {
    expect(waitOf(sheet('prune-mousse'), 'set', 1.5)).toEqual({ h: [1.5, 1.5], by: 'cold' });
    expect(waitOf(sheet('prune-mousse'), 'set', 9)).toEqual({ h: [9, 9], by: 'cold' });
    expect(waitOf(sheet('honey-semifreddo'), 'freeze', 7)).toEqual({ h: [7, 7], by: 'cold' });
  });
  it('of a rest for its own sake are never shorter than its way', () => {
    expect(waitOf(sheet('barley-tiramisu'), 'rest', 5)).toEqual({ h: [8, 14], by: 'way' });
    expect(waitOf(sheet('barley-tiramisu'), 'rest', 9)).toEqual({ h: [9, 14], by: 'cold-more' });
    expect(waitOf(sheet('barley-tiramisu'), 'rest', 15)).toEqual({ h: [15, 15], by: 'cold-more' });
  });
  it('without an answer are the method’s own', () => expect(coldWaits(sheet('prune-mousse'), null).size).toBe(0));
  it('of a cook’s own words stand; where no time is said they are Cold’s, half an hour at the least', () => {
    const told = (chill: string) => writtenSheet(`Cream\n\n300 ml double cream\n\nWhip the cream. Spoon into glasses. ${chill}`);
    const only = (of: Sheet, h: number) => [...coldWaits(of, h).values()];
    expect(only(told('Chill for 4 hours.'), 2)).toEqual([]);
    expect(only(told('Chill until set.'), 2)).toEqual([{ h: [2, 2], by: 'cold' }]);
    expect(only(told('Chill until set.'), 0.49)).toEqual([{ h: [0.5, 0.5], by: 'least' }]);
    expect(asksCold(told('Chill for 4 hours.'))).toBe(false);
    expect(asksCold(told('Chill until set.'))).toBe(true);
  });
  it('are asked for where something sets, not for a rest of an hour', () => {
    expect(['prune-mousse', 'honey-semifreddo', 'barley-tiramisu'].map((id) => asksCold(sheet(id)))).toEqual([true, true, true]);
    expect(['rhubarb-trifle', 'bay-leaf-chantilly'].map((id) => asksCold(sheet(id)))).toEqual([false, false]);
  });
  it.each(['prune-mousse', 'honey-semifreddo', 'plum-cheesecake', 'sesame-fig-pudding'])('are one answer on Pass and in Clock: %s', (id) => {
    const analysis = analyseSheet(sheet(id), GANNET_QUAY);
    const h = readyHours(analysis, GANNET_QUAY)!;
    const step = shownSteps(analysis, h).find((s) => s.wayKey === 'set' || s.wayKey === 'freeze' || s.wayKey === 'rest')!;
    const dish = dishOf(sheet(id), { portions: sheet(id).portions, vessel: null, placeId: null }, GANNET_QUAY, newDishCache());
    if (!dish.ok) throw new Error(dish.fault.says);
    expect(dish.value.coldH).toBe(h);
    const task = dish.value.work.tasks.find((t) => t.kind === 'cold')!;
    // Clock plans in steps of five minutes, up.
    expect(task.minutes - step.waitMin![0]).toBeGreaterThanOrEqual(0);
    expect(task.minutes - step.waitMin![0]).toBeLessThan(5);
  });
});
