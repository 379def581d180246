import { fail, ok, within, type Result } from '../result';
import {
  BEST_FILL,
  CHURNS_FROM_C,
  CHURNS_WHOLLY_C,
  CLIMB_SHARE,
  COLD_ENOUGH_C,
  CREAM_KINDS,
  FAT_POWER,
  FILL_PENALTY,
  GOOD_FILL,
  LEAN,
  LEAN_CLUMPS,
  MIXER_FACTOR,
  NO_PEAK_FROM_C,
  PLANT_CREAM,
  RATE_GAIN_PER_SHARE,
  RATE_LOSS_PER_SUGAR,
  REACH_LIMIT,
  REFERENCE_FAT_PCT,
  REFERENCE_RATE_PER_S,
  SHALLOW,
  SOUR_WHISK,
  SPEED_FACTOR,
  STAGE_X,
  WARM_CLUMPING,
  WARM_RATE,
  X_START,
} from './house';
import { airShareAt, foamVolumeMl, reachableOverrunPct } from './overrun';
import type { SugarMoment } from './kinds';
import type { CreamState, WhiskInput } from './inputs';
import { STAGES, WISHED_STAGES, type Stage, type WishedStage } from './kinds';

/** Everything needed to say where a whip is at any second. */
export interface Whip {
  /** Rate of air and network up to firm at the chosen speed, per second. */
  readonly ratePerS: number;
  /** The same after soft peak; no other when the speed stays. */
  readonly lateRatePerS: number;
  /** Rate of the clumping past firm, at the speed that it then has, per second; 0 where it never clumps. */
  readonly clumpRatePerS: number;
  /** The network at which a peak stands no longer clean: 1 for a cold cream, below firm for a warm one, 0 where no peak stands at all. */
  readonly standsX: number;
  /** How far towards grainy the windows before firm stay open: 0 below 12 °C, 1 from 13 °C on. */
  readonly churns: number;
  /** Overrun that it can reach, %. */
  readonly reachablePct: number;
  /** Factors of the rate, for the working. */
  readonly factors: {
    readonly fat: number;
    readonly mixer: number;
    readonly fill: number;
    readonly warmth: number;
    readonly sugar: number;
    readonly cheese: number;
    readonly sour: number;
    readonly kind: number;
  };
  /** Liquid of one bowlful over the bowl. */
  readonly fillShare: number;
}

/** The network's own clock: it runs straight with time while the rate stays. @param x 0 to 1, ends excluded. */
export const logit = (x: number): number => Math.log(x / (1 - x));
export const START = logit(X_START);

/** How the filling of the bowl acts: above the best one 1/(1 + 0.8·ln(f/f₀)²), below it min(1.3, (f₀/f)^0.2). @param bestFill f₀, share of the bowl. */
export function fillFactor(bestFill: number, fillShare: number): number {
  const over = fillShare / bestFill;
  return over >= 1 ? 1 / (1 + FILL_PENALTY * Math.log(over) ** 2) : Math.min(SHALLOW.most, over ** -SHALLOW.power);
}

/** Fat against the clumping: as the other clock down to 33 %, steeper below it, without a step. */
const clumpFat = (fatPct: number): number =>
  fatPct >= LEAN_CLUMPS.belowPct
    ? (fatPct / REFERENCE_FAT_PCT) ** FAT_POWER
    : (LEAN_CLUMPS.belowPct / REFERENCE_FAT_PCT) ** FAT_POWER * (fatPct / LEAN_CLUMPS.belowPct) ** LEAN_CLUMPS.power;

/** What the kinds of cream in the bowl make of a figure: 1 for pasteurised, by their shares. */
export function creamKindFactor(cream: Pick<CreamState, 'longLifeShare' | 'stabilisedShare' | 'plantShare'>, of: 'rate' | 'hold'): number {
  const { longLifeShare = 0, stabilisedShare = 0, plantShare = 0 } = cream;
  return 1 + longLifeShare * (CREAM_KINDS['long-life'][of] - 1) + stabilisedShare * (CREAM_KINDS.stabilised[of] - 1) + plantShare * (PLANT_CREAM[of] - 1);
}

/** Rate lost to sugar: 1/(1 + 0.010·s) at the start, 1/(1 + 0.003·s) at soft peak. */
export const sugarRateFactor = (sugarAt: SugarMoment, sugarPer100: number): number => 1 / (1 + RATE_LOSS_PER_SUGAR[sugarAt] * sugarPer100);

/**
 * The whip of one bowlful (house ±30 %), by two clocks: up to firm dx/dt = k_a·x·(1 − x) from x = 0.02 with
 * k_a = k₀·(F/36)^1.5·m·b·0.94^(T−7)·q·e·g·u; past firm k_c, with 1.12^(T−7) in place of 0.94^(T−7) and (F/33)^2.5 below 33 % fat.
 * Source: science-2, section 5.
 * @returns a fault on the field outside its domain (fat 25–60 %, cream −2 to 20 °C), and on `mixMl` where the wires do not reach it.
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
  if (fillShare < BEST_FILL[input.mixer] * REACH_LIMIT) {
    return fail(
      'mixMl',
      'not-reached',
      `The bowl is only ${Math.max(1, Math.round(100 * fillShare))}\u00a0% full and the wires do not reach it: take a smaller bowl, or whisk it by hand. There is no time to plan on.`,
    );
  }
  const speed = input.mixer === 'planetary' ? SPEED_FACTOR[input.speed] : 1;
  const aboveC = Math.max(0, input.creamC - COLD_ENOUGH_C);
  const factors = {
    fat: (input.fatPct / REFERENCE_FAT_PCT) ** FAT_POWER,
    mixer: MIXER_FACTOR[input.mixer] * speed,
    fill: fillFactor(BEST_FILL[input.mixer], fillShare),
    warmth: WARM_RATE ** aboveC,
    sugar: sugarRateFactor(input.sugarAt, input.sugarPer100),
    cheese: 1 + RATE_GAIN_PER_SHARE.mascarpone * input.mascarponeShare + RATE_GAIN_PER_SHARE.softCheese * input.softCheeseShare,
    sour: 1 + SOUR_WHISK.rate * Math.min(SOUR_WHISK.most, input.acidGPerKg ?? 0),
    kind: creamKindFactor(input, 'rate'),
  };
  const common = REFERENCE_RATE_PER_S * factors.mixer * factors.fill * factors.sugar * factors.cheese * factors.sour * factors.kind;
  const ratePerS = common * factors.fat * factors.warmth;
  const slows = input.mixer === 'planetary' && input.slowFromSoft && input.speed !== 'slow' ? SPEED_FACTOR.slow / speed : 1;
  return ok({
    ratePerS,
    lateRatePerS: ratePerS * slows,
    clumpRatePerS: common * clumpFat(input.fatPct) * WARM_CLUMPING ** aboveC * slows * (1 - (input.plantShare ?? 0)),
    standsX: input.creamC > NO_PEAK_FROM_C ? 0 : input.creamC > CHURNS_FROM_C ? STAGE_X.firm - 1e-9 : 1,
    churns: Math.min(1, Math.max(0, (input.creamC - CHURNS_FROM_C) / (CHURNS_WHOLLY_C - CHURNS_FROM_C))),
    reachablePct: reachable.value,
    factors,
    fillShare,
  });
}

const SOFT = logit(STAGE_X.soft) - START;
const FIRM = logit(STAGE_X.firm) - START;

/** Seconds until the fat network is x; null where it never gets there, as a plant cream to butter. */
export function secondsTo(w: Whip, x: number): number | null {
  if (x <= X_START) return 0;
  const z = logit(x) - START;
  const soft = Math.min(z, SOFT) / w.ratePerS;
  const firm = Math.max(0, Math.min(z, FIRM) - SOFT) / w.lateRatePerS;
  if (z <= FIRM) return soft + firm;
  return w.clumpRatePerS > 0 ? soft + firm + (z - FIRM) / w.clumpRatePerS : null;
}

/** Fat network after some seconds, from 0.02 on. */
export function networkAt(w: Whip, seconds: number): number {
  const soft = SOFT / w.ratePerS;
  const firm = soft + (FIRM - SOFT) / w.lateRatePerS;
  const z = seconds <= soft ? w.ratePerS * seconds : seconds <= firm ? SOFT + w.lateRatePerS * (seconds - soft) : FIRM + w.clumpRatePerS * (seconds - firm);
  return 1 / (1 + Math.exp(-(START + z)));
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

/** Seconds until a stage; null where no clean peak of it stands, and where it never comes. */
export const secondsToStage = (w: Whip, stage: Stage): number | null =>
  WISHED_STAGES.some((s) => s === stage) && STAGE_X[stage] > w.standsX ? null : secondsTo(w, STAGE_X[stage]);

/** The network at which the window of a stage closes: at the next stage; where the cream churns, at the first grain. */
export function closesAtX(w: Whip, stage: WishedStage): number {
  const next = STAGE_X[STAGES[STAGES.indexOf(stage) + 1]!];
  return next + w.churns * Math.max(0, STAGE_X.grainy - next);
}

/** The stop window of a stage; null where no clean peak of that stage stands. */
export function stopWindow(w: Whip, stage: WishedStage): StopWindow | null {
  if (STAGE_X[stage] > w.standsX) return null;
  return { opensS: secondsTo(w, STAGE_X[stage])!, closesS: secondsTo(w, closesAtX(w, stage)) };
}

/** Overrun at the moment a stage is reached, %; null where no clean peak of that stage stands. */
export function overrunAtStage(w: Whip, stage: WishedStage): number | null {
  return STAGE_X[stage] > w.standsX ? null : overrunAt(w, secondsTo(w, STAGE_X[stage])!);
}

export type WhiskWarning =
  /** No clean peak of that stage; which one still stands. */
  | { readonly key: 'never'; readonly reaches: WishedStage | null }
  /** Too lean: firm may not come, or it will not stand. */
  | { readonly key: 'lean'; readonly willStand: boolean }
  | { readonly key: 'warm' }
  /** It thickens sooner than cream does. */
  | { readonly key: 'sour' }
  | { readonly key: 'climbs-out' }
  | { readonly key: 'too-full' };

/** Foam of one bowlful at the reachable overrun over the bowl. */
const foamShare = (input: Pick<WhiskInput, 'mixMl' | 'bowlMl'>, reachablePct: number, batches: number): number =>
  foamVolumeMl(input.mixMl / batches, reachablePct) / input.bowlMl;

/**
 * The fewest bowlfuls that each fill the bowl no more than is good for it, foam included.
 * Null when more than 50 would be needed, or where nothing is known of that cream.
 */
export function bowlfulsNeeded(input: Omit<WhiskInput, 'batches' | 'target'>): number | null {
  const reachable = reachableOverrunPct(input);
  if (!reachable.ok) return null;
  const most = BEST_FILL[input.mixer] * GOOD_FILL.high;
  for (let n = 1; n <= 50; n++) {
    if (input.mixMl / n / input.bowlMl <= most + 1e-9 && foamShare(input, reachable.value, n) <= CLIMB_SHARE) return n;
  }
  return null;
}

/** Acid, g a kg of the bowl, from which the thickening is said beforehand. */
const SOUR_SAID_FROM = 1;

/** What to say before the whisk is switched on; empty when nothing is wrong. */
export function whiskWarnings(input: WhiskInput, w: Whip): WhiskWarning[] {
  const warnings: WhiskWarning[] = [];
  if (STAGE_X[input.target] > w.standsX) warnings.push({ key: 'never', reaches: WISHED_STAGES.findLast((s) => STAGE_X[s] <= w.standsX) ?? null });
  else if (input.creamC > COLD_ENOUGH_C) warnings.push({ key: 'warm' });
  if (input.fatPct < LEAN.willNotStandPct) warnings.push({ key: 'lean', willStand: false });
  else if (input.fatPct < LEAN.mayNotComePct && input.target === 'firm') warnings.push({ key: 'lean', willStand: true });
  if ((input.acidGPerKg ?? 0) >= SOUR_SAID_FROM) warnings.push({ key: 'sour' });
  if (foamShare(input, w.reachablePct, input.batches) > CLIMB_SHARE) warnings.push({ key: 'climbs-out' });
  else if (w.fillShare > BEST_FILL[input.mixer] * GOOD_FILL.high + 1e-9) warnings.push({ key: 'too-full' });
  return warnings;
}
