import { z } from 'zod';
import { blendCalculator, solveCalculator, tradeOffCalculator } from './calculators/balance';
import { biscuitsCalculator, soakCalculator, softeningCalculator, vesselCalculator } from './calculators/building';
import { define, runCalculator, type Kitchens } from './calculators/define';
import { coldCalculator, eggCalculator, freezingCalculator, mixingCalculator, reduceCalculator, syrupCalculator } from './calculators/heat';
import { coolingCalculator, correctionCalculator, eggWhiskCalculator, strokesCalculator } from './calculators/making';
import { PortionsSchema, readPortions } from './calculators/portions';
import { nextTrialCalculator } from './calculators/trials';
import { tuneTestCalculator } from './calculators/tuning';
import { mendCausesCalculator, mendRescueCalculator } from './calculators/mending';
import { readRecipeCalculator } from './calculators/reading';
import { timetableCalculator } from './calculators/timetable';
import { setterCalculator, setTimeCalculator, temperingCalculator } from './calculators/setting';
import { alcoholServed } from './composition/alcohol';
import { COMPONENTS } from './composition/components';
import { abvPct, densityGPerMl } from './composition/density';
import { fatG, milkSolidsNotFatG, per100 } from './composition/mixture';
import { sweetnessPer100 } from './composition/sweetness';
import { blendToFat, readFat } from './foam/fat';
import { foldAccount } from './foam/fold';
import { holdOf } from './foam/hold';
import { CreamStateSchema, HoldInputSchema, WhiskInputSchema } from './foam/inputs';
import { airVolumeShare, overrunFromCups, reachableOverrunPct } from './foam/overrun';
import { PARTED_WISH, readSyllabub, wineFor } from './foam/syllabub';
import { bowlfulsNeeded, overrunAtStage, secondsToStage, stopWindow, whip, whiskWarnings } from './foam/whisk';
import { STAGES, WISHED_STAGES } from './foam/kinds';
import { fail, ok, type Result } from './result';
import { BLOOM_SCHOOLS, gelatinDose, gelatinForStrength } from './setting/gelatin';
import { REFERENCE_BLOOM } from './setting/house';
import { GelatinDoseInputSchema } from './setting/inputs';

export type { Calculator } from './calculators/define';

const compositionCalculator = define({
  name: 'composition',
  answers: 'What a mix is made of: per 100 g, density, sweetness, alcohol by volume.',
  input: z.object({
    portions: PortionsSchema,
    /** For the density, °C. */
    tempC: z.number().min(-2).max(100).default(5),
  }),
  output: z.object({
    massG: z.number(),
    per100: z.object(Object.fromEntries(COMPONENTS.map((c) => [c, z.number()]))),
    fatPct: z.number(),
    msnfPct: z.number(),
    sweetness: z.number(),
    abvPct: z.number(),
    densityGPerMl: z.number(),
  }),
  run: ({ portions, tempC }) => {
    const read = readPortions(portions);
    if (!read.ok) return read;
    const { mixture } = read.value;
    const each = per100(mixture);
    const density = densityGPerMl(mixture, tempC);
    if (!each || density === null) return fail('portions', 'empty', 'There is nothing to mix: give at least one portion.');
    return ok({
      massG: mixture.massG,
      per100: each,
      fatPct: (100 * fatG(mixture)) / mixture.massG,
      msnfPct: (100 * milkSolidsNotFatG(mixture)) / mixture.massG,
      sweetness: sweetnessPer100(read.value.portions),
      abvPct: abvPct(mixture),
      densityGPerMl: density,
    });
  },
});

const overrunCalculator = define({
  name: 'overrun',
  answers: 'The air: measured by the cup method, or the most that a cream can reach.',
  input: z.union([z.object({ liquidG: z.number(), foamG: z.number() }), z.object({ cream: CreamStateSchema })]),
  output: z.object({ overrunPct: z.number(), airVolumeShare: z.number() }),
  run: (input) => {
    const overrun = 'cream' in input ? reachableOverrunPct(input.cream) : overrunFromCups(input.liquidG, input.foamG);
    return overrun.ok ? ok({ overrunPct: overrun.value, airVolumeShare: airVolumeShare(overrun.value) }) : overrun;
  },
});

const fatBlendCalculator = define({
  name: 'fat-blend',
  answers: 'Two creams (or cream and milk) blended to a fat %, by the square.',
  input: z.object({ targetPct: z.number(), aPct: z.number(), bPct: z.number(), totalG: z.number() }),
  output: z.object({ aG: z.number(), bG: z.number(), partsA: z.number(), partsB: z.number(), reading: z.string() }),
  run: (i) => {
    const blend = blendToFat(i.targetPct, i.aPct, i.bPct, i.totalG);
    return blend.ok ? ok({ ...blend.value, reading: readFat(i.targetPct).says }) : blend;
  },
});

const seconds = z.number().nullable();
const whiskCalculator = define({
  name: 'whisk',
  answers: 'Seconds to every stage, the stop window, the air, the bowlfuls, and what will go wrong.',
  input: WhiskInputSchema,
  output: z.object({
    ratePerS: z.number(),
    /** Below 1 where no clean peak stands above it; 0 where none stands. */
    standsX: z.number(),
    stageS: z.record(z.enum(STAGES), seconds),
    windowS: z.record(z.enum(WISHED_STAGES), z.object({ opensS: z.number(), closesS: seconds }).nullable()),
    overrunPct: z.record(z.enum(WISHED_STAGES), z.number().nullable()),
    reachablePct: z.number(),
    fillShare: z.number(),
    bowlfuls: z.number().nullable(),
    warnings: z.array(z.string()),
  }),
  run: (input) => {
    const made = whip(input);
    if (!made.ok) return made;
    const w = made.value;
    return ok({
      ratePerS: w.ratePerS,
      standsX: w.standsX,
      stageS: byName(STAGES, (s) => secondsToStage(w, s)),
      windowS: byName(WISHED_STAGES, (s) => stopWindow(w, s)),
      overrunPct: byName(WISHED_STAGES, (s) => overrunAtStage(w, s)),
      reachablePct: w.reachablePct,
      fillShare: w.fillShare,
      bowlfuls: bowlfulsNeeded(input),
      warnings: whiskWarnings(input, w).map((x) => x.key),
    });
  },
});

const byName = <K extends string, V>(names: readonly K[], value: (name: K) => V): Record<K, V> =>
  Object.fromEntries(names.map((n) => [n, value(n)])) as Record<K, V>;

const holdCalculator = define({
  name: 'hold',
  answers: 'How long a whipped cream keeps its shape, and how long it may be kept.',
  input: HoldInputSchema,
  output: z.object({
    cleanH: z.number(),
    usableH: z.number(),
    gain: z.number(),
    gainCapped: z.boolean(),
    keepingH: z.number(),
    shownH: z.number(),
    limit: z.enum(['shape', 'keeping']),
    factors: z.object({ fat: z.number(), warmth: z.number(), stage: z.number(), sour: z.number() }),
  }),
  run: holdOf,
});

const gelatinCalculator = define({
  name: 'gelatin-dose',
  answers: 'The dose of a gelatin for its use, its band, and the grams that would be right, by the chosen school.',
  input: GelatinDoseInputSchema.omit({ gelatin225G: true }).extend({
    gelatinG: z.number().min(0),
    bloom: z.number(),
    school: z.enum(BLOOM_SCHOOLS).default('square-root'),
    /** Leaf for leaf only: g of one leaf of this kind, and of one leaf of 225 bloom. */
    leafG: z.number().positive().optional(),
    leaf225G: z.number().positive().optional(),
  }),
  output: z.object({
    gelatin225G: z.number(),
    doseGPerKg: z.number(),
    band: z.object({ low: z.number(), high: z.number() }),
    harsh: z.boolean(),
    /** What else sets, and all together, as g of 225-bloom a kg. */
    supports: z.array(z.object({ name: z.string(), gPerKg: z.number() })),
    setsGPerKg: z.number(),
    verdict: z.string(),
    /** In the gelatin at hand. */
    advisedG: z.number(),
  }),
  run: ({ gelatinG, bloom, school, leafG, leaf225G, ...rest }) => {
    const here = leafG && leaf225G ? { fromG: leafG, toG: leaf225G } : undefined;
    const same = gelatinForStrength(gelatinG, bloom, REFERENCE_BLOOM, school, here);
    if (!same.ok) return same;
    const dose = gelatinDose({ ...rest, gelatin225G: same.value });
    if (!dose.ok) return dose;
    const back = here ? { fromG: here.toG, toG: here.fromG } : undefined;
    const advised = gelatinForStrength(dose.value.advised225G, REFERENCE_BLOOM, bloom, school, back);
    if (!advised.ok) return advised;
    const { doseGPerKg, band, harsh, supports, setsGPerKg, verdict } = dose.value;
    return ok({ gelatin225G: same.value, doseGPerKg, band, harsh, supports: [...supports], setsGPerKg, verdict, advisedG: advised.value });
  },
});

const syllabubCalculator = define({
  name: 'syllabub',
  answers: 'Whether a syllabub stays whole or parts, how much clear drink by the serving hour, and the wine for either.',
  input: z.object({
    milkFatG: z.number(),
    massG: z.number(),
    hours: z.number(),
    /** Share of clear drink that is wished for the parted one. */ drinkShare: z.number().default(PARTED_WISH),
  }),
  output: z.object({
    kind: z.enum(['whole', 'parted']),
    keepsG: z.number(),
    excessG: z.number(),
    drinkG: z.number(),
    drinkShare: z.number(),
    moreWineWholeG: z.number().nullable(),
    moreWinePartedG: z.number().nullable(),
  }),
  run: ({ drinkShare, ...i }) => {
    const read = readSyllabub(i);
    if (!read.ok) return read;
    const more = (wish: 'whole' | number): number | null => {
      const g = wineFor(i, wish);
      return g.ok ? g.value : null;
    };
    return ok({ ...read.value, moreWineWholeG: more('whole'), moreWinePartedG: more(drinkShare) });
  },
});

const ml = z.number().min(0).max(1_000_000);
const foldCalculator = define({
  name: 'fold',
  answers: 'The air account of a base and its foams, fold by fold.',
  input: z.object({
    baseMl: ml,
    baseAirMl: ml.default(0),
    stiff: z.boolean(),
    folds: z
      .array(
        z.object({
          mixMl: ml,
          overrunPct: z.number().min(0).max(2000),
          firstShare: z.number().min(0).max(1).default(0),
          whiskedIn: z.boolean().default(false),
        }),
      )
      .min(1)
      .max(20),
  }),
  output: z.object({
    overrunPct: z.number(),
    volumeMl: z.number(),
    steps: z.array(z.object({ mixMl: z.number(), airMl: z.number(), broughtMl: z.number(), keeps: z.number() })),
  }),
  run: ({ baseMl, baseAirMl, stiff, folds }) => {
    const steps = foldAccount(
      { mixMl: baseMl, airMl: baseAirMl },
      folds.map((f) => ({ ...f, airMl: (f.mixMl * f.overrunPct) / 100 })),
      stiff,
    );
    const last = steps.at(-1)!;
    if (!(last.mixMl > 0)) return fail('baseMl', 'empty', 'There is nothing to fold.');
    return ok({ overrunPct: (100 * last.airMl) / last.mixMl, volumeMl: last.mixMl + last.airMl, steps: steps.map((s) => ({ ...s })) });
  },
});

const alcoholCalculator = define({
  name: 'alcohol',
  answers: 'Alcohol by volume, g and standard drinks in a portion.',
  input: z.object({ portions: PortionsSchema, servings: z.number().int().min(1).max(5000), standardDrinkG: z.number().min(5).max(20).default(10) }),
  output: z.object({ abvPct: z.number(), perPortionG: z.number(), standardDrinks: z.number() }),
  run: ({ portions, servings, standardDrinkG }) => {
    const read = readPortions(portions);
    return read.ok ? ok({ abvPct: abvPct(read.value.mixture), ...alcoholServed(read.value.mixture, servings, standardDrinkG) }) : read;
  },
});

/** Every calculator, by name. */
export const CALCULATORS = {
  composition: compositionCalculator,
  overrun: overrunCalculator,
  'fat-blend': fatBlendCalculator,
  whisk: whiskCalculator,
  hold: holdCalculator,
  'gelatin-dose': gelatinCalculator,
  syllabub: syllabubCalculator,
  fold: foldCalculator,
  alcohol: alcoholCalculator,
  setter: setterCalculator,
  'set-time': setTimeCalculator,
  tempering: temperingCalculator,
  mixing: mixingCalculator,
  syrup: syrupCalculator,
  reduce: reduceCalculator,
  egg: eggCalculator,
  freezing: freezingCalculator,
  blend: blendCalculator,
  solve: solveCalculator,
  'trade-off': tradeOffCalculator,
  'egg-whisk': eggWhiskCalculator,
  'fold-strokes': strokesCalculator,
  correction: correctionCalculator,
  cooling: coolingCalculator,
  cold: coldCalculator,
  vessel: vesselCalculator,
  biscuits: biscuitsCalculator,
  soak: soakCalculator,
  softening: softeningCalculator,
  timetable: timetableCalculator,
  'read-recipe': readRecipeCalculator,
  'next-trial': nextTrialCalculator,
  'tune-test': tuneTestCalculator,
  'mend-causes': mendCausesCalculator,
  'mend-rescue': mendRescueCalculator,
} as const;

export type CalculatorName = keyof typeof CALCULATORS;
export type CalculatorInput<N extends CalculatorName> = z.input<(typeof CALCULATORS)[N]['input']>;
export type CalculatorOutput<N extends CalculatorName> = z.output<(typeof CALCULATORS)[N]['output']>;

export const isCalculator = (name: string): name is CalculatorName => Object.hasOwn(CALCULATORS, name);

/**
 * Runs a calculator on unchecked input: the one way in for the route, the command line and the worker.
 * @param kitchens the kitchens that ship with the program, by name.
 * @returns the checked output, or a fault naming the calculator or the field.
 */
export function calculate(name: string, input: unknown, kitchens: Kitchens): Result<unknown> {
  if (!isCalculator(name)) {
    return fail('name', 'no-calculator', `There is no calculator ‘${name.slice(0, 60)}’; there are ${Object.keys(CALCULATORS).join(', ')}.`);
  }
  return runCalculator(CALCULATORS[name], input, kitchens);
}
