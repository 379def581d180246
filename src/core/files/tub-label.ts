import { plainNumber, roughNumber, withUnit } from '../figure';
import type { SheetAnalysis } from '../analysis/analysed';

/** What stands on a tub or a tray. */
export interface TubLabel {
  readonly name: string;
  readonly kitchen: string;
  /** As the kitchen's clock shows it: 'Fri 27.11. 10:05'. */
  readonly made: string;
  readonly useBy: string;
  /** Allergens in words, alcohol, raw egg, caffeine: one line each. */
  readonly declares: readonly string[];
  readonly storeAt: string;
  readonly portions: number;
}

/** From here on a dessert's alcohol is said (house): below it is the vanilla. */
const NOT_FOR_CHILDREN = { gPerPortion: 0.5, abvPct: 0.5 } as const;

/** What must be said of a dessert, in words. */
export function declarations(s: SheetAnalysis): readonly string[] {
  const allergens = [...new Set(s.parts.flatMap((a) => a.reading.allergens))].sort();
  const nuts = [...new Set(s.parts.flatMap((a) => a.reading.nuts))].sort();
  const named = (a: string): string => (a === 'tree-nut' ? (nuts.length > 0 ? nuts.join(', ') : 'tree nuts') : a.replaceAll('-', ' '));
  const caffeineMg = s.parts.reduce((mg, a) => mg + a.leftShare * a.reading.caffeineMg, 0) / s.sheet.portions;
  const ethanolG = s.mixture.massG > 0 ? s.mixture.grams.ethanol / s.sheet.portions : 0;
  return [
    allergens.length > 0 ? `Contains ${allergens.map(named).join(', ')}` : 'Allergens: none entered; check every packet',
    ...(ethanolG >= NOT_FOR_CHILDREN.gPerPortion || s.abvPct >= NOT_FOR_CHILDREN.abvPct
      ? [`Alcohol ${withUnit(plainNumber(ethanolG, 1), 'g')} a portion: not for children`]
      : []),
    ...(s.keeping.rawEgg ? [s.sheet.family === 'semifreddo' ? 'Raw or lightly cooked egg: once soft, eat it the same day' : 'Raw or lightly cooked egg'] : []),
    ...(s.parts.some((a) => a.reading.caffeine)
      ? [caffeineMg >= 1 ? `Contains caffeine: about ${withUnit(roughNumber(caffeineMg), 'mg')} a portion` : 'Contains caffeine']
      : []),
  ];
}

/** Where and how cold it is kept. */
export const storeAtSays = (s: SheetAnalysis, fridgeC: number, freezerC: number): string =>
  s.sheet.family === 'semifreddo'
    ? `Keep frozen at ${withUnit(plainNumber(freezerC, 0), '°C')}`
    : s.sheet.family === 'nest'
      ? `Shells dry, cream at ${withUnit(plainNumber(fridgeC, 0), '°C')}`
      : `Keep at ${withUnit(plainNumber(fridgeC, 0), '°C')} or colder`;
