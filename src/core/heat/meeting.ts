import type { Mixture } from '../composition/mixture';
import { fail, ok, within, type Result } from '../result';
import { heatContent, type HeatContent } from './heat-content';
import { BOWL_HEAT, type BowlKind } from './house';

/** Something at a temperature that meets something else. */
export interface Guest {
  readonly name: string;
  readonly massG: number;
  readonly tC: number;
  readonly heat: HeatContent;
}

/** A mixture as it comes to a meeting. @param sucroseEqG see `heatContent`. */
export const guest = (name: string, mixture: Mixture, sucroseEqG: number, tC: number): Guest => ({
  name,
  massG: mixture.massG,
  tC,
  heat: heatContent(mixture, sucroseEqG),
});

/** A bowl, as far as the mix touches it. @param touched share of it, 0–1. */
export const bowlGuest = (kind: BowlKind, massG: number, tC: number, touched: number): Guest => {
  const c = BOWL_HEAT[kind];
  return { name: `${kind} bowl`, massG: massG * touched, tC, heat: { at: (t) => c * t, temperatureOf: (h) => h / c } };
};

function faultOf(guests: readonly Guest[]): Result<never> | null {
  if (guests.reduce((sum, g) => sum + g.massG, 0) <= 0) return fail('guests', 'empty', 'There is nothing here that could meet.');
  for (const g of guests) {
    if (!(g.massG >= 0) || !Number.isFinite(g.massG)) return fail('massG', 'out-of-range', `The amount of ${g.name} must be 0\u00a0g or more.`);
    const fault = within('tC', `The temperature of ${g.name}`, g.tC, -40, 150, '°C');
    if (fault) return { ok: false, fault };
  }
  return null;
}

/** What would have to come off for everything to be at tC, J. */
const surplus = (guests: readonly Guest[], tC: number): number =>
  guests.reduce((sum, g) => sum + (g.massG > 0 ? g.massG * (g.heat.at(tC) - g.heat.at(g.tC)) : 0), 0);

/**
 * The temperature that things come to when they meet and nothing is lost (physics): Σ mᵢ·[hᵢ(T) − hᵢ(Tᵢ)] = 0.
 * @returns °C between the coldest and the warmest, to 1e-9; a fault when there is nothing, or on `tC` outside −40 to 150 °C.
 */
export function mixingC(guests: readonly Guest[]): Result<number> {
  const fault = faultOf(guests);
  if (fault) return fault;
  const there = guests.filter((g) => g.massG > 0);
  return ok(crossing((t) => surplus(there, t), Math.min(...there.map((g) => g.tC)), Math.max(...there.map((g) => g.tC))));
}

/** Where a rising function crosses 0 between two ends (regula falsi with halved weights; halving where that is slow, as at a step). */
function crossing(f: (t: number) => number, from: number, to: number): number {
  let [low, high, fLow, fHigh] = [from, to, f(from), f(to)];
  if (fLow >= 0) return low;
  if (fHigh <= 0) return high;
  let side = 0;
  for (let i = 0; i < 200 && high - low > 1e-12; i++) {
    const guess = i % 4 === 3 ? (low + high) / 2 : (low * fHigh - high * fLow) / (fHigh - fLow);
    const value = f(guess);
    if (value === 0) return guess;
    if (value < 0) {
      [low, fLow] = [guess, value];
      if (side === -1) fHigh /= 2;
      side = -1;
    } else {
      [high, fHigh] = [guess, value];
      if (side === 1) fLow /= 2;
      side = 1;
    }
  }
  return (low + high) / 2;
}

/**
 * At what temperature one of them must come for the mix to land on a wish (physics).
 * @param who index of the one to warm or cool.
 * @returns °C; a fault on `wishC` when no temperature from −40 to 150 °C does it.
 */
export function temperatureFor(guests: readonly Guest[], who: number, wishC: number): Result<number> {
  const fault = faultOf(guests) ?? rangeFault(wishC);
  if (fault) return fault;
  const g = guests[who];
  if (!g || g.massG <= 0) return fail('who', 'none', 'There is nothing to warm or to cool.');
  const others = surplus(
    guests.filter((_, i) => i !== who),
    wishC,
  );
  const wanted = g.heat.at(wishC) + others / g.massG;
  const tC = g.heat.temperatureOf(wanted);
  if (tC <= -39.99 || tC >= 149.99) return fail('wishC', 'out-of-reach', `No temperature of ${g.name} brings the mix to ${wishC}\u00a0°C.`);
  return ok(tC);
}

/**
 * How much of one of them, at its temperature, makes the mix land on a wish (physics).
 * @returns g ≥ 0; a fault on `wishC` when the wish does not lie between them.
 */
export function massFor(guests: readonly Guest[], who: number, wishC: number): Result<number> {
  const fault = faultOf(guests) ?? rangeFault(wishC);
  if (fault) return fault;
  const g = guests[who];
  if (!g) return fail('who', 'none', 'There is nothing to add.');
  const pull = g.heat.at(wishC) - g.heat.at(g.tC);
  const others = surplus(
    guests.filter((_, i) => i !== who),
    wishC,
  );
  if (pull === 0) return others === 0 ? ok(0) : fail('wishC', 'out-of-reach', `${g.name} at ${g.tC}\u00a0°C cannot move the mix to ${wishC}\u00a0°C.`);
  const massG = -others / pull;
  return massG >= 0 ? ok(massG) : fail('wishC', 'out-of-reach', `${g.name} at ${g.tC}\u00a0°C cannot bring the mix to ${wishC}\u00a0°C.`);
}

function rangeFault(wishC: number): Result<never> | null {
  const fault = within('wishC', 'The wished temperature', wishC, -40, 150, '°C');
  return fault ? { ok: false, fault } : null;
}
