import { EGG_FOAM_OVERRUN, type EggFoam } from '../foam/house';
import { optionOf, questionNamed } from '../schools/questions';
import type { PartReading } from '../lines/read-part';
import type { Part } from '../document/schema';

export interface EggFoamForecast {
  readonly foam: EggFoam;
  /** At its right stage, % (house ±15 %). */
  readonly overrunPct: number;
}

/** Sugar per white, g per g, from which a French meringue counts as two to one. */
const TWO_TO_ONE_FROM = 1.5;

/** Which egg foam a part is, by its eggs, its sugar and its way; null for a part without an egg foam. */
export function eggFoamOf(part: Part, r: PartReading): EggFoamForecast | null {
  if (part.kind !== 'egg-foam' && part.kind !== 'meringue') return null;
  let whiteG = 0;
  let yolkG = 0;
  let eggG = 0;
  for (const { role, read } of r.lines) {
    if (!read) continue;
    if (role === 'white') whiteG += read.massG;
    if (role === 'yolk') yolkG += read.massG;
    if (role === 'egg') eggG += read.massG;
  }
  if (whiteG + yolkG + eggG <= 0) return null;
  const way = (key: string): string => optionOf(questionNamed(key)!, part.ways[key]).id;
  let foam: EggFoam;
  if (yolkG > 0) foam = way('eggs') === 'syrup' ? 'yolks-hot-syrup' : 'yolks-ribbon';
  else if (eggG > 0) foam = 'whole-eggs';
  else if (r.addedSugarG < 0.25 * whiteG) foam = 'whites';
  else {
    const whites = way('whites');
    foam = whites === 'italian' ? 'italian' : whites.startsWith('swiss') ? 'swiss' : r.addedSugarG / whiteG >= TWO_TO_ONE_FROM ? 'french-2-1' : 'french-1-1';
  }
  return { foam, overrunPct: EGG_FOAM_OVERRUN[foam] };
}
