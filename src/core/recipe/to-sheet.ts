import type { Ingredient } from '../composition/ingredient';
import { roleOf, type Role } from '../larder/role';
import type { CupSystem } from '../measures/units';
import { newLine, type EditContext } from '../sheet/edits';
import { FORMAT_VERSION, USUAL_WAIT_H } from '../sheet/kinds';
import type { Line, Part, Sheet, Step } from '../sheet/schema';
import { startingPart } from '../sheet/starting';
import { USUAL_COLD } from '../cold/usual';
import { USUAL_TIN } from '../tin/usual';
import { STARTING_VESSELS } from '../vessel/profile';
import { settleMethod } from '../ways/settle';
import { guessFamily, guessKind, withCups, type DraftRow } from './draft';
import { portionsOf } from './read-text';

/** What turning a draft into a sheet needs besides its rows. */
export interface ToSheet {
  readonly context: EditContext;
  readonly mixerId: string;
  /** Which cup and spoon the recipe means. */
  readonly cups: CupSystem;
  /** Fresh ids, so that the core has no randomness. */
  readonly newId: () => string;
}

const TEMP = /(-?\d{1,3})\s?(?:°|º|degrees?)\s?(C|F|Celsius|Fahrenheit)\b/i;
const OVEN = /\boven|\bbake|\bpreheat/i;
const SPAN = /(\d+(?:[.,]\d+)?)(?:\s?(?:-|–|to)\s?(\d+(?:[.,]\d+)?))?\s?(hours?|hrs?|h|minutes?|mins?|min)\b/i;
const PASSIVE = /\bchill|\brefrigerat|\bfreez|\brest\b|\bset\b|\bcool|\bovernight|\bsoak|\bleave|\blet\b|\bbake|\bsoften/i;

/** The figures that a written step names: temperature, oven, time at hand or waiting. */
export function stepFigures(text: string): Pick<Step, 'tempC' | 'ovenC' | 'handsMin' | 'waitH' | 'whisks'> {
  const temp = TEMP.exec(text);
  const read = temp ? (/^f/i.test(temp[2]!) ? ((Number(temp[1]) - 32) * 5) / 9 : Number(temp[1])) : null;
  const tempC = read !== null && read >= -40 && read <= 300 ? Math.round(read) : null;
  const oven = tempC !== null && tempC >= 30 && OVEN.test(text);
  const span = SPAN.exec(text);
  const hours = (t: string): number => Number(t.replace(',', '.')) / (/^h/i.test(span![3]!) ? 1 : 60);
  const passive = PASSIVE.test(text);
  const low = span ? hours(span[1]!) : null;
  const high = span ? hours(span[2] ?? span[1]!) : null;
  const overnight = /\bovernight/i.test(text);
  const waitH: [number, number] | null = passive && low !== null && high !== null && high <= 1000 ? [low, Math.max(low, high)] : overnight ? [8, 14] : null;
  return { tempC: oven ? null : tempC, ovenC: oven ? tempC : null, handsMin: !passive && low !== null && low * 60 <= 6000 ? Math.round(low * 60) : null, waitH, whisks: /\bwhip|\bwhisk/i.test(text) };
}

/** The first sentence as the title, what follows as the detail. */
function stepWords(text: string): { title: string; detail: string } {
  const cut = /^(.{8,110}?[.!;])\s+(.+)$/s.exec(text);
  if (cut) return { title: cut[1]!.replace(/[.;]$/, ''), detail: cut[2]!.slice(0, 4000) };
  return text.length <= 120 ? { title: text.replace(/\.$/, ''), detail: '' } : { title: `${text.slice(0, 100).replace(/\s+\S*$/, '')}…`, detail: text.slice(0, 4000) };
}

/**
 * A sheet from the settled rows of a recipe: headings are parts, rows are lines or steps, and what could not be placed stays as text
 * in the sheet. Every row is in it somewhere.
 */
export function draftToSheet(rows: readonly DraftRow[], to: ToSheet): Sheet {
  const { context, newId } = to;
  const title = rows.find((r) => r.kind === 'title')?.text.slice(0, 120) || 'Pasted recipe';
  const said = rows.find((r) => r.kind === 'yield');
  const groups: { name: string; rows: DraftRow[] }[] = [];
  const unread: string[] = [];
  const notes: string[] = [];
  for (const row of rows) {
    if (row.kind === 'part') groups.push({ name: row.text.slice(0, 120), rows: [] });
    else if (row.kind === 'line') {
      if (groups.length === 0) groups.push({ name: '', rows: [] });
      groups.at(-1)!.rows.push(row);
    } else if (row.kind === 'note') notes.push(row.text);
  }
  const shells = groups.filter((g) => g.rows.length > 0).map((g) => ({ ...g, part: { ...startingPart(newId(), 'topping', to.mixerId), name: g.name } }));
  const parts: Part[] = shells.map((g) => partOf(g, shells.map((s) => s.part), to, unread));
  const named = parts.length > 0 ? parts : [startingPart(newId(), 'whipped-cream', to.mixerId)];
  const only = named.length === 1;
  const steps: Step[] = rows.filter((r) => r.kind === 'step').slice(0, 280).map((r) => {
    const part = only ? named[0]! : named.find((p) => p.name !== '' && new RegExp(`\\b${p.name.split(/\s+/).at(-1)!.replace(/[^\p{L}]/gu, '')}\\b`, 'iu').test(r.text));
    const words = stepWords(r.text);
    return { id: newId(), partId: part?.id ?? null, key: null, title: words.title.slice(0, 200), short: words.title.split(/\s+/)[0]?.toLowerCase().slice(0, 30) ?? '', detail: words.detail, ...stepFigures(r.text), useWithinMin: null, wants: [], parts: [], edited: true, note: '' };
  });
  const noSteps = steps.length === 0;
  const doc: Sheet = {
    format: 'soft-peak-sheet',
    formatVersion: FORMAT_VERSION,
    name: title,
    family: guessFamily(title, named.map((p) => p.kind)),
    portions: said ? (portionsOf(said.text) ?? 8) : 8,
    use: 'spoon',
    sweetness: 'chantilly',
    vessel: STARTING_VESSELS[0]!,
    tin: USUAL_TIN,
    cold: USUAL_COLD,
    parts: named,
    steps,
    method: noSteps ? 'ways' : 'own',
    ways: {},
    servedAfterH: USUAL_WAIT_H,
    notes: [said ? said.text : '', ...notes].filter(Boolean).join('\n').slice(0, 20_000),
    unread: unread.map((t) => t.slice(0, 4000)).slice(0, 400),
  };
  const placed = withParts(doc);
  return settleMethod(placed, context.larder);
}

/** In a method of the cook's own the last step that builds takes up every part, so that none seems forgotten. */
function withParts(sheet: Sheet): Sheet {
  if (sheet.method !== 'own' || sheet.parts.length < 2) return sheet;
  const at = Math.max(0, sheet.steps.findLastIndex((s) => /\b(layer|assemble|spread|fill|build|pour|spoon|fold|press)\b/i.test(`${s.title} ${s.detail}`)));
  return { ...sheet, steps: sheet.steps.map((s, i) => (i === at ? { ...s, parts: sheet.parts.map((p) => p.id) } : s)) };
}

function partOf(group: { readonly part: Part; readonly rows: readonly DraftRow[] }, all: readonly Part[], to: ToSheet, unread: string[]): Part {
  const { context, newId } = to;
  const roles = new Set<Role>();
  const lines: Line[] = [];
  for (const row of group.rows) {
    // A row longer than a line can be stays in sight as text.
    if (row.text.length > 470 || lines.length >= 200) {
      unread.push(row.text);
      continue;
    }
    const ingredient: Ingredient | null = row.ingredientId === null ? null : (context.larder.get(row.ingredientId) ?? null);
    if (ingredient) roles.add(roleOf(ingredient));
    const text = withCups(row.text, to.cups, context.measures.cups);
    const typed = newLine(newId(), text, context, { parts: all, partId: group.part.id });
    if (row.takes !== null) lines.push(typed);
    else lines.push(ingredient ? { ...typed, ingredientId: ingredient.id, fromPartId: null, lastGood: row.massG === null ? null : { text, ingredientId: ingredient.id, fromPartId: null } } : { ...typed, ingredientId: null, fromPartId: null, lastGood: null });
  }
  if (lines.some((l) => l.fromPartId !== null)) roles.add('part');
  const part = startingPart(group.part.id, guessKind(group.part.name, roles), to.mixerId);
  return { ...part, name: group.part.name || part.name, lines };
}
