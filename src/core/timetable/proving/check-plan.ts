import type { Placed, Project } from '../project';

/** Everything that a plan breaks, in words; empty where it keeps all. Written apart from the planner, from the definitions alone. */
export function brokenBy(project: Project, placed: readonly Placed[]): readonly string[] {
  const broken: string[] = [];
  const index = new Map(project.tasks.map((t, i) => [t.id, i]));
  const start = (id: string): number => placed[index.get(id)!]!.start;
  const end = (id: string): number => start(id) + project.tasks[index.get(id)!]!.minutes;
  for (const [i, t] of project.tasks.entries()) {
    const p = placed[i]!;
    if (!Number.isInteger(p.start)) broken.push(`${t.id} begins at ${p.start}`);
    if (t.at !== null && p.start !== t.at) broken.push(`${t.id} is not at its time`);
    if (t.at === null && p.start < Math.max(project.from, t.notBefore ?? -Infinity)) broken.push(`${t.id} begins too soon`);
    if (p.machines.length !== t.oneOf.length) broken.push(`${t.id} lacks a machine`);
    for (const [k, m] of p.machines.entries()) {
      if (!t.oneOf[k]?.includes(m)) broken.push(`${t.id} has ${m}, which it did not ask for`);
      const machine = project.machines.find((x) => x.id === m)!;
      if (machine.open && t.at === null && !machine.open.some(([a, b]) => a <= p.start && p.start + t.minutes <= b))
        broken.push(`${t.id} is outside the hours of ${m}`);
    }
  }
  for (const g of project.gaps) {
    if (!index.has(g.from) || !index.has(g.to)) continue;
    const wait = start(g.to) - end(g.from);
    if (wait < g.min) broken.push(`${g.from} to ${g.to}: ${wait} min, at least ${g.min}`);
    if (g.max !== null && wait > g.max) broken.push(`${g.from} to ${g.to}: ${wait} min, at most ${g.max}`);
  }
  const busy = (who: string): { from: number; to: number; amount: number; setting: string | null }[] => [
    ...project.tasks.flatMap((t, i) =>
      placed[i]!.machines.includes(who) && t.minutes > 0 ? [{ from: start(t.id), to: end(t.id), amount: 1, setting: null }] : [],
    ),
    ...project.tasks.flatMap((t) =>
      t.uses.filter((u) => u.pool === who && t.minutes > 0).map((u) => ({ from: start(t.id), to: end(t.id), amount: u.amount, setting: u.setting ?? null })),
    ),
    ...project.stays
      .filter((s) => s.use.pool === who && start(s.until) > start(s.from))
      .map((s) => ({ from: start(s.from), to: start(s.until), amount: s.use.amount, setting: s.use.setting ?? null })),
  ];
  for (const r of [...project.machines.map((m) => ({ id: m.id, capacity: 1 })), ...project.pools]) {
    const all = busy(r.id);
    for (const at of all) {
      const now = all.filter((x) => x.from <= at.from && x.to > at.from);
      if (now.reduce((sum, x) => sum + x.amount, 0) > r.capacity + 1e-9) broken.push(`${r.id} is over its limit at ${at.from}`);
      if (new Set(now.flatMap((x) => (x.setting === null ? [] : [x.setting]))).size > 1) broken.push(`${r.id} has two settings at ${at.from}`);
    }
  }
  return [...new Set(broken)];
}
