import { blendToFat } from '../core/foam/fat';
import { bestEggFill, eggWhip } from '../core/foam/egg-whisk';
import { foldAccount } from '../core/foam/fold';
import { COOLING_RULES, coolingVerdict } from '../core/heat/cooling';
import { learn } from '../core/learning/correction';
import { overrunFromCups } from '../core/foam/overrun';
import { readSyllabub } from '../core/foam/syllabub';
import { secondsTo, whip } from '../core/foam/whisk';
import { STAGE_X } from '../core/foam/house';
import { composition } from '../core/composition/components';
import { dairyCream } from '../core/composition/cream';
import { mix } from '../core/composition/mixture';
import { sweetnessPer100 } from '../core/composition/sweetness';
import { conductivity, specificHeatOf } from '../core/composition/thermal';
import { densityGPerMl } from '../core/composition/density';
import { freezingStartC, frozenShare, solutionOf, sucroseDepressionC, sucroseEquivalentG, LATENT_HEAT_J_PER_G } from '../core/heat/freezing';
import { heatContent } from '../core/heat/heat-content';
import { equivalentMinutes } from '../core/heat/lethality';
import { guest, mixingC } from '../core/heat/meeting';
import { boilSyrup, sugarPctAtBoil } from '../core/heat/syrup';
import type { Result } from '../core/result';
import { gelatinForStrength } from '../core/setting/gelatin';
import { setMaturity } from '../core/setting/set';
import { solveBalance } from '../core/balance/solve';
import { hourAt } from '../core/cold/run';
import { gridOf } from '../core/heat/solver/grid';
import { march } from '../core/heat/solver/march';
import { constantMaterial, FROM_C, heatAt, K_STEP, materialOf } from '../core/heat/solver/material';
import { cylinderTheta, plankS, slabTheta } from '../core/heat/solver/series';
import { uptakePct } from '../core/tin/soak';
import { rectsInRect } from '../core/vessel/packing/rects-in-rect';
import { roundsInRound } from '../core/vessel/packing/rounds-in-round';
import { capacityMl } from '../core/vessel/profile';

/** One published or analytic value against what the core computes. */
export interface Check {
  readonly of: string;
  readonly expected: number;
  readonly computed: number;
  readonly unit: string;
  /** Where the expected value is from. */
  readonly source: string;
  /** Largest difference that is no error. */
  readonly within: number;
}

const value = <T>(r: Result<T>): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const water = composition({ water: 100 });
const pure = (massG: number) => mix([{ massG, per100: water }]);
const sugarWater = (sugarG: number) => {
  const m = mix([
    { massG: sugarG, per100: composition({ sucrose: 100 }) },
    { massG: 100, per100: water },
  ]);
  return solutionOf(m, sugarG);
};

/** Time at which a falling function comes to a value. */
function invertTheta(f: (t: number) => number, wanted: number): number {
  let [a, b] = [0, 1e8];
  for (let i = 0; i < 80; i++) {
    const m = (a + b) / 2;
    if (f(m) > wanted) a = m;
    else b = m;
  }
  return a;
}

/** Hours until the core of a body of constant properties, 20 °C in air of 0, is at 4 °C. */
function coldHours(kind: 'long' | 'round' | 'brick', half: number, h: number, faces: 'slab' | 'all'): number {
  const f = { h, air: 0 };
  const grid = gridOf({
    kind,
    half: () => half,
    halfLength: () => half,
    layers: [{ material: constantMaterial(1000, 3.5, 0.5), fromM: 0, toM: 2 * half, startC: 20 }],
    side: faces === 'slab' ? { h: 0, air: 0 } : f,
    bottom: f,
    top: f,
    across: faces === 'slab' ? 1 : 12,
    up: 22,
    along: 12,
  });
  const m = value(march({ grid, airs: [{ setC: 0, uaWPerK: null, bodies: 1 }], mostH: 1000, untilC: 3.9 }));
  return hourAt(Array.from(m.h), Array.from(m.warmest), 4)!;
}

/** Freezing against Plank where he applies, a terrine against a grid twice as fine, the account of heat. */
function frozenChecks(): readonly Check[] {
  const portions = [{ massG: 100, per100: composition({ water: 97, gelatin_protein: 2, sucrose: 1 }), ownSweetness: null, ownFreezing: null }];
  const gel = materialOf('gel', mix(portions), sucroseEquivalentG(portions), 0);
  const startC = freezingStartC(solutionOf(mix(portions), sucroseEquivalentG(portions)))!;
  const k = gel.k[Math.round((-5 - FROM_C) / K_STEP)]!;
  const d = 0.05;
  const h = (2 * k) / d;
  const f = { h, air: 0 };
  const still = [{ setC: -25, uaWPerK: null, bodies: 1 }];
  const slab = value(
    march({
      grid: gridOf({
        kind: 'long',
        half: () => 1,
        layers: [{ material: gel, fromM: 0, toM: d, startC }],
        side: { h: 0, air: 0 },
        bottom: f,
        top: f,
        across: 1,
        up: 40,
      }),
      airs: still,
      mostH: 200,
      untilC: -5.2,
      step: 0.015,
    }),
  );
  const plank = plankS('slab', gel.rhoKgPerM3, 1000 * (heatAt(gel, startC) - heatAt(gel, -5)), startC, -25, d, h, k) / 3600;
  const cream = [
    { massG: 320, per100: composition({ water: 58, milk_fat: 36, milk_protein: 2.2, lactose: 3.3, salt: 0.5 }), ownSweetness: null, ownFreezing: null },
    { massG: 100, per100: composition({ sucrose: 100 }), ownSweetness: null, ownFreezing: null },
  ];
  const sweet = materialOf('cream', mix(cream), sucroseEquivalentG(cream), 60);
  const terrine = (fine: number) =>
    value(
      march({
        grid: gridOf({
          kind: 'long',
          half: (z) => 0.034 + 0.1 * z,
          layers: [{ material: sweet, fromM: 0, toM: 0.055, startC: 12 }],
          side: { h: 6.8, air: 0 },
          bottom: { h: 7, air: 0 },
          top: { h: 6.5, air: 0 },
          across: 16 * fine,
          up: 24 * fine,
        }),
        airs: [{ setC: -20, uaWPerK: null, bodies: 1 }],
        mostH: 100,
        untilC: -15.2,
        ...(fine > 1 ? { step: 0.015 } : {}),
      }),
    );
  const at = (m: { h: Float64Array; warmest: Float64Array }, tC: number): number => hourAt(Array.from(m.h), Array.from(m.warmest), tC)!;
  const [coarse, fine] = [terrine(1), terrine(2)];
  return [
    {
      of: 'Near-water gel, 50 mm, Bi 1, frozen to −5 °C',
      expected: plank,
      computed: at(slab, -5),
      unit: 'h',
      source: 'Plank 1913, holds within 15 %',
      within: 0.15 * plank,
    },
    {
      of: 'Terrine of sweet cream, core to −15 °C',
      expected: at(fine, -15),
      computed: at(coarse, -15),
      unit: 'h',
      source: 'its own grid and steps twice as fine',
      within: 0.01 * at(fine, -15),
    },
    { of: 'The same: heat given over heat lost', expected: 1, computed: coarse.gaveJ / coarse.lostJ, unit: '', source: 'conservation', within: 1e-9 },
  ];
}

/** Every check that the documents list, worked out by the same code that the application runs. */
export function allChecks(): readonly Check[] {
  const check = (of: string, expected: number, computed: number, unit: string, source: string, within = 1e-6): Check => ({
    of,
    expected,
    computed,
    unit,
    source,
    within,
  });
  const CO = 'Choi & Okos 1986, as printed in refrigeration handbooks';
  const cream36 = value(dairyCream(36));
  const reference = value(
    whip({
      fatPct: 36,
      sugarPer100: 0,
      sugarAt: 'start',
      creamC: 5,
      softCheeseShare: 0,
      mascarponeShare: 0,
      mixer: 'planetary',
      bowlMl: 4800,
      speed: 'fast',
      slowFromSoft: false,
      mixMl: 1000,
      batches: 1,
      target: 'firm',
    }),
  );
  const square = value(blendToFat(36, 48, 3.6, 1000));
  const balance = value(
    solveBalance({
      lines: [48, 3.6].map((fat) => ({
        name: `${fat}`,
        nowG: 500,
        per100: value(dairyCream(fat)),
        ownSweetness: null,
        ownFreezing: null,
        bloom: null,
        soakPerG: 0,
        plantCream: false,
        pricePerKg: null,
        locked: false,
        minG: 0,
        maxG: null,
        stepG: null,
      })),
      goals: [{ figure: 'fat', name: 'fat', low: 35.9, high: 36.1, weight: 1, airPct: 0, freezerC: -18 }],
      totalG: 1000,
    }),
  );
  const iceAt = heatContent(pure(1), 0);
  return [
    ...[0.1, 1, 5, 20].flatMap((bi) => {
      const [length, k] = [0.03, 0.5];
      const alpha = k / (1000 * 3.5 * 1000);
      const h = (bi * k) / length;
      const exact = (theta: (fo: number) => number): number => invertTheta((t) => theta((alpha * t) / length ** 2), 0.2) / 3600;
      return [
        {
          of: `Slab of 60 mm, Bi ${bi}: core a fifth of the way to the air`,
          expected: exact((fo) => slabTheta(bi, fo)),
          computed: coldHours('long', length, h, 'slab'),
          unit: 'h',
          source: 'series solution',
          within: 0.01 * exact((fo) => slabTheta(bi, fo)),
        },
        {
          of: `Cylinder of 60 × 60 mm, Bi ${bi}: the same`,
          expected: exact((fo) => slabTheta(bi, fo) * cylinderTheta(bi, fo)),
          computed: coldHours('round', length, h, 'all'),
          unit: 'h',
          source: 'product of series',
          within: 0.01 * exact((fo) => slabTheta(bi, fo) * cylinderTheta(bi, fo)),
        },
      ];
    }),
    ...frozenChecks(),
    {
      of: 'Cube of 60 mm, Bi 1: the same',
      expected: invertTheta((t) => slabTheta(1, ((0.5 / 3.5e6) * t) / 0.03 ** 2) ** 3, 0.2) / 3600,
      computed: coldHours('brick', 0.03, 0.5 / 0.03, 'all'),
      unit: 'h',
      source: 'product of series',
      within: (0.01 * invertTheta((t) => slabTheta(1, ((0.5 / 3.5e6) * t) / 0.03 ** 2) ** 3, 0.2)) / 3600,
    },

    {
      of: 'A glass of 80 and 60 mm, 100 mm high: its frustum',
      expected: (Math.PI * 100 * (40 * 40 + 40 * 30 + 30 * 30)) / 3000,
      computed: capacityMl({ kind: 'glass', name: 'G', topMm: 80, baseMm: 60, heightMm: 100 }),
      unit: 'mL',
      source: 'closed form',
      within: 1e-9,
    },
    {
      of: 'A tray of 300 × 200 mm with corners of 30 mm, 50 mm high',
      expected: ((300 * 200 - (4 - Math.PI) * 900) * 50) / 1000,
      computed: capacityMl({ kind: 'tray', name: 'T', lengthMm: 300, widthMm: 200, baseLengthMm: 300, baseWidthMm: 200, heightMm: 50, cornerMm: 30 }),
      unit: 'mL',
      source: 'closed form',
      within: 1e-9,
    },
    {
      of: 'Rounds of 1 in a round of 8.6613: the curved hexagon',
      expected: 61,
      computed: roundsInRound(8.6614, 1).length,
      unit: '',
      source: 'best known packing',
      within: 0,
    },
    { of: 'Rounds of 1 in a round of 4.8638', expected: 19, computed: roundsInRound(4.8638, 1).length, unit: '', source: 'proven optimum', within: 0 },
    {
      of: 'Pieces of 3 × 2 in 5 × 5: the pinwheel',
      expected: 4,
      computed: rectsInRect(5, 5, 3, 2).pieces.length,
      unit: '',
      source: 'search of every placing',
      within: 0,
    },
    {
      of: 'A crisp finger after 2 s',
      expected: 95,
      computed: uptakePct({ shape: 'rect', widthMm: 25, lengthMm: 110, heightMm: 16, uptakePct: [60, 95, 145] }, 2),
      unit: '%',
      source: 'the larder',
      within: 1e-9,
    },

    check('solids not fat of 36 % cream: lactose', 0.09 * 64 * 0.54, cream36.lactose, 'g/100 g', 'dairy tables: 9 % of the skim phase, 54 % of it lactose'),
    check('the same: protein', 0.09 * 64 * 0.38, cream36.milk_protein, 'g/100 g', 'dairy tables: 38 % of it protein'),
    check('density of water at 20 °C', 0.9957, densityGPerMl(pure(100), 20) ?? 0, 'g/mL', CO, 1e-3),
    check('specific heat of water at 20 °C', 4.1766, specificHeatOf('water', 20), 'J/gK', CO, 1e-4),
    check('specific heat of ice at −20 °C', 2.0623 - 0.121538, specificHeatOf('ice', -20), 'J/gK', CO, 1e-6),
    check('specific heat of fat at 20 °C', 1.9842 + 0.029466 - 0.00192032, specificHeatOf('fat', 20), 'J/gK', CO, 1e-6),
    check('conductivity of water at 0 °C', 0.57109, conductivity(pure(100), 0), 'W/mK', CO),
    check('conductivity of ice at 0 °C', 2.2196, conductivity(pure(100), 0, 100), 'W/mK', CO),
    check('overrun of cups of 120 and 60 g', 100, value(overrunFromCups(120, 60)), '%', 'definition'),
    check('square: 48 and 3.6 % to 36 %, parts of the richer', 32.4, square.partsA, 'parts', 'the square'),
    check('the solver on the same blend, of 1000 g', (1000 * 32.4) / 44.4, balance.amountsG[0]!, 'g', 'the square', 1e-3),
    check(
      'a third given up first into a stiff base',
      (100 / 3) * 0.55 * 0.93 + (200 / 3) * 0.93,
      foldAccount({ mixMl: 200, airMl: 0 }, [{ mixMl: 100, airMl: 100, firstShare: 1 / 3, whiskedIn: false }], true)[0]!.airMl,
      'mL of 100',
      'hand calculation',
    ),
    check('firm for the reference whip', 240, secondsTo(reference, STAGE_X.firm) ?? 0, 's', 'calibration', 0.05),
    check(
      'sweetness of 10 g sugar and 5 g lactose in 100 g',
      10 + 5 * 0.16,
      sweetnessPer100([{ massG: 100, per100: composition({ sucrose: 10, lactose: 5, water: 85 }) }]),
      '',
      'published relative sweetness',
    ),
    ...(
      [
        [200, 225, 'square-root', 10 * Math.sqrt(200 / 225)],
        [160, 225, 'square-root', 10 * Math.sqrt(160 / 225)],
        [200, 225, 'linear', (10 * 200) / 225],
      ] as const
    ).map(([from, to, school, expected]) =>
      check(`10 g of ${from} bloom as ${to}, ${school}`, expected, value(gelatinForStrength(10, from, to, school)), 'g', 'the school’s own formula'),
    ),
    check('set after 4 h under 15 °C', (1 - Math.exp(-1)) / (1 - Math.exp(-(4.5 ** 0.6))), setMaturity(4), '', 'hand calculation'),
    ...(
      [
        [3, 0.18],
        [30, 1.86],
        [60, 3.85],
        [99, 7.04],
        [120, 8.92],
        [150, 11.41],
        [180, 13.68],
      ] as const
    ).map(([g, c]) => check(`depression of ${g} g sucrose per 100 g water`, c, sucroseDepressionC(g), '°C', 'published sucrose table')),
    check('ice of 30 g sugar in 100 g water at −3.85 °C', 0.5, frozenShare(sugarWater(30), -3.85), '', 'the table: 60 g per 100 g freezes there'),
    check('heat of freezing of water', LATENT_HEAT_J_PER_G, -iceAt.at(-1e-9), 'J/g', 'published', 1e-3),
    ...(
      [
        [100.6, 30],
        [103, 60],
        [112, 80],
        [118, 87],
        [121, 89.5],
        [130, 94.5],
      ] as const
    ).map(([t, pct]) => check(`sugar of a syrup boiling at ${t} °C`, pct, value(sugarPctAtBoil(t)), '%', 'published boiling table')),
    check(
      'water that boils off 200 g sugar and 60 g water to 118 °C',
      60 - (200 * 13) / 87,
      value(boilSyrup({ sugarG: 200, waterG: 60, toC: 118, hobW: 1800, startC: 20, waterBoilsC: 100, stays: 0 })).boilsOffG,
      'g',
      'hand calculation',
    ),
    ...(
      [
        ['white', 56.7],
        ['whole egg', 60],
        ['yolk', 61.1],
        ['yolk with sugar', 63.3],
      ] as const
    ).map(([name, t]) =>
      check(
        `${name} held 3.5 min at ${t} °C`,
        3.5,
        value(
          equivalentMinutes(
            [
              [0, t],
              [3.5, t],
            ],
            t,
          ),
        ),
        'min',
        'published processing tables',
      ),
    ),
    check(
      '0.35 min at one z above the reference',
      3.5,
      value(
        equivalentMinutes(
          [
            [0, 65.7],
            [0.35, 65.7],
          ],
          61.1,
        ),
      ),
      'min',
      'z = 4.6 °C',
    ),
    check(
      'equal water at 10 and 30 °C',
      20,
      value(mixingC([guest('a', pure(500), 0, 10), guest('b', pure(500), 0, 30)])),
      '°C',
      'equal specific heats, to what the handbook’s curve bends',
      0.02,
    ),
    check(
      '100 g water at 80 °C and 50 g ice at 0 °C',
      (100 * 4.187 * 80 - 50 * 333.6) / (150 * 4.187),
      value(mixingC([guest('a', pure(100), 0, 80), guest('b', pure(50), 0, -1e-9)])),
      '°C',
      'heat balance with 4.187 J/gK',
      0.2,
    ),
    check(
      'one batch of 1.1 times the whisking time: factor',
      Math.exp(Math.log(1.1) / Math.log(1.08) ** 2 / (1 / Math.log(1.18) ** 2 + 1 / Math.log(1.08) ** 2)),
      learn([{ ratio: 1.1, at: 0, batchId: 'a', answer: null }], 0.18, 0.08).factor,
      '',
      'conjugate normal update by hand',
    ),
    check(
      'plain whites at soft, cold and in a hand mixer',
      (90 / 0.75) * (1 + 0.015 * 16),
      value(
        eggWhip({ foam: 'whites', mixer: 'hand-mixer', bowlMl: 3000, speed: 'fast', mixMl: 3000 * bestEggFill('whites', 'hand-mixer'), batches: 1, eggC: 4 }),
      ).window.opensS,
      's',
      'hand calculation',
      1e-6,
    ),
    check(
      'a curve from 85 °C falls through 57 °C, on its way to 50 °C in 10 min',
      8,
      value(
        coolingVerdict(
          [
            [0, 85],
            [10, 50],
            [100, 20],
            [300, 4],
          ],
          COOLING_RULES[0]!,
        ),
      ).startMin!,
      'min',
      'straight line',
    ),
    check(
      'syllabub of 400 g of 48 % cream and 355 g more, drink after 8 h',
      (755 - 192 - 2.15 * 192) * (1 - Math.exp(-1)),
      value(readSyllabub({ milkFatG: 192, massG: 755, hours: 8 })).drinkG,
      'g',
      'hand calculation',
    ),
  ];
}

const shown = (v: number): string => String(Number(v.toPrecision(6)));

/** The list as a Markdown table. */
export function checksPage(): string {
  const rows = allChecks().map(
    (c) =>
      `| ${c.of} | ${shown(c.expected)} | ${shown(c.computed)} | ${c.unit} | ${Math.abs(c.computed - c.expected) < 5e-10 ? '0' : (c.computed - c.expected).toExponential(1)} | ${c.source} |`,
  );
  return `# Checks\n\nPublished and analytic values against what the core computes. Written by \`npm run science\` from the same code that the application runs; a test fails when this page is stale or a difference is more than it may be.\n\n| what | expected | computed | unit | difference | source |\n|---|---|---|---|---|---|\n${rows.join('\n')}\n`;
}
