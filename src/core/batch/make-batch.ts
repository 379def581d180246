import { analyseSheet, mainPart } from '../analysis/analyse';
import type { Kitchen } from '../kitchen/kitchen';
import type { BatchPlan } from './batch';
import { byBowlfuls } from './bowlfuls';
import { forecastOf } from './forecast';
import { shownSteps } from './method';
import { beforeStarting, miseGroups } from './mise';
import { fail, ok, type Result } from '../result';
import type { Sheet } from '../document/schema';
import { workOfStep } from '../ways/step-work';

/**
 * What a batch of a sheet is started with: its steps and its forecast, frozen.
 * @param scale how many times the stored sheet this one is; only written down.
 * @param coldH hours in the cold until it is ready, as Cold has them.
 * @returns a fault when there is nothing in the bowl to weigh.
 */
export function batchPlan(sheet: Sheet, kitchen: Kitchen, scale = 1, coldH: number | null = null): Result<BatchPlan> {
  const analysis = analyseSheet(sheet, kitchen);
  if (analysis.mixture.massG <= 0) {
    return fail('lines', 'empty', 'There is nothing to weigh yet: add the cream on Bench first.');
  }
  const written = shownSteps(analysis, coldH);
  const steps = byBowlfuls(written, analysis);
  return ok({
    sheetName: sheet.name,
    partName: mainPart(analysis).part.name,
    steps: steps.map((s) => ({
      ...s,
      lines: [...s.lines],
      readings: [...s.readings],
      waitMin: s.waitMin && [...s.waitMin],
      saidMin: s.saidMin && [...s.saidMin],
      bowlful: s.bowlful && [...s.bowlful],
    })),
    before: [...beforeStarting(written, analysis, kitchen.rules.ovens)],
    mise: miseGroups(steps).map((g) => ({ ...g, lines: [...g.lines] })),
    scale,
    ends: endsOf(sheet),
    forecast: forecastOf(analysis),
    allergens: [...new Set(analysis.parts.flatMap((a) => a.reading.allergens))].sort(),
  });
}

/** A nest, or what is crowned and served at once, is never put away; what rests last in the cold is. */
function endsOf(sheet: Sheet): BatchPlan['ends'] {
  if (sheet.method === 'ways') return sheet.family === 'nest' ? 'plate' : 'cold';
  const works = sheet.steps.map(workOfStep);
  const cold = Math.max(works.lastIndexOf('chill'), works.lastIndexOf('freeze'));
  return cold >= 0 && works.lastIndexOf('serve') < cold ? 'cold' : works.includes('serve') || sheet.family === 'nest' ? 'plate' : 'cold';
}
