import { existsSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { longestHeld, ownWork, stolenMs } from './held';

const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));
const work = (ms: number): void => {
  for (const until = performance.now() + ms; performance.now() < until;);
};
/** As a disk does that lets itself be waited for. */
const sleep = (ms: number): void => void Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);

describe('how long others were held up', () => {
  it('is what was held since it was last asked', async () => {
    longestHeld();
    await pause(60);
    work(400);
    await pause(60);
    expect(longestHeld().longestHeldMs).toBeGreaterThanOrEqual(350);
    // It begins anew with each asking: what is not so long is all that there is.
    await pause(60);
    work(150);
    await pause(60);
    const second = longestHeld();
    expect(second.longestHeldMs).toBeGreaterThanOrEqual(100);
    expect(second.longestWorkedMs).toBeLessThanOrEqual(second.longestHeldMs);
  });

  it.runIf(existsSync('/proc/self/schedstat'))('tells its own work from waiting for something else', async () => {
    longestHeld();
    await pause(60);
    sleep(500);
    await pause(60);
    const slept = longestHeld();
    expect(slept.longestHeldMs).toBeGreaterThanOrEqual(450);
    expect(slept.longestWorkedMs).toBeLessThan(slept.longestHeldMs / 2);
  });

  it('what others of the host took is none of its work', () => {
    // The wait that was seen: 166 ms, 130 counted as run, while 500 ms were taken from two processors.
    expect(ownWork(166, 130, stolenMs('cpu  100 2 30 400 5 0 7 50 0 0', 2))).toBe(0);
    expect(ownWork(166, 130, 0)).toBe(130);
    expect(ownWork(80, 130, 30)).toBe(80);
    expect(ownWork(80, 90, 30)).toBe(60);
    expect(stolenMs('cpu  100 2 30 400 5 0 7 50 0 0', 2)).toBe(250);
    // A kernel too old to say so.
    expect(stolenMs('cpu 1 2 3 4', 2)).toBe(0);
  });
});
