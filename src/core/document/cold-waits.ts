import type { Sheet, Step } from './schema';

/** A rest of an hour or two was chosen to be spooned, not to be cut: it is that long, whatever Cold says of cutting. */
const SHORT_REST_H = 2;
const isShortRest = (s: Step): boolean => s.waitH !== null && s.waitH[1] <= SHORT_REST_H;

/** Whether how long a dessert stays in the cold is Cold's to say: it sets, freezes or rests there, and the cook does not say how long. */
export const asksCold = (sheet: Sheet): boolean =>
  sheet.steps.some(
    (s) =>
      s.key === 'set' ||
      s.key === 'freeze' ||
      (s.key === 'rest' && !isShortRest(s)) ||
      (sheet.method === 'own' && s.minutes === null && (s.work === 'chill' || s.work === 'freeze')),
  );

/** Hours in the cold as they are planned: how long, and whose they are. */
export interface ColdWait {
  readonly h: readonly [low: number, high: number];
  /** Cold's own answer, Cold's where it is more than the way's, the way's. */
  readonly by: 'cold' | 'cold-more' | 'way' | 'least';
}

/** Where a recipe says 'chill' and no time, and what is in the vessel is cold as it is: so long at least, h (house). */
export const LEAST_CHILL_H = 0.5;

/**
 * The hours of the steps that rest in the cold, by step: Cold's answer stands in place of the method's rule of thumb, so that Bench, Pass,
 * Clock and the printed sheet say one thing. A rest for its own sake (biscuits that soften) is never shorter than its way asks.
 * @param coldH hours until it is ready for its use; null where Cold gives no answer (then nothing is replaced).
 */
export function coldWaits(sheet: Pick<Sheet, 'steps' | 'method'>, coldH: number | null): ReadonlyMap<string, ColdWait> {
  const out = new Map<string, ColdWait>();
  if (coldH === null) return out;
  const last = sheet.steps.findLast((s) => s.work === 'chill' || s.work === 'freeze');
  for (const s of sheet.steps) {
    const wait = s.key === null ? (sheet.method === 'own' && s === last && s.minutes === null ? ownWait(coldH) : null) : wayWait(s, coldH);
    if (wait) out.set(s.id, wait);
  }
  return out;
}

const ownWait = (coldH: number): ColdWait => (coldH < LEAST_CHILL_H ? { h: [LEAST_CHILL_H, LEAST_CHILL_H], by: 'least' } : { h: [coldH, coldH], by: 'cold' });

function wayWait(s: Step, coldH: number): ColdWait | null {
  if (s.waitH === null || s.waitH[1] <= 0) return null;
  if (s.key === 'set' || s.key === 'freeze') return { h: [coldH, coldH], by: 'cold' };
  if (s.key !== 'rest') return null;
  const [low, high] = s.waitH;
  return coldH > low ? { h: [coldH, Math.max(coldH, high)], by: 'cold-more' } : { h: [low, high], by: 'way' };
}
