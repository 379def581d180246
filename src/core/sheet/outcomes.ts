import { LEARNABLE, learn, type LearnableFigure, type Observation } from '../learning/correction';
import type { Mixer } from './schema';
import type { Forecast } from './forecast';
import type { KitchenCorrection } from './learnt';
import { compareOutcome, type Readings } from './readings';

/** A batch as far as the log learns from it. */
export interface LoggedBatch {
  readonly id: string;
  readonly at: number;
  readonly forecast: Forecast;
  readonly readings: Readings;
  readonly answers: Readonly<Partial<Record<LearnableFigure, 'count' | 'leave-out'>>>;
}

/** One outcome of a batch against the plain formula, and the context that it counts in. */
export interface Outcome extends Observation {
  readonly figure: LearnableFigure;
  readonly context: string;
}

/** Which readings of a batch say something of a house figure. */
export function outcomesOf(b: LoggedBatch, mixers: readonly Mixer[]): readonly Outcome[] {
  const { forecast } = b;
  const mixerId = forecast.mixerId || (mixers.find((m) => m.name === forecast.mixerName)?.id ?? '');
  const came = compareOutcome(forecast, b.readings);
  const value = (key: 'time' | 'overrun' | 'hold'): number | null => came.find((c) => c.key === key)?.outcome ?? null;
  // Batches of before the log corrected anything were forecast by the plain formulas.
  const plain = forecast.plain ?? { timeS: forecast.stageTimeS?.value ?? null, overrunPct: forecast.overrunPct?.value ?? null, holdH: forecast.holdCleanH?.value ?? null };
  const one = (figure: LearnableFigure, context: string, outcome: number | null, formula: number | null): Outcome[] =>
    outcome !== null && formula !== null && outcome > 0 && formula > 0 && context !== '' ? [{ figure, context, ratio: outcome / formula, at: b.at, batchId: b.id, answer: b.answers[figure] ?? null }] : [];
  return [
    ...one('whisk-time', mixerId, value('time'), plain.timeS),
    ...one('overrun', mixerId, value('overrun'), plain.overrunPct),
    ...one('hold', forecast.family, value('hold'), plain.holdH),
  ];
}

/** What the whole log makes of each house figure in each context. */
export function correctionsOf(batches: readonly LoggedBatch[], mixers: readonly Mixer[]): readonly KitchenCorrection[] {
  const found = new Map<string, Outcome[]>();
  for (const b of batches) {
    for (const o of outcomesOf(b, mixers)) {
      const key = `${o.figure} ${o.context}`;
      found.set(key, [...(found.get(key) ?? []), o]);
    }
  }
  return [...found.values()].map((outcomes) => {
    const { figure, context } = outcomes[0]!;
    const { spread, noise } = LEARNABLE[figure];
    return { figure, context, learnt: learn(outcomes, spread, noise) };
  });
}
