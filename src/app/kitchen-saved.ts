'use client';

import type { KitchenThings } from '../data/kitchen-things';
import { isSaved, type Stored } from '../ui/saved/document-saver';
import { useSaved } from '../ui/saved/use-saved';
import { useUnitsSaved } from '../ui/units/use-units';

/** How a page saves the things of the kitchen: one document, wherever it is changed. */
const KITCHEN_SAVED = {
  key: 'soft-peak:kitchen',
  path: '/api/kitchen',
  body: (things: KitchenThings, baseRevision: number) => ({ things, baseRevision }),
  revisionOf: (answer: unknown) => (answer as { revision?: number }).revision,
  theirsOf: (answer: unknown) => (answer as { current?: Stored<KitchenThings> }).current,
  isKept: (doc: unknown) => Array.isArray((doc as Partial<KitchenThings> | null)?.mixers),
};

/** The things of the kitchen in hand, saved as they are changed; where its units change, the page is drawn anew in them. */
export function useKitchenSaved(first: KitchenThings, revision: number) {
  const saved = useSaved(first, revision, KITCHEN_SAVED);
  useUnitsSaved(saved.state.doc.rules.shown, isSaved(saved.state));
  return saved;
}
