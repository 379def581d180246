/** Words by which somebody takes back what was said. */
const TAKES_BACK = /\b(?:sorry|oops|whoops|correction|i mean|i meant|meant to (?:say|write)|should (?:be|read|have been))\b/giu;
/** Nobody corrects himself in a longer sentence, nor more often. */
const LONGEST = 300;
const MOST = 12;
const NUMBER = '\\d+/\\d+|\\d+(?:[.,]\\d+)?|[½¼¾⅓⅔]';
const UNIT = 'g|kg|ml|cl|dl|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?|pints?|lea(?:f|ves)|sheets?|eggs?|minutes?|mins?|hours?';
/** 'I meant 300 ml of milk, not 500', '3 tsp gelatine, not 3 tbsp'. */
const NOT = new RegExp(
  `(${NUMBER})\\s?(${UNIT})?\\b\\s*(?:of\\s+)?(?:the\\s+)?([\\p{L}][\\p{L} -]{1,24}?)?,?\\s+(?:and\\s+)?not\\s+(${NUMBER})\\s?(${UNIT})?(?![\\p{L}\\d])`,
  'iu',
);
/** The name stands within so many characters behind its amount. */
const NEAR = 40;

export interface Corrected {
  /** The recipe as it was meant. */
  readonly text: string;
  readonly corrections: readonly Correction[];
}

/** An amount that was taken back. */
export interface Correction {
  /** The sentence that did it, as it stands: its place in the text is empty now. */
  readonly sentence: string;
  /** What was said first, and what was meant: '500ml', '300ml'. */
  readonly was: string;
  readonly meant: string;
}

/** The sentences of a text in which something is taken back, each once. Linear in its length. */
function takingBack(text: string): readonly string[] {
  const found: string[] = [];
  let from = 0;
  for (const m of text.matchAll(TAKES_BACK)) {
    if (m.index < from || found.length >= MOST) continue;
    const before = text.slice(Math.max(from, m.index - LONGEST), m.index);
    const begins = m.index - before.length + before.search(/[^.!?\n]*$/);
    const ends = /^[^.!?\n]*[.!?]*/.exec(text.slice(m.index, m.index + LONGEST))![0].length + m.index;
    from = ends;
    if (ends - begins < LONGEST) found.push(text.slice(begins, ends));
  }
  return found;
}

const escaped = (t: string): string => t.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

/** 'So, let me think, 600 of cream': what is said while one thinks. */
const THINKING =
  /(^|[,.;:!?–—]|\n)([ \t]*)(?:let me (?:think|see|remember)|let['’]s see|hang on|hold on|what else|hm+|er+m?|um+|uh+)(?:[,.…!?]+|(?=[ \t]+[–—-]))/gim;

/** A recipe without what its teller says while thinking. Linear in its length. */
export const withoutThinking = (text: string): string => text.replace(THINKING, '$1');

/** A recipe whose teller corrects an amount: the amount that was meant stands where the other stood. What corrects nothing that was said stays. */
export function corrected(given: string): Corrected {
  // Quick for all that correct nothing.
  if (!/\bnot\s+[\d½¼¾⅓⅔]/i.test(given)) return { text: given, corrections: [] };
  let text = given;
  const corrections: Correction[] = [];
  for (const sentence of takingBack(given)) {
    const m = NOT.exec(sentence);
    if (!m) continue;
    const [, meant, unit, name, said, saidUnit] = m;
    const was = saidUnit ?? unit;
    const old = new RegExp(
      `(?<![\\d.,/])${escaped(said!)}(\\s?)${was === undefined ? '(?![\\d.,/])' : `${escaped(was)}\\b`}${name === undefined ? '' : `(?=[^.;,\\n\\d½¼¾⅓⅔]{0,${NEAR}}?\\b${escaped(name.trim())})`}`,
      'iu',
    );
    // An earlier correction may have changed this very sentence: then it stays, and is read as it stands.
    const at = text.indexOf(sentence);
    const found = old.exec(text);
    if (at < 0 || !found || (found.index >= at && found.index < at + sentence.length)) continue;
    const words = `${meant!}${found[1] ?? ''}${unit ?? was ?? ''}`;
    const without = `${text.slice(0, at)}${text.slice(at + sentence.length)}`;
    const place = found.index < at ? found.index : found.index - sentence.length;
    text = `${without.slice(0, place)}${words}${without.slice(place + found[0].length)}`;
    corrections.push({ sentence: sentence.trim(), was: found[0].trim(), meant: words.trim() });
  }
  return { text, corrections };
}
