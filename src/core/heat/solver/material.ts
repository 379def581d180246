import { classGrams, conductivity } from '../../composition/thermal';
import { densityGPerMl } from '../../composition/density';
import type { Mixture } from '../../composition/mixture';
import { freezingStartC, frozenShare, solutionOf, unfrozenWaterG } from '../freezing';
import { heatContent } from '../heat-content';

/** What a cell is made of, as the solver asks it: everything by table, read straight between points. */
export interface Material {
  readonly name: string;
  /** Kept as it was filled, kg/m³. */
  readonly rhoKgPerM3: number;
  /** Conductivity by temperature, W/mK, from FROM_C in steps of K_STEP. */
  readonly k: Float64Array;
  /** Heat content by temperature, J/g, from FROM_C in steps of H_STEP. */
  readonly h: Float64Array;
  /** Temperature by heat content, °C, from h[0] in steps of `hStep`. */
  readonly tOfH: Float64Array;
  readonly hStep: number;
  /** Ice of its water by temperature, 0–1, from FROM_C in steps of K_STEP. */
  readonly ice: Float64Array;
  /** Where freezing begins, °C, and the heat there, J/g: a bend between two points of the table, read as a point of its own. */
  readonly bend: { readonly tC: number; readonly jPerG: number } | null;
}

export const FROM_C = -40;
export const TO_C = 105;
export const K_STEP = 0.5;
export const H_STEP = 0.05;
const INVERSE_POINTS = 8192;

/** The tables of one mix with its air. @param overrunPct of the dense volume. @param filledC temperature at which its volume was taken, °C. */
export function materialOf(name: string, mixture: Mixture, sucroseEqG: number, overrunPct: number, filledC = 5): Material {
  const heat = heatContent(mixture, sucroseEqG);
  const solution = solutionOf(mixture, sucroseEqG);
  const waterG = classGrams(mixture).water;
  const nk = Math.round((TO_C - FROM_C) / K_STEP) + 1;
  const k = new Float64Array(nk);
  const ice = new Float64Array(nk);
  for (let i = 0; i < nk; i++) {
    const tC = FROM_C + i * K_STEP;
    k[i] = conductivity(mixture, tC, Math.max(0, waterG - unfrozenWaterG(solution, tC)), overrunPct);
    ice[i] = frozenShare(solution, tC);
  }
  const nh = Math.round((TO_C - FROM_C) / H_STEP) + 1;
  const h = new Float64Array(nh);
  for (let i = 0; i < nh; i++) h[i] = heat.at(FROM_C + i * H_STEP);
  const startC = freezingStartC(solution);
  const bend = startC !== null && startC > FROM_C ? { tC: startC, jPerG: heat.at(startC) } : null;
  return { name, rhoKgPerM3: (1000 * (densityGPerMl(mixture, filledC) ?? 1)) / (1 + overrunPct / 100), k, h, ...inverted(h, bend), ice, bend };
}

/** A material of constant properties, without freezing: for the checks against closed solutions. @param cJPerGK specific heat. */
export function constantMaterial(rhoKgPerM3: number, cJPerGK: number, kWPerMK: number): Material {
  const nk = Math.round((TO_C - FROM_C) / K_STEP) + 1;
  const nh = Math.round((TO_C - FROM_C) / H_STEP) + 1;
  const h = Float64Array.from({ length: nh }, (_, i) => cJPerGK * (FROM_C + i * H_STEP));
  return { name: 'constant', rhoKgPerM3, k: new Float64Array(nk).fill(kWPerMK), h, ...inverted(h, null), ice: new Float64Array(nk), bend: null };
}

function inverted(h: Float64Array, bend: Material['bend']): { tOfH: Float64Array; hStep: number } {
  const from = h[0]!;
  const to = h[h.length - 1]!;
  const hStep = (to - from) / (INVERSE_POINTS - 1);
  const tOfH = new Float64Array(INVERSE_POINTS);
  let i = 0;
  for (let n = 0; n < INVERSE_POINTS; n++) {
    const wanted = from + n * hStep;
    while (i + 2 < h.length && h[i + 1]! < wanted) i++;
    tOfH[n] = between(wanted, [h[i]!, FROM_C + H_STEP * i], [h[i + 1]!, FROM_C + H_STEP * (i + 1)], bend && [bend.jPerG, bend.tC]);
  }
  return { tOfH, hStep };
}

type Point = readonly [x: number, y: number];

/** Read straight between two points of a table, by way of a bend that lies between them. */
function between(x: number, low: Point, high: Point, bend: Point | null): number {
  if (bend && bend[0] > low[0] && bend[0] < high[0]) return x < bend[0] ? between(x, low, bend, null) : between(x, bend, high, null);
  const span = high[0] - low[0];
  return low[1] + (high[1] - low[1]) * (span > 0 ? Math.max(0, Math.min(1, (x - low[0]) / span)) : 0);
}

/** Heat content at a temperature, J/g. */
export function heatAt(m: Material, tC: number): number {
  const i = Math.floor(Math.max(0, Math.min(m.h.length - 1.000001, (tC - FROM_C) / H_STEP)));
  return between(tC, [FROM_C + H_STEP * i, m.h[i]!], [FROM_C + H_STEP * (i + 1), m.h[i + 1]!], m.bend && [m.bend.tC, m.bend.jPerG]);
}

/** Temperature at a heat content, °C. */
export function temperatureAt(m: Material, jPerG: number): number {
  const x = Math.max(0, Math.min(m.tOfH.length - 1.000001, (jPerG - m.h[0]!) / m.hStep));
  const i = Math.floor(x);
  return m.tOfH[i]! + (m.tOfH[i + 1]! - m.tOfH[i]!) * (x - i);
}

/** Share of its water that is ice at a temperature, 0–1. */
export function iceAt(m: Material, tC: number): number {
  const x = Math.max(0, Math.min(m.ice.length - 1.000001, (tC - FROM_C) / K_STEP));
  const i = Math.floor(x);
  return m.ice[i]! + (m.ice[i + 1]! - m.ice[i]!) * (x - i);
}
