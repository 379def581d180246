import { plainNumber, showRange, withUnit } from '../../core/figure';
import type { Forecast } from '../../core/batch/forecast';
import type { ObservationKind } from '../../core/batch/observation';

interface Seen {
  readonly kind: ObservationKind;
  readonly value: number | null;
  readonly words: string;
}

/** What a batch was expected to let go; null where nothing was to gather. */
export type ExpectedDrink = Forecast['drinkG'];

/** An observation in words; liquid that was to gather stands beside what was forecast of it. @param drink what was expected, where the dessert parts. */
export function observationWords({ kind, value, words }: Seen, drink: ExpectedDrink = null): string {
  const more = words ? `: ${words}` : '';
  switch (kind) {
    case 'weep':
      if (drink) return `${withUnit(plainNumber(value ?? 0, 0), 'g')} of clear drink, ${showRange(drink.low, drink.high, 'g')} forecast${more}`;
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
