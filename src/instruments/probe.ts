import { noiseAt } from './noise';
import type { InstrumentLine } from './wire';

/** A stand-in for a thermometer probe: it lags behind what it is stuck into, and may be a little off. */
export interface ProbeBench {
  readonly id: string;
  readonly name: string;
  /** What it is stuck into, °C, and how that changes, °C per min; since when; what it showed then. */
  readonly tC: number;
  readonly perMin: number;
  /** Where a rise or fall ends, °C. */
  readonly untilC: number;
  readonly since: number;
  readonly beforeC: number;
  readonly offC: number;
  readonly silent: boolean;
}

/** Time constant of the tip, ms. */
const LAG_MS = 2500;

export const freshProbe = (id: string, name: string, tC: number, now: number): ProbeBench => ({
  id,
  name,
  tC,
  perMin: 0,
  untilC: tC,
  since: now,
  beforeC: tC,
  offC: 0,
  silent: false,
});

/** What it is stuck into at a moment, °C: from where it was set, straight on, to where the change ends. */
function mediumC(p: ProbeBench, now: number): number {
  const moved = p.tC + (p.perMin * (now - p.since)) / 60_000;
  return p.perMin >= 0 ? Math.min(Math.max(p.tC, p.untilC), moved) : Math.max(Math.min(p.tC, p.untilC), moved);
}

/** What its tip has come to: a first-order lag behind a straight change. */
function tipC(p: ProbeBench, now: number): number {
  const t = Math.max(0, now - p.since);
  const slope = p.perMin / 60_000;
  const gone = Math.exp(-t / LAG_MS);
  const lagging = p.tC + slope * (t - LAG_MS * (1 - gone)) + (p.beforeC - p.tC) * gone;
  const end = mediumC(p, now);
  return p.perMin === 0 ? lagging : p.perMin > 0 ? Math.min(lagging, Math.max(end, p.tC)) : Math.max(lagging, Math.min(end, p.tC));
}

/** Sticks it into something else, or lets that warm or cool from here. */
export const stickInto = (p: ProbeBench, tC: number, perMin: number, untilC: number, now: number): ProbeBench => ({
  ...p,
  beforeC: tipC(p, now),
  tC,
  perMin,
  untilC,
  since: now,
});

/** What it says at a moment, in tenths; null while it is silent. */
export const probeSays = (p: ProbeBench, now: number): InstrumentLine | null =>
  p.silent
    ? null
    : { instrument: 'probe', id: p.id, name: p.name, unit: '°C', value: Math.round(10 * (tipC(p, now) + p.offC + 0.05 * noiseAt(p.id, now))) / 10, at: now };
