import { z } from 'zod';
import { typedFace, plainNumber, showFactor, withUnit } from '../figure';
import { EGG_KINDS, EGG_RULES } from '../heat/lethality';
import { ForecastSchema } from './forecast';
import { READING_KINDS, ReadingKindSchema } from './readings';
import { StepWhiskSchema } from '../analysis/step-whisk-schema';

const LineSchema = z.object({ lineId: z.string(), name: z.string(), massG: z.number(), measure: z.string(), ingredientId: z.string().default('') });

const StepSchema = z.object({
  key: z.string(),
  title: z.string(),
  short: z.string(),
  takes: z.string(),
  detail: z.string(),
  laid: z.string().default(''),
  lines: z.array(LineSchema),
  readings: z.array(ReadingKindSchema),
  whisks: z.boolean(),
  partName: z.string().default(''),
  whisk: StepWhiskSchema.nullable().default(null),
  /** Passive time, min. */
  waitMin: z.tuple([z.number(), z.number()]).nullable().default(null),
  saidMin: z.tuple([z.number(), z.number()]).nullable().default(null),
  /** What it makes is to be used within, min. */
  useWithinMin: z.number().nullable().default(null),
  tempC: z.number().nullable().default(null),
  heat: z
    .discriminatedUnion('use', [
      z.object({ use: z.literal('egg'), egg: z.enum(EGG_KINDS), richInSugar: z.boolean(), rule: z.enum(EGG_RULES).default('table') }),
      z.object({ use: z.literal('cooling') }),
      z.object({ use: z.literal('syrup') }),
      z.object({ use: z.literal('reach') }),
    ])
    .nullable()
    .default(null),
  /** Which bowlful of how many. */
  bowlful: z.tuple([z.number(), z.number()]).nullable().default(null),
  wayKey: z.string().default(''),
  partId: z.string().default(''),
});
export type PlanStep = Readonly<z.infer<typeof StepSchema>>;

/** What a batch was started with; it does not follow later edits of the sheet. */
export const BatchPlanSchema = z.object({
  sheetName: z.string(),
  partName: z.string(),
  steps: z.array(StepSchema).min(1),
  /** To be started or made ready before the first step. */
  before: z.array(z.object({ key: z.string(), title: z.string(), detail: z.string() })).default([]),
  /** Amounts by step, weighed ahead, divided ingredients apart; empty in batches of before there was such a list. */
  mise: z.array(z.object({ stepKey: z.string(), title: z.string(), lines: z.array(LineSchema) })).default([]),
  /** How many times the sheet. */
  scale: z.number().positive().default(1),
  /** How it ends: put away in the cold, or on the plate. */
  ends: z.enum(['cold', 'plate']).default('cold'),
  forecast: ForecastSchema,
  allergens: z.array(z.string()),
});
export type BatchPlan = z.infer<typeof BatchPlanSchema>;

/** A clock of a batch, by the wall: counting up (a whisk) or down (a rest). */
export const TimerSchema = z.object({
  id: z.string().max(80),
  name: z.string().max(120),
  /** Down from so many seconds; null counts up. */
  seconds: z.number().positive().max(1_000_000).nullable(),
  startedAt: z.number().nullable(),
  stoppedAt: z.number().nullable(),
  /** The tablet whose clock it is: it rings there, and only there it is stopped. */
  owner: z.string().max(40),
  /** When the whisk was dropped to slow. */
  slowAt: z.number().nullable().default(null),
});
export type Timer = Readonly<z.infer<typeof TimerSchema>>;

/** Something that was not as the recipe has it. */
export const OFF_PLAN_KINDS = ['more', 'skipped', 'instead', 'paused', 'resumed', 'abandoned', 'mended', 'note'] as const;
/** A moment, ms since 1970: to the end of the year 2100, beyond which no calendar goes. */
export const LATEST_MS = Date.UTC(2101, 0, 1);
export const MomentSchema = z.number().min(0).max(LATEST_MS);

export const OffPlanSchema = z.object({ at: MomentSchema, kind: z.enum(OFF_PLAN_KINDS), words: z.string().max(400) });
export type OffPlan = Readonly<z.infer<typeof OffPlanSchema>>;

const AddedSchema = z.object({
  lineId: z.string().max(80),
  ingredientId: z.string().max(80),
  name: z.string().max(200),
  massG: z.number().positive().max(1_000_000),
});

/** How long something stands by itself for its rescue, min, and where. */
const MendRestSchema = z.object({ min: z.number().min(0).max(100_000), where: z.enum(['cold', 'freezer', 'oven', 'room']) });
export type MendRest = Readonly<z.infer<typeof MendRestSchema>>;

/** A mend of before rests were written down kept hands for an hour at most. */
const HANDS_OF_BEFORE_MIN = 60;
function withRest(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || 'rest' in raw || !('minutes' in raw) || typeof raw.minutes !== 'number' || raw.minutes <= HANDS_OF_BEFORE_MIN)
    return raw;
  return { ...raw, rest: { min: raw.minutes - HANDS_OF_BEFORE_MIN, where: 'cold' } };
}

/** A rescue that was done: what went in besides, what was weighed a second time, and later whether it helped. */
export const MendEntrySchema = z.preprocess(
  withRest,
  z.object({
    id: z.string().min(1).max(60),
    at: MomentSchema,
    sign: z.string().max(40),
    cause: z.string().max(40),
    partId: z.string().max(40),
    kind: z.enum(['mend', 'instead', 'discard']),
    title: z.string().max(200),
    adds: z.array(AddedSchema).max(20),
    again: z.array(AddedSchema).max(60),
    /** What the dessert is then served as; null where nothing of it changed. */
    portions: z.number().int().min(1).max(2000).nullable(),
    use: z.string().max(20).nullable(),
    /** What it takes with its rest, min. */
    minutes: z.number().min(0).max(100_000).default(0),
    /** As much of that as it stands by itself; null where hands are at it throughout. */
    rest: MendRestSchema.nullable().default(null),
    /** Steps that are to be done anew for a fresh bowl, with the first of them by its place, and whether the lost one was whisked; what was ticked of them is to be weighed again. */
    reopens: z
      .object({
        keys: z.array(z.string().max(80)).max(100),
        lines: z.array(z.string().max(80)).max(300),
        step: z.number().int().min(0).max(300).nullable(),
        whisked: z.boolean().default(false),
      })
      .default({ keys: [], lines: [], step: null, whisked: false }),
    helped: z.boolean().nullable().default(null),
  }),
);
export type MendEntry = Readonly<z.infer<typeof MendEntrySchema>>;

/** Stands in `done` once the amounts are weighed ahead. */
export const MISE = 'mise';
/** The whisk's own clock. */
export const WHISK_TIMER = 'whisk';

/** A document of before there were several timers has one, of the whisk. */
function withTimers(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || !('timer' in raw)) return raw;
  const { timer, ...rest } = raw as { timer: { startedAt: number | null; stoppedAt: number | null } };
  return { ...rest, timers: timer.startedAt === null ? [] : [{ id: WHISK_TIMER, name: 'whisk', seconds: null, owner: '', ...timer }] };
}

/** How far a batch has come. Times are wall-clock milliseconds, so that a sleeping tablet loses none. */
export const ProgressSchema = z.preprocess(
  withTimers,
  z.object({
    step: z.number().int().min(0).max(300),
    /** Keys of the steps that are behind. */
    done: z.array(z.string().max(80)).max(300).default([]),
    /** Those of them that were skipped: nothing of theirs was taken. */
    skipped: z.array(z.string().max(80)).max(300).default([]),
    /** When each of them was left behind; empty in batches of before it was written down. */
    doneAt: z.record(z.string().max(80), z.number()).default({}),
    ticks: z.array(z.string().max(120)).max(1000),
    /** What was really weighed, g. */
    weighed: z.record(z.string().max(120), z.number()).default({}),
    timers: z.array(TimerSchema).max(60).default([]),
    /** What stands in the reading fields, readable or not. */
    fields: z.partialRecord(ReadingKindSchema, z.string().max(60)),
    note: z.string().max(4000),
    /** Amounts still to come are multiplied by it. */
    scale: z.number().positive().default(1),
    pausedAt: z.number().nullable().default(null),
    offPlan: z.array(OffPlanSchema).max(500).default([]),
    mends: z.array(MendEntrySchema).max(50).default([]),
    /** Where it went in the end: a cold place of the kitchen. */
    placeId: z.string().max(40).nullable().default(null),
  }),
);
export type Progress = z.infer<typeof ProgressSchema>;

export const freshProgress = (): Progress => ({
  step: 0,
  done: [],
  skipped: [],
  doneAt: {},
  ticks: [],
  weighed: {},
  timers: [],
  fields: {},
  note: '',
  scale: 1,
  pausedAt: null,
  offPlan: [],
  mends: [],
  placeId: null,
});

const at = MomentSchema;
const tablet = z.string().max(40);
const timerId = z.string().min(1).max(80);

/** One thing done on Pass. Each is small, so that two tablets seldom disagree. */
export const ProgressEventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('go'), step: z.number().int().min(0).max(300), done: z.string().max(80).optional() }),
  z.object({ kind: z.literal('reopen'), key: z.string().max(80) }),
  z.object({ kind: z.literal('skip'), step: z.number().int().min(0).max(300), key: z.string().max(80), title: z.string().max(200), at }),
  z.object({ kind: z.literal('tick'), line: z.string().max(120), on: z.boolean() }),
  z.object({ kind: z.literal('weigh'), line: z.string().max(120), tick: z.string().max(120), grams: z.number().min(0).max(1_000_000) }),
  z.object({
    kind: z.literal('timer-start'),
    id: timerId,
    name: z.string().max(120),
    seconds: z.number().positive().max(1_000_000).nullable(),
    at,
    by: tablet,
  }),
  z.object({ kind: z.literal('timer-stop'), id: timerId, at, by: tablet }),
  z.object({ kind: z.literal('timer-slow'), id: timerId, at }),
  z.object({ kind: z.literal('timer-take'), id: timerId, by: tablet }),
  z.object({ kind: z.literal('timer-clear'), id: timerId, by: tablet }),
  z.object({ kind: z.literal('write'), reading: z.enum(READING_KINDS), text: z.string().max(60), was: z.string().max(60) }),
  z.object({ kind: z.literal('note'), text: z.string().max(4000) }),
  z.object({ kind: z.literal('off-plan'), entry: OffPlanSchema }),
  z.object({ kind: z.literal('rescale'), factor: z.number().min(0.1).max(10), words: z.string().max(400), at }),
  z.object({ kind: z.literal('mend'), entry: MendEntrySchema }),
  z.object({ kind: z.literal('mend-helped'), id: z.string().max(60), helped: z.boolean().nullable() }),
  z.object({ kind: z.literal('finish'), at, placeId: z.string().max(40).nullable().optional() }),
  z.object({ kind: z.literal('abandon'), at, words: z.string().max(400).optional() }),
]);
export type ProgressEvent = z.infer<typeof ProgressEventSchema>;

export const timerOf = (p: Progress, id: string): Timer | null => p.timers.find((t) => t.id === id) ?? null;
export const isRunning = (t: Timer | null): boolean => t !== null && t.startedAt !== null && t.stoppedAt === null;

const withTimer = (p: Progress, timer: Timer): Progress => ({ ...p, timers: [...p.timers.filter((t) => t.id !== timer.id), timer] });
const written = (p: Progress, ...entries: OffPlan[]): Progress => ({ ...p, offPlan: [...p.offPlan, ...entries].slice(-500) });
/** A tablet that is not named (an old batch) may be anybody's. */
const owns = (t: Timer, by: string): boolean => t.owner === '' || t.owner === by;

/** Steps of a fresh bowl are open again, and nothing of them is weighed; how long the lost one was whisked says nothing of the new. */
function reopened(p: Progress, { keys, lines, step, whisked }: MendEntry['reopens']): Progress {
  if (keys.length === 0) return p;
  const open = new Set(keys);
  const anew = new Set(lines.flatMap((l) => [l, `${MISE}:${l}`]));
  return {
    ...p,
    step: step ?? p.step,
    done: p.done.filter((k) => !open.has(k)),
    skipped: p.skipped.filter((k) => !open.has(k)),
    ticks: p.ticks.filter((t) => !anew.has(t)),
    weighed: Object.fromEntries(Object.entries(p.weighed).filter(([l]) => !anew.has(l))),
    timers: p.timers.filter((t) => !open.has(t.id) && !(whisked && t.id === WHISK_TIMER)),
    fields: whisked && p.fields['minutes-to-stage'] !== undefined ? { ...p.fields, 'minutes-to-stage': '' } : p.fields,
  };
}

/** Whoever leaves a step only after this share of its wait has sat it out; sooner, the wait goes on meanwhile (house). */
const SAT_OUT = 0.5;

/** When the wait of a step began: with its timer; else when it was come to, where most of it was sat out there; else when it was left. ms since 1970. */
export const waitBegan = (step: Pick<PlanStep, 'waitMin'>, came: number, left: number, timerAt: number | null): number =>
  timerAt ?? (step.waitMin !== null && left - came >= SAT_OUT * step.waitMin[0] * 60_000 ? came : left);

/** As much of a step as tells which are of a part. */
export interface StepOfPart {
  readonly key: string;
  readonly partId: string;
  readonly whisks: boolean;
  readonly lines: readonly { readonly lineId: string }[];
}

/** What a fresh bowl of a part opens again: its steps that were done, and the one in hand. */
export function reopensFor(steps: readonly StepOfPart[], progress: Pick<Progress, 'step' | 'done'>, partId: string): MendEntry['reopens'] {
  const mine = steps.map((s, i) => ({ s, i })).filter(({ s, i }) => s.partId === partId && (progress.done.includes(s.key) || i === progress.step));
  return {
    keys: mine.map(({ s }) => s.key),
    lines: [...new Set(mine.flatMap(({ s }) => s.lines.map((l) => l.lineId)))],
    step: mine[0]?.i ?? null,
    whisked: mine.some(({ s }) => s.whisks),
  };
}

/** The progress after an event; finishing and abandoning end the batch besides. What cannot be done leaves all as it is. */
export function progressAfter(p: Progress, event: ProgressEvent): Progress {
  switch (event.kind) {
    case 'go':
      return { ...p, step: event.step, done: event.done === undefined || p.done.includes(event.done) ? p.done : [...p.done, event.done] };
    case 'reopen':
      return { ...p, done: p.done.filter((k) => k !== event.key), skipped: p.skipped.filter((k) => k !== event.key) };
    case 'skip':
      return written(
        {
          ...p,
          step: event.step,
          done: p.done.includes(event.key) ? p.done : [...p.done, event.key],
          skipped: p.skipped.includes(event.key) ? p.skipped : [...p.skipped, event.key],
        },
        { at: event.at, kind: 'skipped', words: `Skipped: ${event.title}` },
      );
    case 'tick':
      return { ...p, ticks: event.on ? [...p.ticks.filter((t) => t !== event.line), event.line] : p.ticks.filter((t) => t !== event.line) };
    case 'weigh':
      return { ...p, ticks: [...p.ticks.filter((t) => t !== event.tick), event.tick], weighed: { ...p.weighed, [event.line]: event.grams } };
    case 'timer-start':
      // A timer that runs is not started again: the second tablet joins it.
      return isRunning(timerOf(p, event.id))
        ? p
        : withTimer(p, { id: event.id, name: event.name, seconds: event.seconds, startedAt: event.at, stoppedAt: null, owner: event.by, slowAt: null });
    case 'timer-stop': {
      const timer = timerOf(p, event.id);
      if (!timer || timer.startedAt === null || timer.stoppedAt !== null || !owns(timer, event.by)) return p;
      const stoppedAt = Math.max(event.at, timer.startedAt);
      const stopped = withTimer(p, { ...timer, stoppedAt });
      if (timer.id !== WHISK_TIMER || (p.fields['minutes-to-stage'] ?? '') !== '') return stopped;
      return { ...stopped, fields: { ...p.fields, 'minutes-to-stage': typedFace(Math.round((stoppedAt - timer.startedAt) / 1000)) } };
    }
    case 'timer-slow': {
      const timer = timerOf(p, event.id);
      return timer && isRunning(timer) && timer.slowAt === null ? withTimer(p, { ...timer, slowAt: Math.max(event.at, timer.startedAt!) }) : p;
    }
    case 'timer-take': {
      const timer = timerOf(p, event.id);
      return timer ? withTimer(p, { ...timer, owner: event.by }) : p;
    }
    case 'timer-clear': {
      const timer = timerOf(p, event.id);
      return timer && owns(timer, event.by) ? { ...p, timers: p.timers.filter((t) => t.id !== event.id) } : p;
    }
    case 'write':
      return { ...p, fields: { ...p.fields, [event.reading]: event.text } };
    case 'note':
      return { ...p, note: event.text };
    case 'off-plan': {
      const { entry } = event;
      const pausedAt = entry.kind === 'paused' ? entry.at : entry.kind === 'resumed' ? null : p.pausedAt;
      return written({ ...p, pausedAt }, entry);
    }
    case 'rescale':
      return written({ ...p, scale: p.scale * event.factor }, { at: event.at, kind: 'more', words: event.words });
    case 'mend':
      return p.mends.some((m) => m.id === event.entry.id)
        ? p
        : written(
            { ...reopened(p, event.entry.reopens), mends: [...p.mends, event.entry].slice(-50) },
            { at: event.entry.at, kind: 'mended', words: `Mended: ${event.entry.title}`.slice(0, 400) },
          );
    case 'mend-helped':
      return { ...p, mends: p.mends.map((m) => (m.id === event.id ? { ...m, helped: event.helped } : m)) };
    case 'finish':
      return { ...p, placeId: event.placeId ?? p.placeId };
    case 'abandon':
      return written(p, { at: event.at, kind: 'abandoned', words: event.words ?? 'Left off' });
  }
}

/** The same with the moment at which steps were left behind or taken up again, by the clock of who writes it down. */
export function withTimes(before: Progress, after: Progress, at: number): Progress {
  if (before.done === after.done) return after;
  const doneAt = Object.fromEntries(after.done.map((key) => [key, before.doneAt[key] ?? at]));
  return { ...after, doneAt };
}

/** What of a line is to be weighed now, g: as poured where it was, else at the batch's scale. */
export const amountNow = (p: Progress, line: { readonly lineId: string; readonly massG: number }): number => p.weighed[line.lineId] ?? line.massG * p.scale;

/**
 * What a batch took out of the larder, g by ingredient: of one that was finished every line of the steps that were not skipped, of one that was
 * left off those that were ticked; and what its mends took. As weighed, without peel.
 */
export function takenBy(plan: BatchPlan, p: Progress, finished: boolean): readonly { readonly ingredientId: string; readonly massG: number }[] {
  const mended = p.mends.flatMap((m) => [...m.adds, ...m.again].map(({ ingredientId, massG }) => ({ ingredientId, massG })));
  return plan.steps
    .filter((s) => !p.skipped.includes(s.key))
    .flatMap((s) =>
      s.lines.flatMap((l) =>
        l.ingredientId !== '' &&
        l.massG > 0 &&
        (finished || p.weighed[l.lineId] !== undefined || p.ticks.includes(l.lineId) || p.ticks.includes(`${MISE}:${l.lineId}`))
          ? [{ ingredientId: l.ingredientId, massG: amountNow(p, l) }]
          : [],
      ),
    )
    .concat(mended);
}

/** More (or less) of one line than it should be: everything still to come follows it. */
export function rescaleTo(
  p: Progress,
  line: { readonly lineId: string; readonly name: string; readonly massG: number },
  pouredG: number,
  at: number,
): Extract<ProgressEvent, { kind: 'rescale' }> | null {
  const should = line.massG * p.scale;
  const factor = should > 0 ? pouredG / should : 0;
  if (!(factor >= 0.1 && factor <= 10)) return null;
  const g = (v: number): string => withUnit(plainNumber(v, v < 10 ? 1 : 0), 'g');
  return { kind: 'rescale', factor, at, words: `${line.name}: ${g(pouredG)} instead of ${g(should)}; the rest times ${showFactor(factor)}` };
}

/** The step after one: the next that is not behind, else the first that is still open, else itself. */
export function stepAfter(steps: readonly { readonly key: string }[], done: readonly string[], at: number): number {
  const open = (i: number): boolean => i !== at && !done.includes(steps[i]!.key);
  for (let i = at + 1; i < steps.length; i++) if (open(i)) return i;
  for (let i = 0; i < at; i++) if (open(i)) return i;
  return at;
}

/** Steps that can be done while one rests: of other parts, next in their part's order, and not what needs this part. */
export function whileItRests(steps: readonly PlanStep[], done: readonly string[], at: number): readonly number[] {
  const resting = steps[at];
  if (!resting?.waitMin || resting.partId === '') return [];
  const waits = new Set([resting.partId]);
  const offered: number[] = [];
  steps.forEach((s, i) => {
    if (i === at || done.includes(s.key) || s.partId === '' || waits.has(s.partId)) return;
    offered.push(i);
    waits.add(s.partId);
  });
  return offered;
}
