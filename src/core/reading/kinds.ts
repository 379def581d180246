import type { Role } from '../larder/role';
import type { PartKind } from '../document/kinds';
import { gramsIn, rolesIn, type Bowl } from './bowls';
import { SAUCE_SUGAR, type Flow } from './worktop';

/** From here on a milk is a pudding, % starch (house). */
const THICK_STARCH_PCT = 1;

/** From this share of butter on a custard with butter is a buttercream; below it a lighter cream (house: 15 to 25 % there, 30 to 45 here). */
const BUTTER_OF_CREAM = 0.28;

/** So moist is a cake and no biscuit, % water (house: biscuits have 1 to 5, cakes 15 to 35). */
const CAKE_WATER_PCT = 12;

/** Eggs baked with so much flour of the whole are a sponge (house). */
const SPONGE_FLOUR = 0.15;

/** So much cream of the whole loosens a sauce and makes no cream of it (house). */
const LOOSENS = 0.25;

/** What part of a dessert a bowl is: by what is in it and what was done with it, never by its name. */
export function kindOf(b: Bowl, flow: Pick<Flow, 'lines' | 'bowls'>): PartKind {
  const g = rolesIn(b, flow.lines);
  const has = (...roles: Role[]): boolean => roles.some((r) => (g.get(r) ?? 0) > 0);
  const grams = (r: Role): number => g.get(r) ?? 0;
  const total = Math.max(1, gramsIn(b, flow.lines));
  if (b.place === 'kept') return 'crown';
  if (b.place === 'soak') return 'soak';
  if (b.place === 'layer') return 'biscuit-layer';
  if (b.place === 'topping') return onlyWetFor(b, flow) ? 'soak' : 'topping';
  const takes = [...b.takes.keys()].map((id) => flow.bowls[id]!);
  const dry = grams('biscuit') + grams('nut') + grams('starch');
  if (takes.length > 0) {
    if (takes.every((t) => t.place === 'kept')) return 'whipped-cream';
    // Butter beaten up with a custard.
    const all = total + takes.reduce((sum, t) => sum + gramsIn(t, flow.lines), 0);
    if (grams('butter') > BUTTER_OF_CREAM * all && !has('cream', 'cheese', 'chocolate', 'starch') && takes.every((t) => t.heated && !t.air))
      return 'buttercream';
    // Whipped together, cheese and cream are one foam; folded they are a filling.
    return 'set-filling';
  }
  // What chickpeas were cooked in foams as whites do.
  if (b.air && [...b.lines].some((i) => flow.lines[i]!.ingredient?.id === 'aquafaba') && !has('cream', 'chocolate', 'butter'))
    return b.baked ? 'meringue' : 'egg-foam';
  // Toasted oats or crumbs that are strewn at the end are no base.
  if (
    (b.placed === 'late' || b.into !== null || flow.bowls.some((x) => x.takes.has(b.id))) &&
    !b.pressed &&
    dry > 0 &&
    !has('fruit', 'butter', 'chocolate', 'cream', 'cheese', 'white', 'yolk', 'egg', 'milk')
  )
    return 'topping';
  // A disc of cake that lies at the bottom is nothing that was crushed.
  const [cake, more] = [...b.lines].map((i) => flow.lines[i]!);
  if (!b.pressed && !more && cake?.role === 'biscuit' && (cake.ingredient?.composition.water ?? 0) > CAKE_WATER_PCT) return 'biscuit-layer';
  if (dry > 0.35 * total && (has('biscuit') || b.pressed) && !has('white', 'cream')) return 'pressed-base';
  if (b.pressed && !has('cream', 'cheese')) return 'pressed-base';
  if (has('white') && !has('yolk', 'egg')) {
    if (grams('butter') > 0.8 * grams('white')) return 'buttercream';
    if (b.baked) return 'meringue';
    return has('cream', 'cheese') && b.air && !b.heated ? (has('cheese') ? 'cheese-cream' : 'whipped-cream') : 'egg-foam';
  }
  if (has('yolk', 'egg')) {
    if (grams('butter') > grams('yolk') + grams('egg') && (b.air || !b.heated) && !b.baked && !has('chocolate', 'milk', 'cream')) return 'buttercream';
    // A sponge, and what is baked of butter, eggs and flour with chocolate in it.
    if (b.baked && grams('starch') > SPONGE_FLOUR * total && grams('milk') < grams('starch') && !has('cream', 'cheese')) return 'biscuit-layer';
    // Milk thickened with yolks stays a custard with some chocolate in it.
    if (has('chocolate') && !b.air && !(b.heated && grams('milk') > 2 * grams('chocolate'))) return 'chocolate-base';
    // Eggs whisked with a boiled syrup are a foam, whatever juice follows.
    if (b.air && (b.syrup || (b.hotC ?? 0) > SYRUP_FROM_C) && !has('milk', 'cream', 'cheese', 'chocolate')) return 'egg-foam';
    // Whisked pale over steam, with lemon or wine in it: a foam that is warm.
    if (b.risen && !b.baked && !has('milk', 'cream', 'cheese', 'chocolate', 'butter', 'starch')) return 'egg-foam';
    // Whisked over steam and off it, with less fruit than egg: no curd.
    if (
      b.steam &&
      !b.baked &&
      !has('milk', 'cream', 'cheese', 'chocolate', 'butter', 'starch', 'gelatin') &&
      grams('fruit') + grams('sour') < grams('yolk') + grams('egg')
    )
      return 'egg-foam';
    if ((has('milk') || has('cream') || has('fruit') || has('sour')) && b.heated) return 'custard';
    // Yolks and whites with sugar, cocoa or nuts, baked without a drop of milk.
    if (b.baked && b.air && has('white') && !has('milk', 'cream', 'cheese', 'fruit')) return 'biscuit-layer';
    if (b.baked) return 'custard';
    if (has('cheese') && grams('cheese') > 0.3 * total) return 'set-filling';
    return has('chocolate') && grams('chocolate') > grams('yolk') + grams('egg') ? 'chocolate-base' : 'egg-foam';
  }
  if (has('cream', 'cheese') && b.air) return grams('cheese') > 0.08 * total ? 'cheese-cream' : 'whipped-cream';
  if (has('milk', 'cream') && has('starch', 'setter') && b.heated && !has('cheese')) return 'custard';
  if (has('chocolate', 'cocoa') && grams('chocolate') > 0.12 * total && !has('cheese')) return 'chocolate-base';
  if (has('cheese')) return has('cream') ? 'cheese-cream' : has('butter') && grams('butter') > 0.1 * total ? 'cheese-cream' : 'set-filling';
  // A cream set by the acid of its fruit is no fruit base.
  if (has('cream') && b.heated && !b.air && grams('cream') > grams('fruit') + grams('sour')) return 'set-filling';
  // Fruit tossed in sugar and piled on at the end; beaten with butter it is a cream.
  if (has('fruit') && b.placed === 'late' && !b.heated && !b.sieved && !has('gelatin', 'setter', 'butter')) return 'topping';
  if (has('fruit') && (b.heated || b.sieved || has('gelatin', 'setter', 'butter') || grams('sugar') > 0)) return 'fruit-base';
  // Fruit that nothing is made of is laid on.
  if (has('fruit')) return b.placed === 'no' && (b.into !== null || flow.bowls.some((x) => x.takes.has(b.id))) ? 'fruit-base' : 'topping';
  if (has('cream') && b.heated && !b.air && grams('sugar') > SAUCE_SUGAR * total && !has('gelatin', 'setter', 'starch')) return 'topping';
  // Milks stirred together and poured over a cake, with nothing that sets them: it drinks them.
  const sets = [...b.lines].some(
    (i) => (flow.lines[i]!.ingredient?.composition.starch ?? 0) >= THICK_STARCH_PCT || flow.lines[i]!.ingredient?.id === 'ice-cream',
  );
  if (
    has('cream') &&
    !b.heated &&
    !b.air &&
    grams('milk') > grams('cream') &&
    !sets &&
    !has('gelatin', 'setter', 'starch', 'fruit') &&
    flow.bowls.some((x) => x.place === 'layer')
  )
    return 'soak';
  // A pudding that some whipped topping lightens.
  if (has('cream') && !b.heated && !b.air && grams('milk') > grams('cream')) return 'set-filling';
  // A sauce that a spoon of cream loosens.
  if (has('cream') && !b.heated && !b.air && grams('cream') < LOOSENS * total && !has('fruit', 'gelatin', 'setter')) return 'topping';
  if (has('cream')) return b.heated ? (has('gelatin', 'setter', 'starch') ? 'set-filling' : 'whipped-cream') : 'whipped-cream';
  if (has('milk') && has('starch')) return 'custard';
  if (has('biscuit')) return b.pressed ? 'pressed-base' : 'biscuit-layer';
  if (has('gelatin', 'setter') && has('liquid', 'sour', 'drink')) return 'fruit-base';
  // Cocoa, sugar, milk and butter boiled: a glaze.
  if (has('milk') && b.heated && !b.air && grams('sugar') > SAUCE_SUGAR * total && !has('gelatin', 'setter', 'starch')) return 'topping';
  // A custard that was bought: milk with starch is too thick to soak anything, and so is ice cream.
  const thick = [...b.lines].some(
    (i) =>
      flow.lines[i]!.role === 'milk' &&
      ((flow.lines[i]!.ingredient?.composition.starch ?? 0) >= THICK_STARCH_PCT || flow.lines[i]!.ingredient?.id === 'ice-cream'),
  );
  if (has('milk')) return b.heated || has('gelatin') ? 'custard' : !thick && flow.bowls.some((x) => x.place === 'layer') ? 'soak' : 'set-filling';
  // Juice boiled with a packet that the larder lacks: the glaze that it is called.
  if ([...b.lines].some((i) => flow.lines[i]!.ingredient === null && /\b(?:glaze|jelly)\b/i.test(flow.lines[i]!.written))) return 'topping';
  if (has('drink') || (has('liquid') && !has('butter')))
    return has('sugar') && b.heated && grams('sugar') > 2 * (grams('liquid') + grams('drink')) ? 'topping' : 'soak';
  if (has('butter') && has('sugar') && b.air) return 'buttercream';
  return 'topping';
}

/** A drink that nothing is dipped into by name, though it is put there: it wets what it is poured over. */
function onlyWetFor(b: Bowl, flow: Pick<Flow, 'lines' | 'bowls'>): boolean {
  const roles = new Set([...b.lines].map((i) => flow.lines[i]!.role));
  return roles.size > 0 && [...roles].every((r) => r === 'drink' || r === 'liquid') && flow.bowls.some((x) => x.place === 'layer');
}

/** Hotter is no mix of eggs but the sugar that was boiled for it, °C. */
const SYRUP_FROM_C = 100;

/** The schools that a bowl's work shows, by question. */
export function waysOf(b: Bowl, kind: PartKind, flow: Pick<Flow, 'lines' | 'bowls'>): Readonly<Record<string, string>> {
  const roles = rolesIn(b, flow.lines);
  const sugar = (roles.get('sugar') ?? 0) > 0;
  switch (kind) {
    case 'egg-foam':
    case 'buttercream':
    case 'meringue':
    case 'set-filling': {
      const whites =
        b.syrup || (b.hotC ?? 0) > SYRUP_FROM_C
          ? 'italian'
          : b.steam || b.heated || (b.hotC ?? 0) >= 45
            ? (b.hotC ?? 71) < 60
              ? 'swiss-50'
              : 'swiss-71'
            : 'french';
      const eggs = b.syrup || (b.hotC ?? 0) > SYRUP_FROM_C ? 'syrup' : b.steam || b.heated ? 'steam' : 'raw';
      return { ...((roles.get('white') ?? 0) > 0 && sugar ? { whites } : {}), ...(kind === 'egg-foam' ? { eggs } : {}) };
    }
    case 'pressed-base':
      return { base: b.baked ? 'baked' : 'chilled' };
    case 'biscuit-layer':
      return { dip: b.brushed ? 'brushed' : b.dipped ? 'dipped' : 'dry' };
    case 'fruit-base':
      return { 'fruit-cooked': b.heated || b.baked ? 'cooked' : 'raw' };
    case 'chocolate-base':
      return { ganache: b.steam || !((roles.get('cream') ?? 0) + (roles.get('milk') ?? 0) > 0) ? 'bain-marie' : 'hot-cream' };
    case 'whipped-cream':
    case 'cheese-cream':
    case 'crown':
      return b.sugarLate && (roles.get('cream') ?? 0) > 0 ? { 'sugar-moment': 'soft-peak' } : {};
    default:
      return {};
  }
}
