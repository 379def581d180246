import { eq } from 'drizzle-orm';
import { newLine, type EditContext } from '../../core/editing/edits';
import { batchPlan } from '../../core/batch/make-batch';
import { freshProgress, type OffPlan } from '../../core/batch/batch';
import type { ObservationKind } from '../../core/batch/observation';
import { startingPart } from '../../core/editing/starting';
import { settleMethod } from '../../core/ways/settle';
import { kitchenOf, type Kitchen } from '../../core/kitchen/kitchen';
import { USUAL_COLD } from '../../core/document/usual-cold';
import { USUAL_TIN } from '../../core/document/usual-tin';
import { STARTING_VESSELS } from '../../core/vessel/profile';
import { matcherFor } from '../../core/measures/match';
import { FORMAT_VERSION, USUAL_WAIT_H } from '../../core/document/kinds';
import type { Part, Sheet } from '../../core/document/schema';
import type { ReadingKind } from '../../core/batch/method';
import type { StockPack } from '../../core/larder/stock';
import type { Cook } from '../../core/kitchen/crew-schema';
import type { Service } from '../../core/timetable/service-schema';
import { EMPTY_SERVICE } from '../../core/timetable/usual';
import { DAILY } from '../../core/kitchen/usual-crew';
import { localTime, nextDay } from '../../core/timetable/zone';
import { createService } from '../services';
import { putPacks } from '../stock';
import type { KitchenDb } from '../kitchen-file';
import { readKitchenFacts } from '../kitchen-facts';
import { batches, ingredients, kitchenRules, observations, readings } from '../schema';
import { createSheet, everySheet } from '../sheets';
import { SAMPLE_JOBS, sampleBook } from './sample-book';
import { SAMPLE_INGREDIENTS } from './sample-ingredients';
import { SAMPLE_SHEETS, type SampleSheet } from './sample-sheets';
import { seededNumbers } from '../../core/random';

/** What happened in the past month: days ago, and how far each outcome lay from the forecast. */
interface SampleBatch {
  readonly sheet: string;
  readonly daysAgo: number;
  readonly hour: number;
  readonly time: number;
  readonly air: number;
  readonly hold: number | null;
  readonly note: string;
  /** A cold place other than the under-counter fridge. */
  readonly place?: string;
  readonly offPlan?: readonly (readonly [min: number, kind: OffPlan['kind'], words: string])[];
  readonly seen?: readonly (readonly [hoursOn: number, kind: ObservationKind, value: number | null, words: string])[];
}

const BATCHES: readonly SampleBatch[] = [
  { sheet: 'bay-leaf-chantilly', daysAgo: 27, hour: 10, time: 1.12, air: 0.95, hold: 0.9, note: '' },
  {
    sheet: 'malted-cheese-frosting',
    daysAgo: 24,
    hour: 9,
    time: 1.05,
    air: 1.06,
    hold: null,
    note: 'Cheese still cold in the middle, small lumps. Softer next time.',
  },
  { sheet: 'brown-butter-piping-cream', daysAgo: 22, hour: 14, time: 1.1, air: 0.9, hold: null, note: '' },
  {
    sheet: 'bay-leaf-chantilly',
    daysAgo: 18,
    hour: 11,
    time: 1.62,
    air: 0.66,
    hold: 0.5,
    note: 'Turned away for the oven: grainy at the edge. Saved with 60 g of fresh cream.',
    offPlan: [[14, 'more', 'cream: 60 g more, whisked in by hand']],
  },
  { sheet: 'bay-leaf-chantilly', daysAgo: 15, hour: 10, time: 1.08, air: 1.02, hold: 1.15, note: '' },
  {
    sheet: 'brown-butter-piping-cream',
    daysAgo: 12,
    hour: 13,
    time: 1.16,
    air: 0.97,
    hold: 0.42,
    note: 'Wept overnight: the gelatin went in too cold and strung.',
    seen: [
      [15, 'weep', 14, 'round the edge'],
      [15, 'slice', null, 'leans'],
    ],
  },
  {
    sheet: 'malted-cheese-frosting',
    daysAgo: 9,
    hour: 9,
    time: 1.14,
    air: 0.98,
    hold: 1.05,
    note: '',
    place: 'tall-fridge',
    seen: [[20, 'note', null, 'still pipes with sharp edges']],
  },
  { sheet: 'bay-leaf-chantilly', daysAgo: 5, hour: 16, time: 1.05, air: 1.07, hold: 0.95, note: '' },
  { sheet: 'brown-butter-piping-cream', daysAgo: 2, hour: 12, time: 1.11, air: 0.94, hold: null, note: '' },
  { sheet: 'bay-leaf-chantilly', daysAgo: 0, hour: -1, time: 1.09, air: 1.01, hold: null, note: '' },
];

/** The two cooks of Gannet Quay: one by day, one into the night. */
const CREW: Cook[] = [
  { id: 'early', name: 'Early cook', hours: [{ days: [...DAILY], from: '07:00', to: '15:30' }] },
  { id: 'late', name: 'Late cook', hours: [{ days: [...DAILY], from: '12:00', to: '22:30' }] },
];

/** What lies in the larder: a few packs, one opened, one that ends soon. */
function sampleStock(now: number): StockPack[] {
  const day = (n: number): string => new Date(now + n * 86_400_000).toISOString().slice(0, 10);
  return [
    { id: 'pack-1', ingredientId: 'cream-36', sizeG: 1000, leftG: 1000, bestBefore: day(6), lot: 'L 3291' },
    { id: 'pack-2', ingredientId: 'cream-36', sizeG: 1000, leftG: 380, bestBefore: day(3), lot: 'L 3284' },
    { id: 'pack-3', ingredientId: 'sugar-caster', sizeG: 1000, leftG: 640, bestBefore: null, lot: '' },
    { id: 'pack-4', ingredientId: 'mascarpone', sizeG: 500, leftG: 500, bestBefore: day(9), lot: 'M 77 B' },
  ];
}

/** A dinner on the evening after `now`: an icebox cake, a semifreddo, a syllabub. */
function sampleDinner(now: number): Service {
  const zone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  const day = nextDay(localTime(Math.floor(now / 60_000), zone).slice(0, 10));
  const serving = (id: string, sheetId: string, time: string, portions: number) => ({
    id,
    sheetId,
    at: `${day}T${time}`,
    portions,
    vessel: null,
    placeId: null,
    batchId: null,
  });
  return {
    ...EMPTY_SERVICE,
    name: 'Harbour dinner',
    zone,
    crew: CREW,
    servings: [
      serving('icebox', 'pear-icebox', '20:15', 12),
      serving('semifreddo', 'honey-semifreddo', '20:30', 12),
      serving('syllabub', 'elderflower-syllabub', '20:00', 6),
    ],
  };
}

/** A sample sheet as a document: lines read by the larder, steps written by its ways. */
export function sampleDoc(sample: SampleSheet, context: EditContext, usualMixer: string): Sheet {
  const parts: Part[] = [];
  for (const p of sample.parts) {
    const part = startingPart(p.id, p.kind, p.whisk?.mixerId ?? usualMixer);
    const named = { ...part, name: p.name, ways: p.ways ?? {}, whisk: { ...part.whisk, ...p.whisk }, heat: { ...part.heat, ...p.heat } };
    parts.push({ ...named, lines: p.lines.map((text, n) => newLine(`${p.id}-${n + 1}`, text, context, { parts, partId: p.id })) });
  }
  const vessel = STARTING_VESSELS.find((v) => v.name === sample.vessel);
  if (!vessel) throw new Error(`sample sheet ${sample.id}: no vessel ${sample.vessel}`);
  const { name, family, portions, use, sweetness, notes, ways = {}, servedAfterH = USUAL_WAIT_H, tin = {} } = sample;
  return settleMethod(
    {
      format: 'soft-peak-sheet',
      formatVersion: FORMAT_VERSION,
      name,
      family,
      portions,
      use,
      sweetness,
      vessel,
      tin: { ...USUAL_TIN, ...tin },
      cold: USUAL_COLD,
      parts,
      steps: [],
      method: 'ways',
      ways,
      servedAfterH,
      notes,
      unread: [],
    },
    context.larder,
  );
}

/**
 * Fills a kitchen without sheets with Gannet Quay, a made-up dessert kitchen on a harbour wall. Does nothing to a kitchen that has any.
 * @param now milliseconds since 1970; the batches lie in the month before it.
 * @returns whether it was filled.
 */
export function seedSampleKitchen(db: KitchenDb, now: number): boolean {
  if (everySheet(db).length > 0) return false;
  const rules = readKitchenFacts(db).rules;
  db.update(kitchenRules)
    .set({
      rules: { ...rules, kitchenName: 'Gannet Quay', shown: { ...rules.shown, currency: 'EUR' }, crew: CREW, book: { ...rules.book, jobs: [...SAMPLE_JOBS] } },
    })
    .where(eq(kitchenRules.id, 1))
    .run();
  for (const i of SAMPLE_INGREDIENTS) db.insert(ingredients).values({ id: i.id, name: i.name, facts: i }).onConflictDoNothing().run();
  const facts = readKitchenFacts(db);
  const kitchen = kitchenOf(facts);
  const context: EditContext = { larder: kitchen.larder, matcher: matcherFor(facts.larder), measures: { cups: facts.rules.cups, eggs: facts.rules.eggs } };
  const docs = new Map<string, Sheet>();
  SAMPLE_SHEETS.forEach((s, i) => {
    const doc = sampleDoc(s, context, facts.mixers[0]?.id ?? 'planetary');
    docs.set(s.id, doc);
    createSheet(db, s.id, doc, now - (SAMPLE_SHEETS.length - i) * 3_600_000);
  });
  const random = seededNumbers(20_26);
  BATCHES.forEach((b, n) => addPastBatch(db, b, n, docs, kitchen, now, random));
  putPacks(db, sampleStock(now), now);
  createService(db, 'harbour-dinner', sampleDinner(now), now);
  sampleBook(db, now);
  return true;
}

function addPastBatch(db: KitchenDb, b: SampleBatch, n: number, docs: ReadonlyMap<string, Sheet>, kitchen: Kitchen, now: number, random: () => number): void {
  const doc = docs.get(b.sheet)!;
  const plan = batchPlan(doc, kitchen);
  if (!plan.ok) throw new Error(`sample sheet ${b.sheet}: ${plan.fault.says}`);
  const day = new Date(now - b.daysAgo * 86_400_000);
  const startedAt = b.hour < 0 ? now - 75 * 60_000 : day.setHours(b.hour, 5 + Math.floor(random() * 40), 0, 0);
  const endedAt = startedAt + 25 * 60_000;
  const { forecast, steps } = plan.value;
  const seconds = Math.round((forecast.stageTimeS?.value ?? 0) * b.time);
  const liquidG = 118 + Math.round(random() * 6);
  const overrunPct = (forecast.overrunPct?.value ?? 0) * b.air;
  const foamG = Math.round((liquidG / (1 + overrunPct / 100)) * 2) / 2;
  const values: [ReadingKind, number, string][] = [
    ['cream-temperature', 5, '5'],
    ['minutes-to-stage', seconds / 60, `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`],
    ['cup-liquid', liquidG, `${liquidG}`],
    ['cup-foam', foamG, `${foamG}`],
  ];
  if (b.hold !== null && forecast.holdCleanH) {
    const hours = Math.max(0.5, Math.round(Math.min(70, forecast.holdCleanH.value * b.hold)));
    values.push(['hold-hours', hours, `${hours}`]);
  }
  const id = `sample-${n + 1}`;
  const progress = {
    ...freshProgress(),
    step: steps.length - 1,
    note: b.note,
    placeId: b.place ?? 'under-counter',
    offPlan: (b.offPlan ?? []).map(([min, kind, words]) => ({ at: startedAt + min * 60_000, kind, words })),
    fields: Object.fromEntries(values.map(([kind, , text]) => [kind, text])),
  };
  db.insert(batches)
    .values({ id, sheetId: b.sheet, sheetVersion: 1, portions: doc.portions, status: 'finished', plan: plan.value, progress, startedAt, endedAt })
    .run();
  for (const [n, [hoursOn, kind, amount, words]] of (b.seen ?? []).entries())
    db.insert(observations)
      .values({ id: `${id}-seen-${n + 1}`, batchId: id, kind, at: endedAt + hoursOn * 3_600_000, value: amount, words })
      .run();
  for (const [kind, value] of values) db.insert(readings).values({ batchId: id, kind, value, takenAt: endedAt }).run();
}
