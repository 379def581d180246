import { BALANCE_FIGURE_NAMES } from '../balance/figures';
import type { BalanceFigure } from '../balance/inputs';
import type { BalanceGoal, BalanceLine, BalanceProblem } from '../balance/inputs';
import { SWEETNESS_BANDS } from '../composition/sweetness';
import { showGramsPlain } from '../figure';
import { iceVolumeShare } from '../heat/freezing';
import { ICE_VOLUME } from '../heat/house';
import { scaleLineText, withAmount } from '../measures/line';
import { SOAK_WATER_PER_G } from '../setting/house';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { freezerOf, frozenMixOf, isFrozenIn } from '../analysis/frozen';
import { isWhippedKind } from '../document/kinds';
import type { LineReading } from '../lines/read-part';
import { shoppingOf } from '../shopping/shopping';

/** What of a sheet can be wished for, with what it is now and a band to start from. */
export interface GoalChoice {
  readonly key: string;
  readonly figure: BalanceFigure;
  /** Null for the whole sheet. */
  readonly partId: string | null;
  readonly lineId: string | null;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  readonly now: number | null;
  readonly low: number;
  readonly high: number;
}

/** A wish that the cook has made. */
export interface SheetGoal {
  readonly choice: GoalChoice;
  readonly low: number;
  readonly high: number;
  readonly weight: number;
}

/** What the cook allows a line. */
export interface LineBounds {
  readonly locked: boolean;
  /** Null for the usual bound. */
  readonly minG: number | null;
  readonly maxG: number | null;
}

/** How far a line may go when the cook has not said: a dessert must stay recognisable. */
export const usualBounds = (nowG: number): { readonly minG: number; readonly maxG: number } => ({ minG: 0.3 * nowG, maxG: 3 * nowG });

const lineOf = (a: PartAnalysis): readonly LineReading[] =>
  a.reading.lines.filter((l) => l.kind === 'ingredient' && l.ingredient && l.read && l.read.massG > 0);

/** The lines of a sheet that can be moved, with the part of each. */
export const movableLines = (s: SheetAnalysis): readonly { readonly partId: string; readonly reading: LineReading }[] =>
  s.parts.flatMap((a) => lineOf(a).map((reading) => ({ partId: a.part.id, reading })));

/** Flavours, salt and acid are there by taste: they stay until the cook frees them. */
export const startsLocked = (l: LineReading): boolean =>
  l.role === 'flavour' || l.role === 'salt' || l.role === 'acid' || (l.role === 'sour' && (l.read?.massG ?? 0) < 5);

/** Everything that can be wished for of a sheet. */
export function goalChoices(s: SheetAnalysis, kitchen: Kitchen): readonly GoalChoice[] {
  const many = s.parts.length > 1;
  const choices: GoalChoice[] = [];
  const add = (figure: BalanceFigure, a: PartAnalysis | null, now: number | null, low: number, high: number, line: LineReading | null = null): void => {
    const f = BALANCE_FIGURE_NAMES[figure];
    const what = line ? `use up ${line.name}` : a && many ? `${f.name}, ${a.part.name}` : f.name;
    choices.push({
      key: [figure, a?.part.id, line?.line.id].filter(Boolean).join(':'),
      figure,
      partId: a?.part.id ?? null,
      lineId: line?.line.id ?? null,
      name: what,
      unit: f.unit,
      decimals: f.decimals,
      now,
      low,
      high,
    });
  };
  const band = SWEETNESS_BANDS[s.sheet.sweetness];
  add('sweetness', null, s.sweetness, band.low, band.high);
  for (const a of s.parts) {
    if (isWhippedKind(a.part.kind) && a.reading.dairyG > 0) add('fat', a, a.fatPct, 33, 38);
  }
  for (const a of s.parts) {
    if (a.reading.gelatin225G > 0 && a.gelatin.ok && a.reading.lines.some((l) => l.ingredient?.bloom))
      add('gelatin', a, a.gelatin.value.doseGPerKg, a.gelatin.value.band.low, a.gelatin.value.band.high);
  }
  const { massG, grams } = s.mixture;
  if (massG <= 0) return [];
  const solids = (100 * (massG - grams.water - grams.ethanol)) / massG;
  add('solids', null, solids, Math.round(solids) - 2, Math.round(solids) + 2);
  if (grams.ethanol > 0) add('abv', null, s.abvPct, Math.max(0, s.abvPct - 0.5), s.abvPct + 0.5);
  const main = s.parts.find((a) => isWhippedKind(a.part.kind) && a.foamMl.ok);
  if (main?.foamMl.ok) add('volume', main, main.foamMl.value, 0.95 * main.foamMl.value, 1.05 * main.foamMl.value);
  add('mass', null, massG, 0.98 * massG, 1.02 * massG);
  const { cost } = shoppingOf(s);
  if (cost !== null) add('cost', null, cost, 0.85 * cost, 0.95 * cost);
  const frozen = s.sheet.family === 'semifreddo' ? frozenMixOf(s) : null;
  if (frozen)
    add(
      'ice',
      null,
      iceVolumeShare(frozen.mixture, frozen.solution, frozen.overrunPct, freezerOf(kitchen, s.sheet)),
      ICE_VOLUME.clean - 0.05,
      ICE_VOLUME.clean,
    );
  for (const { partId, reading } of movableLines(s)) {
    const pack = reading.ingredient?.packG;
    const g = reading.read?.massG ?? 0;
    if (!pack || reading.ingredient?.category === 'flavour' || g < 0.15 * pack) continue;
    const packs = Math.max(1, Math.round(g / pack)) * pack;
    add(
      'use-up',
      s.parts.find((a) => a.part.id === partId)!,
      g,
      packs - 1,
      packs + 1,
      reading,
    );
  }
  return choices;
}

/**
 * The sheet as a problem for the solver: its lines, how much of each counts for every wish (by what parts give each other), what is lost.
 * Shares of other parts and losses in g stay as they are written.
 */
export function sheetProblem(
  s: SheetAnalysis,
  kitchen: Kitchen,
  goals: readonly SheetGoal[],
  bounds: ReadonlyMap<string, LineBounds>,
  keepWeight: boolean,
): BalanceProblem {
  const lines = movableLines(s);
  const reach = reachOf(s);
  const problemLines = lines.map(({ reading }): BalanceLine => {
    const i = reading.ingredient!;
    const nowG = reading.read!.massG;
    const b = bounds.get(reading.line.id);
    return {
      name: reading.name,
      nowG,
      per100: reading.read!.per100,
      ownSweetness: i.ownSweetness,
      ownFreezing: i.ownFreezing,
      bloom: i.bloom,
      soakPerG: reading.soakWaterG > 0 ? SOAK_WATER_PER_G : 0,
      plantCream: i.foamRole === 'cream' && reading.read!.per100.other_fat > 0,
      pricePerKg: i.pricePerKg === null ? null : i.pricePerKg / Math.max(0.01, i.ediblePct / 100),
      locked: b?.locked ?? startsLocked(reading),
      minG: b?.minG ?? usualBounds(nowG).minG,
      maxG: b?.maxG ?? usualBounds(nowG).maxG,
      stepG: stepOf(reading),
    };
  });
  const problemGoals = goals.map(({ choice, low, high, weight }): BalanceGoal => {
    const counts = (partId: string): number => countsFor(s, choice, reach, partId);
    const frozen = choice.figure === 'ice' ? frozenMixOf(s) : null;
    const part = s.parts.find((a) => a.part.id === choice.partId);
    return {
      figure: choice.figure,
      name: choice.name,
      low,
      high,
      weight,
      share: lines.map((l) => counts(l.partId)),
      fixed: s.parts.flatMap((a) =>
        a.reading.lines.flatMap((l) =>
          l.kind === 'loss' && l.read && counts(a.part.id) > 0 ? [{ massG: l.read.massG * counts(a.part.id), per100: { ...l.read.per100 } }] : [],
        ),
      ),
      airPct: choice.figure === 'volume' ? (part?.overrunPct.ok ? part.overrunPct.value : 0) : (frozen?.overrunPct ?? 0),
      freezerC: freezerOf(kitchen, s.sheet),
      ...(choice.figure === 'use-up' ? { line: lines.findIndex((l) => l.reading.line.id === choice.lineId) } : {}),
    };
  });
  return { lines: problemLines, goals: problemGoals, totalG: keepWeight ? problemLines.reduce((sum, l) => sum + l.nowG, 0) : null };
}

/** Whole eggs, half leaves, whole pieces; null for what is weighed. */
function stepOf(l: LineReading): number | null {
  const { read } = l;
  if (!read || read.quantity <= 0) return null;
  if (read.unit.key === 'leaf') return read.massG / read.quantity / 2;
  return read.unit.dimension === 'piece' ? read.massG / read.quantity : null;
}

/** Share of each part that ends up in each other one: reach.get(to).get(from). */
function reachOf(s: SheetAnalysis): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const done = new Map<string, Map<string, number>>();
  const open = new Set<string>();
  const into = (a: PartAnalysis): Map<string, number> => {
    const known = done.get(a.part.id);
    if (known) return known;
    const found = new Map<string, number>([[a.part.id, 1]]);
    if (open.has(a.part.id)) return found;
    open.add(a.part.id);
    for (const l of a.reading.lines) {
      const source = l.fromPart && l.read ? s.parts.find((p) => p.part.id === l.fromPart!.id) : undefined;
      if (!source || !l.read) continue;
      for (const [from, share] of into(source)) found.set(from, (found.get(from) ?? 0) + share * l.read.quantity);
    }
    open.delete(a.part.id);
    done.set(a.part.id, found);
    return found;
  };
  s.parts.forEach(into);
  return done;
}

/** How much of a line of a part counts for a wish, 0–1. */
function countsFor(s: SheetAnalysis, choice: GoalChoice, reach: ReadonlyMap<string, ReadonlyMap<string, number>>, partId: string): number {
  if (choice.figure === 'use-up' || choice.figure === 'cost') return 1;
  if (choice.partId !== null) return Math.min(1, reach.get(choice.partId)?.get(partId) ?? 0);
  const served = s.parts.filter((a) => choice.figure !== 'ice' || isFrozenIn(a.part.kind));
  return Math.min(
    1,
    served.reduce((sum, a) => sum + a.leftShare * (reach.get(a.part.id)?.get(partId) ?? 0), 0),
  );
}

/** One line that the answer moves. */
export interface LineChange {
  readonly partId: string;
  readonly lineId: string;
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly fromG: number;
  readonly toG: number;
}

/** The answer as changes of lines, in the order of the sheet; what the scale would not show is left out. */
export function changesOf(s: SheetAnalysis, amountsG: readonly number[], scaleStepG: number): readonly LineChange[] {
  return movableLines(s).flatMap(({ partId, reading }, i): LineChange[] => {
    const fromG = reading.read!.massG;
    const toG = amountsG[i] ?? fromG;
    const step = stepOf(reading);
    if (Math.abs(toG - fromG) < (step === null ? Math.max(0.05, fromG < 10 ? 0.05 : scaleStepG / 2) : step / 4)) return [];
    const pieces = step !== null && toG > 0;
    const after = pieces ? scaleLineText(reading.line.text, toG / fromG) : withAmount(reading.line.text, showGramsPlain(toG));
    return [{ partId, lineId: reading.line.id, name: reading.name, before: reading.line.text, after, fromG, toG }];
  });
}
