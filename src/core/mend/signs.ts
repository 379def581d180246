import { isWhippedKind, type PartKind } from '../document/kinds';
import { servedFoam, type PartAnalysis } from '../analysis/analysed';
import { namesSiphon } from '../tells/caution-tells';
import type { MendCase } from './case';
import { OFTEN } from './house';
import type { CauseId, SignId } from './words';

/** A question that tells two signs apart. */
export interface Twin {
  readonly sign: SignId;
  readonly ask: string;
  /** What speaks for the other one. */
  readonly other: string;
}

export interface Sign {
  /** The part that it can happen to, the one in hand first; null where the dessert has none. */
  readonly of: (c: MendCase) => PartAnalysis | null;
  /** What may be behind it, and how often it is when nothing is known of the batch (house). */
  readonly causes: readonly (readonly [cause: CauseId, prior: number])[];
  readonly twin: Twin | null;
}

type Test = (a: PartAnalysis) => boolean;

/** The part in hand where it fits, else the heaviest that fits. */
const partThat =
  (fits: Test) =>
  (c: MendCase): PartAnalysis | null => {
    const there = c.s.parts.filter((a) => a.reading.mixture.massG > 0 && fits(a));
    return there.find((a) => a.part.id === c.facts.partId) ?? [...there].sort((x, y) => y.reading.mixture.massG - x.reading.mixture.massG)[0] ?? null;
  };

const kind =
  (...kinds: PartKind[]): Test =>
  (a) =>
    kinds.includes(a.part.kind);
const has = (a: PartAnalysis, role: string): boolean => a.reading.lines.some((l) => l.role === role && (l.read?.massG ?? 0) > 0);
const whipped: Test = (a) => isWhippedKind(a.part.kind) && a.reading.dairyG > 0;
const setsGelatin: Test = (a) => a.reading.lines.some((l) => l.ingredient?.bloom && l.read);
const chocolate: Test = (a) => has(a, 'chocolate');
const whites: Test = (a) => has(a, 'white') && !has(a, 'yolk') && !has(a, 'egg') && kind('egg-foam', 'meringue', 'buttercream')(a);
const yolks: Test = (a) => kind('egg-foam')(a) && (has(a, 'yolk') || has(a, 'egg'));
const cheesy: Test = (a) => has(a, 'cheese');
const folded: Test = (a) => a.folds.length > 0;
const biscuits: Test = (a) => kind('biscuit-layer')(a);
const cooked: Test = (a) => kind('custard')(a);
const eggs: Test = (a) => has(a, 'yolk') || has(a, 'egg') || has(a, 'white');
const syrup: Test = (a) => a.eggFoam?.foam === 'yolks-hot-syrup' || a.eggFoam?.foam === 'italian';
const fruit: Test = (a) => has(a, 'fruit');
const anything: Test = () => true;
const weighed: Test = (a) => a.reading.lines.some((l) => l.kind === 'ingredient' && l.ingredient && (l.read?.massG ?? 0) > 0);

/** What is served as a whole: the foam that is asked for, else the heaviest part. */
const served = (c: MendCase): PartAnalysis | null => servedFoam(c.s)[0] ?? partThat(anything)(c);
const frozen = (c: MendCase): PartAnalysis | null => (c.s.sheet.family === 'semifreddo' ? served(c) : null);
const turnedOut = (c: MendCase): PartAnalysis | null => {
  const { vessel, use, family } = c.s.sheet;
  return vessel.kind !== 'free' && vessel.kind !== 'glass' && (use === 'turn-out' || use === 'slice' || family === 'semifreddo') ? served(c) : null;
};
const sliced = (c: MendCase): PartAnalysis | null =>
  c.s.sheet.use === 'slice' || c.s.sheet.use === 'turn-out' || c.s.sheet.family === 'icebox' ? served(c) : null;
const withSugar = (c: MendCase): PartAnalysis | null => (c.s.mixture.massG > 0 && c.s.sweetness > 0 ? served(c) : null);
const sour = (c: MendCase): PartAnalysis | null => (c.s.mixture.grams.acid > 0 ? partThat((a) => a.reading.mixture.grams.acid > 0)(c) : null);
const strong = (c: MendCase): PartAnalysis | null => (c.s.mixture.grams.ethanol > 0 ? partThat((a) => a.reading.mixture.grams.ethanol > 0)(c) : null);
const divided = (c: MendCase): PartAnalysis | null =>
  partThat((a) =>
    a.reading.lines.some((l) => l.ingredient && c.s.parts.some((b) => b.reading.lines.some((m) => m !== l && m.ingredient?.id === l.ingredient?.id))),
  )(c);

const { mostly, often, sometimes, seldom } = OFTEN;
const twin = (sign: SignId, ask: string, other: string): Twin => ({ sign, ask, other });

export const SIGNS: Readonly<Record<SignId, Sign>> = {
  runs: {
    of: partThat(whipped),
    causes: [
      ['warm-cream', often],
      ['stopped-early', often],
      ['lean-cream', sometimes],
      ['too-wet', sometimes],
      ['fat-melted', seldom],
      ['out-of-reach', seldom],
    ],
    twin: twin('butter', 'Are there yellow clumps in it?', 'Clumps that cling together are butter: it is past, not short of, its peak.'),
  },
  grains: {
    of: partThat((a) => whipped(a) && has(a, 'cream')),
    causes: [
      ['past-firm', mostly],
      ['warm-cream', sometimes],
      ['rich-cream', sometimes],
      ['worked-again', seldom],
    ],
    twin: twin('butter', 'Does liquid slap round the bowl?', 'Thin liquid round yellow clumps is butter already; grains are still one mass.'),
  },
  butter: {
    of: partThat((a) => whipped(a) && has(a, 'cream')),
    causes: [
      ['past-firm', mostly],
      ['warm-cream', often],
      ['rich-cream', seldom],
    ],
    twin: twin('grains', 'Is there liquid in the bowl?', 'One dull mass without liquid is grain: it still comes back.'),
  },
  sandy: {
    of: partThat((a) => whipped(a) && a.reading.addedSugarG > 0),
    causes: [
      ['coarse-sugar', mostly],
      ['stopped-early', seldom],
    ],
    twin: null,
  },
  weeps: {
    of: (c) => servedFoam(c.s)[0] ?? partThat(whipped)(c),
    causes: [
      ['past-hold', often],
      ['no-stabiliser', often],
      ['soft-stage', sometimes],
      ['past-firm', sometimes],
      ['warm-place', sometimes],
    ],
    twin: twin('juice-runs', 'Is what runs coloured?', 'Coloured juice comes from the fruit; clear or milky comes from the cream.'),
  },
  softens: {
    of: (c) => servedFoam(c.s)[0] ?? partThat(whipped)(c),
    causes: [
      ['past-hold', mostly],
      ['warm-place', sometimes],
      ['soft-stage', sometimes],
      ['lean-cream', sometimes],
    ],
    twin: null,
  },
  fizzles: {
    of: partThat((a) => whipped(a) && has(a, 'cream')),
    causes: [
      ['gas-first', mostly],
      ['nozzle-blocked', sometimes],
      ['warm-cream', sometimes],
      ['lean-cream', sometimes],
    ],
    twin: null,
  },
  'whites-flat': {
    of: partThat(whites),
    causes: [
      ['fat-in-whites', mostly],
      ['sugar-early', sometimes],
    ],
    twin: null,
  },
  'whites-dry': {
    of: partThat(whites),
    causes: [
      ['whisked-dry', mostly],
      ['waited', sometimes],
    ],
    twin: null,
  },
  'yolks-thin': {
    of: partThat(yolks),
    causes: [
      ['not-long-yolks', mostly],
      ['too-wet', sometimes],
    ],
    twin: null,
  },
  strings: {
    of: partThat(setsGelatin),
    causes: [
      ['cold-contact', mostly],
      ['dry-gelatin', sometimes],
    ],
    twin: twin('cheese-lumps', 'Do the lumps melt between warm fingers?', 'Gelatin melts to water in the fingers; cheese stays white and smears.'),
  },
  unset: {
    of: (c) => partThat((a) => setsGelatin(a) || kind('set-filling', 'custard')(a))(c),
    causes: [
      ['too-soon', often],
      ['low-dose', often],
      ['raw-fruit', sometimes],
      ['boiled-gelatin', seldom],
      ['too-strong-set', seldom],
      ['step-missed', seldom],
    ],
    twin: null,
  },
  rubbery: {
    of: partThat(setsGelatin),
    causes: [
      ['high-dose', mostly],
      ['weighed-wrong', sometimes],
    ],
    twin: null,
  },
  seized: {
    of: partThat(chocolate),
    causes: [
      ['little-water', mostly],
      ['too-hot-mix', seldom],
    ],
    twin: twin('ganache-split', 'Is there oil at its edge?', 'A dry stiff paste has seized; oil and a curdled look mean a split ganache.'),
  },
  'ganache-split': {
    of: partThat((a) => chocolate(a) && (has(a, 'cream') || has(a, 'milk') || has(a, 'liquid') || has(a, 'drink') || has(a, 'butter') || has(a, 'yolk'))),
    causes: [
      ['too-fat-mix', often],
      ['too-hot-mix', often],
      ['little-water', sometimes],
    ],
    twin: twin('seized', 'Does it hold the spoon upright?', 'A stiff dull paste has seized; oil that stands out means that it split.'),
  },
  specks: {
    of: (c) => partThat((a) => folded(a) && (chocolate(a) || a.part.lines.some((l) => c.s.parts.some((b) => b.part.id === l.fromPartId && chocolate(b)))))(c),
    causes: [
      ['cold-fold', mostly],
      ['cold-contact', seldom],
    ],
    twin: null,
  },
  'bc-curdled': {
    of: partThat(kind('buttercream')),
    causes: [
      ['butter-cold', mostly],
      ['too-wet', seldom],
    ],
    twin: null,
  },
  'bc-soup': {
    of: partThat(kind('buttercream')),
    causes: [
      ['butter-warm', mostly],
      ['too-wet', seldom],
    ],
    twin: null,
  },
  'cheese-curdled': {
    of: partThat(cheesy),
    causes: [
      ['over-mixed', mostly],
      ['too-wet', sometimes],
      ['too-hot-mix', seldom],
    ],
    twin: twin('cheese-lumps', 'Are the white bits soft or sandy?', 'Soft lumps were never beaten smooth; fine sandy grains are curd.'),
  },
  'cheese-lumps': {
    of: partThat(cheesy),
    causes: [['cold-cheese', mostly]],
    twin: twin('strings', 'Do the lumps melt between warm fingers?', 'What melts to water is gelatin.'),
  },
  scrambled: {
    of: partThat((a) => eggs(a) && (kind('custard', 'egg-foam')(a) || a.ownHeat.tempC !== null)),
    causes: [
      ['too-hot', mostly],
      ['too-hot-mix', sometimes],
    ],
    twin: twin('lumpy', 'Do the bits smear like paste?', 'Starch lumps are soft and floury; egg is firm and yellow.'),
  },
  'custard-thin': {
    of: partThat(cooked),
    causes: [
      ['not-cooked', mostly],
      ['starch-thinned', sometimes],
      ['weighed-wrong', seldom],
    ],
    twin: null,
  },
  lumpy: {
    of: partThat((a) => cooked(a) && (has(a, 'starch') || has(a, 'setter'))),
    causes: [['dry-starch', mostly]],
    twin: twin('scrambled', 'Are the bits firm and yellow?', 'Egg is firm; starch smears.'),
  },
  'egg-cold': {
    of: partThat((a) => eggs(a) && kind('egg-foam', 'custard', 'meringue', 'buttercream')(a)),
    causes: [
      ['too-little-heat', mostly],
      ['not-cooked', sometimes],
    ],
    twin: null,
  },
  'syrup-grainy': { of: partThat(syrup), causes: [['stirred-syrup', mostly]], twin: null },
  'custard-warm': {
    of: partThat((a) => kind('custard', 'chocolate-base', 'fruit-base')(a)),
    causes: [
      ['too-deep', mostly],
      ['warm-place', sometimes],
    ],
    twin: null,
  },
  'juice-runs': {
    of: partThat(fruit),
    causes: [
      ['fruit-early', mostly],
      ['no-stabiliser', seldom],
    ],
    twin: twin('weeps', 'Is what runs clear or milky?', 'Then it is the cream that weeps, not the fruit.'),
  },
  browned: {
    of: partThat((a) => a.reading.lines.some((l) => /^(?:banana|apple|pear|peach|apricot|fig|avocado)$/.test(l.ingredient?.id ?? '') && l.read)),
    causes: [
      ['no-acid', mostly],
      ['fruit-early', often],
    ],
    twin: null,
  },
  flat: {
    of: partThat(folded),
    causes: [
      ['over-folded', mostly],
      ['warm-fold', often],
      ['waited', sometimes],
      ['past-firm', seldom],
    ],
    twin: null,
  },
  'base-hot': { of: partThat(folded), causes: [['warm-fold', mostly]], twin: null },
  'base-set': {
    of: partThat((a) => folded(a) && (a.reading.gelatin225G > 0 || chocolate(a))),
    causes: [
      ['cold-fold', mostly],
      ['waited', often],
    ],
    twin: null,
  },
  soggy: {
    of: partThat(biscuits),
    causes: [
      ['dipped-long', mostly],
      ['waited', sometimes],
      ['too-wet', seldom],
    ],
    twin: null,
  },
  hard: {
    of: partThat(biscuits),
    causes: [
      ['too-soon', mostly],
      ['dipped-short', often],
    ],
    twin: null,
  },
  'few-biscuits': { of: partThat(biscuits), causes: [['miscounted', mostly]], twin: null },
  stuck: {
    of: turnedOut,
    causes: [
      ['no-lining', mostly],
      ['too-soft-set', sometimes],
      ['too-soon', sometimes],
    ],
    twin: null,
  },
  leans: {
    of: sliced,
    causes: [
      ['too-soft-set', often],
      ['too-soon', often],
      ['warm-place', sometimes],
      ['no-stabiliser', sometimes],
    ],
    twin: null,
  },
  'crust-crumbles': {
    of: partThat(kind('pressed-base')),
    causes: [
      ['little-fat-base', mostly],
      ['too-soon', sometimes],
    ],
    twin: null,
  },
  cracked: {
    of: partThat(kind('meringue')),
    causes: [
      ['cooled-fast', mostly],
      ['crowned-early', seldom],
    ],
    twin: null,
  },
  'shell-wet': {
    of: partThat(kind('meringue')),
    causes: [
      ['crowned-early', often],
      ['sugar-early', sometimes],
      ['cooled-fast', seldom],
    ],
    twin: null,
  },
  'too-hard': {
    of: frozen,
    causes: [
      ['much-ice', mostly],
      ['too-soon', seldom],
    ],
    twin: null,
  },
  'never-froze': {
    of: frozen,
    causes: [
      ['little-ice', often],
      ['warm-freezer', often],
      ['too-soon', often],
    ],
    twin: null,
  },
  icy: {
    of: frozen,
    causes: [
      ['slow-freezing', often],
      ['much-ice', often],
      ['freezer-open', sometimes],
    ],
    twin: null,
  },
  thawed: {
    of: frozen,
    causes: [
      ['freezer-open', mostly],
      ['nobody-there', often],
    ],
    twin: null,
  },
  'too-sweet': {
    of: withSugar,
    causes: [
      ['more-than-band', often],
      ['weighed-wrong', often],
    ],
    twin: null,
  },
  'too-sour': {
    of: sour,
    causes: [
      ['more-than-band', often],
      ['weighed-wrong', often],
    ],
    twin: null,
  },
  'too-strong': {
    of: strong,
    causes: [
      ['more-than-band', often],
      ['weighed-wrong', often],
    ],
    twin: null,
  },
  bland: {
    of: served,
    causes: [
      ['tastes-cold', mostly],
      ['step-missed', sometimes],
    ],
    twin: null,
  },
  short: {
    of: served,
    causes: [
      ['smaller-yield', often],
      ['over-folded', sometimes],
      ['miscounted', sometimes],
      ['weighed-wrong', sometimes],
    ],
    twin: null,
  },
  left: {
    of: served,
    causes: [
      ['larger-yield', often],
      ['miscounted', often],
      ['weighed-wrong', sometimes],
    ],
    twin: null,
  },
  glasses: { of: served, causes: [['miscounted', mostly]], twin: null },
  forgot: {
    of: partThat(weighed),
    causes: [
      ['step-missed', mostly],
      ['not-divided', sometimes],
    ],
    twin: null,
  },
  twice: {
    of: partThat(weighed),
    causes: [
      ['weighed-wrong', mostly],
      ['nobody-there', seldom],
    ],
    twin: null,
  },
  'all-in': { of: divided, causes: [['not-divided', mostly]], twin: null },
  'left-out': { of: served, causes: [['nobody-there', mostly]], twin: null },
  burnt: {
    of: partThat((a) => kind('custard', 'fruit-base', 'egg-foam', 'chocolate-base')(a) || a.ownHeat.tempC !== null),
    causes: [
      ['too-hot', mostly],
      ['nobody-there', often],
    ],
    twin: null,
  },
  foreign: { of: partThat(anything), causes: [['nobody-there', mostly]], twin: null },
};

/** Whether anything speaks of it beforehand: cream may always have been foamed by gas, but seldom was where no word says so. */
export const isSpokenOf = (sign: SignId, c: MendCase): boolean => sign !== 'fizzles' || namesSiphon(c.s.sheet);

/** The part of a dessert that a sign can happen to; null where the dessert has none. */
export const partOfSign = (sign: SignId, c: MendCase): PartAnalysis | null => SIGNS[sign].of(c);
