import { readMeasured } from '../measures/measured';
import { asDecimal } from '../measures/quantity';
import { fail, ok, type Result } from '../result';

/** What is seen of a batch later on. */
export const OBSERVATION_KINDS = ['weep', 'slice', 'temperature', 'note', 'photo'] as const;
export type ObservationKind = (typeof OBSERVATION_KINDS)[number];

export const SLICE_WORDS = ['stands clean', 'leans', 'smears', 'crumbles', 'falls'] as const;

interface ObservationForm {
  readonly name: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}

/** Observations with a number: how it is asked for, and between what it lies. */
export const OBSERVATION_FORMS: Readonly<Record<'weep' | 'temperature', ObservationForm>> = {
  weep: { name: 'Liquid that ran out', unit: 'g', min: 0, max: 20_000 },
  temperature: { name: 'Temperature', unit: '°C', min: -40, max: 100 },
};

/** Reads the number of an observation; a fault on `value` names what was read and the range. */
export function readObservation(kind: 'weep' | 'temperature', text: string): Result<number> {
  const form = OBSERVATION_FORMS[kind];
  const read = readMeasured(text, form.unit);
  if (!read.ok) return fail('value', read.fault.code, read.fault.says);
  const { value } = read.value;
  if (value < form.min || value > form.max)
    return fail(
      'value',
      'out-of-range',
      `${form.name} reads ${asDecimal(value)}\u00a0${form.unit}; it lies between ${form.min} and ${form.max}\u00a0${form.unit}.`,
    );
  return ok(value);
}
