import { SWEETNESS_BANDS, sweetnessPer100 } from '../composition/sweetness';
import { inSentence, plainNumber, roughNumber, showFigure, showHours, showRange, withUnit, type Figure } from '../figure';
import { addToReachFat, readFat } from '../foam/fat';
import { holdRange } from '../analysis/learnt';
import { CHURNS_FROM_C } from '../foam/house';
import { bowlfulsNeeded, whip, whiskWarnings } from '../foam/whisk';
import type { Fault, Result } from '../result';
import { CHEESE_BEATEN_S, DOSE_BANDS, REFERENCE_BLOOM, SOAK_WATER_PER_G } from '../setting/house';
import { mainPart } from '../analysis/analyse';
import { servedFoam, type PartAnalysis, type SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import { isWhippedKind, USE_NAMES, WISHED_HOLD_H, type Use } from '../document/kinds';
import { isPerPortion } from '../vessel/profile';
import type { LineReading } from '../lines/read-part';
import {
  fatFigure,
  fillFigure,
  foamVolumeFigure,
  gelatinFigure,
  holdFigure,
  overrunFigure,
  portionMassFigure,
  portionVolumeFigure,
  sheetVolumeFigure,
  sweetnessFigure,
  windowFigure,
} from './figures';
import { foldTells } from './fold-tells';
import { cautionTells } from './caution-tells';
import { tinTells } from './tin-tells';
import { restTells } from './rest-tells';
import { turnTells } from './turn-tells';
import { drinkTells } from './drink-tells';
import { frozenTells } from './frozen-tells';
import { heatTells } from './heat-tells';
import { setterTells } from './setter-tells';
import { structureTells } from './structure-tells';
import { tellName } from './glance';
import { plainTell, worstFirst, type Stretch, type Tell, type TellAction, type TellKey, type TellState, type Track } from './tell';

const NB = '\u00a0';
const show = (figure: Figure): Stretch => ({ figure, shown: showFigure(figure) });

/** Overrun that suits a use (house): light for the spoon, denser where it must stand. */
const AIR_BANDS: Readonly<Record<Use, { low: number; high: number }>> = {
  spoon: { low: 80, high: 125 },
  'hold-a-day': { low: 70, high: 125 },
  pipe: { low: 45, high: 115 },
  glass: { low: 70, high: 125 },
  slice: { low: 45, high: 115 },
  'turn-out': { low: 45, high: 115 },
};
/** Cream that is folded into something is whisked less; a syllabub carries its wine and takes less air (house). */
const FOLDING_AIR = { low: 55, high: 125 };
const SYLLABUB_AIR = { low: 40, high: 110 };
/** How full a vessel looks right, share of its volume (house). */
const FULL_BAND = { low: 0.45, high: 0.93 };
/** An hour's grace on the counter is what a service needs (house). */
const WISHED_COUNTER_H = 0.5;
/** The fat that blends aim at: the best of standing and air. */
const AIM_FAT_PCT = 36;
/** Granulated sugar needs this long under the whisk to dissolve (house). */
const DISSOLVE_S = 120;

/** Every judgement of a sheet, worst first. */
export function sheetTells(s: SheetAnalysis, kitchen: Kitchen): readonly Tell[] {
  const main = mainPart(s);
  const many = s.parts.length > 1;
  const ofPart = (a: PartAnalysis, tells: readonly Tell[]): readonly Tell[] => (many ? tells.map((t) => named(t, a, main)) : tells);
  const tells = [
    ...structureTells(s),
    ...s.parts.flatMap((a) => ofPart(a, isWhippedKind(a.part.kind) ? [fatTell(a, s), ...bowlTells(a, kitchen), airTell(a, s), ...dissolveTell(a)] : [])),
    portionsTell(s),
    sweetnessTell(main, s),
    ...servedFoam(s).flatMap((a) => ofPart(a, [holdTell(a, s, kitchen), counterTell(a, kitchen)])),
    ...s.parts.flatMap((a) => (!many || setsWithGelatin(a) ? ofPart(a, [gelatinTell(a, s, kitchen)]) : [])),
    ...setterTells(s),
    ...foldTells(s),
    ...heatTells(s, kitchen),
    ...frozenTells(s, kitchen),
    ...drinkTells(s, kitchen),
    ...tinTells(s),
    ...restTells(s),
    ...turnTells(s),
    ...cautionTells(s, kitchen),
  ];
  return worstFirst(tells);
}

/** Gelatin of its own, or so much of a gelatin part that it is what sets. */
const setsWithGelatin = (a: PartAnalysis): boolean => a.reading.gelatin225G > 0 && a.leftShare > 0.5;

/** A tell that says of which part it speaks. */
const named = (t: Tell, a: PartAnalysis, main: PartAnalysis): Tell => ({
  ...t,
  key: a === main ? t.key : `${tellName(t.key)}:${a.part.id}`,
  sentence: [`${a.part.name}: `, ...t.sentence],
});

const silent = (key: TellKey, lead: string, fault: Fault): Tell => ({
  key,
  state: 'silent',
  sentence: [`${lead}: no figure. ${fault.says}`],
  track: null,
  action: null,
});

/** The fault of an answer that is known to have none. */
const faultOf = (r: Result<unknown>): Fault => (r.ok ? { field: '', code: '', says: '' } : r.fault);

function fatTell(a: PartAnalysis, s: SheetAnalysis): Tell {
  if (a.fatPct === null || a.reading.dairyG <= 0) return silent('fat', 'Fat in the bowl', faultOf(a.whiskInput));
  const fat = fatFigure(a, a.fatPct);
  const reading = readFat(a.fatPct);
  const state: TellState = a.fatPct >= 33 && a.fatPct < 43 ? (a.fatPct < 38 ? 'in' : 'near') : a.fatPct >= 30 && a.fatPct < 33 ? 'near' : 'out';
  const parts = s.sheet.family === 'syllabub' && s.sheet.ways.syllabub === 'parted' && a.fatPct < 33;
  const sentence: Stretch[] = ['Fat in the bowl ', show(fat), `: ${parts ? 'lean enough for a drink to gather under it' : reading.says}`];
  const window = a.whip.ok && a.window.ok ? windowFigure(a, a.whip.value, a.window.value) : null;
  if (window) sentence.push('; window ', show(window), '.');
  else sentence.push('.');
  return {
    key: 'fat',
    state: parts && a.fatPct >= 25 ? 'in' : state,
    sentence,
    track: {
      from: 20,
      to: 60,
      low: 33,
      high: 38,
      value: a.fatPct,
      range: null,
      says: `${plainNumber(a.fatPct, 1)} % on a track from 20 to 60; 33 to 38 is best`,
    },
    action: parts ? null : fatAction(a, a.fatPct),
  };
}

function fatAction(a: PartAnalysis, fatPct: number): TellAction | null {
  if (fatPct >= 33 && fatPct < 43) return null;
  const bowlG = a.reading.mixture.massG - a.reading.addedSugarG;
  const [source, pct] = fatPct < 33 ? ['double cream', 48] : ['milk', 3.6];
  const add = addToReachFat(AIM_FAT_PCT, bowlG, fatPct, pct);
  if (!add.ok || add.value < 1 || add.value > 100_000) return null;
  const grams = Math.round(add.value);
  return {
    label: `Add ${withUnit(plainNumber(grams, 0), 'g')} ${source}`,
    why: `brings the bowl to ${AIM_FAT_PCT}${NB}%`,
    edit: { kind: 'add-line', partId: a.part.id, text: `${grams} g ${source}${pct === 48 ? ' 48 %' : ''}` },
  };
}

/** Warnings of bowl and warmth that change what the cook does next. */
function bowlTells(a: PartAnalysis, kitchen: Kitchen): Tell[] {
  if (!a.whiskInput.ok) return [];
  const input = a.whiskInput.value;
  if (!a.whip.ok && a.whip.fault.code === 'not-reached')
    return [{ key: 'bowl', state: 'near', sentence: [a.whip.fault.says], track: null, action: reachAction(a, kitchen) }];
  if (!a.whip.ok)
    return a.whip.fault.code === 'does-not-fit'
      ? [{ key: 'bowl', state: 'out', sentence: [a.whip.fault.says], track: null, action: splitAction(a, input.batches) }]
      : [];
  const w = a.whip.value;
  const tells: Tell[] = [];
  if (a.reading.roleG['soft-cheese'] > 0 && a.reading.roleG.cream <= 0)
    tells.push(
      plainTell(
        'beaten',
        'near',
        `Cheese without cream: once it is soft and smooth, beat it ${CHEESE_BEATEN_S[0]}–${CHEESE_BEATEN_S[1]}${NB}s, no more. Over-mixed it curdles and runs.`,
      ),
    );
  for (const warning of whiskWarnings(input, w)) {
    if (warning.key === 'climbs-out' || warning.key === 'too-full') {
      const words = warning.key === 'climbs-out' ? 'The foam would climb out of the' : 'That is more than works well in the';
      tells.push({
        key: 'bowl',
        state: warning.key === 'climbs-out' ? 'out' : 'near',
        sentence: [`${words} ${a.mixer?.name ?? 'bowl'}: ${plainNumber(100 * w.fillShare, 0)}${NB}% full before whisking.`],
        track: null,
        action: splitAction(a, input.batches),
      });
    }
    if (warning.key === 'lean')
      tells.push(
        plainTell(
          'lean',
          warning.willStand ? 'near' : 'out',
          `With ${withUnit(plainNumber(input.fatPct, 1), '%')} fat ${warning.willStand ? 'firm may not come: stop at medium' : 'it thickens, but will not stand'}.`,
        ),
      );
    if (warning.key === 'sour')
      tells.push(
        plainTell(
          'sour-whisk',
          'near',
          `Sour: ${withUnit(plainNumber(input.acidGPerKg ?? 0, 1), 'g')} of acid a kilo thickens it sooner, with less air. Watch from the start.`,
        ),
      );
    if (warning.key === 'warm' || warning.key === 'never') {
      tells.push({
        key: 'warm',
        state: input.creamC > CHURNS_FROM_C ? 'out' : 'near',
        sentence: [
          `Cream at ${withUnit(plainNumber(input.creamC, 0), '°C')} ${input.creamC > CHURNS_FROM_C ? 'churns: grain comes soon after its peak, and firm never stands clean' : `is slower and takes less air than at 7${NB}°C or below`}.`,
        ],
        track: null,
        action: { label: `Chill to 5${NB}°C`, why: 'cream and bowl together', edit: { kind: 'set-cream-temperature', partId: a.part.id, creamC: 5 } },
      });
    }
  }
  return tells;
}

/** The first mixer of the kitchen whose wires reach so little; null where none does. */
function reachAction(a: PartAnalysis, kitchen: Kitchen): TellAction | null {
  if (!a.whiskInput.ok) return null;
  const input = a.whiskInput.value;
  const other = kitchen.mixers
    .filter((m) => m.kind !== 'processor' && whip({ ...input, mixer: m.kind, bowlMl: m.bowlMl }).ok)
    .sort((x, y) => x.bowlMl - y.bowlMl)[0];
  return other
    ? { label: `Whisk it in the ${other.name}`, why: 'there the wires reach it', edit: { kind: 'set-mixer', partId: a.part.id, mixerId: other.id } }
    : null;
}

/** Whisking it in as many bowlfuls as fit well; null when no number does. */
export function splitAction(a: PartAnalysis, now: number): TellAction | null {
  if (!a.whiskInput.ok) return null;
  const n = bowlfulsNeeded(a.whiskInput.value);
  if (n === null || n === now) return null;
  return { label: `Whisk in ${n} bowlfuls`, why: 'each then fills the bowl well', edit: { kind: 'set-batches', partId: a.part.id, batches: n } };
}

function airTell(a: PartAnalysis, s: SheetAnalysis): Tell {
  if (!a.whiskInput.ok || !a.whip.ok || !a.overrunPct.ok) {
    return silent('air', 'Air', faultOf(!a.whiskInput.ok ? a.whiskInput : !a.whip.ok ? a.whip : a.overrunPct));
  }
  const air = overrunFigure(a, a.whiskInput.value, a.whip.value, a.overrunPct.value);
  const volume = foamVolumeFigure(a, air);
  const band = a.leftShare < 0.6 ? FOLDING_AIR : s.sheet.family === 'syllabub' ? SYLLABUB_AIR : AIR_BANDS[s.sheet.use];
  const [low, high] = air.range ?? [air.value, air.value];
  const state: TellState = air.value >= band.low && air.value <= band.high ? 'in' : high >= band.low && low <= band.high ? 'near' : 'out';
  return {
    key: 'air',
    state,
    sentence: ['Air ', show(air), ` at ${a.part.whisk.stage}: makes `, show(volume), '.'],
    track: {
      from: 0,
      to: 140,
      low: band.low,
      high: band.high,
      value: air.value,
      range: air.range,
      says: `${showRange(low, high, '%')} on a track to 140; ${band.low} to ${band.high} suits this use`,
    },
    action: null,
  };
}

function portionsTell(s: SheetAnalysis): Tell {
  const { sheet } = s;
  if (!s.volumeMl.ok || !s.perVesselMl.ok) return silent('portions', 'Portions', faultOf(s.volumeMl));
  const volume = sheetVolumeFigure(s, s.volumeMl.value);
  const full = s.perVesselMl.value / s.vesselHoldsMl;
  const name = inSentence(sheet.vessel.name);
  const each = isPerPortion(sheet.vessel);
  const sentence: Stretch[] = [
    `${sheet.portions} portion${sheet.portions === 1 ? '' : 's'} of `,
    show(portionVolumeFigure(s, volume)),
    ', ',
    show(portionMassFigure(s)),
  ];
  if (s.fillMm.ok) sentence.push(`: ${each ? 'each' : 'the'} ${name} filled to `, show(fillFigure(s, s.perVesselMl.value, s.fillMm.value)), '.');
  else sentence.push(`: ${inSentence(s.fillMm.fault.says)}`);
  const free = sheet.vessel.kind === 'free';
  const state: TellState = full > 1 ? 'out' : !free && (full < FULL_BAND.low || full > FULL_BAND.high) ? 'near' : 'in';
  const wanted = Math.ceil(volume.value / (s.vesselHoldsMl * 0.85));
  const shareOut = full > 1 && each && wanted <= 2000;
  return {
    key: 'portions',
    state,
    sentence,
    track: {
      from: 0,
      to: 1.2,
      low: FULL_BAND.low,
      high: FULL_BAND.high,
      value: Math.min(1.2, full),
      range: null,
      says: `${plainNumber(100 * full, 0)} % of the ${name}`,
    },
    action: shareOut ? { label: `Share out over ${wanted}`, why: 'the same amount in more of them', edit: { kind: 'set-portions', portions: wanted } } : null,
  };
}

const isSugarLine = (l: LineReading): boolean => l.ingredient?.category === 'sugar' && l.read !== null;

/** From so much acid in the mouthful on it is tasted against the sugar, g/kg (house: a lemon cream has 5 to 8). */
const TART_FROM_G_PER_KG = 3;

/** What its acid does to the taste: the index counts sugars alone. */
function acidWords(s: SheetAnalysis, over: boolean): string {
  const gPerKg = (1000 * s.mixture.grams.acid) / s.mixture.massG;
  if (gPerKg < TART_FROM_G_PER_KG) return '';
  return `; ${withUnit(plainNumber(gPerKg, 1), 'g')} of acid a kilo ${over ? 'take some of that back: it tastes tart-sweet' : 'make it tart'}`;
}

function sweetnessTell(main: PartAnalysis, s: SheetAnalysis): Tell {
  if (s.mixture.massG <= 0) return silent('sweetness', 'Sweetness', faultOf(main.whiskInput.ok ? s.volumeMl : main.whiskInput));
  const band = SWEETNESS_BANDS[s.sheet.sweetness];
  const alone = s.parts.length === 1;
  const figure = sweetnessFigure(s, alone ? 'Sweetness' : 'Sweetness of a mouthful');
  const v = figure.value;
  const words = v < band.low ? `less than ${band.name} wants` : v > band.high ? `more than ${band.name} wants` : `right for ${band.name}`;
  const off = v < band.low ? band.low - v : v > band.high ? v - band.high : 0;
  return {
    key: 'sweetness',
    state: off === 0 ? 'in' : off < 1.5 ? 'near' : 'out',
    sentence: [alone ? 'Sweetness ' : 'Sweetness by the mouthful ', show(figure), `: ${words}${acidWords(s, v > band.high)}.`],
    track: {
      from: 0,
      to: 30,
      low: band.low,
      high: band.high,
      value: Math.min(30, v),
      range: null,
      says: `${plainNumber(v, 1)} on a track to 30; ${band.low} to ${band.high} is ${band.name}`,
    },
    action: off === 0 || !alone ? null : sugarAction(main, (band.low + band.high) / 2),
  };
}

/** The heaviest sugar line at the amount that lands in the middle of the band. */
function sugarAction(a: PartAnalysis, wished: number): TellAction | null {
  const line = a.reading.lines.filter(isSugarLine).sort((x, y) => (y.read?.massG ?? 0) - (x.read?.massG ?? 0))[0];
  const massG = a.reading.mixture.massG;
  const gap = (wished / 100) * massG - (a.sweetness / 100) * massG;
  if (!line?.read || !line.ingredient) {
    if (gap <= 0) return null;
    const grams = Math.round(gap / (1 - wished / 100));
    return {
      label: `Add ${withUnit(plainNumber(grams, 0), 'g')} caster sugar`,
      why: 'to the middle of the band',
      edit: { kind: 'add-line', partId: a.part.id, text: `${grams} g caster sugar` },
    };
  }
  const perG = sweetnessPer100([{ massG: 1, per100: line.read.per100, ownSweetness: line.ingredient.ownSweetness }]) / 100;
  if (perG <= wished / 100) return null;
  const grams = Math.round(line.read.massG + gap / (perG - wished / 100));
  if (grams < 1) return null;
  return {
    label: `Use ${withUnit(plainNumber(grams, 0), 'g')} ${line.name}`,
    why: 'to the middle of the band',
    edit: { kind: 'set-amount', partId: a.part.id, lineId: line.line.id, amount: `${grams} g` },
  };
}

function dissolveTell(a: PartAnalysis): Tell[] {
  const coarse = a.reading.lines.some((l) => l.ingredient?.id === 'sugar-granulated' && l.read);
  if (!coarse || !a.window.ok) return [];
  // Sugar that goes in at soft peak is under the whisk only from there on.
  const under = a.part.whisk.sugarAt === 'start' ? a.window.value.opensS : a.window.value.opensS / 3;
  if (under >= DISSOLVE_S) return [];
  return [
    {
      key: 'sandy',
      state: 'near',
      sentence: [`Granulated sugar needs 2${NB}min under the whisk; here it gets less and stays sandy. Use caster or icing sugar.`],
      track: null,
      action: null,
    },
  ];
}

function holdTell(a: PartAnalysis, s: SheetAnalysis, kitchen: Kitchen): Tell {
  if (!a.holdFridge.ok) return silent('hold', 'Hold', a.holdFridge.fault);
  const hold = a.holdFridge.value;
  const tempC = kitchen.rules.fridgeC;
  const figure = holdFigure('hold', 'Hold in the fridge', hold, a, tempC);
  const wish = WISHED_HOLD_H[s.sheet.use];
  const range = figure.range ?? [hold.shownH, hold.shownH];
  const state: TellState = hold.shownH >= wish ? 'in' : range[1] >= wish ? 'near' : 'out';
  const ruled = holdRange(a, hold.cleanH)[0] >= hold.keepingH;
  return {
    key: 'hold',
    state,
    sentence: [
      `At ${withUnit(plainNumber(tempC, 0), '°C')} it holds `,
      show(figure),
      ruled
        ? ', the keeping rule; its shape lasts longer.'
        : state === 'in'
          ? `, long enough to be ${USE_NAMES[s.sheet.use]}.`
          : `; ${USE_NAMES[s.sheet.use]} it should hold ${showHours(wish)}.`,
    ],
    track: holdTrack(hold.shownH, range, wish, 72, hold.keepingH),
    action: null,
  };
}

const holdTrack = (value: number, range: readonly [number, number], low: number, to: number, high: number): Track => ({
  from: 0,
  to,
  low,
  high,
  value: Math.min(to, value),
  range: range[0] < range[1] ? [range[0], Math.min(to, range[1])] : null,
  says: `${showRange(range[0], range[1], 'h')} on a track to ${to} h; from ${low} h is wished`,
});

function counterTell(a: PartAnalysis, kitchen: Kitchen): Tell {
  if (!a.holdCounter.ok) return silent('counter', 'On the counter', a.holdCounter.fault);
  const hold = a.holdCounter.value;
  const tempC = kitchen.rules.roomC;
  const figure = holdFigure('counter', 'Hold on the counter', hold, a, tempC);
  const range = figure.range ?? [hold.shownH, hold.shownH];
  const state: TellState = hold.shownH >= WISHED_COUNTER_H ? 'in' : 'near';
  const ruled = range[0] >= hold.keepingH;
  return {
    key: 'counter',
    state,
    sentence: [
      `On the counter at ${withUnit(plainNumber(tempC, 0), '°C')}, `,
      show(figure),
      ruled ? ': the usual rule.' : hold.limit === 'keeping' ? ', and never past the 2 h rule.' : ' before it softens.',
    ],
    track: holdTrack(hold.shownH, range, WISHED_COUNTER_H, 4, hold.keepingH),
    action: null,
  };
}

const gelatinLine = (a: PartAnalysis): LineReading | null => a.reading.lines.find((l) => l.ingredient?.bloom && l.read) ?? null;

/** Sets the gelatin of the sheet to the middle of its use's band, in leaves where it comes in leaves. */
function gelatinAction(a: PartAnalysis, s: SheetAnalysis, kitchen: Kitchen): TellAction | null {
  if (s.sheet.use === 'spoon' || !a.gelatin.ok || a.reading.rawProteaseFruit) return null;
  const line = gelatinLine(a);
  const ingredient = line?.ingredient ?? kitchen.larder.get('gelatin-leaf-gold');
  if (!ingredient?.bloom) return null;
  const { band } = a.gelatin.value;
  const leaf = ingredient.piece?.name === 'leaf';
  const strength = Math.sqrt(ingredient.bloom / REFERENCE_BLOOM);
  const otherG = a.reading.mixture.massG - (line?.read ? line.read.massG + line.soakWaterG : 0);
  const other225G = a.reading.gelatin225G - (line?.read ? line.read.massG * strength : 0);
  // d·(otherG + grams·(1 + soak)) = 1000·(other225G + grams·strength), solved for grams.
  const helps = a.gelatin.value.setsGPerKg - a.gelatin.value.doseGPerKg;
  const d = Math.max(0, (band.low + band.high) / 2 - helps) / 1000;
  const grams = (d * otherG - other225G) / (strength - d * (1 + (leaf ? SOAK_WATER_PER_G : 0)));
  if (!(grams > 0)) return null;
  const amount = leaf ? leaves(grams / (ingredient.piece?.grams ?? 1)) : `${grams < 10 ? grams.toFixed(1) : Math.round(grams)} g`;
  const why = DOSE_BANDS[s.sheet.use].name;
  if (line) return { label: `Use ${amount.replace(' ', NB)}`, why, edit: { kind: 'set-amount', partId: a.part.id, lineId: line.line.id, amount } };
  return { label: `Add ${amount.replace(' ', NB)} gelatin`, why, edit: { kind: 'add-line', partId: a.part.id, text: `${amount} gelatin` } };
}

/** Half leaves are the finest that a kitchen cuts. */
function leaves(exact: number): string {
  const halves = Math.max(1, Math.round(exact * 2));
  const whole = Math.floor(halves / 2);
  const text = halves % 2 === 0 ? `${whole}` : whole === 0 ? '1/2' : `${whole} 1/2`;
  return `${text} ${halves > 2 ? 'leaves' : 'leaf'}`;
}

function gelatinTell(a: PartAnalysis, s: SheetAnalysis, kitchen: Kitchen): Tell {
  if (!a.gelatin.ok || a.reading.mixture.massG <= 0)
    return silent('gelatin', 'Gelatin', faultOf(a.gelatin.ok || (a.reading.mixture.massG <= 0 && !a.whiskInput.ok) ? a.whiskInput : a.gelatin));
  const dose = a.gelatin.value;
  const use = s.sheet.use;
  const figure = gelatinFigure(a, dose);
  const bandUse = use === 'spoon' ? 'hold-a-day' : use;
  const track: Track = {
    from: 0,
    to: 20,
    low: dose.band.low,
    high: Math.min(20, dose.band.high),
    value: Math.min(20, dose.setsGPerKg),
    range: null,
    says: `${plainNumber(dose.doseGPerKg, 1)} g/kg on a track to 20; ${roughNumber(dose.band.low)} to ${roughNumber(dose.band.high)} is ${DOSE_BANDS[bandUse].name}`,
  };
  const harsh = dose.harsh ? ', more for sour or strong' : '';
  const helped = dose.supports.length > 0 ? ` with ${dose.supports.map((x) => `${x.name} worth ${roughNumber(x.gPerKg)}`).join(' and ')}` : '';
  const band = `${showRange(dose.band.low, dose.band.high, 'g/kg')} ${DOSE_BANDS[bandUse].name}${harsh}`;
  const tell = (state: TellState, words: readonly Stretch[], action: TellAction | null): Tell => ({ key: 'gelatin', state, sentence: words, track, action });
  switch (dose.verdict) {
    case 'none':
      return use === 'spoon' || holdsWithout(a, use)
        ? { ...tell('in', ['Gelatin ', show(figure), `: none, and none is needed to be ${USE_NAMES[use]}.`], null), track: null }
        : tell('near', ['Gelatin ', show(figure), `: none; ${band}.`], gelatinAction(a, s, kitchen));
    case 'no-set-protease':
      return {
        ...tell(
          'out',
          ['Raw fruit in this bowl eats the gelatin: it will not set at all. Heat the fruit through to 85\u00a0°C first, or use it cooked.'],
          null,
        ),
        track: null,
      };
    case 'no-set-alcohol':
      return tell('out', ['Gelatin ', show(figure), ' will not set reliably above 30\u00a0% alcohol: use less of the drink.'], null);
    case 'rubbery':
      return tell('out', ['Gelatin ', show(figure), `: rubbery; ${band}.`], gelatinAction(a, s, kitchen));
    case 'under':
      return tell(
        use === 'spoon' ? 'in' : 'near',
        ['Gelatin ', show(figure), use === 'spoon' ? ': a little help, and none is needed.' : `${helped}: loose; ${band}.`],
        use === 'spoon' ? null : gelatinAction(a, s, kitchen),
      );
    case 'over':
      return tell('near', ['Gelatin ', show(figure), `: firmer than it need be; ${band}.`], gelatinAction(a, s, kitchen));
    case 'in-band':
      return tell('in', ['Gelatin ', show(figure), `${helped}: right ${DOSE_BANDS[bandUse].name}.`], null);
  }
}

/** Cheese may hold it without gelatin, except where it must be cut or turned out. */
const holdsWithout = (a: PartAnalysis, use: Use): boolean =>
  (a.gelatin.ok && a.gelatin.value.setsGPerKg >= a.gelatin.value.band.low) ||
  (use !== 'slice' && use !== 'turn-out' && a.holdFridge.ok && a.holdFridge.value.shownH >= WISHED_HOLD_H[use]);
