import { isFreezer, placeOf } from '../kitchen/place';
import { inSentence, plainNumber, showHours, withUnit } from '../figure';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { coldWaits, type ColdWait } from '../document/cold-waits';
import { goesByItself, type StepWork } from '../document/kinds';
import type { Step } from '../document/schema';
import { dayWords } from '../document/step-day';
import { filledVessels } from '../analysis/build';
import { workOfStep } from '../ways/step-work';
import { capacityMl, cavitiesOf } from '../vessel/profile';
import { OVEN_HEATS_MIN, ROOM_PER_LITRE } from './house';
import { SERVED } from './names';
import { handsOf, holdH, holdSays, minutesOf, type Work, type WorkGap, type WorkKind, type WorkStay, type WorkTask } from './work';

/** Hands of a step that does not say how long, min (house). */
const USUAL_MIN: Readonly<Record<StepWork, number>> = {
  hands: 3,
  whisk: 6,
  beat: 4,
  fold: 5,
  heat: 8,
  bake: 15,
  soak: 5,
  wait: 20,
  chill: 120,
  freeze: 360,
  fill: 6,
  finish: 4,
  serve: 2,
};
/** A foam waits no longer for what it is folded into or spread on, min (house). */
const FOAM_MOST_MIN = 90;
/** What leaves the hands goes into the cold, the oven or its rest within this, min (house). */
const AT_ONCE_MIN = 5;
/** Hot things that hands go on with wait no longer, min (house). */
const HOT_HANDS_MIN = 45;
/** Something is moved by hand: out of the oven, from the bath into the fridge; an oven is turned on or off, min (house). */
const MOVE_MIN = 1;
/** An oven that the cook has turned on stays hot so long for what it waits for, min (house). */
const LIT_MOST_MIN = 45;
const DAY_MIN = 24 * 60;
/** From here on a stated wait is a least: shorter ones are taken at their longer end, min. */
const LONG_WAIT_MIN = 90;

/**
 * The tasks of a dessert whose method is the cook's own: one for each written step, in the written order of each product, joined where the
 * words join them. Times are those that are said.
 */
export function ownWorkOf(s: SheetAnalysis, kitchen: Kitchen, times: number, coldH: number | null): Work {
  const { steps } = s.sheet;
  const tasks: WorkTask[] = [];
  const gaps: WorkGap[] = [];
  const stays: WorkStay[] = [];
  const there = new Set(steps.map((x) => x.id));
  const analysis = (id: string | null): PartAnalysis | null => s.parts.find((p) => p.part.id === id) ?? null;
  const gap = (from: string, to: string, min: number, max: number | null, says: string): void => void gaps.push({ from, to, min, max, says });
  const lastCold = steps.findLast((x) => workOfStep(x) === 'chill' || workOfStep(x) === 'freeze');
  const awaited = new Set<string>();
  const waits = coldWaits(s.sheet, coldH);

  steps.forEach((step, i) => {
    const work = workOfStep(step);
    const by = byItself(step);
    const a = analysis(step.partId);
    const { minutes, because } = timeOf(step, work, a, times, waits.get(step.id));
    const kind: WorkKind = !by ? 'hands' : work === 'bake' ? 'oven' : work === 'chill' || work === 'freeze' ? 'cold' : 'wait';
    const oven = work === 'bake' ? { shelves: 1, setting: `${step.ovenC ?? 'hot'}` } : step.machine === 'oven' && by ? { shelves: 1, setting: 'off' } : null;
    tasks.push({
      key: step.id,
      way: step.id,
      stepId: step.id,
      partId: step.partId,
      kind,
      name: step.title,
      minutes,
      because,
      hands: !by && minutes > 0,
      mixerId: step.whisks || step.machine === 'mixer' ? ((a?.mixer ?? s.parts[0]?.mixer ?? null)?.id ?? null) : null,
      hob: step.machine === 'hob',
      oven,
    });
    if (work === 'bake' && step.ovenC !== null) {
      const hot = `${step.id}/oven`;
      tasks.push({
        key: hot,
        way: hot,
        stepId: null,
        partId: step.partId,
        kind: 'ahead',
        name: `Oven to ${withUnit(plainNumber(step.ovenC, 0), '°C')}`,
        minutes: OVEN_HEATS_MIN,
        because: `an oven takes ${OVEN_HEATS_MIN}\u00a0min to its heat`,
        hands: false,
        mixerId: null,
        hob: false,
        oven: { shelves: 0, setting: `${step.ovenC}` },
      });
      const lit = steps.find((x, k) => k < i && isLit(x, step, steps));
      if (lit) gap(lit.id, hot, 0, LIT_MOST_MIN, '');
      const hotAlready = steps.slice(0, i).some((x) => workOfStep(x) === 'bake' && x.partId === step.partId);
      gap(hot, step.id, 0, hotAlready ? null : 0, '');
    }
    for (const id of before(step, i, steps)) {
      if (!there.has(id)) continue;
      const prev = steps.find((x) => x.id === id)!;
      awaited.add(id);
      const says = `${inSentence(prev.title)} first`;
      const moved = moveBetween(prev, step);
      if (moved === null) {
        gap(id, step.id, 0, mostBetween(prev, step), says);
        continue;
      }
      // Somebody must be there when it ends: at night nothing leaves the oven, or the ice, by itself.
      const key = `${step.id}/from/${id}`;
      tasks.push({
        key,
        way: key,
        stepId: null,
        partId: step.partId,
        kind: 'hands',
        name: moved,
        minutes: MOVE_MIN,
        because: 'it does not go there by itself',
        hands: true,
        mixerId: null,
        hob: false,
        oven: null,
      });
      gap(id, key, 0, AT_ONCE_MIN, says);
      gap(key, step.id, 0, goesByItself(workOfStep(step)) ? 0 : null, '');
    }
  });
  for (const step of steps) {
    if (!awaited.has(step.id)) gap(step.id, SERVED, 0, null, 'finished before it is served');
    if (step.ahead > 0 || step.by !== null)
      gaps.push({ from: step.id, to: SERVED, min: 0, max: null, on: { days: step.ahead, by: step.by }, says: `done ${dayWords(step)}` });
  }

  // From when it is put together on, it is kept no longer than it is good.
  const filled = steps.find((x) => workOfStep(x) === 'fill' && x.partId === null) ?? lastCold;
  if (filled && s.sheet.family !== 'nest') gap(filled.id, SERVED, 0, Math.max(Math.round(holdH(s) * 60), leastAfter(filled, steps)), holdSays(s));

  const place = placeOf(kitchen, s.sheet.cold.setup, s.sheet.family);
  const litres = filledVessels(s).reduce((sum, f) => sum + (f.count * capacityMl(f.vessel) * ROOM_PER_LITRE) / 1000, 0);
  const cold = steps.find((x) => (workOfStep(x) === 'chill' || workOfStep(x) === 'freeze') && x.partId === null);
  if (cold && place && place.litres > 0 && (workOfStep(cold) === 'freeze') === isFreezer(place))
    stays.push({ from: cold.id, until: SERVED, what: { kind: 'place', placeId: place.id, litres } });
  const first = steps.find((x) => workOfStep(x) === 'fill');
  const onShelf = new Set(kitchen.vessels.map((v) => v.vessel.name));
  if (first)
    for (const f of filledVessels(s))
      if (onShelf.has(f.vessel.name))
        stays.push({ from: first.id, until: SERVED, what: { kind: 'vessel', name: f.vessel.name, count: Math.ceil(f.count / cavitiesOf(f.vessel)) } });
  return { tasks, gaps: gaps.filter((g) => g.from !== g.to), stays };
}

/** Whether a step goes on without hands; dipping and brushing, which say no time, do not. */
const byItself = (step: Step): boolean => {
  const work = workOfStep(step);
  return goesByItself(work) && !(work === 'soak' && step.waitH === null && step.minutes === null);
};

/** What a step waits for: as it was read; for one that the cook wrote since, the step before it of the same part. */
function before(step: Step, i: number, steps: readonly Step[]): readonly string[] {
  // What another of them waits for already is behind with that one.
  if (step.after.length > 1) return step.after.filter((a) => !step.after.some((b) => b !== a && waitsFor(b, a, steps)));
  if (step.after.length > 0) return step.after;
  if (i === 0 || step.work !== null) return step.work !== null && step.after.length === 0 ? [] : step.after;
  const prev = steps.slice(0, i).findLast((x) => x.partId === step.partId) ?? steps[i - 1]!;
  return [prev.id];
}

/** Whether a step waits for another one, over however many between. */
function waitsFor(id: string, other: string, steps: readonly Step[], seen = new Set<string>()): boolean {
  if (seen.has(id)) return false;
  seen.add(id);
  return (steps.find((x) => x.id === id)?.after ?? []).some((a) => a === other || waitsFor(a, other, steps, seen));
}

function timeOf(
  step: Step,
  work: StepWork,
  a: PartAnalysis | null,
  times: number,
  cold: ColdWait | undefined,
): { readonly minutes: number; readonly because: string } {
  if (byItself(step)) {
    if (step.minutes) {
      const [low, high] = step.minutes;
      const minutes = Math.max(1, Math.ceil((high <= LONG_WAIT_MIN ? high : low) - 1e-9));
      return { minutes, because: `the recipe: ${low === high ? '' : `${showHours(low / 60)} to `}${showHours(high / 60)}` };
    }
    if (cold?.by === 'least')
      return { minutes: minutesOf(cold.h[0]), because: `Cold: it is ready as it is; the recipe does not say how long, ${showHours(cold.h[0])} are taken` };
    if (cold)
      return { minutes: minutesOf(cold.h[0]), because: `Cold: ready after ${showHours(cold.h[0])} in this vessel, in this place; the recipe does not say` };
    const h = step.waitH ? step.waitH[step.waitH[1] > 1.5 ? 0 : 1] : USUAL_MIN[work] / 60;
    return { minutes: minutesOf(h), because: `the recipe does not say; ${showHours(h)} are taken` };
  }
  if (step.whisks && a && (a.window.ok || a.eggWhip?.ok) && step.minutes === null) return handsOf(step, a, times);
  const own = step.handsMin ?? (step.machine === 'oven' ? MOVE_MIN : USUAL_MIN[work]);
  const said = step.handsMin === null ? `nothing is said; ${own}\u00a0min are taken` : `the recipe: ${withUnit(plainNumber(own, own < 1 ? 1 : 0), 'min')}`;
  return { minutes: work === 'serve' ? 1 : Math.max(1, Math.round(own)), because: said };
}

/** Whether a step is that of turning on the oven for a bake. */
const isLit = (x: Step, bake: Step, steps: readonly Step[]): boolean =>
  x.machine === 'oven' &&
  workOfStep(x) === 'hands' &&
  waitsFor(bake.id, x.id, steps) &&
  !steps.some((y) => workOfStep(y) === 'bake' && waitsFor(x.id, y.id, steps));

const COLD_WORKS: ReadonlySet<StepWork> = new Set(['chill', 'freeze']);

/** What hands must do between something that ends by itself and what comes next; null where nothing has to be moved, or the next step is that. */
function moveBetween(prev: Step, next: Step): string | null {
  const [a, b] = [workOfStep(prev), workOfStep(next)];
  if (a === 'bake' && b !== 'bake') return next.machine !== 'oven' ? 'Out of the oven' : byItself(next) ? 'Oven off' : null;
  // From the bath or the worktop into the cold, from the fridge into the freezer.
  return byItself(prev) && COLD_WORKS.has(b) && b !== a && a !== 'soak' ? (b === 'freeze' ? 'Into the freezer' : 'Into the fridge') : null;
}

/** The longest that may lie between two steps, min; null for no limit. */
function mostBetween(prev: Step, next: Step): number | null {
  const [a, b] = [workOfStep(prev), workOfStep(next)];
  const by = byItself(next);
  if (a === 'bake') return next.machine === 'oven' ? AT_ONCE_MIN : null;
  if (prev.machine === 'oven' && next.machine === 'oven' && by) return b === 'bake' ? null : AT_ONCE_MIN;
  if (by && !byItself(prev)) return AT_ONCE_MIN;
  // Between two that the cook keeps a night apart nothing else is asked.
  if (prev.ahead > next.ahead) return null;
  if (a === 'heat' && !goesByItself(b)) return HOT_HANDS_MIN;
  if (a === 'whisk' && !goesByItself(b)) return FOAM_MOST_MIN;
  return null;
}

/** What still has to happen after a step at the least, min: a rest of two days is meant. */
function leastAfter(step: Step, steps: readonly Step[]): number {
  const rest = steps.slice(steps.indexOf(step));
  return (
    rest.reduce((sum, x) => sum + (goesByItself(workOfStep(x)) ? (x.minutes?.[0] ?? 60 * (x.waitH?.[0] ?? 0)) : (x.handsMin ?? USUAL_MIN[workOfStep(x)])), 0) +
    DAY_MIN * (1 + step.ahead)
  );
}
