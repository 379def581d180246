import { abvPct, volumeMl } from '../composition/density';
import { per100 } from '../composition/mixture';
import { ok, type Result } from '../result';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { optionOf, questionNamed } from '../schools/questions';
import { biscuitOfPart } from '../analysis/build';
import { softenedAfter, softeningOf, type Softening } from './softening';
import { filledAfterRest, readingOf, secondsFor, soakOf, type Soak, type SoakInput, type SoakReading } from './soak';
import { SOAK_BANDS } from './house';
import type { Ingredient } from '../composition/ingredient';

export type DipWay = 'dry' | 'dipped' | 'brushed';

/** What the soak and the rest do to the biscuits of a part. */
export interface PartSoak {
  readonly partId: string;
  readonly name: string;
  readonly ingredient: Ingredient;
  readonly pieces: number;
  readonly biscuitsG: number;
  readonly way: DipWay;
  /** What the soak figures rest on; null where nothing soaks. */
  readonly input: SoakInput | null;
  readonly soak: Result<Soak> | null;
  /** The dip for the middle of the right band, s. */
  readonly rightS: Result<number> | null;
  readonly softening: Result<Softening>;
  /** At the hour it is served: how far softened, 0–1, how full with what cream gave, and how that reads. */
  readonly served: { readonly softened: number; readonly filled: number; readonly reading: SoakReading; readonly mush: boolean } | null;
}

/** The soak of a sheet: its first part of that kind with anything in it. */
export const soakPart = (s: SheetAnalysis): PartAnalysis | null => s.parts.find((a) => a.part.kind === 'soak' && a.reading.mixture.massG > 0) ?? null;

const SUGARS = ['sucrose', 'glucose', 'fructose', 'lactose', 'higher_saccharides'] as const;

/** g of sugars in 100 g. */
export function sugarPctOf(a: PartAnalysis): number {
  const c = per100(a.reading.mixture);
  return c ? SUGARS.reduce((sum, k) => sum + c[k], 0) : 0;
}

/** What each part laid in biscuits drinks, and when it is soft. */
export function soaksOf(s: SheetAnalysis): readonly PartSoak[] {
  const liquid = soakPart(s);
  const { dipS, soakC, dipTests } = s.sheet.tin;
  return s.parts.flatMap((a): PartSoak[] => {
    const found = a.part.kind === 'biscuit-layer' ? biscuitOfPart(s, a.part.id) : null;
    const biscuit = found?.ingredient.biscuit;
    if (!found || !biscuit) return [];
    const way = optionOf(questionNamed('dip')!, a.part.ways.dip).id as DipWay;
    const common = { biscuit, biscuitsG: found.massG, sugarPct: liquid ? sugarPctOf(liquid) : 0, soakC, test: dipTests[found.ingredient.id] ?? null };
    const wet = liquid !== null && way !== 'dry';
    const input: SoakInput | null = wet ? { ...common, seconds: dipS } : null;
    const soak = input ? (way === 'brushed' ? brushed(input, liquid!.reading.mixture.massG) : soakOf(input)) : null;
    const filled = soak?.ok ? soak.value.filled : 0;
    const water = found.ingredient.composition.water;
    const softening = softeningOf(biscuit, water, filled, { pieceG: found.ingredient.piece?.grams ?? null, sugarPct: found.ingredient.composition.sucrose });
    const hours = s.sheet.servedAfterH;
    const softened = softening.ok ? softenedAfter(softening.value, hours) : 0;
    const after = filledAfterRest(filled, softened);
    return [
      {
        partId: a.part.id,
        name: a.part.name,
        ingredient: found.ingredient,
        pieces: found.pieces,
        biscuitsG: found.massG,
        way,
        input,
        soak,
        rightS: wet && way === 'dipped' ? secondsFor((SOAK_BANDS.dry + SOAK_BANDS.right) / 2, common) : null,
        softening,
        served: softening.ok ? { softened, filled: after, reading: readingOf(after), mush: hours > softening.value.mushH } : null,
      },
    ];
  });
}

/** Brushed: all the soak that there is goes on, but for what stays in the dish. */
function brushed(input: SoakInput, soakG: number): Result<Soak> {
  const drunkG = soakG / 1.1;
  const pct = input.biscuitsG > 0 ? (100 * drunkG) / input.biscuitsG : 0;
  const filled = pct / input.biscuit.uptakePct[2];
  return ok({ uptakePct: pct, filled, reading: readingOf(filled), syrupG: soakG, drunkG });
}

/** What of the soak is in a portion. */
export interface SoakServed {
  readonly syrupNeededG: number;
  readonly syrupThereG: number;
  readonly drunkPerPortionG: number;
  readonly drunkPerPortionMl: number;
  readonly ethanolPerPortionG: number;
  readonly abvPct: number;
  /** Coffee, tea or the like with caffeine, g a portion. */
  readonly caffeinatedPerPortionG: number;
}

/** Syrup for all biscuits, and what each portion gets of it. Null where nothing soaks. */
export function soakServed(s: SheetAnalysis, soaks: readonly PartSoak[] = soaksOf(s)): SoakServed | null {
  const liquid = soakPart(s);
  if (!liquid || !soaks.some((x) => x.soak)) return null;
  const drunkG = soaks.reduce((sum, x) => sum + (x.soak?.ok ? x.soak.value.drunkG : 0), 0);
  const m = liquid.reading.mixture;
  const share = m.massG > 0 ? drunkG / m.massG : 0;
  const caffeinatedG = liquid.reading.lines.reduce((sum, l) => sum + (l.ingredient?.flags.includes('caffeine') ? (l.read?.massG ?? 0) : 0), 0);
  const n = s.sheet.portions;
  return {
    syrupNeededG: soaks.reduce((sum, x) => sum + (x.soak?.ok ? x.soak.value.syrupG : 0), 0),
    syrupThereG: m.massG,
    drunkPerPortionG: drunkG / n,
    drunkPerPortionMl: (volumeMl(m, 10) * share) / n,
    ethanolPerPortionG: (m.grams.ethanol * share) / n,
    abvPct: abvPct(m),
    caffeinatedPerPortionG: (caffeinatedG * share) / n,
  };
}
