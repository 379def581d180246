/**
 * How the core says that it has no answer. A `Fault` is worded for a cook and names the field at
 * fault; callers show it where that field stands. Nothing in the core returns NaN or Infinity.
 */
export interface Fault {
  /** The input at fault, as named in the function's own input. */
  readonly field: string;
  /** Stable machine word, for tests and for choosing an action. */
  readonly code: string;
  /** One plain sentence: what was read, what is wrong, what to do. */
  readonly says: string;
}

export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: Fault };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (field: string, code: string, says: string): Result<never> => ({
  ok: false,
  fault: { field, code, says },
});

/** A number as a sentence shows it: four digits or whole, never 15.273872022453489. */
export const readable = (value: number): string => `${Math.abs(value) >= 1000 ? Math.round(value) : Number(value.toPrecision(4))}`;

/** Checks that a number is finite and within [min, max]; the sentence names the range with its unit. */
export function within(field: string, name: string, value: number, min: number, max: number, unit: string): Fault | null {
  if (Number.isFinite(value) && value >= min && value <= max) return null;
  const read = Number.isFinite(value) ? readable(value) : 'not a number';
  return {
    field,
    code: 'out-of-range',
    says: `${name} is ${read}; it works from ${readable(min)} to ${readable(max)}\u00a0${unit}.`.replace('\u00a0.', '.'),
  };
}
