import { fail, ok, type Result } from '../result';
import type { Kitchen } from '../sheet/analyse';
import type { Sheet } from '../sheet/schema';
import type { Dish, DishCache } from './dish';
import { dishOf } from './dish';
import type { Gap, Goal, Machine, Pool, Project, Stay, Task } from './project';
import type { Service, Serving } from './service-schema';
import { SERVED, type WorkKind, type WorkTask } from './work';
import { dayClock } from './says';
import { minuteOf, stretchesOf } from './zone';

/** How far the batch of a serving has come; moments in minutes since 1970. */
export interface SoFar {
  readonly status: 'running' | 'finished' | 'abandoned';
  readonly startedAt: number;
  /** When each step was left behind. */
  readonly doneAt: Readonly<Record<string, number>>;
  /** When the wait of a step began that is behind, or whose timer runs. */
  readonly waitFrom: Readonly<Record<string, number>>;
  /** The step in hand; null where none is. */
  readonly step: string | null;
  readonly stepSince: number;
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

export const servedTask = (servingId: string): string => `${servingId}/${SERVED}`;
export const taskId = (servingId: string, key: string): string => `${servingId}/${key}`;
export const gapKey = (from: string, to: string): string => `${from}>${to}`;

/** What a serving is called where several are of one sheet. */
export function dishName(service: Service, sheets: ReadonlyMap<string, Sheet>, serving: Serving): string {
  const name = sheets.get(serving.sheetId)?.name ?? 'A sheet that is gone';
  const same = service.servings.filter((s) => s.sheetId === serving.sheetId);
  if (same.length === 1) return name;
  const days = new Set(same.map((s) => s.at.slice(0, 10)));
  return `${name}, ${days.size > 1 ? `${serving.at.slice(8, 10)}.${serving.at.slice(5, 7)}. ` : ''}${serving.at.slice(11)}`;
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
  const pools = new Map<string, Pool>();
  const pool = (id: string, name: string, capacity: number, unit: string): string => {
    if (!pools.has(id)) pools.set(id, { id, name, capacity, unit });
    return id;
  };
  const { ovens, hobRings } = kitchen.rules;
  const settings: string[] = [];
  const ovenFor = (setting: string): string | null => {
    if (ovens.length === 0) return null;
    const heat = setting === 'off' ? (settings.at(-1) ?? setting) : setting;
    if (!settings.includes(heat)) settings.push(heat);
    const oven = ovens[settings.indexOf(heat) % ovens.length]!;
    return pool(`${OVEN}${oven.id}`, oven.name, oven.shelves, 'shelf');
  };
  const zone = service.zone;
  const first = service.from === null ? now : Math.max(now, minuteOf(service.from, zone));
  const times = service.servings.map((s) => minuteOf(s.at, zone));
  const last = Math.max(...times);
  const cooks = service.crew.map((c): Machine => ({ id: `${COOK}${c.id}`, name: c.name, open: stretchesOf(c.hours, zone, Math.min(first, Math.min(...times) - WEEK_MIN), last + 1) }));
  const bowls = kitchen.mixers.flatMap((m): Machine[] => Array.from({ length: 1 + (service.moreBowls[m.id] ?? 0) }, (_, k) => ({ id: `${MIXER}${m.id}${k > 0 ? `+${k}` : ''}`, name: k > 0 ? `${m.name}, one more` : m.name, open: null })));
  const hands = cooks.map((c) => c.id);
  /** Whose part is made for which others: by what it is made of, the serving and part that keep it. */
  const kept = new Map<string, { readonly serving: string; readonly partId: string; readonly massG: number; readonly ids: Map<string, string>; readonly for: string[] }>();

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
    facts.push({ id: served, servings: [serving.id], stepId: null, kind: 'served', name: 'served', dish: name, part: '', because: '', needs: [], done: soFar?.status === 'finished' && times[n]! <= now, running: false });
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
        const id = other.ids.get(keyIn(t));
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
      if (made !== null && !other) kept.set(made, { serving: serving.id, partId: t.partId!, massG: analysis.parts.find((a) => a.part.id === t.partId)!.reading.mixture.massG, ids: new Map([[keyIn(t), id]]), for: [serving.id] });
      else if (made !== null) other!.ids.set(keyIn(t), id);
      const needs: string[] = [];
      const oneOf: (readonly string[])[] = [];
      if (t.hands) oneOf.push(hands);
      if (t.mixerId !== null) {
        const group = bowls.filter((b) => b.id === `${MIXER}${t.mixerId}` || b.id.startsWith(`${MIXER}${t.mixerId}+`)).map((b) => b.id);
        if (group.length > 0) oneOf.push(group);
        needs.push(bowls.find((b) => b.id === group[0])?.name ?? '');
      }
      const uses: Task['uses'][number][] = [];
      if (t.hob && hobRings > 0) {
        uses.push({ pool: pool(HOB, 'Hob', hobRings, 'ring'), amount: 1 });
        needs.push('one ring of the hob');
      }
      if (t.oven) {
        const oven = ovenFor(t.oven.setting);
        if (oven) uses.push({ pool: oven, amount: t.oven.shelves, setting: t.oven.setting });
        needs.push(t.oven.setting === 'off' ? 'the oven, off' : `the oven at ${t.oven.setting}\u00a0°C`);
      }
      const minutes = service.minutes[id]?.minutes ?? t.minutes;
      const pinned = service.pins[id] === undefined ? null : minuteOf(service.pins[id], zone);
      if (pinned !== null && pinned < first) notes.push(`${name}: ‘${t.name.toLowerCase()}’ was pinned to a time that is past; it is planned freely.`);
      const happened = soFar ? happenedTo(t, soFar, minutes, now) : null;
      const task: Task = { id, name: t.name, minutes, notBefore: null, at: pinned !== null && pinned >= first ? pinned : null, oneOf, uses: uses.filter((u) => u.amount > 0 || u.setting !== undefined) };
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
        needs: needs.filter(Boolean),
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
      const min = Math.max(edit?.min ?? g.min, to === served && g.max === null ? service.spareMin : 0);
      gaps.push({ from, to, min: max === null ? min : Math.min(min, max), max, says: g.says });
    }
    for (const s of work.stays) {
      const [from, until] = [idOf.get(s.from)!, idOf.get(s.until)!];
      if (s.what.kind === 'place') {
        const place = kitchen.places.find((p) => p.id === (s.what as { placeId: string }).placeId)!;
        stays.push({ from, until, use: { pool: pool(`${PLACE}${place.id}`, place.name, place.litres, 'L'), amount: s.what.litres } });
      } else {
        const vessel = s.what;
        const count = kitchen.vessels.filter((v) => v.vessel.name === vessel.name).reduce((sum, v) => sum + v.count, 0);
        if (count === 0) notes.push(`${name}: no ${vessel.name} is on the shelf; it is planned as if there were enough.`);
        else stays.push({ from, until, use: { pool: pool(`${VESSEL}${vessel.name}`, vessel.name, count, ''), amount: vessel.count } });
      }
    }
    goals.push({ serve: served, tasks: mine });
  }
  if (dishes.size === 0) return fail('servings', 'nothing-there', left[0]?.says ?? 'Nothing can be planned yet.');

  // A part that is made once takes hands for all of it.
  for (const k of kept.values()) {
    if (k.for.length < 2) continue;
    const all = k.for.reduce((sum, id) => {
      const dish = dishes.get(id)!;
      const partId = [...dish.madeOf].find(([, made]) => kept.get(made) === k)?.[0];
      return sum + (dish.analysis.parts.find((a) => a.part.id === partId)?.reading.mixture.massG ?? 0);
    }, 0);
    for (const id of k.ids.values()) {
      const i = tasks.findIndex((t) => t.id === id);
      const fact = facts.findIndex((x) => x.id === id);
      const t = tasks[i]!;
      if (service.minutes[id] === undefined && t.oneOf.length > 0) tasks[i] = { ...t, minutes: t.oneOf.some((g) => g[0]?.startsWith(MIXER)) ? t.minutes * Math.max(1, Math.ceil(all / k.massG / BOWL_STRETCH)) : Math.max(1, Math.round(t.minutes * (all / k.massG) ** ONE_POT)) };
      facts[fact] = { ...facts[fact]!, servings: k.for, dish: k.for.map((s) => dishName(service, sheets, service.servings.find((x) => x.id === s)!)).join(' and '), because: `made once for ${k.for.length}: ${facts[fact]!.because}` };
    }
  }

  const over = overrun(gaps, tasks, facts, now, ease);
  notes.push(...over.notes);
  const usedPools = [...pools.values()];
  return ok({ project: { tasks, gaps: over.gaps, stays, machines: [...cooks, ...bowls], pools: usedPools, goals, from: first }, facts, dishes, left, notes: [...new Set(notes)], eased: over.eased });
}

/** A bowl takes so much more than it was planned with before a second bowlful is needed. */
const BOWL_STRETCH = 1.6;
/** Hands of one pot for more than one dessert grow with its mass to this power (house, as in `GROWS.pot`). */
const ONE_POT = 0.25;

/** The same task in another serving's part: its way's step, not its number. */
const keyIn = (t: WorkTask): string => `${t.kind}:${t.name}:${t.key.slice(t.key.lastIndexOf('/') + 1).replace(/^.*[-.]/, '')}`;

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
    if (done !== undefined) return { task: { at: done - minutes }, done: true };
    if (b.status !== 'running' || b.step !== t.stepId) return null;
    // A wait that was begun says that the hands are behind.
    if (b.waitFrom[t.stepId] !== undefined) return { task: { at: b.waitFrom[t.stepId]! - minutes }, done: true };
    return { task: { at: b.stepSince, minutes: Math.max(minutes, now - b.stepSince + 1) }, done: false };
  }
  const from = b.waitFrom[t.stepId];
  return from === undefined ? null : { task: { at: from, minutes }, done: from + minutes <= now };
}

/** What has happened is not planned anew: a gap that it broke is said and no longer asked. */
function overrun(gaps: readonly Gap[], tasks: readonly Task[], facts: readonly TaskFacts[], now: number, ease: boolean): { readonly gaps: readonly Gap[]; readonly notes: readonly string[]; readonly eased: readonly Gap[] } {
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
