import { houseRange, plainNumber, withUnit, type Figure } from '../figure';
import { coldSpread } from '../cold/house';
import type { Ready } from '../cold/ready';
import type { ColdView } from '../cold/view';
import type { SheetAnalysis } from '../analysis/analysed';
import { num } from './figures';

/** When it is ready, with what it waits for. */
export function readyFigure(s: SheetAnalysis, view: ColdView, ready: Ready): Figure {
  const hours = ready.atH ?? 0;
  return {
    key: `ready:${ready.key}`,
    name: `Ready ${ready.name}`,
    value: hours,
    unit: 'h',
    kind: 'house',
    spread: coldSpread(view.fitted),
    range: houseRange(hours, coldSpread(view.fitted)),
    decimals: 1,
    formula: '∂H/∂t = ∇·(k∇T), H = ρ·h; −k ∂T/∂n = h_eff·(T − T_air); ready = the latest of what must happen',
    words:
      'Heat moves through the layers to their faces and into the air, with freezing, fats and air counted at every temperature; gelatin and biscuits run on those temperatures.',
    inputs: [
      ...view.answers.happenings
        .filter((x) => ready.waitsFor.includes(x.name))
        .map((x) => ({ symbol: 't', name: x.name, value: x.toH === null ? 'never' : withUnit(plainNumber(x.toH, 1), 'h'), from: x.says || 'the run' })),
      num('T_air', `air in the ${view.placeName.toLowerCase()}`, view.airC, '°C', 0, 'the kitchen’s places'),
      num('d', 'how high it stands', view.topMm, 'mm', 0, `Tin: ${s.sheet.vessel.name}`),
      num(
        'cells',
        'across and upwards',
        view.across * view.up,
        '',
        0,
        `${view.steps} steps; heat given and lost differ by ${(100 * view.energyError).toExponential(0)} %`,
      ),
    ],
    source:
      'Conduction (physics) with the properties of Choi & Okos; how the air takes heat is known by its kind (±20 %) or by readings in it (±10 %). Against series solutions within 1 %: docs/science/checks.md.',
    limits: 'Contact is perfect, walls hold no heat, doors stay shut. Your own probe readings narrow it: By the probe.',
  };
}
