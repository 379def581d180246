/**
 * The page's colours for a canvas, which knows no stylesheet. Read when a chart is made. Their names stand here in full: a token that
 * no source names is left out of the stylesheet.
 */
export function pageTokens() {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(name).trim();
  return {
    ink: of('--color-ink'),
    soft: of('--color-ink-soft'),
    steel: of('--color-steel-light'),
    yolk: of('--color-yolk'),
    frost: of('--color-frost-ink'),
    fern: of('--color-fern'),
    fernInk: of('--color-fern-ink'),
  };
}
export type PageTokens = ReturnType<typeof pageTokens>;
