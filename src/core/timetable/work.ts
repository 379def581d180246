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
import { capacityMl, cavitiesOf } from '../vessel/profile';
import { optionOf, questionNamed } from '../schools/questions';
import { workOfStep } from '../ways/step-work';
import { SERVED } from './names';
import { AHEAD_MOST_H, BLOOMED_MOST_MIN, BUTTER_OUT_MIN, CHEESE_OUT_MIN, HOT_MOST_MIN, UNCOVERED_MOST_MIN, WEIGHED_MOST_MIN, FRUIT_IN_LEMON_MOST_MIN, FRUIT_MOST_MIN, GROWS, KNIFE_WAIT_MIN, LATE_MIN, NEXT_BOWL_MIN, OVEN_HEATS_MIN, PIECEWORK, ROOM_PER_LITRE, SHORT_WAIT_H, USUAL_HANDS_MIN } from './house';

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
  readonly what: { readonly kind: 'place'; readonly placeId: string; readonly litres: number } | { readonly kind: 'vessel'; readonly name: string; readonly count: number };
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

/**
 * The tasks of a dessert from its steps: hands and what goes on by itself apart, with the gaps between them, what they need, and how long the
 * cold takes.
 *
 * @param s of the sheet at the size that is served. @param times how many times its own size that is.
 * @param coldH hours that the solver wants until it is ready for its use; null where it gives no answer (then the method's own hours stand).
 */
export function workOf(s: SheetAnalysis, kitchen: Kitchen, times: number, coldH: number | null): Work {
  const tasks: WorkTask[] = [];
  const gaps: WorkGap[] = [];
  const stays: WorkStay[] = [];
  const { steps, parts, family } = s.sheet;
  const analysis = (id: string | null): PartAnalysis | null => s.parts.find((p) => p.part.id === id) ?? null;
  const wayOf = (key: string): string => {
    const step = steps.find((x) => key === x.id || key.startsWith(`${x.id}/`));
    return step?.key ? step.key + key.slice(step.id.length) : key;
  };
  const add = (t: Partial<WorkTask> & Pick<WorkTask, 'key' | 'kind' | 'name' | 'minutes' | 'because'>): string => {
    tasks.push({ way: wayOf(t.key), stepId: null, partId: null, hands: false, mixerId: null, hob: false, oven: null, ...t });
    return t.key;
  };
  const gap = (from: string, to: string, min: number, max: number | null, says: string): void => void gaps.push({ from, to, min, max, says });
  const place = placeOf(kitchen, s.sheet.cold.setup, family);
  const waits = coldWaits(s.sheet, coldH);

  /** The task that a step is over with, and the one with which it begins. */
  const ends = new Map<string, string>();
  const begins = new Map<string, string>();
  /** Where what a step takes up must be ready: with the knife, where it rests first. */
  const takes = (stepId: string): string => (steps.find((x) => x.id === stepId)?.key === 'temper' ? stepId : begins.get(stepId)!);
  /** Waits that only a later step needs: a bowl in the cold, gelatin in its water. */
  const loose = new Map<string, string>();

  const addStep = (step: Step): void => {
    const a = analysis(step.partId);
    const title = filled(step.title, a, s);
    const key = step.key ?? '';
    const waitMin = waitOf(step, waits.get(step.id));
    const hands = handsOf(step, a, times);
    const temper = key === 'temper';
    const hand = (): string => add({ key: step.id, stepId: step.id, partId: step.partId, kind: 'hands', name: title, minutes: hands.minutes, because: hands.because, hands: hands.minutes > 0, mixerId: step.whisks && a?.mixer ? a.mixer.id : null, hob: onHob(step) });
    const wait = (): string => {
      const cold = COLD_KEYS.includes(key) || temper;
      const oven = step.ovenC !== null ? { shelves: 1, setting: `${step.ovenC}` } : key === 'cool' && a?.part.kind === 'meringue' ? { shelves: 1, setting: 'off' } : null;
      return add({ key: `${step.id}/wait`, stepId: step.id, partId: step.partId, kind: oven ? 'oven' : cold ? 'cold' : 'wait', name: waitName(key, title), minutes: waitMin.minutes, because: waitMin.because, oven });
    };
    if (waitMin.minutes === 0) {
      hand();
      begins.set(step.id, step.id);
      ends.set(step.id, step.id);
      return;
    }
    if (COLD_KEYS.includes(key) && steps.some((x) => x.key === 'put-away')) {
      // Covered and put away is a step of its own: nothing more is done by hand.
      const w = wait();
      begins.set(step.id, w);
      ends.set(step.id, w);
      return;
    }
    if (temper) {
      // First it rests, then the knife.
      const w = wait();
      hand();
      gap(w, step.id, 0, KNIFE_WAIT_MIN, `cut within ${KNIFE_WAIT_MIN}\u00a0min of its rest`);
      begins.set(step.id, w);
      ends.set(step.id, step.id);
      return;
    }
    hand();
    const w = wait();
    gap(step.id, w, 0, 0, '');
    begins.set(step.id, step.id);
    const laterNeeds = looseUntil(step, steps);
    if (laterNeeds) {
      ends.set(step.id, step.id);
      loose.set(w, laterNeeds);
    } else ends.set(step.id, w);
    if (step.ovenC !== null) {
      const hot = add({ key: `${step.id}/oven`, stepId: null, partId: step.partId, kind: 'ahead', name: `Oven to ${withUnit(plainNumber(step.ovenC, 0), '°C')}`, minutes: OVEN_HEATS_MIN, because: `an oven takes ${OVEN_HEATS_MIN}\u00a0min to its heat`, oven: { shelves: 0, setting: `${step.ovenC}` } });
      gap(hot, w, 0, 0, '');
    }
  };
  // Crowned nests go out at once: nothing of them is put away.
  steps.filter((x) => !(family === 'nest' && x.key === 'put-away')).forEach(addStep);

  // What must be out of the fridge before.
  for (const step of steps) {
    const out = step.key === 'loosen' ? { name: 'Cheese out of the fridge', ...CHEESE_OUT_MIN } : step.key === 'buttercream' ? { name: 'Butter out of the fridge', ...BUTTER_OUT_MIN } : null;
    if (!out) continue;
    const k = add({ key: `${step.id}/out`, partId: step.partId, kind: 'ahead', name: out.name, minutes: out.least, because: `it warms for ${showHours(out.least / 60)} before it stirs smooth` });
    gap(k, step.id, 0, out.most - out.least, `out of the fridge for at most ${showHours(out.most / 60)}`);
  }
  for (const [w, until] of loose) gap(w, begins.get(until)!, 0, looseMost(steps.find((x) => `${x.id}/wait` === w)!), 'soaked gelatin is used within two hours');

  // Each part's steps one after the other; then what takes it.
  const ofPart = (id: string | null): readonly Step[] => steps.filter((x) => x.partId === id);
  const assembly = inServingOrder(ofPart(null), family);
  const chain = (list: readonly Step[]): void => {
    for (let i = 1; i < list.length; i++) gap(ends.get(list[i - 1]!.id)!, begins.get(list[i]!.id)!, 0, holdsOn(list[i - 1]!, list[i]!), `${inSentence(list[i - 1]!.title)} first`);
  };
  for (const p of parts) chain(ofPart(p.id));
  chain(assembly);
  const takers = (partId: string): readonly string[] => [
    ...s.parts.flatMap((q) => q.reading.lines.flatMap((l) => (l.fromPart?.id === partId ? [stepTaking(ofPart(q.part.id), l.line.stepId)] : []))).flatMap((x) => (x ? [x] : [])),
    ...(takenInAssembly(s, partId, assembly) ?? []),
  ];
  for (const p of parts) {
    const own = ofPart(p.id);
    const last = own.at(-1);
    const to = [...new Set(takers(p.id))];
    if (last) for (const taker of to.length > 0 ? to : [SERVED]) gap(ends.get(last.id)!, taker === SERVED ? SERVED : takes(taker), 0, aheadMost(s, kitchen, p.id), `${inSentence(p.name)} is made at most ${showHours(aheadMost(s, kitchen, p.id) / 60)} before`);
    for (const [i, step] of own.entries()) {
      if (step.useWithinMin === null) continue;
      const rest = own.slice(i + 1);
      const next = rest.find((x) => !PASSING.includes(x.key ?? ''));
      const says = `${inSentence(p.name)} waits at most ${withUnit(plainNumber(step.useWithinMin, 0), 'min')} after ‘${inSentence(filled(step.title, analysis(p.id), s))}’`;
      const between = rest.slice(0, next ? rest.indexOf(next) : rest.length).reduce((sum, x) => sum + (tasks.find((t) => t.key === x.id)?.minutes ?? 0), 0);
      const max = Math.round(step.useWithinMin) + between;
      if (next) gap(ends.get(step.id)!, begins.get(next.id)!, 0, max, says);
      else for (const taker of to.length > 0 ? to : [SERVED]) gap(ends.get(step.id)!, taker === SERVED ? SERVED : takes(taker), 0, max, says);
    }
    if (p.kind === 'topping' && own.some((x) => s.parts.find((q) => q.part.id === p.id)?.reading.lines.some((l) => l.role === 'fruit') && x.key === 'ready')) {
      const late = optionOf(questionNamed('fruit-late')!, p.ways['fruit-late']).id === 'late';
      const most = late ? FRUIT_MOST_MIN : FRUIT_IN_LEMON_MOST_MIN;
      for (const taker of to) gap(ends.get(last!.id)!, takes(taker), 0, most, `${inSentence(p.name)} cut at most ${showHours(most / 60)} before ${late ? 'it goes on' : 'it goes on, held in lemon juice'}`);
    }
  }

  // To the table.
  const lastStep = assembly.at(-1);
  if (lastStep) gap(ends.get(lastStep.id)!, SERVED, 0, null, 'finished before it is served');
  for (const step of assembly) {
    const most = step.key === 'top' ? LATE_MIN.top : step.key === 'unmould' ? LATE_MIN.unmould : step.key === 'temper' ? LATE_MIN.sliced : step.key === 'crown' ? LATE_MIN.crown : null;
    if (most !== null) gap(ends.get(step.id)!, SERVED, 0, most, `‘${inSentence(step.title)}’ at most ${showHours(most / 60)} before serving`);
  }
  const filledAt = assembly.find((x) => x.key === 'put-away') ?? assembly.find((x) => !COLD_KEYS.includes(x.key ?? ''));
  if (filledAt && family !== 'nest') gap(ends.get(filledAt.id)!, SERVED, 0, Math.round(holdH(s) * MINUTES_PER_HOUR), holdSays(s));

  // Room in the cold, and the vessels themselves.
  const coldStep = assembly.find((x) => COLD_KEYS.includes(x.key ?? '')) ?? assembly.find((x) => x.key === 'put-away');
  const temper = assembly.find((x) => x.key === 'temper');
  const litres = filledVessels(s).reduce((sum, f) => sum + (f.count * capacityMl(f.vessel) * ROOM_PER_LITRE) / 1000, 0);
  if (coldStep && place && place.litres > 0 && family !== 'nest') {
    const out = temper ? begins.get(temper.id)! : SERVED;
    stays.push({ from: ends.get(coldStep.id)!, until: out, what: { kind: 'place', placeId: place.id, litres } });
    const fridge = kitchen.places.find((p) => !isFreezer(p) && p.kind !== 'counter' && p.kind !== 'blast-chiller' && p.litres > 0);
    if (temper && fridge) stays.push({ from: out, until: temper.id, what: { kind: 'place', placeId: fridge.id, litres } });
  }
  const pressed = steps.find((x) => x.key === 'press');
  const first = pressed ?? assembly.find((x) => x.key === 'line') ?? assembly.find((x) => ['fill', 'build', 'crown'].includes(x.key ?? ''));
  const unmould = assembly.find((x) => x.key === 'unmould');
  if (first) for (const f of filledVessels(s)) stays.push({ from: first.id, until: unmould ? unmould.id : SERVED, what: { kind: 'vessel', name: f.vessel.name, count: Math.ceil(f.count / cavitiesOf(f.vessel)) } });
  for (const p of parts) {
    const cools = ofPart(p.id).find((x) => x.key === 'cool' && tasks.some((t) => t.key === `${x.id}/wait` && t.kind === 'wait'));
    const fridge = kitchen.places.find((q) => !isFreezer(q) && q.kind !== 'counter' && q.litres > 0);
    const taker = takers(p.id)[0];
    const a = analysis(p.id);
    if (cools && fridge && taker && a) stays.push({ from: `${cools.id}/wait`, until: begins.get(taker)!, what: { kind: 'place', placeId: fridge.id, litres: (a.mixMl / 1000) * ROOM_PER_LITRE } });
  }
  return { tasks, gaps: gaps.filter((g) => g.from !== g.to), stays };
}

/** Steps after which a foam has not yet been used: it is only weighed, or named. */
const PASSING = ['cup', 'use', 'hold'];

/** No longer than this between two steps of one part; null for no limit. What is put into the cold rests there from then on. */
const holdsOn = (before: Step, after: Step): number | null => (before.key === 'put-away' && COLD_KEYS.includes(after.key ?? '') ? 0 : before.key === 'weigh' && after.key === 'whisk' ? WEIGHED_MOST_MIN : HOT_KEYS.includes(before.key ?? '') ? HOT_MOST_MIN : after.key === 'put-away' ? UNCOVERED_MOST_MIN : null);
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
  if (cold?.by === 'cold-more') return { minutes: minutesOf(cold.h[0]), because: `Cold: ready after ${showHours(cold.h[0])}, more than the ${showHours(low)} of its way` };
  if (key === 'set' || key === 'freeze') return { minutes: minutesOf(high), because: `the method’s longer end, ${showHours(high)}: Cold gives no answer` };
  if (key === 'rest') return { minutes: minutesOf(low), because: `the way that was chosen: ${showHours(low)} at least` };
  return high < SHORT_WAIT_H ? { minutes: minutesOf(high), because: `the method’s longer end, ${showHours(high)}` } : { minutes: minutesOf(low), because: `the method: ${showHours(low)} at least` };
}

/** Minutes of hands of a step at this size, and why so many. */
export function handsOf(step: Step, a: PartAnalysis | null, times: number): { readonly minutes: number; readonly because: string } {
  const bowls = a?.part.whisk.batches ?? 1;
  if (step.whisks && a) {
    const late = a.window.ok ? timeRange(a, a.window.value.opensS)[1] : a.eggWhip?.ok ? houseRange(a.eggWhip.value.window.opensS, EGG_WHISK_SPREAD)[1] : null;
    const hot = step.tempC !== null || step.key === 'buttercream';
    if (late !== null) {
      const one = Math.max(hot ? (step.handsMin ?? 0) : 0, Math.ceil(late / 60 + 0.5));
      return { minutes: bowls * one + (bowls - 1) * NEXT_BOWL_MIN, because: `Whisk: ${bowls > 1 ? `${bowls} bowlfuls, ` : ''}at the longer end ${withUnit(plainNumber(late / 60, 1), 'min')}${bowls > 1 ? ` each, ${NEXT_BOWL_MIN}\u00a0min between` : ''}` };
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

export const holdSays = (s: SheetAnalysis): string => (s.sheet.family === 'semifreddo' ? 'kept frozen for at most three months' : `it holds about ${showHours(holdH(s))} in the fridge`);
