import { houseRange } from '../figure';
import { SPREAD } from '../foam/house';
import type { Hold } from '../foam/hold';
import type { Whip } from '../foam/whisk';
import type { KitchenCorrection, LearnableFigure, Learnt } from '../learning/correction';
import type { PartReading } from '../lines/read-part';

/** The corrections that touch one part; null where the log says nothing. */
export interface PartLearnt {
  readonly time: Learnt | null;
  readonly air: Learnt | null;
  readonly hold: Learnt | null;
}

export const STABILISER_FAMILIES = ['plain', 'gelatin', 'mascarpone', 'soft cheese', 'strained yoghurt', 'starch or powder'] as const;
export type StabiliserFamily = (typeof STABILISER_FAMILIES)[number];

/** Which family a cream's hold belongs to: by what stabilises it most. */
export function stabiliserFamily(r: PartReading): StabiliserFamily {
  const strength: readonly (readonly [StabiliserFamily, number])[] = [
    ['gelatin', r.gelatin225G > 0 ? 4 : 0],
    ['strained yoghurt', r.roleG['strained-yoghurt'] > 0 ? 5 : 0],
    ['soft cheese', r.roleG['soft-cheese'] > 0 ? 3 : 0],
    ['mascarpone', r.roleG.mascarpone > 0 ? 2 : 0],
    ['starch or powder', r.roleG.xanthan + r.roleG['milk-powder'] > 0 ? 1 : 0],
  ];
  const strongest = strength.reduce((a, b) => (b[1] > a[1] ? b : a));
  return strongest[1] > 0 ? strongest[0] : 'plain';
}

/** Whose batches a correction stands on. */
export const batchesSay = ({ n, borrowed }: Pick<Learnt, 'n' | 'borrowed'>): string => {
  const count = (k: number): string => `${k} ${k === 1 ? 'batch' : 'batches'}`;
  return n > 0 && borrowed > 0
    ? `from ${count(n)}, and ${count(borrowed)} elsewhere in this kitchen`
    : n > 0
      ? `from ${count(n)}`
      : `from ${count(borrowed)} elsewhere in this kitchen`;
};

/** What the log says of a figure in a context; null where no batch counts yet. */
export function learntFor(corrections: readonly KitchenCorrection[], figure: LearnableFigure, context: string): Learnt | null {
  const known = corrections.find((c) => c.figure === figure && c.context === context)?.learnt;
  return known && known.n + known.borrowed > 0 ? known : null;
}

/** A whip that takes `time` times as long and reaches `air` times the air. */
export const correctedWhip = (w: Whip, time: number, air: number): Whip => ({
  ...w,
  ratePerS: w.ratePerS / time,
  lateRatePerS: w.lateRatePerS / time,
  clumpRatePerS: w.clumpRatePerS / time,
  reachablePct: w.reachablePct * air,
});

export function correctedHold(h: Hold, learnt: Learnt | null): Hold {
  if (!learnt) return h;
  const cleanH = h.cleanH * learnt.factor;
  return { ...h, cleanH, usableH: h.usableH * learnt.factor, shownH: Math.min(cleanH, h.keepingH), limit: cleanH <= h.keepingH ? 'shape' : 'keeping' };
}

/** The band of a figure that is corrected already: the next batch's four in five where the log knows, else the formula's spread. */
function bandOf(value: number, spread: number, learnt: Learnt | null): readonly [number, number] {
  return learnt ? [(value * learnt.low) / learnt.factor, (value * learnt.high) / learnt.factor] : houseRange(value, spread);
}

interface Corrected {
  readonly learnt: PartLearnt;
}
export const timeRange = (a: Corrected, seconds: number): readonly [number, number] => bandOf(seconds, SPREAD.whiskTime, a.learnt.time);
export const airRange = (a: Corrected, overrunPct: number): readonly [number, number] => bandOf(overrunPct, SPREAD.overrun, a.learnt.air);
export const holdRange = (a: Corrected, hours: number): readonly [number, number] => bandOf(hours, SPREAD.hold, a.learnt.hold);
