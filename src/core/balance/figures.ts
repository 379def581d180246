import { composition, type Component } from '../composition/components';
import { ETHANOL_20C, volumeMl } from '../composition/density';
import { addedSugarG, milkSolidsNotFatG, mix, type Mixture } from '../composition/mixture';
import { RELATIVE_SWEETNESS, sweetnessPer100 } from '../composition/sweetness';
import { boundWaterG, iceVolumeOf, sucroseEquivalentG } from '../heat/freezing';
import { REFERENCE_BLOOM } from '../setting/house';
import type { BalanceFigure, BalanceGoal, BalanceLine } from './inputs';

export const BALANCE_FIGURE_NAMES: Readonly<Record<BalanceFigure, { readonly name: string; readonly unit: string; readonly decimals: number }>> = {
  fat: { name: 'fat in the bowl', unit: '%', decimals: 1 },
  sweetness: { name: 'sweetness', unit: '', decimals: 1 },
  solids: { name: 'solids', unit: '%', decimals: 1 },
  gelatin: { name: 'gelatin dose', unit: 'g/kg', decimals: 1 },
  abv: { name: 'alcohol', unit: '% vol', decimals: 1 },
  volume: { name: 'volume', unit: 'mL', decimals: 0 },
  mass: { name: 'weight', unit: 'g', decimals: 0 },
  cost: { name: 'cost', unit: '', decimals: 2 },
  ice: { name: 'ice by volume', unit: '', decimals: 2 },
  'use-up': { name: 'use up', unit: 'g', decimals: 0 },
};

/** scale·(n₀ + Σ nᵢxᵢ) / (d₀ + Σ dᵢxᵢ), x in g of each line. */
export interface LinearRatio {
  readonly scale: number;
  readonly n0: number;
  readonly n: Float64Array;
  readonly d0: number;
  readonly d: Float64Array;
}

/** A goal as the solver meets it: its value, and a linear form that is exact, or the best near a point. */
export interface GoalForm {
  readonly valueAt: (x: Float64Array) => number;
  readonly linearAt: (x: Float64Array) => LinearRatio;
}

/** Everything that a gram of something adds to the sums of the figures. */
interface PerGram {
  readonly mass: number;
  readonly whippingFat: number;
  readonly addedSugar: number;
  readonly sweet: number;
  readonly solids: number;
  readonly gelatin225: number;
  readonly ethanolMl: number;
  readonly ml20: number;
  readonly price: number;
  // For freezing.
  readonly water: number;
  readonly bound: number;
  readonly sucroseEq: number;
  readonly msnf: number;
  readonly salt: number;
  readonly ethanol: number;
  readonly frozenMl: number;
}

const WATER = composition({ water: 100 });

function perGram(line: BalanceLine, freezerC: number): PerGram {
  const portions = [
    { massG: 1, per100: line.per100, ownSweetness: line.ownSweetness, ownFreezing: line.ownFreezing },
    ...(line.soakPerG > 0 ? [{ massG: line.soakPerG, per100: WATER, ownSweetness: null, ownFreezing: null }] : []),
  ];
  const m = mix(portions);
  const p = line.per100;
  return {
    ...sumsOf(m, freezerC, sucroseEquivalentG(portions)),
    whippingFat: (p.milk_fat + (line.plantCream ? p.other_fat : 0)) / 100,
    sweet: (sweetnessPer100(portions) * m.massG) / 100,
    gelatin225: line.bloom === null ? p.gelatin_protein / 100 : Math.sqrt(line.bloom / REFERENCE_BLOOM),
    price: (line.pricePerKg ?? 0) / 1000,
  };
}

function sumsOf(m: Mixture, freezerC: number, sucroseEq: number): PerGram {
  const g = m.grams;
  return {
    mass: m.massG,
    whippingFat: g.milk_fat,
    addedSugar: addedSugarG(m),
    sweet: (Object.entries(RELATIVE_SWEETNESS) as [Component, number][]).reduce((sum, [c, k]) => sum + k * g[c], 0),
    solids: m.massG - g.water - g.ethanol,
    gelatin225: g.gelatin_protein,
    ethanolMl: g.ethanol / ETHANOL_20C,
    ml20: volumeMl(m, 20),
    price: 0,
    water: g.water,
    bound: boundWaterG(m),
    sucroseEq,
    msnf: milkSolidsNotFatG(m),
    salt: g.salt,
    ethanol: g.ethanol,
    frozenMl: volumeMl(m, freezerC),
  };
}

/** What is fixed beside the lines, as one; a loss subtracts. */
function fixedSums(goal: BalanceGoal): PerGram {
  const portions = (goal.fixed ?? []).map((f) => ({ massG: f.massG, per100: composition(f.per100) }));
  return sumsOf(mix(portions), goal.freezerC, sucroseEquivalentG(portions));
}

type Sum = keyof PerGram;
const RATIOS: Readonly<Partial<Record<BalanceFigure, { readonly scale: number; readonly n: Sum; readonly d: Sum | null; readonly minus?: Sum }>>> = {
  fat: { scale: 100, n: 'whippingFat', d: 'mass', minus: 'addedSugar' },
  sweetness: { scale: 100, n: 'sweet', d: 'mass' },
  solids: { scale: 100, n: 'solids', d: 'mass' },
  gelatin: { scale: 1000, n: 'gelatin225', d: 'mass' },
  abv: { scale: 100, n: 'ethanolMl', d: 'ml20' },
  volume: { scale: 1, n: 'ml20', d: null },
  mass: { scale: 1, n: 'mass', d: null },
  cost: { scale: 1, n: 'price', d: null },
};

const evaluate = (r: LinearRatio, x: Float64Array): number => {
  let n = r.n0;
  let d = r.d0;
  for (let i = 0; i < x.length; i++) {
    n += r.n[i]! * x[i]!;
    d += r.d[i]! * x[i]!;
  }
  return d === 0 ? NaN : (r.scale * n) / d;
};

/** The form of a goal over the lines of a problem. Ice by volume is bent, and is taken straight near the point at hand. */
export function goalForm(goal: BalanceGoal, lines: readonly BalanceLine[]): GoalForm {
  const share = (i: number): number => goal.share?.[i] ?? 1;
  if (goal.figure === 'use-up')
    return straight({ scale: 1, n0: 0, n: Float64Array.from(lines, (_, i) => (i === goal.line ? 1 : 0)), d0: 1, d: new Float64Array(lines.length) });
  const per = lines.map((l) => perGram(l, goal.freezerC));
  const fixed = fixedSums(goal);
  const vector = (s: Sum): Float64Array => Float64Array.from(per, (p, i) => p[s] * share(i));
  if (goal.figure === 'ice') return iceForm(goal, vector, fixed);
  const ratio = RATIOS[goal.figure]!;
  const scale = goal.figure === 'volume' ? 1 + goal.airPct / 100 : ratio.scale;
  const d = ratio.d === null ? new Float64Array(lines.length) : vector(ratio.d);
  if (ratio.minus) vector(ratio.minus).forEach((v, i) => (d[i] = d[i]! - v));
  const d0 = ratio.d === null ? 1 : fixed[ratio.d] - (ratio.minus ? fixed[ratio.minus] : 0);
  return straight({ scale, n0: fixed[ratio.n], n: vector(ratio.n), d0, d });
}

const straight = (r: LinearRatio): GoalForm => ({ valueAt: (x) => evaluate(r, x), linearAt: () => r });

const ICE_SUMS = ['mass', 'water', 'bound', 'sucroseEq', 'msnf', 'salt', 'ethanol', 'frozenMl'] as const;

function iceForm(goal: BalanceGoal, vector: (s: Sum) => Float64Array, fixed: PerGram): GoalForm {
  const vectors = ICE_SUMS.map(vector);
  const at = (x: Float64Array): number => {
    const [massG, waterG, boundG, sucroseEqG, msnfG, saltG, ethanolG, denseMl] = ICE_SUMS.map((s, k) =>
      x.reduce((sum, v, i) => sum + v * vectors[k]![i]!, fixed[s]),
    ) as [number, number, number, number, number, number, number, number];
    return iceVolumeOf({ massG, waterG, boundG: Math.min(waterG, boundG), sucroseEqG, msnfG, saltG, ethanolG }, denseMl, goal.airPct, goal.freezerC);
  };
  return {
    valueAt: at,
    linearAt: (x) => {
      const here = at(x);
      const step =
        1e-4 *
        Math.max(
          1,
          x.reduce((a, b) => a + b, 0),
        );
      const slope = Float64Array.from(x, (_, i) => (at(x.map((v, k) => (k === i ? v + step : v))) - here) / step);
      return { scale: 1, n0: here - slope.reduce((sum, s, i) => sum + s * x[i]!, 0), n: slope, d0: 1, d: new Float64Array(x.length) };
    },
  };
}
