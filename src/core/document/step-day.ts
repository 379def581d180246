import { DAY_PARTS, type DayPart } from './kinds';
import type { Step } from './schema';

/** When a step is done, as far as it is said: so many days before serving, by which part of that day. */
export type StepDay = Pick<Step, 'ahead' | 'by'>;

/** 'The day before', '3 days before', 'in the morning', 'the day before, in the morning'; '' where nothing is said. */
export function dayWords({ ahead, by }: StepDay): string {
  const day = ahead === 0 ? '' : ahead === 1 ? 'the day before' : `${ahead}\u00a0days before`;
  return [day, by === null ? '' : `in the ${by}`].filter(Boolean).join(', ');
}

/** The same beside the words of a step: '' where they say it themselves. */
export const dayBeside = (step: StepDay & Pick<Step, 'title'>): string =>
  /\bdays? (?:before|ahead|in advance)\b|\bnight before\b|\bevening before\b|\bmorning\b|\bafternoon\b/i.test(step.title) ? '' : dayWords(step);

const WITHIN_DAYS = 3;

/** One of the days that a step can be done on, as one word of a list: '0', '1 morning'. */
export const dayKey = ({ ahead, by }: StepDay): string => [ahead, by ?? ''].join(' ').trim();

/** The day of a word of that list. @param key as `dayKey` gives it; any other is the day of serving. */
export function dayOfKey(key: string): StepDay {
  const [days = '', part = ''] = key.split(' ');
  const ahead = Number(days);
  return { ahead: Number.isInteger(ahead) && ahead > 0 ? Math.min(30, ahead) : 0, by: DAY_PARTS.find((p) => p === part) ?? null };
}

/** The days that a step can be done on, with their words; the one that stands is always among them. */
export function dayChoices(now: StepDay): readonly (readonly [string, string])[] {
  const parts: readonly (DayPart | null)[] = [null, 'morning', 'afternoon'];
  const days: readonly StepDay[] = [...parts.map((by) => ({ ahead: 0, by })), ...Array.from({ length: WITHIN_DAYS }, (_, i) => ({ ahead: i + 1, by: null }))];
  const all = days.some((d) => dayKey(d) === dayKey(now)) ? days : [...days, now];
  return all.map((d) => [dayKey(d), dayWords(d) || 'any time before serving'] as const);
}
