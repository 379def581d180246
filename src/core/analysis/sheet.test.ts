import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN, sheetOf } from '../../testing/sample';
import { switchWay } from '../ways/switch';
import { sheetTells } from '../tells/sheet-tells';
import { tellText, worstFirst, type Tell } from '../tells/tell';
import { analyseSheet } from './analyse';
import { BatchPlanSchema } from '../batch/batch';
import { dueMoments, type DueBatch } from '../batch/due';
import { batchPlan } from '../batch/make-batch';
import { shownSteps } from '../batch/method';
import { compareOutcome, readReading } from '../batch/readings';
import type { Sheet } from '../document/schema';

const plainText = (s: string): string => s.replaceAll('\u00a0', ' ').replaceAll('\u2060', '');
const partOf = (s: Sheet) => analyseSheet(s, KITCHEN).parts[0]!;
const tellsOf = (s: Sheet): Map<string, Tell> => new Map(sheetTells(analyseSheet(s, KITCHEN), KITCHEN).map((t) => [t.key, t]));
const words = (s: Sheet, key: string): string => plainText(tellText(tellsOf(s).get(key)!));

const chantilly = sheetOf(['600 g cream 36 %', '60 g icing sugar', '1 tsp vanilla extract']);
const piping = sheetOf(
  ['500 g cream 36 %', '150 g mascarpone', '60 g icing sugar', '2 1/2 leaves gelatin'],
  { stage: 'firm', sugarAt: 'soft-peak' },
  { use: 'pipe' },
);

describe('what is in the bowl', () => {
  it('leaves the added sugar out of the fat: 600 g at 36 % is 36 % with or without sugar', () => {
    expect(partOf(sheetOf(['600 g cream 36 %'])).fatPct).toBeCloseTo(36, 9);
    expect(partOf(sheetOf(['600 g cream 36 %', '60 g caster sugar'])).fatPct).toBeCloseTo(36, 1);
  });
  it('counts mascarpone, and thins with milk', () => {
    expect(partOf(sheetOf(['300 g cream 36 %', '300 g mascarpone'])).fatPct).toBeCloseTo(39, 6);
    expect(partOf(sheetOf(['500 g double cream 48 %', '100 g milk'])).fatPct).toBeCloseTo((240 + 3.6) / 6, 6);
  });
  it('counts the water that soaked leaf keeps, five times its weight', () => {
    const { reading } = partOf(piping);
    expect(reading.soakWaterG).toBeCloseTo(25, 9);
    expect(reading.mixture.massG).toBeCloseTo(740, 9);
    expect(reading.gelatin225G).toBeCloseTo(5 * Math.sqrt(200 / 225), 9);
  });
  it('does not take oil for whipping fat', () => {
    expect(partOf(sheetOf(['500 g cream 36 %', '100 g sesame paste'])).fatPct!).toBeLessThan(31);
    // Its 2 % of sugar is added sugar, and left out.
    expect(partOf(sheetOf(['500 g plant whipping cream'])).fatPct).toBeCloseTo(31 / 0.98, 6);
  });
});

describe('tells', () => {
  it('of a plain chantilly are all in their bands', () => {
    const tells = tellsOf(chantilly);
    for (const key of ['fat', 'air', 'sweetness', 'hold', 'counter', 'gelatin']) expect(tells.get(key)?.state, key).toBe('in');
    expect(words(chantilly, 'fat')).toContain('Fat in the bowl');
  });
  it('say when it will not whip, and how much cream brings it there', () => {
    const lean = sheetOf(['600 g cream 20 %']);
    const fat = tellsOf(lean).get('fat')!;
    expect(fat.state).toBe('out');
    expect(words(lean, 'fat')).toContain('will not whip');
    expect(fat.action?.edit).toEqual({ kind: 'add-line', partId: 'cream', text: '800 g double cream 48 %' });
    expect(words(lean, 'air')).toBe('Air: no figure. Fat 20.0 % is under the 25 % that foams.');
  });
  it('say when a stage never comes', () => {
    expect(words(sheetOf(['600 g cream 28 %'], { stage: 'firm' }), 'lean')).toContain('firm may not come');
    expect(words(sheetOf(['600 g cream 27 %'], { stage: 'firm' }), 'lean')).toContain('will not stand');
    expect(words(sheetOf(['600 g cream 36 %'], { stage: 'firm', creamC: 14 }), 'air')).toContain('At 14.0 °C the cream churns before it stands firm');
    expect(words(sheetOf(['600 g cream 36 %'], { creamC: 23 }), 'air')).toContain('it works from -2 to 20 °C');
  });
  it('let double cream down with milk', () => {
    expect(
      tellsOf(sheetOf(['500 g double cream 48 %']))
        .get('fat')
        ?.action?.label.replaceAll('\u00a0', ' '),
    ).toBe('Add 185 g milk');
  });
  it('ask for sugar in the line that is there, landing in the band', () => {
    const sweet = sheetOf(['600 g cream 36 %', '150 g icing sugar']);
    const action = tellsOf(sweet).get('sweetness')!.action!;
    expect(action.edit).toMatchObject({ kind: 'set-amount', lineId: 'l2' });
    const grams = action.edit.kind === 'set-amount' ? action.edit.amount : '';
    expect(partOf(sheetOf(['600 g cream 36 %', `${grams} icing sugar`])).sweetness).toBeCloseTo(10, 1);
  });
  it('size the gelatin for its use, in half leaves, and land in the band', () => {
    const bare = sheetOf(['600 g cream 36 %'], {}, { use: 'slice' });
    const action = tellsOf(bare).get('gelatin')!.action!;
    const text = action.edit.kind === 'add-line' ? action.edit.text : '';
    expect(text).toBe('3 leaves gelatin');
    expect(tellsOf(sheetOf(['600 g cream 36 %', text], {}, { use: 'slice' })).get('gelatin')?.state).toBe('in');
  });
  it('stop hard at raw protease fruit', () => {
    const kiwi = sheetOf(['500 g cream 36 %', '100 g kiwi', '3 leaves gelatin'], {}, { use: 'slice' });
    expect(tellsOf(kiwi).get('gelatin')).toMatchObject({ state: 'out', action: null });
    expect(words(kiwi, 'gelatin')).toContain('85 °C');
  });
  it('warn of a full bowl and split it', () => {
    const full = sheetOf(['3 kg cream 36 %']);
    const bowl = tellsOf(full).get('bowl')!;
    expect(bowl.state).toBe('out');
    expect(bowl.action?.edit).toEqual({ kind: 'set-batches', partId: 'cream', batches: 3 });
  });
  it('warn of granulated sugar that has no time to dissolve', () => {
    const quick = (sugar: string) => sheetOf(['600 g cream 40 %', sugar], { sugarAt: 'soft-peak', slowFromSoft: false });
    expect(tellsOf(quick('60 g granulated sugar')).has('sandy')).toBe(true);
    expect(tellsOf(quick('60 g caster sugar')).has('sandy')).toBe(false);
  });
  it('share a cream out over more glasses when it overflows', () => {
    const glass = { kind: 'glass' as const, name: 'Small glass', topMm: 62, baseMm: 48, heightMm: 70 };
    const over = sheetOf(['2 kg cream 36 %'], {}, { portions: 4, vessel: glass });
    const tell = tellsOf(over).get('portions')!;
    expect(tell.state).toBe('out');
    const portions = tell.action?.edit.kind === 'set-portions' ? tell.action.edit.portions : 0;
    expect(tellsOf(sheetOf(['2 kg cream 36 %'], {}, { portions, vessel: glass })).get('portions')?.state).toBe('in');
  });
  it('of an empty sheet are silent and say how to start', () => {
    const tells = tellsOf(sheetOf([]));
    expect([...tells.values()].every((t) => t.state === 'silent')).toBe(true);
    expect(words(sheetOf([]), 'fat')).toContain('add a line like 600 g cream');
  });
  it('never show a number without its working', () => {
    for (const s of [chantilly, piping]) {
      for (const t of sheetTells(analyseSheet(s, KITCHEN), KITCHEN)) {
        for (const stretch of t.sentence) {
          if (typeof stretch === 'string') continue;
          expect(stretch.figure.formula.length).toBeGreaterThan(3);
          expect(stretch.figure.inputs.length).toBeGreaterThan(0);
          expect(stretch.figure.source.length).toBeGreaterThan(5);
          expect(stretch.shown).not.toMatch(/NaN|Infinity|undefined/);
        }
      }
    }
  });
  it('come worst first', () => {
    const tell = (key: Tell['key'], state: Tell['state']): Tell => ({ key, state, sentence: [], track: null, action: null });
    expect(worstFirst([tell('air', 'in'), tell('fat', 'out'), tell('hold', 'near'), tell('ice', 'silent'), tell('egg', 'out')]).map((t) => t.key)).toEqual([
      'fat',
      'egg',
      'ice',
      'hold',
      'air',
    ]);
  });
  it('a lost mixer silences the whisk and nothing else', () => {
    const lost = sheetOf(['600 g cream 36 %'], { mixerId: 'sold' });
    expect(words(lost, 'air')).toContain('no longer in the kitchen');
    expect(tellsOf(lost).get('hold')?.state).toBe('in');
  });
});

describe('steps', () => {
  const stepsFor = (s: Sheet) => shownSteps(analyseSheet(s, KITCHEN));
  it('use every line once', () => {
    for (const s of [chantilly, piping, sheetOf(['400 g cream', '200 g cream cheese', '50 g caster sugar', '5 g gelatin powder'])]) {
      const used = stepsFor(s).flatMap((step) => step.lines.map((l) => l.lineId));
      expect(used.sort()).toEqual(s.parts[0]!.lines.map((l) => l.id).sort());
    }
  });
  it('put late sugar under the whisk, gelatin in its soak, cheese before both', () => {
    const late = switchWay(piping, 'cream', 'sugar-moment', 'soft-peak', { larder: KITCHEN.larder, measures: CONTEXT.measures, newId: () => 'x' });
    const steps = stepsFor(late);
    const at = (key: string) => steps.find((x) => x.key === `cream.${key}`)!;
    expect(at('loosen').lines.map((l) => l.name)).toEqual(['mascarpone']);
    expect(at('whisk').lines.map((l) => l.name)).toEqual(['icing sugar']);
    expect(at('soak').lines.map((l) => l.name)).toEqual(['gelatin']);
    expect(at('weigh').lines.map((l) => plainText(l.name))).toEqual(['cream 36 % fat']);
    expect(plainText(at('whisk').detail)).toContain('Sugar in at soft peak.');
    expect(steps.map((x) => x.title).join()).not.toMatch(/[{}]/);
  });
  it('make a plan that its schema takes; an empty sheet makes none', () => {
    const plan = batchPlan(piping, KITCHEN);
    expect(plan.ok && BatchPlanSchema.safeParse(JSON.parse(JSON.stringify(plan.value))).success).toBe(true);
    expect(batchPlan(sheetOf([]), KITCHEN).ok).toBe(false);
  });
});

describe('readings', () => {
  it.each([
    ['minutes-to-stage', '4:10', 4 + 1 / 6],
    ['minutes-to-stage', '4.5', 4.5],
    ['minutes-to-stage', '3 1/2 min', 3.5],
    ['cup-liquid', '120 g', 120],
    ['cup-foam', '61,5', 61.5],
    ['cream-temperature', '5', 5],
    ['hold-hours', '20 h', 20],
  ] as const)('%s %s', (kind, text, expected) => {
    const r = readReading(kind, text);
    expect(r.ok && r.value).toBeCloseTo(expected, 9);
  });
  it.each([
    ['cream-temperature', '30', 'out-of-range'],
    ['cup-liquid', '-4', 'out-of-range'],
    ['cup-liquid', 'heavy', 'unreadable'],
    ['minutes-to-stage', '4:75', 'unreadable'],
    ['cup-foam', '', 'empty'],
    ['cup-foam', '1/0', 'divides-by-nothing'],
  ] as const)('%s ‘%s’ is refused', (kind, text, code) => {
    const r = readReading(kind, text);
    expect(r.ok ? null : r.fault.code).toBe(code);
  });
  it('two cup weights become the air and the yield; a heavier foam becomes a sentence', () => {
    const plan = batchPlan(chantilly, KITCHEN);
    if (!plan.ok) throw new Error(plan.fault.says);
    const { forecast } = plan.value;
    const good = compareOutcome(forecast, { 'cup-liquid': 120, 'cup-foam': 60, 'minutes-to-stage': 5 });
    expect(good.map((c) => c.outcome)).toEqual([300, 100, forecast.mixMl * 2, null]);
    const bad = compareOutcome(forecast, { 'cup-liquid': 60, 'cup-foam': 120 });
    expect(bad[1]).toMatchObject({ outcome: null });
    expect(bad[1]!.fault).toContain('tared');
  });
});

describe('due moments', () => {
  const base: DueBatch = { id: 'b', name: 'Cream', status: 'finished', endedAt: 0, holdShownH: 10, keepingH: 72, timers: [] };
  const hour = 3_600_000;
  it('are the holds that end and the windows that open, soonest first, the past left out', () => {
    const running: DueBatch = { ...base, id: 'r', status: 'running', endedAt: null, timers: [{ at: hour + 300_000, says: 'stop window opens' }] };
    const due = dueMoments([base, running, { ...base, holdShownH: 0.5 }], hour);
    expect(due.map((d) => d.at)).toEqual([hour + 300_000, 10 * hour]);
    expect(due[0]!.href).toBe('/pass/r');
  });
  it('timers of a batch that is over, and an abandoned batch, ask for nothing', () => {
    expect(
      dueMoments(
        [
          { ...base, status: 'abandoned' },
          { ...base, status: 'abandoned', timers: [{ at: 50, says: 'rest' }] },
        ],
        1,
      ),
    ).toEqual([]);
  });
});
