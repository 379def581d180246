import type { Ingredient } from '../composition/ingredient';
import { roleOf, type Role } from '../larder/role';
import { splitLine } from '../measures/line';
import { plainName } from '../measures/match';
import { isLossText } from '../lines/loss';
import { usedUpParts } from '../lines/read-sheet';
import type { Line, Part, Sheet, Step } from '../document/schema';
import type { PartKind } from '../document/kinds';
import { assemblyOf, methodOf, type MethodContext, type StepTemplate } from './methods';
import { optionOf, questionNamed } from '../schools/questions';

type Larder = ReadonlyMap<string, Ingredient>;

/** The role of a line in its method; null for a loss and for what is not known yet. */
function lineRole(line: Line, larder: Larder): Role | null {
  if (line.fromPartId !== null) return 'part';
  if (isLossText(line.text)) return null;
  const ingredient = larder.get(line.ingredientId ?? line.lastGood?.ingredientId ?? '');
  return ingredient ? roleOf(ingredient) : null;
}

const wayOf =
  (chosen: Readonly<Record<string, string>>) =>
  (key: string): string => {
    const q = questionNamed(key);
    return q ? optionOf(q, chosen[key]).id : '';
  };

function contextOf(part: Part, larder: Larder): MethodContext {
  const roles = new Set(part.lines.map((l) => lineRole(l, larder)));
  const way = wayOf(part.ways);
  // When the sugar goes in stands in the whisk plan, where Whisk changes it too.
  return { has: (role) => roles.has(role), way: (key) => (key === 'sugar-moment' ? part.whisk.sugarAt : way(key)) };
}

/** A step of the canonical method, with the part that it makes. */
export interface Planned {
  readonly id: string;
  readonly partId: string | null;
  readonly template: StepTemplate;
  readonly parts: readonly string[];
}

const LATE: readonly PartKind[] = ['topping', 'crown'];

/** Every step that the ways ask for, in working order: parts as they are built, late ones after the rest, then serving. */
export function plannedSteps(sheet: Sheet, larder: Larder): readonly Planned[] {
  const ofPart = (part: Part): readonly Planned[] =>
    methodOf(part.kind, contextOf(part, larder)).map((template) => ({ id: `${part.id}.${template.key}`, partId: part.id, template, parts: [] }));
  const usedUp = usedUpParts(sheet);
  const placed = sheet.parts.filter((p) => p.kind !== 'soak' && !usedUp.has(p.id));
  const unplaced = new Set(placed.map((p) => p.id));
  const assembly: Planned[] = [];
  for (const template of assemblyOf(sheet.family, { has: () => false, way: wayOf(sheet.ways) })) {
    const parts = template.parts ? placed.filter((p) => unplaced.has(p.id) && template.parts!.includes(p.kind)).map((p) => p.id) : [];
    parts.forEach((p) => unplaced.delete(p));
    // A step that exists to take parts up is left out when there are none; resting and turning out stay.
    if (template.parts && parts.length === 0 && !template.wait && template.key !== 'unmould') continue;
    assembly.push({ id: `assembly.${template.key}`, partId: null, template, parts });
  }
  const early = sheet.parts.filter((p) => !LATE.includes(p.kind));
  const late = sheet.parts.filter((p) => LATE.includes(p.kind));
  const takesLate = assembly.findIndex((a) => a.parts.some((id) => late.some((p) => p.id === id)));
  const cut = takesLate < 0 ? assembly.length : takesLate;
  return [...early.flatMap(ofPart), ...assembly.slice(0, cut), ...late.flatMap(ofPart), ...assembly.slice(cut)];
}

/** A planned step as one of a sheet; where it is there already, with its note and the cook's own words. */
export function stepOf(p: Planned, before: Step | undefined): Step {
  const t = p.template;
  const fresh: Step = {
    id: p.id,
    partId: p.partId,
    key: t.key,
    title: t.title,
    short: t.short,
    detail: t.detail,
    handsMin: t.hands,
    waitH: t.wait ? [t.wait[0], t.wait[1]] : null,
    tempC: t.tempC ?? null,
    ovenC: t.ovenC ?? null,
    useWithinMin: t.within ?? null,
    whisks: t.whisks ?? false,
    wants: [...(t.wants ?? [])],
    parts: [...p.parts],
    edited: false,
    note: '',
    work: null,
    minutes: null,
    machine: null,
    after: [],
    ahead: 0,
    by: null,
  };
  if (!before) return fresh;
  if (before.edited) return { ...before, wants: fresh.wants, parts: fresh.parts, whisks: fresh.whisks };
  return { ...fresh, note: before.note };
}

/** Steps of ways that no longer apply: the cook's words stay as a step of their own, notes go with it; the rest goes. */
const leftOver = (steps: readonly Step[], planned: readonly Planned[], partIds: ReadonlySet<string>): readonly Step[] => {
  const wanted = new Set(planned.map((p) => p.id));
  return steps.flatMap((s) => {
    if (s.partId !== null && !partIds.has(s.partId)) return s.key === null ? [{ ...s, partId: null }] : [];
    if (s.key === null || wanted.has(s.id)) return [s];
    if (s.edited || s.note !== '') return [{ ...s, key: null, wants: [], edited: true, id: `own-${s.id}`.slice(0, 60) }];
    return [];
  });
};

/** In a method of the cook's own words: the first step that names the ingredient, those of its part first. */
function stepThatNames(line: Line, part: Part, steps: readonly Step[], larder: Larder): string | null {
  const ingredient = larder.get(line.ingredientId ?? '');
  const words = plainName(`${splitLine(line.text).name} ${ingredient?.name.split(/[,(]/)[0] ?? ''}`)
    .split(' ')
    .filter((w) => w.length > 3)
    .map((w) => w.replace(/(es|s)$/, ''));
  const names = (s: Step): boolean => {
    const text = plainName(`${s.title} ${s.detail}`);
    return words.some((w) => new RegExp(`(?:^| )${w}(?:s|es)?(?: |$)`).test(text));
  };
  return (steps.find((s) => s.partId === part.id && names(s)) ?? steps.find(names))?.id ?? null;
}

/** Which step of its part a line goes to by its role: the first that takes the role, else the first that takes the rest. */
function naturalStep(part: Part, line: Line, larder: Larder, planned: readonly Planned[]): string | null {
  const role = lineRole(line, larder);
  if (role === null) return null;
  const templates = planned.flatMap((p) => (p.partId === part.id ? [p.template] : []));
  const named = templates.find((t) => t.takes !== 'rest' && t.takes?.includes(role));
  const rest = templates.find((t) => t.takes === 'rest');
  const step = named ?? rest;
  return step ? `${part.id}.${step.key}` : null;
}

/**
 * Brings the steps of a sheet in line with its parts, lines and ways. Steps that stay keep their place, their notes and the cook's
 * own words; new ones come in where the way has them. Lines without a step get the one that their role goes to.
 *
 * @param rebind parts whose lines are bound anew (after a change of way); lines on the cook's own steps stay there.
 */
export function settleMethod(sheet: Sheet, larder: Larder, rebind: ReadonlySet<string> = new Set()): Sheet {
  const planned = sheet.method === 'own' ? [] : plannedSteps(sheet, larder);
  const kept = leftOver(sheet.steps, planned, new Set(sheet.parts.map((p) => p.id)));
  const byId = new Map(planned.map((p) => [p.id, p]));
  const steps: Step[] = kept.map((s) => {
    const p = byId.get(s.id);
    return p ? stepOf(p, s) : s;
  });
  const there = new Set(steps.map((s) => s.id));
  planned.forEach((p, i) => {
    if (there.has(p.id)) return;
    steps.splice(placeOf(i, planned, steps), 0, stepOf(p, undefined));
  });
  const known = new Map(steps.map((s) => [s.id, s]));
  const parts = sheet.parts.map((part) => {
    let changed = false;
    const lines = part.lines.map((line) => {
      const now = line.stepId === null ? null : known.get(line.stepId);
      const own = now?.key === null;
      if (now && (own || !rebind.has(part.id))) return line;
      const stepId = sheet.method === 'own' ? stepThatNames(line, part, steps, larder) : naturalStep(part, line, larder, planned);
      if (stepId === line.stepId) return line;
      changed = true;
      return { ...line, stepId };
    });
    return changed ? { ...part, lines } : part;
  });
  return { ...sheet, steps, parts };
}

/** Where a new step goes: behind the nearest earlier step of the plan that is there, else before the nearest later one. */
function placeOf(i: number, planned: readonly Planned[], steps: readonly Step[]): number {
  for (let j = i - 1; j >= 0; j--) {
    const at = steps.findIndex((s) => s.id === planned[j]!.id);
    if (at >= 0) return at + 1;
  }
  for (let j = i + 1; j < planned.length; j++) {
    const at = steps.findIndex((s) => s.id === planned[j]!.id);
    if (at >= 0) return at;
  }
  return steps.length;
}

/** The steps in the order that the ways have them, the cook's own behind what they stood behind; for parts that were moved. */
export function inPlannedOrder(sheet: Sheet, larder: Larder): Sheet {
  const planned = plannedSteps(sheet, larder);
  const rank = new Map(planned.map((p, i) => [p.id, i]));
  let last = -1;
  const keyed = sheet.steps.map((step, i) => {
    last = rank.get(step.id) ?? last;
    return { step, at: rank.get(step.id) ?? last + 0.5, i };
  });
  return { ...sheet, steps: keyed.sort((a, b) => a.at - b.at || a.i - b.i).map((k) => k.step) };
}
