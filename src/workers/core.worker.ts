import { expose } from 'comlink';
import { calculate } from '../core/calculators';
import { fail, type Result } from '../core/result';
import { baseWays, depthThatMeets, type BaseAnswer, type BaseInput } from '../core/cold/base';
import { readyHours } from '../core/cold/hours';
import type { CoolingRule } from '../core/heat/cooling';
import { fitPlace, type Fit } from '../core/cold/fit';
import type { ColdSetup } from '../core/document/cold-plan-schema';
import { tryEach, type Tried } from '../core/cold/tries';
import { coldView, type ColdView } from '../core/cold/view';
import { analyseSheet } from '../core/analysis/analyse';
import { kitchenOf, type Kitchen, type KitchenFacts } from '../core/kitchen/kitchen';
import type { Sheet } from '../core/document/schema';
import { sweep, type Lever, type SweepPoint } from '../core/rewrite/sweep';
import { tryCapacity, type Capacity } from '../core/timetable/capacity';
import { newDishCache } from '../core/timetable/dish';
import { tryMends, type Mend } from '../core/timetable/mends';
import { tryMerges, type Merge } from '../core/timetable/merges';
import type { Effort } from '../core/timetable/search';
import { eveningOdds, EVENINGS, type EveningOdds } from '../core/odds/evening';
import { straysIn } from '../core/odds/strays';
import { trySurer, type Surer } from '../core/odds/surer';
import { planService, type ServiceAnswer, type ServicePlan } from '../core/timetable/service-plan';
import type { ServiceFacts, SoFar } from '../core/timetable/service-project';
import type { Service } from '../core/timetable/service-schema';

let kitchen: Kitchen | null = null;
/** The question about changes that is being worked on: another one, or none, ends it. */
let trying = 0;
const notThere = fail('kitchen', 'none', 'The kitchen is not there yet.');
let sheets: ReadonlyMap<string, Sheet> = new Map();
const dishes = newDishCache();

/** A question about a service, as it travels. */
export interface ServiceQuestion {
  readonly service: Service;
  readonly soFar: readonly (readonly [string, SoFar])[];
  readonly now: number;
}
const factsOf = (q: ServiceQuestion, of: Kitchen): ServiceFacts => ({ service: q.service, kitchen: of, sheets, batches: new Map(q.soFar), now: q.now });

/** Lets messages in between two long sums. */
const breathe = (): Promise<void> => new Promise((go) => setTimeout(go, 0));

/** The core behind a worker: calculators, several at once, so that one message carries a whole question; and sweeps of a sheet. */
const service = {
  calculateAll: (name: string, inputs: readonly unknown[]): Result<unknown>[] => inputs.map((input) => (kitchen || name !== 'read-recipe' ? calculate(name, input, () => kitchen!) : notThere)),
  /** The kitchen that sweeps rest on: sent once, it is large. */
  keepKitchen: (facts: KitchenFacts): void => {
    kitchen = kitchenOf(facts);
  },
  sweep: (sheet: Sheet, lever: Lever, from: number, to: number, points: number, figure: string): Result<readonly SweepPoint[]> =>
    kitchen ? sweep(sheet, kitchen, lever, from, to, points, figure) : notThere,
  cold: (sheet: Sheet, setup: ColdSetup): Result<ColdView> => (kitchen ? coldView(analyseSheet(sheet, kitchen), kitchen, setup) : notThere),
  coldHours: (sheet: Sheet): number | null => (kitchen ? readyHours(analyseSheet(sheet, kitchen), kitchen) : null),
  /** Tries changes one by one and tells each as it is done; ends where `stopTrying` or another question comes. */
  tryChanges: async (sheet: Sheet, setup: ColdSetup, tell: (tried: Tried, of: number) => void): Promise<void> => {
    if (!kitchen) return;
    const mine = ++trying;
    for (const { tried, of } of tryEach(analyseSheet(sheet, kitchen), kitchen, setup)) {
      tell(tried, of);
      await breathe();
      if (mine !== trying) return;
    }
  },
  stopTrying: (): void => {
    trying++;
  },
  base: (sheet: Sheet, partId: string, startC: number, input: BaseInput, rule: CoolingRule): Result<BaseAnswer> => {
    if (!kitchen) return notThere;
    const a = analyseSheet(sheet, kitchen).parts.find((p) => p.part.id === partId);
    if (!a) return fail('partId', 'gone', 'That part is no longer in the sheet.');
    const base = { name: a.part.name, mixture: a.reading.mixture, freezingG: a.reading.freezingG, startC };
    const ways = baseWays(base, input, rule);
    return ways.ok ? { ok: true, value: { ways: ways.value, depthMm: depthThatMeets(base, input, rule) } } : ways;
  },
  fit: (sheet: Sheet, setup: ColdSetup, readings: readonly (readonly [number, number])[]): Result<Fit> => (kitchen ? fitPlace(analyseSheet(sheet, kitchen), kitchen, setup, readings) : notThere),
  /** The sheets that services serve: sent once, and again when one changes. */
  keepSheets: (docs: readonly (readonly [string, Sheet])[]): void => {
    sheets = new Map(docs);
  },
  plan: (q: ServiceQuestion, effort: Effort): Result<ServiceAnswer> => (kitchen ? planService(factsOf(q, kitchen), dishes, effort) : notThere),
  odds: (plan: ServicePlan): EveningOdds => eveningOdds(plan, EVENINGS, straysIn(kitchen?.corrections ?? [])),
  surer: (q: ServiceQuestion): Surer | null => (kitchen ? trySurer(factsOf(q, kitchen), dishes) : null),
  merges: (q: ServiceQuestion): readonly Merge[] => (kitchen ? tryMerges(factsOf(q, kitchen), dishes) : []),
  /** Tries changes that would make a plan possible and tells each that does; ends where `stopTrying` or another question comes. */
  mends: async (q: ServiceQuestion, stuckAt: readonly string[], tell: (mend: Mend | null, tried: number) => void): Promise<void> => {
    if (!kitchen) return;
    const mine = ++trying;
    let tried = 0;
    for (const mend of tryMends(factsOf(q, kitchen), dishes, stuckAt)) {
      tell(mend, ++tried);
      await breathe();
      if (mine !== trying) return;
    }
  },
  capacity: async (q: ServiceQuestion, servingId: string, tell: (tried: number) => void): Promise<Result<Capacity>> => {
    if (!kitchen) return notThere;
    const mine = ++trying;
    const asking = tryCapacity(factsOf(q, kitchen), dishes, servingId);
    for (;;) {
      const next = asking.next();
      if (next.done) return next.value;
      tell(next.value);
      await breathe();
      if (mine !== trying) return fail('capacity', 'stopped', 'Stopped.');
    }
  },
};

export type CoreService = typeof service;

expose(service);
