import { eggLook, eggWhip, type EggWhip } from '../../core/foam/egg-whisk';
import { peakLook, type PeakLook } from '../../core/foam/peak';
import { networkAt, whip, type Whip } from '../../core/foam/whisk';
import { correctedWhip } from '../../core/analysis/learnt';
import type { StepWhisk } from '../../core/analysis/step-whisk';
import type { PeakTone } from '../peak';

/** The cream of a step as it was forecast, corrected as it was then; null for an egg foam. */
export function creamOf(whisk: StepWhisk | null): Whip | null {
  if (!whisk?.cream) return null;
  const made = whip(whisk.cream.input);
  return made.ok ? correctedWhip(made.value, whisk.cream.timeFactor, whisk.cream.airFactor) : null;
}

export function eggOf(whisk: StepWhisk | null): EggWhip | null {
  const made = whisk?.egg ? eggWhip(whisk.egg) : null;
  return made?.ok ? made.value : null;
}

/** How the foam of a step should look after some seconds, by its forecast. */
export function lookAt(whisk: StepWhisk | null, seconds: number): { readonly look: PeakLook; readonly tone: PeakTone } | null {
  const cream = creamOf(whisk);
  if (cream) return { look: peakLook(networkAt(cream, seconds)), tone: 'cream' };
  const egg = eggOf(whisk);
  return egg ? { look: eggLook(egg, seconds), tone: egg.foam.startsWith('yolks') || egg.foam === 'whole-eggs' ? 'yolk' : 'white' } : null;
}
