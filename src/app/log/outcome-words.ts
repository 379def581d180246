import { plainNumber, showFigure, showSeconds, withUnit } from '../../core/figure';
import type { Comparison } from '../../core/batch/readings';
import type { Track } from '../../core/tells/tell';

const exactly = (c: Comparison, v: number): string => {
  if (c.unit === 's') return showSeconds(v);
  if (c.unit === 'mL') return v < 1000 ? withUnit(plainNumber(v, 0), 'mL') : withUnit(plainNumber(v / 1000, 2), 'L');
  return withUnit(plainNumber(v, v < 10 && !Number.isInteger(v) ? 1 : 0), c.unit);
};

/** What came, exactly as taken; '–' where nothing was taken. */
export const outcomeWords = (c: Comparison): string => (c.outcome === null ? '–' : exactly(c, c.outcome));

/** What was forecast, as its range. */
export function forecastWords(c: Comparison): string {
  if (!c.forecast) return 'no figure';
  const { low, high } = c.forecast;
  return showFigure({ value: c.forecast.value, unit: c.unit, range: [low, high], decimals: 0 });
}

/** Whether the outcome fell within the forecast's range; null while there is nothing to compare. */
export function landed(c: Comparison): boolean | null {
  return c.outcome === null || !c.forecast ? null : c.outcome >= c.forecast.low && c.outcome <= c.forecast.high;
}

/** The forecast's range as a band with the outcome on it; null while there is nothing to compare. */
export function comparisonTrack(c: Comparison): Track | null {
  if (!c.forecast) return null;
  const to = Math.max(c.forecast.high * 1.5, (c.outcome ?? 0) * 1.1);
  return c.outcome === null
    ? null
    : {
        from: 0,
        to,
        low: c.forecast.low,
        high: c.forecast.high,
        value: c.outcome,
        range: null,
        says: `${outcomeWords(c)} against a forecast of ${forecastWords(c)}`,
      };
}
