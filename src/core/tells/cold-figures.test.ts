import { expect, it } from 'vitest';
import { KITCHEN, sheetOf } from '../../testing/sample';
import { analyseSheet } from '../analysis/analyse';
import { mainReady } from '../cold/tries';
import { coldView } from '../cold/view';
import { USUAL_SETUP } from '../document/usual-cold';
import type { Kitchen } from '../kitchen/kitchen';
import { readyFigure } from './cold-figures';

const FRIDGE = KITCHEN.places.find((p) => p.kind.endsWith('fridge'))!;
/** Half of the band of the hours, in this kitchen with this set-up. */
const spread = (kitchen: Kitchen, setup: Partial<typeof USUAL_SETUP> = {}): number | null => {
  const s = analyseSheet(sheetOf(['600 g cream 36 %', '60 g icing sugar']), kitchen);
  const view = coldView(s, kitchen, { ...USUAL_SETUP, placeId: FRIDGE.id, ...setup });
  if (!view.ok) throw new Error(view.fault.says);
  return readyFigure(s, view.value, mainReady(view.value.answers.ready)!).spread;
};

it('hours in the cold are known to a fifth, in a place that was read to a tenth, on a crowded shelf of it to a fifth again', () => {
  const read: Kitchen = { ...KITCHEN, places: KITCHEN.places.map((p) => (p.id === FRIDGE.id ? { ...p, hWPerM2K: 9 } : p)) };
  expect(spread(KITCHEN)).toBe(0.2);
  expect(spread(read)).toBe(0.1);
  expect(spread(read, { air: 'crowded-shelf' })).toBe(0.2);
});
