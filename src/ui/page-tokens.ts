/** The page's colours for a canvas, which knows no stylesheet. Read when a chart is made. */
export function pageTokens() {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(`--color-${name}`).trim();
  return { ink: of('ink'), soft: of('ink-soft'), steel: of('steel-light'), yolk: of('yolk'), frost: of('frost-ink'), fern: of('fern'), fernInk: of('fern-ink') };
}
export type PageTokens = ReturnType<typeof pageTokens>;
