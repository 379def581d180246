import { plainNumber, showGrams, showHours, showVolumeMl, showVolumeRange, withUnit } from '../figure';
import { analyseSheet } from '../analysis/analyse';
import { airRange, holdRange } from '../analysis/learnt';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Line, Sheet } from '../document/schema';
import { shoppingOf } from '../shopping/shopping';
import { sheetTells } from '../tells/sheet-tells';
import { tellText, type Tell, type TellState } from '../tells/tell';
import type { Bowl } from './case';
import type { Added, Rescue } from './rescue';

/** One figure before and after. */
export interface Moved {
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly moved: boolean;
}

export interface After {
  readonly sheet: Sheet;
  readonly analysis: SheetAnalysis;
  readonly figures: readonly Moved[];
  /** What is worse than before, in the words of its judgement, with what that offers. */
  readonly worse: readonly Tell[];
}

/** A line of the larder as it would be typed. */
export const lineOf = (a: Added, id: string, stepId: string | null): Line => {
  const text = `${plainNumber(a.massG, 1)
    .replace(/[\u202f\u00a0]/g, '')
    .replace(/\.0$/, '')} g ${a.name}`;
  return { id, text, ingredientId: a.ingredientId, fromPartId: null, stepId, lastGood: { text, ingredientId: a.ingredientId, fromPartId: null } };
};

/** The sheet with what a rescue puts into a part, and what else of it changes. */
export function mendedSheet(sheet: Sheet, partId: string, rescue: Pick<Rescue, 'adds' | 'change'>, idBase = 'mend'): Sheet {
  const step = sheet.steps.find((s) => s.partId === partId)?.id ?? null;
  const taken = new Set(sheet.parts.flatMap((p) => p.lines.map((l) => l.id)));
  let n = 1;
  const fresh = (): string => {
    while (taken.has(`${idBase}-${n}`)) n++;
    taken.add(`${idBase}-${n}`);
    return `${idBase}-${n}`;
  };
  const added = {
    ...sheet,
    parts: sheet.parts.map((p) => (p.id === partId ? { ...p, lines: [...p.lines, ...rescue.adds.map((a) => lineOf(a, fresh(), step))] } : p)),
  };
  return rescue.change ? rescue.change(added) : added;
}

const RANK: Readonly<Record<TellState, number>> = { in: 0, near: 1, silent: 2, out: 3 };

const partIn = (s: SheetAnalysis, id: string): PartAnalysis => s.parts.find((a) => a.part.id === id) ?? s.parts[0]!;

/** What the dessert is after a rescue: every figure of it, worked out anew from what is then in it. */
export function afterRescue(b: Bowl, rescue: Rescue): After | null {
  if (rescue.kind === 'discard') return null;
  const sheet = mendedSheet(b.s.sheet, b.a.part.id, rescue);
  const analysis = analyseSheet(sheet, b.kitchen);
  const now = partIn(analysis, b.a.part.id);
  const rows: Moved[] = [];
  const row = (name: string, before: string | null, after: string | null): void => {
    if (before !== null && after !== null) rows.push({ name, before, after, moved: before !== after });
  };
  row('In the bowl', showGrams(b.a.reading.mixture.massG), showGrams(now.reading.mixture.massG));
  const fat = (a: PartAnalysis): string | null => (a.fatPct === null || a.reading.dairyG <= 0 ? null : withUnit(plainNumber(a.fatPct, 1), '%'));
  row('Fat in the bowl', fat(b.a), fat(now));
  row('Sweetness', plainNumber(b.s.sweetness, 1), plainNumber(analysis.sweetness, 1));
  const foam = foamRange(b.a, now, rescue);
  const percent = ([low, high]: readonly [number, number], mixMl: number): string =>
    withUnit(`${plainNumber(100 * (low / mixMl - 1), 0)}–${plainNumber(100 * (high / mixMl - 1), 0)}`, '%');
  if (foam) {
    row('Air', percent(foam.before, b.a.mixMl), percent(foam.after, foam.mixMl));
    row('Volume', showVolumeRange(...foam.before), showVolumeRange(...foam.after));
  } else if (b.s.volumeMl.ok && analysis.volumeMl.ok) row('Volume', showVolumeMl(b.s.volumeMl.value), showVolumeMl(analysis.volumeMl.value));
  row('Portions', withUnit(plainNumber(b.s.sheet.portions, 0), ''), withUnit(plainNumber(sheet.portions, 0), ''));
  const clean = (s: SheetAnalysis, kept: number): string | null => {
    if (s.keeping.cleanH === null) return null;
    const [low, high] = holdRange(now, s.keeping.cleanH * kept);
    return hoursRange(Math.min(low, s.keeping.eatByH), Math.min(high, s.keeping.eatByH));
  };
  row('Clean for', clean(b.s, 1), clean(analysis, rescue.holdKept));
  row('Eat by', showHours(b.s.keeping.eatByH), showHours(analysis.keeping.eatByH));
  const cost = (s: SheetAnalysis, more: number): string | null => {
    const c = shoppingOf(s, b.kitchen).cost;
    return c === null ? null : plainNumber(c + more, 2);
  };
  row('Cost, in the larder’s money', cost(b.s, 0), cost(analysis, costOf(b, rescue.again)));
  const before = new Map(sheetTells(b.s, b.kitchen).map((t) => [t.key, t]));
  const worse = sheetTells(analysis, b.kitchen).filter((t) => RANK[t.state] > RANK[before.get(t.key)?.state ?? 'in']);
  return { sheet, analysis, figures: rows, worse };
}

/** The volume of a part with air before and after, mL: what it keeps of its own air, and what goes in with or without air of its own. */
function foamRange(
  before: PartAnalysis,
  now: PartAnalysis,
  rescue: Rescue,
): { readonly before: readonly [number, number]; readonly after: readonly [number, number]; readonly mixMl: number } | null {
  if (!before.overrunPct.ok || before.mixMl <= 0 || !(before.overrunPct.value > 0)) return null;
  const range = airRange(before, before.overrunPct.value);
  const addedMl = Math.max(0, now.mixMl - before.mixMl);
  const at = (kept: number, more: number): readonly [number, number] => [
    before.mixMl * (1 + (range[0] * kept) / 100) + more,
    before.mixMl * (1 + (range[1] * kept) / 100) + more,
  ];
  return { before: at(1, 0), after: at(rescue.airKept, rescue.bringsMl > 0 ? rescue.bringsMl : addedMl), mixMl: before.mixMl + addedMl };
}

/** '4.6–7.7 h': the unit once where both have it. */
function hoursRange(low: number, high: number): string {
  const [a, b] = [showHours(low), showHours(high)];
  if (a === b) return a;
  const unit = b.slice(b.indexOf('\u00a0'));
  return a.endsWith(unit) ? `${a.slice(0, -unit.length)}–${b}` : `${a}–${b}`;
}

/** What is weighed a second time, in the larder's money; 0 where a price is missing. */
function costOf(b: Bowl, again: readonly Added[]): number {
  return again.reduce((sum, a) => {
    const i = b.kitchen.larder.get(a.ingredientId);
    return sum + ((i?.pricePerKg ?? 0) * a.massG) / 1000;
  }, 0);
}

/** The sentences of what got worse. */
export const worseSays = (after: After): readonly string[] => after.worse.map(tellText);
