import { expose } from 'comlink';
import { calculate } from '../core/calculators';
import type { Result } from '../core/result';

/** The core's calculators behind a worker: several at once, so that one message carries a whole question. */
const service = {
  calculateAll: (name: string, inputs: readonly unknown[]): Result<unknown>[] => inputs.map((input) => calculate(name, input)),
};

export type CoreService = typeof service;

expose(service);
