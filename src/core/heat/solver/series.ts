/** Closed solutions with constant properties (published: Carslaw & Jaeger; Heisler), against which the march is checked. θ = (T − T_air)/(T_start − T_air). */

const ROOTS = 60;

/** Roots of a rising function within each of the first intervals that it is given. */
function rootsIn(f: (z: number) => number, intervals: (n: number) => readonly [number, number]): readonly number[] {
  return Array.from({ length: ROOTS }, (_, n) => {
    let [a, b] = intervals(n);
    for (let i = 0; i < 90; i++) {
      const m = (a + b) / 2;
      if (f(m) < 0) a = m;
      else b = m;
    }
    return (a + b) / 2;
  });
}

/** θ in the middle of an infinite slab. @param bi h·L/k, L half the thickness. @param fo α·t/L². */
export function slabTheta(bi: number, fo: number): number {
  const zeta = rootsIn(
    (z) => z * Math.tan(z) - bi,
    (n) => [n * Math.PI + 1e-12, n * Math.PI + Math.PI / 2 - 1e-12],
  );
  return zeta.reduce((sum, z) => sum + ((4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))) * Math.exp(-z * z * fo), 0);
}

/** Bessel's functions of order 0 and 1 by their integrals: exact to round-off with so many points, the integrands being smooth and periodic. */
const POINTS = 200;
const bessel = (order: number, x: number): number => {
  let sum = 0;
  for (let i = 0; i < POINTS; i++) {
    const t = (Math.PI * (i + 0.5)) / POINTS;
    sum += Math.cos(order * t - x * Math.sin(t));
  }
  return sum / POINTS;
};

/** θ on the axis of an infinite cylinder. @param bi h·R/k. @param fo α·t/R². */
export const cylinderTheta = (bi: number, fo: number): number => cylinderTerms(bi).reduce((sum, [z, a]) => sum + a * Math.exp(-z * z * fo), 0);

const knownTerms = new Map<number, readonly (readonly [z: number, a: number])[]>();

function cylinderTerms(bi: number): readonly (readonly [z: number, a: number])[] {
  const known = knownTerms.get(bi);
  if (known) return known;
  const roots: number[] = [];
  const f = (z: number): number => z * bessel(1, z) - bi * bessel(0, z);
  const step = 0.05;
  for (let z = 1e-6; roots.length < 25; z += step) {
    if (f(z) * f(z + step) > 0) continue;
    let [a, b] = [z, z + step];
    for (let i = 0; i < 60; i++) {
      const m = (a + b) / 2;
      if (f(a) * f(m) <= 0) b = m;
      else a = m;
    }
    roots.push((a + b) / 2);
  }
  const terms = roots.map((z) => [z, (2 / z) * (bessel(1, z) / (bessel(0, z) ** 2 + bessel(1, z) ** 2))] as const);
  knownTerms.set(bi, terms);
  return terms;
}

/**
 * Plank's time to freeze, s (published 1913): ρ·Δh/(T_f − T_air)·(P·d/h + R·d²/k).
 * @param shape P and R: 1/2, 1/8 for a slab of thickness d; 1/4, 1/16 for a long cylinder of diameter d.
 */
export function plankS(
  shape: 'slab' | 'cylinder',
  rhoKgPerM3: number,
  dhJPerKg: number,
  freezingC: number,
  airC: number,
  dM: number,
  h: number,
  k: number,
): number {
  const [p, r] = shape === 'slab' ? [1 / 2, 1 / 8] : [1 / 4, 1 / 16];
  return ((rhoKgPerM3 * dhJPerKg) / (freezingC - airC)) * ((p * dM) / h + (r * dM * dM) / k);
}
