import { z } from 'zod';
import { overrunFromCups, foamVolumeMl } from '../foam/overrun';
import { readMeasured } from '../measures/measured';
import { asDecimal } from '../measures/quantity';
import { fail, ok, type Result } from '../result';
import type { Forecast, ForecastBand } from './forecast';
import type { ReadingKind } from './method';

export const READING_KINDS = ['cream-temperature', 'cup-liquid', 'cup-foam', 'minutes-to-stage', 'hold-hours'] as const satisfies readonly ReadingKind[];
export const ReadingKindSchema = z.enum(READING_KINDS);

interface ReadingForm {
  readonly name: string;
  readonly unit: string;
  readonly hint: string;
  readonly min: number;
  readonly max: number;
}

/** How each reading is asked for, and between what it must lie. */
export const READING_FORMS: Readonly<Record<ReadingKind, ReadingForm>> = {
  'cream-temperature': { name: 'Cream in the bowl', unit: '°C', hint: '5', min: -2, max: 25 },
  'cup-liquid': { name: 'Cup of liquid, net', unit: 'g', hint: '120', min: 1, max: 20_000 },
  'cup-foam': { name: 'Same cup of foam, net', unit: 'g', hint: '58', min: 0.5, max: 20_000 },
  'minutes-to-stage': { name: 'Time to the stage', unit: 'min', hint: '4:10', min: 0.05, max: 240 },
  'hold-hours': { name: 'Stayed clean for', unit: 'h', hint: '20', min: 0.1, max: 240 },
};

/**
 * Reads what a cook typed for a reading: a number, a fraction, a small sum, or minutes and seconds as '4:10'.
 * @returns the value in the reading's unit; a fault on the reading's kind that names what was read and the range.
 */
export function readReading(kind: ReadingKind, text: string): Result<number> {
  const form = READING_FORMS[kind];
  const clock = kind === 'minutes-to-stage' ? /^(\d{1,3}):([0-5]\d)(?:\s*min)?$/.exec(text.trim()) : null;
  const read = clock ? ok({ value: Number(clock[1]) + Number(clock[2]) / 60 }) : readMeasured(text, form.unit);
  if (!read.ok) return fail(kind, read.fault.code, read.fault.code === 'empty' ? 'Nothing is written here yet.' : read.fault.says);
  const { value } = read.value;
  if (value < form.min || value > form.max) {
    return fail(
      kind,
      'out-of-range',
      `${form.name} reads ${asDecimal(value)}\u00a0${form.unit}; it lies between ${form.min} and ${form.max}\u00a0${form.unit}. Read it again.`,
    );
  }
  return ok(value);
}

export type Readings = Readonly<Partial<Record<ReadingKind, number>>>;

/** One figure of a batch as forecast and as it came. */
export interface Comparison {
  readonly key: 'time' | 'overrun' | 'yield' | 'hold';
  readonly name: string;
  readonly unit: string;
  readonly forecast: ForecastBand | null;
  /** Null until it has been taken, or where the readings make no sense (then `fault` says why). */
  readonly outcome: number | null;
  readonly fault: string | null;
}

/** Forecast beside outcome: time to the stage (s), overrun (%), yield (mL), hold (h). */
export function compareOutcome(forecast: Forecast, readings: Readings): readonly Comparison[] {
  const liquid = readings['cup-liquid'];
  const foam = readings['cup-foam'];
  const overrun = liquid !== undefined && foam !== undefined ? overrunFromCups(liquid, foam) : null;
  const overrunPct = overrun?.ok ? overrun.value : null;
  const fault = overrun && !overrun.ok ? overrun.fault.says : null;
  const minutes = readings['minutes-to-stage'];
  return [
    {
      key: 'time',
      name: `Time to ${forecast.stage}`,
      unit: 's',
      forecast: forecast.stageTimeS,
      outcome: minutes === undefined ? null : minutes * 60,
      fault: null,
    },
    { key: 'overrun', name: 'Air', unit: '%', forecast: forecast.overrunPct, outcome: overrunPct, fault },
    {
      key: 'yield',
      name: 'Yield',
      unit: 'mL',
      forecast: forecast.yieldMl,
      outcome: overrunPct === null ? null : foamVolumeMl(forecast.mixMl, overrunPct),
      fault,
    },
    { key: 'hold', name: 'Clean in the fridge', unit: 'h', forecast: forecast.holdCleanH, outcome: readings['hold-hours'] ?? null, fault: null },
  ];
}
