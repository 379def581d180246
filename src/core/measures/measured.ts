import { fail, ok, type Result } from '../result';
import { readQuantity } from './quantity';
import { CU_FT_ML, INCH_MM, unitNamed } from './units';

const LENGTHS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: INCH_MM,
  inch: INCH_MM,
  inches: INCH_MM,
  '"': INCH_MM,
  '”': INCH_MM,
  '″': INCH_MM,
  ft: 12 * INCH_MM,
};
const TIMES_MIN: Readonly<Record<string, number>> = {
  s: 1 / 60,
  sec: 1 / 60,
  min: 1,
  mins: 1,
  minutes: 1,
  h: 60,
  hr: 60,
  hrs: 60,
  hour: 60,
  hours: 60,
  d: 1440,
  day: 1440,
  days: 1440,
};
const LARGE_VOLUMES: Readonly<Record<string, number>> = { 'cu ft': CU_FT_ML, 'cubic feet': CU_FT_ML, ft3: CU_FT_ML, 'ft³': CU_FT_ML };

/** How many of a field's unit one of another is; null where that measures something else. */
function oneIn(unit: string, word: string): number | null {
  const said = word.toLowerCase().replace(/\.$/, '');
  const own = (table: Readonly<Record<string, number>>): number | null => {
    const [from, to] = [Object.hasOwn(table, said) ? table[said]! : null, Object.hasOwn(table, unit) ? table[unit]! : null];
    return from === null || to === null ? null : from / to;
  };
  if (unit === 'mm' || unit === 'cm') return own(LENGTHS);
  if (unit === 's' || unit === 'min' || unit === 'h' || unit === 'd') return own(TIMES_MIN);
  if (unit === 'mL' || unit === 'L') {
    const perUnit = unit === 'L' ? 1000 : 1;
    if (Object.hasOwn(LARGE_VOLUMES, said)) return LARGE_VOLUMES[said]! / perUnit;
    const volume = unitNamed(word);
    return volume?.dimension === 'volume' ? volume.size / perUnit : null;
  }
  if (unit === 'g') {
    const mass = unitNamed(word);
    return mass?.dimension === 'mass' ? mass.size : null;
  }
  return said === unit.toLowerCase() ? 1 : null;
}

/** What may be typed instead of a field's own unit. */
const OTHERS: Readonly<Record<string, string>> = {
  mm: 'cm or in',
  cm: 'mm or in',
  '°C': '°F',
  mL: 'L, fl oz, cups or qt',
  L: 'mL, qt or cu ft',
  g: 'kg, oz or lb',
  s: 'min',
  min: 'h or s',
  h: 'min or days',
};

/** A number as it was typed into a field of one unit. */
export interface Measured {
  /** In the field's unit. */
  readonly value: number;
  /** It was typed in another unit. */
  readonly converted: boolean;
}

const DEGREES = /^(.*?)\s*(?:°|º|deg(?:rees)?\.?)?\s*(c|f|celsius|fahrenheit)\.?$/i;
/** A number and what stands behind it, up to the next number. */
const PIECE = /([^\p{L}"”″³]+?)\s*(cu ft|cubic feet|fl\.? ?oz|ft[3³]|\p{L}+\.?|["”″])\s*/giuy;

/**
 * Reads what is typed into a field that has a unit: a number in that unit, or with a unit of its own ('11 in', '20 qt', '350 F', '1 lb 4 oz').
 * Cups, pints and quarts without a word before them are those of the US.
 *
 * @param unit of the field: mm, cm, °C, mL, L, g, s, min, h; any other takes its own name only.
 * @returns the value in the field's unit; a fault on `quantity` with a sentence where there is no number, or a unit of something else.
 */
export function readMeasured(text: string, unit: string): Result<Measured> {
  const plain = text.trim().replace('−', '-');
  const bare = readQuantity(plain);
  if (bare.ok) return ok({ value: bare.value, converted: false });
  if (plain === '' || plain.length > 60) return bare;
  const own = unit !== '' && plain.toLowerCase().endsWith(unit.toLowerCase()) ? readQuantity(plain.slice(0, -unit.length)) : bare;
  if (own.ok) return ok({ value: own.value, converted: false });
  if (unit === '°C') {
    const m = DEGREES.exec(plain);
    if (!m) return bare;
    const n = readQuantity(m[1]!);
    if (!n.ok) return n;
    return /^f/i.test(m[2]!) ? ok({ value: ((n.value - 32) * 5) / 9, converted: true }) : ok({ value: n.value, converted: false });
  }
  let value = 0;
  let at = 0;
  let converted = false;
  PIECE.lastIndex = 0;
  for (let m = PIECE.exec(plain); m; m = PIECE.exec(plain)) {
    const n = readQuantity(m[1]!);
    if (!n.ok) return n;
    const one = oneIn(unit, m[2]!);
    if (one === null) {
      const others = OTHERS[unit];
      return fail('quantity', 'unknown-unit', `‘${m[2]!}’ is no measure of this: type ${unit === '' ? 'a number' : others ? `${unit}, ${others}` : unit}.`);
    }
    value += n.value * one;
    converted ||= one !== 1;
    at = PIECE.lastIndex;
  }
  return at === plain.length && at > 0 ? ok({ value, converted }) : bare;
}
