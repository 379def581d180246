import { densityGPerMl, volumeMl } from '../composition/density';
import { fatG } from '../composition/mixture';
import { houseRange, type Figure } from '../figure';
import { EGG_FOAM_SPREAD, SPREAD } from '../foam/house';
import { airRange } from '../analysis/learnt';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { num } from './figures';

/** Plain figures of one part, or of all that is served, each with its working. */

type Whole = Pick<SheetAnalysis, 'mixture' | 'abvPct'> & { readonly name: string };
export const wholeOf = (s: SheetAnalysis): Whole => ({ mixture: s.mixture, abvPct: s.abvPct, name: 'a mouthful of it all' });
export const partAsWhole = (a: PartAnalysis): Whole => ({ mixture: a.reading.mixture, abvPct: a.abvPct, name: a.part.name });

const physics = { kind: 'physics' as const, spread: null, range: null };

export function weightFigure(w: Whole): Figure {
  const { grams, massG } = w.mixture;
  return {
    ...physics,
    key: `weight:${w.name}`,
    name: `Weight of ${w.name}`,
    value: massG,
    unit: 'g',
    decimals: 0,
    formula: 'm = Σ mᵢ',
    words: 'Every line in grams, soak water and what other parts give counted, losses taken off.',
    inputs: [
      num('water', 'of it water', grams.water, 'g', 0, 'composition'),
      num('fat', 'of it fat', fatG(w.mixture), 'g', 0, 'composition'),
      num('rest', 'everything else', massG - grams.water - fatG(w.mixture), 'g', 0, 'composition'),
    ],
    source: 'Mass balance.',
  };
}

export function allFatFigure(w: Whole): Figure {
  const { massG, grams } = w.mixture;
  return {
    ...physics,
    key: `all-fat:${w.name}`,
    name: `Fat of ${w.name}`,
    value: massG > 0 ? (100 * fatG(w.mixture)) / massG : 0,
    unit: '%',
    decimals: 1,
    formula: 'F = 100 · Σ fat / m',
    words: 'Every fat, of milk, egg, cocoa and nuts, over everything.',
    inputs: [
      num('milk', 'milk fat', grams.milk_fat, 'g', 1, 'composition'),
      num('egg', 'egg fat', grams.egg_fat, 'g', 1, 'composition'),
      num('cocoa', 'cocoa butter', grams.cocoa_fat, 'g', 1, 'composition'),
      num('other', 'other fats', grams.other_fat, 'g', 1, 'composition'),
      num('m', 'all of it', massG, 'g', 0, 'the lines'),
    ],
    source: 'Mass balance.',
  };
}

export function partAbvFigure(w: Whole): Figure {
  return {
    ...physics,
    key: `abv:${w.name}`,
    name: `Alcohol of ${w.name}`,
    value: w.abvPct,
    unit: '%',
    decimals: 1,
    formula: 'ABV = 100 · (E/0.789) / V',
    words: 'The volume of its ethanol at 20 °C over its volume without air.',
    inputs: [
      num('E', 'ethanol', w.mixture.grams.ethanol, 'g', 1, 'the lines, what boils off taken away'),
      num('V', 'volume at 20 °C', volumeMl(w.mixture, 20), 'mL', 0, 'Choi & Okos densities'),
    ],
    source: 'Composition and densities.',
  };
}

/** Air of a part by what it is: whipped, an egg foam, or what its folds keep. */
export function partAirFigure(a: PartAnalysis, overrunPct: number): Figure {
  const spread = a.eggFoam ? EGG_FOAM_SPREAD : SPREAD.overrun;
  return {
    key: `air-of:${a.part.id}`,
    name: `Air of ${a.part.name}`,
    value: overrunPct,
    unit: '%',
    kind: 'house',
    spread,
    range: a.eggFoam ? houseRange(overrunPct, spread) : airRange(a, overrunPct),
    decimals: 0,
    formula: 'overrun = (V_foam − V_mix)/V_mix · 100',
    words: a.eggFoam
      ? 'What this egg foam has at its right stage.'
      : a.folds.length > 0
        ? 'The air that its foams bring, less what each fold costs.'
        : 'What it has at the stage that it is whisked to.',
    inputs: [
      num('V_mix', 'without air', a.mixMl, 'mL', 0, 'composition and density'),
      num('V_foam', 'with it', a.foamMl.ok ? a.foamMl.value : a.mixMl, 'mL', 0, 'the middle of the range'),
    ],
    source: `House, ±${Math.round(100 * spread)} %.`,
  };
}

/** g per mL with the air that is in it. @param volume mL with air; null where it has none. */
export function densityFigure(w: Whole, volume: number | null): Figure | null {
  const value = volume !== null && volume > 0 ? w.mixture.massG / volume : densityGPerMl(w.mixture, 20);
  if (value === null) return null;
  return {
    ...physics,
    key: `density:${w.name}`,
    name: `Density of ${w.name}`,
    value,
    unit: 'g/mL',
    decimals: 2,
    formula: '1/ρ = Σ xᵢ/ρᵢ, over (1 + overrun/100)',
    words: 'What it weighs over the room that it takes, air counted.',
    inputs: [
      num('m', 'weight', w.mixture.massG, 'g', 0, 'the lines'),
      num('V', 'volume', volume ?? volumeMl(w.mixture, 20), 'mL', 0, volume === null ? 'at 20 °C, without air' : 'with its air'),
    ],
    source: 'Choi & Okos 1986 densities; the air is a house figure.',
  };
}
