import type { Compiled, Placed } from './project';
import { fitBefore } from './window';

interface Entry {
  readonly task: number;
  readonly from: number;
  readonly to: number;
  readonly amount: number;
  readonly setting: string | null;
}

/** Who has what when: the resources of a plan in the making. */
export interface Ledger {
  readonly machines: Entry[][];
  readonly pools: Entry[][];
}

export const emptyLedger = (c: Compiled): Ledger => ({ machines: c.project.machines.map(() => []), pools: c.project.pools.map(() => []) });

/** The earliest entry that stands in the way of a machine in [from, to); null where it is free. Touching is no overlap. */
function machineBusy(entries: readonly Entry[], from: number, to: number): Entry | null {
  let first: Entry | null = null;
  for (const e of entries) if (e.from < to && e.to > from && (!first || e.from < first.from)) first = e;
  return first;
}

/** Where a pool is too small: from which moment on, where that began, and one whose share stands in the way. */
interface Shortage {
  readonly at: number;
  readonly since: number;
  readonly task: number;
}

/** The first moment in [from, to) at which a pool cannot bear one more use; null where it can. */
function shortage(entries: readonly Entry[], capacity: number, from: number, to: number, amount: number, setting: string | null): Shortage | null {
  if (amount > capacity + 1e-9) return { at: from, since: -Infinity, task: -1 };
  let total = amount;
  let other: Entry | null = null;
  let any = false;
  for (const e of entries) {
    if (e.from >= to || e.to <= from) continue;
    any = true;
    total += e.amount;
    if (setting !== null && e.setting !== null && e.setting !== setting && (!other || e.from < other.from)) other = e;
  }
  if (other) return { at: Math.max(from, other.from), since: other.from, task: other.task };
  if (!any || total <= capacity + 1e-9) return null;
  const overlapping = entries.filter((e) => e.from < to && e.to > from);
  // The load only rises where an entry begins: it is enough to look there and at the beginning.
  for (const at of [from, ...overlapping.map((e) => e.from).filter((t) => t > from)].sort((x, y) => x - y)) {
    let load = amount;
    let newest: Entry | null = null;
    for (const e of overlapping) {
      if (e.from > at || e.to <= at) continue;
      load += e.amount;
      if (!newest || e.from > newest.from) newest = e;
    }
    if (load > capacity + 1e-9) return { at, since: newest?.from ?? -Infinity, task: newest?.task ?? -1 };
  }
  return null;
}

/** Whether a place is free, and if not, who is in the way and how far back to look next. */
export type Fit = { readonly ok: true; readonly machines: readonly number[] } | { readonly ok: false; readonly tryBefore: number; readonly because: Blocking };

/** What stood in the way: a machine group or a pool, and whose task. */
export interface Blocking {
  readonly kind: 'machines' | 'pool' | 'stay';
  readonly resource: number;
  readonly task: number;
}

/**
 * Whether a task can begin at `t`, with all that it needs. Stays whose other end is placed are looked at with it.
 * @param placed starts of the tasks that are placed, NaN for the others.
 */
export function fitAt(c: Compiled, ledger: Ledger, placed: Float64Array, task: number, t: number): Fit {
  const to = t + c.minutes[task]!;
  const machines: number[] = [];
  const minutes = c.minutes[task]!;
  for (const group of c.oneOf[task]!) {
    let found = -1;
    let back = -Infinity;
    let who = -1;
    for (const m of group) {
      const { open } = c.project.machines[m]!;
      const there = open === null ? t : fitBefore(open, t, minutes);
      if (there < t) {
        back = Math.max(back, there);
        continue;
      }
      const busy = machineBusy(ledger.machines[m]!, t, to);
      if (!busy) {
        found = m;
        break;
      }
      if (busy.from - minutes > back) {
        back = busy.from - minutes;
        who = busy.task;
      }
    }
    if (found < 0) return { ok: false, tryBefore: back, because: { kind: 'machines', resource: group[0] ?? -1, task: who } };
    machines.push(found);
  }
  if (c.uses[task]!.length === 0 && c.staysOf[task]!.length === 0) return { ok: true, machines };
  // Its own shares count for one another: they are entered while it is looked at, and taken out again.
  const mine: number[] = [];
  const note = (pool: number, from: number, until: number, amount: number, setting: string | null): void => {
    ledger.pools[pool]!.push({ task, from, to: until, amount, setting });
    mine.push(pool);
  };
  const found = ((): Fit => {
    if (minutes > 0) {
      for (const u of c.uses[task]!) {
        const short = shortage(ledger.pools[u.pool]!, c.project.pools[u.pool]!.capacity, t, to, u.amount, u.setting);
        if (short)
          return { ok: false, tryBefore: (short.at > t ? short.at : short.since) - minutes, because: { kind: 'pool', resource: u.pool, task: short.task } };
        note(u.pool, t, to, u.amount, u.setting);
      }
    }
    for (const s of c.staysOf[task]!) {
      const stay = c.stays[s]!;
      const from = stay.from === task ? t : placed[stay.from]!;
      const until = stay.until === task ? t : placed[stay.until]!;
      if (Number.isNaN(from) || Number.isNaN(until) || until <= from) continue;
      const short = shortage(ledger.pools[stay.pool]!, c.project.pools[stay.pool]!.capacity, from, until, stay.amount, stay.setting);
      // Its beginning earlier only makes a stay longer; its end earlier makes it shorter.
      if (short)
        return {
          ok: false,
          tryBefore: stay.until === task && short.at > from ? short.at : -Infinity,
          because: { kind: 'stay', resource: stay.pool, task: short.task },
        };
      note(stay.pool, from, until, stay.amount, stay.setting);
    }
    return { ok: true, machines };
  })();
  for (let k = mine.length - 1; k >= 0; k--) ledger.pools[mine[k]!]!.pop();
  return found;
}

/** Writes a task into the ledger, with the stays that it completes. */
export function enter(c: Compiled, ledger: Ledger, placed: Float64Array, task: number, machines: readonly number[]): void {
  const from = placed[task]!;
  const to = from + c.minutes[task]!;
  if (to > from) {
    for (const m of machines) ledger.machines[m]!.push({ task, from, to, amount: 1, setting: null });
    for (const u of c.uses[task]!) ledger.pools[u.pool]!.push({ task, from, to, amount: u.amount, setting: u.setting });
  }
  for (const s of c.staysOf[task]!) {
    const stay = c.stays[s]!;
    const [a, b] = [placed[stay.from]!, placed[stay.until]!];
    if (!Number.isNaN(a) && !Number.isNaN(b) && b > a)
      ledger.pools[stay.pool]!.push({ task: stay.from, from: a, to: b, amount: stay.amount, setting: stay.setting });
  }
}

/** The plan as it is handed out: machines by name. */
export const placedOf = (c: Compiled, starts: Float64Array, machines: readonly (readonly number[])[]): readonly Placed[] =>
  Array.from(starts, (start, i) => ({ start, machines: machines[i]!.map((m) => c.project.machines[m]!.id) }));
