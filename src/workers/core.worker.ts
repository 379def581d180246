import { expose } from 'comlink';
import type { Calculator } from '../core/calculators';
import type { BaseAnswer, BaseInput } from '../core/cold/base';
import type { Fit } from '../core/cold/fit';
import type { Tried } from '../core/cold/tries';
import type { ColdView } from '../core/cold/view';
import type { ColdSetup } from '../core/document/cold-plan-schema';
import type { Sheet } from '../core/document/schema';
import type { CoolingRule } from '../core/heat/cooling';
import type { Kitchen, KitchenFacts } from '../core/kitchen/kitchen';
import type { EveningOdds } from '../core/odds/evening';
import type { Buy } from '../core/odds/buys';
import type { Surer } from '../core/odds/surer';
import { fail, type Result } from '../core/result';
import type { Lever, SweepPoint } from '../core/rewrite/sweep';
import type { Capacity } from '../core/timetable/capacity';
import type { DishCache } from '../core/timetable/dish';
import type { Mend } from '../core/timetable/mends';
import type { Merge } from '../core/timetable/merges';
import type { Effort } from '../core/timetable/search';
import type { ServiceAnswer, ServicePlan } from '../core/timetable/service-plan';
import type { ServiceFacts, SoFar } from '../core/timetable/service-project';
import type { Service } from '../core/timetable/service-schema';

// Each part of the core is loaded at the first question that needs it: Tin brings no cold, Cold no timetable.
const cold = () => import('./cold-answers');
const services = () => import('./service-answers');

/** The calculators that pages ask for. */
const CALCULATORS = {
  biscuits: () => import('../core/calculators/building').then((c) => c.biscuitsCalculator),
  solve: () => import('../core/calculators/balance').then((c) => c.solveCalculator),
  'trade-off': () => import('../core/calculators/balance').then((c) => c.tradeOffCalculator),
} as const;
const noKitchen = (): never => {
  throw new Error('None of these calculators asks for a kitchen.');
};
export type AskedCalculator = keyof typeof CALCULATORS;

let facts: KitchenFacts | null = null;
let made: Promise<Kitchen> | null = null;
/** The kitchen that was sent; null before one is there. */
const kitchenNow = (): Promise<Kitchen> | null => {
  const sent = facts;
  return sent && (made ??= import('../core/kitchen/kitchen').then((k) => k.kitchenOf(sent)));
};
/** The question about changes that is being worked on: another one, or none, ends it. */
let trying = 0;
const notThere = fail('kitchen', 'none', 'The kitchen is not there yet.');
let sheets: ReadonlyMap<string, Sheet> = new Map();
let dishes: DishCache | null = null;

/** A question about a service, as it travels. */
export interface ServiceQuestion {
  readonly service: Service;
  readonly soFar: readonly (readonly [string, SoFar])[];
  readonly now: number;
}
const factsOf = (q: ServiceQuestion, of: Kitchen): ServiceFacts => ({ service: q.service, kitchen: of, sheets, batches: new Map(q.soFar), now: q.now });

/** Lets messages in between two long sums. */
const breathe = (): Promise<void> => new Promise((go) => setTimeout(go, 0));

/** The core behind a worker: calculators, several at once, so that one message carries a whole question; the cold, services and sweeps of a sheet. */
const service = {
  calculateAll: async (name: AskedCalculator, inputs: readonly unknown[]): Promise<Result<unknown>[]> => {
    const [{ runCalculator }, calculator] = await Promise.all([import('../core/calculators/define'), CALCULATORS[name]() as Promise<Calculator>]);
    return inputs.map((input) => runCalculator(calculator, input, noKitchen));
  },
  /** The kitchen that sweeps rest on: sent once, it is large. */
  keepKitchen: (sent: KitchenFacts): void => {
    facts = sent;
    made = null;
  },
  sweep: async (sheet: Sheet, lever: Lever, from: number, to: number, points: number, figure: string): Promise<Result<readonly SweepPoint[]>> => {
    const [kitchen, { sweep }] = await Promise.all([kitchenNow(), import('../core/rewrite/sweep')]);
    return kitchen ? sweep(sheet, kitchen, lever, from, to, points, figure) : notThere;
  },
  cold: async (sheet: Sheet, setup: ColdSetup): Promise<Result<ColdView>> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), cold()]);
    return kitchen ? it.view(sheet, kitchen, setup) : notThere;
  },
  coldHours: async (sheet: Sheet): Promise<number | null> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), cold()]);
    return kitchen ? it.hours(sheet, kitchen) : null;
  },
  /** Tries changes one by one and tells each as it is done; ends where `stopTrying` or another question comes. */
  tryChanges: async (sheet: Sheet, setup: ColdSetup, tell: (tried: Tried, of: number) => void): Promise<void> => {
    const mine = ++trying;
    const [kitchen, it] = await Promise.all([kitchenNow(), cold()]);
    if (!kitchen || mine !== trying) return;
    for (const { tried, of } of it.tries(sheet, kitchen, setup)) {
      tell(tried, of);
      await breathe();
      if (mine !== trying) return;
    }
  },
  stopTrying: (): void => {
    trying++;
  },
  base: async (sheet: Sheet, partId: string, startC: number, input: BaseInput, rule: CoolingRule): Promise<Result<BaseAnswer>> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), cold()]);
    return kitchen ? it.base(sheet, kitchen, partId, startC, input, rule) : notThere;
  },
  fit: async (sheet: Sheet, setup: ColdSetup, readings: readonly (readonly [number, number])[]): Promise<Result<Fit>> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), cold()]);
    return kitchen ? it.fit(sheet, kitchen, setup, readings) : notThere;
  },
  /** The sheets that services serve: sent once, and again when one changes. */
  keepSheets: (docs: readonly (readonly [string, Sheet])[]): void => {
    sheets = new Map(docs);
  },
  plan: async (q: ServiceQuestion, effort: Effort): Promise<Result<ServiceAnswer>> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    dishes ??= it.newDishCache();
    return kitchen ? it.planService(factsOf(q, kitchen), dishes, effort) : notThere;
  },
  odds: async (plan: ServicePlan): Promise<EveningOdds> => {
    const it = await services();
    return it.eveningOdds(plan, it.EVENINGS, it.straysIn(facts ?? { corrections: [], places: [] }));
  },
  surer: async (q: ServiceQuestion): Promise<Surer | null> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    dishes ??= it.newDishCache();
    return kitchen ? it.trySurer(factsOf(q, kitchen), dishes) : null;
  },
  /** Tries what would make a plan surer and tells after each; ends where `stopTrying` or another question comes. */
  buys: async (q: ServiceQuestion, tell: (tried: number, of: number, buys: readonly Buy[]) => void): Promise<void> => {
    const mine = ++trying;
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    if (!kitchen || mine !== trying) return;
    dishes ??= it.newDishCache();
    for (const { tried, of, buys } of it.tryBuys(factsOf(q, kitchen), dishes)) {
      tell(tried, of, buys);
      await breathe();
      if (mine !== trying) return;
    }
  },
  merges: async (q: ServiceQuestion): Promise<readonly Merge[]> => {
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    dishes ??= it.newDishCache();
    return kitchen ? it.tryMerges(factsOf(q, kitchen), dishes) : [];
  },
  /** Tries changes that would make a plan possible and tells each that does; ends where `stopTrying` or another question comes. */
  mends: async (q: ServiceQuestion, stuckAt: readonly string[], tell: (mend: Mend | null, tried: number) => void): Promise<void> => {
    const mine = ++trying;
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    if (!kitchen || mine !== trying) return;
    dishes ??= it.newDishCache();
    let tried = 0;
    for (const mend of it.tryMends(factsOf(q, kitchen), dishes, stuckAt)) {
      tell(mend, ++tried);
      await breathe();
      if (mine !== trying) return;
    }
  },
  capacity: async (q: ServiceQuestion, servingId: string, tell: (tried: number) => void): Promise<Result<Capacity>> => {
    const mine = ++trying;
    const [kitchen, it] = await Promise.all([kitchenNow(), services()]);
    if (!kitchen) return notThere;
    dishes ??= it.newDishCache();
    const asking = it.tryCapacity(factsOf(q, kitchen), dishes, servingId);
    for (;;) {
      if (mine !== trying) return fail('capacity', 'stopped', 'Stopped.');
      const next = asking.next();
      if (next.done) return next.value;
      tell(next.value);
      await breathe();
    }
  },
};

export type CoreService = typeof service;

expose(service);
