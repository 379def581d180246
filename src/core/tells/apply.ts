import { addLine, newLine, placePart, setLineAmount, setPart, setLineText, type EditContext } from '../editing/edits';
import { showGramsPlain } from '../figure';
import { readLine } from '../measures/line';
import type { Part, Sheet } from '../document/schema';
import { shortName, switchWay } from '../ways/switch';
import type { TellEdit } from './tell';

/** Egg in the shell, and the carton that stands for it. */
const CARTON: Readonly<Record<string, string>> = {
  'egg-yolk': 'egg-yolk-pasteurised',
  'egg-white': 'egg-white-pasteurised',
  'egg-whole': 'egg-whole-pasteurised',
};

/** The sheet after doing what a tell offers. @param newId gives fresh ids, so that the core has no randomness. */
export function applyTellEdit(sheet: Sheet, change: TellEdit, context: EditContext, newId: () => string): Sheet {
  const part = 'partId' in change ? sheet.parts.find((p) => p.id === change.partId) : undefined;
  switch (change.kind) {
    case 'set-amount':
      return setLineAmount(sheet, change.partId, change.lineId, change.amount, context);
    case 'add-line':
      return addLine(sheet, change.partId, newLine(newId(), change.text, context), context);
    case 'set-portions':
      return { ...sheet, portions: change.portions };
    case 'set-batches':
      return part ? setPart(sheet, part.id, { whisk: { ...part.whisk, batches: change.batches } }, context) : sheet;
    case 'set-mixer':
      return part ? setPart(sheet, part.id, { whisk: { ...part.whisk, mixerId: change.mixerId, batches: 1 } }, context) : sheet;
    case 'set-cream-temperature':
      return part ? setPart(sheet, part.id, { whisk: { ...part.whisk, creamC: change.creamC } }, context) : sheet;
    case 'set-wait':
      return { ...sheet, steps: sheet.steps.map((x) => (x.id === change.stepId ? { ...x, waitH: [...change.waitH], minutes: null } : x)) };
    case 'set-heat':
      return part ? setPart(sheet, part.id, { heat: { ...part.heat, ...change.change } }, context) : sheet;
    case 'switch-way':
      return switchWay(sheet, change.partId, change.question, change.option, { larder: context.larder, measures: context.measures, newId });
    case 'place-part':
      return change.partIds.reduce(placePart, sheet);
    case 'carton-egg':
      return sheet.parts.filter((p) => change.partIds.includes(p.id)).reduce((at, p) => withCartonEgg(at, p, context, newId), sheet);
  }
}

/** Every egg line of a part from the carton, by mass. */
function withCartonEgg(sheet: Sheet, part: Part, context: EditContext, newId: () => string): Sheet {
  if (part.kind === 'egg-foam' && part.lines.some((l) => l.ingredientId === 'egg-yolk' || l.ingredientId === 'egg-whole'))
    return switchWay(sheet, part.id, 'eggs', 'pasteurised', { larder: context.larder, measures: context.measures, newId });
  return part.lines.reduce((at, l) => {
    const carton = context.larder.get(CARTON[l.ingredientId ?? ''] ?? '');
    const egg = context.larder.get(l.ingredientId ?? '');
    const read = carton && egg ? readLine(l.text, egg, context.measures) : null;
    return carton && read?.ok ? setLineText(at, part.id, l.id, `${showGramsPlain(read.value.massG)} ${shortName(carton)}`, context) : at;
  }, sheet);
}
