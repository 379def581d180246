import { localTime } from '../../core/timetable/zone';

/** How close the ribbon is looked at: pixels for a minute. */
export const ZOOMS = [
  ['week', 'week', 0.11],
  ['day', 'day', 0.75],
  ['hours', '4 hours', 3.3],
  ['minutes', '10 minutes', 20],
] as const;
export type Zoom = (typeof ZOOMS)[number][0] | 'whole';

export interface Tick {
  readonly at: number;
  /** Time of day; at midnight the day. */
  readonly label: string;
  readonly day: boolean;
}

const STEPS = [5, 10, 15, 30, 60, 120, 180, 360, 720, 1440];
const LABEL_PX = 58;

/**
 * Marks of the clock between two minutes, as far apart as their labels need. On the night of a clock change the marks follow the clock: an hour
 * that comes twice is marked twice, one that is skipped not at all.
 */
export function ticksOf(from: number, to: number, pxPerMin: number, zone: string): readonly Tick[] {
  const step = STEPS.find((s) => s * pxPerMin >= LABEL_PX) ?? 1440;
  const every = Math.min(step, 60);
  const ticks: Tick[] = [];
  for (let t = Math.ceil(from / every) * every; t <= to; t += every) {
    const local = localTime(t, zone);
    const ofDay = Number(local.slice(11, 13)) * 60 + Number(local.slice(14, 16));
    if (ofDay % step !== 0) continue;
    ticks.push({ at: t, label: local.slice(11), day: ofDay === 0 });
  }
  return ticks;
}

/** Beginnings of the clock's days between two minutes, the day that is already on first. */
export function daysOf(from: number, to: number, zone: string): readonly number[] {
  const days = [from];
  for (let t = Math.ceil(from / 60) * 60; t <= to; t += 60) if (localTime(t, zone).slice(11) === '00:00' && t > from) days.push(t);
  return days;
}

/** The nearest five minutes. */
export const snapped = (minute: number): number => Math.round(minute / 5) * 5;

/** Pixels for a minute at which a plan just fits. */
export const fitting = (from: number, to: number, widthPx: number): number => Math.max(0.05, Math.min(8, widthPx / Math.max(60, to - from)));
