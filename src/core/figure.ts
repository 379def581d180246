/**
 * A figure is a number that can show how it came about. Its kind says how far to trust it:
 * physics holds anywhere; published is a named table or correlation; house is a rule of thumb with a spread.
 */
export type FigureKind = 'physics' | 'published' | 'house';

/** One number that went into a figure, with where it came from. */
export interface FigureInput {
  readonly symbol: string;
  readonly name: string;
  readonly value: string;
  readonly from: string;
}

export interface Figure {
  readonly key: string;
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly kind: FigureKind;
  /** Relative spread of a house figure, e.g. 0.12; null for the other kinds. */
  readonly spread: number | null;
  /** What a house figure is shown as: about two outcomes in three fall within. Null for the other kinds. */
  readonly range: readonly [low: number, high: number] | null;
  /** The equation in symbols. */
  readonly formula: string;
  /** The same in words. */
  readonly words: string;
  readonly inputs: readonly FigureInput[];
  readonly source: string;
  /** Where it stops being true, or what was taken for granted. */
  readonly limits?: string;
  /** Digits after the point when shown exactly. */
  readonly decimals: number;
  /** What the kitchen's log made of it; absent where it says nothing. */
  readonly learnt?: {
    /** Whose batches it stands on: 'from 3 batches'. */
    readonly says: string;
    readonly factor: number;
    /** The same figure by the formula alone. */
    readonly plain: string;
  };
}

/** The range of a house figure: value/(1 + spread) to value·(1 + spread). */
export const houseRange = (value: number, spread: number): readonly [number, number] => [value / (1 + spread), value * (1 + spread)];

/** Rounds to a number of significant digits; 0 stays 0, and so does what is too small to be scaled. */
export function significant(value: number, digits: number): number {
  if (value === 0) return 0;
  const scale = 10 ** (digits - 1 - Math.floor(Math.log10(Math.abs(value))));
  return Number.isFinite(scale) ? Math.round(value * scale) / scale : 0;
}

/** Thousands apart by a thin no-break space, decimals by a point. */
export function plainNumber(value: number, decimals: number): string {
  const fixed = Math.abs(value).toFixed(decimals);
  // Most figures are small and have nothing to group.
  if (value >= 0 && value < 999) return fixed;
  const [whole = '0', fraction] = fixed.split('.');
  const grouped = whole.length > 4 || (whole.length === 4 && decimals === 0) ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole;
  const sign = value < 0 && Number(fixed) !== 0 ? '−' : '';
  return sign + grouped + (fraction ? `.${fraction}` : '');
}

/** A number of at most two significant digits, for house figures. */
export function roughNumber(value: number): string {
  const rounded = significant(value, 2);
  const decimals = rounded === 0 || Math.abs(rounded) >= 10 ? 0 : Math.abs(rounded) >= 1 ? 1 : 2;
  return plainNumber(rounded, decimals).replace(/\.0+$/, '');
}

/** A factor as it is said: '3', '1.08'. */
export const showFactor = (factor: number): string => (Math.abs(factor - Math.round(factor)) < 0.005 ? plainNumber(factor, 0) : plainNumber(factor, 2));

/** A number and its unit, never breaking apart. */
export const withUnit = (text: string, unit: string): string => (unit ? `${text}\u00a0${unit}` : text);

/** How a figure reads: house figures as a range of two digits, the others rounded to their decimals. */
export function showFigure(figure: Pick<Figure, 'value' | 'unit' | 'range' | 'decimals'>): string {
  if (!figure.range) return withUnit(plainNumber(figure.value, figure.decimals), figure.unit);
  const [low, high] = figure.range;
  if (figure.unit === 'mL') return showVolumeRange(low, high);
  if (figure.unit === 'h') return showHoursRange(low, high);
  if (figure.unit === 's') return showSecondsRange(low, high);
  return showRange(low, high, figure.unit);
}

/** '1.1–1.3 L', '240–290 mL'. */
export function showVolumeRange(low: number, high: number): string {
  return high < 995 ? showRange(low, high, 'mL') : showRange(low / 1000, high / 1000, 'L');
}

/** '64–90 s', minutes and seconds from two minutes on: '4:40–6:30 min'. */
export function showSecondsRange(low: number, high: number): string {
  if (high < 120) return showRange(low, high, 's');
  return withUnit(`${clockFace(roughSeconds(low))}${TO}${clockFace(roughSeconds(high))}`, 'min');
}

/** '3:07', as a field has it. @param seconds from 0. */
export const typedFace = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

/** '3:07', '12:30': minutes and seconds in a text. From ten minutes on a joiner that nobody sees stands before the colon, so that it is no time of day. */
export const clockFace = (seconds: number): string => typedFace(seconds).replace(/(?<=\d\d):/, '\u2060:');

/** As fine as a house figure bears: whole seconds below a minute, then 5, 10 and 30 seconds. */
export function roughSeconds(seconds: number): number {
  const step = seconds < 60 ? 1 : seconds < 120 ? 5 : seconds < 600 ? 10 : 30;
  return Math.round(seconds / step) * step;
}

/** A house time as one rough number: '48 s', '5:30 min'. */
export const showRoughSeconds = (seconds: number): string => showSeconds(roughSeconds(seconds));

/** One unit for both ends: minutes when the lower is short, days when both are long. */
function showHoursRange(low: number, high: number): string {
  if (low < 1.5 && high < 3) return showRange(low * 60, high * 60, 'min');
  if (low >= 48) return showRange(low / 24, high / 24, 'days');
  return showRange(low, high, 'h');
}

/** An en dash that a line never breaks at. */
const TO = '\u2060–\u2060';

/** A range of two house digits; one number where both ends round to it. */
export function showRange(low: number, high: number, unit: string): string {
  const a = roughNumber(low);
  const b = roughNumber(high);
  return withUnit(a === b ? a : `${a}${TO}${b}`, unit);
}

/** Seconds as a cook says them: '45 s', '3:20 min'. */
export function showSeconds(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return withUnit(`${whole}`, 's');
  return withUnit(clockFace(whole), 'min');
}

/** An amount of money, '€3.40'; a bare number where the kitchen names no currency. @param currency by ISO 4217, or ''. */
export const showMoney = (amount: number, currency: string): string =>
  currency === ''
    ? plainNumber(amount, 2)
    : new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
        .formatToParts(amount)
        .map((p) => (p.type === 'group' ? '\u202f' : p.value))
        .join('');

/** Grams as a kitchen's scale shows them: tenths below 10 g, whole grams above; 5 g, not 5.0 g. */
export function showGrams(massG: number): string {
  const tenths = massG < 10 && Math.abs(massG - Math.round(massG)) >= 0.05;
  return withUnit(plainNumber(massG, tenths ? 1 : 0), 'g');
}

/** Millilitres below a litre, litres with one decimal from there on. */
export function showVolumeMl(ml: number): string {
  return ml < 995 ? withUnit(plainNumber(significant(ml, 2), 0), 'mL') : withUnit(plainNumber(ml / 1000, 1), 'L');
}

/** Hours as a cook says them: minutes below an hour and a half, days from three days on. */
export function showHours(hours: number): string {
  if (hours < 1.5) return withUnit(roughNumber(hours * 60), 'min');
  if (hours >= 72) return withUnit(roughNumber(hours / 24), 'days');
  return withUnit(roughNumber(hours), 'h');
}

/** Grams as they are typed into a line: '250 g', '3.4 g'. */
export const showGramsPlain = (massG: number): string => `${Number(massG < 10 ? massG.toFixed(1) : massG < 100 ? massG.toFixed(1) : massG.toFixed(0))} g`;

/** A title within a sentence: only its first letter becomes small, so that '118 °C' stays what it is. */
export const inSentence = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);
