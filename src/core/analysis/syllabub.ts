import { readSyllabub, type Syllabub } from '../foam/syllabub';
import type { Result } from '../result';
import { mainPart } from './analyse';
import type { SheetAnalysis } from './analysed';

/** Whether the main part of a sheet, as a syllabub, stays whole or parts by its serving hour. @returns the faults of `readSyllabub`. */
export function syllabubOf(s: SheetAnalysis): Result<Syllabub> {
  const { massG, grams } = mainPart(s).reading.mixture;
  return readSyllabub({ milkFatG: grams.milk_fat, massG, hours: s.sheet.servedAfterH });
}
