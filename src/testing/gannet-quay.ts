/** The sample kitchen with its own ingredients and all its sheets, for tests and the bench. */
import { matcherFor } from '../core/measures/match';
import { kitchenOf, type Kitchen } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import { SAMPLE_INGREDIENTS } from '../data/sample/sample-ingredients';
import { sampleDoc } from '../data/sample/sample-kitchen';
import { SAMPLE_SHEETS } from '../data/sample/sample-sheets';
import { STARTING_RULES } from '../data/starting-kitchen';
import { CONTEXT, KITCHEN, LARDER } from './sample';

const larder = [...LARDER, ...SAMPLE_INGREDIENTS];

export const GANNET_QUAY: Kitchen = kitchenOf({ ...KITCHEN, larder, rules: { ...STARTING_RULES, kitchenName: 'Gannet Quay' } });

/** Its sheets by id. */
export const SHEETS: ReadonlyMap<string, Sheet> = new Map(
  SAMPLE_SHEETS.map((s) => [s.id, sampleDoc(s, { ...CONTEXT, larder: GANNET_QUAY.larder, matcher: matcherFor(larder) }, 'planetary')]),
);
