import type { PartAnalysis } from './analysed';
import type { LineReading } from '../lines/read-part';

/** The wine, cider or sherry of a syllabub, and the rest without it. */
export interface SyllabubWine {
  readonly line: LineReading;
  readonly without: { readonly milkFatG: number; readonly massG: number };
}

/** The heaviest drink of a part; null where there is none. */
export function wineOf(a: PartAnalysis): SyllabubWine | null {
  const drinks = a.reading.lines.filter((l) => l.read && l.ingredient?.category === 'drink');
  const line = drinks.sort((x, y) => (y.read?.massG ?? 0) - (x.read?.massG ?? 0))[0];
  const { massG, grams } = a.reading.mixture;
  return line?.read ? { line, without: { milkFatG: grams.milk_fat, massG: massG - line.read.massG } } : null;
}
