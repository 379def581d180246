/** Clock's part of the bench: how near the best possible plans come, and how long planning takes. */
import { newDishCache } from '../src/core/timetable/dish';
import { planProject } from '../src/core/timetable/plan';
import { brokenBy } from '../src/core/timetable/proving/check-plan';
import { schedulingInstance } from '../src/core/timetable/proving/scheduling-instance';
import { planService } from '../src/core/timetable/service-plan';
import type { Service } from '../src/core/timetable/service-schema';
import { EMPTY_SERVICE } from '../src/core/timetable/usual';
import { DAILY } from '../src/core/kitchen/usual-crew';
import { minuteOf } from '../src/core/timetable/zone';
import { GANNET_QUAY, SHEETS } from '../src/testing/gannet-quay';

type Row = (name: string, ...cells: string[]) => void;
type Timed = (runs: number, call: (i: number) => unknown) => number[];
const at = (sorted: readonly number[], q: number): number => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

const INSTANCES = 40;

/** Generated projects of 30 tasks and 4 resources with longest gaps: the lead against its lower bound. */
export function scheduling(row: Row): void {
  console.log(`\n${INSTANCES} generated projects a row, 30 tasks, 4 resources, longest gaps after three tasks in ten: lead over its lower bound`);
  row('resource strength', 'planned of 40', 'mean gap', 'at the bound');
  for (const strength of [0.2, 0.5, 0.7, 1]) {
    let planned = 0;
    let gap = 0;
    let met = 0;
    for (let seed = 1; seed <= INSTANCES; seed++) {
      const project = schedulingInstance(1000 * strength + seed, { tasks: 30, resources: 4, complexity: 1.5, factor: 0.5, strength, maxima: 0.3 });
      const found = planProject(project);
      if (!found.ok || !found.value.ok) continue;
      const broken = brokenBy(project, found.value.plan.placed);
      if (broken.length > 0) throw new Error(broken.join('; '));
      const lead = found.value.plan.leads[0]!;
      planned++;
      gap += lead.minutes / lead.atLeast - 1;
      if (lead.minutes === lead.atLeast) met++;
    }
    row(String(strength), String(planned), `${((100 * gap) / planned).toFixed(1)} %`, String(met));
  }
}

/** Twelve of the sample's sheets in one evening by three cooks. */
export function planning(row: Row, timed: Timed): void {
  const zone = 'UTC';
  const sheets = SHEETS;
  const cook = (id: string, from: string, to: string) => ({ id, name: id, hours: [{ days: [...DAILY], from, to }] });
  const service: Service = {
    ...EMPTY_SERVICE,
    name: 'Twelve',
    zone,
    servings: [...sheets].slice(0, 12).map(([id, doc], i) => ({
      id: `s${i}`,
      sheetId: id,
      at: `2026-11-27T${String(18 + Math.floor(i / 4)).padStart(2, '0')}:${['00', '15', '30', '45'][i % 4]}`,
      portions: doc.portions,
      vessel: null,
      placeId: null,
      batchId: null,
    })),
    crew: [cook('early', '07:00', '15:30'), cook('middle', '10:00', '19:00'), cook('late', '12:00', '22:30')],
  };
  const cache = newDishCache();
  const facts = (k: number) => ({
    service: {
      ...service,
      servings: service.servings.map((s, i) => (i === k % 12 ? { ...s, at: `${s.at.slice(0, 14)}${s.at.slice(14) === '00' ? '05' : '10'}` } : s)),
    },
    kitchen: GANNET_QUAY,
    sheets,
    batches: new Map(),
    now: minuteOf('2026-11-25T09:00', zone),
  });
  const first = performance.now();
  const plan = planService(facts(0), cache);
  const firstMs = performance.now() - first;
  if (!plan.ok || !plan.value.ok) throw new Error(plan.ok ? 'no plan' : plan.fault.says);
  const { tasks, servings } = plan.value.plan;
  console.log(`\nTwelve sheets, three cooks: ${tasks.length} tasks`);
  row('', 'median ms', 'p95 ms', 'of allowed');
  const whole = timed(40, (i) => planService(facts(i), cache));
  row('planned (250 allowed)', at(whole, 0.5).toFixed(0), at(whole, 0.95).toFixed(0), (at(whole, 0.95) / 250).toFixed(2));
  const drag = timed(60, (i) => planService(facts(i), cache, 'quick'));
  row('while dragged (60 allowed)', at(drag, 0.5).toFixed(0), at(drag, 0.95).toFixed(0), (at(drag, 0.95) / 60).toFixed(2));
  row('the first time, the cold worked out with it', firstMs.toFixed(0));
  const sum = (f: (s: (typeof servings)[number]) => number): number => servings.reduce((n, s) => n + f(s), 0);
  row('leads, summed, over their lower bounds', `${((100 * sum((s) => s.leadMin)) / sum((s) => s.atLeastMin) - 100).toFixed(1)} %`);
}
