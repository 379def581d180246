import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { peakLook } from './peak';
import { peakShape } from './peak-shape';

describe('the look of the peak', () => {
  it('rises, straightens and dulls as the network grows', () => {
    const soft = peakLook(0.25);
    const firm = peakLook(0.55);
    expect(firm.height).toBeGreaterThan(soft.height);
    expect(firm.droop).toBeLessThan(soft.droop);
    expect(peakLook(0.72).sheen).toBeLessThan(firm.sheen);
    expect(peakLook(0.92).whey).toBeGreaterThan(0.9);
    expect(firm.whey).toBe(0);
    expect(peakLook(0.05).height).toBe(0);
  });
  it('changes without a jump and stays in its ranges', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.999, noNaN: true }), (x) => {
        const a = peakLook(x);
        const b = peakLook(Math.min(1, x + 0.001));
        for (const key of ['height', 'ridges', 'sheen', 'grain', 'whey', 'air'] as const) {
          expect(a[key]).toBeGreaterThanOrEqual(0);
          expect(a[key]).toBeLessThanOrEqual(1 + 1e-9);
          // Air starts as a root, steep by nature.
          if (key !== 'air') expect(Math.abs(a[key] - b[key])).toBeLessThan(0.03);
        }
        expect(Math.abs(a.droop - b.droop)).toBeLessThan(0.03);
      }),
    );
  });
  it('is drawn the same each time, its tip over its foot when firm and beside it when soft', () => {
    const tip = (x: number) => {
      const edge = peakShape(peakLook(x)).edge;
      return edge[Math.floor(edge.length / 2)]!;
    };
    expect(peakShape(peakLook(0.4))).toEqual(peakShape(peakLook(0.4)));
    expect(Math.abs(tip(0.56)[0])).toBeLessThan(0.05);
    expect(tip(0.27)[0]).toBeGreaterThan(0.15);
    expect(tip(0.56)[1]).toBeGreaterThan(tip(0.27)[1]);
  });
});
