/** A word of the trade, with what it means. */
export interface Term {
  readonly name: string;
  readonly means: string;
  /** How it stands in a sentence. */
  readonly said: RegExp;
}

/** Words that a cook at the first hour may not know, each in a sentence or two. */
export const TERMS: readonly Term[] = [
  { name: 'overrun', means: 'Air in a foam, as a share of what was whipped: at 100 % it has twice the volume.', said: /\boverrun\b/i },
  {
    name: 'bloom',
    means: 'Of gelatin: to let it swell in cold water before it is melted. Also its strength: the higher the number, the firmer it sets.',
    said: /\bbloom(?:s|ed|ing)?\b/i,
  },
  {
    name: 'temper',
    means:
      'To bring two things together gently: a little of one is stirred into the other first, so that nothing curdles or sets in strings. Of chocolate: to melt and cool it so that it sets hard and shiny.',
    said: /\btemper(?:s|ed|ing)?\b/i,
  },
  {
    name: 'fold',
    means: 'To bring a foam into something else by lifting from the bottom of the bowl and turning it over, so that the air stays in.',
    said: /\bfold(?:s|ed|ing)?\b/i,
  },
  { name: 'soft peak', means: 'The whisk is lifted and the tip falls over. Cream still runs a little.', said: /\bsoft peaks?\b/i },
  { name: 'medium peak', means: 'The whisk is lifted and the tip bends. The cream holds its shape on a spoon.', said: /\bmedium peaks?\b/i },
  { name: 'firm peak', means: 'The whisk is lifted and the tip stands. A few turns more and cream goes grainy.', said: /\b(?:firm|stiff) peaks?\b/i },
  { name: 'ribbon', means: 'What falls from the whisk lies on the surface for some seconds before it sinks.', said: /\bribbons?\b/i },
  { name: 'weep', means: 'Clear liquid comes out of a foam or a gel while it stands.', said: /\bweep(?:s|ing)?\b/i },
  { name: 'macerate', means: 'Fruit stands in sugar or a drink until it has drawn juice and grown soft.', said: /\bmacerat(?:e|es|ed|ing)\b/i },
  { name: 'ganache', means: 'Chocolate and hot cream, stirred to one smooth mass.', said: /\bganaches?\b/i },
  { name: 'pâte à bombe', means: 'Yolks whipped with a boiling sugar syrup until they are cold and thick.', said: /\bp[âa]te [àa] bombe\b/i },
  { name: 'crème anglaise', means: 'Milk or cream thickened with yolks, below the boil.', said: /\b(?:cr[èe]me )?anglaise\b/i },
  { name: 'nappe', means: 'A custard that coats the back of a spoon: a finger drawn through it leaves a line.', said: /\bnappe\b/i },
  { name: 'mise en place', means: 'All that is weighed, softened and set ready before the first step.', said: /\bmise en place\b/i },
];

/** A text in pieces: plain ones, and the first standing of each term. Together they are the text. */
export function pieces(text: string): readonly (string | { readonly term: Term; readonly said: string })[] {
  const found = TERMS.flatMap((term) => {
    const m = term.said.exec(text);
    return m ? [{ term, at: m.index, said: m[0] }] : [];
  }).toSorted((a, b) => a.at - b.at || b.said.length - a.said.length);
  const out: (string | { term: Term; said: string })[] = [];
  let from = 0;
  for (const { term, at, said } of found) {
    // 'Soft peak' is one term: what stands within it begins none.
    if (at < from) continue;
    if (at > from) out.push(text.slice(from, at));
    out.push({ term, said });
    from = at + said.length;
  }
  if (from < text.length) out.push(text.slice(from));
  return out;
}
