import { within, type Result, ok } from '../result';
import { SET, SET_NEEDS, type SetNeed } from './house';

const whole = 1 - Math.exp(-(SET.full ** SET.power));

/**
 * How far gelatin has set, 0–1, after hours under 15 °C (house ±25 %).
 * @param hours ≥ 0. @returns 0 at once, 1 from 18 h on.
 */
export const setMaturity = (hours: number): number => Math.min(1, (1 - Math.exp(-((Math.max(0, hours) / SET.hours) ** SET.power))) / whole);

/** Hours under 15 °C until gelatin has set so far (house ±25 %); `maturity` 0–1. */
export function hoursToMaturity(maturity: number): Result<number> {
  const fault = within('maturity', 'How far it has set', maturity, 0, 1, '');
  if (fault) return { ok: false, fault };
  return ok(SET.hours * (-Math.log(1 - maturity * whole)) ** (1 / SET.power));
}

/** Hours under 15 °C until it can be served in a glass, cut, or turned out (house ±25 %); the core must be at 6 °C or below, too. */
export const hoursToSet = (need: SetNeed): number => {
  const hours = hoursToMaturity(SET_NEEDS[need].maturity);
  return hours.ok ? hours.value : 0;
};
