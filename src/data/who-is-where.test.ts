import { describe, expect, it } from 'vitest';
import { GONE_AFTER_MS, WhoIsWhere } from './who-is-where';

const say = (w: WhoIsWhere, screen: string, thing: string, at: number, name: string | null = null) => w.say({ screen, name, thing, at });

describe('who is where', () => {
  it('names the others in the same thing, and nobody elsewhere', () => {
    const w = new WhoIsWhere();
    expect(say(w, 'b', 'sheet/1', 0, 'bench tablet')).toEqual([]);
    expect(say(w, 'a', 'sheet/1', 1)).toEqual(['bench tablet']);
    expect(say(w, 'c', 'pass/1', 2)).toEqual([]);
    expect(say(w, 'd', 'sheet/1', 3)).toEqual([null, 'bench tablet']);
    expect(say(w, 'b', 'sheet/1', 4, 'bench tablet')).toEqual([null, null]);
  });
  it('one that goes elsewhere is no longer there; nowhere is no place to meet', () => {
    const w = new WhoIsWhere();
    say(w, 'a', 'sheet/1', 0);
    say(w, 'a', '', 1);
    say(w, 'b', '', 2);
    expect(say(w, 'c', 'sheet/1', 3)).toEqual([]);
    expect(say(w, 'd', '', 4)).toEqual([]);
  });
  it('one that has been silent for two turns is gone, not a moment sooner', () => {
    const w = new WhoIsWhere();
    say(w, 'a', 'sheet/1', 0, 'a');
    expect(say(w, 'b', 'sheet/1', GONE_AFTER_MS)).toEqual(['a']);
    expect(say(w, 'b', 'sheet/1', GONE_AFTER_MS + 1)).toEqual([]);
    // Two turns of twenty seconds, and a little.
    expect(GONE_AFTER_MS).toBeGreaterThan(40_000);
    expect(GONE_AFTER_MS).toBeLessThan(60_000);
  });
  it('made-up screens put out the oldest and never grow', () => {
    const w = new WhoIsWhere();
    for (let i = 0; i < 1000; i++) say(w, `s${String(i).padStart(4, '0')}`, 'sheet/1', i);
    expect(say(w, 'me', 'sheet/1', 1000)).toHaveLength(200);
    expect(say(w, 'me', 'sheet/1', 1001)).toHaveLength(199);
  });
});
