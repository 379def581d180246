import { fail, ok, within, type Result } from '../result';
import { ONE_POINT_C, WHISKED_COOLING, WHISKED_UNTIL_C } from './house';

/**
 * Pasteurisation of liquid egg: °C that is held 3.5 min (published processing tables), by what the egg is.
 * `sweet-yolk`: yolk with 2 % sugar or more; `sweet-whole`: whole egg with 2 to 12 % of it.
 */
export const EGG_REFERENCE_C = { white: 56.7, whole: 60, 'sweet-whole': 61.1, yolk: 61.1, 'sweet-yolk': 63.3 } as const;
/** Only time from here on counts, °C: below it germs grow. */
export const EGG_COUNTS_FROM_C = { white: 55, whole: 57, 'sweet-whole': 57, yolk: 57, 'sweet-yolk': 57 } as const satisfies Record<
  keyof typeof EGG_REFERENCE_C,
  number
>;
/** What a kitchen's authority takes as enough: the tables or 71 °C throughout, 71 °C alone, or 70 °C for two minutes. */
export const EGG_RULES = ['table', 'one-point', 'two-minutes'] as const;
export type EggRule = (typeof EGG_RULES)[number];
export const EGG_RULE_NAMES: Readonly<Record<EggRule, string>> = {
  table: 'the tables, or 71 °C throughout',
  'one-point': '71 °C throughout',
  'two-minutes': '70 °C for 2 min throughout',
};
/** Of the rule of two minutes: °C and min. */
export const TWO_MINUTES = { c: 70, min: 2 } as const;
export type EggKind = keyof typeof EGG_REFERENCE_C;
export const EGG_KINDS = Object.keys(EGG_REFERENCE_C) as [EggKind, ...EggKind[]];
export const EGG_KIND_NAMES: Readonly<Record<EggKind, string>> = {
  white: 'egg white',
  whole: 'whole egg',
  'sweet-whole': 'whole egg with sugar',
  yolk: 'plain yolk',
  'sweet-yolk': 'yolk with sugar',
};
export const REFERENCE_MIN = 3.5;
/** Each so many °C more kill ten times as fast. */
export const Z_C = 4.6;

/** A reading of a temperature curve. */
export type Reading = readonly [min: number, tC: number];

/**
 * Minutes at the reference temperature that a curve is worth: ∫ 10^((T − T_ref)/z) dt, straight between readings and integrated
 * exactly (published tables, z = 4.6 °C). Only time at `fromC` or above counts.
 * @param curve at least one reading, minutes rising.
 * @returns min; a fault on `curve` when it is empty, does not rise, or leaves −20 to 150 °C.
 */
export function equivalentMinutes(curve: readonly Reading[], referenceC: number, fromC = -Infinity): Result<number> {
  const steps = checkedSteps(curve);
  if (!steps.ok) return steps;
  let sum = 0;
  for (const step of steps.value) {
    const part = stepAbove(step, fromC);
    if (!part) continue;
    const x = (Math.LN10 * (part.toC - part.fromC)) / Z_C;
    const mean = Math.abs(x) < 1e-12 ? 1 : Math.expm1(x) / x;
    sum += part.min * 10 ** ((part.fromC - referenceC) / Z_C) * mean;
  }
  return ok(sum);
}

interface Step {
  readonly min: number;
  readonly fromC: number;
  readonly toC: number;
}

/** The stretches between readings, checked. */
function checkedSteps(curve: readonly Reading[]): Result<readonly Step[]> {
  if (curve.length === 0) return fail('curve', 'empty', 'There is no reading yet: write a minute and a temperature.');
  const steps: Step[] = [];
  for (let i = 0; i < curve.length; i++) {
    const [min, tC] = curve[i]!;
    const fault = within('curve', 'A reading', tC, -20, 150, '°C') ?? within('curve', 'A minute', min, 0, 100_000, 'min');
    if (fault) return { ok: false, fault };
    if (i === 0) continue;
    const [before, beforeC] = curve[i - 1]!;
    if (min < before) return fail('curve', 'not-rising', `Minute ${min} comes after minute ${before}: readings must follow each other.`);
    steps.push({ min: min - before, fromC: beforeC, toC: tC });
  }
  return ok(steps);
}

/** The part of a stretch that is at a temperature or above; null where none is. */
function stepAbove({ min, fromC, toC }: Step, leastC: number): Step | null {
  const [low, high] = [Math.min(fromC, toC), Math.max(fromC, toC)];
  if (high < leastC) return null;
  if (low >= leastC) return { min, fromC, toC };
  const share = (high - leastC) / (high - low);
  return { min: min * share, fromC: Math.max(fromC, leastC), toC: Math.max(toC, leastC) };
}

export interface EggVerdict {
  readonly reaches: boolean;
  /** By which of the two it reaches; null where it does not. */
  readonly by: 'one-point' | 'hold' | null;
  readonly peakC: number;
  /** Minutes at the reference temperature that it is worth. */
  readonly equivalentMin: number;
  readonly referenceC: number;
}

/**
 * Whether a curve reaches the usual figure for egg, by the rule of the kitchen's authority: 71 °C throughout, what 3.5 min at the reference
 * are worth (published tables), or 70 °C for two minutes. It says 'reaches' or 'does not', never 'safe'. Where sugar is rich the tables end,
 * since sugar protects: one point leads.
 */
export function eggVerdict(kind: EggKind, curve: readonly Reading[], richInSugar: boolean, rule: EggRule = 'table'): Result<EggVerdict> {
  const referenceC = EGG_REFERENCE_C[kind];
  const minutes = equivalentMinutes(curve, referenceC, EGG_COUNTS_FROM_C[kind]);
  if (!minutes.ok) return minutes;
  const peakC = curve.reduce((most, [, tC]) => Math.max(most, tC), -Infinity);
  const steps = checkedSteps(curve);
  const held = steps.ok ? steps.value.reduce((sum, step) => sum + (stepAbove(step, TWO_MINUTES.c)?.min ?? 0), 0) : 0;
  const onePoint = rule !== 'two-minutes' && peakC >= ONE_POINT_C;
  const hold = rule === 'table' ? !richInSugar && minutes.value >= REFERENCE_MIN : rule === 'two-minutes' && held >= TWO_MINUTES.min;
  return ok({ reaches: onePoint || hold, by: onePoint ? 'one-point' : hold ? 'hold' : null, peakC, equivalentMin: minutes.value, referenceC });
}

/** How a yolk foam cools under the whisk, from the temperature of the mix down to where it is whisked cool (house). */
export function whiskedCurve(fromC: number, speed: keyof typeof WHISKED_COOLING): readonly Reading[] {
  if (fromC <= WHISKED_UNTIL_C) return [[0, fromC]];
  return [
    [0, fromC],
    [(fromC - WHISKED_UNTIL_C) / WHISKED_COOLING[speed], WHISKED_UNTIL_C],
  ];
}

/** Reads a curve as a cook writes it: '0 20, 4 62, 7:30 71' or a minute and a temperature on each line. */
export function readCurve(text: string): Result<readonly Reading[]> {
  const readings: Reading[] = [];
  for (const piece of text
    .split(/[\n;,]+/)
    .map((p) => p.trim())
    .filter(Boolean)) {
    const m = /^(\d+(?:\.\d+)?)(?::([0-5]?\d))?\s*(?:min|m|')?[\s:]+(-?\d+(?:\.\d+)?)\s*(?:°?\s*c)?$/i.exec(piece);
    if (!m) return fail('curve', 'unreadable', `‘${piece.slice(0, 40)}’ cannot be read: write a minute and a temperature, like 4\u00a062.`);
    readings.push([Number(m[1]) + Number(m[2] ?? 0) / 60, Number(m[3])]);
  }
  const checked = equivalentMinutes(readings, 60);
  return checked.ok ? ok(readings) : checked;
}
