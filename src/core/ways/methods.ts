import type { Role } from '../larder/role';
import { CHEESE_BEATEN_S } from '../setting/house';
import type { Family, PartKind } from '../document/kinds';

/** A step as a way writes it; which lines it takes is said by role, the rest goes to the one that takes 'rest'. */
export interface StepTemplate {
  readonly key: string;
  readonly title: string;
  readonly short: string;
  readonly detail: string;
  readonly hands: number;
  readonly wait?: readonly [low: number, high: number];
  readonly tempC?: number;
  readonly ovenC?: number;
  readonly within?: number;
  readonly whisks?: boolean;
  readonly wants?: readonly Role[];
  readonly takes?: readonly Role[] | 'rest';
  /** For putting together: kinds of part that it takes up. */
  readonly parts?: readonly PartKind[];
}

/** What a method can ask of its part. */
export interface MethodContext {
  readonly has: (role: Role) => boolean;
  /** The school chosen for a question. */
  readonly way: (key: string) => string;
}

const NB = '\u00a0';
const when = (condition: boolean, ...steps: StepTemplate[]): readonly StepTemplate[] => (condition ? steps : []);

const soakGelatin = (c: MethodContext): readonly StepTemplate[] =>
  when(c.has('gelatin'), {
    key: 'soak',
    title: 'Soak and melt the gelatin',
    short: 'soak',
    detail:
      c.way('gelatin-melt') === 'in-liquid'
        ? `Leaf: plenty of cold water, 5–10 min, squeezed out. Powder: five times its weight of cold water, 10 min. Stir it into a few spoons of the liquid at 50–60${NB}°C, never boiling.`
        : `Leaf: plenty of cold water, 5–10 min, squeezed out. Powder: five times its weight of cold water, 10 min. Melt it over warm water at 50–60${NB}°C, never boil it.`,
    hands: 3,
    wait: [0.1, 0.17],
    wants: ['gelatin'],
    takes: ['gelatin'],
  });

/** Cheese without cream takes up no air: it is beaten smooth, and curdles when that goes on (science-2: 20–30 s). */
function beatenCheese(c: MethodContext): readonly StepTemplate[] {
  return [
    ...soakGelatin(c),
    {
      key: 'loosen',
      title: 'Loosen the cheese alone',
      short: 'loosen',
      detail: `At {cheeseC}, stirred only until smooth; scrape the bowl.`,
      hands: 3,
      wants: ['cheese'],
      takes: ['cheese'],
    },
    { key: 'weigh', title: 'Weigh the rest to it', short: 'weigh', detail: `Butter as soft as the cheese, sugar sifted.{bowls}`, hands: 4, takes: 'rest' },
    {
      key: 'beat',
      title: `Beat smooth, ${CHEESE_BEATEN_S[0]}–${CHEESE_BEATEN_S[1]}${NB}s`,
      short: 'beat',
      detail: 'Paddle, slow; stop when no streak is left. Beaten on, it curdles and runs.',
      hands: 2,
      within: 20,
    },
  ];
}

function whippedCream(c: MethodContext): readonly StepTemplate[] {
  if (c.has('cheese') && !c.has('cream') && !c.has('white')) return beatenCheese(c);
  const late: Role[] = [...(c.way('sugar-moment') === 'soft-peak' ? (['sugar'] as const) : [])];
  const gelatinLate = c.has('gelatin') ? ' Beat two spoons of cream into the warm gelatin, then pour it in at soft peak.' : '';
  const buttercream = c.has('white') && c.has('butter');
  const whitesIn = c.has('white') && !buttercream;
  return [
    ...when(c.way('bowl') === 'chilled', {
      key: 'chill',
      title: 'Chill the bowl and the whisk',
      short: 'chill',
      detail: 'Cream and bowl at {creamC} before you start. Take the cream’s temperature in the bowl.',
      hands: 1,
      wait: [0.33, 0.5],
    }),
    ...soakGelatin(c),
    ...when(c.has('cheese'), {
      key: 'loosen',
      title: 'Loosen the cheese alone',
      short: 'loosen',
      detail: `At {cheeseC}, stirred only until smooth; scrape the bowl, then stream in a third of the cream.`,
      hands: 3,
      wants: ['cheese'],
      takes: ['cheese'],
    }),
    ...when(buttercream, {
      key: 'buttercream',
      title: 'Whisk a meringue buttercream',
      short: 'buttercream',
      detail: `Whites and sugar over steam to 71${NB}°C, whisked cold; butter at 20${NB}°C in pieces. It looks curdled before it comes together: keep on.`,
      hands: 15,
      tempC: 71,
      wants: ['white', 'butter'],
      takes: ['white', 'butter', 'sugar'],
    }),
    {
      key: 'weigh',
      title: 'Weigh into the bowl',
      short: 'weigh',
      detail: 'Tare before each. Then fill a small cup level with the mix and weigh it: it tells the air later.{bowls}',
      hands: 4,
      takes: 'rest',
    },
    {
      key: 'whisk',
      title: 'Whisk to {stage}',
      short: 'whisk',
      detail: `{mixer}{time}.${late.includes('sugar') ? ' Sugar in at soft peak.' : ''}${gelatinLate} Whisk off before scraping.`,
      hands: 5,
      whisks: true,
      within: 20,
      takes: late,
      wants: late,
    },
    ...when(whitesIn, {
      key: 'whites-in',
      title: 'Whisk the whites and fold them in',
      short: 'whites',
      detail: 'Clean bowl, no trace of yolk; to a soft peak. A third first, then the rest.',
      hands: 6,
      wants: ['white'],
      takes: ['white'],
      within: 10,
    }),
    ...when(buttercream, {
      key: 'join',
      title: 'Fold the buttercream into the cream',
      short: 'join',
      detail: `Both at 18–20${NB}°C, in three goes.`,
      hands: 4,
    }),
    { key: 'cup', title: 'Weigh the same cup of foam', short: 'cup', detail: 'Same cup, level, no gaps, net of the cup. Its lightness is the air.', hands: 1 },
  ];
}

/** What the sugar is boiled with: water; without it the juice. */
const wetOf = (c: MethodContext): Role => (c.has('liquid') ? 'liquid' : c.has('sour') ? 'sour' : 'liquid');

function eggFoam(c: MethodContext): readonly StepTemplate[] {
  if (c.has('white') && !c.has('yolk') && !c.has('egg'))
    return [...whisked(c), { key: 'use', title: 'Use the whites at once', short: 'use', detail: 'They dry and break while they wait.', hands: 0, within: 5 }];
  const eggs = c.way('eggs');
  if (!c.has('yolk') && !c.has('egg'))
    return [{ key: 'stir', title: 'Stir it smooth', short: 'stir', detail: 'Until no grain of sugar is felt.', hands: 3, takes: 'rest' }];
  if (eggs === 'syrup') {
    return [
      {
        key: 'yolks',
        title: 'Start the yolks in the mixer',
        short: 'yolks',
        detail: 'On medium, while the syrup boils.',
        hands: 3,
        wants: ['yolk'],
        takes: ['yolk', 'egg', 'salt'],
      },
      {
        key: 'syrup',
        title: `Boil the syrup to 118${NB}°C`,
        short: 'syrup',
        detail: 'Do not stir; brush the wall with water. Hot sugar burns: sleeves down, nobody behind you.',
        hands: 8,
        tempC: 118,
        wants: ['sugar', wetOf(c)],
        takes: ['sugar', wetOf(c)],
      },
      {
        key: 'whisk',
        title: 'Pour it on and whisk until cool',
        short: 'pour on',
        detail: `In a thin stream between whisk and wall. Take the temperature right after: 71${NB}°C is the one-point rule. Fast until thick and at 28${NB}°C.`,
        hands: 8,
        whisks: true,
        tempC: 28,
        within: 15,
        takes: 'rest',
      },
    ];
  }
  if (eggs === 'steam') {
    return [
      {
        key: 'whisk',
        title: 'Whisk over steam',
        short: 'steam',
        detail: `Bowl over barely simmering water, whisking all the time, to 71${NB}°C; then off the heat until thick and at 28${NB}°C. Steam burns: tilt the bowl away.`,
        hands: 14,
        whisks: true,
        tempC: 71,
        within: 15,
        wants: ['sugar'],
        takes: 'rest',
      },
    ];
  }
  const raw = eggs === 'raw' ? ' Raw egg: not for small children, the old, the pregnant and the ill.' : '';
  return [
    {
      key: 'whisk',
      title: 'Whisk to the ribbon',
      short: 'ribbon',
      detail: `Pale, thick, and a trail that stays for three seconds.${raw}`,
      hands: 7,
      whisks: true,
      within: 15,
      takes: 'rest',
    },
  ];
}

/** Whites with their sugar, by the way of meringue. */
function whisked(c: MethodContext): readonly StepTemplate[] {
  const way = c.way('whites');
  if (!c.has('sugar'))
    return [
      {
        key: 'whisk',
        title: 'Whisk the whites to a soft peak',
        short: 'whites',
        detail: 'Clean dry bowl, no trace of yolk.',
        hands: 4,
        whisks: true,
        within: 5,
        wants: ['white'],
        takes: 'rest',
      },
    ];
  if (way === 'swiss-50' || way === 'swiss-71') {
    const to = way === 'swiss-50' ? 50 : 71;
    return [
      {
        key: 'heat',
        title: `Heat whites and sugar to ${to}${NB}°C`,
        short: 'heat',
        detail: `Over steam, stirring all the time.${to === 50 ? ' Not a kill step.' : ' Reached throughout, that is the one-point rule.'}`,
        hands: 6,
        tempC: to,
        wants: ['white', 'sugar'],
        takes: ['white', 'sugar', 'acid', 'salt'],
      },
      {
        key: 'whisk',
        title: 'Whisk to firm and cool',
        short: 'whisk',
        detail: 'Fast until the bowl is no longer warm.',
        hands: 7,
        whisks: true,
        takes: 'rest',
      },
    ];
  }
  if (way === 'italian') {
    return [
      {
        key: 'syrup',
        title: `Boil the syrup to 118${NB}°C`,
        short: 'syrup',
        detail: 'Do not stir. Hot sugar burns: sleeves down.',
        hands: 8,
        tempC: 118,
        wants: ['sugar', wetOf(c)],
        takes: ['sugar', wetOf(c)],
      },
      {
        key: 'whisk',
        title: 'Pour it on the whisked whites',
        short: 'whisk',
        detail: 'Whites at soft peak; a thin stream; fast until cool and glossy.',
        hands: 9,
        whisks: true,
        wants: ['white'],
        takes: 'rest',
      },
    ];
  }
  return [
    {
      key: 'whisk',
      title: 'Whisk whites, then the sugar in spoons',
      short: 'whisk',
      detail: 'Soft peak first; each spoon dissolved before the next; glossy and firm at the end.',
      hands: 9,
      whisks: true,
      within: 10,
      wants: ['white', 'sugar'],
      takes: 'rest',
    },
  ];
}

/** What goes into a custard once it is cooked. */
const AFTER_COOKING: readonly Role[] = ['butter', 'flavour', 'drink', 'chocolate'];

function custard(c: MethodContext): readonly StepTemplate[] {
  const starch = c.has('starch');
  return [
    {
      key: 'mix',
      title: starch ? 'Stir sugar, starch and yolks smooth' : 'Stir yolks and sugar smooth',
      short: 'mix',
      detail: 'At once, before the sugar draws lumps out of the yolks.',
      hands: 3,
      takes: ['yolk', 'egg', 'sugar', 'starch', 'cocoa', 'salt'],
    },
    {
      key: 'scald',
      title: 'Heat the milk until it steams',
      short: 'milk',
      detail: 'Half of it onto the yolks, stirring all the time, then everything back into the pan.',
      hands: 5,
      takes: 'rest',
    },
    {
      key: 'cook',
      title: starch ? 'Bring to the boil and cook for a minute' : `Cook to 82${NB}°C, stirring`,
      short: 'cook',
      detail: starch ? 'Whisk all the time: raw starch thins overnight.' : `It coats a spoon. Above 85${NB}°C it scrambles.`,
      hands: 8,
      tempC: starch ? 96 : 82,
    },
    ...when(
      AFTER_COOKING.some((r) => c.has(r)),
      {
        key: 'finish',
        title: 'Off the heat, stir in what must not boil',
        short: 'finish',
        detail: 'Butter in pieces until it is gone; flavour and drink last, so that they stay.',
        hands: 2,
        takes: AFTER_COOKING,
      },
    ),
    ...when(c.has('gelatin'), {
      key: 'gelatin',
      title: 'Stir in the soaked gelatin',
      short: 'gelatin',
      detail: `Below 80${NB}°C, until no thread is seen.`,
      hands: 2,
      wants: ['gelatin'],
      takes: ['gelatin'],
    }),
    c.way('custard-cooling') === 'ice-bath'
      ? {
          key: 'cool',
          title: `Cool in an ice bath to 20${NB}°C`,
          short: 'cool',
          detail: 'Stir, film on the surface, then the fridge. Cooked bases are cooled in two stages: follow your local code.',
          hands: 8,
          tempC: 20,
          wait: [0, 0],
        }
      : {
          key: 'cool',
          title: 'Spread in a tray and chill',
          short: 'cool',
          detail: `In a still fridge about 10${NB}mm deep, 15–20 in one with a fan, 40 in a blast chiller, film on the surface: Cold shows the depth that meets your rule. To 21${NB}°C within 2${NB}h and 5${NB}°C within 6${NB}h is the usual rule.`,
          hands: 3,
          tempC: 5,
          wait: [2, 4],
        },
  ];
}

function chocolateBase(c: MethodContext): readonly StepTemplate[] {
  return [
    c.way('ganache') === 'hot-cream'
      ? {
          key: 'melt',
          title: 'Pour hot cream on the chocolate',
          short: 'melt',
          detail: `Cream or milk at 80–85${NB}°C, a minute’s rest, stirred from the middle until it shines.`,
          hands: 5,
          wants: ['chocolate'],
          takes: ['chocolate', 'cream', 'milk', 'liquid', 'cocoa'],
        }
      : {
          key: 'melt',
          title: 'Melt the chocolate over warm water',
          short: 'melt',
          detail: `To 45${NB}°C, no steam in the bowl: a drop seizes it.`,
          hands: 6,
          tempC: 45,
          wants: ['chocolate'],
          takes: ['chocolate', 'cocoa'],
        },
    {
      key: 'enrich',
      title: 'Beat in the rest',
      short: 'enrich',
      detail: `Yolks, butter and flavour while it is at 40–45${NB}°C. If the drink curdles it, keep stirring.`,
      hands: 4,
      takes: 'rest',
    },
    {
      key: 'hold',
      title: `Hold it at 35–40${NB}°C for the fold`,
      short: 'hold',
      detail: 'Colder makes specks, warmer melts the foam.',
      hands: 1,
      tempC: 38,
      within: 20,
    },
  ];
}

function fruitBase(c: MethodContext): readonly StepTemplate[] {
  const cooked = c.way('fruit-cooked') === 'cooked';
  return [
    ...soakGelatin(c),
    cooked
      ? {
          key: 'cook',
          title: 'Cook the fruit soft with its sugar',
          short: 'cook',
          detail: `Through to 85${NB}°C. Weigh it after: what boiled off is a line of its own.`,
          hands: 10,
          tempC: 85,
          wants: ['fruit'],
          takes: 'rest',
        }
      : {
          key: 'crush',
          title: 'Crush the raw fruit with its sugar',
          short: 'crush',
          detail: 'Raw kiwi, pineapple, papaya, mango, fig or ginger would eat gelatin.',
          hands: 5,
          wants: ['fruit'],
          takes: 'rest',
        },
    { key: 'sieve', title: 'Sieve it', short: 'sieve', detail: 'Press, scrape the underside, weigh what came through.', hands: 5 },
    ...when(c.has('gelatin'), {
      key: 'gelatin',
      title: 'Stir in the gelatin',
      short: 'gelatin',
      detail: `Fruit at 50${NB}°C, then down to 18–25${NB}°C for the fold: it starts to coat the wires.`,
      hands: 3,
      tempC: 22,
      within: 15,
    }),
  ];
}

function buttercream(c: MethodContext): readonly StepTemplate[] {
  const whites = c.has('white') || c.has('egg') || c.has('yolk');
  return [
    ...when(whites, {
      key: 'heat',
      title: `Heat whites and sugar to 71${NB}°C`,
      short: 'heat',
      detail: 'Over steam, stirring all the time; reached throughout, that is the one-point rule. Steam burns: tilt the bowl away.',
      hands: 6,
      tempC: 71,
      wants: ['sugar'],
      takes: ['white', 'yolk', 'egg', 'sugar', 'acid', 'liquid'],
    }),
    ...when(whites, {
      key: 'whisk',
      title: 'Whisk to firm and cool',
      short: 'whisk',
      detail: 'Fast, until the bowl is no longer warm.',
      hands: 9,
      whisks: true,
    }),
    {
      key: 'butter',
      title: 'Beat the butter in, piece by piece',
      short: 'butter',
      detail: `Butter at 18–22${NB}°C. It looks curdled before it comes together: keep on. Soup is too warm: chill the bowl; curdled and cold: warm it a little.`,
      hands: 8,
      wants: ['butter'],
      takes: 'rest',
    },
  ];
}

function setFilling(c: MethodContext): readonly StepTemplate[] {
  const first = c.way('first-portion');
  const words =
    first === 'none'
      ? 'All at once, from the bottom, turning the bowl.'
      : `${first === 'third' ? 'A third' : 'A quarter'} of the foam first, stirred in to loosen it; then the rest, from the bottom, turning the bowl.`;
  return [
    ...soakGelatin(c),
    ...when(c.has('cheese'), {
      key: 'loosen',
      title: 'Loosen the cheese alone',
      short: 'loosen',
      detail: 'Room-warm, stirred only until smooth: over-mixing makes it grainy.',
      hands: 3,
      wants: ['cheese'],
      takes: ['cheese', 'sugar', 'sour', 'flavour', 'salt', 'yolk', 'egg'],
    }),
    ...when(c.has('cream') || c.has('milk') || c.has('fruit') || c.has('chocolate'), {
      key: 'join',
      title: 'Stir in the rest',
      short: 'join',
      detail: `In a thin stream. A gelatin base is folded at 18–25${NB}°C, chocolate at 32–42${NB}°C.`,
      hands: 5,
      takes: 'rest',
    }),
    {
      key: 'fold',
      title: 'Fold in the foam',
      short: 'fold',
      detail: `${words} Stop while a streak is still seen.`,
      hands: 4,
      within: 10,
      takes: c.has('cream') || c.has('milk') || c.has('fruit') || c.has('chocolate') ? ['part'] : 'rest',
    },
  ];
}

const soak = (c: MethodContext): readonly StepTemplate[] => [
  {
    key: 'brew',
    title: c.has('drink') ? 'Brew, sweeten, cool, then the drink' : 'Brew, sweeten and cool',
    short: 'brew',
    detail: `Cool to 20${NB}°C: hot, it is drawn up too fast.${c.has('drink') ? ' The drink goes in cold, so that it stays.' : ''}`,
    hands: 5,
    wait: [0.5, 2],
    tempC: 20,
    takes: 'rest',
  },
];

function biscuitLayer(c: MethodContext): readonly StepTemplate[] {
  const dip = c.way('dip');
  const detail =
    dip === 'dry'
      ? 'Edge to edge, gaps filled with broken pieces.'
      : dip === 'brushed'
        ? 'Lay first, brush until it darkens evenly.'
        : 'One second a side, shaken off, laid at once. It bends but does not drip.';
  return [
    {
      key: 'lay',
      title: dip === 'dry' ? 'Lay the biscuits' : dip === 'brushed' ? 'Lay and brush' : 'Dip and lay',
      short: 'lay',
      detail,
      hands: 8,
      wants: ['biscuit'],
      takes: 'rest',
    },
  ];
}

function pressedBase(c: MethodContext): readonly StepTemplate[] {
  const baked = c.way('base') === 'baked';
  return [
    {
      key: 'crush',
      title: 'Crush and bind',
      short: 'crush',
      detail: 'Crumbs like coarse sand; melted butter or chocolate through all of it.',
      hands: 6,
      takes: 'rest',
    },
    { key: 'press', title: 'Press into the tin', short: 'press', detail: 'Level with the foot of a glass, corners first.', hands: 5 },
    ...when(
      baked,
      {
        key: 'bake',
        title: `Bake blind at 170${NB}°C`,
        short: 'bake',
        detail: '12–15 min, until the edge takes colour.',
        hands: 2,
        ovenC: 170,
        wait: [0.2, 0.25],
      },
      {
        key: 'cool-base',
        title: 'Cool the base in its tin',
        short: 'cool',
        detail: 'Fully, out of the oven: filled warm, it turns soggy.',
        hands: 1,
        wait: [0.5, 0.75],
      },
    ),
    ...when(!baked, {
      key: 'chill',
      title: 'Chill until firm',
      short: 'chill',
      detail: 'It feels firm after a few minutes in the cold.',
      hands: 1,
      wait: [0.33, 0.5],
    }),
  ];
}

function meringue(c: MethodContext): readonly StepTemplate[] {
  const shut = c.way('cooling') === 'shut';
  return [
    ...when(c.has('nut'), {
      key: 'roast',
      title: `Roast and chop the nuts at 160${NB}°C`,
      short: 'roast',
      detail: '10–12 min; cool them fully or they turn oily.',
      hands: 4,
      ovenC: 160,
      wait: [0.2, 0.4],
      wants: ['nut'],
    }),
    ...whisked({ ...c, has: (r) => (r === 'nut' || r === 'starch' ? false : c.has(r)) }),
    ...when(c.has('nut') || c.has('starch'), {
      key: 'fold',
      title: 'Fold in the dry',
      short: 'fold',
      detail: 'In two goes, sifted.',
      hands: 3,
      takes: ['nut', 'starch', 'cocoa'],
    }),
    ...(c.has('nut')
      ? [
          { key: 'pipe', title: 'Spread or pipe the sheets', short: 'spread', detail: 'On paper, 8–12 mm thick, even to the edge.', hands: 8, within: 15 },
          {
            key: 'bake',
            title: `Bake at 160${NB}°C`,
            short: 'bake',
            detail: 'Until golden and set on top, a little soft within: nuts ask for heat, not for drying.',
            hands: 2,
            ovenC: 160,
            wait: [0.25, 0.6] as const,
          },
        ]
      : [
          { key: 'pipe', title: 'Pipe and hollow', short: 'pipe', detail: 'Even height; the wall stands as thick as a finger.', hands: 10, within: 15 },
          {
            key: 'bake',
            title: `Dry in the oven at 100${NB}°C`,
            short: 'bake',
            detail: 'Low fan. It lifts off the paper and sounds hollow when it is done.',
            hands: 2,
            ovenC: 100,
            wait: [1.25, 2] as const,
          },
        ]),
    {
      key: 'cool',
      title: shut ? 'Leave in the shut oven overnight' : 'Cool with the door ajar',
      short: 'cool',
      detail: shut ? 'Switched off; nobody else needs the oven.' : 'A wooden spoon in the door; an hour at least.',
      hands: 1,
      wait: shut ? [8, 12] : [1, 2],
    },
  ];
}

const topping = (c: MethodContext): readonly StepTemplate[] => [
  {
    key: 'ready',
    title: c.has('fruit') ? 'Cut the fruit' : 'Make the topping ready',
    short: 'topping',
    detail: c.has('fruit')
      ? c.way('fruit-late') === 'late'
        ? 'Just before serving, so that no juice runs on the cream.'
        : 'Turned in lemon juice at once, drained before use.'
      : 'Sift, chop or toast; dry and apart until serving.',
    hands: 5,
    takes: 'rest',
  },
];

const METHODS: Readonly<Record<PartKind, (c: MethodContext) => readonly StepTemplate[]>> = {
  'whipped-cream': whippedCream,
  'cheese-cream': whippedCream,
  crown: whippedCream,
  'egg-foam': eggFoam,
  custard,
  'chocolate-base': chocolateBase,
  'fruit-base': fruitBase,
  buttercream,
  'set-filling': setFilling,
  soak,
  'biscuit-layer': biscuitLayer,
  'pressed-base': pressedBase,
  meringue,
  topping,
};

/** The steps of a part by its chosen ways, in working order. */
export const methodOf = (kind: PartKind, context: MethodContext): readonly StepTemplate[] => METHODS[kind](context);

const ALL_LAYERS: readonly PartKind[] = [
  'pressed-base',
  'biscuit-layer',
  'soak',
  'fruit-base',
  'custard',
  'chocolate-base',
  'egg-foam',
  'set-filling',
  'cheese-cream',
  'whipped-cream',
];

/** How each family is put together; only steps whose parts are there, or that need none, are used. */
export function assemblyOf(family: Family, context: MethodContext): readonly StepTemplate[] {
  const cold: StepTemplate = {
    key: 'put-away',
    title: 'Cover, label, into the cold',
    short: 'cold',
    detail: 'Label it with the time, use-by and allergens{allergens}. Come back to write down how long it stayed clean.',
    hands: 3,
  };
  const topped: StepTemplate = {
    key: 'top',
    title: 'Top just before serving',
    short: 'before serving',
    detail: 'Late, so that it stays dry and clean.',
    hands: 5,
    parts: ['topping', 'crown'],
  };
  const fill: StepTemplate = {
    key: 'fill',
    title: 'Fill and level',
    short: 'fill',
    detail: 'A thin bed of cream first, cream on top last; knock the air pockets out.',
    hands: 8,
    parts: ALL_LAYERS,
  };
  switch (family) {
    case 'chantilly':
    case 'frosting':
      return [
        {
          ...fill,
          key: 'use',
          title: family === 'frosting' ? 'Fill the bag, pipe or spread' : 'Spoon or pipe',
          short: 'use',
          detail: 'Cold hands, cold bag; the last of the bag is the softest.',
          hands: 5,
        },
        topped,
        cold,
      ];
    case 'tiramisu':
      return [
        {
          ...fill,
          key: 'build',
          title: 'Build the layers',
          short: 'build',
          detail: 'Fingers, half the cream, fingers, the rest; level at the rim.',
          hands: 12,
        },
        context.way('rest') === 'hour'
          ? { key: 'rest', title: `Rest at 4${NB}°C for an hour`, short: 'rest', detail: 'Covered. Spoon it: it will not cut yet.', hands: 1, wait: [1, 2] }
          : {
              key: 'rest',
              title: `Rest at 4${NB}°C overnight`,
              short: 'rest',
              detail: 'Covered; the soak spreads and it cuts clean.',
              hands: 1,
              wait: [8, 14],
            },
        { ...topped, title: 'Dust and cut' },
        cold,
      ];
    case 'icebox':
      return [
        {
          ...fill,
          key: 'build',
          title: 'Build the layers',
          short: 'build',
          detail: 'A thin bed of cream under the first biscuits, cream on top last; seams of one layer over biscuits of the next.',
          hands: 20,
        },
        context.way('soften') === 'six'
          ? { key: 'rest', title: 'Soften for six hours', short: 'soften', detail: `Covered at 4${NB}°C; a thin knife says when.`, hands: 1, wait: [6, 8] }
          : { key: 'rest', title: 'Soften overnight', short: 'soften', detail: `Covered at 4${NB}°C.`, hands: 1, wait: [10, 16] },
        {
          key: 'unmould',
          title: 'Turn out and finish',
          short: 'finish',
          detail: 'Warm cloth round the ring, film off, sides smoothed.',
          hands: 6,
          parts: ['topping', 'crown'],
        },
        cold,
      ];
    case 'syllabub':
      return [
        {
          ...fill,
          title: 'Spoon into the glasses',
          detail: context.way('syllabub') === 'parted' ? 'To the fill line; leave it be: the clear drink gathers below.' : 'To the fill line, in soft peaks.',
        },
        context.way('syllabub') === 'parted'
          ? { key: 'rest', title: 'Let it part overnight', short: 'part', detail: 'In the cold, unmoved.', hands: 1, wait: [8, 14] }
          : { key: 'rest', title: 'Chill for an hour', short: 'chill', detail: 'Covered.', hands: 1, wait: [1, 2] },
        topped,
        cold,
      ];
    case 'semifreddo':
      return [
        { key: 'line', title: 'Line the mould', short: 'line', detail: 'Film with long ends, into the freezer.', hands: 4 },
        { ...fill, key: 'fill', title: 'Fill the mould', short: 'fill', detail: 'Level, knock, cover with the film.', hands: 5 },
        { key: 'freeze', title: 'Freeze through', short: 'freeze', detail: 'Not near the door.', hands: 1, wait: [10, 18] },
        {
          key: 'temper',
          title: 'Rest in the fridge, then slice',
          short: 'slice',
          detail: 'Until a thin hot knife goes through. What has softened is not frozen again.',
          hands: 4,
          wait: [0.25, 0.6],
          parts: ['topping', 'crown'],
        },
        cold,
      ];
    case 'mousse':
      return [
        { ...fill, title: 'Fill the glasses', within: 10 },
        { key: 'set', title: `Set at 4${NB}°C`, short: 'set', detail: 'Covered, until a spoon leaves a clean edge.', hands: 1, wait: [3, 6] },
        topped,
        cold,
      ];
    case 'cheesecake':
      return [
        { ...fill, title: 'Fill on the base and level' },
        { key: 'set', title: `Set at 4${NB}°C`, short: 'set', detail: 'Until the middle no longer shivers.', hands: 1, wait: [5, 10] },
        {
          key: 'unmould',
          title: 'Unmould and slice',
          short: 'slice',
          detail: 'Warm cloth round the ring; hot dry knife, wiped each time.',
          hands: 6,
          parts: ['topping', 'crown'],
        },
        cold,
      ];
    case 'nest':
      return [
        {
          key: 'crown',
          title: 'Crown the nests',
          short: 'crown',
          detail: 'At most 30 min before serving: the cream softens the shell from below.',
          hands: 6,
          within: 30,
          parts: [
            'meringue',
            'whipped-cream',
            'cheese-cream',
            'crown',
            'custard',
            'fruit-base',
            'chocolate-base',
            'set-filling',
            'soak',
            'biscuit-layer',
            'pressed-base',
            'egg-foam',
          ],
        },
        topped,
        {
          ...cold,
          detail:
            'Shells keep dry and shut at room temperature; the cream is covered and labelled with time, use-by and allergens{allergens}. Come back to write down how long it stayed clean.',
        },
      ];
    case 'pudding':
      return [
        { ...fill, key: 'build', title: 'Build the layers', short: 'build', detail: 'Custard, biscuits, fruit, cream; again; cream on top.', hands: 12 },
        { key: 'rest', title: `Chill at 4${NB}°C`, short: 'rest', detail: 'Covered, until the biscuits have softened.', hands: 1, wait: [6, 12] },
        topped,
        cold,
      ];
  }
}
