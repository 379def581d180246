import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import { showGrams } from '../figure';
import { readFrozen, frozenMixOf, freezerOf } from '../analysis/frozen';
import { abvPct } from '../composition/density';
import type { Sheet } from '../document/schema';
import { networkAt, secondsTo } from '../foam/whisk';
import { mixingC } from '../heat/meeting';
import { NO_FACTS, type BatchFacts } from './case';
import { mendOf, signsOf, type Answer } from './mend';
import { bowlGuestOf, readingSays, THERE_C } from './rescue';
import type { CauseId, SignId } from './words';

const caseOf = (sheet: Sheet, facts: Partial<BatchFacts> = {}) => ({
  s: analyseSheet(sheet, KITCHEN),
  kitchen: KITCHEN,
  facts: { ...NO_FACTS, ...facts },
  log: [],
});
const answer = (sheet: Sheet, sign: SignId, facts: Partial<BatchFacts> = {}, cause: CauseId | null = null): Answer => {
  const a = mendOf(caseOf(sheet, facts), sign, cause);
  if (!a.ok) throw new Error(a.fault.says);
  return a.value;
};
const addedG = (a: Answer): number => a.rescue.adds.reduce((g, x) => g + x.massG, 0);
const words = (a: Answer): string =>
  [a.rescue.title, a.rescue.says, ...a.rescue.steps.map((s) => `${s.amount ?? ''} ${s.does}`)].join('\n').replace(/[\u00a0\u202f]/g, ' ');
const partNow = (a: Answer) => a.after!.analysis.parts.find((p) => p.part.id === a.part.part.id)!;

const CREAM = sheetOf(['600 g cream 36 %', '60 g icing sugar'], { stage: 'firm' });
const whipOf = (sheet: Sheet) => {
  const w = analyseSheet(sheet, KITCHEN).parts[0]!.whip;
  if (!w.ok) throw new Error(w.fault.says);
  return w.value;
};

describe('grains', () => {
  it('one part in twenty at the first grain, one in five at the last that comes back, between them straight', () => {
    const at = (x: number): number => addedG(answer(CREAM, 'grains', { whiskedS: secondsTo(whipOf(CREAM), x)! })) / 660;
    expect(at(0.7)).toBeCloseTo(0.05, 2);
    expect(at(0.775)).toBeCloseTo(0.125, 2);
    expect(at(0.85)).toBeCloseTo(0.2, 2);
    expect(at(0.89)).toBeCloseTo(0.2, 2);
    expect(networkAt(whipOf(CREAM), secondsTo(whipOf(CREAM), 0.8)!)).toBeCloseTo(0.8, 6);
  });
  it('of what is in the bowl, not of what was planned; and in three goes', () => {
    const half = answer(CREAM, 'grains', { massG: 330 });
    expect(addedG(half) / addedG(answer(CREAM, 'grains'))).toBeCloseTo(0.5, 1);
    expect(half.rescue.steps).toHaveLength(3);
    expect(half.rescue.otherwise).toBe('butter');
  });
  it('has less air and holds less long afterwards', () => {
    const a = answer(CREAM, 'grains');
    expect(a.rescue.airKept).toBeLessThan(0.9);
    expect(a.rescue.holdKept).toBe(0.6);
    expect(a.after!.figures.find((f) => f.name === 'Clean for')!.moved).toBe(true);
  });
});

describe('what stands by itself for a rescue', () => {
  const gel = partsSheet([['cream', 'whipped-cream', 'Cream', ['500 g cream 36 %', '1 g gelatin powder']]], { use: 'turn-out' });
  it('is a rest of its own, and where: all but 25 min of the set anew', () => {
    const { rescue } = answer(gel, 'unset', { coldH: 20 }, 'low-dose');
    const set = rescue.steps.at(-1)!;
    expect(set).toMatchObject({ rests: 'cold' });
    expect(rescue.rest).toEqual({ where: 'cold', min: Math.round(set.timerS! / 60) });
    expect(rescue.minutes - rescue.rest!.min).toBeCloseTo(25, 0);
  });
  it('in the freezer where it freezes, none where hands are at it, and never of what goes', () => {
    expect(answer(gel, 'unset', {}, 'raw-fruit').rescue.rest).toEqual({ where: 'freezer', min: 240 });
    expect(answer(CREAM, 'grains').rescue.rest).toBeNull();
    expect(answer(CREAM, 'left-out', { outH: 9 }).rescue).toMatchObject({ kind: 'discard', rest: null });
    // A second go is no rest that everybody needs.
    expect(answer(CREAM, 'sandy').rescue.rest).toEqual({ where: 'cold', min: 15 });
  });
});

describe('butter', () => {
  it('its fat, nearly all of it, at 82 %: by hand for 600 g of 36 %', () => {
    const a = answer(CREAM, 'butter');
    const fat = analyseSheet(CREAM, KITCHEN).parts[0]!.reading.mixture.grams.milk_fat;
    expect(a.rescue.figures[0]!.value).toBeCloseTo((0.97 * fat) / 0.82, 6);
    expect(a.rescue.figures[0]!.value).toBeGreaterThan(250);
    expect(a.rescue.figures[0]!.value).toBeLessThan(260);
    // Butter and buttermilk are what was in the bowl.
    expect(a.rescue.steps[1]!.amount).toBe(showGrams(660 - a.rescue.figures[0]!.value));
    expect(a.rescue.again.map((l) => l.massG)).toEqual([600, 60]);
    expect(a.rescue.adds).toEqual([]);
  });
});

describe('runs', () => {
  it('lean: double cream brings the fat to 35 %, sweetness kept', () => {
    const lean = sheetOf(['500 g cream 26 %', '50 g caster sugar']);
    const a = answer(lean, 'runs', {}, 'lean-cream');
    expect(partNow(a).fatPct!).toBeCloseTo(35, 0);
    expect(Math.abs(partNow(a).sweetness / a.part.sweetness - 1)).toBeLessThan(0.03);
  });
  it('so lean that it would double: gelatin, 3.5 g a kilo within 3 %', () => {
    const a = answer(sheetOf(['1000 g cream 18 %']), 'runs', {}, 'lean-cream');
    expect((1000 * addedG(a)) / 1000 / 3.5).toBeCloseTo(1, 1);
    expect(a.rescue.title).toContain('gelatin');
  });
  it('warm: minutes in ice water by its heat, then only what is left of the whisking', () => {
    const warm = answer(CREAM, 'runs', { creamC: 15, whiskedS: 60 }, 'warm-cream');
    const warmer = answer(CREAM, 'runs', { creamC: 20, whiskedS: 60 }, 'warm-cream');
    expect(warmer.rescue.steps[0]!.timerS!).toBeGreaterThan(warm.rescue.steps[0]!.timerS!);
    const more = answer(CREAM, 'runs', { creamC: 15, whiskedS: 150 }, 'warm-cream');
    expect(more.rescue.steps[1]!.timerS!).toBeLessThan(warm.rescue.steps[1]!.timerS!);
  });
});

describe('a reading at a step', () => {
  it('says what is to go, that it is there, or that it is past', () => {
    const warm = { toC: 35, cooling: false };
    expect(readingSays(warm, 20)).toEqual({ there: false, says: '15\u00a0°C to go.' });
    expect(readingSays(warm, 33.2).says).toBe('1.8\u00a0°C to go.');
    expect(readingSays(warm, 35 - THERE_C)).toEqual({ there: true, says: 'It is there.' });
    expect(readingSays(warm, 35 - THERE_C - 0.1).there).toBe(false);
    expect(readingSays(warm, 42)).toEqual({ there: true, says: '7.0\u00a0°C past it: let it cool before it goes on.' });
    const cool = { toC: 5, cooling: true };
    expect(readingSays(cool, 13)).toEqual({ there: false, says: '8.0\u00a0°C to go.' });
    expect(readingSays(cool, 3).says).toMatch(/past it: warm it/);
  });
  it('strings are warmed and cooled to readings of their own', () => {
    const a = answer(
      partsSheet([['f', 'set-filling', 'Cream', ['300 g cream 36 %', '200 g raspberry puree', '8 g gelatin powder']]]),
      'strings',
      {},
      'cold-contact',
    );
    expect(a.rescue.steps.filter((x) => x.reads !== null).length).toBeGreaterThan(0);
  });
});

describe('setting', () => {
  const jelly = (g: string): Sheet => partsSheet([['f', 'fruit-base', 'Raspberry', ['500 g raspberry puree', '80 g caster sugar', g]]], { use: 'glass' });
  it.each(['0.5 g gelatin powder', '1 g gelatin powder', '1.5 g gelatin powder', '2 g gelatin'])(
    'what lacks brings the dose to the middle of its band, within 3 %%: %s',
    (lean) => {
      const a = answer(jelly(lean), 'unset', { coldH: 12 }, 'low-dose');
      const now = partNow(a).gelatin;
      expect(Math.abs((now.ok ? now.value.doseGPerKg / ((now.value.band.low + now.value.band.high) / 2) : NaN) - 1)).toBeLessThan(0.03);
      expect(now.ok && now.value.verdict).toBe('in-band');
    },
  );
  it('thinning a rubbery one brings it to the middle', () => {
    const a = answer(jelly('7 g gelatin powder'), 'rubbery');
    const dose = a.part.gelatin.ok ? a.part.gelatin.value : null;
    const mass = a.part.reading.mixture.massG;
    const right = (dose!.band.low + dose!.band.high) / 2;
    expect(Math.abs((dose!.doseGPerKg * mass) / (mass + addedG(a)) / right - 1)).toBeLessThan(0.03);
  });
  it('raw fruit is not answered with more gelatin', () => {
    const a = answer(partsSheet([['f', 'set-filling', 'Kiwi', ['300 g kiwi', '300 g cream 36 %', '8 g gelatin powder']]]), 'unset', { coldH: 12 });
    expect(a.rescue.kind).toBe('instead');
    expect(a.rescue.adds).toEqual([]);
  });
});

describe('chocolate and buttercream', () => {
  it('a seized paste comes to a fifth of water', () => {
    const a = answer(partsSheet([['c', 'chocolate-base', 'Chocolate', ['200 g dark chocolate', '10 g dark rum', '10 g cream 36 %']]]), 'seized');
    const m = partNow(a).reading.mixture;
    expect(m.grams.water / m.massG).toBeGreaterThan(0.19);
    expect(m.grams.water / m.massG).toBeLessThan(0.22);
  });
  it('a split ganache gets water for its fat', () => {
    const a = answer(partsSheet([['c', 'chocolate-base', 'Ganache', ['300 g dark chocolate', '150 g cream 36 %']]]), 'ganache-split');
    const { grams } = partNow(a).reading.mixture;
    expect((grams.cocoa_fat + grams.milk_fat + grams.other_fat) / grams.water).toBeCloseTo(1.1, 1);
  });
  it('a curdled buttercream lands at 20 °C within half a degree', () => {
    const sheet = partsSheet([['b', 'buttercream', 'Buttercream', ['120 g egg white', '240 g caster sugar', '300 g unsalted butter']]]);
    const a = answer(sheet, 'bc-curdled', { nowC: 13 });
    const out = a.rescue.figures[0]!.value;
    const b = { ...caseOf(sheet, { nowC: 13 }), a: a.part };
    const lands = mixingC([bowlGuestOf(b, 13, a.part.reading.mixture.massG - out), bowlGuestOf(b, 45, out)]);
    expect(lands.ok && Math.abs(lands.value - 20)).toBeLessThan(0.5);
  });
});

describe('frozen and strong', () => {
  const boozy = partsSheet(
    [
      ['p', 'egg-foam', 'Yolks', ['100 g egg yolk', '160 g caster sugar', '60 g water']],
      ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %', 'all of the Yolks', '90 g dark rum']],
    ],
    { family: 'semifreddo' },
  );
  it('what never froze gets cream until half of its water is ice', () => {
    const c = caseOf(boozy);
    const before = readFrozen(frozenMixOf(c.s)!, freezerOf(KITCHEN, boozy));
    const a = answer(boozy, 'never-froze');
    if (before.ok && before.value.frozen < 0.53) {
      const after = readFrozen(frozenMixOf(a.after!.analysis)!, freezerOf(KITCHEN, boozy));
      expect(after.ok && after.value.frozen).toBeCloseTo(0.53, 1);
    } else expect(a.rescue.adds).toEqual([]);
  });
  it('too strong comes down to 4 % vol, or as far as a third more cream goes', () => {
    const a = answer(sheetOf(['400 g cream 36 %', '60 g dark rum', '40 g caster sugar']), 'too-strong');
    expect(abvPct(partNow(a).reading.mixture)).toBeLessThan(abvPct(a.part.reading.mixture));
    expect(abvPct(partNow(a).reading.mixture)).toBeCloseTo(4, 0);
  });
  it('too hard: minutes in the fridge, more for a colder freezer', () => {
    const at = (nowC: number): number => answer(boozy, 'too-hard', { nowC }).rescue.minutes;
    expect(at(-20)).toBeGreaterThanOrEqual(at(-12));
  });
});

describe('what must go, goes', () => {
  it.each<[string, Sheet, SignId, Partial<BatchFacts>]>([
    ['out for three hours', CREAM, 'left-out', { outH: 3 }],
    [
      'raw egg out for an hour and a half',
      partsSheet([
        ['e', 'egg-foam', 'Yolks', ['100 g egg yolk', '60 g caster sugar']],
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %', 'all of the Yolks']],
      ]),
      'left-out',
      { outH: 1.5 },
    ],
    ['out for 70 min above 32 °C', CREAM, 'left-out', { outH: 1.2, nowC: 33 }],
    ['custard at 20 °C after eight hours', partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk']]]), 'custard-warm', { nowC: 20, coldH: 8 }],
    ['glass in the bowl', CREAM, 'foreign', {}],
    ['past its date', CREAM, 'weeps', { coldH: 100 }],
  ])('%s', (_, sheet, sign, facts) => {
    const a = answer(sheet, sign, facts);
    expect(a.rescue.kind).toBe('discard');
    expect(a.after).toBeNull();
    expect(a.rescue.adds).toEqual([]);
  });
  it('and what may stay, stays: an hour out, two hours of cooling', () => {
    expect(answer(CREAM, 'left-out', { outH: 1 }).rescue.kind).toBe('mend');
    expect(answer(CREAM, 'left-out', { outH: 2 }).rescue.kind).toBe('mend');
    expect(answer(CREAM, 'left-out', { outH: 2.1 }).rescue.kind).toBe('discard');
    expect(answer(partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk']]]), 'custard-warm', { nowC: 20, coldH: 2 }).rescue.kind).toBe('mend');
  });
});

describe('amounts', () => {
  it('too few glasses: the same in fewer, until one is full', () => {
    const mousse = sheetOf(['800 g cream 36 %', '80 g caster sugar'], {}, { portions: 10, use: 'glass' });
    const a = answer(mousse, 'glasses', { glasses: 8 });
    expect(a.after!.sheet.portions).toBe(8);
    expect(words(a)).toContain('25 % more in each');
  });
  it('short: as many portions as there is for', () => {
    const a = answer(sheetOf(['800 g cream 36 %'], {}, { portions: 10 }), 'short', { massG: 600 });
    expect(a.after!.sheet.portions).toBe(7);
    expect(words(a)).toContain('200 g');
  });
  it('twice: the rest again, and two of them', () => {
    const a = answer(CREAM, 'twice');
    expect(a.rescue.again.map((l) => l.massG)).toEqual([600]);
    expect(a.after!.sheet.portions).toBe(2 * CREAM.portions);
  });
  it('a flat fold: the volume that is missing over what a gram of foam brings', () => {
    const mousse = partsSheet([
      ['f', 'fruit-base', 'Base', ['300 g raspberry puree', '8 g gelatin powder']],
      ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
      ['m', 'set-filling', 'Mousse', ['all of the Base', 'all of the Cream']],
    ]);
    const full = analyseSheet(mousse, KITCHEN).parts[2]!;
    const at = (share: number) => answer(mousse, 'flat', { volumeMl: full.foamMl.ok ? full.mixMl + share * (full.foamMl.value - full.mixMl) : 0 });
    const cream = analyseSheet(mousse, KITCHEN).parts[1]!;
    const perG = cream.foamMl.ok ? cream.foamMl.value / cream.reading.mixture.massG : 0;
    const lost = full.foamMl.ok ? 0.5 * (full.foamMl.value - full.mixMl) : 0;
    expect(addedG(at(0.5)) / (lost / (perG * 0.93))).toBeCloseTo(1, 1);
    expect(addedG(at(0.7))).toBeLessThan(addedG(at(0.5)));
  });
});

describe('what a rescue puts in', () => {
  it('a base that falls to crumbs comes to 32 % fat, with butter of the larder where it has none of its own', () => {
    for (const lines of [
      ['200 g digestive biscuits', '30 g unsalted butter'],
      ['200 g digestive biscuits', '40 g dark chocolate'],
    ]) {
      const a = answer(
        partsSheet([
          ['b', 'pressed-base', 'Base', lines],
          ['f', 'set-filling', 'Filling', ['300 g cream cheese', '100 g cream 36 %']],
        ]),
        'crust-crumbles',
      );
      const m = partNow(a).reading.mixture;
      expect(KITCHEN.larder.has(a.rescue.adds[0]!.ingredientId)).toBe(true);
      expect((m.grams.milk_fat + m.grams.cocoa_fat + m.grams.other_fat) / m.massG).toBeCloseTo(0.32, 1);
    }
  });
  it('whatever a sign asks for is in the shipped larder, also in a dessert that has nothing of it', () => {
    for (const kind of ['whipped-cream', 'cheese-cream', 'custard', 'chocolate-base', 'fruit-base', 'pressed-base', 'meringue', 'buttercream'] as const) {
      const sheet = partsSheet(
        [['p', kind, 'Part', ['200 g water', '100 g dark chocolate', '60 g egg white', '40 g egg yolk', '80 g banana', '100 g ricotta', '100 g cream 30 %']]],
        { use: 'slice' },
      );
      const c = caseOf(sheet);
      for (const sign of signsOf(c).can) {
        const a = mendOf(c, sign);
        if (!a.ok) throw new Error(a.fault.says);
        for (const added of [...a.value.rescue.adds, ...a.value.rescue.again])
          expect(KITCHEN.larder.has(added.ingredientId), `${kind}: ${sign}: ${added.ingredientId}`).toBe(true);
      }
    }
  });
});
