/**
 * Keeps something open only while its page is on screen: a browser has six lines to a server, and tabs behind others would hold them all.
 * @param open opens it and returns what closes it. @param also keeps it open behind other tabs as long as it says so.
 * @returns what ends it.
 */
export function whileShown(open: () => () => void, also: () => boolean = () => false): () => void {
  // Where there is no page, nothing can hide it.
  if (typeof document === 'undefined') return open();
  let close: (() => void) | null = null;
  const settle = () => {
    const wanted = document.visibilityState !== 'hidden' || also();
    if (wanted) close ??= open();
    else {
      close?.();
      close = null;
    }
  };
  settle();
  document.addEventListener('visibilitychange', settle);
  return () => {
    document.removeEventListener('visibilitychange', settle);
    close?.();
    close = null;
  };
}
