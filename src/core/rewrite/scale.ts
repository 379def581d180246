import { capacityMl, isPerPortion } from '../vessel/profile';
import type { Vessel } from '../vessel/schema';
import { scaleLineText, splitLine } from '../measures/line';
import { fail, ok, type Result } from '../result';
import { analyseSheet } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import type { Kitchen } from '../kitchen/kitchen';
import type { Line, Sheet } from '../document/schema';
import { scaleStepTexts } from './step-text';

/** What a sheet is scaled to. */
export type ScaleWish =
  | { readonly kind: 'portions'; readonly portions: number }
  | { readonly kind: 'factor'; readonly factor: number }
  /** Everything together, g. */
  | { readonly kind: 'total'; readonly totalG: number }
  /** One line comes to what is on hand, g. */
  | { readonly kind: 'on-hand'; readonly lineId: string; readonly onHandG: number }
  /** The vessel is filled so full, 0–1; a glass for each portion. */
  | { readonly kind: 'vessel'; readonly vessel: Vessel; readonly fullShare: number };

export interface Scaled {
  readonly sheet: Sheet;
  readonly factor: number;
}

const MOST_PORTIONS = 2000;

/** A line at another amount. A share of another part stays a share, a percentage of loss stays a percentage. */
function scaledLine(line: Line, factor: number): Line {
  const scale = (text: string, isFeed: boolean): string =>
    isFeed && splitLine(text).amounts[0]?.unit?.dimension !== 'mass' ? text : scaleLineText(text, factor);
  return {
    ...line,
    text: scale(line.text, line.fromPartId !== null),
    lastGood: line.lastGood && { ...line.lastGood, text: scale(line.lastGood.text, line.lastGood.fromPartId !== null) },
  };
}

/** Every line times a factor, and the amounts in the cook's own steps; whatever cannot be read stays as typed. */
const scaleLines = (sheet: Sheet, factor: number): Sheet => ({
  ...sheet,
  steps: scaleStepTexts(sheet.steps, factor),
  parts: sheet.parts.map((p) => ({ ...p, lines: p.lines.map((l) => scaledLine(l, factor)) })),
});

/** Portions that follow a factor: rounded down, at least one, so that nobody is promised more than there is. */
const portionsAfter = (sheet: Sheet, factor: number): number => Math.max(1, Math.min(MOST_PORTIONS, Math.floor(sheet.portions * factor + 1e-9)));

/** Another number of portions, every portion as large as before. */
export function scaleToPortions(sheet: Sheet, portions: number): Result<Sheet> {
  if (!Number.isInteger(portions) || portions < 1 || portions > MOST_PORTIONS)
    return fail('portions', 'out-of-range', 'Portions are a whole number from 1 to 2\u202f000.');
  if (portions === sheet.portions) return ok(sheet);
  return ok({ ...scaleLines(sheet, portions / sheet.portions), portions });
}

/**
 * A sheet scaled to a wish. Ratios are kept exactly; rounding is a step of its own.
 * @returns a fault on the wish's own field when it cannot be met: nothing to scale from, out of range, a vessel without a volume.
 */
export function scaleTo(sheet: Sheet, wish: ScaleWish, kitchen: Kitchen): Result<Scaled> {
  if (wish.kind === 'portions') {
    const scaled = scaleToPortions(sheet, wish.portions);
    return scaled.ok ? ok({ sheet: scaled.value, factor: wish.portions / sheet.portions }) : scaled;
  }
  const analysis = analyseSheet(sheet, kitchen);
  const factor = factorOf(wish, sheet, analysis);
  if (!factor.ok) return factor;
  if (!(factor.value >= 0.001) || factor.value > 1000)
    return fail(fieldOf(wish), 'out-of-range', 'That is more than a thousand times more or less than the sheet: check the amount.');
  const scaled = scaleLines(sheet, factor.value);
  if (wish.kind === 'vessel' && isPerPortion(wish.vessel)) return ok({ sheet: { ...scaled, vessel: wish.vessel }, factor: factor.value });
  const portions = portionsAfter(sheet, factor.value);
  return ok({ sheet: { ...scaled, portions, vessel: wish.kind === 'vessel' ? wish.vessel : sheet.vessel }, factor: factor.value });
}

const fieldOf = (wish: ScaleWish): string => ({ portions: 'portions', factor: 'factor', total: 'totalG', 'on-hand': 'onHandG', vessel: 'vessel' })[wish.kind];

function factorOf(wish: Exclude<ScaleWish, { kind: 'portions' }>, sheet: Sheet, s: SheetAnalysis): Result<number> {
  switch (wish.kind) {
    case 'factor':
      return wish.factor > 0 && Number.isFinite(wish.factor) ? ok(wish.factor) : fail('factor', 'out-of-range', 'A factor is more than 0, like 1.5 or 1/2.');
    case 'total':
      if (!(wish.totalG > 0) || wish.totalG > 1_000_000)
        return fail('totalG', 'out-of-range', 'The whole must be more than 0\u00a0g and at most 1\u00a0000\u00a0kg.');
      return s.mixture.massG > 0 ? ok(wish.totalG / s.mixture.massG) : nothing();
    case 'on-hand': {
      if (!(wish.onHandG > 0) || wish.onHandG > 100_000)
        return fail('onHandG', 'out-of-range', 'What is on hand must be more than 0\u00a0g and at most 100\u00a0kg.');
      const line = s.parts.flatMap((a) => a.reading.lines).find((l) => l.line.id === wish.lineId);
      if (!line?.read || line.kind !== 'ingredient') return fail('lineId', 'unreadable', 'That line has no amount to scale from: mend it first.');
      return ok(wish.onHandG / line.read.massG);
    }
    case 'vessel': {
      if (!s.volumeMl.ok) return s.volumeMl;
      if (!(wish.fullShare > 0) || wish.fullShare > 1) return fail('fullShare', 'out-of-range', 'How full goes from 1 to 100\u00a0%.');
      const wantedMl = capacityMl(wish.vessel) * wish.fullShare * (isPerPortion(wish.vessel) ? sheet.portions : 1);
      return s.volumeMl.value > 0 ? ok(wantedMl / s.volumeMl.value) : nothing();
    }
  }
}

const nothing = (): Result<never> => fail('lines', 'empty', 'There is nothing to scale yet: add a line first.');
