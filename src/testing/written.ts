/** What tests of a cook's own method start from: recipes as text, read by the reader. */
import { readRecipe } from '../core/reading/read';
import { readingToSheet } from '../core/reading/to-sheet';
import type { Sheet } from '../core/document/schema';
import { CONTEXT, KITCHEN } from './sample';

/** The sheet of a recipe as it is written or told. @param id put before the ids of what is made. */
export function writtenSheet(text: string, id = 'w'): Sheet {
  const read = readRecipe(text, CONTEXT);
  if (!read.ok) throw new Error(read.fault.says);
  let n = 0;
  return readingToSheet(read.value, { context: CONTEXT, mixers: KITCHEN.mixers, vessels: KITCHEN.vessels, newId: () => `${id}${n++}` }).sheet;
}
