import { KEEPING_H } from '../foam/house';
import { keepingHours, goodUntilH } from '../foam/hold';
import { servedFoam, type Keeping, type KeepingRule, type PartAnalysis, type SheetAnalysis } from './analysed';
import type { KitchenRules } from '../kitchen/schema';

/** A part of which others take all is judged where it goes: there it may be cooked. */
const NOTHING_LEFT = 0.005;

/**
 * How long a finished dessert may be kept: the strictest rule that applies, whether or not its shape has a figure of its own. Raw egg
 * anywhere in it rules the whole.
 */
export function keepingOf(s: Pick<SheetAnalysis, 'sheet' | 'parts'>, rules: KitchenRules): Keeping {
  const rawEgg = s.parts.some((a) => a.rawEgg && a.leftShare > NOTHING_LEFT);
  const frozen = s.sheet.family === 'semifreddo';
  const eatByH = frozen ? KEEPING_H.frozen : keepingHours(rules.fridgeC, rawEgg, rules.keepingH);
  const rule: KeepingRule = frozen
    ? 'frozen'
    : rules.keepingH !== null && rules.keepingH <= eatByH && eatByH < keepingHours(rules.fridgeC, rawEgg, null)
      ? 'kitchen'
      : rawEgg
        ? 'raw-egg'
        : 'dairy';
  const hold = s.sheet.family === 'syllabub' ? undefined : servedFoam(s)[0]?.holdFridge;
  const cleanH = hold?.ok ? hold.value.cleanH : null;
  return { rawEgg, cleanH, goodH: cleanH === null ? eatByH : goodUntilH(cleanH, eatByH), eatByH, rule };
}

/** Whether a part brings egg that nothing has heated enough: its own, or what it takes from another. */
export const bringsRawEgg = (own: boolean, heated: boolean, sources: readonly PartAnalysis[]): boolean => own || (!heated && sources.some((x) => x.rawEgg));
