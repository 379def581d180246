import { houseRange, plainNumber, showFigure, showHours, showRange, withUnit, type Figure } from '../figure';
import { DOSE_SPREAD, SET_NEEDS, SET_SPREAD, type SetNeed } from '../setting/house';
import { hoursToSet } from '../setting/set';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { settersOf, type SheetSetter } from '../analysis/setters';
import { num } from './figures';
import type { Stretch, Tell } from './tell';

/** Judgements of setting: when gelatin has set enough, and the other setters with what each asks of the cook. */

const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });

export const setterTells = (s: SheetAnalysis): readonly Tell[] => [
  ...setTimeTell(s),
  ...s.parts.flatMap((a) =>
    settersOf(a)
      .filter((x) => (x.judged && x.verdict !== 'in-band') || isRuled(x))
      .map((x) => setterTell(x, a, s.parts.length > 1)),
  ),
];

/** Setters whose rule is easily forgotten are always said. */
const isRuled = (x: SheetSetter): boolean =>
  x.setter === 'agar' ||
  x.setter === 'corn-starch' ||
  x.setter === 'xanthan' ||
  x.setter === 'carrageenan' ||
  x.setter === 'marshmallow' ||
  x.setter === 'white-chocolate' ||
  x.setter === 'cream-cheese';

export function setTimeFigure(need: SetNeed): Figure {
  const hours = hoursToSet(need);
  return {
    key: `set:${need}`,
    name: `Set ${SET_NEEDS[need].name}`,
    value: hours,
    unit: 'h',
    kind: 'house',
    spread: SET_SPREAD,
    range: houseRange(hours, SET_SPREAD),
    decimals: 1,
    formula: 'maturity(t) = (1 − e^(−(t/4)^0.6)) / (1 − e^(−4.5^0.6))',
    words: 'Gelatin goes on tightening for most of a day; so far it must be.',
    inputs: [
      num('maturity', `wanted ${SET_NEEDS[need].name}`, 100 * SET_NEEDS[need].maturity, '%', 0, 'house'),
      num('from', 'counted once the core is under', 15, '°C', 0, 'house'),
      num('core', 'and by then at most', 6, '°C', 0, 'house'),
    ],
    source: 'House, ±25 %.',
    limits: 'How long the core takes to get under 15 °C depends on the vessel and the fridge, and is not in it.',
  };
}

const NEED_OF_USE: Readonly<Partial<Record<SheetAnalysis['sheet']['use'], SetNeed>>> = { glass: 'glass', slice: 'slice', 'turn-out': 'turn-out' };

function setTimeTell(s: SheetAnalysis): Tell[] {
  const need = NEED_OF_USE[s.sheet.use];
  const sets = s.parts.find(
    (a) =>
      a.reading.gelatin225G > 0 &&
      a.leftShare > 0.5 &&
      a.gelatin.ok &&
      a.gelatin.value.verdict !== 'no-set-protease' &&
      a.gelatin.value.verdict !== 'no-set-alcohol',
  );
  if (!need || !sets) return [];
  const early = s.sheet.servedAfterH < houseRange(hoursToSet(need), SET_SPREAD)[1];
  return [
    {
      key: 'set-time',
      state: early ? 'near' : 'in',
      sentence: [
        'Set enough ',
        `${SET_NEEDS[need].name} `,
        show(setTimeFigure(need)),
        ` after its core is under 15\u00a0°C${early ? `; it is served after ${showHours(s.sheet.servedAfterH)}.` : ', and at 6\u00a0°C or colder.'} Melts again at 27–32\u00a0°C.`,
      ],
      track: null,
      action: null,
    },
  ];
}

function setterTell(x: SheetSetter, a: PartAnalysis, many: boolean): Tell {
  const figure: Figure = {
    key: `setter:${x.setter}:${a.part.id}`,
    name: x.name.charAt(0).toUpperCase() + x.name.slice(1),
    value: x.dose,
    unit: x.unit,
    kind: 'physics',
    spread: null,
    range: null,
    decimals: x.dose < 10 ? 1 : 0,
    formula: x.unit === '%' ? 'share = 100 · m / M' : 'd = 1000 · m / M',
    words: x.unit === '%' ? 'Its share of what it stabilises.' : 'g of it per kg of everything it sets.',
    inputs: [
      num('M', a.part.name, a.reading.mixture.massG, 'g', 0, 'the lines'),
      { symbol: 'band', name: 'that is right', value: showRange(x.low, x.high, x.unit), from: `house, ±${Math.round(100 * DOSE_SPREAD)} %` },
    ],
    source: 'Mass balance; the band is a house figure, ±20 %.',
  };
  const lead = many ? `${a.part.name}: ${x.name} ` : `${figure.name} `;
  const words =
    !x.judged || x.verdict === 'in-band'
      ? ''
      : x.verdict === 'under'
        ? `, little; ${showRange(x.low, x.high, x.unit)} holds on its own`
        : `, much; ${showRange(x.low, x.high, x.unit)} is enough`;
  return {
    key: `setter:${x.setter}:${a.part.id}`,
    state: x.judged && x.verdict === 'over' ? 'near' : 'in',
    sentence: [lead, show(figure), `${words}. ${x.rule}`],
    track: !x.judged
      ? null
      : {
          from: 0,
          to: 2 * x.high,
          low: x.low,
          high: x.high,
          value: Math.min(2 * x.high, x.dose),
          range: null,
          says: `${withUnit(plainNumber(x.dose, 1), x.unit)} on a track to ${2 * x.high}; ${x.low} to ${x.high} is right`,
        },
    action: null,
  };
}
