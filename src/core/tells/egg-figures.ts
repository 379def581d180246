import { houseRange, type Figure } from '../figure';
import { EGG_FOAM_OVERRUN, EGG_WHISK_SPREAD } from '../foam/house';
import type { EggWhip } from '../foam/egg-whisk';
import type { PartAnalysis } from '../analysis/analysed';
import { num } from './figures';

/** Time under the whisk of an egg foam, with its working. */
export function eggWhiskFigure(a: PartAnalysis, w: EggWhip): Figure {
  const seconds = w.window.opensS;
  const { mixer, fill, cold } = w.factors;
  return {
    key: `egg-time:${a.part.id}`,
    name: `Time to ${w.right}`,
    value: seconds,
    unit: 's',
    kind: 'house',
    spread: EGG_WHISK_SPREAD,
    range: houseRange(seconds, EGG_WHISK_SPREAD),
    decimals: 0,
    formula: 't = t₀ / (m · b · c)',
    words:
      'What this egg foam takes in a planetary mixer on fast whose foam fills the bowl well, slower for another mixer, a bowl too full or too empty, and cold eggs.',
    inputs: [
      num('t₀', `${w.right}, at the reference`, seconds * mixer * fill * cold, 's', 0, 'house table by kind of foam'),
      num('m', 'mixer and speed', mixer, '×', 2, a.mixer?.name ?? 'the mixer'),
      num(
        'b',
        'filling of the bowl',
        fill,
        '×',
        2,
        `${(100 * w.fillShare).toFixed(1)} % liquid; its foam, ${EGG_FOAM_OVERRUN[w.foam]} % air, whisks best from ${(100 * w.bestFill).toFixed(1)} %`,
      ),
      num('c', 'cold eggs', cold, '×', 2, `eggs at ${a.part.heat.eggC} °C; nothing is lost from 20 °C on, or where heat comes in`),
    ],
    source: 'House, ours, ±25 %: no table gives it.',
    limits: 'Stop by the look: age of the eggs, acid and a trace of fat move it.',
  };
}
