import type { DraftLine } from './lines';
import { sameHeading } from './rows';
import { BARE, type FlowClause, type Worktop } from './worktop';

/** So much surer, the plain name of a line beats a sort of it. */
const OF_A_SORT = 0.15;

/** Meant for the top, by its heading or its own words. */
const forTop = (l: DraftLine): boolean =>
  /^(?:the )?topping\b|\b(?:decorat\w*|garnish\w*|to (?:serve|finish|decorate|garnish)|for (?:the top|serving|decorating|dusting))\b/i.test(
    `${l.under ?? ''} ${l.written}`,
  );

const DECORATES = /^(?:decorate|garnish)$/;
const STREWN = /^(?:sprinkle|scatter|drizzle|dust|top|decorate|garnish|strew)$/;

/** Whether a clause has the one word that stands in brackets behind a line, as it is or in the name that stands before it. */
const saysFor = (written: string, c: FlowClause): boolean => {
  const note = /\((?:for )?(?:the )?(\p{L}{3,})\)\s*$/iu.exec(written)?.[1];
  return note !== undefined && new RegExp(`\\b${note}\\b`, 'iu').test(`${c.before} ${c.clause.text}`);
};

/** 'Press on the nuts', 'press the nuts around the sides'. */
export const PRESSED_ON =
  /\bpress(?:ed)? (?:on(?:to)? (?:the|some|your)|(?:[\p{L}-]+ ){1,4}(?:on(?:to)?|around|round|against|into) (?:the|its) (?:sides?|edges?|top|outside))\b/iu;

/** The one of several lines that is meant: of this section, not yet used, in the bowl in hand. */
export const choose = (w: Worktop, all: readonly { line: number; strength: number }[], c: FlowClause, additive: boolean): number | null => {
  // What is for the top waits until the end, also where its name fits better.
  const role = w.lines[[...all].sort((a, b) => b.strength - a.strength)[0]!.line]!.role;
  // What is strewn over what stands there already is for the top.
  const strewn =
    (STREWN.test(c.clause.verb?.base ?? '') || PRESSED_ON.test(c.clause.text)) &&
    w.here()?.placed !== 'no' &&
    !w.clauses.slice(w.clauses.indexOf(c) + 1).some((x) => DECORATES.test(x.clause.verb?.base ?? ''));
  const inside =
    w.chilled || strewn || (c.section !== null && /\btop/i.test(c.section))
      ? []
      : all.filter((x) => (!forTop(w.lines[x.line]!) || (w.inCompany && (w.lines[x.line]!.under ?? BARE) === w.company)) && w.lines[x.line]!.role === role);
  const meant = inside.length > 0 ? inside : all;
  const top = Math.max(...meant.map((x) => x.strength));
  const named = (within: number): number[] => meant.filter((x) => x.strength >= top - within).map((x) => x.line);
  // 'The sugar' is icing sugar where the plain one has gone into a bowl.
  let left = named(0.01).some(w.fresh) || role !== 'sugar' ? named(0.01) : named(OF_A_SORT);
  // 'Sugar 120 g (custard)', 'make a custard with the sugar': what a bracket says it is for.
  const noted = left.filter((i) => w.fresh(i) && saysFor(w.lines[i]!.written, c));
  if (left.length > 1 && noted.length === 1) return noted[0]!;
  const wide = meant.map((x) => x.line);
  // 'Dissolve the squeezed gelatine': what was soaked before one that is still dry.
  const dry = /^(?:soak|bloom|sprinkle|hydrate|soften)$/.test(c.clause.verb?.base ?? '');
  const soaked =
    !dry && left.length > 1 && left.every((i) => w.lines[i]!.role === 'gelatin')
      ? left.find((i) => !w.fresh(i) && w.waits(w.bowls[w.root(w.bowlOf[i]!)]!))
      : undefined;
  if (soaked !== undefined) return soaked;
  const under = (list: readonly number[]): number[] => list.filter((i) => sameHeading(w.lines[i]!.under, c.section));
  if (c.section !== null && under(left).length > 0) left = under(left);
  else if (c.section !== null && under(wide).length > 0 && top < 3) left = under(wide);
  // 'Whip the cream': none that was boiled for a ganache, where another is still there.
  const boiled = (i: number): boolean => !w.fresh(i) && w.bowls[w.root(w.bowlOf[i]!)]!.heated;
  const whips = !additive && /^(?:whip|whisk|beat)$/.test(c.clause.verb?.base ?? '') && !/\b(?:into|onto|over)\b/i.test(c.clause.text);
  if (whips && role === 'cream' && left.every(boiled) && wide.some(w.fresh)) left = wide.filter(w.fresh);
  // Of several sugars the one that stands in the list with what is named beside it.
  const beside = left.filter((i) => w.company !== null && (w.lines[i]!.under ?? BARE) === w.company);
  // '3 oz caster' of this list, where the sugar of another has gone into its own bowl.
  const near = wide.filter((i) => w.company !== null && (w.lines[i]!.under ?? BARE) === w.company && w.fresh(i));
  if (c.section === null && beside.some(w.fresh)) left = beside;
  else if (c.section === null && (role === 'sugar' || role === 'milk') && (beside.length === 0 || !left.some(w.fresh)) && near.length > 0) left = near;
  if (left.length > 1) {
    const bowl = w.here();
    const mine =
      bowl && additive
        ? left.filter(
            (i) => (bowl.heading !== null && w.lines[i]!.under === bowl.heading) || [...bowl.lines].some((j) => w.lines[j]!.block === w.lines[i]!.block),
          )
        : [];
    const freshOnes = (mine.length > 0 ? mine : left).filter(w.fresh);
    if (freshOnes.length > 0) left = freshOnes;
    else if (left.some(w.fresh)) left = left.filter(w.fresh);
    else if (mine.length > 0) left = mine;
    else if (bowl && left.some((i) => bowl.lines.has(i))) left = left.filter((i) => bowl.lines.has(i));
    else left = [...left].sort((a, b) => (w.stepOf[b] ?? -1) - (w.stepOf[a] ?? -1));
  }
  return left[0] ?? null;
};
