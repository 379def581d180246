import { toC, toF, type ShownUnits } from './shown';

/** No thermometer of a kitchen goes further, °C. */
export const READABLE_C = { low: -60, high: 300 } as const;

/**
 * Degrees as a cook types them, '71', '71,5 °C', '−18', '160 °F'; °C. @returns null for what is no temperature that a kitchen's thermometer can say.
 * @param units a number alone is in these; Celsius where they are not given.
 */
export function readDegrees(text: string, units?: Pick<ShownUnits, 'temperature'>): number | null {
  const m = /^(.*?)\s*(?:[°º]\s*)?([cf])?$/i.exec(text.trim().replace(',', '.').replace('−', '-'))!;
  const number = m[1]!.trim() === '' ? NaN : Number(m[1]);
  const isF = m[2] === undefined ? units?.temperature === '°F' : m[2].toLowerCase() === 'f';
  const tC = isF ? toC(number) : number;
  return Number.isFinite(tC) && tC >= READABLE_C.low && tC <= READABLE_C.high ? tC : null;
}

/** What is to be written instead of something else: 'write degrees Celsius, like 71'. */
export const degreesWanted = (units: Pick<ShownUnits, 'temperature'>, ...likeC: readonly number[]): string => {
  const f = units.temperature === '°F';
  const like = likeC.map((c) => String(Math.round(f ? toF(c) : c)).replace('-', '−')).join(' or ');
  return `write degrees ${f ? 'Fahrenheit' : 'Celsius'}, like ${like}`;
};
