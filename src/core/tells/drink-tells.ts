import { alcoholServed } from '../composition/alcohol';
import { houseRange, plainNumber, roughNumber, showFigure, showGrams, withUnit, type Figure } from '../figure';
import { SYLLABUB, SYLLABUB_SPREAD } from '../foam/house';
import { PARTED_WISH, wineFor, type Syllabub } from '../foam/syllabub';
import { mainPart } from '../analysis/analyse';
import { syllabubOf } from '../analysis/syllabub';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { wineOf } from '../analysis/wine';
import { showGramsPlain } from '../figure';
import { num } from './figures';
import { plainTell, type Stretch, type Tell, type TellAction } from './tell';

/** Judgements of drink: alcohol, caffeine, syllabub. */

const NB = '\u00a0';
const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });
/** Vanilla by the spoon is not worth a line: less ethanol in a portion than this, g, and weaker than this, % vol. */
const TRACE = { perPortionG: 0.3, abvPct: 0.5 } as const;
/** From this strength on a figure of a part is beyond what kitchens make, % vol. */
const MOST_ABV_PCT = 60;

export const drinkTells = (s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] => [...alcoholTell(s, kitchen), ...caffeineTell(s), ...syllabubTell(s)];

export function abvFigure(s: SheetAnalysis): Figure {
  return {
    key: 'abv',
    name: 'Alcohol',
    value: s.abvPct,
    unit: '% vol',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 1,
    formula: 'ABV = 100 · (E/0.789) / V',
    words: 'The volume of its ethanol at 20 °C, over the volume of everything without air.',
    inputs: [
      num('E', 'ethanol', s.mixture.grams.ethanol, 'g', 1, 'the lines, what boils off taken away'),
      ...s.parts.filter((a) => a.abvPct > 0.05).map((a, i) => num(`part ${i + 1}`, a.part.name, a.abvPct, '% vol', 1, 'on its own')),
    ],
    source: 'Composition and densities; what is left of ethanol after boiling is a house figure, ±30 %.',
  };
}

export function standardDrinksFigure(s: SheetAnalysis, kitchen: Kitchen): Figure {
  const served = alcoholServed(s.mixture, s.sheet.portions, kitchen.rules.standardDrinkG);
  return {
    key: 'standard-drinks',
    name: 'Standard drinks in a portion',
    value: served.standardDrinks,
    unit: 'drinks',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 2,
    formula: 'n = E / (portions · d)',
    words: 'Ethanol in a portion, over what the code here counts as one drink.',
    inputs: [
      num('E', 'ethanol in all', s.mixture.grams.ethanol, 'g', 1, 'the lines'),
      num('portions', 'portions', s.sheet.portions, '', 0, 'the sheet'),
      num('d', 'a standard drink', kitchen.rules.standardDrinkG, 'g', 0, 'the kitchen’s rules; 8, 10 or 14 g by country'),
    ],
    source: 'Division.',
  };
}

function alcoholTell(s: SheetAnalysis, kitchen: Kitchen): Tell[] {
  const served = alcoholServed(s.mixture, s.sheet.portions, kitchen.rules.standardDrinkG);
  if (served.perPortionG < TRACE.perPortionG && s.abvPct < TRACE.abvPct) return [];
  if (s.abvPct > MOST_ABV_PCT)
    return [
      plainTell('alcohol', 'silent', `Alcohol: no figure. This is above ${MOST_ABV_PCT}${NB}% vol, which no dessert is: look at the amounts of the drink.`),
    ];
  return [
    {
      key: 'alcohol',
      state: 'in',
      sentence: [
        'Alcohol ',
        show(abvFigure(s)),
        `: ${withUnit(plainNumber(served.perPortionG, 1), 'g')} in a portion, `,
        show(standardDrinksFigure(s, kitchen)),
        '. Not for children or those who avoid it.',
      ],
      track: null,
      action: null,
    },
  ];
}

function caffeineTell(s: SheetAnalysis): Tell[] {
  const lines = s.parts.flatMap((a) => a.reading.lines.filter((l) => l.read && l.ingredient?.flags.includes('caffeine')));
  if (lines.length === 0) return [];
  const mg = s.parts.reduce((sum, a) => sum + a.leftShare * a.reading.caffeineMg, 0) / s.sheet.portions;
  return [
    plainTell(
      'caffeine',
      'in',
      `Caffeine: ${mg >= 1 ? `about ${withUnit(roughNumber(mg), 'mg')} a portion` : 'some'}, from ${[...new Set(lines.map((l) => l.name))].join(' and ')}. Say so to those who avoid it.`,
    ),
  ];
}

export function drinkFigure(x: Syllabub, a: PartAnalysis, hours: number): Figure {
  const { massG, grams } = a.reading.mixture;
  return {
    key: 'clear-drink',
    name: 'Clear drink under the curd',
    value: 100 * x.drinkShare,
    unit: '%',
    kind: 'house',
    spread: SYLLABUB_SPREAD,
    range: houseRange(100 * x.drinkShare, SYLLABUB_SPREAD),
    decimals: 0,
    formula: 'D = (W − 2.15·f)·(1 − e^(−t/8))',
    words: 'The foam keeps 2.15 g of water phase for each g of milk fat; what is over sinks, most of it in the first hours.',
    inputs: [
      num('f', 'milk fat', grams.milk_fat, 'g', 0, 'the lines'),
      num('W', 'water phase: all that is not fat', massG - grams.milk_fat, 'g', 0, 'the lines'),
      num('2.15·f', 'what the foam keeps', x.keepsG, 'g', 0, 'house ±25 %'),
      num('excess', 'over that', x.excessG, 'g', 0, 'below 0 it could hold more'),
      num('t', 'hours to serving', hours, 'h', 0, 'the sheet'),
      num('D', 'clear drink', x.drinkG, 'g', 0, 'by then'),
    ],
    source: 'House, ±25 %.',
    limits: 'Whisked soft and left to stand cool.',
  };
}

function syllabubTell(s: SheetAnalysis): Tell[] {
  if (s.sheet.family !== 'syllabub') return [];
  const a = mainPart(s);
  const hours = s.sheet.servedAfterH;
  const x = syllabubOf(s);
  if (!x.ok) return [plainTell('syllabub', 'silent', `Syllabub: no figure. ${x.fault.says}`)];
  const wishesParted = s.sheet.ways.syllabub === 'parted';
  const { low, high } = SYLLABUB.drinkShare;
  const share = x.value.drinkShare;
  const right = wishesParted ? share >= low && share <= high : x.value.kind === 'whole';
  const figure = drinkFigure(x.value, a, hours);
  const each = showGrams(x.value.drinkG / s.sheet.portions);
  const sentence: Stretch[] =
    x.value.kind === 'whole'
      ? [
          'Stays whole: it could hold ',
          {
            figure: { ...figure, name: 'Room for more wine', value: -x.value.excessG, unit: 'g', range: null, kind: 'house' },
            shown: showGrams(-x.value.excessG),
          },
          wishesParted ? ' more before a drink gathers; parted was wished.' : ' more before it parts.',
        ]
      : [
          `In ${plainNumber(hours, 0)}${NB}h `,
          show(figure),
          ` of it is clear drink under the curd, ${each} a glass${wishesParted ? (right ? ': parted as it should be.' : `; ${Math.round(100 * low)}–${Math.round(100 * high)}${NB}% is the wish.`) : '; whole was wished.'}`,
        ];
  return [
    {
      key: 'syllabub',
      state: right ? 'in' : 'near',
      sentence,
      track: {
        from: 0,
        to: 40,
        low: wishesParted ? 100 * low : 0,
        high: wishesParted ? 100 * high : 1,
        value: Math.min(40, 100 * share),
        range: null,
        says: `${plainNumber(100 * share, 0)} % clear drink on a track to 40`,
      },
      action: right ? null : wineAction(a, hours, wishesParted),
    },
  ];
}

/** The wine that makes it come out as wished. */
function wineAction(a: PartAnalysis, hours: number, parted: boolean): TellAction | null {
  const wine = wineOf(a);
  const g = wine && wineFor({ ...wine.without, hours }, parted ? PARTED_WISH : 'whole');
  if (!wine || !g?.ok || g.value < 1) return null;
  const amount = showGramsPlain(Math.floor(g.value));
  return {
    label: `Use ${amount.replace(' ', NB)} ${wine.line.name}`,
    why: parted ? 'for 15\u00a0% clear drink' : 'the most that stays whole',
    edit: { kind: 'set-amount', partId: a.part.id, lineId: wine.line.line.id, amount },
  };
}
