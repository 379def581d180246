import { describe, expect, it } from 'vitest';
import { LARDER } from '../../testing/sample';
import { FAMILIES, PART_KINDS } from '../document/kinds';
import { optionOf, questionNamed, usualOption, WAY_QUESTIONS } from './questions';

describe('where good cooks disagree', () => {
  it('each question has a key of its own and two schools or more, each with its reason', () => {
    const keys = WAY_QUESTIONS.map((q) => q.key);
    expect(new Set(keys).size).toBe(keys.length);
    for (const q of WAY_QUESTIONS) {
      expect(q.options.length, q.key).toBeGreaterThan(1);
      expect(new Set(q.options.map((o) => o.id)).size, q.key).toBe(q.options.length);
      expect(new Set(q.options.map((o) => o.name)).size, q.key).toBe(q.options.length);
      for (const o of q.options) expect(o.why, `${q.key} ${o.id}`).toMatch(/^[A-Z0-9].{12,}\.$/);
    }
  });
  it('is asked of kinds of parts or of whole desserts, never of both or neither', () => {
    for (const q of WAY_QUESTIONS) {
      expect(q.kinds.length > 0, q.key).not.toBe(q.families.length > 0);
      for (const k of q.kinds) expect(PART_KINDS).toContain(k);
      for (const f of q.families) expect(FAMILIES).toContain(f);
      if (q.families.length > 0) expect(q.needs, q.key).toEqual([]);
    }
  });
  it('what a school swaps or adds is in the larder, and one way and back gives the same', () => {
    const ids = new Set(LARDER.map((i) => i.id));
    for (const q of WAY_QUESTIONS) {
      for (const o of q.options) {
        const swaps = (o.lines ?? []).flatMap((c) => (c.kind === 'swap' ? [c] : []));
        for (const c of o.lines ?? [])
          for (const id of c.kind === 'swap' ? [c.from, c.to] : c.kind === 'add' ? [c.ingredientId] : []) expect(ids, `${q.key} ${o.id}`).toContain(id);
        for (const c of o.lines ?? []) if (c.kind === 'add') expect(c.grams, `${q.key} ${o.id}`).toBeGreaterThan(0);
        // No school swaps what it brings: to take it twice changes nothing more.
        for (const s of swaps)
          expect(
            swaps.map((x) => x.from),
            `${q.key} ${o.id}`,
          ).not.toContain(s.to);
      }
    }
  });
  it('the usual school stands first, and takes the place of one that nobody knows', () => {
    for (const q of WAY_QUESTIONS) {
      expect(questionNamed(q.key)).toBe(q);
      expect(usualOption(q)).toBe(q.options[0]);
      for (const o of q.options) expect(optionOf(q, o.id)).toBe(o);
      for (const odd of [undefined, '', 'constructor', 'nobody']) expect(optionOf(q, odd)).toBe(q.options[0]);
    }
    for (const odd of ['', 'constructor', 'nobody']) expect(questionNamed(odd)).toBeNull();
  });
});
