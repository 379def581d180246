import type { Compiled } from './project';

/** How good a plan is; less is better, the leads first. */
export interface Worth {
  /** Minutes from the first start to serving, summed over the servings. */
  readonly leadMin: number;
  /** Minutes by which tasks begin before the latest that their gaps allow, each by its weight, summed. */
  readonly earlyMin: number;
}

export const isBetter = (a: Worth, b: Worth): boolean => a.leadMin < b.leadMin || (a.leadMin === b.leadMin && a.earlyMin < b.earlyMin);

/** From the first start of a goal's tasks to its serving, min. */
export function leadOf(goal: Compiled['goals'][number], starts: ArrayLike<number>): number {
  let first = starts[goal.serve]!;
  for (const t of goal.tasks) first = Math.min(first, starts[t]!);
  return starts[goal.serve]! - first;
}

export function worthOf(c: Compiled, starts: ArrayLike<number>, late: Float64Array): Worth {
  let leadMin = 0;
  for (const g of c.goals) leadMin += leadOf(g, starts);
  let earlyMin = 0;
  for (let i = 0; i < c.n; i++) earlyMin += c.weight[i]! * (late[i]! - starts[i]!);
  return { leadMin, earlyMin };
}
