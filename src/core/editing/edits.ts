import type { Ingredient } from '../composition/ingredient';
import { readLine, scaleLineText, splitLine, withAmount, type Measures } from '../measures/line';
import { ingredientNamed, type Matcher } from '../measures/match';
import { inPlannedOrder, settleMethod } from '../ways/settle';
import { partNamed, readFeedAmount } from '../lines/feed';
import { isLossText, readLoss } from '../lines/loss';
import { goesByItself, type PartKind, type StepMachine, type StepWork } from '../document/kinds';
import { questionNamed } from '../schools/questions';
import type { Line, Part, Sheet, Step } from '../document/schema';

/** What an edit needs to know of the kitchen. */
export interface EditContext {
  readonly larder: ReadonlyMap<string, Ingredient>;
  readonly matcher: Matcher;
  readonly measures: Measures;
}

const editPart = (sheet: Sheet, partId: string, change: (part: Part) => Part): Sheet => ({
  ...sheet,
  parts: sheet.parts.map((p) => (p.id === partId ? change(p) : p)),
});

const editLines = (sheet: Sheet, partId: string, change: (lines: readonly Line[]) => readonly Line[]): Sheet =>
  editPart(sheet, partId, (p) => ({ ...p, lines: change(p.lines) }));

const findLine = (sheet: Sheet, lineId: string): Line | undefined => sheet.parts.flatMap((p) => p.lines).find((l) => l.id === lineId);

const EMPTY: Omit<Line, 'id'> = { text: '', ingredientId: null, fromPartId: null, lastGood: null, stepId: null };

/** A line from typed text, its ingredient looked up; in a sheet it may also take from another part. */
export function newLine(id: string, text: string, context: EditContext, within?: { readonly parts: readonly Part[]; readonly partId: string }): Line {
  return retyped({ id, ...EMPTY }, text, context, within?.parts ?? [], within?.partId ?? '');
}

/** A line with other text: what it names is looked up again only when the name changed. */
function retyped(line: Line, text: string, context: EditContext, parts: readonly Part[], partId: string): Line {
  if (isLossText(text)) {
    const loss = { ...line, text, ingredientId: null, fromPartId: null };
    return readLoss(text).ok ? { ...loss, lastGood: { text, ingredientId: null, fromPartId: null } } : loss;
  }
  const from = partNamed(text, parts, partId);
  if (from) {
    const feed = { ...line, text, ingredientId: null, fromPartId: from.id };
    return readFeedAmount(text).ok ? { ...feed, lastGood: { text, ingredientId: null, fromPartId: from.id } } : feed;
  }
  const before = splitLine(line.text);
  const after = splitLine(text);
  const renamed =
    line.fromPartId !== null || isLossText(line.text) || after.name !== before.name || (after.fatText !== before.fatText && line.ingredientId === null);
  const ingredientId = renamed ? (ingredientNamed(after, context.matcher)?.id ?? null) : line.ingredientId;
  return settled({ ...line, text, ingredientId, fromPartId: null }, context);
}

/** Remembers a line as good when it can be read. */
function settled(line: Line, context: EditContext): Line {
  const ingredient = line.ingredientId === null ? null : (context.larder.get(line.ingredientId) ?? null);
  if (!ingredient || !readLine(line.text, ingredient, context.measures).ok) return line;
  return { ...line, lastGood: { text: line.text, ingredientId: ingredient.id, fromPartId: null } };
}

/** What of a line decides its step. */
const meaning = (line: Line | undefined): string =>
  line ? `${line.ingredientId ?? line.lastGood?.ingredientId ?? ''}|${line.fromPartId ?? ''}|${isLossText(line.text)}` : '';

export function setLineText(sheet: Sheet, partId: string, lineId: string, text: string, context: EditContext): Sheet {
  const before = findLine(sheet, lineId);
  const after = editLines(sheet, partId, (lines) => lines.map((l) => (l.id === lineId ? retyped(l, text, context, sheet.parts, partId) : l)));
  return meaning(before) === meaning(findLine(after, lineId)) ? after : settleMethod(rebound(after, lineId), context.larder);
}

/** A line whose ingredient changed looks for its step again, unless the cook gave it one of their own steps. */
function rebound(sheet: Sheet, lineId: string): Sheet {
  const own = new Set(sheet.steps.filter((s) => s.key === null).map((s) => s.id));
  return {
    ...sheet,
    parts: sheet.parts.map((p) =>
      p.lines.some((l) => l.id === lineId)
        ? { ...p, lines: p.lines.map((l) => (l.id === lineId && !(l.stepId && own.has(l.stepId)) ? { ...l, stepId: null } : l)) }
        : p,
    ),
  };
}

/** Settles which ingredient a line means; what was typed stays. */
export function setLineIngredient(sheet: Sheet, partId: string, lineId: string, ingredient: Ingredient, context: EditContext): Sheet {
  const after = editLines(sheet, partId, (lines) =>
    lines.map((l) => (l.id === lineId ? settled({ ...l, ingredientId: ingredient.id, fromPartId: null }, context) : l)),
  );
  return settleMethod(rebound(after, lineId), context.larder);
}

export function addLine(sheet: Sheet, partId: string, line: Line, context: EditContext, at?: number): Sheet {
  return settleMethod(
    editLines(sheet, partId, (lines) => (at === undefined ? [...lines, line] : [...lines.slice(0, at), line, ...lines.slice(at)])),
    context.larder,
  );
}

export const removeLine = (sheet: Sheet, partId: string, lineId: string, context: EditContext): Sheet =>
  settleMethod(
    editLines(sheet, partId, (lines) => lines.filter((l) => l.id !== lineId)),
    context.larder,
  );

/** Moves a line to another place in its part. */
export function moveLine(sheet: Sheet, partId: string, lineId: string, to: number): Sheet {
  return editLines(sheet, partId, (lines) => moved(lines, lineId, to));
}

function moved<T extends { readonly id: string }>(list: readonly T[], id: string, to: number): readonly T[] {
  const item = list.find((x) => x.id === id);
  if (!item) return list;
  const rest = list.filter((x) => x.id !== id);
  const at = Math.max(0, Math.min(rest.length, to));
  return [...rest.slice(0, at), item, ...rest.slice(at)];
}

/** Replaces the amount of a line, in whatever measure; its name and its fat stay. */
export function setLineAmount(sheet: Sheet, partId: string, lineId: string, amount: string, context: EditContext): Sheet {
  const line = findLine(sheet, lineId);
  return line ? setLineText(sheet, partId, lineId, withAmount(line.text, amount), context) : sheet;
}

/** Binds a line to the step that uses it; null for none. */
export const setLineStep = (sheet: Sheet, partId: string, lineId: string, stepId: string | null): Sheet =>
  editLines(sheet, partId, (lines) => lines.map((l) => (l.id === lineId ? { ...l, stepId } : l)));

/** Another name or plan for a part. Lines of other parts that take from it by its old name follow, and so do its steps. */
export function setPart(sheet: Sheet, partId: string, change: Partial<Pick<Part, 'name' | 'whisk' | 'heat' | 'stands'>>, context: EditContext): Sheet {
  const before = sheet.parts.find((p) => p.id === partId);
  const changed = editPart(sheet, partId, (p) => ({ ...p, ...change }));
  const named = before && change.whisk && change.whisk.sugarAt !== before.whisk.sugarAt ? settleMethod(changed, context.larder, new Set([partId])) : changed;
  if (!before || change.name === undefined || change.name === before.name || before.name.trim() === '') return named;
  const pattern = new RegExp(before.name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), 'i');
  const follow = (text: string): string => text.replace(pattern, () => change.name ?? '');
  return {
    ...named,
    parts: named.parts.map((p) => ({
      ...p,
      lines: p.lines.map((l) =>
        l.fromPartId === partId ? { ...l, text: follow(l.text), lastGood: l.lastGood && { ...l.lastGood, text: follow(l.lastGood.text) } } : l,
      ),
    })),
  };
}

/** Another kind for a part: its schools and, in a method of the ways, its steps follow; its lines and their words stay. */
export function setPartKind(sheet: Sheet, partId: string, kind: PartKind, context: EditContext): Sheet {
  const changed = editPart(sheet, partId, (p) => ({
    ...p,
    kind,
    ways: Object.fromEntries(Object.entries(p.ways).filter(([key]) => questionNamed(key)?.kinds.includes(kind))),
  }));
  return settleMethod(changed, context.larder, new Set([partId]));
}

/** Moves a line into another part, to its end; in a method of the cook's own it keeps its step. */
export function setLinePart(sheet: Sheet, lineId: string, toPartId: string, context: EditContext): Sheet {
  const line = findLine(sheet, lineId);
  const to = sheet.parts.find((p) => p.id === toPartId);
  if (!line || !to || to.lines.some((l) => l.id === lineId) || line.fromPartId === toPartId) return sheet;
  const moved = { ...line, stepId: sheet.method === 'own' ? line.stepId : null };
  const parts = sheet.parts.map((p) => (p.id === toPartId ? { ...p, lines: [...p.lines, moved] } : { ...p, lines: p.lines.filter((l) => l.id !== lineId) }));
  return settleMethod({ ...sheet, parts }, context.larder);
}

/** Divides a line: so large a share (0–1) of it becomes a line of its own behind it, for another step. */
export function divideLine(sheet: Sheet, lineId: string, share: number, newId: string, context: EditContext): Sheet {
  const part = sheet.parts.find((p) => p.lines.some((l) => l.id === lineId));
  const line = findLine(sheet, lineId);
  if (!part || !line || !(share > 0 && share < 1) || line.fromPartId !== null) return sheet;
  const at = part.lines.findIndex((l) => l.id === lineId);
  const less = settled({ ...line, text: scaleLineText(line.text, 1 - share) }, context);
  const more = settled({ ...line, id: newId, text: scaleLineText(line.text, share) }, context);
  return editLines(sheet, part.id, (lines) => [...lines.slice(0, at), less, more, ...lines.slice(at + 1)]);
}

/** Lets the last step that builds the dessert take a part up, so that it goes somewhere. */
export function placePart(sheet: Sheet, partId: string): Sheet {
  const builds = (s: Step): boolean => s.parts.length > 0 || s.work === 'fill' || s.work === 'finish';
  const built = sheet.steps.findLastIndex(builds);
  const at =
    built >= 0
      ? built
      : Math.max(
          sheet.steps.findLastIndex((s) => s.partId === null),
          0,
        );
  return { ...sheet, steps: sheet.steps.map((s, i) => (i === at && !s.parts.includes(partId) ? { ...s, parts: [...s.parts, partId] } : s)) };
}

/** Which part a step makes; null for putting the dessert together. */
export const setStepPart = (sheet: Sheet, stepId: string, partId: string | null): Sheet => ({
  ...sheet,
  steps: sheet.steps.map((s) => (s.id === stepId ? { ...s, partId, edited: true } : s)),
});

/** What kind of work a step is: what goes on by itself has its time as a wait, all else at hand; only whisking has the whisk's clock. */
export function setStepWork(sheet: Sheet, stepId: string, work: StepWork): Sheet {
  return {
    ...sheet,
    steps: sheet.steps.map((s) => {
      if (s.id !== stepId) return s;
      const said =
        s.minutes ??
        (s.waitH ? ([60 * s.waitH[0], 60 * s.waitH[1]] as [number, number]) : s.handsMin === null ? null : ([s.handsMin, s.handsMin] as [number, number]));
      const by = goesByItself(work);
      return {
        ...s,
        work,
        edited: true,
        whisks: work === 'whisk',
        machine: MACHINE_OF[work],
        waitH: by && said ? [said[0] / 60, said[1] / 60] : null,
        handsMin: !by && said ? Math.min(6000, said[1]) : null,
      };
    }),
  };
}

const MACHINE_OF: Readonly<Record<StepWork, StepMachine | null>> = {
  hands: null,
  whisk: 'mixer',
  beat: null,
  fold: null,
  heat: 'hob',
  bake: 'oven',
  soak: null,
  wait: null,
  chill: 'fridge',
  freeze: 'freezer',
  fill: null,
  finish: null,
  serve: null,
};

export const addPart = (sheet: Sheet, part: Part, context: EditContext): Sheet => settleMethod({ ...sheet, parts: [...sheet.parts, part] }, context.larder);

/** Takes a part out; lines that took from it stay as they are written and say that it is gone. The last part stays. */
export function removePart(sheet: Sheet, partId: string, context: EditContext): Sheet {
  if (sheet.parts.length <= 1) return sheet;
  const parts = sheet.parts
    .filter((p) => p.id !== partId)
    .map((p) => ({ ...p, lines: p.lines.map((l) => (l.fromPartId === partId ? { ...l, fromPartId: null, lastGood: null, stepId: null } : l)) }));
  return settleMethod({ ...sheet, parts }, context.larder);
}

/** Moves a part to another place in the building order; the steps follow. */
export function movePart(sheet: Sheet, partId: string, to: number, context: EditContext): Sheet {
  return inPlannedOrder({ ...sheet, parts: moved(sheet.parts, partId, to) }, context.larder);
}

/** Changes the cook's words or figures of a step; a change of way leaves them from then on. */
export const setStep = (sheet: Sheet, stepId: string, change: Partial<Omit<Step, 'id' | 'key' | 'partId'>>): Sheet => ({
  ...sheet,
  steps: sheet.steps.map((s) => (s.id === stepId ? { ...s, ...change, edited: s.edited || Object.keys(change).some((k) => k !== 'note') } : s)),
});

/** Moves a step in the working order; in a method of the cook's own what it was to wait for stands before it no longer where it is moved past that. */
export function moveStep(sheet: Sheet, stepId: string, to: number): Sheet {
  const steps = moved(sheet.steps, stepId, to);
  const place = new Map(steps.map((s, i) => [s.id, i]));
  return {
    ...sheet,
    steps: steps.map((s, i) => (s.after.some((a) => (place.get(a) ?? -1) > i) ? { ...s, after: s.after.filter((a) => (place.get(a) ?? -1) < i) } : s)),
  };
}

/** A step of the cook's own, behind another one. */
export function addStep(sheet: Sheet, id: string, title: string, partId: string | null, afterStepId: string | null): Sheet {
  const step: Step = {
    id,
    partId,
    key: null,
    title,
    short: title.split(/\s+/)[0]?.toLowerCase().slice(0, 30) ?? '',
    detail: '',
    handsMin: null,
    waitH: null,
    tempC: null,
    ovenC: null,
    useWithinMin: null,
    whisks: false,
    wants: [],
    parts: [],
    edited: true,
    note: '',
    work: 'hands',
    minutes: null,
    machine: null,
    after: [],
    ahead: 0,
    by: null,
  };
  const at = sheet.steps.findIndex((s) => s.id === afterStepId);
  return { ...sheet, steps: at < 0 ? [...sheet.steps, step] : [...sheet.steps.slice(0, at + 1), step, ...sheet.steps.slice(at + 1)] };
}

/** Takes a step out; its lines have no step then, and a tell says so. A step of a way comes back when the way is chosen anew. */
export const removeStep = (sheet: Sheet, stepId: string): Sheet => ({
  ...sheet,
  steps: sheet.steps
    .filter((s) => s.id !== stepId)
    .map((s) =>
      s.after.includes(stepId)
        ? { ...s, after: [...new Set(s.after.flatMap((a) => (a === stepId ? (sheet.steps.find((x) => x.id === stepId)?.after ?? []) : [a])))] }
        : s,
    ),
  parts: sheet.parts.map((p) =>
    p.lines.some((l) => l.stepId === stepId) ? { ...p, lines: p.lines.map((l) => (l.stepId === stepId ? { ...l, stepId: null } : l)) } : p,
  ),
});

export const setFamily = (sheet: Sheet, family: Sheet['family'], context: EditContext): Sheet => settleMethod({ ...sheet, family }, context.larder);
