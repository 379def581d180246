import type { SheetAnalysis } from '../analysis/analysed';
import { asksCold } from '../document/cold-waits';
import type { Kitchen } from '../kitchen/kitchen';
import { filledVessels } from '../analysis/build';
import { isPerPortion } from '../vessel/profile';
import { coldAnswers } from './ready';
import { runCold } from './run';
import { mainReady } from './tries';

/**
 * Hours in the cold until a dessert is ready for its use, in its own vessels and place, as many as there are (heat solver, ±20 % for the air).
 * Null where nothing asks for them, and where the solver gives no answer.
 */
export function readyHours(s: SheetAnalysis, kitchen: Kitchen): number | null {
  if (!asksCold(s.sheet)) return null;
  const { setup } = s.sheet.cold;
  const many = isPerPortion(s.sheet.vessel) ? s.sheet.portions : filledVessels(s)[0]!.count;
  const run = runCold(s, kitchen, { ...setup, together: Math.max(setup.together, many) });
  return run.ok ? (mainReady(coldAnswers(s, kitchen, run.value).ready)?.atH ?? null) : null;
}
