import { airVolumeShare } from '../foam/overrun';
import { densityGPerMl } from '../composition/density';
import { syllabubOf } from '../analysis/syllabub';
import { mainPart } from '../analysis/analyse';
import type { Layer, SheetAnalysis } from '../analysis/analysed';
import type { PartReading } from '../lines/read-part';
import type { PartKind } from '../document/kinds';
import { buildIn, laidBiscuit } from '../analysis/build';
import { soaksOf } from './sheet-soak';
import type { Vessel } from '../vessel/schema';

/** A layer in one vessel as the cut draws it. */
export interface CutLayer {
  readonly id: string;
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
  /** How full its biscuits are when it is served, share of what they hold; null where they are dry or there are none. */
  readonly soaked: number | null;
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
function parted(s: SheetAnalysis): readonly Layer[] {
  if (s.sheet.family !== 'syllabub') return s.layers;
  const a = mainPart(s);
  const { mixture } = a.reading;
  const read = syllabubOf(s);
  const at = s.layers.findIndex((l) => l.part.id === a.part.id);
  const curd = s.layers[at];
  if (!read.ok || !curd || read.value.drinkG <= 0) return s.layers;
  const massG = read.value.drinkG * a.leftShare;
  const volumeMl = massG / (densityGPerMl(mixture, a.part.whisk.creamC) ?? 1);
  const drink: Layer = { part: { ...curd.part, id: `${curd.part.id}:drink`, kind: 'soak', name: 'Clear drink' }, massG, volumeMl, overrunPct: 0 };
  return [...s.layers.slice(0, at), drink, { ...curd, massG: curd.massG - massG, volumeMl: curd.volumeMl - volumeMl }, ...s.layers.slice(at + 1)];
}

/**
 * The layers of a sheet in one vessel as they are planned, from the floor up, each as thick as its volume makes it there (physics). What does
 * not fit is drawn to the brim.
 *
 * @param vessel which of those that the batch fills; the sheet's own by default.
 */
export function cutLayers(s: SheetAnalysis, vessel: Vessel = s.sheet.vessel): readonly CutLayer[] {
  const build = buildIn(s, vessel, s.sheet.tin.layers ? s.layers : parted(s));
  if (!build.ok) return [];
  const soaked = s.layers.some((l) => l.part.kind === 'biscuit-layer') ? soaksOf(s) : [];
  return build.value.layers
    .filter((b) => b.toMm > b.fromMm)
    .map((b): CutLayer => {
      const { part } = b.layer;
      const reading = s.parts.find((a) => a.part.id === part.id)?.reading;
      const first = reading?.lines.find((r) => laidBiscuit(r.ingredient))?.ingredient?.biscuit;
      return {
        id: b.id,
        partId: part.id,
        kind: part.kind,
        tint: part.kind === 'set-filling' && reading ? tintOf(reading) : null,
        name: part.name,
        fromMm: b.fromMm,
        toMm: b.toMm,
        massG: b.massG,
        volumeMl: b.volumeMl,
        airShare: airVolumeShare(b.layer.overrunPct),
        biscuit: part.kind === 'biscuit-layer' && first ? { widthMm: first.widthMm, heightMm: first.heightMm } : null,
        soaked: soaked.find((x) => x.partId === part.id)?.served?.filled ?? null,
        only: build.value.layers.length === 1,
      };
    });
}
