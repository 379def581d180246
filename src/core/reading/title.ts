import { clauseOf } from './clauses';
import type { Row } from './rows';
import { DISHES } from './words';

/** What a recipe is called: its own row, else as it is named in the telling. */
export function titleOf(rows: readonly Row[], text: string): string {
  const row = rows.find((r) => r.kind === 'title');
  if (row)
    return row.text
      .replace(/\s{2,}/g, ' ')
      .replace(SIZE_BEHIND, '')
      .replace(SIZE_BEHIND, '')
      .replace(/\s+[-–—]+\s*$/u, '')
      .slice(0, 120);
  const cheat = /^(?:right|ok(?:ay)?|so|well|now)?[, ]*(?:so )?for (?:the |my |our |a )([\p{L}][\p{L}\p{M}'’ -]{4,40}?),/iu.exec(text.trim());
  if (cheat) return capital(cheat[1]!.trim());
  const told =
    /\b(?:this is|here(?:'s| is)|how (?:i|we) (?:make|do)|recipe for)\s+(?:my |the |a |an |our |how (?:i|we) (?:make|do) (?:my |the |a |our )?)?(?!what|how|all|it\b)([\p{L}][\p{L}\p{M}'’ -]{4,60}?)(?=[,.;:!]|\s+(?:and|that|which|from|for|we|i|you|your)\b)/iu.exec(
      text.slice(0, 400),
    );
  if (told) return capital(told[1]!.trim());
  // 'So for the raspberry fool you want …'.
  const wanted = WANTED.exec(text.trim());
  if (wanted) return capital(wanted[1]!);
  // 'Right, rhubarb and custard pots. So …'.
  const called = CALLED.exec(text.trim());
  if (called && clauseOf(called[1]!).verb === null) return capital(called[1]!);
  // 'So my nan’s trifle, right.': named in passing.
  const passing =
    /^(?:(?:right|ok(?:ay)?|so|well|now)[, ]+)+((?:my|our) [\p{L}][\p{L}\p{M}'’ -]{3,40}?)[,.:]/iu.exec(text.trim()) ??
    /^(?:(?:right|ok(?:ay)?|so|well|now)[, ]+)+the ([\p{L}][\p{L}\p{M}'’ -]{3,40}?)\./iu.exec(text.trim());
  if (passing && clauseOf(passing[1]!).verb === null) return capital(passing[1]!.trim());
  // 'Apple Snow. Take six large …': a name with a full stop before the work.
  const stop = /^(\p{Lu}[\p{L}\p{M}'’ -]{3,44})\.\s+(?=\p{Lu})/u.exec(text.trim());
  if (stop && clauseOf(stop[1]!).verb === null) return capital(stop[1]!);
  // 'So basically my cream cheese frosting is: …'
  const ours = OURS_IS.exec(text.trim());
  if (ours) return capital(ours[1]!);
  const old = /^to make (?:a |an |the )?([^.:,;\n]{4,60})[.:,;\n]/i.exec(text.trim());
  if (old) return capital(old[1]!);
  const mine = /\bwhat (?:i|we) do for (?:my|the|our) ([\p{L}][\p{L}\p{M}'’ -]{3,40}?)[,.:]/iu.exec(text.slice(0, 200));
  if (mine) return capital(mine[1]!);
  // 'How do you make your buttercream so smooth?'
  const asked = ASKED.exec(text.slice(0, 200));
  if (asked) return capital(asked[1]!);
  const colon = /^([\p{L}][\p{L}\p{M}\d'’ &-]{4,70}?(?:, [\p{L}\p{M}'’ -]{4,40})?):\s/u.exec(text.trim());
  if (colon) return capital(colon[1]!);
  return 'Recipe as it was told';
}

/** 'Semifreddo (2 lb loaf tin, 10 slices)': what it is made in and how much it gives are no name. */
const SIZE_BEHIND =
  /(?<=\p{L}{3}.*)\s*(?:[([][^()[\]]{0,40}\d[^()[\]]{0,40}\b(?:tins?|pans?|dish|loaf|ring|springform|terrine|mou?lds?|slices|portions?|pieces|glasses|cups|servings|people|persons|gn)\b[^()[\]]{0,24}[)\]]|[([][^()[\]]{0,40}\b(?:serves|makes|feeds|does|yields) \d[^()[\]]{0,24}[)\]]|\s?[,·|–—-]\s*(?:(?:ring|tin|pan|mou?ld|springform|terrine|frame|ø)\s?\d{1,2}(?:[.,]\d)?\s?(?:cm|in|inch)|(?:serves|makes|feeds|yields) (?:about )?\d|\d{1,3}\s+(?:\p{L}+ ){0,2}(?:glasses|mou?lds|slices|pieces|portions|servings|cups|pots|ramekins|people)\b)[^,]{0,30}(?:, ?h ?\d{1,2}(?:[.,]\d)?(?: ?cm)?)?|\s\(\d{1,3}\))\s*$/iu;
const OURS_IS =
  /^(?:(?:right|ok(?:ay)?|so|well|now|basically|honestly)[, ]+)*(?:my|our|the) ([\p{L}][\p{L}\p{M}'’ -]{3,40}?) (?:is|goes|goes like this)(?: (?:just|basically|simply|really))?[:,–—]/iu;
const WANTED = new RegExp(`^(?:[\\p{L}]+[,:! ]+){0,3}for (?:the|my|our|a) ((?:[\\p{L}'’-]+ ){0,3}(?:${DISHES})),? (?:you|we|i)\\b`, 'iu');
const CALLED = new RegExp(`^(?:(?:right|ok(?:ay)?|so|well|now)[, ]+)+((?:[\\p{L}'’-]+ ){0,4}(?:${DISHES}))(?:[.!:,]|\\s[–—-])\\s`, 'iu');
const ASKED = new RegExp(
  `\\bhow (?:do|did|can|would) (?:you|we|i) (?:make|do|get) (?:your|the|a|my|our) ((?:[\\p{L}'’-]+ ){0,3}(?:${DISHES}|buttercream|frosting|icing|custard))\\b`,
  'iu',
);
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
