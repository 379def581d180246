/** What tests start from: the shipped larder, the starting mixers and rules, and sheets typed as a cook types them. */
import { kitchenOf, type Kitchen } from '../core/kitchen/kitchen';
import { newLine, type EditContext } from '../core/editing/edits';
import { matcherFor } from '../core/measures/match';
import { startingPart, startingSheet } from '../core/editing/starting';
import type { PartKind } from '../core/document/kinds';
import { settleMethod } from '../core/ways/settle';
import type { Sheet, WhiskPlan } from '../core/document/schema';

import { STARTING_MIXERS, STARTING_PLACES, STARTING_RULES, startingLarder, startingVessels } from '../data/starting-kitchen';

export const LARDER = startingLarder();
export const KITCHEN: Kitchen = kitchenOf({
  larder: LARDER,
  mixers: STARTING_MIXERS,
  vessels: startingVessels(),
  places: STARTING_PLACES,
  rules: STARTING_RULES,
  corrections: [],
});
export const CONTEXT: EditContext = { larder: KITCHEN.larder, matcher: matcherFor(LARDER), measures: { cups: 'us', eggs: STARTING_RULES.eggs } };

/** An ingredient of the shipped larder; fails the test when there is none. */
export function ingredient(id: string) {
  const found = KITCHEN.larder.get(id);
  if (!found) throw new Error(`no ${id} in the larder`);
  return found;
}

/** A sheet of one whipped cream with these lines. */
export function sheetOf(lines: readonly string[], whisk: Partial<WhiskPlan> = {}, rest: Partial<Sheet> = {}): Sheet {
  const sheet = startingSheet(
    'Test cream',
    'planetary',
    lines.map((text, i) => newLine(`l${i + 1}`, text, CONTEXT)),
    KITCHEN.larder,
  );
  return { ...sheet, ...rest, parts: sheet.parts.map((p) => ({ ...p, whisk: { ...p.whisk, ...whisk } })) };
}

/** A sheet of several parts, written as lines. */
export function partsSheet(
  parts: readonly (readonly [id: string, kind: PartKind, name: string, lines: readonly string[]])[],
  rest: Partial<Sheet> = {},
): Sheet {
  const made: Sheet['parts'][number][] = [];
  for (const [id, kind, name, lines] of parts) {
    const part = { ...startingPart(id, kind, 'planetary'), name };
    made.push({ ...part, lines: lines.map((text, i) => newLine(`${id}-${i + 1}`, text, CONTEXT, { parts: [...made, part], partId: id })) });
  }
  return settleMethod({ ...startingSheet('Parts', 'planetary', [], KITCHEN.larder), steps: [], ...rest, parts: made }, KITCHEN.larder);
}
