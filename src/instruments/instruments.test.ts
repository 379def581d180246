import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { practiceRun } from '../core/foam/practice';
import { freshProbe, probeSays, stickInto } from './probe';
import { freshScale, putOn, scaleSays, tare } from './scale';
import { afterAct, freshStandIns, LEFT_ON_MS, REPLAY_MS, standInsSay, StandInActSchema } from './stand-ins';
import { loadSample, usualBench } from './whisk-load';
import { gramsOf, readInstrumentLine } from './wire';

const NOW = 1_800_000_000_000;

describe('the scale', () => {
  it('settles on what lies on it, and says when it is steady', () => {
    const s = putOn(freshScale(NOW), 250, NOW);
    const early = scaleSays(s, NOW + 200)!;
    expect(early.value).toBeLessThan(200);
    expect(early.stable).toBe(false);
    const late = scaleSays(s, NOW + 5000)!;
    expect(Math.abs(late.value - 250)).toBeLessThanOrEqual(1);
    expect(late.stable).toBe(true);
  });
  it('tares, goes below nothing when the bowl is lifted, creeps, and shows ounces', () => {
    let s = tare(putOn(freshScale(NOW), 400, NOW), NOW + 5000);
    expect(Math.abs(scaleSays(s, NOW + 6000)!.value)).toBeLessThanOrEqual(1);
    s = putOn(s, 0, NOW + 6000);
    expect(Math.abs(scaleSays(s, NOW + 12_000)!.value + 400)).toBeLessThanOrEqual(1);
    const creeping = { ...freshScale(NOW), driftGPerMin: 6 };
    expect(Math.abs(scaleSays(creeping, NOW + 120_000)!.value - 12)).toBeLessThanOrEqual(1);
    const ounces = scaleSays({ ...putOn(freshScale(NOW), 1000, NOW), unit: 'oz' }, NOW + 9000)!;
    expect(ounces.unit).toBe('oz');
    expect(Math.abs(gramsOf(ounces) - 1000)).toBeLessThan(1.5);
    expect(scaleSays({ ...s, silent: true }, NOW)).toBeNull();
  });
});

describe('the probe', () => {
  it('lags behind what it is stuck into and gets there', () => {
    const p = stickInto(freshProbe('p', 'probe', 20, NOW), 80, 0, 80, NOW);
    expect(probeSays(p, NOW + 2500)!.value).toBeGreaterThan(50);
    expect(probeSays(p, NOW + 2500)!.value).toBeLessThan(65);
    expect(Math.abs(probeSays(p, NOW + 30_000)!.value - 80)).toBeLessThan(0.4);
  });
  it('follows a warming pan a lag behind, and stays where that ends', () => {
    const p = stickInto(freshProbe('p', 'probe', 20, NOW), 20, 12, 82, NOW);
    expect(Math.abs(probeSays(p, NOW + 180_000)!.value - (20 + 12 * 3 - 0.5))).toBeLessThan(0.4);
    expect(Math.abs(probeSays(p, NOW + 3_600_000)!.value - 82)).toBeLessThan(0.4);
  });
  it('law: it never shows more than the hottest nor less than the coldest it has been in', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.integer({ min: 0, max: 900_000 }),
        (before, tC, perMin, untilC, after) => {
          const p = stickInto(freshProbe('p', 'probe', before, NOW), tC, perMin, untilC, NOW);
          const v = probeSays(p, NOW + after)!.value;
          expect(v).toBeLessThanOrEqual(Math.max(before, tC, untilC) + 0.4);
          expect(v).toBeGreaterThanOrEqual(Math.min(before, tC, untilC) - 0.4);
        },
      ),
    );
  });
});

describe('the whisk load', () => {
  const { input, whip } = practiceRun(5);
  it('is the same for the same seed and moment, and drops out now and then', () => {
    const bench = { ...usualBench(whip, 1, 77), dropouts: 0.2 };
    const rows = Array.from({ length: 400 }, (_, i) => loadSample(bench, i));
    expect(rows).toEqual(Array.from({ length: 400 }, (_, i) => loadSample(bench, i)));
    const missing = rows.filter((r) => r === null).length;
    expect(missing).toBeGreaterThan(40);
    expect(missing).toBeLessThan(140);
  });
  it('rises as the cream stiffens, and on slow it is less and later', () => {
    const bench = { ...usualBench(whip, 1, 3), noise: 0, dropouts: 0, knocksPerMin: 0, zero: 0 };
    expect(loadSample(bench, 4 * 220)!.load).toBeGreaterThan(loadSample(bench, 4 * 100)!.load);
    let s = afterAct({ ...freshStandIns(NOW), pace: 1 }, { act: 'whisk-on', input, seed: 3 }, NOW);
    if (!s.ok) throw new Error(s.fault.says);
    const fast = standInsSay(s.value, NOW + 150_000, NOW + 200_000).filter((l) => l.instrument === 'load');
    s = afterAct(s.value, { act: 'whisk-slow' }, NOW + 100_000);
    if (!s.ok) throw new Error(s.fault.says);
    const slow = standInsSay(s.value, NOW + 150_000, NOW + 200_000).filter((l) => l.instrument === 'load');
    const mean = (rows: typeof fast) => rows.reduce((sum, l) => sum + l.value, 0) / rows.length;
    expect(mean(slow)).toBeLessThan(mean(fast));
  });
  it('speaks only while the whisk is on, and replays what was said since', () => {
    expect(standInsSay(freshStandIns(NOW), 0, NOW).some((l) => l.instrument === 'load')).toBe(false);
    const on = afterAct(freshStandIns(NOW), { act: 'whisk-on', input, seed: 1 }, NOW);
    if (!on.ok) throw new Error(on.fault.says);
    const off = afterAct(on.value, { act: 'whisk-off' }, NOW + 10_000);
    if (!off.ok) throw new Error(off.fault.says);
    const said = standInsSay(off.value, 0, NOW + 60_000).filter((l) => l.instrument === 'load');
    expect(said.length).toBeGreaterThan(30);
    expect(said.every((l) => l.at >= NOW && l.at <= NOW + 10_000)).toBe(true);
    expect(afterAct(freshStandIns(NOW), { act: 'whisk-off' }, NOW).ok).toBe(false);
    // Left on: it goes off by itself after an hour, and a late page hears a quarter of an hour at the most.
    const hours = (h: number) => standInsSay(on.value, 0, NOW + h * 3_600_000).filter((l) => l.instrument === 'load');
    expect(hours(24)).toEqual([]);
    expect(hours(1.1).every((l) => l.at <= NOW + LEFT_ON_MS && l.at >= NOW + 1.1 * 3_600_000 - REPLAY_MS)).toBe(true);
    expect(hours(1.1).length).toBeGreaterThan(100);
    expect(afterAct(freshStandIns(NOW), { act: 'whisk-on', input: { ...input, mixMl: input.bowlMl * 2 }, seed: 1 }, NOW).ok).toBe(false);
  });
});

describe('lines of an instrument', () => {
  it('are read as they are written', () => {
    for (const line of standInsSay(freshStandIns(NOW), NOW - 1000, NOW)) expect(readInstrumentLine(JSON.stringify(line))).toEqual(line);
  });
  it('fuzz: anything else is passed over, never thrown at', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const read = readInstrumentLine(text);
        if (read) expect(Number.isFinite(read.value)).toBe(true);
      }),
      { numRuns: 500 },
    );
    for (const bad of [
      '',
      '{}',
      '{"instrument":"scale","id":"a","name":"b","unit":"kg","value":1,"at":1}',
      '{"instrument":"scale","id":"","name":"b","unit":"g","value":1,"at":1}',
      `{"x":"${'y'.repeat(3000)}"}`,
    ])
      expect(readInstrumentLine(bad)).toBeNull();
  });
  it('fuzz: whatever a hand asks of the stand-ins, they stay such that they can speak', () => {
    const act = fc.oneof(
      fc.record({ act: fc.constant('put-on'), grams: fc.double({ min: -5000, max: 50_000, noNaN: true }) }),
      fc.record({ act: fc.constant('tare') }),
      fc.record({
        act: fc.constant('stick'),
        probe: fc.integer({ min: 0, max: 1 }),
        tC: fc.double({ min: -40, max: 200, noNaN: true }),
        perMin: fc.double({ min: -100, max: 100, noNaN: true }),
      }),
      fc.record({ act: fc.constant('probe'), probe: fc.integer({ min: 0, max: 1 }), name: fc.constantFrom('one', 'two') }),
      fc.record({ act: fc.constantFrom('whisk-off', 'whisk-slow') }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 20 }), (acts) => {
        let s = freshStandIns(NOW);
        acts.forEach((raw, i) => {
          const next = afterAct(s, StandInActSchema.parse(raw), NOW + i * 700);
          if (next.ok) s = next.value;
        });
        for (const line of standInsSay(s, NOW, NOW + 60_000)) expect(Number.isFinite(line.value)).toBe(true);
      }),
    );
  });
});
