import { shownField } from '../../core/measures/shown';
import { unitsHere } from '../../core/measures/shown-here';

/** An axis of a chart as it is shown. */
export interface ShownAxis {
  readonly name: string;
  /** Where a value of the core's stands on it. */
  readonly out: (value: number) => number;
  /** The value of a place on it. */
  readonly in: (shown: number) => number;
}
const same = (v: number): number => v;

/** An axis in the kitchen's units, by the unit that its name ends with: 'temperature, °C'. */
export function axisIn(name: string): ShownAxis {
  const unit = /(?:^|[ ,])(°C|mm|cm|g|mL)$/.exec(name)?.[1];
  const field = unit === undefined ? null : shownField(unit, unitsHere());
  return field ? { name: `${name.slice(0, -unit!.length)}${field.unit}`, out: field.out, in: field.in } : { name, out: same, in: same };
}
