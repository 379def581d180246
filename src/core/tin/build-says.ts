import { inSentence, plainNumber, withUnit } from '../figure';
import type { SheetAnalysis } from '../analysis/analysed';
import { buildIn, filledVessels, type BuiltLayer } from '../analysis/build';

/** 'Ladyfingers, 12' or 'Custard, 350 g'. */
const layerSays = (l: BuiltLayer): string =>
  `${inSentence(l.layer.part.name)} ${l.pieces !== null ? plainNumber(l.pieces, 0) : withUnit(plainNumber(l.massG, 0), 'g')}`;

/**
 * What a step lays into each vessel, from below, with its pieces or grams: 'In each glass, from below: custard 90 g, whipped cream 45 g.'
 * @param partIds of the parts that the step puts in.
 * @returns '' where nothing is built, or where what is laid does not fit.
 */
export function buildSays(s: SheetAnalysis, partIds: readonly string[]): string {
  const made = partIds.length > 0 ? buildIn(s) : null;
  if (!made?.ok) return '';
  const laid = made.value.layers.filter((l) => partIds.includes(l.layer.part.id) && l.massG > 0);
  if (laid.length === 0) return '';
  const count = filledVessels(s)
    .filter((f) => f.vessel.name === s.sheet.vessel.name)
    .reduce((n, f) => n + f.count, 0);
  const each = count > 1 ? `In each ${s.sheet.vessel.name.toLowerCase()}` : `In the ${s.sheet.vessel.name.toLowerCase()}`;
  return `${each}, from below: ${laid.map(layerSays).join(', ')}.`;
}
