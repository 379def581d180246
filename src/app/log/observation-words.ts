import { plainNumber, withUnit } from '../../core/figure';
import type { ObservationKind } from '../../core/batch/observation';

interface Seen {
  readonly kind: ObservationKind;
  readonly value: number | null;
  readonly words: string;
}

/** An observation in words. */
export function observationWords({ kind, value, words }: Seen): string {
  const more = words ? `: ${words}` : '';
  switch (kind) {
    case 'weep':
      return `${value === 0 ? 'dry' : `${withUnit(plainNumber(value ?? 0, 0), 'g')} of liquid`}${more}`;
    case 'slice':
      return `slice ${words}`;
    case 'temperature':
      return `${withUnit(plainNumber(value ?? 0, 1), '°C')}${more}`;
    case 'photo':
      return `photo${more}`;
    case 'note':
      return words;
  }
}
