import { inSentence, plainNumber, withUnit } from '../figure';
import { splitLine } from '../measures/line';
import { isPerPortion } from '../vessel/profile';
import { sheetStepKey } from './bowlfuls';
import { waitWords, type ShownStep, type StepLine } from './method';
import { mainPart } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import type { KitchenRules } from '../kitchen/schema';
import { stirredAt, stirredCheese } from '../analysis/stirred-cheese';

/** Something to be started or made ready before the first step. */
export interface Before {
  readonly key: string;
  readonly title: string;
  readonly detail: string;
}

/** What is weighed ahead for one step; an ingredient that goes into several steps is told apart in each. */
export interface MiseGroup {
  readonly stepKey: string;
  readonly title: string;
  readonly lines: readonly StepLine[];
}

/** What a line says of something that must be soft before it is used. */
const SOFT = /,?\s*\(?(?:softened|very soft|at room temp(?:erature)?|room temp(?:erature)?)\)?/i;
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Which use of several: 'first' and 'later' of two, else counted. */
const turnWord = (turn: number, of: number): string =>
  of === 2 ? ['first', 'later'][turn]! : (['first', 'second', 'third', 'fourth', 'fifth'][turn] ?? `use ${turn + 1}`);

/** The amounts of every step apart, in working order: what comes from another part is not weighed ahead. Bowlfuls of one step are one use. */
export function miseGroups(steps: readonly ShownStep[]): readonly MiseGroup[] {
  const uses = new Map<string, string[]>();
  for (const s of steps) {
    for (const { ingredientId } of s.lines) {
      const known = uses.get(ingredientId) ?? [];
      if (ingredientId && !known.includes(sheetStepKey(s.key))) uses.set(ingredientId, [...known, sheetStepKey(s.key)]);
    }
  }
  return steps.flatMap((s): MiseGroup[] => {
    const lines = s.lines
      .filter((l) => l.ingredientId !== '')
      .map((l) => {
        const turns = uses.get(l.ingredientId)!;
        return turns.length === 1 ? l : { ...l, name: `${l.name}, ${turnWord(turns.indexOf(sheetStepKey(s.key)), turns.length)}` };
      });
    return lines.length > 0 ? [{ stepKey: s.key, title: s.partName ? `${s.partName}: ${inSentence(s.title)}` : s.title, lines }] : [];
  });
}

/** How warm the cheese of a step is to be, and how long ahead it comes out of the fridge. */
function cheeseDetail(s: ShownStep, analysis: SheetAnalysis, named: string): string {
  const { reading } = analysis.parts.find((a) => a.part.id === s.partId) ?? mainPart(analysis);
  const { least, most } = stirredCheese(reading).outMin;
  return `To ${stirredAt(reading)}${named}: ${waitWords([least / 60, most / 60])} ahead, then it stirs smooth.`;
}

/** So many kelvin beside its dial, an oven is as good as right (house). */
const OVEN_RIGHT_K = 3;

/** 'Its dial at 148 °C: it runs 12 °C hot', for each oven whose air was read against its dial. */
const dials = (ovenC: number, ovens: KitchenRules['ovens']): readonly string[] =>
  ovens.flatMap(({ name, offK }) =>
    offK === undefined || Math.abs(offK) < OVEN_RIGHT_K
      ? []
      : [
          `${ovens.length > 1 ? `${name}: its` : 'Its'} dial at ${withUnit(plainNumber(ovenC - offK, 0), '°C')}, as it runs ${Math.round(Math.abs(offK))}\u00a0K too ${offK > 0 ? 'hot' : 'cool'}.`,
        ],
  );

/** What takes its time before the first step, or is forgotten: softening, chilling, lining, the oven, the empty tin on the scale. */
export function beforeStarting(steps: readonly ShownStep[], analysis: SheetAnalysis, ovens: KitchenRules['ovens']): readonly Before[] {
  const { sheet } = analysis;
  const list: Before[] = [];
  const named = (s: ShownStep): string => (s.partName ? ` for ${s.partName.toLowerCase()}` : '');
  for (const s of steps) {
    if (s.wayKey === 'chill' && s.waitMin)
      list.push({
        key: `before:${s.key}`,
        title: 'Bowl and whisk into the cold',
        detail: `${waitWords([s.waitMin[0] / 60, s.waitMin[1] / 60])} ahead${named(s)}.`,
      });
    if (s.wayKey === 'loosen') list.push({ key: `before:${s.key}`, title: 'Cheese out of the fridge', detail: cheeseDetail(s, analysis, named(s)) });
    if (s.wayKey === 'buttercream') list.push({ key: `before:${s.key}`, title: 'Butter out of the fridge', detail: 'In pieces, to 20\u00a0°C.' });
    if (s.wayKey === 'soak' && s.waitMin)
      list.push({
        key: `before:${s.key}`,
        title: 'Cold water for the gelatin',
        detail: `It soaks ${waitWords([s.waitMin[0] / 60, s.waitMin[1] / 60])}${named(s)}.`,
      });
    if (s.wayKey === 'line') list.push({ key: `before:${s.key}`, title: 'Line the mould', detail: 'Film with long ends; into the freezer.' });
    if (s.ovenC !== null)
      list.push({
        key: `before:${s.key}`,
        title: `Oven to ${withUnit(plainNumber(s.ovenC, 0), '°C')}`,
        detail: [`It takes 15–20\u00a0min${named(s)}.`, ...dials(s.ovenC, ovens)].join(' '),
      });
  }
  // The ways say it for their own steps; in the cook's own method it stands with the line.
  for (const p of sheet.method === 'own' ? sheet.parts : []) {
    for (const l of p.lines) {
      if (SOFT.test(l.text))
        list.push({
          key: `before:soft:${l.id}`,
          title: `${capital(
            splitLine(l.text)
              .name.replace(SOFT, '')
              .replace(/[\s,;]+$/, '')
              .trim(),
          )} out of the fridge`,
          detail: `An hour ahead, in pieces, to 18–20\u00a0°C for ${p.name.toLowerCase()}.`,
        });
    }
  }
  if (!isPerPortion(sheet.vessel))
    list.push({ key: 'before:tin', title: `Weigh the empty ${sheet.vessel.name.toLowerCase()}`, detail: 'Then what is in it can be weighed at any time.' });
  return list;
}
