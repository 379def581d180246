import type { StepWork } from '../document/kinds';
import type { Step } from '../document/schema';
import type { StepTemplate } from './methods';

/** What is done in the steps of the ways that neither whisk nor bake, by their key; anything else is done by hand. */
const WORK: Readonly<Record<string, StepWork>> = {
  soak: 'soak',
  chill: 'chill',
  loosen: 'beat',
  buttercream: 'beat',
  enrich: 'beat',
  butter: 'beat',
  mix: 'beat',
  yolks: 'beat',
  'whites-in': 'fold',
  join: 'fold',
  fold: 'fold',
  syrup: 'heat',
  heat: 'heat',
  cook: 'heat',
  scald: 'heat',
  melt: 'heat',
  brew: 'heat',
  cool: 'wait',
  'cool-base': 'wait',
  hold: 'wait',
  temper: 'wait',
  lay: 'fill',
  press: 'fill',
  pipe: 'fill',
  use: 'fill',
  fill: 'fill',
  build: 'fill',
  rest: 'chill',
  set: 'chill',
  'put-away': 'chill',
  freeze: 'freeze',
  top: 'finish',
  crown: 'finish',
  unmould: 'finish',
};

/** What is done in a step as a way writes it. */
export const workOfTemplate = (t: Pick<StepTemplate, 'key' | 'whisks' | 'ovenC'>): StepWork =>
  t.whisks ? 'whisk' : t.ovenC !== undefined ? 'bake' : (WORK[t.key] ?? 'hands');

/** What is done in a step of a sheet: as it was read or chosen; of a step of a way by its key. */
export const workOfStep = (step: Pick<Step, 'work' | 'whisks' | 'ovenC' | 'key'>): StepWork =>
  step.work ?? workOfTemplate({ key: step.key ?? '', whisks: step.whisks, ...(step.ovenC === null ? {} : { ovenC: step.ovenC }) });
