import { fail, ok, type Result } from '../../result';
import { faceH, type Grid } from './grid';
import { FROM_C, H_STEP, heatAt, K_STEP, TO_C, type Material } from './material';

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
  const massOf = grid.material.map((_, m) => mass.reduce((sum, g, c) => sum + (grid.of[c] === m ? g : 0), 0));
  for (let c = 0; c < cells; c++) H[c] = heatAt(grid.material[grid.of[c]!]!, T[c]!) * mass[c]!;
  const startJ = H.reduce((a, b) => a + b, 0);
  const airC = airs.map((a) => a.setC);
  const coldestAir = Math.min(...airC);
  const warmestAir = Math.max(...airC);
  const toLose = grid.material.map((m) =>
    Math.max(
      1e-6,
      Math.abs(heatAt(m, Math.max(...grid.startC)) - heatAt(m, coldestAir)),
      Math.abs(heatAt(m, Math.min(...grid.startC)) - heatAt(m, warmestAir)),
    ),
  );
  const warms = input.untilC !== null && Math.max(...grid.startC) < input.untilC;
  const tables = tablesOf(grid.material);
  const perMass = mass.map((m) => 1 / m);
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
  const perLoss = Float64Array.from(mass, (m, c) => 1 / (toLose[grid.of[c]!]! * m));
  out.keep(0, T, H, grid, massOf, airC[0]!);
  while (t < input.mostH * 3600 && steps < MOST_STEPS) {
    before.set(H);
    lookUp(tables, grid.of, T, K, C, mass);
    for (let a = 0; a < airs.length; a++) airC[a] = airNow(grid, airs[a]!, a, airC[a]!, T, K);
    const order = steps % 2 === 0 ? dims : [...dims].reverse();
    for (const d of order) gaveJ += sweep(grid, d, T, H, K, C, perMass, airC, dt, line, tables);
    t += dt;
    steps++;
    // How far the fastest cell went, in heat and against what is left to go.
    let went = 0;
    for (let c = 0; c < cells; c++) {
      const share = Math.abs(H[c]! - before[c]!) * perLoss[c]!;
      if (share > went) went = share;
    }
    out.keep(t / 3600, T, H, grid, massOf, airC[0]!);
    const far = out.farthest(airC);
    const left = oneAir ? Math.max(0.02, far / span) : 1;
    dt = Math.min(LONGEST_STEP_S, dt * Math.max(0.4, Math.min(1.35, (wanted * left) / Math.max(1e-12, went))));
    if (input.untilC !== null && (warms ? out.lastColdest >= input.untilC : out.lastWarmest <= input.untilC)) {
      stopped = 'there';
      break;
    }
    if (oneAir ? far < AS_THE_AIR_C : (went * 3600) / dt < STEADY_PER_H) {
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

/** The tables of all materials one after the other, so that the loops below read flat arrays alone. */
interface Tables {
  /** Conductivity by temperature, W/mK, and capacity by temperature, J/gK; so many points each. */
  readonly k: Float64Array;
  readonly c: Float64Array;
  readonly nk: number;
  readonly nc: number;
  /** Temperature by heat, °C; where each material's heat begins, J/g, and points for each J/g. */
  readonly t: Float64Array;
  readonly nt: number;
  readonly h0: Float64Array;
  readonly perH: Float64Array;
}

function tablesOf(materials: readonly Material[]): Tables {
  const nk = Math.round((TO_C - FROM_C) / K_STEP) + 1;
  const nc = Math.round((TO_C - FROM_C) / H_STEP) + 1;
  const nt = materials[0]!.tOfH.length;
  const join = (of: (m: Material) => Float64Array, n: number): Float64Array => {
    const all = new Float64Array(n * materials.length);
    materials.forEach((m, i) => all.set(of(m), i * n));
    return all;
  };
  return {
    k: join((m) => m.k, nk),
    c: join(capacities, nc),
    nk,
    nc,
    t: join((m) => m.tOfH, nt),
    nt,
    h0: Float64Array.from(materials, (m) => m.h[0]!),
    perH: Float64Array.from(materials, (m) => 1 / m.hStep),
  };
}

/** J/gK over ±0.1 °C, at every point of the heat table. */
const WINDOW = 2;
const knownCapacities = new WeakMap<Material, Float64Array>();
function capacities(m: Material): Float64Array {
  const known = knownCapacities.get(m);
  if (known) return known;
  const last = m.h.length - 1;
  const made = Float64Array.from(m.h, (_, at) => {
    const i = Math.max(WINDOW, Math.min(last - WINDOW, at));
    return (m.h[i + WINDOW]! - m.h[i - WINDOW]!) / (2 * WINDOW * H_STEP);
  });
  knownCapacities.set(m, made);
  return made;
}

/** Conductivity and apparent heat capacity of every cell at its temperature. */
function lookUp(tables: Tables, of: Uint8Array, T: Float64Array, K: Float64Array, C: Float64Array, mass: Float64Array): void {
  const { k, c: cap, nk, nc } = tables;
  const n = T.length;
  for (let c = 0; c < n; c++) {
    const t = T[c]! - FROM_C;
    const m = of[c]!;
    let x = t * (1 / K_STEP);
    if (x < 0) x = 0;
    else if (x > nk - 1.001) x = nk - 1.001;
    const i = x | 0;
    const at = m * nk + i;
    const low = k[at]!;
    K[c] = low + (k[at + 1]! - low) * (x - i);
    let j = (t * (1 / H_STEP) + 0.5) | 0;
    if (j < 0) j = 0;
    else if (j > nc - 1) j = nc - 1;
    C[c] = cap[m * nc + j]! * mass[c]!;
  }
}

/** What an air comes to with all the heat that runs into it now, °C: the balance of what the faces give and the fridge takes. */
function airNow(grid: Grid, air: Air, index: number, lastC: number, T: Float64Array, K: Float64Array): number {
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
        const through = 1 / (1 / (K[c]! * inner[c]!) + 1 / (faceH(face, T[c]! - lastC) * areas[c]!));
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
function sweep(
  grid: Grid,
  d: 0 | 1 | 2,
  T: Float64Array,
  H: Float64Array,
  K: Float64Array,
  C: Float64Array,
  perMass: Float64Array,
  airC: readonly number[],
  dt: number,
  w: Line,
  tables: Tables,
): number {
  const [n1, n2, n3] = grid.n;
  const n = grid.n[d];
  const stride = d === 0 ? 1 : d === 1 ? n1 : n1 * n2;
  const lines = d === 2 ? n1 * n2 : d === 0 ? n2 * n3 : n1 * n3;
  const lowG = grid.low[d];
  const highG = grid.high[d];
  const lowArea = grid.lowFace[d];
  const highArea = grid.highFace[d];
  const [lowFace, highFace] = grid.faces[d]!;
  const lowAir = lowFace ? airC[lowFace.air]! : 0;
  const highAir = highFace ? airC[highFace.air]! : 0;
  let gave = 0;
  for (let l = 0; l < lines; l++) {
    const first = d === 2 ? l : d === 0 ? l * n1 : (l % n1) + Math.floor(l / n1) * n1 * n2;
    const last = first + (n - 1) * stride;
    const hLow = lowFace ? faceH(lowFace, T[first]! - lowAir) : 0;
    const hHigh = highFace ? faceH(highFace, T[last]! - highAir) : 0;
    const gLow = hLow > 0 && lowArea[first]! > 0 ? 1 / (1 / (K[first]! * lowG[first]!) + 1 / (hLow * lowArea[first]!)) : 0;
    const gHigh = hHigh > 0 && highArea[last]! > 0 ? 1 / (1 / (K[last]! * highG[last]!) + 1 / (hHigh * highArea[last]!)) : 0;
    const before = (1 - THETA) * (gLow * (T[first]! - lowAir) + gHigh * (T[last]! - highAir));
    assemble(first, stride, n, T, K, C, lowG, highG, gLow, gHigh, lowAir, highAir, 1 / dt, w.a, w.b, w.c, w.r);
    solve(n, w.a, w.b, w.c, w.r);
    gave += dt * (before + THETA * (gLow * (w.r[0]! - lowAir) + gHigh * (w.r[n - 1]! - highAir)));
    settle(first, stride, n, T, H, C, w.r, perMass, grid.of, tables.t, tables.nt, tables.h0, tables.perH);
  }
  return gave;
}

/** The equations of one line. Only flat arrays and numbers come in here and below: these three loops are where the time goes. */
function assemble(
  first: number,
  stride: number,
  n: number,
  T: Float64Array,
  K: Float64Array,
  C: Float64Array,
  lowG: Float64Array,
  highG: Float64Array,
  gLow: number,
  gHigh: number,
  lowAir: number,
  highAir: number,
  perDt: number,
  a: Float64Array,
  b: Float64Array,
  c: Float64Array,
  r: Float64Array,
): void {
  let toPrevious = gLow;
  let previous = lowAir;
  let now = T[first]!;
  let high = K[first]! * highG[first]!;
  for (let i = 0, at = first; i < n; i++, at += stride) {
    let toNext = gHigh;
    let next = highAir;
    if (i < n - 1) {
      const e = at + stride;
      const k = K[e]!;
      const low = k * lowG[e]!;
      toNext = (high * low) / (high + low);
      high = k * highG[e]!;
      next = T[e]!;
    }
    const capacity = C[at]! * perDt;
    a[i] = -THETA * toPrevious;
    c[i] = -THETA * toNext;
    b[i] = capacity + THETA * (toPrevious + toNext);
    r[i] = capacity * now - (1 - THETA) * (toPrevious * (now - previous) + toNext * (now - next));
    toPrevious = toNext;
    previous = now;
    now = next;
  }
  r[0] = r[0]! + THETA * gLow * lowAir;
  r[n - 1] = r[n - 1]! + THETA * gHigh * highAir;
}

/** Thomas's elimination, the answer in r. */
function solve(n: number, a: Float64Array, b: Float64Array, c: Float64Array, r: Float64Array): void {
  let pivot = b[0]!;
  let rest = r[0]!;
  for (let i = 1; i < n; i++) {
    const f = a[i]! / pivot;
    pivot = b[i]! - f * c[i - 1]!;
    rest = r[i]! - f * rest;
    b[i] = pivot;
    r[i] = rest;
  }
  let x = rest / pivot;
  r[n - 1] = x;
  for (let i = n - 2; i >= 0; i--) {
    x = (r[i]! - c[i]! * x) / b[i]!;
    r[i] = x;
  }
}

/** What the fluxes brought to each cell of a line, and its temperature from that. */
function settle(
  first: number,
  stride: number,
  n: number,
  T: Float64Array,
  H: Float64Array,
  C: Float64Array,
  r: Float64Array,
  perMass: Float64Array,
  of: Uint8Array,
  tOfH: Float64Array,
  nt: number,
  h0: Float64Array,
  perH: Float64Array,
): void {
  for (let i = 0, at = first; i < n; i++, at += stride) {
    const heat = H[at]! + C[at]! * (r[i]! - T[at]!);
    H[at] = heat;
    const m = of[at]!;
    let x = (heat * perMass[at]! - h0[m]!) * perH[m]!;
    if (x < 0) x = 0;
    else if (x > nt - 1.001) x = nt - 1.001;
    const k = x | 0;
    const e = m * nt + k;
    const low = tOfH[e]!;
    T[at] = low + (tOfH[e + 1]! - low) * (x - k);
  }
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

  keep(h: number, T: Float64Array, H: Float64Array, grid: Grid, massOf: readonly number[], airC: number): void {
    let warmest = -Infinity;
    let coldest = Infinity;
    let heat = 0;
    for (let c = 0; c < this.cells; c++) {
      const t = T[c]!;
      if (t > warmest) warmest = t;
      if (t < coldest) coldest = t;
      heat += H[c]!;
    }
    this.lastWarmest = warmest;
    this.lastColdest = coldest;
    const [n1, n2] = grid.n;
    this.rows.push([h, warmest, coldest, meanC(grid.material, massOf, heat, coldest, warmest), T[n1 - 1 + n1 * (n2 >> 1)]!, airC]);
    if (this.most === 0) return;
    if ((this.rows.length - 1) % this.every === 0) this.frames.push({ h, tC: Float32Array.from(T) });
    if (this.frames.length > 2 * this.most) {
      this.frames = this.frames.filter((_, i) => i % 2 === 0);
      this.every *= 2;
    }
  }

  /** How far the farthest cell is from the airs, K. */
  farthest(airC: readonly number[]): number {
    return Math.max(0, this.lastWarmest - Math.max(...airC), Math.min(...airC) - this.lastColdest);
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
function meanC(materials: readonly Material[], massOf: readonly number[], heatJ: number, low: number, high: number): number {
  let a = low;
  let b = high;
  for (let i = 0; i < 20 && b - a > 1e-4; i++) {
    const mid = (a + b) / 2;
    let heat = 0;
    for (let k = 0; k < materials.length; k++) heat += heatAt(materials[k]!, mid) * massOf[k]!;
    if (heat < heatJ) a = mid;
    else b = mid;
  }
  return (a + b) / 2;
}
