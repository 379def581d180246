import { plainNumber, showFigure, withUnit, type Figure } from '../figure';
import { ICE_VOLUME, KNIFE_ICE, KNIFE_SPREAD } from '../heat/house';
import { servedFoam, type SheetAnalysis } from '../analysis/analysed';
import { isFreezer } from '../kitchen/place';
import type { Kitchen } from '../kitchen/kitchen';
import { freezerOf, frozenMixOf, readFrozen, type FrozenReading } from '../analysis/frozen';
import { FROZEN_MONTHS } from '../foam/house';
import { num } from './figures';
import { plainTell, type Stretch, type Tell } from './tell';

/** Judgements of what is frozen: where it begins to freeze, how hard it is, when a knife goes through. */

const NB = '\u00a0';
const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });
/** Milk and cocoa fat of the mix from which it hardens the slice (house), %. */
const HARD_FAT_PCT = 20;
/** Whipped cream that was frozen stays whole when it thaws from either of these on (science-2, section 10). */
const THAWS_WHOLE = { sugarPct: 10, gelatinGPerKg: 3 } as const;
/** Solids that keep a semifreddo smooth, % (house). */
const SOLIDS_BAND = { low: 36, high: 56 } as const;

const solutionInputs = (r: FrozenReading): Figure['inputs'] => [
  num('W', 'water', r.solution.waterG, 'g', 0, 'the lines'),
  num('S', 'sugars, as sucrose', r.sucroseEqG, 'g', 0, 'glucose and fructose count 1.9'),
  num('MSNF', 'milk solids not fat', r.solution.msnfG, 'g', 0, 'the lines'),
  num('salt', 'salt, 0.59 °C for a gram in 100 g of water', r.solution.saltG, 'g', 1, 'the lines'),
  num('E', 'ethanol', r.solution.ethanolG, 'g', 1, 'the lines'),
  num('bound', 'water that never freezes', r.solution.boundG, 'g', 1, '0.25 g per g of protein and starch'),
];

export function freezingStartFigure(r: FrozenReading): Figure {
  return {
    key: 'freezing-start',
    name: 'Freezing begins',
    value: r.startC ?? 0,
    unit: '°C',
    kind: 'published',
    spread: null,
    range: null,
    decimals: 1,
    formula: 'T = −[table(100·S/W) + (2.37·MSNF + 59·salt + 42·E)/W]',
    words: 'Sugars by the published table, milk salts and alcohol on top.',
    inputs: solutionInputs(r),
    source: 'The table of sucrose solutions that frozen desserts are reckoned with.',
  };
}

export function frozenShareFigure(r: FrozenReading): Figure {
  return {
    ...freezingStartFigure(r),
    key: 'frozen-share',
    name: `Water frozen at ${plainNumber(r.freezerC, 0)} °C`,
    value: 100 * r.frozen,
    unit: '%',
    decimals: 0,
    formula: 'φ = 1 − w/W, with depression(w) = −T',
    words: 'As ice forms, what is dissolved gathers in less water, which freezes lower: the curve is followed to the freezer’s temperature.',
  };
}

export function iceVolumeFigure(r: FrozenReading): Figure {
  return {
    key: 'ice-volume',
    name: 'Ice by volume',
    value: r.iceVolume,
    unit: '',
    kind: 'published',
    spread: null,
    range: null,
    decimals: 2,
    formula: 'v = (ice/ρ_ice) / ((m/ρ)·(1 + air/100))',
    words: 'The volume of its ice over the whole, air counted.',
    inputs: [
      num('φ', 'water frozen', 100 * r.frozen, '%', 0, 'opened beside'),
      num('air', 'air of all of it', r.overrunPct, '%', 0, 'each foam and what its folds keep'),
      num('T', 'freezer', r.freezerC, '°C', 0, 'the kitchen’s freezer'),
    ],
    source: 'Choi & Okos densities; the bands are house: under 0.24 it cuts clean, above 0.32 it is hard and icy.',
  };
}

export function knifeFigure(r: FrozenReading, warmC: number, coldC: number): Figure {
  const middle = (warmC + coldC) / 2;
  const [high, low] = [warmC, coldC];
  return {
    key: 'knife',
    name: 'Knife window',
    value: middle,
    unit: '°C',
    kind: 'house',
    spread: KNIFE_SPREAD,
    range: [low, high],
    decimals: 0,
    formula: `T where ${KNIFE_ICE.low}–${KNIFE_ICE.high} of the water is ice`,
    words: 'Softer and the slice does not stand, harder and the knife does not go through.',
    inputs: [
      ...solutionInputs(r),
      num('warm', `half of the water is ice`, warmC, '°C', 1, 'the curve'),
      num('cold', `${Math.round(100 * KNIFE_ICE.high)} % is ice, or the freezer where it cuts clean`, coldC, '°C', 1, 'the curve'),
    ],
    source: 'House, ±8 % of the ice shares.',
  };
}

/** '−11 to −7 °C'. */
export const knifeWords = (warmC: number, coldC: number): string => withUnit(`${plainNumber(coldC, 0)}\u00a0to\u00a0${plainNumber(warmC, 0)}`, '°C');

/** Judgements of a sheet that is frozen; none for any other. */
export function frozenTells(s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] {
  if (s.sheet.family !== 'semifreddo') return thawTell(s, kitchen);
  const m = frozenMixOf(s);
  if (!m) return [];
  const read = readFrozen(m, freezerOf(kitchen, s.sheet));
  if (!read.ok) return [plainTell('knife', 'silent', `Knife window: no figure. ${read.fault.says}`)];
  const r = read.value;
  return [knifeTell(r), iceTell(r), solidsTell(r)];
}

/** What freezing does to a cream that is thawed again, where its place in the cold is a freezer (science-2, section 10). */
function thawTell(s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] {
  const place = kitchen.places.find((p) => p.id === s.sheet.cold.setup.placeId);
  if (!place || !isFreezer(place)) return [];
  return servedFoam(s).flatMap((a) => {
    const m = a.reading.mixture;
    if (m.massG <= 0) return [];
    const sugarPct = (100 * a.reading.addedSugarG) / m.massG;
    const gelatin = (1000 * a.reading.gelatin225G) / m.massG;
    const keeps = sugarPct >= THAWS_WHOLE.sugarPct || gelatin >= THAWS_WHOLE.gelatinGPerKg;
    const has = `${withUnit(plainNumber(sugarPct, 0), '%')} sugar and ${withUnit(plainNumber(gelatin, 1), 'g/kg')} gelatin`;
    return [
      plainTell(
        `thaw:${a.part.id}`,
        keeps ? 'in' : 'near',
        `${a.part.name}, frozen and thawed: with ${has} it ${keeps ? 'stays whole' : `weeps; from ${THAWS_WHOLE.sugarPct}${NB}% sugar or ${THAWS_WHOLE.gelatinGPerKg}${NB}g/kg gelatin on it would not`}. Thaw it in the fridge; the fridge’s clock starts then.`,
      ),
    ];
  });
}

function knifeTell(r: FrozenReading): Tell {
  if (r.startC === null || !r.window.ok) return plainTell('knife', 'silent', 'Knife window: no figure. Nothing in this freezes above −35\u00a0°C.');
  const w = r.window.value;
  const start = freezingStartFigure(r);
  if (w.straight === 'soft')
    return {
      ...plainTell('knife', 'out', ''),
      sentence: [
        'Freezes from ',
        show(start),
        ` on; at ${plainNumber(r.freezerC, 0)}${NB}°C only `,
        show(frozenShareFigure(r)),
        ' of its water is ice: too soft to slice. Less sugar or spirit, or a colder freezer.',
      ],
    };
  if (w.warmC === null || w.coldC === null)
    return { ...plainTell('knife', 'near', ''), sentence: ['Freezes from ', show(start), ' on and never gets so hard that a knife is stopped.'] };
  const knife = knifeFigure(r, w.warmC, w.coldC);
  const fatPct = (100 * (r.mixture.grams.milk_fat + r.mixture.grams.cocoa_fat)) / r.mixture.massG;
  const hardFat = fatPct > HARD_FAT_PCT ? `; its fat (${plainNumber(fatPct, 0)}${NB}%) is hard in the cold, so 5 to 10 min more` : '';
  const words = {
    clean: hardFat === '' ? 'cuts straight from the freezer' : `little ice to cut${hardFat}`,
    rest: `let it rest first${hardFat}`,
    hard: 'hard from the freezer: let it rest long, or give it more air, sugar or spirit',
  }[w.straight];
  return {
    key: 'knife',
    state: w.straight === 'hard' ? 'near' : 'in',
    sentence: ['Freezes from ', show(start), '; a knife goes through at ', { figure: knife, shown: knifeWords(w.warmC, w.coldC) }, `: ${words}.`],
    track: {
      from: -25,
      to: 0,
      low: Math.max(-25, w.coldC),
      high: w.warmC,
      value: Math.max(-25, r.freezerC),
      range: null,
      says: `the freezer at ${plainNumber(r.freezerC, 0)} °C on a track from -25 to 0; the knife goes through from ${plainNumber(w.coldC, 0)} to ${plainNumber(w.warmC, 0)}`,
    },
    action: null,
  };
}

function iceTell(r: FrozenReading): Tell {
  const state = r.iceVolume > ICE_VOLUME.hard ? 'near' : 'in';
  const words =
    r.iceVolume < ICE_VOLUME.clean ? 'smooth and soft to cut' : r.iceVolume <= ICE_VOLUME.hard ? 'firm; it wants a rest before the knife' : 'hard and icy';
  return {
    key: 'ice',
    state,
    sentence: [
      `At ${plainNumber(r.freezerC, 0)}${NB}°C `,
      show(frozenShareFigure(r)),
      ' of its water is ice, ',
      show(iceVolumeFigure(r)),
      ` of its volume: ${words}. Keeps ${FROZEN_MONTHS}${NB}months; do not freeze it again once thawed.`,
    ],
    track: {
      from: 0,
      to: 0.6,
      low: 0,
      high: ICE_VOLUME.clean,
      value: Math.min(0.6, r.iceVolume),
      range: null,
      says: `${plainNumber(r.iceVolume, 2)} on a track to 0.6; under ${ICE_VOLUME.clean} cuts clean`,
    },
    action: null,
  };
}

function solidsTell(r: FrozenReading): Tell {
  const figure: Figure = {
    key: 'solids',
    name: 'Solids',
    value: r.solidsPct,
    unit: '%',
    kind: 'physics',
    spread: null,
    range: null,
    decimals: 0,
    formula: 'TS = 100·(m − water − ethanol)/m',
    words: 'Everything but water and alcohol, of what is frozen.',
    inputs: [num('m', 'all of it', r.mixture.massG, 'g', 0, 'the lines'), num('water', 'water', r.mixture.grams.water, 'g', 0, 'the lines')],
    source: 'Mass balance; the band is house.',
  };
  const inBand = r.solidsPct >= SOLIDS_BAND.low && r.solidsPct <= SOLIDS_BAND.high;
  return {
    key: 'solids',
    state: inBand ? 'in' : 'near',
    sentence: [
      'Solids ',
      show(figure),
      inBand ? ': enough to stay smooth.' : r.solidsPct < SOLIDS_BAND.low ? ': watery, it will be icy.' : ': heavy, little of it freezes.',
    ],
    track: {
      from: 20,
      to: 70,
      low: SOLIDS_BAND.low,
      high: SOLIDS_BAND.high,
      value: Math.min(70, Math.max(20, r.solidsPct)),
      range: null,
      says: `${plainNumber(r.solidsPct, 0)} % on a track from 20 to 70`,
    },
    action: null,
  };
}
