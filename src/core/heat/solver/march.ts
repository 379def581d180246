import { fail, ok, type Result } from '../../result';
import type { Grid } from './grid';
import { FROM_C, H_STEP, heatAt, K_STEP, type Material } from './material';

/** Air round the body: its set temperature, and how it gives way when heat comes (a full shelf). */
export interface Air {
  readonly setC: number;
  /** What the fridge carries off for each degree, W/K; null for air that stays as it is. */
  readonly uaWPerK: number | null;
  /** Bodies of this kind that give their heat to it. */
  readonly bodies: number;
}

export interface MarchInput {
  readonly grid: Grid;
  readonly airs: readonly Air[];
  /** No longer than this, h. */
  readonly mostH: number;
  /** Stops once every cell is past this, °C; null to go on until it is as the air. */
  readonly untilC: number | null;
  /** Change of a cell in one step, share of what it has before it: smaller is finer. */
  readonly step?: number;
  /** Moments to keep the whole field of; thinned out as it goes on. */
  readonly frames?: number;
  /** Asked now and then with the share done; false stops it. */
  readonly goOn?: (share: number) => boolean;
}

/** The field at one moment. */
export interface Frame {
  readonly h: number;
  readonly tC: Float32Array;
}

export interface March {
  /** Moments, h, and at each the warmest and coldest cell, the temperature of the mean heat, the cell at the middle of the outer face, the first air; °C. */
  readonly h: Float64Array;
  readonly warmest: Float64Array;
  readonly coldest: Float64Array;
  readonly mean: Float64Array;
  readonly edge: Float64Array;
  readonly air: Float64Array;
  readonly frames: readonly Frame[];
  /** The field at the end, °C. */
  readonly endC: Float64Array;
  readonly steps: number;
  /** Heat that left through the faces, and that the cells have lost, J. */
  readonly gaveJ: number;
  readonly lostJ: number;
  readonly stopped: 'there' | 'time' | 'asked';
}

/** How much of a step's flux is taken at its end: a little more than half, so that it is nearly of second order and yet damps. */
const THETA = 0.6;
/** Where a step is cut smaller: no cell may change by more than this share of the whole heat that it has to lose, or of its distance to the air. */
const USUAL_STEP = 0.03;
const FIRST_STEP_S = 1;
const LONGEST_STEP_S = 3600;
const MOST_STEPS = 20_000;
const AS_THE_AIR_C = 0.02;
/** Between two airs it is steady once no cell changes by more than this share of its heat in an hour. */
const STEADY_PER_H = 1e-6;

/**
 * Marches a body through time (physics): ∂H/∂t = ∇·(k∇T), H = ρ·h, each direction in turn implicitly (unconditionally stable), conductivity
 * and apparent heat capacity taken at the cell's temperature; the heat that the fluxes brought is added to the cell's heat, and its
 * temperature read back from that, so that no latent heat is stepped over. The order of the directions is turned round at every step.
 *
 * @returns a fault where there is nothing to march.
 */
export function march(input: MarchInput): Result<March> {
  const { grid, airs } = input;
  const [n1, n2, n3] = grid.n;
  const cells = n1 * n2 * n3;
  if (cells === 0 || !(input.mostH > 0)) return fail('grid', 'empty', 'There is nothing that could cool.');
  const T = Float64Array.from(grid.startC);
  const H = new Float64Array(cells);
  const K = new Float64Array(cells);
  const C = new Float64Array(cells);
  const before = new Float64Array(cells);
  const mass = Float64Array.from(grid.volumeM3, (v, c) => v * grid.material[grid.of[c]!]!.rhoKgPerM3 * 1000);
  for (let c = 0; c < cells; c++) H[c] = heatAt(grid.material[grid.of[c]!]!, T[c]!) * mass[c]!;
  const startJ = H.reduce((a, b) => a + b, 0);
  const airC = airs.map((a) => a.setC);
  const coldestAir = Math.min(...airC);
  const warmestAir = Math.max(...airC);
  const toLose = grid.material.map((m) => Math.max(1e-6, Math.abs(heatAt(m, Math.max(...grid.startC)) - heatAt(m, coldestAir)), Math.abs(heatAt(m, Math.min(...grid.startC)) - heatAt(m, warmestAir))));
  const warms = input.untilC !== null && Math.max(...grid.startC) < input.untilC;
  const oneAir = warmestAir - coldestAir < 1e-9;
  const line = new Line(Math.max(n1, n2, n3));
  const dims = ([0, 1, 2] as const).filter((d) => grid.n[d] > 1 || grid.faces[d]!.some((f) => f && f.h > 0));
  const out = new Recorder(input.frames ?? 0, cells);
  let t = 0;
  let dt = FIRST_STEP_S;
  let gaveJ = 0;
  let steps = 0;
  let stopped: March['stopped'] = 'time';
  const wanted = input.step ?? USUAL_STEP;
  const span = Math.max(1e-9, ...grid.startC.map((s) => Math.abs(s - coldestAir)), ...grid.startC.map((s) => Math.abs(s - warmestAir)));
  out.keep(0, T, H, mass, grid, airC[0]!);
  while (t < input.mostH * 3600 && steps < MOST_STEPS) {
    before.set(H);
    lookUp(grid, T, K, C, mass);
    for (let a = 0; a < airs.length; a++) airC[a] = airNow(grid, airs[a]!, a, T, K);
    const order = steps % 2 === 0 ? dims : [...dims].reverse();
    for (const d of order) gaveJ += sweep(grid, d, T, H, K, C, mass, airC, dt, line);
    t += dt;
    steps++;
    // How far the fastest cell went, in heat and against what is left to go.
    let went = 0;
    for (let c = 0; c < cells; c++) {
      const share = Math.abs(H[c]! - before[c]!) / (toLose[grid.of[c]!]! * mass[c]!);
      if (share > went) went = share;
    }
    const left = oneAir ? Math.max(0.02, out.farthest(T, airC) / span) : 1;
    dt = Math.min(LONGEST_STEP_S, dt * Math.max(0.4, Math.min(1.35, (wanted * left) / Math.max(1e-12, went))));
    out.keep(t / 3600, T, H, mass, grid, airC[0]!);
    if (input.untilC !== null && (warms ? out.lastColdest >= input.untilC : out.lastWarmest <= input.untilC)) {
      stopped = 'there';
      break;
    }
    if (oneAir ? out.farthest(T, airC) < AS_THE_AIR_C : (went * 3600) / dt < STEADY_PER_H) {
      stopped = 'there';
      break;
    }
    if (input.goOn && steps % 16 === 0 && !input.goOn(Math.min(1, t / (input.mostH * 3600)))) {
      stopped = 'asked';
      break;
    }
  }
  return ok({ ...out.done(T), endC: T, steps, gaveJ, lostJ: startJ - H.reduce((a, b) => a + b, 0), stopped });
}

/** Conductivity and apparent heat capacity of every cell at its temperature. */
function lookUp(grid: Grid, T: Float64Array, K: Float64Array, C: Float64Array, mass: Float64Array): void {
  for (let c = 0; c < T.length; c++) {
    const m = grid.material[grid.of[c]!]!;
    const x = (T[c]! - FROM_C) / K_STEP;
    const i = x <= 0 ? 0 : x >= m.k.length - 1 ? m.k.length - 2 : Math.floor(x);
    K[c] = m.k[i]! + (m.k[i + 1]! - m.k[i]!) * Math.max(0, Math.min(1, x - i));
    C[c] = capacityAt(m, T[c]!) * mass[c]!;
  }
}

/** J/gK over ±0.1 °C. */
const WINDOW = 2;
function capacityAt(m: Material, tC: number): number {
  const i = Math.max(WINDOW, Math.min(m.h.length - 1 - WINDOW, Math.round((tC - FROM_C) / H_STEP)));
  return (m.h[i + WINDOW]! - m.h[i - WINDOW]!) / (2 * WINDOW * H_STEP);
}

/** What an air comes to with all the heat that runs into it now, °C: the balance of what the faces give and the fridge takes. */
function airNow(grid: Grid, air: Air, index: number, T: Float64Array, K: Float64Array): number {
  if (air.uaWPerK === null) return air.setC;
  let g = 0;
  let gt = 0;
  for (const d of [0, 1, 2] as const) {
    for (const end of [0, 1] as const) {
      const face = grid.faces[d]![end];
      if (!face || face.air !== index || face.h <= 0) continue;
      const areas = (end === 0 ? grid.lowFace : grid.highFace)[d];
      const inner = (end === 0 ? grid.low : grid.high)[d];
      for (let c = 0; c < T.length; c++) {
        if (areas[c] === 0) continue;
        const through = 1 / (1 / (K[c]! * inner[c]!) + 1 / (face.h * areas[c]!));
        g += through * air.bodies;
        gt += through * air.bodies * T[c]!;
      }
    }
  }
  return (air.uaWPerK * air.setC + gt) / (air.uaWPerK + g);
}

/** Room for one line's equations. */
class Line {
  readonly a: Float64Array;
  readonly b: Float64Array;
  readonly c: Float64Array;
  readonly r: Float64Array;
  constructor(n: number) {
    this.a = new Float64Array(n);
    this.b = new Float64Array(n);
    this.c = new Float64Array(n);
    this.r = new Float64Array(n);
  }
}

/** One implicit step along every line of one direction; returns the heat that left through its ends, J. */
function sweep(grid: Grid, d: 0 | 1 | 2, T: Float64Array, H: Float64Array, K: Float64Array, C: Float64Array, mass: Float64Array, airC: readonly number[], dt: number, w: Line): number {
  const [n1, n2, n3] = grid.n;
  const n = grid.n[d];
  const stride = d === 0 ? 1 : d === 1 ? n1 : n1 * n2;
  const outer = d === 2 ? 1 : n3;
  const inner = d === 0 ? n2 : n1;
  const [lowG, highG] = [grid.low[d], grid.high[d]];
  const [lowArea, highArea] = [grid.lowFace[d], grid.highFace[d]];
  const [lowFace, highFace] = grid.faces[d]!;
  const { a, b, c: cc, r } = w;
  const lines = d === 2 ? n1 * n2 : outer * inner;
  let gave = 0;
  for (let l = 0; l < lines; l++) {
    const first = d === 2 ? l : d === 0 ? l * n1 : (l % n1) + Math.floor(l / n1) * n1 * n2;
    const last = first + (n - 1) * stride;
    let gLow = 0;
    let gHigh = 0;
    if (lowFace && lowFace.h > 0 && lowArea[first]! > 0) gLow = 1 / (1 / (K[first]! * lowG[first]!) + 1 / (lowFace.h * lowArea[first]!));
    if (highFace && highFace.h > 0 && highArea[last]! > 0) gHigh = 1 / (1 / (K[last]! * highG[last]!) + 1 / (highFace.h * highArea[last]!));
    const lowAir = lowFace ? airC[lowFace.air]! : 0;
    const highAir = highFace ? airC[highFace.air]! : 0;
    let toPrevious = gLow;
    let previous = lowAir;
    for (let i = 0, c = first; i < n; i++, c += stride) {
      const toNext = i === n - 1 ? gHigh : 1 / (1 / (K[c]! * highG[c]!) + 1 / (K[c + stride]! * lowG[c + stride]!));
      const next = i === n - 1 ? highAir : T[c + stride]!;
      const capacity = C[c]! / dt;
      const now = T[c]!;
      a[i] = i === 0 ? 0 : -THETA * toPrevious;
      cc[i] = i === n - 1 ? 0 : -THETA * toNext;
      b[i] = capacity + THETA * (toPrevious + toNext);
      r[i] = capacity * now - (1 - THETA) * (toPrevious * (now - previous) + toNext * (now - next)) + THETA * ((i === 0 ? gLow * lowAir : 0) + (i === n - 1 ? gHigh * highAir : 0));
      toPrevious = toNext;
      previous = now;
    }
    for (let i = 1; i < n; i++) {
      const f = a[i]! / b[i - 1]!;
      b[i]! -= f * cc[i - 1]!;
      r[i]! -= f * r[i - 1]!;
    }
    r[n - 1] = r[n - 1]! / b[n - 1]!;
    for (let i = n - 2; i >= 0; i--) r[i] = (r[i]! - cc[i]! * r[i + 1]!) / b[i]!;
    gave += dt * (gLow * (THETA * r[0]! + (1 - THETA) * T[first]! - lowAir) + gHigh * (THETA * r[n - 1]! + (1 - THETA) * T[last]! - highAir));
    for (let i = 0, c = first; i < n; i++, c += stride) {
      H[c]! += C[c]! * (r[i]! - T[c]!);
      const m = grid.material[grid.of[c]!]!;
      const x = (H[c]! / mass[c]! - m.h[0]!) / m.hStep;
      const k = x <= 0 ? 0 : x >= m.tOfH.length - 1 ? m.tOfH.length - 2 : Math.floor(x);
      T[c] = m.tOfH[k]! + (m.tOfH[k + 1]! - m.tOfH[k]!) * Math.max(0, Math.min(1, x - k));
    }
  }
  return gave;
}

/** Keeps the curves of every step, and the fields of evenly spread ones. */
class Recorder {
  private readonly rows: number[][] = [];
  private frames: Frame[] = [];
  private every = 1;
  lastWarmest = 0;
  lastColdest = 0;
  constructor(
    private readonly most: number,
    private readonly cells: number,
  ) {}

  keep(h: number, T: Float64Array, H: Float64Array, mass: Float64Array, grid: Grid, airC: number): void {
    let warmest = -Infinity;
    let coldest = Infinity;
    for (let c = 0; c < this.cells; c++) {
      if (T[c]! > warmest) warmest = T[c]!;
      if (T[c]! < coldest) coldest = T[c]!;
    }
    this.lastWarmest = warmest;
    this.lastColdest = coldest;
    const [n1, n2] = grid.n;
    this.rows.push([h, warmest, coldest, meanC(grid, H, mass, coldest, warmest), T[n1 - 1 + n1 * (n2 >> 1)]!, airC]);
    if (this.most === 0) return;
    if ((this.rows.length - 1) % this.every === 0) this.frames.push({ h, tC: Float32Array.from(T) });
    if (this.frames.length > 2 * this.most) {
      this.frames = this.frames.filter((_, i) => i % 2 === 0);
      this.every *= 2;
    }
  }

  farthest(T: Float64Array, airC: readonly number[]): number {
    let far = 0;
    const low = Math.min(...airC);
    const high = Math.max(...airC);
    for (let c = 0; c < this.cells; c++) far = Math.max(far, T[c]! - high, low - T[c]!);
    return far;
  }

  /** The curves, and the fields with the last one among them. */
  done(T: Float64Array): Pick<March, 'h' | 'warmest' | 'coldest' | 'mean' | 'edge' | 'air' | 'frames'> {
    const endH = this.rows.at(-1)![0]!;
    if (this.most > 0 && this.frames.at(-1)!.h < endH) this.frames.push({ h: endH, tC: Float32Array.from(T) });
    const column = (i: number): Float64Array => Float64Array.from(this.rows, (r) => r[i]!);
    return { h: column(0), warmest: column(1), coldest: column(2), mean: column(3), edge: column(4), air: column(5), frames: this.frames };
  }
}

/** The temperature at which all cells together would have the heat that they have, °C. */
function meanC(grid: Grid, H: Float64Array, mass: Float64Array, low: number, high: number): number {
  const byMaterial = grid.material.map(() => 0);
  let total = 0;
  for (let c = 0; c < H.length; c++) {
    byMaterial[grid.of[c]!]! += mass[c]!;
    total += H[c]!;
  }
  let a = low;
  let b = high;
  for (let i = 0; i < 24 && b - a > 1e-4; i++) {
    const mid = (a + b) / 2;
    const heat = grid.material.reduce((sum, m, k) => sum + heatAt(m, mid) * byMaterial[k]!, 0);
    if (heat < total) a = mid;
    else b = mid;
  }
  return (a + b) / 2;
}
