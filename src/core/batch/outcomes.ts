import { LEARNABLE, learnTogether, type Context, type LearnableFigure, type Observation } from '../learning/correction';
import type { Mixer } from '../kitchen/schema';
import type { Forecast } from './forecast';
import { STABILISER_FAMILIES } from '../analysis/learnt';
import type { KitchenCorrection } from '../learning/correction';
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
  const plain = forecast.plain ?? {
    timeS: forecast.stageTimeS?.value ?? null,
    overrunPct: forecast.overrunPct?.value ?? null,
    holdH: forecast.holdCleanH?.value ?? null,
  };
  const one = (figure: LearnableFigure, context: string, outcome: number | null, formula: number | null): Outcome[] =>
    outcome !== null && formula !== null && outcome > 0 && formula > 0 && context !== ''
      ? [{ figure, context, ratio: outcome / formula, at: b.at, batchId: b.id, answer: b.answers[figure] ?? null }]
      : [];
  return [
    ...one('whisk-time', mixerId, value('time'), plain.timeS),
    ...one('overrun', mixerId, value('overrun'), plain.overrunPct),
    ...one('hold', forecast.family, value('hold'), plain.holdH),
  ];
}

/** The contexts that a figure is found for: the kitchen's mixers and those that only the log still knows; the families of stabilisers. */
function contextsOf(figure: LearnableFigure, outcomes: readonly Outcome[], mixers: readonly Mixer[]): readonly Context[] {
  const known: readonly Context[] =
    figure === 'hold' ? STABILISER_FAMILIES.map((id) => ({ id, kind: 'cream' })) : mixers.map((m) => ({ id: m.id, kind: m.kind }));
  const gone = [...new Set(outcomes.map((o) => o.context))].filter((id) => !known.some((c) => c.id === id));
  return [...known, ...gone.map((id) => ({ id, kind: `gone ${id}` }))];
}

/** What the whole log makes of each house figure in each context; a figure of which nothing was ever taken down is left out. */
export function correctionsFrom(outcomes: readonly Outcome[], mixers: readonly Mixer[]): readonly KitchenCorrection[] {
  return (Object.keys(LEARNABLE) as LearnableFigure[]).flatMap((figure) => {
    const of = outcomes.filter((o) => o.figure === figure);
    if (of.length === 0) return [];
    const learnt = learnTogether(of, contextsOf(figure, of, mixers), LEARNABLE[figure]);
    return [...learnt].map(([context, l]) => ({ figure, context, learnt: l }));
  });
}
