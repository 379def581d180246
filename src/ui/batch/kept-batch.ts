import { z } from 'zod';
import { ProgressEventSchema, ProgressSchema, type Progress } from '../../core/batch/batch';
import { ReadingKindSchema } from '../../core/batch/readings';
import { KEPT_EVENTS } from './kept-here';

/** A batch as the server last told it. */
export interface BatchState {
  readonly id: string;
  readonly revision: number;
  readonly progress: Progress;
  readonly status: 'running' | 'finished' | 'abandoned';
}

/** Two screens wrote different things into one field: which of them stays is the cook's to say. */
const ClashSchema = z.object({ reading: ReadingKindSchema, theirs: z.string().max(60), mine: z.string().max(60) });
export type Clash = Readonly<z.infer<typeof ClashSchema>>;

/** Something done here, with the id by which the server knows it when it is told twice. */
const PendingSchema = z.object({ id: z.string().min(8).max(60), event: ProgressEventSchema });
export type Pending = Readonly<z.infer<typeof PendingSchema>>;

/** The state that the server told last, by batch: a page that was kept while the server is away may be older. */
const TOLD = 'soft-peak:told:';
const ToldSchema = z.object({ revision: z.number().int().min(0), progress: ProgressSchema, status: z.enum(['running', 'finished', 'abandoned']) });
/** What the cook is asked and has not answered. */
const CLASHES = 'soft-peak:clashes:';

/** Where a tablet keeps what must outlive its page; a private window may refuse. */
export type Memory = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** What this tablet keeps of one batch over a reload. What cannot be read is nothing; what cannot be kept is told the server within moments. */
export function keptBatch(memory: () => Memory, id: string) {
  const recall = (what: string): unknown => {
    try {
      return JSON.parse(memory().getItem(`${what}${id}`) ?? 'null');
    } catch {
      return null;
    }
  };
  const keep = (what: string, value: unknown): void => {
    try {
      if (value === null) memory().removeItem(`${what}${id}`);
      else memory().setItem(`${what}${id}`, JSON.stringify(value));
    } catch {
      // As said above.
    }
  };
  const listOf = <T>(what: string, schema: z.ZodType<T>): readonly T[] => {
    const raw = recall(what);
    return (Array.isArray(raw) ? (raw as unknown[]) : []).flatMap((x) => {
      const read = schema.safeParse(x);
      return read.success ? [read.data] : [];
    });
  };
  const keepList = (what: string, list: readonly unknown[]): void => keep(what, list.length === 0 ? null : list);
  return {
    told: (): BatchState | null => {
      const told = ToldSchema.safeParse(recall(TOLD));
      return told.success ? { id, ...told.data } : null;
    },
    /** Only of what is still being made: of all else the page is the last word. */
    keepTold: ({ revision, progress, status }: BatchState): void => keep(TOLD, status === 'running' ? { revision, progress, status } : null),
    events: (): readonly Pending[] => listOf<Pending>(KEPT_EVENTS, PendingSchema),
    /** Beside what another tab of this browser keeps. @param seen the ids of all that this screen ever had in hand. */
    keepEvents: (pending: readonly Pending[], seen: ReadonlySet<string>): void =>
      keepList(KEPT_EVENTS, [...listOf<Pending>(KEPT_EVENTS, PendingSchema).filter((p) => !seen.has(p.id)), ...pending]),
    clashes: (): readonly Clash[] => listOf<Clash>(CLASHES, ClashSchema),
    keepClashes: (clashes: readonly Clash[]): void => keepList(CLASHES, clashes),
  };
}
