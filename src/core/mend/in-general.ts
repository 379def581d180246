import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import type { EditContext } from '../editing/edits';
import { SKELETONS, sheetOfSkeleton, type Skeleton } from '../editing/skeletons';
import type { Kitchen } from '../kitchen/kitchen';
import { NO_FACTS } from './case';
import { partOfSign } from './signs';
import type { SignId } from './words';

const PUDDING = SKELETONS.find((s) => s.id === 'pudding')!;
/** The families' starts, and one with cut fruit on it, which none of them has. */
const USUAL: readonly Skeleton[] = [
  ...SKELETONS,
  { ...PUDDING, name: 'Layered pudding with bananas', parts: [...PUDDING.parts, { kind: 'topping', name: 'Bananas', lines: ['2 bananas, sliced'] }] },
];

/**
 * A dessert of a usual size that can show a sign, for a cook who asks in general: of the families' starts the first that can.
 *
 * @returns null where none of them can show it.
 */
export function usualWith(sign: SignId, kitchen: Kitchen, context: EditContext): Sheet | null {
  const mixerId = kitchen.mixers[0]?.id ?? 'planetary';
  for (const skeleton of USUAL) {
    let n = 0;
    const sheet = sheetOfSkeleton(skeleton, skeleton.name, mixerId, context, kitchen.rules.ways, () => `u${n++}`);
    if (partOfSign(sign, { s: analyseSheet(sheet, kitchen), kitchen, facts: NO_FACTS, log: [] })) return sheet;
  }
  return null;
}
