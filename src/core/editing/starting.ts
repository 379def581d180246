import type { Ingredient } from '../composition/ingredient';
import { USUAL_COLD } from '../document/usual-cold';
import { USUAL_TIN } from '../document/usual-tin';
import { STARTING_VESSELS } from '../vessel/profile';
import { questionNamed } from '../schools/questions';
import { settleMethod } from '../ways/settle';
import { FORMAT_VERSION, PART_KIND_NAMES, type PartKind, USUAL_WAIT_H, USUAL_HEAT } from '../document/kinds';
import type { Line, Part, Sheet, WhiskPlan } from '../document/schema';

export const STARTING_WHISK: Omit<WhiskPlan, 'mixerId'> = {
  speed: 'fast',
  slowFromSoft: true,
  creamC: 5,
  // Simple, and icing sugar dissolves; the other school waits for soft peak and gains some air.
  sugarAt: 'start',
  stage: 'medium',
  batches: 1,
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * A part to start from, without lines.
 * @param preferred the kitchen's preferred schools, by question.
 */
export function startingPart(id: string, kind: PartKind, mixerId: string, preferred: Readonly<Record<string, string>> = {}): Part {
  const ways = Object.fromEntries(Object.entries(preferred).filter(([key]) => questionNamed(key)?.kinds.includes(kind)));
  const sugarAt = ways['sugar-moment'] === 'soft-peak' ? 'soft-peak' : STARTING_WHISK.sugarAt;
  // What is whisked cold with butter is never heated again: its usual meringue is the one that reaches the one-point rule.
  if (kind === 'buttercream') ways.whites ??= 'swiss-71';
  return { id, kind, name: capital(PART_KIND_NAMES[kind]), ways, lines: [], whisk: { ...STARTING_WHISK, sugarAt, mixerId }, heat: USUAL_HEAT, stands: 'in' };
}

/** A sheet to start from: one whipped cream with these lines. */
export function startingSheet(
  name: string,
  mixerId: string,
  lines: readonly Line[],
  larder: ReadonlyMap<string, Ingredient>,
  preferred: Readonly<Record<string, string>> = {},
): Sheet {
  const part = { ...startingPart('cream', 'whipped-cream', mixerId, preferred), lines };
  return settleMethod(
    {
      format: 'soft-peak-sheet',
      formatVersion: FORMAT_VERSION,
      name,
      family: 'chantilly',
      portions: 8,
      use: 'spoon',
      sweetness: 'chantilly',
      vessel: STARTING_VESSELS[0]!,
      tin: USUAL_TIN,
      cold: USUAL_COLD,
      parts: [part],
      steps: [],
      method: 'ways',
      ways: Object.fromEntries(Object.entries(preferred).filter(([key]) => questionNamed(key)?.families.includes('chantilly'))),
      servedAfterH: USUAL_WAIT_H,
      notes: '',
      unread: [],
    },
    larder,
  );
}
