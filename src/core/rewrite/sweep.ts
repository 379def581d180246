import { SWEETNESS_BANDS } from '../composition/sweetness';
import { syllabubOf } from '../analysis/syllabub';
import { secondsToStage } from '../foam/whisk';
import { iceVolumeShare } from '../heat/freezing';
import { ICE_VOLUME } from '../heat/house';
import { withAmount } from '../measures/line';
import { fail, ok, within, type Result } from '../result';
import { analyseSheet, mainPart } from '../analysis/analyse';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { freezerOf, frozenMixOf, sliceC } from '../analysis/frozen';
import { isWhippedKind, WISHED_HOLD_H } from '../document/kinds';
import type { Line, Sheet } from '../document/schema';
import { shoppingOf } from '../shopping/shopping';

/** What is moved: a line's grams, the fat on a carton, or a figure that the sheet or the kitchen has. */
export type Lever =
  | { readonly kind: 'line'; readonly lineId: string }
  | { readonly kind: 'carton-fat'; readonly lineId: string }
  | { readonly kind: 'cream-temperature' }
  | { readonly kind: 'served-after' }
  | { readonly kind: 'fridge' }
  | { readonly kind: 'room' };

/** A figure that can be watched while something is moved. */
export interface SweptFigure {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  /** Null where the model has no figure. */
  readonly of: (s: SheetAnalysis, kitchen: Kitchen) => number | null;
  /** What is right; null where nothing is. */
  readonly band: (s: SheetAnalysis) => readonly [low: number, high: number] | null;
}

const value = <T>(r: Result<T>): T | null => (r.ok ? r.value : null);
const setPart = (s: SheetAnalysis): PartAnalysis => s.parts.find((a) => a.reading.gelatin225G > 0 && a.leftShare > 0.5) ?? mainPart(s);
const partedOf = (s: SheetAnalysis) => (s.sheet.family === 'syllabub' ? value(syllabubOf(s)) : null);

export const SWEPT_FIGURES: readonly SweptFigure[] = [
  {
    key: 'sweetness',
    name: 'Sweetness',
    unit: '',
    decimals: 1,
    of: (s) => (s.mixture.massG > 0 ? s.sweetness : null),
    band: (s) => [SWEETNESS_BANDS[s.sheet.sweetness].low, SWEETNESS_BANDS[s.sheet.sweetness].high],
  },
  { key: 'fat', name: 'Fat in the bowl', unit: '%', decimals: 1, of: (s) => mainPart(s).fatPct, band: () => [33, 38] },
  { key: 'air', name: 'Air', unit: '%', decimals: 0, of: (s) => value(mainPart(s).overrunPct), band: () => null },
  {
    key: 'stage-time',
    name: 'Time to its stage',
    unit: 's',
    decimals: 0,
    of: (s) => {
      const a = mainPart(s);
      return a.whip.ok ? secondsToStage(a.whip.value, a.part.whisk.stage) : null;
    },
    band: () => null,
  },
  {
    key: 'hold',
    name: 'Hold in the fridge',
    unit: 'h',
    decimals: 0,
    of: (s) => value(mainPart(s).holdFridge)?.shownH ?? null,
    band: (s) => [WISHED_HOLD_H[s.sheet.use], 72],
  },
  { key: 'counter', name: 'Hold on the counter', unit: 'h', decimals: 1, of: (s) => value(mainPart(s).holdCounter)?.shownH ?? null, band: () => [0.5, 2] },
  {
    key: 'gelatin',
    name: 'Gelatin dose',
    unit: 'g/kg',
    decimals: 1,
    of: (s) => value(setPart(s).gelatin)?.doseGPerKg ?? null,
    band: (s) => {
      const dose = value(setPart(s).gelatin);
      return dose ? [dose.band.low, dose.band.high] : null;
    },
  },
  { key: 'abv', name: 'Alcohol', unit: '% vol', decimals: 1, of: (s) => (s.mixture.massG > 0 ? s.abvPct : null), band: () => null },
  {
    key: 'volume',
    name: 'Volume',
    unit: 'mL',
    decimals: 0,
    of: (s) => value(s.volumeMl),
    band: (s) => [0.45 * s.vesselHoldsMl * vessels(s), 0.93 * s.vesselHoldsMl * vessels(s)],
  },
  { key: 'cost', name: 'Cost', unit: '', decimals: 2, of: (s) => shoppingOf(s).cost, band: () => null },
  {
    key: 'drink',
    name: 'Clear drink',
    unit: '%',
    decimals: 0,
    of: (s) => {
      const x = partedOf(s);
      return x ? 100 * x.drinkShare : null;
    },
    band: (s) => (s.sheet.ways.syllabub === 'parted' ? [10, 20] : [0, 1]),
  },
  {
    key: 'ice',
    name: 'Ice by volume',
    unit: '',
    decimals: 2,
    of: (s, kitchen) => {
      const m = frozenMixOf(s);
      return m ? iceVolumeShare(m.mixture, m.solution, m.overrunPct, freezerOf(kitchen, s.sheet)) : null;
    },
    band: () => [0, ICE_VOLUME.clean],
  },
  {
    key: 'slice',
    name: 'Slice temperature',
    unit: '°C',
    decimals: 1,
    of: (s) => {
      const m = frozenMixOf(s);
      return m ? sliceC(m) : null;
    },
    band: () => null,
  },
];

const vessels = (s: SheetAnalysis): number => (s.perVesselMl.ok && s.volumeMl.ok && s.perVesselMl.value > 0 ? s.volumeMl.value / s.perVesselMl.value : 1);

/** The figures that have a value for a sheet as it stands. */
export const sweptFiguresOf = (s: SheetAnalysis, kitchen: Kitchen): readonly SweptFigure[] =>
  SWEPT_FIGURES.filter((f) => {
    if (f.key === 'ice' || f.key === 'slice') return s.sheet.family === 'semifreddo' && f.of(s, kitchen) !== null;
    if (f.key === 'abv') return s.abvPct > 0.05;
    if (f.key === 'gelatin') return s.parts.some((a) => a.reading.gelatin225G > 0);
    if (['fat', 'air', 'stage-time', 'hold', 'counter'].includes(f.key) && !isWhippedKind(mainPart(s).part.kind)) return false;
    return f.of(s, kitchen) !== null;
  });

/** One point of a sweep; y is null where there is no figure. */
export interface SweepPoint {
  readonly x: number;
  readonly y: number | null;
}

/** The sheet and the kitchen with a lever at a value. */
export function pulled(sheet: Sheet, kitchen: Kitchen, lever: Lever, x: number): { readonly sheet: Sheet; readonly kitchen: Kitchen } {
  switch (lever.kind) {
    case 'line':
      return { sheet: withLine(sheet, lever.lineId, (text) => withAmount(text, `${Number(x.toFixed(3))} g`)), kitchen };
    case 'carton-fat':
      return { sheet: withLine(sheet, lever.lineId, (text) => text.replace(/\d+(?:[.,]\d+)?\s*%/, `${Number(x.toFixed(2))} %`)), kitchen };
    case 'cream-temperature':
      return { sheet: { ...sheet, parts: sheet.parts.map((p) => (isWhippedKind(p.kind) ? { ...p, whisk: { ...p.whisk, creamC: x } } : p)) }, kitchen };
    case 'served-after':
      return { sheet: { ...sheet, servedAfterH: x }, kitchen };
    case 'fridge':
      return { sheet, kitchen: { ...kitchen, rules: { ...kitchen.rules, fridgeC: x } } };
    case 'room':
      return { sheet, kitchen: { ...kitchen, rules: { ...kitchen.rules, roomC: x } } };
  }
}

function withLine(sheet: Sheet, lineId: string, change: (text: string) => string): Sheet {
  const changed = (l: Line): Line => {
    const text = change(l.text);
    return { ...l, text, lastGood: l.lastGood && { ...l.lastGood, text } };
  };
  return {
    ...sheet,
    parts: sheet.parts.map((p) => (p.lines.some((l) => l.id === lineId) ? { ...p, lines: p.lines.map((l) => (l.id === lineId ? changed(l) : l)) } : p)),
  };
}

/** What a lever ranges over to begin with, and where it stands; null for a line that cannot be moved. */
export function leverRange(
  s: SheetAnalysis,
  kitchen: Kitchen,
  lever: Lever,
): { readonly now: number; readonly from: number; readonly to: number; readonly unit: string } | null {
  switch (lever.kind) {
    case 'line': {
      const g = s.parts.flatMap((a) => a.reading.lines).find((l) => l.line.id === lever.lineId)?.read?.massG;
      return g === undefined || g <= 0 ? null : { now: g, from: 0, to: 2 * g, unit: 'g' };
    }
    case 'carton-fat': {
      const read = s.parts.flatMap((a) => a.reading.lines).find((l) => l.line.id === lever.lineId)?.read;
      return read?.fatPct == null ? null : { now: read.fatPct, from: 20, to: 55, unit: '%' };
    }
    case 'cream-temperature':
      return { now: mainPart(s).part.whisk.creamC, from: 2, to: 18, unit: '°C' };
    case 'served-after':
      return { now: s.sheet.servedAfterH, from: 0, to: Math.max(24, 2 * s.sheet.servedAfterH), unit: 'h' };
    case 'fridge':
      return { now: kitchen.rules.fridgeC, from: 1, to: 9, unit: '°C' };
    case 'room':
      return { now: kitchen.rules.roomC, from: 10, to: 34, unit: '°C' };
  }
}

/**
 * How a figure answers while one thing moves (every point is the sheet analysed anew).
 * @param points 2 to 1000.
 * @returns a fault on `from` or `to` when they are not a range, on `figure` when there is none by that name.
 */
export function sweep(
  sheet: Sheet,
  kitchen: Kitchen,
  lever: Lever,
  from: number,
  to: number,
  points: number,
  figureKey: string,
): Result<readonly SweepPoint[]> {
  const fault =
    within('points', 'The number of points', points, 2, 1000, '') ??
    within('from', 'The lower end', from, -40, 1_000_000, '') ??
    within('to', 'The upper end', to, -40, 1_000_000, '');
  if (fault) return { ok: false, fault };
  if (!(to > from)) return fail('to', 'no-range', `From ${from} to ${to} is no range: the upper end must be more than the lower one.`);
  const figure = SWEPT_FIGURES.find((f) => f.key === figureKey);
  if (!figure) return fail('figure', 'no-figure', `There is no figure ‘${figureKey.slice(0, 40)}’ to watch.`);
  return ok(
    Array.from({ length: points }, (_, i) => {
      const x = from + ((to - from) * i) / (points - 1);
      const at = pulled(sheet, kitchen, lever, x);
      return { x, y: figure.of(analyseSheet(at.sheet, at.kitchen), at.kitchen) };
    }),
  );
}
