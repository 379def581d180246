import type { DishCache } from './dish';
import { dishOf } from './dish';
import { madeOnce } from './made-once';
import { planService } from './service-plan';
import { dishName } from './names';
import type { ServiceFacts } from './service-project';
import type { Service } from './service-schema';

/** A part that several desserts of the service have alike, and what making it once would save. */
export interface Merge {
  readonly madeOf: string;
  readonly part: string;
  readonly dishes: readonly string[];
  readonly taken: boolean;
  /** Hands that it saves, min; null where no plan is found with it. */
  readonly savesMin: number | null;
  readonly massG: number;
}

/** Parts that are made of the same in the same way, wherever they are. */
export function likeParts(
  f: ServiceFacts,
  cache: DishCache,
): readonly { readonly madeOf: string; readonly part: string; readonly dishes: readonly string[]; readonly massG: number }[] {
  const found = new Map<string, { part: string; dishes: string[]; massG: number }>();
  for (const serving of f.service.servings) {
    const sheet = f.sheets.get(serving.sheetId);
    const dish = sheet && dishOf(sheet, serving, f.kitchen, cache);
    if (!dish?.ok) continue;
    for (const [partId, made] of dish.value.madeOf) {
      const a = dish.value.analysis.parts.find((p) => p.part.id === partId)!;
      const at = found.get(made) ?? { part: a.part.name, dishes: [], massG: 0 };
      at.dishes.push(dishName(f.service, f.sheets, serving));
      at.massG += a.reading.mixture.massG;
      found.set(made, at);
    }
  }
  return [...found].filter(([, x]) => x.dishes.length > 1).map(([madeOf, x]) => ({ madeOf, ...x }));
}

/** Each part that could be made once, tried: whether the plan still holds, and the hands that it saves. */
export function tryMerges(f: ServiceFacts, cache: DishCache): readonly Merge[] {
  const hands = (service: Service): number | null => {
    const found = planService({ ...f, service }, cache, 'possible');
    return found.ok && found.value.ok ? found.value.plan.handsMin : null;
  };
  return likeParts(f, cache).map((like) => {
    const taken = f.service.together.includes(like.madeOf);
    const [apart, once] = [hands(madeOnce(f.service, like.madeOf, false)), hands(madeOnce(f.service, like.madeOf, true))];
    return { ...like, taken, savesMin: once === null ? null : apart === null ? 0 : apart - once };
  });
}
