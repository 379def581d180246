import { abvPct } from '../composition/density';
import { mix } from '../composition/mixture';
import { sweetnessPer100 } from '../composition/sweetness';
import { showGramsPlain } from '../figure';
import { settleMethod } from '../ways/settle';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import type { Line, Sheet } from '../document/schema';

/** A line with drink in it, and what stands in its place. */
export interface DrinkSwap {
  readonly partId: string;
  readonly lineId: string;
  readonly before: string;
  /** An infusion with the drink's water, and sugar for its sweetness. */
  readonly after: readonly string[];
}

/** A drink of so much ethanol, g, and so strong, % vol, is worth replacing. */
const WORTH_SWAPPING = { ethanolG: 0.5, abvPct: 2 } as const;

/** The lines whose alcohol is worth taking out, each with an infusion that keeps its water and sugar for its sweetness. */
export function drinkSwaps(s: SheetAnalysis): readonly DrinkSwap[] {
  return s.parts.flatMap((a) =>
    a.reading.lines.flatMap((l): DrinkSwap[] => {
      // An extract by the spoon carries taste, not drink.
      if (!l.read || !l.ingredient || l.kind !== 'ingredient' || l.role === 'flavour') return [];
      const portion = { massG: l.read.massG, per100: l.read.per100, ownSweetness: l.ingredient.ownSweetness };
      const m = mix([portion]);
      if (m.grams.ethanol < WORTH_SWAPPING.ethanolG || abvPct(m) < WORTH_SWAPPING.abvPct) return [];
      const sugarG = (sweetnessPer100([portion]) * m.massG) / 100;
      const after = [`${showGramsPlain(m.grams.water)} water, infused`];
      if (sugarG >= 0.5) after.push(`${showGramsPlain(sugarG)} caster sugar`);
      return [{ partId: a.part.id, lineId: l.line.id, before: l.line.text, after }];
    }),
  );
}

/** The sheet with every drink swapped so; water and sweetness stay, the alcohol goes. @param newId fresh ids for added lines. */
export function withoutAlcohol(s: SheetAnalysis, kitchen: Kitchen, newId: () => string): Sheet {
  const swaps = new Map(drinkSwaps(s).map((d) => [d.lineId, d]));
  const line = (id: string, text: string, ingredientId: string): Line => ({
    id,
    text,
    ingredientId,
    fromPartId: null,
    lastGood: { text, ingredientId, fromPartId: null },
    stepId: null,
  });
  const parts = s.sheet.parts.map((p) => ({
    ...p,
    lines: p.lines.flatMap((l): Line[] => {
      const swap = swaps.get(l.id);
      if (!swap) return [l];
      return swap.after.map((text, i) => line(i === 0 ? l.id : newId(), text, i === 0 ? 'water' : 'sugar-caster'));
    }),
  }));
  return settleMethod({ ...s.sheet, parts }, kitchen.larder);
}
