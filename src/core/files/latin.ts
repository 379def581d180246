/** What a PDF's built-in fonts can write: thin and no-break spaces become plain, other characters that they lack '?'. */
export const asLatin = (text: string): string =>
  [
    ...text
      .replace(/[\u00a0\u202f\u2060]/g, (c) => (c === '\u2060' ? '' : ' '))
      .replace(/[–—−]/g, '-')
      .replace(/[‘’]/g, "'"),
  ]
    .map((c) => (c.codePointAt(0)! < 256 ? c : '?'))
    .join('');
