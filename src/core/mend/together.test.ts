import { describe, expect, it } from 'vitest';
import { SAMPLE_INGREDIENTS } from '../../data/sample/sample-ingredients';
import { sampleDoc } from '../../data/sample/sample-kitchen';
import { SAMPLE_SHEETS } from '../../data/sample/sample-sheets';
import { CONTEXT, KITCHEN, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import type { Sheet } from '../document/schema';
import { matcherFor } from '../measures/match';
import { NO_FACTS, type BatchFacts, type MendCase } from './case';
import { likelyCauses } from './likely';
import { mendOf, signsOf } from './mend';
import { SIGNS } from './signs';
import { ofBoth, seenToo, signsWith } from './together';
import type { CauseId, SignId } from './words';

const larder = new Map([...KITCHEN.larder, ...SAMPLE_INGREDIENTS.map((i) => [i.id, i] as const)]);
const kitchen = { ...KITCHEN, larder };
const context = { ...CONTEXT, larder, matcher: matcherFor([...larder.values()]) };
const SHEETS = SAMPLE_SHEETS.map((s) => [s.id, sampleDoc(s, context, 'planetary')] as const);
const caseOf = (sheet: Sheet, too: SignId | null = null, facts: Partial<BatchFacts> = {}): MendCase => ({
  s: analyseSheet(sheet, kitchen),
  kitchen,
  facts: { ...NO_FACTS, ...facts },
  log: [],
  ...(too === null ? {} : { seenToo: too }),
});
const chantilly = sheetOf(['600 g cream 36 %', '60 g caster sugar']);
const odds = (p: number): number => p / (1 - p);
const p = (sheet: Sheet, sign: SignId, cause: CauseId, too: SignId | null): number => likelyCauses(caseOf(sheet, too), sign).find((l) => l.cause === cause)!.p;

describe('two signs at once', () => {
  it('speak for what makes both, by how often it does, and against what does not make the second', () => {
    const moves = (cause: CauseId): number => odds(p(chantilly, 'weeps', cause, 'softens')) / odds(p(chantilly, 'weeps', cause, null));
    // Softens: mostly past its hold, sometimes from a soft stage or a warm place; want of a stabiliser is none of its causes.
    expect(moves('past-hold')).toBeCloseTo(4, 9);
    expect(moves('soft-stage')).toBeCloseTo(2, 9);
    expect(moves('warm-place')).toBeCloseTo(2, 9);
    expect(moves('no-stabiliser')).toBeCloseTo(0.4, 9);
  });
  it('put the cause that they share first', () => {
    // Alone it is as often one as the other; that it goes flat too decides.
    const order = (too: SignId | null): readonly CauseId[] => likelyCauses(caseOf(chantilly, too), 'weeps').map((l) => l.cause);
    expect(order('softens')[0]).toBe('past-hold');
    expect(order('grains')[0]).toBe('past-firm');
    expect(order(null)[0]).not.toBe('past-firm');
  });
  it('say what the second is, as evidence like any other', () => {
    expect(ofBoth('past-firm', 'grains')).toEqual([{ says: expect.stringMatching(/^It makes the other too: /), ratio: 4 }]);
    expect(ofBoth('lean-cream', 'grains')).toEqual([{ says: expect.stringMatching(/^It does not make the other: /), ratio: 0.4 }]);
    // Where it stood says nothing of why it weeps.
    expect(likelyCauses(caseOf(chantilly, 'left-out'), 'weeps')).toEqual(likelyCauses(caseOf(chantilly), 'weeps'));
    expect(likelyCauses(caseOf(chantilly, 'grains'), 'weeps').every((l) => l.says.includes('the other'))).toBe(true);
  });
  it('are one where the second is the first, or cannot be in this dessert', () => {
    for (const too of ['weeps', 'seized', 'shell-wet'] as const) {
      expect(seenToo(caseOf(chantilly, too), 'weeps')).toBeNull();
      expect(likelyCauses(caseOf(chantilly, too), 'weeps')).toEqual(likelyCauses(caseOf(chantilly), 'weeps'));
    }
    expect(seenToo(caseOf(chantilly, 'grains'), 'weeps')).toBe('grains');
  });
  it('what must go goes, whatever could be done about the first', () => {
    const left = { outH: 9, nowC: 24 };
    expect(mendOf(caseOf(chantilly, null, left), 'runs')).toMatchObject({ ok: true, value: { rescue: { kind: 'mend' } } });
    const both = mendOf(caseOf(chantilly, 'left-out', left), 'runs');
    expect(both).toMatchObject({ ok: true, value: { sign: 'runs', rescue: { kind: 'discard' }, after: null } });
    // An hour out is no such thing.
    expect(mendOf(caseOf(chantilly, 'left-out', { outH: 0.5, nowC: 12 }), 'runs')).toMatchObject({ ok: true, value: { rescue: { kind: 'mend' } } });
  });
});

describe('the signs that are offered beside one', () => {
  it.each(SHEETS)('on %s: share a cause with it, can be seen there, are five at most and never the sign itself; last whether it stood out', (_, sheet) => {
    const c = caseOf(sheet);
    const { can } = signsOf(c);
    for (const sign of can) {
      const beside = signsWith(c, sign);
      const kin = beside.filter((id) => id !== 'left-out');
      expect(kin.length).toBeLessThanOrEqual(5);
      expect(beside.at(-1)).toBe(sign === 'left-out' || !can.includes('left-out') ? kin.at(-1) : 'left-out');
      for (const id of kin) {
        expect(id).not.toBe(sign);
        expect(can).toContain(id);
        const causes = SIGNS[id].causes.map(([cause]) => cause);
        expect(SIGNS[sign].causes.some(([cause]) => causes.includes(cause))).toBe(true);
      }
    }
  });
  it('begin with the one that comes of the same most often', () => {
    // Past its hold: 0.3 × 0.5; a soft stage and a warm place: 0.15 × 0.15 each, 0.195 in all.
    expect(signsWith(caseOf(chantilly), 'weeps')[0]).toBe('softens');
    // Past firm 0.5 × 0.15: more than running shares with it by warm cream, 0.15 × 0.3. Butter looks like it: no second sign.
    expect(signsWith(caseOf(chantilly), 'grains')).toEqual(['weeps', 'runs', 'left-out']);
  });
});
