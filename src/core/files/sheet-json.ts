import { fail, type Result } from '../result';
import { readSheetDoc, type Sheet } from '../document/schema';
import { MOST_CHARACTERS } from '../table/table';

/** A sheet as a file of its own form: everything, in JSON. */
export const writeSheetJson = (sheet: Sheet): string => `${JSON.stringify(sheet, null, 2)}\n`;

/**
 * Reads a sheet's own file, of this or an earlier form.
 * @returns a fault on `file` when it is too large or no JSON, on the field at fault otherwise; nothing is taken over then.
 */
export function readSheetJson(text: string): Result<Sheet> {
  if (text.length > MOST_CHARACTERS) return fail('file', 'too-large', 'That file is larger than 5 MB: no sheet is. Nothing was taken over.');
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return fail('file', 'no-json', 'That is not JSON that can be read: the file may be cut off.');
  }
  return readSheetDoc(raw);
}
