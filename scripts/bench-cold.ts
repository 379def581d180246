/** Cold's part of the bench: the solver against the same algorithm in C and against a plain explicit scheme, and how it grows. */
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bodyOf } from '../src/core/cold/body';
import { hourAt, runCold } from '../src/core/cold/run';
import { USUAL_SETUP } from '../src/core/document/usual-cold';
import type { Grid } from '../src/core/heat/solver/grid';
import { march } from '../src/core/heat/solver/march';
import { FROM_C, H_STEP, heatAt, K_STEP, temperatureAt } from '../src/core/heat/solver/material';
import { analyseSheet } from '../src/core/analysis/analyse';
import { STARTING_VESSELS } from '../src/core/vessel/profile';
import { KITCHEN, partsSheet } from '../src/testing/sample';

type Row = (name: string, ...cells: string[]) => void;
type Timed = (runs: number, call: (i: number) => unknown) => number[];
const half = (sorted: readonly number[]): number => sorted[Math.floor(sorted.length / 2)]!;

const AIR_C = -20;
const UNTIL_C = -15.5;
const MARK_C = -15;
const vessel = (name: string) => STARTING_VESSELS.find((v) => v.name === name)!;
const frozen = (name: string) =>
  analyseSheet(
    partsSheet([['cream', 'whipped-cream', 'Cream', ['480 g cream 36 %', '130 g caster sugar']]], {
      family: 'semifreddo',
      use: 'slice',
      vessel: vessel(name),
      portions: 10,
    }),
    KITCHEN,
  );

function grid(fine: number): Grid {
  const body = bodyOf(frozen('Terrine 1.2 L'), KITCHEN, { ...USUAL_SETUP, startC: 12, placeId: 'chest' }, vessel('Terrine 1.2 L'), fine);
  if (!body.ok) throw new Error(body.fault.says);
  return body.value.grid;
}

const still = [{ setC: AIR_C, uaWPerK: null, bodies: 1 }];
const run = (g: Grid, step?: number) => {
  const m = march({ grid: g, airs: still, mostH: 100, untilC: UNTIL_C, ...(step ? { step } : {}) });
  if (!m.ok) throw new Error(m.fault.says);
  return m.value;
};
const markOf = (m: { h: ArrayLike<number>; warmest: ArrayLike<number> }): number => hourAt(Array.from(m.h), Array.from(m.warmest), MARK_C)!;

/** The same field by the plain explicit scheme: as long a step as it stands, cell by cell. Returns the hour of the mark. */
function explicit(g: Grid): number {
  const [n1, n2] = g.n;
  const cells = n1 * n2;
  const T = Float64Array.from(g.startC);
  const mass = Float64Array.from(g.volumeM3, (v, c) => v * g.material[g.of[c]!]!.rhoKgPerM3 * 1000);
  const H = Float64Array.from(T, (t, c) => heatAt(g.material[g.of[c]!]!, t) * mass[c]!);
  const K = new Float64Array(cells);
  const Q = new Float64Array(cells);
  const G = new Float64Array(cells);
  const faces = g.faces;
  let t = 0;
  let last = Infinity;
  let lastT = 0;
  for (;;) {
    let warm = -Infinity;
    for (let c = 0; c < cells; c++) {
      const m = g.material[g.of[c]!]!;
      const x = Math.min(m.k.length - 1.001, Math.max(0, (T[c]! - FROM_C) / K_STEP));
      const i = Math.floor(x);
      K[c] = m.k[i]! + (m.k[i + 1]! - m.k[i]!) * (x - i);
      Q[c] = 0;
      G[c] = 0;
      if (T[c]! > warm) warm = T[c]!;
    }
    if (warm <= MARK_C) return (lastT + ((t - lastT) * (last - MARK_C)) / (last - warm)) / 3600;
    last = warm;
    lastT = t;
    const pair = (c: number, e: number, gc: number, ge: number): void => {
      const u = 1 / (1 / (K[c]! * gc) + 1 / (K[e]! * ge));
      const q = u * (T[e]! - T[c]!);
      Q[c]! += q;
      Q[e]! -= q;
      G[c]! += u;
      G[e]! += u;
    };
    const out = (c: number, h: number, area: number, inner: number): void => {
      if (h <= 0 || area <= 0) return;
      const u = 1 / (1 / (K[c]! * inner) + 1 / (h * area));
      Q[c]! += u * (AIR_C - T[c]!);
      G[c]! += u;
    };
    for (let j = 0; j < n2; j++) {
      for (let i = 0; i < n1; i++) {
        const c = i + n1 * j;
        if (i + 1 < n1) pair(c, c + 1, g.high[0][c]!, g.low[0][c + 1]!);
        else out(c, faces[0]![1]!.h, g.highFace[0][c]!, g.high[0][c]!);
        if (j + 1 < n2) pair(c, c + n1, g.high[1][c]!, g.low[1][c + n1]!);
        else out(c, faces[1]![1]!.h, g.highFace[1][c]!, g.high[1][c]!);
        if (j === 0) out(c, faces[1]![0]!.h, g.lowFace[1][c]!, g.low[1][c]!);
      }
    }
    let dt = 60;
    for (let c = 0; c < cells; c++) {
      const m = g.material[g.of[c]!]!;
      const i = Math.max(1, Math.min(m.h.length - 2, Math.round((T[c]! - FROM_C) / H_STEP)));
      dt = Math.min(dt, (0.9 * mass[c]! * ((m.h[i + 1]! - m.h[i - 1]!) / (2 * H_STEP))) / G[c]!);
    }
    for (let c = 0; c < cells; c++) {
      H[c]! += dt * Q[c]!;
      T[c] = temperatureAt(g.material[g.of[c]!]!, H[c]! / mass[c]!);
    }
    t += dt;
  }
}

function inC(g: Grid, folder: string): { ms: number; mark: number } | null {
  if (g.n[2] !== 1) return null;
  const built = spawnSync('cc', ['-O3', '-march=native', '-o', join(folder, 'march'), 'bench/march.c', '-lm']);
  if (built.status !== 0) return null;
  const [side, ends] = [g.faces[0]![1]!.h, g.faces[1]!];
  const data = [
    g.n[0],
    g.n[1],
    AIR_C,
    side,
    ends[0]!.h,
    ends[1]!.h,
    UNTIL_C,
    100,
    0.03,
    MARK_C,
    g.material.length,
    ...g.volumeM3,
    ...g.of,
    ...g.startC,
    ...g.low[0],
    ...g.high[0],
    ...g.low[1],
    ...g.high[1],
    ...g.highFace[0],
    ...g.lowFace[1],
    ...g.highFace[1],
    ...g.material.flatMap((m) => [m.rhoKgPerM3, m.hStep, m.k.length, m.h.length, m.tOfH.length, ...m.k, ...m.h, ...m.tOfH]),
  ];
  writeFileSync(join(folder, 'problem'), Buffer.from(Float64Array.from(data).buffer));
  const [ms, , mark] = execFileSync(join(folder, 'march'), [join(folder, 'problem'), '20'])
    .toString()
    .trim()
    .split(' ')
    .map(Number);
  return { ms: ms!, mark: mark! };
}

export function cold(row: Row, timed: Timed): void {
  const folder = mkdtempSync(join(tmpdir(), 'soft-peak-march-'));
  try {
    console.log('\nA 1.2 L terrine frozen through (core 12 to −15 °C in air of −20 °C)');
    const usual = grid(1);
    const reference = markOf(run(grid(4), 0.008));
    const ours = timed(30, () => run(usual));
    const off = (h: number): string => `${(100 * Math.abs(h / reference - 1)).toFixed(2)} %`;
    row(
      'median ms, as a share of the 150 ms allowed, off a grid four times as fine',
      half(ours).toFixed(1),
      (half(ours) / 150).toFixed(2),
      off(markOf(run(usual))),
    );
    const c = inC(usual, folder);
    if (c) row('the same in C (-O3), ms; ratio ours to C (1.6 is aimed at); off', c.ms.toFixed(2), (Math.min(...ours) / c.ms).toFixed(2), off(c.mark));
    else row('no C compiler here: ratio not measured');
    const plain = timed(3, () => explicit(usual));
    row(
      'plain explicit scheme, same cells: ms; times slower (20 is aimed at); off',
      half(plain).toFixed(0),
      (half(plain) / half(ours)).toFixed(1),
      off(explicit(usual)),
    );
    console.log('Growth with cells');
    let before: { cells: number; ms: number } | null = null;
    for (const fine of [1, 2, 3, 4]) {
      const g = grid(fine);
      const cells = g.n[0] * g.n[1];
      const ms = half(timed(5, () => run(g)));
      row(`  ${cells} cells: ms, power of growth`, ms.toFixed(1), before ? (Math.log(ms / before.ms) / Math.log(cells / before.cells)).toFixed(2) : '');
      before = { cells, ms };
    }
    const setup = { ...USUAL_SETUP, startC: 20 };
    const glass = analyseSheet({ ...frozen('Footed glass').sheet, family: 'mousse', use: 'glass' }, KITCHEN);
    const chilled = timed(20, () => runCold(glass, KITCHEN, setup, { frames: 60 }));
    row('a glass chilled: median ms, of the 40 ms allowed', half(chilled).toFixed(1), (half(chilled) / 40).toFixed(2));
    const brick = analyseSheet(
      {
        ...frozen('Small tray').sheet,
        vessel: { kind: 'terrine', name: 'Short tin', lengthMm: 160, widthMm: 90, baseLengthMm: 150, baseWidthMm: 80, heightMm: 70 },
      },
      KITCHEN,
    );
    const whole = timed(3, () => runCold(brick, KITCHEN, { ...setup, placeId: 'chest' }, { frames: 60 }));
    row('a brick in three directions frozen: median ms, of the 1200 ms allowed', half(whole).toFixed(0), (half(whole) / 1200).toFixed(2));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
