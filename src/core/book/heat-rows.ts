import { plainNumber, withUnit } from '../figure';
import { coolingRulesOf, coolingVerdict, type CoolingRule } from '../heat/cooling';
import { EGG_KIND_NAMES, eggVerdict, REFERENCE_MIN, type Reading } from '../heat/lethality';
import type { KitchenRules } from '../kitchen/schema';
import type { BookBatch } from './facts';

/** How a row of the book stands: within its rule, outside of it, not written though it is time, still to come, or only told. */
export type RowState = 'in' | 'out' | 'missing' | 'open' | 'told';

export interface HeatSays {
  readonly state: RowState;
  readonly says: string;
}

const MINUTE_MS = 60_000;
const degrees = (c: number): string => withUnit(plainNumber(c, Number.isInteger(c) ? 0 : 1), '°C');
/** '90 min', '2 h 1 min': to the minute, for a rule is met or not by one. */
function minutes(min: number): string {
  const whole = Math.round(min);
  if (whole < 100) return withUnit(String(whole), 'min');
  const rest = whole % 60;
  return `${withUnit(String((whole - rest) / 60), 'h')}${rest === 0 ? '' : ` ${withUnit(String(rest), 'min')}`}`;
}

/** The temperatures of a step as a curve, minutes from its first. */
export function curveOf(batch: Pick<BookBatch, 'samples'>, stepKey: string): readonly Reading[] {
  const of = batch.samples.filter((s) => s.series.startsWith(`${stepKey}|`)).toSorted((a, b) => a.at - b.at);
  return of.map((s) => [(s.at - of[0]!.at) / MINUTE_MS, s.tC]);
}

/** The rule that the kitchen cools by: its own, else the usual one in two stages. */
export const coolingRuleOf = (rules: Pick<KitchenRules, 'cooling'>): CoolingRule => coolingRulesOf(rules.cooling)[0]!;

/**
 * A cooling log against a rule: 'in' when every stage was met, 'out' when one was late, 'missing' when a reading should be there by now and is
 * not, 'open' while there is time for it.
 * @param curve minutes and °C, in order. @param nowMin minutes from its first reading until now. @param behind whether the step was left behind.
 */
export function coolingSays(curve: readonly Reading[], rule: CoolingRule, nowMin: number, behind: boolean): HeatSays {
  if (curve.length === 0) return noReading(behind);
  const verdict = coolingVerdict(curve, rule);
  if (!verdict.ok) return { state: 'missing', says: verdict.fault.says };
  const { startMin, stages } = verdict.value;
  const last = degrees(curve.at(-1)![1]);
  if (startMin === null) return { state: behind ? 'missing' : 'open', says: `${last} at the last; the rule counts from ${degrees(rule.fromC)} down` };
  const late = stages.find((s) => s.state === 'late');
  if (late) {
    const came = late.tookMin === null ? 'not reached in time' : `after ${minutes(Math.ceil(late.tookMin))}`;
    return { state: 'out', says: `${degrees(late.toC)} ${came}; ${minutes(late.withinMin)} are allowed` };
  }
  const met = stages.filter((s) => s.state === 'met').map((s) => `${degrees(s.toC)} after ${minutes(s.tookMin!)}`);
  const waits = stages.find((s) => s.state === 'running');
  if (!waits) return { state: 'in', says: met.join(', ') };
  const leftMin = waits.withinMin - (nowMin - startMin);
  const wanted = leftMin < 0 ? `no reading at ${degrees(waits.toC)}` : `${degrees(waits.toC)} within ${minutes(leftMin)}`;
  return { state: leftMin < 0 ? 'missing' : 'open', says: [...met, `${last} at the last`, wanted].join(', ') };
}

const noReading = (behind: boolean): HeatSays =>
  behind ? { state: 'missing', says: 'no temperature was written' } : { state: 'open', says: 'no temperature yet' };

/** An egg's log against the kitchen's rule: 'in' when it reaches, 'out' when its readings do not, 'missing' without readings once it is behind. */
export function eggSays(curve: readonly Reading[], heat: Extract<NonNullable<BookBatch['steps'][number]['heat']>, { use: 'egg' }>, behind: boolean): HeatSays {
  if (curve.length === 0) return noReading(behind);
  const verdict = eggVerdict(heat.egg, curve, heat.richInSugar, heat.rule);
  if (!verdict.ok) return { state: 'missing', says: verdict.fault.says };
  const { reaches, peakC, equivalentMin, referenceC } = verdict.value;
  const worth = `at most ${degrees(peakC)}, worth ${withUnit(plainNumber(equivalentMin, 1), 'min')} at ${degrees(referenceC)} of ${REFERENCE_MIN}`;
  if (reaches) return { state: 'in', says: `${EGG_KIND_NAMES[heat.egg]} reaches the usual figure: ${worth}` };
  return { state: behind ? 'out' : 'open', says: `${EGG_KIND_NAMES[heat.egg]} does not reach the usual figure: ${worth}` };
}
