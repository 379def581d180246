import { airVolumeShare } from '../foam/overrun';
import type { SheetAnalysis } from './analyse';
import type { PartReading } from './read-part';
import type { PartKind } from './kinds';
import { fillHeightMm, isPerPortion } from '../vessel/profile';

/** A layer in one vessel as the cut draws it. */
export interface CutLayer {
  readonly partId: string;
  readonly kind: PartKind;
  /** What colours a folded filling: chocolate, fruit, or nothing. */
  readonly tint: 'cocoa' | 'fruit' | null;
  readonly name: string;
  /** Heights above the floor, mm. */
  readonly fromMm: number;
  readonly toMm: number;
  /** In this vessel. */
  readonly massG: number;
  readonly volumeMl: number;
  /** Air by volume, 0–1. */
  readonly airShare: number;
  /** Size of the biscuits in it, mm; null where they have none or are scattered. */
  readonly biscuit: { readonly widthMm: number; readonly heightMm: number } | null;
  /** Whether it is the only one. */
  readonly only: boolean;
}

/** From this share of cocoa butter on, % of the mass, a filling is brown. */
const BROWN_FROM_PCT = 3;

function tintOf(r: PartReading): CutLayer['tint'] {
  const { massG, grams } = r.mixture;
  if (massG > 0 && (100 * grams.cocoa_fat) / massG > BROWN_FROM_PCT) return 'cocoa';
  const fruitG = r.lines.reduce((sum, l) => sum + (l.role === 'fruit' || l.fromPart?.kind === 'fruit-base' ? (l.read?.massG ?? 0) : 0), 0);
  return fruitG > massG / 4 ? 'fruit' : null;
}

/**
 * The layers of a sheet in one vessel, from the floor up, each as thick as its volume makes it there (physics). What does not fit is
 * drawn to the brim.
 */
export function cutLayers(s: SheetAnalysis): readonly CutLayer[] {
  const { vessel, portions } = s.sheet;
  const per = isPerPortion(vessel) ? portions : 1;
  const layers: CutLayer[] = [];
  let belowMl = 0;
  let fromMm = 0;
  for (const l of s.layers) {
    belowMl += l.volumeMl / per;
    const height = fillHeightMm(vessel, belowMl);
    const toMm = height.ok ? height.value : vessel.heightMm;
    const reading = s.parts.find((a) => a.part.id === l.part.id)?.reading;
    const first = reading?.lines.find((r) => r.ingredient?.biscuit)?.ingredient?.biscuit;
    if (toMm > fromMm) {
      layers.push({
        partId: l.part.id,
        kind: l.part.kind,
        tint: l.part.kind === 'set-filling' && reading ? tintOf(reading) : null,
        name: l.part.name,
        fromMm,
        toMm,
        massG: l.massG / per,
        volumeMl: l.volumeMl / per,
        airShare: airVolumeShare(l.overrunPct),
        biscuit: l.part.kind === 'biscuit-layer' && first && first.shape !== 'loose' ? { widthMm: first.widthMm, heightMm: first.heightMm } : null,
        only: s.layers.length === 1,
      });
    }
    fromMm = toMm;
  }
  return layers;
}
