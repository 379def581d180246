import { readTable } from '../interpolate';
import { fail, ok, within, type Result } from '../result';
import {
  BEST_FILL,
  CLIMB_SHARE,
  COLD_ENOUGH_C,
  FAT_POWER,
  FILL_PENALTY,
  GOOD_FILL,
  LEAN_CEILING,
  MIXER_FACTOR,
  RATE_LOSS_PER_SUGAR,
  REACH_LIMIT,
  REFERENCE_FAT_PCT,
  REFERENCE_RATE_PER_S,
  SPEED_FACTOR,
  STAGE_X,
  WARM_CEILINGS,
  WARM_RATE,
  X_START,
} from './house';
import { airShareAt, foamVolumeMl, reachableOverrunPct, type SugarMoment } from './overrun';
import type { WhiskInput } from './inputs';

export const MIXER_KINDS = ['planetary', 'hand-mixer', 'balloon-whisk', 'processor'] as const;
export type MixerKind = (typeof MIXER_KINDS)[number];
export const SPEEDS = ['fast', 'medium', 'slow'] as const;
export type Speed = (typeof SPEEDS)[number];
export const STAGES = ['soft', 'medium', 'firm', 'grainy', 'butter'] as const;
export type Stage = (typeof STAGES)[number];
/** Stages that a cook whisks to; the other two are accidents. */
export const WISHED_STAGES = ['soft', 'medium', 'firm'] as const;
export type WishedStage = (typeof WISHED_STAGES)[number];

/** Everything needed to say where a whip is at any second. */
export interface Whip {
  /** Rate at the chosen speed, per second. */
  readonly ratePerS: number;
  /** Rate after soft peak; the same when the speed stays. */
  readonly lateRatePerS: number;
  /** Fat network that it cannot pass, 0–1. */
  readonly ceilingX: number;
  /** Why there is a ceiling below butter; null where there is none. */
  readonly ceilingWhy: 'lean' | 'warm' | null;
  /** Overrun that it can reach, %. */
  readonly reachablePct: number;
  /** Factors of the rate, for the working. */
  readonly factors: { readonly fat: number; readonly mixer: number; readonly fill: number; readonly warmth: number; readonly sugar: number };
  /** Liquid of one bowlful over the bowl. */
  readonly fillShare: number;
}

/** The network's own clock: it runs straight with time while the rate stays. @param x 0 to 1, ends excluded. */
export const logit = (x: number): number => Math.log(x / (1 - x));
export const START = logit(X_START);

/** The fat network that a cream of this fat and temperature cannot pass, and why. */
export function whiskCeiling(fatPct: number, creamC: number): { x: number; why: Whip['ceilingWhy'] } {
  const lean = fatPct >= 33 ? 1 : (readTable(LEAN_CEILING, fatPct) ?? 0);
  const warm = WARM_CEILINGS.find((c) => creamC > c.aboveC)?.x ?? 1;
  if (lean >= 1 && warm >= 1) return { x: 1, why: null };
  return lean <= warm ? { x: lean, why: 'lean' } : { x: warm, why: 'warm' };
}

/** How the filling of the bowl slows the whisk: 1/(1 + 0.8·ln(f/f₀)²). */
export const fillFactor = (mixer: MixerKind, fillShare: number): number =>
  1 / (1 + FILL_PENALTY * Math.log(fillShare / BEST_FILL[mixer]) ** 2);

/** Rate lost to sugar: 1/(1 + 0.010·s) at the start, 1/(1 + 0.003·s) at soft peak. */
export const sugarRateFactor = (sugarAt: SugarMoment, sugarPer100: number): number =>
  1 / (1 + RATE_LOSS_PER_SUGAR[sugarAt] * sugarPer100);

/**
 * The whip of one bowlful (house ±18 %): dx/dt = k·x·(1 − x) from x = 0.02,
 * k = k₀·(F/36)^1.5·m·b·τ·q.
 * @returns a fault on the field outside its domain (fat 25–60 %, cream −2 to 20 °C).
 */
export function whip(input: WhiskInput): Result<Whip> {
  const reachable = reachableOverrunPct(input);
  if (!reachable.ok) return reachable;
  const fault =
    within('bowlMl', 'The bowl', input.bowlMl, 50, 500_000, 'mL') ??
    within('mixMl', 'The mix', input.mixMl, 1, 1_000_000, 'mL') ??
    within('batches', 'The number of bowlfuls', input.batches, 1, 50, '');
  if (fault) return { ok: false, fault };
  const fillShare = input.mixMl / input.batches / input.bowlMl;
  if (fillShare >= 1) {
    return fail('bowlMl', 'does-not-fit', 'The liquid alone fills the bowl: take a larger bowl or whisk it in more bowlfuls.');
  }
  const speed = input.mixer === 'planetary' ? SPEED_FACTOR[input.speed] : 1;
  const factors = {
    fat: (input.fatPct / REFERENCE_FAT_PCT) ** FAT_POWER,
    mixer: MIXER_FACTOR[input.mixer] * speed,
    fill: fillFactor(input.mixer, fillShare),
    warmth: WARM_RATE ** Math.max(0, input.creamC - COLD_ENOUGH_C),
    sugar: sugarRateFactor(input.sugarAt, input.sugarPer100),
  };
  const ratePerS = REFERENCE_RATE_PER_S * factors.fat * factors.mixer * factors.fill * factors.warmth * factors.sugar;
  const slows = input.mixer === 'planetary' && input.slowFromSoft && input.speed !== 'slow';
  const ceiling = whiskCeiling(input.fatPct, input.creamC);
  return ok({
    ratePerS,
    lateRatePerS: slows ? (ratePerS * SPEED_FACTOR.slow) / speed : ratePerS,
    ceilingX: ceiling.x,
    ceilingWhy: ceiling.why,
    reachablePct: reachable.value,
    factors,
    fillShare,
  });
}

/** Seconds until the fat network is x; null where the cream cannot get there. */
export function secondsTo(w: Whip, x: number): number | null {
  if (x > w.ceilingX + 1e-12) return null;
  if (x <= X_START) return 0;
  const soft = (logit(STAGE_X.soft) - START) / w.ratePerS;
  if (x <= STAGE_X.soft) return (logit(x) - START) / w.ratePerS;
  return soft + (logit(x) - logit(STAGE_X.soft)) / w.lateRatePerS;
}

/** Fat network after some seconds, 0.02 to the ceiling. */
export function networkAt(w: Whip, seconds: number): number {
  const soft = (logit(STAGE_X.soft) - START) / w.ratePerS;
  const z = seconds <= soft ? START + w.ratePerS * seconds : logit(STAGE_X.soft) + w.lateRatePerS * (seconds - soft);
  return Math.min(w.ceilingX, 1 / (1 + Math.exp(-z)));
}

/** Overrun after some seconds, %; null once it is butter. */
export function overrunAt(w: Whip, seconds: number): number | null {
  const share = airShareAt(networkAt(w, seconds));
  return share === null ? null : w.reachablePct * share;
}

/** The stage that a fat network has reached; null before soft peak. */
export function stageAt(x: number): Stage | null {
  let reached: Stage | null = null;
  for (const stage of STAGES) if (x >= STAGE_X[stage] - 1e-12) reached = stage;
  return reached;
}

/** From reaching a stage to reaching the next one, s. */
export interface StopWindow {
  readonly opensS: number;
  /** Null when the next stage never comes: there is no hurry. */
  readonly closesS: number | null;
}

/** The stop window of a stage; null when the stage itself never comes. */
export function stopWindow(w: Whip, stage: WishedStage): StopWindow | null {
  const opensS = secondsTo(w, STAGE_X[stage]);
  if (opensS === null) return null;
  const next = STAGES[STAGES.indexOf(stage) + 1]!;
  return { opensS, closesS: secondsTo(w, STAGE_X[next]) };
}

/** Overrun at the moment a stage is reached, %; null when it never comes. */
export function overrunAtStage(w: Whip, stage: WishedStage): number | null {
  const seconds = secondsTo(w, STAGE_X[stage]);
  return seconds === null ? null : overrunAt(w, seconds);
}

export type WhiskWarning =
  | { readonly key: 'never'; readonly why: 'lean' | 'warm'; readonly reaches: Stage | null }
  | { readonly key: 'warm' }
  | { readonly key: 'hardly-reached' }
  | { readonly key: 'climbs-out' }
  | { readonly key: 'too-full' };

/** Foam of one bowlful at the reachable overrun over the bowl. */
const foamShare = (input: WhiskInput, reachablePct: number, batches: number): number =>
  foamVolumeMl(input.mixMl / batches, reachablePct) / input.bowlMl;

/**
 * The fewest bowlfuls that each fill the bowl no more than is good for it, foam included.
 * Null when more than 50 would be needed.
 */
export function bowlfulsNeeded(input: WhiskInput, reachablePct: number): number | null {
  const most = BEST_FILL[input.mixer] * GOOD_FILL.high;
  for (let n = 1; n <= 50; n++) {
    if (input.mixMl / n / input.bowlMl <= most + 1e-9 && foamShare(input, reachablePct, n) <= CLIMB_SHARE) return n;
  }
  return null;
}

/** What to say before the whisk is switched on; empty when nothing is wrong. */
export function whiskWarnings(input: WhiskInput, w: Whip): WhiskWarning[] {
  const warnings: WhiskWarning[] = [];
  if (w.ceilingX < STAGE_X[input.target]) {
    warnings.push({ key: 'never', why: w.ceilingWhy ?? 'lean', reaches: stageAt(w.ceilingX) });
  } else if (input.creamC > COLD_ENOUGH_C) {
    warnings.push({ key: 'warm' });
  }
  if (foamShare(input, w.reachablePct, input.batches) > CLIMB_SHARE) warnings.push({ key: 'climbs-out' });
  else if (w.fillShare > BEST_FILL[input.mixer] * GOOD_FILL.high + 1e-9) warnings.push({ key: 'too-full' });
  if (w.fillShare < BEST_FILL[input.mixer] * REACH_LIMIT) warnings.push({ key: 'hardly-reached' });
  return warnings;
}
