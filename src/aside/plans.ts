import 'server-only';
import { fail, type Result } from '../core/result';
import type { DueMoment } from '../core/batch/due';
import type { ServiceAnswer } from '../core/timetable/service-plan';
import { dataFilePath } from '../data/data-file-path';
import { dueMomentsWith, presentServices } from '../data/due';
import type { KitchenDb } from '../data/kitchen-file';
import { aside, tookTooLong } from './aside';

const held = globalThis as typeof globalThis & { softPeakLastPlans?: Map<string, Result<ServiceAnswer>> };
const lastPlans = (): Map<string, Result<ServiceAnswer>> => (held.softPeakLastPlans ??= new Map());

/** The plan of a stored service as it stands, made by the second thread. @param now milliseconds since 1970. */
export async function planOf(serviceId: string, now: number): Promise<Result<ServiceAnswer>> {
  try {
    const answer = await aside().ask('plan', { path: dataFilePath(), serviceId, now });
    lastPlans().set(serviceId, answer);
    return answer;
  } catch (error) {
    if (tookTooLong(error))
      return fail('service', 'took-too-long', `It was not planned within ${error.seconds} s. Fewer servings, or a shorter span, are planned sooner.`);
    throw error;
  }
}

/** What is due in the kitchen, with the plans of its present services as they stand now. */
export async function dueNow(db: KitchenDb, now: number): Promise<readonly DueMoment[]> {
  const plans = new Map<string, Result<ServiceAnswer>>();
  for (const s of presentServices(db, now)) plans.set(s.id, await planOf(s.id, now));
  return dueMomentsWith(db, now, (id) => plans.get(id) ?? null);
}

/** The same by the plans that were made last: for a page that must not wait. */
export const dueByLastPlans = (db: KitchenDb, now: number): readonly DueMoment[] => dueMomentsWith(db, now, (id) => lastPlans().get(id) ?? null);

/** Forgets what was worked out, after the data file has become another. */
export async function forgetPlans(): Promise<void> {
  lastPlans().clear();
  await aside().end();
}
