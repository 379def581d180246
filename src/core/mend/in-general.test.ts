import { describe, expect, it } from 'vitest';
import { CONTEXT, KITCHEN } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import { NO_FACTS } from './case';
import { usualWith } from './in-general';
import { mendOf } from './mend';
import { SIGN_IDS, type SignId } from './words';

const answer = (sign: SignId) => {
  const sheet = usualWith(sign, KITCHEN, CONTEXT);
  if (!sheet) return null;
  const found = mendOf({ s: analyseSheet(sheet, KITCHEN), kitchen: KITCHEN, facts: NO_FACTS, log: [] }, sign);
  if (!found.ok) throw new Error(found.fault.says);
  return { sheet, ...found.value };
};

describe('asked in general', () => {
  it('every sign is answered for a usual dessert: causes, and what to do', () => {
    const none = SIGN_IDS.filter((s) => answer(s) === null);
    expect(none).toEqual([]);
    for (const sign of SIGN_IDS) {
      const a = answer(sign)!;
      for (const c of a.causes) expect(c.p, `${sign}: ${c.name}`).toBeGreaterThan(0);
      expect(a.rescue.title, sign).not.toBe('');
      expect(a.rescue.steps.length > 0 || a.rescue.kind === 'discard', sign).toBe(true);
    }
  });
  it('the simplest dessert that can show it is taken: grains are of a chantilly, a split yolk cream of what holds yolks', () => {
    expect(usualWith(SIGN_IDS[0]!, KITCHEN, CONTEXT)!.name).toBe('Chantilly');
    expect(answer(SIGN_IDS[0]!)!.part.part.lines.length).toBeGreaterThan(0);
  });
});
