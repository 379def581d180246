import { EGG_WHISK_SPREAD, KEEPING_H } from '../foam/house';
import { houseRange, inSentence, plainNumber, showHours, withUnit } from '../figure';
import { isFreezer, placeOf } from '../kitchen/place';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { timeRange } from '../analysis/learnt';
import { filled } from '../batch/method';
import { coldWaits, type ColdWait } from '../document/cold-waits';
import type { DayPart } from '../document/kinds';
import type { Step } from '../document/schema';
import { filledVessels } from '../analysis/build';
import { stirredCheese } from '../analysis/stirred-cheese';
import { capacityMl, cavitiesOf } from '../vessel/profile';
import { optionOf, questionNamed } from '../schools/questions';
import { workOfStep } from '../ways/step-work';
import { SERVED } from './names';
import {
  AHEAD_MOST_H,
  BLOOMED_MOST_MIN,
  BUTTER_OUT_MIN,
  HOT_MOST_MIN,
  UNCOVERED_MOST_MIN,
  WEIGHED_MOST_MIN,
  FRUIT_IN_LEMON_MOST_MIN,
  FRUIT_MOST_MIN,
  GROWS,
  KNIFE_WAIT_MIN,
  LATE_MIN,
  NEXT_BOWL_MIN,
  OVEN_HEATS_MIN,
  PIECEWORK,
  ROOM_PER_LITRE,
  SHORT_WAIT_H,
  USUAL_HANDS_MIN,
} from './house';

/** What kind of thing a task is: hands on, or something that goes on by itself. */
export type WorkKind = 'hands' | 'wait' | 'cold' | 'oven' | 'ahead';

/** A task of making one dessert, before it is known when. */
export interface WorkTask {
  readonly key: string;
  /** Which step of a way it is, the same wherever that way is taken; with '/wait', '/oven', '/out' for what goes with it. */
  readonly way: string;
  /** The step that it is of; null for what comes before one (an oven that heats). */
  readonly stepId: string | null;
  readonly partId: string | null;
  readonly kind: WorkKind;
  readonly name: string;
  readonly minutes: number;
  /** How its minutes came about, in words. */
  readonly because: string;
  readonly hands: boolean;
  readonly mixerId: string | null;
  readonly hob: boolean;
  readonly oven: { readonly shelves: number; readonly setting: string } | null;
}

export interface WorkGap {
  readonly from: string;
  readonly to: string;
  readonly min: number;
  readonly max: number | null;
  /** Of a gap to the serving: by the clock, on which day before it, and by which part of that day. */
  readonly on?: { readonly days: number; readonly by: DayPart | null };
  readonly says: string;
}

/** Room that something takes from one task's start until another's. */
export interface WorkStay {
  readonly from: string;
  readonly until: string;
  readonly what:
    { readonly kind: 'place'; readonly placeId: string; readonly litres: number } | { readonly kind: 'vessel'; readonly name: string; readonly count: number };
}

/** All the work of one dessert; `SERVED` stands for its serving in gaps and stays. */
export interface Work {
  readonly tasks: readonly WorkTask[];
  readonly gaps: readonly WorkGap[];
  readonly stays: readonly WorkStay[];
}

const MINUTES_PER_HOUR = 60;
/** Hours to whole minutes, up to the next five where it is long. */
export const minutesOf = (h: number): number => {
  const min = h * MINUTES_PER_HOUR;
  return min > 30 ? Math.ceil(min / 5 - 1e-9) * 5 : Math.max(1, Math.round(min));
};
const COLD_KEYS = ['set', 'rest', 'freeze'];

/** Work in the making: what the steps have come to so far, and what is asked of them. */
interface Making {
  readonly s: SheetAnalysis;
  readonly kitchen: Kitchen;
  readonly times: number;
  readonly waits: ReadonlyMap<string, ColdWait>;
  readonly tasks: WorkTask[];
  readonly gaps: WorkGap[];
  readonly stays: WorkStay[];
  /** The task that a step is over with, and the one with which it begins. */
  readonly ends: Map<string, string>;
  readonly begins: Map<string, string>;
  /** Waits that only a later step needs: a bowl in the cold, gelatin in its water; by the step that needs them. */
  readonly loose: Map<string, string>;
  /** Putting together, in the order of the clock. */
  readonly assembly: readonly Step[];
}

const analysisOf = (m: Making, id: string | null): PartAnalysis | null => m.s.parts.find((p) => p.part.id === id) ?? null;
const stepsOfPart = (m: Making, id: string | null): readonly Step[] => m.s.sheet.steps.filter((x) => x.partId === id);
const gap = (m: Making, from: string, to: string, min: number, max: number | null, says: string): void => void m.gaps.push({ from, to, min, max, says });
/** Where what a step takes up must be ready: with the knife, where it rests first. */
const takes = (m: Making, stepId: string): string => (m.s.sheet.steps.find((x) => x.id === stepId)?.key === 'temper' ? stepId : m.begins.get(stepId)!);

function addTask(m: Making, t: Partial<WorkTask> & Pick<WorkTask, 'key' | 'kind' | 'name' | 'minutes' | 'because'>): string {
  const step = m.s.sheet.steps.find((x) => t.key === x.id || t.key.startsWith(`${x.id}/`));
  const way = step?.key ? step.key + t.key.slice(step.id.length) : t.key;
  m.tasks.push({ way, stepId: null, partId: null, hands: false, mixerId: null, hob: false, oven: null, ...t });
  return t.key;
}

/**
 * The tasks of a dessert from its steps: hands and what goes on by itself apart, with the gaps between them, what they need, and how long the
 * cold takes.
 *
 * @param s of the sheet at the size that is served. @param times how many times its own size that is.
 * @param coldH hours that the solver wants until it is ready for its use; null where it gives no answer (then the method's own hours stand).
 */
export function workOf(s: SheetAnalysis, kitchen: Kitchen, times: number, coldH: number | null): Work {
  const { steps, parts, family } = s.sheet;
  const m: Making = {
    s,
    kitchen,
    times,
    waits: coldWaits(s.sheet, coldH),
    tasks: [],
    gaps: [],
    stays: [],
    ends: new Map(),
    begins: new Map(),
    loose: new Map(),
    assembly: inServingOrder(
      steps.filter((x) => x.partId === null),
      family,
    ),
  };
  // Crowned nests go out at once: nothing of them is put away.
  for (const step of steps) if (!(family === 'nest' && step.key === 'put-away')) addStep(m, step);
  outOfTheFridge(m);
  for (const [w, until] of m.loose)
    gap(m, w, m.begins.get(until)!, 0, looseMost(steps.find((x) => `${x.id}/wait` === w)!), 'soaked gelatin is used within two hours');
  for (const p of parts) oneAfterTheOther(m, stepsOfPart(m, p.id));
  oneAfterTheOther(m, m.assembly);
  for (const p of parts) toItsTakers(m, p);
  toTheTable(m);
  roomInTheCold(m);
  vesselsTaken(m);
  return { tasks: m.tasks, gaps: m.gaps.filter((g) => g.from !== g.to), stays: m.stays };
}

/** The tasks of one step: its hands, and what goes on by itself after them, or before the knife. */
function addStep(m: Making, step: Step): void {
  const a = analysisOf(m, step.partId);
  const title = filled(step.title, a, m.s);
  const key = step.key ?? '';
  const waitMin = waitOf(step, m.waits.get(step.id));
  const span = (first: string, last: string): void => {
    m.begins.set(step.id, first);
    m.ends.set(step.id, last);
  };
  const hand = (): string => {
    const hands = handsOf(step, a, m.times);
    return addTask(m, {
      key: step.id,
      stepId: step.id,
      partId: step.partId,
      kind: 'hands',
      name: title,
      minutes: hands.minutes,
      because: hands.because,
      hands: hands.minutes > 0,
      mixerId: step.whisks && a?.mixer ? a.mixer.id : null,
      hob: onHob(step),
    });
  };
  const wait = (): string => {
    const cold = COLD_KEYS.includes(key) || key === 'temper';
    const oven =
      step.ovenC !== null ? { shelves: 1, setting: `${step.ovenC}` } : key === 'cool' && a?.part.kind === 'meringue' ? { shelves: 1, setting: 'off' } : null;
    return addTask(m, {
      key: `${step.id}/wait`,
      stepId: step.id,
      partId: step.partId,
      kind: oven ? 'oven' : cold ? 'cold' : 'wait',
      name: waitName(key, title),
      minutes: waitMin.minutes,
      because: waitMin.because,
      oven,
    });
  };
  if (waitMin.minutes === 0) {
    hand();
    return span(step.id, step.id);
  }
  if (COLD_KEYS.includes(key) && m.s.sheet.steps.some((x) => x.key === 'put-away')) {
    // Covered and put away is a step of its own: nothing more is done by hand.
    const w = wait();
    return span(w, w);
  }
  if (key === 'temper') {
    // First it rests, then the knife.
    const w = wait();
    hand();
    gap(m, w, step.id, 0, KNIFE_WAIT_MIN, `cut within ${KNIFE_WAIT_MIN}\u00a0min of its rest`);
    return span(w, step.id);
  }
  hand();
  const w = wait();
  gap(m, step.id, w, 0, 0, '');
  const laterNeeds = looseUntil(step, m.s.sheet.steps);
  if (laterNeeds) m.loose.set(w, laterNeeds);
  span(step.id, laterNeeds ? step.id : w);
  if (step.ovenC !== null) {
    const hot = addTask(m, {
      key: `${step.id}/oven`,
      partId: step.partId,
      kind: 'ahead',
      name: `Oven to ${withUnit(plainNumber(step.ovenC, 0), '°C')}`,
      minutes: OVEN_HEATS_MIN,
      because: `an oven takes ${OVEN_HEATS_MIN}\u00a0min to its heat`,
      oven: { shelves: 0, setting: `${step.ovenC}` },
    });
    gap(m, hot, w, 0, 0, '');
  }
}

/** What must be out of the fridge before. */
function outOfTheFridge(m: Making): void {
  for (const step of m.s.sheet.steps) {
    const a = m.s.parts.find((x) => x.part.id === step.partId);
    const out =
      step.key === 'loosen' && a
        ? { name: 'Cheese out of the fridge', ...stirredCheese(a.reading).outMin }
        : step.key === 'buttercream'
          ? { name: 'Butter out of the fridge', ...BUTTER_OUT_MIN }
          : null;
    if (!out) continue;
    const k = addTask(m, {
      key: `${step.id}/out`,
      partId: step.partId,
      kind: 'ahead',
      name: out.name,
      minutes: out.least,
      because: `it warms for ${showHours(out.least / 60)} before it stirs smooth`,
    });
    gap(m, k, step.id, 0, out.most - out.least, `out of the fridge for at most ${showHours(out.most / 60)}`);
  }
}

function oneAfterTheOther(m: Making, list: readonly Step[]): void {
  for (let i = 1; i < list.length; i++)
    gap(m, m.ends.get(list[i - 1]!.id)!, m.begins.get(list[i]!.id)!, 0, holdsOn(list[i - 1]!, list[i]!), `${inSentence(list[i - 1]!.title)} first`);
}

/** The steps that take up a part, each once. */
const takersOf = (m: Making, partId: string): readonly string[] => [
  ...new Set([
    ...m.s.parts
      .flatMap((q) => q.reading.lines.flatMap((l) => (l.fromPart?.id === partId ? [stepTaking(stepsOfPart(m, q.part.id), l.line.stepId)] : [])))
      .flatMap((x) => (x ? [x] : [])),
    ...(takenInAssembly(m.s, partId, m.assembly) ?? []),
  ]),
];

/** From a part to what takes it: how long before it may be made, how long it may wait. */
function toItsTakers(m: Making, p: PartAnalysis['part']): void {
  const own = stepsOfPart(m, p.id);
  const last = own.at(-1);
  if (!last) return;
  const to = takersOf(m, p.id);
  const each = (from: string, max: number, says: string): void => {
    for (const taker of to.length > 0 ? to : [SERVED]) gap(m, from, taker === SERVED ? SERVED : takes(m, taker), 0, max, says);
  };
  const ahead = aheadMost(m.s, m.kitchen, p.id);
  each(m.ends.get(last.id)!, ahead, `${inSentence(p.name)} is made at most ${showHours(ahead / 60)} before`);
  for (const [i, step] of own.entries()) {
    if (step.useWithinMin === null) continue;
    const rest = own.slice(i + 1);
    const next = rest.find((x) => !PASSING.includes(x.key ?? ''));
    const says = `${inSentence(p.name)} waits at most ${withUnit(plainNumber(step.useWithinMin, 0), 'min')} after ‘${inSentence(filled(step.title, analysisOf(m, p.id), m.s))}’`;
    const between = rest.slice(0, next ? rest.indexOf(next) : rest.length).reduce((sum, x) => sum + (m.tasks.find((t) => t.key === x.id)?.minutes ?? 0), 0);
    const max = Math.round(step.useWithinMin) + between;
    if (next) gap(m, m.ends.get(step.id)!, m.begins.get(next.id)!, 0, max, says);
    else each(m.ends.get(step.id)!, max, says);
  }
  const fruit = p.kind === 'topping' && own.some((x) => x.key === 'ready') && analysisOf(m, p.id)?.reading.lines.some((l) => l.role === 'fruit');
  if (!fruit) return;
  const late = optionOf(questionNamed('fruit-late')!, p.ways['fruit-late']).id === 'late';
  const most = late ? FRUIT_MOST_MIN : FRUIT_IN_LEMON_MOST_MIN;
  for (const taker of to)
    gap(
      m,
      m.ends.get(last.id)!,
      takes(m, taker),
      0,
      most,
      `${inSentence(p.name)} cut at most ${showHours(most / 60)} before ${late ? 'it goes on' : 'it goes on, held in lemon juice'}`,
    );
}

/** What is done last before the table, and how long it keeps from when it is filled. */
function toTheTable(m: Making): void {
  const lastStep = m.assembly.at(-1);
  if (lastStep) gap(m, m.ends.get(lastStep.id)!, SERVED, 0, null, 'finished before it is served');
  for (const step of m.assembly) {
    const most =
      step.key === 'top'
        ? LATE_MIN.top
        : step.key === 'unmould'
          ? LATE_MIN.unmould
          : step.key === 'temper'
            ? LATE_MIN.sliced
            : step.key === 'crown'
              ? LATE_MIN.crown
              : null;
    if (most !== null) gap(m, m.ends.get(step.id)!, SERVED, 0, most, `‘${inSentence(step.title)}’ at most ${showHours(most / 60)} before serving`);
  }
  const filledAt = m.assembly.find((x) => x.key === 'put-away') ?? m.assembly.find((x) => !COLD_KEYS.includes(x.key ?? ''));
  if (filledAt && m.s.sheet.family !== 'nest') gap(m, m.ends.get(filledAt.id)!, SERVED, 0, Math.round(holdH(m.s) * MINUTES_PER_HOUR), holdSays(m.s));
}

/** The fridge that something is put into which names none: the kitchen's first. */
const anyFridge = (kitchen: Kitchen): Kitchen['places'][number] | undefined =>
  kitchen.places.find((p) => !isFreezer(p) && p.kind !== 'counter' && p.kind !== 'blast-chiller' && p.litres > 0);

/** Room in the cold: of the dessert until it is served or cut, of bases until they are taken. */
function roomInTheCold(m: Making): void {
  const { s, kitchen, assembly } = m;
  const place = placeOf(kitchen, s.sheet.cold.setup, s.sheet.family);
  const coldStep = assembly.find((x) => COLD_KEYS.includes(x.key ?? '')) ?? assembly.find((x) => x.key === 'put-away');
  const temper = assembly.find((x) => x.key === 'temper');
  const litres = filledVessels(s).reduce((sum, f) => sum + (f.count * capacityMl(f.vessel) * ROOM_PER_LITRE) / 1000, 0);
  const fridge = anyFridge(kitchen);
  if (coldStep && place && place.litres > 0 && s.sheet.family !== 'nest') {
    const out = temper ? m.begins.get(temper.id)! : SERVED;
    m.stays.push({ from: m.ends.get(coldStep.id)!, until: out, what: { kind: 'place', placeId: place.id, litres } });
    if (temper && fridge) m.stays.push({ from: out, until: temper.id, what: { kind: 'place', placeId: fridge.id, litres } });
  }
  for (const p of s.sheet.parts) {
    const cools = stepsOfPart(m, p.id).find((x) => x.key === 'cool' && m.tasks.some((t) => t.key === `${x.id}/wait` && t.kind === 'wait'));
    const taker = takersOf(m, p.id)[0];
    const a = analysisOf(m, p.id);
    if (cools && fridge && taker && a)
      m.stays.push({
        from: `${cools.id}/wait`,
        until: m.begins.get(taker)!,
        what: { kind: 'place', placeId: fridge.id, litres: (a.mixMl / 1000) * ROOM_PER_LITRE },
      });
  }
}

/** The vessels themselves, from when they are lined or filled until they are served, or turned out of. */
function vesselsTaken(m: Making): void {
  const { assembly } = m;
  const first =
    m.s.sheet.steps.find((x) => x.key === 'press') ??
    assembly.find((x) => x.key === 'line') ??
    assembly.find((x) => ['fill', 'build', 'crown'].includes(x.key ?? ''));
  const unmould = assembly.find((x) => x.key === 'unmould');
  if (first)
    for (const f of filledVessels(m.s))
      m.stays.push({
        from: first.id,
        until: unmould ? unmould.id : SERVED,
        what: { kind: 'vessel', name: f.vessel.name, count: Math.ceil(f.count / cavitiesOf(f.vessel)) },
      });
}

/** Steps after which a foam has not yet been used: it is only weighed, or named. */
const PASSING = ['cup', 'use', 'hold'];

/** No longer than this between two steps of one part; null for no limit. What is put into the cold rests there from then on. */
const holdsOn = (before: Step, after: Step): number | null =>
  before.key === 'put-away' && COLD_KEYS.includes(after.key ?? '')
    ? 0
    : before.key === 'weigh' && after.key === 'whisk'
      ? WEIGHED_MOST_MIN
      : HOT_KEYS.includes(before.key ?? '')
        ? HOT_MOST_MIN
        : after.key === 'put-away'
          ? UNCOVERED_MOST_MIN
          : null;
/** A boiled syrup is poured at once, and what was heated over steam whisked at once. */
const HOT_KEYS = ['syrup', 'heat'];

/** The step that a loose wait is needed by: a bowl by the weighing, gelatin by what it goes into. */
function looseUntil(step: Step, steps: readonly Step[]): string | null {
  if (step.key !== 'chill' && step.key !== 'soak') return null;
  const later = steps.slice(steps.indexOf(step) + 1).filter((x) => x.partId === step.partId);
  const wanted = step.key === 'chill' ? ['weigh', 'whisk'] : ['whisk', 'gelatin', 'join', 'fold'];
  const found = later.find((x) => wanted.includes(x.key ?? ''));
  return found ? found.id : null;
}

const looseMost = (step: Step): number | null => (step.key === 'soak' ? BLOOMED_MOST_MIN : null);

const onHob = (step: Step): boolean => workOfStep(step) === 'heat' || (step.whisks && step.tempC !== null && step.tempC >= 60);

function waitName(key: string, title: string): string {
  switch (key) {
    case 'chill':
      return title.includes('bowl') ? 'Bowl in the cold' : 'It firms in the cold';
    case 'soak':
      return 'Gelatin soaks';
    case 'brew':
      return 'The soak cools';
    case 'temper':
      return 'Rests in the fridge';
    case 'cool':
      return title.startsWith('Leave') || title.startsWith('Cool with') ? title : 'It cools';
    default:
      return title;
  }
}

/** What goes on by itself after a step, min, and why so long. @param cold its hours in the cold, where Cold has a say in them. */
function waitOf(step: Step, cold: ColdWait | undefined): { readonly minutes: number; readonly because: string } {
  const { waitH, key } = step;
  if (!waitH || waitH[1] <= 0) return { minutes: 0, because: '' };
  const [low, high] = waitH;
  if (cold?.by === 'cold') return { minutes: minutesOf(cold.h[0]), because: `Cold: ready after ${showHours(cold.h[0])} in this vessel, in this place` };
  if (cold?.by === 'cold-more')
    return { minutes: minutesOf(cold.h[0]), because: `Cold: ready after ${showHours(cold.h[0])}, more than the ${showHours(low)} of its way` };
  if (key === 'set' || key === 'freeze') return { minutes: minutesOf(high), because: `the method’s longer end, ${showHours(high)}: Cold gives no answer` };
  if (key === 'rest') return { minutes: minutesOf(low), because: `the way that was chosen: ${showHours(low)} at least` };
  return high < SHORT_WAIT_H
    ? { minutes: minutesOf(high), because: `the method’s longer end, ${showHours(high)}` }
    : { minutes: minutesOf(low), because: `the method: ${showHours(low)} at least` };
}

/** Minutes of hands of a step at this size, and why so many. */
export function handsOf(step: Step, a: PartAnalysis | null, times: number): { readonly minutes: number; readonly because: string } {
  const bowls = a?.part.whisk.batches ?? 1;
  if (step.whisks && a) {
    const late = a.window.ok ? timeRange(a, a.window.value.opensS)[1] : a.eggWhip?.ok ? houseRange(a.eggWhip.value.window.opensS, EGG_WHISK_SPREAD)[1] : null;
    const hot = step.tempC !== null || step.key === 'buttercream';
    if (late !== null) {
      const one = Math.max(hot ? (step.handsMin ?? 0) : 0, Math.ceil(late / 60 + 0.5));
      return {
        minutes: bowls * one + (bowls - 1) * NEXT_BOWL_MIN,
        because: `Whisk: ${bowls > 1 ? `${bowls} bowlfuls, ` : ''}at the longer end ${withUnit(plainNumber(late / 60, 1), 'min')}${bowls > 1 ? ` each, ${NEXT_BOWL_MIN}\u00a0min between` : ''}`,
      };
    }
  }
  const own = step.handsMin ?? USUAL_HANDS_MIN;
  const power = PIECEWORK.has(step.key ?? '') ? GROWS.pieces : GROWS.pot;
  const minutes = own === 0 ? 0 : Math.max(1, Math.round(own * times ** power));
  const said = step.handsMin === null ? `nothing is said; ${own}\u00a0min are taken` : `the method: ${withUnit(plainNumber(own, 0), 'min')}`;
  return { minutes, because: Math.abs(times - 1) < 0.01 ? said : `${said}, times ${plainNumber(times ** power, 2)} for this size` };
}

/** Putting together in the order of the clock: covered and labelled before it rests, finished after. */
function inServingOrder(steps: readonly Step[], family: SheetAnalysis['sheet']['family']): readonly Step[] {
  const away = steps.find((x) => x.key === 'put-away');
  if (!away) return steps;
  const others = steps.filter((x) => x !== away);
  // Shells are crowned at the pass and go out.
  if (family === 'nest') return others;
  const at = others.findIndex((x) => COLD_KEYS.includes(x.key ?? ''));
  const late = others.findIndex((x) => x.key === 'top');
  const index = at >= 0 ? at : late >= 0 ? late : others.length;
  return [...others.slice(0, index), away, ...others.slice(index)];
}

/** The step of a part that a line of it is used in; its last where the line is bound to none. */
const stepTaking = (own: readonly Step[], stepId: string | null): string | null => (own.find((x) => x.id === stepId) ?? own.at(-1))?.id ?? null;

/** Steps of putting together that take up a part; the first where nothing says so and nothing else takes it. */
function takenInAssembly(s: SheetAnalysis, partId: string, assembly: readonly Step[]): readonly string[] | null {
  const named = assembly.filter((x) => x.parts.includes(partId)).map((x) => x.id);
  if (named.length > 0) return named;
  const fed = s.parts.some((q) => q.reading.lines.some((l) => l.fromPart?.id === partId));
  return fed || assembly.length === 0 ? null : [(assembly.find((x) => x.key !== 'line') ?? assembly[0]!).id];
}

/** How long before its use a part may be made, min. */
function aheadMost(s: SheetAnalysis, kitchen: Kitchen, partId: string): number {
  const a = s.parts.find((p) => p.part.id === partId)!;
  return MINUTES_PER_HOUR * (a.rawEgg ? KEEPING_H.rawEgg : Math.min(AHEAD_MOST_H, kitchen.rules.keepingH ?? AHEAD_MOST_H));
}

/**
 * How long it may wait between filled and served, h: a cream that is spooned or piped by its shape ('clean'), what is laid in layers, set or
 * folded by how long it is good; none longer than it may be kept.
 */
export function holdH({ sheet, keeping }: SheetAnalysis): number {
  return SHAPED.includes(sheet.family) ? Math.min(keeping.cleanH ?? keeping.eatByH, keeping.eatByH) : keeping.goodH;
}

const SHAPED: readonly SheetAnalysis['sheet']['family'][] = ['chantilly', 'frosting'];

export const holdSays = (s: SheetAnalysis): string =>
  s.sheet.family === 'semifreddo' ? 'kept frozen for at most three months' : `it holds about ${showHours(holdH(s))} in the fridge`;
