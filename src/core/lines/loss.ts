import { composition, type Composition } from '../composition/components';
import type { Mixture, Portion } from '../composition/mixture';
import { splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';

/** What is lost on the way: boiled off (water and alcohol), or a share of everything (sieved out, left in the bowl). */
export interface Loss {
  readonly kind: 'boil-off' | 'share';
  /** g, or null where it is a share. */
  readonly massG: number | null;
  /** 0–1, or null where it is a mass. */
  readonly share: number | null;
  /** As the cook says it: 'boils off', 'left in the bowl'. */
  readonly words: string;
}

const LOSS = /^\s*(?:less|minus)\b|^\s*[-−–]\s*[\d.,½¼¾\s%a-z]*?\b(?:boil|evapor|reduc|siev|left in|lost|seeds|peel|trim)/i;
const BOILS = /boil|evapor|reduc/i;
/** Ethanol goes faster than water: what is left of it is (water left/water at the start) to this power (house ±30 %). */
const ETHANOL_POWER = 5;

/** Whether a line says what is lost: 'less 31 g boils off', 'less 8 % left in the bowl'. */
export const isLossText = (text: string): boolean => LOSS.test(text);

/** Reads a line of loss. A share is read from '%', anything else must be a mass. */
export function readLoss(text: string): Result<Loss> {
  const { amounts, fatText, name } = splitLine(text.replace(/^\s*(?:less|minus|[-−–])\s*/i, ''));
  const words = name || 'lost';
  const kind = BOILS.test(words) ? 'boil-off' : 'share';
  if (amounts.length === 0 && fatText !== null) {
    const pct = Number(fatText.replace(',', '.'));
    if (!(pct > 0) || pct >= 100) return fail('text', 'out-of-range', `A loss is more than 0\u00a0% and less than 100\u00a0%; this says ${fatText}\u00a0%.`);
    return ok({ kind, massG: null, share: pct / 100, words });
  }
  const amount = amounts[0];
  if (!amount) return fail('text', 'no-amount', 'How much is lost? Write it like ‘less 31\u00a0g boils off’ or ‘less 8\u00a0% left in the bowl’.');
  if (!amount.quantity.ok) return amount.quantity;
  if (amount.quantity.value <= 0) return fail('text', 'not-positive', 'A loss is more than 0.');
  if (amount.unit?.dimension !== 'mass') return fail('text', 'unknown-unit', 'A loss is weighed: write it in g, or as a share in %.');
  return ok({ kind, massG: amount.quantity.value * amount.unit.size, share: null, words });
}

/**
 * The portion, of negative mass, that a loss adds to a mix (physics: mass is conserved; ethanol house ±30 %).
 * @returns a fault when more would be lost than is there.
 */
export function lossPortion(loss: Loss, mixture: Mixture): Result<Portion> {
  const { grams, massG } = mixture;
  if (massG <= 0) return fail('text', 'nothing-there', 'There is nothing in this part yet to lose.');
  if (loss.kind === 'share') {
    const lostG = loss.massG ?? massG * (loss.share ?? 0);
    if (lostG >= massG)
      return fail('text', 'more-than-there-is', `This part has only ${Math.round(massG)}\u00a0g: ${Math.round(lostG)}\u00a0g cannot be lost from it.`);
    const per100 = Object.fromEntries(Object.entries(grams).map(([c, g]) => [c, (100 * g) / massG])) as unknown as Composition;
    return ok({ massG: -lostG, per100 });
  }
  const volatile = grams.water + grams.ethanol;
  const lostG = loss.massG ?? massG * (loss.share ?? 0);
  if (lostG >= volatile)
    return fail('text', 'more-than-there-is', `Only ${Math.round(volatile)}\u00a0g of this part can boil off: ${Math.round(lostG)}\u00a0g is more.`);
  const waterLeft = waterAfterBoiling(grams.water, grams.ethanol, lostG);
  const ethanolLeft = grams.water > 0 ? grams.ethanol * (waterLeft / grams.water) ** ETHANOL_POWER : 0;
  const waterLost = grams.water - waterLeft;
  const ethanolLost = grams.ethanol - ethanolLeft;
  return ok({ massG: -lostG, per100: composition({ water: (100 * waterLost) / lostG, ethanol: (100 * ethanolLost) / lostG }) });
}

/** g of water left when so much water and ethanol together have gone; found by halving. */
function waterAfterBoiling(waterG: number, ethanolG: number, lostG: number): number {
  let low = 0;
  let high = waterG;
  for (let i = 0; i < 100; i++) {
    const mid = (low + high) / 2;
    const lost = waterG - mid + ethanolG * (1 - (waterG > 0 ? (mid / waterG) ** ETHANOL_POWER : 0));
    if (lost > lostG) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
