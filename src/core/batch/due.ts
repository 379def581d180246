/** Something that asks for a hand at a moment. */
export interface DueMoment {
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly says: string;
  readonly href: string;
  /** Whether it rings: a plan's moments do where no timer of Pass does it for them. */
  readonly rings?: boolean;
}

/** What of a batch decides when it is due. */
export interface DueBatch {
  readonly id: string;
  readonly name: string;
  readonly status: 'running' | 'finished' | 'abandoned';
  readonly endedAt: number | null;
  readonly holdShownH: number | null;
  readonly keepingH: number | null;
  /** What its running timers come to, and when. */
  readonly timers: readonly { readonly at: number; readonly says: string }[];
}

const HOUR = 3_600_000;

/** The moments still to come, soonest first: timers of running batches, stop windows of whisks among them, and holds that end. */
export function dueMoments(batches: readonly DueBatch[], now: number): readonly DueMoment[] {
  const moments: DueMoment[] = [];
  for (const b of batches) {
    if (b.status === 'running') for (const t of b.timers) moments.push({ at: t.at, says: `${b.name}: ${t.says}`, href: `/pass/${b.id}` });
    if (b.status === 'finished' && b.endedAt !== null && b.holdShownH !== null) {
      const shape = b.endedAt + b.holdShownH * HOUR;
      moments.push({
        at: shape,
        says: `${b.name}: ${b.keepingH !== null && b.holdShownH >= b.keepingH ? 'use by' : 'best before it softens'}`,
        href: `/log/${b.id}`,
      });
    }
  }
  return moments.filter((m) => m.at > now).sort((a, b) => a.at - b.at);
}
