import type { Compiled, Stretch } from './project';

/**
 * No plan has a shorter lead: of each goal the longest chain of gaps and hours, and the work of its tasks on each machine group and pool
 * that must be done before its tails begin (an energy bound; for a subset of tasks with the latest ends below a moment, all their work must
 * lie before it). Bounds of several goals add up, because each holds by itself.
 *
 * @param late latest starts by gaps and hours alone.
 * @returns minutes, by goal.
 */
export function leadBounds(c: Compiled, late: Float64Array): readonly number[] {
  return c.goals.map((goal) => {
    const serve = c.at[goal.serve]!;
    let latest = serve;
    for (const t of goal.tasks) latest = Math.min(latest, late[t]!);
    const groups = new Map<string, { readonly machines: readonly number[]; readonly work: { minutes: number; end: number }[] }>();
    const pools = new Map<number, { minutes: number; end: number }[]>();
    for (const t of new Set(goal.tasks)) {
      const minutes = c.minutes[t]!;
      if (minutes === 0) continue;
      for (const g of c.oneOf[t]!) {
        const key = g.join(',');
        const at = groups.get(key) ?? { machines: g, work: [] };
        at.work.push({ minutes, end: late[t]! + minutes });
        groups.set(key, at);
      }
      for (const u of c.uses[t]!) {
        const capacity = c.project.pools[u.pool]!.capacity;
        if (capacity > 0)
          pools.set(u.pool, [...(pools.get(u.pool) ?? []), { minutes: (minutes * Math.min(u.amount, capacity)) / capacity, end: late[t]! + minutes }]);
      }
    }
    for (const { machines, work } of groups.values())
      latest = Math.min(
        latest,
        latestBegin(
          work,
          machines.map((m) => c.project.machines[m]!.open),
        ),
      );
    for (const work of pools.values()) latest = Math.min(latest, latestBegin(work, [null]));
    return Math.max(0, serve - Math.floor(latest + 1e-9));
  });
}

/** The latest moment at which the first of some work can begin: for every end, what must be done before it fits between. */
function latestBegin(work: readonly { readonly minutes: number; readonly end: number }[], open: readonly (readonly Stretch[] | null)[]): number {
  let latest = Infinity;
  const byEnd = [...work].sort((a, b) => a.end - b.end);
  let sum = 0;
  for (const [i, w] of byEnd.entries()) {
    sum += w.minutes;
    if (i + 1 < byEnd.length && byEnd[i + 1]!.end === w.end) continue;
    latest = Math.min(latest, backFrom(w.end, sum, open));
  }
  return latest;
}

/** Going back from `end`, when so many minutes of all machines together have been there. */
function backFrom(end: number, minutes: number, open: readonly (readonly Stretch[] | null)[]): number {
  const always = open.filter((o) => o === null).length;
  const edges = [...new Set(open.flatMap((o) => (o ?? []).flat()).filter((t) => t < end))].sort((a, b) => b - a);
  let at = end;
  let left = minutes;
  for (const edge of [...edges, -Infinity]) {
    const pace = always + open.filter((o) => o?.some(([a, b]) => a < at && b >= at)).length;
    const done = (at - edge) * pace;
    if (pace > 0 && done >= left) return at - left / pace;
    left -= pace > 0 ? done : 0;
    at = edge;
  }
  return -Infinity;
}
