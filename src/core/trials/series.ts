import { z } from 'zod';
import { SheetSchema, type Sheet } from '../document/schema';
import { seededNumbers } from '../random';
import { fail, ok, type Result } from '../result';
import { AxisSchema, madePoint, shareOf, type TrialAxis } from './axes';
import { FULL_SCORE, MOST_AXES, MOST_TRIALS } from './house';
import { nextTrial } from './next-trial';
import type { Point } from './liking';
import type { Tastings } from './tastings';

/** What a dessert is wished to be. */
export const WISHES = ['firm', 'light', 'sweet', 'not too sweet', 'clean on the tongue', 'keeps its shape'] as const;

const id = z.string().regex(/^[\w-]{8,64}$/);
const code = z.string().regex(/^[A-Z][2-9]$/);
const who = z.string().trim().min(1).max(60);

const KeptSheetSchema: z.ZodType<Sheet> = SheetSchema;

/** What happens to a series. Nothing of it is ever changed: what was wrong is taken back by an event of its own. */
export const TrialSaysSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('begun'),
    sheet: KeptSheetSchema,
    axes: z.array(AxisSchema).min(1).max(MOST_AXES),
    /** Where each axis stands in the sheet as it is. */
    now: z.array(z.number().min(0).max(100_000)).min(1).max(MOST_AXES),
    wishes: z.array(z.enum(WISHES)).min(1).max(WISHES.length),
  }),
  /** One more trial is asked for: the server answers with where. */
  z.object({ kind: z.literal('next') }),
  z.object({ kind: z.literal('planned'), code, point: z.array(z.number().min(0).max(1)).min(1).max(MOST_AXES) }),
  z.object({ kind: z.literal('made'), code, batchId: z.string().min(1).max(80) }),
  /** One taster's scores of one sitting, 0 to 10. */
  z.object({
    kind: z.literal('scored'),
    by: who,
    scores: z
      .array(z.object({ code, score: z.number().min(0).max(FULL_SCORE) }))
      .min(2)
      .max(MOST_TRIALS),
  }),
  z.object({ kind: z.literal('paired'), by: who, better: code, than: code, same: z.boolean() }),
  z.object({ kind: z.literal('taken back'), eventId: id }),
  z.object({ kind: z.literal('ended') }),
]);
export type TrialSays = Readonly<z.infer<typeof TrialSaysSchema>>;

/** An event as a screen sends it. */
export const NewTrialEventSchema = z.object({ id, seriesId: id, says: TrialSaysSchema });
export type NewTrialEvent = Readonly<z.infer<typeof NewTrialEventSchema>>;
/** As it is kept. `at`: ms since 1970. */
export interface TrialEvent extends NewTrialEvent {
  readonly at: number;
}

export interface Trial {
  readonly code: string;
  readonly point: Point;
  readonly batchId: string | null;
}

/** What one taster said at one time. */
export interface Said {
  readonly eventId: string;
  readonly at: number;
  readonly by: string;
  readonly says: Extract<TrialSays, { kind: 'scored' | 'paired' }>;
}

/** A series of trials as it stands. */
export interface Series {
  readonly id: string;
  readonly begunAt: number;
  readonly sheet: Sheet;
  readonly axes: readonly TrialAxis[];
  readonly wishes: readonly (typeof WISHES)[number][];
  readonly trials: readonly Trial[];
  readonly said: readonly Said[];
  readonly ended: boolean;
}

/** Letters and figures that nobody takes for one another. */
const LETTERS = 'ACDEFHJKLMNPRTUVWXY';

/** The code of a trial, which says nothing of its place in the order. @param n from 0. */
export function codeOf(seriesId: string, n: number): string {
  const random = seededNumbers([...seriesId].reduce((sum, c) => (Math.imul(sum, 31) + c.charCodeAt(0)) >>> 0, 7));
  const letters = [...LETTERS].map((l) => ({ l, at: random() })).toSorted((a, b) => a.at - b.at);
  const figures = Array.from({ length: n + 1 }, () => 2 + Math.floor(random() * 8));
  return `${letters[n % letters.length]!.l}${figures[n]!}`;
}

/** What tasters said, by the places of the trials. */
export function tastingsOf({ trials, said }: Pick<Series, 'trials' | 'said'>): Tastings {
  const placeOf = new Map(trials.map((t, i) => [t.code, i]));
  return {
    sittings: said.flatMap(({ says }) => (says.kind === 'scored' ? [says.scores.map((s) => ({ trial: placeOf.get(s.code)!, score: s.score }))] : [])),
    pairs: said.flatMap(({ says }) => (says.kind === 'paired' ? [{ better: placeOf.get(says.better)!, than: placeOf.get(says.than)!, same: says.same }] : [])),
  };
}

/** Trials that a series begins with: the sheet as it is, and two far from it. */
const BEGINS_WITH = 3;

/** Where the next trial of a series stands, as it can be made. */
function planned({ id: of, axes, trials, said }: Pick<Series, 'id' | 'axes' | 'trials' | 'said'>): Extract<TrialSays, { kind: 'planned' }> {
  const points = trials.map((t) => t.point);
  const point = madePoint(axes, nextTrial(points, tastingsOf({ trials, said }), axes.length));
  return { kind: 'planned', code: codeOf(of, trials.length), point: [...point] };
}

/**
 * What is kept of an event: of a series that begins its first trials too, of one that asks for a next trial where it stands. A point is
 * chosen once and stays: what is tasted afterwards moves no trial that was made.
 */
export function keptOf(series: Series | null, e: NewTrialEvent): readonly NewTrialEvent[] {
  const { says, seriesId } = e;
  if (says.kind === 'next' && series) return [{ ...e, says: planned(series) }];
  if (says.kind !== 'begun') return [e];
  const { axes, now } = says;
  const asItIs = madePoint(
    axes,
    axes.map((a, d) => shareOf(a, now[d] ?? (a.low + a.high) / 2)),
  );
  const first: NewTrialEvent = { id: `${e.id}-1`, seriesId, says: { kind: 'planned', code: codeOf(seriesId, 0), point: [...asItIs] } };
  const kept: NewTrialEvent[] = [e, first];
  const trials: Trial[] = [{ code: codeOf(seriesId, 0), point: asItIs, batchId: null }];
  while (trials.length < BEGINS_WITH) {
    const next = planned({ id: seriesId, axes, trials, said: [] });
    kept.push({ id: `${e.id}-${trials.length + 1}`, seriesId, says: next });
    trials.push({ code: next.code, point: next.point, batchId: null });
  }
  return kept;
}

/** A series from its events, in their order; null where it was never begun. What was taken back was never said. */
export function seriesOf(events: readonly TrialEvent[]): Series | null {
  const gone = new Set(events.flatMap((e) => (e.says.kind === 'taken back' ? [e.says.eventId] : [])));
  return events
    .filter((e) => !gone.has(e.id))
    .reduce<Series | null>((series, e) => {
      const { says } = e;
      if (says.kind !== 'begun') return series && after(series, e);
      if (series) return series;
      return { id: e.seriesId, begunAt: e.at, sheet: says.sheet, axes: says.axes, wishes: says.wishes, trials: [], said: [], ended: false };
    }, null);
}

function after(series: Series, e: TrialEvent): Series {
  const { says } = e;
  switch (says.kind) {
    case 'planned':
      return { ...series, trials: [...series.trials, { code: says.code, point: says.point, batchId: null }] };
    case 'made':
      return { ...series, trials: series.trials.map((t) => (t.code === says.code ? { ...t, batchId: says.batchId } : t)) };
    case 'scored':
    case 'paired':
      return { ...series, said: [...series.said, { eventId: e.id, at: e.at, by: says.by, says }] };
    case 'ended':
      return { ...series, ended: true };
    case 'begun':
    case 'next':
    case 'taken back':
      return series;
  }
}

/** @returns a fault in a cook's words where an event cannot follow what stands. */
export function admittedTrial(series: Series | null, e: NewTrialEvent): Result<NewTrialEvent> {
  const { says } = e;
  if (says.kind === 'begun') return series ? fail('series', 'begun', 'This series has begun already.') : ok(e);
  if (!series) return fail('series', 'gone', 'This series is no longer in the kitchen.');
  const codes = new Set(series.trials.map((t) => t.code));
  const unknown = (c: string): boolean => !codes.has(c);
  switch (says.kind) {
    case 'next':
      if (series.ended) return fail('series', 'ended', 'This series has ended: begin another one.');
      return series.trials.length >= MOST_TRIALS ? fail('series', 'full', `A series has at most ${MOST_TRIALS} trials.`) : ok(e);
    case 'scored': {
      const said = says.scores.map((s) => s.code);
      if (said.some(unknown)) return fail('code', 'unknown', `No trial of this series is called ${said.find(unknown)!}.`);
      return new Set(said).size < said.length ? fail('code', 'twice', 'One trial has two scores: give each one.') : ok(e);
    }
    case 'paired': {
      const wrong = [says.better, says.than].find(unknown);
      if (wrong) return fail('code', 'unknown', `No trial of this series is called ${wrong}.`);
      return says.better === says.than ? fail('code', 'twice', 'A trial cannot be compared with itself.') : ok(e);
    }
    case 'made':
      return unknown(says.code) ? fail('code', 'unknown', `No trial of this series is called ${says.code}.`) : ok(e);
    case 'taken back':
      return series.said.some((s) => s.eventId === says.eventId) ? ok(e) : fail('event', 'gone', 'That is not said any more.');
    case 'ended':
      return ok(e);
    case 'planned':
      return fail('says', 'planned', 'Where a trial stands is not sent: ask for the next one.');
  }
}
