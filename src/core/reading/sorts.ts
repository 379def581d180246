/** Words of a name that say of which sort it is, and are no name by themselves. */
export const SORTS: ReadonlySet<string> = new Set(
  'white dark brown black red green golden heavy double single light thick whole large small medium cold hot warm fresh frozen dried ground icing caster granulated plain pure strong sweet sweetened unsweetened condensed evaporated salted unsalted fine rich low full fat free greek strained canned toasted roasted chopped grated sliced melted soft softened raw ripe extra powdered instant of and or with the a in for to from your any good quality block tub pack carton optional divided plus more about room temperature gold silver bronze platinum titanium bitter semisweet bittersweet milk natural thin crisp round rectangle long life uht stabilised digestive graham style baking spread mini cut into piece cube standard see note each bar can tin sheet level heaped crushed finely roughly seville'.split(
    ' ',
  ),
);
