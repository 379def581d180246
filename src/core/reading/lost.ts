import type { Ingredient } from '../composition/ingredient';
import { singular } from '../measures/singular';
import { SORTS } from './sorts';

const wordsOfLarder = new WeakMap<ReadonlyMap<string, Ingredient>, ReadonlySet<string>>();
/** Every word that names something of a larder. */
function larderWords(larder: ReadonlyMap<string, Ingredient>): ReadonlySet<string> {
  const known = wordsOfLarder.get(larder);
  if (known) return known;
  const words = new Set(
    [...larder.values()]
      .flatMap((i) => `${i.name} ${i.aliases.join(' ')}`.toLowerCase().match(/[\p{L}]{3,}/gu) ?? [])
      .map(singular)
      .filter((w) => !SORTS.has(w)),
  );
  wordsOfLarder.set(larder, words);
  return words;
}

/** 'Layer 1 (dark)': which it is in its order. */
const NUMBERS_LIST = /^\W*(?:layer|part|component)\s+\d{1,2}\b/i;

/** 'Step 3': says nothing else. */
const COUNTS_STEPS = /^\W*step\s*\d{1,2}\W*$/i;

/** Rows of which a figure or a name stands nowhere in what was understood: they stay as text. @param understood every text that a line, a step, a name or a note has. */
export function lostRows(text: string, understood: readonly string[], larder: ReadonlyMap<string, Ingredient>): readonly string[] {
  const names = larderWords(larder);
  const kept = new Map<string, number>();
  const count = (words: string): readonly string[] =>
    (
      words
        .toLowerCase()
        .replace(/(?<=\p{L})\/(?=[\d½¼¾⅓⅔])/gu, ' ')
        .match(/[\p{L}\d½¼¾⅓⅔][\p{L}\p{M}\d.,/½¼¾⅓⅔%'’-]*/gu) ?? []
    ).map((w) => w.replace(/[.,/'’-]+$/, ''));
  for (const w of count(understood.join('\n'))) kept.set(w, (kept.get(w) ?? 0) + 1);
  const lost: (readonly [number, string])[] = [];
  // Long rows first: a short one that says a figure of no step does not take it from the sentence that does.
  const inTurn = [...text.split(/\r\n|\r|\n/).entries()].sort(([, a], [, b]) => b.length - a.length);
  for (const [at, row] of inTurn) {
    if (COUNTS_STEPS.test(row)) continue;
    let missing = false;
    const taken: string[] = [];
    for (const w of count(
      row.replace(NUMBERS_LIST, '').replace(/^\s*(?:[-•*▢–]\s*)?(?:(?:(?:[Ss]tep|STEP)\s*)?[a-z]?\d{1,2}[.):]\s+|\d{1,2}\s+(?=\p{Lu}\p{Ll}+\s))/u, ''),
    )) {
      const left = kept.get(w) ?? 0;
      kept.set(w, left - 1);
      taken.push(w);
      if (left <= 0 && (/\d|[½¼¾⅓⅔]/.test(w) || names.has(singular(w)))) missing = true;
    }
    if (!missing) continue;
    lost.push([at, row.trim()]);
    // The row stands whole now: what it took is there for the rows behind it.
    for (const w of taken) kept.set(w, (kept.get(w) ?? 0) + 1);
  }
  return lost
    .sort(([a], [b]) => a - b)
    .map(([, row]) => row)
    .slice(0, 400);
}
