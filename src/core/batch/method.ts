import { stirredAt } from '../analysis/stirred-cheese';
import { houseRange, plainNumber, showSecondsRange, withUnit } from '../figure';
import { EGG_WHISK_SPREAD } from '../foam/house';
import { STAGES } from '../foam/kinds';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { mainPart } from '../analysis/analyse';
import { timeRange } from '../analysis/learnt';
import type { LineReading } from '../lines/read-part';
import { coldWaits } from '../document/cold-waits';
import type { Step } from '../document/schema';
import { stepWhisk, type StepWhisk } from '../analysis/step-whisk';
import { eggOf } from '../analysis/egg';
import { buildSays } from '../tin/build-says';
import { workOfStep } from '../ways/step-work';
import type { EggKind, EggRule } from '../heat/lethality';

/** An amount to be weighed in a step. */
export interface StepLine {
  readonly lineId: string;
  /** The larder's ingredient; '' for what is taken from another part. */
  readonly ingredientId: string;
  readonly name: string;
  readonly massG: number;
  readonly measure: string;
}

/** A value that the cook takes down in a step. */
export type ReadingKind = 'cream-temperature' | 'cup-liquid' | 'cup-foam' | 'minutes-to-stage' | 'hold-hours';

/** One thing to do, on one screen, its words filled in. */
export interface ShownStep {
  readonly key: string;
  readonly title: string;
  /** One word for the line that it uses. */
  readonly short: string;
  /** How long it takes, in words; '' where it is a moment. */
  readonly takes: string;
  readonly detail: string;
  /** What it lays into each vessel, with grams and pieces; '' where it lays nothing. */
  readonly laid: string;
  readonly lines: readonly StepLine[];
  readonly readings: readonly ReadingKind[];
  readonly whisks: boolean;
  /** The whisk's clock; null where the step whisks nothing, or nothing can be said. */
  readonly whisk: StepWhisk | null;
  /** Passive time, min. */
  readonly waitMin: readonly [low: number, high: number] | null;
  /** Minutes that the recipe says of work that is no rest: a bake, a boil, 'beat for 2 minutes'; null where the whisk has a clock of its own. */
  readonly saidMin: readonly [low: number, high: number] | null;
  /** What it makes is to be used within, min. */
  readonly useWithinMin: number | null;
  /** Temperature to reach, °C. */
  readonly tempC: number | null;
  readonly ovenC: number | null;
  /** What its temperatures are held against; null where none are asked for. */
  readonly heat: StepHeat | null;
  /** Which bowlful of how many; null where it is done once. */
  readonly bowlful: readonly [n: number, of: number] | null;
  /** Which step of a way it is; '' for the cook's own. */
  readonly wayKey: string;
  readonly partId: string;
  /** Which part it makes; '' for putting the dessert together. */
  readonly partName: string;
}

/** What the temperatures of a step are for. */
export type StepHeat =
  | { readonly use: 'egg'; readonly egg: EggKind; readonly richInSugar: boolean; readonly rule: EggRule }
  | { readonly use: 'cooling' }
  | { readonly use: 'syrup' }
  | { readonly use: 'reach' };

/** From here on what is heated is a boiling syrup: milk and cream boil below it, °C. */
const SYRUP_FROM_C = 104;
const EGG_STEPS = ['whisk', 'heat', 'cook'];

/** What the temperatures of a step are for; of the cook's own by its work, of a step of a way by its key. */
function stepHeat(step: Step, a: PartAnalysis | null): StepHeat | null {
  const own = step.key === null ? workOfStep(step) : null;
  if (step.key === 'syrup' || (own === 'heat' && step.tempC !== null && step.tempC >= SYRUP_FROM_C)) return { use: 'syrup' };
  if (a?.part.kind === 'custard' && (step.key === 'cool' || own === 'wait' || own === 'chill')) return { use: 'cooling' };
  const heats = own === null ? EGG_STEPS.includes(step.key ?? '') : own === 'heat' || own === 'whisk';
  const egg = step.tempC !== null && step.tempC >= 28 && heats && a ? eggOf(a) : null;
  if (egg && egg.way === 'heated') return { use: 'egg', egg: egg.kind, richInSugar: egg.richInSugar, rule: a!.eggRule };
  return step.tempC === null ? null : { use: 'reach' };
}

const MAIN_READINGS: Readonly<Record<string, ReadingKind>> = { chill: 'cream-temperature', weigh: 'cup-liquid', whisk: 'minutes-to-stage', cup: 'cup-foam' };

/** What a whisk of the cook's own asks for: the ways have a step for each. */
const OWN_WHISK_READINGS: readonly ReadingKind[] = ['cream-temperature', 'minutes-to-stage'];

/** The name of a line as it is read at the scale. */
export const lineName = (l: LineReading): string =>
  l.read?.fatPct == null ? l.name : `${l.name} ${withUnit(plainNumber(l.read.fatPct, Number.isInteger(l.read.fatPct) ? 0 : 1), '%')} fat`;

const stepLine = (l: LineReading): StepLine => ({
  lineId: l.line.id,
  ingredientId: l.ingredient?.id ?? '',
  name: lineName(l),
  massG: l.read?.massG ?? 0,
  measure: l.cooksMeasure,
});

/**
 * The steps of a sheet in working order, each with the lines bound to it and its words filled in from the figures.
 * @param coldH hours in the cold until it is ready, as Cold has them; null where they are not known (yet): then the method's own hours stand.
 */
export function shownSteps(s: SheetAnalysis, coldH: number | null = null): readonly ShownStep[] {
  const cold = coldWaits(s.sheet, coldH);
  const main = mainPart(s);
  return s.sheet.steps.map((step) => {
    const a = s.parts.find((p) => p.part.id === step.partId) ?? null;
    const lines = s.parts.flatMap((p) => p.reading.lines.filter((l) => l.line.stepId === step.id && l.read !== null && l.kind !== 'loss'));
    const isMain = a === main;
    const reading = isMain && step.key ? MAIN_READINGS[step.key] : step.key === 'put-away' ? 'hold-hours' : undefined;
    const ownWhisk = step.key === null && step.whisks && isMain && a.whip.ok && s.sheet.steps.find((x) => x.whisks && x.partId === step.partId) === step;
    const whisk = step.whisks && a ? stepWhisk(a) : null;
    const waitH = cold.get(step.id)?.h ?? step.waitH;
    const waits = waitH !== null && waitH[1] > 0;
    return {
      key: step.id,
      title: filled(step.title, a, s),
      short: step.short,
      takes: cold.has(step.id) ? waitWords(cold.get(step.id)!.h) : takesWords(step, a),
      detail: [filled(step.detail, a, s), step.note].filter(Boolean).join(' '),
      laid: workOfStep(step) === 'fill' ? buildSays(s, step.parts) : '',
      lines: lines.map(stepLine),
      readings: ownWhisk ? OWN_WHISK_READINGS : reading ? [reading] : [],
      whisks: step.whisks && isMain && a !== null && a.whip.ok,
      whisk,
      waitMin: waits ? [60 * waitH[0], 60 * waitH[1]] : null,
      saidMin: whisk === null && !waits && step.minutes ? [step.minutes[0], step.minutes[1]] : null,
      useWithinMin: step.useWithinMin,
      tempC: step.tempC,
      ovenC: step.ovenC,
      heat: stepHeat(step, a),
      bowlful: null,
      wayKey: step.key ?? '',
      partId: step.partId ?? '',
      partName: s.parts.length > 1 ? (a?.part.name ?? '') : '',
    };
  });
}

/** Fills in what the figures know: {stage}, {creamC}, {cheeseC}, {mixer}, {time}, {bowls}, {allergens}. */
export function filled(text: string, a: PartAnalysis | null, s: SheetAnalysis): string {
  if (!text.includes('{')) return text;
  const allergens = [...new Set(s.parts.flatMap((p) => p.reading.allergens))].sort();
  const known: Readonly<Record<string, string>> = {
    stage: a?.part.whisk.stage ?? 'the stage',
    creamC: withUnit(plainNumber(a?.part.whisk.creamC ?? 5, 0), '°C'),
    ...(a ? { cheeseC: stirredAt(a.reading) } : {}),
    mixer: a?.mixer ? `${a.mixer.name}${a.mixer.kind === 'planetary' ? `, ${a.part.whisk.speed}` : ''}` : 'Whisk',
    time: a?.window.ok ? `: ${showSecondsRange(...timeRange(a, a.window.value.opensS))}${slows(a)}` : '',
    bowls:
      a && a.part.whisk.batches > 1
        ? ` Whisk it in ${a.part.whisk.batches} bowlfuls, ${withUnit(plainNumber(a.reading.mixture.massG / a.part.whisk.batches, 0), 'g')} each.`
        : '',
    allergens: allergens.length > 0 ? ` (${allergens.join(', ')})` : '',
  };
  return text.replace(/\{(\w+)\}/g, (whole, key: string) => known[key] ?? whole);
}

const slows = (a: PartAnalysis): string =>
  a.part.whisk.slowFromSoft && a.mixer?.kind === 'planetary' && a.part.whisk.stage !== STAGES[0] ? '. Drop to slow at soft peak' : '';

function takesWords(step: Step, a: PartAnalysis | null): string {
  if (step.whisks && a?.window.ok)
    return `${a.part.whisk.batches > 1 ? `${a.part.whisk.batches} × ` : ''}${showSecondsRange(...timeRange(a, a.window.value.opensS))}`;
  if (step.whisks && a?.eggWhip?.ok)
    return `${a.part.whisk.batches > 1 ? `${a.part.whisk.batches} × ` : ''}${showSecondsRange(...houseRange(a.eggWhip.value.window.opensS, EGG_WHISK_SPREAD))}`;
  if (step.whisks && a && !a.whip.ok && a.whip.fault.code !== 'not-whipped') return 'not to be had';
  if (step.minutes) return timeWords(step);
  if (step.waitH && step.waitH[1] > 0) return waitWords(step.waitH);
  return step.handsMin ? withUnit(plainNumber(step.handsMin, 0), 'min') : '';
}

/** The time that a step of the cook's own says, as cooks say it: '5 min', '6–12 h', '20 s'; '' where none is said. */
export function timeWords(step: Pick<Step, 'minutes' | 'waitH' | 'handsMin'>): string {
  const said =
    step.minutes ??
    (step.waitH && step.waitH[1] > 0 ? [60 * step.waitH[0], 60 * step.waitH[1]] : step.handsMin === null ? null : [step.handsMin, step.handsMin]);
  if (!said) return '';
  const [low, high] = said as readonly [number, number];
  if (high < 1) return withUnit(plainNumber(high * 60, 0), 's');
  if (high >= 2880)
    return low < 60
      ? `up to ${withUnit(plainNumber(high / 1440, 0), 'days')}`
      : withUnit(`${plainNumber(low / 1440, 0)}\u2060–\u2060${plainNumber(high / 1440, 0)}`, 'days');
  return waitWords([low / 60, high / 60]);
}

/** Hours of waiting as cooks say them: '20–30 min', '8–14 h'. */
export function waitWords([low, high]: readonly [number, number]): string {
  const inHours = high >= 1.5;
  const show = (h: number): string => plainNumber(inHours ? h : h * 60, inHours && !Number.isInteger(h) ? 1 : 0);
  const a = show(low);
  const b = show(high);
  return withUnit(a === b ? a : `${a}\u2060–\u2060${b}`, inHours ? 'h' : 'min');
}
