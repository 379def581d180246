import { describe, expect, it } from 'vitest';
import { longestHeldMs } from './held';

const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));
const hold = (ms: number): void => {
  for (const until = performance.now() + ms; performance.now() < until;);
};

describe('how long others were held up', () => {
  it('is what was held since it was last asked', async () => {
    expect(longestHeldMs()).toBe(0);
    await pause(60);
    hold(200);
    await pause(60);
    expect(longestHeldMs()).toBeGreaterThanOrEqual(150);
    // It begins anew with each asking: of the 200 ms nothing is left.
    await pause(100);
    hold(400);
    await pause(60);
    const second = longestHeldMs();
    expect(second).toBeGreaterThanOrEqual(350);
  });
});
