import type { Ingredient } from '../composition/ingredient';
import type { Measures } from '../measures/line';
import { readFeedAmount, shareTaken } from './feed';
import { readPart, type FeedSources, type PartReading } from './read-part';
import type { Part, Sheet } from '../document/schema';

/** Every part of a sheet read into grams, and what each gives to the others. */
export interface SheetReading {
  readonly parts: ReadonlyMap<string, PartReading>;
  /** g that other parts take of it. */
  readonly givenG: ReadonlyMap<string, number>;
}

/**
 * Reads the parts of a sheet in the order in which they feed each other. A circle is broken where it closes: the line that
 * closes it carries the fault.
 */
export function readSheet(sheet: Sheet, larder: ReadonlyMap<string, Ingredient>, measures: Measures): SheetReading {
  const byId = new Map(sheet.parts.map((p) => [p.id, p]));
  const done = new Map<string, PartReading>();
  const open = new Set<string>();
  const sources: FeedSources = {
    partOf: (id) => byId.get(id) ?? null,
    readingOf: (id) => (open.has(id) ? null : read(byId.get(id)!)),
    restShare: (id) => restShareOf(id, sheet, done.get(id)?.mixture.massG ?? 0, measures.cups),
  };
  function read(part: Part): PartReading {
    const known = done.get(part.id);
    if (known) return known;
    open.add(part.id);
    const reading = readPart(part, larder, measures, sources);
    open.delete(part.id);
    done.set(part.id, reading);
    return reading;
  }
  for (const part of sheet.parts) read(part);
  const givenG = new Map<string, number>();
  for (const reading of done.values()) {
    for (const l of reading.lines) {
      if (l.fromPart && l.read) givenG.set(l.fromPart.id, (givenG.get(l.fromPart.id) ?? 0) + l.read.massG);
    }
  }
  return { parts: done, givenG };
}

/** What is left of a part for each line that takes 'the rest' of it, 0–1. */
function restShareOf(partId: string, sheet: Sheet, massG: number, cups: Measures['cups']): number {
  const kind = sheet.parts.find((p) => p.id === partId)?.kind;
  let taken = 0;
  let rests = 0;
  for (const line of sheet.parts.flatMap((p) => p.lines)) {
    if (line.fromPartId !== partId) continue;
    const amount = readFeedAmount(line.text, cups);
    if (!amount.ok || !kind) continue;
    const share = shareTaken(amount.value, kind, massG);
    if (share === null) rests++;
    else taken += share;
  }
  return rests > 0 ? Math.max(0, 1 - taken) / rests : 0;
}

/** The parts of which others surely take all, judged by the text of their lines. */
export function usedUpParts(sheet: Sheet): ReadonlySet<string> {
  const taken = new Map<string, number>();
  for (const part of sheet.parts) {
    for (const line of part.lines) {
      if (line.fromPartId === null) continue;
      const amount = readFeedAmount(line.text);
      if (!amount.ok || (amount.value.kind !== 'share' && amount.value.kind !== 'rest')) continue;
      taken.set(line.fromPartId, (taken.get(line.fromPartId) ?? 0) + (amount.value.kind === 'rest' ? 1 : amount.value.share));
    }
  }
  return new Set([...taken].flatMap(([id, share]) => (share > 1 - 1e-6 ? [id] : [])));
}
