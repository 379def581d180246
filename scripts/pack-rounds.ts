/**
 * Searches for the smallest round that holds n equal rounds, n = 1 to 100, and writes the best found to
 * src/core/vessel/packing/round-table.ts. Runs for minutes: `npx tsx scripts/pack-rounds.ts [starts]`. A run begins from the table that is
 * there, so it never gets worse.
 */
import { existsSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { hexInRound } from '../src/core/vessel/packing/rounds-in-round';
import { seededNumbers } from '../src/core/random';

const FILE = 'src/core/vessel/packing/round-table.ts';
const MOST = 100;
const starts = Number(process.argv[2] ?? 150);

/** Centres x₀, y₀, x₁, y₁, …; radius 1 each. */
type Centres = Float64Array<ArrayBuffer>;

/** The smallest R/r at which these centres are a packing: half the least distance is r. */
function ratioOf(c: Centres): number {
  let least = Infinity;
  let far = 0;
  for (let i = 0; i < c.length; i += 2) {
    far = Math.max(far, Math.hypot(c[i]!, c[i + 1]!));
    for (let j = i + 2; j < c.length; j += 2) least = Math.min(least, Math.hypot(c[i]! - c[j]!, c[i + 1]! - c[j + 1]!));
  }
  return c.length === 2 ? 1 : (2 * far) / least + 1;
}

/** Squared overlaps among rounds of radius 1 and with a wall at R, and their gradient. */
function energy(c: Centres, R: number, g: Float64Array): number {
  g.fill(0);
  let e = 0;
  const reach = R - 1;
  for (let i = 0; i < c.length; i += 2) {
    const x = c[i]!;
    const y = c[i + 1]!;
    const d = Math.sqrt(x * x + y * y);
    if (d > reach) {
      const o = d - reach;
      e += o * o;
      g[i]! += (2 * o * x) / d;
      g[i + 1]! += (2 * o * y) / d;
    }
    for (let j = i + 2; j < c.length; j += 2) {
      const dx = x - c[j]!;
      if (dx > 2 || dx < -2) continue;
      const dy = y - c[j + 1]!;
      const d2 = dx * dx + dy * dy;
      if (d2 >= 4) continue;
      const dist = Math.sqrt(d2) || 1e-9;
      const o = 2 - dist;
      e += o * o;
      const k = (2 * o) / dist;
      g[i]! -= k * dx;
      g[i + 1]! -= k * dy;
      g[j]! += k * dx;
      g[j + 1]! += k * dy;
    }
  }
  return e;
}

const MEMORY = 8;

/** L-BFGS with a backtracking step, in place; ends where the overlaps are gone or stay. */
function settle(c: Centres, R: number, turns: number): number {
  const n = c.length;
  let g = new Float64Array(n);
  let next = new Float64Array(n);
  const trial = new Float64Array(n);
  const d = new Float64Array(n);
  const S: Float64Array[] = [];
  const Y: Float64Array[] = [];
  const rho: number[] = [];
  let e = energy(c, R, g);
  for (let turn = 0; turn < turns && e > 1e-22; turn++) {
    d.set(g);
    const alpha: number[] = [];
    for (let k = S.length - 1; k >= 0; k--) {
      const a = rho[k]! * dot(S[k]!, d);
      alpha[k] = a;
      for (let i = 0; i < n; i++) d[i]! -= a * Y[k]![i]!;
    }
    const last = S.length - 1;
    const scale = last >= 0 ? 1 / (rho[last]! * dot(Y[last]!, Y[last]!)) : 0.25;
    for (let i = 0; i < n; i++) d[i]! *= scale;
    for (let k = 0; k < S.length; k++) {
      const b = alpha[k]! - rho[k]! * dot(Y[k]!, d);
      for (let i = 0; i < n; i++) d[i]! += b * S[k]![i]!;
    }
    const slope = dot(g, d);
    if (!(slope > 0)) break;
    let step = 1;
    let f = e;
    for (; step > 1e-6; step /= 2) {
      for (let i = 0; i < n; i++) trial[i] = c[i]! - step * d[i]!;
      f = energy(trial, R, next);
      if (f <= e - 1e-4 * step * slope) break;
    }
    if (step <= 1e-6 || e - f < 1e-16 * e) break;
    const s = new Float64Array(n);
    const y = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      s[i] = trial[i]! - c[i]!;
      y[i] = next[i]! - g[i]!;
    }
    const sy = dot(s, y);
    if (sy > 1e-18) {
      S.push(s);
      Y.push(y);
      rho.push(1 / sy);
      if (S.length > MEMORY) {
        S.shift();
        Y.shift();
        rho.shift();
      }
    }
    c.set(trial);
    [g, next] = [next, g];
    e = f;
  }
  return e;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** Shrinks the wall round a packing until the rounds no longer settle inside. */
function tighten(c: Centres): { c: Centres; ratio: number } {
  let best = { c: c.slice(), ratio: ratioOf(c) };
  for (let shrink = 0.01; shrink > 1e-6;) {
    const t = scaled(best.c, best.ratio);
    settle(t, best.ratio * (1 - shrink), 400);
    const ratio = ratioOf(t);
    if (ratio < best.ratio * (1 - 1e-7)) best = { c: t, ratio };
    else shrink /= 3;
  }
  return best;
}

/** The same packing with rounds of radius 1. */
function scaled(c: Centres, ratio: number): Centres {
  let far = 0;
  for (let i = 0; i < c.length; i += 2) far = Math.max(far, Math.hypot(c[i]!, c[i + 1]!));
  const k = far > 0 ? (ratio - 1) / far : 1;
  return c.map((v) => v * k);
}

/** A hexagon whose rings are turned against each other: the best known start for 3k(k+1)+1 rounds. */
function curvedHexagon(n: number, turn: number): number[] {
  const c = [0, 0];
  for (let k = 1; c.length < 2 * n; k++) {
    for (let side = 0; side < 6; side++) {
      for (let m = 0; m < k && c.length < 2 * n; m++) {
        const a = (Math.PI / 3) * (side + m / k) + turn * k;
        c.push(2 * k * Math.cos(a), 2 * k * Math.sin(a));
      }
    }
  }
  return c;
}

/** Starts of several kinds: a lattice cut out round a random point, turned rings, and rounds thrown in. */
function start(n: number, i: number, R: number, random: () => number): Centres {
  if (i % 3 === 0) {
    const lattice = hexInRound(R * 1.12, 1, random(), random());
    if (lattice.length >= n) {
      const near = lattice.toSorted((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y)).slice(0, n);
      return Float64Array.from(near.flatMap((p) => [p.x + 0.05 * random(), p.y + 0.05 * random()]));
    }
  }
  if (i % 3 === 1) return Float64Array.from(curvedHexagon(n, (random() * Math.PI) / 12).map((v) => v + 0.1 * random()));
  const c = new Float64Array(2 * n);
  for (let k = 0; k < n; k++) {
    const r = (R - 1) * Math.sqrt(random());
    const a = 2 * Math.PI * random();
    c[2 * k] = r * Math.cos(a);
    c[2 * k + 1] = r * Math.sin(a);
  }
  return c;
}

/** One round lifted out and dropped where there is most room, or two moved: a hop to a neighbouring packing. */
function hop(c: Centres, R: number, random: () => number): Centres {
  const t = c.slice();
  const moves = 1 + Math.floor(random() * 3);
  for (let m = 0; m < moves; m++) {
    const k = 2 * Math.floor(random() * (c.length / 2));
    const r = (R - 1) * Math.sqrt(random());
    const a = 2 * Math.PI * random();
    t[k] = r * Math.cos(a);
    t[k + 1] = r * Math.sin(a);
  }
  return t;
}

async function known(): Promise<Map<number, Centres>> {
  if (!existsSync(FILE)) return new Map();
  const table = (await import(pathToFileURL(FILE).href)) as { ROUND_TABLE: string };
  const { readRoundTable } = await import('../src/core/vessel/packing/rounds-in-round');
  return new Map(readRoundTable(table.ROUND_TABLE).map((p) => [p.n, Float64Array.from(p.centres)]));
}

const before = await known();
const found: Centres[] = [];
for (let n = 1; n <= MOST; n++) {
  const random = seededNumbers(1000 + n);
  let best = { c: before.get(n) ?? Float64Array.from(curvedHexagon(n, 0)), ratio: 0 };
  best.ratio = ratioOf(best.c);
  if (n > 1) best = tighten(best.c);
  if (n > 1) {
    for (let i = 0; i < starts; i++) {
      const c = i > starts / 2 ? hop(scaled(best.c, best.ratio), best.ratio, random) : start(n, i, best.ratio, random);
      settle(c, best.ratio * 0.9995, 300);
      if (ratioOf(c) > best.ratio * 1.03) continue;
      const t = tighten(c);
      if (t.ratio < best.ratio - 1e-7) best = t;
    }
  }
  found.push(best.c);
  console.log(n, best.ratio.toFixed(4));
}

const MOST_WORD = 8_388_607;
const bytes: number[] = [];
for (const c of found) {
  let far = 0;
  for (let i = 0; i < c.length; i += 2) far = Math.max(far, Math.hypot(c[i]!, c[i + 1]!));
  for (const v of c) {
    const word = far > 0 ? Math.round((MOST_WORD * v) / far) : 0;
    bytes.push(word & 255, (word >> 8) & 255, (word >> 16) & 255);
  }
}
writeFileSync(
  FILE,
  `/**\n * Centres of the tightest packings found of n equal rounds in a round, n = 1 to ${MOST}, one after the other: 24-bit x and y (little end first),\n * ${MOST_WORD} the distance of the outermost centre, in base64. Found by scripts/pack-rounds.ts; what they are worth is worked out where they are read.\n */\nexport const ROUND_TABLE =\n  '${Buffer.from(bytes).toString('base64')}';\n`,
);
