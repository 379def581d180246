import { openSync, readSync } from 'node:fs';

/** How finely it is looked at, ms: what is shorter is not seen. */
const FINE_MS = 10;

/** The longest that this server held everybody up. */
export interface Held {
  /** How late a timer of 10 ms came at worst, ms: what others waited, whatever the reason. */
  readonly longestHeldMs: number;
  /** How much of such a wait the server's first thread was itself at work, at most, ms: the rest is the disk's or the machine's. As long as the wait where the system does not say. */
  readonly longestWorkedMs: number;
}

const shared = globalThis as typeof globalThis & { softPeakHeld?: { held: number; worked: number } };

/** Reads how long the first thread has been at work since it began, ms; null where the system keeps no such account (it is Linux's). */
function workClock(): (() => number) | null {
  try {
    const account = openSync('/proc/self/schedstat', 'r');
    const text = Buffer.alloc(64);
    return () => Number(text.toString('latin1', 0, readSync(account, text, 0, text.length, 0)).split(' ')[0]) / 1e6;
  } catch {
    return null;
  }
}

/** What it was since it was last asked. The first asking begins it, and says 0. */
export function longestHeld(): Held {
  const { held, worked } = (shared.softPeakHeld ??= begun());
  Object.assign(shared.softPeakHeld, { held: 0, worked: 0 });
  return { longestHeldMs: Math.round(held), longestWorkedMs: Math.round(worked) };
}

function begun(): { held: number; worked: number } {
  const most = { held: 0, worked: 0 };
  const work = workClock();
  let [at, done] = [performance.now(), work?.() ?? 0];
  setInterval(() => {
    const [now, doneNow] = [performance.now(), work?.() ?? 0];
    const late = now - at - FINE_MS;
    most.held = Math.max(most.held, late);
    most.worked = Math.max(most.worked, work ? Math.min(late, doneNow - done) : late);
    [at, done] = [now, doneNow];
  }, FINE_MS).unref();
  return most;
}
