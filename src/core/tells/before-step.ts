import { mainPart } from '../analysis/analyse';
import type { SheetAnalysis } from '../analysis/analysed';
import type { StepWork } from '../document/kinds';
import type { Step } from '../document/schema';
import { workOfStep } from '../ways/step-work';
import { tellName } from './glance';
import type { TellName } from './glance-words';
import { worstFirst, type Tell } from './tell';

/**
 * At which work a judgement is still of use: before the whisk that the cream is too warm, not after it. None where it is of the dessert as it
 * is written, and stands on Bench. One for each kind of tell.
 */
const USED_AT: Readonly<Record<TellName, readonly StepWork[]>> = {
  unread: [],
  'idle-lines': [],
  lacks: [],
  'idle-parts': [],
  left: [],
  'unread-text': [],
  fat: ['whisk'],
  bowl: ['whisk', 'beat'],
  beaten: ['beat'],
  lean: ['whisk'],
  'sour-whisk': ['whisk'],
  warm: ['whisk'],
  air: ['whisk'],
  sandy: ['whisk'],
  portions: ['fill'],
  sweetness: [],
  hold: ['chill'],
  counter: ['finish', 'serve'],
  gelatin: ['soak'],
  'set-time': ['chill'],
  set: ['chill'],
  setter: ['heat', 'hands'],
  'fold-keeps': ['fold'],
  'folds-on': ['fold'],
  fold: ['fold'],
  ganache: ['heat', 'hands'],
  mix: ['hands', 'beat'],
  temper: ['fold', 'hands', 'whisk'],
  'fat-sets': ['whisk', 'chill'],
  egg: ['heat', 'whisk'],
  'raw-egg': ['fill', 'serve'],
  syrup: ['heat'],
  reduce: ['heat'],
  'ice-bath': ['wait'],
  knife: ['freeze', 'serve'],
  ice: ['freeze'],
  solids: ['freeze'],
  thaw: ['wait', 'serve'],
  alcohol: ['serve'],
  caffeine: ['serve'],
  syllabub: ['chill'],
  layers: ['fill'],
  soak: ['soak', 'fill'],
  soft: ['chill'],
  'crown-weight': ['finish'],
  browns: ['finish', 'hands'],
  thins: ['chill'],
  damp: ['finish', 'wait'],
  cautions: ['serve'],
};
/** More are not read with wet hands. */
const MOST = 2;

/**
 * Judgements to mind before a step: those that are not in their band, of its part or of the whole, where they can still be acted on.
 * @param tells of the sheet at the size that is made. @returns at most two, the worst first.
 */
export function tellsBefore(
  s: SheetAnalysis,
  tells: readonly Tell[],
  step: Pick<Step, 'id' | 'partId' | 'parts' | 'work' | 'whisks' | 'ovenC' | 'key'>,
): readonly Tell[] {
  const work = workOfStep(step);
  const main = mainPart(s).part.id;
  const speaksOf = (tell: Tell): boolean => {
    const of = tell.key.slice(tellName(tell.key).length + 1);
    if (of === step.id) return true;
    if (s.sheet.steps.some((x) => x.id === of)) return false;
    const part = s.parts.some((a) => a.part.id === of) ? of : s.parts.length > 1 && PARTS_OWN.has(tellName(tell.key)) ? main : null;
    return part === null || part === step.partId || (step.partId === null && step.parts.includes(part));
  };
  return worstFirst(tells.filter((t) => (t.state === 'out' || t.state === 'near') && USED_AT[tellName(t.key)].includes(work) && speaksOf(t))).slice(0, MOST);
}

/** Judgements without a part's name that are of the main part. */
const PARTS_OWN: ReadonlySet<TellName> = new Set(['fat', 'bowl', 'beaten', 'lean', 'sour-whisk', 'warm', 'air', 'sandy']);
