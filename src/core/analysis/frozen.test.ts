import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet } from '../../testing/sample';
import { analyseSheet } from './analyse';
import { FREEZING_LEVERS, freezerOf, frozenMixOf, moveSliceTo, readFrozen, sliceC, withLever } from './frozen';

const sheet = partsSheet(
  [
    ['yolks', 'egg-foam', 'Yolks', ['6 yolks', '90 g caster sugar', '30 g water', '10 g rum']],
    ['cream', 'whipped-cream', 'Cream', ['320 g cream 36 %']],
    ['semi', 'set-filling', 'Semifreddo', ['all the yolks', 'all the cream']],
    ['nuts', 'topping', 'Nuts', ['40 g pistachio']],
  ],
  { family: 'semifreddo' },
);
const mix = frozenMixOf(analyseSheet(sheet, KITCHEN))!;

describe('what is frozen', () => {
  it('is everything but what lies on top', () => expect(mix.mixture.massG).toBeCloseTo(102 + 90 + 30 + 10 + 320, 6));
  it('has air, a freezing start and a knife window', () => {
    const r = readFrozen(mix, freezerOf(KITCHEN, sheet));
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.overrunPct).toBeGreaterThan(50);
    expect(r.value.startC).toBeLessThan(-1);
    expect(r.value.window.ok && r.value.window.value.warmC).toBeLessThan(0);
    expect(readFrozen(mix, 3).ok).toBe(false);
  });
  it('refuses what is mostly spirit', () => {
    const r = readFrozen(withLever(mix, 'spirit', 1e6), -18);
    expect(r.ok).toBe(true);
    expect(readFrozen({ ...mix, mixture: { massG: 100, grams: { ...mix.mixture.grams, ethanol: 900 } } }, -18).ok).toBe(false);
  });
  it.each(FREEZING_LEVERS.filter((l) => l !== 'air'))('%s moves the slice to the wish', (lever) => {
    const now = sliceC(mix)!;
    const wish = Math.round(now) - 2;
    const r = moveSliceTo(mix, wish, lever);
    if (!r.ok) throw new Error(r.fault.says);
    expect(r.value.amount).toBeGreaterThan(0);
    expect(sliceC(withLever(mix, lever, r.value.amount))).toBeCloseTo(wish, 4);
  });
  it('a warmer wish takes sugar out, an impossible one is said', () => {
    const r = moveSliceTo(mix, Math.round(sliceC(mix)!) + 2, 'sucrose');
    expect(r.ok && r.value.amount).toBeLessThan(0);
    expect(moveSliceTo(mix, -1, 'dextrose').ok).toBe(false);
    expect(moveSliceTo(mix, 5, 'sucrose').ok).toBe(false);
    expect(moveSliceTo(mix, -18, 'air').ok).toBe(true);
  });
});
