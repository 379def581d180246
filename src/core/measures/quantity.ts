import { fail, ok, type Result } from '../result';

/** Vulgar fractions that cooks paste. */
const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** Sums deeper than this are no kitchen sums. */
const MAX_DEPTH = 40;

class Unreadable extends Error {
  constructor(
    readonly code: string,
    readonly says: string,
  ) {
    super(says);
  }
}

/**
 * Reads a quantity as a cook writes it: '600', '2 1/2', '1½', '0.5', '1/3*750', '(2+1)*250'.
 * A whole number followed by a fraction is a mixed number. Linear in the length of the text.
 *
 * @param text only the quantity, without its unit; a leading '=' is allowed.
 * @returns a finite number (it may be negative: the line judges that), or a fault on `quantity`.
 */
export function readQuantity(text: string): Result<number> {
  const source = text.trim().replace(/^=/, '');
  if (source.trim() === '') return fail('quantity', 'empty', 'There is no amount here: type one, like 600\u00a0g or 2\u00a01/2\u00a0cup.');
  if (source.length > 200) return fail('quantity', 'too-long', 'That sum is too long to be an amount.');
  try {
    const value = new SumReader(source).whole();
    if (!Number.isFinite(value)) return fail('quantity', 'too-large', `${short(source)} comes to no number that can be weighed.`);
    return ok(value);
  } catch (error) {
    if (error instanceof Unreadable) return fail('quantity', error.code, error.says);
    throw error;
  }
}

const short = (text: string): string => (text.length > 24 ? `‘${text.slice(0, 22)}…’` : `‘${text}’`);

/** A recursive-descent reader over one string: sum → product → signed → number. */
class SumReader {
  private at = 0;
  private depth = 0;
  constructor(private readonly text: string) {}

  whole(): number {
    const value = this.sum();
    this.space();
    if (this.at < this.text.length) throw new Unreadable('unreadable', `I cannot read ${short(this.text)} as an amount.`);
    return value;
  }

  private peek(): string {
    return this.text[this.at] ?? '';
  }

  private space(): void {
    while (/[\s\u00a0]/.test(this.peek()) && this.at < this.text.length) this.at++;
  }

  private sum(): number {
    let value = this.product();
    for (;;) {
      this.space();
      const c = this.peek();
      if (c === '+') {
        this.at++;
        value += this.product();
      } else if (c === '-' || c === '−') {
        this.at++;
        value -= this.product();
      } else return value;
    }
  }

  private product(): number {
    let value = this.signed();
    for (;;) {
      this.space();
      const c = this.peek();
      if (c === '*' || c === '×') {
        this.at++;
        value *= this.signed();
      } else if (c === '/' || c === '÷' || c === '\u2044') {
        this.at++;
        const by = this.signed();
        if (by === 0) throw new Unreadable('divides-by-nothing', `${short(this.text)} divides by nothing: nothing can be shared out by 0.`);
        value /= by;
      } else return value;
    }
  }

  private signed(): number {
    this.space();
    const c = this.peek();
    if (c === '-' || c === '−' || c === '+') {
      this.at++;
      const value = this.deeper(() => this.signed());
      return c === '+' ? value : -value;
    }
    return this.primary();
  }

  private deeper(read: () => number): number {
    if (++this.depth > MAX_DEPTH) throw new Unreadable('too-deep', 'That sum has too many brackets or signs.');
    const value = read();
    this.depth--;
    return value;
  }

  private primary(): number {
    this.space();
    if (this.peek() === '(') {
      this.at++;
      const value = this.deeper(() => this.sum());
      this.space();
      if (this.peek() !== ')') throw new Unreadable('unclosed', `A bracket in ${short(this.text)} is not closed.`);
      this.at++;
      return value;
    }
    const first = this.number();
    if (first === null) throw new Unreadable('unreadable', `I cannot read ${short(this.text)} as an amount.`);
    return this.mixed(first);
  }

  /** After a whole number: '1/2' or '½' standing right behind makes it a mixed number. */
  private mixed(first: number): number {
    if (!Number.isInteger(first)) return first;
    // '1-1/2', as some write a mixed number.
    const hyphened = /^-(\d{1,3})[/\u2044](\d{1,3})(?!\d)/.exec(this.text.slice(this.at, this.at + 9));
    if (hyphened && first > 0 && Number(hyphened[1]) < Number(hyphened[2])) {
      this.at += hyphened[0].length;
      return first + Number(hyphened[1]) / Number(hyphened[2]);
    }
    const here = this.at;
    this.space();
    const vulgar = VULGAR[this.peek()];
    if (vulgar !== undefined) {
      this.at++;
      return first + vulgar;
    }
    if (this.at > here) {
      const fraction = /^(\d{1,4})[/\u2044](\d{1,4})/.exec(this.text.slice(this.at, this.at + 9));
      if (fraction && Number(fraction[2]) > 0) {
        this.at += fraction[0].length;
        return first + Number(fraction[1]) / Number(fraction[2]);
      }
    }
    this.at = here;
    return first;
  }

  private number(): number | null {
    const vulgar = VULGAR[this.peek()];
    if (vulgar !== undefined) {
      this.at++;
      return vulgar;
    }
    const start = this.at;
    while (/\d/.test(this.peek())) this.at++;
    if (this.peek() === '.' || this.peek() === ',') {
      const mark = this.peek();
      const decimals = /^\d+/.exec(this.text.slice(this.at + 1, this.at + 21))?.[0] ?? '';
      if (mark === ',' && decimals.length === 3 && this.at - start <= 3 && this.at > start && this.text.slice(start, this.at) !== '0') {
        // '1,200' groups thousands in every kitchen that writes a comma and three digits.
        this.at += 4;
        return Number(this.text.slice(start, this.at).replace(',', ''));
      }
      if (decimals) this.at += 1 + decimals.length;
      else if (this.at > start) this.at++;
    }
    const raw = this.text.slice(start, this.at).replace(',', '.');
    return raw === '' || raw === '.' ? null : Number(raw);
  }
}

const NICE: readonly (readonly [number, string])[] = [
  [0, ''],
  [1 / 8, '1/8'],
  [1 / 4, '1/4'],
  [1 / 3, '1/3'],
  [3 / 8, '3/8'],
  [1 / 2, '1/2'],
  [5 / 8, '5/8'],
  [2 / 3, '2/3'],
  [3 / 4, '3/4'],
  [7 / 8, '7/8'],
  [1, ''],
];

/** A number as a kitchen fraction when it is one within a share of itself ('2 1/2'); null otherwise. */
export function asFraction(value: number, tolerance: number): string | null {
  const whole = Math.floor(value + 1e-9);
  const rest = value - whole;
  for (const [size, text] of NICE) {
    if (Math.abs(rest - size) > tolerance * Math.max(value, 1e-9)) continue;
    const units = size === 1 ? whole + 1 : whole;
    if (units === 0 && text === '') return null;
    return text === '' ? `${units}` : units === 0 ? text : `${units} ${text}`;
  }
  return null;
}

/** A number with at most four significant digits and no trailing zeros. */
export const asDecimal = (value: number): string => `${Number(value.toPrecision(4))}`;
