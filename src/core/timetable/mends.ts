import { inSentence } from '../figure';
import { isFreezer, placeOf } from '../kitchen/place';
import { capacityMl, isPerPortion } from '../vessel/profile';
import type { DishCache } from './dish';
import { dishOf } from './dish';
import { madeOnce } from './made-once';
import { likeParts } from './merges';
import { showSpan } from './says';
import { clockOf, dayName } from './clock-words';
import { planService } from './service-plan';
import { dishName, gapKey, taskId } from './names';
import { serviceProject, type ServiceFacts } from './service-project';
import type { Service } from './service-schema';
import { localTime, minuteOf, nextDay, weekday } from './zone';

/** A change of the service that the planner has tried. */
export interface Mend {
  readonly key: string;
  readonly says: string;
  readonly service: Service;
}

interface Change extends Mend {
  /** How much is asked of the kitchen: the smallest is tried first. */
  readonly cost: number;
}

const LATER = [15, 30, 45, 60, 90, 120, 180, 240];

/** Small changes that might do, the least first. Of one kind only as many as are needed are tried. */
export function changesFor(f: ServiceFacts, cache: DishCache, stuckAt: readonly string[]): readonly Change[] {
  const { service, kitchen, sheets } = f;
  const { zone } = service;
  const out: Change[] = [];
  const add = (key: string, cost: number, says: string, change: Partial<Service>): void =>
    void out.push({ key, cost, says, service: { ...service, ...change } });
  const servings = service.servings;
  const concerned = new Set(stuckAt.map((id) => id.slice(0, id.indexOf('/'))));
  const byConcern = [...servings].sort((a, b) => Number(concerned.has(b.id)) - Number(concerned.has(a.id)));

  for (const s of byConcern.slice(0, 4)) {
    for (const later of LATER) {
      const at = minuteOf(s.at, zone) + later;
      add(
        `later:${s.id}`,
        20 + later / 3 + (concerned.has(s.id) ? 0 : 15),
        `serve ${dishName(service, sheets, s)} at ${clockOf(at, zone)}, ${showSpan(later)} later`,
        { servings: servings.map((x) => (x.id === s.id ? { ...x, at: localTime(at, zone) } : x)) },
      );
    }
  }
  for (const s of byConcern.slice(0, 2))
    add(`day:${s.id}`, 130, `serve ${dishName(service, sheets, s)} a day later`, {
      servings: servings.map((x) => (x.id === s.id ? { ...x, at: `${nextDay(x.at.slice(0, 10))}${x.at.slice(10)}` } : x)),
    });
  if (servings.length > 1)
    add('day:all', 145, 'serve everything a day later', { servings: servings.map((x) => ({ ...x, at: `${nextDay(x.at.slice(0, 10))}${x.at.slice(10)}` })) });
  if (servings.length > 1)
    for (const later of [30, 60, 120, 240])
      add('later:all', 60 + later / 2, `serve everything ${showSpan(later)} later`, {
        servings: servings.map((x) => ({ ...x, at: localTime(minuteOf(x.at, zone) + later, zone) })),
      });

  // Hours: somebody comes sooner or stays longer on the days that matter; or begins on the evening before.
  const days = [...new Set(servings.map((s) => s.at.slice(0, 10)))].sort();
  for (const cook of service.crew) {
    const day = days[0]!;
    const of = cook.hours.find((h) => h.days.includes(weekday(day)));
    if (of) {
      for (const h of [1, 2, 3]) {
        const from = Number(of.from.slice(0, 2)) - h;
        if (from >= 0) {
          const sooner = `${String(from).padStart(2, '0')}${of.from.slice(2)}`;
          add(`sooner:${cook.id}`, 30 + 15 * h, `${cook.name} comes at ${sooner}`, {
            crew: service.crew.map((c) => (c === cook ? { ...c, hours: c.hours.map((x) => (x === of ? { ...x, from: sooner } : x)) } : c)),
          });
        }
        const to = Number(of.to.slice(0, 2)) + h;
        if (of.to > of.from && to <= 23) {
          const longer = `${String(to).padStart(2, '0')}${of.to.slice(2)}`;
          add(`longer:${cook.id}`, 30 + 15 * h, `${cook.name} stays until ${longer}`, {
            crew: service.crew.map((c) => (c === cook ? { ...c, hours: c.hours.map((x) => (x === of ? { ...x, to: longer } : x)) } : c)),
          });
        }
      }
    }
    const before = nextDay(day, -1);
    const evening = minuteOf(`${before}T18:00`, zone);
    if (evening > f.now && !cook.hours.some((h) => h.days.includes(weekday(before)) && h.to >= '20:00')) {
      add(`evening:${cook.id}`, 45, `${cook.name} begins on ${dayName(evening, zone)} evening, 18:00 to 22:00`, {
        crew: service.crew.map((c) => (c === cook ? { ...c, hours: [...c.hours, { days: [weekday(before)], from: '18:00', to: '22:00' }] } : c)),
      });
    }
  }
  if (service.from !== null && minuteOf(service.from, zone) > f.now) add('from', 10, 'begin as soon as now', { from: null });
  if (service.spareMin > 0) add('spare', 15, `leave no breathing space before serving (now ${service.spareMin}\u00a0min)`, { spareMin: 0 });
  if (Object.keys(service.pins).length > 0) add('pins', 12, 'let go of what is pinned', { pins: {} });
  const first = service.crew[0];
  add('cook', 90, first ? 'one more pair of hands, with the hours of the first cook' : 'a cook, 08:00 to 22:00', {
    crew: [
      ...service.crew,
      first
        ? { ...first, id: `${first.id}+`, name: 'One more' }
        : { id: 'cook-1', name: 'Cook', hours: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '08:00', to: '22:00' }] },
    ],
  });
  const mixers = new Set<string>();
  for (const s of servings) {
    const sheet = sheets.get(s.sheetId);
    const dish = sheet && dishOf(sheet, s, kitchen, cache);
    if (!dish?.ok) continue;
    for (const t of dish.value.work.tasks) if (t.mixerId !== null) mixers.add(t.mixerId);
    const { analysis } = dish.value;
    // Another place of the same kind, and a shallower or another vessel for the slow ones.
    const here = placeOf(kitchen, analysis.sheet.cold.setup, analysis.sheet.family);
    for (const p of kitchen.places) {
      if (!here || p.id === here.id || p.kind === 'counter' || isFreezer(p) !== isFreezer(here)) continue;
      add(`place:${s.id}:${p.id}`, 35 + (concerned.has(s.id) ? 0 : 10), `${dishName(service, sheets, s)} in the ${inSentence(p.name)}`, {
        servings: servings.map((x) => (x.id === s.id ? { ...x, placeId: p.id } : x)),
      });
    }
    const { vessel } = analysis.sheet;
    if (!isPerPortion(vessel) && (dish.value.coldH ?? 0) > 2) {
      const ml = analysis.volumeMl.ok ? analysis.volumeMl.value : 0;
      const shallow = kitchen.vessels
        .filter(
          (v) =>
            v.count > 0 &&
            v.vessel.name !== vessel.name &&
            !isPerPortion(v.vessel) &&
            v.vessel.kind !== 'tub' &&
            capacityMl(v.vessel) * v.count >= ml &&
            v.vessel.heightMm < vessel.heightMm,
        )
        .sort((a, b) => a.vessel.heightMm - b.vessel.heightMm)[0];
      if (shallow)
        add(`vessel:${s.id}`, 50, `${dishName(service, sheets, s)} in the ${inSentence(shallow.vessel.name)}, which is shallower`, {
          servings: servings.map((x) => (x.id === s.id ? { ...x, vessel: shallow.vessel.name } : x)),
        });
    }
    for (const t of dish.value.work.tasks) {
      const id = taskId(s.id, t.key);
      const { coldH } = dish.value;
      // What rests by its way longer than the cold and the softening want.
      if (t.kind === 'cold' && coldH !== null && service.minutes[id] === undefined && 60 * coldH < t.minutes - 20) {
        const minutes = Math.ceil((60 * coldH) / 10) * 10;
        add(`shorter:${id}`, 28, `‘${inSentence(t.name)}’ for ${showSpan(minutes)}, which is when Cold says that it is ready, not ${showSpan(t.minutes)}`, {
          minutes: { ...service.minutes, [id]: { minutes } },
        });
      }
    }
    if (servings.length > 1) add(`without:${s.id}`, 140, `leave out ${dishName(service, sheets, s)}`, { servings: servings.filter((x) => x !== s) });
    const fewer = Math.floor(s.portions / 2);
    if (fewer >= 1)
      add(`fewer:${s.id}`, 110, `half as many of ${dishName(service, sheets, s)}: ${fewer} portions`, {
        servings: servings.map((x) => (x.id === s.id ? { ...x, portions: fewer } : x)),
      });
  }
  for (const m of mixers) {
    const mixer = kitchen.mixers.find((x) => x.id === m);
    if (mixer) add(`bowl:${m}`, 40, `a second ${inSentence(mixer.name)}`, { moreBowls: { ...service.moreBowls, [m]: (service.moreBowls[m] ?? 0) + 1 } });
  }
  for (const like of likeParts(f, cache))
    if (!service.together.includes(like.madeOf))
      add(`once:${like.madeOf}`, 8, `make ${inSentence(like.part)} once for ${like.dishes.join(' and ')}`, {
        together: madeOnce(service, like.madeOf, true).together,
      });
  return out.sort((a, b) => a.cost - b.cost);
}

/** A wait that is stretched for the sake of the plan is named with its new limit. */
function longerWaits(f: ServiceFacts, cache: DishCache, stuckAt: readonly string[]): readonly Change[] {
  const made = serviceProject(f, cache);
  if (!made.ok) return [];
  return made.value.project.gaps
    .filter((g) => g.max !== null && g.max > 0 && (stuckAt.includes(g.from) || stuckAt.includes(g.to)))
    .flatMap((g): Change[] => {
      const max = Math.ceil((g.max! * 1.5) / 5) * 5;
      return g.says === ''
        ? []
        : [
            {
              key: `wait:${gapKey(g.from, g.to)}`,
              cost: 25,
              says: `let it wait up to ${showSpan(max)}, where ${g.says}`,
              service: { ...f.service, gaps: { ...f.service.gaps, [gapKey(g.from, g.to)]: { min: g.min, max } } },
            },
          ];
    });
}

const ENOUGH = 3;

/**
 * Changes that make an impossible service possible, each tried by the planner on its own: the smallest of its kind that works, at most three kinds.
 *
 * @param stuckAt tasks at which the plan failed. @yields after each try, so that it can be stopped: the mend, or null where it did not do.
 */
export function* tryMends(f: ServiceFacts, cache: DishCache, stuckAt: readonly string[]): Generator<Mend | null> {
  const found: string[] = [];
  const kind = (key: string): string => key.slice(0, key.indexOf(':') < 0 ? key.length : key.indexOf(':'));
  const changes = [...changesFor(f, cache, stuckAt), ...longerWaits(f, cache, stuckAt)].sort((a, b) => a.cost - b.cost);
  for (const c of changes) {
    if (found.includes(kind(c.key))) continue;
    const plan = planService({ ...f, service: c.service }, cache, 'possible');
    if (!plan.ok || !plan.value.ok) {
      yield null;
      continue;
    }
    found.push(kind(c.key));
    yield { key: c.key, says: c.says, service: c.service };
    if (found.length >= ENOUGH) return;
  }
}
