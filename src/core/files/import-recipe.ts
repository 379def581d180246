import { ok, type Result } from '../result';
import type { SourceRow } from '../recipe/draft';
import { looksLikeJson, readRecipeJsonLd } from '../recipe/read-json-ld';
import { readRecipeText } from '../recipe/read-text';
import type { Sheet } from '../sheet/schema';
import { readLinesCsv } from './lines-csv';
import { readSheetJson } from './sheet-json';

/** What an imported text turned out to be: a sheet of this kitchen's own form, or rows to be settled. */
export type Imported = { readonly kind: 'sheet'; readonly sheet: Sheet } | { readonly kind: 'rows'; readonly from: 'text' | 'recipe-json' | 'table'; readonly rows: readonly SourceRow[] };

/** Whether the first row looks like the header of a table of lines. */
const looksLikeTable = (text: string): boolean => {
  const header = text.replace(/^\uFEFF/, '').trimStart().slice(0, 2000).split(/\r?\n/)[0]!.toLowerCase();
  return /[,;\t|]/.test(header) && /(^|[,;\t|"])\s*"?(line|name|ingredient)"?\s*([,;\t|]|$)/.test(header);
};

/** Reads whatever was pasted or chosen: an own sheet, a schema.org Recipe, a table of lines, or a recipe in plain words. */
export function importRecipe(text: string): Result<Imported> {
  if (/"format"\s*:\s*"soft-peak-sheet"/.test(text.slice(0, 5000)) || (/^\s*\{/.test(text) && text.includes('"soft-peak-sheet"'))) {
    const sheet = readSheetJson(text);
    return sheet.ok ? ok({ kind: 'sheet', sheet: sheet.value }) : sheet;
  }
  if (looksLikeJson(text)) {
    const rows = readRecipeJsonLd(text);
    return rows.ok ? ok({ kind: 'rows', from: 'recipe-json', rows: rows.value }) : rows;
  }
  if (looksLikeTable(text)) {
    const rows = readLinesCsv(text);
    return rows.ok ? ok({ kind: 'rows', from: 'table', rows: rows.value }) : rows;
  }
  const rows = readRecipeText(text);
  return rows.ok ? ok({ kind: 'rows', from: 'text', rows: rows.value }) : rows;
}
