import { showGramsPlain } from '../figure';
import { asFraction, asDecimal } from '../measures/quantity';
import { scaleLineText, withAmount } from '../measures/line';
import type { Kitchen } from '../kitchen/kitchen';
import type { LineReading } from '../lines/read-part';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';

/** One line that rounding changed. */
export interface RoundChange {
  readonly partId: string;
  readonly lineId: string;
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly why: 'the scale' | 'whole pieces' | 'half leaves' | 'the spoon' | 'whole packs';
}

export interface Rounded {
  readonly sheet: Sheet;
  readonly changes: readonly RoundChange[];
}

/** Steps that spoons and cups are filled by, the coarser first. */
const SPOON_STEPS: Readonly<Record<string, readonly number[]>> = {
  cup: [1 / 4, 1 / 3],
  pint: [1 / 4],
  gill: [1 / 2],
  quart: [1 / 4],
  tbsp: [1 / 2],
  dsp: [1 / 2],
  tsp: [1 / 4],
  floz: [1 / 2],
  ml: [5, 1],
  cl: [0.5, 0.1],
  dl: [0.25, 0.05],
  l: [0.05, 0.01],
  glug: [1],
  dash: [1],
  drop: [1],
  pinch: [1],
  stick: [1 / 8],
  knob: [1],
  handful: [1],
  oz: [1 / 2, 1 / 4],
  lb: [1 / 4, 1 / 8],
};
/** A measure or whole packs move an amount no further than this share of it; where none fits, it is written in grams. */
const MOST_MOVED = 0.03;
/** Below this a spoon is what a cook has, g: a pinch more vanilla is no fault, and a kitchen scale shows it worse. */
const SPOONED_BELOW_G = 15;

const toStep = (value: number, step: number): number => Math.max(step, Math.round(value / step) * step);

/** What a line comes to when it is rounded, as a factor of what it is, and why; null where it stays. */
function roundingOf(l: LineReading, scaleStepG: number): { factor: number; why: RoundChange['why']; inGrams?: true } | null {
  const { read, ingredient } = l;
  if (!read || !ingredient || read.rangeG) return null;
  // Judged by what the scale will show, so that rounding twice changes nothing.
  const onScaleG = toStep(read.massG, scaleStepG);
  const packs = ingredient.packG && read.unit.dimension === 'mass' ? Math.round(onScaleG / ingredient.packG) : 0;
  const packed = packs * (ingredient.packG ?? 0);
  if (packs >= 1 && ingredient.category !== 'flavour' && ingredient.category !== 'setting' && Math.abs(packed - onScaleG) <= MOST_MOVED * onScaleG)
    return { factor: packed / read.massG, why: 'whole packs' };
  if (read.unit.key === 'leaf') return { factor: toStep(read.quantity, 1 / 2) / read.quantity, why: 'half leaves' };
  if (read.unit.dimension === 'piece') return { factor: toStep(read.quantity, 1) / read.quantity, why: 'whole pieces' };
  const steps = SPOON_STEPS[read.unit.key];
  if (steps) {
    const moved = (factor: number): number => Math.abs(factor - 1);
    const factors = steps.map((step) => toStep(read.quantity, step) / read.quantity);
    const fits = factors.find((f) => moved(f) <= MOST_MOVED) ?? (read.massG < SPOONED_BELOW_G ? factors.reduce((a, b) => (moved(b) < moved(a) ? b : a)) : null);
    return fits === null ? { factor: onScaleG / read.massG, why: 'the scale', inGrams: true } : { factor: fits, why: 'the spoon' };
  }
  if (read.unit.dimension === 'mass') return { factor: onScaleG / read.massG, why: 'the scale' };
  return null;
}

/** The same line, its amount rounded; grams are written out, spoons as fractions. */
function roundedText(text: string, l: LineReading, factor: number, why: RoundChange['why']): string {
  const scaled = scaleLineText(text, factor);
  if (why !== 'the spoon' && why !== 'half leaves') return scaled;
  const quantity = (l.read?.quantity ?? 0) * factor;
  const number = asFraction(quantity, 0.01) ?? asDecimal(quantity);
  return scaled.replace(asDecimal(quantity), number);
}

/**
 * Rounds every line to what the kitchen can weigh, crack, cut and open: the scale's step, whole eggs and biscuits, half leaves,
 * spoons by their fractions, whole packs where they are near.
 */
export function roundSheet(sheet: Sheet, kitchen: Kitchen): Rounded {
  const analysis = analyseSheet(sheet, kitchen);
  const changes: RoundChange[] = [];
  const parts = sheet.parts.map((part) => {
    const reading = analysis.parts.find((a) => a.part.id === part.id)!.reading;
    return {
      ...part,
      lines: part.lines.map((line) => {
        const l = reading.lines.find((r) => r.line.id === line.id);
        const rounding = l && !l.fault && l.kind === 'ingredient' ? roundingOf(l, kitchen.rules.scaleStepG) : null;
        if (!l?.read || !rounding || (Math.abs(rounding.factor - 1) < 1e-4 && !rounding.inGrams)) return line;
        const text = rounding.inGrams
          ? withAmount(line.text, showGramsPlain(l.read.massG * rounding.factor))
          : roundedText(line.text, l, rounding.factor, rounding.why);
        if (text === line.text) return line;
        changes.push({
          partId: part.id,
          lineId: line.id,
          name: l.name,
          before: showGramsPlain(l.read.massG),
          after: showGramsPlain(l.read.massG * rounding.factor),
          why: rounding.why,
        });
        return { ...line, text, lastGood: line.lastGood && { ...line.lastGood, text } };
      }),
    };
  });
  return { sheet: changes.length === 0 ? sheet : { ...sheet, parts }, changes };
}
