import type { Compiled, Stretch } from './project';

/**
 * For every task the stretch in which it can begin, as far as gaps, fixed times and hours tell: nobody else's work is counted. `late` is
 * the greatest solution of all rules x(to) ≤ x(from) + c, `soon` the least one (longest paths, after Bellman and Ford; with working hours
 * each step is rounded to where the task fits into them, which keeps both solutions unique).
 */
export interface Windows {
  readonly soon: Float64Array;
  readonly late: Float64Array;
}

/** What cannot be: which task's window is empty, and the rules that closed it, from the last back to where it began. */
export interface Clash {
  readonly task: number;
  /** Numbers of rules, in the order in which they pushed. */
  readonly rules: readonly number[];
  /** 'gaps': they contradict each other; 'hours': nobody is there so long; 'time': it would have to begin before the plan does. */
  readonly why: 'gaps' | 'hours' | 'time';
  /** Whether it was pushed forward from the end ('late'), or back by what comes before it ('soon'). */
  readonly side: 'late' | 'soon';
  /** Its window as far as it was known: it would have to begin between the two, and the first is later. */
  readonly soon: number;
  readonly late: number;
}

/** Latest start at or before `t` at which `minutes` fit into one stretch; −Infinity where there is none. */
export function fitBefore(open: readonly Stretch[], t: number, minutes: number): number {
  let low = 0;
  let high = open.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (open[mid]![0] <= t) low = mid + 1;
    else high = mid;
  }
  for (let i = low - 1; i >= 0; i--) {
    const [from, to] = open[i]!;
    if (to - from >= minutes) return Math.min(t, to - minutes);
  }
  return -Infinity;
}

/** Soonest start at or after `t` at which `minutes` fit into one stretch; Infinity where there is none. */
export function fitAfter(open: readonly Stretch[], t: number, minutes: number): number {
  for (const [from, to] of open) {
    const start = Math.max(t, from);
    if (start + minutes <= to) return start;
  }
  return Infinity;
}

/** Rounds a start down to where one of each group has hours for the whole task. */
export function withinHours(c: Compiled, task: number, t: number): number {
  let at = t;
  for (let again = true; again;) {
    again = false;
    for (const group of c.oneOf[task]!) {
      let best = -Infinity;
      for (const m of group) {
        const { open } = c.project.machines[m]!;
        best = Math.max(best, open === null ? at : fitBefore(open, at, c.minutes[task]!));
        if (best === at) break;
      }
      if (best < at) {
        at = best;
        again = at > -Infinity && c.oneOf[task]!.length > 1;
      }
    }
  }
  return at;
}

/** The same upwards. */
export function withinHoursUp(c: Compiled, task: number, t: number): number {
  let at = t;
  for (let again = true; again;) {
    again = false;
    for (const group of c.oneOf[task]!) {
      let best = Infinity;
      for (const m of group) {
        const { open } = c.project.machines[m]!;
        best = Math.min(best, open === null ? at : fitAfter(open, at, c.minutes[task]!));
        if (best === at) break;
      }
      if (best > at) {
        at = best;
        again = at < Infinity && c.oneOf[task]!.length > 1;
      }
    }
  }
  return at;
}

const whyOf = (value: number, horizonHit: boolean): Clash['why'] => (value === -Infinity || value === Infinity ? 'hours' : horizonHit ? 'time' : 'gaps');

/**
 * Windows of all tasks.
 * @param more further rules start(to) ≤ start(from) + c, as flat triples (from, to, c).
 * @returns the windows, or the first clash.
 */
export function windowsOf(
  c: Compiled,
  more: readonly (readonly [from: number, to: number, c: number])[] = [],
): { readonly ok: true; readonly value: Windows } | { readonly ok: false; readonly clash: Clash } {
  const late = new Float64Array(c.n).fill(Infinity);
  const soon = new Float64Array(c.n);
  const lateBy = new Int32Array(c.n).fill(-1);
  const soonBy = new Int32Array(c.n).fill(-1);
  let last = -Infinity;
  for (const at of c.at) if (!Number.isNaN(at)) last = Math.max(last, at);
  for (let i = 0; i < c.n; i++) {
    const fixed = c.at[i]!;
    soon[i] = Number.isNaN(fixed) ? c.notBefore[i]! : fixed;
    // Nothing is planned for after the last serving.
    late[i] = Number.isNaN(fixed) ? (last === -Infinity ? Infinity : last) : fixed;
    if (!Number.isNaN(fixed)) continue;
    late[i] = withinHours(c, i, late[i]!);
    soon[i] = withinHoursUp(c, i, soon[i]!);
  }
  const clashAt = (task: number, by: Int32Array, value: number, horizonHit: boolean): { readonly ok: false; readonly clash: Clash } => {
    const rules: number[] = [];
    const seen = new Set<number>();
    let i = task;
    while (by[i]! >= 0 && !seen.has(i)) {
      seen.add(i);
      rules.push(by[i]!);
      i = c.rules[by[i]!]!.from === i ? c.rules[by[i]!]!.to : c.rules[by[i]!]!.from;
    }
    return { ok: false, clash: { task, rules, side: by === lateBy ? 'late' : 'soon', why: whyOf(value, horizonHit), soon: soon[task]!, late: late[task]! } };
  };
  for (let round = 0; ; round++) {
    let moved = -1;
    const lower = (to: number, limit: number, rule: number): boolean => {
      if (limit >= late[to]!) return true;
      const fixed = !Number.isNaN(c.at[to]!);
      const next = fixed ? limit : withinHours(c, to, limit);
      if (rule >= 0) lateBy[to] = rule;
      late[to] = next;
      moved = to;
      return next >= soon[to]!;
    };
    for (let r = 0; r < c.rules.length; r++) {
      const { from, to, c: gap } = c.rules[r]!;
      if (!lower(to, late[from]! + gap, r)) return clashAt(to, lateBy, late[to]!, late[to]! < c.notBefore[to]! && Number.isNaN(c.at[to]!));
      // The same rule read the other way: start(from) ≥ start(to) − c.
      if (soon[to]! - gap > soon[from]!) {
        const limit = soon[to]! - gap;
        const next = Number.isNaN(c.at[from]!) ? withinHoursUp(c, from, limit) : limit;
        soon[from] = next;
        soonBy[from] = r;
        moved = from;
        if (next > late[from]!) return clashAt(from, soonBy, next, false);
      }
    }
    for (const [from, to, gap] of more) {
      if (!lower(to, late[from]! + gap, -1)) return clashAt(to, lateBy, late[to]!, false);
      if (soon[to]! - gap > soon[from]!) {
        soon[from] = Number.isNaN(c.at[from]!) ? withinHoursUp(c, from, soon[to]! - gap) : soon[to]! - gap;
        moved = from;
        if (soon[from]! > late[from]!) return clashAt(from, soonBy, soon[from]!, false);
      }
    }
    if (moved < 0) break;
    // Without a circle every rule has had its say after n rounds; hours can take a few more.
    if (round > 20 * c.n + 200) return clashAt(moved, lateBy, late[moved]!, false);
  }
  for (let i = 0; i < c.n; i++) if (soon[i]! > late[i]!) return clashAt(i, soonBy, soon[i]!, late[i]! < c.notBefore[i]!);
  return { ok: true, value: { soon, late } };
}
