import { z } from 'zod';
import type { SheetAnalysis } from '../analysis/analysed';
import { isWhippedKind } from '../document/kinds';
import type { Sheet } from '../document/schema';
import type { Kitchen } from '../kitchen/kitchen';
import { leverRange, pulled } from '../rewrite/sweep';
import type { Point } from './liking';

const id = z.string().min(1).max(60);
const name = z.string().min(1).max(120);
const bound = z.number().min(0).max(100_000);

/** What is varied, and between which bounds: grams of a line, the stage that a part is whisked to, hours to serving. */
export const AxisSchema = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('line'), lineId: id, name, low: bound, high: bound }),
    z.object({ kind: z.literal('stage'), partId: id, name, low: z.number().int().min(0).max(2), high: z.number().int().min(0).max(2) }),
    z.object({ kind: z.literal('rest'), name, low: bound.max(2400), high: bound.max(2400) }),
  ])
  .refine((a) => a.high > a.low, 'The upper bound must be more than the lower one.');
export type TrialAxis = Readonly<z.infer<typeof AxisSchema>>;

const STAGES = ['soft', 'medium', 'firm'] as const;

/** What an axis is at a share of its range: whole stages, half hours, grams that a scale shows. */
export function valueAt(axis: TrialAxis, x: number): number {
  const v = axis.low + (axis.high - axis.low) * Math.min(1, Math.max(0, x));
  if (axis.kind === 'stage') return Math.round(v);
  if (axis.kind === 'rest') return Math.round(2 * v) / 2;
  return v >= 100 ? Math.round(v) : Math.round(10 * v) / 10;
}

/** The share of its range at which an axis has this value. */
export const shareOf = (axis: TrialAxis, value: number): number => Math.min(1, Math.max(0, (value - axis.low) / (axis.high - axis.low)));

/** A point as it is made: what cannot be weighed or whisked so finely is rounded to what can. */
export const madePoint = (axes: readonly TrialAxis[], point: Point): Point => axes.map((a, d) => shareOf(a, valueAt(a, point[d]!)));

/** In words: '62 g', 'medium', '6 h'. */
export function valueSays(axis: TrialAxis, value: number): string {
  if (axis.kind === 'stage') return STAGES[value] ?? 'medium';
  return axis.kind === 'rest' ? `${value}\u00a0h` : `${value}\u00a0g`;
}

/** The sheet at a point of a series. */
export function sheetAt(sheet: Sheet, kitchen: Kitchen, axes: readonly TrialAxis[], point: Point): Sheet {
  return axes.reduce((doc, axis, d) => {
    const value = valueAt(axis, point[d]!);
    switch (axis.kind) {
      case 'line':
        return pulled(doc, kitchen, { kind: 'line', lineId: axis.lineId }, value).sheet;
      case 'rest':
        return { ...doc, servedAfterH: value };
      case 'stage':
        return { ...doc, parts: doc.parts.map((p) => (p.id === axis.partId ? { ...p, whisk: { ...p.whisk, stage: STAGES[value]! } } : p)) };
    }
  }, sheet);
}

/** How far an axis goes to begin with, shares of what stands in the sheet (house): what changes a taste, and is still that dessert. */
const REACH = { sugar: 0.35, gelatin: 0.4, drink: 0.6, sour: 0.5, other: 0.3 } as const;

/** What can be varied on a sheet, each with bounds to begin with and where it stands now; sugar, gelatin and spirit first. */
export function axesOffered(s: SheetAnalysis, kitchen: Kitchen): readonly { readonly axis: TrialAxis; readonly now: number }[] {
  const lines = s.parts.flatMap((part) =>
    part.reading.lines.flatMap((l) => {
      const range = leverRange(s, kitchen, { kind: 'line', lineId: l.line.id });
      if (!range || !l.ingredient || l.read?.unweighed) return [];
      const role = l.role === 'sugar' || l.role === 'gelatin' || l.role === 'drink' || l.role === 'sour' ? l.role : 'other';
      const axis: TrialAxis = {
        kind: 'line',
        lineId: l.line.id,
        name: s.parts.length > 1 ? `${l.name} in ${part.part.name}` : l.name,
        low: Number((range.now * (1 - REACH[role])).toPrecision(2)),
        high: Number((range.now * (1 + REACH[role])).toPrecision(2)),
      };
      return axis.high > axis.low ? [{ axis, now: range.now, rank: ['sugar', 'gelatin', 'drink', 'sour', 'other'].indexOf(role) }] : [];
    }),
  );
  const stages = s.parts
    .filter((a) => isWhippedKind(a.part.kind))
    .map((a) => ({
      axis: { kind: 'stage' as const, partId: a.part.id, name: `how far ${a.part.name} is whisked`, low: 0, high: 2 },
      now: STAGES.indexOf(a.part.whisk.stage),
      rank: 2.5,
    }));
  const rest = s.sheet.servedAfterH;
  const waits = {
    axis: { kind: 'rest' as const, name: 'rest until it is tasted', low: Math.max(1, Math.round(rest / 2)), high: Math.max(4, Math.round(2 * rest)) },
    now: rest,
    rank: 2.6,
  };
  return [...lines, ...stages, waits].toSorted((a, b) => a.rank - b.rank).map(({ axis, now }) => ({ axis, now }));
}
