import type { StepWhisk } from '../analysis/step-whisk';

/** Where a running whisk is against its forecast. */
export type TimerPhase =
  /** Not started. */
  | 'ready'
  /** Too early to stop, by the whole spread of the forecast. */
  | 'whisking'
  /** It may be there already: the spread has begun. */
  | 'watch'
  /** Within the forecast stop window. */
  | 'stop'
  /** The window has closed. */
  | 'over'
  | 'stopped';

/** Seconds of the calls, counted from the start. */
export interface TimerMarks {
  readonly watchS: number;
  readonly opensS: number;
  /** Null when the next stage never comes. */
  readonly closesS: number | null;
}

/** The least warning that a call gives, s. */
const LEAST_WARNING_S = 10;

/** When to call: from the early end of the forecast's spread, at least ten seconds before the window. Null where nothing can be said. */
export const timerMarks = (whisk: Pick<StepWhisk, 'earlyS' | 'opensS' | 'closesS'> | null): TimerMarks | null =>
  whisk && { watchS: Math.max(0, Math.min(whisk.earlyS, whisk.opensS - LEAST_WARNING_S)), opensS: whisk.opensS, closesS: whisk.closesS };

export interface TimerState {
  readonly startedAt: number | null;
  readonly stoppedAt: number | null;
}

/** Seconds that a timer has run by the wall clock; 0 when the clock was moved back past the start. */
export function elapsedS(timer: TimerState, now: number): number {
  if (timer.startedAt === null) return 0;
  return Math.max(0, ((timer.stoppedAt ?? now) - timer.startedAt) / 1000);
}

export function phaseOf(timer: TimerState, marks: TimerMarks | null, now: number): TimerPhase {
  if (timer.startedAt === null) return 'ready';
  if (timer.stoppedAt !== null) return 'stopped';
  if (!marks) return 'whisking';
  const s = elapsedS(timer, now);
  if (s < marks.watchS) return 'whisking';
  if (s < marks.opensS) return 'watch';
  return marks.closesS !== null && s >= marks.closesS ? 'over' : 'stop';
}
