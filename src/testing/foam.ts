/** What tests of foams start from: the reference whip, and any bowl that a kitchen could whisk. */
import fc from 'fast-check';
import type { CreamState, WhiskInput } from '../core/foam/inputs';
import { whip, type Whip } from '../core/foam/whisk';

export const plain: CreamState = { fatPct: 36, sugarPer100: 0, sugarAt: 'start', creamC: 5, softCheeseShare: 0, mascarponeShare: 0 };
export const reference: WhiskInput = { ...plain, mixer: 'planetary', bowlMl: 4800, speed: 'fast', slowFromSoft: false, mixMl: 960, batches: 1, target: 'firm' };

export const whipped = (input: WhiskInput): Whip => {
  const w = whip(input);
  if (!w.ok) throw new Error(w.fault.says);
  return w.value;
};

export const value = <T>(r: { ok: true; value: T } | { ok: false; fault: { says: string } }): T => {
  if (!r.ok) throw new Error(r.fault.says);
  return r.value;
};

export const inputs: fc.Arbitrary<WhiskInput> = fc.record({
  fatPct: fc.double({ min: 25, max: 60, noNaN: true }),
  sugarPer100: fc.double({ min: 0, max: 40, noNaN: true }),
  sugarAt: fc.constantFrom('start' as const, 'soft-peak' as const),
  creamC: fc.double({ min: 0, max: 20, noNaN: true }),
  softCheeseShare: fc.double({ min: 0, max: 0.5, noNaN: true }),
  mascarponeShare: fc.double({ min: 0, max: 0.5, noNaN: true }),
  mixer: fc.constantFrom('planetary' as const, 'hand-mixer' as const, 'balloon-whisk' as const, 'processor' as const),
  bowlMl: fc.constant(4800),
  speed: fc.constantFrom('fast' as const, 'medium' as const, 'slow' as const),
  slowFromSoft: fc.boolean(),
  mixMl: fc.double({ min: 50, max: 4000, noNaN: true }),
  batches: fc.constant(1),
  target: fc.constantFrom('soft' as const, 'medium' as const, 'firm' as const),
});
