import { describe, expect, it } from 'vitest';
import { newDishCache } from '../../core/timetable/dish';
import { planService } from '../../core/timetable/service-plan';
import { EMPTY_SERVICE } from '../../core/timetable/usual';
import { USUAL_CREW } from '../../core/kitchen/usual-crew';
import { minuteOf } from '../../core/timetable/zone';
import { GANNET_QUAY, SHEETS } from '../../testing/gannet-quay';
import { rowsByDish, rowsByMachine, type Row } from './ribbon-rows';
import { daysOf, fitting, snapped, ticksOf } from './ribbon-scale';

const LONDON = 'Europe/London';
const at = (local: string): number => minuteOf(local, LONDON);

describe('the scale', () => {
  it('marks as far apart as their labels need', () => {
    const labels = (px: number): string[] => ticksOf(at('2026-11-27T08:00'), at('2026-11-27T12:00'), px, LONDON).map((t) => t.label);
    expect(labels(1)).toEqual(['08:00', '09:00', '10:00', '11:00', '12:00']);
    expect(labels(0.11)).toEqual(['12:00']);
    expect(labels(20)).toHaveLength(49);
  });

  it('an hour that comes twice is marked twice, one that is skipped not at all', () => {
    const night = (from: string, to: string): string[] => ticksOf(at(from), at(to), 1, LONDON).map((t) => t.label);
    expect(night('2026-10-25T00:00', '2026-10-25T03:00')).toEqual(['00:00', '01:00', '01:00', '02:00', '03:00']);
    expect(night('2026-03-29T00:00', '2026-03-29T03:00')).toEqual(['00:00', '02:00', '03:00']);
  });

  it('days begin at midnight of the kitchen’s clock; moves snap to five minutes', () => {
    expect(daysOf(at('2026-10-24T18:00'), at('2026-10-26T08:00'), LONDON).slice(1)).toEqual([at('2026-10-25T00:00'), at('2026-10-26T00:00')]);
    expect([snapped(1002), snapped(1003)]).toEqual([1000, 1005]);
    expect(fitting(0, 1000, 500)).toBe(0.5);
  });
});

describe('the rows', () => {
  const service = {
    ...EMPTY_SERVICE,
    name: 'Rows',
    zone: LONDON,
    crew: USUAL_CREW,
    servings: ['pear-icebox', 'plum-cheesecake'].map((sheetId, i) => ({
      id: `s${i}`,
      sheetId,
      at: '2026-11-28T17:00',
      portions: SHEETS.get(sheetId)!.portions,
      vessel: null,
      placeId: null,
      batchId: null,
    })),
  };
  const answer = planService({ service, kitchen: GANNET_QUAY, sheets: SHEETS, batches: new Map(), now: at('2026-11-25T09:00') }, newDishCache());
  if (!answer.ok || !answer.value.ok) throw new Error('no plan');
  const { plan } = answer.value;
  const clear = (rows: readonly Row[]): void => {
    for (const r of rows) {
      for (const [i, a] of r.bars.entries()) {
        for (const b of r.bars.slice(i + 1)) {
          const span = (x: typeof a): readonly [number, number] => (x.kind === 'task' ? [x.task.start, x.task.end] : [x.stay.from, x.stay.to]);
          const [from, to] = [span(a), span(b)];
          if (a.line === b.line) expect(from[0] >= to[1] || to[0] >= from[1], `${r.name}, line ${a.line}`).toBe(true);
        }
      }
      expect(r.lines).toBeGreaterThan(Math.max(-1, ...r.bars.map((b) => b.line)));
    }
  };

  it('by machine: every task has a place, no two bars lie on each other', () => {
    const rows = rowsByMachine(plan);
    clear(rows);
    const shown = new Set(rows.flatMap((r) => r.bars.flatMap((b) => (b.kind === 'task' ? [b.task.id] : []))));
    expect([...shown].sort()).toEqual(
      plan.tasks
        .filter((t) => t.kind !== 'served')
        .map((t) => t.id)
        .sort(),
    );
  });

  it('by dessert: each with all of its own', () => {
    const rows = rowsByDish(plan);
    clear(rows);
    expect(rows.map((r) => r.name)).toEqual(['Pear and black-tea icebox cake', 'Plum set cheesecake']);
    expect(rows.reduce((n, r) => n + r.bars.length, 0)).toBe(plan.tasks.filter((t) => t.kind !== 'served').length);
  });
});
