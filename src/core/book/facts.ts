import type { PlanStep } from '../batch/batch';
import type { ColdPlace, KitchenRules } from '../kitchen/schema';
import type { BookEntry } from './entry';

/** What a batch used of an ingredient that its lot is asked for. */
export interface LotUse {
  readonly ingredientId: string;
  readonly name: string;
  /** Packs of the larder that it was drawn from, as far as they say a lot. */
  readonly packs: readonly { readonly lot: string; readonly bestBefore: string | null }[];
}

/** A batch as the book needs it; moments in ms since 1970. */
export interface BookBatch {
  readonly id: string;
  readonly name: string;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly running: boolean;
  /** It was thrown away on Pass or by a mend. */
  readonly discarded: boolean;
  /** By when it is eaten; null where nothing is left to be eaten. */
  readonly eatBy: number | null;
  readonly steps: readonly Pick<PlanStep, 'key' | 'title' | 'partName' | 'heat'>[];
  /** Keys of the steps that are behind and were done. */
  readonly done: readonly string[];
  /** `series` begins with the key of its step and a bar. */
  readonly samples: readonly { readonly series: string; readonly at: number; readonly tC: number }[];
  readonly lots: readonly LotUse[];
}

/** A dessert that is served on a day. */
export interface BookServing {
  readonly id: string;
  readonly service: string;
  /** Minutes since 1970. */
  readonly at: number;
  readonly dessert: string;
  readonly portions: number;
  /** What it declares; null where its sheet cannot be worked out. */
  readonly declares: readonly string[] | null;
}

/** All that a page of the book is written from. */
export interface BookFacts {
  /** 'YYYY-MM-DD' by the kitchen's wall clock. */
  readonly day: string;
  /** Minutes since 1970. */
  readonly now: number;
  readonly zone: string;
  readonly places: readonly ColdPlace[];
  readonly rules: KitchenRules;
  /** Of the day, and of the batches that stand on it. */
  readonly entries: readonly BookEntry[];
  readonly batches: readonly BookBatch[];
  readonly servings: readonly BookServing[];
}
