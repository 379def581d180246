import type { BatchFacts } from './case';
import type { SignId } from './words';

/** A figure that a cook can still give, and for which signs it says something. */
export interface Ask {
  readonly key: Exclude<keyof BatchFacts, 'partId' | 'skipped' | 'steps'>;
  readonly label: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  /** What is typed times this is the fact. */
  readonly times: number;
}

export const ASKS: readonly Ask[] = [
  { key: 'whiskedS', label: 'Under the whisk', unit: 'min', min: 0, max: 120, whole: false, times: 60 },
  { key: 'creamC', label: 'Cream before', unit: '°C', min: -2, max: 40, whole: false, times: 1 },
  { key: 'nowC', label: 'It is at', unit: '°C', min: -40, max: 150, whole: false, times: 1 },
  { key: 'coldH', label: 'In the cold', unit: 'h', min: 0, max: 2400, whole: false, times: 1 },
  { key: 'outH', label: 'Out of the cold', unit: 'h', min: 0, max: 240, whole: false, times: 1 },
  { key: 'massG', label: 'How much of it', unit: 'g', min: 1, max: 1_000_000, whole: false, times: 1 },
  { key: 'volumeMl', label: 'There is', unit: 'mL', min: 0, max: 1_000_000, whole: false, times: 1 },
  { key: 'glasses', label: 'Glasses there are', unit: '', min: 1, max: 2000, whole: true, times: 1 },
];

const ASKED: Readonly<Partial<Record<SignId, readonly Ask['key'][]>>> = {
  runs: ['whiskedS', 'creamC', 'massG'],
  grains: ['whiskedS', 'creamC', 'massG'],
  butter: ['whiskedS', 'creamC', 'massG'],
  weeps: ['coldH', 'nowC', 'massG'],
  softens: ['coldH', 'nowC', 'massG'],
  fizzles: ['creamC', 'massG'],
  'whites-flat': ['massG'],
  'whites-dry': ['massG'],
  'yolks-thin': ['nowC'],
  strings: ['nowC', 'massG'],
  unset: ['coldH', 'nowC', 'massG'],
  rubbery: ['nowC', 'massG'],
  seized: ['massG'],
  'ganache-split': ['nowC', 'massG'],
  'bc-curdled': ['nowC', 'massG'],
  'bc-soup': ['nowC', 'massG'],
  'cheese-curdled': ['massG'],
  'cheese-lumps': ['nowC'],
  scrambled: ['nowC', 'massG'],
  'custard-thin': ['nowC', 'massG'],
  'egg-cold': ['nowC'],
  'custard-warm': ['nowC', 'coldH', 'massG'],
  flat: ['volumeMl'],
  'base-hot': ['nowC'],
  'base-set': ['nowC'],
  'few-biscuits': ['massG'],
  hard: ['coldH'],
  leans: ['coldH'],
  'shell-wet': ['coldH'],
  'too-hard': ['nowC'],
  'never-froze': ['nowC', 'coldH'],
  thawed: ['outH', 'nowC'],
  'too-sweet': ['massG'],
  'too-sour': ['massG'],
  'too-strong': ['massG'],
  bland: ['massG'],
  short: ['volumeMl', 'massG'],
  left: ['massG'],
  glasses: ['glasses'],
  forgot: ['massG'],
  'left-out': ['outH', 'nowC'],
};

/** What is worth asking about a sign, and about a second one beside it. */
export const asksOf = (sign: SignId, too: SignId | null = null): readonly Ask[] =>
  ASKS.filter((a) => [sign, ...(too === null ? [] : [too])].some((s) => ASKED[s]?.includes(a.key) ?? false));
