/** No thermometer of a kitchen goes further, °C. */
export const READABLE_C = { low: -60, high: 300 } as const;

/** Degrees as a cook types them, '71', '71,5 °C', '−18'; °C. @returns null for what is no temperature that a kitchen's thermometer can say. */
export function readDegrees(text: string): number | null {
  const plain = text
    .trim()
    .replace(/\s*°?\s*c$/i, '')
    .replace(',', '.')
    .replace('−', '-');
  const tC = plain === '' ? NaN : Number(plain);
  return Number.isFinite(tC) && tC >= READABLE_C.low && tC <= READABLE_C.high ? tC : null;
}
