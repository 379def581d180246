import { describe, expect, it } from 'vitest';
import { KITCHEN, partsSheet } from '../../testing/sample';
import { writtenSheet } from '../../testing/written';
import { readCorpus } from '../../testing/reading-corpus';
import { analyseSheet } from '../analysis/analyse';
import { shownSteps } from '../batch/method';
import { SheetSchema, type Sheet } from '../document/schema';
import { ownWorkOf } from '../timetable/own-work';
import { addWayStep, besideWays, lackingWaySteps, takeWayStep } from './beside';
import { workOfStep } from './step-work';

const LARDER = KITCHEN.larder;
const TRIFLE = writtenSheet(`Custard trifle
Serves 8
500 ml milk
5 egg yolks
100 g caster sugar
200 g sponge fingers
400 ml double cream
Whisk the yolks with the sugar. Heat the milk, pour it on and cook the custard to 70 °C, stirring. Cool the custard for 20 minutes.
Whip the cream to soft peaks.
Layer the sponge fingers, the custard and the cream in a glass bowl. Chill for 1 hour.`);

const step = (sheet: Sheet, word: RegExp) => sheet.steps.find((s) => word.test(`${s.title} ${s.detail}`))!;

describe('a written method beside the kitchen’s way', () => {
  const beside = besideWays(TRIFLE, LARDER);
  const of = (id: string) => beside.find((b) => b.stepId === id)!;

  it('says where they differ: a heat that is not reached, a rest that is too short', () => {
    expect(of(step(TRIFLE, /70/).id).differs).toContainEqual({ kind: 'heat', written: 70, way: 82 });
    expect(of(step(TRIFLE, /1 hour/).id).differs).toContainEqual({ kind: 'short', written: 1, way: [8, 14] });
  });
  it('says nothing where they agree', () => {
    expect(of(step(TRIFLE, /Whip the cream/).id)).toMatchObject({ way: { key: 'whisk' }, differs: [] });
    const hot = writtenSheet(
      'Nests\nServes 6\n4 egg whites\n240 g caster sugar\nWhisk the whites with the sugar until stiff. Pipe into nests. Bake at 105 °C for 1 hour 30 minutes.',
    );
    expect(besideWays(hot, LARDER).flatMap((b) => b.differs)).toEqual([]);
    const hotter = writtenSheet(
      'Nests\nServes 6\n4 egg whites\n240 g caster sugar\nWhisk the whites with the sugar until stiff. Pipe into nests. Bake at 150 °C for 1 hour 30 minutes.',
    );
    expect(besideWays(hotter, LARDER).flatMap((b) => b.differs)).toEqual([{ kind: 'oven', written: 150, way: 100 }]);
  });
  it('one step is taken from the way: its words and times; its place, lines and what it waits for stay', () => {
    const chill = step(TRIFLE, /1 hour/);
    const after = takeWayStep(TRIFLE, chill.id, LARDER);
    const taken = after.steps.find((s) => s.id === chill.id)!;
    expect(taken).toMatchObject({ waitH: [8, 14], minutes: [480, 840], after: chill.after, key: null, work: 'chill' });
    expect(after.steps.map((s) => s.id)).toEqual(TRIFLE.steps.map((s) => s.id));
    expect(after.parts).toBe(TRIFLE.parts);
    expect(besideWays(after, LARDER).find((b) => b.stepId === chill.id)!.differs).toEqual([]);
    expect(SheetSchema.safeParse(after).success).toBe(true);
  });
  it('what the way has besides can be added one by one, and never what is there', () => {
    const lacking = lackingWaySteps(TRIFLE, LARDER);
    expect(lacking.map((l) => l.way.key)).toContain('chill');
    expect(lacking.map((l) => l.way.key)).not.toContain('whisk');
    const chill = lacking.find((l) => l.way.key === 'chill')!;
    const after = addWayStep(TRIFLE, chill.id, LARDER);
    expect(after.steps).toHaveLength(TRIFLE.steps.length + 1);
    const added = after.steps.find((s) => !TRIFLE.steps.some((x) => x.id === s.id))!;
    const whip = step(after, /Whip the cream/);
    expect(after.steps.indexOf(added)).toBeLessThan(after.steps.indexOf(whip));
    expect(whip.after).toContain(added.id);
    expect(lackingWaySteps(after, LARDER).map((l) => l.id)).not.toContain(chill.id);
    expect(addWayStep(after, chill.id, LARDER)).toBe(after);
  });
  it('of a sheet that goes by the ways there is nothing to say', () => {
    const sheet = partsSheet([['c', 'whipped-cream', 'Cream', ['500 g cream 36 %']]]);
    expect(besideWays(sheet, LARDER)).toEqual([]);
    expect(lackingWaySteps(sheet, LARDER)).toEqual([]);
    expect(takeWayStep(sheet, sheet.steps[0]!.id, LARDER)).toBe(sheet);
  });
});

describe('over the whole corpus', () => {
  it(
    'all that the way has can be added, everything can be taken; each is once there, its words are filled, and the plan has no ring',
    { timeout: 60_000 },
    () => {
      let took = 0;
      for (const recipe of readCorpus().filter((_, i) => i % 4 === 0)) {
        let sheet = writtenSheet(recipe.text);
        const before = sheet.steps.map((s) => s.id);
        for (const l of lackingWaySteps(sheet, LARDER)) sheet = addWayStep(sheet, l.id, LARDER);
        expect(lackingWaySteps(sheet, LARDER), recipe.name).toEqual([]);
        expect(
          sheet.steps.map((s) => s.id).filter((id) => before.includes(id)),
          recipe.name,
        ).toEqual(before);
        for (const b of besideWays(sheet, LARDER)) {
          sheet = takeWayStep(sheet, b.stepId, LARDER);
          took++;
        }
        expect(SheetSchema.safeParse(sheet).success, recipe.name).toBe(true);
        const analysis = analyseSheet(sheet, KITCHEN);
        expect(
          shownSteps(analysis).every((s) => !/\{\w+\}/.test(`${s.title}${s.detail}`)),
          recipe.name,
        ).toBe(true);
        const { gaps } = ownWorkOf(analysis, KITCHEN, 1, null);
        const order = new Map(sheet.steps.map((s, i) => [s.id, i]));
        for (const g of gaps)
          if (order.has(g.from) && order.has(g.to)) expect(order.get(g.from)!, `${recipe.name}: ${g.from} before ${g.to}`).toBeLessThan(order.get(g.to)!);
        for (const s of sheet.steps) expect(workOfStep(s)).toBe(s.work);
      }
      expect(took).toBeGreaterThan(30);
    },
  );
});
