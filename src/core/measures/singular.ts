/** A word in the singular: eggs, leaves, halves, raspberries, cherries. Words of three letters and those that only end like a plural stay. */
export function singular(word: string): string {
  if (word.length <= 3) return word;
  if (word === 'leaves') return 'leaf';
  if (word === 'halves') return 'half';
  if (/[^aeiou]ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(ss|us|is|as|'s)$/.test(word)) return word;
  if (/(sh|ch|x|z)es$/.test(word)) return word.slice(0, -2);
  return word.endsWith('s') ? word.slice(0, -1) : word;
}
