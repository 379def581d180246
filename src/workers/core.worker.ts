import { expose } from 'comlink';
import { calculate } from '../core/calculators';
import { fail, type Result } from '../core/result';
import { kitchenOf, type Kitchen, type KitchenFacts } from '../core/sheet/analyse';
import type { Sheet } from '../core/sheet/schema';
import { sweep, type Lever, type SweepPoint } from '../core/sheet/sweep';

let kitchen: Kitchen | null = null;

/** The core behind a worker: calculators, several at once, so that one message carries a whole question; and sweeps of a sheet. */
const service = {
  calculateAll: (name: string, inputs: readonly unknown[]): Result<unknown>[] => inputs.map((input) => calculate(name, input)),
  /** The kitchen that sweeps rest on: sent once, it is large. */
  keepKitchen: (facts: KitchenFacts): void => {
    kitchen = kitchenOf(facts);
  },
  sweep: (sheet: Sheet, lever: Lever, from: number, to: number, points: number, figure: string): Result<readonly SweepPoint[]> =>
    kitchen ? sweep(sheet, kitchen, lever, from, to, points, figure) : fail('kitchen', 'none', 'The kitchen is not there yet.'),
};

export type CoreService = typeof service;

expose(service);
