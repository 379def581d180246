import { plainNumber, withUnit } from '../figure';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import type { ShownStep } from './method';

/** From here on a step heats: what it makes is made whole and divided afterwards, °C. */
const HEATS_FROM_C = 28;

/** What is done anew for each bowlful: the last steps of a part up to its whisk, back to the first that rests, bakes or heats. */
function bowlfulRun(steps: readonly ShownStep[], partId: string): readonly ShownStep[] {
  const own = steps.filter((s) => s.partId === partId);
  const end = own.findLastIndex((s) => s.whisk !== null);
  const whole = own.findLastIndex((s, i) => i < end && (s.waitMin !== null || s.ovenC !== null || (s.tempC !== null && s.tempC >= HEATS_FROM_C)));
  const run = own.slice(whole + 1, end + 1);
  const first = run.findIndex((s) => s.lines.length > 0 || s.whisk !== null);
  return run.slice(Math.max(0, first));
}

/** The step of the sheet that a step of a batch comes from. */
export const sheetStepKey = (key: string): string => key.replace(/#\d+$/, '');

function oneBowlful(step: ShownStep, n: number, of: number, eachG: number): ShownStep {
  const first = n === 1;
  const tag = first ? '' : `#${n}`;
  return {
    ...step,
    // The last one has the step's own key: once that is behind, the step is.
    key: n === of ? step.key : `${step.key}#${n}`,
    title: `${step.title}, bowlful ${n} of ${of}`,
    bowlful: [n, of],
    detail: step.whisk ? [`${withUnit(plainNumber(eachG, 0), 'g')} in this bowlful.`, step.detail].filter(Boolean).join(' ') : step.detail,
    takes: step.takes.replace(new RegExp(`^${of} × `), ''),
    lines: step.lines.map((l) => ({ ...l, lineId: `${l.lineId}${tag}`, massG: l.massG / of, measure: '' })),
    readings: first ? step.readings : [],
    whisks: first && step.whisks,
  };
}

/**
 * The steps of a batch, with those of a part that is whisked in several bowlfuls once for each: its own grams, its own clock, one bowl after the
 * other. They stand where its whisk stood.
 */
export function byBowlfuls(steps: readonly ShownStep[], s: SheetAnalysis): readonly ShownStep[] {
  const split = (out: readonly ShownStep[], a: PartAnalysis): readonly ShownStep[] => {
    const of = a.part.whisk.batches;
    const run = of > 1 ? bowlfulRun(out, a.part.id) : [];
    if (run.length === 0) return out;
    const eachG = a.reading.mixture.massG / of;
    const bowls = Array.from({ length: of }, (_, i) => run.map((step) => oneBowlful(step, i + 1, of, eachG))).flat();
    return out.flatMap((step) => (step === run.at(-1) ? bowls : run.includes(step) ? [] : [step]));
  };
  return s.parts.reduce(split, steps);
}
