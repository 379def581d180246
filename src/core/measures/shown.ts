import { z } from 'zod';
import { CU_FT_ML, FL_OZ_ML, INCH_MM, LB_G, OZ_G, QT_ML } from './units';

/**
 * In which units a kitchen wants its figures shown. The core reckons and says everything in °C, grams, millilitres and millimetres, and so it is
 * kept; what is shown is read once more at the edge, and each figure in it said in the kitchen's own units.
 */
/** What prices may be in, by ISO 4217. */
export const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'AUD',
  'CAD',
  'CHF',
  'CZK',
  'DKK',
  'HKD',
  'INR',
  'JPY',
  'MXN',
  'NOK',
  'NZD',
  'PLN',
  'SEK',
  'SGD',
  'ZAR',
] as const;

export const ShownUnitsSchema = z.object({
  temperature: z.enum(['°C', '°F']).default('°C'),
  mass: z.enum(['g', 'oz']).default('g'),
  volume: z.enum(['mL', 'fl oz']).default('mL'),
  length: z.enum(['mm', 'in']).default('mm'),
  clock: z.enum(['24 h', '12 h']).default('24 h'),
  currency: z.enum(['', ...CURRENCIES]).default(''),
});
export type ShownUnits = Readonly<z.infer<typeof ShownUnitsSchema>>;

/** As the core says everything. */
export const METRIC: ShownUnits = { temperature: '°C', mass: 'g', volume: 'mL', length: 'mm', clock: '24 h', currency: '' };

/** As kitchens of the United States mostly read. */
export const CUSTOMARY: ShownUnits = { temperature: '°F', mass: 'oz', volume: 'fl oz', length: 'in', clock: '12 h', currency: 'USD' };

/** The units as one word of plain letters, for where they travel; two that are the same have the same. */
export const unitsKey = (u: ShownUnits): string => [u.temperature.slice(1), u.mass, u.volume, u.length, u.clock, u.currency].join(' ').trim();

/** Whether every text is shown as the core says it; prices are never part of one. */
export const isMetric = (u: ShownUnits): boolean => unitsKey({ ...u, currency: '' }) === unitsKey(METRIC);

/** Less than this stays in grams and millilitres: no scale that shows ounces weighs it, and a spoon measures it. */
const SMALL = 15;
/** From so many ounces on pounds are said; quarts begin where they are one, cubic feet where they are more than three. */
const LB_FROM_G = 2 * LB_G;
const CU_FT_FROM_ML = 100_000;
/** Thinner than this stays in millimetres: less than an eighth of an inch. */
const THIN_MM = 3;
/** Ovens and sugar have dials and stages in steps of five. */
const DIAL_FROM_C = 130;

export const toF = (c: number): number => (c * 9) / 5 + 32;
export const toC = (f: number): number => ((f - 32) * 5) / 9;

interface Said {
  readonly number: string;
  readonly unit: string;
}
const rounded = (value: number, decimals: number): string => {
  const text = Math.abs(value)
    .toFixed(decimals)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '');
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
};

/** Degrees of a Celsius figure: 71 is 160, 180 is 355, −18 is 0. @param decimals as the Celsius figure had. */
export const inFahrenheit = (c: number, decimals = 0): string =>
  decimals === 0 && c >= DIAL_FROM_C ? String(5 * Math.round(toF(c) / 5)) : rounded(toF(c), decimals);

/** How large a pound-and-ounce figure is said: `of` decides the unit, so that both ends of a range have the same. */
const massIn = (g: number, of: number): Said =>
  of >= LB_FROM_G ? { number: rounded(g / LB_G, of >= 10 * LB_G ? 1 : 2), unit: 'lb' } : { number: rounded(g / OZ_G, 1), unit: 'oz' };
const volumeIn = (ml: number, of: number): Said => {
  if (of >= CU_FT_FROM_ML) return { number: rounded(ml / CU_FT_ML, 1), unit: 'cu ft' };
  if (of >= QT_ML) return { number: rounded(ml / QT_ML, of >= 10 * QT_ML ? 1 : 2), unit: 'qt' };
  return { number: rounded(ml / FL_OZ_ML, of < 10 * FL_OZ_ML ? 1 : 0), unit: 'fl oz' };
};

/** Inches as a rule has them: sixteenths of the first inch, eighths up to a foot, quarters beyond. */
export function inInches(mm: number): string {
  const inches = Math.abs(mm) / INCH_MM;
  const parts = inches < 1 ? 16 : inches < 12 ? 8 : 4;
  const all = Math.round(inches * parts);
  const whole = Math.floor(all / parts);
  let [over, under] = [all % parts, parts];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  const said = over === 0 ? `${whole}` : whole === 0 ? `${over}/${under}` : `${whole}\u00a0${over}/${under}`;
  return mm < 0 && all > 0 ? `−${said}` : said;
}

const METRIC_OF: Readonly<Record<string, readonly [kind: 'mass' | 'volume' | 'length', size: number]>> = {
  g: ['mass', 1],
  kg: ['mass', 1000],
  mL: ['volume', 1],
  ml: ['volume', 1],
  L: ['volume', 1000],
  mm: ['length', 1],
  cm: ['length', 10],
};

const NUMBER = String.raw`[−-]?\d[\d\u202f]*(?:\.\d+)?`;
const BETWEEN = String.raw`\u2060?[–-]\u2060?|[ \u00a0](?:to|or|and)[ \u00a0]`;
/** Not behind a letter or a figure, nor inside of one. */
const START = String.raw`(?<![\p{L}\p{N}.,/^])`;
/** No unit of something by something: 'g/L', 'W/m²K', 'kg/m³'. */
const END = String.raw`(?![\p{L}\p{N}/·²³⁻])`;
const DEGREES = new RegExp(`${START}(${NUMBER}(?:(?:${BETWEEN})${NUMBER})*)([ \\u00a0\\u202f]?)°C(/min)?(?![\\p{L}\\p{N}·²³⁻])`, 'gu');
const AMOUNT = new RegExp(
  `${START}(${NUMBER}(?:(?:\\u2060?–\\u2060?|[ \\u00a0]to[ \\u00a0])${NUMBER})?|${NUMBER}(?:, ${NUMBER})* or ${NUMBER})([ \\u00a0\\u202f]?)(kg|g|mL|ml|L)${END}`,
  'gu',
);
const LENGTH = new RegExp(`${START}(${NUMBER}(?:(?:${BETWEEN}|[ \\u00a0]?×[ \\u00a0]?)${NUMBER})*)([ \\u00a0\\u202f]?)(mm|cm)${END}`, 'gu');
const EACH_NUMBER = new RegExp(NUMBER, 'gu');
/** A difference of temperatures, not a temperature: by the words before or behind it. */
const DIFFERENCE_BEFORE = /(?:\b(?:by|by about)[ \u00a0]|±[ \u00a0]?)$/;
const DIFFERENCE_AFTER =
  /^[ \u00a0](?:a minute|per minute|an hour(?! (?:later|on|after))|warmer|colder|cooler|hotter|higher|lower|off|apart|to go|past it|for a gram)\b/;
/** 'per 100 g', '/100 g', 'in 100 g': what something is told of, and what is told of it. */
const SHARE_BEFORE = /(?:\b(?:per|of every|for every)[ \u00a0]|\/[ \u00a0]?)$/;
const OF_100 = /\bin[ \u00a0]$/;
const SHARE_AFTER = /^[ \u00a0]?(?:per\b|\/|(?:[\p{L}-]+[ \u00a0]){0,2}(?:per|in|to)[ \u00a0]100[ \u00a0](?:g|mL)\b)/u;

/** '17:05': two figures each, so that '1:55' is minutes and seconds, as is what has a joiner in it (`clockFace`); no offset of a zone, no ratio. */
const TIME_OF_DAY = /(?<![\p{L}\p{N}:.,+])(?<!UTC.)([01]\d|2[0-3]):([0-5]\d)(?![\p{N}:]|[ \u00a0][ap]m)/gu;
/** 'p.m.' as it stands behind a time, whose line never breaks there. */
const inTwelveHours = (h: number, min: string): string => `${h % 12 === 0 ? 12 : h % 12}:${min}\u00a0${h < 12 ? 'am' : 'pm'}`;

const valueOf = (text: string): number => Number(text.replace(/\u202f/g, '').replace('−', '-'));
const decimalsOf = (text: string): number => text.split('.')[1]?.length ?? 0;

/**
 * A text with each of its figures in a kitchen's own units, and its times of day by its clock; what is no figure with a metric unit stays as it
 * is. Said twice it is the same.
 * Differences of temperatures ('3 °C a minute', 'by 2 °C') are told from temperatures. Amounts under 15 g or mL and lengths under 3 mm stay.
 */
export function inShownUnits(text: string, units: ShownUnits): string {
  let said = text;
  if (units.clock === '12 h' && said.includes(':')) said = said.replace(TIME_OF_DAY, (_, h: string, min: string) => inTwelveHours(Number(h), min));
  if (units.temperature === '°F' && said.includes('°C')) said = said.replace(DEGREES, inDegrees);
  if (/\d[ \u00a0\u202f]?(?:k?g|m[lL]|L|[mc]m)/.test(said)) {
    if (units.mass === 'oz' || units.volume === 'fl oz')
      said = said.replace(AMOUNT, (whole: string, numbers: string, gap: string, unit: string, at: number, all: string) =>
        inAmount(whole, numbers, gap, unit, units, all.slice(0, at), all.slice(at + whole.length)),
      );
    if (units.length === 'in')
      said = said.replace(LENGTH, (whole: string, numbers: string, gap: string, unit: string) => {
        const size = METRIC_OF[unit]![1];
        if (most(numbers) * size < THIN_MM) return whole;
        return `${numbers.replace(EACH_NUMBER, (n) => inInches(size * valueOf(n)))}${gap}in`;
      });
  }
  return said;
}

/** Grams that stay grams, whatever a kitchen reads: nutrients are declared in them. Sources: EU 1169/2011 annex XV; US 21 CFR 101.9(c). */
export const inGramsAnywhere = (text: string): string => text.replace(/(?<=\d)[ \u00a0](?=g$)/, '\u2060\u00a0');

const most = (numbers: string): number => Math.max(...[...numbers.matchAll(EACH_NUMBER)].map((m) => Math.abs(valueOf(m[0]))));

function inDegrees(whole: string, numbers: string, gap: string, perMin: string | undefined, at: number, all: string): string {
  const after = all.slice(at + whole.length);
  const apart = perMin !== undefined || DIFFERENCE_BEFORE.test(all.slice(0, at)) || DIFFERENCE_AFTER.test(after);
  const one = (n: string): string => (apart ? rounded((valueOf(n) * 9) / 5, decimalsOf(n)) : inFahrenheit(valueOf(n), decimalsOf(n)));
  return `${eachOf(numbers, one)}${gap}°F${perMin ?? ''}`;
}

function inAmount(whole: string, numbers: string, gap: string, unit: string, units: ShownUnits, before: string, after: string): string {
  const [kind, size] = METRIC_OF[unit]!;
  if ((kind === 'mass' && units.mass === 'g') || (kind === 'volume' && units.volume === 'mL')) return whole;
  const largest = most(numbers) * size;
  if (largest < SMALL || SHARE_BEFORE.test(before) || (numbers === '100' && OF_100.test(before)) || SHARE_AFTER.test(after)) return whole;
  const one = (n: string): Said => (kind === 'mass' ? massIn(size * valueOf(n), largest) : volumeIn(size * valueOf(n), largest));
  return `${eachOf(numbers, (n) => one(n).number)}${gap}${one(numbers).unit}`;
}

/** Each number of a range said anew; a hyphen between two of them is no sign. */
const eachOf = (numbers: string, one: (n: string) => string): string =>
  numbers.replace(new RegExp(`(?<!\\d)${NUMBER}|(?<=\\d)(-)(\\d[\\d\\u202f]*(?:\\.\\d+)?)`, 'gu'), (n: string, hyphen?: string, behind?: string) =>
    hyphen && behind ? `-${one(behind)}` : one(n),
  );

/** How a field of one unit is filled in in another. */
export interface ShownField {
  readonly unit: string;
  /** What stands in the field, of a value in the field's own unit. */
  readonly out: (value: number) => number;
  /** The value, of what was typed. */
  readonly in: (typed: number) => number;
}

const scaled = (unit: string, size: number): ShownField => ({ unit, out: (v) => v / size, in: (t) => t * size });
const DEGREES_FIELD: ShownField = { unit: '°F', out: toF, in: toC };

/** A field that never holds more than so many g or mL, or mm, keeps them: what is measured there is measured finely. */
const FINE_FIELD = 100;
const THIN_FIELD_MM = 20;

/** How a field is shown in a kitchen's units. @param most the largest value it takes, in its own unit. @returns null where it stays as it is. */
export function shownField(unit: string, units: ShownUnits, most = Infinity): ShownField | null {
  if (unit === '°C') return units.temperature === '°F' ? DEGREES_FIELD : null;
  if (unit === '°C/min') return units.temperature === '°F' ? scaled('°F/min', 5 / 9) : null;
  if (unit === 'mm' || unit === 'cm')
    return units.length === 'in' && most * METRIC_OF[unit]![1] > THIN_FIELD_MM ? scaled('in', INCH_MM / METRIC_OF[unit]![1]) : null;
  if (unit === 'g') return units.mass === 'oz' && most > FINE_FIELD ? scaled('oz', OZ_G) : null;
  if (unit === 'mL') return units.volume === 'fl oz' && most > FINE_FIELD ? scaled('fl oz', FL_OZ_ML) : null;
  if (unit === 'L') return units.volume === 'fl oz' ? scaled('qt', QT_ML / 1000) : null;
  return null;
}

/** The name of a unit where it stands alone, beside a field or an axis. */
export const shownUnit = (unit: string, units: ShownUnits): string => shownField(unit, units)?.unit ?? unit;

const BARE = /^[−+-]?[\d.,/ ]*\d$/;

/**
 * What was typed into a field that is read in its own unit: a number that says no unit gets the one that was shown beside it ('45' is '45 °F').
 * Kept so, it says what was meant whatever is shown later.
 */
export const typedIn = (text: string, unit: string, units: ShownUnits): string => {
  const field = shownField(unit, units);
  return field !== null && BARE.test(text.trim()) ? `${text.trimStart()} ${field.unit}` : text;
};

/** The other way: how such a text stands in the field, whose unit is shown beside it. */
export const asTyped = (kept: string, unit: string, units: ShownUnits): string => {
  const field = shownField(unit, units);
  if (field === null) return kept;
  if (kept.endsWith(` ${field.unit}`)) return kept.slice(0, -field.unit.length - 1);
  return BARE.test(kept.trim()) ? `${kept.trim()} ${unit}` : kept;
};
