import { openSync, readSync } from 'node:fs';
import { cpus } from 'node:os';

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

/** Reads the beginning of one of the system's accounts again and again; null where the system keeps none (they are Linux's). */
function account(file: string): (() => string) | null {
  try {
    const open = openSync(file, 'r');
    const text = Buffer.alloc(160);
    return () => text.toString('latin1', 0, readSync(open, text, 0, text.length, 0));
  } catch {
    return null;
  }
}

/** A tick of the system's own account, ms: a hundredth of a second. */
const TICK_MS = 10;

/**
 * What a virtual machine was kept from working by others on the same host, ms of each of its processors, on average.
 * @param stat the first line of /proc/stat: its eighth figure, ticks of all processors. Source: proc(5).
 */
export const stolenMs = (stat: string, processors: number): number => (TICK_MS * Number(stat.trim().split(/\s+/)[8] ?? 0)) / Math.max(1, processors);

/**
 * How much of a wait the first thread was at work, ms: the system counts as its work what others of the host took meanwhile.
 * @param late how long others waited. @param ran what the system counts. @param stolen what was taken.
 */
export const ownWork = (late: number, ran: number, stolen: number): number => Math.max(0, Math.min(late, ran - stolen));

/** Reads how long the first thread has been at work since it began, and what was taken from it, ms; null where no account is kept. */
function workClock(): (() => readonly [ran: number, stolen: number]) | null {
  const [work, all] = [account('/proc/self/schedstat'), account('/proc/stat')];
  if (work === null) return null;
  const processors = cpus().length;
  return () => [Number(work().split(' ')[0]) / 1e6, all === null ? 0 : stolenMs(all(), processors)];
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
  let [at, [ran, stolen]] = [performance.now(), work?.() ?? [0, 0]];
  setInterval(() => {
    const [now, [ranNow, stolenNow]] = [performance.now(), work?.() ?? [0, 0]];
    const late = now - at - FINE_MS;
    most.held = Math.max(most.held, late);
    most.worked = Math.max(most.worked, work ? ownWork(late, ranNow - ran, stolenNow - stolen) : late);
    [at, ran, stolen] = [now, ranNow, stolenNow];
  }, FINE_MS).unref();
  return most;
}
