import { emptyLedger, enter, fitAt, type Blocking } from './ledger';
import type { Compiled } from './project';
import { withinHours, withinHoursUp, type Windows } from './window';

/** A plan by numbers: starts in minutes, machines of each group. */
export interface Schedule {
  readonly starts: Float64Array;
  readonly machines: readonly (readonly number[])[];
}

/** A task that found no place, and what stood in its way last. */
export interface Stuck {
  readonly task: number;
  readonly because: Blocking | null;
  /** How many minutes too soon its best place is; Infinity where it has none. */
  readonly shortBy: number;
  /** The placed task whose time kept it from going there; −1 where it was the beginning of the plan. */
  readonly held: number;
}

export type SerialOutcome = { readonly ok: true; readonly value: Schedule } | { readonly ok: false; readonly stuck: Stuck };

/**
 * Places one task after the other, each as late as its window and the resources allow (serial schedule generation, backwards). After each
 * placement the windows of all others follow by the gaps. A task that finds no place because another was placed too late for it makes that
 * other one give way by as much as is missing, and all begins anew (the unscheduling step for maximal gaps of Franck, Neumann and Schwindt
 * 2001), at most `mostTurns` times.
 *
 * @param order every task once, the first is placed first.
 */
export function placeBackwards(c: Compiled, first: Windows, order: readonly number[], mostTurns: number): SerialOutcome {
  const ceiling = Float64Array.from(first.late);
  let stuck: Stuck = { task: order[0] ?? -1, because: null, shortBy: Infinity, held: -1 };
  for (let turn = 0; turn < mostTurns; turn++) {
    const found = attempt(c, first, ceiling, order);
    if (found.ok) return found;
    stuck = found.stuck;
    const { held, shortBy } = stuck;
    if (held < 0 || !Number.isFinite(shortBy) || !Number.isNaN(c.at[held]!)) return found;
    const lower = withinHours(c, held, found.heldAt - Math.max(1, shortBy));
    if (!(lower >= first.soon[held]!)) return found;
    ceiling[held] = lower;
  }
  return { ok: false, stuck };
}

type Attempt = { readonly ok: true; readonly value: Schedule } | { readonly ok: false; readonly stuck: Stuck; readonly heldAt: number };

/** Windows that narrow while tasks are placed. */
class Narrowing {
  readonly soon: Float64Array;
  readonly late: Float64Array;
  /** Whose placement raised the lower end of a window last. */
  readonly raisedBy: Int32Array;
  readonly #queue: Int32Array;
  readonly #queued: Uint8Array;
  #head = 0;
  #waiting = 0;

  constructor(
    readonly c: Compiled,
    soon: Float64Array,
    ceiling: Float64Array,
    readonly placed: Float64Array,
  ) {
    this.soon = Float64Array.from(soon);
    this.late = Float64Array.from(ceiling);
    this.raisedBy = new Int32Array(c.n).fill(-1);
    this.#queue = new Int32Array(c.n);
    this.#queued = new Uint8Array(c.n);
  }

  push(i: number): void {
    if (this.#queued[i] === 1) return;
    this.#queued[i] = 1;
    this.#queue[(this.#head + this.#waiting) % this.c.n] = i;
    this.#waiting++;
  }

  /** Carries changed windows over the gaps; the first task whose window closes, −1 for none. */
  spread(by: number): number {
    const { c, soon, late, placed } = this;
    while (this.#waiting > 0) {
      const i = this.#queue[this.#head]!;
      this.#head = (this.#head + 1) % c.n;
      this.#waiting--;
      this.#queued[i] = 0;
      const out = c.out[i]!;
      for (let k = 0; k < out.length; k += 2) {
        const to = out[k]!;
        const limit = late[i]! + out[k + 1]!;
        if (limit >= late[to]!) continue;
        late[to] = Number.isNaN(placed[to]!) && Number.isNaN(c.at[to]!) ? withinHours(c, to, limit) : limit;
        if (late[to]! < soon[to]!) return to;
        this.push(to);
      }
      const into = c.into[i]!;
      for (let k = 0; k < into.length; k += 2) {
        const from = into[k]!;
        const limit = soon[i]! - into[k + 1]!;
        if (limit <= soon[from]!) continue;
        soon[from] = Number.isNaN(placed[from]!) && Number.isNaN(c.at[from]!) ? withinHoursUp(c, from, limit) : limit;
        this.raisedBy[from] = by;
        if (late[from]! < soon[from]!) return from;
        this.push(from);
      }
    }
    return -1;
  }
}

function attempt(c: Compiled, first: Windows, ceiling: Float64Array, order: readonly number[]): Attempt {
  const placed = new Float64Array(c.n).fill(NaN);
  const windows = new Narrowing(c, first.soon, ceiling, placed);
  const { soon, late, raisedBy } = windows;
  const machines: (readonly number[])[] = new Array<readonly number[]>(c.n).fill([]);
  const ledger = emptyLedger(c);
  // Ceilings that were lowered reach the others first.
  for (let i = 0; i < c.n; i++) if (ceiling[i]! < first.late[i]!) windows.push(i);
  const clash = windows.spread(-1);
  if (clash >= 0) return { ok: false, stuck: { task: clash, because: null, shortBy: Infinity, held: -1 }, heldAt: NaN };
  for (const task of order) {
    let t = late[task]!;
    let because: Blocking | null = null;
    let fit: readonly number[] | null = null;
    const bottom = Math.min(soon[task]!, first.soon[task]!);
    while (t >= bottom) {
      const here = fitAt(c, ledger, placed, task, t);
      if (here.ok) {
        fit = here.machines;
        break;
      }
      because = here.because;
      // What has a fixed time has no other place.
      if (!Number.isNaN(c.at[task]!)) break;
      t = here.tryBefore;
    }
    if (fit === null || t < soon[task]!) {
      const held = raisedBy[task]!;
      return { ok: false, stuck: { task, because, shortBy: fit === null ? Infinity : soon[task]! - t, held }, heldAt: held >= 0 ? placed[held]! : NaN };
    }
    placed[task] = t;
    machines[task] = fit;
    soon[task] = t;
    late[task] = t;
    enter(c, ledger, placed, task, fit);
    windows.push(task);
    const torn = windows.spread(task);
    if (torn >= 0) {
      const held = raisedBy[torn]! >= 0 ? raisedBy[torn]! : task;
      return { ok: false, stuck: { task: torn, because, shortBy: soon[torn]! - late[torn]!, held }, heldAt: placed[held]! };
    }
  }
  return { ok: true, value: { starts: placed, machines } };
}
