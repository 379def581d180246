import { inSentence } from '../figure';
import { fail, ok, type Result } from '../result';
import type { Kitchen } from '../kitchen/kitchen';
import type { Sheet } from '../document/schema';
import type { MendRest } from '../batch/batch';
import { dishOf, type Dish, type DishCache } from './dish';
import { FOAM_WEIGHT, GROWS } from './house';
import type { Gap, Goal, Machine, Pool, Project, Stay, Task } from './project';
import type { Service } from './service-schema';
import { dishName, gapKey, SERVED, servedTask, taskId } from './names';
import type { Work, WorkKind, WorkTask } from './work';
import { dayClock } from './clock-words';
import { endOfDay, minuteOf, stretchesOf } from './zone';

/** A rest that a mend asks for: what comes after its part waits until it is over. */
export interface MendedRest {
  readonly id: string;
  readonly title: string;
  readonly partId: string;
  /** Minutes since 1970. */
  readonly from: number;
  readonly minutes: number;
  readonly where: MendRest['where'];
}

/** How far the batch of a serving has come; moments in minutes since 1970. */
export interface SoFar {
  readonly status: 'running' | 'finished' | 'abandoned';
  readonly startedAt: number;
  /** When each step was left behind. */
  readonly doneAt: Readonly<Record<string, number>>;
  /** When it was come to, at the soonest. */
  readonly begunAt: Readonly<Record<string, number>>;
  /** When the wait of a step began that is behind, or whose timer runs. */
  readonly waitFrom: Readonly<Record<string, number>>;
  /** The step in hand; null where none is. */
  readonly step: string | null;
  readonly stepSince: number;
  /** Hands that mends of this step have taken or take, min. */
  readonly mendMin: number;
  readonly mendRests: readonly MendedRest[];
}

export interface ServiceFacts {
  readonly service: Service;
  readonly kitchen: Kitchen;
  readonly sheets: ReadonlyMap<string, Sheet>;
  /** By serving. */
  readonly batches: ReadonlyMap<string, SoFar>;
  /** Minutes since 1970. */
  readonly now: number;
}

/** What a task of the plan is, for those who read it. */
export interface TaskFacts {
  readonly id: string;
  /** Servings that it is for: several where a part is made once. */
  readonly servings: readonly string[];
  readonly stepId: string | null;
  readonly kind: WorkKind | 'served';
  readonly name: string;
  /** 'Plum set cheesecake', or both names where a part is made once. */
  readonly dish: string;
  readonly part: string;
  readonly because: string;
  /** What it takes, in words: '5 L bowl', 'oven at 100 °C'. */
  readonly needs: readonly string[];
  /** Of its planned minutes so many are margin, which it does not take of itself. */
  readonly marginMin: number;
  readonly done: boolean;
  readonly running: boolean;
}

export interface ServiceProject {
  readonly project: Project;
  readonly facts: readonly TaskFacts[];
  readonly dishes: ReadonlyMap<string, Dish>;
  /** What cannot be planned and why: a serving whose sheet is gone, an empty one. */
  readonly left: readonly { readonly serving: string; readonly says: string }[];
  /** What is so, whatever is planned: vessels that are not on the shelf, waits that have run over. */
  readonly notes: readonly string[];
  /** Limits that are no longer asked, because what they begin with has happened: said where the plan goes over them. */
  readonly eased: readonly Gap[];
}

const COOK = 'cook:';
const MIXER = 'mixer:';
const HOB = 'hob';
const OVEN = 'oven:';
const PLACE = 'place:';
const VESSEL = 'vessel:';
export const RESOURCE = { COOK, MIXER, HOB, OVEN, PLACE, VESSEL } as const;

/** Hours of the crew are unrolled so far before the first serving. */
const WEEK_MIN = 7 * 1440;

/** Everything that tasks can ask for. Pools are named when something first asks for them, so that only those that matter are planned. */
function resourcesOf({ service, kitchen }: ServiceFacts, from: number, to: number) {
  const { ovens, hobRings } = kitchen.rules;
  const pools = new Map<string, Pool>();
  const pool = (id: string, name: string, capacity: number, unit: string): string => {
    if (!pools.has(id)) pools.set(id, { id, name, capacity, unit });
    return id;
  };
  const heats: string[] = [];
  let last = '';
  return {
    pools,
    cooks: service.crew.map((c): Machine => ({ id: `${COOK}${c.id}`, name: c.name, open: stretchesOf(c.hours, service.zone, from, to) })),
    bowls: kitchen.mixers.flatMap((m): Machine[] =>
      Array.from({ length: 1 + (service.moreBowls[m.id] ?? 0) }, (_, k) => ({
        id: `${MIXER}${m.id}${k > 0 ? `+${k}` : ''}`,
        name: k > 0 ? `${m.name}, one more` : m.name,
        open: null,
      })),
    ),
    /** A ring of the hob; null where there is none. */
    ring: (): string | null => (hobRings > 0 ? pool(HOB, 'Hob', hobRings, 'ring') : null),
    /** The oven for a heat: each heat has one, in turn; what cools in a shut oven stays in the one that baked it. Null where there is none. */
    oven: (setting: string): string | null => {
      if (ovens.length === 0) return null;
      const heat = setting === 'off' && last !== '' ? last : setting;
      last = heat;
      if (!heats.includes(heat)) heats.push(heat);
      const oven = ovens[heats.indexOf(heat) % ovens.length]!;
      return pool(`${OVEN}${oven.id}`, oven.name, oven.shelves, 'shelf');
    },
    room: (placeId: string): string | null => {
      const place = kitchen.places.find((p) => p.id === placeId);
      return place ? pool(`${PLACE}${place.id}`, place.name, place.litres, 'L') : null;
    },
    /** The vessels of a name; null where none is on the shelf. */
    vessels: (name: string): string | null => {
      const count = kitchen.vessels.filter((v) => v.vessel.name === name).reduce((sum, v) => sum + v.count, 0);
      return count > 0 ? pool(`${VESSEL}${name}`, name, count, '') : null;
    },
  };
}

/** A part that is made once: the serving that keeps it, its tasks by way, whom it is for. */
interface Kept {
  readonly serving: string;
  readonly partId: string;
  readonly massG: number;
  readonly ids: Map<string, string>;
  readonly for: string[];
}

/**
 * The project of a service: every serving's work on one clock, with cooks, bowls, hob, ovens, room in the cold and vessels.
 * @param ease longest waits after what has already happened are let go: for when nothing else does any more.
 * @returns a fault when there is nothing to plan: no serving at all, none whose sheet is there.
 */
export function serviceProject(f: ServiceFacts, cache: DishCache, ease = false): Result<ServiceProject> {
  const { service, kitchen, sheets, now } = f;
  if (service.servings.length === 0) return fail('servings', 'empty', 'Nothing is served yet: add a serving with its day and time.');
  const tasks: Task[] = [];
  const facts: TaskFacts[] = [];
  const gaps: Gap[] = [];
  const stays: Stay[] = [];
  const goals: Goal[] = [];
  const left: { serving: string; says: string }[] = [];
  const notes: string[] = [];
  const dishes = new Map<string, Dish>();
  const zone = service.zone;
  const first = service.from === null ? now : Math.max(now, minuteOf(service.from, zone));
  const times = service.servings.map((s) => minuteOf(s.at, zone));
  const has = resourcesOf(f, Math.min(first, Math.min(...times) - WEEK_MIN), Math.max(...times) + 1);
  /** Whose part is made for which others: by what it is made of, the serving and part that keep it. */
  const kept = new Map<string, Kept>();

  for (const [n, serving] of service.servings.entries()) {
    const sheet = sheets.get(serving.sheetId);
    if (!sheet) {
      left.push({ serving: serving.id, says: 'Its sheet is no longer in the kitchen.' });
      continue;
    }
    const dish = dishOf(sheet, serving, kitchen, cache);
    if (!dish.ok) {
      left.push({ serving: serving.id, says: dish.fault.says });
      continue;
    }
    const { work, madeOf, analysis } = dish.value;
    const name = dishName(service, sheets, serving);
    const soFar = f.batches.get(serving.id) ?? null;
    // What was to be served and never begun holds up nothing else.
    if (times[n]! < now && soFar === null) {
      left.push({ serving: serving.id, says: `${name} was to be served at ${dayClock(times[n]!, zone)}, which is past: give it another time.` });
      continue;
    }
    dishes.set(serving.id, dish.value);
    const served = servedTask(serving.id);
    tasks.push({ id: served, name: `${name} is served`, minutes: 0, notBefore: null, at: times[n]!, oneOf: [], uses: [] });
    facts.push({
      id: served,
      servings: [serving.id],
      stepId: null,
      kind: 'served',
      name: 'served',
      dish: name,
      part: '',
      because: '',
      needs: [],
      marginMin: 0,
      done: soFar?.status === 'finished' && times[n]! <= now,
      running: false,
    });
    if (soFar?.status === 'finished' && times[n]! <= now) continue;
    const idOf = new Map<string, string>([[SERVED, served]]);
    const mine: string[] = [served];
    const shared = (partId: string | null): string | null => {
      const made = partId === null ? undefined : madeOf.get(partId);
      return made !== undefined && service.together.includes(made) ? made : null;
    };
    for (const t of work.tasks) {
      const made = shared(t.partId);
      const other = made === null ? undefined : kept.get(made);
      if (other && !(other.serving === serving.id && other.partId === t.partId)) {
        const id = other.ids.get(t.way);
        if (id) {
          idOf.set(t.key, id);
          mine.push(id);
          if (!other.for.includes(serving.id)) other.for.push(serving.id);
          continue;
        }
      }
      const id = taskId(serving.id, t.key);
      idOf.set(t.key, id);
      mine.push(id);
      if (made !== null && !other)
        kept.set(made, {
          serving: serving.id,
          partId: t.partId!,
          massG: analysis.parts.find((a) => a.part.id === t.partId)!.reading.mixture.massG,
          ids: new Map([[t.way, id]]),
          for: [serving.id],
        });
      else if (made !== null) other!.ids.set(t.way, id);
      const asks = asked(t, has);
      notes.push(...asks.lacks.map((what) => `${name}: the kitchen has no ${what}; it is planned as if there were one.`));
      const minutes = service.minutes[id]?.minutes ?? t.minutes;
      const pinned = service.pins[id] === undefined ? null : minuteOf(service.pins[id], zone);
      if (pinned !== null && pinned < first) notes.push(`${name}: ‘${inSentence(t.name)}’ was pinned to a time that is past; it is planned freely.`);
      const happened = soFar ? happenedTo(t, soFar, minutes, now) : null;
      const marginMin = happened ? 0 : (service.margins[id] ?? 0);
      const task: Task = {
        id,
        name: t.name,
        minutes: minutes + marginMin,
        notBefore: null,
        at: pinned !== null && pinned >= first ? pinned : null,
        oneOf: asks.oneOf,
        uses: asks.uses,
        weight: t.mixerId === null ? 1 : FOAM_WEIGHT,
      };
      tasks.push(happened ? { ...task, ...happened.task, ...(happened.done ? { oneOf: [], uses: [] } : { oneOf: [] }) } : task);
      facts.push({
        id,
        servings: [serving.id],
        stepId: t.stepId,
        kind: t.kind,
        name: t.name,
        dish: name,
        part: analysis.parts.length > 1 && t.partId !== null ? (analysis.parts.find((a) => a.part.id === t.partId)?.part.name ?? '') : '',
        because: service.minutes[id] ? `set by you; ${t.minutes}\u00a0min by itself (${t.because})` : t.because,
        needs: asks.needs,
        marginMin,
        done: happened?.done ?? false,
        running: happened !== null && !happened.done,
      });
    }
    for (const g of work.gaps) {
      const [from, to] = [idOf.get(g.from)!, idOf.get(g.to)!];
      if (from === to) continue;
      const edit = service.gaps[gapKey(from, to)];
      const max = edit ? edit.max : g.max;
      // The breathing space lies between the last touch and the table.
      const least = g.on ? Math.max(g.min, times[n]! - endOfDay(serving.at, g.on, zone)) : g.min;
      const min = Math.max(edit?.min ?? least, to === served && g.max === null ? service.spareMin : 0);
      gaps.push({ from, to, min: max === null ? min : Math.min(min, max), max, says: g.says });
    }
    for (const s of work.stays) {
      const [from, until] = [idOf.get(s.from)!, idOf.get(s.until)!];
      const id = s.what.kind === 'place' ? has.room(s.what.placeId) : has.vessels(s.what.name);
      if (id !== null) stays.push({ from, until, use: { pool: id, amount: s.what.kind === 'place' ? s.what.litres : s.what.count } });
      else if (s.what.kind === 'vessel') notes.push(`${name}: no ${s.what.name} is on the shelf; it is planned as if there were enough.`);
    }
    for (const rest of soFar?.mendRests ?? []) {
      const id = taskId(serving.id, `mend/${rest.id}`);
      tasks.push({ id, name: rest.title, minutes: rest.minutes, notBefore: null, at: rest.from, oneOf: [], uses: [] });
      facts.push({
        id,
        servings: [serving.id],
        stepId: null,
        kind: REST_KIND[rest.where],
        name: rest.title,
        dish: name,
        part: analysis.parts.length > 1 ? (analysis.parts.find((a) => a.part.id === rest.partId)?.part.name ?? '') : '',
        because: REST_SAYS[rest.where],
        needs: [],
        marginMin: 0,
        done: false,
        running: true,
      });
      // Whatever is to come of that part, and what is made of it.
      for (const key of cameAfter(work, rest.partId)) gaps.push({ from: id, to: idOf.get(key)!, min: 0, max: null, says: '' });
    }
    goals.push({ serve: served, tasks: mine });
  }
  if (dishes.size === 0) return fail('servings', 'nothing-there', left[0]?.says ?? 'Nothing can be planned yet.');

  for (const k of kept.values()) if (k.for.length > 1) handsForAll(k, f, dishes, tasks, facts);

  const over = overrun(joined(gaps), tasks, facts, now, ease);
  notes.push(...over.notes);
  return ok({
    project: { tasks, gaps: over.gaps, stays, machines: [...has.cooks, ...has.bowls], pools: [...has.pools.values()], goals, from: first },
    facts,
    dishes,
    left,
    notes: [...new Set(notes)],
    eased: over.eased,
  });
}

const REST_KIND: Readonly<Record<MendRest['where'], WorkKind>> = { cold: 'cold', freezer: 'cold', oven: 'oven', room: 'wait' };
const REST_SAYS: Readonly<Record<MendRest['where'], string>> = {
  cold: 'a rescue: it rests in the cold',
  freezer: 'a rescue: it rests in the freezer',
  oven: 'a rescue: it is in the oven',
  room: 'a rescue: it rests',
};

/** The tasks of a part, those that come after them, and the serving. */
function cameAfter(work: Work, partId: string): ReadonlySet<string> {
  const found = new Set([SERVED, ...work.tasks.filter((t) => t.partId === partId).map((t) => t.key)]);
  for (let size = 0; size !== found.size;) {
    size = found.size;
    for (const g of work.gaps) if (found.has(g.from)) found.add(g.to);
  }
  return found;
}

/** One gap for each pair of tasks: the longer least, the shorter most, in the words of the stricter. */
function joined(gaps: readonly Gap[]): readonly Gap[] {
  const byPair = new Map<string, Gap>();
  for (const g of gaps) {
    const key = gapKey(g.from, g.to);
    const known = byPair.get(key);
    if (!known) byPair.set(key, g);
    else {
      const stricter = g.max !== null && (known.max === null || g.max < known.max) ? g : known;
      byPair.set(key, { ...stricter, min: Math.min(Math.max(known.min, g.min), stricter.max ?? Infinity) });
    }
  }
  return [...byPair.values()];
}

/** What a task asks of the kitchen, with words for it, and what of it the kitchen does not have. */
function asked(
  t: WorkTask,
  has: ReturnType<typeof resourcesOf>,
): { readonly oneOf: Task['oneOf']; readonly uses: Task['uses']; readonly needs: readonly string[]; readonly lacks: readonly string[] } {
  const oneOf: (readonly string[])[] = [];
  const uses: Task['uses'][number][] = [];
  const needs: string[] = [];
  const lacks: string[] = [];
  if (t.hands) oneOf.push(has.cooks.map((c) => c.id));
  if (t.mixerId !== null) {
    const group = has.bowls.filter((b) => b.id === `${MIXER}${t.mixerId}` || b.id.startsWith(`${MIXER}${t.mixerId}+`));
    if (group[0]) {
      oneOf.push(group.map((b) => b.id));
      needs.push(group[0].name);
    }
  }
  if (t.hob) {
    const ring = has.ring();
    if (ring) uses.push({ pool: ring, amount: 1 });
    if (ring) needs.push('one ring of the hob');
    else lacks.push('hob');
  }
  if (t.oven) {
    const oven = has.oven(t.oven.setting);
    if (oven) uses.push({ pool: oven, amount: t.oven.shelves, setting: t.oven.setting });
    if (oven) needs.push(t.oven.setting === 'off' ? 'the oven, off' : `the oven at ${t.oven.setting}\u00a0°C`);
    else lacks.push('oven');
  }
  return { oneOf, uses, needs, lacks };
}

/** A part that is made once takes hands for all of it: more bowlfuls where it is whisked, a little more at the pot. */
function handsForAll(k: Kept, { service, sheets }: ServiceFacts, dishes: ReadonlyMap<string, Dish>, tasks: Task[], facts: TaskFacts[]): void {
  const made = dishes.get(k.serving)!.madeOf.get(k.partId);
  const allG = k.for.reduce((sum, id) => {
    const dish = dishes.get(id)!;
    const partId = [...dish.madeOf].find(([, m]) => m === made)?.[0];
    return sum + (dish.analysis.parts.find((a) => a.part.id === partId)?.reading.mixture.massG ?? 0);
  }, 0);
  const names = k.for
    .map((id) =>
      dishName(
        service,
        sheets,
        service.servings.find((s) => s.id === id)!,
      ),
    )
    .join(' and ');
  for (const id of k.ids.values()) {
    const i = tasks.findIndex((t) => t.id === id);
    const t = tasks[i]!;
    const whisked = t.oneOf.some((g) => g[0]?.startsWith(MIXER));
    if (service.minutes[id] === undefined && t.oneOf.length > 0)
      tasks[i] = {
        ...t,
        minutes: whisked
          ? t.minutes * Math.max(1, Math.ceil(allG / k.massG / BOWL_STRETCH))
          : Math.max(1, Math.round(t.minutes * (allG / k.massG) ** GROWS.pot)),
      };
    facts[i] = { ...facts[i]!, servings: k.for, dish: names, because: `made once for ${k.for.length}: ${facts[i]!.because}` };
  }
}

/** A bowl takes so much more than it was planned with before a second bowlful is needed. */
const BOWL_STRETCH = 1.6;

/** What is already so of a task: behind, or begun. Null for what is still to come. */
function happenedTo(t: WorkTask, b: SoFar, minutes: number, now: number): { readonly task: Partial<Task>; readonly done: boolean } | null {
  if (t.stepId === null) {
    // What comes before a step is behind with it.
    const step = t.key.slice(0, t.key.lastIndexOf('/'));
    const done = b.doneAt[step] ?? (b.step === step ? b.stepSince : undefined);
    return done === undefined ? null : { task: { at: done - minutes }, done: true };
  }
  const done = b.doneAt[t.stepId];
  if (t.kind === 'hands') {
    if (done !== undefined) {
      // It took no longer than since the step before was left.
      const from = Math.max(b.begunAt[t.stepId] ?? -Infinity, done - minutes);
      return { task: { at: from, minutes: done - from }, done: true };
    }
    if (b.status !== 'running' || b.step !== t.stepId) return null;
    // A wait that was begun says that the hands are behind.
    if (b.waitFrom[t.stepId] !== undefined) return { task: { at: b.waitFrom[t.stepId]! - minutes }, done: true };
    return { task: { at: b.stepSince, minutes: Math.max(minutes + b.mendMin, now - b.stepSince + 1) }, done: false };
  }
  const from = b.waitFrom[t.stepId];
  return from === undefined ? null : { task: { at: from, minutes }, done: from + minutes <= now };
}

/** What has happened is not planned anew: a gap that it broke is said and no longer asked. */
function overrun(
  gaps: readonly Gap[],
  tasks: readonly Task[],
  facts: readonly TaskFacts[],
  now: number,
  ease: boolean,
): { readonly gaps: readonly Gap[]; readonly notes: readonly string[]; readonly eased: readonly Gap[] } {
  const index = new Map(tasks.map((t, i) => [t.id, i]));
  const notes: string[] = [];
  const eased: Gap[] = [];
  const kept = gaps.flatMap((g): Gap[] => {
    const [a, b] = [index.get(g.from)!, index.get(g.to)!];
    const [from, to] = [facts[a]!, facts[b]!];
    const set = (x: TaskFacts): boolean => x.done || x.running;
    const ended = (tasks[a]!.at ?? 0) + tasks[a]!.minutes;
    // Between two that have begun there is nothing left to keep; before one that has begun neither.
    if (set(to)) return [];
    if (!set(from) || g.max === null) return [g];
    if (ended + g.max < now) {
      notes.push(`${from.dish}: ${g.says || `${from.name} waits`}; it has waited ${now - ended}\u00a0min.`);
      return [{ ...g, max: null }];
    }
    if (!ease) return [g];
    eased.push(g);
    return [{ ...g, max: null }];
  });
  return { gaps: kept, notes, eased };
}
