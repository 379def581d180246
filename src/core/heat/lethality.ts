import { fail, ok, within, type Result } from '../result';
import { ONE_POINT_C, WHISKED_COOLING, WHISKED_UNTIL_C } from './house';

/**
 * Pasteurisation of liquid egg: °C that is held 3.5 min (published processing tables), by what the egg is.
 * `sweet-yolk`: yolk with 2 % sugar or more.
 */
export const EGG_REFERENCE_C = { white: 56.7, whole: 60, yolk: 61.1, 'sweet-yolk': 63.3 } as const;
export type EggKind = keyof typeof EGG_REFERENCE_C;
export const EGG_KINDS = Object.keys(EGG_REFERENCE_C) as [EggKind, ...EggKind[]];
export const EGG_KIND_NAMES: Readonly<Record<EggKind, string>> = { white: 'egg white', whole: 'whole egg', yolk: 'plain yolk', 'sweet-yolk': 'yolk with sugar' };
export const REFERENCE_MIN = 3.5;
/** Each so many °C more kill ten times as fast. */
export const Z_C = 4.6;

/** A reading of a temperature curve. */
export type Reading = readonly [min: number, tC: number];

/**
 * Minutes at the reference temperature that a curve is worth: ∫ 10^((T − T_ref)/z) dt, straight between readings and integrated
 * exactly (published tables, z = 4.6 °C).
 * @param curve at least one reading, minutes rising.
 * @returns min; a fault on `curve` when it is empty, does not rise, or leaves −20 to 150 °C.
 */
export function equivalentMinutes(curve: readonly Reading[], referenceC: number): Result<number> {
  if (curve.length === 0) return fail('curve', 'empty', 'There is no reading yet: write a minute and a temperature.');
  let sum = 0;
  for (let i = 0; i < curve.length; i++) {
    const [min, tC] = curve[i]!;
    const fault = within('curve', 'A reading', tC, -20, 150, '°C') ?? within('curve', 'A minute', min, 0, 100_000, 'min');
    if (fault) return { ok: false, fault };
    if (i === 0) continue;
    const [before, beforeC] = curve[i - 1]!;
    if (min < before) return fail('curve', 'not-rising', `Minute ${min} comes after minute ${before}: readings must follow each other.`);
    const x = (Math.LN10 * (tC - beforeC)) / Z_C;
    const mean = Math.abs(x) < 1e-12 ? 1 : Math.expm1(x) / x;
    sum += (min - before) * 10 ** ((beforeC - referenceC) / Z_C) * mean;
  }
  return ok(sum);
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
 * Whether a curve reaches the usual figure for egg: 71 °C throughout, or what 3.5 min at the reference are worth (published tables).
 * It says 'reaches' or 'does not', never 'safe'. Where sugar is rich the one-point rule leads, since sugar protects and the tables end there.
 */
export function eggVerdict(kind: EggKind, curve: readonly Reading[], richInSugar: boolean): Result<EggVerdict> {
  const referenceC = EGG_REFERENCE_C[kind];
  const minutes = equivalentMinutes(curve, referenceC);
  if (!minutes.ok) return minutes;
  const peakC = Math.max(...curve.map(([, tC]) => tC));
  const onePoint = peakC >= ONE_POINT_C;
  const hold = !richInSugar && minutes.value >= REFERENCE_MIN;
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
  for (const piece of text.split(/[\n;,]+/).map((p) => p.trim()).filter(Boolean)) {
    const m = /^(\d+(?:\.\d+)?)(?::([0-5]?\d))?\s*(?:min|m|')?[\s:]+(-?\d+(?:\.\d+)?)\s*(?:°?\s*c)?$/i.exec(piece);
    if (!m) return fail('curve', 'unreadable', `‘${piece.slice(0, 40)}’ cannot be read: write a minute and a temperature, like 4\u00a062.`);
    readings.push([Number(m[1]) + Number(m[2] ?? 0) / 60, Number(m[3])]);
  }
  const checked = equivalentMinutes(readings, 60);
  return checked.ok ? ok(readings) : checked;
}
