import { composition } from '../composition/components';
import { mix, type Mixture } from '../composition/mixture';
import { readTable } from '../interpolate';
import { fail, ok, within, type Result } from '../result';
import { heatContent } from './heat-content';
import { PAN_TAKES } from './house';

/**
 * Boiling sugar at sea level: °C and sucrose % by weight (published: Bubník and others, Sugar Technologists Manual, boiling-point elevation of pure solutions; the points at
 * 104 and 106 °C keep the curve where a straight line from 60 to 70 % would lie 2 % too low); straight between, no figure outside.
 */
export const BOILING_TABLE: readonly (readonly [tC: number, sugarPct: number])[] = [
  [100.6, 30],
  [101.1, 40],
  [102, 50],
  [103, 60],
  [104, 64.5],
  [106, 70.5],
  [108.4, 75],
  [112, 80],
  [116, 85],
  [118, 87],
  [121, 89.5],
  [125, 92],
  [130, 94.5],
];
/** Heat of evaporation of water at its boiling point, J/g (published steam tables). */
export const EVAPORATION_J_PER_G = 2257;

const LOWEST_C = BOILING_TABLE[0]![0];
const HIGHEST_C = BOILING_TABLE[BOILING_TABLE.length - 1]![0];

/**
 * How strong a syrup is when it boils at a temperature, sucrose % by weight (published).
 * @param waterBoilsC where plain water boils here: 100 °C at sea level; the table is read at T + 100 − that.
 * @returns a fault on `tC` outside the table.
 */
export function sugarPctAtBoil(tC: number, waterBoilsC = 100): Result<number> {
  const fault = within('waterBoilsC', 'The boiling point of water here', waterBoilsC, 80, 101, '°C');
  if (fault) return { ok: false, fault };
  const pct = readTable(BOILING_TABLE, tC + 100 - waterBoilsC);
  if (pct !== null) return ok(pct);
  const shift = waterBoilsC - 100;
  return fail(
    'tC',
    'out-of-range',
    `A syrup that boils at ${tC}\u00a0°C has no figure here; it works from ${LOWEST_C + shift} to ${HIGHEST_C + shift}\u00a0°C.`,
  );
}

/** The temperature at which a syrup of so much sucrose boils, °C (published); a fault on `sugarPct` outside 30–94.5 %. */
export function boilingC(sugarPct: number, waterBoilsC = 100): Result<number> {
  const tC = readTable(
    BOILING_TABLE.map(([t, pct]) => [pct, t] as const),
    sugarPct,
  );
  return tC === null
    ? fail('sugarPct', 'out-of-range', `A syrup of ${sugarPct}\u00a0% sugar has no figure here; it works from 30 to 94.5\u00a0%.`)
    : ok(tC + waterBoilsC - 100);
}

export interface SyrupInput {
  /** Sugar in the pan, dry, g. */
  readonly sugarG: number;
  readonly waterG: number;
  /** To which temperature, °C. */
  readonly toC: number;
  /** The hob's power, W. */
  readonly hobW: number;
  readonly startC: number;
  readonly waterBoilsC: number;
  /** Share (0–1) that stays in the pan. */
  readonly stays: number;
}

export interface Syrup {
  readonly sugarPct: number;
  /** Water that must boil off, g. */
  readonly boilsOffG: number;
  /** Syrup in the pan at the end, g. */
  readonly inPanG: number;
  /** What reaches the bowl, g. */
  readonly arrivesG: number;
  readonly arrives: Mixture;
  /** Minutes on the hob (house ±25 %: half of its heat reaches the pan). */
  readonly minutes: number;
}

/**
 * Sugar and water boiled to a temperature: how strong, how much water goes, what arrives, how long it takes (published table, physics;
 * minutes house ±25 %).
 * @returns a fault on `waterG` when there is too little water for that temperature, on the field out of range otherwise.
 */
export function boilSyrup(i: SyrupInput): Result<Syrup> {
  const fault =
    within('sugarG', 'The sugar', i.sugarG, 0.1, 1_000_000, 'g') ??
    within('waterG', 'The water', i.waterG, 0, 1_000_000, 'g') ??
    within('hobW', 'The hob', i.hobW, 50, 20_000, 'W') ??
    within('startC', 'The syrup at the start', i.startC, 0, 100, '°C') ??
    within('stays', 'What stays in the pan', i.stays, 0, 0.9, '');
  if (fault) return { ok: false, fault };
  const pct = sugarPctAtBoil(i.toC, i.waterBoilsC);
  if (!pct.ok) return pct;
  const waterLeftG = (i.sugarG * (100 - pct.value)) / pct.value;
  if (waterLeftG > i.waterG + 1e-9) {
    return fail(
      'waterG',
      'too-little',
      `At ${i.toC}\u00a0°C this syrup still holds ${Math.ceil(waterLeftG)}\u00a0g of water; there are only ${Math.round(i.waterG)}\u00a0g: add water, it boils off again.`,
    );
  }
  const boilsOffG = i.waterG - waterLeftG;
  const sugar = { massG: i.sugarG, per100: composition({ sucrose: 100 }) };
  const water = (massG: number) => ({ massG, per100: composition({ water: 100 }) });
  const start = heatContent(mix([sugar, water(i.waterG)]), i.sugarG);
  const heatJ = (i.sugarG + i.waterG) * (start.at(i.toC) - start.at(i.startC)) + boilsOffG * EVAPORATION_J_PER_G;
  const inPan = mix([sugar, water(waterLeftG)]);
  const arrives = mix([{ ...sugar, massG: i.sugarG * (1 - i.stays) }, water(waterLeftG * (1 - i.stays))]);
  return ok({ sugarPct: pct.value, boilsOffG, inPanG: inPan.massG, arrivesG: arrives.massG, arrives, minutes: heatJ / (PAN_TAKES * i.hobW) / 60 });
}

/**
 * Minutes on the hob to bring something to the boil and take so much water off it (physics; house ±25 % for the heat that reaches the pan).
 * @param boilsOffG g of water, at most what is there.
 */
export function reducingMinutes(mixture: Mixture, sucroseEqG: number, startC: number, boilsOffG: number, hobW: number): Result<number> {
  const fault =
    within('hobW', 'The hob', hobW, 50, 20_000, 'W') ??
    within('startC', 'It at the start', startC, -30, 100, '°C') ??
    within('boilsOffG', 'What boils off', boilsOffG, 0, Math.max(0, mixture.grams.water), 'g');
  if (fault) return { ok: false, fault };
  if (mixture.massG <= 0) return fail('mixture', 'empty', 'There is nothing in the pan yet.');
  const heat = heatContent(mixture, sucroseEqG);
  return ok((mixture.massG * (heat.at(100) - heat.at(startC)) + boilsOffG * EVAPORATION_J_PER_G) / (PAN_TAKES * hobW) / 60);
}
