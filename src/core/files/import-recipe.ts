import { looksLikeJson, textOfJsonLd } from '../reading/json-ld';
import { ok, type Result } from '../result';
import type { Sheet } from '../document/schema';
import { textOfLinesCsv } from './lines-csv';
import { readSheetJson } from './sheet-json';

/** What an imported text turned out to be: a sheet of this kitchen's own form, or a recipe to be read. */
export type Imported =
  { readonly kind: 'sheet'; readonly sheet: Sheet } | { readonly kind: 'recipe'; readonly from: 'text' | 'recipe-json' | 'table'; readonly text: string };

/** Whether the first row looks like the header of a table of lines. */
const looksLikeTable = (text: string): boolean => {
  const header = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .slice(0, 2000)
    .split(/\r?\n/)[0]!
    .toLowerCase();
  return /[,;\t]/.test(header) && /(^|[,;\t"])\s*"?(line|name|ingredient)"?\s*([,;\t]|$)/.test(header);
};

/** Takes whatever was pasted or chosen for what it is: an own sheet, a schema.org Recipe, a table of lines, or a recipe in words. */
export function importRecipe(text: string): Result<Imported> {
  if (/"format"\s*:\s*"soft-peak-sheet"/.test(text.slice(0, 5000)) || (/^\s*\{/.test(text) && text.includes('"soft-peak-sheet"'))) {
    const sheet = readSheetJson(text);
    return sheet.ok ? ok({ kind: 'sheet', sheet: sheet.value }) : sheet;
  }
  if (looksLikeJson(text)) {
    const recipe = textOfJsonLd(text);
    return recipe.ok ? ok({ kind: 'recipe', from: 'recipe-json', text: recipe.value }) : recipe;
  }
  if (looksLikeTable(text)) {
    const lines = textOfLinesCsv(text);
    return lines.ok ? ok({ kind: 'recipe', from: 'table', text: lines.value }) : lines;
  }
  return ok({ kind: 'recipe', from: 'text', text });
}
