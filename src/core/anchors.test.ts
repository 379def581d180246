/**
 * Conditions with the band that practice, a table or physics gives (testing/anchors.csv), each measured on what is built. A row without a
 * measure fails: none is left out.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { answerTo } from '../testing/reading-corpus';
import { CONTEXT, ingredient, KITCHEN, partsSheet, sheetOf } from '../testing/sample';
import { depthThatMeets } from './cold/base';
import { hourAt, runCold } from './cold/run';
import { USUAL_SETUP } from './document/usual-cold';
import { stirredCurve } from './heat/stirred';
import { heatContent } from './heat/heat-content';
import { COOLING_RULES } from './heat/cooling';
import { eggVerdict } from './heat/lethality';
import { holdOf, goodUntilH, keepingHours } from './foam/hold';
import { STAGE_X } from './foam/house';
import type { HoldInput, WhiskInput } from './foam/inputs';
import { secondsTo, stopWindow, whip } from './foam/whisk';
import { declarations } from './files/tub-label';
import { gelatinDose } from './setting/gelatin';
import { analyseSheet } from './analysis/analyse';
import type { SheetAnalysis } from './analysis/analysed';
import type { Sheet } from './document/schema';
import { softeningOf } from './tin/softening';
import { soakOf } from './tin/soak';
import { layBiscuits } from './vessel/packing/lay';
import { capacityMl, STARTING_VESSELS } from './vessel/profile';
import type { Result } from './result';

interface Anchor {
  readonly id: string;
  readonly condition: string;
  readonly low: string;
  readonly high: string;
  readonly figure: string;
}
const ANCHORS = Papa.parse<Anchor>(readFileSync(join(process.cwd(), 'src/testing/anchors.csv'), 'utf8'), { header: true, skipEmptyLines: true }).data;

const value = <T>(r: Result<T>): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const CREAM: WhiskInput = {
  fatPct: 36,
  sugarPer100: 0,
  sugarAt: 'start',
  creamC: 5,
  softCheeseShare: 0,
  mascarponeShare: 0,
  mixer: 'planetary',
  bowlMl: 4800,
  speed: 'fast',
  slowFromSoft: false,
  mixMl: 1000,
  batches: 1,
  target: 'firm',
};
const seconds = (change: Partial<WhiskInput>, stage: keyof typeof STAGE_X = 'firm'): number => secondsTo(value(whip({ ...CREAM, ...change })), STAGE_X[stage])!;
const HAND: Partial<WhiskInput> = { mixer: 'hand-mixer', bowlMl: 3000 };
const HOLD: HoldInput = {
  fatPct: 36,
  gelatinGPerKg: 0,
  mascarponeShare: 0,
  softCheeseShare: 0,
  strainedYoghurtShare: 0,
  rawStarchPct: 0,
  xanthanGPerKg: 0,
  powderGPerKg: 0,
  sourLiquidPct: 0,
  stage: 'medium',
  tempC: 4,
  rawEgg: false,
  keepingRuleH: null,
};
const clean = (change: Partial<HoldInput>): number => value(holdOf({ ...HOLD, ...change })).cleanH;
const of = (sheet: Sheet): SheetAnalysis => analyseSheet(sheet, KITCHEN);
const vessel = (name: string) => STARTING_VESSELS.find((v) => v.name === name)!;
const part = (s: SheetAnalysis, id: string) => s.parts.find((p) => p.part.id === id)!;
/** A sheet's mix with the mascarpone or cheese in the dairy by share, whisked by its own reading. */
const firmOf = (lines: readonly string[]): number => {
  const w = part(
    of(sheetOf(lines, { stage: 'firm', mixerId: KITCHEN.mixers.find((m) => m.kind === 'planetary')!.id, speed: 'fast', slowFromSoft: false })),
    'cream',
  ).whip;
  return secondsTo(value(w), STAGE_X.firm)!;
};
const soften = (id: string, heightMm?: number): number => {
  const i = ingredient(id);
  return value(
    softeningOf({ ...i.biscuit!, ...(heightMm ? { heightMm } : {}) }, i.composition.water, 0, {
      pieceG: i.piece!.grams * (heightMm ? heightMm / i.biscuit!.heightMm : 1),
      sugarPct: i.composition.sucrose,
    }),
  ).softH;
};
const custard = () => part(of(partsSheet([['c', 'custard', 'Custard', ['600 g milk', '160 g yolks', '150 g caster sugar', '90 g cream 36 %']]])), 'c').reading;
const core = (s: SheetAnalysis, change: object, tC: number): number => {
  const r = value(runCold(s, KITCHEN, { ...USUAL_SETUP, ...change }));
  return hourAt(r.curves.h, r.curves.core, tC) ?? Infinity;
};

/** What is built, by the id of its row: a figure, or the word that the row asks for. */
const MEASURES: Readonly<Record<string, () => number | string>> = {
  w1: () => seconds({}),
  w2: () => seconds({ mixMl: 500 }),
  w3: () => seconds({ mixMl: 237 }),
  w4: () => (whip({ ...CREAM, mixMl: 60 }).ok ? 'a time' : 'no time'),
  w5: () => seconds({ ...HAND, mixMl: 500 }),
  w6: () => seconds({ ...HAND, mixMl: 237 }),
  w7: () => seconds({ mixer: 'hand-mixer', bowlMl: 4500, mixMl: 1100, sugarPer100: 25 }),
  w8: () => seconds({ mixer: 'balloon-whisk', bowlMl: 3000, mixMl: 250 }),
  w9: () => stopWindow(value(whip({ ...CREAM, creamC: 13, target: 'medium' })), 'medium')!.closesS!,
  w10: () => seconds({ fatPct: 30 }) / seconds({ fatPct: 29.9 }),
  w11: () => firmOf(['500 g cream 36 %', '500 g mascarpone']),
  w12: () => firmOf(['550 g cream 36 %', '450 g cream cheese']),
  w13: () => {
    const soft = (lines: readonly string[]): number =>
      secondsTo(value(part(of(sheetOf(lines, { mixerId: KITCHEN.mixers.find((m) => m.kind === 'hand-mixer')!.id })), 'cream').whip), STAGE_X.soft)!;
    return soft(['500 g double cream 48 %', '60 g lemon juice']) / soft(['500 g double cream 48 %']);
  },
  w14: () => seconds({ bowlMl: 12_000, mixMl: 4000 }) / seconds({}),
  h1: () => clean({}),
  h2: () => clean({ gelatinGPerKg: 6 }),
  h3: () => value(part(of(sheetOf(['700 g cream 36 %', '300 g greek yoghurt 10 %'], { stage: 'medium' })), 'cream').holdFridge).cleanH,
  h4: () => clean({ tempC: 20 }),
  h5: () => clean({ tempC: 30 }),
  h6: () => {
    const h = value(part(of(sheetOf(['400 g cream 35 %', '40 g icing sugar'], { stage: 'soft' })), 'cream').holdFridge);
    return goodUntilH(h.cleanH, h.keepingH);
  },
  h7: () => clean({ gelatinGPerKg: 6, tempC: 24.1 }) / clean({ gelatinGPerKg: 6, tempC: 23.9 }),
  h8: () =>
    of(
      partsSheet([
        ['w', 'egg-foam', 'Whites', ['120 g egg whites', '40 g caster sugar']],
        ['f', 'set-filling', 'Filling', ['500 g mascarpone', 'all of the Whites']],
      ]),
    ).keeping.eatByH,
  h9: () => keepingHours(5.1, false, null) / keepingHours(4.9, false, null),
  g1: () => value(gelatinDose({ gelatin225G: 0, totalG: 500, use: 'slice', acidGPerKg: 0, abvPct: 0, rawProteaseFruit: false, fatPct: 30 })).advised225G,
  g2: () => {
    const s = of(
      partsSheet([['f', 'set-filling', 'Filling', ['405 g cream cheese', '400 g cream 36 %', '90 g caster sugar', '3.4 g platinum gelatin leaves']]], {
        use: 'slice',
      }),
    );
    return value(part(s, 'f').gelatin).verdict === 'in-band' ? 'in' : value(part(s, 'f').gelatin).verdict;
  },
  g3: () => answerTo({ text: 'Cream\n1 envelope unflavored gelatin\n2 cups heavy cream\n\nWhip the cream.' }).lines[0]!.grams!,
  g4: () => {
    const dose = value(gelatinDose({ gelatin225G: 21, totalG: 1000, use: 'turn-out', acidGPerKg: 0, abvPct: 18, rawProteaseFruit: false }));
    return dose.verdict === 'in-band' || dose.verdict === 'over' ? 'sets' : dose.verdict;
  },
  e1: () =>
    value(
      eggVerdict(
        'white',
        [
          [0, 45],
          [22 * 60, 45],
        ],
        false,
      ),
    ).reaches
      ? 'yes'
      : 'no',
  e2: () =>
    value(
      eggVerdict(
        'sweet-yolk',
        [
          [0, 63.3],
          [3.5, 63.3],
        ],
        false,
      ),
    ).reaches
      ? 'yes'
      : 'no',
  c1: () => {
    const c = custard();
    return value(
      depthThatMeets(
        { name: 'Custard', mixture: c.mixture, freezingG: c.freezingG, startC: 83 },
        { panMm: 200, placeH: 7, placeC: 4, placeName: 'fridge', placeUaWPerK: 7, roomC: 20 },
        COOLING_RULES[0]!,
      ),
    );
  },
  c2: () => {
    const c = custard();
    const run = value(
      stirredCurve(
        {
          heat: heatContent(c.mixture, c.freezingG),
          massG: 1000,
          startC: 83,
          areaM2: Math.PI * 0.1 ** 2 + 2 * Math.PI * 0.1 * 0.03,
          outerH: 300,
          wallM2KPerW: 0.001 / 16,
          bathC: 0,
        },
        21,
      ),
    );
    return run.at(-1)![0];
  },
  c3: () =>
    core(
      of(
        partsSheet([['cream', 'whipped-cream', 'Cream', ['1200 g cream 36 %', '80 g icing sugar', '5 leaves gelatin']]], {
          vessel: vessel('Springform 24 cm'),
          portions: 12,
        }),
      ),
      { startC: 18, placeId: 'tall-fridge' },
      6,
    ),
  c4: () =>
    core(
      of(
        partsSheet([['cream', 'whipped-cream', 'Cream', ['500 g cream 36 %', '130 g caster sugar', '60 g yolks']]], {
          family: 'semifreddo',
          vessel: vessel('Terrine 1.2 L'),
          portions: 10,
        }),
      ),
      { startC: 8, placeId: 'chest' },
      -15,
    ),
  b1: () => soften('vanilla-wafer', 5),
  b2: () => value(softeningOf({ ...ingredient('graham-rectangle').biscuit!, heightMm: 4 }, 4, 0, { pieceG: null })).softH,
  b3: () => soften('ladyfinger'),
  b4: () => {
    const i = ingredient('meringue-shell');
    return softeningOf(i.biscuit!, i.composition.water, 0, { pieceG: i.piece!.grams, sugarPct: i.composition.sucrose }).ok ? 'an hour' : 'no figure';
  },
  b5: () => value(soakOf({ biscuit: ingredient('ladyfinger').biscuit!, biscuitsG: 100, seconds: 2, sugarPct: 0, soakC: 10, test: null })).uptakePct,
  t1: () =>
    value(layBiscuits({ kind: 'rect', lengthMm: 325, widthMm: 265, cornerMm: 30 }, { shape: 'round', widthMm: 54, lengthMm: 54 }, 'tight', false)).whole,
  d1: () => capacityMl({ kind: 'dome', name: 'Dome', topMm: 160, baseMm: 0, heightMm: 70 } as never),
  k1: () => value(part(of(partsSheet([['b', 'buttercream', 'Buttercream', ['360 g egg whites', '300 g caster sugar', '680 g butter']]])), 'b').foamMl) / 1000,
  m1: () => {
    const read = answerTo({
      text: 'Shell with cream\n4 egg whites\n200 g caster sugar\n300 g cream 36 %\n\nWhisk the whites with the sugar until stiff. Spread on a tray and bake at 110 C for 90 minutes. Leave in the oven until cold, 2 hours. Whip the cream and spoon it on the shell.',
    });
    const when = (work: string, which: 'startMin' | 'endMin'): number =>
      read.plan
        .filter((p) => read.steps[p.step]!.work === work)
        .map((p) => p[which])
        .at(-1)!;
    return when('bake', 'endMin') <= when('wait', 'startMin') &&
      when('wait', 'endMin') <= read.plan.find((p) => /spoon it/i.test(read.steps[p.step]!.text))!.startMin
      ? 'order'
      : JSON.stringify(read.plan);
  },
  m2: () => {
    const s = answerTo({
      text: 'Coconut sheet\n3 egg whites\n150 g caster sugar\n120 g desiccated coconut\n\nWhisk the whites with the sugar until stiff. Fold in the coconut. Spread on a lined tray and bake at 160 C for 25 minutes.',
    });
    return s.steps.find((x) => x.work === 'bake')!.minutes![0];
  },
  x1: () => {
    const s = of(
      partsSheet(
        [
          ['c', 'whipped-cream', 'Cream', ['500 g cream 36 %']],
          ['k', 'soak', 'Soak', ['228 g espresso']],
        ],
        { portions: 6 },
      ),
    );
    return s.parts.reduce((mg, a) => mg + a.reading.caffeineMg, 0) / 6;
  },
  x2: () => (declarations(of(sheetOf(['600 g cream 36 %', '5 mL vanilla extract'], {}, { portions: 6 }))).some((d) => d.startsWith('Alcohol')) ? 'yes' : 'no'),
  n1: () => value(part(of(sheetOf(['240 mL cream 36 %'], { stage: 'firm' })), 'cream').foamMl),
  n2: () =>
    value(
      of(
        partsSheet([
          ['k', 'chocolate-base', 'Chocolate', ['170 g dark chocolate', '60 g butter', '4 yolks']],
          ['w', 'egg-foam', 'Whites', ['4 egg whites', '30 g caster sugar']],
          ['c', 'whipped-cream', 'Cream', ['120 mL cream 36 %']],
          ['f', 'set-filling', 'Mousse', ['all of the Chocolate', 'all of the Whites', 'all of the Cream']],
        ]),
      ).volumeMl,
    ),
};

/** Rows that ask for a word: which word it is. */
const WORDS: Readonly<Record<string, string>> = { w4: 'no time', g2: 'in', g4: 'sets', e1: 'no', e2: 'yes', b4: 'no figure', m1: 'order', x2: 'no' };

describe('what practice, tables and physics give', () => {
  it.each(ANCHORS.map((a) => [a.id, a.condition, a] as const))('%s: %s', (id, _, row) => {
    const measure = MEASURES[id];
    expect(measure, `no measure for ${id}`).toBeDefined();
    const is = measure!();
    const word = WORDS[id];
    if (word !== undefined) return expect(is).toBe(word);
    const low = Number(row.low);
    const high = row.high === '' ? Infinity : Number(row.high);
    expect(Number.isFinite(low)).toBe(true);
    expect(is).toBeGreaterThanOrEqual(low);
    expect(is).toBeLessThanOrEqual(high);
  });
  it('the table is whole', () => {
    expect(ANCHORS).toHaveLength(47);
    expect(new Set(ANCHORS.map((a) => a.id)).size).toBe(ANCHORS.length);
    expect(CONTEXT.larder.size).toBeGreaterThan(200);
  });
});
