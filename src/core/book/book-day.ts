import { plainNumber, withUnit } from '../figure';
import { isFreezer } from '../kitchen/place';
import type { ColdPlace } from '../kitchen/schema';
import { clockOf, fullMoment } from '../timetable/clock-words';
import { showDay } from '../timetable/typed-moment';
import { localTime, minuteOf } from '../timetable/zone';
import { SLOTS, standing, subjectOf, takenBack, type BookEntry, type Slot, type Standing, type Written } from './entry';
import type { BookBatch, BookFacts } from './facts';
import { coolingRuleOf, coolingSays, curveOf, eggSays, type RowState } from './heat-rows';

export const SECTIONS = ['places', 'cooling', 'eggs', 'lots', 'hold', 'allergens', 'cleaning', 'remarks'] as const;
export type Section = (typeof SECTIONS)[number];
export const SECTION_NAMES: Readonly<Record<Section, string>> = {
  places: 'Fridges and freezers',
  cooling: 'Cooled down',
  eggs: 'Eggs cooked',
  lots: 'Lots of dairy and eggs',
  hold: 'Made, eat by, and what became of it',
  allergens: 'Allergens served',
  cleaning: 'Cleaned and checked',
  remarks: 'Remarks',
};

/** A row of the book. */
export interface BookRow {
  readonly key: string;
  readonly section: Section;
  readonly about: string;
  /** What was written or follows from what was logged; '' where there is nothing yet. */
  readonly says: string;
  /** What it is held against; '' where against nothing. */
  readonly asks: string;
  readonly state: RowState;
  /** What stands, with what it came to stand in for; null where nothing was written by hand. */
  readonly written: Standing | null;
  /** Whether it was written, or corrected, after the day had been signed. */
  readonly afterSigning: boolean;
  /** What a screen would write here; its figure or words are still to come. Null where the row follows from the log alone. */
  readonly asksFor: Asked | null;
  /** The batch that it is about. */
  readonly batchId: string | null;
}

export type Asked =
  | { readonly kind: 'place'; readonly placeId: string; readonly slot: Slot; readonly usualC: number }
  | { readonly kind: 'cleaned'; readonly job: string }
  | { readonly kind: 'lot'; readonly batchId: string; readonly ingredientId: string }
  | { readonly kind: 'ended'; readonly batchId: string }
  | { readonly kind: 'remark' };

export interface BookDay {
  readonly day: string;
  readonly rows: readonly BookRow[];
  /** How many rows stand how. */
  readonly counts: Readonly<Record<RowState, number>>;
  /** The signature that stands; null while nobody signed. */
  readonly signed: Standing | null;
  /** What was taken back, with what it said: nothing leaves the book. */
  readonly takenBack: readonly Standing[];
}

const MINUTE_MS = 60_000;
/** The morning's reading is due by then, and the evening's by the end of the day. */
const MORNING_ENDS = 'T14:00';

/** A page of the book: what its day asks for, what was written, what follows from the log, and what is missing. */
export function bookDay(f: BookFacts): BookDay {
  const stands = standing(f.entries);
  const ofDay = stands.filter((s) => s.entry.day === f.day);
  const signed = ofDay.findLast((s) => s.entry.says.kind === 'signed') ?? null;
  const bySubject = new Map(stands.map((s) => [subjectOf(s.entry), s]));
  const of = (subject: string): Standing | null => bySubject.get(subject) ?? null;
  const today = (subject: string): Standing | null => of(`${f.day} ${subject}`);
  const begun = f.batches.filter((b) => localTime(Math.floor(b.startedAt / MINUTE_MS), f.zone).slice(0, 10) === f.day);
  const rows = [
    ...f.places.filter((p) => p.kind !== 'counter').flatMap((p) => SLOTS.map((slot) => placeRow(f, p, slot, today(`place ${p.id} ${slot}`)))),
    ...begun.flatMap((b) => heatRows(f, b)),
    ...begun.flatMap((b) => b.lots.map((use) => lotRow(b, use, of(`lot ${b.id} ${use.ingredientId}`)))),
    ...f.batches.flatMap((b) => holdRow(f, b, of(`ended ${b.id}`))),
    ...f.servings.map((s) => servingRow(f, s)),
    ...cleaningRows(f, ofDay, today),
    ...ofDay.flatMap((s) => remarkRow(s)),
  ].map((r): BookRow => ({ ...r, afterSigning: signed !== null && r.written !== null && r.written.entry.at > signed.entry.at }));
  const counts: Record<RowState, number> = { in: 0, out: 0, missing: 0, open: 0, told: 0 };
  for (const r of rows) counts[r.state]++;
  return {
    day: f.day,
    rows: SECTIONS.flatMap((section) => rows.filter((r) => r.section === section)),
    counts,
    signed,
    takenBack: takenBack(f.entries).filter((s) => s.entry.day === f.day),
  };
}

type Row = Omit<BookRow, 'afterSigning'>;
const degrees = (c: number): string => withUnit(plainNumber(c, Number.isInteger(c) ? 0 : 1), '°C');
/** Whether a moment of the day is over, by the kitchen's clock. */
const isPast = (f: BookFacts, reading: string): boolean => f.now >= minuteOf(`${f.day}${reading}`, f.zone);
const dayIsOver = (f: BookFacts): boolean => localTime(f.now, f.zone).slice(0, 10) > f.day;

/** The most that a place may read, °C. */
export const atMostC = (place: Pick<ColdPlace, 'kind'>, rules: { readonly fridgeAtMostC: number; readonly freezerAtMostC: number }): number =>
  isFreezer(place) ? rules.freezerAtMostC : rules.fridgeAtMostC;

function placeRow(f: BookFacts, place: ColdPlace, slot: Slot, written: Standing | null): Row {
  const most = atMostC(place, f.rules.book);
  const c = written?.entry.says.kind === 'place' ? written.entry.says.c : null;
  const due = slot === 'morning' ? isPast(f, MORNING_ENDS) : dayIsOver(f);
  return {
    key: `place ${place.id} ${slot}`,
    section: 'places',
    about: `${place.name}, ${slot}`,
    says: c === null ? '' : degrees(c),
    asks: `${degrees(most)} at most`,
    state: c === null ? (due ? 'missing' : 'open') : c <= most ? 'in' : 'out',
    written,
    asksFor: { kind: 'place', placeId: place.id, slot, usualC: c ?? place.airC },
    batchId: null,
  };
}

function heatRows(f: BookFacts, b: BookBatch): readonly Row[] {
  return b.steps.flatMap((step): Row[] => {
    const { heat } = step;
    if (heat?.use !== 'egg' && heat?.use !== 'cooling') return [];
    const behind = !b.running || b.done.includes(step.key);
    const curve = curveOf(b, step.key);
    const first = b.samples.filter((s) => s.series.startsWith(`${step.key}|`)).reduce((least, s) => Math.min(least, s.at), Infinity);
    const rule = coolingRuleOf(f.rules);
    const found = heat.use === 'egg' ? eggSays(curve, heat, behind) : coolingSays(curve, rule, f.now - first / MINUTE_MS, behind);
    return [
      {
        key: `heat ${b.id} ${step.key}`,
        section: heat.use === 'egg' ? 'eggs' : 'cooling',
        about: `${b.name}: ${step.partName || step.title}`,
        says: found.says,
        asks: heat.use === 'egg' ? '' : rule.name,
        state: found.state,
        written: null,
        asksFor: null,
        batchId: b.id,
      },
    ];
  });
}

function lotRow(b: BookBatch, use: BookBatch['lots'][number], written: Standing | null): Row {
  const said = written?.entry.says.kind === 'lot' ? [{ lot: written.entry.says.lot, bestBefore: written.entry.says.bestBefore }] : use.packs;
  return {
    key: `lot ${b.id} ${use.ingredientId}`,
    section: 'lots',
    about: `${b.name}: ${use.name}`,
    says: said.map((p) => lotSays(p.lot, p.bestBefore)).join('; '),
    asks: '',
    state: said.length > 0 ? 'told' : b.running ? 'open' : 'missing',
    written,
    asksFor: { kind: 'lot', batchId: b.id, ingredientId: use.ingredientId },
    batchId: b.id,
  };
}

/** 'L 3291, best before Sun 6 Dec'. */
export const lotSays = (lot: string, bestBefore: string | null): string => (bestBefore === null ? lot : `${lot}, best before ${showDay(bestBefore)}`);

function holdRow(f: BookFacts, b: BookBatch, written: Standing | null): readonly Row[] {
  if (b.endedAt === null) return [];
  const moment = (ms: number): string => {
    const minute = Math.floor(ms / MINUTE_MS);
    return localTime(minute, f.zone).slice(0, 10) === f.day ? clockOf(minute, f.zone) : fullMoment(minute, f.zone, f.now);
  };
  const made = `made ${moment(b.endedAt)}`;
  const how = written?.entry.says.kind === 'ended' ? written.entry.says.how : b.discarded ? 'thrown away' : null;
  const past = b.eatBy !== null && f.now > b.eatBy / MINUTE_MS;
  return [
    {
      key: `ended ${b.id}`,
      section: 'hold',
      about: b.name,
      says: [made, how].filter((x) => x !== null).join(', '),
      asks: b.eatBy === null ? '' : `eat by ${moment(b.eatBy)}`,
      state: how !== null ? 'told' : past ? 'missing' : 'open',
      written,
      asksFor: { kind: 'ended', batchId: b.id },
      batchId: b.id,
    },
  ];
}

function servingRow(f: BookFacts, s: BookFacts['servings'][number]): Row {
  return {
    key: `serving ${s.id}`,
    section: 'allergens',
    about: `${clockOf(s.at, f.zone)} ${s.dessert}, ${s.portions}`,
    says: s.declares?.join('. ') ?? '',
    asks: s.service,
    state: s.declares === null ? 'missing' : 'told',
    written: null,
    asksFor: null,
    batchId: null,
  };
}

/** What the kitchen has cleaned each day; what was ticked under words that it has since changed stays. */
function cleaningRows(f: BookFacts, ofDay: readonly Standing[], today: (subject: string) => Standing | null): readonly Row[] {
  const jobs = f.rules.book.jobs;
  const others = ofDay.flatMap((s) => (s.entry.says.kind === 'cleaned' && !jobs.includes(s.entry.says.job) ? [s.entry.says.job] : []));
  return [...jobs, ...others].map((job) => {
    const written = today(`cleaned ${job}`);
    return {
      key: `cleaned ${job}`,
      section: 'cleaning',
      about: job,
      says: written ? 'done' : '',
      asks: '',
      state: written ? 'told' : dayIsOver(f) ? 'missing' : 'open',
      written,
      asksFor: { kind: 'cleaned', job },
      batchId: null,
    };
  });
}

function remarkRow(written: Standing): readonly Row[] {
  const { id, says } = written.entry;
  if (says.kind !== 'remark') return [];
  return [
    {
      key: `remark ${id}`,
      section: 'remarks',
      about: 'Remark',
      says: says.words,
      asks: '',
      state: 'told',
      written,
      asksFor: { kind: 'remark' },
      batchId: null,
    },
  ];
}

/** Who wrote it and when, by the kitchen's clock: 'Early, 06:12'. With its day where that is another than the page's. */
export function writtenBy(e: Pick<BookEntry, 'by' | 'at' | 'day'>, zone: string): string {
  const minute = Math.floor(e.at / MINUTE_MS);
  return `${e.by}, ${localTime(minute, zone).slice(0, 10) === e.day ? clockOf(minute, zone) : fullMoment(minute, zone, minuteOf(`${e.day}T12:00`, zone))}`;
}

/** What an entry said, in a few words, as it stands behind its correction. */
export function entrySays(says: Written): string {
  switch (says.kind) {
    case 'place':
      return degrees(says.c);
    case 'cleaned':
      return 'done';
    case 'lot':
      return lotSays(says.lot, says.bestBefore);
    case 'ended':
      return says.how;
    case 'remark':
      return says.words;
    case 'signed':
      return 'signed';
    case 'taken back':
      return 'taken back';
  }
}
