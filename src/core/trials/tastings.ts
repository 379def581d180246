/** What tasters said of trials, by the place of each trial in a list. */
export interface Tastings {
  /** Scores, each of one taster's sitting: who gives higher ones than others is not believed more. */
  readonly sittings: readonly (readonly { readonly trial: number; readonly score: number }[])[];
  /** Of two the one that is nearer to what is wished; `same` where neither is. */
  readonly pairs: readonly { readonly better: number; readonly than: number; readonly same: boolean }[];
}

/** Trials that somebody compared with another one: of the others nothing is known. */
export function tastedOf({ sittings, pairs }: Tastings): ReadonlySet<number> {
  const out = new Set<number>();
  for (const s of sittings) if (s.length > 1) for (const x of s) out.add(x.trial);
  for (const p of pairs) out.add(p.better).add(p.than);
  return out;
}

/** Mean of what was scored, and how much scores of one sitting differ, points. */
export function scaleOf({ sittings }: Tastings, leastSpread: number): { readonly mean: number; readonly spread: number } {
  const all = sittings.filter((s) => s.length > 1);
  const scores = all.flatMap((s) => s.map((x) => x.score));
  if (scores.length === 0) return { mean: 0, spread: 1 };
  let squares = 0;
  let free = 0;
  for (const s of all) {
    const own = s.reduce((sum, x) => sum + x.score, 0) / s.length;
    for (const x of s) squares += (x.score - own) ** 2;
    free += s.length - 1;
  }
  return { mean: scores.reduce((a, b) => a + b, 0) / scores.length, spread: Math.max(leastSpread, Math.sqrt(squares / free)) };
}
