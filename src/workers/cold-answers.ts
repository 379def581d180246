import { analyseSheet } from '../core/analysis/analyse';
import { baseWays, depthThatMeets, type BaseAnswer, type BaseInput } from '../core/cold/base';
import { fitPlace, type Fit } from '../core/cold/fit';
import { readyHours } from '../core/cold/hours';
import { tryEach, type Tried } from '../core/cold/tries';
import { coldView, type ColdView } from '../core/cold/view';
import type { ColdSetup } from '../core/document/cold-plan-schema';
import type { Sheet } from '../core/document/schema';
import type { CoolingRule } from '../core/heat/cooling';
import type { Kitchen } from '../core/kitchen/kitchen';
import { fail, type Result } from '../core/result';

/** What the worker answers of a sheet in the cold: loaded at the first such question. */

export const view = (sheet: Sheet, kitchen: Kitchen, setup: ColdSetup): Result<ColdView> => coldView(analyseSheet(sheet, kitchen), kitchen, setup);

export const hours = (sheet: Sheet, kitchen: Kitchen): number | null => readyHours(analyseSheet(sheet, kitchen), kitchen);

export const fit = (sheet: Sheet, kitchen: Kitchen, setup: ColdSetup, readings: readonly (readonly [number, number])[]): Result<Fit> =>
  fitPlace(analyseSheet(sheet, kitchen), kitchen, setup, readings);

export const tries = (sheet: Sheet, kitchen: Kitchen, setup: ColdSetup): Iterable<{ readonly tried: Tried; readonly of: number }> =>
  tryEach(analyseSheet(sheet, kitchen), kitchen, setup);

export function base(sheet: Sheet, kitchen: Kitchen, partId: string, startC: number, input: BaseInput, rule: CoolingRule): Result<BaseAnswer> {
  const a = analyseSheet(sheet, kitchen).parts.find((p) => p.part.id === partId);
  if (!a) return fail('partId', 'gone', 'That part is no longer in the sheet.');
  const hot = { name: a.part.name, mixture: a.reading.mixture, freezingG: a.reading.freezingG, startC };
  const ways = baseWays(hot, input, rule);
  return ways.ok ? { ok: true, value: { ways: ways.value, depthMm: depthThatMeets(hot, input, rule) } } : ways;
}
