import Papa from 'papaparse';
import type { LearnableFigure } from '../learning/correction';
import type { Outcome } from '../batch/outcomes';
import { compareOutcome, type Comparison, type Readings } from '../batch/readings';
import type { Forecast } from '../batch/forecast';
import type { OffPlan } from '../batch/batch';

/** A batch as it leaves the kitchen. */
export interface LogEntry {
  readonly id: string;
  readonly sheet: string;
  readonly version: number;
  readonly portions: number;
  readonly scale: number;
  readonly status: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly place: string;
  readonly forecast: Forecast;
  readonly readings: Readings;
  readonly note: string;
  readonly offPlan: readonly OffPlan[];
  readonly observations: readonly { readonly kind: string; readonly at: number; readonly value: number | null; readonly words: string }[];
  readonly outcomes: readonly Outcome[];
}

const iso = (at: number | null): string => (at === null ? '' : new Date(at).toISOString());
const number = (v: number | null | undefined): string => (v == null ? '' : `${Math.round(v * 1000) / 1000}`);
const FIGURES: readonly (readonly [Comparison['key'], string])[] = [
  ['time', 'time_s'],
  ['overrun', 'air_pct'],
  ['yield', 'yield_ml'],
  ['hold', 'hold_h'],
];
const RATIOS: readonly LearnableFigure[] = ['whisk-time', 'overrun', 'hold'];

const HEADS = [
  'batch',
  'sheet',
  'version',
  'portions',
  'scale',
  'status',
  'started',
  'ended',
  'place',
  'stage',
  'mixer',
  ...FIGURES.flatMap(([, n]) => [`${n}_forecast`, `${n}_low`, `${n}_high`, `${n}_came`]),
  ...RATIOS.map((f) => `${f.replace('-', '_')}_over_formula`),
  'note',
  'off_plan',
];

/** The log as a table: one batch a row, forecast beside outcome, times in UTC. */
export function logCsv(entries: readonly LogEntry[]): string {
  const rows = entries.map((e) => {
    const compared = compareOutcome(e.forecast, e.readings);
    return [
      e.id,
      e.sheet,
      `${e.version}`,
      `${e.portions}`,
      number(e.scale),
      e.status,
      iso(e.startedAt),
      iso(e.endedAt),
      e.place,
      e.forecast.stage,
      e.forecast.mixerName,
      ...FIGURES.flatMap(([key]) => {
        const c = compared.find((x) => x.key === key)!;
        return [number(c.forecast?.value), number(c.forecast?.low), number(c.forecast?.high), number(c.outcome)];
      }),
      ...RATIOS.map((f) => number(e.outcomes.find((o) => o.figure === f)?.ratio)),
      e.note,
      e.offPlan.map((o) => `${iso(o.at)} ${o.words}`).join(' | '),
    ];
  });
  return Papa.unparse([HEADS, ...rows], { newline: '\r\n', escapeFormulae: true });
}

/** The log with everything that was written down. */
export const logJson = (entries: readonly LogEntry[]): string =>
  `${JSON.stringify({ format: 'soft-peak-log', formatVersion: 1, batches: entries }, null, 2)}\n`;
