import type { Ingredient } from '../composition/ingredient';
import { goesByItself } from '../document/kinds';
import type { Sheet, Step } from '../document/schema';
import type { StepTemplate } from './methods';
import { plannedSteps, stepOf, type Planned } from './settle';
import { workOfStep, workOfTemplate } from './step-work';

type Larder = ReadonlyMap<string, Ingredient>;

/** Where a written step and the kitchen's way differ enough to be said (house): a heat to reach, an oven. */
const DIFFERS_C = { heat: 3, oven: 15 } as const;

/** What the kitchen's way does otherwise in one written step. */
export type WayDifference =
  /** °C that is reached. */
  | { readonly kind: 'heat'; readonly written: number; readonly way: number }
  /** °C of the oven. */
  | { readonly kind: 'oven'; readonly written: number; readonly way: number }
  /** Hours: the longest that is written is under the way's shortest. */
  | { readonly kind: 'short'; readonly written: number; readonly way: readonly [low: number, high: number] };

/** A written step with the step of the kitchen's way that does the same. */
export interface BesideWay {
  readonly stepId: string;
  readonly way: StepTemplate;
  readonly differs: readonly WayDifference[];
}

interface Pairing {
  readonly pairs: ReadonlyMap<string, Planned>;
  readonly planned: readonly Planned[];
}

/** How alike a written step is to one of a way: the word that names it, a temperature or a rest where the way has one. */
function likeness(step: Step, way: StepTemplate): number {
  const named = new RegExp(`\\b${way.short.split(' ')[0]!}`, 'i').test(step.title) ? 2 : 0;
  const reaches = way.tempC !== undefined && step.tempC !== null ? 3 : 0;
  const rests = way.wait !== undefined && (step.minutes !== null || step.waitH !== null) ? 1 : 0;
  return named + reaches + rests;
}

/** Pairs written steps with those of the ways: of the same part, the same work, the most alike; in order where they are equally so. */
function pairing(sheet: Sheet, larder: Larder): Pairing {
  const planned = plannedSteps(sheet, larder);
  const pairs = new Map<string, Planned>();
  for (const p of planned) {
    const alike = sheet.steps.filter((s) => s.partId === p.partId && !pairs.has(s.id) && workOfStep(s) === workOfTemplate(p.template));
    const most = Math.max(...alike.map((s) => likeness(s, p.template)));
    const step = alike.find((s) => likeness(s, p.template) === most);
    if (step) pairs.set(step.id, p);
  }
  return { pairs, planned };
}

function differences(step: Step, way: StepTemplate): readonly WayDifference[] {
  const out: WayDifference[] = [];
  if (step.tempC !== null && way.tempC !== undefined && Math.abs(step.tempC - way.tempC) > DIFFERS_C.heat)
    out.push({ kind: 'heat', written: step.tempC, way: way.tempC });
  if (step.ovenC !== null && way.ovenC !== undefined && Math.abs(step.ovenC - way.ovenC) > DIFFERS_C.oven)
    out.push({ kind: 'oven', written: step.ovenC, way: way.ovenC });
  const longestH = step.minutes ? step.minutes[1] / 60 : (step.waitH?.[1] ?? null);
  if (longestH !== null && way.wait && way.wait[0] > 0 && goesByItself(workOfStep(step)) && longestH < way.wait[0])
    out.push({ kind: 'short', written: longestH, way: way.wait });
  return out;
}

/** The written steps of a method of the cook's own beside those of the kitchen's way that do the same, in written order; empty where the ways are the method. */
export function besideWays(sheet: Sheet, larder: Larder): readonly BesideWay[] {
  if (sheet.method !== 'own') return [];
  const { pairs } = pairing(sheet, larder);
  return sheet.steps.flatMap((step) => {
    const p = pairs.get(step.id);
    return p ? [{ stepId: step.id, way: p.template, differs: differences(step, p.template) }] : [];
  });
}

/** Steps of the ways that the cook's own method lacks, in working order. */
export function lackingWaySteps(sheet: Sheet, larder: Larder): readonly { readonly id: string; readonly partId: string | null; readonly way: StepTemplate }[] {
  if (sheet.method !== 'own') return [];
  const { pairs, planned } = pairing(sheet, larder);
  const paired = new Set([...pairs.values()].map((p) => p.id));
  const added = new Set(sheet.steps.map((s) => s.id));
  return planned.filter((p) => !paired.has(p.id) && !added.has(ownId(p))).map((p) => ({ id: p.id, partId: p.partId, way: p.template }));
}

const ownId = (p: Planned): string => `way-${p.id}`.slice(0, 60);

/** A step of a way as one of the cook's own method. */
function asOwn(p: Planned): Step {
  const step = stepOf(p, undefined);
  return { ...step, key: null, wants: [], edited: true, work: workOfTemplate(p.template), minutes: step.waitH && [60 * step.waitH[0], 60 * step.waitH[1]] };
}

/** The sheet with one written step done the kitchen's way: its words, times and temperatures; its place, its lines and what it waits for stay. */
export function takeWayStep(sheet: Sheet, stepId: string, larder: Larder): Sheet {
  const p = sheet.method === 'own' ? pairing(sheet, larder).pairs.get(stepId) : undefined;
  if (!p) return sheet;
  return {
    ...sheet,
    steps: sheet.steps.map((s) =>
      s.id === stepId ? { ...asOwn(p), id: s.id, note: s.note, after: s.after, ahead: s.ahead, by: s.by, machine: s.machine, parts: s.parts } : s,
    ),
  };
}

/** The sheet with one step more, that the kitchen's way has and the cook's own method lacks; what comes after it in its part waits for it. */
export function addWayStep(sheet: Sheet, plannedId: string, larder: Larder): Sheet {
  const { pairs, planned } = pairing(sheet, larder);
  const at = planned.findIndex((p) => p.id === plannedId);
  if (sheet.method !== 'own' || !lackingWaySteps(sheet, larder).some((l) => l.id === plannedId)) return sheet;
  const { partId } = planned[at]!;
  // The steps as the plan names them, so that it finds the place among those of its part: the written order of the others is theirs.
  const named = (p: Planned): number => sheet.steps.findIndex((s) => (pairs.get(s.id)?.id ?? s.id) === p.id || s.id === ownId(p));
  const before = planned.slice(0, at).findLast((p) => p.partId === partId && named(p) >= 0);
  const next = planned.slice(at + 1).find((p) => p.partId === partId && named(p) > (before ? named(before) : -1));
  const place = next
    ? named(next)
    : before
      ? named(before) + 1
      : partId === null
        ? sheet.steps.length
        : Math.max(
            0,
            sheet.steps.findIndex((s) => s.partId === partId),
          );
  const id = ownId(planned[at]!);
  const step: Step = { ...asOwn(planned[at]!), id, after: before ? [sheet.steps[named(before)]!.id] : [] };
  const steps = sheet.steps.map((s, i) => (next && i === place ? { ...s, after: [...s.after, id] } : s));
  return { ...sheet, steps: [...steps.slice(0, place), step, ...steps.slice(place)] };
}
