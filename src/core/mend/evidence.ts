import { clockFace, plainNumber, showGrams, showHours, withUnit } from '../figure';
import { CHURNS_FROM_C, COLD_ENOUGH_C, LEAN } from '../foam/house';
import { KNIFE_ICE } from '../heat/house';
import { networkAt, stageAt, stopWindow, whip, type StopWindow, type Whip } from '../foam/whisk';
import { frozenMixOf, freezerOf, readFrozen } from '../analysis/frozen';
import { meetingsOf, temperingOf } from '../analysis/warmth';
import { eggHeated, eggOf } from '../analysis/egg';
import { SWEETNESS_BANDS } from '../composition/sweetness';
import { hoursToSet } from '../setting/set';
import { NO_SET_ABV_PCT, STRINGS } from '../setting/house';
import { soaksOf } from '../tin/sheet-soak';
import type { Bowl } from './case';
import { BUTTERCREAM_C, CHEESE_SOFT_C, EGG_CURDLES_C, GANACHE_HOLDS, LOOSE_WATER_SHARE, BASE_FAT_PCT, SAYS, SOUR, STRONG_ABV } from './house';
import { cutShort, tickedBefore } from './steps-ticked';
import type { CauseId } from './words';

/** One thing that is known of the batch, in a line, and what it makes of the odds of the cause. */
export interface Evidence {
  readonly says: string;
  readonly ratio: number;
}

/** Rests that were cut short, a line each. */
const shortRests = (b: Bowl, ...keys: string[]): readonly Evidence[] => cutShort(b.facts.steps, b.a.part.id, keys).map((text) => says(SAYS.points, text));
/** A step that was ticked before one that it should follow. */
function outOfOrder(b: Bowl, early: readonly string[], late: readonly string[]): readonly Evidence[] {
  const text = tickedBefore(b.facts.steps, b.a.part.id, early, late);
  return text === null ? [] : [says(SAYS.points, text)];
}
/** A step of the kitchen's way that was passed over. */
const passedOver = (b: Bowl, text: string, ...keys: string[]): readonly Evidence[] =>
  keys.some((k) => b.facts.skipped.includes(k)) ? [says(SAYS.points, text)] : [];

type Look = (b: Bowl) => readonly Evidence[];

const NB = '\u00a0';
const deg = (tC: number): string => withUnit(plainNumber(tC, Number.isInteger(tC) ? 0 : 1), '°C');
const pct = (v: number, digits = 0): string => withUnit(plainNumber(v, digits), '%');
const says = (ratio: number, text: string): Evidence => ({ says: text, ratio });
const none: readonly Evidence[] = [];

/** The cream's temperature: as it was seen, else as the sheet plans it. */
export const creamCOf = (b: Bowl): { readonly tC: number; readonly seen: boolean } => ({
  tC: b.facts.creamC ?? b.a.part.whisk.creamC,
  seen: b.facts.creamC !== null,
});

/** The whip of the bowl at the temperature that its cream really had. */
export function whipOf(b: Bowl): Whip | null {
  const { creamC } = b.facts;
  const seen = creamC !== null && b.a.whiskInput.ok ? whip({ ...b.a.whiskInput.value, creamC }) : null;
  // The kitchen's log has corrected the planned one; the seen one keeps that correction.
  if (seen?.ok && b.a.whip.ok && b.a.whiskInput.ok) {
    const planned = whip(b.a.whiskInput.value);
    const learnt = planned.ok ? b.a.whip.value.ratePerS / planned.value.ratePerS : 1;
    return {
      ...seen.value,
      ratePerS: seen.value.ratePerS * learnt,
      lateRatePerS: seen.value.lateRatePerS * learnt,
      clumpRatePerS: seen.value.clumpRatePerS * learnt,
    };
  }
  return b.a.whip.ok ? b.a.whip.value : null;
}

const window = (b: Bowl): StopWindow | null => {
  const w = whipOf(b);
  return w ? stopWindow(w, b.a.part.whisk.stage) : null;
};

function whisked(b: Bowl, past: boolean): readonly Evidence[] {
  const { whiskedS } = b.facts;
  const w = window(b);
  if (whiskedS === null || !w) return none;
  const { stage } = b.a.part.whisk;
  const face = `${clockFace(whiskedS)}${NB}min under the whisk`;
  if (w.closesS !== null && whiskedS > w.closesS)
    return [says(past ? SAYS.proves : SAYS.rulesOut, `${face}; the window of ${stage} closed at ${clockFace(w.closesS)}.`)];
  if (whiskedS < w.opensS) return [says(past ? SAYS.rulesOut : SAYS.proves, `${face}; ${stage} comes at ${clockFace(w.opensS)}.`)];
  return [says(past ? 1 : SAYS.speaksAgainst, `${face}, inside the window of ${stage}.`)];
}

function warmCream(b: Bowl): readonly Evidence[] {
  const { tC, seen } = creamCOf(b);
  const whose = seen ? 'The cream was at' : 'The sheet plans the cream at';
  if (tC > CHURNS_FROM_C) return [says(SAYS.proves, `${whose} ${deg(tC)}: above ${deg(CHURNS_FROM_C)} it churns.`)];
  if (tC > COLD_ENOUGH_C) return [says(seen ? SAYS.points : SAYS.hints, `${whose} ${deg(tC)}; ${deg(COLD_ENOUGH_C)} or less is right.`)];
  return seen ? [says(SAYS.rulesOut, `The cream was at ${deg(tC)}: cold enough.`)] : none;
}

function fatOf(b: Bowl, rich: boolean): readonly Evidence[] {
  const f = b.a.fatPct;
  if (f === null) return none;
  const text = `Fat in the bowl ${pct(f, 1)}`;
  if (rich)
    return [
      f >= 43
        ? says(SAYS.points, `${text}: its window is narrow.`)
        : f >= 38
          ? says(SAYS.hints, `${text}: quick to go over.`)
          : says(SAYS.rulesOut, `${text}: its window is not narrow.`),
    ];
  if (f < LEAN.willNotStandPct) return [says(SAYS.proves, `${text}: below ${pct(LEAN.willNotStandPct)} it does not stand.`)];
  if (f < LEAN.mayNotComePct) return [says(SAYS.points, `${text}: firm may not come.`)];
  return [says(f >= 33 ? SAYS.rulesOut : 1, `${text}: enough to stand.`)];
}

function wetOf(b: Bowl): readonly Evidence[] {
  const { roleG, mixture } = b.a.reading;
  const wet =
    (100 * (roleG['sour-liquid'] + b.a.reading.lines.reduce((g, l) => g + (l.role === 'liquid' || l.role === 'drink' ? (l.read?.massG ?? 0) : 0), 0))) /
    Math.max(1, mixture.massG);
  if (wet >= 25) return [says(SAYS.points, `Wine, juice or water are ${pct(wet)} of the bowl.`)];
  if (wet >= 10) return [says(SAYS.hints, `Wine, juice or water are ${pct(wet)} of the bowl.`)];
  return [says(SAYS.rulesOut, `Wine, juice or water are only ${pct(wet)} of the bowl.`)];
}

function heldOf(b: Bowl): readonly Evidence[] {
  const clean = b.s.keeping.cleanH;
  const { coldH } = b.facts;
  if (clean === null || coldH === null) return none;
  if (coldH > clean) return [says(SAYS.proves, `${showHours(coldH)} in the cold; it is clean for ${showHours(clean)}.`)];
  return [says(coldH > clean / 2 ? 1 : SAYS.speaksAgainst, `${showHours(coldH)} in the cold of ${showHours(clean)} that it is clean.`)];
}

function stabiliserOf(b: Bowl): readonly Evidence[] {
  if (!b.a.holdFridge.ok) return none;
  const { gain } = b.a.holdFridge.value;
  return [
    gain < 1.2
      ? says(SAYS.points, 'Nothing in it binds water.')
      : gain < 3
        ? says(1, `What stabilises it makes its hold ${plainNumber(gain, 1)} times as long.`)
        : says(SAYS.rulesOut, `It is stabilised: ${plainNumber(gain, 1)} times the hold of plain cream.`),
  ];
}

function placeOf(b: Bowl): readonly Evidence[] {
  const { nowC } = b.facts;
  if (nowC !== null)
    return [
      nowC > 8
        ? says(SAYS.proves, `It is at ${deg(nowC)} now.`)
        : nowC > 5
          ? says(SAYS.points, `It is at ${deg(nowC)} now.`)
          : says(SAYS.rulesOut, `It is at ${deg(nowC)}: cold enough.`),
    ];
  const fridge = b.kitchen.rules.fridgeC;
  return fridge > 5 ? [says(SAYS.hints, `The kitchen’s fridge is at ${deg(fridge)}.`)] : none;
}

function contactOf(b: Bowl): readonly Evidence[] {
  const t = temperingOf(b.a);
  if (!t?.ok) return none;
  const text = `Poured in at once, gelatin and cream meet at ${deg(Math.round(t.value.atOnceC))}`;
  return [t.value.strings ? says(SAYS.points, `${text}: below ${deg(STRINGS.belowC)} it strings.`) : says(SAYS.speaksAgainst, `${text}: warm enough.`)];
}

function doseOf(b: Bowl, high: boolean): readonly Evidence[] {
  if (!b.a.gelatin.ok) return none;
  const { doseGPerKg, setsGPerKg, verdict, band } = b.a.gelatin.value;
  const text = `Gelatin ${withUnit(plainNumber(doseGPerKg, 1), 'g/kg')}; ${withUnit(`${plainNumber(band.low, 0)}–${plainNumber(band.high, 0)}`, 'g/kg')} is right`;
  if (high)
    return [
      verdict === 'rubbery'
        ? says(SAYS.proves, `${text}: that is rubber.`)
        : verdict === 'over'
          ? says(SAYS.points, `${text}.`)
          : says(SAYS.rulesOut, `${text}.`),
    ];
  if (verdict === 'none' || verdict === 'under') return [says(setsGPerKg < band.low / 2 ? SAYS.proves : SAYS.points, `${text}.`)];
  return [says(SAYS.rulesOut, `${text}: enough.`)];
}

function tooSoon(b: Bowl): readonly Evidence[] {
  const { coldH } = b.facts;
  if (coldH === null) return none;
  const { use, family } = b.s.sheet;
  const asked =
    family === 'semifreddo' || family === 'icebox'
      ? b.s.sheet.servedAfterH
      : hoursToSet(use === 'slice' ? 'slice' : use === 'turn-out' ? 'turn-out' : 'glass') + 1;
  return [
    coldH < asked
      ? says(SAYS.points, `${showHours(coldH)} in the cold of about ${showHours(asked)} that it needs.`)
      : says(SAYS.rulesOut, `${showHours(coldH)} in the cold: long enough.`),
  ];
}

function foldOf(b: Bowl, cold: boolean): readonly Evidence[] {
  const meeting = meetingsOf(b.s).find((m) => m.kind === 'fold' && m.partId === b.a.part.id);
  const { nowC } = b.facts;
  if (nowC !== null && meeting?.window) {
    const { lowC, highC } = meeting.window;
    const text = `It was at ${deg(nowC)}; ${deg(lowC)} to ${deg(highC)} is its window.`;
    return [cold ? says(nowC < lowC ? SAYS.proves : SAYS.rulesOut, text) : says(nowC > highC ? SAYS.proves : SAYS.rulesOut, text)];
  }
  if (!meeting) return none;
  const text = `By the sheet the base is at ${deg(Math.round(meeting.judgedC))} when it is folded`;
  if (cold)
    return [meeting.verdict === 'cold' ? says(SAYS.points, `${text}: colder than its window.`) : says(SAYS.speaksAgainst, `${text}: inside its window.`)];
  return [
    meeting.verdict === 'warm' || meeting.verdict === 'too-warm-fold'
      ? says(SAYS.points, `${text}: too warm for the foam.`)
      : says(SAYS.speaksAgainst, `${text}: cool enough.`),
  ];
}

function chocolateWater(b: Bowl): readonly Evidence[] {
  const share = waterInChocolate(b);
  if (share === null) return none;
  return [
    share > 0 && share < LOOSE_WATER_SHARE
      ? says(SAYS.points, `Only ${pct(100 * share)} of it is water: between a drop and a fifth, chocolate seizes.`)
      : says(SAYS.speaksAgainst, `${pct(100 * share)} of it is water.`),
  ];
}

/** Water of a chocolate base as written, share of all of it, 0–1; null where there is no chocolate. */
export function waterInChocolate(b: Bowl): number | null {
  const { mixture, lines } = b.a.reading;
  return lines.some((l) => l.role === 'chocolate') && mixture.massG > 0 ? mixture.grams.water / mixture.massG : null;
}

function fatAgainstWater(b: Bowl): readonly Evidence[] {
  const { grams } = b.a.reading.mixture;
  const fat = grams.cocoa_fat + grams.milk_fat + grams.other_fat;
  const ratio = fat / Math.max(1, grams.water);
  return [
    says(
      ratio > GANACHE_HOLDS.splits ? SAYS.points : ratio > GANACHE_HOLDS.fatPerWater ? SAYS.hints : SAYS.speaksAgainst,
      `${plainNumber(ratio, 1)}${NB}g of fat for each gram of water; up to about ${plainNumber(GANACHE_HOLDS.fatPerWater, 1)} holds together.`,
    ),
  ];
}

function butterAt(b: Bowl, cold: boolean): readonly Evidence[] {
  const { nowC } = b.facts;
  if (nowC === null) return none;
  const text = `The bowl is at ${deg(nowC)}; ${deg(BUTTERCREAM_C.low)} to ${deg(BUTTERCREAM_C.high)} is right.`;
  return [cold ? says(nowC < BUTTERCREAM_C.low ? SAYS.proves : SAYS.rulesOut, text) : says(nowC > BUTTERCREAM_C.high ? SAYS.proves : SAYS.rulesOut, text)];
}

function eggHeat(b: Bowl): readonly Evidence[] {
  const e = eggOf(b.a);
  if (!e) return none;
  return [
    eggHeated(e)
      ? says(SAYS.speaksAgainst, 'By the sheet its egg is heated enough.')
      : says(SAYS.proves, 'By the sheet its egg never comes to the usual figure.'),
  ];
}

function starchThins(b: Bowl): readonly Evidence[] {
  const raw = b.a.reading.lines.filter((l) => /^(?:honey|banana)$/.test(l.ingredient?.id ?? '') && l.read);
  const short = b.a.ownHeat.tempC !== null && b.a.ownHeat.tempC < 90;
  if (raw.length > 0) return [says(SAYS.points, `${raw[0]!.name} is in it: raw, it takes starch apart.`)];
  return [
    short
      ? says(SAYS.points, `Heated to only ${deg(b.a.ownHeat.tempC!)}: the yolk’s enzyme is still at work.`)
      : says(SAYS.speaksAgainst, 'Nothing in it thins starch.'),
  ];
}

function soakedLong(b: Bowl, wet: boolean): readonly Evidence[] {
  const soak = soaksOf(b.s).find((x) => x.partId === b.a.part.id);
  const reading = soak?.served?.reading;
  if (!soak || !reading) return [says(wet ? SAYS.speaksAgainst : 1, 'Nothing dips them in this sheet.')];
  const { dipS } = b.s.sheet.tin;
  const text = soak.input
    ? `Dipped ${withUnit(plainNumber(dipS, 1), 's')}: ${reading} by the time it is served`
    : `Laid dry: ${reading} by the time it is served`;
  const isWet = reading === 'soggy' || reading === 'pools' || soak.served!.mush;
  return [wet ? says(isWet ? SAYS.proves : SAYS.speaksAgainst, `${text}.`) : says(reading === 'dry' ? SAYS.points : SAYS.speaksAgainst, `${text}.`)];
}

function iceOf(b: Bowl, much: boolean): readonly Evidence[] {
  const m = frozenMixOf(b.s);
  const read = m ? readFrozen(m, freezerOf(b.kitchen, b.s.sheet)) : null;
  if (!read?.ok) return none;
  const { frozen, freezerC } = read.value;
  const text = `At ${deg(freezerC)} ${pct(100 * frozen)} of its water is ice`;
  if (much) return [says(frozen > KNIFE_ICE.high ? SAYS.points : SAYS.speaksAgainst, `${text}; a knife goes through up to ${pct(100 * KNIFE_ICE.high)}.`)];
  return [says(frozen < KNIFE_ICE.low ? SAYS.proves : SAYS.rulesOut, `${text}; a slice stands from half on.`)];
}

function freezerOfCase(b: Bowl): readonly Evidence[] {
  const { nowC } = b.facts;
  const freezer = freezerOf(b.kitchen, b.s.sheet);
  if (nowC !== null)
    return [
      nowC > freezer + 3
        ? says(SAYS.points, `It is at ${deg(nowC)}; the freezer is taken at ${deg(freezer)}.`)
        : says(SAYS.rulesOut, `It is at ${deg(nowC)}, as the freezer is.`),
    ];
  return freezer > -15 ? [says(SAYS.points, `The freezer is at ${deg(freezer)}.`)] : none;
}

function overBand(b: Bowl): readonly Evidence[] {
  const band = SWEETNESS_BANDS[b.s.sheet.sweetness];
  const v = b.s.sweetness;
  return [says(v > band.high ? SAYS.points : SAYS.rulesOut, `Sweetness ${plainNumber(v, 1)}; ${band.name} has ${band.low}–${band.high}.`)];
}

function sourOf(b: Bowl): readonly Evidence[] {
  const v = (1000 * b.a.reading.mixture.grams.acid) / Math.max(1, b.a.reading.mixture.massG);
  return [
    says(
      v > SOUR.fromGPerKg ? SAYS.points : SAYS.speaksAgainst,
      `${withUnit(plainNumber(v, 1), 'g')} of acid a kilo; from about ${SOUR.fromGPerKg} on it is sharp.`,
    ),
  ];
}

function strongOf(b: Bowl, from: number): readonly Evidence[] {
  const v = b.a.abvPct;
  return [says(v > from ? SAYS.points : SAYS.rulesOut, `${pct(v, 1)} vol; up to about ${plainNumber(from, 0)} ${from === STRONG_ABV ? 'is mild' : 'sets'}.`)];
}

function skippedOf(b: Bowl): readonly Evidence[] {
  const n = b.facts.skipped.length;
  return n > 0
    ? [says(SAYS.points, `${n === 1 ? 'One step was' : `${n} steps were`} passed over in this batch.`)]
    : [says(1, 'No step was passed over on Pass.')];
}

function atHandOf(b: Bowl): readonly Evidence[] {
  const { outH } = b.facts;
  return outH === null ? none : [says(outH > 1 ? SAYS.proves : SAYS.hints, `Out of the cold for ${showHours(outH)}.`)];
}

function foamSeen(b: Bowl): readonly Evidence[] {
  const { whiskedS } = b.facts;
  const w = whipOf(b);
  if (whiskedS === null || !w) return none;
  const stage = stageAt(networkAt(w, whiskedS));
  return [
    says(
      stage === 'grainy' || stage === 'butter' ? SAYS.points : SAYS.speaksAgainst,
      `${clockFace(whiskedS)}${NB}min under the whisk: ${stage ?? 'before soft'} by the forecast.`,
    ),
  ];
}

const GRAINS = /^(?:sugar-|muscovado$|vanilla-sugar$|sanding-sugar$)/;

/** Sugar in grains, as far as it can still be felt: icing sugar and syrups are none. */
function coarse(b: Bowl): readonly Evidence[] {
  const grains = b.a.reading.lines.filter((l) => l.read && GRAINS.test(l.ingredient?.id ?? ''));
  if (grains.some((l) => l.ingredient?.id === 'sugar-granulated')) return [says(SAYS.proves, 'Granulated sugar is in it.')];
  if (grains.length === 0) return [says(SAYS.rulesOut, 'No sugar in grains is in it.')];
  return b.a.part.whisk.sugarAt === 'soft-peak'
    ? [says(SAYS.points, `${grains[0]!.name} goes in at soft peak: little time to dissolve.`)]
    : [says(SAYS.speaksAgainst, 'Fine sugar, in from the start.')];
}
const protease: Look = (b) => [
  b.a.reading.rawProteaseFruit ? says(SAYS.proves, 'Raw fruit is in it whose enzyme eats gelatin.') : says(SAYS.rulesOut, 'No fruit in it that eats gelatin.'),
];
const plain: Look = () => none;

/** What is known of the batch that speaks for a cause or against it. */
export const EVIDENCE: Readonly<Record<CauseId, Look>> = {
  'past-firm': (b) => whisked(b, true),
  'warm-cream': warmCream,
  'rich-cream': (b) => fatOf(b, true),
  'lean-cream': (b) => fatOf(b, false),
  'gas-first': plain,
  'nozzle-blocked': (b) =>
    b.a.reading.lines.some((l) => l.read && (l.role === 'fruit' || l.role === 'nut' || l.ingredient?.bloom))
      ? [says(SAYS.points, 'Fruit, nuts or gelatin are in it: seeds and threads stop a nozzle.')]
      : none,
  'stopped-early': (b) => whisked(b, false),
  'out-of-reach': (b) =>
    !b.a.whip.ok && b.a.whip.fault.code === 'not-reached' ? [says(SAYS.proves, b.a.whip.fault.says)] : [says(SAYS.rulesOut, 'The wires reach it.')],
  'too-wet': wetOf,
  'fat-melted': (b) =>
    b.a.ownHeat.tempC !== null
      ? [says(SAYS.points, `It was heated to ${deg(b.a.ownHeat.tempC)} before.`)]
      : [says(SAYS.rulesOut, 'By the sheet it was never hot.')],
  'coarse-sugar': coarse,
  'past-hold': heldOf,
  'no-stabiliser': stabiliserOf,
  'soft-stage': (b) =>
    b.a.part.whisk.stage === 'soft'
      ? [says(SAYS.points, 'Whisked to soft: it holds a sixth less long.')]
      : [says(SAYS.speaksAgainst, `Whisked to ${b.a.part.whisk.stage}.`)],
  'warm-place': placeOf,
  'fat-in-whites': plain,
  'whisked-dry': plain,
  'sugar-early': (b) =>
    b.a.reading.addedSugarG > 1.5 * b.a.reading.lines.reduce((g, l) => g + (l.role === 'white' ? (l.read?.massG ?? 0) : 0), 0)
      ? [says(SAYS.hints, `${showGrams(b.a.reading.addedSugarG)} of sugar: more than one and a half times the whites.`)]
      : [says(SAYS.speaksAgainst, 'Not much sugar for these whites.')],
  'not-long-yolks': plain,
  'cold-contact': contactOf,
  'dry-gelatin': (b) => [
    ...passedOver(b, 'The soaking of the gelatin was passed over.', 'soak', 'gelatin'),
    ...outOfOrder(b, ['melt', 'join', 'temper'], ['soak', 'gelatin']),
  ],
  'boiled-gelatin': (b) => (b.a.ownHeat.tempC !== null && b.a.ownHeat.tempC >= 95 ? [says(SAYS.points, `It was heated to ${deg(b.a.ownHeat.tempC)}.`)] : none),
  'low-dose': (b) => doseOf(b, false),
  'raw-fruit': protease,
  'too-strong-set': (b) => strongOf(b, NO_SET_ABV_PCT),
  'too-soon': (b) => [...tooSoon(b), ...shortRests(b, 'chill', 'set', 'freeze', 'rest')],
  'high-dose': (b) => doseOf(b, true),
  'little-water': chocolateWater,
  'too-hot-mix': (b) => (b.facts.nowC !== null ? [says(b.facts.nowC > 50 ? SAYS.points : SAYS.speaksAgainst, `It is at ${deg(b.facts.nowC)}.`)] : none),
  'too-fat-mix': fatAgainstWater,
  'cold-fold': (b) => foldOf(b, true),
  'butter-cold': (b) => butterAt(b, true),
  'butter-warm': (b) => butterAt(b, false),
  'worked-again': (b) =>
    b.s.sheet.use === 'pipe'
      ? [says(SAYS.hints, 'It is piped: what goes through the bag twice is worked twice.')]
      : [says(SAYS.rulesOut, 'Nothing of it is piped.')],
  'over-mixed': plain,
  'cold-cheese': (b) =>
    b.facts.nowC !== null
      ? [says(b.facts.nowC < CHEESE_SOFT_C - 4 ? SAYS.points : SAYS.speaksAgainst, `It is at ${deg(b.facts.nowC)}; soft from ${deg(CHEESE_SOFT_C)} on.`)]
      : none,
  'too-hot': (b) =>
    b.facts.nowC !== null && b.facts.nowC > 40
      ? [says(b.facts.nowC > EGG_CURDLES_C ? SAYS.proves : SAYS.speaksAgainst, `It is at ${deg(b.facts.nowC)}; above ${deg(EGG_CURDLES_C)} egg curdles.`)]
      : none,
  'not-cooked': (b) => [
    ...(b.facts.nowC !== null ? [says(b.facts.nowC < 80 ? SAYS.points : SAYS.rulesOut, `It came to ${deg(b.facts.nowC)}.`)] : none),
    ...passedOver(b, 'The cooking was passed over.', 'cook', 'heat'),
  ],
  'starch-thinned': starchThins,
  'dry-starch': plain,
  'too-little-heat': eggHeat,
  'stirred-syrup': plain,
  'too-deep': (b) => [
    says(b.a.reading.mixture.massG > 600 ? SAYS.points : 1, `${showGrams(b.a.reading.mixture.massG)} of it; left in its pan, the middle is the last to cool.`),
  ],
  'fruit-early': (b) =>
    b.facts.coldH !== null ? [says(b.facts.coldH > 2 ? SAYS.points : SAYS.speaksAgainst, `${showHours(b.facts.coldH)} since it was laid.`)] : none,
  'no-acid': (b) => [
    b.a.reading.lines.some((l) => l.role === 'sour' || l.role === 'acid')
      ? says(SAYS.rulesOut, 'There is juice on it.')
      : says(SAYS.points, 'Nothing sour is with it.'),
  ],
  'over-folded': plain,
  'warm-fold': (b) => [...foldOf(b, false), ...shortRests(b, 'cool', 'cool-base'), ...outOfOrder(b, ['fold', 'whites-in'], ['cool', 'cool-base'])],
  waited: (b) => (b.facts.coldH !== null && b.facts.coldH > 1 ? [says(SAYS.hints, `${showHours(b.facts.coldH)} since then.`)] : none),
  'dipped-long': (b) => soakedLong(b, true),
  'dipped-short': (b) => soakedLong(b, false),
  miscounted: plain,
  'no-lining': (b) => passedOver(b, 'The lining was passed over.', 'line'),
  'too-soft-set': (b) => (b.a.reading.gelatin225G > 0 ? doseOf(b, false) : stabiliserOf(b)),
  'little-fat-base': (b) => {
    const { mixture } = b.a.reading;
    const fat = (100 * (mixture.grams.milk_fat + mixture.grams.cocoa_fat + mixture.grams.other_fat)) / Math.max(1, mixture.massG);
    return [says(fat < BASE_FAT_PCT ? SAYS.points : SAYS.speaksAgainst, `Fat of the base ${pct(fat)}; from ${BASE_FAT_PCT} on it holds.`)];
  },
  'cooled-fast': (b) => shortRests(b, 'cool', 'rest'),
  'crowned-early': (b) => [
    ...(b.facts.coldH !== null ? [says(b.facts.coldH > 4 ? SAYS.points : SAYS.speaksAgainst, `Crowned ${showHours(b.facts.coldH)} ago.`)] : none),
    ...outOfOrder(b, ['crown', 'top'], ['chill', 'set', 'hold']),
  ],
  'much-ice': (b) => iceOf(b, true),
  'little-ice': (b) => iceOf(b, false),
  'warm-freezer': freezerOfCase,
  'slow-freezing': (b) => [says(b.s.mixture.massG > 1200 ? SAYS.hints : 1, `${showGrams(b.s.mixture.massG)} in one go: the middle freezes slowly.`)],
  'freezer-open': freezerOfCase,
  'more-than-band': (b) => (b.s.mixture.grams.ethanol > 0 && b.a.abvPct > STRONG_ABV ? strongOf(b, STRONG_ABV) : overBandOrSour(b)),
  'weighed-wrong': plain,
  'tastes-cold': (b) => [
    says(SAYS.hints, `Served near ${deg(b.s.sheet.family === 'semifreddo' ? -12 : 5)}: cold takes about a third of sweetness and flavour.`),
  ],
  'smaller-yield': foamSeen,
  'larger-yield': plain,
  'step-missed': skippedOf,
  'not-divided': plain,
  'nobody-there': atHandOf,
};

const overBandOrSour = (b: Bowl): readonly Evidence[] =>
  b.a.reading.mixture.grams.acid > 0 && (1000 * b.a.reading.mixture.grams.acid) / Math.max(1, b.a.reading.mixture.massG) > SOUR.fromGPerKg
    ? sourOf(b)
    : overBand(b);
