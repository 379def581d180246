import { fail, ok, within, type Result } from '../result';
import type { HeatContent } from './heat-content';

/** From a stirred base to its pan's wall, W/m²K (house ±30 %). */
export const INNER_H = 200;
export const STIRRED_SPREAD = 0.3;

export interface StirredInput {
  readonly heat: HeatContent;
  readonly massG: number;
  readonly startC: number;
  /** Wall that the bath touches, m². */
  readonly areaM2: number;
  /** Outside: the bath's or the air's heat transfer, W/m²K, and the wall's resistance, m²K/W. */
  readonly outerH: number;
  readonly wallM2KPerW: number;
  readonly bathC: number;
}

/**
 * How a base that is stirred in its pan cools: it has one temperature, dH/dt = −A·(T − T_bath)/(1/h + wall + 1/200) (house ±30 %). Steps of
 * a hundredth of what is left, each by the middle point.
 *
 * @param untilC stops there.
 * @returns readings (min, °C); a fault when the bath is warmer than what is wanted, or nothing cools.
 */
export function stirredCurve(i: StirredInput, untilC: number, mostMin = 24 * 60): Result<readonly (readonly [min: number, tC: number])[]> {
  const fault =
    within('startC', 'The base', i.startC, -5, 120, '°C') ??
    within('massG', 'The base', i.massG, 1, 1_000_000, 'g') ??
    within('areaM2', 'The wall', i.areaM2, 1e-4, 10, 'm²');
  if (fault) return { ok: false, fault };
  if (!(i.outerH > 0)) return fail('outerH', 'nothing', 'With a heat transfer of nothing it never cools.');
  if (i.bathC >= untilC)
    return fail(
      'untilC',
      'never',
      `At ${Math.round(i.bathC)}\u00a0°C round it, it never comes to ${Math.round(untilC)}\u00a0°C: take something colder, or ask for ${Math.round(i.bathC) + 2}\u00a0°C.`,
    );
  const ua = i.areaM2 / (1 / i.outerH + i.wallM2KPerW + 1 / INNER_H);
  const curve: [number, number][] = [[0, i.startC]];
  let h = i.heat.at(i.startC);
  let tC = i.startC;
  let min = 0;
  while (tC > untilC && min < mostMin && curve.length < 2000) {
    const c = Math.max(0.5, (i.heat.at(tC + 0.2) - i.heat.at(tC - 0.2)) / 0.4);
    const dt = Math.min((0.02 * i.massG * c) / ua, 600);
    const middle = i.heat.temperatureOf(h - (ua * (tC - i.bathC) * (dt / 2)) / i.massG);
    h -= (ua * (middle - i.bathC) * dt) / i.massG;
    tC = i.heat.temperatureOf(h);
    min += dt / 60;
    curve.push([min, tC]);
  }
  return ok(curve);
}
