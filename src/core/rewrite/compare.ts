import { plainNumber, showHours, showVolumeMl, withUnit } from '../figure';
import { splitLine } from '../measures/line';
import { mainPart } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import { isWhippedKind } from '../document/kinds';
import { airRange } from '../analysis/learnt';
import type { Line, Sheet, Step } from '../document/schema';
import { shoppingOf } from '../shopping/shopping';

/** One figure of two sheets, shown alike. */
export interface FigurePair {
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly changed: boolean;
}

/** The figures that a change of formula moves, of each sheet: shares, sweetness, setter, volume, cost. */
function shownFigures(s: SheetAnalysis): ReadonlyMap<string, string> {
  const rows = new Map<string, string>();
  const one = (v: number, unit: string): string => withUnit(plainNumber(v, 1), unit);
  rows.set('Everything', withUnit(plainNumber(s.mixture.massG, 0), 'g'));
  rows.set('Portions', `${s.sheet.portions}`);
  rows.set('A portion', withUnit(plainNumber(s.mixture.massG / s.sheet.portions, 0), 'g'));
  if (s.volumeMl.ok) rows.set('Volume', showVolumeMl(s.volumeMl.value));
  for (const a of s.parts) {
    if (a.reading.mixture.massG <= 0) continue;
    const name = s.parts.length > 1 ? `${a.part.name}: ` : '';
    if (isWhippedKind(a.part.kind) && a.fatPct !== null) rows.set(`${name}fat in the bowl`, one(a.fatPct, '%'));
    if (isWhippedKind(a.part.kind) && a.overrunPct.ok)
      rows.set(
        `${name}air`,
        withUnit(
          airRange(a, a.overrunPct.value)
            .map((v) => plainNumber(v, 0))
            .join('–'),
          '%',
        ),
      );
    if (a.reading.gelatin225G > 0 && a.gelatin.ok) rows.set(`${name}gelatin`, one(a.gelatin.value.doseGPerKg, 'g/kg'));
    if (s.parts.length > 1) rows.set(`${name}sweetness`, plainNumber(a.sweetness, 1));
  }
  rows.set('Sweetness by the mouthful', plainNumber(s.sweetness, 1));
  if (s.abvPct > 0.05) rows.set('Alcohol', one(s.abvPct, '% vol'));
  const main = mainPart(s);
  if (main.holdFridge.ok && main.leftShare > 0.5 && isWhippedKind(main.part.kind)) rows.set('Holds in the fridge', showHours(main.holdFridge.value.shownH));
  const { cost } = shoppingOf(s);
  if (cost !== null) rows.set('Cost', plainNumber(cost, 2));
  return rows;
}

/** Two sheets' figures side by side; those that only one has stand with a dash. */
export function compareFigures(before: SheetAnalysis, after: SheetAnalysis): readonly FigurePair[] {
  const a = shownFigures(before);
  const b = shownFigures(after);
  const names = [...a.keys(), ...[...b.keys()].filter((k) => !a.has(k))];
  return names.map((name) => ({ name, before: a.get(name) ?? '–', after: b.get(name) ?? '–', changed: a.get(name) !== b.get(name) }));
}

/** One entry of a list that two sheets may differ in. */
export interface Difference {
  readonly kind: 'added' | 'removed' | 'changed' | 'same';
  readonly before: string;
  readonly after: string;
}

export interface SheetComparison {
  /** Name, portions, vessel, family, use, sweetness, ways. */
  readonly whole: readonly Difference[];
  readonly parts: readonly { readonly name: string; readonly lines: readonly Difference[] }[];
  readonly steps: readonly Difference[];
}

/** Pairs by key, in the order of the newer list, what was taken out where it stood. */
function paired<T>(before: readonly T[], after: readonly T[], sameThing: (a: T, b: T) => boolean, words: (x: T) => string): readonly Difference[] {
  const used = new Set<number>();
  const rows: { at: number; d: Difference }[] = after.map((b, at) => {
    const i = before.findIndex((a, k) => !used.has(k) && sameThing(a, b));
    if (i < 0) return { at, d: { kind: 'added', before: '', after: words(b) } };
    used.add(i);
    const was = words(before[i]!);
    const is = words(b);
    return { at, d: { kind: was === is ? 'same' : 'changed', before: was, after: is } };
  });
  before.forEach((a, i) => {
    if (!used.has(i)) rows.push({ at: i - 0.5, d: { kind: 'removed', before: words(a), after: '' } });
  });
  return rows.sort((x, y) => x.at - y.at).map((r) => r.d);
}

const sameLine = (a: Line, b: Line): boolean => a.id === b.id || (splitLine(a.text).name !== '' && splitLine(a.text).name === splitLine(b.text).name);
const stepWords = (s: Step): string => [[s.title, s.detail].filter(Boolean).join(': '), s.note].filter(Boolean).join(' ');

/** What differs between two states of a sheet: lines, steps, and what is said of the whole. */
export function compareSheets(before: Sheet, after: Sheet): SheetComparison {
  const said = (s: Sheet): readonly [string, string][] => [
    ['name', s.name],
    ['portions', `${s.portions} portions`],
    ['vessel', s.vessel.name],
    ['family', s.family],
    ['use', s.use],
    ['sweetness', s.sweetness],
    ...Object.entries(s.ways).map(([k, v]): [string, string] => [k, `${k}: ${v}`]),
    ['notes', s.notes],
  ];
  const a = new Map(said(before));
  const whole = said(after).flatMap(([key, value]): Difference[] =>
    a.get(key) === value ? [] : [{ kind: 'changed', before: a.get(key) ?? '', after: value }],
  );
  const names = [...after.parts, ...before.parts.filter((p) => !after.parts.some((q) => q.id === p.id))];
  const parts = names.map((p) => ({
    name: p.name,
    lines: paired(before.parts.find((q) => q.id === p.id)?.lines ?? [], after.parts.find((q) => q.id === p.id)?.lines ?? [], sameLine, (l) => l.text),
  }));
  return { whole, parts, steps: paired(before.steps, after.steps, (x, y) => x.id === y.id, stepWords) };
}

/** Whether two states differ in anything that a cook would see. */
export const isSame = (c: SheetComparison): boolean => c.whole.length === 0 && [...c.parts.flatMap((p) => p.lines), ...c.steps].every((d) => d.kind === 'same');
