import { describe, expect, it } from 'vitest';
import {
  BED_MM,
  CREAM_GIVES,
  CREAM_MM,
  CUPCAKE_ML,
  DENSE_BELOW_PCT,
  DIP_REFERENCE_C,
  MOST_HEIGHT_FACTOR,
  MUSH_AFTER,
  PIPED_SPREAD,
  RIM_MM,
  ROSETTE,
  SHELL,
  SHELL_BEARS,
  SOAK_BANDS,
  SOAK_SPREAD,
  SOFTENING,
  STANDS_MM,
  SYRUP_OVER,
} from './house';

const inches = (mm: number): number => Math.round((mm / 25.4) * 100) / 100;

/* The house figures of building in a cook's words and other units, so that none is changed by a slip of the pen. */
describe('soaking and softening', () => {
  it('a finger that holds 145 % is dry under 58, right to 110, wet to 141: each to a fifth', () => {
    expect(Object.values(SOAK_BANDS).map((share) => Math.round(145 * share))).toEqual([58, 110, 141]);
    expect(SOAK_SPREAD).toBe(0.2);
  });
  it('a tenth of the syrup stays behind; figures of the dip are for 50 °F', () => {
    expect(SYRUP_OVER).toBeCloseTo(11 / 10, 9);
    expect((DIP_REFERENCE_C * 9) / 5 + 32).toBe(50);
  });
  it('hours until it bends: a plain biscuit of 6 mm 8.5, a dense one 17.7; dipped through twice as fast', () => {
    const hours = (d: number): number => (0.85 * 3 * 3) / d / 3600;
    expect(hours(SOFTENING.plainMm2PerS)).toBeCloseTo(8.5, 1);
    expect(hours(SOFTENING.denseMm2PerS)).toBeCloseTo(17.7, 1);
    expect([SOFTENING.dipped, SOFTENING.spread, MUSH_AFTER, DENSE_BELOW_PCT]).toEqual([2, 0.3, 3, 25]);
    expect([CREAM_GIVES.share, CREAM_GIVES.spread]).toEqual([0.25, 0.4]);
  });
});

describe('sizes, in inches', () => {
  it('a bed under the first biscuits, cream between them, room under the rim', () =>
    expect([BED_MM, CREAM_MM, RIM_MM].map(inches)).toEqual([0.16, 0.47, 0.12]));
  it('stands to 2.36 inches in a slice and 2.76 turned out, with more gelatin four tenths taller', () => {
    expect([STANDS_MM.slice, STANDS_MM['turn-out']].map(inches)).toEqual([2.36, 2.76]);
    expect(MOST_HEIGHT_FACTOR).toBe(1.4);
  });
});

describe('piping', () => {
  it('an 11 mm nozzle: a rosette of 4.4 mL; shells two openings wide, three long, one and a half high', () => {
    // A cone.
    expect((Math.PI / 12) * (ROSETTE.wide * 11) ** 2 * (ROSETTE.high * 11) * 1e-3).toBeCloseTo(4.36, 1);
    expect([SHELL.wide, SHELL.long, SHELL.high, PIPED_SPREAD]).toEqual([2, 3, 1.5, 0.15]);
  });
  it('a cupcake takes 25 mL low, 45 high: a dozen 300 to 540', () => expect([12 * CUPCAKE_ML.low, 12 * CUPCAKE_ML.high]).toEqual([300, 540]));
  it('a nest of 8 cm bears 150 g, and is crowned half an hour before', () => {
    expect(Math.PI * 4 * 4 * SHELL_BEARS.gPerCm2).toBeCloseTo(150.8, 1);
    expect([SHELL_BEARS.spread, SHELL_BEARS.crownMin]).toEqual([0.4, 30]);
  });
});
