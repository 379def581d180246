import { inSentence, plainNumber, withUnit } from '../figure';
import type { NoPlan } from './plan';
import type { ServiceProject, TaskFacts } from './service-project';
import { dayClock } from './clock-words';

/** Minutes as cooks say them: '40 min', '2 h 10', '3 days'. */
export function showSpan(minutes: number): string {
  const min = Math.round(minutes);
  if (min < 100) return withUnit(`${min}`, 'min');
  if (min < 48 * 60) return `${Math.floor(min / 60)}\u00a0h${min % 60 > 0 ? `\u00a0${String(min % 60).padStart(2, '0')}` : ''}`;
  return withUnit(plainNumber(min / 1440, min % 1440 === 0 ? 0 : 1), 'days');
}

export const taskSays = (t: TaskFacts): string => `‘${inSentence(t.name)}’${t.dish ? ` (${t.dish})` : ''}`;

/** Why there is no plan, in one sentence with the tasks named. */
export function noPlanSays(why: NoPlan, { project, facts }: ServiceProject, zone: string): string {
  const says = (i: number): string => taskSays(facts[i]!);
  switch (why.kind) {
    case 'bad':
      return why.what === 'nobody'
        ? `Nobody is there for ${says(why.task)}: the service has no cook. Add one with their hours.`
        : `${capital(says(why.task))} takes ${showSpan(project.tasks[why.task]!.minutes)}, longer than any cook is there at a stretch.`;
    case 'circle': {
      const dishes = new Set(why.tasks.map((i) => facts[i]!.dish));
      const names = why.tasks.filter((i) => facts[i]!.kind !== 'served').map((i) => (dishes.size === 1 ? `‘${inSentence(facts[i]!.name)}’` : says(i)));
      const whose = dishes.size === 1 ? `${[...dishes][0]}: ` : '';
      return why.of === 'wait'
        ? `${whose}these wait for each other in a circle: ${list(names)}.`
        : `${whose}${project.gaps[why.gap]!.says || 'a wait'}, but what must happen meanwhile takes longer: ${list([...new Set(names)])}.`;
    }
    case 'clash': {
      const { task, soon, late, rules, side } = why.clash;
      const fact = facts[task]!;
      if (!Number.isFinite(soon) || !Number.isFinite(late))
        return `No cook is there for ${says(task)} at a time that would do${Number.isFinite(late) ? ` (by ${dayClock(late, zone)})` : Number.isFinite(soon) ? ` (from ${dayClock(soon, zone)})` : ''}.`;
      const others = [...new Set(rules.flatMap((r) => chainTasks(r, project)))].filter((i) => i !== task && facts[i]!.kind !== 'served');
      const names = [...new Set(others.map((i) => (facts[i]!.dish === fact.dish ? `‘${inSentence(facts[i]!.name)}’` : says(i))))].slice(0, 3);
      const through = names.length === 0 ? '' : side === 'late' ? `, to leave time for ${list(names)}` : `, after ${list(names)}`;
      if (fact.kind === 'served') return `${fact.dish} would be ready at ${dayClock(soon, zone)} at the soonest, ${showSpan(soon - late)} after it is served.`;
      return side === 'late'
        ? `${fact.dish}: ‘${inSentence(fact.name)}’ would have to begin by ${dayClock(late, zone)}${through}, but it cannot before ${dayClock(soon, zone)}.`
        : `${fact.dish}: ‘${inSentence(fact.name)}’ cannot begin before ${dayClock(soon, zone)}${through}, but it would have to by ${dayClock(late, zone)}.`;
    }
    case 'stuck': {
      const { task, because, held } = why.stuck;
      const name = says(task);
      if (!because) return `${capital(name)} finds no place between what comes before and after it.`;
      const other = because.task >= 0 ? says(because.task) : null;
      if (because.kind === 'machines') {
        const machine = project.machines[because.resource];
        const what = machine && !machine.id.startsWith('cook:') ? machine.name : 'hands';
        return `${capital(name)} finds no ${what === 'hands' ? 'free hands' : `free ${what}`}${other ? `: ${other} has ${what === 'hands' ? 'them' : 'it'}` : ''}${held >= 0 ? `, and it may not be sooner because of ${says(held)}` : ''}.`;
      }
      const pool = project.pools[because.resource]!;
      const beside = other ? ` beside ${other}` : '';
      if (pool.unit === '')
        return `There ${pool.capacity === 1 ? 'is' : 'are'} only ${plainNumber(pool.capacity, 0)} × ${pool.name}: ${name} finds none${other ? `, because of ${other}` : ''}.`;
      return `${pool.name} is full (${plainNumber(pool.capacity, 0)}\u00a0${pool.unit}): ${name} does not go in${beside}.`;
    }
  }
}

/** The two tasks of a rule. Rules are numbered as the gaps come: one for the least wait, one more where there is a most. */
function chainTasks(rule: number, project: ServiceProject['project']): readonly number[] {
  let n = -1;
  for (const g of project.gaps) {
    n += g.max === null ? 1 : 2;
    if (n >= rule) return [g.from, g.to].map((id) => project.tasks.findIndex((t) => t.id === id)).filter((i) => i >= 0);
  }
  return [];
}

const capital = (text: string): string =>
  text.charAt(0) === '‘' ? `‘${text.charAt(1).toUpperCase()}${text.slice(2)}` : text.charAt(0).toUpperCase() + text.slice(1);

function list(items: readonly string[]): string {
  if (items.length <= 1) return items[0] ?? '';
  return `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`;
}
