import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { CONTEXT, KITCHEN, partsSheet, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { matcherFor } from '../measures/match';
import { NO_FACTS, readFacts, type BatchFacts, type MendCase } from './case';
import { STAGE_X } from '../foam/house';
import { secondsTo } from '../foam/whisk';
import { likelyCauses, posterior } from './likely';
import { mendOf, signsOf, type Answer } from './mend';
import { SIGNS } from './signs';
import { CAUSES, SIGN_IDS, SIGN_WORDS, signsFor, type CauseId, type SignId } from './words';

const larder = new Map([...KITCHEN.larder, ...SAMPLE_INGREDIENTS.map((i) => [i.id, i] as const)]);
const kitchen = { ...KITCHEN, larder };
const context = { ...CONTEXT, larder, matcher: matcherFor([...larder.values()]) };
const SHEETS = SAMPLE_SHEETS.map((s) => [s.id, sampleDoc(s, context, 'planetary')] as const);
const caseOf = (sheet: Sheet, facts: Partial<BatchFacts> = {}): MendCase => ({
  s: analyseSheet(sheet, kitchen),
  kitchen,
  facts: { ...NO_FACTS, ...facts },
  log: [],
});
const answer = (sheet: Sheet, sign: SignId, facts: Partial<BatchFacts> = {}, cause: CauseId | null = null): Answer => {
  const a = mendOf(caseOf(sheet, facts), sign, cause);
  if (!a.ok) throw new Error(`${sign}: ${a.fault.says}`);
  return a.value;
};

/** Every word that a cook would read in an answer. */
const wordsOf = (a: Answer): string =>
  [
    a.rescue.title,
    a.rescue.says,
    ...a.rescue.steps.flatMap((s) => [s.amount ?? '', s.does, s.stopIf ?? '']),
    ...a.causes.flatMap((c) => [c.name, c.says]),
    ...(a.after?.figures.flatMap((f) => [f.before, f.after]) ?? []),
    ...a.prevents.flatMap((p) => [p.label, p.moves]),
  ].join('\n');

describe('every sign on every sample dessert', () => {
  it.each(SHEETS)('%s: no dead end, no figure that is none, every change keeps the sheet whole', (_, sheet) => {
    const c = caseOf(sheet);
    const { can, cannot } = signsOf(c);
    expect(can.length + cannot.length).toBe(SIGN_IDS.length);
    expect(can.length).toBeGreaterThan(12);
    for (const sign of cannot) expect(mendOf(c, sign)).toMatchObject({ ok: false, fault: { code: 'not-in-it' } });
    for (const sign of can) {
      for (const [cause] of SIGNS[sign].causes) {
        const a = answer(sheet, sign, {}, cause);
        expect(wordsOf(a), `${sign} by ${cause}`).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
        expect(a.rescue.steps.length).toBeGreaterThan(0);
        expect(a.rescue.minutes).toBeGreaterThan(0);
        expect(a.prevents.length).toBeGreaterThan(0);
        for (const added of [...a.rescue.adds, ...a.rescue.again]) {
          expect(added.massG, `${sign}: ${added.name}`).toBeGreaterThan(0);
          expect(larder.has(added.ingredientId), `${sign}: ${added.ingredientId} is in the larder`).toBe(true);
        }
        // What stands by itself is part of its time, the rest of it is no more than an hour's work, and every long timer of what comes right is a rest.
        expect(a.rescue.minutes - (a.rescue.rest?.min ?? 0), `${sign} by ${cause}: ${a.rescue.title}`).toBeGreaterThanOrEqual(-0.5);
        expect(a.rescue.minutes - (a.rescue.rest?.min ?? 0), `${sign} by ${cause}: ${a.rescue.title}`).toBeLessThanOrEqual(60);
        for (const s of a.rescue.steps) {
          if (s.timerS !== null) expect(s.timerS).toBeGreaterThan(0);
          // What is to be read stands in its words.
          if (s.reads) expect(`${s.does} ${s.stopIf ?? ''}`, sign).toContain(`${Math.round(s.reads.toC)}\u00a0°C`.replace('-', '−'));
          expect(s.does.length).toBeGreaterThan(5);
        }
        for (const f of a.rescue.figures) {
          expect(Number.isFinite(f.value)).toBe(true);
          expect(f.inputs.length).toBeGreaterThan(0);
        }
        for (const p of a.prevents) if (p.change) expect(p.change.parts.length).toBe(sheet.parts.length);
        if (a.rescue.kind === 'discard') expect(a.after).toBeNull();
      }
    }
  });
  it('a rescue balances: what is in the bowl afterwards is what was there and what goes in', () => {
    for (const [, sheet] of SHEETS) {
      const c = caseOf(sheet);
      for (const sign of signsOf(c).can) {
        const a = answer(sheet, sign);
        if (!a.after || a.rescue.adds.length === 0) continue;
        const now = a.after.analysis.parts.find((p) => p.part.id === a.part.part.id)!;
        const added = a.rescue.adds.reduce((g, x) => g + x.massG, 0);
        // Leaf that was soaked brings its water along.
        const soaked = now.reading.soakWaterG - a.part.reading.soakWaterG;
        const gone = a.part.reading.mixture.massG + added + soaked;
        // A part of which a rest is taken may feed more of itself: within 3 %.
        expect(now.reading.mixture.massG / gone, `${sheet.name}: ${sign}`).toBeGreaterThan(0.97);
        expect(now.reading.mixture.massG / gone, `${sheet.name}: ${sign}`).toBeLessThan(1.03);
      }
    }
  });
  it('says so when another band gets worse', () => {
    const lean = sheetOf(['500 g cream 30 %', '60 g caster sugar']);
    const a = answer(lean, 'grains');
    for (const t of a.after!.worse) expect(t.sentence.length).toBeGreaterThan(0);
    const strong = answer(sheetOf(['400 g cream 36 %', '90 g caster sugar']), 'too-sweet');
    expect(strong.after!.analysis.sweetness).toBeLessThan(strong.part.sweetness);
  });
});

describe('likelihoods', () => {
  it('are odds times what each observation says, between none and all', () => {
    expect(posterior(0.5, [])).toBe(0.5);
    expect(posterior(0.5, [4])).toBeCloseTo(0.8, 12);
    expect(posterior(0.2, [12])).toBeCloseTo(0.75, 12);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.95, noNaN: true }),
        fc.array(fc.double({ min: 0.05, max: 15, noNaN: true }), { maxLength: 5 }),
        fc.double({ min: 1.01, max: 10, noNaN: true }),
        (prior, ratios, more) => {
          const p = posterior(prior, ratios);
          expect(p).toBeGreaterThan(0);
          expect(p).toBeLessThan(1);
          expect(posterior(prior, [...ratios, more])).toBeGreaterThan(p);
          expect(posterior(prior, [...ratios, 1 / more])).toBeLessThan(p);
        },
      ),
    );
  });
  it('the kitchen’s own log moves the prior, the more often the further', () => {
    const sheet = sheetOf(['500 g cream 36 %', '40 g icing sugar']);
    const c = caseOf(sheet);
    const of = (n: number) =>
      likelyCauses({ ...c, log: Array.from({ length: n }, () => ({ sign: 'grains' as const, cause: 'rich-cream' as const, helped: null })) }, 'grains').find(
        (l) => l.cause === 'rich-cream',
      )!;
    expect(of(3).prior).toBeGreaterThan(of(0).prior);
    expect(of(12).prior).toBeGreaterThan(of(3).prior);
    expect(of(3).says).toContain('3 of 3 times in this kitchen');
    expect(of(0).prior).toBe(0.15);
    // By hand: (0.15·4 + 4)/(4 + 4).
    expect(of(4).prior).toBeCloseTo((0.15 * 4 + 4) / 8, 12);
  });
  it('every cause is named and belongs to a sign, every sign has a mostly or an often', () => {
    const used = new Set(SIGN_IDS.flatMap((s) => SIGNS[s].causes.map(([c]) => c)));
    expect([...used].sort()).toEqual((Object.keys(CAUSES) as CauseId[]).sort());
    for (const s of SIGN_IDS) {
      expect(SIGNS[s].causes.length).toBeGreaterThan(0);
      expect(Math.max(...SIGNS[s].causes.map(([, p]) => p)), s).toBeGreaterThanOrEqual(0.3);
      const { twin } = SIGNS[s];
      if (twin) expect(SIGN_IDS).toContain(twin.sign);
    }
  });
});

describe('a batch with one thing wrong ranks it first', () => {
  const cream = sheetOf(['600 g cream 36 %', '48 g icing sugar'], { stage: 'firm' });
  const closes = (() => {
    const w = analyseSheet(cream, kitchen).parts[0]!.window;
    return w.ok ? w.value : { opensS: 0, closesS: 0 };
  })();
  const first = (sheet: Sheet, sign: SignId, facts: Partial<BatchFacts> = {}): CauseId => answer(sheet, sign, facts).causes[0]!.cause;
  const gelatin = (g: string): Sheet => partsSheet([['f', 'fruit-base', 'Raspberry', ['400 g raspberry puree', '80 g caster sugar', g]]], { use: 'glass' });
  it.each<[string, Sheet, SignId, Partial<BatchFacts>, CauseId]>([
    ['whisked past its window', cream, 'grains', { whiskedS: (closes.closesS ?? 300) + 40 }, 'past-firm'],
    ['warm cream, inside the window', cream, 'grains', { whiskedS: (closes.opensS + (closes.closesS ?? 0)) / 2, creamC: 13 }, 'warm-cream'],
    ['stopped before the window', cream, 'runs', { whiskedS: 0.5 * closes.opensS, creamC: 5 }, 'stopped-early'],
    ['warm cream that runs', cream, 'runs', { whiskedS: closes.opensS + 5, creamC: 14 }, 'warm-cream'],
    ['lean cream that runs', sheetOf(['500 g cream 26 %']), 'runs', { creamC: 5 }, 'lean-cream'],
    ['wine in the cream', sheetOf(['400 g cream 48 %', '250 g sweet white wine', '60 g caster sugar']), 'runs', { creamC: 5, whiskedS: 400 }, 'too-wet'],
    ['granulated sugar', sheetOf(['500 g cream 36 %', '60 g granulated sugar']), 'sandy', {}, 'coarse-sugar'],
    ['held too long', cream, 'weeps', { coldH: 60, nowC: 4 }, 'past-hold'],
    ['a warm place', sheetOf(['500 g cream 36 %', '250 g mascarpone', '4 g gelatin powder']), 'weeps', { coldH: 1, nowC: 11 }, 'warm-place'],
    ['too little gelatin', gelatin('1 g gelatin powder'), 'unset', { coldH: 12 }, 'low-dose'],
    ['too soon', gelatin('5 g gelatin powder'), 'unset', { coldH: 1 }, 'too-soon'],
    ['raw kiwi', partsSheet([['f', 'set-filling', 'Kiwi', ['300 g kiwi', '300 g cream 36 %', '8 g gelatin powder']]]), 'unset', { coldH: 12 }, 'raw-fruit'],
    ['too much gelatin', gelatin('14 g gelatin powder'), 'rubbery', {}, 'high-dose'],
    [
      'cold butter',
      partsSheet([['b', 'buttercream', 'Buttercream', ['120 g egg white', '240 g caster sugar', '300 g unsalted butter']]]),
      'bc-curdled',
      { nowC: 13 },
      'butter-cold',
    ],
    [
      'warm butter',
      partsSheet([['b', 'buttercream', 'Buttercream', ['120 g egg white', '240 g caster sugar', '300 g unsalted butter']]]),
      'bc-soup',
      { nowC: 27 },
      'butter-warm',
    ],
    [
      'a spoon of liqueur in chocolate',
      partsSheet([['c', 'chocolate-base', 'Chocolate', ['200 g dark chocolate', '15 g dark rum']]]),
      'seized',
      {},
      'little-water',
    ],
    [
      'a fat ganache',
      partsSheet([['c', 'chocolate-base', 'Ganache', ['300 g dark chocolate', '120 g cream 36 %', '60 g unsalted butter']]]),
      'ganache-split',
      {},
      'too-fat-mix',
    ],
    [
      'a hot base',
      partsSheet([
        ['f', 'fruit-base', 'Base', ['300 g raspberry puree', '8 g gelatin powder']],
        ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
        ['m', 'set-filling', 'Mousse', ['all of the Base', 'all of the Cream']],
      ]),
      'base-hot',
      { nowC: 40 },
      'warm-fold',
    ],
    ['custard at 92 °C', partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '60 g caster sugar']]]), 'scrambled', { nowC: 92 }, 'too-hot'],
    [
      'custard at 65 °C',
      partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '60 g caster sugar']]]),
      'custard-thin',
      { nowC: 65 },
      'not-cooked',
    ],
    [
      'a sweet frost',
      partsSheet(
        [
          ['p', 'egg-foam', 'Yolks', ['100 g egg yolk', '300 g caster sugar', '60 g water']],
          ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %', 'all of the Yolks', '80 g dark rum']],
        ],
        { family: 'semifreddo' },
      ),
      'never-froze',
      { coldH: 30 },
      'little-ice',
    ],
    ['a sweet dessert', sheetOf(['400 g cream 36 %', '120 g caster sugar']), 'too-sweet', {}, 'more-than-band'],
    ['a step passed over', cream, 'forgot', { skipped: ['weigh'] }, 'step-missed'],
  ])('%s', (_, sheet, sign, facts, cause) => {
    expect(first(sheet, sign, facts)).toBe(cause);
  });
});

describe('the ticks of a batch', () => {
  const gel = partsSheet(
    [
      ['f', 'fruit-base', 'Base', ['300 g raspberry puree', '8 g gelatin powder']],
      ['c', 'whipped-cream', 'Cream', ['400 g cream 36 %']],
      ['m', 'set-filling', 'Mousse', ['all of the Base', 'all of the Cream']],
    ],
    { use: 'turn-out' },
  );
  const nest = partsSheet(
    [
      ['n', 'meringue', 'Nest', ['120 g egg white', '240 g caster sugar']],
      ['c', 'whipped-cream', 'Cream', ['300 g cream 36 %']],
    ],
    { family: 'nest' },
  );
  const custard = partsSheet([['k', 'custard', 'Custard', ['400 g milk', '80 g egg yolk', '60 g caster sugar']]]);
  const step = (wayKey: string, restedMin: number | null = null, ofMin: number | null = null) => ({ wayKey, title: wayKey, partId: '', restedMin, ofMin });
  it.each<[string, Sheet, SignId, CauseId, Partial<BatchFacts>, RegExp]>([
    ['gelatin that was not soaked', gel, 'strings', 'dry-gelatin', { skipped: ['soak'] }, /passed over/],
    ['gelatin melted before it was soaked', gel, 'strings', 'dry-gelatin', { steps: [step('melt'), step('soak')] }, /before ‘soak’/],
    ['a chill cut short', gel, 'unset', 'too-soon', { steps: [step('chill', 60, 240)] }, /had 60.min of 4.h/],
    ['folded before it was cool', gel, 'flat', 'warm-fold', { steps: [step('fold'), step('cool-base')] }, /before ‘cool-base’/],
    ['a cooling cut short', gel, 'flat', 'warm-fold', { steps: [step('cool', 10, 40)] }, /had 10.min of 40.min/],
    ['a tin that was not lined', gel, 'stuck', 'no-lining', { skipped: ['line'] }, /lining/],
    ['a shell taken from the oven too soon', nest, 'cracked', 'cooled-fast', { steps: [step('cool', 10, 120)] }, /had 10.min of 2.h/],
    ['crowned before it stood in the cold', nest, 'shell-wet', 'crowned-early', { steps: [step('crown'), step('hold')] }, /before ‘hold’/],
    ['a custard that was not cooked', custard, 'custard-thin', 'not-cooked', { skipped: ['cook'] }, /cooking/],
  ])('%s', (_, sheet, sign, cause, facts, evidence) => {
    const of = (more: Partial<BatchFacts>) => likelyCauses(caseOf(sheet, more), sign).find((x) => x.cause === cause)!;
    const [before, after] = [of({}), of(facts)];
    expect(after.evidence.map((e) => e.says).join(' ')).toMatch(evidence);
    // It points: the odds of the cause are four times what they were, and what is not said changes nothing.
    const odds = (p: number): number => p / (1 - p);
    expect(odds(after.p) / odds(before.p)).toBeCloseTo(4, 6);
    expect(of({ steps: [step('beat', 1, 5)], skipped: ['beat'] }).p).toBeCloseTo(before.p, 9);
  });
});

describe('a cream that went through the bag twice', () => {
  const p = (use: 'pipe' | 'glass'): number =>
    likelyCauses(caseOf({ ...sheetOf(['500 g cream 36 %', '50 g icing sugar']), use }), 'grains').find((x) => x.cause === 'worked-again')!.p;
  it('is likelier where it is piped, all but ruled out elsewhere, and found by its words', () => {
    const odds = (x: number): number => x / (1 - x);
    expect(odds(p('pipe')) / odds(p('glass'))).toBeCloseTo(2 / 0.06, 6);
    expect(signsFor('scraped back')).toContain('grains');
  });
});

describe('a siphon that fizzles', () => {
  const cream = (...lines: string[]): Sheet => ({ ...sheetOf(lines), notes: 'Filled into the siphon, one charge.' });
  it('stands among the first signs where gas is meant, last where no word speaks of it, and nowhere without cream', () => {
    const lines = ['400 g cream 36 %', '30 g icing sugar'];
    expect(signsOf(caseOf(sheetOf(lines))).can.at(-1)).toBe('fizzles');
    expect(signsOf(caseOf(cream(...lines))).can.indexOf('fizzles')).toBeLessThan(8);
    expect(signsOf(caseOf(partsSheet([['c', 'custard', 'Custard', ['500 g milk', '4 yolks', '90 g caster sugar']]]))).cannot).toContain('fizzles');
  });
  it('what is left in it is whisked, and nothing under pressure is opened', () => {
    const a = answer(cream('400 g cream 36 %', '30 g icing sugar'), 'fizzles', { massG: 215 });
    expect(a.cause).toBe('gas-first');
    expect(a.rescue.title.replace(/\u00a0/g, ' ')).toBe('Let the gas off, and whisk 215 g');
    expect(a.rescue.says).toContain('never opened');
    expect(a.rescue.rest).toEqual({ where: 'cold', min: 20 });
    // As long under the whisk as the same bowl from the start.
    const w = a.part.whip;
    expect(w.ok && secondsTo(w.value, STAGE_X[a.part.part.whisk.stage])! / a.rescue.steps[2]!.timerS!).toBeCloseTo(1, 2);
  });
  it('seeds and threads point to the nozzle, warm and lean cream to themselves', () => {
    const first = (sheet: Sheet, facts: Partial<BatchFacts> = {}): string => likelyCauses(caseOf(sheet, facts), 'fizzles')[0]!.cause;
    const of = (sheet: Sheet, cause: CauseId, facts: Partial<BatchFacts> = {}): number =>
      likelyCauses(caseOf(sheet, facts), 'fizzles').find((l) => l.cause === cause)!.p;
    const bare = cream('400 g cream 36 %');
    const seeds = cream('400 g cream 36 %', '60 g raspberry puree', '2 g gelatin powder');
    const odds = (p: number): number => p / (1 - p);
    expect(odds(of(seeds, 'nozzle-blocked')) / odds(of(bare, 'nozzle-blocked'))).toBeCloseTo(4, 6);
    expect(first(cream('400 g cream 18 %'))).toBe('lean-cream');
    expect(of(bare, 'warm-cream', { creamC: 16 })).toBeGreaterThan(2 * of(bare, 'warm-cream', { creamC: 5 }));
  });
  it.each(['siphon', 'spray can', 'fizzles'])('the finder knows ‘%s’', (word) => {
    expect(signsFor(word)[0]).toBe('fizzles');
  });
});

describe('what keeps it from coming again', () => {
  const change = (sheet: Sheet, sign: SignId, cause: CauseId, facts: Partial<BatchFacts> = {}): Sheet => {
    const found = answer(sheet, sign, facts, cause).prevents.find((p) => p.change);
    if (!found?.change) throw new Error(`nothing to change for ${cause}`);
    return found.change;
  };
  const part = (sheet: Sheet, i = 0) => analyseSheet(sheet, kitchen).parts[i]!;
  it('granulated sugar becomes icing sugar of the same weight, and sand is not likely any more', () => {
    const sheet = sheetOf(['500 g cream 36 %', '60 g granulated sugar']);
    const fine = change(sheet, 'sandy', 'coarse-sugar');
    expect(part(fine).reading.lines[1]!.ingredient!.id).toBe('icing-sugar-starch');
    expect(part(fine).reading.lines[1]!.read!.massG).toBe(60);
    expect(likelyCauses(caseOf(fine), 'sandy')[0]!.p).toBeLessThan(likelyCauses(caseOf(sheet), 'sandy')[0]!.p / 3);
  });
  it('a lean cream comes to 35 % fat, a rich one to 36', () => {
    expect(part(change(sheetOf(['500 g cream 26 %']), 'runs', 'lean-cream')).fatPct).toBeCloseTo(35, 0);
    expect(part(change(sheetOf(['500 g cream 48 %']), 'grains', 'rich-cream')).fatPct).toBeCloseTo(36, 0);
  });
  it('gelatin goes to the middle of its band, up or down, in the kind that is used', () => {
    for (const g of ['1 g gelatin powder', '9 g gelatin powder']) {
      const sheet = partsSheet([['f', 'fruit-base', 'Raspberry', ['400 g raspberry puree', '80 g caster sugar', g]]], { use: 'glass' });
      const { gelatin } = part(change(sheet, g.startsWith('1') ? 'unset' : 'rubbery', g.startsWith('1') ? 'low-dose' : 'high-dose', { coldH: 12 }));
      expect(gelatin.ok && gelatin.value.doseGPerKg / ((gelatin.value.band.low + gelatin.value.band.high) / 2)).toBeCloseTo(1, 1);
    }
  });
  it('cold cream, a slower whisk, a softer stop: each moves the window, and says by how much', () => {
    const warm = sheetOf(['600 g cream 36 %'], { creamC: 11, stage: 'firm', slowFromSoft: false });
    const a = answer(warm, 'grains', {}, 'past-firm');
    const taken = a.prevents.filter((p) => p.change);
    expect(taken.map((p) => p.label)).toEqual(['drop to slow at soft peak', 'cream and bowl at 5\u00a0°C', 'stop at medium']);
    for (const p of taken) expect(p.moves).toMatch(/^window \d+:\d\d–(?:\d+:\d\d|…) → \d+:\d\d/);
    expect(part(taken[1]!.change!).part.whisk.creamC).toBe(5);
  });
  it('too sweet comes to the middle of its band', () => {
    const sheet = sheetOf(['400 g cream 36 %', '120 g caster sugar']);
    const after = analyseSheet(change(sheet, 'too-sweet', 'more-than-band'), kitchen);
    expect(after.sweetness).toBeLessThan(14);
    expect(after.sweetness).toBeGreaterThan(8);
  });
  it('a cream that weeps is held: longer clean than before', () => {
    const sheet = sheetOf(['500 g cream 36 %', '40 g caster sugar']);
    expect(analyseSheet(change(sheet, 'weeps', 'no-stabiliser'), kitchen).keeping.cleanH!).toBeGreaterThan(2 * analyseSheet(sheet, kitchen).keeping.cleanH!);
  });
  it('the sheet itself is never touched', () => {
    for (const [, sheet] of SHEETS) {
      const before = JSON.stringify(sheet);
      const c = caseOf(sheet);
      for (const sign of signsOf(c).can) answer(sheet, sign);
      expect(JSON.stringify(sheet)).toBe(before);
    }
  });
});

describe('impossible readings are refused in words', () => {
  it.each<Partial<BatchFacts>>([
    { nowC: 999 },
    { creamC: -80 },
    { whiskedS: 1e9 },
    { coldH: -1 },
    { outH: 1e6 },
    { massG: 0 },
    { volumeMl: -3 },
    { glasses: 2.5 },
    { nowC: NaN },
  ])('%j', (facts) => {
    const read = readFacts({ ...NO_FACTS, ...facts });
    expect(read.ok).toBe(false);
    expect(!read.ok && read.fault.says).not.toMatch(/NaN/);
  });
  it('a batch without readings still has an answer', () => {
    expect(answer(sheetOf(['500 g cream 36 %']), 'grains').causes[0]!.p).toBeGreaterThan(0.1);
  });
});

describe('the finder’s words', () => {
  it.each<[string, SignId]>([
    ['grainy', 'grains'],
    ['split', 'ganache-split'],
    ['broken', 'grains'],
    ['soup', 'runs'],
    ['weepy', 'weeps'],
    ['stringy', 'strings'],
    ['seized', 'seized'],
    ['flat', 'flat'],
    ['stuck', 'stuck'],
    ['hard as stone', 'too-hard'],
    ['too boozy', 'too-strong'],
    ['forgot the rum', 'forgot'],
    ['ran out', 'short'],
    ['curdled', 'bc-curdled'],
    ['overwhipped', 'grains'],
    ['butter', 'butter'],
    ['too warm', 'left-out'],
    ['did not set', 'unset'],
  ])('%s', (said, sign) => {
    expect(signsFor(said).slice(0, 6), said).toContain(sign);
  });
  it('has at least 34 signs, each with a name, a look and other words', () => {
    expect(SIGN_IDS.length).toBeGreaterThanOrEqual(34);
    for (const id of SIGN_IDS) {
      expect(SIGN_WORDS[id].words.length, id).toBeGreaterThan(0);
      expect(signsFor(SIGN_WORDS[id].name)[0], id).toBe(id);
    }
  });
  it('knows nothing of what is no sign', () => {
    expect(signsFor('xyzzy')).toEqual([]);
    expect(signsFor('a')).toEqual([]);
  });
});
