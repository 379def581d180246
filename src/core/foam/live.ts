import { readTable } from '../interpolate';
import { LOAD_BY_NETWORK, SPEED_FACTOR, SPREAD, STAGE_X } from './house';
import { closesAtX, logit, stageAt, START, type Whip } from './whisk';
import type { Stage, WishedStage } from './kinds';

/**
 * Where a running whisk is, from the load on its motor. The forecast's own curve is kept, run quicker or slower by a factor r that nobody
 * knows: log r is normal about 0 with the forecast's spread. Each r (and each of a few bends of the load's rise) says which load should
 * have been seen; the sensor's zero and gain are unknown too, and each grid point follows its own best zero and gain with a Kalman filter
 * (the zero may drift and jump). How well it foresaw each sample says, by Bayes' rule, how likely its r is. Without a sample it is the forecast, by the clock alone.
 */

const RATES = 81;
const BENDS = [0.8, 0.87, 0.94, 1, 1.07, 1.14, 1.21];
const GRID = RATES * BENDS.length;
/** The grid reaches so many standard deviations of the forecast to either side. */
const REACH = 3.2;

/** What is known of a sensor beforehand, in % of its load at firm: a zero that may lie, a gain that was set roughly. */
const ZERO = { mean: 0, sd: 60, drift: 0.05 };
const GAIN = { mean: 100, sd: 16 };
/** On slow the motor works less: the share of its gain that stays, known only roughly. */
const SLOW_GAIN = { mean: 0.7, sd: 0.25 };
/** Samples stand for fewer than they are: their errors hang together, and the model is not exact. */
const WORTH = 1 / 8;
const NOISE = { start: 4, floor: 0.8, memory: 0.04 };
/** A sample this many noises off its neighbours is held back; so many held ones that agree are a jump of the zero. */
/**
 * So many samples wait before they count, so that what comes after them can tell a spike or a jump of the zero from a rise. A spike lies
 * `spike` noises off those about it; a jump parts the waiting ones into two levels that lie `jump` standard errors and a real rise apart.
 */
const WAIT = { samples: 12, side: 4, spike: 5, jump: 4.5, rise: 2 };
/** After a gap this long the neighbours no longer count, s. */
export const SILENT_AFTER_S = 3;

/** One sample of the load; seconds since the whisk was switched on. */
export interface LoadSample {
  readonly tS: number;
  /** % of the load at firm; anything finite, below 0 too. */
  readonly load: number;
}

/** The state of the filter. Its arrays are rewritten by `takeSample`; nobody else touches them. */
export interface LiveFilter {
  readonly whip: Whip;
  readonly target: WishedStage;
  /** Standard deviation of log r beforehand. */
  readonly sd: number;
  /** Log of how likely each grid point is: the prior, and every sample since. */
  readonly log: Float64Array;
  /** Zero and gain of the sensor as each grid point has them, with their variances and covariance. */
  readonly zero: Float64Array;
  readonly gain: Float64Array;
  readonly vz: Float64Array;
  readonly vzg: Float64Array;
  readonly vg: Float64Array;
  noise: number;
  /** Jumps of the zero seen so far, taken off every sample. */
  shift: number;
  waiting: Waiting[];
  lastAtS: number | null;
  taken: number;
  /** When the cook dropped to slow, s; null while not. */
  slowAtS: number | null;
}

const LOG_SD = Math.log(1 + SPREAD.whiskTime);
const logRate = (i: number, sd: number): number => sd * REACH * ((2 * i) / (RATES - 1) - 1);

/** A filter that has seen nothing yet. @param sd standard deviation of log r; the forecast's spread unless the log knows better. */
export function startLive(whip: Whip, target: WishedStage, sd = LOG_SD): LiveFilter {
  const log = new Float64Array(GRID);
  for (let i = 0; i < RATES; i++) log.fill(-0.5 * (logRate(i, sd) / sd) ** 2, i * BENDS.length, (i + 1) * BENDS.length);
  const all = (value: number): Float64Array => new Float64Array(GRID).fill(value);
  return {
    whip,
    target,
    sd,
    log,
    zero: all(ZERO.mean),
    gain: all(GAIN.mean),
    vz: all(ZERO.sd ** 2),
    vzg: all(0),
    vg: all(GAIN.sd ** 2),
    noise: NOISE.start,
    shift: 0,
    waiting: [],
    lastAtS: null,
    taken: 0,
    slowAtS: null,
  };
}

/** On slow the plan's late rate holds, whether or not the plan had meant to slow down. */
const slowShare = ({ ratePerS, lateRatePerS }: Whip): number => (lateRatePerS < ratePerS ? lateRatePerS / ratePerS : SPEED_FACTOR.slow);
/** The clumping at the speed that it began with. */
const clumpFast = ({ ratePerS, lateRatePerS, clumpRatePerS }: Whip): number => (clumpRatePerS * ratePerS) / lateRatePerS;
const FIRM = logit(STAGE_X.firm) - START;

/** The network at a rate r times the forecast's. */
function networkOf(f: LiveFilter, rate: number, tS: number): number {
  const { whip: w, slowAtS } = f;
  // Seconds at the first speed that come to as much.
  const worth = slowAtS === null || tS <= slowAtS ? tS : slowAtS + slowShare(w) * (tS - slowAtS);
  const firmS = FIRM / (rate * w.ratePerS);
  const z = worth <= firmS ? rate * w.ratePerS * worth : FIRM + rate * clumpFast(w) * (worth - firmS);
  return 1 / (1 + Math.exp(-(START + z)));
}

/**
 * Seconds until the network is x at a rate r times the forecast's; null where it never is. Where the plan drops to slow at soft peak and
 * the cook has not yet, he is taken to do it there, or now where that is past.
 */
function arrivalS(f: LiveFilter, rate: number, x: number, nowS: number): number | null {
  const { whip: w } = f;
  const z = logit(x) - START;
  if (z > FIRM && w.clumpRatePerS <= 0) return null;
  const fast = Math.min(z, FIRM) / (rate * w.ratePerS) + (z > FIRM ? (z - FIRM) / (rate * clumpFast(w)) : 0);
  const softS = (logit(STAGE_X.soft) - START) / (rate * w.ratePerS);
  const dropS = f.slowAtS ?? (w.lateRatePerS < w.ratePerS ? Math.max(softS, nowS) : Infinity);
  return fast <= dropS ? fast : dropS + (fast - dropS) / slowShare(w);
}

/** A sample that waits, and whether it lies far off its neighbours. */
interface Waiting extends LoadSample {
  readonly spike: boolean;
}

/** Where the waiting samples fall into two levels, and how far apart these lie; null where they are one. */
function jumpIn(waiting: readonly LoadSample[], noise: number): { readonly at: number; readonly by: number } | null {
  const n = waiting.length;
  let all = 0;
  for (const w of waiting) all += w.load;
  let found: { at: number; by: number } | null = null;
  let most: number = WAIT.jump;
  let left = 0;
  for (let at = 1; at <= n - WAIT.side; at++) {
    left += waiting[at - 1]!.load;
    if (at < WAIT.side) continue;
    const by = (all - left) / (n - at) - left / at;
    const worth = (Math.abs(by) - WAIT.rise) / (noise * Math.sqrt(1 / at + 1 / (n - at)));
    if (worth > most) [found, most] = [{ at, by }, worth];
  }
  return found;
}

/** Whether the third last of the waiting lies far off the two before and the two after it. */
function isSpike(waiting: readonly LoadSample[], noise: number): boolean {
  const five = waiting.slice(-5).map((w) => w.load);
  return five.length === 5 && Math.abs(five[2]! - five.toSorted((a, b) => a - b)[2]!) > WAIT.spike * noise;
}

/**
 * Takes a sample in. It counts once those after it have come, so that spikes are left out and a jump of the zero is taken off.
 * @returns whether it was a sample at all: finite, and later than the last.
 */
export function takeSample(f: LiveFilter, sample: LoadSample): boolean {
  if (!Number.isFinite(sample.load) || !Number.isFinite(sample.tS) || sample.tS < 0 || (f.lastAtS !== null && sample.tS <= f.lastAtS)) return false;
  if (f.lastAtS !== null && sample.tS - f.lastAtS > SILENT_AFTER_S) f.waiting = [];
  f.lastAtS = sample.tS;
  f.taken++;
  const before = f.waiting.at(-1);
  const load = sample.load - f.shift;
  if (before) {
    const step = Math.abs(load - before.load) / 1.128;
    f.noise = Math.max(NOISE.floor, f.noise + NOISE.memory * (Math.min(step, 3 * f.noise) - f.noise));
  }
  f.waiting.push({ tS: sample.tS, load, spike: false });
  const third = f.waiting.length - 3;
  if (isSpike(f.waiting, f.noise)) f.waiting[third] = { ...f.waiting[third]!, spike: true };
  if (f.waiting.length < WAIT.samples) return true;
  const clean = f.waiting.filter((w) => !w.spike);
  const jump = clean.length >= 2 * WAIT.side ? jumpIn(clean, f.noise) : null;
  if (jump) {
    f.shift += jump.by;
    // How far it jumped is known only so well.
    const unsure = f.noise * f.noise * (1 / jump.at + 1 / (clean.length - jump.at)) + WAIT.rise ** 2;
    for (let at = 0; at < GRID; at++) f.vz[at]! += unsure;
    const fromS = clean[jump.at]!.tS;
    f.waiting = f.waiting.map((w) => (w.tS >= fromS ? { ...w, load: w.load - jump.by } : w));
  }
  const oldest = f.waiting.shift()!;
  if (!oldest.spike) count(f, oldest);
  return true;
}

/** Lets every grid point see a sample: how well it foresaw it, and what that says of its zero and gain. */
function count(f: LiveFilter, { tS, load: y }: LoadSample): void {
  const r = (f.noise * f.noise) / WORTH;
  for (let i = 0; i < RATES; i++) {
    const load = readTable(LOAD_BY_NETWORK, networkOf(f, Math.exp(logRate(i, f.sd)), tS)) ?? 0;
    const log = load > 0 ? Math.log(load) : -Infinity;
    for (let b = 0; b < BENDS.length; b++) {
      const at = i * BENDS.length + b;
      const l = Math.exp(BENDS[b]! * log);
      const vz = f.vz[at]! + ZERO.drift ** 2;
      const a = vz + l * f.vzg[at]!;
      const c = f.vzg[at]! + l * f.vg[at]!;
      const s = a + l * c + r;
      const off = y - f.zero[at]! - l * f.gain[at]!;
      f.log[at]! -= 0.5 * (Math.log(s) + (off * off) / s);
      f.zero[at]! += (a * off) / s;
      f.gain[at]! += (c * off) / s;
      f.vz[at] = vz - (a * a) / s;
      f.vzg[at]! -= (a * c) / s;
      f.vg[at]! -= (c * c) / s;
    }
  }
}

/** Tells the filter that the speed was dropped to slow: the motor works less, how much less is known only roughly. */
export function dropToSlow(f: LiveFilter, atS: number): void {
  if (f.slowAtS !== null || !(atS >= 0)) return;
  const { mean, sd } = SLOW_GAIN;
  for (let at = 0; at < GRID; at++) {
    f.vg[at] = mean ** 2 * f.vg[at]! + (sd * f.gain[at]!) ** 2;
    f.gain[at]! *= mean;
    f.vzg[at]! *= mean;
    f.vz[at]! += (0.1 * f.gain[at]!) ** 2;
  }
  f.waiting = [];
  f.slowAtS = atS;
}

/** A middle and the band in which four of five lie. */
export interface LiveBand {
  readonly low: number;
  readonly mid: number;
  readonly high: number;
}

export type LivePhase =
  /** Nothing to do yet. */
  | 'whisking'
  /** The window may open within moments. */
  | 'soon'
  /** Open, as sure as three in four. */
  | 'stop'
  /** More likely closed than not. */
  | 'over';

export interface LiveView {
  /** Fat network now. */
  readonly x: LiveBand;
  readonly stage: Stage | null;
  /** Seconds since the start at which the window opens and closes; null where that never comes. */
  readonly opensS: LiveBand | null;
  readonly closesS: LiveBand | null;
  readonly phase: LivePhase;
  readonly from: 'clock' | 'load';
  /** How much quicker than the forecast it goes, as a factor. */
  readonly pace: LiveBand;
}

/** Early end of what is believed about the window's opening from which the call goes out, and this many seconds before it; 'stop' once it is this sure. */
const CALL = { from: 0.05, leadS: 6, sure: 0.75 };

/** What the filter believes at a moment. @param nowS seconds since the start, ≥ 0. */
export function liveView(f: LiveFilter, nowS: number): LiveView {
  const weight = new Float64Array(RATES);
  let most = -Infinity;
  for (let at = 0; at < GRID; at++) most = Math.max(most, f.log[at]!);
  let all = 0;
  for (let at = 0; at < GRID; at++) {
    const w = Math.exp(f.log[at]! - most);
    weight[Math.floor(at / BENDS.length)]! += w;
    all += w;
  }
  /** The rate below which a share of the belief lies, straight between grid points. */
  const rateAt = (share: number): number => {
    let below = 0;
    for (let i = 0; i < RATES; i++) {
      const here = weight[i]! / all;
      if (below + here >= share) return Math.exp(logRate(i - 0.5 + (share - below) / here, f.sd));
      below += here;
    }
    return Math.exp(logRate(RATES - 1, f.sd));
  };
  const pace: LiveBand = { low: rateAt(0.1), mid: rateAt(0.5), high: rateAt(0.9) };
  const over = (of: (rate: number) => number): LiveBand => {
    const [a, b, c] = [of(pace.low), of(pace.mid), of(pace.high)];
    return { low: Math.min(a, c), mid: b, high: Math.max(a, c) };
  };
  const arrives = (x: number): LiveBand | null => (arrivalS(f, 1, x, nowS) === null ? null : over((rate) => arrivalS(f, rate, x, nowS)!));
  const opensS = STAGE_X[f.target] > f.whip.standsX ? null : arrives(STAGE_X[f.target]);
  const closesS = opensS && arrives(closesAtX(f.whip, f.target));
  const x = over((rate) => networkOf(f, rate, nowS));
  const openS = opensS ? arrivalS(f, rateAt(1 - CALL.sure), STAGE_X[f.target], nowS)! : Infinity;
  const callS = opensS ? arrivalS(f, rateAt(1 - CALL.from), STAGE_X[f.target], nowS)! - CALL.leadS : Infinity;
  const phase: LivePhase = closesS && nowS >= closesS.mid ? 'over' : nowS >= openS ? 'stop' : nowS >= callS ? 'soon' : 'whisking';
  return { x, stage: stageAt(x.mid), opensS, closesS, phase, from: f.taken > 0 ? 'load' : 'clock', pace };
}
