import { z } from 'zod';
import type { Measured, TuneKind } from '../../../core/tuning/measured';

/** What has been typed and timed of a test so far: it waits on this tablet. */
const DraftSchema = z.object({
  values: z.record(z.string(), z.number()),
  /** When the watch, or the first reading, began, ms since 1970. */
  since: z.number().nullable(),
  readings: z.array(z.object({ min: z.number(), c: z.number() })),
});
export type Draft = z.infer<typeof DraftSchema>;
const EMPTY: Draft = { values: {}, since: null, readings: [] };

export function draftOf(text: string | null): Draft {
  try {
    return DraftSchema.safeParse(JSON.parse(text || 'null')).data ?? EMPTY;
  } catch {
    return EMPTY;
  }
}

/** A number that a test asks for. */
export interface Asked {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly start: number;
  readonly min: number;
  readonly max: number;
}

/** What each test asks for besides its readings and its watch. */
export const ASKED: Readonly<Record<TuneKind, readonly Asked[]>> = {
  whisk: [
    { key: 'fatPct', label: 'Fat of the cream', unit: '%', start: 36, min: 25, max: 60 },
    { key: 'creamG', label: 'Cream', unit: 'g', start: 800, min: 50, max: 50_000 },
    { key: 'creamC', label: 'How cold it is', unit: '°C', start: 5, min: -2, max: 20 },
  ],
  cold: [
    { key: 'waterG', label: 'Water', unit: 'g', start: 250, min: 50, max: 5000 },
    { key: 'acrossMm', label: 'Cup, across inside', unit: 'mm', start: 75, min: 30, max: 300 },
  ],
  dip: [
    { key: 'dryG', label: 'All dry', unit: 'g', start: 40, min: 1, max: 2000 },
    { key: 'dippedG', label: 'All dipped', unit: 'g', start: 40, min: 1, max: 5000 },
    { key: 'seconds', label: 'In the soak', unit: 's', start: 2, min: 0.2, max: 30 },
  ],
  glass: [{ key: 'waterG', label: 'Water to the brim', unit: 'g', start: 0, min: 0, max: 20_000 }],
  scale: [
    { key: 'trueG', label: 'Known weight', unit: 'g', start: 500, min: 1, max: 50_000 },
    { key: 'shownG', label: 'The scale shows', unit: 'g', start: 500, min: 0, max: 60_000 },
  ],
  oven: [
    { key: 'setC', label: 'The dial', unit: '°C', start: 160, min: 50, max: 300 },
    { key: 'readC', label: 'The thermometer', unit: '°C', start: 160, min: 20, max: 350 },
  ],
  hob: [
    { key: 'waterG', label: 'Water', unit: 'g', start: 1000, min: 100, max: 20_000 },
    { key: 'fromC', label: 'From', unit: '°C', start: 15, min: 0, max: 80 },
    { key: 'boilsC', label: 'It boils at', unit: '°C', start: 100, min: 80, max: 101 },
  ],
};

/** Moments that a watch takes, s. */
export const WATCHED: Readonly<Partial<Record<TuneKind, readonly { readonly key: string; readonly label: string }[]>>> = {
  whisk: [
    { key: 'softS', label: 'Soft' },
    { key: 'mediumS', label: 'Medium' },
    { key: 'firmS', label: 'Firm' },
  ],
  hob: [{ key: 'seconds', label: 'It boils' }],
};

/** Whether something of this test has been measured. */
export const isBegun = (kind: TuneKind, d: Draft): boolean =>
  kind === 'cold' ? d.readings.length > 0 : WATCHED[kind] ? WATCHED[kind].some((w) => d.values[w.key] !== undefined) : Object.keys(d.values).length > 0;

/** What was measured, as it stands. */
export function measuredOf(kind: TuneKind, thing: string, d: Draft, speed: 'fast' | 'medium' | 'slow'): Measured {
  const v = (key: string): number => d.values[key] ?? ASKED[kind].find((a) => a.key === key)?.start ?? 0;
  const watched = (key: string): number | null => d.values[key] ?? null;
  switch (kind) {
    case 'whisk':
      return {
        kind,
        thing,
        fatPct: v('fatPct'),
        creamG: v('creamG'),
        creamC: v('creamC'),
        speed,
        softS: watched('softS'),
        mediumS: watched('mediumS'),
        firmS: watched('firmS'),
      };
    case 'cold':
      return { kind, thing, waterG: v('waterG'), acrossMm: v('acrossMm'), readings: d.readings };
    case 'dip':
      return { kind, thing, dryG: v('dryG'), dippedG: v('dippedG'), seconds: v('seconds') };
    case 'glass':
      return { kind, thing, waterG: v('waterG') };
    case 'scale':
      return { kind, thing: 'scale', trueG: v('trueG'), shownG: v('shownG') };
    case 'oven':
      return { kind, thing, setC: v('setC'), readC: v('readC') };
    case 'hob':
      return { kind, thing: 'hob', waterG: v('waterG'), fromC: v('fromC'), seconds: v('seconds'), boilsC: d.values['boilsC'] ?? null };
  }
}
