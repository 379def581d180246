import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONTEXT, ingredient, KITCHEN, sheetOf } from '../../testing/sample';
import { WAY_QUESTIONS } from '../schools/questions';
import { settleMethod } from '../ways/settle';
import { switchWay } from '../ways/switch';
import { analyseSheet } from '../analysis/analyse';
import { compareSheets, isSame } from '../rewrite/compare';
import {
  addLine,
  addPart,
  addStep,
  moveLine,
  movePart,
  moveStep,
  newLine,
  removeLine,
  removePart,
  removeStep,
  setFamily,
  setLineAmount,
  setLineIngredient,
  setLineStep,
  setLineText,
  setPart,
  setStep,
} from './edits';
import { roundSheet } from '../rewrite/round';
import { scaleTo } from '../rewrite/scale';
import { FAMILIES, PART_KINDS } from '../document/kinds';
import { readSheetDoc, SheetSchema, type Sheet } from '../document/schema';
import { startingPart } from './starting';

/** One random edit of a sheet; `n` picks which line, part or step it is done to. */
type Edit = (s: Sheet, n: number, text: string) => Sheet;

let made = 0;
const fresh = (): string => `f${made++}`;
const pick = <T>(list: readonly T[], n: number): T => list[n % list.length]!;
const linesOf = (s: Sheet) => s.parts.flatMap((p) => p.lines.map((l) => ({ partId: p.id, line: l })));
const onLine =
  (edit: (s: Sheet, partId: string, lineId: string, n: number, text: string) => Sheet): Edit =>
  (s, n, text) => {
    const all = linesOf(s);
    if (all.length === 0) return s;
    const { partId, line } = pick(all, n);
    return edit(s, partId, line.id, n, text);
  };

const EDITS: Readonly<Record<string, Edit>> = {
  type: onLine((s, p, l, _n, text) => setLineText(s, p, l, text, CONTEXT)),
  amount: onLine((s, p, l) => setLineAmount(s, p, l, '75 g', CONTEXT)),
  settle: onLine((s, p, l) => setLineIngredient(s, p, l, ingredient('mascarpone'), CONTEXT)),
  add: (s, n, text) => addLine(s, pick(s.parts, n).id, newLine(fresh(), text, CONTEXT, { parts: s.parts, partId: pick(s.parts, n).id }), CONTEXT),
  remove: onLine((s, p, l) => removeLine(s, p, l, CONTEXT)),
  move: onLine((s, p, l, n) => moveLine(s, p, l, n % 7)),
  bind: onLine((s, p, l, n) => setLineStep(s, p, l, s.steps.length > 0 && n % 3 ? pick(s.steps, n).id : null)),
  'add part': (s, n) => (s.parts.length < 6 ? addPart(s, { ...startingPart(fresh(), pick(PART_KINDS, n), 'planetary'), name: `Part ${n}` }, CONTEXT) : s),
  'remove part': (s, n) => removePart(s, pick(s.parts, n).id, CONTEXT),
  'move part': (s, n) => movePart(s, pick(s.parts, n).id, n % 4, CONTEXT),
  'name part': (s, n) => setPart(s, pick(s.parts, n).id, { name: `Named ${n}` }, CONTEXT),
  whisk: (s, n) => setPart(s, pick(s.parts, n).id, { whisk: { ...pick(s.parts, n).whisk, sugarAt: n % 2 ? 'start' : 'soft-peak' } }, CONTEXT),
  family: (s, n) => setFamily(s, pick(FAMILIES, n), CONTEXT),
  'add step': (s, n) => addStep(s, fresh(), `Do thing ${n}`, n % 2 ? pick(s.parts, n).id : null, s.steps[n % Math.max(1, s.steps.length)]?.id ?? null),
  'edit step': (s, n) => (s.steps.length > 0 ? setStep(s, pick(s.steps, n).id, n % 2 ? { title: `My words ${n}` } : { note: `Note ${n}` }) : s),
  'remove step': (s, n) => (s.steps.length > 0 ? removeStep(s, pick(s.steps, n).id) : s),
  'move step': (s, n) => (s.steps.length > 0 ? moveStep(s, pick(s.steps, n).id, n % 9) : s),
  way: (s, n) => {
    const q = pick(WAY_QUESTIONS, n);
    const part = s.parts.find((p) => q.kinds.includes(p.kind));
    return switchWay(s, q.families.length > 0 ? null : (part?.id ?? null), q.key, pick(q.options, n).id, {
      larder: KITCHEN.larder,
      measures: CONTEXT.measures,
      newId: fresh,
    });
  },
  scale: (s, n) => {
    const r = scaleTo(s, { kind: 'factor', factor: 0.5 + (n % 5) / 3 }, KITCHEN);
    return r.ok ? r.value.sheet : s;
  },
  round: (s) => roundSheet(s, KITCHEN).sheet,
};

const texts = fc.constantFrom(
  '300 g cream 36 %',
  '2 leaves gelatin',
  '4 yolks',
  '60 g icing sugar',
  'half of the named 3',
  'all the part 2',
  'less 5 % left in the bowl',
  'salt to taste',
  '2–3 tbsp rum',
  '',
  'quux',
  '1/0 g cream',
  '200 g mascarpone',
);
const sequences = fc.array(fc.tuple(fc.constantFrom(...Object.keys(EDITS)), fc.nat(40), texts), { minLength: 1, maxLength: 25 });
const START = sheetOf(['500 g cream 36 %', '50 g icing sugar', '2 leaves gelatin']);
const play = (edits: readonly (readonly [string, number, string])[], each: (s: Sheet) => void = () => undefined): Sheet =>
  edits.reduce((s, [name, n, text]) => {
    const next = EDITS[name]!(s, n, text);
    each(next);
    return next;
  }, START);

describe('any sequence of edits', () => {
  it('leaves a document that its schema takes, ids that are one of a kind, and figures that are numbers', () => {
    fc.assert(
      fc.property(sequences, (edits) => {
        play(edits, (s) => {
          const read = SheetSchema.safeParse(s);
          if (!read.success) throw new Error(JSON.stringify(read.error.issues[0]));
          const ids = [...s.parts.map((p) => p.id), ...s.steps.map((x) => x.id), ...linesOf(s).map((l) => l.line.id)];
          expect(new Set(ids).size).toBe(ids.length);
          const a = analyseSheet(s, KITCHEN);
          for (const v of [a.mixture.massG, a.sweetness, a.abvPct, ...a.parts.map((p) => p.leftShare)]) expect(Number.isFinite(v)).toBe(true);
        });
      }),
      { numRuns: 120 },
    );
  }, 60_000);
  it('survives being written and read, and compares as the same', () => {
    fc.assert(
      fc.property(sequences, (edits) => {
        const s = play(edits);
        const back = readSheetDoc(JSON.parse(JSON.stringify(s)));
        if (!back.ok) throw new Error(back.fault.says);
        expect(isSame(compareSheets(s, back.value))).toBe(true);
      }),
      { numRuns: 80 },
    );
  }, 60_000);
  it('never loses the words of a line that was not itself edited', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('add part', 'move part', 'family', 'add step', 'edit step', 'remove step', 'move step', 'whisk', 'bind', 'move'),
            fc.nat(40),
            texts,
          ),
          { maxLength: 20 },
        ),
        (edits) => {
          expect(
            linesOf(play(edits))
              .map((l) => l.line.text)
              .sort(),
          ).toEqual(
            linesOf(START)
              .map((l) => l.line.text)
              .sort(),
          );
        },
      ),
      { numRuns: 120 },
    );
  }, 60_000);
  it('settles: doing it again changes nothing', () => {
    fc.assert(
      fc.property(sequences, (edits) => {
        const once = settleMethod(play(edits), KITCHEN.larder);
        expect(settleMethod(once, KITCHEN.larder)).toEqual(once);
      }),
      { numRuns: 80 },
    );
  }, 60_000);
  it('keeps what the cook wrote into steps, unless the step itself was taken out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('type', 'add', 'remove', 'family', 'whisk', 'way', 'move', 'scale'), fc.nat(40), texts), { maxLength: 20 }),
        (edits) => {
          const written = setStep(setStep(START, 'cream.weigh', { title: 'In my own words' }), 'cream.soak', { note: 'Mind the strings' });
          const after = edits.reduce((s, [name, n, text]) => EDITS[name]!(s, n, text), written);
          expect(after.steps.some((x) => x.title === 'In my own words')).toBe(true);
          expect(after.steps.some((x) => x.note === 'Mind the strings')).toBe(true);
        },
      ),
      { numRuns: 120 },
    );
  }, 60_000);
});
