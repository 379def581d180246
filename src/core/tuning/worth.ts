import { correctionsFrom, type Outcome } from '../batch/outcomes';
import type { Sheet } from '../document/schema';
import type { Kitchen } from '../kitchen/kitchen';
import { placeOf } from '../kitchen/place';
import type { Mixer } from '../kitchen/schema';
import { learn, LEARNABLE } from '../learning/correction';
import { workOfStep } from '../ways/step-work';
import { MOST_BATCHES_COUNTED, OVEN_AT_C, TESTS } from './house';
import type { KeptTest, TuneKind } from './measured';

/** A sheet as far as tests can narrow it. */
export interface SheetInUse {
  readonly id: string;
  readonly name: string;
  readonly doc: Sheet;
  /** Of the last months. */
  readonly batches: number;
}

/** One band of one sheet: which figure, and the half of it before and after a test, as a share (of an oven, K). */
export interface Band {
  readonly sheetId: string;
  readonly sheet: string;
  readonly figure: string;
  readonly now: number;
  readonly then: number;
  /** How often it is wanted: once, and once more for each batch of the last months. */
  readonly weight: number;
}

/** A test that can be done in this kitchen, and what it is worth. */
export interface TestOffered {
  readonly kind: TuneKind;
  readonly thing: string;
  readonly name: string;
  readonly minutes: number;
  readonly bands: readonly Band[];
  /** By how much all bands together become narrower, as shares of their figures, for each minute of the hands. */
  readonly perMinute: number;
  readonly last: KeptTest | null;
  /** Why the last one counts no more; '' while it does. */
  readonly stale: string;
}

/** What tells one mixer from the one that takes its place. */
export const mixerNow = (m: Pick<Mixer, 'kind' | 'bowlMl'>): string => `${m.kind} ${m.bowlMl}`;

/** What tells whether a thing was replaced since a test. */
export function thingNow(kind: TuneKind, thing: string, kitchen: Pick<Kitchen, 'larder' | 'mixers' | 'vessels' | 'places' | 'rules'>): string | null {
  switch (kind) {
    case 'whisk': {
      const m = kitchen.mixers.find((x) => x.id === thing);
      return m ? mixerNow(m) : null;
    }
    case 'cold': {
      const p = kitchen.places.find((x) => x.id === thing);
      return p ? `${p.kind} ${p.litres}` : null;
    }
    case 'dip':
      return kitchen.larder.get(thing)?.biscuit ? '' : null;
    case 'glass':
      return kitchen.vessels.some((v) => v.id === thing) ? '' : null;
    case 'oven':
      return kitchen.rules.ovens.some((o) => o.id === thing) ? '' : null;
    case 'scale':
    case 'hob':
      return '';
  }
}

const DAY_MS = 86_400_000;
const REPLACED: Readonly<Record<TuneKind, string>> = {
  whisk: 'the mixer is another one now',
  cold: 'the place is another one now',
  dip: '',
  glass: '',
  scale: '',
  oven: '',
  hob: '',
};

/** Why a kept test counts no more; '' while it does. @param now ms since 1970. */
export function staleBecause(test: KeptTest, kitchen: Parameters<typeof thingNow>[2], now: number): string {
  const { kind, thing } = test.measured;
  if (thingNow(kind, thing, kitchen) !== test.thingWas) return REPLACED[kind] || 'it is no longer here';
  const days = Math.floor((now - test.at) / DAY_MS);
  if (days <= TESTS[kind].staleDays) return '';
  return kind === 'cold' ? `${days} days ago, in another season` : `${days} days ago`;
}

/** How often a sheet counts. */
const weightOf = (s: SheetInUse): number => 1 + Math.min(MOST_BATCHES_COUNTED, s.batches);

const CREAMS = new Set(['whipped-cream', 'cheese-cream']);

/** The bands of a kind of test and a thing, over all sheets that rest on it. */
function bandsOf(kind: TuneKind, sheets: readonly SheetInUse[], fits: (s: SheetInUse) => string | null, fresh: boolean): Band[] {
  const { before, after } = TESTS[kind];
  if (before === null || after === null) return [];
  return sheets.flatMap((s) => {
    const figure = fits(s);
    return figure === null ? [] : [{ sheetId: s.id, sheet: s.name, figure, now: fresh ? after : before, then: after, weight: weightOf(s) }];
  });
}

/** Half of the band of the next batch, as a share: (high/low)^½ − 1. */
const half = (l: { readonly low: number; readonly high: number }): number => Math.sqrt(l.high / l.low) - 1;

/** Time under the whisk, by the log as it stands and with one more outcome of this mixer: others of the kitchen gain by what they share with it. */
function whiskBands(mixerId: string, sheets: readonly SheetInUse[], kitchen: Kitchen, outcomes: readonly Outcome[]): Band[] {
  const { spread, noise } = LEARNABLE['whisk-time'];
  const alone = learn([], spread, noise);
  const of = (with_: readonly Outcome[]) => {
    const found = correctionsFrom(with_, kitchen.mixers).filter((c) => c.figure === 'whisk-time');
    return (id: string) => found.find((c) => c.context === id)?.learnt ?? alone;
  };
  const now = of(outcomes);
  const one: Outcome = { figure: 'whisk-time', context: mixerId, ratio: now(mixerId).factor, at: Number.MAX_SAFE_INTEGER, batchId: 'next', answer: 'count' };
  const then = of([...outcomes, one]);
  return sheets.flatMap((s) => {
    const mixers = new Set(s.doc.parts.filter((p) => CREAMS.has(p.kind)).map((p) => p.whisk.mixerId));
    return [...mixers].map((id) => ({
      sheetId: s.id,
      sheet: s.name,
      figure: 'time under the whisk',
      now: half(now(id)),
      then: half(then(id)),
      weight: weightOf(s),
    }));
  });
}

const biscuitsOf = (s: SheetInUse): ReadonlySet<string | null> =>
  new Set(s.doc.parts.flatMap((p) => (p.kind === 'biscuit-layer' ? p.lines.map((l) => l.ingredientId) : [])));

/**
 * The tests that this kitchen can do, the one that narrows most in a minute of the hands first; those that nothing rests on come last. One that
 * was done and still counts narrows nothing more, except a mixer's, which learns from each.
 * @param outcomes of the log, tests among them. @param now ms since 1970.
 */
export function testsOffered(
  kitchen: Kitchen,
  sheets: readonly SheetInUse[],
  outcomes: readonly Outcome[],
  kept: readonly KeptTest[],
  now: number,
): readonly TestOffered[] {
  const offered = (kind: TuneKind, thing: string, name: string, bands: (fresh: boolean) => Band[]): TestOffered => {
    const last = kept.filter((t) => t.measured.kind === kind && t.measured.thing === thing).reduce<KeptTest | null>((a, t) => (a && a.at > t.at ? a : t), null);
    const stale = last ? staleBecause(last, kitchen, now) : '';
    const all = bands(last !== null && stale === '');
    const narrowing = all.reduce((sum, b) => sum + (b.weight * (b.now - b.then)) / (kind === 'oven' ? OVEN_AT_C : 1), 0);
    const { minutes } = TESTS[kind];
    return { kind, thing, name, minutes, bands: all, perMinute: narrowing / minutes, last, stale };
  };
  const biscuits = new Set(sheets.flatMap((s) => [...biscuitsOf(s)]));
  const tests = [
    ...kitchen.mixers.map((m) => offered('whisk', m.id, m.name, () => whiskBands(m.id, sheets, kitchen, outcomes))),
    ...kitchen.places
      .filter((p) => p.kind !== 'counter')
      .map((p) =>
        offered('cold', p.id, p.name, (fresh) =>
          bandsOf('cold', sheets, (s) => (placeOf(kitchen, s.doc.cold.setup, s.doc.family)?.id === p.id ? 'hours in the cold' : null), fresh),
        ),
      ),
    ...[...kitchen.larder.values()]
      .filter((i) => i.biscuit !== null && biscuits.has(i.id))
      .map((i) => offered('dip', i.id, i.name, (fresh) => bandsOf('dip', sheets, (s) => (biscuitsOf(s).has(i.id) ? 'what it drinks' : null), fresh))),
    ...kitchen.vessels
      .filter((v) => v.vessel.kind === 'glass')
      .map((v) =>
        offered('glass', v.id, v.vessel.name, (fresh) =>
          bandsOf('glass', sheets, (s) => (s.doc.vessel.name === v.vessel.name ? 'what the glass holds' : null), fresh),
        ),
      ),
    offered('scale', 'scale', 'The scale', (fresh) => bandsOf('scale', sheets, () => 'every weight', fresh)),
    ...kitchen.rules.ovens.map((o) =>
      offered('oven', o.id, o.name, (fresh) => bandsOf('oven', sheets, (s) => (s.doc.steps.some((x) => x.ovenC !== null) ? 'heat of the oven' : null), fresh)),
    ),
    offered('hob', 'hob', 'The strongest ring', (fresh) =>
      bandsOf('hob', sheets, (s) => (s.doc.steps.some((x) => workOfStep(x) === 'heat') ? 'time to the boil' : null), fresh),
    ),
  ];
  return tests.toSorted((a, b) => b.perMinute - a.perMinute);
}
