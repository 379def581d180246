/** Which screens have which sheet, batch or service open: in this server's memory, said anew by every screen with each of its questions. */
export interface ScreenSeen {
  /** The browser's own short name; tabs of one browser are one screen. */
  readonly screen: string;
  /** What the kitchen calls it; null for one that nobody named. */
  readonly name: string | null;
  /** 'sheet/ID', 'pass/ID', 'clock/ID'. */
  readonly thing: string;
  /** ms since 1970. */
  readonly at: number;
}

/** Screens ask every twenty seconds; one that has missed two turns is gone. */
export const GONE_AFTER_MS = 45_000;
const MOST_SCREENS = 200;

export class WhoIsWhere {
  private readonly seen = new Map<string, ScreenSeen>();
  /**
   * Takes down where a screen is (nowhere in particular as '') and says who else is there.
   * @returns their names in the order of their screens' short names; null for each that has none.
   */
  say(here: ScreenSeen): readonly (string | null)[] {
    this.seen.delete(here.screen);
    for (const s of this.seen.values()) if (here.at - s.at > GONE_AFTER_MS) this.seen.delete(s.screen);
    const others = [...this.seen.values()].filter((s) => here.thing !== '' && s.thing === here.thing);
    this.seen.set(here.screen, here);
    // A flood of made-up screens puts out the oldest, never the server.
    for (const [oldest] of this.seen) {
      if (this.seen.size <= MOST_SCREENS) break;
      this.seen.delete(oldest);
    }
    return others.sort((a, b) => (a.screen < b.screen ? -1 : 1)).map((s) => s.name);
  }
}

const shared = globalThis as typeof globalThis & { softPeakWhoIsWhere?: WhoIsWhere };
export const whoIsWhere = (): WhoIsWhere => (shared.softPeakWhoIsWhere ??= new WhoIsWhere());
