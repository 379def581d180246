import { declarations, storeAtSays, type TubLabel } from '../core/files/tub-label';
import { ok, type Result } from '../core/result';
import { isPerPortion } from '../core/vessel/profile';
import { isFreezer } from '../core/cold/place';
import { fullMoment } from '../core/timetable/says';
import { labelTimes } from '../core/timetable/label-times';
import { dishOf } from '../core/timetable/dish';
import type { KitchenDb } from './kitchen-file';
import { dishCache, plannedService, serviceFacts } from './service-plans';
import type { StoredService } from './services';

/**
 * A label for each vessel of a service's desserts (glasses go on a tray: one for all of them), with when it was or will be made.
 * @param servings which; all where none is named.
 */
export function serviceLabels(db: KitchenDb, service: StoredService, servings: readonly string[], now: number): Result<readonly TubLabel[]> {
  const answer = plannedService(db, service, now);
  if (!answer.ok) return answer;
  const { facts } = serviceFacts(db, service.doc, now);
  const { zone } = service.doc;
  const { rules, places } = facts.kitchen;
  const minute = Math.floor(now / 60_000);
  const freezer = places.find(isFreezer)?.airC ?? -18;
  return ok(
    service.doc.servings
      .filter((s) => servings.length === 0 || servings.includes(s.id))
      .flatMap((s): TubLabel[] => {
        const sheet = facts.sheets.get(s.sheetId);
        const dish = sheet && dishOf(sheet, s, facts.kitchen, dishCache(db));
        if (!dish?.ok) return [];
        const { analysis } = dish.value;
        const times = labelTimes(answer.value.ok ? answer.value.plan : null, s.id, analysis, minute);
        const label: TubLabel = {
          name: sheet!.name,
          kitchen: rules.kitchenName,
          made: fullMoment(times.made, zone, minute),
          useBy: fullMoment(times.useBy, zone, minute),
          declares: declarations(analysis),
          storeAt: storeAtSays(analysis, rules.fridgeC, freezer),
          portions: s.portions,
        };
        return Array.from({ length: isPerPortion(analysis.sheet.vessel) ? 1 : analysis.sheet.tin.count }, () => label);
      }),
  );
}
