import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from './analyse';
import type { SheetAnalysis } from './analysed';
import { setPart } from '../editing/edits';
import type { HeatPlan } from '../document/kinds';
import type { Sheet } from '../document/schema';
import { eggOf } from './egg';
import { settleMethod } from '../ways/settle';
import { hobOf, iceForBath, meetingsOf, meetsAt, reducingOf, syrupOf, temperingOf } from './warmth';

const of = (sheet: Sheet): SheetAnalysis => analyseSheet(sheet, KITCHEN);
const withHeat = (sheet: Sheet, partId: string, heat: Partial<HeatPlan>): Sheet =>
  setPart(sheet, partId, { heat: { ...sheet.parts.find((p) => p.id === partId)!.heat, ...heat } }, CONTEXT);
const part = (s: SheetAnalysis, id: string) => s.parts.find((a) => a.part.id === id)!;

const mousse = partsSheet([
  ['base', 'chocolate-base', 'Base', ['220 g dark chocolate 70 %', '150 g cream 36 %']],
  ['cream', 'whipped-cream', 'Cream', ['240 g cream 36 %']],
  ['mousse', 'set-filling', 'Mousse', ['all the base', 'all the cream']],
]);
const yolks = partsSheet([['yolks', 'egg-foam', 'Yolks', ['10 yolks', '260 g caster sugar', '90 g water', 'less 60 g boils off']]]);

const USUAL_HOB = { waterBoilsC: 100, hobW: null };

describe('meetings of a sheet', () => {
  it('hot cream on chocolate, then cream into the base, each between the extremes', () => {
    const [ganache, fold] = meetingsOf(of(mousse));
    expect(ganache).toMatchObject({ kind: 'ganache', verdict: 'in' });
    expect(fold).toMatchObject({ kind: 'fold', window: { lowC: 30, highC: 42 }, judgedC: expect.closeTo(38, 6) });
    expect(fold!.resultC).toBeGreaterThan(5);
    expect(fold!.resultC).toBeLessThan(38);
  });
  it('a base that is too cold or too warm says so and how warm it must be', () => {
    for (const [atC, verdict] of [
      [24, 'cold'],
      [60, 'warm'],
    ] as const) {
      const fold = meetingsOf(of(withHeat(mousse, 'base', { atC })))[1]!;
      expect(fold.verdict).toBe(verdict);
      expect(fold.mend).toMatchObject({ partId: 'base', name: 'Base' });
      expect(fold.mend!.toC).toBeLessThanOrEqual(37);
      expect(meetingsOf(of(withHeat(mousse, 'base', { atC: fold.mend!.toC })))[1]!.verdict).toBe('in');
    }
  });
  it('a fold that ends above 24 °C is cooled no further than its window allows', () => {
    const little = partsSheet([
      ['base', 'chocolate-base', 'Base', ['400 g dark chocolate 70 %', '300 g cream 36 %']],
      ['cream', 'whipped-cream', 'Cream', ['100 g cream 36 %']],
      ['mousse', 'set-filling', 'Mousse', ['all the base', 'all the cream']],
    ]);
    expect(meetingsOf(of(little)).find((m) => m.kind === 'fold')).toMatchObject({ verdict: 'too-warm-fold', mend: null });
  });
  it('parts meet at what was written, or at the usual of their kind', () => {
    expect(meetsAt(part(of(mousse), 'cream')).tC).toBe(5);
    expect(meetsAt(part(of(withHeat(mousse, 'base', { atC: 33 })), 'base'))).toEqual({ tC: 33, from: 'as written' });
  });
  it('custard and purée stirred together come to something between', () => {
    const both = partsSheet([
      ['c', 'custard', 'Custard', ['400 g milk', '4 yolks', '60 g caster sugar']],
      ['f', 'fruit-base', 'Purée', ['200 g raspberries']],
      ['x', 'set-filling', 'Filling', ['all the custard', 'all the purée']],
    ]);
    const [meeting] = meetingsOf(of(withHeat(both, 'c', { atC: 40 })));
    expect(meeting).toMatchObject({ kind: 'mix' });
    expect(meeting!.resultC).toBeGreaterThan(20);
    expect(meeting!.resultC).toBeLessThan(40);
  });
  it('fruit that is boiled down takes its minutes, fewer on a stronger hob', () => {
    const fruit = partsSheet([['f', 'fruit-base', 'Plums', ['400 g plums', '70 g caster sugar', 'less 90 g boils off']]]);
    const at = (hobW: number) => reducingOf(part(of(withHeat(fruit, 'f', { hobW })), 'f'), USUAL_HOB)!;
    const [weak, strong] = [at(900), at(1800)];
    expect(weak.boilsOffG).toBe(90);
    expect(weak.minutes.ok && strong.minutes.ok && weak.minutes.value / strong.minutes.value).toBeCloseTo(2, 6);
    expect(reducingOf(part(of(yolks), 'yolks'), USUAL_HOB)).toBeNull();
  });
  it('a hob whose water was timed counts where the cook has typed no other, and narrows what is said', () => {
    const fruit = partsSheet([['f', 'fruit-base', 'Plums', ['400 g plums', '70 g caster sugar', 'less 90 g boils off']]]);
    const minutes = (hobW: number, kitchenW: number | null) => {
      const r = reducingOf(part(of(withHeat(fruit, 'f', { hobW })), 'f'), { waterBoilsC: 100, hobW: kitchenW })!;
      return r.minutes.ok ? r.minutes.value : NaN;
    };
    expect(minutes(1800, 3600)).toBeCloseTo(minutes(1800, null) / 2, 6);
    expect(minutes(900, 3600)).toBeCloseTo(minutes(900, null), 6);
    expect(hobOf({ hobW: 1800 }, { waterBoilsC: 100, hobW: 2500 })).toEqual({ watts: 2500, measured: true });
    expect(hobOf({ hobW: 900 }, { waterBoilsC: 100, hobW: 2500 })).toEqual({ watts: 900, measured: false });
  });
  it('a custard in an ice bath asks for ice', () => {
    const custard = partsSheet([['c', 'custard', 'Custard', ['400 g milk', '4 yolks', '60 g caster sugar']]]);
    const ice = iceForBath(part(of(custard), 'c'));
    expect(ice?.ok && ice.value).toBeGreaterThan(300);
    expect(iceForBath(part(of(mousse), 'cream'))).toBeNull();
  });
});

describe('syrup and egg of a sheet', () => {
  it('hot syrup warms the yolks; a heavier bowl takes some of it', () => {
    const light = eggOf(part(of(withHeat(yolks, 'yolks', { bowlG: 100 })), 'yolks'))!;
    const heavy = eggOf(part(of(withHeat(yolks, 'yolks', { bowlG: 2000 })), 'yolks'))!;
    if (!light.verdict?.ok || !heavy.verdict?.ok) throw new Error('no verdict');
    expect(light.from).toBe('computed');
    expect(light.verdict.value.peakC).toBeGreaterThan(heavy.verdict.value.peakC + 5);
    expect(heavy.verdict.value.reaches).toBe(false);
    expect(light.kind).toBe('sweet-yolk');
    expect(light.richInSugar).toBe(true);
  });
  it('typed readings come before any forecast, and what cannot be read is said', () => {
    const typed = eggOf(part(of(withHeat(yolks, 'yolks', { curve: '0 50, 3 64, 6 72' })), 'yolks'))!;
    expect(typed.from).toBe('typed');
    expect(typed.verdict?.ok && typed.verdict.value).toMatchObject({ reaches: true, peakC: 72 });
    expect(eggOf(part(of(withHeat(yolks, 'yolks', { curve: 'warm' })), 'yolks'))!.curve.ok).toBe(false);
  });
  it('each way of eggs is told apart', () => {
    const way = (ways: Record<string, string>, lines = ['6 yolks', '60 g caster sugar', '20 g water']) =>
      eggOf(
        part(
          of({ ...partsSheet([['y', 'egg-foam', 'Y', lines]]), parts: partsSheet([['y', 'egg-foam', 'Y', lines]]).parts.map((p) => ({ ...p, ways })) }),
          'y',
        ),
      )!;
    expect(way({ eggs: 'raw' }).way).toBe('raw');
    expect(way({ eggs: 'steam' })).toMatchObject({ way: 'heated', from: 'planned' });
    expect(way({ eggs: 'pasteurised' }, ['100 g pasteurised yolk', '60 g caster sugar']).way).toBe('carton');
    expect(way({ whites: 'swiss-50' }, ['4 whites', '220 g caster sugar'])).toMatchObject({ notKillStep: true });
    expect(way({ whites: 'swiss-71' }, ['4 whites', '220 g caster sugar']).verdict).toMatchObject({ ok: true, value: { reaches: true } });
  });
  it('without water the sugar is boiled with the juice: its water counts, and its step takes it', () => {
    const lemon = partsSheet([['y', 'egg-foam', 'Y', ['6 yolks', '200 g caster sugar', '180 g lemon juice']]]);
    const sheet = { ...lemon, parts: lemon.parts.map((p) => ({ ...p, ways: { eggs: 'syrup' } })) };
    const r = syrupOf(part(of(sheet), 'y'), USUAL_HOB)!;
    expect(r.waterG).toBeGreaterThan(150);
    expect(r.syrup).toMatchObject({ ok: true });
    const settled = settleMethod(
      { ...sheet, parts: sheet.parts.map((p) => ({ ...p, lines: p.lines.map((l) => ({ ...l, stepId: null })) })) },
      KITCHEN.larder,
      new Set(['y']),
    );
    expect(settled.parts[0]!.lines.map((l) => l.stepId)).toEqual(['y.yolks', 'y.syrup', 'y.syrup']);
  });
  it('what boils off is compared with what the sheet says', () => {
    const r = syrupOf(part(of(yolks), 'yolks'), USUAL_HOB)!;
    expect(r.syrup.ok && r.syrup.value.boilsOffG).toBeCloseTo(90 + 0.26 - (259.74 * 13) / 87, 1);
    expect(r.writtenG).toBe(60);
    // Where water boils at 95 °C, 118 °C means a stronger syrup.
    const high = syrupOf(part(of(yolks), 'yolks'), { waterBoilsC: 95, hobW: null })!;
    expect(high.syrup.ok && r.syrup.ok && high.syrup.value.boilsOffG).toBeGreaterThan(r.syrup.ok ? r.syrup.value.boilsOffG : 0);
  });
});

describe('tempering in a sheet', () => {
  it('much gelatin into cold cream strings; none without gelatin', () => {
    const a = of(sheetOf(['600 g cream 36 %', '6 leaves gelatin'])).parts[0]!;
    const t = temperingOf(a);
    expect(t?.ok && t.value.strings).toBe(true);
    expect(temperingOf(of(sheetOf(['600 g cream 36 %'])).parts[0]!)).toBeNull();
  });
});

describe('a chocolate base has a temperature that is right', () => {
  const verdicts = (chocolateG: number, creamG: number, foamG: number): Map<number, string> => {
    const sheet = partsSheet([
      ['k', 'chocolate-base', 'Chocolate', [`${chocolateG} g dark chocolate 64 %`, `${creamG} g cream 36 %`]],
      ['c', 'whipped-cream', 'Cream', [`${foamG} g cream 36 %`]],
      ['m', 'set-filling', 'Mousse', ['all of the Chocolate', 'all of the Cream']],
    ]);
    return new Map(
      Array.from({ length: 25 }, (_, i) => 20 + i).map((c) => {
        const at = { ...sheet, parts: sheet.parts.map((p) => (p.id === 'k' ? { ...p, heat: { ...p.heat, atC: c } } : p)) };
        return [c, meetingsOf(analyseSheet(at, KITCHEN)).find((m) => m.kind === 'fold')?.verdict ?? 'none'] as const;
      }),
    );
  };
  it.each([
    [160, 240, 200],
    [200, 200, 300],
    [300, 60, 400],
    [400, 300, 150],
  ])('%s g chocolate with %s g cream, %s g cream folded in', (chocolateG, creamG, foamG) => {
    const all = verdicts(chocolateG, creamG, foamG);
    expect([...all.values()]).toContain('in');
    expect(all.get(20)).toBe('cold');
    expect(all.get(44)).not.toBe('in');
  });
  it('a thin one may be colder than chocolate alone', () => {
    const coldest = (a: number, b: number): number => [...verdicts(a, b, 300)].find(([, v]) => v === 'in')![0];
    expect(coldest(120, 280)).toBeLessThan(coldest(360, 40));
  });
  it('grated chocolate and toppings ask for nothing', () => {
    const sheet = partsSheet([
      ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
      ['f', 'set-filling', 'Filling', ['200 g mascarpone', '40 g dark chocolate, grated', 'all of the Cream']],
      ['t', 'topping', 'Top', ['50 g dark chocolate']],
    ]);
    expect(meetingsOf(analyseSheet(sheet, KITCHEN)).filter((m) => m.window !== null)).toEqual([]);
  });
});
