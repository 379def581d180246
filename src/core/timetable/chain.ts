import type { Placed, Project } from './project';

/** What keeps a task from beginning later. */
export type Holds =
  | { readonly kind: 'gap'; readonly task: number; readonly gap: number }
  | { readonly kind: 'machine'; readonly task: number; readonly machine: string }
  | { readonly kind: 'room'; readonly task: number; readonly pool: string }
  | { readonly kind: 'hours'; readonly machine: string }
  | { readonly kind: 'fixed' };

/** How far a task could slide with all others where they are, by the gaps alone. */
export interface Slide {
  readonly soonest: number;
  readonly latest: number;
}

/** For every task: how far it could slide, and what it would run into first when it began later. */
export function heldBy(project: Project, placed: readonly Placed[]): readonly { readonly slide: Slide; readonly by: readonly Holds[] }[] {
  const index = new Map(project.tasks.map((t, i) => [t.id, i]));
  const start = (i: number): number => placed[i]!.start;
  const end = (i: number): number => start(i) + project.tasks[i]!.minutes;
  return project.tasks.map((t, i) => {
    const by: Holds[] = [];
    let latest = Infinity;
    let soonest = Math.max(project.from, t.notBefore ?? -Infinity);
    if (t.at !== null) return { slide: { soonest: t.at, latest: t.at }, by: [{ kind: 'fixed' }] };
    for (const [k, g] of project.gaps.entries()) {
      const [a, b] = [index.get(g.from), index.get(g.to)];
      if (a === undefined || b === undefined) continue;
      if (a === i) {
        latest = Math.min(latest, start(b) - g.min - t.minutes);
        if (g.max !== null) soonest = Math.max(soonest, start(b) - g.max - t.minutes);
        if (start(b) - end(i) === g.min) by.push({ kind: 'gap', task: b, gap: k });
      }
      if (b === i) {
        soonest = Math.max(soonest, end(a) + g.min);
        if (g.max !== null) latest = Math.min(latest, end(a) + g.max);
        // A hold that is at its end: the one before it would have to come along.
        if (g.max !== null && start(i) - end(a) === g.max) by.push({ kind: 'gap', task: a, gap: k });
      }
    }
    for (const m of placed[i]!.machines) {
      const next = project.tasks.findIndex((o, j) => j !== i && o.minutes > 0 && placed[j]!.machines.includes(m) && start(j) === end(i));
      if (next >= 0) by.push({ kind: 'machine', task: next, machine: m });
      const hours = project.machines.find((x) => x.id === m)?.open;
      if (hours?.some(([, to]) => to === end(i))) by.push({ kind: 'hours', machine: m });
    }
    for (const u of t.uses) {
      const next = project.tasks.findIndex((o, j) => j !== i && o.uses.some((x) => x.pool === u.pool) && start(j) === end(i));
      if (next >= 0) by.push({ kind: 'room', task: next, pool: u.pool });
    }
    return { slide: { soonest, latest }, by };
  });
}

/** The critical chain of each goal: from its first task, each held by the next, to its serving. */
export function chainsOf(project: Project, placed: readonly Placed[], held: readonly { readonly by: readonly Holds[] }[]): ReadonlySet<number> {
  const index = new Map(project.tasks.map((t, i) => [t.id, i]));
  const chain = new Set<number>();
  for (const g of project.goals) {
    let first: number | null = null;
    for (const id of g.tasks) {
      const i = index.get(id);
      if (i !== undefined && (first === null || placed[i]!.start < placed[first]!.start)) first = i;
    }
    for (let i = first; i !== null && !chain.has(i);) {
      chain.add(i);
      const next: { task: number } | undefined = held[i]!.by.flatMap((h) =>
        'task' in h && placed[h.task]!.start >= placed[i!]!.start && h.task !== i ? [h] : [],
      ).sort((a, b) => placed[a.task]!.start - placed[b.task]!.start)[0];
      if (next) {
        i = next.task;
        continue;
      }
      // Held by the hours of the day: the chain goes on with what waits for it.
      const after = project.gaps.flatMap((x) => (index.get(x.from) === i && index.has(x.to) ? [index.get(x.to)!] : []));
      i = after.sort((a, b) => placed[a]!.start - placed[b]!.start)[0] ?? null;
    }
  }
  return chain;
}
