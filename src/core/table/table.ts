import Papa from 'papaparse';
import { fail, ok, type Result } from '../result';

/** The most that an imported file may hold, characters. */
export const MOST_CHARACTERS = 5_000_000;

/** Where the table reader puts what stands behind a row's last column, as a list. */
const MORE_CELLS = '__parsed_extra';

/** A table read from text: its rows by column name, and how its numbers are written. */
export interface ReadTable {
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** What stands behind the last column, by row from 0: such a row has slipped, or has a separator in a text. */
  readonly slipped: ReadonlyMap<number, readonly string[]>;
  readonly separator: ',' | ';' | '\t' | '|';
  /** Whether decimals are parted by a comma. */
  readonly decimalComma: boolean;
  /** Reads a cell as a number the way this file writes them; NaN when it is none. */
  readonly number: (cell: string) => number;
}

/**
 * Reads a table with a header row, whatever its separator, decimal mark, line ends or byte-order mark.
 * @param needs columns that must be there; names are compared without case and outer spaces.
 * @returns a fault on `file` when it is too large, empty, no text, or lacks a needed column.
 */
export function readTable(text: string, needs: readonly string[]): Result<ReadTable> {
  if (text.length > MOST_CHARACTERS) return fail('file', 'too-large', 'That file is larger than 5 MB: no larder or recipe is. Nothing was read.');
  const clean = text.replace(/^\uFEFF/, '');
  if (clean.trim() === '') return fail('file', 'empty', 'That file is empty.');
  if (clean.includes('\u0000')) return fail('file', 'no-text', 'That is no text file: save it as CSV (UTF-8) and try again.');
  const separator = separatorOf(clean);
  const parsed = Papa.parse<Record<string, string>>(clean, {
    header: true,
    delimiter: separator,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  const columns = parsed.meta.fields ?? [];
  const missing = needs.filter((n) => !columns.includes(n));
  if (missing.length > 0) {
    const has = columns.filter(Boolean).slice(0, 6).join(', ').slice(0, 120);
    return fail('file', 'no-column', `There is no column ‘${missing[0]}’ in the first row (it has ${has || 'none'}).`);
  }
  const decimalComma = separator !== ',' && /(^|[;\t|])"?-?(?:\d+|\d{1,3}(?:\.\d{3})+),\d+"?([;\t|]|\r?\n|$)/m.test(clean.slice(0, 200_000));
  const number = (cell: string): number => {
    const t = cell.trim().replace(/[\u00a0\u202f]/g, '');
    return Number(decimalComma ? t.replace(/\./g, '').replace(',', '.') : t);
  };
  const slipped = new Map<number, readonly string[]>();
  const rows = parsed.data.map(({ [MORE_CELLS]: more, ...row }, i) => {
    if (more !== undefined) slipped.set(i, [more].flat());
    return row;
  });
  return ok({ rows, slipped, separator, decimalComma, number });
}

/** The mark that parts the header row most often; a comma where none does. */
function separatorOf(text: string): ReadTable['separator'] {
  const header =
    text
      .slice(0, 20_000)
      .split(/\r?\n/)
      .find((l) => l.trim() !== '') ?? '';
  const marks = [',', ';', '\t', '|'] as const;
  const counts = marks.map((m) => header.split(m).length - 1);
  const most = Math.max(...counts);
  return most === 0 ? ',' : marks[counts.indexOf(most)]!;
}
