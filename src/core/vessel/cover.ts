import { fail, ok, type Result } from '../result';

/** A round cake that is filled and covered, mm. */
export interface CakeSizes {
  readonly acrossMm: number;
  readonly heightMm: number;
}

/** What covers the side and the top of a cake at a thickness, mL (physics: the larger cylinder less the cake). */
export function coverMl(cake: CakeSizes, thickMm: number): number {
  const r = cake.acrossMm / 2;
  return (Math.PI * ((r + thickMm) ** 2 * (cake.heightMm + thickMm) - r * r * cake.heightMm)) / 1000;
}

/**
 * How thick so much covers a cake's side and top, mm (physics; halving to 1e-12 of the thickness).
 * @returns a fault on a volume below 0.
 */
export function coverMm(cake: CakeSizes, volumeMl: number): Result<number> {
  if (!(volumeMl >= 0)) return fail('volumeMl', 'negative', 'A volume cannot be below 0\u00a0mL.');
  let low = 0;
  let high = 1;
  while (coverMl(cake, high) < volumeMl) high *= 2;
  for (let i = 0; i < 80 && high - low > 1e-12 * high; i++) {
    const mid = (low + high) / 2;
    if (coverMl(cake, mid) < volumeMl) low = mid;
    else high = mid;
  }
  return ok((low + high) / 2);
}

/** What fills a cake of so many layers of sponge at a thickness, mL: one filling fewer than layers. */
export const fillingMl = (cake: CakeSizes, layers: number, thickMm: number): number =>
  (Math.PI * (cake.acrossMm / 2) ** 2 * thickMm * Math.max(0, layers - 1)) / 1000;

/**
 * The thickness of a base pressed over a floor and, up to a height, over the wall, from its volume, mm (physics: the volume less the hollow).
 *
 * @param floorAreaMm2 of the vessel.
 * @param wallLengthMm once round its wall.
 * @param wallMm how high the wall is lined; 0 for the floor alone.
 * @returns a fault when the volume is below 0 or would fill the vessel to the wall's height.
 */
export function pressedThickness(floorAreaMm2: number, wallLengthMm: number, wallMm: number, volumeMl: number): Result<number> {
  if (!(volumeMl >= 0)) return fail('volumeMl', 'negative', 'A volume cannot be below 0\u00a0mL.');
  let low = 0;
  let high = Math.max(wallMm, (1000 * volumeMl) / floorAreaMm2) + 1;
  if (pressedMl(floorAreaMm2, wallLengthMm, wallMm, high) < volumeMl)
    return fail('volumeMl', 'too-much', 'That base would fill the tin: line less of the wall or take less of it.');
  for (let i = 0; i < 80 && high - low > 1e-12 * high; i++) {
    const mid = (low + high) / 2;
    if (pressedMl(floorAreaMm2, wallLengthMm, wallMm, mid) < volumeMl) low = mid;
    else high = mid;
  }
  return ok((low + high) / 2);
}

/**
 * What a base of a thickness takes for the floor and a lined wall, mL: the floor at its thickness, and above it a band along the wall whose
 * inner length is shorter by 2π times the thickness (true of any rounded wall; 8 thicknesses less where corners are square is closer, and
 * the difference is below 1 % at 6 mm in a 20 cm tin).
 */
export function pressedMl(floorAreaMm2: number, wallLengthMm: number, wallMm: number, thickMm: number): number {
  const t = Math.max(0, thickMm);
  const band = Math.max(0, wallMm - t) * (wallLengthMm * t - Math.PI * t * t);
  return (floorAreaMm2 * t + Math.max(0, band)) / 1000;
}
