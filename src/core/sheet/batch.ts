import { z } from 'zod';
import { clockFace } from '../figure';
import { ForecastSchema } from './forecast';
import { READING_KINDS, ReadingKindSchema } from './readings';

const StepSchema = z.object({
  key: z.string(),
  title: z.string(),
  short: z.string(),
  takes: z.string(),
  detail: z.string(),
  lines: z.array(z.object({ lineId: z.string(), name: z.string(), massG: z.number(), measure: z.string() })),
  readings: z.array(ReadingKindSchema),
  whisks: z.boolean(),
  partName: z.string().default(''),
});

/** What a batch was started with; it does not follow later edits of the sheet. */
export const BatchPlanSchema = z.object({
  sheetName: z.string(),
  partName: z.string(),
  steps: z.array(StepSchema).min(1),
  forecast: ForecastSchema,
  allergens: z.array(z.string()),
});
export type BatchPlan = z.infer<typeof BatchPlanSchema>;

/** How far a batch has come. Times are wall-clock milliseconds, so that a sleeping tablet loses none. */
export const ProgressSchema = z.object({
  step: z.number().int().min(0).max(100),
  ticks: z.array(z.string().max(80)).max(500),
  timer: z.object({ startedAt: z.number().nullable(), stoppedAt: z.number().nullable() }),
  /** What stands in the reading fields, readable or not. */
  fields: z.partialRecord(ReadingKindSchema, z.string().max(60)),
  note: z.string().max(4000),
});
export type Progress = z.infer<typeof ProgressSchema>;

export const freshProgress = (): Progress => ({ step: 0, ticks: [], timer: { startedAt: null, stoppedAt: null }, fields: {}, note: '' });

/** One thing done on Pass. Each is small, so that two tablets seldom disagree. */
export const ProgressEventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('go'), step: z.number().int().min(0).max(100) }),
  z.object({ kind: z.literal('tick'), line: z.string().max(80), on: z.boolean() }),
  z.object({ kind: z.literal('timer-start'), at: z.number() }),
  z.object({ kind: z.literal('timer-stop'), at: z.number() }),
  z.object({ kind: z.literal('timer-clear') }),
  z.object({ kind: z.literal('write'), reading: z.enum(READING_KINDS), text: z.string().max(60), was: z.string().max(60) }),
  z.object({ kind: z.literal('note'), text: z.string().max(4000) }),
  z.object({ kind: z.literal('finish'), at: z.number() }),
  z.object({ kind: z.literal('abandon'), at: z.number() }),
]);
export type ProgressEvent = z.infer<typeof ProgressEventSchema>;

/** The progress after an event; finishing and abandoning change the batch, not its progress. */
export function progressAfter(p: Progress, event: ProgressEvent): Progress {
  switch (event.kind) {
    case 'go':
      return { ...p, step: event.step };
    case 'tick':
      return { ...p, ticks: event.on ? [...p.ticks.filter((t) => t !== event.line), event.line] : p.ticks.filter((t) => t !== event.line) };
    case 'timer-start':
      // A timer that runs is not started again: the second tablet joins it.
      return p.timer.startedAt !== null && p.timer.stoppedAt === null ? p : { ...p, timer: { startedAt: event.at, stoppedAt: null } };
    case 'timer-stop': {
      if (p.timer.startedAt === null || p.timer.stoppedAt !== null) return p;
      const stoppedAt = Math.max(event.at, p.timer.startedAt);
      const seconds = Math.round((stoppedAt - p.timer.startedAt) / 1000);
      const empty = (p.fields['minutes-to-stage'] ?? '') === '';
      return { ...p, timer: { ...p.timer, stoppedAt }, fields: empty ? { ...p.fields, 'minutes-to-stage': clockFace(seconds) } : p.fields };
    }
    case 'timer-clear':
      return { ...p, timer: { startedAt: null, stoppedAt: null } };
    case 'write':
      return { ...p, fields: { ...p.fields, [event.reading]: event.text } };
    case 'note':
      return { ...p, note: event.text };
    case 'finish':
    case 'abandon':
      return p;
  }
}
