const KEY = 'soft-peak:tablet';

let known: string | null = null;

/** This browser's own short name, the same after every reload: timers belong to it. */
export function thisTablet(): string {
  if (known) return known;
  try {
    known = localStorage.getItem(KEY);
    if (!known) {
      known = Array.from(crypto.getRandomValues(new Uint8Array(2)), (b) => b.toString(16).padStart(2, '0')).join('');
      localStorage.setItem(KEY, known);
    }
  } catch {
    known = 'here';
  }
  return known;
}
