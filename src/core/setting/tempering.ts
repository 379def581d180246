import { composition } from '../composition/components';
import { mix } from '../composition/mixture';
import { guest, massFor, mixingC, type Guest } from '../heat/meeting';
import { ok, within, type Result } from '../result';
import { MELTED_GELATIN_C, SPOONFUL_C, STRINGS } from './house';

export interface Tempering {
  /** All of it poured in at once, °C. */
  readonly atOnceC: number;
  /** Whether it would string: the mix is under 18 °C with 2 g/kg or more. */
  readonly strings: boolean;
  /** The spoonful that is beaten into the gelatin first, g. */
  readonly spoonfulG: number;
  /** Smallest and largest that stay within 22–28 °C, g. */
  readonly spoonfulRangeG: readonly [number, number];
  readonly spoonfulC: number;
}

/**
 * Melted gelatin into something cold (physics of mixing; windows house): what the mix comes to, and how much of the cold goes in first so
 * that it stays liquid at 25 °C.
 *
 * @param gelatinG g of gelatin. @param waterG g of water with it. @param cold what it goes into.
 * @returns a fault on the field out of range; a spoonful of 0 where the cold part is warm enough by itself.
 */
export function temper(gelatinG: number, waterG: number, cold: Guest, doseGPerKg: number): Result<Tempering> {
  const fault = within('gelatinG', 'The gelatin', gelatinG, 0.01, 100_000, 'g') ?? within('waterG', 'Its water', waterG, 0, 1_000_000, 'g');
  if (fault) return { ok: false, fault };
  const melted = guest(
    'melted gelatin',
    mix([
      { massG: gelatinG, per100: composition({ water: 11.5, gelatin_protein: 87, other_solids: 1.5 }) },
      { massG: waterG, per100: composition({ water: 100 }) },
    ]),
    0,
    MELTED_GELATIN_C,
  );
  const atOnce = mixingC([melted, cold]);
  if (!atOnce.ok) return atOnce;
  const strings = atOnce.value < STRINGS.belowC && doseGPerKg >= STRINGS.fromGPerKg;
  // Warm enough by itself: no spoonful is needed.
  if (cold.tC >= SPOONFUL_C.low) return ok({ atOnceC: atOnce.value, strings, spoonfulG: 0, spoonfulRangeG: [0, 0], spoonfulC: atOnce.value });
  const upTo = (wishC: number): Result<number> => massFor([melted, cold], 1, wishC);
  const wish = upTo(SPOONFUL_C.wish);
  if (!wish.ok) return wish;
  const [least, most] = [upTo(SPOONFUL_C.high), upTo(SPOONFUL_C.low)];
  const all = wish.value >= cold.massG;
  return ok({
    atOnceC: atOnce.value,
    strings,
    spoonfulG: Math.min(wish.value, cold.massG),
    spoonfulRangeG: [Math.min(least.ok ? least.value : wish.value, cold.massG), most.ok ? Math.min(most.value, cold.massG) : wish.value],
    // With less of the cold than that, all of it comes to what it comes to.
    spoonfulC: all ? atOnce.value : SPOONFUL_C.wish,
  });
}
