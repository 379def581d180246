import type { PartReading } from '../lines/read-part';
import { STIRRED_CHEESE } from '../setting/house';

export type StirredCheese = (typeof STIRRED_CHEESE)[keyof typeof STIRRED_CHEESE];

/** What the cheese of a part is stirred smooth at: soft cheese of any share must have softened; mascarpone alone stays cool. */
export const stirredCheese = (r: Pick<PartReading, 'roleG'>): StirredCheese =>
  STIRRED_CHEESE[r.roleG['soft-cheese'] > 0 || r.roleG.mascarpone <= 0 ? 'soft-cheese' : 'mascarpone'];

/** That temperature in words: '16–18 °C'. */
export const stirredAt = (r: Pick<PartReading, 'roleG'>): string => `${stirredCheese(r).toC.join('\u2060–\u2060')}\u00a0°C`;
