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
    const found = attempt(c, first.soon, ceiling, order);
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

function attempt(c: Compiled, soonFirst: Float64Array, ceiling: Float64Array, order: readonly number[]): Attempt {
  const soon = Float64Array.from(soonFirst);
  const late = Float64Array.from(ceiling);
  /** Whose placement raised the lower end of a window last. */
  const raisedBy = new Int32Array(c.n).fill(-1);
  const placed = new Float64Array(c.n).fill(NaN);
  const machines: (readonly number[])[] = new Array<readonly number[]>(c.n).fill([]);
  const ledger = emptyLedger(c);
  const queue: number[] = [];
  const queued = new Uint8Array(c.n);
  const push = (i: number): void => {
    if (queued[i]) return;
    queued[i] = 1;
    queue.push(i);
  };
  // Ceilings that were lowered reach the others first.
  for (let i = 0; i < c.n; i++) push(i);
  const clash = spread(c, soon, late, placed, queue, queued, raisedBy, -1);
  if (clash >= 0) return { ok: false, stuck: { task: clash, because: null, shortBy: Infinity, held: -1 }, heldAt: NaN };
  for (const task of order) {
    let t = late[task]!;
    let because: Blocking | null = null;
    let fit: readonly number[] | null = null;
    const bottom = Math.min(soon[task]!, soonFirst[task]!);
    while (t >= bottom) {
      const here = fitAt(c, ledger, placed, task, t);
      if (here.ok) {
        fit = here.machines;
        break;
      }
      because = here.because;
      // What has a fixed time has no other place.
      if (!Number.isNaN(c.at[task]!)) {
        t = -Infinity;
        break;
      }
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
    push(task);
    const torn = spread(c, soon, late, placed, queue, queued, raisedBy, task);
    if (torn >= 0) {
      const held = raisedBy[torn]! >= 0 ? raisedBy[torn]! : task;
      return { ok: false, stuck: { task: torn, because, shortBy: soon[torn]! - late[torn]!, held }, heldAt: placed[held]! };
    }
  }
  return { ok: true, value: { starts: placed, machines } };
}

/** Carries changed windows over the gaps; the first task whose window closes, −1 for none. */
function spread(c: Compiled, soon: Float64Array, late: Float64Array, placed: Float64Array, queue: number[], queued: Uint8Array, raisedBy: Int32Array, by: number): number {
  let torn = -1;
  for (let head = 0; head < queue.length; head++) {
    const i = queue[head]!;
    queued[i] = 0;
    if (torn >= 0) continue;
    for (const r of c.rulesFrom[i]!) {
      const { to, c: gap } = c.rules[r]!;
      const limit = late[i]! + gap;
      if (limit < late[to]!) {
        const free = Number.isNaN(placed[to]!) && Number.isNaN(c.at[to]!);
        late[to] = free ? withinHours(c, to, limit) : limit;
        if (late[to]! < soon[to]!) torn = torn < 0 ? to : torn;
        else if (!queued[to]) {
          queued[to] = 1;
          queue.push(to);
        }
      }
    }
    for (const r of c.rulesInto[i]!) {
      const { from, c: gap } = c.rules[r]!;
      const limit = soon[i]! - gap;
      if (limit > soon[from]!) {
        const free = Number.isNaN(placed[from]!) && Number.isNaN(c.at[from]!);
        soon[from] = free ? withinHoursUp(c, from, limit) : limit;
        raisedBy[from] = by;
        if (late[from]! < soon[from]!) torn = torn < 0 ? from : torn;
        else if (!queued[from]) {
          queued[from] = 1;
          queue.push(from);
        }
      }
    }
  }
  queue.length = 0;
  queued.fill(0);
  return torn;
}
