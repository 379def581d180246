import {
  CHURNS_FROM_C,
  CHURNS_WHOLLY_C,
  COLD_EGG,
  CREAM_KINDS,
  FILL_PENALTY,
  GELATIN_FADES_C,
  HOLD_WARM,
  LEAN,
  NO_PEAK_FROM_C,
  PLANT_CREAM,
  RATE_GAIN_PER_SHARE,
  REACH_LIMIT,
  SHALLOW,
  SOUR_WHISK,
  SUGAR_HOLD,
  EGG_FOAM_OVERRUN,
  EGG_FOAM_SPREAD,
  EGG_MIXER_FACTOR,
  EGG_WHISK,
  EGG_WHISK_SPREAD,
  FOLD_STROKES,
  LOAD_BY_NETWORK,
  WHISK_WARMS,
  FAT_READINGS,
  FIRST_PORTION_KEEPS,
  FOLD_KEEPS,
  FOLD_SPREAD,
  HOLD_GAIN,
  HOLD_GAIN_CAP,
  HOLD_H,
  HOLD_Q10,
  KEEPING_H,
  OVERRUN_BY_FAT,
  OVERRUN_LOSS_PER_C,
  OVERRUN_LOSS_PER_SHARE,
  OVERRUN_LOSS_PER_SUGAR,
  REFERENCE_RATE_PER_S,
  SOUR_HOLD,
  SPREAD,
  STAGE_HOLD,
  STAGE_X,
  STIFF_FOLD_KEEPS,
  SYLLABUB,
  SYLLABUB_SPREAD,
  WHISKED_IN_KEEPS,
} from '../core/foam/house';
import { eggOverrunAt, eggWhip, bestEggFill } from '../core/foam/egg-whisk';
import { foldAccount } from '../core/foam/fold';
import { keptAfter } from '../core/foam/fold-strokes';
import { LEARNABLE, learn } from '../core/learning/correction';
import { readTable } from '../core/interpolate';
import { holdOf } from '../core/foam/hold';
import type { HoldInput, WhiskInput } from '../core/foam/inputs';
import { reachableOverrunPct } from '../core/foam/overrun';
import { readSyllabub } from '../core/foam/syllabub';
import { networkAt, overrunAt, whip } from '../core/foam/whisk';
import { composition } from '../core/composition/components';
import { mix } from '../core/composition/mixture';
import { freezingCurve, solutionOf } from '../core/heat/freezing';
import {
  FOLD_TOO_WARM_C,
  FOLD_WINDOWS,
  GANACHE_WINDOW,
  HOB_SPREAD,
  ICE_VOLUME,
  KNIFE_ICE,
  KNIFE_SPREAD,
  PAN_TAKES,
  WHISKED_COOLING,
  WHISKED_UNTIL_C,
} from '../core/heat/house';
import { equivalentMinutes, whiskedCurve } from '../core/heat/lethality';
import { boilSyrup } from '../core/heat/syrup';
import type { Result } from '../core/result';
import {
  CREAM_BANDS,
  DOSE_BANDS,
  DOSE_SPREAD,
  OTHER_SETTERS,
  RUBBERY_G_PER_KG,
  SET,
  SET_NEEDS,
  SET_SPREAD,
  SHARE_SETTERS,
  SOUR_EXTRA,
  SPOONFUL_C,
  STRINGS,
  STRONG_EXTRA,
  SUPPORTS,
} from '../core/setting/house';
import { setMaturity } from '../core/setting/set';
import { temper } from '../core/setting/tempering';
import { dairyCream } from '../core/composition/cream';
import { guest } from '../core/heat/meeting';
import {
  CREAM_GIVES,
  DENSE_BELOW_PCT,
  DISSOLVES_FROM_SUGAR_PCT,
  MUSH_AFTER,
  POROUS,
  SOAK_BANDS,
  SOAK_SPREAD,
  SOFTENING,
  SPONGE_WATER_PCT,
  SYRUP_OVER,
} from '../core/tin/house';
import { soakPace, uptakePct } from '../core/tin/soak';
import { softeningOf } from '../core/tin/softening';
import { BEST_KNOWN_RATIO } from '../core/vessel/packing/best-known';
import { roundsInRound } from '../core/vessel/packing/rounds-in-round';
import { plot, type PlotLine } from './plot';

/** A house model as the documents show it: equation, constants, its curve, where it stops being true. */
export interface ModelPage {
  readonly file: string;
  readonly title: string;
  readonly equation: string;
  readonly constants: readonly (readonly [name: string, value: string])[];
  readonly picture: string;
  readonly stops: string;
}

const value = <T>(r: Result<T>): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};
const steps = (from: number, to: number, n = 80): readonly number[] => Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n);
const line = (name: string, xs: readonly number[], f: (x: number) => number | null, dashed = false): PlotLine => ({
  name,
  dashed,
  points: xs.flatMap((x) => {
    const y = f(x);
    return y === null ? [] : [[x, y] as const];
  }),
});
const pct = (v: number): string => `±${Math.round(100 * v)} %`;

const CREAM = { fatPct: 36, sugarPer100: 0, sugarAt: 'start' as const, creamC: 5, softCheeseShare: 0, mascarponeShare: 0 };
const WHISK: WhiskInput = { ...CREAM, mixer: 'planetary', bowlMl: 4800, speed: 'fast', slowFromSoft: false, mixMl: 1000, batches: 1, target: 'firm' };
const HOLD: HoldInput = {
  fatPct: 36,
  gelatinGPerKg: 0,
  mascarponeShare: 0,
  softCheeseShare: 0,
  strainedYoghurtShare: 0,
  rawStarchPct: 0,
  xanthanGPerKg: 0,
  powderGPerKg: 0,
  sourLiquidPct: 0,
  stage: 'firm',
  tempC: 4,
  rawEgg: false,
  keepingRuleH: null,
};

const eggAir = (foam: 'whites' | 'french-1-1' | 'yolks-ribbon') => {
  const w = value(eggWhip({ foam, mixer: 'planetary', bowlMl: 4800, speed: 'fast', mixMl: 4800 * bestEggFill(foam, 'planetary'), batches: 1, eggC: 20 }));
  return (t: number): number => eggOverrunAt(w, t);
};
const whole = (n: number): number[] => Array.from({ length: n + 1 }, (_, i) => i);
const alike = (n: number) =>
  learn(
    Array.from({ length: n }, (_, i) => ({ ratio: 1.12, at: i, batchId: `${i}`, answer: null })),
    LEARNABLE['whisk-time'].spread,
    LEARNABLE['whisk-time'].noise,
  );

const FINGER = { shape: 'rect', widthMm: 25, lengthMm: 110, heightMm: 16, uptakePct: [60, 95, 145] } satisfies Parameters<typeof uptakePct>[0];
const softH =
  (uptake: [number, number, number]) =>
  (heightMm: number): number =>
    value(softeningOf({ ...FINGER, heightMm, uptakePct: uptake }, 4, 0)).softH;
const FOUND = BEST_KNOWN_RATIO.map((ratio, i) => [i + 1, roundsInRound(ratio * (1 + 1e-6), 1).length] as const);

/** Every house model of the core. */
export function modelPages(): readonly ModelPage[] {
  const over =
    (change: Partial<typeof CREAM>) =>
    (x: number): number | null => {
      const r = reachableOverrunPct({ ...CREAM, fatPct: x, ...change });
      return r.ok ? r.value : null;
    };
  const whipped = value(whip(WHISK));
  const hold =
    (change: (x: number) => Partial<HoldInput>) =>
    (x: number): number =>
      value(holdOf({ ...HOLD, ...change(x) })).cleanH;
  const sugarSolution = (g: number) => {
    const m = mix([
      { massG: g, per100: composition({ sucrose: 100 }) },
      { massG: 100, per100: composition({ water: 100 }) },
    ]);
    return solutionOf(m, g);
  };
  const cream = guest('cream', mix([{ massG: 1000, per100: value(dairyCream(36)) }]), 0, 5);
  return [
    {
      file: 'overrun',
      title: 'Overrun that a cream can reach',
      equation: 'overrun = O(F) · (1 − c·s) · (1 − 0.06·(T − 7)) · (1 − 0.9·soft cheese) · (1 − 0.5·mascarpone)',
      constants: [
        ['O(F), % at fat %', OVERRUN_BY_FAT.map(([f, o]) => `${f}→${o}`).join(', ')],
        ['c, sugar at the start / at soft peak', `${OVERRUN_LOSS_PER_SUGAR.start} / ${OVERRUN_LOSS_PER_SUGAR['soft-peak']} per g per 100 g cream`],
        ['loss per °C above 7', String(OVERRUN_LOSS_PER_C)],
        ['soft cheese, mascarpone', `${OVERRUN_LOSS_PER_SHARE.softCheese}, ${OVERRUN_LOSS_PER_SHARE.mascarpone}`],
        [
          'other foams, %',
          Object.entries(EGG_FOAM_OVERRUN)
            .map(([k, v]) => `${k} ${v}`)
            .join(', ') + ` (${pct(EGG_FOAM_SPREAD)})`,
        ],
        ['spread', pct(SPREAD.overrun)],
      ],
      picture: plot({
        title: 'Overrun by fat',
        x: 'fat in the bowl, %',
        y: 'overrun, %',
        spread: SPREAD.overrun,
        lines: [line('plain', steps(25, 60, 140), over({})), line('20 g sugar at the start', steps(25, 60, 140), over({ sugarPer100: 20 }), true)],
      }),
      stops:
        'Outside 25–60 % fat and above 20 °C there is no figure. A whisk that hardly reaches the cream brings less. A gas siphon brings 260 % that falls back within minutes and is never planned with.',
    },
    {
      file: 'whisking',
      title: 'Whisking to the peak',
      equation:
        'dx/dt = k·x·(1 − x), x(0) = 0.02; up to firm k = k₀·(F/36)^1.5·mixer·fill·0.94^(T − 7)·sugar·cheese·sour·kind, past it 1.12^(T − 7), and (F/33)^2.5 below 33 % fat; air = overrun·√((x − 0.02)/0.53) up to firm, then falling',
      constants: [
        ['k₀, per s', String(REFERENCE_RATE_PER_S)],
        ['fill', `above the best 1/(1 + ${FILL_PENALTY}·ln(f/f₀)²), below it (f₀/f)^${SHALLOW.power} up to ${SHALLOW.most}; below f₀ × ${REACH_LIMIT} no time`],
        ['cheese', `1 + ${RATE_GAIN_PER_SHARE.mascarpone}·mascarpone + ${RATE_GAIN_PER_SHARE.softCheese}·soft cheese, shares of the dairy`],
        ['sour', `1 + ${SOUR_WHISK.rate}·a, air − ${100 * SOUR_WHISK.air} % a g/kg, a at most ${SOUR_WHISK.most}`],
        [
          'kind of cream',
          `long-life ${CREAM_KINDS['long-life'].rate}, air × ${CREAM_KINDS['long-life'].air}; stabilised ${CREAM_KINDS.stabilised.rate}, air × ${CREAM_KINDS.stabilised.air}; plant ${PLANT_CREAM.rate}, ${PLANT_CREAM.overrunPct} % air`,
        ],
        [
          'warm',
          `above ${CHURNS_FROM_C} °C no clean firm; by ${CHURNS_WHOLLY_C} °C the earlier windows close at the first grain; above ${NO_PEAK_FROM_C} °C no peak stands`,
        ],
        ['lean', `below ${LEAN.mayNotComePct} % firm may not come, below ${LEAN.willNotStandPct} % it will not stand`],
        [
          'stages at x',
          Object.entries(STAGE_X)
            .map(([k, v]) => `${k} ${v}`)
            .join(', '),
        ],
        ['fat reads', FAT_READINGS.map((r) => `from ${Math.floor(r.from)} % ${r.says}`).join('; ')],
        ['spread of times', pct(SPREAD.whiskTime)],
      ],
      picture: plot({
        title: 'Fat network and air over the clock',
        x: 'seconds, the reference whip',
        y: '%',
        lines: [line('network', steps(0, 400), (t) => 100 * networkAt(whipped, t)), line('air', steps(0, 330), (t) => overrunAt(whipped, t), true)],
      }),
      stops: 'Fat 25–60 %, cream −2 to 20 °C. A plant cream comes to no butter. Corrected by the kitchen’s own times.',
    },
    {
      file: 'egg-foams',
      title: 'Egg foams under the whisk',
      equation:
        't = t₀/(m·b·c), from stage to stage in a straight line; b = 1/(1 + 0.8·ln(f/f₀)²), f₀ where the foam fills the bowl as cream does; c = 1/(1 + 0.015·(20 − T)) for cold eggs',
      constants: [
        ...Object.entries(EGG_WHISK).map(([foam, w]) => [`${foam}, s`, `${w.stages.map(([n, s]) => `${n} ${s}`).join(', ')}; right at ${w.right}`] as const),
        [
          'mixers',
          Object.entries(EGG_MIXER_FACTOR)
            .map(([k, v]) => `${k} ${v ?? 'brings no air'}`)
            .join(', '),
        ],
        ['rate lost per °C under 20', String(COLD_EGG.lossPerC)],
        ['spread', pct(EGG_WHISK_SPREAD)],
      ],
      picture: plot({
        title: 'Air over the clock',
        x: 'seconds, planetary on fast, well filled',
        y: 'overrun, %',
        lines: [
          line('plain whites', steps(0, 240), eggAir('whites')),
          line('French 1:1', steps(0, 600), eggAir('french-1-1'), true),
          line('yolks to the ribbon', steps(0, 600), eggAir('yolks-ribbon')),
        ],
      }),
      stops: 'The times are ours: no table gives them. Age of the eggs, acid, and a trace of fat move them; the look decides.',
    },
    {
      file: 'whisk-load',
      title: 'The load on the motor',
      equation:
        'load = zero + gain·ℓ(x)^b; x runs r times as quickly as forecast; log r normal with the forecast’s spread; zero, gain by a Kalman filter, r and b on a grid by Bayes’ rule',
      constants: [
        ['ℓ at x', LOAD_BY_NETWORK.map(([x, l]) => `${x}→${l}`).join(', ')],
        ['bends b', '0.80–1.21'],
        ['whisking warms', `${WHISK_WARMS}·(room − T) °C/min`],
      ],
      picture: plot({
        title: 'Load by the network',
        x: 'fat network x',
        y: 'load over that at firm',
        lines: [line('ℓ', steps(0.02, 1), (x) => readTable(LOAD_BY_NETWORK, x))],
      }),
      stops: 'The shape is ours and is bent by the filter; a sensor that is silent leaves the forecast and what it had said until then.',
    },
    {
      file: 'learning',
      title: 'What the log makes of a house figure',
      equation: 'log factor ~ N(0, ln(1 + spread)²); each outcome/formula adds 1/ln(1 + noise)² of precision; band of the next batch ± 1.2816·√(σ² + σ_noise²)',
      constants: Object.values(LEARNABLE).map((f) => [f.name, `spread ${pct(f.spread)}, noise of one batch ${pct(f.noise)}`] as const),
      picture: plot({
        title: 'Batches of 1.12 times the formula',
        x: 'batches',
        y: 'factor, and the band of the next',
        lines: [
          line('factor', whole(30), (n) => alike(n).factor),
          line('low', whole(30), (n) => alike(n).low, true),
          line('high', whole(30), (n) => alike(n).high, true),
        ],
      }),
      stops:
        'One context alone: this mixer, or this family of stabilisers. An outcome beyond three standard deviations is asked about and does not count until it is answered.',
    },
    {
      file: 'fold-strokes',
      title: 'Strokes of a fold',
      equation: 'n = 30·∛V; air kept after s strokes = kept^(s/n)',
      constants: [['strokes for a litre', `${FOLD_STROKES.perLitre} (${pct(FOLD_STROKES.spread)})`]],
      picture: plot({
        title: 'Air kept, a litre in the bowl',
        x: 'strokes',
        y: '% of the air',
        lines: [
          line('into a soft base', steps(0, 90), (s) => 100 * keptAfter(s, FOLD_STROKES.perLitre, FOLD_KEEPS)),
          line('into a stiff one', steps(0, 90), (s) => 100 * keptAfter(s, FOLD_STROKES.perLitre, STIFF_FOLD_KEEPS), true),
        ],
      }),
      stops: 'Ours: a wide spatula from the bottom, the bowl turned. Stop while a streak is still seen.',
    },
    {
      file: 'soak',
      title: 'What a dip does to a biscuit',
      equation: 'u = u(t)·√(η(10 °C)/(η(T)·s)); u(t) straight in √t between the larder’s 1, 2 and 4 s, from 0; syrup = m·u·1.10',
      constants: [
        ['stays in the dish', `${Math.round(100 * (SYRUP_OVER - 1))} %`],
        ['reads as', `dry below ${SOAK_BANDS.dry} of what it can hold (its 4 s), right to ${SOAK_BANDS.right}, soggy to ${SOAK_BANDS.soggy}, pools beyond`],
        ['cream gives', `${CREAM_GIVES.share} of what it can hold by the time it is soft (ours, ${pct(CREAM_GIVES.spread)})`],
        ['spread', pct(SOAK_SPREAD)],
      ],
      picture: plot({
        title: 'A crisp finger',
        x: 'seconds in the soak',
        y: '% of its weight',
        spread: SOAK_SPREAD,
        lines: [
          line('cold and thin', steps(0, 6), (t) => uptakePct(FINGER, t)),
          line('30 % sugar', steps(0, 6), (t) => uptakePct(FINGER, t) * soakPace(30, 10), true),
        ],
      }),
      stops:
        'Viscosity of water by temperature and of sucrose solutions are published tables; that a biscuit drinks like a bundle of capillaries (Washburn 1921) is the model. Alcohol, cocoa and pectin thicken it, too, and are not in it. The kitchen’s own dip test replaces it.',
    },
    {
      file: 'softening',
      title: 'When a biscuit bends in cream',
      equation: 't = 0.85·(h/2·(1 − f))²/D; f is what the dip filled',
      constants: [
        [
          'D',
          `${SOFTENING.plainMm2PerS} mm²/s plain and thin, ${SOFTENING.denseMm2PerS} dense (takes up less than ${DENSE_BELOW_PCT} % in 4 s), up to × ${SOFTENING.dipped} as the dip fills it`,
        ],
        ['open biscuits', `× ${POROUS.faster} at ${POROUS.openGPerMl} g/mL or less, × 1 from ${POROUS.closeGPerMl} on`],
        ['a meringue', `more than ${DISSOLVES_FROM_SUGAR_PCT} % sugar: dissolves, no hour`],
        ['falls apart', `after ${MUSH_AFTER} times the dry hours (ours, ±50 %)`],
        ['a sponge', `with more than ${SPONGE_WATER_PCT} % water of its own: bends from the start`],
        ['spread', pct(SOFTENING.spread)],
      ],
      picture: plot({
        title: 'Soft through nine tenths, laid dry',
        x: 'height of the biscuit, mm',
        y: 'hours',
        spread: SOFTENING.spread,
        lines: [line('plain', steps(2, 10), softH([60, 60, 60])), line('dense', steps(2, 10), softH([9, 14, 22]), true)],
      }),
      stops:
        'Cream that touches it on both sides, in the fridge. The reference has no term for what a dip has already wetted: a finger dipped right would want 30 h, and trays are good after a night; so only the dry core counts (ours).',
    },
    {
      file: 'packing',
      title: 'Biscuits laid in a vessel',
      equation:
        'the most equal rounds in a round: the better of a table found by long search (to 100), the hexagonal lattice at its best of 144 places, rings; rectangles by splitting the floor in two or five',
      constants: [
        ['below the best known', `at most ${Math.max(...FOUND.map(([n, found]) => n - found))} of n, for n = 1 to 100`],
        ['found exactly as many', `${FOUND.filter(([n, found]) => found === n).length} of 100`],
        ['cut pieces', 'shorter than 15 mm crumble; each cut costs 1 mm; offcuts go to the next shorter piece'],
        ['rounds', 'gaps are filled with halves and quarters, tried on a grid in twelve directions'],
      ],
      picture: plot({
        title: 'Rounds found where the best known is n',
        x: 'best known n',
        y: 'found',
        lines: [{ name: 'ours', dashed: false, points: FOUND.map(([n, found]) => [n, found] as const) }, line('as many', steps(1, 100), (n) => n, true)],
      }),
      stops: 'Above 100 rounds the lattice: a few per cent below what is known. Biscuits are taken as exact; real ones differ by a millimetre.',
    },
    {
      file: 'hold',
      title: 'How long it keeps its shape',
      equation: 'h = 10·(F/36)²·A·s·u·3.5^((4 − T)/10)·stage·sour, above 25 °C 20^((25 − T)/10) in its place; never longer than it may be kept',
      constants: [
        ['hours at 4 °C, 36 %, nothing added', String(HOLD_H)],
        [
          'A',
          `gelatin ${HOLD_GAIN.gelatinPerGPerKg} per g/kg, mascarpone ${HOLD_GAIN.mascarponeShare}, cream cheese ${HOLD_GAIN.softCheeseShare}, strained yoghurt ${HOLD_GAIN.strainedYoghurtShare} per share, raw starch ${HOLD_GAIN.rawStarchPct} per %, xanthan ${HOLD_GAIN.xanthanPerGPerKg}, milk powder or cooked starch ${HOLD_GAIN.powderPerGPerKg} per g/kg; at most ${HOLD_GAIN_CAP}`,
        ],
        ['each 10 °C warmer', `÷ ${HOLD_Q10}`],
        [`above ${HOLD_WARM.fromC} °C each 10 °C`, `÷ ${HOLD_WARM.q10}`],
        [
          'stage',
          Object.entries(STAGE_HOLD)
            .map(([k, v]) => `${k} × ${v}`)
            .join(', '),
        ],
        ['sugar', `+${SUGAR_HOLD.perG} per g in 100 g, at most × ${SUGAR_HOLD.most}`],
        ['kind of cream', `long-life × ${CREAM_KINDS['long-life'].hold}, stabilised × ${CREAM_KINDS.stabilised.hold}, plant × ${PLANT_CREAM.hold}`],
        ['juice or wine, by % of the mass', SOUR_HOLD.map(([x, f]) => `${x}→${f}`).join(', ')],
        ['gelatin fades', `from ${GELATIN_FADES_C.from} to ${GELATIN_FADES_C.gone} °C`],
        [
          'keeping, °C→h',
          `${KEEPING_H.byPlace
            .slice(1, -1)
            .map(([c, h]) => `${c}→${h}`)
            .join(', ')}; ${KEEPING_H.rawEgg} h with raw egg`,
        ],
        ['spread', pct(SPREAD.hold)],
      ],
      picture: plot({
        title: 'Hold by temperature',
        x: 'where it stands, °C',
        y: 'hours, shape alone',
        spread: SPREAD.hold,
        lines: [
          line(
            '36 %, plain',
            steps(0, 24),
            hold((x) => ({ tempC: x })),
          ),
          line(
            'with 3 g/kg gelatin',
            steps(0, 24),
            hold((x) => ({ tempC: x, gelatinGPerKg: 3 })),
            true,
          ),
        ],
      }),
      stops:
        'Fat 25–60 %, −1 to 45 °C. From 32 °C on gelatin counts for nothing. The widest spread of all: the first thing that a kitchen’s own log corrects. Keeping follows the local food code.',
    },
    {
      file: 'gelatin',
      title: 'Gelatin: dose, tempering, set',
      equation: 'd = 1000·m·√(B/225)/M; maturity(t) = (1 − e^(−(t/4)^0.6))/(1 − e^(−4.5^0.6)) from a core under 15 °C',
      constants: [
        [
          'bands, g/kg',
          Object.values(DOSE_BANDS)
            .map((b) => `${b.name} ${b.low}–${b.high}`)
            .join(', ') + `; rubbery above ${RUBBERY_G_PER_KG}`,
        ],
        [
          'in creams of 15 % fat and more',
          Object.entries(CREAM_BANDS)
            .map(([k, b]) => `${k} ${b.low}–${b.high}`)
            .join(', '),
        ],
        [
          'what else sets, g/kg for each % of the mass (±40 %)',
          Object.values(SUPPORTS)
            .map((x) => `${x.name} ${x.perPct.toFixed(3)}`)
            .join(', '),
        ],
        [
          'sour, g acid a kg → more',
          SOUR_EXTRA.slice(1, 3)
            .map(([x, y]) => `${x}→+${100 * y} %`)
            .join(', '),
        ],
        [
          'strong, % vol → more',
          STRONG_EXTRA.slice(1, -1)
            .map(([x, y]) => `${x}→+${100 * y} %`)
            .join(', '),
        ],
        ['dose spread', pct(DOSE_SPREAD)],
        ['strings', `mix under ${STRINGS.belowC} °C from ${STRINGS.fromGPerKg} g/kg on`],
        ['first spoonful lands at', `${SPOONFUL_C.wish} °C (${SPOONFUL_C.low}–${SPOONFUL_C.high})`],
        [
          'needed',
          Object.values(SET_NEEDS)
            .map((s) => `${s.name} ${s.maturity}`)
            .join(', ') + `, core ≤ ${SET.coldAtMostC} °C`,
        ],
        ['set spread', pct(SET_SPREAD)],
      ],
      picture: plot({ title: 'Maturity of a set', x: 'hours under 15 °C', y: 'maturity', lines: [line('maturity', steps(0, 18), setMaturity)] }),
      stops:
        'Above 30 % alcohol it will not set reliably; raw protease fruit never lets it. Kitchens also count strength linearly or leaf for leaf: both are shown.',
    },
    {
      file: 'tempering',
      title: 'The first spoonful',
      equation: 'm_cold = m_g·[h_g(55) − h_g(25)] / [h(25) − h(T)]',
      constants: [
        ['gelatin melted at', '55 °C with five times its mass of water'],
        ['window', `${SPOONFUL_C.low}–${SPOONFUL_C.high} °C (house)`],
      ],
      picture: plot({
        title: 'Spoonful by temperature of the cold part',
        x: 'cold part, °C',
        y: 'g, for 10 g gelatin in 50 g water',
        lines: [
          line('spoonful', steps(2, 20), (t) => {
            const r = temper(10, 50, { ...cream, tC: t }, 9);
            return r.ok ? r.value.spoonfulG : null;
          }),
        ],
      }),
      stops: 'At once and without loss to the bowl. A base above 25 °C needs no spoonful.',
    },
    {
      file: 'other-setters',
      title: 'Setters other than gelatin',
      equation: 'd = 1000·m/M, or share = 100·m/M',
      constants: [
        ...Object.values(OTHER_SETTERS).map((s): [string, string] => [s.name, `${s.low}–${s.high} g/kg. ${s.rule}`]),
        ...Object.values(SHARE_SETTERS).map((s): [string, string] => [s.name, `${s.low}–${s.high} %. ${s.rule}`]),
        ['spread', pct(DOSE_SPREAD)],
      ],
      picture: plot({
        title: 'Hold by strained yoghurt',
        x: 'strained yoghurt, % of the dairy',
        y: 'hours at 4 °C, shape alone',
        spread: SPREAD.hold,
        lines: [
          line(
            'hold',
            steps(0, 40),
            hold((x) => ({ strainedYoghurtShare: x / 100 })),
          ),
        ],
      }),
      stops: 'A custard is thickened far beyond these bands and is not judged by them.',
    },
    {
      file: 'folding',
      title: 'What a fold keeps',
      equation: 'air ← (air + brought)·kept, fold by fold, for every foam then in the bowl',
      constants: [
        ['into a base as soft as the foam', String(FOLD_KEEPS)],
        ['stiffer, or warmer than 30 °C', String(STIFF_FOLD_KEEPS)],
        ['the first portion keeps of its own', String(FIRST_PORTION_KEEPS)],
        ['whisked in', String(WHISKED_IN_KEEPS)],
        ['spread, each fold', pct(FOLD_SPREAD)],
      ],
      picture: plot({
        title: 'Air left after folds',
        x: 'folds',
        y: 'air kept, %',
        spread: FOLD_SPREAD,
        lines: [
          line(
            'soft base',
            [1, 2, 3, 4, 5, 6],
            (n) =>
              foldAccount(
                { mixMl: 0, airMl: 0 },
                Array.from({ length: n }, (_, i) => ({ mixMl: 10, airMl: i === 0 ? 100 : 0, firstShare: 0, whiskedIn: false })),
                false,
              ).at(-1)!.airMl,
          ),
          line(
            'stiff base',
            [1, 2, 3, 4, 5, 6],
            (n) =>
              foldAccount(
                { mixMl: 0, airMl: 0 },
                Array.from({ length: n }, (_, i) => ({ mixMl: 10, airMl: i === 0 ? 100 : 0, firstShare: 0, whiskedIn: false })),
                true,
              ).at(-1)!.airMl,
            true,
          ),
        ],
      }),
      stops: 'For a spatula and no more strokes than it takes. A foam that has waited brings less than its table.',
    },
    {
      file: 'syllabub',
      title: 'Syllabub: whole or parted',
      equation: 'E = water phase − 2.15·milk fat; clear drink = E·(1 − e^(−t/8 h))',
      constants: [
        ['g of water phase per g of milk fat', String(SYLLABUB.keepsPerFat)],
        ['h', String(SYLLABUB.partsInH)],
        ['wished when parted', `${100 * SYLLABUB.drinkShare.low}–${100 * SYLLABUB.drinkShare.high} % of the whole`],
        ['spread', pct(SYLLABUB_SPREAD)],
      ],
      picture: plot({
        title: 'Clear drink by wine',
        x: 'wine to 400 g of 48 % cream and 80 g sugar, g',
        y: 'clear drink after 12 h, %',
        spread: SYLLABUB_SPREAD,
        lines: [
          line('12 h', steps(0, 350), (w) => 100 * value(readSyllabub({ milkFatG: 192, massG: 480 + w, hours: 12 })).drinkShare),
          line('4 h', steps(0, 350), (w) => 100 * value(readSyllabub({ milkFatG: 192, massG: 480 + w, hours: 4 })).drinkShare, true),
        ],
      }),
      stops: 'For cream whisked soft and left cool. Egg white and gelatin hold more than this knows.',
    },
    {
      file: 'folding-temperatures',
      title: 'Windows of folding and pouring',
      equation: 'Σ mᵢ·[hᵢ(T) − hᵢ(Tᵢ)] = 0; judged: the base before the fold, and the fold as a whole',
      constants: [
        ...Object.entries(FOLD_WINDOWS).map(([k, w]): [string, string] => [`base with ${k}`, `${w.lowC}–${w.highC} °C`]),
        ['the finished fold loses its air above', `${FOLD_TOO_WARM_C} °C`],
        [
          'hot cream on chocolate must come to',
          `${GANACHE_WINDOW.lowC}–${GANACHE_WINDOW.highC} °C (ours: above the melting of cocoa butter, below what cooks yolk)`,
        ],
      ],
      picture: plot({ title: 'Heat content of 36 % cream', x: '°C', y: 'J per g, from 0 °C', lines: [line('cream', steps(0, 60), (t) => cream.heat.at(t))] }),
      stops: 'Everything at once, nothing lost to the bowl and the air; fat melting taken as straight between two temperatures.',
    },
    {
      file: 'knife-window',
      title: 'Knife window',
      equation: `the temperatures at which ${KNIFE_ICE.low}–${KNIFE_ICE.high} of the water is ice; straight from the freezer by ice volume share`,
      constants: [
        ['ice by volume', `under ${ICE_VOLUME.clean} cuts clean, to ${ICE_VOLUME.hard} rest it, above hard and icy`],
        ['spread', pct(KNIFE_SPREAD)],
      ],
      picture: plot({
        title: 'Share of water frozen',
        x: '°C',
        y: 'frozen, %',
        lines: [15, 30, 60].map((g) => ({
          name: `${g} g sugar per 100 g water`,
          points: freezingCurve(sugarSolution(g), -24, 0, 97).map((p) => [p.tC, 100 * p.frozen] as const),
        })),
      }),
      stops:
        'The curve is published for sucrose and taken for mixes by factors; below −35 °C nothing more freezes. Biscuit, nuts and fruit pieces cut by their own rules.',
    },
    {
      file: 'hob',
      title: 'Minutes on the hob',
      equation: 't = (warming + 2257·water boiled off)/(0.5·P)',
      constants: [['share of the hob’s heat in the pan', `${PAN_TAKES} (${pct(HOB_SPREAD)})`]],
      picture: plot({
        title: 'Minutes by power',
        x: 'hob, W',
        y: 'min, 200 g sugar and 60 g water to 118 °C',
        spread: HOB_SPREAD,
        lines: [
          line(
            'minutes',
            steps(600, 3000),
            (w) => value(boilSyrup({ sugarG: 200, waterG: 60, toC: 118, hobW: w, startC: 20, waterBoilsC: 100, stays: 0 })).minutes,
          ),
        ],
      }),
      stops: 'A lid, a wide pan or gas change the share; all sugars are read as sucrose.',
    },
    {
      file: 'yolk-foam-cooling',
      title: 'A yolk foam under the whisk',
      equation: 'T falls by so many °C a minute; lethality is integrated along it',
      constants: [
        ['whisked fast, slowly', `${WHISKED_COOLING.fast}, ${WHISKED_COOLING.slow} °C/min`],
        ['until', `${WHISKED_UNTIL_C} °C`],
      ],
      picture: plot({
        title: 'Worth at 63.3 °C by the temperature of the mix',
        x: 'mix of syrup and yolks, °C',
        y: 'minutes at 63.3 °C that it is worth',
        lines: [
          line('slowly', steps(55, 72), (t) => value(equivalentMinutes(whiskedCurve(t, 'slow'), 63.3)), true),
          line('fast', steps(55, 72), (t) => value(equivalentMinutes(whiskedCurve(t, 'fast'), 63.3))),
        ],
      }),
      stops:
        'Much sugar protects germs beyond the egg tables: there the one-point rule of 71 °C leads, and the curve is shown only beside it. Never a proof: measure.',
    },
  ];
}

/** One model as Markdown. */
export const modelPage = (m: ModelPage): string =>
  `# ${m.title}\n\nHouse model. Written by \`npm run science\` from the constants that the application uses.\n\n\`${m.equation}\`\n\n| constant | value |\n|---|---|\n${m.constants.map(([n, v]) => `| ${n} | ${v} |`).join('\n')}\n\n![${m.title}](${m.file}.svg)\n\n**Where it stops being true.** ${m.stops}\n`;

/** Every file of docs/science, by name. */
export function scienceFiles(checks: string): ReadonlyMap<string, string> {
  const pages = modelPages();
  const files = new Map<string, string>([['checks.md', checks]]);
  for (const p of pages) {
    files.set(`${p.file}.md`, modelPage(p));
    files.set(`${p.file}.svg`, p.picture);
  }
  files.set(
    'README.md',
    `# The science in numbers\n\nEvery figure is physics, published, or house. House models, each with its equation, constants, curve and limits:\n\n${pages.map((p) => `- [${p.title}](${p.file}.md)`).join('\n')}\n\n[Checks](checks.md): published and analytic values against the core.\n`,
  );
  return files;
}
