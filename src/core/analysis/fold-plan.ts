import { foldAccount, type Fold, type FoamVolume } from '../foam/fold';
import { foldStrokes } from '../foam/fold-strokes';
import type { NamedFold, PartAnalysis, SheetAnalysis } from './analysed';
import { meetingsOf, type Meeting } from './warmth';

/** One fold as it is to be done. */
export interface PlannedFold extends NamedFold {
  readonly partId: string;
  readonly massG: number;
  /** Given up first to loosen the base, g; 0 for none. */
  readonly firstG: number;
  /** Everything in the bowl after it, air counted, mL. */
  readonly bowlMl: number;
  /** Strokes that it should take (house ±30 %). */
  readonly strokes: number;
  /** Temperature at which it comes, °C; null where none is known. */
  readonly tC: number | null;
  /** To be used within, min; null where its method says nothing. */
  readonly useWithinMin: number | null;
}

export interface FoldPlan {
  readonly partId: string;
  readonly name: string;
  readonly folds: readonly PlannedFold[];
  readonly meeting: Meeting | null;
  /** Air kept of all that is brought, %, as written and in the order that keeps most. */
  readonly keptPct: number;
  readonly best: { readonly names: readonly string[]; readonly keptPct: number };
}

function permutations<T>(list: readonly T[]): readonly (readonly T[])[] {
  if (list.length <= 1) return [list];
  return list.flatMap((first, i) => permutations(list.filter((_, j) => j !== i)).map((rest) => [first, ...rest]));
}

/** So many foams are tried in every order; more are left as written. */
const MOST_TRIED = 6;

/** How the folds of every part with foams go: order, first portion, temperatures, strokes. */
export const foldPlansOf = (s: SheetAnalysis): readonly FoldPlan[] => s.parts.flatMap((a) => (a.folds.length > 0 ? [planOf(s, a, meetingsOf(s))] : []));

function planOf(s: SheetAnalysis, a: PartAnalysis, meetings: readonly Meeting[]): FoldPlan {
  const meeting = meetings.find((m) => m.kind === 'fold' && m.partId === a.part.id) ?? null;
  const folds = a.folds.map((f): PlannedFold => {
    const line = a.reading.lines.find((l) => l.line.id === f.lineId);
    const source = s.parts.find((p) => p.part.id === f.fromPartId) ?? null;
    const massG = source && line?.read ? source.reading.mixture.massG * line.read.quantity : 0;
    const bowlMl = f.mixMl + f.airMl;
    const strokes = foldStrokes(bowlMl);
    const waits = s.sheet.steps.filter((step) => step.partId === source?.part.id && step.useWithinMin !== null).map((step) => step.useWithinMin!);
    return {
      ...f,
      partId: source?.part.id ?? '',
      massG,
      firstG: massG * f.firstShare,
      bowlMl,
      strokes: strokes.ok ? strokes.value : 0,
      tC: meeting?.guests.find((g) => g.name === f.name)?.tC ?? null,
      useWithinMin: waits.length > 0 ? Math.min(...waits) : null,
    };
  });
  const brought = a.folds.reduce((sum, f) => sum + f.broughtMl, 0);
  const base: FoamVolume = { mixMl: a.foldBaseMl, airMl: 0 };
  const stiff = a.foldedStiff;
  const firstShare = a.folds[0]!.firstShare;
  const bring = a.folds.map((f, i) => ({ name: f.name, mixMl: foldMixMl(a, i), airMl: f.broughtMl, fragile: f.fragile }));
  const kept = (order: readonly (typeof bring)[number][]): number => {
    const account = foldAccount(
      base,
      order.map((f, i): Fold => ({ mixMl: f.mixMl, airMl: f.airMl, firstShare: i === 0 ? firstShare : 0, whiskedIn: false, fragile: f.fragile })),
      stiff,
    );
    return brought > 0 ? (100 * (account.at(-1)?.airMl ?? 0)) / brought : 100;
  };
  const orders = bring.length <= MOST_TRIED ? permutations(bring) : [bring];
  const best = orders.reduce((most: readonly (typeof bring)[number][], order) => (kept(order) > kept(most) + 1e-9 ? order : most), bring);
  return { partId: a.part.id, name: a.part.name, folds, meeting, keptPct: kept(bring), best: { names: best.map((f) => f.name), keptPct: kept(best) } };
}

/** Unaerated volume that a fold brought. */
const foldMixMl = (a: PartAnalysis, i: number): number => (i === 0 ? a.folds[0]!.mixMl - a.foldBaseMl : a.folds[i]!.mixMl - a.folds[i - 1]!.mixMl);
