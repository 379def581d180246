import { inShownUnits } from '../core/measures/shown';
import { declarations, storeAtSays, type TubLabel } from '../core/files/tub-label';
import { fail, ok, type Result } from '../core/result';
import { analyseSheet } from '../core/analysis/analyse';
import { isDiscarded, withMends } from '../core/mend/batch-case';
import type { SheetAnalysis } from '../core/analysis/analysed';
import { kitchenOf, type KitchenFacts } from '../core/kitchen/kitchen';
import { isPerPortion } from '../core/vessel/profile';
import { isFreezer } from '../core/kitchen/place';
import { fullMoment } from '../core/timetable/clock-words';
import { labelTimes } from '../core/timetable/label-times';
import { dishOf } from '../core/timetable/dish';
import { sheetOfBatch } from './batch-sheet';
import { getBatch } from './batches';
import { readKitchenFacts } from './kitchen-facts';
import type { KitchenDb } from './kitchen-file';
import { dishCache, plannedService, serviceFacts } from './service-plans';
import type { StoredService } from './services';

const MINUTE_MS = 60_000;
const MINUTES_AN_HOUR = 60;

/** The label of a dessert. @param times minutes since 1970. */
function labelOf(
  analysis: SheetAnalysis,
  kitchen: Pick<KitchenFacts, 'rules' | 'places'>,
  times: { readonly made: number; readonly useBy: number },
  zone: string,
  now: number,
): TubLabel {
  const { rules, places } = kitchen;
  return {
    name: analysis.sheet.name,
    kitchen: rules.kitchenName,
    made: fullMoment(times.made, zone, now),
    useBy: fullMoment(times.useBy, zone, now),
    declares: declarations(analysis),
    storeAt: inShownUnits(storeAtSays(analysis, rules.fridgeC, places.find(isFreezer)?.airC ?? -18), rules.shown),
    portions: analysis.sheet.portions,
  };
}

/** One for each tin, tray or tub; glasses stand on one tray. */
const tubsOf = (analysis: SheetAnalysis): number => (isPerPortion(analysis.sheet.vessel) ? 1 : analysis.sheet.tin.count);

/** A batch as it was made: its version at its size, made when it went into the cold; now where it has not yet. */
function madeBatch(
  db: KitchenDb,
  batchId: string,
  now: number,
): Result<{ readonly analysis: SheetAnalysis; readonly kitchen: KitchenFacts; readonly times: { readonly made: number; readonly useBy: number } }> {
  const batch = getBatch(db, batchId);
  if (!batch) return fail('batch', 'gone', 'This batch is no longer in the log.');
  const kitchen = readKitchenFacts(db);
  const sheet = sheetOfBatch(db, batch, kitchenOf(kitchen));
  if (!sheet.ok) return sheet;
  if (isDiscarded(batch.progress.mends)) return fail('batch', 'discarded', 'This batch was thrown away: it gets no label.');
  const analysis = analyseSheet(withMends(sheet.value, batch.progress.mends), kitchenOf(kitchen));
  const made = Math.floor((batch.endedAt ?? now) / MINUTE_MS);
  return ok({ analysis, kitchen, times: { made, useBy: made + Math.round(MINUTES_AN_HOUR * analysis.keeping.eatByH) } });
}

/** By when a batch is eaten, minutes since 1970. @returns a fault where its version is gone or it was thrown away. */
export function eatByOf(db: KitchenDb, batchId: string, now: number): Result<number> {
  const made = madeBatch(db, batchId, now);
  return made.ok ? ok(made.value.times.useBy) : made;
}

/** A label for each vessel of a batch. */
export function batchLabels(db: KitchenDb, batchId: string, now = Date.now()): Result<readonly TubLabel[]> {
  const made = madeBatch(db, batchId, now);
  if (!made.ok) return made;
  const { analysis, kitchen, times } = made.value;
  return ok(
    Array.from({ length: tubsOf(analysis) }, () =>
      labelOf(analysis, kitchen, times, kitchen.rules.zone || Intl.DateTimeFormat().resolvedOptions().timeZone, Math.floor(now / MINUTE_MS)),
    ),
  );
}

/**
 * A label for each vessel of a service's desserts (glasses go on a tray: one for all of them), with when it was or will be made.
 * @param servings which; all where none is named.
 */
export function serviceLabels(db: KitchenDb, service: StoredService, servings: readonly string[], now: number): Result<readonly TubLabel[]> {
  const answer = plannedService(db, service, now);
  if (!answer.ok) return answer;
  const { facts } = serviceFacts(db, service.doc, now);
  const { zone } = service.doc;
  const minute = Math.floor(now / MINUTE_MS);
  return ok(
    service.doc.servings
      .filter((s) => servings.length === 0 || servings.includes(s.id))
      .flatMap((s): TubLabel[] => {
        const sheet = facts.sheets.get(s.sheetId);
        const dish = sheet && dishOf(sheet, s, facts.kitchen, dishCache(db));
        if (!dish?.ok) return [];
        const { analysis } = dish.value;
        const times = labelTimes(answer.value.ok ? answer.value.plan : null, s.id, analysis, minute);
        const label = labelOf(analysis, facts.kitchen, times, zone, minute);
        return Array.from({ length: tubsOf(analysis) }, () => label);
      }),
  );
}
