/** What a kitchen's own log says about a house figure (science: normal update of the logs of correction factors that share what is common to a kitchen and to a kind). */

/** Half-width of the shown band in standard deviations: four outcomes in five fall within. */
const BAND_80 = 1.2816;
/** Beyond so many standard deviations of the next batch an outcome is asked about. */
const ASKED_BEYOND = 3;

/**
 * House figures that a log can correct: the formula's spread, and the noise of one outcome; both relative standard deviations. Together they
 * make the band that the figure has before any batch: ±30 % of the time, ±20 % of the air, ±45 % of the hold.
 */
export const LEARNABLE = {
  'whisk-time': { name: 'Time under the whisk', spread: 0.209, noise: 0.08 },
  overrun: { name: 'Air', spread: 0.139, noise: 0.06 },
  hold: { name: 'Hold', spread: 0.253, noise: 0.2 },
} as const;
export type LearnableFigure = keyof typeof LEARNABLE;

/** How much of what the formula misses is common to a kitchen, to a kind within it (all hand mixers), and to the one thing alone: shares of its variance (house). */
export const SHARED = { kitchen: 0.4, kind: 0.25, own: 0.35 } as const;

/** What a figure is found for: a mixer, with the kind that it is of; a family of stabilisers. */
export interface Context {
  readonly id: string;
  readonly kind: string;
}

/** One logged outcome against what the plain formula said for it. */
export interface Observation {
  /** outcome/formula, > 0. */
  readonly ratio: number;
  readonly at: number;
  readonly batchId: string;
  /** The cook's answer where it lay far off: counted all the same, or left out. */
  readonly answer: 'count' | 'leave-out' | null;
}

export interface Learnt {
  /** The formula is multiplied by it; the median of what is known. */
  readonly factor: number;
  /** The next batch falls within in four of five, as multiples of the plain formula. */
  readonly low: number;
  readonly high: number;
  /** The true factor lies within in four of five. */
  readonly truth: readonly [low: number, high: number];
  /** Batches of this context that count. */
  readonly n: number;
  /** Batches of other contexts that count: what they share with this one moves it too. */
  readonly borrowed: number;
  /** Far off what the others say, and not answered yet: they do not count until they are. */
  readonly asked: readonly Observation[];
}

const sigmaOf = (spread: number): number => Math.log(1 + spread);

/** Normal in the logs of the factors of every context: their means, and how they vary together. */
interface Belief {
  readonly mean: number[];
  readonly covariance: number[][];
}

/** Before any batch: each context has the whole variance, and shares of it with others. */
function before(contexts: readonly Context[], variance: number): Belief {
  const shared = (a: Context, b: Context): number => (a.id === b.id ? 1 : SHARED.kitchen + (a.kind === b.kind ? SHARED.kind : 0));
  return { mean: contexts.map(() => 0), covariance: contexts.map((a) => contexts.map((b) => variance * shared(a, b))) };
}

/** The belief after one outcome of one context. */
function after({ mean, covariance }: Belief, i: number, seen: number, noiseVariance: number): Belief {
  const column = covariance.map((row) => row[i]!);
  const total = column[i]! + noiseVariance;
  const off = seen - mean[i]!;
  return {
    mean: mean.map((m, j) => m + (column[j]! / total) * off),
    covariance: covariance.map((row, j) => row.map((c, k) => c - (column[j]! * column[k]!) / total)),
  };
}

/**
 * What the log makes of a house figure in every context, each helped by what the others share with it: the third batch of one mixer already
 * moves the second one. Outcomes are taken in the order of their time; one that lies more than three standard deviations from what was
 * believed of its context before it is not counted until the cook says so.
 * @param observations ratios > 0 with their context's id; any order; those of no known context are passed over.
 * @param spread of the formula, and noise of one outcome: relative standard deviations > 0.
 * @returns for each context factor 1 with the formula's own band where there is no observation at all.
 */
export function learnTogether(
  observations: readonly (Observation & { readonly context: string })[],
  contexts: readonly Context[],
  { spread, noise }: { readonly spread: number; readonly noise: number },
): ReadonlyMap<string, Learnt> {
  const noiseVariance = sigmaOf(noise) ** 2;
  let belief = before(contexts, sigmaOf(spread) ** 2);
  const place = new Map(contexts.map((c, i) => [c.id, i]));
  const n = contexts.map(() => 0);
  const asked = contexts.map((): Observation[] => []);
  for (const o of observations.toSorted((a, b) => a.at - b.at || a.batchId.localeCompare(b.batchId))) {
    const i = place.get(o.context);
    if (i === undefined || o.answer === 'leave-out' || !(o.ratio > 0) || !Number.isFinite(o.ratio)) continue;
    const seen = Math.log(o.ratio);
    if (o.answer === null && Math.abs(seen - belief.mean[i]!) > ASKED_BEYOND * Math.sqrt(belief.covariance[i]![i]! + noiseVariance)) {
      asked[i]!.push(o);
      continue;
    }
    belief = after(belief, i, seen, noiseVariance);
    n[i]!++;
  }
  const all = n.reduce((a, b) => a + b, 0);
  return new Map(
    contexts.map((c, i): [string, Learnt] => {
      const mean = belief.mean[i]!;
      const variance = belief.covariance[i]![i]!;
      const next = BAND_80 * Math.sqrt(variance + noiseVariance);
      const truth = BAND_80 * Math.sqrt(variance);
      return [
        c.id,
        {
          factor: Math.exp(mean),
          low: Math.exp(mean - next),
          high: Math.exp(mean + next),
          truth: [Math.exp(mean - truth), Math.exp(mean + truth)],
          n: n[i]!,
          borrowed: all - n[i]!,
          asked: asked[i]!,
        },
      ];
    }),
  );
}

/** The same of one context alone. */
export const learn = (observations: readonly Observation[], spread: number, noise: number): Learnt =>
  learnTogether(
    observations.map((o) => ({ ...o, context: '' })),
    [{ id: '', kind: '' }],
    { spread, noise },
  ).get('')!;

/** What the kitchen's log has found for a house figure in one context: a mixer, or a family of stabilisers. */
export interface KitchenCorrection {
  readonly figure: LearnableFigure;
  readonly context: string;
  readonly learnt: Learnt;
}
