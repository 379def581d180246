import { plainNumber, withUnit } from '../../../core/figure';
import type { Differing, SinceCopy } from '../../../data/since-copy';

export const sizeSays = (bytes: number): string => withUnit(plainNumber(bytes / 1_048_576, 1), 'MB');

/** What the disk still takes. @param nearlyFull whether that is too little to go on for long. */
export function diskSays(bytes: number, nearlyFull: boolean): string {
  const left = bytes >= 1e9 ? withUnit(plainNumber(bytes / 1e9, bytes >= 1e10 ? 0 : 1), 'GB') : withUnit(plainNumber(bytes / 1e6, 0), 'MB');
  return nearlyFull ? `The disk takes only ${left} more: make room, or nothing can be written down soon.` : `The disk takes ${left} more.`;
}

const NOUNS: Readonly<Record<keyof SinceCopy, readonly [one: string, many: string]>> = {
  batches: ['batch', 'batches'],
  sheets: ['sheet', 'sheets'],
  services: ['service', 'services'],
  ingredients: ['ingredient', 'ingredients'],
};
const NAMED = 3;

const named = (names: readonly string[]): string => `${names.slice(0, NAMED).join(', ')}${names.length > NAMED ? ` and ${names.length - NAMED} more` : ''}`;

/** What going back would undo, one sentence for each kind of change; none where nothing differs. */
export function sinceSays(since: SinceCopy): readonly string[] {
  const kinds = Object.keys(NOUNS) as (keyof SinceCopy)[];
  const all = (which: keyof Differing, says: (count: string, names: string, one: boolean) => string): string[] =>
    kinds.flatMap((kind) => {
      const names = since[kind][which];
      return names.length === 0 ? [] : [says(`${names.length} ${NOUNS[kind][names.length === 1 ? 0 : 1]}`, named(names), names.length === 1)];
    });
  return [
    ...all('since', (count, names, one) => `${count} ${one ? 'goes' : 'go'}: ${names}.`),
    ...all('changed', (count, names, one) => `${count} ${one ? 'is what it was' : 'are what they were'}: ${names}.`),
    ...all('back', (count, names, one) => `${count} ${one ? 'comes' : 'come'} back: ${names}.`),
  ];
}
