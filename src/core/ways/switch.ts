import type { Ingredient } from '../composition/ingredient';
import { readLine, type Measures } from '../measures/line';
import { roleOf, type Role } from '../larder/role';
import { showGramsPlain } from '../figure';
import type { Line, Part, Sheet } from '../document/schema';
import { optionOf, questionNamed, WAY_QUESTIONS, type LineChange, type WayOption, type WayQuestion } from '../schools/questions';
import { settleMethod } from './settle';

type Larder = ReadonlyMap<string, Ingredient>;

/** What a change of way needs to know; ids are passed in so that the core has no randomness. */
export interface SwitchContext {
  readonly larder: Larder;
  readonly measures: Measures;
  readonly newId: () => string;
}

const ingredientOf = (line: Line, larder: Larder): Ingredient | null => larder.get(line.ingredientId ?? '') ?? null;
const rolesOf = (part: Part, larder: Larder): ReadonlySet<Role> =>
  new Set(part.lines.flatMap((l) => (l.fromPartId !== null ? ['part' as const] : ingredientOf(l, larder) ? [roleOf(ingredientOf(l, larder)!)] : [])));

/** The questions that can be asked of a part now, with the school that holds. */
export function waysOfPart(part: Part, larder: Larder): readonly { readonly question: WayQuestion; readonly option: WayOption }[] {
  const roles = rolesOf(part, larder);
  return WAY_QUESTIONS.filter((q) => q.kinds.includes(part.kind) && q.needs.every((r) => roles.has(r)) && applies(q, part, roles)).map((question) => ({
    question,
    option: heldOption(question, part, larder),
  }));
}

/** Questions whose lines make them meaningless are not asked: eggs of a foam without yolk, a meringue without sugar. */
function applies(q: WayQuestion, part: Part, roles: ReadonlySet<Role>): boolean {
  if (q.key === 'eggs') return roles.has('yolk') || roles.has('egg') || part.ways.eggs === 'none';
  if (q.key === 'whites' && part.kind === 'egg-foam') return !roles.has('yolk') && !roles.has('egg');
  return true;
}

/** The school that a part holds: for the sugar moment and the peak, what its whisk plan says. */
function heldOption(q: WayQuestion, part: Part, larder: Larder): WayOption {
  if (q.key === 'sugar-moment') return optionOf(q, part.whisk.sugarAt);
  if (q.key === 'peak') return optionOf(q, part.whisk.stage);
  if (q.key === 'sugar-kind') return optionOf(q, part.lines.some((l) => ingredientOf(l, larder)?.id.startsWith('icing-sugar')) ? 'icing' : 'caster');
  return optionOf(q, part.ways[q.key]);
}

export const waysOfSheet = (sheet: Sheet): readonly { readonly question: WayQuestion; readonly option: WayOption }[] =>
  WAY_QUESTIONS.filter((q) => q.families.includes(sheet.family)).map((question) => ({ question, option: optionOf(question, sheet.ways[question.key]) }));

/**
 * The sheet after choosing a school: its lines changed as the school asks, its steps rewritten, the cook's own words and notes kept.
 * @param partId null for a school of the whole dessert.
 */
export function switchWay(sheet: Sheet, partId: string | null, questionKey: string, optionId: string, context: SwitchContext): Sheet {
  const question = questionNamed(questionKey);
  if (!question) return sheet;
  const option = optionOf(question, optionId);
  if (partId === null) return settleMethod({ ...sheet, ways: { ...sheet.ways, [questionKey]: option.id } }, context.larder);
  const parts = sheet.parts.map((p) => (p.id === partId ? switchedPart(p, questionKey, option, context) : p));
  return settleMethod({ ...sheet, parts }, context.larder, new Set([partId]));
}

function switchedPart(part: Part, questionKey: string, option: WayOption, context: SwitchContext): Part {
  let next: Part = { ...part, ways: { ...part.ways, [questionKey]: option.id }, whisk: { ...part.whisk, ...option.whisk } };
  for (const change of option.lines ?? []) next = { ...next, lines: changedLines(next, change, context) };
  return next;
}

function changedLines(part: Part, change: LineChange, { larder, measures, newId }: SwitchContext): readonly Line[] {
  if (change.kind === 'drop') return part.lines.filter((l) => !ingredientOf(l, larder) || roleOf(ingredientOf(l, larder)!) !== change.role);
  if (change.kind === 'swap') {
    const to = larder.get(change.to);
    if (!to) return part.lines;
    return part.lines.map((l) => {
      if (l.ingredientId !== change.from) return l;
      const read = readLine(l.text, ingredientOf(l, larder), measures);
      if (!read.ok) return l;
      return madeLine(l.id, `${showGramsPlain(read.value.massG)} ${shortName(to)}`, to, null);
    });
  }
  const to = larder.get(change.ingredientId);
  if (!to || part.lines.some((l) => ingredientOf(l, larder) && roleOf(ingredientOf(l, larder)!) === change.unless)) return part.lines;
  let baseG = 0;
  for (const l of part.lines) {
    const ingredient = ingredientOf(l, larder);
    if (!ingredient || roleOf(ingredient) !== change.per100Of) continue;
    const read = readLine(l.text, ingredient, measures);
    if (read.ok) baseG += read.value.massG;
  }
  const grams = (baseG * change.grams) / 100;
  if (!(grams > 0)) return part.lines;
  return [...part.lines, madeLine(newId(), amountText(grams, to), to, null)];
}

/** Leaves in halves, whites and yolks whole, anything else in grams. */
function amountText(grams: number, ingredient: Ingredient): string {
  if (ingredient.piece?.name === 'leaf') {
    const halves = Math.max(1, Math.round((grams / ingredient.piece.grams) * 2));
    return `${halves / 2} ${halves > 2 ? 'leaves' : 'leaf'} ${shortName(ingredient)}`.replace('0.5', '1/2').replace('.5', ' 1/2');
  }
  if (ingredient.category === 'egg' && ingredient.piece && ingredient.flags.includes('raw-egg'))
    return `${Math.max(1, Math.round(grams / ingredient.piece.grams))} ${shortName(ingredient)}`;
  return `${showGramsPlain(grams < 10 ? grams : Math.round(grams))} ${shortName(ingredient)}`;
}

/** A name that a cook would write and the larder finds again. */
export const shortName = (i: Ingredient): string => i.aliases[0] ?? i.name.replace(/\s*\(.*?\)/g, '').toLowerCase();

const madeLine = (id: string, text: string, ingredient: Ingredient, stepId: string | null): Line => ({
  id,
  text,
  ingredientId: ingredient.id,
  fromPartId: null,
  lastGood: { text, ingredientId: ingredient.id, fromPartId: null },
  stepId,
});
