import { plainNumber, withUnit } from '../figure';
import { waitWords } from './method';
import type { WayDifference } from '../ways/beside';

/** What the kitchen's way has where a written step differs from it, as a figure: '82 °C', 'oven 100 °C', '8–14 h'. */
export function differenceSays(d: WayDifference): string {
  switch (d.kind) {
    case 'heat':
      return withUnit(plainNumber(d.way, 0), '°C');
    case 'oven':
      return `oven ${withUnit(plainNumber(d.way, 0), '°C')}`;
    case 'short':
      return waitWords(d.way);
  }
}
