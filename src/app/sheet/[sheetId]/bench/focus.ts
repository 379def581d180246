/** Every field of a line on the page, in reading order; the last of each part is the one for its next line. */
const fields = (): readonly HTMLInputElement[] => [...document.querySelectorAll<HTMLInputElement>('[data-line-field]')];

/** Moves the cursor to the field before or behind one, over the ends of parts. */
export function focusLineField(from: HTMLElement, by: 1 | -1): void {
  const all = fields();
  const at = all.indexOf(from as HTMLInputElement);
  all[Math.max(0, Math.min(all.length - 1, at + by))]?.focus();
}

/** Moves the cursor to the n-th field of a part, once the page has been drawn again. */
export function focusLineOfPart(list: HTMLElement | null, at: number): void {
  requestAnimationFrame(() => {
    const inPart = list?.parentElement?.querySelectorAll<HTMLInputElement>('[data-line-field]');
    inPart?.[Math.max(0, Math.min(at, inPart.length - 1))]?.focus();
  });
}
