import Papa from 'papaparse';
import { plainNumber } from '../figure';
import { fail, ok, type Result } from '../result';
import type { SheetAnalysis } from '../analysis/analysed';
import { shownSteps } from '../batch/method';
import { readTable } from '../table/table';
import { fileName, type WrittenFile } from './written';

export const LINE_COLUMNS = ['part', 'line', 'grams', 'measure', 'ingredient', 'share_of_part_pct', 'step'] as const;

/** The lines of a sheet as a table: as typed, in grams, by part and step. */
export function writeLinesCsv(s: SheetAnalysis): WrittenFile {
  const steps = shownSteps(s);
  const rows = s.parts.flatMap((a) =>
    a.reading.lines.map((l) => [
      a.part.name,
      l.line.text,
      l.read ? String(Number(l.read.massG.toFixed(2))) : '',
      l.cooksMeasure.replaceAll('\u00a0', ' '),
      l.ingredient?.name ?? '',
      l.read && a.reading.mixture.massG > 0 ? plainNumber((100 * l.read.massG) / a.reading.mixture.massG, 2) : '',
      steps.find((x) => x.key === l.line.stepId)?.title ?? '',
    ]),
  );
  return {
    name: fileName(s.sheet.name, 'lines.csv'),
    mime: 'text/csv',
    text: `${Papa.unparse({ fields: [...LINE_COLUMNS], data: rows }, { newline: '\n', escapeFormulae: true })}\n`,
    cannot: ['the method', 'ways and whisk settings', 'the vessel and the portions', 'notes'],
  };
}

/**
 * Reads a table of lines: a column `line` ('250 g mascarpone'), or `amount` and `name`; `part` makes the headings. Any separator, decimal
 * mark or byte-order mark.
 * @returns the lines as a cook would write them down, under the names of their parts; a fault on `file` otherwise.
 */
export function textOfLinesCsv(text: string): Result<string> {
  const table = readTable(text, []);
  if (!table.ok) return table;
  const { rows, slipped } = table.value;
  const has = (column: string): boolean => rows.length > 0 && Object.hasOwn(rows[0]!, column);
  if (!has('line') && !(has('name') || has('ingredient')))
    return fail('file', 'no-column', 'There is no column ‘line’, nor ‘amount’ and ‘name’, in the first row of that table.');
  const out: string[] = [];
  let part = '';
  for (const [i, row] of rows.slice(0, 4000).entries()) {
    const named = (row.part ?? '').trim();
    if (named !== '' && named !== part) {
      out.push('', `${named}:`);
      part = named;
    }
    const typed = (row.line ?? '').replace(/^'(?=[=+\-@])/, '').trim();
    const grams = (row.grams ?? row.amount ?? row.quantity ?? '').trim();
    const unit = (row.unit ?? '').trim() || (row.grams !== undefined || !/[a-z]/i.test(grams) ? 'g' : '');
    const line = typed || `${grams} ${unit} ${(row.name ?? row.ingredient ?? '').trim()}`.replace(/\s+/g, ' ').trim();
    // A comma in a line that nobody put in quotation marks: '600 g cream, cold'.
    const behind = slipped.get(i) ?? [];
    if (line !== '' && line !== 'g') out.push([line, ...behind.map((c) => c.trim()).filter((c) => c !== '')].join(', '));
  }
  return out.length === 0 ? fail('file', 'empty', 'There is no line in that table.') : ok(`Ingredients\n${out.join('\n')}`);
}
