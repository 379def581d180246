import { localTime, weekday } from './zone';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const SHORT = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

export const clockOf = (minute: number, zone: string): string => localTime(minute, zone).slice(11);
export const dayName = (minute: number, zone: string): string => DAYS[weekday(localTime(minute, zone).slice(0, 10)) - 1]!;
/** 'Fri 14:05' */
export const dayClock = (minute: number, zone: string): string => `${SHORT[weekday(localTime(minute, zone).slice(0, 10)) - 1]!} ${clockOf(minute, zone)}`;
/** 'Fri 27.11.' */
export const dayDate = (minute: number, zone: string): string => {
  const local = localTime(minute, zone);
  return `${SHORT[weekday(local.slice(0, 10)) - 1]!} ${Number(local.slice(8, 10))}.${Number(local.slice(5, 7))}.`;
};

/** 'Fri 27.11. 10:05'; with its year where that is not the year of `now`. */
export function fullMoment(minute: number, zone: string, now: number): string {
  const [year, present] = [localTime(minute, zone).slice(0, 4), localTime(now, zone).slice(0, 4)];
  return `${dayDate(minute, zone)}${year === present ? '' : year} ${clockOf(minute, zone)}`;
}
