/** What a kitchen's own log says about a house figure (science: conjugate normal update of the log of a correction factor). */

/** Half-width of the shown band in standard deviations: four outcomes in five fall within. */
const BAND_80 = 1.2816;
/** Beyond so many standard deviations of the next batch an outcome is asked about. */
const ASKED_BEYOND = 3;

/** House figures that a log can correct: the formula's spread, and the noise of one outcome; both relative standard deviations. */
export const LEARNABLE = {
  'whisk-time': { name: 'Time under the whisk', spread: 0.18, noise: 0.08 },
  overrun: { name: 'Air', spread: 0.12, noise: 0.06 },
  hold: { name: 'Hold', spread: 0.45, noise: 0.2 },
} as const;
export type LearnableFigure = keyof typeof LEARNABLE;

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
  /** Batches that count. */
  readonly n: number;
  /** Far off what the others say, and not answered yet: they do not count until they are. */
  readonly asked: readonly Observation[];
}

/** What is known of a factor in the log: normal with this mean and variance. */
interface Belief {
  readonly mean: number;
  readonly variance: number;
}

const sigmaOf = (spread: number): number => Math.log(1 + spread);

/**
 * What the log makes of a house figure. Outcomes are taken in the order of their time; one that lies more than three standard
 * deviations from what was believed before it is not counted until the cook says so.
 * @param observations ratios > 0; any order.
 * @param spread of the formula, and noise of one outcome: relative standard deviations > 0.
 * @returns factor 1 with the formula's own band where there is no observation.
 */
export function learn(observations: readonly Observation[], spread: number, noise: number): Learnt {
  const noiseVariance = sigmaOf(noise) ** 2;
  let belief: Belief = { mean: 0, variance: sigmaOf(spread) ** 2 };
  let n = 0;
  const asked: Observation[] = [];
  for (const o of observations.toSorted((a, b) => a.at - b.at || a.batchId.localeCompare(b.batchId))) {
    if (o.answer === 'leave-out' || !(o.ratio > 0) || !Number.isFinite(o.ratio)) continue;
    const seen = Math.log(o.ratio);
    if (o.answer === null && Math.abs(seen - belief.mean) > ASKED_BEYOND * Math.sqrt(belief.variance + noiseVariance)) {
      asked.push(o);
      continue;
    }
    const variance = 1 / (1 / belief.variance + 1 / noiseVariance);
    belief = { mean: variance * (belief.mean / belief.variance + seen / noiseVariance), variance };
    n++;
  }
  const next = BAND_80 * Math.sqrt(belief.variance + noiseVariance);
  const truth = BAND_80 * Math.sqrt(belief.variance);
  return {
    factor: Math.exp(belief.mean),
    low: Math.exp(belief.mean - next),
    high: Math.exp(belief.mean + next),
    truth: [Math.exp(belief.mean - truth), Math.exp(belief.mean + truth)],
    n,
    asked,
  };
}
