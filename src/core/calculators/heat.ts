import { z } from 'zod';
import { freezingCurve, freezingStartC, frozenShare, knifeWindow, solutionOf } from '../heat/freezing';
import { BOWL_HEAT, BOWL_TOUCHED, type BowlKind } from '../heat/house';
import { EGG_KINDS, EGG_RULES, eggVerdict } from '../heat/lethality';
import { bowlGuest, guest, massFor, mixingC, temperatureFor, type Guest } from '../heat/meeting';
import { boilSyrup, reducingMinutes } from '../heat/syrup';
import { LEVER_NAMES, FREEZING_LEVERS, moveSliceTo, sliceC } from '../analysis/frozen';
import { hourAt } from '../cold/run';
import { gridOf } from '../heat/solver/grid';
import { march } from '../heat/solver/march';
import { materialOf } from '../heat/solver/material';
import { fail, ok, type Result } from '../result';
import { define } from './define';
import { PortionsSchema, readPortions } from './portions';

const tC = z.number().min(-40).max(150);

export const mixingCalculator = define({
  name: 'mixing',
  answers: 'The temperature that things come to when they meet, bowl counted; or what one must be, or weigh, to reach a wish.',
  input: z.object({
    things: z
      .array(z.object({ name: z.string().max(80).default('it'), tC, portions: PortionsSchema }))
      .min(1)
      .max(20),
    bowl: z
      .object({
        kind: z.enum(Object.keys(BOWL_HEAT) as [BowlKind, ...BowlKind[]]),
        massG: z.number().min(0).max(50_000),
        tC,
        touched: z.number().min(0).max(1).default(BOWL_TOUCHED.forecast),
      })
      .optional(),
    /** Wished temperature of the mix, and which of the things may change for it. */
    wish: z.object({ tC, thing: z.number().int().min(0) }).optional(),
  }),
  output: z.object({ mixC: z.number(), thingC: z.number().nullable(), thingG: z.number().nullable() }),
  run: ({ things, bowl, wish }) => {
    const guests: Guest[] = [];
    for (const x of things) {
      const read = readPortions(x.portions);
      if (!read.ok) return read;
      guests.push(guest(x.name, read.value.mixture, read.value.sucroseEqG, x.tC));
    }
    if (bowl) guests.push(bowlGuest(bowl.kind, bowl.massG, bowl.tC, bowl.touched));
    const mixed = mixingC(guests);
    if (!mixed.ok) return mixed;
    const answer = (f: typeof temperatureFor): number | null => {
      const r: Result<number> | null = wish ? f(guests, wish.thing, wish.tC) : null;
      return r?.ok ? r.value : null;
    };
    return ok({ mixC: mixed.value, thingC: answer(temperatureFor), thingG: answer(massFor) });
  },
});

export const syrupCalculator = define({
  name: 'syrup',
  answers: 'Sugar and water boiled to a temperature: strength, water to boil off, what arrives, minutes on the hob.',
  input: z.object({
    sugarG: z.number(),
    waterG: z.number(),
    toC: z.number(),
    hobW: z.number().default(1800),
    startC: z.number().default(20),
    waterBoilsC: z.number().default(100),
    /** Share that stays in the pan, 0–0.9. */
    stays: z.number().default(0),
  }),
  output: z.object({ sugarPct: z.number(), boilsOffG: z.number(), inPanG: z.number(), arrivesG: z.number(), minutes: z.number() }),
  run: (input) => {
    const made = boilSyrup(input);
    if (!made.ok) return made;
    const { sugarPct, boilsOffG, inPanG, arrivesG, minutes } = made.value;
    return ok({ sugarPct, boilsOffG, inPanG, arrivesG, minutes });
  },
});

export const reduceCalculator = define({
  name: 'reduce',
  answers: 'Fruit, wine or milk reduced by so much water: minutes on the hob, what is left, and after the sieve.',
  input: z.object({
    portions: PortionsSchema,
    boilsOffG: z.number(),
    startC: z.number().default(20),
    hobW: z.number().default(1800),
    sievedOut: z.number().min(0).max(0.95).default(0),
  }),
  output: z.object({ minutes: z.number(), leftG: z.number() }),
  run: ({ portions, boilsOffG, startC, hobW, sievedOut }) => {
    const read = readPortions(portions);
    if (!read.ok) return read;
    const minutes = reducingMinutes(read.value.mixture, read.value.sucroseEqG, startC, boilsOffG, hobW);
    return minutes.ok ? ok({ minutes: minutes.value, leftG: (read.value.mixture.massG - boilsOffG) * (1 - sievedOut) }) : minutes;
  },
});

export const eggCalculator = define({
  name: 'egg',
  answers: 'Whether a temperature curve reaches the usual figure for egg. Never says safe; your local code leads.',
  input: z.object({
    kind: z.enum(EGG_KINDS),
    curve: z
      .array(z.tuple([z.number(), z.number()]))
      .min(1)
      .max(5000),
    richInSugar: z.boolean().default(false),
    rule: z.enum(EGG_RULES).default('table'),
  }),
  output: z.object({
    reaches: z.boolean(),
    by: z.enum(['one-point', 'hold']).nullable(),
    peakC: z.number(),
    equivalentMin: z.number(),
    referenceC: z.number(),
  }),
  run: ({ kind, curve, richInSugar, rule }) => eggVerdict(kind, curve, richInSugar, rule),
});

export const freezingCalculator = define({
  name: 'freezing',
  answers: 'Freezing start, frozen share, ice by volume, knife window; and what moves the slice temperature to a wish.',
  input: z.object({ portions: PortionsSchema, overrunPct: z.number().default(0), freezerC: z.number().default(-18), wishC: z.number().optional() }),
  output: z.object({
    startC: z.number().nullable(),
    frozenShare: z.number(),
    iceVolume: z.number(),
    knifeWarmC: z.number().nullable(),
    knifeColdC: z.number().nullable(),
    straight: z.enum(['soft', 'clean', 'rest', 'hard']),
    sliceC: z.number().nullable(),
    curve: z.array(z.object({ tC: z.number(), frozen: z.number() })),
    /** For the wish: g of each to add (below 0 to take out), or % of air; null where it cannot. */
    levers: z.record(z.enum(FREEZING_LEVERS), z.number().nullable()).nullable(),
  }),
  run: ({ portions, overrunPct, freezerC, wishC }) => {
    const read = readPortions(portions);
    if (!read.ok) return read;
    const { mixture, sucroseEqG } = read.value;
    const solution = solutionOf(mixture, sucroseEqG);
    const window = knifeWindow(mixture, solution, overrunPct, freezerC);
    if (!window.ok) return window;
    const m = { mixture, sucroseEqG, solution, overrunPct };
    const lever = (l: keyof typeof LEVER_NAMES): number | null => {
      const r = moveSliceTo(m, wishC ?? 0, l);
      return r.ok ? r.value.amount : null;
    };
    return ok({
      startC: freezingStartC(solution),
      frozenShare: frozenShare(solution, freezerC),
      iceVolume: window.value.iceVolume,
      knifeWarmC: window.value.warmC,
      knifeColdC: window.value.coldC,
      straight: window.value.straight,
      sliceC: sliceC(m),
      curve: [...freezingCurve(solution, 0, Math.min(-1, freezerC), 41)],
      levers: wishC === undefined ? null : { sucrose: lever('sucrose'), dextrose: lever('dextrose'), spirit: lever('spirit'), air: lever('air') },
    });
  },
});

const face = z.number().min(0).max(5000);
export const coldCalculator = define({
  name: 'cold',
  answers: 'How long a slab, a cylinder, a long bar or a brick of a mix takes in air of one temperature: hours to core temperatures, with freezing.',
  input: z.object({
    shape: z.enum(['slab', 'cylinder', 'bar', 'brick']),
    /** Height, mm; of a slab its thickness. */
    heightMm: z.number().min(2).max(500),
    /** Diameter or width, mm; not read for a slab. */
    widthMm: z.number().min(5).max(1000).default(100),
    /** Length of a brick, mm. */
    lengthMm: z.number().min(5).max(2000).default(200),
    portions: PortionsSchema,
    overrunPct: z.number().min(0).max(2000).default(0),
    startC: z.number().min(-30).max(100),
    airC: z.number().min(-40).max(40),
    /** W/m²K through the side, the bottom and the top, walls and film counted. */
    side: face,
    bottom: face,
    top: face,
    /** Core temperatures that are asked for, °C. */
    coreC: z.array(z.number().min(-40).max(100)).min(1).max(20),
  }),
  output: z.object({ hours: z.array(z.object({ coreC: z.number(), hours: z.number().nullable() })), steps: z.number(), energyError: z.number() }),
  run: (i) => {
    if (i.side + i.bottom + i.top <= 0) return fail('side', 'nothing', 'With a heat transfer of nothing it never cools: give one face 5 W/m²K or more.');
    const read = readPortions(i.portions);
    if (!read.ok) return read;
    const material = materialOf('mix', read.value.mixture, read.value.sucroseEqG, i.overrunPct);
    const f = (h: number) => ({ h, air: 0 });
    const grid = gridOf({
      kind: i.shape === 'cylinder' ? 'round' : i.shape === 'brick' ? 'brick' : 'long',
      half: () => i.widthMm / 2000,
      halfLength: () => i.lengthMm / 2000,
      layers: [{ material, fromM: 0, toM: i.heightMm / 1000, startC: i.startC }],
      side: f(i.shape === 'slab' ? 0 : i.side),
      bottom: f(i.bottom),
      top: f(i.top),
      across: i.shape === 'slab' ? 1 : 14,
      up: 22,
      along: 14,
    });
    const warming = i.startC < i.airC;
    const run = march({ grid, airs: [{ setC: i.airC, uaWPerK: null, bodies: 1 }], mostH: 500, untilC: i.airC + (warming ? -0.1 : 0.1) });
    if (!run.ok) return run;
    const { h, warmest, coldest, steps, gaveJ, lostJ } = run.value;
    const core = Array.from(warming ? coldest : warmest);
    return ok({
      hours: i.coreC.map((coreC) => ({ coreC, hours: hourAt(Array.from(h), core, coreC, warming) })),
      steps,
      energyError: lostJ === 0 ? 0 : Math.abs(gaveJ / lostJ - 1),
    });
  },
});
