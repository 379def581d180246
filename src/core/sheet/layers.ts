import { airVolumeShare } from '../foam/overrun';
import { densityGPerMl } from '../composition/density';
import { readSyllabub } from '../foam/syllabub';
import { mainPart, type SheetAnalysis } from './analyse';
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

/** The layers, a syllabub's clear drink apart under its curd as it will have sunk by the serving hour. */
function parted(s: SheetAnalysis): readonly (SheetAnalysis['layers'][number] & { readonly drink: boolean })[] {
  const whole = s.layers.map((l) => ({ ...l, drink: false }));
  if (s.sheet.family !== 'syllabub') return whole;
  const a = mainPart(s);
  const { mixture } = a.reading;
  const read = readSyllabub({ milkFatG: mixture.grams.milk_fat, massG: mixture.massG, hours: s.sheet.servedAfterH });
  const at = whole.findIndex((l) => l.part.id === a.part.id);
  const curd = whole[at];
  if (!read.ok || !curd || read.value.drinkG <= 0) return whole;
  const massG = read.value.drinkG * a.leftShare;
  const volumeMl = massG / (densityGPerMl(mixture, a.part.whisk.creamC) ?? 1);
  const drink = { ...curd, massG, volumeMl, overrunPct: 0, drink: true };
  const rest = { ...curd, massG: curd.massG - massG, volumeMl: curd.volumeMl - volumeMl, overrunPct: curd.overrunPct };
  return [...whole.slice(0, at), drink, rest, ...whole.slice(at + 1)];
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
  for (const l of parted(s)) {
    belowMl += l.volumeMl / per;
    const height = fillHeightMm(vessel, belowMl);
    const toMm = height.ok ? height.value : vessel.heightMm;
    const reading = l.drink ? undefined : s.parts.find((a) => a.part.id === l.part.id)?.reading;
    const first = reading?.lines.find((r) => r.ingredient?.biscuit)?.ingredient?.biscuit;
    if (toMm > fromMm) {
      layers.push({
        partId: l.drink ? `${l.part.id}:drink` : l.part.id,
        kind: l.drink ? 'soak' : l.part.kind,
        tint: l.part.kind === 'set-filling' && reading ? tintOf(reading) : null,
        name: l.drink ? 'Clear drink' : l.part.name,
        fromMm,
        toMm,
        massG: l.massG / per,
        volumeMl: l.volumeMl / per,
        airShare: airVolumeShare(l.overrunPct),
        biscuit: l.part.kind === 'biscuit-layer' && first && first.shape !== 'loose' ? { widthMm: first.widthMm, heightMm: first.heightMm } : null,
        only: s.layers.length === 1 && !l.drink,
      });
    }
    fromMm = toMm;
  }
  return layers;
}
