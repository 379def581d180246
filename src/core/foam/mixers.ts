import { eggBowlfulsNeeded, eggWhip, type EggWhiskInput } from './egg-whisk';
import type { WhiskInput } from './inputs';
import { bowlfulsNeeded, stopWindow, whip, type StopWindow, type Whip } from './whisk';

/** The same foam in one mixer: in how many bowlfuls, and when it is there; or why not. */
export type InMixer =
  | { readonly bowlfuls: number; readonly window: StopWindow }
  /** `too-small`: no number of bowlfuls fits. `not-reached`: the wires do not dip in. `never`: no clean peak of that stage stands. `no-air`: that mixer brings none in. */
  | { readonly bowlfuls: null; readonly why: 'too-small' | 'not-reached' | 'never' | 'no-air' };

const no = (why: Extract<InMixer, { bowlfuls: null }>['why']): InMixer => ({ bowlfuls: null, why });

/** Cream in a mixer, split so that each bowlful fits. @param correct what the log of that mixer makes of its whip. */
export function creamInMixer(input: Omit<WhiskInput, 'batches'>, correct: (w: Whip) => Whip): InMixer {
  const bowlfuls = bowlfulsNeeded(input);
  if (bowlfuls === null) return no('too-small');
  const made = whip({ ...input, batches: bowlfuls });
  if (!made.ok) return no(made.fault.code === 'not-reached' ? 'not-reached' : 'too-small');
  const window = stopWindow(correct(made.value), input.target);
  return window ? { bowlfuls, window } : no('never');
}

/** An egg foam in a mixer, split so that each bowlful fits. */
export function eggInMixer(input: Omit<EggWhiskInput, 'batches'>): InMixer {
  const bowlfuls = eggBowlfulsNeeded(input);
  const made = eggWhip({ ...input, batches: bowlfuls ?? 1 });
  if (!made.ok && made.fault.code === 'no-air') return no('no-air');
  return !made.ok || bowlfuls === null ? no('too-small') : { bowlfuls, window: made.value.window };
}
