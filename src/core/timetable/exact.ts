import type { Compiled } from './project';
import type { Schedule } from './serial';
import { windowsOf } from './window';
import { isBetter, worthOf, type Worth } from './worth';

type Order = readonly [from: number, to: number, c: number];

/** Something that has a share of a pool, or a whole machine, for a while. */
interface Span {
  /** The task at whose start it begins. */
  readonly first: number;
  /** It ends when this task begins, plus so many minutes. */
  readonly last: number;
  readonly plus: number;
  readonly amount: number;
  readonly setting: string | null;
}

/**
 * The best plan there is, by branching: take the latest starts that the gaps allow; where a resource is asked too much at one moment, one of
 * the two must end before the other begins, so try every pair (after Icmeli and Rom 1996, De Reyck and Herroelen 1998); where nobody can be
 * found, try each. Every plan that keeps the limits lies in one of the branches, and in each the latest starts are the best: so the end of
 * the search is the proof.
 *
 * @param late the windows' latest starts, by which plans are compared. @param mostNodes after which it gives up.
 * @returns the best found, no worse than `known`, and whether that is proved; null where there is no plan (proved) or none was found.
 */
export function branchAndBound(
  c: Compiled,
  late: Float64Array,
  known: Schedule | null,
  mostNodes: number,
): { readonly best: Schedule | null; readonly proved: boolean } {
  let best = known;
  let worth: Worth | null = known && worthOf(c, known.starts, late);
  let nodes = 0;
  const visit = (oneOf: Compiled['oneOf'], orders: readonly Order[]): void => {
    if (++nodes > mostNodes) return;
    const here = windowsOf({ ...c, oneOf }, orders);
    if (!here.ok) return;
    const starts = here.value.late;
    if (worth && !isBetter(worthOf(c, starts, late), worth)) return;
    const clash = clashIn(c, oneOf, starts);
    if (clash === null) {
      best = { starts: Float64Array.from(starts), machines: oneOf.map((groups) => groups.map((g) => g[0]!)) };
      worth = worthOf(c, starts, late);
      return;
    }
    if (clash.kind === 'choose') {
      const { task, group } = clash;
      for (const m of oneOf[task]![group]!)
        visit(
          oneOf.map((groups, i) => (i === task ? groups.map((g, k) => (k === group ? [m] : g)) : groups)),
          orders,
        );
      return;
    }
    for (const a of clash.spans) for (const b of clash.spans) if (a !== b) visit(oneOf, [...orders, [b.first, a.last, -a.plus]]);
  };
  visit(c.oneOf, []);
  return { best, proved: nodes <= mostNodes };
}

type Clashing = { readonly kind: 'choose'; readonly task: number; readonly group: number } | { readonly kind: 'crowd'; readonly spans: readonly Span[] };

/** What is asked too much in a plan: a machine or pool at its first overfull moment, or somebody still to be chosen; null where all fits. */
function clashIn(c: Compiled, oneOf: Compiled['oneOf'], starts: Float64Array): Clashing | null {
  const begin = (s: Span): number => starts[s.first]!;
  const end = (s: Span): number => starts[s.last]! + s.plus;
  const spanOf = (task: number, amount: number, setting: string | null): Span => ({ first: task, last: task, plus: c.minutes[task]!, amount, setting });
  const byMachine: Span[][] = c.project.machines.map(() => []);
  const byPool: Span[][] = c.project.pools.map(() => []);
  let choose: Clashing | null = null;
  for (let i = 0; i < c.n; i++) {
    if (c.minutes[i] === 0) continue;
    for (const [k, group] of oneOf[i]!.entries()) {
      if (group.length === 1) byMachine[group[0]!]!.push(spanOf(i, 1, null));
      else choose ??= { kind: 'choose', task: i, group: k };
    }
    for (const u of c.uses[i]!) byPool[u.pool]!.push(spanOf(i, u.amount, u.setting));
  }
  for (const s of c.stays) byPool[s.pool]!.push({ first: s.from, last: s.until, plus: 0, amount: s.amount, setting: s.setting });
  const crowd = (spans: readonly Span[], capacity: number): Clashing | null => {
    for (const at of spans) {
      const covering = spans.filter((s) => begin(s) <= begin(at) && end(s) > begin(at));
      const settings = new Set(covering.flatMap((s) => (s.setting === null ? [] : [s.setting])));
      if (settings.size > 1 || covering.reduce((sum, s) => sum + s.amount, 0) > capacity + 1e-9) return { kind: 'crowd', spans: covering };
    }
    return null;
  };
  for (const spans of byMachine) {
    const found = crowd(spans, 1);
    if (found) return found;
  }
  for (const [p, spans] of byPool.entries()) {
    const found = crowd(spans, c.project.pools[p]!.capacity);
    if (found) return found;
  }
  return choose;
}
