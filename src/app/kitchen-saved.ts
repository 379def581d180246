import type { KitchenThings } from '../data/kitchen-things';
import type { Stored } from '../ui/saved/document-saver';

/** How a page saves the things of the kitchen: one document, wherever it is changed. */
export const KITCHEN_SAVED = {
  key: 'soft-peak:kitchen',
  path: '/api/kitchen',
  body: (things: KitchenThings, baseRevision: number) => ({ things, baseRevision }),
  revisionOf: (answer: unknown) => (answer as { revision?: number }).revision,
  theirsOf: (answer: unknown) => (answer as { current?: Stored<KitchenThings> }).current,
  isKept: (doc: unknown) => Array.isArray((doc as Partial<KitchenThings> | null)?.mixers),
};
