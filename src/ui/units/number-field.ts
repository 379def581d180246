import { asDecimal } from '../../core/measures/quantity';
import { readMeasured, type Measured } from '../../core/measures/measured';
import { shownField, typedIn } from '../../core/measures/shown';
import { unitsHere } from '../../core/measures/shown-here';
import { ok, type Result } from '../../core/result';

/** A field for one number, in the kitchen's units. */
export interface NumberField {
  /** What stands beside it. */
  readonly unit: string;
  /** A value as it stands in the field. */
  readonly says: (value: number) => string;
  /** What was typed, as a value in the field's own unit; `converted` where it said another unit than stands beside it. */
  readonly read: (text: string) => Result<Measured>;
}

/** What was typed in another unit, to a thousandth of the field's own. */
const kept = (n: number): number => Math.round(n * 1000) / 1000;
/** What stands in a field that is shown in another unit: to a hundredth, for 71.1 °C is 160 °F and not 159.98. */
const near = (n: number): number => Math.round(n * 100) / 100;

/** Four digits of what is small; all of what is large: 12 345 min are not 12 350. */
const inFull = (n: number): string => (Math.abs(n) < 1000 ? asDecimal(n) : String(near(n)));

/** @param unit the field's own. @param most the largest value that it takes. */
export function numberField(unit: string, most: number): NumberField {
  const shown = shownField(unit, unitsHere(), most);
  return {
    unit: shown?.unit ?? unit,
    says: (value) => inFull(shown ? near(shown.out(value)) : value),
    read: (text) => {
      const own = shown ? typedIn(text, unit, unitsHere()) : text;
      const read = readMeasured(own, unit);
      return read.ok && read.value.converted ? ok({ value: kept(read.value.value), converted: own === text }) : read;
    },
  };
}
