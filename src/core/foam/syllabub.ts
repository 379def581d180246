import { fail, ok, within, type Result } from '../result';
import { SYLLABUB } from './house';

export interface SyllabubInput {
  readonly milkFatG: number;
  /** All of it, g. */
  readonly massG: number;
  /** From making to serving, h. */
  readonly hours: number;
}

export interface Syllabub {
  /** Water phase that the foam keeps, g. */
  readonly keepsG: number;
  /** Water phase over that, g; below 0 where it could hold more. */
  readonly excessG: number;
  /** Clear drink under the curd by the serving hour, g. */
  readonly drinkG: number;
  /** The same of the whole, 0–1. */
  readonly drinkShare: number;
  readonly kind: 'whole' | 'parted';
}

const sunk = (hours: number): number => 1 - Math.exp(-hours / SYLLABUB.partsInH);

/**
 * Whether a syllabub stays whole or parts (house ±25 %): the foam keeps 2.15 g of water phase per g of milk fat; what is over sinks
 * as clear drink, E·(1 − e^(−t/8 h)).
 * @returns a fault on the field out of range, or when there is more fat than mass.
 */
export function readSyllabub(i: SyllabubInput): Result<Syllabub> {
  const fault =
    within('massG', 'The syllabub', i.massG, 1, 1_000_000, 'g') ??
    within('milkFatG', 'Its milk fat', i.milkFatG, 0, i.massG, 'g') ??
    within('hours', 'The hours to serving', i.hours, 0, 720, 'h');
  if (fault) return { ok: false, fault };
  const keepsG = SYLLABUB.keepsPerFat * i.milkFatG;
  const excessG = i.massG - i.milkFatG - keepsG;
  const drinkG = Math.max(0, excessG) * sunk(i.hours);
  return ok({ keepsG, excessG, drinkG, drinkShare: drinkG / i.massG, kind: excessG <= 0 ? 'whole' : 'parted' });
}

/**
 * How much wine makes a syllabub come out as wished (house ±25 %): the most that still stays whole, or what parts into a clear drink of a
 * share of the whole by the serving hour.
 *
 * @param without the syllabub without any wine. @param wish 'whole', or the share (0–1) of clear drink.
 * @returns g of wine ≥ 0; a fault on `wish` when no amount of wine does it.
 */
export function wineFor(without: SyllabubInput, wish: 'whole' | number): Result<number> {
  const base = readSyllabub(without);
  if (!base.ok) return base;
  if (wish === 'whole') {
    return base.value.excessG <= 0 ? ok(-base.value.excessG) : fail('wish', 'out-of-reach', 'It parts even without wine: use richer cream, or less juice.');
  }
  const fault = within('wish', 'The share of clear drink', wish, 0.01, 0.6, '');
  if (fault) return { ok: false, fault };
  const k = sunk(without.hours);
  // (excess + x)·k = wish·(mass + x)
  if (k <= wish)
    return fail(
      'wish',
      'out-of-reach',
      `In ${without.hours}\u00a0h no more than ${Math.floor(100 * k)}\u00a0% of what it lets go has sunk: let it stand longer.`,
    );
  const x = (wish * without.massG - k * base.value.excessG) / (k - wish);
  return x >= 0 ? ok(x) : fail('wish', 'out-of-reach', 'It parts further than that even without wine.');
}

/** The middle of what a parted syllabub shows under its curd, share of the whole mass. */
export const PARTED_WISH = (SYLLABUB.drinkShare.low + SYLLABUB.drinkShare.high) / 2;
