import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { aheadOf } from './ahead';
import { ASKS, asksOf } from './asks';
import { NO_FACTS } from './case';
import { eyeQuestion } from './train';
import { coolCreamMin, touchedM2, warmCreamSays } from './warm-cream';
import { SIGN_IDS } from './words';

const ahead = (sheet: Sheet, work: (s: Sheet['steps'][number]) => boolean) => {
  const c = { s: analyseSheet(sheet, KITCHEN), kitchen: KITCHEN, facts: NO_FACTS, log: [] };
  return aheadOf(c, sheet.steps.find(work)!);
};

describe('before it happens', () => {
  it('says at the whisk what this cream’s own figures make likely, and nothing where nothing speaks for it', () => {
    expect(ahead(sheetOf(['500 g cream 36 %'], { creamC: 5 }), (s) => s.whisks)).toEqual([]);
    const warm = ahead(sheetOf(['500 g cream 36 %'], { creamC: 13 }), (s) => s.whisks);
    expect(warm.map((a) => a.sign)).toContain('runs');
    expect(warm[0]!.says).toContain('13');
    const lean = ahead(sheetOf(['500 g cream 26 %']), (s) => s.whisks);
    expect(lean.some((a) => /26/.test(a.says))).toBe(true);
  });
  it('gelatin that will string is said at its step, three at the most', () => {
    const sheet = sheetOf(['600 g cream 36 %', '8 g gelatin powder', '60 g granulated sugar'], { creamC: 11 });
    const found = ahead(sheet, (s) => s.whisks);
    expect(found.length).toBeLessThanOrEqual(3);
    for (let i = 1; i < found.length; i++) expect(found[i]!.p).toBeLessThanOrEqual(found[i - 1]!.p);
  });
  it('sand is said where grains of sugar go in late, never of icing sugar or of none', () => {
    const late = (sugar: string, sugarAt: 'start' | 'soft-peak' = 'soft-peak') =>
      ahead(sheetOf(['500 g cream 36 %', sugar], { sugarAt, creamC: 5 }), (s) => s.whisks).map((a) => a.sign);
    expect(late('60 g caster sugar')).toContain('sandy');
    expect(late('60 g granulated sugar', 'start')).toContain('sandy');
    expect(late('60 g caster sugar', 'start')).not.toContain('sandy');
    expect(late('60 g icing sugar')).not.toContain('sandy');
    expect(late('60 g honey')).not.toContain('sandy');
  });
  it('only of the part of that step', () => {
    const sheet = partsSheet([
      ['a', 'whipped-cream', 'Lean', ['300 g cream 26 %']],
      ['b', 'crown', 'Crown', ['300 g cream 36 %']],
    ]);
    expect(ahead(sheet, (s) => s.whisks && s.partId === 'b')).toEqual([]);
    expect(ahead(sheet, (s) => s.whisks && s.partId === 'a').length).toBeGreaterThan(0);
  });
});

describe('cream that is too warm', () => {
  const bowl = { massG: 600, fatPct: 36, sugarPer100: 8, fridgeC: 4 };
  it('is silent to 7 °C, slower to 12, churns above, and above 16 turns to butter', () => {
    expect(warmCreamSays(7, bowl)).toBeNull();
    expect(warmCreamSays(7.5, bowl)).toMatch(/slower/);
    expect(warmCreamSays(12, bowl)).toMatch(/slower/);
    expect(warmCreamSays(12.5, bowl)).toMatch(/churns/);
    expect(warmCreamSays(16.5, bowl)).toMatch(/butter/);
    expect(warmCreamSays(13, bowl)).toMatch(/ice water .* in the fridge/);
    // A fridge at 5 °C never brings it to 5.
    expect(warmCreamSays(13, { ...bowl, fridgeC: 5 })).not.toMatch(/in the fridge/);
  });
  it('more of it and warmer takes longer, ice is far quicker than the fridge', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 4000 }), fc.integer({ min: 8, max: 24 }), (massG, fromC) => {
        const at = (m: number, c: number) => {
          const r = coolCreamMin(m, 36, 8, c, 3);
          if (!r.ok) throw new Error(r.fault.says);
          return r.value;
        };
        expect(at(1.3 * massG, fromC).iceMin).toBeGreaterThan(at(massG, fromC).iceMin);
        expect(at(massG, fromC + 2).iceMin).toBeGreaterThan(at(massG, fromC).iceMin);
        expect(at(massG, fromC).fridgeMin!).toBeGreaterThan(5 * at(massG, fromC).iceMin);
      }),
      { numRuns: 20 },
    );
  });
  it('half a sphere: a litre touches 385 cm²', () => {
    // V = 2/3·π·r³, A = 2·π·r²: r = 7.816 cm.
    expect(1e4 * touchedM2(1000)).toBeCloseTo(2 * Math.PI * 7.8159 ** 2, 0);
  });
});

describe('what is asked', () => {
  it('only what moves something, in one order', () => {
    for (const sign of SIGN_IDS) for (const a of asksOf(sign)) expect(ASKS).toContain(a);
    expect(asksOf('grains').map((a) => a.key)).toEqual(['whiskedS', 'creamC', 'massG']);
    expect(asksOf('foreign')).toEqual([]);
  });
});

describe('train the eye', () => {
  const desserts = [
    sheetOf(['500 g cream 36 %', '50 g caster sugar']),
    partsSheet([
      ['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '60 g caster sugar']],
      ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
    ]),
  ].map((s) => analyseSheet(s, KITCHEN));
  it('the same seed asks the same; the right answer is always among the choices', () => {
    fc.assert(
      fc.property(fc.nat(2 ** 31), (seed) => {
        const q = eyeQuestion(seed, desserts, KITCHEN);
        const again = eyeQuestion(seed, desserts, KITCHEN);
        if (!q || !again) throw new Error('no question');
        expect(again.sign).toBe(q.sign);
        expect(again.signs).toEqual(q.signs);
        expect(q.signs).toContain(q.sign);
        expect(new Set(q.signs).size).toBe(4);
        expect(q.firsts).toContain(q.first);
        expect(new Set(q.firsts).size).toBe(q.firsts.length);
      }),
      { numRuns: 60 },
    );
  });
  it('asks nothing of an empty kitchen', () => {
    expect(eyeQuestion(1, [], KITCHEN)).toBeNull();
  });
});
