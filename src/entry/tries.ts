/** How fast an entry may be tried. */
export const TRIES = {
  /** Wrong ones of one address before it must wait. */
  free: 4,
  /** After that, s: doubled with each, up to the most. */
  firstWaitS: 2,
  mostWaitS: 600,
  /** Wrong ones of all addresses in a minute. */
  inAllPerMinute: 30,
  /** An address is forgotten after so long without a try, min. */
  forgottenMin: 60,
  mostAddresses: 2000,
} as const;

interface Tried {
  wrong: number;
  at: number;
}

/** Counts wrong tries and says how long an address must wait. Times are ms. */
export class Tries {
  private readonly by = new Map<string, Tried>();
  private recent: number[] = [];

  /** Seconds until this address may try again; 0 when it may now. */
  waitS(address: string, now: number): number {
    const mine = this.by.get(address);
    const own = mine && mine.wrong > TRIES.free ? mine.at + 1000 * Math.min(TRIES.mostWaitS, TRIES.firstWaitS * 2 ** (mine.wrong - TRIES.free - 1)) - now : 0;
    this.recent = this.recent.filter((t) => now - t < 60_000 && t <= now);
    const all = this.recent.length >= TRIES.inAllPerMinute ? this.recent[0]! + 60_000 - now : 0;
    return Math.max(0, Math.ceil(Math.max(own, all) / 1000));
  }

  wrong(address: string, now: number): void {
    for (const [a, t] of this.by) if (now - t.at > TRIES.forgottenMin * 60_000) this.by.delete(a);
    if (!this.by.has(address) && this.by.size >= TRIES.mostAddresses) this.by.delete(this.by.keys().next().value!);
    const before = this.by.get(address)?.wrong ?? 0;
    this.by.delete(address);
    this.by.set(address, { wrong: before + 1, at: now });
    this.recent.push(now);
  }

  /** The try that was counted before it was known was right. */
  right(address: string): void {
    this.by.delete(address);
    this.recent.pop();
  }
}
