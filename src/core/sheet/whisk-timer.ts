import type { Forecast } from './forecast';

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

/** Seconds of the calls, counted from the start; null where the stage never comes. */
export interface TimerMarks {
  readonly watchS: number;
  readonly opensS: number;
  /** Null when the next stage never comes. */
  readonly closesS: number | null;
}

/** The least warning that a call gives, s. */
const LEAST_WARNING_S = 10;

/** When to call: from the early end of the forecast's spread, at least ten seconds before the window. */
export function timerMarks(forecast: Forecast): TimerMarks | null {
  const time = forecast.stageTimeS;
  if (!time) return null;
  const next = ({ soft: 'medium', medium: 'firm', firm: 'grainy' } as const)[forecast.stage];
  return { watchS: Math.max(0, Math.min(time.low, time.value - LEAST_WARNING_S)), opensS: time.value, closesS: forecast.stageS[next] };
}

export interface TimerState {
  readonly startedAt: number | null;
  readonly stoppedAt: number | null;
}

/** Seconds that the whisk has run by the wall clock; 0 when the clock was moved back past the start. */
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
