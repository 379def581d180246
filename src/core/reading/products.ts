import type { Bowl } from './bowls';
import { sameHeading } from './rows';
import type { FlowClause, Worktop } from './worktop';

/** The bowl that a word for something made stands for; null where none is it. */
export const productNamed = (w: Worktop, name: string, c: FlowClause): Bowl | null => {
  const headed = w.latest((b) => sameHeading(b.heading, name) && b.lines.size + b.takes.size > 0);
  switch (name) {
    case 'mixture':
    case 'mix':
    case 'batter':
    case 'liquid':
    case 'paste':
    case 'emulsion':
    case 'foam':
    case 'froth':
      return name === 'foam' || name === 'froth' ? (w.latest((b) => b.air) ?? w.here()) : w.here();
    case 'cream mixture':
      // 'A cup of the hot cream mixture': not the eggs that it goes into.
      return w.latest((b) => b !== w.here() && b.heated && b.placed === 'no' && w.holds(b, 'cream', 'milk')) ?? w.here();
    case 'filling':
    case 'mousse':
    case 'cheesecake':
    case 'semifreddo':
    case 'parfait':
    case 'layer':
      return (
        headed ??
        w.latest((b) => b.takes.size > 0 && b.placed !== 'late') ??
        w.latest((b) => w.holds(b, 'cheese', 'cream') && b.place === 'mix') ??
        (w.here()?.pressed ? null : w.here())
      );
    case 'plain': {
      // 'Half of the plain, all the raspberry': of which a share was taken for something else.
      return w.latest((b) => b.placed !== 'beside' && w.live().some((x) => (x.takes.get(b.id) ?? 1) < 1));
    }
    case 'base':
    case 'crust':
    case 'biscuit base':
    case 'crumb':
    case 'crumble':
    case 'dough':
      return w.latest((b) => b.pressed) ?? w.latest((b) => w.holds(b, 'biscuit') && b.place === 'mix') ?? headed;
    case 'sponge':
      return w.latest((b) => b.baked && w.holds(b, 'egg', 'yolk', 'white')) ?? headed;
    case 'custard':
    case 'pastry cream':
    case 'curd':
    case 'pudding':
      return w.latest((b) => b.heated && w.holds(b, 'yolk', 'egg', 'milk', 'starch')) ?? headed;
    case 'zabaglione':
    case 'sabayon':
    case 'egg foam':
    case 'bombe':
    case 'pate a bombe':
      return w.latest((b) => w.holds(b, 'yolk', 'egg')) ?? headed;
    case 'meringue':
    case 'pavlova':
    case 'pav':
    case 'shell':
    case 'nest':
    case 'dacquoise':
    case 'disc':
      return w.latest((b) => w.holds(b, 'white')) ?? headed;
    case 'ganache':
      return w.latest((b) => w.holds(b, 'chocolate')) ?? headed;
    case 'syrup':
    case 'soak':
    case 'infusion':
    case 'dip':
      return (
        w.latest((b) => b.place === 'soak') ??
        w.latest((b) => !b.air && w.isWetOnly(b) && w.holds(b, 'sugar', 'drink') && w.holds(b, 'liquid', 'sour', 'drink')) ??
        headed ??
        w.latest((b) => !b.air && w.holds(b, 'sugar', 'drink') && w.holds(b, 'liquid', 'sour', 'drink')) ??
        w.latest((b) => b.heated && [...b.lines].every((i) => w.lines[i]!.role === 'sugar'))
      );
    case 'praline':
    case 'brittle':
    case 'nougatine':
      return (
        headed ??
        w.latest((b) => b.heated && w.holds(b, 'sugar') && w.holds(b, 'nut') && !w.holds(b, 'white', 'yolk', 'egg', 'cream')) ??
        productNamed(w, 'caramel', c)
      );
    case 'caramel':
    case 'sauce':
    case 'glaze':
    case 'reduction':
      return (
        headed ??
        w.latest(
          (b) =>
            b.heated &&
            [...b.lines].some((i) => ['sugar', 'chocolate', 'fruit'].includes(w.lines[i]!.role!)) &&
            ![...b.lines].some((i) => ['white', 'yolk', 'egg'].includes(w.lines[i]!.role!)),
        ) ??
        w.latest((b) => b.heated && w.holds(b, 'sugar', 'chocolate', 'fruit')) ??
        (name === 'sauce' ? w.latest((b) => !b.air && b.place === 'mix' && b.placed === 'no' && w.holds(b, 'fruit') && !w.holds(b, 'cream', 'cheese')) : null)
      );
    case 'jelly':
      return headed ?? w.latest((b) => w.holds(b, 'gelatin'));
    case 'compote':
    case 'coulis':
    case 'puree':
    case 'pulp':
      return w.latest((b) => w.holds(b, 'fruit')) ?? headed;
    case 'buttercream':
      return w.latest((b) => w.holds(b, 'butter') && w.holds(b, 'white', 'yolk', 'egg')) ?? w.latest((b) => w.holds(b, 'butter')) ?? headed;
    case 'whipped cream':
    case 'chantilly':
    case 'crown':
    case 'frosting':
    case 'icing':
      return headed ?? w.latest((b) => b.air && w.holds(b, 'cream')) ?? w.latest((b) => w.holds(b, 'cream', 'cheese'));
    default:
      return headed ?? (c.section !== null && sameHeading(c.section, name) ? w.here() : null);
  }
};
