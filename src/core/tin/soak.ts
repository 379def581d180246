import type { Ingredient } from '../composition/ingredient';
import { readTable } from '../interpolate';
import { fail, ok, within, type Result } from '../result';
import { CREAM_GIVES, DIP_REFERENCE_C, SOAK_BANDS, SYRUP_OVER } from './house';
import type { DipTest } from '../document/tin-plan-schema';

type Biscuit = NonNullable<Ingredient['biscuit']>;

/** Viscosity of water by °C, mPa·s (published: CRC Handbook). */
const WATER_VISCOSITY: readonly (readonly [number, number])[] = [
  [0, 1.79],
  [5, 1.52],
  [10, 1.31],
  [20, 1.0],
  [30, 0.8],
  [40, 0.65],
  [60, 0.47],
  [90, 0.31],
];
/** How much thicker than water a sucrose solution is, by g in 100 g, at 20 °C (published: sugar technology tables; NBS Circular 440 at 75). */
const SUGAR_THICKENS: readonly (readonly [number, number])[] = [
  [0, 1],
  [10, 1.33],
  [20, 1.94],
  [30, 3.18],
  [40, 6.15],
  [50, 15.4],
  [60, 58],
  [65, 147],
  [70, 481],
  [75, 2330],
];

/**
 * How much faster or slower than in the larder's thin cold soak a biscuit drinks: capillaries fill with the square root of 1/viscosity
 * (Washburn 1921), so sugar slows it and warmth speeds it.
 *
 * @param sugarPct g of sugars in 100 g of the soak, 0–75 (above, nothing flows). @param soakC 0–90 °C.
 */
export function soakPace(sugarPct: number, soakC: number): number {
  const water = (tC: number): number => readTable(WATER_VISCOSITY, Math.max(0, Math.min(90, tC))) ?? 1;
  const sugar = readTable(SUGAR_THICKENS, Math.max(0, Math.min(75, sugarPct))) ?? 1;
  return Math.sqrt(water(DIP_REFERENCE_C) / (water(soakC) * sugar));
}

/**
 * What a biscuit of the larder takes up, % of its own weight: straight in √t between the larder's 1, 2 and 4 s, from 0 at 0 s, on along the
 * last line beyond (house).
 */
export function uptakePct(b: Biscuit, seconds: number): number {
  // A longer dip never takes up less, whatever was measured.
  const one = b.uptakePct[0];
  const two = Math.max(one, b.uptakePct[1]);
  const four = Math.max(two, b.uptakePct[2]);
  const root = Math.sqrt(Math.max(0, seconds));
  if (root <= 1) return one * root;
  if (root <= Math.SQRT2) return one + ((two - one) * (root - 1)) / (Math.SQRT2 - 1);
  return two + ((four - two) * (root - Math.SQRT2)) / (2 - Math.SQRT2);
}

export type SoakReading = 'dry' | 'right' | 'soggy' | 'pools';

export interface Soak {
  /** g per 100 g of dry biscuit. */
  readonly uptakePct: number;
  /** Share of what this biscuit can hold. */
  readonly filled: number;
  readonly reading: SoakReading;
  /** Syrup for all of them with what stays in the dish, g. */
  readonly syrupG: number;
  /** What ends up in the dessert, g. */
  readonly drunkG: number;
}

export interface SoakInput {
  readonly biscuit: Biscuit;
  /** All dry biscuits, g. */
  readonly biscuitsG: number;
  readonly seconds: number;
  readonly sugarPct: number;
  readonly soakC: number;
  /** The kitchen's own test, in its own soak: it replaces table and pace. */
  readonly test: DipTest | null;
}

/**
 * What so many seconds in the soak do (house ±20 %; with the kitchen's own test, as good as the scale).
 * @returns a fault on the input at fault.
 */
export function soakOf(i: SoakInput): Result<Soak> {
  const fault =
    within('seconds', 'The dip', i.seconds, 0, 60, 's') ??
    within('soakC', 'The soak', i.soakC, 0, 90, '°C') ??
    within('biscuitsG', 'The biscuits', i.biscuitsG, 0, 1_000_000, 'g');
  if (fault) return { ok: false, fault };
  const holds = Math.max(...i.biscuit.uptakePct);
  if (!(holds > 0)) return fail('biscuit', 'drinks-nothing', 'The Larder has no uptake for this biscuit: test five of them, weighed dry and dipped.');
  let pct = uptakePct(i.biscuit, i.seconds) * soakPace(i.sugarPct, i.soakC);
  if (i.test) {
    if (i.test.dippedG <= i.test.dryG) return fail('dippedG', 'lighter', 'Dipped biscuits weigh more than dry ones: weigh them again.');
    const at = uptakePct(i.biscuit, i.test.seconds);
    const measured = (100 * (i.test.dippedG - i.test.dryG)) / i.test.dryG;
    // Where the table has nothing at the test’s second, the square root of time carries the test.
    pct = at > 1 ? uptakePct(i.biscuit, i.seconds) * (measured / at) : measured * Math.sqrt(i.seconds / i.test.seconds);
  }
  const filled = pct / holds;
  // What is full runs off: no more goes in than it holds.
  const taken = i.test ? pct : Math.min(pct, holds);
  return ok({ uptakePct: taken, filled, reading: readingOf(filled), syrupG: (i.biscuitsG * taken * SYRUP_OVER) / 100, drunkG: (i.biscuitsG * taken) / 100 });
}

export const readingOf = (filled: number): SoakReading =>
  filled < SOAK_BANDS.dry ? 'dry' : filled <= SOAK_BANDS.right ? 'right' : filled <= SOAK_BANDS.soggy ? 'soggy' : 'pools';

/**
 * The dip that fills a biscuit to a share of what it can hold, s (bisection; 0–60 s).
 * @returns a fault when 60 s are not enough.
 */
export function secondsFor(filled: number, i: Omit<SoakInput, 'seconds'>): Result<number> {
  const at = (seconds: number): Result<Soak> => soakOf({ ...i, seconds });
  const most = at(60);
  if (!most.ok) return most;
  if (most.value.filled < filled) return fail('filled', 'never', 'A minute in this soak is not enough: thin it or warm it.');
  let low = 0;
  let high = 60;
  for (let k = 0; k < 50; k++) {
    const mid = (low + high) / 2;
    const soak = at(mid);
    if (soak.ok && soak.value.filled < filled) low = mid;
    else high = mid;
  }
  return ok((low + high) / 2);
}

/**
 * How full a biscuit is after its rest: cream gives it water as it softens, never past what it holds (ours, ±40 %).
 *
 * @param softened how far it has softened, 0–1.
 */
export const filledAfterRest = (filled: number, softened: number): number =>
  Math.max(filled, Math.min(1, filled + CREAM_GIVES.share * Math.max(0, Math.min(1, softened))));
