import { ok, within, type Result } from '../result';
import { OTHER_SETTERS, SHARE_SETTERS, type OtherSetter, type ShareSetter } from './house';

export interface SetterReading {
  readonly name: string;
  /** g per kg of what it sets, or % of the dairy or of the whole. */
  readonly dose: number;
  readonly unit: 'g/kg' | '%';
  readonly low: number;
  readonly high: number;
  readonly verdict: 'under' | 'in-band' | 'over';
  /** What it asks of the cook. */
  readonly rule: string;
}

/** A setter other than gelatin, by g of it in a whole (house ±20 %). @returns a fault on `totalG` or `massG` out of range. */
export function readSetter(setter: OtherSetter, massG: number, totalG: number): Result<SetterReading> {
  return reading(OTHER_SETTERS[setter], massG, totalG, 1000, 'g/kg');
}

/** A cheese, yoghurt, white chocolate or marshmallow as the stabiliser, by its share of the dairy or of the whole (house ±20 %). */
export function readShareSetter(setter: ShareSetter, massG: number, ofG: number): Result<SetterReading> {
  return reading(SHARE_SETTERS[setter], massG, ofG, 100, '%');
}

function reading(
  band: { readonly name: string; readonly low: number; readonly high: number; readonly rule: string },
  massG: number,
  ofG: number,
  per: number,
  unit: SetterReading['unit'],
): Result<SetterReading> {
  const fault = within('totalG', 'What it sets', ofG, 0.1, 10_000_000, 'g') ?? within('massG', band.name, massG, 0, ofG, 'g');
  if (fault) return { ok: false, fault };
  const dose = (per * massG) / ofG;
  return ok({ ...band, dose, unit, verdict: dose < band.low ? 'under' : dose > band.high ? 'over' : 'in-band' });
}
