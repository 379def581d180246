import { describe, expect, it } from 'vitest';
import { emptyLedger, enter, fitAt } from './ledger';
import { compile, type Project, type Task } from './project';
import { seededNumbers } from '../random';

const free = (id: string, minutes: number, more: Partial<Task> = {}): Task => ({
  id,
  name: id,
  minutes,
  notBefore: null,
  at: null,
  oneOf: [],
  uses: [],
  ...more,
});

/** Two cooks, one only by halves of the day; a pool of five, an oven of two shelves; some tasks that lie already, one to be placed. */
function laid(seed: number): { readonly project: Project; readonly starts: readonly number[] } {
  const random = seededNumbers(seed);
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const asks = (): Partial<Task> => {
    const kind = whole(0, 3);
    if (kind === 0) return { oneOf: [['a', 'b']] };
    if (kind === 1) return { uses: [{ pool: 'p', amount: whole(1, 4) }] };
    if (kind === 2) return { uses: [{ pool: 'oven', amount: whole(0, 2), setting: `${whole(1, 2)}` }] };
    return { oneOf: [['a']], uses: [{ pool: 'p', amount: whole(1, 2) }] };
  };
  const tasks = [free('new', whole(1, 12), asks()), ...Array.from({ length: whole(0, 9) }, (_, i) => free(`t${i}`, whole(1, 15), asks()))];
  return {
    project: {
      tasks,
      gaps: [],
      stays: random() < 0.5 && tasks.length > 2 ? [{ from: 'new', until: 't0', use: { pool: 'p', amount: whole(1, 3) } }] : [],
      machines: [
        { id: 'a', name: 'A', open: null },
        {
          id: 'b',
          name: 'B',
          open: [
            [0, 30],
            [45, 80],
          ],
        },
      ],
      pools: [
        { id: 'p', name: 'P', capacity: 5, unit: '' },
        { id: 'oven', name: 'Oven', capacity: 2, unit: '' },
      ],
      goals: [],
      from: 0,
    },
    starts: tasks.map(() => whole(0, 80)),
  };
}

describe('who has what when', () => {
  it('going back in jumps finds the same place as going back minute by minute', () => {
    let placed = 0;
    for (let seed = 1; seed <= 1500; seed++) {
      const { project, starts } = laid(seed);
      const c = compile(project);
      const ledger = emptyLedger(c);
      const at = new Float64Array(c.n).fill(NaN);
      for (let i = 1; i < c.n; i++) {
        const fit = fitAt(c, ledger, at, i, starts[i]!);
        if (!fit.ok) continue;
        at[i] = starts[i]!;
        enter(c, ledger, at, i, fit.machines);
      }
      const before = JSON.stringify(ledger);
      let slow = -1;
      for (let t = 90; t >= 0 && slow < 0; t--) if (fitAt(c, ledger, at, 0, t).ok) slow = t;
      let quick = -1;
      for (let t = 90; t >= 0;) {
        const fit = fitAt(c, ledger, at, 0, t);
        if (fit.ok) {
          quick = t;
          break;
        }
        // Each jump goes back, so that it ends.
        expect(fit.tryBefore).toBeLessThan(t);
        t = fit.tryBefore;
      }
      expect(quick, `seed ${seed}`).toBe(slow);
      // Looking leaves nothing behind.
      expect(JSON.stringify(ledger)).toBe(before);
      if (slow >= 0) placed++;
    }
    expect(placed).toBeGreaterThan(700);
  });

  it('touching is no overlap, and a task of no length takes nothing', () => {
    const c = compile({
      tasks: [free('a', 10, { oneOf: [['m']] }), free('b', 10, { oneOf: [['m']] }), free('c', 0, { uses: [{ pool: 'p', amount: 9 }] })],
      gaps: [],
      stays: [],
      machines: [{ id: 'm', name: 'M', open: null }],
      pools: [{ id: 'p', name: 'P', capacity: 1, unit: '' }],
      goals: [],
      from: 0,
    });
    const ledger = emptyLedger(c);
    const at = new Float64Array([20, NaN, NaN]);
    enter(c, ledger, at, 0, [0]);
    expect(fitAt(c, ledger, at, 1, 10)).toEqual({ ok: true, machines: [0] });
    expect(fitAt(c, ledger, at, 1, 30)).toEqual({ ok: true, machines: [0] });
    expect(fitAt(c, ledger, at, 1, 29)).toMatchObject({ ok: false, tryBefore: 10, because: { kind: 'machines', task: 0 } });
    expect(fitAt(c, ledger, at, 2, 25).ok).toBe(true);
  });
});
