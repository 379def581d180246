import type { PlannedStay, PlannedTask, ServicePlan } from '../../core/timetable/service-plan';

/** A bar of the ribbon: a task, or what stays somewhere for a while. */
export type Bar =
  { readonly kind: 'task'; readonly task: PlannedTask; readonly line: number } | { readonly kind: 'stay'; readonly stay: PlannedStay; readonly line: number };

export interface Row {
  readonly id: string;
  readonly name: string;
  /** 'h 3 of 8 L' beside the name; '' for none. */
  readonly note: string;
  readonly open: readonly (readonly [number, number])[] | null;
  readonly lines: number;
  readonly bars: readonly Bar[];
}

interface Span {
  readonly from: number;
  readonly to: number;
}

/** The first line on which each of some spans is free of those before it. */
function packed<T extends Span>(spans: readonly T[]): readonly { readonly item: T; readonly line: number }[] {
  const ends: number[] = [];
  return spans
    .toSorted((a, b) => a.from - b.from || b.to - a.to)
    .map((item) => {
      let line = ends.findIndex((end) => end <= item.from);
      if (line < 0) line = ends.length;
      ends[line] = Math.max(item.to, item.from + 1);
      return { item, line };
    });
}

const barsOf = (tasks: readonly PlannedTask[], stays: readonly PlannedStay[]): { readonly bars: readonly Bar[]; readonly lines: number } => {
  const placed = packed([
    ...tasks.map((task) => ({ from: task.start, to: task.end, task, stay: null })),
    ...stays.map((stay) => ({ from: stay.from, to: stay.to, task: null, stay })),
  ]);
  const bars = placed.map(({ item, line }): Bar => (item.task ? { kind: 'task', task: item.task, line } : { kind: 'stay', stay: item.stay!, line }));
  return { bars, lines: Math.max(1, ...placed.map((p) => p.line + 1)) };
};

/** Lanes by hands and machines: cooks first, then what they use, then what goes on by itself. */
export function rowsByMachine(plan: ServicePlan): readonly Row[] {
  const rows = plan.lanes
    .filter((l) => l.kind !== 'vessel')
    .map((l): Row => {
      const stays = plan.stays.filter((s) => s.resource === l.id);
      const tasks = plan.tasks.filter((t) => t.lanes.includes(l.id));
      return {
        id: l.id,
        name: l.name,
        note: l.unit === 'L' ? `${Math.round(peak(stays))}\u00a0L of ${l.capacity}\u00a0L at most` : '',
        open: l.open,
        ...barsOf(tasks, stays),
      };
    });
  const without = plan.tasks.filter((t) => t.kind !== 'served' && t.lanes.length === 0);
  // Whose hands it was is not written down.
  const behind = without.filter((t) => t.kind === 'hands');
  const alone = without.filter((t) => t.kind !== 'hands');
  const extra = (id: string, name: string, tasks: readonly PlannedTask[]): Row[] =>
    tasks.length > 0 ? [{ id, name, note: '', open: null, ...barsOf(tasks, []) }] : [];
  return [...extra('behind', 'Done, or in hand', behind), ...rows, ...extra('alone', 'By itself', alone)];
}

/** Lanes by dessert: everything of one beside each other. */
export const rowsByDish = (plan: ServicePlan): readonly Row[] =>
  plan.servings.map((s): Row => ({
    id: s.id,
    name: s.name,
    note: '',
    open: null,
    ...barsOf(
      plan.tasks.filter((t) => t.kind !== 'served' && t.servings.includes(s.id)),
      [],
    ),
  }));

/** The most of a pool that is taken at once. */
export function peak(stays: readonly PlannedStay[]): number {
  return Math.max(0, ...stays.map((at) => stays.filter((s) => s.from <= at.from && s.to > at.from).reduce((sum, s) => sum + s.amount, 0)));
}
