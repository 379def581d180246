import { monitorEventLoopDelay, type IntervalHistogram } from 'node:perf_hooks';

/** How finely it is looked at, ms: what is shorter is not seen. */
const FINE_MS = 10;

const shared = globalThis as typeof globalThis & { softPeakHeld?: IntervalHistogram };

/**
 * The longest that one thing held up everybody else on this server's first thread since it was last asked, ms: how late a timer of 10 ms came,
 * at worst. The first asking begins it, and says 0.
 */
export function longestHeldMs(): number {
  if (!shared.softPeakHeld) {
    shared.softPeakHeld = monitorEventLoopDelay({ resolution: FINE_MS });
    shared.softPeakHeld.enable();
    return 0;
  }
  const { max } = shared.softPeakHeld;
  shared.softPeakHeld.reset();
  return Math.max(0, Math.round(max / 1e6) - FINE_MS);
}
