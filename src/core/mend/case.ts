import type { Kitchen } from '../kitchen/kitchen';
import type { PartAnalysis, SheetAnalysis } from '../analysis/analysed';
import { fail, ok, within, type Result } from '../result';
import type { TickedStep } from './steps-ticked';
import type { CauseId, SignId } from './words';

/** What is known of the batch; null where nothing was timed, typed or probed. */
export interface BatchFacts {
  /** The part in hand. */
  readonly partId: string | null;
  /** Under the whisk, s. */
  readonly whiskedS: number | null;
  /** The cream before the whisk, as typed or probed, °C. */
  readonly creamC: number | null;
  /** What is in the bowl or the tin now, °C. */
  readonly nowC: number | null;
  /** Since it went into the cold, h. */
  readonly coldH: number | null;
  /** Out of the cold, h. */
  readonly outH: number | null;
  /** How much of it it concerns, g; null for all of it. */
  readonly massG: number | null;
  /** What there is of it, with its air, mL; null where nobody measured. */
  readonly volumeMl: number | null;
  /** Glasses or tins there are, where they are not as many as planned. */
  readonly glasses: number | null;
  /** Keys of the kitchen's way that were skipped. */
  readonly skipped: readonly string[];
  /** Its steps in the order in which they were ticked. */
  readonly steps: readonly TickedStep[];
}

export const NO_FACTS: BatchFacts = {
  partId: null,
  whiskedS: null,
  creamC: null,
  nowC: null,
  coldH: null,
  outH: null,
  massG: null,
  volumeMl: null,
  glasses: null,
  skipped: [],
  steps: [],
};

/** What this kitchen wrote down of earlier mends of a sign. */
export interface Logged {
  readonly sign: SignId;
  readonly cause: CauseId;
  /** Whether it helped; null where nobody said. */
  readonly helped: boolean | null;
}

export interface MendCase {
  readonly s: SheetAnalysis;
  readonly kitchen: Kitchen;
  readonly facts: BatchFacts;
  readonly log: readonly Logged[];
  /** A second sign that is seen beside the one that is asked about. */
  readonly seenToo?: SignId;
}

/** A case with the part that the sign is of. */
export interface Bowl extends MendCase {
  readonly a: PartAnalysis;
}

/** Whether it has air that can be lost. */
export const holdsAir = (a: PartAnalysis): boolean => a.overrunPct.ok && a.overrunPct.value > 5;

/** What is in the bowl, g: as it was said, else all of the part. */
export const bowlG = (b: Bowl): number => b.facts.massG ?? b.a.reading.mixture.massG;
/** The bowl against the part as written, 0–1 and more. */
export const shareOfPart = (b: Bowl): number => (b.a.reading.mixture.massG > 0 ? bowlG(b) / b.a.reading.mixture.massG : 1);

/** Facts that could have been, or what is wrong with them in words. */
export function readFacts(facts: BatchFacts): Result<BatchFacts> {
  const check = (field: keyof BatchFacts, name: string, value: number | null, low: number, high: number, unit: string) =>
    value === null ? null : within(field, name, value, low, high, unit);
  const fault =
    check('whiskedS', 'Under the whisk', facts.whiskedS, 0, 7200, 's') ??
    check('creamC', 'The cream before the whisk', facts.creamC, -2, 40, '°C') ??
    check('nowC', 'What is in the bowl', facts.nowC, -40, 150, '°C') ??
    check('coldH', 'In the cold', facts.coldH, 0, 2400, 'h') ??
    check('outH', 'Out of the cold', facts.outH, 0, 240, 'h') ??
    check('massG', 'What it concerns', facts.massG, 1, 1_000_000, 'g') ??
    check('volumeMl', 'What there is of it', facts.volumeMl, 0, 1_000_000, 'mL');
  if (fault) return { ok: false, fault };
  if (facts.glasses !== null && !(Number.isInteger(facts.glasses) && facts.glasses >= 0 && facts.glasses <= 2000))
    return fail('glasses', 'out-of-range', 'Glasses are counted from 0 to 2000.');
  return ok(facts);
}
