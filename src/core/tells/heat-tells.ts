import { houseRange, plainNumber, showFigure, showGrams, showGramsPlain, withUnit, type Figure, type FigureInput } from '../figure';
import { BOIL_OFF_GRACE_G, FOLD_TOO_WARM_C, HOB_MEASURED_SPREAD, HOB_SPREAD, ONE_POINT_C } from '../heat/house';
import { EGG_KIND_NAMES, EGG_REFERENCE_C, REFERENCE_MIN, Z_C } from '../heat/lethality';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { eggHeated, eggOf, type EggReading } from '../analysis/egg';
import { hobOf, iceForBath, meetingsOf, reducingOf, syrupOf, temperingOf, type Meeting, type SyrupReading } from '../analysis/warmth';
import { SPOONFUL_C, STRINGS } from '../setting/house';
import type { Syrup } from '../heat/syrup';
import type { Tempering } from '../setting/tempering';
import { num } from './figures';
import { plainTell, type Stretch, type Tell, type TellAction, type TellKey, type TellState } from './tell';

/** Judgements of heat: what meets what, syrup, eggs, gelatin's first spoonful, the ice bath. */

const NB = '\u00a0';
/** An en dash that a line never breaks at. */
const TO = '\u2060–\u2060';
const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });
const deg = (tC: number): string => withUnit(plainNumber(tC, 0), '°C');

/** Every judgement of heat of a sheet. */
export const heatTells = (s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] => [
  ...meetingsOf(s)
    .filter((m) => m.kind !== 'syrup')
    .map(meetingTell),
  ...rawEggTell(s, kitchen),
  ...s.parts.flatMap((a) => [
    ...syrupTell(a, kitchen),
    ...reduceTell(a, kitchen),
    ...eggTell(a, kitchen, s.parts.length > 1),
    ...temperingTell(a),
    ...iceBathTell(a),
  ]),
];

export function meetingFigure(m: Meeting): Figure {
  return {
    key: m.key,
    name: m.kind === 'ganache' ? `${m.title}, poured` : m.kind === 'mix' ? `${m.title}, stirred together` : `${m.title}, folded`,
    value: m.resultC,
    unit: '°C',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'Σ mᵢ·[hᵢ(T) − hᵢ(Tᵢ)] = 0',
    words: 'What one gives up, the others take: the temperature at which their heat is the same in all, melting fat counted.',
    inputs: m.guests.flatMap((g, i): FigureInput[] => [
      num(`m${i + 1}`, g.name, g.massG, 'g', 0, 'the lines'),
      num(`T${i + 1}`, `${g.name}, before`, g.tC, '°C', 0, g.from),
    ]),
    source: 'Choi & Okos 1986 specific heats; 84 J per g of milk fat between 10 and 35 °C, 140 J per g of cocoa butter between 22 and 34 °C (house).',
    limits: m.kind === 'fold' ? 'Folded at once, nothing lost to bowl and air.' : 'Poured at once, nothing lost to bowl and air.',
  };
}

/** The base just before the fold. */
function baseFigure(m: Meeting): Figure {
  return { ...meetingFigure(m), key: `${m.key}:base`, name: `${m.title}, the base`, value: m.judgedC };
}

const keyOf = (m: Meeting): TellKey => `${m.kind}:${m.partId}`;

function meetingTell(m: Meeting): Tell {
  const result = meetingFigure(m);
  const window = m.window;
  const track = window
    ? {
        from: 0,
        to: 60,
        low: window.lowC,
        high: window.highC,
        value: Math.min(60, Math.max(0, m.judgedC)),
        range: null,
        says: `${plainNumber(m.judgedC, 0)} °C on a track to 60; ${window.lowC} to ${window.highC} is the window`,
      }
    : {
        from: 0,
        to: 60,
        low: 0,
        high: FOLD_TOO_WARM_C,
        value: Math.min(60, Math.max(0, m.resultC)),
        range: null,
        says: `${plainNumber(m.resultC, 0)} °C on a track to 60; up to ${FOLD_TOO_WARM_C} keeps its air`,
      };
  const action: TellAction | null = m.mend
    ? {
        label: `${m.mend.name} at ${deg(m.mend.toC)}`,
        why: m.verdict === 'too-warm-fold' ? 'and the fold keeps its air' : 'brings it into the window',
        edit: { kind: 'set-heat', partId: m.mend.partId, change: { atC: m.mend.toC } },
      }
    : null;
  if (m.kind === 'mix')
    return {
      ...plainTell(keyOf(m), 'in', ''),
      sentence: [`${m.title}: ${m.guests.map((g) => g.name).join(' and ')} stirred together come to `, show(result), '.'],
    };
  if (m.kind === 'ganache') {
    const words =
      m.verdict === 'in'
        ? `: the cocoa butter melts${window ? `, ${window.lowC}${TO}${window.highC}${NB}°C is right` : ''}.`
        : m.verdict === 'cold'
          ? `: too cold to melt all the chocolate, it must reach ${window?.lowC}${NB}°C. Warm the chocolate first, or pour more.`
          : `: hot enough to curdle yolks and split the butter; let it come under ${window?.highC}${NB}°C before they go in.`;
    return {
      key: keyOf(m),
      state: m.verdict === 'in' ? 'in' : 'near',
      sentence: [`${m.title}: cream just off the boil on the chocolate comes to `, show(result), words],
      track,
      action,
    };
  }
  const base = baseFigure(m);
  const sentence: Stretch[] = [`${m.title}: base at `, show(base), ', folded '];
  sentence.push(show(result));
  sentence.push(
    m.verdict === 'in'
      ? window
        ? `: inside its window of ${window.lowC}${TO}${window.highC}${NB}°C.`
        : ': cool enough to keep its air.'
      : m.verdict === 'cold'
        ? `: too cold, it sets in lumps or specks before it is mixed; ${window?.lowC}${TO}${window?.highC}${NB}°C is right.`
        : m.verdict === 'warm'
          ? `: too warm for the cream; ${window?.lowC}${TO}${window?.highC}${NB}°C is right.`
          : `: above ${FOLD_TOO_WARM_C}${NB}°C the fold loses its air${m.mend ? '' : '; use colder foams, or more of them'}.`,
  );
  return { key: keyOf(m), state: m.verdict === 'in' ? 'in' : 'out', sentence, track, action };
}

function boilOffFigure(r: SyrupReading, syrup: Syrup, a: PartAnalysis): Figure {
  return {
    key: `boil-off:${a.part.id}`,
    name: 'Water to boil off',
    value: syrup.boilsOffG,
    unit: 'g',
    kind: 'published',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'w = W − S·(100 − c)/c',
    words: 'A syrup that boils at a temperature is so strong; what water is over that must go.',
    inputs: [
      num('W', 'water in the pan', r.waterG, 'g', 0, 'the lines'),
      num('S', 'sugar in the pan, dry', r.sugarG, 'g', 0, 'the lines'),
      num('T', 'boiled to', a.part.heat.syrupC, '°C', 0, 'the part'),
      num('c', 'sugar of a syrup that boils there', syrup.sugarPct, '%', 1, 'published boiling table, sea level or shifted by the kitchen’s own boiling point'),
      num('syrup', 'syrup that arrives', syrup.arrivesG, 'g', 0, 'sugar and what water is left'),
    ],
    source: 'Published table of boiling sucrose solutions.',
    limits: 'All sugars are read as sucrose: honey and glucose boil a little differently.',
  };
}

/** Minutes on the hob, for a syrup or for fruit that is boiled down. */
function hobFigure(a: PartAnalysis, name: string, minutes: number, boilsOffG: number, { rules }: Kitchen): Figure {
  const { watts, measured } = hobOf(a.part.heat, rules);
  const spread = measured ? HOB_MEASURED_SPREAD : HOB_SPREAD;
  return {
    key: `hob:${a.part.id}`,
    name,
    value: minutes,
    unit: 'min',
    kind: 'house',
    spread,
    range: houseRange(minutes, spread),
    decimals: 1,
    formula: 't = (warming + 2257·w) / (0.5·P)',
    words: 'The heat that brings it to the boil and turns its water to steam, over what the hob gives it.',
    inputs: [
      num('w', 'water to boil off', boilsOffG, 'g', 0, 'the lines'),
      num('P', 'the hob', watts, 'W', 0, measured ? 'the kitchen’s own boiling water' : 'the part'),
      num('0.5', 'of which the pan takes up', 50, '%', 0, 'house ±25 %'),
    ],
    source: 'Steam tables; the share that reaches the pan is a house figure.',
    limits: 'From 20 °C, stirred, without a lid.',
  };
}

function syrupTell(a: PartAnalysis, kitchen: Kitchen): Tell[] {
  const r = syrupOf(a, kitchen.rules);
  if (!r) return [];
  const key: TellKey = `syrup:${a.part.id}`;
  if (!r.syrup.ok) return [plainTell(key, 'near', `${a.part.name}: no figure for the syrup. ${r.syrup.fault.says}`)];
  const syrup = r.syrup.value;
  const off = boilOffFigure(r, syrup, a);
  const grams = showGramsPlain(Math.round(syrup.boilsOffG));
  const differs = r.writtenG !== null && Math.abs(r.writtenG - syrup.boilsOffG) > BOIL_OFF_GRACE_G;
  const sentence: Stretch[] = [
    `${a.part.name}: syrup to ${deg(a.part.heat.syrupC)} is ${plainNumber(syrup.sugarPct, 0)}${NB}% sugar: `,
    show(off),
    ' boils off in ',
    show(hobFigure(a, 'Minutes on the hob', syrup.minutes, syrup.boilsOffG, kitchen)),
  ];
  sentence.push(differs ? `; the sheet says ${showGrams(r.writtenG!)}.` : r.writtenG === null ? '; the sheet does not say so yet.' : '.');
  const action: TellAction | null =
    r.lossLineId && differs
      ? {
          label: `Less ${grams.replace(' ', NB)}`,
          why: 'as the boiling point says',
          edit: { kind: 'set-amount', partId: a.part.id, lineId: r.lossLineId, amount: grams },
        }
      : r.writtenG === null && syrup.boilsOffG > BOIL_OFF_GRACE_G
        ? {
            label: `Write ‘less ${grams.replace(' ', NB)} boils off’`,
            why: 'so that the weight is true',
            edit: { kind: 'add-line', partId: a.part.id, text: `less ${grams} boils off` },
          }
        : null;
  return [{ key, state: action ? 'near' : 'in', sentence, track: null, action }];
}

function reduceTell(a: PartAnalysis, kitchen: Kitchen): Tell[] {
  const r = reducingOf(a, kitchen.rules);
  if (!r) return [];
  const key: TellKey = `reduce:${a.part.id}`;
  if (!r.minutes.ok) return [plainTell(key, 'near', `${a.part.name}: no figure for boiling it down. ${r.minutes.fault.says}`)];
  const figure = hobFigure(a, `Boiling down ${a.part.name}`, r.minutes.value, r.boilsOffG, kitchen);
  return [
    {
      ...plainTell(key, 'in', ''),
      sentence: [
        `${a.part.name}: ${showGrams(r.boilsOffG)} boils off in `,
        show(figure),
        ` at ${withUnit(plainNumber(hobOf(a.part.heat, kitchen.rules).watts, 0), 'W')}; hot fruit and syrup burn, and steam too.`,
      ],
    },
  ];
}

/** The usual caution, always at hand with egg. */
export const EGG_CAUTION = 'Usually not served to small children, pregnant or elderly guests, or those whose immunity is low.';

const codeOf = (kitchen: Kitchen): string => (kitchen.rules.authority ? ` Follow ${kitchen.rules.authority}.` : ' Follow your local food code.');

export function eggFigure(e: EggReading, a: PartAnalysis): Figure | null {
  if (!e.verdict?.ok) return null;
  const v = e.verdict.value;
  return {
    key: `egg:${a.part.id}`,
    name: `${a.part.name}, hottest`,
    value: v.peakC,
    unit: '°C',
    kind: e.from === 'computed' ? 'physics' : 'published',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'T ≥ 71 °C, or L = ∫ 10^((T − T_ref)/4.6) dt ≥ 3.5 min',
    words:
      e.from === 'computed'
        ? 'Eggs, syrup and the whole bowl brought to one temperature, then cooling as it is whisked.'
        : e.from === 'typed'
          ? 'The readings that were typed, straight between them.'
          : 'The temperature that the method names; a probe says whether it was reached.',
    inputs: [
      num(
        'T',
        'hottest',
        v.peakC,
        '°C',
        1,
        e.from === 'computed'
          ? `eggs at ${deg(a.part.heat.eggC)}, syrup at ${deg(a.part.heat.syrupC)}, ${showGrams(a.part.heat.bowlG)} of ${a.part.heat.bowl} bowl, all of it touched`
          : e.from === 'typed'
            ? 'typed readings'
            : 'the method',
      ),
      num(
        'L',
        `worth at ${EGG_REFERENCE_C[e.kind]} °C`,
        v.equivalentMin,
        'min',
        v.equivalentMin < 10 ? 2 : 0,
        `against ${REFERENCE_MIN}\u00a0min for ${EGG_KIND_NAMES[e.kind]}`,
      ),
      num('T_ref', `reference for ${EGG_KIND_NAMES[e.kind]}`, v.referenceC, '°C', 1, 'published processing tables'),
      num('z', 'ten times as fast for each', Z_C, '°C', 1, 'published'),
      num(
        'one point',
        'reached throughout',
        ONE_POINT_C,
        '°C',
        0,
        e.richInSugar ? 'leads here: much sugar protects germs, beyond what the tables cover' : 'counts whatever the time',
      ),
    ],
    source: 'Pasteurisation tables for liquid egg; the one-point rule of 71 °C (160 °F).',
    limits: 'A forecast is no proof: measure it, and follow your local food code and a qualified person’s advice.',
  };
}

const toCarton = (parts: readonly PartAnalysis[]): TellAction => ({
  label: 'Use carton egg',
  why: 'pasteurised, the same weight',
  edit: { kind: 'carton-egg', partIds: parts.map((a) => a.part.id) },
});

/** All parts with raw egg in one sentence. */
function rawEggTell(s: SheetAnalysis, kitchen: Kitchen): Tell[] {
  const raw = s.parts.filter((a) => {
    const egg = eggOf(a);
    return egg !== null && !eggHeated(egg);
  });
  if (raw.length === 0) return [];
  // What was heated too little has its own sentence, with the caution and the way out.
  const untold = raw.some((a) => eggOf(a)!.way === 'raw');
  const where = s.parts.length > 1 ? ` in ${raw.map((a) => a.part.name).join(' and ')}` : '';
  if (!untold) return [plainTell('raw-egg', 'near', `Egg${where} counts as raw: keeps 24${NB}h at most.`)];
  return [{ ...plainTell('raw-egg', 'near', `Raw egg${where}: keeps 24${NB}h at most. ${EGG_CAUTION}${codeOf(kitchen)}`), action: toCarton(raw) }];
}

function eggTell(a: PartAnalysis, kitchen: Kitchen, many: boolean): Tell[] {
  const e = eggOf(a);
  if (!e) return [];
  const key: TellKey = `egg:${a.part.id}`;
  const lead = many ? `${a.part.name}: ` : '';
  if (e.way === 'carton') return [plainTell(key, 'in', `${lead}egg from a carton, pasteurised: no kill step is needed.`)];
  if (e.way === 'baked' || e.way === 'raw') return [];
  if (!e.curve.ok) return [plainTell(key, 'near', `${lead}the readings cannot be read. ${e.curve.fault.says}`)];
  const figure = eggFigure(e, a);
  if (!figure || !e.verdict?.ok) return [];
  const v = e.verdict.value;
  const what = e.from === 'computed' ? 'egg with the syrup comes to ' : e.from === 'typed' ? 'egg reached ' : 'egg is taken to ';
  const state: TellState = v.reaches ? 'in' : 'out';
  const verdict = v.reaches
    ? v.by === 'one-point'
      ? ': reaches the usual figure.'
      : ': held so long, it reaches the usual figure.'
    : e.notKillStep
      ? `: not a kill step, it counts as raw. ${EGG_CAUTION}`
      : `: does not reach the usual ${ONE_POINT_C}${NB}°C. ${EGG_CAUTION}`;
  return [
    {
      key,
      state,
      sentence: [`${lead}${what}`, show(figure), `${verdict}${codeOf(kitchen)}`],
      track: {
        from: 40,
        to: 90,
        low: ONE_POINT_C,
        high: 85,
        value: Math.min(90, Math.max(40, v.peakC)),
        range: null,
        says: `${plainNumber(v.peakC, 0)} °C on a track from 40 to 90; from ${ONE_POINT_C} on is the usual figure`,
      },
      action: v.reaches ? null : toCarton([a]),
    },
  ];
}

function temperingFigure(t: Tempering, a: PartAnalysis): Figure {
  const [least, most] = t.spoonfulRangeG;
  return {
    key: `temper:${a.part.id}`,
    name: 'First spoonful',
    value: t.spoonfulG,
    unit: 'g',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'm = m_g·[h_g(55) − h_g(25)] / [h(25) − h(T)]',
    words: 'So much of the cold part is beaten into the melted gelatin first: their mix is at 25 °C and stays liquid.',
    inputs: [
      num('all at once', 'it would come to', t.atOnceC, '°C', 0, `strings under ${STRINGS.belowC} °C from ${STRINGS.fromGPerKg} g/kg on`),
      num('least', 'for 28 °C', least, 'g', 0, 'the same sum'),
      num('most', 'for 22 °C', most, 'g', 0, 'the same sum'),
    ],
    source: `Mixing by heat content; the window of ${SPOONFUL_C.low}–${SPOONFUL_C.high} °C is a house figure.`,
    limits: 'Gelatin melted at 55 °C with its soak water; never boiled.',
  };
}

function temperingTell(a: PartAnalysis): Tell[] {
  const t = temperingOf(a);
  if (!t || !t.ok || !t.value.strings) return [];
  return [
    {
      key: `temper:${a.part.id}`,
      state: 'near',
      sentence: [
        `${a.part.name}: poured in at once the gelatin meets ${deg(t.value.atOnceC)} and strings. First beat `,
        show(temperingFigure(t.value, a)),
        ` of the cold part into it, then stream that in.`,
      ],
      track: null,
      action: null,
    },
  ];
}

function iceBathTell(a: PartAnalysis): Tell[] {
  const ice = iceForBath(a);
  if (!ice?.ok) return [];
  const figure: Figure = {
    key: `ice-bath:${a.part.id}`,
    name: 'Ice for the bath',
    value: ice.value,
    unit: 'g',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'm = M·[h(83) − h(4)] / [h_ice(4) − h_ice(−5)]',
    words: 'The ice that takes up all the heat of the custard on the way to 4 °C.',
    inputs: [
      num('M', a.part.name, a.reading.mixture.massG, 'g', 0, 'the lines'),
      num('T', 'off the hob', a.part.heat.atC ?? 83, '°C', 0, a.part.heat.atC === null ? 'usual' : 'as written'),
    ],
    source: 'Heat contents; melting of ice 333.6 J/g.',
    limits: 'The least: pan and room melt some more.',
  };
  return [
    {
      key: `ice-bath:${a.part.id}`,
      state: 'in',
      sentence: [
        `${a.part.name}: the ice bath needs at least `,
        show(figure),
        ' of ice. Cooked bases are usually cooled in two stages (21\u00a0°C in 2\u00a0h, 5\u00a0°C in 6\u00a0h); your local code leads.',
      ],
      track: null,
      action: null,
    },
  ];
}
