import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN } from '../../testing/sample';
import { sheetTells } from '../tells/sheet-tells';
import { analyseSheet } from '../analysis/analyse';
import { FAMILIES } from '../document/kinds';
import { SheetSchema } from '../document/schema';
import { SKELETONS, sheetOfSkeleton } from './skeletons';

let n = 0;
const made = (id: string) =>
  sheetOfSkeleton(
    SKELETONS.find((s) => s.id === id)!,
    'A start',
    'planetary',
    CONTEXT,
    {},
    () => `k${n++}`,
  );

describe('a start by family', () => {
  it('is there for every family, and for buttercream', () => {
    expect([...SKELETONS.map((s) => s.id)].sort()).toEqual([...FAMILIES, 'buttercream'].sort());
  });
  it.each(SKELETONS.map((s) => s.id))('%s works: every line is read, every part goes somewhere, it has a volume and nothing is out of reach', (id) => {
    const sheet = made(id);
    const a = analyseSheet(sheet, KITCHEN);
    expect(SheetSchema.safeParse(sheet).success).toBe(true);
    expect(a.parts.flatMap((p) => p.reading.lines.filter((l) => l.fault !== null || l.read === null).map((l) => l.line.text))).toEqual([]);
    expect(a.volumeMl.ok).toBe(true);
    const keys = sheetTells(a, KITCHEN)
      .filter((t) => t.state !== 'in')
      .map((t) => t.key);
    for (const never of ['idle-parts', 'unread', 'no-step', 'unused-lines']) expect(keys).not.toContain(never);
  });
  it('of a buttercream takes up little more than its grams, and its egg counts as heated', () => {
    const a = analyseSheet(made('buttercream'), KITCHEN);
    const part = a.parts.find((p) => p.part.kind === 'buttercream')!;
    expect(part.foamMl.ok && part.foamMl.value / part.reading.mixture.massG).toBeGreaterThan(1.05);
    expect(part.foamMl.ok && part.foamMl.value / part.reading.mixture.massG).toBeLessThan(1.3);
    expect(a.keeping.rawEgg).toBe(false);
  });
});
